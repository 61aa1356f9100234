/** The class: who is how far with what, who came, how long they practised, what each does next, and what was asked. */
import { courseOnDates } from '@lemmata/core/calendar'
import { needlefulsOf } from '@lemmata/core/exercise'
import { learnedFrom, lessonNow, minutesTold, practiceOf, threadTold, whatNext } from '@lemmata/core/practice'
import { teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { cutText } from '@lemmata/contract'
import { counted } from '@lemmata/core/units'
import { Button, Input, Modal, Segmented, Select } from 'antd'
import dayjs from 'dayjs'
import { lazy, Suspense, useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { courseNow } from '../order/use-course.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { MakePdf } from '../sheets/MakePdf.tsx'
import { nextRowsAddress } from '../sheets/papers.ts'
import { keptPaper } from '../sheets/use-paper.ts'
import { useClass } from '../sheets/use-class.ts'
import { editClass, useAppSelector } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { CameTable } from './CameTable.tsx'
import { nextForTeacher } from './class-words.ts'
import { JoinDialog } from './JoinDialog.tsx'
import { LearnerCard } from './LearnerCard.tsx'
import { NotesView } from './NotesView.tsx'
import { PicturesDialog } from './PicturesDialog.tsx'
import { PracticeGrid } from './PracticeGrid.tsx'
import { TakeOver } from './TakeOver.tsx'
import { ThreadToldTable } from './ThreadToldTable.tsx'
import { useLearning } from './use-learning.ts'

// Charts are much to load, and not what the class is opened for.
// Measuring too.
const RulerDialog = lazy(() => import('./RulerDialog.tsx').then((one) => ({ default: one.RulerDialog })))
const MinutesChart = lazy(() => import('./MinutesChart.tsx').then((one) => ({ default: one.MinutesChart })))

type View = 'practice' | 'came' | 'time' | 'notes'

export function ClassStage() {
  const sampler = useSampler()
  const worked = useWorked()
  const id = useAppSelector((state) => state.sampler.open?.id ?? '')
  const group = useClass(id)
  const learning = useLearning(group.open?.id ?? null)
  const { course } = courseNow(sampler, worked)
  const [view, setView] = useState<View>('practice')
  const [held, setHeld] = useState<{ readonly learner: string; readonly exercise: string } | null>(null)
  const [joining, setJoining] = useState(false)
  const [naming, setNaming] = useState(false)
  const [isRuling, setRuling] = useState(false)
  const [isComparing, setComparing] = useState(false)
  const calendar = group.open?.document.calendar
  const dates = calendar ? courseOnDates(sampler, calendar, course).laid : null
  const today = dayjs().format('YYYY-MM-DD')
  const lessons = sampler.lessons
    .filter((one) => one.exercises.length > 0)
    .map((one, index) => ({ ...one, number: index + 1, on: dates?.lessons.find((dated) => dated.lesson === one.id)?.on[0] ?? null }))
  const now = lessonNow(lessons, today)
  const letters = new Map(teachingOrder(sampler).map((one, index) => [one.id as string, letterOf(index)]))
  const nameOf = (exercise: string): string => sampler.exercises.find((one) => one.id === exercise)?.name ?? exercise
  const planned = (exercise: string): number => course.find((one) => one.id === exercise)?.homeMinutes ?? 0
  const names = {
    exercise: (one: string) => `${letters.get(one) ?? ''} ${nameOf(one)}`,
    lesson: (one: string) => lessons.find((lesson) => lesson.id === one)?.number ?? 0,
  }
  const columns = lessons.flatMap((lesson) =>
    lesson.exercises.map((one, index) => ({
      ...{ id: one, letter: letters.get(one) ?? '', name: nameOf(one) },
      ...{ isNow: lesson.id === now, isFirstOfLesson: index === 0 },
    })),
  )
  const events = learning.learning?.events ?? []
  const pictures = learning.learning?.pictures ?? []
  const learners = (group.open?.document.learners ?? []).map((learner) => {
    const practice = practiceOf(events, learner.id)
    const next = whatNext(practice, lessons, today, planned)
    return {
      ...{ learner, id: learner.id, name: learner.name, isLeft: learner.hand === 'left', practice },
      ...{ next: nextForTeacher(next, names, sampler.units), needsHelp: next.kind === 'help' },
    }
  })
  const stuck = learners.filter((one) => one.needsHelp)
  const asked = learners.flatMap(({ name, practice }) => practice.questions.map((one) => ({ ...one, name })))
  const notes = group.open?.document.notes ?? {}
  const answered = new Set(Object.values(notes).flatMap((note) => (note.kind === 'question' ? (note.of ?? []) : [])))
  const open = asked.filter((one) => !answered.has(one.id))
  const learned = learnedFrom(
    learners.map((one) => one.practice),
    planned,
  )
  const told = minutesTold(
    learners.map((one) => one.practice),
    columns.map((one) => one.id),
    planned,
  )
  const needlefuls = new Map(worked.done.map((one) => [one.exercise.id as string, needlefulsOf(one)]))
  const thread = threadTold(
    learners.map((one) => one.practice),
    columns.map((one) => one.id),
    (exercise) => needlefuls.get(exercise) ?? 0,
  )
  const heldLearner = learners.find((one) => one.id === held?.learner)
  const isEmpty = lessons.length === 0 || learners.length === 0
  return (
    <div className="stage-frame">
      <h1 className="visually-hidden">Class</h1>
      <div className="toolbar">
        <Segmented<View>
          aria-label="Seen as"
          value={view}
          onChange={setView}
          options={[
            { value: 'practice', label: 'Practice' },
            { value: 'came', label: 'Came' },
            { value: 'time', label: 'Time' },
            { value: 'notes', label: open.length > 0 ? `Notes, ${open.length} asked` : 'Notes' },
          ]}
        />
        {group.classes.length > 1 && (
          <Select
            aria-label="Class"
            style={{ minWidth: 160 }}
            value={group.open?.id ?? null}
            onChange={group.choose}
            options={group.classes.map((one) => ({ value: one.id, label: one.name }))}
          />
        )}
        <span className="quiet" role="status">
          {isEmpty
            ? ''
            : stuck.length > 0
              ? `${counted(stuck.length, 'learner')} stuck: ${cutText(stuck.map((one) => one.name).join(', '), 60)}`
              : 'Nobody is stuck.'}
        </span>
        <span className="toolbar-end">
          {pictures.length > 0 && <Button onClick={() => setComparing(true)}>{counted(pictures.length, 'picture')} sent</Button>}
          {!isEmpty && group.open && (
            <MakePdf
              label="Print next rows"
              address={nextRowsAddress(id, group.open.id, keptPaper())}
              revision={events.length}
              disabled={false}
              onMade={onMade}
            />
          )}
          <Button onClick={() => setNaming(true)}>Add learners</Button>
          <Button type="primary" onClick={() => void group.ensure().then((is) => is && setJoining(true))}>
            Let learners join
          </Button>
        </span>
      </div>
      <div className="stores-body">
        <div className="stage-scroll class-body" role="region" aria-label="The class" tabIndex={-1}>
          {isEmpty ? (
            <p className="quiet stage-empty">
              {lessons.length === 0
                ? 'No lesson yet: put exercises into lessons under Order, and here stands who is how far with each.'
                : 'Nobody yet. Add learners by name, or let them join on their own phones with a code.'}
            </p>
          ) : view === 'notes' ? (
            <NotesView lessons={lessons} notes={notes} asked={open} nameOf={names.exercise} />
          ) : view === 'came' ? (
            <CameTable
              lessons={lessons.map((one) => ({ ...one, on: one.on === null ? '' : dayjs(one.on).format('D MMM') }))}
              learners={learners}
              onCame={(learner, lesson, came) => learning.mark({ kind: 'came', learner, lesson, came })}
            />
          ) : (
            <PracticeGrid
              {...{ columns, planned, held }}
              view={view}
              learned={learned}
              rows={learners}
              onHold={(learner, exercise) => setHeld({ learner, exercise })}
              onCan={(learner, exercise, can) => learning.mark({ kind: 'can', learner, exercise, can })}
            />
          )}
          {!isEmpty && view === 'time' && <TakeOver done={worked.done} {...{ learned, planned }} letterOf={(one) => letters.get(one) ?? ''} />}
          {!isEmpty && view === 'time' && (
            <Suspense fallback={null}>
              <MinutesChart rows={told} letterOf={(one) => letters.get(one) ?? ''} nameOf={nameOf} heightPx={240} />
            </Suspense>
          )}
          {!isEmpty && view === 'time' && <ThreadToldTable {...{ thread, nameOf }} brief={sampler.brief} letterOf={(one) => letters.get(one) ?? ''} />}
          {!isEmpty && view !== 'notes' && (
            <p className="why stage-note">
              Told by learners on their own pages, and marked here: Enter opens a cell, Space marks that she can do it. A share is how much lengths vary in her
              last photographed row. Nobody is compared with anybody else.{' '}
              <Button type="link" size="small" onClick={() => setRuling(true)}>
                Hold what phones measure against a ruler
              </Button>
            </p>
          )}
        </div>
        {held && heldLearner && group.open && (
          <LearnerCard
            key={`${held.learner} ${held.exercise}`}
            classId={group.open.id}
            learner={heldLearner.learner}
            exercise={{
              ...{ id: held.exercise, name: nameOf(held.exercise), letter: letters.get(held.exercise) ?? '' },
              pieces: worked.done.find((one) => one.exercise.id === held.exercise)?.pieces.length ?? 1,
            }}
            practice={heldLearner.practice}
            next={heldLearner.next}
            nextRow={nextRowsAddress(id, group.open.id, keptPaper(), heldLearner.id)}
            planned={planned(held.exercise)}
            needlefuls={needlefuls.get(held.exercise) ?? 0}
            sampler={sampler}
            chart={
              <Suspense fallback={null}>
                <MinutesChart
                  rows={told}
                  letterOf={(one) => letters.get(one) ?? ''}
                  nameOf={nameOf}
                  her={{ name: heldLearner.name, minutes: (one) => heldLearner.practice.exercises.get(one)?.minutes ?? 0 }}
                  heightPx={150}
                />
              </Suspense>
            }
            learning={learning}
            onClose={() => setHeld(null)}
          />
        )}
      </div>
      {joining && group.open && (
        <JoinDialog {...{ classId: group.open.id, learning, areChildren: group.open.document.children === true }} onClose={() => setJoining(false)} />
      )}
      {isComparing && group.open && (
        <PicturesDialog classId={group.open.id} pictures={pictures} learners={learners} exerciseName={names.exercise} onClose={() => setComparing(false)} />
      )}
      {isRuling && (
        <Suspense fallback={null}>
          <RulerDialog sampler={sampler} onClose={() => setRuling(false)} />
        </Suspense>
      )}
      {naming && <NamesDialog group={group} onClose={() => setNaming(false)} />}
    </div>
  )
}

/** Of practice rows nothing is on paper that a later edit would make stale. */
const onMade = (): void => undefined

/** Names typed or pasted, a line each. */
function NamesDialog({ group, onClose }: { readonly group: ReturnType<typeof useClass>; readonly onClose: () => void }) {
  const [text, setText] = useState('')
  const names = text
    .split(/[\n,;]/)
    .map((one) => cutText(one.trim(), 120))
    .filter((one) => one !== '')
  const add = async (): Promise<void> => {
    if (!(await group.ensure())) return
    const at = group.open?.document.learners.length ?? 0
    const operations = names.map((name, index) => ({ kind: 'add-learner' as const, learner: { id: newId('l'), name, choices: {} }, at: at + index }))
    editClass({ kind: 'batch', operations })
    onClose()
  }
  return (
    <Modal
      open
      title="Add learners"
      okText={names.length > 0 ? `Add ${names.length}` : 'Add'}
      okButtonProps={{ disabled: names.length === 0 }}
      onOk={() => void add()}
      onCancel={onClose}
    >
      <p>A name a line. Each can be given a link of her own to this week&apos;s page.</p>
      <Input.TextArea aria-label="Names" autoFocus rows={8} value={text} onChange={(event) => setText(event.target.value)} />
    </Modal>
  )
}
