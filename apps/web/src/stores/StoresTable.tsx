/** One shelf of the stores, a row a thing, as words; the one that is held opens beside it. */
import type { ShelfName, Shelves, Stored, Stores } from '@lemmata/core/stores'
import { Button } from 'antd'
import { useState } from 'react'
import { Spool } from '../thread/fields.tsx'
import { kindInWords, leftInWords, nameInWords, pricedBy, priceInWords } from './stored-words.ts'

interface Props {
  readonly stores: Stores
  readonly shelf: ShelfName
  readonly find: string
  readonly held: string | null
  readonly onHold: (id: string) => void
}

/** More at once than anyone reads, and few enough to lie in a page. */
const AT_ONCE = 200

export function StoresTable({ stores, shelf, find, held, onHold }: Props) {
  const [shown, setShown] = useState(AT_ONCE)
  const words = find.toLowerCase().split(/\s+/)
  const all = (stores[shelf] as readonly Stored[]).filter((item) => {
    const text = `${nameInWords(shelf, item)} ${kindInWords(shelf, item)} ${item.note ?? ''}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
  if (all.length === 0)
    return (
      <p className="quiet stage-empty">
        {find === ''
          ? 'Nothing on this shelf yet. Add what you have: it is counted down as kits are cut, and what is missing goes on the buy list.'
          : 'Nothing here is called that.'}
      </p>
    )
  const rows = all.slice(0, shown)
  const move = (by: number): void => {
    const at = all.findIndex((one) => one.id === held)
    const next = all[Math.min(all.length - 1, Math.max(0, at + by))]
    if (!next) return
    setShown((before) => Math.max(before, at + by + 1))
    onHold(next.id)
    // The row that is held has the focus, wherever it was before.
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-stored="${next.id}"]`)?.focus())
  }
  const tabStop = all.some((one) => one.id === held) ? held : all[0]?.id
  return (
    <>
      <table className="kit-table stores-table" aria-label={`What is on this shelf, ${all.length}`}>
        <thead>
          <tr>
            <th>Name</th>
            <th>{shelf === 'needles' ? 'Shaft and point' : shelf === 'hoops' ? 'Shape' : 'Kind'}</th>
            <th className="kit-number">Left</th>
            <th className="kit-number stored-price">Price</th>
            <th className="stored-note">Note</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((item) => (
            <tr key={item.id} className={item.id === held ? 'is-held' : undefined} onClick={() => onHold(item.id)}>
              <td>
                <button
                  type="button"
                  className="stored-name"
                  data-stored={item.id}
                  tabIndex={item.id === tabStop ? 0 : -1}
                  aria-pressed={item.id === held}
                  onKeyDown={(event) => {
                    const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10, Home: -all.length, End: all.length }[event.key]
                    if (by === undefined) return
                    event.preventDefault()
                    move(by)
                  }}
                >
                  {shelf === 'threads' && <Spool hex={(item as Shelves['threads']).colour.hex} />}
                  {shelf === 'cloths' && <span className="kit-dot" style={{ background: (item as Shelves['cloths']).colour.hex }} aria-hidden="true" />}
                  <span>{nameInWords(shelf, item)}</span>
                </button>
              </td>
              <td>{kindInWords(shelf, item)}</td>
              <td className={item.left === 0 ? 'kit-number caution' : 'kit-number'}>{leftInWords(shelf, item)}</td>
              <td className="kit-number stored-price">
                {item.price === undefined ? '' : `${priceInWords(item.price, stores.currency)} `}
                {item.price !== undefined && <span className="quiet">{pricedBy(shelf, item)}</span>}
              </td>
              <td className="stored-note">{item.note ?? ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {all.length > rows.length && (
        <p className="stage-note">
          <Button onClick={() => setShown(shown + AT_ONCE)}>
            {Math.min(AT_ONCE, all.length - rows.length)} more of {all.length}
          </Button>
        </p>
      )}
    </>
  )
}
