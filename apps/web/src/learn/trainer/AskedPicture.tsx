/** The cloth that is asked about, with places to touch on it; afterwards what came of it. */
import { drawStep, lookOf } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'
import type { Around } from '@lemmata/core/recall'
import type { Demonstration, Step } from '@lemmata/core/steps'
import { useEffect, useRef } from 'react'
import { paintItems, prepareCanvas } from '../../drawing/paint.ts'
import { useSize } from '../../drawing/use-size.ts'
import { useWords } from '../words/index.ts'
import type { AskedNow } from './use-sitting.ts'

const CARD = { widthMm: 100, heightMm: 92, numberMm: 5.6 }
/** Of the card: places nearer to its edge than this are not asked for, and none nearer to another than a finger is wide. */
const EDGE_MM = 8
const FINGER_MM = 13
/** What matters fills so much of the card's width. */
const FILLED_MM = 44
const LARGEST = 12

/** How near a question is looked at, and where its places lie on the card. */
export function frameFor(around: Around) {
  const near = { at: around.at, scale: Math.min(LARGEST, FILLED_MM / around.spanMm) }
  const place = ({ x, y }: Point): Point => ({ x: (x - near.at.x) * near.scale + CARD.widthMm / 2, y: (y - near.at.y) * near.scale + CARD.heightMm / 2 })
  const isSeen = (at: Point): boolean => {
    const { x, y } = place(at)
    return x >= EDGE_MM && x <= CARD.widthMm - EDGE_MM && y >= EDGE_MM && y <= CARD.heightMm - EDGE_MM
  }
  return { near, place, apartMm: FINGER_MM / near.scale, isSeen }
}

export type AskedFrame = ReturnType<typeof frameFor>

export interface PlaceToTouch {
  readonly letter: string
  readonly at: Point
  readonly state: 'open' | 'right' | 'wrong' | 'past'
}

interface Props {
  readonly asked: AskedNow
  readonly frame: AskedFrame
  readonly step: Step
  /** Another than the quiz's own where a mistake is in it. */
  readonly seen: Demonstration | null
  readonly clothHex: string
  readonly places: readonly PlaceToTouch[]
  /** A hole that is known. */
  readonly dot: Point | null
  readonly onTouch: (index: number) => void
  readonly label: string
}

export function AskedPicture({ asked: { done, quiz }, frame, step, seen, clothHex, places, dot, onTouch, label }: Props) {
  const words = useWords().train
  const ref = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(ref)
  const { demonstration } = quiz
  useEffect(() => {
    if (width === 0 || !ref.current) return
    const unit = width / CARD.widthMm
    const context = prepareCanvas(ref.current, width, CARD.heightMm * unit)
    if (!context) return
    context.scale(unit, unit)
    const picture = { ...CARD, demonstration: seen ?? demonstration, near: frame.near, step, look: lookOf(done.assigned), detail: 'full' as const }
    paintItems(context, drawStep({ ...picture, cloth: clothHex }).items)
  }, [width, seen, demonstration, frame, step, done, clothHex])
  const styleAt = (at: Point) => {
    const { x, y } = frame.place(at)
    return { left: `${x}%`, top: `${(100 * y) / CARD.heightMm}%` }
  }
  // A sign stands away from the other place: below the lower one.
  const others = (index: number): number => Math.min(...places.flatMap((one, other) => (other === index || one.state === 'open' ? [] : [one.at.y])))
  return (
    <div className="asked-picture">
      <canvas ref={ref} role="img" aria-label={label} style={{ aspectRatio: `${CARD.widthMm} / ${CARD.heightMm}` }} />
      {dot && <i className="asked-dot" style={styleAt(dot)} aria-hidden="true" />}
      {places.map(({ letter, at, state }, index) => {
        return (
          <button
            key={letter}
            type="button"
            className={`asked-place ${state}${at.y > others(index) ? ' below' : ''}`}
            aria-label={state === 'right' ? words.placeRight(letter) : state === 'wrong' ? words.placeWrong(letter) : words.place(letter)}
            disabled={state !== 'open'}
            onClick={() => onTouch(index)}
            style={styleAt(at)}
          >
            <span>{state === 'open' ? letter : ''}</span>
            {state !== 'open' && <b>{state === 'right' ? '✓' : '✕'}</b>}
          </button>
        )
      })}
    </div>
  )
}
