/** A motif of a demo: what is taught once, and all the places where it is worked. */
import type { Guide } from '@lemmata/core/guide'
import type { DrawnGuide, Exercise, PieceChange, SamplerThread } from '@lemmata/core/sampler'

export const cotton = (id: string, name: string, hex: string): SamplerThread => ({ id: id, kind: 'stranded-cotton', colour: { name, hex } })
export const pearl = (id: string, name: string, hex: string): SamplerThread => ({
  id: id,
  kind: 'pearl-cotton',
  weight: '5',
  colour: { name, hex },
})

export interface Place {
  readonly id: string
  readonly guide: Guide
  readonly copies?: DrawnGuide['copies']
  /** What this piece has otherwise than the exercise: of all its copies. */
  readonly change?: PieceChange
}

export interface Motif extends Omit<Exercise, 'on' | 'pieces'> {
  readonly places: readonly Place[]
}

export const main = (thread: string, strands?: number): Exercise['materials'] => ({
  main: { thread: thread, ...(strands === undefined ? {} : { strands }) },
})
export const own = (thread: string, strands?: number, parameters?: PieceChange['parameters']): PieceChange => ({
  materials: main(thread, strands),
  ...(parameters ? { parameters } : {}),
})

export const lineGuide = (path: string): Guide => ({ kind: 'line', path })

/** The drawing and the exercises of these motifs: a guide for each place, a change for each piece that has one. */
export function drawingOf(motifs: readonly Motif[]): readonly DrawnGuide[] {
  return motifs.flatMap((motif) => motif.places).map(({ id, guide, copies }) => ({ id, guide, ...(copies ? { copies } : {}) }))
}

export function exercisesOf(motifs: readonly Motif[]): readonly Exercise[] {
  return motifs.map(({ places, ...exercise }) => ({ ...exercise, on: places.map(({ id }) => ({ guide: id })), ...changes(places) }))
}

function changes(places: readonly Place[]): Pick<Exercise, 'pieces'> {
  const pieces = places.flatMap(({ id, copies, change }) =>
    change ? Array.from({ length: copies?.kind === 'round' ? copies.count : 1 }, (_, copy) => [`${id}/${copy}`, change] as const) : [],
  )
  return pieces.length > 0 ? { pieces: Object.fromEntries(pieces) } : {}
}
