/** Each copy by itself: another colour, and for what has a length another length. The first is the exercise's own. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { MAIN_ROLE } from '@lemmata/core/notation'
import type { Exercise, PieceChange, Sampler } from '@lemmata/core/sampler'
import { Select } from 'antd'
import { useState } from 'react'
import { NumberField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { threadOptions } from '../thread/fields.tsx'

/** More than this and one would look for the right one for ever. */
const MOST_SHOWN = 40

export function PiecesFields({ sampler, exercise, done }: { sampler: Sampler; exercise: Exercise; done: WorkedExercise }) {
  const [open, setOpen] = useState(false)
  const { pieces } = done
  if (pieces.length < 2 || pieces.length > MOST_SHOWN) return null
  const changed = Object.keys(exercise.pieces ?? {}).length
  return (
    <details className="pieces" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>
        {pieces.length} pieces{changed > 0 ? `, ${changed} otherwise than the rest` : ''}
      </summary>
      {open && (
        <ul>
          {pieces.map(({ id, guide }, index) => {
            const change = exercise.pieces?.[id] ?? {}
            return (
              <li key={id} className={guide.kind === 'line' || guide.kind === 'pins' ? 'pair' : ''}>
                <div className="field">
                  <label htmlFor={`colour-${id}`}>Piece {index + 1}, colour</label>
                  <Select
                    id={`colour-${id}`}
                    value={change.materials?.[MAIN_ROLE]?.thread ?? ''}
                    popupMatchSelectWidth={false}
                    options={[{ value: '', label: 'as the exercise' }, ...threadOptions(sampler)]}
                    onChange={(thread: string) => set(exercise, id, withColour(change, thread))}
                  />
                </div>
                {(guide.kind === 'line' || guide.kind === 'pins') && (
                  <NumberField
                    label="As long"
                    suffix="%"
                    value={Math.round((change.lengthShare ?? 1) * 100)}
                    min={10}
                    max={500}
                    onChange={(percent) => set(exercise, id, withLength(change, percent / 100))}
                  />
                )}
              </li>
            )
          })}
        </ul>
      )}
    </details>
  )
}

function withColour(change: PieceChange, thread: string): PieceChange {
  const { [MAIN_ROLE]: main, ...others } = change.materials ?? {}
  const { thread: _before, ...rest } = main ?? {}
  const own = thread === '' ? rest : { ...rest, thread }
  const materials = Object.keys(own).length === 0 ? others : { ...others, [MAIN_ROLE]: own }
  const { materials: _materials, ...kept } = change
  return Object.keys(materials).length === 0 ? kept : { ...kept, materials }
}

function withLength({ lengthShare: _before, ...change }: PieceChange, share: number): PieceChange {
  return share === 1 ? change : { ...change, lengthShare: share }
}

/** Without what is as the rest. */
function set({ id, pieces = {} }: Exercise, piece: string, change: PieceChange): void {
  const { [piece]: _before, ...others } = pieces
  const next = Object.keys(change).length === 0 ? others : { ...others, [piece]: change }
  edit({ kind: 'change-exercise', id, ...(Object.keys(next).length === 0 ? { set: {}, clear: ['pieces'] } : { set: { pieces: next } }) })
}
