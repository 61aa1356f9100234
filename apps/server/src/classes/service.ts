/** Classes of a sampler: their learners and what each has chosen, with revisions and operations of their own. */
import { applyClassOperations, type ClassAnswer, classOperation, type ClassSummary, readClass, type StaleAnswer, type WrittenAnswer } from '@lemmata/contract'
import { type ClassDocument, type Learner, newClass } from '@lemmata/core/classes'
import { type Sequelize, Transaction } from 'sequelize'
import { type Principal, reach } from '../access/index.ts'
import { ClassOperationRow, ClassRow, SamplerRow } from '../database/index.ts'
import { type UnreadOperation, writeOperations } from '../documents/index.ts'
import { HttpProblem, noSuchSampler, wrongInput } from '../http/problem.ts'

/** Nobody teaches one sampler to more classes. */
const MOST_CLASSES = 60
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

const noSuchClass = (): HttpProblem => new HttpProblem(404, 'class.none', 'There is no such class of yours. Go back to the sampler and choose one there.')

export async function listClasses(who: Principal, samplerId: string): Promise<ClassSummary[]> {
  await requireSampler(who, samplerId)
  const rows = await ClassRow.findAll({
    attributes: ['id', 'name', 'learners'],
    where: { samplerId, ...reach(who, 'classes') },
    order: [
      ['createdAt', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  return rows.map(({ id, name, learners }) => ({ id, name, learners }))
}

async function requireSampler(who: Principal, samplerId: string): Promise<void> {
  if (!UUID.test(samplerId)) throw noSuchSampler()
  if ((await SamplerRow.count({ where: { id: samplerId, ...reach(who, 'samplers'), deletedAt: null } })) === 0) throw noSuchSampler()
}

export async function findClass(who: Principal, id: string, transaction?: Transaction): Promise<ClassRow> {
  if (!UUID.test(id)) throw noSuchClass()
  const row = await ClassRow.findOne({
    where: { id, ...reach(who, 'classes') },
    ...(transaction ? { transaction, lock: Transaction.LOCK.UPDATE } : {}),
  })
  if (!row) throw noSuchClass()
  return row
}

export function classDocumentOf(row: ClassRow): ClassDocument {
  const read = readClass(row.document)
  if (!read.ok) throw new Error(`class ${row.id} is stored unreadable: ${read.problems[0]?.code ?? ''}`)
  return read.value
}

export function classAnswerFor(row: ClassRow): ClassAnswer {
  return { id: row.id, revision: row.revision, document: classDocumentOf(row) }
}

/** One of a class's learners, for her sheet. */
export async function findLearner(who: Principal, classId: string, learnerId: string): Promise<Learner> {
  const { learners } = classDocumentOf(await findClass(who, classId))
  const found = learners.find((one) => one.id === learnerId)
  if (!found) throw new HttpProblem(422, 'class.no-learner', 'This learner is no longer in the class. Choose another, or print for the class.')
  return found
}

export async function makeClass(
  sequelize: Sequelize,
  who: Principal,
  given: { readonly sampler: string; readonly name: string } | { readonly sampler: string; readonly document: unknown },
): Promise<ClassRow> {
  await requireSampler(who, given.sampler)
  if ((await ClassRow.count({ where: { samplerId: given.sampler, ...reach(who, 'classes') } })) >= MOST_CLASSES)
    throw new HttpProblem(422, 'class.too-many', `This sampler has ${MOST_CLASSES} classes, which is the most. Delete one first.`)
  const document = 'document' in given ? readGiven(given.document) : newClass(given.name)
  return sequelize.transaction((transaction) => insertClass(who, { ...document, sampler: given.sampler }, given.sampler, transaction))
}

function readGiven(document: unknown): ClassDocument {
  const read = readClass(document)
  if (!read.ok) throw wrongInput(read.problems)
  return read.value
}

const columnsOf = (document: ClassDocument) => ({ name: document.name, learners: document.learners.length, document })

export function insertClass(who: Principal, document: ClassDocument, samplerId: string, transaction: Transaction): Promise<ClassRow> {
  return ClassRow.create({ ...reach(who, 'classes'), samplerId, ...columnsOf(document), revision: 1 }, { transaction })
}

export async function removeClass(who: Principal, id: string): Promise<void> {
  await (await findClass(who, id)).destroy()
}

export async function writeClass(
  sequelize: Sequelize,
  who: Principal,
  id: string,
  given: { readonly baseRevision: number; readonly operations: readonly UnreadOperation[] },
): Promise<WrittenAnswer> {
  return writeOperations(
    sequelize,
    {
      find: (within) => findClass(who, id, within),
      documentOf: classDocumentOf,
      schema: classOperation,
      apply: applyClassOperations,
      known: async (row, ids, within) => {
        const known = await ClassOperationRow.findAll({ where: { id: [...ids] }, attributes: ['id', 'classId'], transaction: within })
        const here = (one: ClassOperationRow): boolean => one.classId === row.id
        return { here: new Set(known.filter(here).map((one) => one.id)), elsewhere: new Set(known.filter((one) => !here(one)).map((one) => one.id)) }
      },
      save: async (row, document, applied, within) => {
        await row.update({ ...columnsOf(document), revision: row.revision + 1, changedAt: new Date() }, { transaction: within })
        await ClassOperationRow.bulkCreate(
          applied.map((one) => ({ id: one.id, classId: row.id, revision: row.revision, operation: one.operation })),
          { transaction: within },
        )
      },
      stale: (row, applied) => {
        const answer: Omit<StaleAnswer<ClassAnswer>, 'error'> = { current: classAnswerFor(row), applied }
        return new HttpProblem(409, 'class.stale', 'This class was changed elsewhere meanwhile. Your change is applied again to the newest state.', {
          ...answer,
        })
      },
    },
    given,
  )
}
