/** The heading of a lesson in the spine: its number, its title, and on Order what it takes and how far it rises. */
import { cutText } from '@lemmata/contract'
import { type CoursePlan, MINUTES_STEP } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import { useDroppable } from '@dnd-kit/core'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { type Course, isWritten, lessonsOf, takePlan } from '../order/use-course.ts'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import type { SpineGroup } from './groups.ts'

interface Props {
  readonly sampler: Sampler
  readonly course: Course
  readonly group: SpineGroup
  readonly stage: string
  readonly folded: boolean
  /** All of it at once; left out where one at a time is held. */
  readonly onHoldAll?: () => void
}

export function LessonHeading({ sampler, course, group, stage, folded, onHoldAll }: Props) {
  const { lesson, title, ids } = group
  const drop = useDroppable({ id: `lesson ${lesson ?? 'none'}`, disabled: lesson === null })
  const [renaming, setRenaming] = useState(false)
  if (folded)
    return (
      <div ref={drop.setNodeRef} className="lesson-heading" title={title}>
        {lesson === null ? '' : lesson + 1}
      </div>
    )
  return (
    <div ref={drop.setNodeRef} className={drop.isOver ? 'lesson-heading taking' : 'lesson-heading'}>
      {lesson !== null && <span className="number">{lesson + 1}</span>}
      {renaming && lesson !== null ? (
        <TitleField sampler={sampler} course={course} lesson={lesson} title={title} onDone={() => setRenaming(false)} />
      ) : (
        <span
          className="lesson-title"
          title={lesson === null ? title : `${title}: press twice to rename`}
          onDoubleClick={() => lesson !== null && setRenaming(true)}
        >
          {title}
        </span>
      )}
      {lesson !== null && stage === 'order' && ids.length > 0 && (
        <span className="lesson-fact" title={lessonInWords(course, ids)}>
          {minutesOf(course, ids)} min
        </span>
      )}
      {onHoldAll && ids.length > 1 && (
        // By keyboard Ctrl and A on one of them: a list holds nothing but its rows.
        <span className="hold-all" aria-hidden="true" title="Hold all of them (Ctrl+A in the list)" onClick={onHoldAll}>
          all
        </span>
      )}
      {lesson !== null && ids.length === 0 && <span className="lesson-fact">nothing yet</span>}
    </div>
  )
}

const rounded = (minutes: number): number => MINUTES_STEP * Math.max(1, Math.round(minutes / MINUTES_STEP))

function minutesOf({ course }: Course, ids: readonly string[]): number {
  const items = course.filter((item) => ids.includes(item.id))
  return rounded(items.reduce((total, item) => total + item.minutes, 0))
}

/** "40 of 90 min in class, 10 of them showing, 20 at home". */
function lessonInWords({ course, settings }: Course, ids: readonly string[]): string {
  const items = course.filter((item) => ids.includes(item.id))
  const sum = (of: (item: (typeof items)[number]) => number): number => items.reduce((total, item) => total + of(item), 0)
  const minutes = sum((item) => item.minutes)
  const over = items.length === 1 && minutes > settings.lessonMinutes ? minutes - settings.lessonMinutes : 0
  const atHome = over + sum((item) => item.homeMinutes)
  const showing = Math.max(1, Math.round(sum((item) => item.showMinutes)))
  return `${rounded(minutes - over)} of ${settings.lessonMinutes} min in class, ${showing} of them showing${atHome > 0 ? `, ${rounded(atHome)} at home` : ''}`
}

function TitleField({ sampler, course, lesson, title, onDone }: { sampler: Sampler; course: Course; lesson: number; title: string; onDone: () => void }) {
  const [typed, setTyped] = useState(title)
  const keep = (): void => {
    const wanted = cutText(typed.trim(), 120)
    onDone()
    if (wanted === '' || wanted === title) return
    const written = sampler.lessons[lesson]
    if (written) edit({ kind: 'rename-lesson', id: written.id, title: wanted })
    // A lesson that minutes made is written when it gets its title.
    else edit({ kind: 'arrange-lessons', lessons: lessonsOf(sampler, course.plan).map((one, index) => (index === lesson ? { ...one, title: wanted } : one)) })
  }
  return (
    <Input
      size="small"
      autoFocus
      aria-label={`Title of lesson ${lesson + 1}`}
      value={typed}
      maxLength={120}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') keep()
        else if (event.key === 'Escape') onDone()
      }}
    />
  )
}

/** Under the list: one lesson more, and those that are empty taken out again. */
export function LessonActs({ sampler, course }: { sampler: Sampler; course: Course }) {
  const { plan } = course
  const add = (): void => {
    if (!isWritten(sampler, plan)) takePlan(sampler, { lessons: [...plan.lessons, []] })
    else edit({ kind: 'add-lesson', lesson: { id: newId('l'), title: `Lesson ${plan.lessons.length + 1}` }, at: plan.lessons.length })
  }
  return (
    <div className="lesson-acts">
      <Button size="small" onClick={add}>
        Add a lesson
      </Button>
      {plan.lessons.map((ids, lesson) =>
        ids.length > 0 ? null : (
          <Button key={lesson} size="small" type="text" onClick={() => removeLesson(sampler, plan, lesson)}>
            Remove lesson {lesson + 1}
          </Button>
        ),
      )}
    </div>
  )
}

function removeLesson(sampler: Sampler, plan: CoursePlan, lesson: number): void {
  const written = sampler.lessons[lesson]
  if (written && isWritten(sampler, plan)) edit({ kind: 'remove-lesson', id: written.id })
  else takePlan(sampler, { lessons: plan.lessons.filter((_, index) => index !== lesson) })
}
