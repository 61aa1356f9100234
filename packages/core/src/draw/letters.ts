/**
 * Letters and figures as the skeletons that a needle follows: straight strokes, four stitches high, each as long as whole
 * stitches are (none further from them than a ninth), so that every hole lands where strokes meet. One letter is one line
 * wherever it can be. Drawn for this; capitals only, for small letters have no legs of whole stitches.
 */
import type { Point } from '../geometry/index.ts'

interface Letter {
  /** In stitches. */
  readonly wide: number
  /** Places in stitches from the upper left; the first again at the end closes it. */
  readonly strokes: readonly (readonly (readonly [number, number])[])[]
}

/** A letter is as many stitches high. */
export const LETTER_STITCHES = 4

/** How wide, then its strokes. A chamfer of half a stitch across and one down is as long as a stitch and a ninth. */
const SKELETONS: Readonly<Record<string, string>> = {
  A: '3: 0,4 1.5,0 3,4 | 0.49,2.7 2.51,2.7',
  B: '1.5: 0,2 1,2 1.5,1 1,0 0,0 0,4 1,4 1.5,3 1,2',
  C: '2: 2,1 1.5,0 0.5,0 0,1 0,3 0.5,4 1.5,4 2,3',
  D: '2.5: 0,4 0,0 2,0 2.5,1 2.5,3 2,4 0,4',
  E: '2: 2,0 0,0 0,4 2,4 | 0,2 2,2',
  F: '2: 2,0 0,0 0,4 | 0,2 2,2',
  G: '2: 2,1 1.5,0 0.5,0 0,1 0,3 0.5,4 1.5,4 2,3 2,2 1,2',
  H: '2: 0,0 0,4 | 2,0 2,4 | 0,2 2,2',
  I: '0: 0,0 0,4',
  J: '2: 2,0 2,3 1.5,4 0.5,4 0,3',
  K: '2.24: 0,0 0,4 | 2.24,0 0,2 2.24,4',
  L: '2: 0,0 0,4 2,4',
  M: '3: 0,4 0,0 1.5,2.6 3,0 3,4',
  N: '2: 0,4 0,0 2,4 2,0',
  O: '2: 0.5,0 0,1 0,3 0.5,4 1.5,4 2,3 2,1 1.5,0 0.5,0',
  P: '1.5: 0,4 0,0 1,0 1.5,1 1,2 0,2',
  Q: '2: 0.5,0 0,1 0,3 0.5,4 1.5,4 2,3 2,1 1.5,0 0.5,0 | 1.4,3.2 2,4',
  R: '2: 0,4 0,0 1,0 1.5,1 1,2 0,2 | 1,2 2,4',
  S: '2: 2,1 1.5,0 0.5,0 0,1 0.5,2 1.5,2 2,3 1.5,4 0.5,4 0,3',
  T: '2: 0,0 2,0 | 1,0 1,4',
  U: '2: 0,0 0,3 0.5,4 1.5,4 2,3 2,0',
  V: '2: 0,0 1,4 2,0',
  W: '3: 0,0 0.75,4 1.5,1 2.25,4 3,0',
  X: '2: 0,0 2,4 | 2,0 0,4',
  Y: '2: 0,0 1,2 2,0 | 1,2 1,4',
  Z: '2: 0,0 2,0 0,4 2,4',
  0: '2: 0.5,0 0,1 0,3 0.5,4 1.5,4 2,3 2,1 1.5,0 0.5,0',
  1: '0.45: 0,0.9 0.45,0 0.45,4',
  2: '2: 0,1 0.5,0 1.5,0 2,1 1.5,2 0.5,2 0,3 0,4 2,4',
  3: '2: 0,1 0.5,0 1.5,0 2,1 1.5,2 2,3 1.5,4 0.5,4 0,3 | 0.5,2 1.5,2',
  4: '2: 1.5,4 1.5,0 0,3 2,3',
  5: '1.5: 1,0 0,0 0,2 1,2 1.5,3 1,4 0,4',
  6: '2: 2,1 1.5,0 0.5,0 0,1 0,3 0.5,4 1.5,4 2,3 1.5,2 0.5,2 0,3',
  7: '2: 0,0 2,0 0.5,4',
  8: '2: 0.5,2 0,1 0.5,0 1.5,0 2,1 1.5,2 0.5,2 0,3 0.5,4 1.5,4 2,3 1.5,2',
  9: '2: 0,3 0.5,4 1.5,4 2,3 2,1 1.5,0 0.5,0 0,1 0.5,2 1.5,2 2,1',
  '.': '1: 0,4 1,4',
  '-': '1: 0,2 1,2',
  "'": '0: 0,0 0,1',
  '+': '2: 0,2 2,2 | 1,1 1,3',
  '/': '2: 0,4 2,0',
}

const LETTERS: ReadonlyMap<string, Letter> = new Map(
  Object.entries(SKELETONS).map(([letter, said]) => {
    const [wide, strokes] = said.split(':') as [string, string]
    const places = (stroke: string): [number, number][] =>
      stroke
        .trim()
        .split(' ')
        .map((pair) => pair.split(',').map(Number) as [number, number])
    return [letter, { wide: Number(wide), strokes: strokes.split('|').map(places) }]
  }),
)

export interface Lettering {
  /** One stitch of it: a fourth of its height, mm. */
  readonly stitchMm: number
  /** From letter to letter, mm. */
  readonly betweenMm: number
  /** For a space between two words, mm. */
  readonly spaceMm: number
}

/** As wide apart as letters of straight strokes want it: a little over a stitch. */
export const usualLettering = (stitchMm: number): Lettering => ({ stitchMm, betweenMm: 1.05 * stitchMm, spaceMm: 1.45 * stitchMm })

/** As it can be stitched: capitals, without accents. */
function plain(words: string): readonly string[] {
  return [...words.normalize('NFD').replace(/\p{M}/gu, '').toUpperCase()]
}

/** The characters that have no skeleton, each once. */
export function unknownLetters(words: string): readonly string[] {
  return [...new Set(plain(words).filter((letter) => letter !== ' ' && !LETTERS.has(letter)))]
}

/** How long words lie, mm. */
export function lengthOfWords(words: string, lettering: Lettering): number {
  const letters = plain(words)
  return letters.length === 0 ? 0 : letters.reduce((sum, letter) => sum + advance(letter, lettering), -lettering.betweenMm)
}

function advance(letter: string, { stitchMm, betweenMm, spaceMm }: Lettering): number {
  if (letter === ' ') return spaceMm
  const known = LETTERS.get(letter)
  return known ? known.wide * stitchMm + betweenMm : 0
}

/**
 * The strokes of words, as path data; `from` is the upper left of the first letter. Turned about `from` by `turnRad`,
 * clockwise. What has no skeleton is left out.
 */
export function strokesOfWords(words: string, from: Point, lettering: Lettering, turnRad = 0): readonly string[] {
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)]
  let x = 0
  return plain(words).flatMap((letter) => {
    const left = x
    x += advance(letter, lettering)
    return (LETTERS.get(letter)?.strokes ?? []).map((places) =>
      pathOf(
        places.map(([a, b]): Point => {
          const [along, down] = [left + a * lettering.stitchMm, b * lettering.stitchMm]
          return { x: from.x + along * cos - down * sin, y: from.y + along * sin + down * cos }
        }),
      ),
    )
  })
}

function pathOf(places: readonly Point[]): string {
  const said = places.map(({ x, y }) => `${thousandths(x)} ${thousandths(y)}`)
  const closed = said.length > 2 && said[0] === said.at(-1)
  return `M ${(closed ? said.slice(0, -1) : said).join(' L ')}${closed ? ' Z' : ''}`
}

/** Finer than what is drawn by hand: a leg of whole stitches is to stay one. */
const thousandths = (value: number): number => Math.round(value * 1000) / 1000 + 0
