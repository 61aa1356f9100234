/** A table before it is brought in: what of it is good, and each line that is not, with its reason. Nothing is changed until it is taken. */
import { problemInWords, readCsv, readStoresTable } from '@lemmata/contract'
import { bringIn, SHELF_NAMES, type Stores } from '@lemmata/core/stores'
import { counted, listInWords } from '@lemmata/core/units'
import { Button, Modal } from 'antd'
import { useMemo } from 'react'
import { editStores } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { SHELF_WORDS } from './stored-words.ts'

interface Props {
  readonly stores: Stores
  readonly file: { readonly name: string; readonly text: string }
  readonly onClose: () => void
}

const SAID = 200

export function BringInDialog({ stores, file, onClose }: Props) {
  const table = useMemo(() => readStoresTable(readCsv(file.text), () => newId('s')), [file])
  const step = useMemo(() => bringIn(stores, table.good), [stores, table])
  const counts = SHELF_NAMES.flatMap((shelf) => {
    const count = table.good.filter((one) => one.shelf === shelf).length
    return count === 0 ? [] : [counted(count, SHELF_WORDS[shelf].one)]
  })
  const changed = step?.operations.filter((one) => one.kind === 'change-stored').length ?? 0
  const added = (step?.operations.length ?? 0) - changed
  return (
    <Modal
      open
      title={`Bring in ${file.name}`}
      width={680}
      onCancel={onClose}
      footer={[
        <Button key="leave" onClick={onClose}>
          Leave the stores as they are
        </Button>,
        <Button
          key="take"
          type="primary"
          disabled={step === null}
          onClick={() => {
            if (step) editStores(step)
            onClose()
          }}
        >
          {step === null ? 'Nothing to take' : `Take ${counted(step.operations.length, 'line')}`}
        </Button>,
      ]}
    >
      <p>
        {counts.length === 0
          ? 'Nothing in it can be read. '
          : `${listInWords(counts)} can be read: ${added} new, ${changed} that you have and that are corrected. `}
        {table.bad.length > 0 && (
          <strong>
            {counted(table.bad.length, 'line')} cannot, and {table.bad.length === 1 ? 'is' : 'are'} left out:
          </strong>
        )}
      </p>
      {table.bad.length > 0 && (
        <ol className="bad-lines" tabIndex={0} aria-label="Lines that cannot be read">
          {table.bad.slice(0, SAID).map(({ line, problem }) => (
            <li key={line} value={line}>
              {problemInWords(problem)}
            </li>
          ))}
        </ol>
      )}
      {table.bad.length > SAID && <p className="quiet">and {table.bad.length - SAID} more.</p>}
    </Modal>
  )
}
