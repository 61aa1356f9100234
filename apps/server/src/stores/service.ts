/** The stores of an account: one document, made when it is first asked for, with a revision and operations of its own. */
import { applyStoresOperations, readStores, type StaleAnswer, type StoresAnswer, storesOperation, type WrittenAnswer } from '@lemmata/contract'
import { emptyStores, type Stores } from '@lemmata/core/stores'
import { type Sequelize, Transaction } from 'sequelize'
import { type Principal, reach } from '../access/index.ts'
import { StoresOperationRow, StoresRow } from '../database/index.ts'
import { type UnreadOperation, writeOperations } from '../documents/index.ts'
import { HttpProblem } from '../http/problem.ts'

export async function findStores(who: Principal, transaction?: Transaction): Promise<StoresRow> {
  const { teacherId: id } = reach(who, 'stores')
  const options = transaction ? { transaction, lock: Transaction.LOCK.UPDATE } : {}
  const row = await StoresRow.findByPk(id, options)
  if (row) return row
  // Two windows may ask for the first time at once: whichever is second makes nothing.
  await StoresRow.bulkCreate([{ id, document: emptyStores(), revision: 1 }], { ignoreDuplicates: true, ...(transaction ? { transaction } : {}) })
  return (await StoresRow.findByPk(id, options)) as StoresRow
}

function documentOf(row: StoresRow): Stores {
  const read = readStores(row.document)
  if (!read.ok) throw new Error(`the stores of ${row.id} are stored unreadable: ${read.problems[0]?.code ?? ''}`)
  return read.value
}

export function storesAnswerFor(row: StoresRow): StoresAnswer {
  return { id: row.id, revision: row.revision, document: documentOf(row) }
}

export async function insertStores(who: Principal, document: Stores, transaction: Transaction): Promise<void> {
  await StoresRow.create({ id: reach(who, 'stores').teacherId, document, revision: 1 }, { transaction })
}

export async function writeStores(
  sequelize: Sequelize,
  who: Principal,
  given: { readonly baseRevision: number; readonly operations: readonly UnreadOperation[] },
): Promise<WrittenAnswer> {
  return writeOperations(
    sequelize,
    {
      find: (within) => findStores(who, within),
      documentOf,
      schema: storesOperation,
      apply: applyStoresOperations,
      known: async (row, ids, within) => {
        const known = await StoresOperationRow.findAll({ where: { id: [...ids] }, attributes: ['id', 'storesId'], transaction: within })
        const here = (one: StoresOperationRow): boolean => one.storesId === row.id
        return { here: new Set(known.filter(here).map((one) => one.id)), elsewhere: new Set(known.filter((one) => !here(one)).map((one) => one.id)) }
      },
      save: async (row, document, applied, within) => {
        await row.update({ document, revision: row.revision + 1, changedAt: new Date() }, { transaction: within })
        await StoresOperationRow.bulkCreate(
          applied.map((one) => ({ id: one.id, storesId: row.id, revision: row.revision, operation: one.operation })),
          { transaction: within },
        )
      },
      stale: (row, applied) => {
        const answer: Omit<StaleAnswer<StoresAnswer>, 'error'> = { current: storesAnswerFor(row), applied }
        return new HttpProblem(409, 'stores.stale', 'The stores were changed elsewhere meanwhile. Your change is applied again to the newest state.', {
          ...answer,
        })
      },
    },
    given,
  )
}
