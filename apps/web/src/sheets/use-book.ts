/** The learner's book laid out between what else the page has to do: it says how far it is, and stops when something changes. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type Book, type BookForm, bookInSteps } from '@lemmata/core/book'
import { courseOnDates } from '@lemmata/core/calendar'
import type { ClassCalendar, Learner } from '@lemmata/core/classes'
import { planKit } from '@lemmata/core/kit'
import { courseOf } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import type { PageSize } from '@lemmata/core/sheets'
import dayjs from 'dayjs'
import { useEffect, useState } from 'react'
import { measure } from './measure.ts'

export interface BookWanted {
  readonly sampler: Sampler
  /** All of it, as she works it; none while it is not worked. */
  readonly done: readonly WorkedExercise[]
  readonly calendar: ClassCalendar | undefined
  readonly learner: Learner | undefined
  readonly hand: 'right' | 'left'
  readonly page: PageSize
  readonly form: BookForm | undefined
  readonly version: number
  /** What the check bar measured on the printer, mm. */
  readonly barMm: number
}

export interface BookLaid {
  readonly book: Book | null
  /** 0 to 1 while it is laid out. */
  readonly share: number
}

/** A frame is 16 ms: so much of it is the book's. */
const SLICE_MS = 10

export function useBook({ sampler, done, calendar, learner, hand, page, form, version, barMm }: BookWanted): BookLaid {
  const [laid, setLaid] = useState<BookLaid>(NOTHING)
  useEffect(() => {
    setLaid(NOTHING)
    if (done.length === 0) return
    const course = courseOf(done)
    const steps = bookInSteps({
      ...{ sampler, done, course, kit: planKit(sampler, done), owner: learner?.name ?? null, hand, page, form, measure, barMm },
      dates: calendar ? courseOnDates(sampler, calendar, course) : null,
      version: String(version),
      printed: dayjs().format('YYYY-MM-DD'),
    })
    let timer: ReturnType<typeof setTimeout>
    const go = (): void => {
      const until = performance.now() + SLICE_MS
      for (;;) {
        const step = steps.next()
        if (step.done) return setLaid({ book: step.value, share: 1 })
        if (performance.now() < until) continue
        setLaid({ book: null, share: step.value })
        timer = setTimeout(go)
        return
      }
    }
    timer = setTimeout(go)
    return () => clearTimeout(timer)
  }, [sampler, done, calendar, learner, hand, page, form, version, barMm])
  return laid
}

const NOTHING: BookLaid = { book: null, share: 0 }
