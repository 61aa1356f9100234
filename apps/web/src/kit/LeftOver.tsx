/** When a colour is cut: what is left of it by the sums, beside what really is. */
import { type ColourToCut, mmOf } from '@lemmata/core/kit'
import { type Stores, storedThreads } from '@lemmata/core/stores'
import { formatThread } from '@lemmata/core/units'
import { useState } from 'react'
import { NumberField } from '../sampler/fields.tsx'
import { editStores } from '../store/index.ts'

export function LeftOver({ colour, stores }: { readonly colour: ColourToCut; readonly stores: Stores }) {
  const stored = storedThreads(stores, colour.thread)
  const [off, setOff] = useState<number | null>(null)
  const last = stored.at(-1)
  if (!last) return null
  const left = stored.reduce((sum, one) => sum + one.left, 0)
  const cut = mmOf(colour.lengths.map(({ lengthMm, parted }) => ({ lengthMm, count: parted.lengths })))
  return (
    <div className="left-over">
      <NumberField
        label="Really left, m"
        value={Number((left / 1000).toFixed(2))}
        min={0}
        max={100_000}
        step={0.1}
        hint={
          off === null
            ? 'By the sums so much is left in the stores.'
            : `${formatThread(Math.abs(off))} ${off < 0 ? 'less' : 'more'} than by the sums: ${Math.round((Math.abs(off) / Math.max(1, cut)) * 100)} % of what was cut.`
        }
        onChange={(metres) => {
          const really = metres * 1000
          setOff(really - left)
          // What was opened first is used up; what is left lies with the last.
          const others = stored.slice(0, -1)
          editStores({
            kind: 'batch',
            operations: [
              ...others.map((one) => ({ kind: 'change-stored' as const, shelf: 'threads' as const, id: one.id, set: { left: 0 } })),
              { kind: 'change-stored', shelf: 'threads', id: last.id, set: { left: really } },
            ],
          })
        }}
      />
    </div>
  )
}
