/** The moves of one block as rows: what, where, its label, and the rest. */
import { type Move, MOVE_KINDS, type MoveKind } from '@lemmata/core/notation'
import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { asKind, kindOf, MOVE_WORDS, placeText, readPlace, readRest, restText } from './moves-text.ts'

interface Props {
  readonly title: string
  readonly moves: readonly Move[]
  readonly isWrong: (index: number) => boolean
  readonly onChange: (moves: readonly Move[]) => void
}

export function MovesTable({ title, moves, isWrong, onChange }: Props) {
  const put = (index: number, move: unknown): void => onChange(moves.map((one, at) => (at === index ? (move as Move) : one)))
  const move = (index: number, by: number): void => {
    const next = [...moves]
    const [taken] = next.splice(index, 1)
    if (taken) next.splice(index + by, 0, taken)
    onChange(next)
  }
  return (
    <div>
      <div style={{ display: 'flex', alignItems: 'center', gap: 8 }}>
        <b style={{ flex: 1 }}>{title}</b>
        <Button size="small" onClick={() => onChange([...moves, moves.length % 2 === 0 ? { up: [0, 0] } : { down: ['L', 0] }])}>
          Add a move
        </Button>
      </div>
      {moves.length > 0 && (
        <table className="moves">
          <thead>
            <tr>
              <th scope="col">Move</th>
              <th scope="col">Where (along, to the left)</th>
              <th scope="col">Called</th>
              <th scope="col">And</th>
              <th scope="col">
                <span className="sr">Order</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {moves.map((one, index) => (
              <Row
                key={`${index}-${kindOf(one)}-${moves.length}`}
                move={one}
                name={`${title}, move ${index + 1}`}
                wrong={isWrong(index)}
                onChange={(next) => put(index, next)}
              >
                <Button size="small" type="text" disabled={index === 0} aria-label={`${title}, move ${index + 1} up`} onClick={() => move(index, -1)}>
                  ↑
                </Button>
                <Button
                  size="small"
                  type="text"
                  disabled={index === moves.length - 1}
                  aria-label={`${title}, move ${index + 1} down`}
                  onClick={() => move(index, 1)}
                >
                  ↓
                </Button>
                <Button
                  size="small"
                  type="text"
                  danger
                  aria-label={`Remove ${title}, move ${index + 1}`}
                  onClick={() => onChange(moves.filter((_, at) => at !== index))}
                >
                  ×
                </Button>
              </Row>
            ))}
          </tbody>
        </table>
      )}
    </div>
  )
}

interface RowProps {
  readonly move: Move
  readonly name: string
  readonly wrong: boolean
  readonly onChange: (move: unknown) => void
  readonly children: React.ReactNode
}

/** What is typed stays as typed until the field is left, so that half an expression is not rewritten under the hand. */
function Row({ move, name, wrong, onChange, children }: RowProps) {
  const kind = kindOf(move)
  const [place, setPlace] = useState(placeText(move))
  const [rest, setRest] = useState(restText(move))
  const make = (placed: string, label: string, others: string): unknown => ({
    [kind]: readPlace(kind, placed),
    ...readRest(others),
    ...(label === '' ? {} : { as: label }),
  })
  const label = move.as ?? ''
  return (
    <tr className={wrong ? 'wrong-row' : ''}>
      <td>
        <Select<MoveKind>
          size="small"
          aria-label={name}
          value={kind}
          onChange={(next) => onChange(asKind(move, next))}
          options={MOVE_KINDS.map((one) => ({ value: one, label: MOVE_WORDS[one] }))}
          style={{ width: 150 }}
        />
      </td>
      <td>
        <Input
          size="small"
          aria-label={`${name}, where`}
          value={place}
          spellCheck={false}
          onChange={(event) => {
            setPlace(event.target.value)
            onChange(make(event.target.value, label, rest))
          }}
        />
      </td>
      <td>
        <Input size="small" aria-label={`${name}, called`} value={label} maxLength={20} onChange={(event) => onChange(make(place, event.target.value, rest))} />
      </td>
      <td>
        <Input
          size="small"
          aria-label={`${name}, and`}
          value={rest}
          spellCheck={false}
          placeholder="loose; round inside; when last"
          onChange={(event) => {
            setRest(event.target.value)
            onChange(make(place, label, event.target.value))
          }}
        />
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>{children}</td>
    </tr>
  )
}
