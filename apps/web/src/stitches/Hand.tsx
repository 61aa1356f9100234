/** The hand: a stitch's moves, one after another, front and back, right- or left-handed. Driven by the worked pieces. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { drawStep, lookOf } from '@lemmata/core/drawing'
import { demonstrate, type Hand as HandSide } from '@lemmata/core/steps'
import { Button, Segmented } from 'antd'
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'
import { useSize } from '../drawing/use-size.ts'
import { drawBehind } from './draw-behind.ts'

const STEP_MS = 1500

export function Hand({ done, clothHex, leftFirst = false }: { done: WorkedExercise; clothHex: string; leftFirst?: boolean }) {
  const [hand, setHand] = useState<HandSide>(leftFirst ? 'left' : 'right')
  const [index, setIndex] = useState(0)
  const [playing, setPlaying] = useState(false)
  const shown = useMemo(
    () => demonstrate({ document: done.assigned.document, parameters: done.assigned.parameters, materials: done.assigned.materials, hand }),
    [done, hand],
  )
  const steps = shown.ok ? shown.value.steps : []
  const last = steps.length - 1
  const at = Math.min(index, Math.max(0, last))
  const step = steps[at]
  const go = useCallback((by: number) => setIndex((before) => Math.min(Math.max(0, before + by), Math.max(0, last))), [last])
  useEffect(() => {
    setIndex(0)
    setPlaying(false)
  }, [done.assigned.document.id])
  useEffect(() => {
    if (!playing) return
    const timer = setTimeout(() => {
      if (at >= last) setPlaying(false)
      else go(1)
    }, STEP_MS)
    return () => clearTimeout(timer)
  }, [playing, at, last, go])

  const front = useRef<HTMLCanvasElement>(null)
  const back = useRef<HTMLCanvasElement>(null)
  const { width } = useSize(front)
  useEffect(() => {
    if (!shown.ok || !step || width === 0) return
    const look = lookOf(done.assigned)
    // Drawn on a card 100 mm wide, whatever the box: numbers and needle keep one proportion.
    const unit = width / 100
    for (const [canvas, heightMm, side] of [
      [front.current, 52, 'front'],
      [back.current, 26, 'back'],
    ] as const) {
      if (!canvas) continue
      const context = prepareCanvas(canvas, width, heightMm * unit)
      if (!context) continue
      context.scale(unit, unit)
      const picture = { demonstration: shown.value, step, look, widthMm: 100, heightMm, detail: 'full' as const, cloth: clothHex, numberMm: 4.4 }
      paintItems(context, side === 'front' ? drawStep(picture).items : drawBehind(picture))
    }
  }, [shown, step, width, done, clothHex])

  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'ArrowRight') go(1)
    else if (event.key === 'ArrowLeft') go(-1)
    else if (event.key === ' ' && event.target instanceof HTMLElement && event.target.tagName !== 'BUTTON') setPlaying((before) => !before)
    else return
    event.preventDefault()
  }

  if (!shown.ok || !step) return <p className="wrong">{shown.problems[0]?.message ?? 'This stitch cannot be shown.'}</p>
  return (
    <section className="hand" aria-label={`${done.assigned.document.name}, move by move`} onKeyDown={onKey} tabIndex={0}>
      <div style={{ display: 'flex', alignItems: 'baseline', gap: 10 }}>
        <h2 style={{ flex: 1 }}>{done.assigned.document.name}</h2>
        <Segmented<HandSide>
          aria-label="Which hand"
          value={hand}
          onChange={setHand}
          options={[
            { value: 'left', label: 'Left hand' },
            { value: 'right', label: 'Right hand' },
          ]}
        />
      </div>
      <canvas ref={front} role="img" aria-label={`Front of the cloth, move ${step.number}: ${step.sentence}`} style={{ aspectRatio: '100 / 52' }} />
      <p className="sentence" aria-live="polite" style={{ margin: 0 }} data-testid="step-sentence">
        <b>{step.number}</b> {step.sentence}
      </p>
      <div className="controls">
        <Button onClick={() => setIndex(0)} disabled={at === 0}>
          From the start
        </Button>
        <Button onClick={() => go(-1)} disabled={at === 0} aria-label="Step back" title="←">
          ‹ Back
        </Button>
        <Button type="primary" onClick={() => go(1)} disabled={at === last} aria-label="Step on" title="→">
          On ›
        </Button>
        <Button
          onClick={() => {
            if (at === last) setIndex(0)
            setPlaying(!playing)
          }}
        >
          {playing ? 'Stop' : 'Play'}
        </Button>
        <span className="quiet">
          move {step.number} of {steps.length}
        </span>
      </div>
      <div className="quiet" style={{ fontSize: 13.5 }}>
        Behind, as seen turning the cloth over
      </div>
      <canvas ref={back} role="img" aria-label="Back of the cloth so far" style={{ aspectRatio: '100 / 26' }} />
    </section>
  )
}
