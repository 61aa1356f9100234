/** What the teacher has in the house, once for her account: thread, needles, cloth, hoops and tools. */
import { storesCsv } from '@lemmata/contract'
import { bringIn, SHELF_NAMES, type ShelfName, type Shelves, type Stored, type Stores, type StoresOperation, USUAL_SET } from '@lemmata/core/stores'
import { App, Button, Input, Segmented, Select } from 'antd'
import { useEffect, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { nextColour } from '../brief/palette.ts'
import { FileButton } from '../look/FileButton.tsx'
import { RedoGlyph, UndoGlyph } from '../look/Glyphs.tsx'
import { UNLESS_TYPING } from '../look/keys.ts'
import { SaveState } from '../sampler/SaveState.tsx'
import { TopBar } from '../sampler/TopBar.tsx'
import { downloadText } from '../stitches/download.ts'
import { editStores, takeBackStores, useAppSelector } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import type { OpenStores } from '../store/stores.ts'
import { BringInDialog } from './BringInDialog.tsx'
import { StoredCard } from './StoredCard.tsx'
import { SHELF_WORDS } from './stored-words.ts'
import { StoresTable } from './StoresTable.tsx'
import { useStores } from './use-stores.ts'

export function StoresPage() {
  const { open, failed } = useStores()
  const notice = useAppSelector((state) => state.stores.notice)
  const { message } = App.useApp()
  useEffect(() => {
    document.title = 'Stores \u2013 Lemmata'
  }, [])
  useEffect(() => {
    if (notice) message.warning({ content: notice.text, duration: 6 })
  }, [notice, message])
  return (
    <div className="page stores-page">
      <TopBar>{open && <SaveState />}</TopBar>
      {open ? (
        <Shelved open={open} />
      ) : (
        <main className="empty quiet" role={failed === null ? undefined : 'alert'}>
          {failed ?? 'Opening the stores …'}
        </main>
      )}
    </div>
  )
}

const CURRENCIES = ['EUR', 'GBP', 'USD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'JPY', 'CAD', 'AUD', 'NZD', 'INR']

function Shelved({ open }: { readonly open: OpenStores }) {
  const stores = open.document
  const [shelf, setShelf] = useState<ShelfName>('threads')
  const [held, setHeld] = useState<string | null>(null)
  const [find, setFind] = useState('')
  const [file, setFile] = useState<{ name: string; text: string } | null>(null)
  const { message } = App.useApp()
  const item = (stores[shelf] as readonly Stored[]).find((one) => one.id === held) ?? null
  useHotkeys('mod+z', () => takeBackStores('undo'), { ...UNLESS_TYPING, preventDefault: true })
  useHotkeys('mod+shift+z, mod+y', () => takeBackStores('redo'), { ...UNLESS_TYPING, preventDefault: true })
  const add = (): void => {
    const made = newOn(shelf, stores)
    editStores({ kind: 'put-stored', shelf, item: made, at: stores[shelf].length } as StoresOperation)
    setFind('')
    setHeld(made.id)
  }
  const usual = bringIn(
    stores,
    SHELF_NAMES.flatMap((name) => USUAL_SET[name].map((one) => ({ shelf: name, item: { ...one, id: newId('s') } }))),
  )
  // What is there is as it was counted: only what is missing comes of the usual set.
  const missing = usual?.operations.filter((one) => one.kind === 'put-stored') ?? []
  return (
    <main className="stage-frame">
      <h1 className="visually-hidden">Stores</h1>
      <div className="toolbar stores-bar">
        <Segmented
          aria-label="Shelf"
          value={shelf}
          onChange={(next) => {
            setShelf(next)
            setHeld(null)
          }}
          options={SHELF_NAMES.map((name) => ({ value: name, label: `${SHELF_WORDS[name].title} ${stores[name].length}` }))}
        />
        <Input.Search
          allowClear
          placeholder="Find on this shelf"
          aria-label="Find on this shelf"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        <Button type="primary" onClick={add}>
          Add {shelf === 'cloths' ? 'cloth' : `a ${SHELF_WORDS[shelf].one}`}
        </Button>
        <span className="toolbar-end">
          <Button disabled={open.undo.length === 0} onClick={() => takeBackStores('undo')} aria-label="Undo" title="Undo (Ctrl+Z)" icon={<UndoGlyph />} />
          <Button disabled={open.redo.length === 0} onClick={() => takeBackStores('redo')} aria-label="Redo" title="Redo (Ctrl+Shift+Z)" icon={<RedoGlyph />} />
          <Button
            disabled={missing.length === 0}
            title="Needles, hoops and small tools that most have; what you have already stays as it is"
            onClick={() => {
              editStores({ kind: 'batch', operations: missing })
              message.success(`${missing.length} things are on the shelves. Take out what you do not have.`)
            }}
          >
            I have the usual set
          </Button>
          <FileButton
            label="Table of the stores"
            accept=".csv,.tsv,.txt,text/csv,text/plain"
            onFile={(chosen) => void chosen.text().then((text) => setFile({ name: chosen.name, text }))}
          >
            Bring in a table
          </FileButton>
          <Button onClick={() => downloadText('stores.csv', storesCsv(stores), 'text/csv')}>Export</Button>
          <Select
            aria-label="Currency"
            value={stores.currency}
            options={[...new Set([...CURRENCIES, stores.currency])].map((code) => ({ value: code, label: code }))}
            onChange={(currency) => editStores({ kind: 'set-currency', currency })}
          />
        </span>
      </div>
      <div className="stores-body">
        <div className="stage-scroll" id="stage">
          <StoresTable key={`${shelf} ${find}`} stores={stores} shelf={shelf} find={find} held={held} onHold={setHeld} />
        </div>
        {item && <StoredCard key={item.id} stores={stores} shelf={shelf} item={item} onClose={() => setHeld(null)} />}
      </div>
      {file && <BringInDialog stores={stores} file={file} onClose={() => setFile(null)} />}
    </main>
  )
}

function newOn(shelf: ShelfName, stores: Stores): Stored {
  const id = newId('s')
  switch (shelf) {
    case 'threads':
      return { id, kind: 'stranded-cotton', colour: nextColour(stores.threads), left: 8000 } satisfies Shelves['threads']
    case 'needles':
      return { id, kind: 'embroidery', size: 8, left: 10 } satisfies Shelves['needles']
    case 'cloths':
      return { id, kind: 'calico', colour: { name: 'Unbleached', hex: '#EFE6D2' }, widthMm: 1400, left: 1000 } satisfies Shelves['cloths']
    case 'hoops':
      return { id, shape: 'round', sizeMm: [203, 203], left: 1 } satisfies Shelves['hoops']
    case 'tools':
      return { id, name: 'Small pointed scissors', left: 1 } satisfies Shelves['tools']
  }
}
