/** The dates on which a class would meet, one after the other, without those on which it does not. */
import { Temporal } from 'temporal-polyfill'
import type { ClassCalendar, Rhythm } from '../classes/index.ts'

/** No course is longer: what is asked for beyond is not there. */
const MOST_TRIED = 4000

export function dayOf(iso: string): Temporal.PlainDate {
  return Temporal.PlainDate.from(iso)
}

/** Whole days from one to the other; negative where it lies before. */
export function daysBetween(from: string, to: string): number {
  return dayOf(from).until(dayOf(to), { largestUnit: 'day' }).days
}

export function addDays(iso: string, days: number): string {
  return dayOf(iso).add({ days }).toString()
}

/** For whoever writes it out: 1 Monday to 7 Sunday, 1 January to 12 December. */
export function dayParts(iso: string): { readonly weekday: number; readonly day: number; readonly month: number } {
  const { dayOfWeek, day, month } = dayOf(iso)
  return { weekday: dayOfWeek, day, month }
}

/** 1 Monday to 7 Sunday. */
export const weekdayOf = (iso: string): number => dayOf(iso).dayOfWeek

/**
 * In order, from a day on (that day too where the rhythm falls on it). Months are counted from that day, so that the 31st comes
 * back after a short month.
 */
export function* datesFrom(rhythm: Rhythm, from: string): Generator<string> {
  const start = dayOf(from)
  switch (rhythm.kind) {
    case 'every':
      for (let index = 0; index < MOST_TRIED; index += 1) yield start.add({ days: index * rhythm.days }).toString()
      return
    case 'monthly':
      for (let index = 0; index < MOST_TRIED; index += 1) yield start.add({ months: index }).toString()
      return
    case 'weekdays':
      for (let index = 0; index < MOST_TRIED; index += 1) {
        const day = start.add({ days: index })
        if (rhythm.days.includes(day.dayOfWeek)) yield day.toString()
      }
      return
    case 'chosen':
      for (const on of [...new Set(rhythm.on)].sort()) if (on >= from) yield on
  }
}

/** When a lesson begins and ends, in milliseconds of the world's time: a class at half past six is that by its own clock, in summer and winter. */
export function momentsOf(
  { begins, zone }: Pick<ClassCalendar, 'begins' | 'zone'>,
  on: string,
  minutes: number,
): { readonly begins: number; readonly ends: number } {
  const start = Temporal.PlainDateTime.from(`${on}T${begins}`).toZonedDateTime(zone)
  return { begins: start.epochMilliseconds, ends: start.add({ minutes }).epochMilliseconds }
}
