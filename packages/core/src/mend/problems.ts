/** What reaches where it should not, in words. */
import type { Sentences } from '../base/index.ts'

const BEYOND: Readonly<Record<string, string>> = {
  cloth: 'off the cloth',
  'clear-area': 'outside the clear area, where the hoop is in the way of needle and fingers',
}

export const MEND_SENTENCES: Sentences = {
  'cloth.crowded':
    'For {along} its thread lies on that of "{other}": from line to line two such threads need {wanted}. Move it away, or say that it lies over the other.',
  'cloth.outside': ({ reach, beyond, piece, pieces }, say) =>
    `${piece === undefined ? 'It reaches' : `Piece ${say(piece)} of ${say(pieces)} reaches`} ${say(reach)} ${BEYOND[beyond as string]}.`,
}
