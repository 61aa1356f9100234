/** What each stage still lacks, derived from the document and its worked exercises. */
import type { Sampler } from '@lemmata/core/sampler'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Problem } from '@lemmata/core/base'
import { problemsOnCloth } from '@lemmata/core/mend'
import { counted } from '@lemmata/core/units'
import type { WorkedInPage } from '../compute/use-worked.ts'
import { courseNow } from '../order/use-course.ts'

export type StageId = 'brief' | 'stitches' | 'order' | 'cloth' | 'thread' | 'calendar' | 'sheets' | 'class'

export interface StageState {
  readonly id: StageId
  readonly name: string
  readonly complete: boolean
  /** What there is something to say of, the worst first: by exercise. */
  readonly wrong: readonly string[]
  readonly words: string
}

export function stageStates(sampler: Sampler, worked: WorkedInPage, revision: number, printedRevision: number | null): readonly StageState[] {
  const count = sampler.exercises.length
  const printedNow = printedRevision !== null && printedRevision === revision
  return [
    { id: 'brief', name: 'Brief', complete: true, wrong: [], words: counted(sampler.brief.learners, 'learner') },
    { id: 'stitches', name: 'Stitches', complete: count > 0, wrong: [], words: count === 0 ? 'choose the first' : counted(count, 'exercise') },
    orderState(sampler, worked),
    clothState(sampler, worked),
    threadState(sampler, worked),
    calendarState(sampler),
    {
      id: 'sheets',
      name: 'Sheets',
      complete: printedNow,
      wrong: [],
      words: printedNow ? 'printed' : printedRevision === null ? 'not printed' : 'changed since',
    },
    // Who is in it is looked at where it stands: nothing of people is in a sampler.
    { id: 'class', name: 'Class', complete: sampler.lessons.length > 0, wrong: [], words: sampler.lessons.length > 0 ? 'who needs what' : 'no lesson yet' },
  ]
}

/** What the brief has in mind: a class's own dates are looked at where they stand. */
function calendarState({ lessons, brief }: Sampler): StageState {
  const dated = brief.startDate !== undefined && lessons.length > 0
  const words = lessons.length === 0 ? 'no lesson yet' : dated ? counted(lessons.length, 'lesson') : 'no dates yet'
  return { id: 'calendar', name: 'Calendar', complete: dated, wrong: [], words }
}

/** Of what has not been worked nothing is known, and nothing is said. */
function notKnown(sampler: Sampler, worked: WorkedInPage): string | null {
  if (sampler.exercises.length === 0) return 'nothing yet'
  if (worked.failed !== null) return 'not worked'
  return worked.complete ? null : `working ${worked.results.size} of ${sampler.exercises.length}`
}

function orderState(sampler: Sampler, worked: WorkedInPage): StageState {
  const { broken, description } = courseNow(sampler, worked)
  const steep = description.steps.filter((step) => step.tooSteep).length
  const rules = broken.length > 0 ? counted(broken.length, 'broken rule') : 'no broken rule'
  const words = notKnown(sampler, worked) ?? (steep > 0 ? `${rules}, ${counted(steep, 'steep rise')}` : rules)
  return {
    id: 'order',
    name: 'Order',
    complete: sampler.exercises.length > 0 && worked.complete && broken.length === 0,
    wrong: [...new Set(broken.map((rule) => rule.exercise))],
    words,
  }
}

const ofThread = (problem: Problem): boolean => problem.code.startsWith('assign.')

function clothState(sampler: Sampler, worked: WorkedInPage): StageState {
  const unworked = sampler.exercises.filter(({ id }) => worked.results.get(id)?.ok === false)
  const outside = worked.done.filter((one) => problemsOnCloth(one, sampler, worked.done).some((problem) => problem.code === 'cloth.outside'))
  const others = worked.done.filter((one) => !outside.includes(one) && problemsOnCloth(one, sampler, worked.done).some((problem) => !ofThread(problem)))
  const said = [
    unworked.length > 0 ? `${unworked.length} cannot be worked` : '',
    outside.length === 1 && unworked.length === 0 ? `${outside[0]?.exercise.name ?? ''} reaches outside` : '',
    outside.length > 1 || (outside.length === 1 && unworked.length > 0) ? `${outside.length} outside` : '',
    others.length > 0 ? counted(others.length, 'caution') : '',
  ].filter((one) => one !== '')
  return {
    id: 'cloth',
    name: 'Cloth',
    complete: notKnown(sampler, worked) === null && unworked.length + outside.length === 0,
    wrong: [...unworked.map((one) => one.id), ...[...outside, ...others].map((one) => one.exercise.id)],
    words: notKnown(sampler, worked) ?? (said.length > 0 ? said.join(', ') : 'all inside'),
  }
}

function threadState(sampler: Sampler, worked: WorkedInPage): StageState {
  const none = sampler.exercises.filter(({ id }) => {
    const result = worked.results.get(id)
    return result?.ok === false && result.problems.some(ofThread)
  })
  const said = (one: WorkedExercise) => problemsOnCloth(one, sampler, worked.done).filter(ofThread)
  const refused = worked.done.filter((one) => said(one).some(({ code }) => code === 'assign.needle' || code === 'assign.no-needle-serves'))
  const others = worked.done.filter((one) => !refused.includes(one) && said(one).length > 0)
  const cautions = refused.length + others.length
  const words = [none.length > 0 ? `${none.length} without` : 'all assigned', cautions > 0 ? counted(cautions, 'caution') : ''].filter((one) => one !== '')
  return {
    id: 'thread',
    name: 'Thread',
    complete: notKnown(sampler, worked) === null && none.length + refused.length === 0,
    wrong: [...none.map((one) => one.id), ...[...refused, ...others].map((one) => one.exercise.id)],
    words: notKnown(sampler, worked) ?? words.join(', '),
  }
}
