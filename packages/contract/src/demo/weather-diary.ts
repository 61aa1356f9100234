/**
 * Demo sampler: the weather told clockwise round a barometer dial, for improvers, on linen-cotton in a hoop of 203 mm. All
 * places are millimetres from the hoop's centre. What is taught once is worked in several places: those are its pieces.
 */
import type { ClassDocument } from '@lemmata/core/classes'
import { type Lesson, newSampler, type Sampler, type SamplerThread } from '@lemmata/core/sampler'
import { writtenClass, writtenSampler } from '../documents/written-short.ts'
import { CENTRE, DIAL } from './diary-dial.ts'
import { WEATHER } from './diary-weather.ts'
import { cotton, drawingOf, exercisesOf, pearl } from './motif.ts'

const THREADS: readonly SamplerThread[] = [
  cotton('night', 'Night indigo', '#22365A'),
  cotton('rain', 'Rainwater', '#2F6496'),
  cotton('haze', 'Summer haze', '#5886AC'),
  cotton('slate', 'Wet slate', '#4B5665'),
  cotton('wind', 'Sea wind', '#17706C'),
  cotton('plum', 'Storm plum', '#6A3E78'),
  cotton('madder', 'Madder', '#A62B2A'),
  cotton('sun', 'Low sun', '#CC6510'),
  cotton('brass', 'Brass', '#A3730C'),
  cotton('willow', 'Willow', '#557A2C'),
  cotton('bark', 'Bark', '#6B4630'),
  pearl('night-5', 'Night indigo', '#22365A'),
  pearl('rain-5', 'Rainwater', '#2F6496'),
  pearl('wind-5', 'Sea wind', '#17706C'),
  pearl('madder-5', 'Madder', '#A62B2A'),
  pearl('catkin-5', 'Catkin', '#7A7A12'),
]

const LESSONS: readonly Lesson[] = (
  [
    ['Rain and fog', 'rain', 'fog'],
    ['Lines without gaps', 'sector', 'isobar', 'plum'],
    ['Counting the days', 'graph', 'clear'],
    ['Under the thread', 'rim', 'deep', 'green'],
    ['Loops', 'drizzle', 'red', 'lightning'],
    ['Keeping its side', 'orange', 'breeze', 'scale'],
    ['Through the thread', 'blue', 'crystal', 'hail', 'window'],
    ['Sun and feather', 'ray', 'feather', 'frost'],
    ['One cloud', 'cloud-dark', 'cloud-middle', 'cloud-light', 'edge'],
    ['What spins, hangs and freezes', 'whirlwind', 'disc', 'catkins'],
  ] as const
).map(([title, ...exercises], index) => ({ id: `d${index + 1}` as Lesson['id'], title, exercises: exercises }))

export function weatherDiary(): Sampler {
  const plain = newSampler('Weather Diary')
  const motifs = [...DIAL, ...WEATHER]
  return writtenSampler({
    ...plain,
    brief: {
      ...plain.brief,
      purpose: 'A year of weather round a barometer dial: ten evenings for people who have worked one sampler before.',
      level: 'improver',
      learners: 8,
      leftHanded: 1,
      lessonMinutes: 120,
      lessons: 10,
      homeMinutesPerWeek: 60,
    },
    cloth: { kind: 'linen-cotton', threadsPerCm: 18, thicknessMm: 0.4, colour: { name: 'Bleached linen', hex: '#F1EADB' }, widthMm: 300, heightMm: 300 },
    workingHoop: { shape: 'round', nominalMm: 203, insideMm: 195, at: CENTRE },
    threads: THREADS,
    drawing: { guides: drawingOf(motifs), groups: [] },
    exercises: exercisesOf(motifs),
    lessons: LESSONS,
  })
}

/** Those who take it this year; Tove has chosen what was left to her. */
export function diaryClass(): ClassDocument {
  return writtenClass('Tuesday mornings', [
    { id: 'p1', name: 'Tove', hand: 'left', choices: { rain: { thread: 'slate' }, breeze: { thread: 'haze', marks: 'every-nth' } } },
    { id: 'p2', name: 'Marit', choices: {} },
    { id: 'p3', name: 'Oona', settled: true, choices: {} },
  ])
}
