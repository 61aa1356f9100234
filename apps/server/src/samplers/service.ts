/** Samplers of a teacher: kept as documents, changed by operations, each write based on a version. */
import { applyOperations, readSampler, type SamplerAnswer, type SamplerSummary, type SentOperation, type StaleAnswer } from '@lemmata/contract'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { Op, type Sequelize, Transaction } from 'sequelize'
import { OperationRow, SamplerRow } from '../database/index.ts'
import { HttpProblem, noSuchSampler, wrongInput } from '../http/problem.ts'

/** A shelf this full is a mistake or an attack. */
const MOST_SAMPLERS = 500
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

export async function listSamplers(teacherId: string): Promise<SamplerSummary[]> {
  const rows = await SamplerRow.findAll({
    where: { teacherId, deletedAt: null },
    order: [
      ['changedAt', 'DESC'],
      ['id', 'ASC'],
    ],
  })
  return rows.map((row) => {
    const document = documentOf(row)
    return {
      id: row.id,
      name: document.name,
      exercises: document.exercises.length,
      cloth: document.cloth.colour.name,
      changedAt: row.changedAt.toISOString(),
      version: row.version,
    }
  })
}

export async function findSampler(teacherId: string, id: string, options: { deleted?: boolean; transaction?: Transaction } = {}): Promise<SamplerRow> {
  if (!UUID.test(id)) throw noSuchSampler()
  const row = await SamplerRow.findOne({
    where: { id, teacherId, deletedAt: options.deleted ? { [Op.ne]: null } : null },
    ...(options.transaction ? { transaction: options.transaction, lock: Transaction.LOCK.UPDATE } : {}),
  })
  if (!row) throw noSuchSampler()
  return row
}

/** The stored document; an older version would be upgraded here on reading. */
export function documentOf(row: SamplerRow): Sampler {
  const read = readSampler(row.document)
  if (!read.ok) throw new Error(`sampler ${row.id} is stored unreadable: ${read.problems[0]?.message ?? ''}`)
  return read.value
}

export function answerFor(row: SamplerRow): SamplerAnswer {
  return { id: row.id, version: row.version, document: documentOf(row), printedVersion: row.printedVersion }
}

export async function makeSampler(teacherId: string, given: { name: string } | { document: unknown }): Promise<SamplerRow> {
  if ((await SamplerRow.count({ where: { teacherId, deletedAt: null } })) >= MOST_SAMPLERS) {
    throw new HttpProblem(
      422,
      'sampler.too-many',
      `There are ${MOST_SAMPLERS} samplers on your shelf, which is the most it holds. Export and delete some first.`,
    )
  }
  let document: Sampler
  if ('document' in given) {
    const read = readSampler(given.document)
    if (!read.ok) throw wrongInput(read.problems)
    document = read.value
  } else document = newSampler(given.name)
  return SamplerRow.create({ teacherId, name: document.name, document, version: 1, printedVersion: null, deletedAt: null })
}

export async function copySampler(teacherId: string, id: string): Promise<SamplerRow> {
  const document = documentOf(await findSampler(teacherId, id))
  const name = `Copy of ${document.name}`.slice(0, 120)
  return makeSampler(teacherId, { document: { ...document, name } })
}

export async function removeSampler(teacherId: string, id: string): Promise<void> {
  const row = await findSampler(teacherId, id)
  row.deletedAt = new Date()
  await row.save()
}

export async function restoreSampler(teacherId: string, id: string): Promise<SamplerRow> {
  const row = await findSampler(teacherId, id, { deleted: true })
  row.deletedAt = null
  return row.save()
}

/**
 * Operations based on a version. A stale base is answered 409 with the current state and with those of the
 * sent operations that are in already, so that nothing is applied twice or lost.
 */
export async function writeOperations(
  sequelize: Sequelize,
  teacherId: string,
  id: string,
  given: { baseVersion: number; operations: readonly SentOperation[] },
): Promise<number> {
  return sequelize.transaction(async (transaction) => {
    const row = await findSampler(teacherId, id, { transaction })
    const known = await OperationRow.findAll({ where: { id: given.operations.map((one) => one.id), samplerId: row.id }, attributes: ['id'], transaction })
    const applied = new Set(known.map((one) => one.id))
    if (given.baseVersion !== row.version) {
      const stale: Omit<StaleAnswer, 'error'> = { current: answerFor(row), applied: [...applied] }
      throw new HttpProblem(409, 'sampler.stale', 'This sampler was changed elsewhere meanwhile. Your change is applied again to the newest state.', {
        ...stale,
      })
    }
    const fresh = given.operations.filter((one) => !applied.has(one.id))
    if (fresh.length === 0) return row.version
    const changed = applyOperations(
      documentOf(row),
      fresh.map((one) => one.operation),
    )
    if (!changed.ok) throw wrongInput(changed.problems)
    row.document = changed.value
    row.name = changed.value.name
    row.version += 1
    row.changedAt = new Date()
    await row.save({ transaction })
    await OperationRow.bulkCreate(
      fresh.map((one) => ({ id: one.id, samplerId: row.id, version: row.version, operation: one.operation })),
      { transaction },
    )
    return row.version
  })
}
