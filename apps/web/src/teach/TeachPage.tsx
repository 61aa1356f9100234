/**
 * A lesson taught from one screen, for a room or a camera: moved by keys, a presenter's remote, a pedal that sends keys, or by hand.
 * It stands over everything else; where it is stands in its address, so that a page that is loaded again goes on there.
 */
import { courseOnDates, lessonOrders } from '@lemmata/core/calendar'
import { courseOf } from '@lemmata/core/order'
import type { TaughtLesson } from '@lemmata/core/plan'
import { taughtLessons } from '@lemmata/core/plan'
import { teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { Button } from 'antd'
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react'
import { useLocation, useNavigate, useParams } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { useClass } from '../sheets/use-class.ts'
import { useAppSelector } from '../store/index.ts'
import { BeginLeaf } from './BeginLeaf.tsx'
import { EndLeaf } from './EndLeaf.tsx'
import { type Leaf, leavesOf, placeOf } from './leaves.ts'
import { LookLeaf } from './LookLeaf.tsx'
import { QuestionDialog } from './QuestionDialog.tsx'
import { SettingPanel } from './SettingPanel.tsx'
import { ShowLeaf } from './ShowLeaf.tsx'
import type { Shown, TakeKey } from './shown.ts'
import { TeachingTimer } from './TeachingTimer.tsx'
import { useAwake } from './use-awake.ts'
import { VoteScreen } from './VoteScreen.tsx'

interface Place {
  readonly lesson: string
  readonly leaf: number
}

export function TeachPage() {
  const { id = '', lesson: wanted, leaf = '0' } = useParams()
  const sampler = useSampler()
  const { done, complete } = useWorked()
  const lessons = useMemo(() => taughtLessons(sampler, done), [sampler, done])
  const course = useMemo(() => courseOf(done), [done])
  const held = useAppSelector((state) => state.sampler.selected)
  const navigate = useNavigate()
  const cameFrom = useCameFrom()
  const leave = (): void => void navigate(cameFrom ?? `/samplers/${id}/calendar`)
  // Kept here, not in the address alone: keys that follow one another faster than the address changes are all taken.
  const [turned, setTurned] = useState<Place | null>(null)
  // Come to from an exercise it begins with that; from nowhere, with the first lesson.
  const first = wanted === undefined && held !== null ? placeOf(lessons, held) : { lesson: wanted ?? '', leaf: Number(leaf) || 0 }
  const at = turned ?? first
  const lesson = lessons.find((one) => one.lesson.id === at?.lesson) ?? lessons[0]
  const address = turned && `/samplers/${id}/teach/${turned.lesson}/${turned.leaf}`
  useEffect(() => {
    if (address) void navigate(address, { replace: true, state: { from: cameFrom } })
  }, [address, navigate, cameFrom])
  if (!lesson)
    return (
      <div className="teach" role="dialog" aria-label="Teach">
        <p className="teach-empty">{complete ? 'No lesson holds an exercise yet: put some into lessons under Order.' : 'Working the stitches …'}</p>
        <Button size="large" onClick={leave}>
          Leave
        </Button>
      </div>
    )
  const letters = new Map(teachingOrder(sampler).map((one, index) => [one.id as string, letterOf(index)]))
  const turn = (by: number): void => setTurned((before) => turnedBy(lessons, before ?? { lesson: lesson.lesson.id, leaf: at?.leaf ?? 0 }, by))
  return <Teaching key={lesson.lesson.id} shown={{ sampler, lessons, course, lesson, letters }} at={at?.leaf ?? 0} turn={turn} onLeave={leave} />
}

/** A leaf on or back, over into the lesson beside; where there is none it stays. */
function turnedBy(lessons: readonly TaughtLesson[], { lesson, leaf }: Place, by: number): Place {
  const index = lessons.findIndex((one) => one.lesson.id === lesson)
  const here = lessons[index]
  if (here && leaf + by >= 0 && leaf + by < leavesOf(here).length) return { lesson, leaf: leaf + by }
  const other = lessons[index + by]
  return other ? { lesson: other.lesson.id, leaf: by > 0 ? 0 : leavesOf(other).length - 1 } : { lesson, leaf }
}

/** The page that it was come to from, to go back to. */
function useCameFrom(): string | undefined {
  const { state } = useLocation() as { readonly state: { readonly from?: string } | null }
  return state?.from
}

interface TeachingProps {
  readonly shown: Shown
  readonly at: number
  readonly turn: (by: number) => void
  readonly onLeave: () => void
}

function Teaching({ shown, at, turn, onLeave }: TeachingProps) {
  const { lesson } = shown
  const id = useAppSelector((state) => state.sampler.open?.id ?? '')
  const group = useClass(id)
  const calendar = group.open?.document.calendar
  const { sampler, lessons, course } = shown
  const dates = useMemo(() => (calendar ? courseOnDates(sampler, calendar, course) : null), [sampler, calendar, course])
  const orders = useMemo(
    () => lessonOrders(lessons, course, lesson.lesson.id, dates?.room ?? sampler.brief.lessonMinutes, dates?.laid ?? null),
    [lessons, course, lesson, dates, sampler],
  )
  const leaves = leavesOf(lesson)
  const here = Math.min(Math.max(0, at), leaves.length - 1)
  const leaf = leaves[here] as Leaf
  const take = useRef<TakeKey>(() => false)
  const [dim, setDim] = useState(false)
  const [setting, setSetting] = useState(false)
  const [noting, setNoting] = useState<'question' | 'vote' | null>(null)
  const screen = useRef<HTMLDivElement>(null)
  // A vote is on what is shown; at the beginning and the end of a lesson, on its first exercise.
  const voted = 'done' in leaf ? leaf.done : lesson.exercises[0]
  const closeNotes = (): void => {
    setNoting(null)
    screen.current?.focus()
  }
  useAwake()
  useEffect(() => screen.current?.focus(), [])
  const on = (): void => void (take.current('on') || turn(1))
  const back = (): void => void (take.current('back') || turn(-1))
  const keys: Readonly<Record<string, () => void>> = {
    ...{ ArrowRight: on, PageDown: on, ArrowDown: on, ArrowLeft: back, PageUp: back, ArrowUp: back },
    ...{ n: () => turn(1), p: () => turn(-1), ' ': () => take.current('play'), f: () => take.current('side'), h: () => take.current('hand') },
    ...{
      r: () => take.current('read'),
      s: () => setSetting((before) => !before),
      b: () => setDim((before) => !before),
      '.': () => setDim((before) => !before),
    },
    ...{ q: () => setNoting('question'), v: () => setNoting('vote'), Escape: () => (dim ? setDim(false) : onLeave()) },
  }
  const onKey = (event: KeyboardEvent): void => {
    if (noting !== null || event.ctrlKey || event.metaKey || event.altKey) return
    // A button that is stood on is pressed by its own keys.
    if (event.key === ' ' && event.target instanceof HTMLButtonElement) return
    const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (!act) return
    event.preventDefault()
    event.stopPropagation()
    act()
  }
  return (
    <div ref={screen} className="teach" role="dialog" aria-modal="true" aria-label={`Teach: ${lesson.lesson.title}`} tabIndex={-1} onKeyDown={onKey}>
      <div className="teach-leaf" key={here}>
        {leaf.kind === 'begin' && <BeginLeaf shown={shown} />}
        {leaf.kind === 'show' && <ShowLeaf shown={shown} done={leaf.done} take={take} />}
        {leaf.kind === 'look' && <LookLeaf shown={shown} done={leaf.done} />}
        {leaf.kind === 'end' && <EndLeaf shown={shown} group={group.open?.document} />}
        {setting && <SettingPanel shown={shown} of={'done' in leaf ? [leaf.done] : lesson.exercises} />}
      </div>
      <div className="teach-bar">
        <Button size="large" onClick={back} title="Page up, ←">
          ‹ Back
        </Button>
        <Button size="large" type="primary" onClick={on} title="Page down, →">
          On ›
        </Button>
        <span className="teach-place" aria-live="polite">
          {nameOf(leaf, shown)}, {here + 1} of {leaves.length}
        </span>
        <TeachingTimer orders={orders} room={dates?.room ?? shown.sampler.brief.lessonMinutes} letters={shown.letters} />
        <Button size="large" onClick={() => setSetting(!setting)} aria-pressed={setting} title="S">
          In the needle
        </Button>
        <Button size="large" onClick={() => setNoting('question')} title="Q">
          Question
        </Button>
        <Button size="large" onClick={() => setNoting('vote')} title="V">
          Vote
        </Button>
        <Button size="large" onClick={() => setDim(true)} title="B">
          Dim
        </Button>
        <Button size="large" onClick={onLeave} title="Esc">
          Leave
        </Button>
      </div>
      {dim && (
        <button type="button" className="teach-dim" onClick={() => setDim(false)}>
          Eyes here. Any key that moves on, or a press, and the picture is back.
        </button>
      )}
      {noting === 'question' && <QuestionDialog lesson={lesson.lesson} group={group} onClose={closeNotes} />}
      {noting === 'vote' && voted && (
        <VoteScreen sampler={sampler} lesson={lesson.lesson} exercises={lesson.exercises} of={voted} group={group} onClose={closeNotes} />
      )}
    </div>
  )
}

function nameOf(leaf: Leaf, { lesson, letters }: Shown): string {
  if (leaf.kind === 'begin') return `Lesson ${lesson.number}`
  if (leaf.kind === 'end') return 'Until next time'
  return `${letters.get(leaf.done.exercise.id) ?? ''} ${leaf.done.exercise.name}${leaf.kind === 'look' ? ', looked at' : ''}`
}
