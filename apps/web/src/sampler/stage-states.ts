/** What each stage still lacks, derived from the document and its worked exercises. */
import type { Sampler } from '@lemmata/core/sampler'
import { outsideProblem } from '@lemmata/core/mend'
import { brokenRules, courseSettings, planOf } from '@lemmata/core/order'
import { courseFor, type WorkedInPage } from '../compute/use-worked.ts'

export type StageId = 'brief' | 'stitches' | 'order' | 'cloth' | 'thread' | 'sheets'

export interface StageState {
  readonly id: StageId
  readonly name: string
  readonly complete: boolean
  readonly wrong: number
  readonly words: string
}

export function stageStates(sampler: Sampler, worked: WorkedInPage, revision: number, printedRevision: number | null): readonly StageState[] {
  const count = sampler.exercises.length
  const course = courseFor(worked)
  const settings = courseSettings(sampler)
  const broken = brokenRules(course, planOf(sampler, course, settings), settings).length
  const unworked = sampler.exercises.filter((exercise) => worked.results.get(exercise.id)?.ok === false).length
  const reaching = worked.done.filter((one) => outsideProblem(one, sampler) !== null)
  const outside = reaching.length
  const refused = worked.done.filter((one) =>
    one.problems.some((problem) => problem.code === 'assign.needle' || problem.code === 'assign.no-needle-serves'),
  ).length
  const noThread = sampler.exercises.filter((exercise) => {
    const result = worked.results.get(exercise.id)
    return result && !result.ok && result.problems.some((problem) => problem.code.startsWith('assign.'))
  }).length
  const things = (many: number, one: string, more: string): string => (many === 1 ? `1 ${one}` : `${many} ${more}`)
  const cloth = unworked + outside
  // Of what has not been worked nothing is known.
  const known = worked.failed === null
  const thread = refused + noThread
  const printedNow = printedRevision !== null && printedRevision === revision
  return [
    { id: 'brief', name: 'Brief', complete: true, wrong: 0, words: things(sampler.brief.learners, 'learner', 'learners') },
    { id: 'stitches', name: 'Stitches', complete: count > 0, wrong: 0, words: count === 0 ? 'choose the first' : things(count, 'exercise', 'exercises') },
    {
      id: 'order',
      name: 'Order',
      complete: count > 0 && broken === 0,
      wrong: broken,
      words: broken > 0 ? things(broken, 'broken rule', 'broken rules') : count > 0 ? 'no broken rule' : 'nothing yet',
    },
    {
      id: 'cloth',
      name: 'Cloth',
      complete: known && count > 0 && cloth === 0,
      wrong: cloth,
      words:
        unworked > 0
          ? `${unworked} cannot be worked`
          : outside === 1
            ? `${reaching[0]?.exercise.name ?? ''} reaches outside`
            : outside > 0
              ? `${outside} reach outside`
              : count > 0
                ? 'all inside'
                : 'nothing yet',
    },
    {
      id: 'thread',
      name: 'Thread',
      complete: known && count > 0 && thread === 0,
      wrong: thread,
      words: !known ? 'not worked' : thread > 0 ? things(thread, 'to look at', 'to look at') : count > 0 ? 'all assigned' : 'nothing yet',
    },
    {
      id: 'sheets',
      name: 'Sheets',
      complete: printedNow,
      wrong: 0,
      words: printedNow ? 'printed' : printedRevision === null ? 'not printed' : 'changed since',
    },
  ]
}
