/** Figures from the table: what is counted and read off, what comes of it, and how sure that is. */
import type { Measured } from '@lemmata/core/materials'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField } from '../sampler/fields.tsx'

interface Quantity {
  readonly label: string
  readonly usual: number
  readonly min: number
  readonly max: number
  readonly step?: number
  readonly suffix?: string
}

interface Props {
  readonly title: string
  readonly how: string
  readonly quantities: readonly [Quantity, Quantity]
  readonly measure: (a: number, b: number) => Measured | null
  readonly unit: string
  readonly decimals: number
  readonly onTake: (measured: Measured) => void
}

export function Measuring({ title, how, quantities, measure, unit, decimals, onTake }: Props) {
  const [values, setValues] = useState<readonly [number, number]>([quantities[0].usual, quantities[1].usual])
  const found = measure(values[0], values[1])
  const off = found ? found.value * found.within : 0
  return (
    <details className="measuring">
      <summary>{title}</summary>
      <p className="why">{how}</p>
      <div className="pair">
        {quantities.map(({ label, min, max, step = 1, suffix = '' }, index) => (
          <NumberField
            key={label}
            label={label}
            value={values[index] as number}
            min={min}
            max={max}
            step={step}
            suffix={suffix}
            onChange={(value) => setValues(index === 0 ? [value, values[1]] : [values[0], value])}
          />
        ))}
      </div>
      {found && (
        <p aria-live="polite">
          <strong>
            {found.value.toFixed(decimals)} {unit}
          </strong>
          , between {(found.value - off).toFixed(decimals)} and {(found.value + off).toFixed(decimals)}.{' '}
          <Button size="small" onClick={() => onTake({ value: Number(found.value.toFixed(decimals + 1)), within: Number(found.within.toFixed(3)) })}>
            Take {found.value.toFixed(decimals)} {unit}
          </Button>
        </p>
      )}
    </details>
  )
}
