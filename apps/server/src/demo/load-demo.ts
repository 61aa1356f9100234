/** The demo teacher and her samplers, loaded once; `reset` puts hers back as they were. */
import { randomUUID } from 'node:crypto'
import { demoStores, diaryClass, sixThursdays, thursdayClass, thursdayPractice, weatherDiary } from '@lemmata/contract/demo'
import { needlefulsOf, workSampler } from '@lemmata/core/exercise'
import { courseOf } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import type { Sequelize } from 'sequelize'
import { hashPassword } from '../accounts/index.ts'
import { insertClass } from '../classes/index.ts'
import { PracticeRow, SamplerRow, StoresRow, Teacher } from '../database/index.ts'
import { shelfColumns } from '../samplers/index.ts'
import { insertStores } from '../stores/index.ts'

export const DEMO = { email: 'demo@lemmata.example', password: 'needle and thread' }

/** All or nothing, so that an interrupted start leaves no half of it behind. */
export async function loadDemo(sequelize: Sequelize, today: string, reset: boolean): Promise<void> {
  await sequelize.transaction(async (transaction) => {
    const known = await Teacher.findOne({ where: { email: DEMO.email }, transaction })
    if (known && !reset) return
    const teacher = known ?? (await Teacher.create({ email: DEMO.email, name: 'Ada Merino', passwordHash: await hashPassword(DEMO.password) }, { transaction }))
    await SamplerRow.destroy({ where: { teacherId: teacher.id }, transaction })
    await StoresRow.destroy({ where: { id: teacher.id }, transaction })
    await insertStores({ kind: 'teacher', id: teacher.id }, demoStores(), transaction)
    for (const [document, people] of [[sixThursdays(today), thursdayClass(today)] as const, [weatherDiary(), diaryClass()] as const]) {
      const row = await SamplerRow.create(
        { teacherId: teacher.id, ...shelfColumns(document), revision: 1, printedRevision: null, deletedAt: null },
        { transaction },
      )
      const group = await insertClass({ kind: 'teacher', id: teacher.id }, { ...people, sampler: row.id }, row.id, transaction)
      const { minutes, needlefuls } = reckoned(document)
      const events = thursdayPractice(document, people, today, people.calendar ? minutes : () => 0, needlefuls).map((told) => ({ ...told, id: randomUUID() }))
      await PracticeRow.bulkCreate(
        events.map((event) => ({ id: event.id, classId: group.id, learnerId: event.learner, event })),
        { transaction },
      )
    }
  })
}

/** By exercise: minutes at home, and needlefuls. */
function reckoned(sampler: Sampler): Record<'minutes' | 'needlefuls', (exercise: string) => number> {
  const { done } = workSampler(sampler)
  const course = courseOf(done)
  return {
    minutes: (exercise) => course.find((one) => one.id === exercise)?.homeMinutes ?? 0,
    needlefuls: (exercise) => done.filter((one) => one.exercise.id === exercise).reduce((_, one) => needlefulsOf(one), 0),
  }
}
