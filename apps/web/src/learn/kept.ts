/**
 * What her device keeps: her key, her week as it was loaded last, and what she told that has not arrived yet. Written at once, so that a page
 * that is closed, or a battery that is empty, loses nothing; sent until it is acknowledged, and kept once by whoever gets it twice.
 */
import type { ToldEvent, WeekAnswer } from '@lemmata/contract'
import { UNRULED } from '@lemmata/core/photo'
import { practiceOf, type LearnerPractice, type PracticeEvent } from '@lemmata/core/practice'

export interface Kept {
  readonly key: string | null
  readonly link: string | null
  readonly week: WeekAnswer | null
  readonly unsent: readonly ToldEvent[]
  /** A piece of work that is being timed, since when: as an instant. */
  readonly timed: { readonly exercise: string; readonly since: string } | null
  readonly large: boolean
}

const NAME = 'lemmata-learn'
export const NOTHING: Kept = { key: null, link: null, week: null, unsent: [], timed: null, large: false }

const WEEK_BEFORE: Pick<WeekAnswer, 'said' | 'version' | 'pictures' | 'sendsPictures' | 'measuring'> = {
  sendsPictures: true,
  said: [],
  version: '',
  pictures: [],
  measuring: UNRULED,
}

export function readKept(): Kept {
  try {
    const text = localStorage.getItem(NAME)
    if (text === null) return NOTHING
    const kept = { ...NOTHING, ...(JSON.parse(text) as Partial<Kept>) }
    // A week that was kept before a newer page came has not all that it shows.
    return { ...kept, week: kept.week && { ...WEEK_BEFORE, ...kept.week } }
  } catch {
    // Written by something else, or not to be read here: she comes back with her link.
    return NOTHING
  }
}

/** False where the device has no room, or keeps nothing for this page: then it must not be left before it is sent. */
export function writeKept(kept: Kept): boolean {
  try {
    localStorage.setItem(NAME, JSON.stringify(kept))
    return true
  } catch {
    return false
  }
}

/** What the server had, and what is on its way there. */
export function eventsIn({ week, unsent }: Kept): readonly PracticeEvent[] {
  if (!week) return []
  const { id } = week.learner
  return [...week.events, ...unsent.map((one): PracticeEvent => ({ ...one, learner: id, by: 'learner' }))]
}

export const practiceIn = (kept: Kept): LearnerPractice => practiceOf(eventsIn(kept), kept.week?.learner.id ?? '')

/** Acknowledged: no longer on its way, and among what the server has. */
export function acknowledged(kept: Kept, ids: readonly string[]): Kept {
  const unsent = kept.unsent.filter((one) => !ids.includes(one.id))
  if (!kept.week) return { ...kept, unsent }
  const { id } = kept.week.learner
  const arrived = kept.unsent.filter((one) => ids.includes(one.id)).map((one): PracticeEvent => ({ ...one, learner: id, by: 'learner' }))
  return { ...kept, unsent, week: { ...kept.week, events: [...kept.week.events, ...arrived] } }
}

/** Whole minutes from then to now; at least one, and no more than a hand works in a day. */
export function minutesSince(since: string, now: number): number {
  return Math.min(600, Math.max(1, Math.round((now - Date.parse(since)) / 60_000)))
}
