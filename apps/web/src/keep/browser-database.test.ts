/** The browser's databases: they give way to another page, are there again afterwards, and what waits in them is never lost. */
import 'fake-indexeddb/auto'
import { deleteDB, openDB } from 'idb'
import { expect, it } from 'vitest'
import { keepUnsent, unsentOf } from '../store/unsent.ts'
import { browserDatabase } from './browser-database.ts'

const rain = () =>
  browserDatabase<{ drops: { key: string; value: { id: string } } }>('rain', 1, (database) => {
    database.createObjectStore('drops', { keyPath: 'id' })
  })

it('gives way to a page that removes it, and is opened again', async () => {
  const ask = rain()
  const first = await ask?.()
  await first?.put('drops', { id: 'first' })
  // Would wait without end for a page that held it.
  await deleteDB('rain')
  const again = await ask?.()
  expect(again).not.toBe(first)
  expect(await again?.getAll('drops')).toEqual([])
})

it('fails where it may not be opened, and is asked for again the next time', async () => {
  const newer = await openDB('rain', 2, {})
  await newer.put('drops', { id: 'second' }).catch(() => undefined)
  const ask = rain()
  await expect(ask?.()).rejects.toThrow()
  newer.close()
  await deleteDB('rain')
  expect((await ask?.())?.version).toBe(1)
})

const edit = (id: string) => ({ id, operation: { kind: 'rename', name: id } }) as never

it('keeps edits that are not sent, in their order, and lets go of those that are', async () => {
  await keepUnsent('fog', [], [edit('a'), edit('b')])
  await keepUnsent('fog', [edit('a'), edit('b')], [edit('b'), edit('c')])
  await keepUnsent('hail', [], [edit('d')])
  expect((await unsentOf('fog')).map(({ id }) => id)).toEqual(['b', 'c'])
  expect((await unsentOf('hail')).map(({ id }) => id)).toEqual(['d'])
})
