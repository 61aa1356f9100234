/** The ramp: exercises in the order of teaching, by hand or as Lemmata would have them, with every reason. */
import { brokenRules, courseOf, describeOrder, motionWord, type OrderAnswer } from '@lemmata/core/plan'
import { letterOf } from '@lemmata/core/sheets'
import type { Exercise } from '@lemmata/core/sampler'
import { type Announcements, closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { useWorked, workService } from '../compute/use-worked.ts'
import { Slope } from '../look/Glyphs.tsx'
import { ProblemLine } from '../sampler/ProblemLine.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { edit } from '../store/index.ts'

export function OrderStage() {
  const sampler = useSampler()
  const { done } = useWorked()
  const ids = sampler.exercises.map((exercise) => exercise.id)
  const course = useMemo(() => courseOf(done), [done])
  const broken = brokenRules(course, ids)
  const now = useMemo(() => {
    const byId = new Map(course.map((item) => [item.id, item] as const))
    const items = sampler.exercises.flatMap((exercise) => byId.get(exercise.id) ?? [])
    return describeOrder(items, sampler.brief.lessonMinutes, false)
  }, [course, sampler.exercises, sampler.brief.lessonMinutes])
  const [found, setFound] = useState<OrderAnswer | null>(null)
  const [busy, setBusy] = useState(false)
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    edit({ kind: 'order-exercises', ids: arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))) })
  }
  const ask = async (): Promise<void> => {
    setBusy(true)
    setFound(await workService.order(course, sampler.brief.lessonMinutes))
    setBusy(false)
  }
  const names = new Map(sampler.exercises.map((exercise) => [exercise.id, exercise.name] as const))
  const differs = found !== null && found.order.join() !== ids.join()
  return (
    <div className="scroll">
      <div style={{ display: 'flex', gap: 12, alignItems: 'end', marginBottom: 14, flexWrap: 'wrap' }}>
        <div style={{ flex: 1, minWidth: 260 }}>
          <h1>Order</h1>
          <span className="quiet">Each exercise rests on easier ones. Take a row by its grip (or Space, arrows, Space) and put it elsewhere.</span>
        </div>
        <Button type="primary" loading={busy} disabled={course.length < 2} onClick={() => void ask()}>
          Find the best order
        </Button>
      </div>
      {found && (
        <div className="panel" style={{ marginBottom: 14 }} role="status" data-testid="found-order">
          {differs ? (
            <>
              <p style={{ marginTop: 0 }}>
                <b>{found.order.map((id) => names.get(id) ?? id).join(' → ')}</b>
              </p>
              <p className="why">
                Costs {found.cost.toFixed(1)}; yours costs {now.cost.toFixed(1)}.{' '}
                {found.optimal ? 'Every permitted order was tried: none costs less.' : 'The best that was found; not proven to be the best there is.'} The cost
                counts uneven steps, long falls, more than one new motion at a time, and motions that do not return.
              </p>
              <span style={{ display: 'flex', gap: 8 }}>
                <Button
                  type="primary"
                  onClick={() => {
                    edit({ kind: 'order-exercises', ids: found.order })
                    setFound(null)
                  }}
                >
                  Take this order
                </Button>
                <Button onClick={() => setFound(null)}>Keep mine</Button>
              </span>
            </>
          ) : (
            <span>
              Yours is the order that Lemmata would choose{found.optimal ? ': every permitted order was tried' : ''}.{' '}
              <Button type="link" size="small" onClick={() => setFound(null)}>
                Good
              </Button>
            </span>
          )}
        </div>
      )}
      {broken.map((rule) => (
        <ProblemLine key={`${rule.exercise} ${rule.needs}`} problem={{ severity: 'caution', message: rule.sentence }} />
      ))}
      <DndContext
        accessibility={{
          announcements: spoken(names, ids),
          screenReaderInstructions: { draggable: 'Space takes the exercise up; up and down arrows move it; Space puts it down; Escape puts it back.' },
        }}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="order-list" style={{ marginTop: 10 }}>
            {sampler.exercises.map((exercise, index) => (
              <Row key={exercise.id} exercise={exercise} letter={letterOf(index)} answer={now} broken={broken.some((rule) => rule.exercise === exercise.id)} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {sampler.exercises.length === 0 && <p className="quiet">Nothing to order yet. Choose stitches first.</p>}
    </div>
  )
}

/** What a screen reader hears while an exercise is moved. */
function spoken(names: ReadonlyMap<string, string>, ids: readonly string[]): Announcements {
  const name = (id: string | number): string => names.get(String(id)) ?? String(id)
  const place = (id: string | number): string => `place ${ids.indexOf(String(id)) + 1} of ${ids.length}`
  return {
    onDragStart: ({ active }) => `${name(active.id)} is taken up, from ${place(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} is over ${place(over.id)}.` : ''),
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} is put down at ${place(over.id)}.` : `${name(active.id)} is where it was.`),
    onDragCancel: ({ active }) => `${name(active.id)} is back where it was.`,
  }
}

function Row({ exercise, letter, answer, broken }: { exercise: Exercise; letter: string; answer: OrderAnswer; broken: boolean }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: exercise.id })
  const step = answer.steps.find((one) => one.id === exercise.id)
  return (
    <li
      ref={setNodeRef}
      className={broken ? 'order-row broken' : 'order-row'}
      style={{ transform: CSS.Translate.toString(transform), transition, opacity: isDragging ? 0.7 : 1 }}
    >
      <button type="button" className="grip" {...attributes} {...listeners} aria-label={`Move ${exercise.name}`}>
        ⠿
      </button>
      <span style={{ font: '700 18px Alegreya, serif', color: 'var(--indigo)' }}>{letter}</span>
      <span style={{ minWidth: 0 }}>
        <b>{exercise.name}</b>
        <span className="why" style={{ display: 'block' }}>
          {answer.why.get(exercise.id) ?? 'cannot be worked yet'}
        </span>
      </span>
      <span className="quiet" style={{ fontSize: 13 }}>
        {step && step.newMotions.length > 0 ? `new: ${step.newMotions.map(motionWord).join(', ')}` : ''}
      </span>
      {step ? <Slope score={step.difficulty} /> : <span />}
    </li>
  )
}
