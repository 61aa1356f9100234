/** Basting round what is held: stitches of paper with an indigo core, seen on any cloth and over any thread. */
import { DYES } from '../look/theme.ts'
import { toScreen, type View } from './view.ts'

export interface HeldBox {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

const AWAY_PX = 7

export function Basting({ box, view, mirroredMm }: { box: HeldBox; view: View; mirroredMm: number | null }) {
  const seen = mirroredMm === null ? box : { ...box, left: mirroredMm - box.right, right: mirroredMm - box.left }
  const from = toScreen(view, { x: seen.left, y: seen.top })
  const to = toScreen(view, { x: seen.right, y: seen.bottom })
  const frame = { x: from.x - AWAY_PX, y: from.y - AWAY_PX, width: to.x - from.x + 2 * AWAY_PX, height: to.y - from.y + 2 * AWAY_PX }
  return (
    <g aria-hidden="true" fill="none" strokeLinecap="round" data-testid="basting">
      <rect {...frame} stroke="rgba(20, 12, 6, 0.35)" strokeWidth="4" strokeDasharray="9 6" transform="translate(1 1.6)" />
      <rect {...frame} stroke={DYES.paper} strokeWidth="4" strokeDasharray="9 6" />
      <rect {...frame} stroke={DYES.indigo} strokeWidth="1.4" strokeDasharray="9 6" />
    </g>
  )
}
