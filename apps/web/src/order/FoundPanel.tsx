/** Seeking an order, what was found beside what is there, and the orders that are kept. */
import { compareInWords, costOf, type CoursePlan, describePlan, type OrderAnswer, type OrderProgress, refreshPlan, tallyOf } from '@lemmata/core/order'
import { cutText } from '@lemmata/contract'
import type { Sampler } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { Button, Input, Progress } from 'antd'
import { type ReactNode, useCallback, useMemo, useState } from 'react'
import { edit } from '../store/index.ts'
import { type Course, moveTo, takePlan } from './use-course.ts'
import { useFinder } from './use-finder.ts'
import { useGains } from './use-gains.ts'

interface Props {
  readonly sampler: Sampler
  readonly course: Course
  /** Another order under the ramp of the present one; null lays it away. */
  readonly onBeside: (plan: CoursePlan | null) => void
}

export function FoundPanel({ sampler, course, onBeside }: Props) {
  const { course: items, settings, plan } = course
  const bestOf = useCallback(
    ({ best, bound }: OrderProgress): OrderAnswer | null =>
      best ? { found: true, plan: best, cost: costOf(best, items, settings), bound, optimal: false, steps: 0 } : null,
    [items, settings],
  )
  const { finding, find, stop, forget } = useFinder(bestOf)
  const gains = useGains(course)
  const [kept, setKept] = useState<string | null>(null)
  const others = sampler.keptOrders
  const beside = others.find((order) => order.id === kept)
  const inWords = (other: CoursePlan): string => compareInWords(tallyOf(items, plan, settings), tallyOf(items, other, settings))
  const answer = finding.state === 'done' && finding.answer.found ? finding.answer : null
  const drop = (): void => {
    onBeside(null)
    forget()
  }
  return (
    <section className="order-side" aria-label="A better order">
      <h2>What a better order gains</h2>
      {finding.state === 'done' && answer && <p className="why">{howSure(answer, finding.stopped, finding.seconds)}</p>}
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
      <ul className="gains">
        {gains?.map((gain) => (
          <Gain key={gain.id} what={gain.sentence} gain={gain.words}>
            <Button size="small" aria-label={`Take this: ${gain.sentence}`} onClick={() => moveTo(sampler, plan, gain.id, gain.plan)}>
              Take this
            </Button>
          </Gain>
        ))}
        {finding.state === 'busy' && (
          <li role="status" data-testid="order-progress" className="gain">
            <div>
              <Progress percent={Math.round(100 * (finding.progress?.share ?? 0))} size="small" aria-label="Searching" />
              <span className="why">{finding.progress?.best ? `So far: ${inWords(finding.progress.best)}` : 'Looking for a first order …'}</span>
            </div>
            <Button size="small" onClick={stop}>
              Stop here
            </Button>
          </li>
        )}
        {answer && (
          <Found
            answer={answer}
            course={course}
            onTake={() => {
              takePlan(sampler, answer.plan)
              drop()
            }}
            onKeep={(name) => {
              keep(name, answer.plan, others.length)
              drop()
            }}
            onBeside={onBeside}
            onDrop={drop}
          />
        )}
        {(finding.state === 'idle' || finding.state === 'failed' || (finding.state === 'done' && !answer)) && (
          <Gain what="The whole order, sought anew" gain="Lemmata looks for the order that keeps every rule and climbs most evenly, one new thing at a time.">
            <Button type="primary" size="small" disabled={items.length < 2} onClick={() => find(items, settings)}>
              Find a better order
            </Button>
          </Gain>
        )}
      </ul>
      <h3>Kept orders</h3>
      {others.length === 0 && <p className="why">None yet. Keep an order to lay another beside it.</p>}
      <ul className="gains">
        {others.map((order) => {
          const fresh = refreshPlan({ lessons: order.lessons }, items)
          return (
            <Gain key={order.id} what={order.name} gain={`Against yours: ${inWords(fresh)}`}>
              <Button
                size="small"
                aria-pressed={kept === order.id}
                type={kept === order.id ? 'primary' : 'default'}
                aria-label={`Lay beside: ${order.name}`}
                onClick={() => {
                  setKept(kept === order.id ? null : order.id)
                  onBeside(kept === order.id ? null : fresh)
                }}
              >
                Lay beside
              </Button>
              <Button size="small" type="text" onClick={() => takePlan(sampler, fresh)}>
                Take all
              </Button>
              <Button size="small" type="text" onClick={() => edit({ kind: 'drop-order', id: order.id })}>
                Drop
              </Button>
            </Gain>
          )
        })}
      </ul>
      {beside && <Beside course={course} plan={refreshPlan({ lessons: beside.lessons }, items)} />}
      <KeepField label="Keep the present order as" onKeep={(name) => keep(name, plan, others.length)} />
    </section>
  )
}

/** One row: what changes, what it gains or gives up, and the button that does it. */
function Gain({ what, gain, children }: { what: string; gain: string; children: ReactNode }) {
  return (
    <li className="gain">
      <div>
        <b>{what}</b>
        <span className="why">{gain}</span>
      </div>
      {children}
    </li>
  )
}

/** How near the best there is, in one sentence. */
function howSure({ optimal, bound, cost }: Extract<OrderAnswer, { found: true }>, stopped: boolean, seconds: number): string {
  const found = stopped ? 'Stopped early' : `Found in ${seconds.toFixed(1)} s`
  if (optimal) return `${found}, proven the best of all orders that keep your rules.`
  const gap = cost.total > 0 ? Math.ceil(100 * Math.max(0, 1 - bound / cost.total)) : 0
  return bound > 0
    ? `${found}, the best found: at most ${gap} % from the best there can be.`
    : `${found}; how far it is from the best there is has not been proven.`
}

function keep(name: string, plan: CoursePlan, at: number): void {
  edit({ kind: 'keep-order', order: { id: `o${crypto.randomUUID().slice(0, 8)}`, name, lessons: plan.lessons }, at })
}

interface FoundProps {
  readonly answer: Extract<OrderAnswer, { found: true }>
  readonly course: Course
  readonly onTake: () => void
  readonly onKeep: (name: string) => void
  readonly onBeside: (plan: CoursePlan | null) => void
  readonly onDrop: () => void
}

function Found({ answer, course, onTake, onKeep, onBeside, onDrop }: FoundProps) {
  const { course: items, settings, plan } = course
  const [isBeside, setBeside] = useState(false)
  const same = JSON.stringify(plan.lessons.filter((ids) => ids.length > 0)) === JSON.stringify(answer.plan.lessons)
  const difference = useMemo(() => compareInWords(tallyOf(items, plan, settings), tallyOf(items, answer.plan, settings)), [items, plan, settings, answer.plan])
  const lessons = answer.plan.lessons.length
  const more =
    settings.lessons !== null && lessons > settings.lessons
      ? ` You wish for ${counted(settings.lessons, 'lesson')}; the minutes and the rules need ${lessons}.`
      : ''
  return (
    <>
      <li className="gain" role="status" data-testid="found-order">
        <div>
          <b>{same ? 'Yours is the order that Lemmata would choose' : 'All of it at once'}</b>
          <span className="why">{`${same ? '' : difference}${more}`}</span>
        </div>
        {!same && (
          <>
            <Button
              size="small"
              aria-pressed={isBeside}
              onClick={() => {
                setBeside(!isBeside)
                onBeside(isBeside ? null : answer.plan)
              }}
            >
              Lay beside
            </Button>
            <Button size="small" type="primary" onClick={onTake}>
              Take all
            </Button>
          </>
        )}
        <Button size="small" onClick={onDrop}>
          {same ? 'Good' : 'Keep mine'}
        </Button>
      </li>
      {!same && isBeside && (
        <li>
          <Beside course={course} plan={answer.plan} />
          <KeepField label="Keep the found order as" onKeep={onKeep} />
        </li>
      )}
    </>
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
