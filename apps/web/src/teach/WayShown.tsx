/** One of two ways that are shown beside each other: what it is, its hand moving, and how many are for it. */
import type { WayToShow, WorkedExercise } from '@lemmata/core/exercise'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { stepLetter } from '@lemmata/core/sheets'
import { stepSentence } from '@lemmata/core/steps'
import { Button, Input, Select } from 'antd'
import { type RefObject, useEffect, useMemo } from 'react'
import { useWorkedWays } from '../compute/use-worked-ways.ts'
import { HandPicture } from '../stitches/HandPicture.tsx'
import { type HandState, type Speed, useHand } from '../stitches/use-hand.ts'

interface Props {
  readonly number: number
  readonly ways: readonly WayToShow[]
  readonly chosen: WayToShow
  readonly onChoose: (id: string) => void
  readonly name: string
  readonly onName: (name: string) => void
  readonly votes: number
  readonly onVotes: (votes: number) => void
  readonly sampler: Sampler
  /** As it is worked in the lesson: known already. */
  readonly own: WorkedExercise
  readonly hand: HandState['hand']
  readonly speed: Speed
  /** Both hands are moved together, by whoever holds this. */
  readonly hands: RefObject<Map<number, HandState>>
}

const NONE: readonly Exercise[] = []

const KINDS: Readonly<Record<WayToShow['kind'], string>> = {
  own: 'As in this lesson',
  school: 'Another way of it',
  allowed: 'Allowed instead',
  other: 'Other stitches for this line or shape',
}

export function WayShown({ number, ways, chosen, onChoose, name, onName, votes, onVotes, ...shown }: Props) {
  const { sampler, own, hand, speed, hands } = shown
  const wanted = useMemo(() => (chosen.kind === 'own' ? NONE : [chosen.exercise]), [chosen])
  const worked = useWorkedWays(wanted, sampler)
  const done = chosen.kind === 'own' ? own : (worked?.[0] ?? null)
  const failed = worked?.[0] === null
  return (
    <section className="way" aria-label={`Way ${number}`}>
      <Select
        size="large"
        aria-label={`What is shown as way ${number}`}
        value={chosen.id}
        onChange={onChoose}
        showSearch={{ optionFilterProp: 'label' }}
        options={(Object.keys(KINDS) as WayToShow['kind'][]).flatMap((kind) => {
          const own = ways.filter((one) => one.kind === kind)
          return own.length === 0 ? [] : [{ label: KINDS[kind], options: own.map((one) => ({ value: one.id, label: one.name })) }]
        })}
      />
      <div className="way-shown">
        {done ? (
          <WayMoving key={chosen.id} {...{ done, number, hand, speed, hands }} clothHex={sampler.cloth.colour.hex} />
        ) : (
          <p className="teach-empty" role="status">
            {failed ? 'This cannot be worked on the guides of this exercise.' : 'Working the stitches …'}
          </p>
        )}
      </div>
      <div className="teach-way">
        <Input size="large" aria-label={`Way ${number}`} maxLength={120} value={name} onChange={(event) => onName(event.target.value)} />
        <Button size="large" aria-label={`One less for way ${number}`} disabled={votes === 0} onClick={() => onVotes(votes - 1)}>
          −
        </Button>
        <output aria-label={`Votes for way ${number}`}>{votes}</output>
        <Button size="large" aria-label={`One more for way ${number}`} title={String(number)} onClick={() => onVotes(votes + 1)}>
          +
        </Button>
      </div>
    </section>
  )
}

interface MovingProps extends Pick<Props, 'number' | 'hand' | 'speed' | 'hands'> {
  readonly done: WorkedExercise
  readonly clothHex: string
}

function WayMoving({ done, clothHex, number, hand, speed, hands }: MovingProps) {
  const state = useHand(done, hand === 'left', true)
  const { setHand, setSpeed } = state
  useEffect(() => setHand(hand), [setHand, hand])
  useEffect(() => setSpeed(speed), [setSpeed, speed])
  useEffect(() => {
    const all = hands.current
    all.set(number, state)
    return () => {
      if (all.get(number) === state) all.delete(number)
    }
  }, [hands, number, state])
  const { shown, step } = state
  if (!shown.ok || !step) return <p className="teach-empty">This stitch cannot be shown.</p>
  return (
    <>
      <HandPicture done={done} state={state} clothHex={clothHex} side="front" heightMm={58} />
      <p className="way-sentence" data-testid={`way-${number}-sentence`}>
        <b>{stepLetter(step.number)}</b> {stepSentence(step, done.assigned)}
        <span className="teach-place">
          step {step.number} of {state.steps.length}
        </span>
      </p>
    </>
  )
}
