/**
 * The one list of exercises, in their lessons. One Tab stop: arrows move focus and selection together, Alt with an arrow
 * moves the exercise, F2 renames it. Dragged rows land where the line shows.
 */
import { findGaps } from '@lemmata/core/plan'
import { type Exercise, type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { counted } from '@lemmata/core/units'
import { DndContext, type DragEndEvent, DragOverlay, type DragStartEvent, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core'
import { Button } from 'antd'
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react'
import { Link } from 'react-router'
import { useWorked } from '../compute/use-worked.ts'
import { type Course, moveTo, useCourse } from '../order/use-course.ts'
import { useAppDispatch, useAppSelector } from '../store/index.ts'
import { allHeld, exerciseSelected, heldToo } from '../store/sampler.ts'
import { GapRow } from './GapRow.tsx'
import { droppedOn, movedBy, type SpineGroup, spineGroups } from './groups.ts'
import { LessonActs, LessonHeading } from './LessonHeading.tsx'
import { SpineRow } from './SpineRow.tsx'
import { isNarrow } from './use-folded.ts'

interface Props {
  readonly sampler: Sampler
  readonly stage: string
  readonly folded: boolean
  readonly onFold: (folded: boolean) => void
}

export function Spine({ sampler, stage, folded, onFold }: Props) {
  const course = useCourse(sampler)
  const groups = useMemo(() => spineGroups(sampler, course.plan), [sampler, course.plan])
  const byId = useMemo(() => new Map(sampler.exercises.map((one) => [one.id as string, one])), [sampler.exercises])
  const letters = useMemo(() => new Map(teachingOrder(sampler).map((one, index) => [one.id as string, letterOf(index)])), [sampler])
  const steep = useMemo(
    () => new Map(findGaps(course.description, course.course).flatMap((gap) => (gap.kind === 'steep' ? [[gap.then, gap] as const] : []))),
    [course],
  )
  const broken = useMemo(() => new Set(course.broken.map((rule) => rule.exercise)), [course.broken])
  const selected = useAppSelector((state) => state.sampler.selected)
  const also = useAppSelector((state) => state.sampler.also)
  const dispatch = useAppDispatch()
  const { results } = useWorked()
  const list = useRef<HTMLDivElement>(null)
  const [renaming, setRenaming] = useState<string | null>(null)
  const [said, setSaid] = useState('')
  const order = groups.flatMap((group) => group.ids)
  const stop = selected !== null && order.includes(selected) ? selected : order[0]
  // Several are held where something can be done with several.
  const manyHere = stage === 'cloth'
  const select = (id: string | undefined, focus = true, more = false): void => {
    if (id === undefined) return
    dispatch(more ? heldToo(id) : exerciseSelected(id))
    if (focus) rowOf(list.current, id)?.focus()
  }
  // Chosen anywhere, it is in view here; a hidden list has nothing to scroll.
  useEffect(() => {
    if (selected !== null) rowOf(list.current, selected)?.scrollIntoView({ block: 'nearest' })
  }, [selected, folded])

  const onKey = (event: KeyboardEvent<HTMLDivElement>): void => {
    const id = (event.target as HTMLElement).dataset.exercise
    if (id === undefined) return
    const at = order.indexOf(id)
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : null
    if (by !== null && event.altKey) {
      const next = movedBy(course.plan, id, by)
      if (next) {
        moveTo(sampler, course.plan, id, next)
        setSaid(placeInWords(byId.get(id)?.name ?? id, id, next.lessons))
        requestAnimationFrame(() => rowOf(list.current, id)?.focus())
      }
    } else if (by !== null) select(order[at + by], true, manyHere && event.shiftKey)
    else if (event.key === 'Home') select(order[0])
    else if (event.key === 'End') select(order.at(-1))
    else if (event.key === 'Enter' || event.key === ' ') select(id)
    else if (event.key === 'F2') setRenaming(id)
    else if (event.key === 'a' && (event.ctrlKey || event.metaKey) && manyHere) dispatch(allHeld(groups.find((group) => group.ids.includes(id))?.ids ?? []))
    // A small t teaches what is held, here as everywhere.
    else if (/^[a-z]$/i.test(event.key) && event.key !== 't' && !event.ctrlKey && !event.metaKey && !event.altKey) {
      const named = order.find((one) => letters.get(one)?.toLowerCase() === event.key.toLowerCase())
      // Letters that name a row choose it; they do nothing else while the list has the focus.
      event.stopPropagation()
      event.nativeEvent.stopImmediatePropagation()
      select(named)
    } else return
    event.preventDefault()
  }

  const dragging = useDragging(sampler, course, (id, lessons) => setSaid(placeInWords(byId.get(id)?.name ?? id, id, lessons)))
  const row = (id: string, overlay = false) => {
    const exercise = byId.get(id) as Exercise
    const result = results.get(exercise.id) ?? null
    return (
      <SpineRow
        key={id}
        sampler={sampler}
        exercise={exercise}
        result={result}
        letter={letters.get(id) ?? ''}
        isSelected={selected === id || (manyHere && also.includes(id))}
        isStop={stop === id && !overlay}
        isBroken={broken.has(id)}
        folded={folded}
        renaming={renaming === id}
        movable={!overlay && course.plan.lessons.some((ids) => ids.includes(id))}
        dropLine={dragging.line?.id === id ? (dragging.line.below ? 'below' : 'above') : null}
        onSelect={(more) => {
          select(id, true, manyHere && more)
          if (isNarrow()) onFold(true)
        }}
        onRenamed={() => {
          setRenaming(null)
          requestAnimationFrame(() => rowOf(list.current, id)?.focus())
        }}
      />
    )
  }
  return (
    <aside className={folded ? 'spine folded' : 'spine'} aria-label="Exercises">
      <div className="spine-head">
        {!folded && (
          <h2 className="spine-title">
            {counted(sampler.exercises.length, 'exercise')}
            {course.plan.lessons.length > 0 && ` in ${counted(groups.filter((group) => group.lesson !== null).length, 'lesson')}`}
          </h2>
        )}
        <Button
          size="small"
          type="text"
          onClick={() => onFold(!folded)}
          aria-label={folded ? 'Unfold the exercises' : 'Fold the exercises'}
          aria-expanded={!folded}
        >
          {folded ? '»' : '«'}
        </Button>
      </div>
      {sampler.exercises.length === 0 && !folded && (
        <p className="spine-empty">
          No exercises yet. Choose a stitch and it lies here. <Link to="stitches">To the stitches</Link>
        </p>
      )}
      <DndContext
        sensors={dragging.sensors}
        collisionDetection={pointerWithin}
        onDragStart={dragging.onStart}
        onDragMove={dragging.onMove}
        onDragEnd={dragging.onEnd}
        onDragCancel={dragging.onCancel}
        accessibility={{ screenReaderInstructions: { draggable: 'Alt with the up or down arrow moves the exercise.' } }}
      >
        <div ref={list} className="spine-list" role="listbox" aria-multiselectable={manyHere} aria-label="Exercises in their lessons" onKeyDown={onKey}>
          {groups.map((group) => (
            <Group
              key={`${group.lesson ?? ''} ${group.title}`}
              sampler={sampler}
              course={course}
              group={group}
              stage={stage}
              folded={folded}
              {...(manyHere ? { onHoldAll: () => dispatch(allHeld(group.ids)) } : {})}
            >
              {group.ids.map((id) => {
                const gap = stage === 'order' && !folded ? steep.get(id) : undefined
                return gap ? [<GapRow key={`gap ${id}`} rise={gap.rise} limit={gap.limit} onFill={() => select(id, false)} />, row(id)] : row(id)
              })}
            </Group>
          ))}
        </div>
        <DragOverlay dropAnimation={null}>{dragging.id !== null && byId.has(dragging.id) ? row(dragging.id, true) : null}</DragOverlay>
      </DndContext>
      {stage === 'order' && !folded && sampler.exercises.length > 0 && <LessonActs sampler={sampler} course={course} />}
      <span className="visually-hidden" role="status">
        {said}
      </span>
    </aside>
  )
}

interface GroupProps {
  readonly sampler: Sampler
  readonly course: Course
  readonly group: SpineGroup
  readonly stage: string
  readonly folded: boolean
  /** All of the lesson at once; left out where one at a time is held. */
  readonly onHoldAll?: () => void
  readonly children: React.ReactNode
}

function Group({ children, ...heading }: GroupProps) {
  const { group } = heading
  return (
    <div role="group" aria-label={group.lesson === null ? group.title : `Lesson ${group.lesson + 1}, ${group.title}`}>
      <LessonHeading {...heading} />
      {children}
    </div>
  )
}

function rowOf(list: HTMLElement | null, id: string): HTMLElement | null {
  return [...(list?.querySelectorAll<HTMLElement>('[data-exercise]') ?? [])].find((one) => one.dataset.exercise === id) ?? null
}

/** "Hail, now in lesson 10, place 2 of 3." */
function placeInWords(name: string, id: string, lessons: readonly (readonly string[])[]): string {
  const lesson = lessons.findIndex((ids) => ids.includes(id))
  const ids = lessons[lesson] ?? []
  return `${name}, now in lesson ${lesson + 1}, place ${ids.indexOf(id) + 1} of ${ids.length}.`
}

interface Line {
  readonly id: string
  readonly below: boolean
}

function useDragging(sampler: Sampler, course: Course, onMoved: (id: string, lessons: readonly (readonly string[])[]) => void) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }))
  const [id, setId] = useState<string | null>(null)
  const [line, setLine] = useState<Line | null>(null)
  const over = ({ over: target, active, delta, activatorEvent }: Pick<DragEndEvent, 'over' | 'active' | 'delta' | 'activatorEvent'>) => {
    if (!target || target.id === active.id) return null
    const at = (activatorEvent as PointerEvent).clientY + delta.y
    return { id: String(target.id), below: at > target.rect.top + target.rect.height / 2 }
  }
  const rest = (): void => {
    setId(null)
    setLine(null)
  }
  return {
    sensors,
    id,
    line,
    onStart: ({ active }: DragStartEvent): void => setId(String(active.id)),
    onMove: (event: DragEndEvent): void => setLine(over(event)),
    onCancel: rest,
    onEnd: (event: DragEndEvent): void => {
      const target = over(event)
      rest()
      if (!target) return
      const moved = String(event.active.id)
      const heading = /^lesson (\d+)$/.exec(target.id)
      const next = droppedOn(course.plan, moved, heading ? { lesson: Number(heading[1]) } : { id: target.id }, target.below)
      if (!next) return
      moveTo(sampler, course.plan, moved, next)
      onMoved(moved, next.lessons)
    },
  }
}
