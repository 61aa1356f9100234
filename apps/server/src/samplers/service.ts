/** Samplers: kept as documents, changed by operations, each write based on a revision. */
import {
  applySamplerOperations,
  cutText,
  operation,
  readSampler,
  readSamplerFile,
  type SamplerAnswer,
  type SamplerFile,
  type SamplerSummary,
  type StaleAnswer,
  type WrittenAnswer,
} from '@lemmata/contract'
import { newClass } from '@lemmata/core/classes'
import type { Guide } from '@lemmata/core/guide'
import { forNextClass, newSampler, type Sampler } from '@lemmata/core/sampler'
import { Op, type Sequelize, Transaction } from 'sequelize'
import { makeSureOfBytes, MOST_OF_ACCOUNT, type Principal, reach } from '../access/index.ts'
import { insertClass } from '../classes/index.ts'
import { OperationRow, SamplerRow } from '../database/index.ts'
import { checkedDocuments, type UnreadOperation, writeOperations } from '../documents/index.ts'
import { HttpProblem, noSuchSampler, wrongInput } from '../http/problem.ts'

const LONGEST_NAME = 120
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

export async function listSamplers(who: Principal): Promise<SamplerSummary[]> {
  const rows = await SamplerRow.findAll({
    attributes: ['id', 'name', 'exercises', 'clothName', 'changedAt', 'revision'],
    where: { ...reach(who, 'samplers'), deletedAt: null },
    order: [
      ['changedAt', 'DESC'],
      ['id', 'ASC'],
    ],
  })
  return rows.map(({ id, name, exercises, clothName, changedAt, revision }) => ({
    id,
    name,
    exercises,
    cloth: clothName,
    changedAt: changedAt.toISOString(),
    revision,
  }))
}

export async function findSampler(who: Principal, id: string, options: { deleted?: boolean; transaction?: Transaction } = {}): Promise<SamplerRow> {
  if (!UUID.test(id)) throw noSuchSampler()
  const where = { id, ...reach(who, 'samplers'), deletedAt: options.deleted ? { [Op.ne]: null } : null }
  const locked = options.transaction ? { transaction: options.transaction, lock: Transaction.LOCK.UPDATE } : {}
  const row = await SamplerRow.findOne({ where, attributes: { exclude: ['document'] }, ...locked })
  // The document is nearly all of it: it is sent for only where it is not kept as it is at this revision.
  const known = row && checked.find(row)
  if (known) return withDocument(row, known)
  const whole = row && (await SamplerRow.findOne({ where, ...locked }))
  if (!whole) throw noSuchSampler()
  return whole
}

/** As if it had been read with it: not as something that is to be written. */
function withDocument(row: SamplerRow, document: Sampler): SamplerRow {
  row.dataValues.document = document
  return row
}

/** Exercises and stitches are much of a size; what is drawn may be a word or a megabyte. */
const checked = checkedDocuments<Sampler>(
  ({ exercises, stitches, drawing, keptOrders = [] }) =>
    1500 * exercises.length +
    6000 * stitches.length +
    4000 * keptOrders.length +
    drawing.guides.reduce((total, { guide }) => total + drawnCharacters(guide), 0),
)
const drawnCharacters = (guide: Guide): number =>
  Object.values(guide as unknown as Readonly<Record<string, unknown>>).reduce<number>(
    (total, one) => total + (typeof one === 'string' ? one.length : Array.isArray(one) ? 40 * one.length + one.join('').length : 20),
    60,
  )

/** The stored document; an older version is upgraded on reading. */
export function documentOf(row: SamplerRow): Sampler {
  return checked.of(row, () => {
    const read = readSampler(row.document)
    if (!read.ok) throw new Error(`sampler ${row.id} is stored unreadable: ${read.problems[0]?.code ?? ''}`)
    return read.value
  })
}

export function answerFor(row: SamplerRow): SamplerAnswer {
  return { id: row.id, revision: row.revision, document: documentOf(row), printedRevision: row.printedRevision }
}

/** The same as JSON, which is most of what is ever answered. */
export function answerTextFor(row: SamplerRow): string {
  const beside = { id: row.id, revision: row.revision, printedRevision: row.printedRevision } satisfies Omit<SamplerAnswer, 'document'>
  return `${JSON.stringify(beside).slice(0, -1)},"document":${checked.textOf(row, documentOf(row))}}`
}

/** What the shelf shows of a document, in columns of its own. */
export function shelfColumns(document: Sampler) {
  return { name: document.name, exercises: document.exercises.length, clothName: document.cloth.colour.name, document }
}

export async function makeSampler(sequelize: Sequelize, who: Principal, given: { name: string } | { document: unknown }): Promise<SamplerRow> {
  const owner = reach(who, 'samplers')
  if ((await SamplerRow.count({ where: { ...owner, deletedAt: null } })) >= MOST_OF_ACCOUNT.samplers) {
    throw new HttpProblem(
      422,
      'sampler.too-many',
      `There are ${MOST_OF_ACCOUNT.samplers} samplers on your shelf, which is the most it holds. Export and delete some first.`,
    )
  }
  const { sampler, learners } = fileOf(given)
  await makeSureOfBytes(owner.teacherId)
  return sequelize.transaction(async (transaction) => {
    const row = await SamplerRow.create({ ...owner, ...shelfColumns(sampler), revision: 1, printedRevision: null, deletedAt: null }, { transaction })
    // An old file may hold learners: they become a class of the new sampler.
    if (learners.length > 0) await insertClass(who, { ...newClass('Learners', row.id), learners }, row.id, transaction)
    return row
  })
}

function fileOf(given: { name: string } | { document: unknown }): SamplerFile {
  if (!('document' in given)) return { sampler: newSampler(given.name), learners: [] }
  const read = readSamplerFile(given.document)
  if (!read.ok) throw wrongInput(read.problems)
  return read.value
}

/** `asTemplate`: without what belonged to one class. */
export async function copySampler(sequelize: Sequelize, who: Principal, id: string, asTemplate: boolean): Promise<SamplerRow> {
  const document = documentOf(await findSampler(who, id))
  const copy = asTemplate ? forNextClass(document) : document
  const name = asTemplate ? `${document.name}, next class` : `Copy of ${document.name}`
  return makeSampler(sequelize, who, { document: { ...copy, name: cutText(name, LONGEST_NAME) } })
}

export async function removeSampler(who: Principal, id: string): Promise<void> {
  const row = await findSampler(who, id)
  row.deletedAt = new Date()
  await row.save()
}

export async function restoreSampler(who: Principal, id: string): Promise<SamplerRow> {
  const row = await findSampler(who, id, { deleted: true })
  row.deletedAt = null
  return row.save()
}

export async function writeSampler(
  sequelize: Sequelize,
  who: Principal,
  id: string,
  given: { readonly baseRevision: number; readonly operations: readonly UnreadOperation[] },
): Promise<WrittenAnswer> {
  let written: Sampler | null = null
  const answer = await writeOperations(
    sequelize,
    {
      find: (within) => findSampler(who, id, { transaction: within }),
      documentOf,
      schema: operation,
      apply: applySamplerOperations,
      known: async (row, ids, within) => {
        const known = await OperationRow.findAll({ where: { id: [...ids] }, attributes: ['id', 'samplerId'], transaction: within })
        const here = (one: OperationRow): boolean => one.samplerId === row.id
        return { here: new Set(known.filter(here).map((one) => one.id)), elsewhere: new Set(known.filter((one) => !here(one)).map((one) => one.id)) }
      },
      save: async (row, document, applied, within) => {
        written = document
        await row.update({ ...shelfColumns(document), revision: row.revision + 1, changedAt: new Date() }, { transaction: within })
        await OperationRow.bulkCreate(
          applied.map((one) => ({ id: one.id, samplerId: row.id, revision: row.revision, operation: one.operation })),
          { transaction: within },
        )
      },
      stale: (row, applied) => {
        const answer: Omit<StaleAnswer, 'error'> = { current: answerFor(row), applied }
        return new HttpProblem(409, 'sampler.stale', 'This sampler was changed elsewhere meanwhile. Your change is applied again to the newest state.', {
          ...answer,
        })
      },
    },
    given,
  )
  if (written) checked.keep(id, answer.revision, written)
  return answer
}
