/** A book laid out between what else the page has to do: it says how far it is, and stops when something changes. */
import type { Drawing } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type Book, type BookForm, type BookInk, bookInSteps, type LayingOut } from '@lemmata/core/book'
import { courseOnDates } from '@lemmata/core/calendar'
import { makeCards } from '@lemmata/core/cards'
import type { ClassDocument, Learner } from '@lemmata/core/classes'
import { planKit } from '@lemmata/core/kit'
import { courseOf } from '@lemmata/core/order'
import type { Sampler } from '@lemmata/core/sampler'
import type { PageSize, PatternSize } from '@lemmata/core/sheets'
import { makeTeacherBook } from '@lemmata/core/teacher-book'
import dayjs from 'dayjs'
import { useEffect, useState } from 'react'
import { measure } from './measure.ts'

export interface BookWanted {
  readonly kind: 'learner' | 'teacher' | 'cards'
  readonly sampler: Sampler
  /** All of it, as she works it; none while it is not worked. */
  readonly done: readonly WorkedExercise[]
  /** The class with its dates, and for its teacher its names and notes. */
  readonly group: ClassDocument | undefined
  readonly learner: Learner | undefined
  readonly hand: 'right' | 'left'
  readonly page: PageSize
  readonly form: BookForm | undefined
  readonly ink: BookInk
  readonly patternPage: PatternSize | undefined
  readonly version: number
  /** What the check bar measured on the printer, mm. */
  readonly barMm: number
}

export interface BookLaid {
  readonly book: Book | null
  /** 0 to 1 while it is laid out. */
  readonly share: number
  /** Shown while the rest is on its way; none of what is there at once. */
  readonly cover: (() => Drawing) | null
}

/** A frame is 16 ms: so much of it is the book's. */
const SLICE_MS = 10

export function useBook(wanted: BookWanted): BookLaid {
  const { kind, sampler, done, group, learner, hand, page, form, ink, patternPage, version, barMm } = wanted
  const [laid, setLaid] = useState<BookLaid>(NOTHING)
  useEffect(() => {
    setLaid(NOTHING)
    if (done.length === 0) return
    const course = courseOf(done)
    const order = {
      ...{ sampler, done, course, kit: planKit(sampler, done), owner: learner?.name ?? null, hand, page, form, ink, patternPage, measure, barMm },
      dates: group?.calendar ? courseOnDates(sampler, group.calendar, course) : null,
      version: String(version),
      printed: dayjs().format('YYYY-MM-DD'),
    }
    const steps = kind === 'cards' ? at(() => makeCards(order)) : bookInSteps(order)
    // The teacher's says on which page of the learner's it is.
    const finished = (book: Book): Book => (kind === 'teacher' ? makeTeacherBook({ ...order, group: group ?? null, pageOf: book.pageOf }) : book)
    let timer: ReturnType<typeof setTimeout>
    const go = (): void => {
      const until = performance.now() + SLICE_MS
      for (;;) {
        const step = steps.next()
        if (step.done) return setLaid({ book: finished(step.value), share: 1, cover: null })
        if (performance.now() < until) continue
        const { share, cover } = step.value
        // The same cover for as long as it is shown: it is drawn once.
        setLaid((before) => ({ book: null, share, cover: kind === 'learner' ? (before.cover ?? cover) : null }))
        timer = setTimeout(go)
        return
      }
    }
    timer = setTimeout(go)
    return () => clearTimeout(timer)
  }, [kind, sampler, done, group, learner, hand, page, form, ink, patternPage, version, barMm])
  return laid
}

const NOTHING: BookLaid = { book: null, share: 0, cover: null }

/** Laid out at once, for it is short. */
// biome-ignore lint/correctness/useYield: it has nothing to say on the way.
function* at(make: () => Book): Generator<LayingOut, Book> {
  return make()
}
