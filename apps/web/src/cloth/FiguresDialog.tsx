/** All that is held moved, turned and made larger by figures: what the handles do by eye. */
import type { GuideId } from '@lemmata/core/base'
import { type ByFigures, placeHeld } from '@lemmata/core/layout'
import type { Sampler } from '@lemmata/core/sampler'
import { Modal } from 'antd'
import { useState } from 'react'
import { LengthField, NumberField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'

interface Props {
  readonly sampler: Pick<Sampler, 'drawing' | 'units'>
  readonly ids: readonly GuideId[]
  readonly onClose: () => void
}

export function FiguresDialog({ sampler, ids, onClose }: Props) {
  const { drawing, units } = sampler
  const [figures, setFigures] = useState<ByFigures>({ by: { x: 0, y: 0 }, degrees: 0, factor: 1 })
  const operation = placeHeld(drawing, ids, figures)
  const set = (change: Partial<ByFigures>): void => setFigures({ ...figures, ...change })
  const length = (label: string, axis: 'x' | 'y') => (
    <LengthField
      label={label}
      valueMm={figures.by[axis]}
      unit={units}
      min={-3000}
      max={3000}
      decimals={1}
      onChange={(mm) => set({ by: { ...figures.by, [axis]: mm } })}
    />
  )
  return (
    <Modal
      open
      title="Move, turn and scale by figures"
      okText="Place it so"
      okButtonProps={{ disabled: operation === null }}
      onOk={() => {
        if (operation) edit(operation)
        onClose()
      }}
      onCancel={onClose}
      width={420}
    >
      <p className="why">Turned and scaled about the middle of all that is held; stitches keep their length.</p>
      <div className="two">
        {length('To the right by', 'x')}
        {length('Down by', 'y')}
      </div>
      <div className="two">
        <NumberField label="Turned clockwise by" suffix="°" value={figures.degrees} min={-360} max={360} onChange={(degrees) => set({ degrees })} />
        <NumberField
          label="As large"
          suffix="%"
          value={Math.round(figures.factor * 1000) / 10}
          min={5}
          max={2000}
          onChange={(percent) => set({ factor: percent / 100 })}
        />
      </div>
    </Modal>
  )
}
