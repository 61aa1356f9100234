/** What is told of learners' work: kept once, whatever is sent how often; read by her and by her teacher, and taken away with her. */
import type { MarkedEvent, ToldEvent } from '@lemmata/contract'
import type { PracticeEvent } from '@lemmata/core/practice'
import { type LearnerPrincipal, ownPractice } from '../access/index.ts'
import { PracticeRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'

/** A course of a year, told of every day. */
const MOST_OF_ONE = 20_000

const eventOf = (row: PracticeRow): PracticeEvent => (typeof row.event === 'string' ? JSON.parse(row.event) : row.event) as PracticeEvent

const order = [
  ['createdAt', 'ASC'],
  ['id', 'ASC'],
] as [string, string][]

export async function practiceOfLearner(who: LearnerPrincipal): Promise<readonly PracticeEvent[]> {
  return (await PracticeRow.findAll({ where: ownPractice(who), order })).map(eventOf)
}

export async function practiceOfClass(classId: string): Promise<readonly PracticeEvent[]> {
  return (await PracticeRow.findAll({ where: { classId }, order })).map(eventOf)
}

/** Ids of those that are kept: all of them, unless one is of somebody else. */
export async function keepTold(who: LearnerPrincipal, told: readonly ToldEvent[]): Promise<readonly string[]> {
  return keep(
    who,
    told.map((one) => ({ ...one, learner: who.learnerId, by: 'learner' as const })),
  )
}

export async function keepMarked(classId: string, told: readonly MarkedEvent[]): Promise<readonly string[]> {
  const kept: string[] = []
  for (const learnerId of new Set(told.map((one) => one.learner))) {
    const hers = told.filter((one) => one.learner === learnerId).map((one) => ({ ...one, by: 'teacher' as const }))
    kept.push(...(await keep({ kind: 'learner', classId, learnerId }, hers)))
  }
  return kept
}

async function keep(who: LearnerPrincipal, events: readonly PracticeEvent[]): Promise<readonly string[]> {
  if ((await PracticeRow.count({ where: ownPractice(who) })) + events.length > MOST_OF_ONE)
    throw new HttpProblem(422, 'learning.too-much', 'So much is kept of one course. Ask your teacher to begin a new class.')
  const ids = events.map((one) => one.id)
  await PracticeRow.bulkCreate(
    events.map((event) => ({ id: event.id, ...ownPractice(who), event })),
    { ignoreDuplicates: true },
  )
  return (await PracticeRow.findAll({ where: { ...ownPractice(who), id: ids }, attributes: ['id'] })).map((one) => one.id)
}
