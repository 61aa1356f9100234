/** A version is the document as it was, under a name; it belongs to its sampler and goes with it. */
import { readSampler, type VersionAnswer, type VersionSummary } from '@lemmata/contract'
import type { Sequelize } from 'sequelize'
import { makeSureOfBytes, type Principal } from '../access/index.ts'
import { VersionRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { findSampler } from '../samplers/index.ts'

/** More than a list of which one finds the right one. */
const MOST_VERSIONS = 50

export async function listVersions(who: Principal, samplerId: string): Promise<VersionSummary[]> {
  await findSampler(who, samplerId)
  const rows = await VersionRow.findAll({
    attributes: ['id', 'name', 'revision', 'createdAt'],
    where: { samplerId },
    order: [
      ['createdAt', 'DESC'],
      ['id', 'ASC'],
    ],
  })
  return rows.map(summaryOf)
}

/** The sampler as it is stored now. */
export async function keepVersion(sequelize: Sequelize, who: Principal, samplerId: string, name: string): Promise<VersionSummary> {
  return sequelize.transaction(async (transaction) => {
    // Held while it is counted and written: two pages cannot both be the last that fits.
    const sampler = await findSampler(who, samplerId, { transaction })
    if ((await VersionRow.count({ where: { samplerId }, transaction })) >= MOST_VERSIONS)
      throw new HttpProblem(
        422,
        'version.too-many',
        `${MOST_VERSIONS} versions of this sampler are kept, which is the most. Drop one that is no longer needed.`,
      )
    await makeSureOfBytes(who.id, 0, transaction)
    return summaryOf(await VersionRow.create({ samplerId, name, revision: sampler.revision, document: sampler.document }, { transaction }))
  })
}

export async function readVersion(who: Principal, samplerId: string, id: string): Promise<VersionAnswer> {
  const row = await findVersion(who, samplerId, id)
  // An older form is brought up to date on reading.
  const read = readSampler(row.document)
  if (!read.ok) throw new Error(`version ${id} is stored unreadable: ${read.problems[0]?.code ?? ''}`)
  return { ...summaryOf(row), document: read.value }
}

export async function dropVersion(who: Principal, samplerId: string, id: string): Promise<void> {
  await (await findVersion(who, samplerId, id)).destroy()
}

async function findVersion(who: Principal, samplerId: string, id: string): Promise<VersionRow> {
  await findSampler(who, samplerId)
  const row = await VersionRow.findOne({ where: { id, samplerId } })
  if (!row) throw new HttpProblem(404, 'version.not-found', 'This version is no longer kept.')
  return row
}

function summaryOf({ id, name, revision, createdAt }: VersionRow): VersionSummary {
  return { id, name, revision, keptAt: createdAt.toISOString() }
}
