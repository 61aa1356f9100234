/** What reaches where it should not, in words. */
import type { Sentences } from '../base/index.ts'

const BEYOND: Readonly<Record<string, string>> = {
  cloth: 'off the cloth',
  'clear-area': 'outside the clear area, where hoop or frame is in the way of needle and fingers',
}

/** Of knots, wrapped and woven work that would lie under the wood. */
const CRUSHED = ' It is raised and would lie under the wood, which crushes it: work it last, with the hoop moved off it, or lay it further in.'

export const MEND_SENTENCES: Sentences = {
  'cloth.crowded':
    'For {along} its thread lies on that of "{other}": from line to line two such threads need {wanted}. Move it away, or say that it lies over the other.',
  'cloth.outside': ({ reach, beyond, piece, pieces, crushed }, say) =>
    `${piece === undefined ? 'It reaches' : `Piece ${say(piece)} of ${say(pieces)} reaches`} ${say(reach)} ${BEYOND[beyond as string]}.${crushed === undefined ? '' : CRUSHED}`,
}
