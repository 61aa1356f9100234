/** The hand: a stitch's steps, one after another, front and back, right- or left-handed. Driven by the worked pieces. */
import { problemInWords } from '@lemmata/contract'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type Hand as HandSide, stepSentence } from '@lemmata/core/steps'
import { Button, Segmented, Select, Slider } from 'antd'
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react'
import { HandPicture } from './HandPicture.tsx'
import { saveMoving } from './save-moving.ts'
import { type HandState, type Speed, useHand } from './use-hand.ts'

interface Props {
  readonly done: WorkedExercise
  readonly clothHex: string
  readonly leftFirst?: boolean
}

export function Hand({ done, clothHex, leftFirst = false }: Props) {
  const state = useHand(done, leftFirst)
  const [large, setLarge] = useState(false)
  const { shown, step } = state
  if (!shown.ok || !step) return <p className="wrong">{shown.problems[0] ? problemInWords(shown.problems[0]) : 'This stitch cannot be shown.'}</p>
  return (
    <section className="hand" aria-label={`${done.assigned.document.name}, step by step`} onKeyDown={state.onKey} tabIndex={0}>
      <div className="hand-bar">
        <Controls state={state} />
        <WhichHand state={state} />
        <Button onClick={() => setLarge(true)} aria-label="Full screen" title="Full screen">
          ⤢
        </Button>
      </div>
      <p className="sentence" aria-live="polite" data-testid="step-sentence">
        <b>{step.number}</b> {stepSentence(step, done.assigned)}
      </p>
      <div className="both-sides">
        <figure>
          <HandPicture done={done} state={state} clothHex={clothHex} side="front" heightMm={84} />
          <figcaption>Front</figcaption>
        </figure>
        <figure>
          <HandPicture done={done} state={state} clothHex={clothHex} side="back" heightMm={84} />
          <figcaption>Back, as seen turning the cloth over</figcaption>
        </figure>
      </div>
      <MoveBar state={state}>
        <Button
          size="small"
          onClick={() => saveMoving(done, shown.value, clothHex)}
          aria-label="Save moving picture"
          title="Save moving picture: one file that moves by itself"
        >
          ⤓
        </Button>
      </MoveBar>
      {large && <FullScreen done={done} state={state} clothHex={clothHex} onClose={() => setLarge(false)} />}
    </section>
  )
}

/** The steps as stitches: sewn so far, and a slider to go to any of them. */
function MoveBar({ state: { at, last, setIndex, steps, speed, setSpeed }, children }: { state: HandState; children: ReactNode }) {
  return (
    <div className="move-bar">
      <span className="quiet">
        step {steps[at]?.number ?? 0} of {steps.length}
      </span>
      <Slider min={0} max={Math.max(1, last)} value={at} onChange={setIndex} tooltip={{ formatter: null }} ariaLabelForHandle="Step" disabled={last === 0} />
      <Select<Speed>
        aria-label="Speed"
        size="small"
        value={speed}
        onChange={setSpeed}
        options={[
          { value: 'slow', label: 'slow' },
          { value: 'usual', label: 'usual' },
          { value: 'quick', label: 'quick' },
        ]}
      />
      {children}
    </div>
  )
}

function WhichHand({ state }: { state: HandState }) {
  return (
    <Segmented<HandSide>
      aria-label="Which hand"
      value={state.hand}
      onChange={state.setHand}
      options={[
        { value: 'left', label: 'Left hand' },
        { value: 'right', label: 'Right hand' },
      ]}
    />
  )
}

function Controls({ state }: { state: HandState }) {
  const { at, last, go, setIndex, playing, play } = state
  return (
    <div className="controls">
      <Button onClick={() => setIndex(0)} disabled={at === 0} aria-label="From the start" title="From the start">
        |‹
      </Button>
      <Button onClick={() => go(-1)} disabled={at === 0} aria-label="Step back" title="←">
        ‹ Back
      </Button>
      <Button type="primary" onClick={() => go(1)} disabled={at === last} aria-label="Step on" title="→">
        On ›
      </Button>
      <Button onClick={play}>{playing ? 'Stop' : 'Play'}</Button>
    </div>
  )
}

type Side = 'front' | 'back' | 'both'

/** For a class or a camera: as large as the window, one side of the cloth or both. */
function FullScreen({ done, state, clothHex, onClose }: { done: WorkedExercise; state: HandState; clothHex: string; onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null)
  const [side, setSide] = useState<Side>('front')
  const onKey = (event: KeyboardEvent): void => {
    // The section that opened it listens for the same keys.
    event.stopPropagation()
    state.onKey(event)
  }
  useEffect(() => {
    dialog.current?.showModal()
  }, [])
  return (
    <dialog ref={dialog} className="full-hand" aria-label={`${done.assigned.document.name}, full screen`} onClose={onClose} onKeyDown={onKey}>
      <div className="picture">
        {side !== 'back' && <HandPicture done={done} state={state} clothHex={clothHex} side="front" heightMm={side === 'both' ? 34 : 50} />}
        {side !== 'front' && <HandPicture done={done} state={state} clothHex={clothHex} side="back" heightMm={side === 'both' ? 16 : 50} />}
      </div>
      <p className="sentence" aria-live="polite" data-testid="full-sentence">
        <b>{state.step?.number ?? 0}</b> {state.step ? stepSentence(state.step, done.assigned) : ''}
      </p>
      <div style={{ display: 'flex', gap: 12, alignItems: 'center', flexWrap: 'wrap' }}>
        <Controls state={state} />
        <Segmented<Side>
          aria-label="Side of the cloth"
          value={side}
          onChange={setSide}
          options={[
            { value: 'front', label: 'Front' },
            { value: 'back', label: 'Back' },
            { value: 'both', label: 'Both' },
          ]}
        />
        <WhichHand state={state} />
        <span style={{ flex: 1 }} />
        <Button onClick={() => dialog.current?.close()}>Close</Button>
      </div>
    </dialog>
  )
}
