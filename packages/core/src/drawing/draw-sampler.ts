/** The sampler on its cloth: worked, marked, from behind, in true millimetres. */
import type { Assigned, AssignedThread } from '../assign/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { Side } from '../work/index.ts'
import { drawMarkItems, type MarkLook, marksOn } from './draw-marks.ts'
import { type Box, drawThread } from './draw-thread.ts'
import { drawHoop, drawHoopBelow, type HoopView } from './hoop.ts'
import { backOf } from './ink.ts'
import { type Detail, detailFor, type OneLook, type ThreadLook } from './look.ts'
import type { Drawing, DrawingItem, Layer } from './drawing.ts'
import { darker, lighter, seedOf, sheenOf } from './tone.ts'

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
  const hoop = hoopView(sampler, view.side)
  const clip = { left: 0, top: 0, right: widthMm, bottom: heightMm }
  const layers: Layer[] = [{ name: 'cloth', items: drawCloth(sampler, view.side) }]
  if (hoop) layers.push({ name: 'folds', clip, items: drawHoopBelow(hoop) })
  const look = view.markLook ?? marksOn(sampler.cloth.colour.hex)
  if (view.marks && view.side === 'front')
    layers.push({ name: 'marks', items: done.flatMap((one) => one.pieces.flatMap((piece) => drawMarkItems(piece.marks, look))) })
  if (view.worked)
    layers.push({ name: 'thread', items: done.flatMap((one) => drawExerciseThread(one, { ...view, cloth: sampler.cloth.colour.hex }, widthMm / 2)) })
  if (hoop) layers.push({ name: 'hoop', items: drawHoop(hoop) })
  return { left: 0, top: 0, widthMm, heightMm, layers }
}

export type ExerciseView = Pick<SamplerView, 'side' | 'pixelsPerMm' | 'detail'> & { readonly within?: Box; readonly cloth?: string }

export function drawExerciseThread(one: WorkedExercise, { side, detail, pixelsPerMm, within, cloth }: ExerciseView, mirrorX: number): DrawingItem[] {
  const seed = seedOf(one.exercise.id)
  return one.pieces.flatMap(({ assigned, worked }) =>
    drawThread(worked.segments, {
      side,
      look: lookOf(assigned),
      detail: detail ?? detailFor(assigned.main.bundle.lineWidthMm, pixelsPerMm ?? 4),
      mirrorX,
      patches: worked.patches,
      seed,
      pixelsPerMm,
      within,
      cloth,
    }),
  )
}

const looks = new WeakMap<AssignedThread, OneLook>()

/** How the threads of an exercise are drawn, each by its role, and by its row where it is shaded. */
export function lookOf({ main, threads }: Pick<Assigned, 'main' | 'threads'>): ThreadLook {
  return { ...lookOfOne(main), roles: Object.fromEntries(threads.map((one) => [one.role, lookOfOne(one)])) }
}

function lookOfOne(assigned: AssignedThread): OneLook {
  const before = looks.get(assigned)
  if (before) return before
  const { thread, shades, bundle, kind } = assigned
  const made: OneLook = {
    colour: thread.value.colour.hex,
    ...(shades.length > 0 ? { shades: shades.map((shade) => shade.colour.hex) } : {}),
    diameterMm: bundle.diameterMm,
    lineWidthMm: bundle.lineWidthMm,
    flatWidthMm: bundle.flatWidthMm,
    sheen: sheenOf(kind.id, bundle.hard),
  }
  looks.set(assigned, made)
  return made
}

export function hoopView(sampler: Pick<Sampler, 'cloth' | 'workingHoop'>, side: Side): HoopView | null {
  const { workingHoop: hoop, cloth } = sampler
  if (!hoop) return null
  return { hoop, side, cloth: { widthMm: cloth.widthMm, heightMm: cloth.heightMm, hex: side === 'front' ? cloth.colour.hex : backOf(cloth.colour.hex) } }
}

/** The piece of cloth, its own colour, with a selvedge down each side. */
export function drawCloth({ cloth }: Pick<Sampler, 'cloth'>, side: Side): DrawingItem[] {
  const { widthMm, heightMm } = cloth
  const hex = side === 'front' ? cloth.colour.hex : backOf(cloth.colour.hex)
  return [rectangle(0, widthMm, heightMm, hex), ...drawSelvedges(widthMm, heightMm, hex)]
}

/** Woven closer, so a little darker, with a light and a dark line at its edges. */
export function drawSelvedges(widthMm: number, heightMm: number, hex: string): DrawingItem[] {
  const line = (x: number, colour: string, opacity: number): DrawingItem => ({
    kind: 'stroke',
    paths: [
      [
        { x, y: 0 },
        { x, y: heightMm },
      ],
    ],
    widthMm: 0.3,
    colour,
    opacity,
  })
  return [0, widthMm - SELVEDGE_MM].flatMap((x) => [
    { ...rectangle(x, x + SELVEDGE_MM, heightMm, darker(hex, 1)), opacity: 0.1 },
    line(x + 0.2, lighter(hex, 0.8), 0.5),
    line(x + SELVEDGE_MM - 0.2, darker(hex, 0.8), 0.3),
    line(x === 0 ? x + SELVEDGE_MM + 0.2 : x - 0.2, lighter(hex, 0.8), 0.25),
  ])
}

const SELVEDGE_MM = 5

function rectangle(left: number, right: number, bottom: number, colour: string): DrawingItem & { kind: 'fill' } {
  return {
    kind: 'fill',
    colour,
    points: [
      { x: left, y: 0 },
      { x: right, y: 0 },
      { x: right, y: bottom },
      { x: left, y: bottom },
    ],
  }
}
