/** Rows that a teacher has held against a ruler, and how what a photograph measures stands against them. */
import { type RulerCheckGiven, type RulerCheckKept, rulerCheck } from '@lemmata/contract'
import { type Standing, standingOf } from '@lemmata/core/photo'
import { col, fn } from 'sequelize'
import { MOST_OF_ACCOUNT, type Principal, reach } from '../access/index.ts'
import { RulerCheckRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'

/** Of an older form nothing is told. */
function keptOf({ id, given, createdAt }: RulerCheckRow): readonly RulerCheckKept[] {
  const read = rulerCheck.safeParse(typeof given === 'string' ? JSON.parse(given) : given)
  return read.success ? [{ id, ...read.data, createdAt: createdAt.toISOString() }] : []
}

export async function rulerChecksOf(who: Principal): Promise<readonly RulerCheckKept[]> {
  return (await RulerCheckRow.findAll({ where: reach(who, 'ruler-checks'), order: [['createdAt', 'ASC']] })).flatMap(keptOf)
}

export async function keepRulerCheck(who: Principal, given: RulerCheckGiven): Promise<RulerCheckKept> {
  const own = reach(who, 'ruler-checks')
  if ((await RulerCheckRow.count({ where: own })) >= MOST_OF_ACCOUNT.rulerChecks)
    throw new HttpProblem(422, 'ruler.too-many', 'So many rows are kept. Delete some of the oldest first.')
  const row = await RulerCheckRow.create({ ...own, given })
  return { id: row.id, ...given, createdAt: row.createdAt.toISOString() }
}

export async function dropRulerCheck(who: Principal, id: string): Promise<void> {
  if ((await RulerCheckRow.destroy({ where: { id, ...reach(who, 'ruler-checks') } })) === 0)
    throw new HttpProblem(404, 'ruler.not-found', 'This row is not kept any more.')
}

export async function standingOfTeacher(teacherId: string): Promise<Standing> {
  return standingOf(await rulerChecksOf({ kind: 'teacher', id: teacherId }))
}

/** Another whenever a row was added or deleted. */
export async function rulerState(teacherId: string): Promise<string> {
  const [found] = (await RulerCheckRow.findAll({
    attributes: [
      [fn('COUNT', col('id')), 'many'],
      [fn('MAX', col('createdAt')), 'last'],
    ],
    where: { teacherId },
    raw: true,
  })) as unknown as { many: number; last: Date | null }[]
  return `${found?.many ?? 0} ${found?.last ? new Date(found.last).getTime() : ''}`
}
