/** Rehearses a course off the page's thread; stopped by ending it. */
import { type Rehearsal, type RehearsedCourse, rehearseInSteps, type SimulatedClass } from '@lemmata/core/calendar'
import { expose } from 'comlink'

/** What goes to a worker has no functions: weeks by lesson. */
export interface RehearsedOnDates extends Omit<RehearsedCourse, 'weeks'> {
  readonly weeks: Readonly<Record<string, number>>
}

/** Progress is told each fiftieth of the way. */
const EACH = 1 / 50

const service = {
  rehearse({ weeks, ...course }: RehearsedOnDates, how: SimulatedClass, onProgress: (share: number) => void): Rehearsal {
    const steps = rehearseInSteps({ ...course, weeks: (lesson) => weeks[lesson] ?? 1 }, how)
    let told = 0
    for (;;) {
      const step = steps.next()
      if (step.done) return step.value
      if (step.value - told < EACH) continue
      told = step.value
      onProgress(told)
    }
  },
}

export type RehearsalService = typeof service
expose(service)
