/** Days of a course, as year, month and day. */

export function addDays(date: string, days: number): string {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10)
}

/** The Thursday `weeks` weeks before the last one on or before that day. */
export function thursdayBefore(date: string, weeks: number): string {
  const weekday = new Date(`${date}T00:00:00Z`).getUTCDay()
  return addDays(date, -((weekday + 3) % 7) - 7 * weeks)
}
