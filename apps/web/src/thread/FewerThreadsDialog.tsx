/** As few threads and needles as serve the whole course, in the colours it has: what changes by it, and what that trades. */
import { strandsInWords, wordForRole } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { choiceOfNeedle, nameNeedle, nameThread, needleKey, THREAD_KINDS, type ThreadOfKind } from '@lemmata/core/materials'
import { type Operation, type Sampler, type SamplerThread, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import type { Stores } from '@lemmata/core/stores'
import { changesWithin, type FewerThreads, fewerThreads, followingRows, type Solver, type ThreadChange, threadCourse } from '@lemmata/core/together'
import { counted, formatLength, listInWords } from '@lemmata/core/units'
import { Button, Modal, Segmented } from 'antd'
import { useCallback, useMemo, useState } from 'react'
import { edit } from '../store/index.ts'
import { useStores } from '../stores/use-stores.ts'
import { threadInColour } from './thread-in-colour.ts'
import { useSolved } from './use-solved.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly onClose: () => void
}

type Among = 'here' | 'all'

export function FewerThreadsDialog({ sampler, done, onClose }: Props) {
  const { open, failed } = useStores()
  const stores = open?.document ?? null
  const [among, setAmong] = useState<Among>('here')
  const course = useMemo(
    () =>
      stores === null && failed === null ? null : threadCourse({ sampler, done, threads: candidates(among, sampler, stores), stores: stores ?? undefined }),
    [sampler, done, among, stores, failed],
  )
  const run = useCallback((solve: Solver) => (course ? fewerThreads(course, solve) : Promise.resolve(null)), [course])
  const solving = useSolved('Choosing threads and needles', course ? run : null)
  const changes = solving.state === 'done' ? solving.answer.changes : []
  return (
    <Modal
      open
      title="Fewer threads and needles"
      width={760}
      onCancel={onClose}
      footer={[
        <Button key="leave" onClick={onClose}>
          {solving.state === 'busy' ? 'Stop' : 'Leave them as they are'}
        </Button>,
        <Button
          key="take"
          type="primary"
          disabled={changes.length === 0}
          onClick={() => {
            edit(taking(sampler, changes))
            onClose()
          }}
        >
          Take these
        </Button>,
      ]}
    >
      <div>
        <Segmented<Among>
          aria-label="Chosen among"
          value={among}
          onChange={setAmong}
          options={[
            { value: 'here', label: 'Kinds of this sampler and of my stores' },
            { value: 'all', label: 'All kinds' },
          ]}
        />
      </div>
      {solving.state === 'busy' && <p role="status">Weighing every thread and needle against one another …</p>}
      {solving.state === 'failed' && <p className="wrong">{solving.sentence}</p>}
      {solving.state === 'done' && <Answer sampler={sampler} done={done} answer={solving.answer} />}
      {course && course.left.length > 0 && (
        <p className="caution">
          Left as they are, for nothing here serves them{' '}
          {listInWords(course.left.map(({ name, blame }) => (blame.length === 0 ? name : `${name} (with the ${blame.join(' and ')} that you chose)`)))}.
        </p>
      )}
    </Modal>
  )
}

function candidates(among: Among, { threads }: Sampler, stores: Stores | null): readonly ThreadOfKind[] {
  const there = [...threads, ...(stores?.threads.filter((one) => one.left > 0) ?? [])]
  return among === 'here' ? there : [...there, ...THREAD_KINDS.map(({ id, weight }) => ({ kind: id, ...(weight === null ? {} : { weight }) }))]
}

function Answer({ sampler, done, answer }: { readonly sampler: Sampler; readonly done: readonly WorkedExercise[]; readonly answer: FewerThreads }) {
  const { before, after, changes, cost, costBefore } = answer
  const letters = new Map(teachingOrder(sampler).map((exercise, index) => [exercise.id as string, letterOf(index)]))
  const rolesOf = (id: string) => done.find((one) => one.exercise.id === id)?.assigned.threads.map((one) => one.role) ?? []
  const now = `${counted(before.threads.length, 'thread')} and ${counted(before.needles.length, 'needle')}`
  if (changes.length === 0) return <p>{now} already: no fewer would serve as well.</p>
  return (
    <>
      <p>
        <strong>
          {now} become {after.threads.length} and {after.needles.length}.
        </strong>{' '}
        Colours stay, and strands and needles that you chose yourself. There is no better choice by these weights: a further thread or needle counts as much as
        a width that is more than a third off; a thread in your stores counts a third of that, a needle changed within a lesson a seventh.
        {downs(sampler, done, changes)}
        {costBefore !== null && ` Altogether ${cost.toFixed(1)} in place of ${costBefore.toFixed(1)}.`}
      </p>
      <p className="quiet">Threads then: {listInWords(after.threads)}.</p>
      <div className="fewer-threads">
        <table className="kit-table">
          <thead>
            <tr>
              <th>Exercise</th>
              <th>Now</th>
              <th>Then</th>
              <th className="kit-number">Lies wide</th>
            </tr>
          </thead>
          <tbody>
            {changes.map(({ row, to }) => (
              <tr key={`${row.exercise} ${row.role}`}>
                <td>
                  {letters.get(row.exercise)} {row.name}
                  {rolesOf(row.exercise).length > 1 && <span className="quiet"> {wordForRole(row.role, rolesOf(row.exercise))}</span>}
                </td>
                <td>{inWords(row.now)}</td>
                <td>{inWords(to)}</td>
                <td className="kit-number">{formatLength(to.widthMm, sampler.units, sampler.units === 'mm' ? 2 : 3)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}

/** Needles put down and taken up within the lessons, before and after. */
function downs(sampler: Sampler, done: readonly WorkedExercise[], changes: readonly ThreadChange[]): string {
  const rows = done.flatMap(({ exercise, assigned }) => assigned.threads.map(({ role, needle }) => ({ exercise: exercise.id, role, needle: needle.value })))
  const following = followingRows(sampler, rows)
  const changed = rows.map((one) => changes.find(({ row }) => row.exercise === one.exercise && row.role === one.role)?.to.needle ?? one.needle)
  const [before, after] = [rows.map((one) => one.needle), changed].map((needles) => changesWithin(following, (row) => needles.map(needleKey)[row] ?? ''))
  return before === after ? '' : ` Within lessons a needle is changed ${after} times in place of ${before}.`
}

const inWords = ({ kind, strands, needle }: Pick<ThreadChange['to'], 'kind' | 'strands' | 'needle'>): string =>
  `${nameThread(kind).toLowerCase()}, ${kind.mostStrands === 1 ? '' : `${strandsInWords(strands)}, `}${nameNeedle(needle).toLowerCase()}`

/** In one step; a thread that the sampler does not have in that colour is added once. */
function taking(sampler: Sampler, changes: readonly ThreadChange[]): Operation {
  const threads: SamplerThread[] = [...sampler.threads]
  const operations = changes.flatMap(({ row, to }) => {
    const { from, strands, needle } = to
    const { thread, isNew } = threadInColour(threads, from, row.colour)
    if (isNew) threads.push(thread)
    return [
      ...(isNew ? [{ kind: 'add-thread' as const, thread, at: threads.length - 1 }] : []),
      {
        ...{ kind: 'assign' as const, id: row.exercise, role: row.role },
        set: { thread: thread.id, strands, needle: choiceOfNeedle(needle) },
      },
    ]
  })
  return { kind: 'batch', operations }
}
