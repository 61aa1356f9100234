/**
 * Deleted samplers go for good after a month, with their classes; the record of single changes after half a year: until then a change that
 * is sent once more, by a page that was long without a connection, is known and counts once. So long it is also known what happened with
 * accounts.
 */
import { Op } from 'sequelize'
import { ClassOperationRow, OperationRow, SamplerRow, StoresOperationRow, TrailRow } from '../database/index.ts'

export const PURGED_AFTER_DAYS = 30
export const COMPACTED_AFTER_DAYS = 180

export interface Tidied {
  readonly samplers: number
  readonly operations: number
}

export async function tidy(now: Date): Promise<Tidied> {
  const before = (days: number) => ({ [Op.lt]: new Date(now.getTime() - days * 24 * 3600 * 1000) })
  const samplers = await SamplerRow.destroy({ where: { deletedAt: before(PURGED_AFTER_DAYS) } })
  const old = { where: { createdAt: before(COMPACTED_AFTER_DAYS) } }
  await TrailRow.destroy(old)
  await TrailRow.sequelize?.query('DELETE FROM tries WHERE expire < :now', { replacements: { now: now.getTime() } })
  const gone = [await OperationRow.destroy(old), await ClassOperationRow.destroy(old), await StoresOperationRow.destroy(old)]
  return { samplers, operations: gone.reduce((total, one) => total + one, 0) }
}
