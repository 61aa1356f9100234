/** Fields that keep what is typed until it is meant (Enter or leaving the field), and say what is wrong with it. */
import { formatLength, type LengthUnit, parseLength } from '@lemmata/core/units'
import { Input, InputNumber } from 'antd'
import { type ReactNode, useId, useRef, useState } from 'react'

export function Field({ label, children, hint }: { label: string; children: (id: string) => ReactNode; hint?: ReactNode }) {
  const id = useId()
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      {children(id)}
      {hint && <span className="why">{hint}</span>}
    </div>
  )
}

interface LengthProps {
  readonly label: string
  readonly valueMm: number
  readonly unit: LengthUnit
  readonly min?: number
  readonly max?: number
  readonly hint?: ReactNode
  readonly onChange: (mm: number) => void
  readonly decimals?: number
}

/** Millimetres or inches, fractions and a decimal comma understood. */
export function LengthField({ label, valueMm, unit, min = 0.01, max = 10_000, hint, onChange, decimals = 2 }: LengthProps) {
  // Where a tenth is all that is asked for, a whole number is shown as one.
  const shown = formatLength(valueMm, unit, decimals)
    .replace(/ (mm|in)\b/, '')
    .replace(decimals < 2 ? /\.0+$/ : /$^/, '')
  const [typed, setTyped] = useState<string | null>(null)
  const [wrong, setWrong] = useState<string | null>(null)
  const keep = (): void => {
    if (typed === null) return
    const mm = parseLength(typed.replace(/\s*\(.*\)\s*$/, ''), unit)
    if (mm === null) {
      setWrong(unit === 'mm' ? 'Type a length such as 3.5' : 'Type a length such as 1/4 or 0.25')
      return
    }
    if (mm < min || mm > max) {
      setWrong(`Between ${formatLength(min, unit, decimals)} and ${formatLength(max, unit, decimals)}`)
      return
    }
    setWrong(null)
    setTyped(null)
    if (Math.abs(mm - valueMm) > 1e-6) onChange(mm)
  }
  return (
    <Field label={label} hint={wrong ? <span className="wrong">{wrong}</span> : hint}>
      {(id) => (
        <Input
          id={id}
          value={typed ?? shown}
          suffix={<span className="quiet">{unit}</span>}
          status={wrong ? 'error' : ''}
          aria-invalid={wrong !== null}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={keep}
          onPressEnter={keep}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            setTyped(null)
            setWrong(null)
          }}
        />
      )}
    </Field>
  )
}

interface NumberProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly step?: number
  readonly suffix?: string
  readonly hint?: ReactNode
  readonly onChange: (value: number) => void
}

export function NumberField({ label, value, min, max, step = 1, suffix, hint, onChange }: NumberProps) {
  const [typed, setTyped] = useState<number | null>(null)
  const isInField = useRef(false)
  // What is out of range is heard of only after the field has been left, when it has been brought into it: it is read here.
  const keep = (text: string): void => {
    const read = typed ?? (text.trim() === '' ? NaN : Number(text))
    const next = Math.min(max, Math.max(min, read))
    if (Number.isFinite(next) && next !== value) onChange(next)
    setTyped(null)
  }
  return (
    <Field label={label} hint={hint}>
      {(id) => (
        <InputNumber
          id={id}
          style={{ width: '100%' }}
          value={typed ?? value}
          min={min}
          max={max}
          step={step}
          suffix={suffix}
          // "18", not "18.0"; what is being typed is left alone.
          formatter={(shown, { userTyping, input }) => (userTyping ? input : shown === undefined ? '' : String(Number(shown)))}
          onChange={(next) => isInField.current && setTyped(next)}
          onStep={(next) => onChange(Number(next))}
          onFocus={() => {
            isInField.current = true
          }}
          onBlur={(event) => {
            isInField.current = false
            keep(event.target.value)
          }}
          onPressEnter={(event) => keep(event.currentTarget.value)}
        />
      )}
    </Field>
  )
}

export function TextField({
  label,
  value,
  onChange,
  rows,
  max = 120,
}: {
  label: string
  value: string
  onChange: (text: string) => void
  rows?: number
  max?: number
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const keep = (): void => {
    if (typed !== null && typed.trim() !== value) onChange(typed.trim())
    setTyped(null)
  }
  return (
    <Field label={label}>
      {(id) =>
        rows === undefined ? (
          <Input id={id} value={typed ?? value} maxLength={max} onChange={(event) => setTyped(event.target.value)} onBlur={keep} onPressEnter={keep} />
        ) : (
          <Input.TextArea id={id} rows={rows} value={typed ?? value} maxLength={max} onChange={(event) => setTyped(event.target.value)} onBlur={keep} />
        )
      }
    </Field>
  )
}
