/** Where a teacher is signed in, and signing out everywhere else. */
import type { SessionSeen } from '@lemmata/contract'
import { Op } from 'sequelize'
import { SessionRow } from '../database/index.ts'

const others = (teacherId: string, sid: string) => ({ teacherId, sid: { [Op.ne]: sid } })

export async function sessionsOf(teacherId: string, sid: string): Promise<readonly SessionSeen[]> {
  const rows = await SessionRow.findAll({ where: { teacherId, expires: { [Op.gt]: new Date() } }, order: [['updatedAt', 'DESC']] })
  return rows.map((row) => ({ since: row.createdAt.toISOString(), last: row.updatedAt.toISOString(), isThis: row.sid === sid }))
}

export async function endOtherSessions(teacherId: string, sid: string): Promise<void> {
  await SessionRow.destroy({ where: others(teacherId, sid) })
}
