/** What reaches where it should not, in words. */
import type { Sentences } from '../base/index.ts'

const BEYOND: Readonly<Record<string, string>> = {
  cloth: 'off the cloth',
  'clear-area': 'outside the clear area, where the hoop is in the way of needle and fingers',
}

export const MEND_SENTENCES: Sentences = {
  'cloth.outside': ({ reach, beyond, piece, pieces }, say) =>
    `${piece === undefined ? 'It reaches' : `Piece ${say(piece)} of ${say(pieces)} reaches`} ${say(reach)} ${BEYOND[beyond as string]}.`,
}
