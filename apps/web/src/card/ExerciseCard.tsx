/** What is known and chosen about the exercise that is held: first what is wrong, then what this stage is about. */
import { mendFor, problemsOnCloth, setAsideOnCloth } from '@lemmata/core/mend'
import type { Problem, Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { findStitch } from '@lemmata/core/stitches'
import { counted, formatLength } from '@lemmata/core/units'
import { App, Button, Collapse } from 'antd'
import { type KeyboardEvent, type ReactNode, useEffect, useState } from 'react'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { edit, undo, useAppDispatch } from '../store/index.ts'
import { cardClosed } from '../store/sampler.ts'
import { ProblemLine } from '../sampler/ProblemLine.tsx'
import type { Course } from '../order/use-course.ts'
import { ClothGroup } from './ClothGroup.tsx'
import { NotesGroup } from './NotesGroup.tsx'
import { OrderGroup } from './OrderGroup.tsx'
import { ThreadGroup } from './ThreadGroup.tsx'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly letter: string
  readonly result: Result<WorkedExercise> | null
  readonly course: Course
  readonly stage: string
}

type GroupKey = 'cloth' | 'thread' | 'order' | 'notes'

export function ExerciseCard({ sampler, exercise, letter, result, course, stage }: Props) {
  const dispatch = useAppDispatch()
  const own: GroupKey = stage === 'order' || stage === 'thread' ? stage : 'cloth'
  const [open, setOpen] = useState<GroupKey | null>(own)
  useEffect(() => setOpen(own), [own])
  const done = result?.ok ? result.value : null
  const { done: among } = useWorked()
  const stitch = findStitch(exercise.stitch, sampler.stitches)
  const close = (): void => void dispatch(cardClosed())
  const onKey = (event: KeyboardEvent): void => {
    // A list or a field that is open takes Escape for itself.
    if (event.key !== 'Escape' || event.defaultPrevented) return
    document.querySelector<HTMLElement>('.spine [tabindex="0"]')?.focus()
  }
  const groups: readonly { key: GroupKey; label: string; fact: string; children: ReactNode }[] = [
    { key: 'cloth', label: 'Cloth', fact: clothFact(done, sampler), children: <ClothGroup sampler={sampler} exercise={exercise} done={done} /> },
    { key: 'thread', label: 'Thread', fact: threadFact(done), children: <ThreadGroup sampler={sampler} exercise={exercise} done={done} /> },
    {
      key: 'order',
      label: 'Order',
      fact: orderFact(done, exercise, course),
      children: <OrderGroup sampler={sampler} exercise={exercise} done={done} course={course} />,
    },
    {
      key: 'notes',
      label: 'Notes',
      fact: notesFact(exercise, done ? setAsideOnCloth(done, sampler, among).length : 0),
      children: <NotesGroup sampler={sampler} exercise={exercise} done={done} />,
    },
  ]
  return (
    <aside className="card" aria-label={`Card of ${exercise.name}`} data-testid="exercise-card" onKeyDown={onKey}>
      <div className="card-head">
        <span className="letter">{letter}</span>
        <div className="card-title">
          <h2 title={exercise.name}>{exercise.name}</h2>
          <span>
            {done?.assigned.document.name ?? stitch?.name ?? exercise.stitch}
            {done ? `, ${counted(done.stitches, 'stitch', 'stitches')}` : ''}
          </span>
        </div>
        <Button type="text" size="small" aria-label="Close the card" title="Close the card" onClick={close}>
          ×
        </Button>
      </div>
      <Problems key={exercise.id} sampler={sampler} exercise={exercise} result={result} stage={stage} />
      <Collapse
        ghost
        className="card-groups"
        activeKey={open ? [open] : []}
        onChange={(keys) => setOpen((keys.find((key) => key !== open) as GroupKey | undefined) ?? null)}
        items={groups.map(({ key, label, fact, children }) => ({
          key,
          label,
          extra: <span className="fact">{open === key ? '' : fact}</span>,
          children,
        }))}
      />
      <Foot exercise={exercise} />
    </aside>
  )
}

/** The worst first; the others behind one press. */
function Problems({ sampler, exercise, result, stage }: Pick<Props, 'sampler' | 'exercise' | 'result' | 'stage'>) {
  const [all, setAll] = useState(false)
  const { done: among } = useWorked()
  const problems = problemsHere(result, sampler, among)
  const done = result?.ok ? result.value : null
  const first = problems.filter((problem) => isAbout(problem, stage))
  const sorted = [...first, ...problems.filter((problem) => !first.includes(problem))].sort(
    (a, b) => Number(b.severity === 'error') - Number(a.severity === 'error'),
  )
  const shown = all ? sorted : sorted.slice(0, 1)
  if (problems.length === 0) return result && stage !== 'order' ? <p className="all-well">Everything suits. Nothing to mend.</p> : null
  return (
    <div className={sorted[0]?.severity === 'error' ? 'card-problems error' : 'card-problems'}>
      {shown.map((problem) => (
        <ProblemLine
          key={problem.code + problem.path.join()}
          problem={problem}
          mend={mendFor(problem, exercise, done, sampler, among)}
          onLeave={() => leave(exercise, problem.code)}
        />
      ))}
      {problems.length > 1 && (
        <Button type="link" size="small" onClick={() => setAll(!all)}>
          {all ? 'Only the first' : `and ${problems.length - 1} more`}
        </Button>
      )}
    </div>
  )
}

function leave(exercise: Exercise, code: string): void {
  edit({ kind: 'change-exercise', id: exercise.id, set: { setAside: [...(exercise.setAside ?? []), code] } })
}

const isAbout = (problem: Problem, stage: string): boolean => problem.code.startsWith('assign.') === (stage === 'thread')

function problemsHere(result: Result<WorkedExercise> | null, sampler: Sampler, among: readonly WorkedExercise[]): readonly Problem[] {
  return result?.ok ? problemsOnCloth(result.value, sampler, among) : (result?.problems ?? [])
}

function clothFact(done: WorkedExercise | null, { units }: Sampler): string {
  if (!done) return ''
  const [first] = done.pieces
  const copies = done.pieces.length > 1 ? `${done.pieces.length} pieces, ` : ''
  return first.guide.kind === 'spots' ? `${copies}${counted(done.stitches, 'spot')}` : `${copies}pitch ${formatLength(first.worked.fitted.pitchMm, units, 2)}`
}

function threadFact(done: WorkedExercise | null): string {
  if (!done) return ''
  const { thread, strands, needle } = done.assigned.main
  return `${thread.value.colour.name}, ${counted(strands.value, 'strand')}, ${nameNeedle(needle.value)}`
}

function orderFact(done: WorkedExercise | null, exercise: Exercise, { plan }: Course): string {
  const lesson = plan.lessons.findIndex((ids) => ids.includes(exercise.id))
  const where = lesson < 0 ? '' : `, lesson ${lesson + 1}`
  return done ? `difficulty ${Math.round(done.difficulty.score)}${where}` : ''
}

function notesFact({ trials = [], substitutes = [] }: Exercise, aside: number): string {
  const said = [
    aside > 0 ? `${aside} set aside` : '',
    trials.length > 0 ? counted(trials.length, 'trial') : '',
    substitutes.length > 0 ? `${substitutes.length} also allowed` : '',
  ]
  return said.filter((one) => one !== '').join(', ') || 'none'
}

function Foot({ exercise }: { exercise: Exercise }) {
  const { message } = App.useApp()
  const remove = (): void => {
    edit({ kind: 'remove-exercise', id: exercise.id })
    message.info({
      duration: 6,
      content: (
        <span>
          {exercise.name} is taken off.{' '}
          <Button size="small" type="link" onClick={undo}>
            Put it back
          </Button>
        </span>
      ),
    })
  }
  return (
    <div className="card-foot">
      <Link className="ant-btn ant-btn-default" to={`stitches?stitch=${encodeURIComponent(exercise.stitch)}`}>
        Show the stitch
      </Link>
      <Button danger onClick={remove}>
        Take off
      </Button>
    </div>
  )
}
