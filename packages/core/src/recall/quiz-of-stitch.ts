/** For tests: a stitch of the library to be asked about. */
import { surroundingsOf } from '../assign/index.ts'
import { roleThreads } from '../exercise/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import type { Hand } from '../steps/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { type Quiz, quizOf } from './quiz.ts'

const around = surroundingsOf(newSampler('Asked'))

export function quizOfStitch(id: string, hand: Hand = 'right'): Quiz {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  const worked = workAlone({ id: 'e', name: id, stitch: id, guide: practiceGuide(document.practice ?? practiceFor(document), 60, 60, 80) }, around)
  if (!worked.ok) throw new Error(`${id}: ${sentenceOf(worked.problems)}`)
  const { assigned, guide } = worked.value
  const quiz = quizOf({
    document: assigned.document,
    parameters: assigned.parameters,
    materials: assigned.materials,
    threads: roleThreads(assigned),
    hand,
    like: guide,
  })
  if (!quiz.ok) throw new Error(`${id}: ${sentenceOf(quiz.problems)}`)
  return quiz.value
}
