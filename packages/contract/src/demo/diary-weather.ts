/** Weather Diary, round the dial: rain and cloud, rainbow and sun, wind, willow, snow, the window, the rain graph. */
import type { Guide } from '@lemmata/core/guide'
import { CENTRE, rainbow, SUN, sunAt } from './diary-dial.ts'
import { lineGuide, main, type Motif, own, type Place } from './motif.ts'
import { type At, cutAcross, drawnAbout, leaf, outlineOfArcs, pair, smooth, wave } from './paths.ts'

const { at, polar, line, circle } = drawnAbout(CENTRE)

/** Leaning one in five to the left, under the cloud; close beside the dial and never over it. */
const RAIN: readonly Place[] = [28, 36, 41, 38, 26].map((long, index) => {
  const from: At = [-66.5 + 4.9 * index, -25.5]
  const size = Math.hypot(1, 5)
  return {
    id: `rain-${index + 1}`,
    guide: lineGuide(line(at(...from), at(from[0] - long / size, from[1] + (5 * long) / size))),
    ...(index % 2 === 1 ? { change: own('night', 6) } : {}),
  }
})

const cloudOutline = outlineOfArcs(at(-64.5, -28.8), [
  { to: at(-68.2, -40.2), radius: 6.4 },
  { to: at(-55.8, -51), radius: 8.2 },
  { to: at(-37, -50.4), radius: 10.6 },
  { to: at(-27.9, -39.4), radius: 7.8 },
  { to: at(-31, -28.8), radius: 6.2 },
])
const waveAt =
  (y: number, high: number, long: number) =>
  (x: number): number =>
    150 + y + high * Math.sin((2 * Math.PI * (x - 150)) / long)
const [lightPart = '', middlePart = '', darkPart = ''] = cutAcross(cloudOutline, [waveAt(-42.2, 1.7, 20), waveAt(-35.2, 1.5, 21)])
const upright = (x: number): readonly string[] => [line(at(x, -52), at(x, -29))]

const cloudPart = (id: string, name: string, path: string, thread: string): Motif => ({
  id: id,
  name,
  stitch: 'long-and-short',
  places: [{ id: `${id}-part`, guide: { kind: 'shape', path, directions: upright(-48) } }],
  parameters: { P: 0.6 },
  marks: 'guide-only',
  materials: main(thread, 3),
})

const isobar = (radius: number, from: number, to: number, waver: number): string => {
  const steps = 9
  return smooth(
    Array.from({ length: steps + 1 }, (_, index) => {
      const degrees = to + ((from - to) * index) / steps
      return polar(radius + waver * Math.sin((2 * Math.PI * (degrees - from)) / 80), degrees)
    }),
  )
}

const square = (id: string, x: number, y: number): Place => ({ id, guide: { kind: 'square', at: at(x + 2.5, y + 2.5), sideMm: 5, repeat: 4 } })
const bar = (index: number, rows: number): Place => ({
  id: `bar-${index + 1}`,
  guide: { kind: 'grid', at: at(-72.6 + 5.9 * index, 38 - 2.4 * rows), columns: 2, rows, cellMm: 2.4 },
  ...(rows === 8 ? { change: own('madder', 4) } : {}),
})
const catkin = (index: number, x: number, y: number, long: number, lean: number): Place => {
  const angle = (lean * Math.PI) / 180
  return { id: `catkin-${index + 1}`, guide: { kind: 'pins', base: at(x, y), pins: [at(x + long * Math.sin(angle), y - long * Math.cos(angle))] } }
}

export const WEATHER: readonly Motif[] = [
  {
    id: 'rain',
    name: 'Rain',
    stitch: 'running-stitch',
    places: RAIN,
    parameters: { L: 4.4, G: 2.4 },
    marks: 'every-nth',
    nth: 3,
    materials: main('rain', 6),
    free: ['colour', 'length'],
  },
  {
    id: 'graph',
    name: 'Rain graph',
    stitch: 'cross-stitch',
    places: [3, 5, 8, 6, 4].map((rows, index) => bar(index, rows)),
    materials: main('rain', 4),
  },
  {
    id: 'isobar',
    name: 'Isobar',
    stitch: 'back-stitch',
    places: [
      { id: 'isobar-line', guide: lineGuide(isobar(50.2, 122, 230, 1)) },
      {
        id: 'window-frame',
        guide: lineGuide(`${line(at(-46.75, 52.25), at(-22.25, 52.25), at(-22.25, 69.75), at(-46.75, 69.75))} Z`),
        change: own('bark', 6, { L: 3.5 }),
      },
      { id: 'ground', guide: lineGuide(line(at(-73.4, 39.4), at(-43.4, 39.4))), change: own('slate', 4, { L: 3 }) },
    ],
    parameters: { L: 3.2 },
    materials: main('rain-5'),
  },
  {
    id: 'plum',
    name: 'Rainbow, plum row',
    stitch: 'back-stitch',
    places: rainbow('plum', [68.7, 67.85]),
    parameters: { L: 3.5 },
    materials: main('plum', 6),
  },
  {
    id: 'deep',
    name: 'Deep isobar',
    stitch: 'whipped-back',
    places: [
      { id: 'deep-line', guide: lineGuide(isobar(53.2, 126, 226, 1)) },
      {
        id: 'post',
        guide: lineGuide(line(at(0, -46.5), at(0, -61))),
        change: {
          materials: { main: { thread: 'bark', strands: 6 }, whipping: { thread: 'bark', strands: 6 } },
          parameters: { L: 3 },
        },
      },
    ],
    parameters: { L: 3.4 },
    materials: { ...main('wind-5'), whipping: { thread: 'wind-5' } },
  },
  {
    id: 'red',
    name: 'Rainbow, red row',
    stitch: 'chain-stitch',
    places: rainbow('red', [77.8]),
    parameters: { L: 4.2 },
    materials: main('madder', 6),
  },
  {
    id: 'orange',
    name: 'Rainbow, orange row',
    stitch: 'stem-stitch',
    places: rainbow('orange', [75.6, 74.75]),
    parameters: { L: 5 },
    materials: main('sun', 6),
  },
  {
    id: 'breeze',
    name: 'Wind',
    stitch: 'stem-stitch',
    places: [
      { id: 'wind-2', guide: lineGuide(smooth(wave(at(50.5, -4.5), at(81, -5), 1, 1))) },
      { id: 'wind-3', guide: lineGuide(smooth(wave(at(50.5, 1.5), at(81, 1), 1, 1))) },
      {
        id: 'wind-1',
        guide: lineGuide(
          `${smooth(wave(at(51.5, -10.5), at(71.5, -10.5), 0.5, -1))} A 5.2 5.2 0 1 0 ${pair(at(66.3, -15.7))} A 2.8 2.8 0 0 0 ${pair(at(71.9, -15.7))}`,
        ),
      },
      {
        id: 'wind-4',
        guide: lineGuide(
          `${smooth(wave(at(50.5, 7.5), at(70.5, 7.5), 0.5, 1))} A 5.2 5.2 0 1 1 ${pair(at(65.3, 12.7))} A 2.8 2.8 0 0 1 ${pair(at(70.9, 12.7))}`,
        ),
      },
      { id: 'shaft', guide: lineGuide(line(at(-6, -55.5), at(14, -55.5))), change: own('bark', 6) },
      { id: 'branch', guide: lineGuide(smooth([at(20, 81.5), at(40, 72.5), at(57, 58), at(68.5, 41.5), at(75, 23)])), change: own('bark', 6) },
    ],
    parameters: { L: 5 },
    marks: 'guide-only',
    materials: main('wind', 6),
    free: ['colour', 'marks'],
  },
  {
    id: 'blue',
    name: 'Rainbow, blue row',
    stitch: 'split-stitch',
    places: rainbow('blue', [70.95, 70.1]),
    parameters: { L: 4.5 },
    materials: main('rain', 6),
  },
  {
    id: 'crystal',
    name: 'Snow crystal',
    stitch: 'back-stitch',
    places: [{ id: 'spine', guide: lineGuide(line(at(0, 68.5), at(0, 55.2))), copies: { kind: 'round', centre: at(0, 70), count: 6 } }],
    parameters: { L: 3.4 },
    materials: main('rain', 6),
  },
  {
    id: 'disc',
    name: 'Disc of the sun',
    stitch: 'whipped-wheel',
    places: [{ id: 'disc-ring', guide: { kind: 'ring', at: at(...SUN), radiusMm: 7.4 } }],
    parameters: { S: 12 },
    materials: main('madder-5'),
  },
  {
    id: 'ray',
    name: 'Ray of the sun',
    stitch: 'satin-stitch',
    places: [
      { id: 'ray-leaf', guide: leaf(sunAt(8.4, 0), sunAt(19, 0), 6, 0.42), copies: { kind: 'round', centre: at(...SUN), count: 8 } },
      { id: 'pointer', guide: leaf(polar(6.5, 50), polar(36, 50), 7, 0.35), change: own('madder', 2) },
      { id: 'tail', guide: leaf(polar(6.5, 230), polar(25, 230), 6, 0.6), change: own('madder', 2) },
      {
        id: 'head',
        guide: { kind: 'shape', path: `${line(at(11, -59.6), at(22, -55.5), at(11, -51.4))} Z`, directions: [line(at(14, -58), at(14, -53))] },
        change: own('madder', 2),
      },
      {
        id: 'ball',
        guide: { kind: 'shape', path: circle(at(0, -62.6), 2.4), directions: [line(at(0, -65), at(0, -60.2))] },
        change: own('brass', 2),
      },
    ],
    marks: 'guide-only',
    materials: main('sun', 2),
  },
  {
    id: 'feather',
    name: 'Feather of the vane',
    stitch: 'fishbone-stitch',
    places: [
      {
        id: 'feather-leaf',
        guide: { ...leaf(at(-4, -55.5), at(-23, -55.5), 9, 0.55), directions: undefined, vein: line(at(-4, -55.5), at(-23, -55.5)) } as Guide,
      },
    ],
    marks: 'guide-only',
    materials: main('madder', 2),
  },
  cloudPart('cloud-dark', 'Cloud, its dark foot', darkPart, 'night'),
  cloudPart('cloud-middle', 'Cloud, its middle', middlePart, 'rain'),
  cloudPart('cloud-light', 'Cloud, its light', lightPart, 'haze'),
  {
    id: 'edge',
    name: 'Edge of the cloud',
    stitch: 'split-stitch',
    places: [
      {
        id: 'cloud-edge',
        guide: lineGuide(
          `M ${pair(at(-64.5, -28.8))} A 6.4 6.4 0 0 1 ${pair(at(-68.2, -40.2))} A 8.2 8.2 0 0 1 ${pair(at(-55.8, -51))} A 10.6 10.6 0 0 1 ${pair(at(-37, -50.4))} A 7.8 7.8 0 0 1 ${pair(at(-27.9, -39.4))} A 6.2 6.2 0 0 1 ${pair(at(-31, -28.8))} Z`,
        ),
      },
    ],
    parameters: { L: 3.6 },
    marks: 'guide-only',
    materials: main('night', 5),
  },
  {
    id: 'window',
    name: 'Window frost',
    stitch: 'sorbello-stitch',
    places: [square('pane-1', -44.5, 53.5), square('pane-2', -44.5, 58.5), square('pane-3', -44.5, 63.5)],
    materials: main('haze', 5),
  },
  {
    id: 'catkins',
    name: 'Willow catkins',
    stitch: 'woven-picot',
    places: [
      catkin(0, 31, 77.3, 15, -6),
      catkin(1, 43.5, 70.4, 15.5, -10),
      catkin(2, 55, 60.3, 15.5, -14),
      catkin(3, 64, 48.8, 15, -18),
      catkin(4, 71, 36, 14, -22),
    ],
    parameters: { G: 2.1 },
    materials: main('catkin-5'),
  },
]
