/** A sampler for tests: eight exercises in bands on calico, for beginners, with dates and a class. */
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { addDays, thursdayBefore } from '../demo/dates.ts'
import { line, type ShortExercise, writtenSampler } from '../documents/written-short.ts'

const exercises: readonly ShortExercise[] = [
  {
    id: 'e1',
    name: 'Steady rain',
    stitch: 'running-stitch',
    guide: line('M 107.5 98 L 202.5 98'),
    parameters: { L: 5, G: 5 },
    marks: 'every-hole',
    thread: 't1',
    strands: 3,
  },
  {
    id: 'e2',
    name: 'First isobar',
    stitch: 'back-stitch',
    guide: line('M 104 113 L 206 113'),
    parameters: { L: 3.5 },
    marks: 'every-hole',
    thread: 't2',
    strands: 3,
  },
  {
    id: 'e8',
    name: 'Pressure ring',
    stitch: 'back-stitch',
    guide: line('M 188 208 A 8 8 0 0 1 172 208 A 8 8 0 0 1 188 208 Z'),
    parameters: { L: 3 },
    marks: 'every-nth',
    nth: 3,
    thread: 't3',
    strands: 2,
  },
  {
    id: 'e3',
    name: 'Breeze',
    stitch: 'stem-stitch',
    guide: line('M 95 130 C 115 117 135 143 155 130 C 175 117 195 143 215 130'),
    parameters: { L: 5 },
    marks: 'guide-only',
    thread: 't3',
  },
  {
    id: 'e4',
    name: 'Edge of the fog',
    stitch: 'split-stitch',
    guide: line('M 93 152 C 125 138 185 138 217 152'),
    parameters: { L: 4 },
    marks: 'guide-only',
    thread: 't1',
    strands: 2,
  },
  {
    id: 'e5',
    name: 'Lightning',
    stitch: 'chain-stitch',
    guide: line('M 95 170 L 125 160 L 130 174 L 165 160 L 170 174 L 215 164'),
    parameters: { L: 4 },
    marks: 'every-hole',
    thread: 't4',
    strands: 3,
  },
  {
    id: 'e6',
    name: 'Hail',
    stitch: 'french-knot',
    guide: {
      kind: 'spots',
      at: [
        [105, 186],
        [113, 184],
        [121, 187],
        [129, 185],
        [137, 188],
        [145, 185],
        [153, 187],
        [161, 184],
        [169, 187],
        [177, 185],
        [185, 188],
        [193, 185],
        [201, 187],
      ],
    },
    parameters: { wraps: 2 },
    marks: 'every-hole',
    thread: 't2',
    strands: 3,
  },
  {
    id: 'e7',
    name: 'Ray of sun',
    stitch: 'satin-stitch',
    guide: { kind: 'shape', path: 'M 112 207 C 120 200 136 200 144 207 C 136 214 120 214 112 207 Z' },
    marks: 'guide-only',
    thread: 't4',
  },
]

/** Dates are set from the day it is loaded: the course began on the Thursday three weeks before the last. */
export function bandSampler(today: string): Sampler {
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
      homeMinutesPerWeek: 60,
      startDate: start,
      everyDays: 7,
      skipDates: [skipped],
    },
    threads: [
      { id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' } },
      { id: 't2', kind: 'stranded-cotton', colour: { name: 'Slate', hex: '#5A6470' } },
      { id: 't3', kind: 'stranded-cotton', colour: { name: 'Sea wind', hex: '#3E7A73' } },
      { id: 't4', kind: 'stranded-cotton', colour: { name: 'Low sun', hex: '#C98A2B' } },
      { id: 't5', kind: 'pearl-cotton', weight: '8', colour: { name: 'Storm plum', hex: '#66476B' } },
    ],
    exercises,
    lessons: [
      { id: 'l1', title: 'Rain that keeps time', exercises: ['e1'] },
      { id: 'l2', title: 'A line without gaps', exercises: ['e2', 'e8'] },
      { id: 'l3', title: 'The thread keeps its side', exercises: ['e3'] },
      { id: 'l4', title: 'Through the thread', exercises: ['e4'] },
      { id: 'l5', title: 'Loops and lightning', exercises: ['e5'] },
      { id: 'l6', title: 'Hail and sun', exercises: ['e6', 'e7'] },
    ],
  })
}
