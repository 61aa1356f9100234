/** "This line again, so much beside it": how far, on which side, how many times. */
import { leftSideOf, type Side } from '@lemmata/core/draw'
import { againBeside, guidesHeld } from '@lemmata/core/layout'
import type { Sampler } from '@lemmata/core/sampler'
import { Modal, Segmented } from 'antd'
import { useState } from 'react'
import { Field, LengthField, NumberField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { newIds } from '../store/new-ids.ts'

interface Props {
  readonly sampler: Sampler
  readonly held: readonly string[]
  /** How wide what is held lies: beside it means clear of it. */
  readonly widthMm: number
  readonly onClose: () => void
}

const OTHER: Readonly<Record<Side, Side>> = { above: 'below', below: 'above', left: 'right', right: 'left', outside: 'inside', inside: 'outside' }
const WORDS: Readonly<Record<Side, string>> = {
  above: 'Above',
  below: 'Below',
  left: 'To the left',
  right: 'To the right',
  outside: 'Outside',
  inside: 'Inside',
}

export function BesideDialog({ sampler, held, widthMm, onClose }: Props) {
  const [apartMm, setApart] = useState(Math.max(0.4, Math.round(widthMm * 20) / 20))
  const [count, setCount] = useState(1)
  const guide = sampler.drawing.guides.find((one) => one.id === guidesHeld(sampler, held)[0])?.guide
  const left = (guide && 'path' in guide && guide.path !== undefined ? leftSideOf(guide.path) : null) ?? 'above'
  // Downwards, or outwards: as one goes on.
  const [side, setSide] = useState<Side>(left === 'above' || left === 'inside' ? OTHER[left] : left)
  const operation = againBeside(sampler, held, { byMm: side === left ? apartMm : -apartMm, count }, newIds)
  return (
    <Modal
      open
      title="This line again, beside it"
      okText={count === 1 ? 'Draw it' : `Draw ${count}`}
      okButtonProps={{ disabled: operation === null }}
      onOk={() => {
        if (operation) edit(operation)
        onClose()
      }}
      onCancel={onClose}
      width={420}
    >
      <div className="beside-fields">
        <LengthField label="From line to line" valueMm={apartMm} unit={sampler.units} min={0.1} max={100} onChange={setApart} />
        <NumberField label="How many" value={count} min={1} max={40} onChange={setCount} />
        <Field label="Where">
          {() => (
            <Segmented<Side>
              aria-label="Where"
              value={side}
              onChange={setSide}
              options={[left, OTHER[left]].map((value) => ({ value, label: WORDS[value] }))}
            />
          )}
        </Field>
      </div>
      {operation === null && (
        <p className="wrong">There it bends more tightly than that: the new line would cross itself. Take it nearer, or to the other side.</p>
      )}
    </Modal>
  )
}
