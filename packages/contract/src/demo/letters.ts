/**
 * Letters as the skeletons that a needle follows: straight strokes, four stitches high, each as long as whole stitches are,
 * so that every hole lands where strokes meet. One letter is one line wherever it can be.
 */
import { type At, pair } from './paths.ts'

interface Letter {
  /** In stitches. */
  readonly wide: number
  /** Places in stitches from the upper left; the first again at the end closes it. */
  readonly strokes: readonly (readonly At[])[]
}

/** A chamfer of half a stitch across and one down is as long as a stitch and a ninth. */
const LETTERS: Readonly<Record<string, Letter>> = {
  A: {
    wide: 3,
    strokes: [
      [
        [0, 4],
        [1.5, 0],
        [3, 4],
      ],
      [
        [0.49, 2.7],
        [2.51, 2.7],
      ],
    ],
  },
  B: {
    wide: 1.5,
    strokes: [
      [
        [0, 2],
        [1, 2],
        [1.5, 1],
        [1, 0],
        [0, 0],
        [0, 4],
        [1, 4],
        [1.5, 3],
        [1, 2],
      ],
    ],
  },
  D: {
    wide: 2.5,
    strokes: [
      [
        [0, 4],
        [0, 0],
        [2, 0],
        [2.5, 1],
        [2.5, 3],
        [2, 4],
        [0, 4],
      ],
    ],
  },
  F: {
    wide: 2,
    strokes: [
      [
        [2, 0],
        [0, 0],
        [0, 4],
      ],
      [
        [0, 2],
        [2, 2],
      ],
    ],
  },
  G: {
    wide: 2,
    strokes: [
      [
        [2, 1],
        [1.5, 0],
        [0.5, 0],
        [0, 1],
        [0, 3],
        [0.5, 4],
        [1.5, 4],
        [2, 3],
        [2, 2],
        [1, 2],
      ],
    ],
  },
  H: {
    wide: 2,
    strokes: [
      [
        [0, 0],
        [0, 4],
      ],
      [
        [2, 0],
        [2, 4],
      ],
      [
        [0, 2],
        [2, 2],
      ],
    ],
  },
  I: {
    wide: 0,
    strokes: [
      [
        [0, 0],
        [0, 4],
      ],
    ],
  },
  L: {
    wide: 2,
    strokes: [
      [
        [0, 0],
        [0, 4],
        [2, 4],
      ],
    ],
  },
  N: {
    wide: 2,
    strokes: [
      [
        [0, 4],
        [0, 0],
        [2, 4],
        [2, 0],
      ],
    ],
  },
  O: {
    wide: 2,
    strokes: [
      [
        [0.5, 0],
        [0, 1],
        [0, 3],
        [0.5, 4],
        [1.5, 4],
        [2, 3],
        [2, 1],
        [1.5, 0],
        [0.5, 0],
      ],
    ],
  },
  R: {
    wide: 2,
    strokes: [
      [
        [0, 4],
        [0, 0],
        [1, 0],
        [1.5, 1],
        [1, 2],
        [0, 2],
      ],
      [
        [1, 2],
        [2, 4],
      ],
    ],
  },
  S: {
    wide: 2,
    strokes: [
      [
        [2, 1],
        [1.5, 0],
        [0.5, 0],
        [0, 1],
        [0.5, 2],
        [1.5, 2],
        [2, 3],
        [1.5, 4],
        [0.5, 4],
        [0, 3],
      ],
    ],
  },
  T: {
    wide: 2,
    strokes: [
      [
        [0, 0],
        [2, 0],
      ],
      [
        [1, 0],
        [1, 4],
      ],
    ],
  },
  U: {
    wide: 2,
    strokes: [
      [
        [0, 0],
        [0, 3],
        [0.5, 4],
        [1.5, 4],
        [2, 3],
        [2, 0],
      ],
    ],
  },
  W: {
    wide: 3,
    strokes: [
      [
        [0, 0],
        [0.75, 4],
        [1.5, 1],
        [2.25, 4],
        [3, 0],
      ],
    ],
  },
  X: {
    wide: 2,
    strokes: [
      [
        [0, 0],
        [2, 4],
      ],
      [
        [2, 0],
        [0, 4],
      ],
    ],
  },
  Y: {
    wide: 2,
    strokes: [
      [
        [0, 0],
        [1, 2],
        [2, 0],
      ],
      [
        [1, 2],
        [1, 4],
      ],
    ],
  },
}

const BETWEEN_MM = 2.2
const WORD_SPACE_MM = 3

/** How long a word lies, worked in stitches so long. */
export function wordMm(word: string, stitchMm: number): number {
  return [...word].reduce((sum, letter) => sum + advance(letter, stitchMm), -BETWEEN_MM)
}

function advance(letter: string, stitchMm: number): number {
  return letter === ' ' ? WORD_SPACE_MM : (LETTERS[letter]?.wide ?? 0) * stitchMm + BETWEEN_MM
}

/** The strokes of a word, as paths; `from` is the upper left of its first letter. */
export function strokesOf(word: string, from: At, stitchMm: number): readonly string[] {
  let x = from[0]
  return [...word].flatMap((letter) => {
    const left = x
    x += advance(letter, stitchMm)
    return (LETTERS[letter]?.strokes ?? []).map((places) => pathOf(places.map(([a, b]): At => [left + a * stitchMm, from[1] + b * stitchMm])))
  })
}

function pathOf(places: readonly At[]): string {
  const [first, last] = [places[0] as At, places.at(-1) as At]
  const closed = places.length > 2 && first[0] === last[0] && first[1] === last[1]
  const shown = closed ? places.slice(0, -1) : places
  return `${shown.map((place, index) => `${index === 0 ? 'M' : 'L'} ${pair(place)}`).join(' ')}${closed ? ' Z' : ''}`
}
