/** A calendar to begin with: what the brief has in mind, else every week from a day. */
import type { ClassCalendar } from '../classes/index.ts'
import type { Sampler } from '../sampler/index.ts'

/** `today` and `zone` where the brief says nothing of them. */
export function beginCalendar({ brief }: Pick<Sampler, 'brief'>, today: string, zone: string): ClassCalendar {
  return {
    start: brief.startDate ?? today,
    rhythm: { kind: 'every', days: brief.everyDays ?? 7 },
    begins: '18:30',
    zone,
    off: Object.fromEntries([...(brief.skipDates ?? [])].sort().map((on) => [on, ''])),
    catchUp: [],
    moved: {},
    twice: [],
  }
}
