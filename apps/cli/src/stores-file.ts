/** The stores beside a sampler. */
import { type Result, success } from '@lemmata/core/base'
import { applyStoresOperation, bringIn, emptyStores, type Stores } from '@lemmata/core/stores'
import { readCsv, readJson, readStores, readStoresTable } from '@lemmata/contract'

/** The stores as a table that was exported, or as the document itself. Lines that cannot be read are said, and the others count. */
export function storesOf(text: string): Result<Stores> {
  if (text.trimStart().startsWith('{')) {
    const read = readJson(text)
    return read.ok ? readStores(read.value) : read
  }
  let made = 0
  const table = readStoresTable(readCsv(text), () => {
    made += 1
    return `s${made}`
  })
  const step = bringIn(emptyStores(), table.good)
  const filled = step ? applyStoresOperation(emptyStores(), step) : success(emptyStores())
  return filled.ok
    ? success(
        filled.value,
        table.bad.map(({ line, problem }) => ({ ...problem, path: ['stores', line] })),
      )
    : filled
}
