/** What the orders cost, wish by wish: the figures behind a judgement, for those who want them. */
import { costOf, type CostTerms, refreshPlan, sortedPlan } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import type { Course } from './use-course.ts'

const TERMS: readonly { readonly key: Exclude<keyof CostTerms, 'total'>; readonly name: string; readonly why: string }[] = [
  { key: 'evenness', name: 'Evenness', why: 'distance from the straight ramp, steps too high, long falls' },
  { key: 'novelty', name: 'One new thing', why: 'motions beyond the first that are new in one lesson' },
  { key: 'return', name: 'Return', why: 'motions not met again two to four lessons later' },
  { key: 'variety', name: 'Variety', why: 'neighbours of one family' },
  { key: 'minutes', name: 'Minutes', why: 'lessons longer or shorter than their share' },
  { key: 'lessons', name: 'Lessons', why: 'lessons more or fewer than you wish, or the minutes need' },
]

export function CostTable({ sampler, course }: { sampler: Sampler; course: Course }) {
  const { course: items, settings, description } = course
  if (items.length === 0) return null
  const sorted = sortedCost(course)
  const kept = sampler.keptOrders
    .slice(0, 2)
    .map((order) => ({ name: order.name, cost: costOf(refreshPlan({ lessons: order.lessons }, items), items, settings) }))
  const columns: readonly { readonly name: string; readonly cost: CostTerms }[] = [
    { name: 'yours', cost: description.cost },
    ...kept,
    { name: 'sorted', cost: sorted.cost },
  ]
  return (
    <>
      <h2 style={{ marginTop: 18 }}>What they cost</h2>
      <p className="why">
        Yours costs {description.cost.total.toFixed(1)}, sorting by difficulty {sorted.cost.total.toFixed(1)}
        {sorted.words}.
      </p>
      <table className="costs">
        <thead>
          <tr>
            <th scope="col">Cost</th>
            {columns.map((column) => (
              <th key={column.name} scope="col">
                {column.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {TERMS.map((term) => (
            <tr key={term.key} title={term.why}>
              <th scope="row">{term.name}</th>
              {columns.map((column) => (
                <td key={column.name}>{column.cost[term.key].toFixed(1)}</td>
              ))}
            </tr>
          ))}
          <tr>
            <th scope="row">In all</th>
            {columns.map((column) => (
              <td key={column.name}>
                <b>{column.cost.total.toFixed(1)}</b>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </>
  )
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
