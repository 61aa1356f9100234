/**
 * Weight, strands and needle of every exercise and role, a row each: values are words until their row is held, then they
 * are fields, and the reason opens beneath. Several rows marked together are set together.
 */
import type { AssignedThread } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { mendFor, problemsOnCloth } from '@lemmata/core/mend'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { formatThread } from '@lemmata/core/units'
import { Button, Segmented } from 'antd'
import { type KeyboardEvent, type MouseEvent, lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { BrokenThreadGlyph, KnotGlyph } from '../look/Glyphs.tsx'
import { ProblemLine } from '../sampler/ProblemLine.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { ByThread } from './ByThread.tsx'
import { NeedleField, PutBacks, roleInWords, Spool, StrandsField, ThreadField } from './fields.tsx'
import { EyeSample, LineSample } from './samples.tsx'
import { Reasons } from './reasons.tsx'
import { SetTogether } from './SetTogether.tsx'
import type { ThreadRow } from './thread-row.ts'

const CompareStrandsDialog = lazy(() => import('./CompareStrandsDialog.tsx').then((file) => ({ default: file.CompareStrandsDialog })))
const EqualThreadsDialog = lazy(() => import('./EqualThreadsDialog.tsx').then((file) => ({ default: file.EqualThreadsDialog })))
const FewerThreadsDialog = lazy(() => import('./FewerThreadsDialog.tsx').then((file) => ({ default: file.FewerThreadsDialog })))
const FewerNeedlesDialog = lazy(() => import('./FewerNeedlesDialog.tsx').then((file) => ({ default: file.FewerNeedlesDialog })))

export function ThreadStage() {
  const sampler = useSampler()
  const { results, done, complete } = useWorked()
  const [fewer, setFewer] = useState<'needles' | 'threads' | null>(null)
  const [by, setBy] = useState<'exercise' | 'thread'>('exercise')
  const rows = useMemo(
    () =>
      teachingOrder(sampler).flatMap((exercise, index): ThreadRow[] => {
        const result = results.get(exercise.id)
        const done = result?.ok ? result.value : null
        const threads: readonly (AssignedThread | null)[] = done?.assigned.threads ?? [null]
        return threads.map((assigned, at) => ({
          key: `${exercise.id} ${assigned?.role ?? MAIN_ROLE}`,
          exercise,
          letter: letterOf(index),
          done,
          assigned,
          first: at === 0,
        }))
      }),
    [sampler, results],
  )
  const [marked, setMarked] = useState<readonly string[]>([])
  const together = rows.filter((row) => marked.includes(row.key))
  return (
    <div className="stage-frame">
      <h1 className="visually-hidden">Thread</h1>
      <div className="toolbar">
        <Segmented
          aria-label="The threads by"
          value={by}
          onChange={setBy}
          options={[
            { value: 'exercise', label: 'By exercise' },
            { value: 'thread', label: 'By thread' },
          ]}
        />
        {by === 'exercise' && together.length > 1 ? (
          <SetTogether sampler={sampler} rows={together} onDone={() => setMarked([])} />
        ) : (
          <span className="quiet">{by === 'exercise' ? 'Lines and eyes drawn at 4 times true size' : 'What each thread is used for'}</span>
        )}
        <span className="toolbar-end">
          {complete && done.length > 0 && (
            <>
              <Button onClick={() => setFewer('needles')}>Fewer needles</Button>
              <Button onClick={() => setFewer('threads')}>Fewer threads</Button>
            </>
          )}
          <Link to="../kit" className="link-button">
            Kit and cut list
          </Link>
        </span>
      </div>
      {sampler.exercises.length === 0 ? (
        <p className="quiet stage-empty">No exercise yet. Choose a stitch first.</p>
      ) : by === 'thread' ? (
        <ByThread sampler={sampler} />
      ) : (
        <Table sampler={sampler} rows={rows} marked={marked} onMark={setMarked} />
      )}
      {fewer !== null && (
        <Suspense>
          {fewer === 'needles' ? (
            <FewerNeedlesDialog sampler={sampler} done={done} onClose={() => setFewer(null)} />
          ) : (
            <FewerThreadsDialog sampler={sampler} done={done} onClose={() => setFewer(null)} />
          )}
        </Suspense>
      )}
    </div>
  )
}

interface TableProps {
  readonly sampler: Sampler
  readonly rows: readonly ThreadRow[]
  readonly marked: readonly string[]
  readonly onMark: (keys: readonly string[]) => void
}

function Table({ sampler, rows, marked, onMark }: TableProps) {
  const dispatch = useAppDispatch()
  const selected = useAppSelector((state) => state.sampler.selected)
  const [held, setHeld] = useState<string | null>(null)
  const body = useRef<HTMLTableSectionElement>(null)
  const stop =
    rows.find((row) => row.key === held && row.exercise.id === selected)?.key ?? rows.find((row) => row.exercise.id === selected)?.key ?? rows[0]?.key
  const hold = (row: ThreadRow | undefined, focus: boolean): void => {
    if (!row) return
    setHeld(row.key)
    if (row.exercise.id !== selected) dispatch(exerciseSelected(row.exercise.id))
    if (focus) rowElement(body.current, row.key)?.focus()
  }
  useEffect(() => {
    if (stop !== undefined) rowElement(body.current, stop)?.scrollIntoView({ block: 'nearest' })
  }, [stop])
  const mark = (row: ThreadRow): void => onMark(marked.includes(row.key) ? marked.filter((key) => key !== row.key) : [...marked, row.key])
  const onClick = (event: MouseEvent, row: ThreadRow): void => {
    if (event.shiftKey && stop !== undefined) {
      const [from, to] = [rows.findIndex((one) => one.key === stop), rows.indexOf(row)].sort((a, b) => a - b)
      onMark(rows.slice(from, (to ?? 0) + 1).map((one) => one.key))
    } else if (event.ctrlKey || event.metaKey)
      onMark(marked.length === 0 && stop !== undefined && stop !== row.key ? [stop, row.key] : toggled(marked, row.key))
    else {
      onMark([])
      hold(row, false)
    }
  }
  const onKey = (event: KeyboardEvent<HTMLElement>): void => {
    const key = (event.target as HTMLElement).dataset.row
    const at = rows.findIndex((row) => row.key === key)
    const row = rows[at]
    if (!row) return
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next = rows[at + (event.key === 'ArrowDown' ? 1 : -1)]
      if (next && event.shiftKey) onMark([...new Set([...marked, row.key, next.key])])
      hold(next, true)
    } else if (event.key === 'Enter') rowElement(body.current, row.key)?.querySelector<HTMLElement>('input')?.focus()
    else if (event.key === ' ') mark(row)
    else if (event.key === 'Escape') onMark([])
    else return
    event.preventDefault()
  }
  return (
    <div className="stage-scroll">
      <table className="threads" role="grid" aria-label="Threads of the exercises" aria-multiselectable="true">
        <thead>
          <tr>
            <th aria-label="Letter" className="c-letter" />
            <th>Exercise, and which thread of it</th>
            <th className="c-thread">Thread</th>
            <th className="c-strands">Strands</th>
            <th className="c-needle">Needle</th>
            <th className="c-line">Lies, at 4×</th>
            <th className="c-eye">Eye, at 4×</th>
            <th className="c-length">Each learner</th>
          </tr>
        </thead>
        <tbody ref={body} onKeyDown={onKey}>
          {rows.map((row) => (
            <Row key={row.key} sampler={sampler} row={row} held={row.key === stop} marked={marked.includes(row.key)} onClick={(event) => onClick(event, row)} />
          ))}
        </tbody>
      </table>
    </div>
  )
}

const toggled = (keys: readonly string[], key: string): readonly string[] => (keys.includes(key) ? keys.filter((one) => one !== key) : [...keys, key])

function rowElement(body: HTMLElement | null, key: string): HTMLElement | null {
  return [...(body?.querySelectorAll<HTMLElement>('[data-row]') ?? [])].find((one) => one.dataset.row === key) ?? null
}

interface RowProps {
  readonly sampler: Sampler
  readonly row: ThreadRow
  readonly held: boolean
  readonly marked: boolean
  readonly onClick: (event: MouseEvent) => void
}

function Row({ sampler, row, held, marked, onClick }: RowProps) {
  const { exercise, letter, done, assigned, first } = row
  const { done: among } = useWorked()
  const [comparing, setComparing] = useState(false)
  const [equal, setEqual] = useState(false)
  const several = (done?.assigned.threads.length ?? 1) > 1
  const problems = done ? problemsOnCloth(done, sampler, among).filter((one) => one.code.startsWith('assign.') && isOf(one.path, row)) : []
  const field = { sampler, exercise, done, assigned }
  return (
    <>
      <tr
        data-row={row.key}
        tabIndex={held ? 0 : -1}
        aria-selected={held || marked}
        className={`${held ? 'held' : ''}${marked ? ' marked' : ''}`}
        onClick={onClick}
      >
        <td className="letter t-letter">{first ? letter : ''}</td>
        <td className="t-name" title={exercise.name}>
          {exercise.name} {several && <span className="quiet">{roleInWords(assigned?.role ?? MAIN_ROLE, done)}</span>}
        </td>
        <td className="t-thread">{held ? <ThreadField {...field} /> : <ThreadName row={row} sampler={sampler} />}</td>
        <td className="t-strands">
          {assigned && (held ? <StrandsField {...field} assigned={assigned} /> : <Words text={String(assigned.strands.value)} own={isOwn(row, 'strands')} />)}
        </td>
        <td className="t-needle">
          {assigned && (held ? <NeedleField {...field} assigned={assigned} /> : <Words text={nameNeedle(assigned.needle.value)} own={isOwn(row, 'needle')} />)}
        </td>
        <td className="t-line">
          {assigned && done && <LineSample done={done} assigned={assigned} clothHex={sampler.cloth.colour.hex} units={sampler.units} />}
        </td>
        <td className="t-eye">{assigned && <EyeSample assigned={assigned} />}</td>
        <td className="c-length t-length">
          {done && assigned && lengthOf(done, assigned)}
          {problems.length > 0 && <KnotGlyph title="has a caution" />}
          {!done && <BrokenThreadGlyph title="cannot be worked" />}
        </td>
      </tr>
      {held && (assigned || problems.length > 0) && (
        <tr className="reason-row">
          <td />
          <td colSpan={7}>
            {assigned && <PutBacks {...field} assigned={assigned} />}
            {assigned && <Reasons sampler={sampler} assigned={assigned} />}
            {done && first && (
              <Button size="small" onClick={() => setComparing(true)}>
                In other threads
              </Button>
            )}
            {comparing && done && (
              <Suspense>
                <CompareStrandsDialog sampler={sampler} exercise={exercise} now={done} onClose={() => setComparing(false)} />
              </Suspense>
            )}
            {done && assigned && (
              <Button size="small" onClick={() => setEqual(true)}>
                Equal threads
              </Button>
            )}
            {equal && done && assigned && (
              <Suspense>
                <EqualThreadsDialog sampler={sampler} exercise={exercise} done={done} all={among} assigned={assigned} onClose={() => setEqual(false)} />
              </Suspense>
            )}
            {problems.map((one) => (
              <ProblemLine key={one.code + one.path.join()} problem={one} mend={mendFor(one, exercise, done, sampler, among)} />
            ))}
          </td>
        </tr>
      )}
    </>
  )
}

function isOf(path: readonly (string | number)[], { assigned, first }: ThreadRow): boolean {
  return path[0] === 'materials' ? path[1] === assigned?.role : first
}

function isOwn({ exercise, assigned }: ThreadRow, field: 'strands' | 'needle'): boolean {
  const own = exercise.materials?.[assigned?.role ?? MAIN_ROLE]?.[field]
  if (own === undefined || !assigned) return false
  if (field === 'strands') return assigned.strands.value !== assigned.advisedStrands.value
  const best = assigned.needles[0]?.needle
  return !best || best.family.id !== assigned.needle.value.family.id || best.size !== assigned.needle.value.size
}

function Words({ text, own }: { text: string; own: boolean }) {
  return (
    <>
      {text}
      {own && <span className="overruled">yours</span>}
    </>
  )
}

function ThreadName({ sampler, row }: { sampler: Sampler; row: ThreadRow }) {
  const chosen = row.exercise.materials?.[row.assigned?.role ?? MAIN_ROLE]?.thread
  const thread = row.assigned?.thread.value ?? sampler.threads.find((one) => one.id === chosen)
  if (!thread) return <span className="quiet">none yet</span>
  return (
    <span className="thread-word">
      <Spool hex={thread.colour.hex} />
      <span>{thread.colour.name}</span>
    </span>
  )
}

/** Of all its colours together. */
function lengthOf(done: WorkedExercise, assigned: AssignedThread): string {
  const used = done.threads.filter((one) => one.role === assigned.role)
  return formatThread(used.reduce((sum, one) => sum + one.use.total, 0))
}
