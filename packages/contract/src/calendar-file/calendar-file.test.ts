/** Calendar files: read back by a parser to the same moments; days off out of files as schools publish them. */
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { calendarFile, readDaysOff } from './index.ts'

const entries = [
  { uid: 'l1.0@lemmata', on: '2027-03-25', title: 'Rain; that, keeps time', words: 'Bring needle 8.\nAnd thread: "Rainwater"' },
  { uid: 'l2.0@lemmata', on: '2027-04-01', title: 'A line without gaps '.repeat(9).trim(), words: '' },
]
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))

describe('a calendar file', () => {
  it.each([
    ['Europe/Oslo', ['2027-03-25T17:30:00.000Z', '2027-04-01T16:30:00.000Z']],
    ['America/New_York', ['2027-03-25T22:30:00.000Z', '2027-04-01T22:30:00.000Z']],
    ['Australia/Lord_Howe', ['2027-03-25T07:30:00.000Z', '2027-04-01T07:30:00.000Z']],
  ])('of a class in %s reads back to the moments, titles and words', (zone, begins) => {
    const text = calendarFile('Thursdays', { begins: '18:30', zone }, 90, entries, new Date('2026-11-27T12:00:00Z'))
    const events = read(text)
    expect(events.map((one) => one.startDate.toJSDate().toISOString())).toEqual(begins)
    for (const one of events) expect(one.endDate.toJSDate().getTime() - one.startDate.toJSDate().getTime()).toBe(90 * 60_000)
    expect(events.map((one) => [one.uid, one.summary])).toEqual(entries.map((one) => [one.uid, one.title]))
    expect(events[0]?.description).toBe(entries[0]?.words)
    // As the format asks: lines of at most 75 bytes, ended by both marks; moments in the world's time.
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    expect(text.match(/DTSTART:\d{8}T\d{6}Z/g)).toHaveLength(2)
  })

  it('without a lesson is a calendar all the same', () => {
    expect(read(calendarFile('Empty', { begins: '18:30', zone: 'Europe/Oslo' }, 90, [], new Date(0)))).toEqual([])
  })
})

describe('days off', () => {
  const file = (...events: string[]): string =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//x//EN',
      ...events.flatMap((one) => ['BEGIN:VEVENT', 'UID:1', ...one.split('\n'), 'END:VEVENT']),
      'END:VCALENDAR',
    ].join('\r\n')

  it('are every day of a holiday, the first and the last too', () => {
    expect(readDaysOff(file('DTSTART;VALUE=DATE:20270222\nDTEND;VALUE=DATE:20270225\nSUMMARY:Winter holiday'))).toEqual([
      { on: '2027-02-22', why: 'Winter holiday' },
      { on: '2027-02-23', why: 'Winter holiday' },
      { on: '2027-02-24', why: 'Winter holiday' },
    ])
    expect(readDaysOff(file('DTSTART;VALUE=DATE:20270517\nSUMMARY:National day'))).toEqual([{ on: '2027-05-17', why: 'National day' }])
    expect(readDaysOff(file('DTSTART:20270105T080000Z\nDTEND:20270105T100000Z'))).toEqual([{ on: '2027-01-05', why: '' }])
  })

  it('that overlap are said once; one without an end or of years does no harm', () => {
    const found = readDaysOff(file('DTSTART;VALUE=DATE:20200101\nDTEND;VALUE=DATE:20400101\nSUMMARY:Always', 'DTSTART;VALUE=DATE:20200102\nSUMMARY:Twice'))
    expect(found).toHaveLength(120)
    expect(found?.[1]).toEqual({ on: '2020-01-02', why: 'Always' })
    expect(readDaysOff(file('SUMMARY:Nowhere'))).toEqual([])
  })

  it.each(['', 'BEGIN:VCARD\r\nEND:VCARD', '{"json": 1}', 'BEGIN:VCALENDAR', '\u0000'])('a file that is none is none: %j', (text) => {
    expect(readDaysOff(text)).toBeNull()
  })
})
