/** Felt that is laid under stitches: every patch with its size, for a template and for the amount to buy. mm */
import type { WorkedExercise } from '../exercise/index.ts'
import { areaOf, boxOf, type Point } from '../geometry/index.ts'

export interface FeltPatch {
  readonly exercise: string
  readonly name: string
  /** From the cloth upwards. */
  readonly layer: number
  readonly layers: number
  readonly outline: readonly Point[]
  readonly widthMm: number
  readonly heightMm: number
  readonly areaMm2: number
}

/** Between patches on the felt, for the scissors. */
const GAP_MM = 4

/** Of all pieces, in the order in which they are worked; none where nothing is padded with felt. */
export function feltPatches(done: readonly WorkedExercise[]): readonly FeltPatch[] {
  return done.flatMap(({ exercise, pieces }) =>
    pieces.flatMap(({ worked }) => {
      const felt = worked.patches.filter((one) => one.kind === 'felt' && one.outline.length > 2)
      return felt.flatMap(({ outline }, index) => {
        const box = boxOf(outline)
        if (!box) return []
        const [widthMm, heightMm] = [box.right - box.left, box.bottom - box.top]
        return [{ exercise: exercise.id, name: exercise.name, layer: index + 1, layers: felt.length, outline, widthMm, heightMm, areaMm2: areaOf(outline) }]
      })
    }),
  )
}

export interface FeltSheet {
  readonly widthMm: number
  readonly heightMm: number
  /** The patches moved to where they are cut, in rows, tallest first. */
  readonly places: readonly { readonly patch: FeltPatch; readonly outline: readonly Point[] }[]
}

/** How the patches of one learner lie on a strip of felt so wide; null where one is wider than the strip. */
export function feltSheet(patches: readonly FeltPatch[], widthMm: number): FeltSheet | null {
  const places: { patch: FeltPatch; outline: readonly Point[] }[] = []
  let [x, y, rowMm] = [GAP_MM, GAP_MM, 0]
  for (const patch of [...patches].sort((a, b) => b.heightMm - a.heightMm)) {
    if (patch.widthMm + 2 * GAP_MM > widthMm) return null
    if (x + patch.widthMm + GAP_MM > widthMm) {
      x = GAP_MM
      y += rowMm + GAP_MM
      rowMm = 0
    }
    const box = boxOf(patch.outline)
    const by: Point = { x: x - (box?.left ?? 0), y: y - (box?.top ?? 0) }
    places.push({ patch, outline: patch.outline.map((at) => ({ x: at.x + by.x, y: at.y + by.y })) })
    x += patch.widthMm + GAP_MM
    rowMm = Math.max(rowMm, patch.heightMm)
  }
  return { widthMm, heightMm: places.length === 0 ? 0 : y + rowMm + GAP_MM, places }
}
