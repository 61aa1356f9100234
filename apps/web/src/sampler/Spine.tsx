/** The exercises in order; the selected row opens in place into its card. */
import { problemsOnCloth } from '@lemmata/core/mend'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { findStitch } from '@lemmata/core/stitches'
import { Button } from 'antd'
import { type KeyboardEvent, useState } from 'react'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { BrokenThreadGlyph, KnotGlyph, Slope } from '../look/Glyphs.tsx'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { ExerciseCard } from './ExerciseCard.tsx'

export function Spine({ sampler, onMove }: { sampler: Sampler; onMove: (by: number) => void }) {
  const selected = useAppSelector((state) => state.sampler.selected)
  const dispatch = useAppDispatch()
  const worked = useWorked()
  const [folded, setFolded] = useState(false)
  const onKey = (event: KeyboardEvent<HTMLOListElement>): void => {
    if (!(event.target instanceof HTMLElement) || !event.target.classList.contains('spine-row')) return
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
    event.preventDefault()
    onMove(event.key === 'ArrowDown' ? 1 : -1)
    const rows = [...event.currentTarget.querySelectorAll<HTMLButtonElement>('.spine-row')]
    const at = rows.indexOf(document.activeElement as HTMLButtonElement)
    rows[at + (event.key === 'ArrowDown' ? 1 : -1)]?.focus()
  }
  return (
    <aside className={folded ? 'spine folded' : 'spine'} aria-label="Exercises">
      <div className="spine-head">
        <h2 className="spine-title" style={{ fontSize: 17 }}>
          Exercises
        </h2>
        <Button
          size="small"
          type="text"
          onClick={() => setFolded(!folded)}
          aria-label={folded ? 'Unfold the exercises' : 'Fold the exercises'}
          aria-expanded={!folded}
        >
          {folded ? '»' : '«'}
        </Button>
      </div>
      {sampler.exercises.length === 0 && !folded && (
        <p className="quiet" style={{ padding: '10px 16px' }}>
          No exercise yet. <Link to="stitches">Choose a stitch</Link> and it is laid on the cloth at once.
        </p>
      )}
      <ol onKeyDown={onKey}>
        {teachingOrder(sampler).map((exercise, index) => {
          const result = worked.results.get(exercise.id)
          const isSelected = exercise.id === selected
          const name = findStitch(exercise.stitch, sampler.stitches)?.name ?? exercise.stitch
          return (
            <li key={exercise.id}>
              <button
                type="button"
                className="spine-row"
                aria-expanded={isSelected}
                onClick={() => dispatch(exerciseSelected(isSelected ? null : exercise.id))}
              >
                <span className="letter">{letterOf(index)}</span>
                <span className="what">
                  <b>{exercise.name}</b>
                  <span>
                    {name}
                    {result?.ok ? ` · ${result.value.stitches}` : ''}
                  </span>
                </span>
                <span style={{ display: 'inline-flex', alignItems: 'center', gap: 6 }}>
                  {result && !result.ok && <BrokenThreadGlyph title="cannot be worked" />}
                  {result?.ok && problemsOnCloth(result.value, sampler).length > 0 && <KnotGlyph title="has a caution" />}
                  {result?.ok && <Slope score={result.value.difficulty.score} />}
                </span>
              </button>
              {isSelected && !folded && <ExerciseCard sampler={sampler} exercise={exercise} result={result ?? null} />}
            </li>
          )
        })}
      </ol>
    </aside>
  )
}
