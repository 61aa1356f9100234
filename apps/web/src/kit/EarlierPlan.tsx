/** Kits that are done with, and what was cut for a plan that has changed: both wait for a word on what becomes of the thread. */
import type { Stores } from '@lemmata/core/stores'
import { counted } from '@lemmata/core/units'
import { App, Button } from 'antd'
import { KnotGlyph } from '../look/Glyphs.tsx'
import { editStores, takeBackStores } from '../store/index.ts'

interface Props {
  readonly sampler: string
  readonly stores: Stores
  readonly earlier: readonly string[]
  /** Everything of the present plan is cut and packed. */
  readonly all: boolean
}

export function EarlierPlan({ sampler, stores, earlier, all }: Props) {
  const { message } = App.useApp()
  const mine = stores.taken.filter((one) => one.for === sampler)
  if (mine.length === 0 || (earlier.length === 0 && !all)) return null
  const handOut = (
    <Button
      size="small"
      onClick={() => {
        editStores({ kind: 'close-taken', for: sampler })
        message.success({
          key: 'handed-out',
          duration: 8,
          content: (
            <span>
              Handed out: what was taken stays taken, and the boxes are open for the next class.{' '}
              <Button
                size="small"
                type="link"
                onClick={() => {
                  message.destroy('handed-out')
                  takeBackStores('undo')
                }}
              >
                Put it back
              </Button>
            </span>
          ),
        })
      }}
    >
      These kits are handed out
    </Button>
  )
  if (earlier.length === 0) return <p className="kit-note">All of it is cut and packed. {handOut}</p>
  return (
    <p className="kit-note caution">
      <KnotGlyph /> {counted(earlier.length, 'box was', 'boxes were')} ticked before the plan changed: its thread is taken from the stores.{' '}
      <Button size="small" onClick={() => editStores({ kind: 'batch', operations: earlier.map((id) => ({ kind: 'give-back', id })) })}>
        Put it back
      </Button>{' '}
      {handOut}
    </p>
  )
}
