/** Where the view goes when it is asked: the cloth, the hoop, what is held, true size, nearer or further. */
import { insideHalves } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import type { Wish } from './ScaleSlip.tsx'
import { centred, fitView, type View, zoomAt } from './view.ts'

/** Seen round what is free inside: its wood, and a little cloth, mm. */
const ROUND_MM = 10

export interface Areas {
  readonly heldBox: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number } | null
  readonly workingHoop: Sampler['workingHoop']
  readonly cloth: Sampler['cloth']
}

export function viewFor(
  kind: Wish,
  before: View | null,
  { heldBox, workingHoop, cloth }: Areas,
  { width, height }: { width: number; height: number },
  truePxPerMm: number,
): View {
  const whole = { left: 0, top: 0, right: cloth.widthMm, bottom: cloth.heightMm }
  const middle = workingHoop ? { x: workingHoop.at[0], y: workingHoop.at[1] } : { x: cloth.widthMm / 2, y: cloth.heightMm / 2 }
  switch (kind) {
    case 'cloth':
      return fitView(width, height, whole)
    case 'hoop': {
      if (!workingHoop) return fitView(width, height, whole)
      const [across, down] = insideHalves(workingHoop, -ROUND_MM)
      return fitView(width, height, { left: middle.x - across, top: middle.y - down, right: middle.x + across, bottom: middle.y + down })
    }
    case 'held':
      return heldBox
        ? fitView(width, height, { left: heldBox.left - 6, top: heldBox.top - 6, right: heldBox.right + 6, bottom: heldBox.bottom + 6 })
        : (before ?? fitView(width, height, whole))
    case 'true':
      return centred(truePxPerMm, width, height, heldBox ? { x: (heldBox.left + heldBox.right) / 2, y: (heldBox.top + heldBox.bottom) / 2 } : middle)
    default:
      return before ? zoomAt(before, kind === 'in' ? 1.25 : 0.8, { x: width / 2, y: height / 2 }) : fitView(width, height, whole)
  }
}
