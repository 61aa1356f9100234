/** A free place on the cloth for a guide of some size: where nothing that is drawn lies. mm. */
import type { GuideId } from '../base/index.ts'
import { type Box, boxAround, moveBy, type Point } from '../geometry/index.ts'
import { type Guide, practiceFor, type PracticeGuide, practiceGuide, practiceHalfHeight, transformGuide } from '../guide/index.ts'
import { clearHalves, HOOP_MARGIN_MM, outsideClear } from '../materials/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import { boxOfGuides, type GuideDrawing, matricesFor, type Operation, type Sampler } from '../sampler/index.ts'

/** Room between exercises. */
export const GAP_MM = 9
/** Places are tried so far apart. */
const STEP_MM = 2
/** Where a guide does not fit at its full length, shorter ones are tried. */
const SHARES = [1, 0.75, 0.5, 0.35]
/** Nothing shorter shows a stitch. */
const SHORTEST_MM = 12

export interface FreePlace {
  readonly guide: Guide
  /** False where the clear area is full: then it lies below everything, and is moved by hand. */
  readonly free: boolean
}

export function placeFor(document: StitchDocument, sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'drawing'>): FreePlace {
  const practice = document.practice ?? practiceFor(document)
  const taken = takenBoxes(sampler.drawing)
  for (const share of SHARES) {
    const found = search(practice, share, sampler, taken)
    if (found) return { guide: found, free: true }
  }
  const lowest = Math.max(0, ...taken.map((box) => box.bottom))
  const y = Math.min(sampler.cloth.heightMm - practiceHalfHeight(practice), lowest + GAP_MM + practiceHalfHeight(practice))
  return { guide: practiceGuide(practice, middleOf(sampler).x, y, SHORTEST_MM), free: false }
}

/** The boxes of everything that is drawn, copies and all. */
export function takenBoxes(drawing: GuideDrawing): readonly Box[] {
  return drawing.guides.flatMap((drawn) =>
    matricesFor(drawn, drawing).flatMap((matrix) => {
      const box = boxOfGuides([transformGuide(drawn.guide, matrix)])
      return box ? [box] : []
    }),
  )
}

/** Of the hoop; of the cloth where there is none. */
export function middleOf({ cloth, workingHoop }: Pick<Sampler, 'cloth' | 'workingHoop'>): Point {
  return workingHoop ? { x: workingHoop.at[0], y: workingHoop.at[1] } : { x: cloth.widthMm / 2, y: cloth.heightMm / 2 }
}

/** From the top down; at each height in the middle first, then to the sides. */
function search(practice: PracticeGuide, share: number, sampler: Pick<Sampler, 'cloth' | 'workingHoop'>, taken: readonly Box[]): Guide | null {
  const middle = middleOf(sampler)
  const box = boxOfGuides([practiceGuide(practice, 0, 0, widestMm(sampler))])
  if (!box) return null
  const widthMm = Math.max(SHORTEST_MM, (box.right - box.left) * share)
  const guide = (at: Point): Guide => practiceGuide(practice, at.x, at.y, widthMm)
  const half = { x: widthMm / 2, y: Math.max((box.bottom - box.top) / 2, practiceHalfHeight(practice)) }
  const reach = widestMm(sampler) / 2
  for (let y = middle.y - reach; y <= middle.y + reach; y += STEP_MM) {
    for (let aside = 0; aside <= reach; aside += STEP_MM) {
      for (const x of aside === 0 ? [middle.x] : [middle.x - aside, middle.x + aside]) {
        const at = { left: x - half.x, right: x + half.x, top: y - half.y, bottom: y + half.y }
        if (isClear(at, sampler) && !taken.some((other) => overlaps(at, other))) return guide({ x: Math.round(x), y: Math.round(y) })
      }
    }
  }
  return null
}

function widestMm({ cloth, workingHoop }: Pick<Sampler, 'cloth' | 'workingHoop'>): number {
  return workingHoop ? 2 * Math.max(...clearHalves(workingHoop)) : Math.min(cloth.widthMm, cloth.heightMm) - 30
}

/** The nearest place, to what these guides are now, where they lie clear of all else and inside; null where there is none, or nothing to move. */
export function moveToFreePlace(sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'drawing'>, ids: readonly GuideId[]): Operation | null {
  const { drawing } = sampler
  const boxOf = (held: boolean): readonly Box[] => takenBoxes({ ...drawing, guides: drawing.guides.filter((one) => ids.includes(one.id) === held) })
  const [own, taken] = [boxOf(true), boxOf(false)]
  const whole = boxAround(own)
  if (!whole) return null
  const { widthMm, heightMm } = sampler.cloth
  let best: { readonly by: Point; readonly far: number } | null = null
  for (let y = STEP_MM * Math.ceil(-whole.top / STEP_MM); whole.bottom + y <= heightMm; y += STEP_MM)
    for (let x = STEP_MM * Math.ceil(-whole.left / STEP_MM); whole.right + x <= widthMm; x += STEP_MM) {
      const far = Math.hypot(x, y)
      if (best && far >= best.far) continue
      const at = { left: whole.left + x, right: whole.right + x, top: whole.top + y, bottom: whole.bottom + y }
      if (isClear(at, sampler) && !taken.some((other) => overlaps(at, other))) best = { by: { x, y }, far }
    }
  return best && best.far > 0 ? { kind: 'transform-guides', ids, matrix: moveBy(best.by) } : null
}

/** Two millimetres inside, for the hand that draws it. */
const HAND_MM = 2

function isClear(box: Box, { cloth, workingHoop }: Pick<Sampler, 'cloth' | 'workingHoop'>): boolean {
  if (box.left < HAND_MM || box.top < HAND_MM || box.right > cloth.widthMm - HAND_MM || box.bottom > cloth.heightMm - HAND_MM) return false
  if (!workingHoop) return true
  return [box.left, box.right].every((x) => [box.top, box.bottom].every((y) => outsideClear({ x, y }, workingHoop, HOOP_MARGIN_MM + HAND_MM) < 1e-9))
}

function overlaps(a: Box, b: Box): boolean {
  return a.left < b.right + GAP_MM && b.left < a.right + GAP_MM && a.top < b.bottom + GAP_MM && b.top < a.bottom + GAP_MM
}
