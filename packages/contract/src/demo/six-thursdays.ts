/**
 * Demo sampler: six Thursdays of weather for beginners, in bands on calico, bold enough to read across a room. Dates are set
 * from the day it is loaded. Learners and places are made up.
 */
import { beginCalendar } from '@lemmata/core/calendar'
import type { ClassDocument, LessonNote } from '@lemmata/core/classes'
import { type Lesson, newSampler, type Sampler, type SamplerThread } from '@lemmata/core/sampler'
import { writtenClass, writtenSampler } from '../documents/written-short.ts'
import { addDays, thursdayBefore } from './dates.ts'
import { cotton, drawingOf, exercisesOf, pearl } from './motif.ts'
import { BANDS, CENTRE } from './thursday-bands.ts'

const THREADS: readonly SamplerThread[] = [
  cotton('night', 'Night indigo', '#22365A'),
  cotton('rain', 'Rainwater', '#2F6496'),
  cotton('haze', 'Summer haze', '#5886AC'),
  cotton('slate', 'Wet slate', '#4B5665'),
  cotton('wind', 'Sea wind', '#17706C'),
  cotton('plum', 'Storm plum', '#6A3E78'),
  cotton('madder', 'Madder', '#A62B2A'),
  cotton('sun', 'Low sun', '#CC6510'),
  cotton('willow', 'Willow', '#557A2C'),
  pearl('night-5', 'Night indigo', '#22365A'),
  pearl('rain-5', 'Rainwater', '#2F6496'),
  pearl('wind-5', 'Sea wind', '#17706C'),
  pearl('slate-5', 'Wet slate', '#4B5665'),
  pearl('plum-5', 'Storm plum', '#6A3E78'),
  pearl('madder-5', 'Madder', '#A62B2A'),
]

const LESSONS: readonly Lesson[] = [
  { id: 'l1', title: 'Rain that keeps time', exercises: ['rain', 'rule'] },
  { id: 'l2', title: 'A line without gaps', exercises: ['front', 'isobar'] },
  { id: 'l3', title: 'The thread keeps its side', exercises: ['breeze'] },
  { id: 'l4', title: 'Through the thread', exercises: ['fog', 'hill'] },
  { id: 'l5', title: 'Loops and lightning', exercises: ['drops', 'lightning'] },
  { id: 'l6', title: 'Hail and sun', exercises: ['hail', 'umbrella', 'ray'] },
]

/** The course began on the Thursday three weeks before the last; one is skipped. */
export function sixThursdays(today: string): Sampler {
  const start = thursdayBefore(today, 3)
  const skipped = addDays(start, 21)
  const plain = newSampler('Six Thursdays')
  return writtenSampler({
    ...plain,
    brief: {
      ...plain.brief,
      purpose: 'A band of weather for people who have never held a needle: one new thing each Thursday.',
      level: 'beginner',
      learners: 10,
      leftHanded: 2,
      lessonMinutes: 90,
      lessons: 6,
      homeMinutesPerWeek: 120,
      startDate: start,
      everyDays: 7,
      skipDates: [skipped],
    },
    cloth: { kind: 'calico', threadsPerCm: 18, thicknessMm: 0.35, colour: { name: 'Coarse calico', hex: '#F2EADA' }, widthMm: 310, heightMm: 310 },
    workingHoop: { shape: 'round', nominalMm: 203, insideMm: 195, at: CENTRE },
    threads: THREADS,
    drawing: { guides: drawingOf(BANDS), groups: [] },
    exercises: exercisesOf(BANDS),
    lessons: LESSONS,
  })
}

const LEARNERS = ['Aino', 'Bram', 'Cleo', 'Dunja', 'Eskil', 'Fenna', 'Gaia', 'Henrik', 'Ilse', 'Jorun']
const LEFT_HANDED = ['Dunja', 'Henrik']

/** Ten people, two of them left-handed. */
export function thursdayClass(today: string): ClassDocument {
  const group = writtenClass(
    'Thursday evenings',
    LEARNERS.map((name, index) => ({ id: `p${index + 1}`, name, ...(LEFT_HANDED.includes(name) ? { hand: 'left' as const } : {}), choices: {} })),
  )
  // The dates that the brief has in mind.
  return { ...group, calendar: beginCalendar(sixThursdays(today), today, 'Europe/Oslo'), notes: notesOf(today) }
}

/** What came up in the first lessons. */
function notesOf(today: string): Readonly<Record<string, LessonNote>> {
  const [first, second] = [thursdayBefore(today, 3), addDays(thursdayBefore(today, 3), 7)]
  return {
    'r-l1': {
      kind: 'record',
      lesson: 'l1',
      on: first,
      done: 'Hooping took a quarter of an hour. All began the rain.',
      change: 'Hoop two cloths beforehand, to be handed round.',
    },
    'n-curl': {
      ...{ kind: 'question', lesson: 'l1', on: first, exercise: 'rain', shared: true, asked: 'Why does my thread curl up on itself?' },
      answer: 'The needle turns in your fingers and winds it up. Let it hang and spin back every few stitches.',
    },
    'n-nail': { kind: 'tip', lesson: 'l2', on: second, exercise: 'front', tip: 'Lay a fingernail where the next hole comes: all stitches grow alike.' },
  }
}
