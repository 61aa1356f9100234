/** Six Thursdays, band by band: label, pattern and motif, and what frames them. Millimetres from the hoop's centre. */
import { LETTER_STITCHES, lengthOfWords, type Lettering, strokesOfWords } from '@lemmata/core/draw'
import type { Guide } from '@lemmata/core/guide'
import type { PieceChange } from '@lemmata/core/sampler'
import { lineGuide, main, type Motif, own, type Place } from './motif.ts'
import { type At, drawnAbout, leaf, pair, smooth, wave } from './paths.ts'

export const CENTRE: At = [155, 155]
const { at, polar, line, circle } = drawnAbout(CENTRE)

/** The middle of each band. */
const Y = { rain: -47.25, low: -28.35, wind: -9.45, fog: 9.45, bolt: 28.35, sun: 47.25 } as const
const LETTERING: Lettering = { stitchMm: 2.1, betweenMm: 2.2, spaceMm: 3 }

const ways = (id: string, paths: readonly string[], change?: PieceChange): readonly Place[] =>
  paths.map((path, index) => ({ id: `${id}-${index + 1}`, guide: lineGuide(path), ...(change ? { change } : {}) }))
const strokes = (words: string, [x, y]: At): readonly string[] => strokesOfWords(words, { x, y }, LETTERING)
const label = (word: string, y: number, thread: string): readonly Place[] =>
  ways(`label-${word.toLowerCase()}`, strokes(word, at(-57, y - (LETTER_STITCHES / 2) * LETTERING.stitchMm)), own(thread, 1, { L: LETTERING.stitchMm }))
const TITLE = 'SIX THURSDAYS'

/** Slanting lines in three colours in turn, every second one a little lower. */
const RAIN: readonly Place[] = Array.from({ length: 11 }, (_, index) => {
  const from: At = [-22 + 5.1 * index, Y.rain - 7 + (index % 2) * 1.6]
  const thread = ['rain', 'night', 'haze'][index % 3] as string
  return {
    id: `rain-${index + 1}`,
    guide: lineGuide(line(at(...from), at(from[0] - 3.25, from[1] + 13))),
    ...(index % 3 === 0 ? {} : { change: own(thread, 6) }),
  }
})

/** A quarter of an umbrella: from the tip along its ribs to a scalloped foot. */
function panel(index: number): Guide {
  const feet = [-13, -6.2, 0, 6.2, 13]
  const [left, right] = [feet[index] as number, feet[index + 1] as number]
  const foot = Y.rain + 2.4
  const put = (x: number, y: number): string => pair(at(45 + x, foot + y))
  const rib = (x: number): readonly [string, string] => [put(0.55 * x, -9.9), put(x, -6)]
  const [l, r] = [rib(left), rib(right)]
  const middle = (left + right) / 2
  return {
    kind: 'shape',
    path: `M ${put(0, -10)} C ${r[0]} ${r[1]} ${put(right, 0)} C ${put(right - 1.5, -1.2)} ${put(middle + 1, -1.6)} ${put(middle, -1.6)} C ${put(middle - 1, -1.6)} ${put(left + 1.5, -1.2)} ${put(left, 0)} C ${l[1]} ${l[0]} ${put(0, -10)} Z`,
    directions: [line(at(45 + middle, foot - 10), at(45 + middle, foot))],
  }
}

const teeth = (from: At, count: number): string => {
  const points: At[] = [at(...from)]
  for (let index = 0; index < count; index += 1) {
    const x = from[0] + 9.6 * index
    points.push(at(x + 3.2, from[1] - 5.6), at(x + 6.4, from[1]))
    if (index < count - 1) points.push(at(x + 9.6, from[1]))
  }
  return line(...points)
}
const humps = (from: At, count: number): string =>
  Array.from({ length: count }, (_, index) => {
    const x = from[0] + 10.8 * index
    return `${index === 0 ? `M ${pair(at(x, from[1]))}` : `L ${pair(at(x, from[1]))}`} A 4.2 4.6 0 0 1 ${pair(at(x + 8.4, from[1]))}`
  }).join(' ')
const oval = (x: number, y: number, a: number, b: number): string =>
  `M ${pair(at(x - a, y))} A ${a} ${b} 0 0 1 ${pair(at(x + a, y))} A ${a} ${b} 0 0 1 ${pair(at(x - a, y))} Z`

const hill = (from: number, to: number, high: number): string =>
  smooth(
    Array.from({ length: 9 }, (_, index) => {
      const share = index / 8
      return at(from + (to - from) * share, Y.fog + 0.6 - high * Math.sin(Math.PI * share) ** 1.3)
    }),
  )
const fogLine = (y: number, high: number, phase: number): string => smooth(wave(at(-25, Y.fog + y), at(59, Y.fog + y), 5, high, phase))

const kite = (x: number, y: number): At => at(47.5 + x, Y.wind - 0.8 + y)
/** Legs of four, three and two loops. */
function lightning(): string {
  const points: At[] = [at(-25, Y.bolt + 6)]
  const step = (dx: number, dy: number): void => {
    const [x, y] = points.at(-1) as At
    points.push([x + dx, y + dy])
  }
  for (let index = 0; index < 3; index += 1) {
    step(11.2, -12.5)
    step(3.6, 12.1)
  }
  step(6, -6.1)
  return line(...points)
}

/** Hail in three rows, offset by half, its colours in diagonals. */
const HAIL = [9, 8, 9].flatMap((count, row) =>
  Array.from({ length: count }, (_, index) => ({ at: at(-23 + 6 * index + (row === 1 ? 3 : 0), Y.sun - 5.2 + 5.2 * row), colour: (index + row) % 3 })),
)
const hailOf = (colour: number): readonly At[] => HAIL.filter((one) => one.colour === colour).map((one) => one.at)

const garland = (from: number, to: number, waves: number): string =>
  smooth(
    Array.from({ length: 8 * waves + 1 }, (_, index) => {
      const share = index / (8 * waves)
      return polar(75.4 + 1.9 * Math.sin(2 * Math.PI * waves * share), from + (to - from) * share)
    }),
  )
/** In the hollows: within the crests and without them. */
const berries = (from: number, to: number, waves: number): readonly At[] =>
  Array.from({ length: 2 * waves }, (_, index) => polar(index % 2 === 0 ? 74.3 : 76.4, from + ((to - from) * (index + 0.5)) / (2 * waves)))

const sunAt = (radius: number, degrees: number): At =>
  at(45 + radius * Math.sin((degrees * Math.PI) / 180), Y.sun + 7 - radius * Math.cos((degrees * Math.PI) / 180))

export const BANDS: readonly Motif[] = [
  {
    id: 'rain',
    name: 'Rain',
    stitch: 'running-stitch',
    places: RAIN,
    parameters: { L: 3, G: 2 },
    marks: 'every-hole',
    materials: main('rain', 6),
    homePercent: 30,
  },
  {
    id: 'rule',
    name: 'Rule between the bands',
    stitch: 'whipped-running',
    places: [0, -37.8, -18.9, 18.9, 37.8].map((y, index) => ({ id: `rule-${index + 1}`, guide: lineGuide(line(at(-60.8, y), at(60.8, y))) })),
    parameters: { L: 4.2, G: 2.6 },
    marks: 'every-nth',
    nth: 3,
    materials: { ...main('night', 6), whipping: { thread: 'madder', strands: 6 } },
    homePercent: 80,
  },
  {
    id: 'front',
    name: 'Cold front',
    stitch: 'back-stitch',
    places: [
      { id: 'teeth', guide: lineGuide(teeth([-25, Y.low - 1.7], 5)) },
      { id: 'humps', guide: lineGuide(humps([-22.2, Y.low + 6.6], 4)), change: own('madder', 5, { L: 2.4 }) },
      {
        id: 'handle',
        guide: lineGuide(`M ${pair(at(45, Y.rain + 0.8))} L ${pair(at(45, Y.rain + 5.6))} A 2.8 2.8 0 0 1 ${pair(at(39.4, Y.rain + 5.6))}`),
        change: own('night', 4, { L: 2.2 }),
      },
    ],
    parameters: { L: 3.2 },
    marks: 'every-hole',
    materials: main('rain', 6),
    homePercent: 40,
  },
  {
    id: 'isobar',
    name: 'First isobar',
    stitch: 'back-stitch',
    places: [
      { id: 'isobar-1', guide: lineGuide(oval(45, Y.low, 14, 7.6)) },
      { id: 'isobar-2', guide: lineGuide(oval(45, Y.low, 9.2, 5.2)), change: own('rain', 6) },
      { id: 'isobar-3', guide: lineGuide(oval(45, Y.low, 4.6, 3.7)), change: own('haze', 6, { L: 2.4 }) },
      ...label('RAIN', Y.rain, 'rain-5'),
      ...label('LOW', Y.low, 'night-5'),
      ...label('WIND', Y.wind, 'wind-5'),
      ...label('FOG', Y.fog, 'slate-5'),
      ...label('BOLT', Y.bolt, 'plum-5'),
      ...label('SUN', Y.sun, 'madder-5'),
      ...ways('title', strokes(TITLE, at(-lengthOfWords(TITLE, LETTERING) / 2, -71.4)), own('madder-5', 1, { L: LETTERING.stitchMm })),
    ],
    parameters: { L: 2.8 },
    marks: 'guide-only',
    materials: main('night', 6),
    homePercent: 50,
  },
  {
    id: 'breeze',
    name: 'Breeze',
    stitch: 'stem-stitch',
    places: [
      { id: 'breeze-2', guide: lineGuide(smooth(wave(at(-25, Y.wind + 0.6), at(25, Y.wind + 0.6), 2, 1.6))) },
      { id: 'breeze-3', guide: lineGuide(smooth(wave(at(-25, Y.wind + 5.4), at(25, Y.wind + 5.4), 2, 1.6))) },
      {
        id: 'breeze-1',
        // It ends on a crest, level, and curls from there.
        guide: lineGuide(`${smooth(wave(at(-25, Y.wind - 3.8), at(20, Y.wind - 3.8), 1.25, -1.4))} A 2.9 2.9 0 1 0 ${pair(at(17.1, Y.wind - 5.3))}`),
      },
      {
        id: 'kite',
        guide: lineGuide(`${line(kite(5.94, -5.74), kite(5.86, 2.26), kite(-5.6, 5.8), kite(-2.06, -5.66))} Z`),
        change: own('madder', 6, { L: 4 }),
      },
      { id: 'spar-1', guide: lineGuide(line(kite(5.94, -5.74), kite(-5.6, 5.8))), change: own('sun', 6, { L: 4 }) },
      { id: 'spar-2', guide: lineGuide(line(kite(-2.06, -5.66), kite(5.86, 2.26))), change: own('sun', 6, { L: 5.6 }) },
      { id: 'tail', guide: lineGuide(smooth(wave(kite(-5.6, 5.8), kite(-15.5, 7.2), 1.5, 1.1))), change: own('sun', 4, { L: 4 }) },
      { id: 'garland-1', guide: lineGuide(garland(64, 116, 4)), change: own('willow', 4, { L: 3.2 }) },
      { id: 'garland-2', guide: lineGuide(garland(244, 296, 4)), change: own('willow', 4, { L: 3.2 }) },
      { id: 'garland-3', guide: lineGuide(garland(141, 219, 6)), change: own('willow', 4, { L: 3.2 }) },
    ],
    parameters: { L: 5 },
    marks: 'guide-only',
    materials: main('wind', 6),
    homePercent: 55,
  },
  {
    id: 'hill',
    name: 'Hill',
    stitch: 'split-stitch',
    places: [
      { id: 'hill-1', guide: lineGuide(hill(-25, 9, 8.4)) },
      { id: 'hill-2', guide: lineGuide(hill(5, 35, 5.6)), change: own('wind', 6) },
      ...Array.from({ length: 4 }, (_, index) => ({
        id: `low-sun-${index + 1}`,
        guide: lineGuide(circle(at(45, Y.fog - 2.6), 5 - 0.68 * index)),
        change: own('madder', 4, { L: 2.6 }),
      })),
    ],
    parameters: { L: 4.4 },
    marks: 'guide-only',
    materials: main('willow', 6),
    homePercent: 40,
  },
  {
    id: 'fog',
    name: 'Edge of the fog',
    stitch: 'split-stitch',
    places: [
      { id: 'fog-1', guide: lineGuide(fogLine(1.9, 0.7, 0)) },
      { id: 'fog-2', guide: lineGuide(fogLine(4.5, 0.8, 0.5)), change: own('slate', 6) },
      { id: 'fog-3', guide: lineGuide(fogLine(7, 1, 0)) },
    ],
    parameters: { L: 4.4 },
    marks: 'guide-only',
    materials: main('haze', 6),
    homePercent: 60,
  },
  {
    id: 'drops',
    name: 'Drops',
    stitch: 'detached-chain',
    places: [
      {
        id: 'drops-spots',
        guide: { kind: 'spots', at: [39, 43.6, 48.2, 52.8].map((x, index) => at(x, Y.bolt + 5.2 + 0.6 * (index % 2))), turnRad: Math.PI / 2 },
      },
    ],
    parameters: { L: 3.5 },
    marks: 'every-hole',
    materials: main('rain', 4),
  },
  {
    id: 'lightning',
    name: 'Lightning',
    stitch: 'chain-stitch',
    places: [
      { id: 'bolt', guide: lineGuide(lightning()) },
      {
        id: 'storm',
        // Three lobes of four loops each over a foot of six: whole loops, and a hole on every corner.
        guide: lineGuide(
          `M ${pair(at(37.3, Y.bolt + 3.4))} A 5.6 5.6 0 0 1 ${pair(at(41.18, Y.bolt - 5.42))} A 5.6 5.6 0 0 1 ${pair(at(50.82, Y.bolt - 5.42))} A 5.6 5.6 0 0 1 ${pair(at(54.7, Y.bolt + 3.4))} Z`,
        ),
        change: own('plum', 5, { L: 2.9 }),
      },
      { id: 'frame', guide: lineGuide(`${line(at(-63, -56.7), at(63, -56.7), at(63, 56.7), at(-63, 56.7))} Z`), change: own('night', 6) },
    ],
    parameters: { L: 4.2 },
    marks: 'every-hole',
    materials: main('sun', 6),
    homePercent: 60,
  },
  {
    id: 'hail',
    name: 'Hail',
    stitch: 'french-knot',
    places: [
      { id: 'hail-1', guide: { kind: 'spots', at: hailOf(0) } },
      { id: 'hail-2', guide: { kind: 'spots', at: hailOf(1) }, change: own('haze', 6) },
      { id: 'hail-3', guide: { kind: 'spots', at: hailOf(2) }, change: own('plum', 6) },
      {
        id: 'low-sun-heart',
        guide: {
          kind: 'spots',
          at: [
            at(45, Y.fog - 2.6),
            ...[0, 60, 120, 180, 240, 300].map(
              (degrees): At => at(45 + 1.6 * Math.sin((degrees * Math.PI) / 180), Y.fog - 2.6 - 1.6 * Math.cos((degrees * Math.PI) / 180)),
            ),
          ],
        },
        change: own('madder', 3, { wraps: 1 }),
      },
      {
        id: 'berries',
        guide: { kind: 'spots', at: [...berries(64, 116, 4), ...berries(141, 219, 6), ...berries(244, 296, 4)] },
        change: own('madder', 6, { wraps: 2 }),
      },
    ],
    parameters: { wraps: 3 },
    marks: 'every-hole',
    materials: main('night', 6),
    homePercent: 50,
  },
  {
    id: 'ray',
    name: 'Ray of sun',
    stitch: 'satin-stitch',
    places: [
      {
        id: 'ray-leaf',
        guide: leaf(sunAt(6.6, -81), sunAt(14.6, -81), 3.6, 0.45),
        copies: { kind: 'round', centre: at(45, Y.sun + 7), count: 7, spanRad: (162 * Math.PI) / 180 },
      },
      {
        id: 'rising',
        guide: {
          kind: 'shape',
          path: `M ${pair(at(39.6, Y.sun + 7))} A 5.4 5.4 0 0 1 ${pair(at(50.4, Y.sun + 7))} Z`,
          directions: [line(at(45, Y.sun + 1), at(45, Y.sun + 7))],
        },
        change: own('madder', 3),
      },
    ],
    marks: 'guide-only',
    materials: main('sun', 2),
    homePercent: 60,
  },
  {
    id: 'umbrella',
    name: 'Umbrella',
    stitch: 'satin-stitch',
    places: [0, 1, 2, 3].map((index) => ({ id: `panel-${index + 1}`, guide: panel(index), ...(index % 2 === 1 ? { change: own('sun', 2) } : {}) })),
    marks: 'guide-only',
    materials: main('madder', 2),
    homePercent: 80,
  },
]
