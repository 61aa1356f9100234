/** The sampler on its cloth: worked, marked, from behind, in true millimetres. */
import { unreachable } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { boxOf, type Box } from '../geometry/index.ts'
import { HOOP_MARGIN_MM } from '../materials/index.ts'
import type { Hoop, Sampler } from '../sampler/index.ts'
import type { Side } from '../work/index.ts'
import { mix } from './colour.ts'
import { DRAWN_MARKS, drawMarkItems, type MarkLook } from './draw-marks.ts'
import { type Detail, detailFor, drawThread, type ThreadLook } from './draw-thread.ts'
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
  if (view.marks && view.side === 'front') layers.push({ name: 'marks', items: done.flatMap((one) => drawMarkItems(one.marks, view.markLook ?? DRAWN_MARKS)) })
  if (view.worked) layers.push({ name: 'thread', items: done.flatMap((one) => drawExerciseThread(one, view, widthMm / 2)) })
  return { left: 0, top: 0, widthMm, heightMm, layers }
}

export function drawExerciseThread(one: WorkedExercise, view: Pick<SamplerView, 'side' | 'pixelsPerMm' | 'detail'>, mirrorX: number): DrawingItem[] {
  const { bundle } = one.assigned
  const detail = view.detail ?? detailFor(bundle.lineWidthMm, view.pixelsPerMm ?? 4)
  const look = lookOf(one.assigned)
  return drawThread(one.worked.segments, view.side, look, detail, mirrorX, one.worked.patches)
}

/** How the threads of an exercise are drawn. */
export function lookOf({ bundle, thread, second }: WorkedExercise['assigned']): ThreadLook {
  const look = (colour: string, of: typeof bundle): ThreadLook => ({
    colour,
    diameterMm: of.diameterMm,
    lineWidthMm: of.lineWidthMm,
    flatWidthMm: of.flatWidthMm,
  })
  return { ...look(thread.value.colour.hex, bundle), second: look(second.thread.colour.hex, second.bundle) }
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

/** The design keeps clear of the hoop for fingers and the needle's angle. */
export function clearRadius(hoop: Hoop): number {
  return Math.max(0, hoop.insideMm / 2 - HOOP_MARGIN_MM)
}

/** What an exercise covers on the cloth, thread and marks. */
export function boxOfExercise(one: WorkedExercise): Box | null {
  const points = one.worked.segments.flatMap((segment) => segment.points)
  for (const mark of one.marks) {
    if (mark.kind === 'dot' || mark.kind === 'start') points.push({ ...mark.at, z: 0 })
    else if (mark.kind === 'line') points.push(...mark.points.map((at) => ({ ...at, z: 0 })))
    else unreachable(mark)
  }
  return boxOf(points)
}

/** Parts of the exercise that lie outside the clear area (or off the cloth), as the furthest reach in mm; 0 inside. */
export function reachOutside(one: WorkedExercise, sampler: Pick<Sampler, 'cloth' | 'workingHoop'>): number {
  const { cloth, workingHoop } = sampler
  let furthest = 0
  for (const segment of one.worked.segments) {
    for (const at of segment.points) {
      const offCloth = Math.max(-at.x, -at.y, at.x - cloth.widthMm, at.y - cloth.heightMm, 0)
      const offHoop = workingHoop ? Math.max(0, Math.hypot(at.x - workingHoop.at[0], at.y - workingHoop.at[1]) - clearRadius(workingHoop)) : 0
      furthest = Math.max(furthest, offCloth, offHoop)
    }
  }
  return furthest
}
