/** The picture of one step: front, back, or both, at whatever size its box has. */
import { drawStep, lookOf } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { stepSentence } from '@lemmata/core/steps'
import { useEffect, useRef } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'
import { useSize } from '../drawing/use-size.ts'
import { drawBehind } from './draw-behind.ts'
import type { HandState } from './use-hand.ts'

/** Drawn on a card 100 mm wide, whatever the box: numbers and needle keep one proportion. */
const CARD_MM = 100
/** Numbers are this share of a large picture, and never smaller than can be read on a small one. */
const NUMBER_MM = 4.4
const LEAST_NUMBER_PX = 16

/** So many stitches seen at once are each too small for their twist to be seen. */
const MOST_IN_FULL = 100

interface Props {
  readonly done: WorkedExercise
  readonly state: HandState
  readonly clothHex: string
  readonly side: 'front' | 'back'
  readonly heightMm: number
  /** Numbers are no smaller than this. */
  readonly leastNumberPx?: number
}

export function HandPicture({ done, state, clothHex, side, heightMm, leastNumberPx = LEAST_NUMBER_PX }: Props) {
  const ref = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(ref)
  const { shown, step } = state
  // Behind the cloth it changes from step to step.
  const drawn = side === 'front' ? state.moment : step
  useEffect(() => {
    if (!shown.ok || !drawn || width === 0 || !ref.current) return
    const unit = width / CARD_MM
    const context = prepareCanvas(ref.current, width, heightMm * unit)
    if (!context) return
    context.scale(unit, unit)
    const lies = shown.value.segments.filter((one) => one.side === 'front' && one.sequence <= drawn.sequence).length
    const picture = {
      demonstration: shown.value,
      step: drawn,
      look: lookOf(done.assigned),
      widthMm: CARD_MM,
      heightMm,
      detail: lies > MOST_IN_FULL ? ('edged' as const) : ('full' as const),
      cloth: clothHex,
      numberMm: Math.max(NUMBER_MM, leastNumberPx / unit),
    }
    paintItems(context, side === 'front' ? drawStep(picture).items : drawBehind(picture))
  }, [shown, drawn, width, done, clothHex, side, heightMm, leastNumberPx])
  const label =
    side === 'front' ? `Front of the cloth, step ${step?.number ?? 0}: ${step ? stepSentence(step, done.assigned) : ''}` : 'Back of the cloth so far'
  return <canvas ref={ref} role="img" aria-label={label} data-moving={side === 'front' && state.moving} style={{ aspectRatio: `${CARD_MM} / ${heightMm}` }} />
}
