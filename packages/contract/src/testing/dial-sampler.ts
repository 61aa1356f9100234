/**
 * A sampler for tests: twenty exercises of nearly every kind, for improvers, on linen-cotton in a large round hoop. Two carry
 * a true caution: Ray of sun and Feather of the vane have thread that lies free for a little over a centimetre.
 */
import type { ClassDocument } from '@lemmata/core/classes'
import { type DrawnGuide, type Lesson, newSampler, type Sampler } from '@lemmata/core/sampler'
import { writtenClass, writtenSampler, line, type ShortExercise } from '../documents/written-short.ts'

const exercises: readonly ShortExercise[] = [
  {
    id: 'w1',
    name: 'Rain',
    stitch: 'running-stitch',
    guide: line('M 236 178 L 264 222'),
    marks: 'every-nth',
    nth: 3,
    thread: 'rain',
    strands: 3,
    free: ['colour', 'length'],
  },
  {
    id: 'w2',
    name: 'Barometer dial',
    stitch: 'back-stitch',
    guide: line('M 218 190 A 28 28 0 0 1 162 190 A 28 28 0 0 1 218 190 Z'),
    parameters: { L: 3 },
    marks: 'every-nth',
    nth: 3,
    thread: 'brass',
    strands: 2,
    note: 'The practice band: every new motion is tried inside the dial first.',
  },
  { id: 'w3', name: 'Isobar', stitch: 'back-stitch', guide: line('M 135 130 C 160 112 220 112 245 130'), parameters: { L: 2.5 }, thread: 'slate', strands: 2 },
  {
    id: 'w4',
    name: 'Deep isobar',
    stitch: 'whipped-back',
    guide: line('M 142 142 C 164 126 216 126 238 142'),
    parameters: { L: 3 },
    thread: 'slate',
    strands: 2,
  },
  {
    id: 'w5',
    name: 'Wind',
    stitch: 'stem-stitch',
    guide: line('M 82 190 C 92 178 104 202 114 190 C 124 178 136 202 146 190'),
    parameters: { L: 4 },
    marks: 'guide-only',
    thread: 'wind',
    strands: 2,
    free: ['colour', 'marks'],
    substitutes: [{ stitch: 'chain-stitch' }],
  },
  {
    id: 'w6',
    name: 'Lightning',
    stitch: 'chain-stitch',
    guide: line('M 282 150 L 268 172 L 282 178 L 266 208'),
    parameters: { L: 3 },
    marks: 'guide-only',
    thread: 'sun',
    strands: 2,
  },
  {
    id: 'w7',
    name: 'Rainbow, outer band',
    stitch: 'split-stitch',
    guide: line('M 98 150 C 104 112 128 92 150 88'),
    parameters: { L: 3.5 },
    thread: 'plum',
    strands: 2,
  },
  { id: 'w8', name: 'Rainbow, inner band', stitch: 'couching-stitch', guide: line('M 106 154 C 112 122 132 104 152 98'), thread: 'wind', strands: 3 },
  {
    id: 'w9',
    name: 'Hail',
    stitch: 'french-knot',
    guide: {
      kind: 'spots',
      at: [
        [172, 106],
        [184, 99],
        [197, 98],
        [205, 107],
        [191, 105],
        [179, 112],
        [212, 112],
      ],
    },
    parameters: { wraps: 2 },
    marks: 'every-hole',
    thread: 'slate',
    strands: 3,
  },
  { id: 'w10', name: 'Frost', stitch: 'fly-stitch', guide: { kind: 'band', path: 'M 96 250 L 146 250', widthMm: 5 }, thread: 'frost', strands: 2 },
  {
    id: 'w11',
    name: 'Ray of sun',
    stitch: 'satin-stitch',
    guide: { kind: 'shape', path: 'M 250 94 C 258 88 268 92 278 104 C 266 106 256 104 250 94 Z' },
    thread: 'sun',
    strands: 2,
  },
  {
    id: 'w12',
    name: 'Fog',
    stitch: 'seed-stitch',
    guide: { kind: 'shape', path: 'M 92 222 C 110 212 140 212 152 224 C 140 236 108 238 92 222 Z' },
    thread: 'frost',
    strands: 2,
  },
  {
    id: 'w13',
    name: 'Feather of the vane',
    stitch: 'fishbone-stitch',
    guide: { kind: 'shape', path: 'M 228 250 C 240 238 262 238 272 246 C 262 258 240 260 228 250 Z', vein: 'M 228 250 L 272 246' },
    thread: 'plum',
    strands: 2,
  },
  {
    id: 'w14',
    name: 'Cloud',
    stitch: 'long-and-short',
    on: [{ guide: 'cloud' }],
    thread: 'rain',
    strands: 1,
  },
  {
    id: 'w20',
    name: 'Silver edge',
    stitch: 'split-stitch',
    // The cloud's own edge: one drawing, two exercises.
    on: [{ guide: 'cloud', part: 'outline' }],
    parameters: { L: 3 },
    marks: 'guide-only',
    thread: 'frost',
    strands: 2,
  },
  {
    id: 'w15',
    name: 'Rain graph',
    stitch: 'cross-stitch',
    guide: { kind: 'grid', at: [160, 238], columns: 12, rows: 5, cellMm: 2.5 },
    thread: 'rain',
    strands: 2,
  },
  { id: 'w16', name: 'Snow crystal', stitch: 'star-eyelet', guide: { kind: 'ring', at: [118, 270], radiusMm: 6 }, thread: 'frost', strands: 2 },
  { id: 'w17', name: 'Window frost', stitch: 'sorbello-stitch', guide: { kind: 'square', at: [146, 268], sideMm: 6, repeat: 5 }, thread: 'frost', strands: 3 },
  { id: 'w18', name: 'Whirlwind', stitch: 'woven-wheel', guide: { kind: 'ring', at: [206, 278], radiusMm: 6 }, thread: 'wind', strands: 3 },
  {
    id: 'w19',
    name: 'Willow catkins',
    stitch: 'woven-picot',
    guide: {
      kind: 'pins',
      base: [236, 284],
      pins: [
        [228, 274],
        [240, 272],
      ],
    },
    thread: 'wind',
    strands: 3,
  },
]

const cloud: DrawnGuide = {
  id: 'cloud',
  name: 'Cloud',
  guide: {
    kind: 'shape',
    path: 'M 166 98 C 160 84 176 78 184 84 C 190 74 206 76 208 86 C 220 84 224 98 214 102 C 200 106 176 106 166 98 Z',
    directions: ['M 190 78 L 190 104'],
  },
}

const LESSONS: readonly Lesson[] = [
  { id: 'd1', title: 'Rain and the first isobar', exercises: ['w1', 'w3'] },
  { id: 'd2', title: 'The dial', exercises: ['w2', 'w4'] },
  { id: 'd3', title: 'Wind and a rainbow', exercises: ['w5', 'w8'] },
  { id: 'd4', title: 'Fog and numbers', exercises: ['w12', 'w15'] },
  { id: 'd5', title: 'Frost and lightning', exercises: ['w10', 'w6'] },
  { id: 'd6', title: 'Through the thread', exercises: ['w7', 'w16'] },
  { id: 'd7', title: 'Sun and feather', exercises: ['w11', 'w13'] },
  { id: 'd8', title: 'One cloud', exercises: ['w14'] },
  { id: 'd9', title: 'Silver, ice and hail', exercises: ['w20', 'w17', 'w9'] },
  { id: 'd10', title: 'What spins and hangs', exercises: ['w18', 'w19'] },
]

export function dialSampler(): Sampler {
  const plain = newSampler('Weather Diary')
  return writtenSampler({
    ...plain,
    brief: {
      ...plain.brief,
      purpose: 'A year of weather round a barometer dial, for people who know their first stitches and want the rest.',
      level: 'improver',
      learners: 8,
      leftHanded: 1,
      lessonMinutes: 120,
      lessons: 10,
      homeMinutesPerWeek: 90,
    },
    cloth: { kind: 'linen-cotton', threadsPerCm: 18, thicknessMm: 0.4, colour: { name: 'Linen-cotton', hex: '#E9E0CC' }, widthMm: 380, heightMm: 380 },
    workingHoop: { shape: 'round', nominalMm: 305, insideMm: 297, at: [190, 190] },
    threads: [
      { id: 'rain', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' } },
      { id: 'slate', kind: 'stranded-cotton', colour: { name: 'Slate', hex: '#5A6470' } },
      { id: 'wind', kind: 'stranded-cotton', colour: { name: 'Sea wind', hex: '#3E7A73' } },
      { id: 'sun', kind: 'stranded-cotton', colour: { name: 'Low sun', hex: '#C98A2B' } },
      { id: 'plum', kind: 'stranded-cotton', colour: { name: 'Storm plum', hex: '#66476B' } },
      { id: 'frost', kind: 'stranded-cotton', colour: { name: 'Hoar frost', hex: '#8FA9B5' } },
      { id: 'brass', kind: 'stranded-cotton', colour: { name: 'Brass', hex: '#9A7B3A' } },
    ],
    drawing: { guides: [cloud], groups: [] },
    exercises,
    lessons: LESSONS,
  })
}

/** Those who take it this year; Tove has chosen what was left to her. */
export function dialClass(): ClassDocument {
  return writtenClass('Tuesday mornings', [
    { id: 'p1', name: 'Tove', hand: 'left', choices: { w1: { thread: 'slate' }, w5: { thread: 'frost', marks: 'every-nth' } } },
    { id: 'p2', name: 'Marit', choices: {} },
    { id: 'p3', name: 'Oona', settled: true, choices: {} },
  ])
}
