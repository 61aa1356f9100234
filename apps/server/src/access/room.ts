/** How much of an account is kept, in bytes, and how much may be. */
import type { RoomAnswer } from '@lemmata/contract'
import { QueryTypes, type Transaction } from 'sequelize'
import { SamplerRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'

/** A course with its versions, classes and pictures takes one or two million: hundreds of them. */
const MOST_BYTES = 500e6

/** Whatever a teacher or her learners brought; what was changed and when is left out, for it goes by itself. */
const TAKEN = `SELECT COALESCE(SUM(bytes), 0) AS bytes FROM (
  SELECT SUM(LENGTH(document)) AS bytes FROM samplers WHERE teacherId = :id
  UNION ALL SELECT SUM(LENGTH(v.document)) FROM versions v JOIN samplers s ON s.id = v.samplerId WHERE s.teacherId = :id
  UNION ALL SELECT SUM(LENGTH(document)) FROM classes WHERE teacherId = :id
  UNION ALL SELECT SUM(LENGTH(e.event)) FROM practice_events e JOIN classes c ON c.id = e.classId WHERE c.teacherId = :id
  UNION ALL SELECT SUM(LENGTH(p.bytes)) FROM sent_pictures p JOIN classes c ON c.id = p.classId WHERE c.teacherId = :id
  UNION ALL SELECT SUM(LENGTH(bytes)) FROM pictures WHERE teacherId = :id
  UNION ALL SELECT SUM(LENGTH(document)) FROM own_stitches WHERE teacherId = :id
  UNION ALL SELECT SUM(LENGTH(document)) FROM stores WHERE id = :id
) taken`

export async function roomOf(teacherId: string, transaction?: Transaction): Promise<RoomAnswer> {
  const [row] =
    (await SamplerRow.sequelize?.query<{ readonly bytes: string | number }>(TAKEN, {
      type: QueryTypes.SELECT,
      replacements: { id: teacherId },
      ...(transaction ? { transaction } : {}),
    })) ?? []
  return { bytes: Number(row?.bytes ?? 0), most: MOST_BYTES }
}

/** Asked before anything is made that takes room for good. `more`: bytes of it. */
export async function makeSureOfBytes(teacherId: string, more = 0, transaction?: Transaction): Promise<void> {
  const { bytes, most } = await roomOf(teacherId, transaction)
  if (bytes + more > most)
    throw new HttpProblem(
      422,
      'account.full',
      `Your account holds ${Math.round(bytes / 1e6)} of ${Math.round(most / 1e6)} MB, and this no longer fits. Save and delete samplers, versions or pictures that are done.`,
    )
}
