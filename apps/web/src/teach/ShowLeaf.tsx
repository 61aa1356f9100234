/** The moving hand, as large as the room needs it: front and back, either hand, the step's letter, as on paper, and its sentence under it. */
import { problemInWords } from '@lemmata/contract'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { stepLetter } from '@lemmata/core/sheets'
import { stepSentence } from '@lemmata/core/steps'
import { Button, Segmented } from 'antd'
import { type RefObject, useEffect, useState } from 'react'
import { HandPicture } from '../stitches/HandPicture.tsx'
import { type Speed, useHand } from '../stitches/use-hand.ts'
import { ExercisePicture } from './ExercisePicture.tsx'
import { readAloud } from './read-aloud.ts'
import type { Shown, TakeKey } from './shown.ts'

type Side = 'front' | 'back' | 'both'
const NEXT_SIDE: Readonly<Record<Side, Side>> = { both: 'front', front: 'back', back: 'both' }

interface Props {
  readonly shown: Shown
  readonly done: WorkedExercise
  readonly take: RefObject<TakeKey>
}

export function ShowLeaf({ shown: { sampler }, done, take }: Props) {
  const state = useHand(done, false, true)
  const [side, setSide] = useState<Side>('both')
  const { shown, step, at, last, go, play, playing, hand, setHand, speed, setSpeed, setIndex } = state
  const sentence = step ? stepSentence(step, done.assigned) : ''
  useEffect(() => {
    take.current = (key) => {
      if (key === 'on' && at < last) go(1)
      else if (key === 'back' && at > 0) go(-1)
      else if (key === 'play') play()
      else if (key === 'side') setSide((before) => NEXT_SIDE[before])
      else if (key === 'hand') setHand(hand === 'left' ? 'right' : 'left')
      else if (key === 'read') readAloud(sentence, done.assigned.language)
      else return false
      return true
    }
    return () => {
      take.current = () => false
    }
  }, [take, at, last, go, play, hand, setHand, sentence, done])
  if (!shown.ok || !step) return <p className="wrong">{shown.problems[0] ? problemInWords(shown.problems[0]) : 'This stitch cannot be shown.'}</p>
  const cloth = sampler.cloth.colour.hex
  return (
    <section className="teach-show" aria-label={`${done.exercise.name}, step by step`}>
      <div className={`teach-pictures ${side}`}>
        {side !== 'back' && (
          <figure>
            <HandPicture done={done} state={state} clothHex={cloth} side="front" heightMm={side === 'both' ? 66 : 46} />
            <figcaption>Front</figcaption>
          </figure>
        )}
        {side !== 'front' && (
          <div className="teach-beside">
            <figure>
              <HandPicture done={done} state={state} clothHex={cloth} side="back" heightMm={side === 'both' ? 66 : 46} />
              <figcaption>Back, turned over</figcaption>
            </figure>
            {side === 'both' && <ExercisePicture done={done} clothHex={cloth} widthPx={360} heightPx={220} />}
          </div>
        )}
      </div>
      <p className="teach-sentence" aria-live="polite" data-testid="teach-sentence">
        <b>{stepLetter(step.number)}</b> <span>{sentence}</span>
      </p>
      <div className="teach-hand">
        <Button size="large" onClick={() => setIndex(0)} disabled={at === 0}>
          From the start
        </Button>
        <Button size="large" onClick={play} title="Space">
          {playing ? 'Stop' : 'Play'}
        </Button>
        <Segmented<Speed> size="large" aria-label="Speed" value={speed} onChange={setSpeed} options={['slow', 'usual', 'quick']} />
        <Segmented
          size="large"
          aria-label="Which hand"
          value={hand}
          onChange={setHand}
          options={[
            { value: 'left', label: 'Left hand' },
            { value: 'right', label: 'Right hand' },
          ]}
        />
        <Segmented<Side>
          size="large"
          aria-label="Side of the cloth"
          value={side}
          onChange={setSide}
          options={[
            { value: 'front', label: 'Front' },
            { value: 'back', label: 'Back' },
            { value: 'both', label: 'Both' },
          ]}
        />
        <span className="teach-place">
          step {step.number} of {state.steps.length}
        </span>
        {'speechSynthesis' in window && (
          <Button size="large" onClick={() => readAloud(sentence, done.assigned.language)} title="R">
            Read it
          </Button>
        )}
      </div>
    </section>
  )
}
