/** Seeking an order, what was found beside what is there, and the orders that are kept. */
import {
  compareInWords,
  costOf,
  type CostTerms,
  type CoursePlan,
  describePlan,
  refreshPlan,
  sortedPlan,
  type OrderAnswer,
  type OrderProgress,
  tallyOf,
} from '@lemmata/core/order'
import { cutText } from '@lemmata/contract'
import type { Sampler } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { Button, Input, Progress } from 'antd'
import { type ReactNode, useCallback, useMemo, useState } from 'react'
import { edit } from '../store/index.ts'
import { type Course, takePlan } from './use-course.ts'
import { useFinder } from './use-finder.ts'

const TERMS: readonly { readonly key: Exclude<keyof CostTerms, 'total'>; readonly name: string; readonly why: string }[] = [
  { key: 'evenness', name: 'Evenness', why: 'distance from the straight ramp, steps too high, long falls' },
  { key: 'novelty', name: 'One new thing', why: 'motions beyond the first that are new in one lesson' },
  { key: 'return', name: 'Return', why: 'motions not met again two to four lessons later' },
  { key: 'variety', name: 'Variety', why: 'neighbours of one family' },
  { key: 'minutes', name: 'Minutes', why: 'lessons longer or shorter than their share' },
  { key: 'lessons', name: 'Lessons', why: 'lessons more or fewer than you wish, or the minutes need' },
]

export function FoundPanel({ sampler, course }: { sampler: Sampler; course: Course }) {
  const { course: items, settings, plan, description } = course
  const bestOf = useCallback(
    ({ best, bound }: OrderProgress): OrderAnswer | null =>
      best ? { found: true, plan: best, cost: costOf(best, items, settings), bound, optimal: false, steps: 0 } : null,
    [items, settings],
  )
  const { finding, find, stop, forget } = useFinder(bestOf)
  const [kept, setKept] = useState<string | null>(null)
  const others = sampler.keptOrders
  const beside = others.find((order) => order.id === kept)
  const sorted = useMemo(() => sortedCost(course), [course])
  return (
    <section className="order-side" aria-label="A better order">
      <h2>What a better order gains</h2>
      {finding.state === 'busy' ? (
        <div role="status" data-testid="order-progress">
          <Progress percent={Math.round(100 * (finding.progress?.share ?? 0))} size="small" aria-label="Searching" />
          <p className="why">
            {finding.progress?.best
              ? `So far: ${compareInWords(tallyOf(items, plan, settings), tallyOf(items, finding.progress.best, settings))}`
              : 'Looking for a first order …'}
          </p>
          <Button onClick={stop}>Stop here</Button>
          {finding.progress?.best && <Beside course={course} plan={finding.progress.best} />}
        </div>
      ) : (
        <Button type="primary" disabled={items.length < 2} onClick={() => find(items, settings)}>
          Find a better order
        </Button>
      )}
      {finding.state === 'failed' && (
        <p className="wrong" role="alert">
          The search ended unexpectedly. Try once more; your own order is as it was.
        </p>
      )}
      {finding.state === 'done' && !finding.answer.found && (
        <p className="wrong" role="alert" data-testid="conflict">
          {finding.answer.conflict.sentence}
        </p>
      )}
      {finding.state === 'done' && finding.answer.found && (
        <Answer
          answer={finding.answer}
          course={course}
          sorted={sorted}
          stopped={finding.stopped}
          onTake={() => {
            takePlan(sampler, (finding.answer as { plan: CoursePlan }).plan)
            forget()
          }}
          onKeep={(name) => {
            keep(name, (finding.answer as { plan: CoursePlan }).plan, others.length)
            forget()
          }}
          onDrop={forget}
        />
      )}
      {finding.state === 'idle' && items.length > 1 && (
        <p className="why">Lemmata looks for the order that keeps every rule and climbs most evenly, one new thing at a time.</p>
      )}
      {finding.state !== 'done' && (
        <Why>
          <p className="why">
            Yours costs {description.cost.total.toFixed(1)}, sorting by difficulty {sorted.cost.total.toFixed(1)}
            {sorted.words}.
          </p>
          <Costs
            mine={description.cost}
            other={beside ? costOf({ lessons: beside.lessons }, items, settings) : null}
            otherName={beside?.name ?? ''}
            sorted={sorted.cost}
          />
        </Why>
      )}
      <h3 style={{ marginTop: 14 }}>Kept orders</h3>
      {others.length === 0 && <p className="why">None yet. Keep an order to lay another beside it.</p>}
      <ul className="kept">
        {others.map((order) => (
          <li key={order.id}>
            <Button
              size="small"
              type={kept === order.id ? 'primary' : 'default'}
              aria-pressed={kept === order.id}
              onClick={() => setKept(kept === order.id ? null : order.id)}
            >
              {order.name}
            </Button>
            <Button size="small" type="text" onClick={() => takePlan(sampler, refreshPlan({ lessons: order.lessons }, course.course))}>
              Use
            </Button>
            <Button size="small" type="text" onClick={() => edit({ kind: 'drop-order', id: order.id })}>
              Drop
            </Button>
          </li>
        ))}
      </ul>
      {beside && (
        <p className="why">
          Against yours: {compareInWords(tallyOf(items, plan, settings), tallyOf(items, refreshPlan({ lessons: beside.lessons }, course.course), settings))}
        </p>
      )}
      {beside && <Beside course={course} plan={refreshPlan({ lessons: beside.lessons }, course.course)} />}
      <KeepField label="Keep the present order as" onKeep={(name) => keep(name, plan, others.length)} />
    </section>
  )
}

function keep(name: string, plan: CoursePlan, at: number): void {
  edit({ kind: 'keep-order', order: { id: `o${crypto.randomUUID().slice(0, 8)}`, name, lessons: plan.lessons }, at })
}

interface Sorted {
  readonly cost: CostTerms
  readonly words: string
}

/** What sorting by difficulty would cost, in the best lessons for it. */
function sortedCost({ course, settings }: Course): Sorted {
  const { plan, allowed } = sortedPlan(course, settings)
  return { cost: costOf(plan, course, settings), words: allowed ? '' : ', and would break a rule' }
}

interface AnswerProps {
  readonly answer: Extract<OrderAnswer, { found: true }>
  readonly course: Course
  readonly sorted: Sorted
  readonly stopped: boolean
  readonly onTake: () => void
  readonly onKeep: (name: string) => void
  readonly onDrop: () => void
}

function Answer({ answer, course, sorted, stopped, onTake, onKeep, onDrop }: AnswerProps) {
  const { description, plan } = course
  const same = JSON.stringify(plan.lessons.filter((ids) => ids.length > 0)) === JSON.stringify(answer.plan.lessons)
  const gap = answer.cost.total > 0 ? Math.max(0, 1 - answer.bound / answer.cost.total) : 0
  const proof = answer.optimal
    ? 'Proven: no permitted order costs less.'
    : `${stopped ? 'Stopped early. ' : ''}${
        answer.bound > 0
          ? `No permitted order costs less than ${answer.bound.toFixed(1)}, so the best there is may cost up to ${Math.ceil(100 * gap)}% less.`
          : 'How far it is from the best there is has not been proven.'
      }`
  const { course: items, settings } = course
  const difference = useMemo(() => compareInWords(tallyOf(items, plan, settings), tallyOf(items, answer.plan, settings)), [items, plan, settings, answer.plan])
  const lessons = answer.plan.lessons.length
  return (
    <div role="status" data-testid="found-order">
      <p style={{ margin: '8px 0' }}>
        <b>{same ? 'Yours is the order that Lemmata would choose.' : difference}</b>
      </p>
      {settings.lessons !== null && lessons > settings.lessons && (
        <p className="why">
          You wish for {counted(settings.lessons, 'lesson')}; the minutes and the rules need {lessons}.
        </p>
      )}
      <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', margin: '8px 0' }}>
        {!same && (
          <Button type="primary" onClick={onTake}>
            Take this order
          </Button>
        )}
        <Button onClick={onDrop}>{same ? 'Good' : 'Keep mine'}</Button>
      </div>
      {!same && <Beside course={course} plan={answer.plan} />}
      <Why>
        <p className="why">
          Costs {answer.cost.total.toFixed(1)}; yours {description.cost.total.toFixed(1)}; sorted by difficulty {sorted.cost.total.toFixed(1)}
          {sorted.words}. {proof}
        </p>
        <Costs mine={description.cost} other={same ? null : answer.cost} otherName="found" sorted={sorted.cost} />
      </Why>
      {!same && <KeepField label="Keep the found order as" onKeep={onKeep} />}
    </div>
  )
}

/** The figures behind a judgement, for those who want them. */
function Why({ children }: { children: ReactNode }) {
  return (
    <details className="figures">
      <summary>Why: the figures</summary>
      {children}
    </details>
  )
}

/** Another order beside the present one: each exercise's place there and here. */
function Beside({ course, plan }: { course: Course; plan: CoursePlan }) {
  const { course: items, settings, description } = course
  const names = new Map(items.map((item) => [item.id, item.name] as const))
  const here = new Map(description.steps.map((step) => [step.id, step] as const))
  const there = describePlan(items, plan, settings)
  const [reasons, setReasons] = useState(false)
  return (
    <>
      <Button size="small" type="text" aria-pressed={reasons} onClick={() => setReasons(!reasons)}>
        {reasons ? 'Without reasons' : 'With reasons'}
      </Button>
      <ol className="beside-list" aria-label="The other order">
        {there.steps.map((step) => {
          const moved = (here.get(step.id)?.place ?? step.place) - step.place
          return (
            <li key={step.id}>
              <span className="quiet">{step.lesson + 1}</span>
              <span>{names.get(step.id)}</span>
              <span className="quiet">{moved === 0 ? '' : moved > 0 ? `${moved} earlier` : `${-moved} later`}</span>
              {reasons && <span className="why">{step.why}</span>}
            </li>
          )
        })}
      </ol>
    </>
  )
}

function Costs({ mine, other, otherName, sorted }: { mine: CostTerms; other: CostTerms | null; otherName: string; sorted: CostTerms }) {
  return (
    <table className="costs">
      <thead>
        <tr>
          <th scope="col">Cost</th>
          <th scope="col">yours</th>
          {other && <th scope="col">{otherName}</th>}
          <th scope="col">sorted</th>
        </tr>
      </thead>
      <tbody>
        {TERMS.map((term) => (
          <tr key={term.key} title={term.why}>
            <th scope="row">{term.name}</th>
            <td>{mine[term.key].toFixed(1)}</td>
            {other && <td>{other[term.key].toFixed(1)}</td>}
            <td>{sorted[term.key].toFixed(1)}</td>
          </tr>
        ))}
        <tr>
          <th scope="row">In all</th>
          <td>
            <b>{mine.total.toFixed(1)}</b>
          </td>
          {other && (
            <td>
              <b>{other.total.toFixed(1)}</b>
            </td>
          )}
          <td>
            <b>{sorted.total.toFixed(1)}</b>
          </td>
        </tr>
      </tbody>
    </table>
  )
}

function KeepField({ label, onKeep }: { label: string; onKeep: (name: string) => void }) {
  const [name, setName] = useState('')
  return (
    <form
      style={{ display: 'flex', gap: 6, marginTop: 6 }}
      onSubmit={(event) => {
        event.preventDefault()
        if (name.trim() === '') return
        onKeep(cutText(name.trim(), 80))
        setName('')
      }}
    >
      <Input size="small" aria-label={label} placeholder={label} value={name} onChange={(event) => setName(event.target.value)} />
      <Button size="small" htmlType="submit" disabled={name.trim() === ''}>
        Keep
      </Button>
    </form>
  )
}
