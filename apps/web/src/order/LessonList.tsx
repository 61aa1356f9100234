/** The exercises in their lessons, moved by hand: by the grip, or with Space and the arrows. */
import { type CoursePlan, MINUTES_STEP, motionWord, type PlannedStep } from '@lemmata/core/order'
import { cutText } from '@lemmata/contract'
import type { Sampler } from '@lemmata/core/sampler'
import { type Announcements, closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Button, Input } from 'antd'
import { Slope } from '../look/Glyphs.tsx'
import { edit, useAppDispatch, useAppSelector } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'
import { newId } from '../store/new-ids.ts'
import { type Course, isWritten, lessonsOf, moveTo, takePlan } from './use-course.ts'

const HEAD = 'lesson '

export function LessonList({ sampler, course, letters }: { sampler: Sampler; course: Course; letters: ReadonlyMap<string, string> }) {
  const { plan, description, broken, settings } = course
  const items = new Map(course.course.map((item) => [item.id, item] as const))
  const steps = new Map(description.steps.map((step) => [step.id, step] as const))
  const wrong = new Set(broken.map((rule) => rule.exercise))
  const entries = plan.lessons.flatMap((ids, lesson) => [`${HEAD}${lesson}`, ...ids])
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return
    const moved = arrayMove(entries, entries.indexOf(String(active.id)), entries.indexOf(String(over.id)))
    const lessons: string[][] = []
    for (const entry of moved) {
      if (entry.startsWith(HEAD)) lessons.push([])
      else if (lessons.length === 0) lessons.push([entry])
      else lessons.at(-1)?.push(entry)
    }
    // What was put above the first heading is in the first lesson.
    const heads = plan.lessons.length
    const next = lessons.length > heads ? [[...(lessons[0] as string[]), ...(lessons[1] ?? [])], ...lessons.slice(2)] : lessons
    moveTo(sampler, plan, String(active.id), { lessons: next })
  }
  const name = (id: string | number): string => items.get(String(id))?.name ?? 'its beginning'
  return (
    <DndContext
      accessibility={{
        announcements: spoken(name, entries),
        screenReaderInstructions: { draggable: 'Space takes the exercise up; up and down arrows move it; Space puts it down; Escape puts it back.' },
      }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={entries} strategy={verticalListSortingStrategy}>
        <ol className="order-list">
          {plan.lessons.map((ids, lesson) => {
            const minutes = ids.reduce((total, id) => total + (items.get(id)?.minutes ?? 0), 0)
            const home = ids.reduce((total, id) => total + (items.get(id)?.homeMinutes ?? 0), 0)
            return [
              <Head key={`${HEAD}${lesson}`} id={`${HEAD}${lesson}`}>
                <LessonTitle sampler={sampler} course={course} lesson={lesson} />
                <span className="quiet">
                  {ids.length === 0
                    ? 'nothing yet'
                    : minutesInWords(
                        minutes,
                        home,
                        settings.lessonMinutes,
                        ids.length,
                        ids.reduce((total, id) => total + (items.get(id)?.showMinutes ?? 0), 0),
                      )}
                  {ids.length > 0 ? ` · ${riseInWords(plan.lessons, lesson, steps)}` : ''}
                </span>
                {ids.length === 0 && (
                  <Button size="small" type="text" onClick={() => removeLesson(sampler, plan, lesson)}>
                    Remove
                  </Button>
                )}
              </Head>,
              ...ids.map((id) => (
                <Row
                  key={id}
                  id={id}
                  name={name(id)}
                  letter={letters.get(id) ?? ''}
                  step={steps.get(id)}
                  broken={wrong.has(id)}
                  pinned={isPinned(sampler, id)}
                />
              )),
            ]
          })}
        </ol>
      </SortableContext>
      <Button size="small" style={{ marginTop: 10 }} onClick={() => addLesson(sampler, plan)}>
        Add a lesson
      </Button>
    </DndContext>
  )
}

function addLesson(sampler: Sampler, plan: CoursePlan): void {
  if (!isWritten(sampler, plan)) takePlan(sampler, { lessons: [...plan.lessons, []] })
  else edit({ kind: 'add-lesson', lesson: { id: newId('l'), title: `Lesson ${plan.lessons.length + 1}` }, at: plan.lessons.length })
}

function removeLesson(sampler: Sampler, plan: CoursePlan, lesson: number): void {
  const written = sampler.lessons[lesson]
  if (written && isWritten(sampler, plan)) edit({ kind: 'remove-lesson', id: written.id })
  else takePlan(sampler, { lessons: plan.lessons.filter((_, index) => index !== lesson) })
}

/** Typed in place; kept when it is left. */
function LessonTitle({ sampler, course, lesson }: { sampler: Sampler; course: Course; lesson: number }) {
  const title = sampler.lessons[lesson]?.title ?? `Lesson ${lesson + 1}`
  const keep = (typed: string): void => {
    const wanted = cutText(typed.trim(), 120)
    if (wanted === '' || wanted === title) return
    const written = sampler.lessons[lesson]
    if (written) edit({ kind: 'rename-lesson', id: written.id, title: wanted })
    // A lesson that minutes made is written when it gets its title.
    else edit({ kind: 'arrange-lessons', lessons: lessonsOf(sampler, course.plan).map((one, index) => (index === lesson ? { ...one, title: wanted } : one)) })
  }
  return (
    <h3>
      {lesson + 1}.{' '}
      <Input
        key={title}
        variant="borderless"
        className="lesson-title"
        aria-label={`Title of lesson ${lesson + 1}`}
        defaultValue={title}
        maxLength={120}
        style={{ width: `calc(${(0.88 * Math.max(8, title.length)).toFixed(1)}ch + 16px)` }}
        onBlur={(event) => keep(event.target.value)}
        onPressEnter={(event) => event.currentTarget.blur()}
      />
    </h3>
  )
}

function minutesInWords(minutes: number, home: number, room: number, count: number, showing: number): string {
  const rounded = (one: number): number => MINUTES_STEP * Math.max(1, Math.round(one / MINUTES_STEP))
  const over = count === 1 && minutes > room ? minutes - room : 0
  const atHome = over + home
  return `${rounded(minutes - over)} of ${room} min in class, ${Math.max(1, Math.round(showing))} of them showing${atHome > 0 ? `, ${rounded(atHome)} at home` : ''}`
}

/** From the hardest of the lesson before to the hardest of this one. */
function riseInWords(lessons: readonly (readonly string[])[], lesson: number, steps: ReadonlyMap<string, PlannedStep>): string {
  const hardest = (ids: readonly string[] | undefined): number | null =>
    ids && ids.length > 0 ? Math.max(...ids.map((id) => steps.get(id)?.difficulty ?? 0)) : null
  const here = hardest(lessons[lesson]) ?? 0
  const before = hardest(
    lessons
      .slice(0, lesson)
      .filter((ids) => ids.length > 0)
      .at(-1),
  )
  if (before === null) return `difficulty ${Math.round(here)}`
  const rise = Math.round(here) - Math.round(before)
  return `rise ${rise >= 0 ? '+' : '\u2212'}${Math.abs(rise)}`
}

function isPinned(sampler: Sampler, id: string): boolean {
  const pins = sampler.exercises.find((exercise) => exercise.id === id)?.pins
  return pins !== undefined && Object.values(pins).some((pin) => (Array.isArray(pin) ? pin.length > 0 : Boolean(pin)))
}

function Head({ id, children }: { id: string; children: React.ReactNode }) {
  const { setNodeRef, transform, transition } = useSortable({ id, disabled: { draggable: true } })
  return (
    <li ref={setNodeRef} className="order-head" style={{ transform: CSS.Translate.toString(transform), transition }}>
      {children}
    </li>
  )
}

interface RowProps {
  readonly id: string
  readonly name: string
  readonly letter: string
  readonly step: PlannedStep | undefined
  readonly broken: boolean
  readonly pinned: boolean
}

function Row({ id, name, letter, step, broken, pinned }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id })
  const selected = useAppSelector((state) => state.sampler.selected)
  const dispatch = useAppDispatch()
  return (
    <li
      ref={setNodeRef}
      className={`order-row${broken ? ' broken' : ''}${selected === id ? ' chosen' : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition, opacity: isDragging ? 0.7 : 1 }}
    >
      <button type="button" className="grip" {...attributes} {...listeners} aria-label={`Move ${name}`}>
        ⠿
      </button>
      <span className="letter">{letter}</span>
      <button type="button" className="order-name" aria-pressed={selected === id} onClick={() => dispatch(exerciseSelected(id))}>
        <b>{name}</b>
        {pinned && <span className="pin-mark">pinned</span>}
        {step && step.newMotions.length > 0 && <span className="new-mark">new: {step.newMotions.map(motionWord).join(', ')}</span>}
        <span className="why">{step?.why ?? 'cannot be worked yet'}</span>
      </button>
      {step ? <Slope score={step.difficulty} /> : <span />}
    </li>
  )
}

/** What a screen reader hears while an exercise is moved. */
function spoken(name: (id: string | number) => string, entries: readonly string[]): Announcements {
  const place = (id: string | number): string => {
    const at = entries.indexOf(String(id))
    const lesson = entries.slice(0, at + 1).filter((entry) => entry.startsWith(HEAD)).length
    return `lesson ${Math.max(1, lesson)}`
  }
  return {
    onDragStart: ({ active }) => `${name(active.id)} is taken up, from ${place(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} is over ${place(over.id)}, ${name(over.id)}.` : ''),
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} is put down in ${place(over.id)}.` : `${name(active.id)} is where it was.`),
    onDragCancel: ({ active }) => `${name(active.id)} is back where it was.`,
  }
}
