/** Learners of a class: joining by its code, coming back by a link of their own, their week, and everything about them out and away. */
import { type JoinedAnswer, learnerLink, type LearningAnswer, type LinkAnswer } from '@lemmata/contract'
import { addDays, layLessons } from '@lemmata/core/calendar'
import type { ClassDocument, Learner } from '@lemmata/core/classes'
import { randomUUID } from 'node:crypto'
import type { Sequelize } from 'sequelize'
import type { LearnerPrincipal, Principal } from '../access/index.ts'
import { hashPassword, passwordMatches } from '../accounts/index.ts'
import { classDocumentOf, findClass, writeClass } from '../classes/index.ts'
import { ClassRow, LinkRow, PracticeRow, SamplerRow, SentPictureRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { documentOf } from '../samplers/index.ts'
import { giveKey, newCode, newSecret, notKnown } from './keys.ts'
import { practiceOfClass, practiceOfLearner } from './practice.ts'
import { standingOfTeacher } from './ruler.ts'
import { picturesOfClass, picturesWithBytes } from './sent-pictures.ts'

const noSuchCode = (): HttpProblem => new HttpProblem(404, 'learning.no-code', 'No class has this code. Look at it once more, or ask your teacher.')
const byListOnly = (): HttpProblem =>
  new HttpProblem(403, 'learning.by-list-only', 'Nobody joins this class by a code. Ask its teacher for a link of your own.')
const wrongWord = (): HttpProblem =>
  new HttpProblem(401, 'learning.wrong-word', 'This link and this word do not go together. Try the word once more, or ask your teacher for a new link.')

/** The one before ends with it. */
export async function renewCode(who: Principal, classId: string): Promise<string> {
  const joinCode = newCode()
  await (await findClass(who, classId)).update({ joinCode })
  return joinCode
}

export async function endCode(who: Principal, classId: string): Promise<void> {
  await (await findClass(who, classId)).update({ joinCode: null })
}

async function classByCode(joinCode: string): Promise<ClassRow> {
  const row = await ClassRow.findOne({ where: { joinCode } })
  if (!row || !(await samplerOf(row))) throw noSuchCode()
  if (classDocumentOf(row).children === true) throw byListOnly()
  return row
}

const samplerOf = (row: ClassRow): Promise<SamplerRow | null> => SamplerRow.findOne({ where: { id: row.samplerId, deletedAt: null } })

export async function classNamed(code: string): Promise<{ readonly className: string }> {
  return { className: (await classByCode(code)).name }
}

export async function join(sequelize: Sequelize, given: { code: string; name: string; hand: 'left' | 'right'; word: string }): Promise<JoinedAnswer> {
  const row = await classByCode(given.code)
  const learner: Learner = { id: `l-${randomUUID().slice(0, 13)}`, name: given.name, hand: given.hand, choices: {} }
  await addLearner(sequelize, row, learner)
  const link = await LinkRow.create({ classId: row.id, learnerId: learner.id, link: newSecret(), wordHash: await hashPassword(given.word) })
  return { key: await giveKey(link), link: link.link }
}

/** Her teacher may be changing the class meanwhile: then once more, on what it is by then. */
async function addLearner(sequelize: Sequelize, { id, teacherId }: ClassRow, learner: Learner): Promise<void> {
  const teacher: Principal = { kind: 'teacher', id: teacherId }
  const operation = { id: randomUUID(), operation: { kind: 'add-learner', learner, at: 1000 } }
  for (let tries = 0; ; tries += 1) {
    const row = await findClass(teacher, id)
    try {
      const { refused } = await writeClass(sequelize, teacher, id, { baseRevision: row.revision, operations: [operation] })
      if (refused.length > 0) throw new HttpProblem(422, 'learning.full', 'This class has no room for another learner. Ask your teacher.')
      return
    } catch (error) {
      if (tries >= 5 || !(error instanceof HttpProblem) || error.status !== 409) throw error
    }
  }
}

export async function linkNamed(given: string): Promise<LinkAnswer> {
  const link = learnerLink.safeParse(given)
  const row = link.success ? await LinkRow.findOne({ where: { link: link.data } }) : null
  const group = row && (await ClassRow.findByPk(row.classId))
  if (!group) throw notKnown()
  return { className: group.name, isNew: row.wordHash === null }
}

export async function openLink(given: { link: string; word: string }): Promise<JoinedAnswer> {
  const row = await LinkRow.findOne({ where: { link: given.link } })
  if (row && row.wordHash === null) await row.update({ wordHash: await hashPassword(given.word) })
  else if (!(await passwordMatches(given.word, row?.wordHash ?? null))) throw wrongWord()
  if (!row) throw wrongWord()
  return { key: await giveKey(row), link: row.link }
}

/** Of one of the class's learners, by her teacher: what she had before ends, her devices too. */
export async function renewLink(who: Principal, classId: string, learnerId: string): Promise<string> {
  const row = await findClass(who, classId)
  if (!classDocumentOf(row).learners.some((one) => one.id === learnerId)) throw noSuchLearner()
  await LinkRow.destroy({ where: { classId: row.id, learnerId } })
  return (await LinkRow.create({ classId: row.id, learnerId, link: newSecret(), wordHash: null })).link
}

export async function endLink(who: Principal, classId: string, learnerId: string): Promise<void> {
  const row = await findClass(who, classId)
  await LinkRow.destroy({ where: { classId: row.id, learnerId } })
}

export const noSuchLearner = (): HttpProblem => new HttpProblem(404, 'class.no-learner', 'This learner is no longer in the class.')

export async function learningOf(who: Principal, classId: string): Promise<LearningAnswer> {
  const row = await findClass(who, classId)
  const links = await LinkRow.findAll({ where: { classId: row.id } })
  return {
    code: row.joinCode,
    links: links.map(({ learnerId, link, wordHash }) => ({ learner: learnerId, link, isOpened: wordHash !== null })),
    events: await practiceOfClass(row.id),
    pictures: await picturesOfClass(row.id),
    measuring: await standingOfTeacher(row.teacherId),
  }
}

async function hers(who: LearnerPrincipal): Promise<{ readonly row: ClassRow; readonly document: ClassDocument; readonly learner: Learner }> {
  const row = await ClassRow.findByPk(who.classId)
  const document = row && classDocumentOf(row)
  const learner = document?.learners.find((one) => one.id === who.learnerId)
  if (!row || !document || !learner) throw notKnown()
  return { row, document, learner }
}

/** Everything that is kept of her. */
export async function exportLearner(who: LearnerPrincipal): Promise<unknown> {
  const { document, learner } = await hers(who)
  return { format: 'lemmata-learner', version: 1, class: document.name, learner, events: await practiceOfLearner(who), pictures: await picturesWithBytes(who) }
}

/** Everything that is kept of her goes: from the class, from what is told, and from the record of its changes. */
export async function deleteLearner(sequelize: Sequelize, { classId, learnerId }: LearnerPrincipal): Promise<void> {
  const group = await ClassRow.findByPk(classId)
  if (!group) return
  await PracticeRow.destroy({ where: { classId, learnerId } })
  await SentPictureRow.destroy({ where: { classId, learnerId } })
  await LinkRow.destroy({ where: { classId, learnerId } })
  await sequelize.transaction(async (transaction) => {
    const row = await findClass({ kind: 'teacher', id: group.teacherId }, classId, transaction)
    const document = classDocumentOf(row)
    const learners = document.learners.filter((one) => one.id !== learnerId)
    await row.update({ document: { ...document, learners }, learners: learners.length, revision: row.revision + 1, changedAt: new Date() }, { transaction })
    // Undo of what had her in it is no longer to be had: its record goes too.
    await sequelize.query('UPDATE class_operations SET operation = \'{"kind":"forgotten"}\' WHERE classId = :classId AND operation LIKE :hers', {
      replacements: { classId, hers: `%"${learnerId}"%` },
      transaction,
    })
  })
}

/** Practice of a class that ended so long ago is deleted. */
export const KEPT_DAYS = 90

/** Of classes whose last date is longer ago than that. Told how many there were. */
export async function forgetEnded(today: string): Promise<number> {
  const told = await PracticeRow.findAll({ attributes: ['classId'], group: ['classId'] })
  const rows = await ClassRow.findAll({ where: { id: told.map((one) => one.classId) } })
  let ended = 0
  for (const row of rows) {
    const { calendar } = classDocumentOf(row)
    const sampler = calendar && (await SamplerRow.findByPk(row.samplerId))
    if (!calendar || !sampler) continue
    const lessons = documentOf(sampler).lessons.filter((one) => one.exercises.length > 0)
    const last = layLessons(
      calendar,
      lessons.map((one) => one.id),
    ).days.at(-1)?.on
    if (last === undefined || addDays(last, KEPT_DAYS) >= today) continue
    await PracticeRow.destroy({ where: { classId: row.id } })
    await SentPictureRow.destroy({ where: { classId: row.id } })
    await LinkRow.destroy({ where: { classId: row.id } })
    ended += 1
  }
  return ended
}
