/** A length or a count within a sentence: one of the stitch's own, half or twice it, or typed in millimetres. */
import type { Expression } from '@lemmata/core/notation'
import { Select } from 'antd'
import { useState } from 'react'
import { inWords } from './sentence-words.ts'
import type { Wording } from './wording.ts'

interface Props {
  readonly label: string
  readonly value: Expression
  readonly wording: Wording
  /** Of counts nothing is halved. */
  readonly isCount?: boolean
  readonly onChange: (value: Expression) => void
}

export function Amount({ label, value, wording, isCount = false, onChange }: Props) {
  const [typed, setTyped] = useState('')
  const number = Number(typed.replace(',', '.').replace(/\s*mm$/, ''))
  const own = wording.own.flatMap((id) => (isCount ? [id] : [id, `${id}/2`, `2*${id}`]))
  const values = [value, ...(typed.trim() !== '' && Number.isFinite(number) ? [number] : []), ...own.filter((one) => one !== value)]
  return (
    <Select
      size="small"
      className="amount"
      popupMatchSelectWidth={false}
      aria-label={label}
      value={String(value)}
      showSearch={{ filterOption: false, onSearch: setTyped }}
      options={values.map((one) => ({ value: String(one), label: `${inWords(one, wording.names)}${typeof one === 'number' && !isCount ? ' mm' : ''}` }))}
      onChange={(next) => {
        setTyped('')
        onChange(values.find((one) => String(one) === next) ?? value)
      }}
    />
  )
}
