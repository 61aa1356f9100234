/** Every edit of the stores as plain data; one file a kind, and the compiler sees that none is missing. */
import { applyInTurn, type Batch, invertInTurn, type Result } from '../../base/index.ts'
import type { Stores } from '../types.ts'
import { type ChangeStored, changeStored } from './change-stored.ts'
import { type CloseTaken, closeTaken, type ReopenTaken, reopenTaken } from './close-taken.ts'
import { type PutStored, putStored } from './put-stored.ts'
import { type RemoveStored, removeStored } from './remove-stored.ts'
import { type Restock, restock } from './restock.ts'
import { type SetCurrency, setCurrency } from './set-currency.ts'
import { type GiveBack, giveBack, type RestoreTaken, restoreTaken, type Take, take } from './take.ts'
import type { StoresTools } from './tools.ts'

export type SingleStoresOperation = PutStored | ChangeStored | RemoveStored | Restock | Take | GiveBack | RestoreTaken | CloseTaken | ReopenTaken | SetCurrency
export type StoresOperation = SingleStoresOperation | Batch<StoresOperation>

const TOOLS: { readonly [Kind in SingleStoresOperation['kind']]: StoresTools<Extract<SingleStoresOperation, { readonly kind: Kind }>> } = {
  'put-stored': putStored,
  'change-stored': changeStored,
  'remove-stored': removeStored,
  restock,
  take,
  'give-back': giveBack,
  'restore-taken': restoreTaken,
  'close-taken': closeTaken,
  'reopen-taken': reopenTaken,
  'set-currency': setCurrency,
}

/** The tools of the operation's own kind: the table gives each kind tools for that kind only. */
function toolsFor(operation: SingleStoresOperation): StoresTools<SingleStoresOperation> {
  return TOOLS[operation.kind] as StoresTools<SingleStoresOperation>
}

export function applyStoresOperation(stores: Stores, operation: StoresOperation): Result<Stores> {
  if (operation.kind === 'batch') return applyInTurn(stores, operation.operations, applyStoresOperation)
  return toolsFor(operation).apply(stores, operation)
}

export function invertStoresOperation(before: Stores, operation: StoresOperation): StoresOperation | null {
  if (operation.kind !== 'batch') return toolsFor(operation).invert(before, operation)
  const operations = invertInTurn(before, operation.operations, applyStoresOperation, invertStoresOperation)
  return operations.length === 0 ? null : { kind: 'batch', operations }
}
