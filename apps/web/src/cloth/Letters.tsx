/** The letter of each exercise beside where it begins, in an ink that shows on this cloth; none lies on another. */
import type { Ink } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { toScreen, type View } from './view.ts'

export interface LetterPlace {
  readonly id: string
  readonly letter: string
  /** Where its thread first comes up, mm. */
  readonly at: Point
}

interface Props {
  readonly letters: readonly LetterPlace[]
  readonly view: View
  readonly mirroredMm: number | null
  readonly ink: Ink
}

const HIGH_PX = 16
const AWAY_PX = 13
/** Tried in turn: beside, above, below, then further out. */
const SIDES: readonly Point[] = [
  { x: -1, y: 0 },
  { x: 0, y: -1 },
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: -1, y: -1 },
  { x: 1, y: -1 },
  { x: -1, y: 1 },
  { x: 1, y: 1 },
]

export function Letters({ letters, view, mirroredMm, ink }: Props) {
  return (
    <g aria-hidden="true" fontFamily="Alegreya, serif" fontWeight="700" fontSize={HIGH_PX} textAnchor="middle">
      {placedLetters(letters, (at) => toScreen(view, mirroredMm === null ? at : { x: mirroredMm - at.x, y: at.y })).map(({ id, letter, at }) => (
        <text key={id} x={at.x} y={at.y + HIGH_PX * 0.34} fill={ink.words} stroke={ink.under} strokeWidth="3" paintOrder="stroke" strokeLinejoin="round">
          {letter}
        </text>
      ))}
    </g>
  )
}

/** On the screen, each at the first of its places that is free. */
export function placedLetters(letters: readonly LetterPlace[], toPx: (at: Point) => Point): readonly LetterPlace[] {
  const taken: { readonly at: Point; readonly wide: number }[] = []
  return letters.map((one) => {
    const from = toPx(one.at)
    const wide = HIGH_PX * 0.62 * one.letter.length
    const places = [1, 2, 3].flatMap((times) => SIDES.map((side) => ({ x: from.x + side.x * AWAY_PX * times, y: from.y + side.y * AWAY_PX * times })))
    const free = places.find((at) =>
      taken.every((other) => Math.abs(other.at.x - at.x) > (other.wide + wide) / 2 + 1 || Math.abs(other.at.y - at.y) > HIGH_PX * 0.8),
    )
    const at = free ?? { x: from.x - AWAY_PX, y: from.y }
    taken.push({ at, wide })
    return { ...one, at }
  })
}

/** Where the first piece of each begins. */
export function lettersOf(sampler: Sampler, done: readonly WorkedExercise[]): readonly LetterPlace[] {
  const order = teachingOrder(sampler)
  return done.flatMap((one) => {
    const first = one.pieces[0].worked.segments.find((segment) => segment.side === 'front')?.points[0]
    const place = order.findIndex((exercise) => exercise.id === one.exercise.id)
    return first && place >= 0 ? [{ id: one.exercise.id, letter: letterOf(place), at: first }] : []
  })
}
