/** Weather Diary, the dial: rim and scale, a weather in each of its sectors, the hub. */
import { type At, drawnAbout, pair } from './paths.ts'
import { lineGuide, main, type Motif, own, type Place } from './motif.ts'

export const CENTRE: At = [150, 150]
const { at, polar, line, arc, circle } = drawnAbout(CENTRE)
export const SUN: At = [50, -44]

export const sunAt = (radius: number, degrees: number): At =>
  at(SUN[0] + radius * Math.sin((degrees * Math.PI) / 180), SUN[1] - radius * Math.cos((degrees * Math.PI) / 180))

/** A row of the rainbow: from under the cloud to where it meets the sun's circle. */
export const rainbow = (id: string, radii: readonly number[]): readonly Place[] =>
  radii.map((radius, index) => ({ id: `${id}-${index + 1}`, guide: lineGuide(arc(radius, -49, 36 - (4 * (77.8 - radius)) / 9.95)) }))

export const DIAL: readonly Motif[] = [
  {
    id: 'fog',
    name: 'Fog',
    stitch: 'seed-stitch',
    places: [
      {
        id: 'fog-part',
        guide: {
          kind: 'shape',
          path: `M ${pair(polar(35, -7))} A 35 35 0 0 1 ${pair(polar(35, 40))} L ${pair(polar(13, 32))} A 13 13 0 0 0 ${pair(polar(13, -2))} Z`,
        },
      },
    ],
    parameters: { L: 2.4, A: 2.5 },
    materials: main('slate', 4),
  },
  {
    id: 'clear',
    name: 'Clear night',
    stitch: 'star-eyelet',
    places: [{ id: 'star', guide: { kind: 'ring', at: polar(23, 82), radiusMm: 6.2 } }],
    materials: main('brass', 4),
  },
  {
    id: 'sector',
    name: 'Sector line',
    stitch: 'back-stitch',
    places: [110, 170, 290, 350].map((degrees) => ({ id: `sector-${degrees}`, guide: lineGuide(line(polar(8.5, degrees), polar(36.4, degrees))) })),
    parameters: { L: 3.5 },
    materials: main('night-5'),
  },
  {
    id: 'rim',
    name: 'Rim of the dial',
    stitch: 'whipped-back',
    places: [{ id: 'rim-circle', guide: lineGuide(circle(at(0, 0), 46.4)) }],
    parameters: { L: 4 },
    materials: { ...main('night-5'), whipping: { thread: 'night-5' } },
  },
  {
    id: 'green',
    name: 'Rainbow, green row',
    stitch: 'couching-stitch',
    places: [
      ...rainbow('green', [73.3, 72.4]),
      {
        id: 'inner-ring',
        guide: lineGuide(circle(at(0, 0), 37.6)),
        change: {
          materials: { main: { thread: 'brass', strands: 6 }, tie: { thread: 'madder', strands: 2 } },
          parameters: { P: 3.94 },
        },
      },
    ],
    parameters: { P: 4 },
    materials: { ...main('willow', 6), tie: { thread: 'night', strands: 2 } },
  },
  {
    id: 'drizzle',
    name: 'Drizzle',
    stitch: 'detached-chain',
    places: [
      {
        id: 'drops',
        guide: {
          kind: 'spots',
          at: [polar(16, 262), polar(23, 248), polar(23, 276), polar(31.5, 242), polar(31.5, 256), polar(31.5, 270), polar(31.5, 283)],
          turnRad: Math.PI / 2,
        },
      },
    ],
    parameters: { L: 5 },
    materials: main('rain', 5),
  },
  {
    id: 'lightning',
    name: 'Lightning',
    stitch: 'chain-stitch',
    places: [
      {
        id: 'bolt',
        guide: lineGuide(
          zigzag(polar(35.4, 335), [
            [14.4, 210],
            [10.8, 86],
            [11.4, 210],
          ]),
        ),
      },
    ],
    parameters: { L: 3.6 },
    materials: main('sun', 6),
  },
  {
    id: 'scale',
    name: 'Scale',
    stitch: 'blanket-stitch',
    // Travelled the other way round, so that its legs point inward.
    places: [{ id: 'scale-circle', guide: lineGuide(circle(at(0, 0), 44.4, false)) }],
    parameters: { L: 3.87, H: 4.2 },
    materials: main('night', 4),
  },
  {
    id: 'frost',
    name: 'Frost',
    stitch: 'fly-stitch',
    places: [
      { id: 'frost-1', guide: { kind: 'band', path: line(polar(35, 140), polar(11, 140)), widthMm: 6.4 } },
      { id: 'frost-2', guide: { kind: 'band', path: line(polar(34.4, 119.5), polar(17, 119.5)), widthMm: 5 } },
      { id: 'frost-3', guide: { kind: 'band', path: line(polar(34.4, 160.5), polar(17, 160.5)), widthMm: 5 } },
      {
        id: 'arms',
        guide: { kind: 'band', path: line(at(0, 55.6), at(0, 66)), widthMm: 7.4 },
        copies: { kind: 'round', centre: at(0, 70), count: 6 },
        change: own('rain', 5, { H: 3.2, T: 1.6, gap: 0.8 }),
      },
    ],
    parameters: { H: 2.6, T: 2.2, gap: 0.2 },
    materials: main('haze', 5),
  },
  {
    id: 'hail',
    name: 'Hail',
    stitch: 'french-knot',
    places: [
      {
        id: 'hail-spots',
        guide: {
          kind: 'spots',
          at: [
            polar(14.5, 200),
            ...[190, 210].map((degrees) => polar(20.5, degrees)),
            ...[185, 200, 215].map((degrees) => polar(27, degrees)),
            ...[181, 193.6, 206.4, 219].map((degrees) => polar(33, degrees)),
          ],
        },
      },
      { id: 'stars', guide: { kind: 'spots', at: [polar(33, 66), polar(33.5, 82), polar(33.5, 99), polar(13, 93)] }, change: own('brass', 6, { wraps: 2 }) },
      {
        id: 'flakes',
        guide: { kind: 'spots', at: [at(0, 70), at(-18.6, 60.5), at(-17.2, 79.6), at(18.4, 61.5), at(17.6, 78.6), at(22.5, 53.5)] },
        change: own('rain', 6, { wraps: 2 }),
      },
      {
        id: 'sparks',
        guide: { kind: 'spots', at: Array.from({ length: 8 }, (_, index) => sunAt(12.6, 22.5 + 45 * index)) },
        change: own('madder-5', 1, { wraps: 2 }),
      },
    ],
    parameters: { wraps: 3 },
    marks: 'every-hole',
    materials: main('plum', 6),
  },
  {
    id: 'whirlwind',
    name: 'Whirlwind',
    stitch: 'woven-wheel',
    places: [{ id: 'hub', guide: { kind: 'ring', at: at(0, 0), radiusMm: 7.2 } }],
    parameters: { S: 7 },
    materials: main('wind-5'),
    over: ['ray'],
  },
]

/** From a place, so far towards each angle in turn. */
function zigzag(from: At, legs: readonly (readonly [number, number])[]): string {
  const points: At[] = [from]
  for (const [long, degrees] of legs) {
    const [x, y] = points.at(-1) as At
    points.push([x + long * Math.sin((degrees * Math.PI) / 180), y - long * Math.cos((degrees * Math.PI) / 180)])
  }
  return line(...points)
}
