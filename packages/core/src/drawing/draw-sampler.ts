/** The sampler on its cloth: worked, marked, from behind, in true millimetres. */
import type { Assigned, AssignedThread } from '../assign/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { clearRadius } from '../materials/index.ts'
import type { Hoop, Sampler } from '../sampler/index.ts'
import type { Side } from '../work/index.ts'
import { mix } from '../materials/index.ts'
import { DRAWN_MARKS, drawMarkItems, type MarkLook } from './draw-marks.ts'
import { drawThread } from './draw-thread.ts'
import { type Detail, detailFor, type OneLook, type ThreadLook } from './look.ts'
import type { Drawing, DrawingItem, Layer } from './drawing.ts'

export interface SamplerView {
  readonly side: Side
  readonly worked: boolean
  readonly marks: boolean
  readonly markLook?: MarkLook
  /** Chooses how much of the thread is drawn; a fixed detail for files. */
  readonly pixelsPerMm?: number
  readonly detail?: Detail
}

export function drawSampler(sampler: Sampler, done: readonly WorkedExercise[], view: SamplerView): Drawing {
  const { widthMm, heightMm } = sampler.cloth
  const layers: Layer[] = [
    { name: 'cloth', items: [clothItem(sampler, view.side)] },
    { name: 'hoop', items: sampler.workingHoop ? hoopItems(sampler.workingHoop, view.side === 'back' ? widthMm / 2 : null) : [] },
  ]
  if (view.marks && view.side === 'front')
    layers.push({ name: 'marks', items: done.flatMap((one) => one.pieces.flatMap((piece) => drawMarkItems(piece.marks, view.markLook ?? DRAWN_MARKS))) })
  if (view.worked) layers.push({ name: 'thread', items: done.flatMap((one) => drawExerciseThread(one, view, widthMm / 2)) })
  return { left: 0, top: 0, widthMm, heightMm, layers }
}

export function drawExerciseThread(one: WorkedExercise, view: Pick<SamplerView, 'side' | 'pixelsPerMm' | 'detail'>, mirrorX: number): DrawingItem[] {
  return one.pieces.flatMap(({ assigned, worked }) => {
    const detail = view.detail ?? detailFor(assigned.main.bundle.lineWidthMm, view.pixelsPerMm ?? 4)
    return drawThread(worked.segments, view.side, lookOf(assigned), detail, mirrorX, worked.patches)
  })
}

/** How the threads of an exercise are drawn, each by its role, and by its row where it is shaded. */
export function lookOf({ main, threads }: Pick<Assigned, 'main' | 'threads'>): ThreadLook {
  const look = ({ thread, shades, bundle }: AssignedThread): OneLook => ({
    colour: thread.value.colour.hex,
    ...(shades.length > 0 ? { shades: shades.map((shade) => shade.colour.hex) } : {}),
    diameterMm: bundle.diameterMm,
    lineWidthMm: bundle.lineWidthMm,
    flatWidthMm: bundle.flatWidthMm,
  })
  return { ...look(main), roles: Object.fromEntries(threads.map((one) => [one.role, look(one)])) }
}

function clothItem(sampler: Sampler, side: Side): DrawingItem {
  const { widthMm, heightMm, colour } = sampler.cloth
  const corners = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ]
  return { kind: 'fill', points: corners, colour: side === 'front' ? colour.hex : mix(colour.hex, '#8A7A66', 0.12) }
}

function hoopItems(hoop: Hoop, mirrorX: number | null): DrawingItem[] {
  const at = { x: mirrorX === null ? hoop.at[0] : 2 * mirrorX - hoop.at[0], y: hoop.at[1] }
  const ring = (hoop.nominalMm - hoop.insideMm) / 2
  return [
    { kind: 'disc', at, radiusMm: hoop.insideMm / 2 + ring / 2, stroke: { colour: '#C9A879', widthMm: Math.max(1, ring) } },
    { kind: 'disc', at, radiusMm: clearRadius(hoop), stroke: { colour: '#8A7A66', widthMm: 0.2 }, opacity: 0.6 },
  ]
}
