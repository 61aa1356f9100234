/**
 * Two ways shown beside each other on the exercise's own guides, both hands moving, and a vote on them that is kept with the lesson.
 * Hands are counted by the keys 1 and 2 (with Shift: one less), so that whoever teaches can look at the room.
 */
import { type WayToShow, waysToShow, type WorkedExercise } from '@lemmata/core/exercise'
import type { Lesson, Sampler } from '@lemmata/core/sampler'
import { Button, Input, Segmented, Select } from 'antd'
import dayjs from 'dayjs'
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react'
import type { ClassInPage } from '../sheets/use-class.ts'
import type { HandState, Speed } from '../stitches/use-hand.ts'
import { editClass } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { WayShown } from './WayShown.tsx'

interface Props {
  readonly sampler: Sampler
  readonly lesson: Lesson
  /** Of the lesson; what the first of them could be is shown. */
  readonly exercises: readonly WorkedExercise[]
  readonly of: WorkedExercise
  readonly group: ClassInPage
  readonly onClose: () => void
}

interface Counted {
  readonly way: string
  /** As the teacher calls it; null: as it is called. */
  readonly name: string | null
  readonly votes: number
}
const NUMBERS = [1, 2] as const

export function VoteScreen({ sampler, lesson, exercises, of, group, onClose }: Props) {
  const [about, setAbout] = useState('')
  const [exercise, setExercise] = useState<string>(of.exercise.id)
  const done = exercises.find((one) => one.exercise.id === exercise) ?? of
  const ways = useMemo(() => waysToShow(done, sampler), [done, sampler])
  const [counts, setCounts] = useState<readonly Counted[]>(() => begun(ways))
  const shown = counts.map((one) => ways.find((way) => way.id === one.way) ?? (ways[0] as WayToShow))
  const hands = useRef(new Map<number, HandState>())
  const screen = useRef<HTMLDivElement>(null)
  useEffect(() => screen.current?.focus(), [])
  const both = (move: (one: HandState) => void): void => hands.current.forEach(move)
  const [hand, setHand] = useState<'left' | 'right'>('right')
  const [speed, setSpeed] = useState<Speed>('usual')
  const change = (index: number, set: Partial<Counted>): void => setCounts((before) => before.map((one, at) => (at === index ? { ...one, ...set } : one)))
  const add = (index: number, more: number): void =>
    setCounts((before) => before.map((one, at) => (at === index ? { ...one, votes: Math.min(1000, Math.max(0, one.votes + more)) } : one)))
  const play = (): void => {
    const all = [...hands.current.values()]
    // Stopped together if one moves, begun together if none does.
    const moves = all.some((one) => one.playing)
    for (const one of all) if (one.playing === moves) one.play()
  }
  const keep = async (): Promise<void> => {
    const told = counts.map((one, index) => ({ name: one.name?.trim() || (shown[index] as WayToShow).name, votes: one.votes }))
    const note = { kind: 'vote' as const, lesson: lesson.id, on: dayjs().format('YYYY-MM-DD'), about: about.trim() || asked(done), ways: told }
    if (await group.ensure()) editClass({ kind: 'set-note', id: newId('n'), note })
    onClose()
  }
  const isEmpty = counts.every((one) => one.votes === 0)
  const keys: Readonly<Record<string, () => void>> = {
    ...{ ArrowRight: () => both((one) => one.go(1)), PageDown: () => both((one) => one.go(1)), ArrowLeft: () => both((one) => one.go(-1)) },
    ...{ PageUp: () => both((one) => one.go(-1)), Home: () => both((one) => one.setIndex(0)), ' ': play, h: () => setHand(hand === 'left' ? 'right' : 'left') },
    ...{ Enter: () => !isEmpty && void keep() },
  }
  const onKey = (event: KeyboardEvent): void => {
    event.stopPropagation()
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const at = event.target as HTMLElement
    if (event.key === 'Escape') {
      // What is open over it is closed by the same key first.
      if (at.getAttribute('aria-expanded') !== 'true') onClose()
      return
    }
    // What is typed is typed, and a button is pressed by its own keys.
    if (at instanceof HTMLInputElement || (at instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter'))) return
    const number = /^(?:Digit|Numpad)([12])$/.exec(event.code)?.[1]
    const act = number ? () => add(Number(number) - 1, event.shiftKey ? -1 : 1) : keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (!act) return
    event.preventDefault()
    act()
  }
  return (
    <div ref={screen} className="vote" role="dialog" aria-modal="true" aria-label={`A vote in ${lesson.title}`} tabIndex={-1} onKeyDown={onKey}>
      <div className="vote-head">
        <Input
          size="large"
          aria-label="What is voted on"
          placeholder={asked(done)}
          maxLength={400}
          value={about}
          onChange={(event) => setAbout(event.target.value)}
        />
        {exercises.length > 1 && (
          <Select
            size="large"
            aria-label="Of which exercise"
            value={done.exercise.id}
            onChange={(id) => {
              const next = exercises.find((one) => one.exercise.id === id)
              if (!next) return
              setExercise(id)
              setCounts(begun(waysToShow(next, sampler)))
            }}
            options={exercises.map((one) => ({ value: one.exercise.id, label: one.exercise.name }))}
          />
        )}
      </div>
      <div className="vote-ways">
        {NUMBERS.map((number) => {
          const count = counts[number - 1] as Counted
          const way = shown[number - 1] as WayToShow
          return (
            <WayShown
              key={number}
              number={number}
              ways={ways}
              chosen={way}
              // Votes were for what was shown: another way begins without any.
              onChoose={(id) => change(number - 1, { way: id, name: null, votes: 0 })}
              name={count.name ?? way.name}
              onName={(name) => change(number - 1, { name })}
              votes={count.votes}
              onVotes={(votes) => change(number - 1, { votes })}
              sampler={sampler}
              own={done}
              hand={hand}
              speed={speed}
              hands={hands}
            />
          )
        })}
      </div>
      <div className="teach-bar">
        <Button size="large" onClick={() => both((one) => one.go(-1))} title="Page up, ←">
          ‹ Back
        </Button>
        <Button size="large" onClick={() => both((one) => one.go(1))} title="Page down, →">
          On ›
        </Button>
        <Button size="large" onClick={play} title="Space">
          Play both
        </Button>
        <Segmented<Speed> size="large" aria-label="Speed" value={speed} options={['slow', 'usual', 'quick']} onChange={setSpeed} />
        <Segmented
          size="large"
          aria-label="Which hand"
          value={hand}
          onChange={setHand}
          options={[
            { value: 'left' as const, label: 'Left hand' },
            { value: 'right' as const, label: 'Right hand' },
          ]}
        />
        <span className="teach-place">Keys 1 and 2 count, with Shift back</span>
        <Button size="large" type="primary" disabled={isEmpty} onClick={() => void keep()} title="Enter">
          Keep it with the lesson
        </Button>
        <Button size="large" onClick={onClose} title="Esc">
          Leave it
        </Button>
      </div>
    </div>
  )
}

const asked = ({ exercise }: WorkedExercise): string => `${exercise.name}: which of the two?`

/** As the exercise is worked, beside the way that comes next to it. */
const begun = (ways: readonly WayToShow[]): readonly Counted[] =>
  [ways[0], ways[1] ?? ways[0]].map((one) => ({ way: (one as WayToShow).id, name: null, votes: 0 }))
