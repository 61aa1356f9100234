/** Pictures that are drawn over. */
import type { PictureAnswer } from '@lemmata/contract'
import { makeSureOfBytes, MOST_OF_ACCOUNT, type Principal, reach } from '../access/index.ts'
import { PictureRow, SamplerRow, VersionRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { madeAnew } from './made-anew.ts'

/** A drawing that fills a wide screen; more cannot be seen under thread. */
const LONGEST_PX = 1800

export async function keepPicture(who: Principal, sent: Buffer): Promise<PictureAnswer> {
  const made = await madeAnew(sent, LONGEST_PX)
  const own = reach(who, 'pictures')
  await makeRoom(own.teacherId)
  await makeSureOfBytes(own.teacherId, made.data.byteLength)
  const row = await PictureRow.create({ ...own, width: made.info.width, height: made.info.height, bytes: made.data })
  return { id: row.id, width: row.width, height: row.height }
}

/** The oldest that no sampler and no version names goes, so that what was taken away can be taken back for a long time. */
async function makeRoom(teacherId: string): Promise<void> {
  const kept = await PictureRow.findAll({ attributes: ['id'], where: { teacherId }, order: [['createdAt', 'ASC']] })
  if (kept.length < MOST_OF_ACCOUNT.pictures) return
  const samplers = await SamplerRow.findAll({ attributes: ['id', 'document'], where: { teacherId } })
  const versions = await VersionRow.findAll({ attributes: ['document'], where: { samplerId: samplers.map(({ id }) => id) } })
  const named = JSON.stringify([...samplers, ...versions].map(({ document }) => document))
  const free = kept.find(({ id }) => !named.includes(id))
  if (!free)
    throw new HttpProblem(
      422,
      'picture.too-many',
      `${MOST_OF_ACCOUNT.pictures} pictures are drawn over, which is the most. Take one away from a sampler that is done.`,
    )
  await free.destroy()
}

export async function readPicture(who: Principal, id: string): Promise<PictureRow> {
  const row = await PictureRow.findOne({ where: { id, ...reach(who, 'pictures') } })
  if (!row) throw new HttpProblem(404, 'picture.not-found', 'This picture is not kept here.')
  return row
}

export async function dropPicture(who: Principal, id: string): Promise<void> {
  await (await readPicture(who, id)).destroy()
}
