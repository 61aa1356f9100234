import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { problemsOnCloth, setAsideOnCloth } from '@lemmata/core/mend'
import { MAIN_ROLE } from '@lemmata/core/notation'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { useDraggable, useDroppable } from '@dnd-kit/core'
import { Input } from 'antd'
import { useState } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { ExerciseSwatch } from '../drawing/ExerciseSwatch.tsx'
import { BrokenThreadGlyph, KnotGlyph, Slope } from '../look/Glyphs.tsx'
import { edit } from '../store/index.ts'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly result: Result<WorkedExercise> | null
  readonly letter: string
  readonly isSelected: boolean
  /** The one place of the list where Tab stops. */
  readonly isStop: boolean
  readonly isBroken: boolean
  readonly folded: boolean
  readonly renaming: boolean
  readonly movable: boolean
  readonly dropLine: 'above' | 'below' | null
  /** `more`: with what is held already. */
  readonly onSelect: (more: boolean) => void
  readonly onRenamed: () => void
}

export function SpineRow(props: Props) {
  const { sampler, exercise, result, letter, isSelected, isStop, isBroken, folded, renaming, movable, dropLine, onSelect, onRenamed } = props
  const drop = useDroppable({ id: exercise.id })
  const drag = useDraggable({ id: exercise.id, disabled: !movable || renaming })
  const done = result?.ok ? result.value : null
  const { done: among } = useWorked()
  const wrong = isBroken || result?.ok === false
  const cautions = done ? problemsOnCloth(done, sampler, among).length : 0
  const aside = done ? setAsideOnCloth(done, sampler, among).length : 0
  return (
    <div
      ref={(element) => {
        drop.setNodeRef(element)
        drag.setNodeRef(element)
      }}
      {...drag.listeners}
      className={`spine-row${dropLine ? ` drop-${dropLine}` : ''}${drag.isDragging ? ' lifted' : ''}`}
      role="option"
      aria-selected={isSelected}
      tabIndex={isStop ? 0 : -1}
      data-exercise={exercise.id}
      title={folded ? exercise.name : undefined}
      onClick={({ shiftKey, ctrlKey, metaKey }) => onSelect(shiftKey || ctrlKey || metaKey)}
    >
      <span className="letter">{letter}</span>
      {folded ? (
        <>
          <span className="thread-bar" style={{ background: colourOf(sampler, exercise, done) }} aria-hidden="true" />
          <span className="visually-hidden">{exercise.name}</span>
        </>
      ) : (
        <>
          <span className="row-swatch">{done && <ExerciseSwatch done={done} clothHex={sampler.cloth.colour.hex} widthPx={40} heightPx={26} />}</span>
          {renaming ? <Rename exercise={exercise} onDone={onRenamed} /> : <span className="row-name">{exercise.name}</span>}
          {done ? <Slope score={done.difficulty.score} bare /> : <span />}
        </>
      )}
      <span className="row-sign">
        {wrong ? (
          <BrokenThreadGlyph title={isBroken ? 'breaks a rule' : 'cannot be worked'} />
        ) : cautions > 0 ? (
          <KnotGlyph title="has a caution" />
        ) : (
          aside > 0 && <KnotGlyph title="its caution is set aside" aside />
        )}
      </span>
    </div>
  )
}

function colourOf(sampler: Sampler, exercise: Exercise, done: WorkedExercise | null): string {
  const chosen = exercise.materials?.[MAIN_ROLE]?.thread
  return done?.assigned.main.thread.value.colour.hex ?? sampler.threads.find((one) => one.id === chosen)?.colour.hex ?? 'transparent'
}

function Rename({ exercise, onDone }: { exercise: Exercise; onDone: () => void }) {
  const [typed, setTyped] = useState(exercise.name)
  const keep = (): void => {
    const name = typed.trim()
    if (name !== '' && name !== exercise.name) edit({ kind: 'change-exercise', id: exercise.id, set: { name } })
    onDone()
  }
  return (
    <Input
      size="small"
      autoFocus
      aria-label={`Name of ${exercise.name}`}
      value={typed}
      maxLength={120}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') keep()
        else if (event.key === 'Escape') onDone()
      }}
    />
  )
}
