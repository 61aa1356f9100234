/** Lines: straight, curved, waved, round, in rays, as letters. */
import { LETTER_STITCHES, lengthOfWords, strokesOfWords, usualLettering } from './letters.ts'
import { angle, apart, count, ends, length, line, tenths, timesDragged, type Written } from './tool.ts'
import {
  arc,
  arcAbout,
  arcsThrough,
  circle,
  cornered,
  dialOf,
  freehand,
  onDial,
  oval,
  riseThrough,
  smoothThrough,
  spiral,
  wave,
  waveAbout,
  zigzag,
} from './ways.ts'
import type { Point } from '../geometry/index.ts'
import { hundredths } from '../guide/index.ts'

/** Pressed about a middle: how far out, and from where to where on its dial. */
const roundDial = ([middle, from, to]: readonly Point[]): Readonly<Record<string, number>> => ({
  ...(middle && from && apart(middle, from) > 0.1 ? { radius: hundredths(apart(middle, from)), from: tenths(dialOf(middle, from)) } : {}),
  ...(middle && to && apart(middle, to) > 0.1 ? { to: tenths(dialOf(middle, to)) } : {}),
})

export const LINE_TOOLS: readonly Written[] = [
  {
    id: 'line',
    name: 'Line',
    kind: 'line',
    taking: 'presses',
    how: 'Press where it begins, at each corner, and twice where it ends.',
    asks: 'From, to',
    figures: [],
    places: null,
    least: 2,
    make: (places) => line(cornered(places)),
  },
  {
    id: 'curve',
    name: 'Curve',
    kind: 'line',
    taking: 'freehand',
    how: 'Draw it; it is smoothed when you let go. Or press from place to place.',
    asks: 'From, to',
    figures: [length('off', 'Smoothed by', 0.6, 0.05, 5)],
    places: null,
    least: 2,
    make: (places) => line(smoothThrough(places)),
    byHand: (stroke, { off = 0.6 }) => line(freehand(stroke, off)),
  },
  {
    id: 'arc',
    name: 'Arc',
    kind: 'line',
    taking: 'presses',
    how: 'Press both ends, then where it passes.',
    asks: 'From, to',
    figures: [length('rise', 'Rises by', 8, -200, 200)],
    places: 3,
    least: 2,
    read: (places): Readonly<Record<string, number>> => {
      const [from, to, through] = places
      return from && to && through && apart(from, to) > 0.1 ? { rise: hundredths(riseThrough(from, to, through)) } : {}
    },
    make: (places, { rise = 8 }) => {
      const both = ends(places)
      return both && line(arc(both[0], both[1], rise))
    },
  },
  {
    id: 'arcs',
    name: 'Arcs',
    kind: 'line',
    taking: 'presses',
    how: 'Press where it begins; then, for each arc, where it passes and where it ends. Twice at the last.',
    asks: 'From, through, to',
    figures: [],
    places: null,
    least: 2,
    make: (places) => line(arcsThrough(places)),
  },
  {
    id: 'wave',
    name: 'Wave',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from where it begins to where it ends.',
    asks: 'From, to',
    figures: [count('crests', 'Crests', 3, 1, 60), length('height', 'High', 3, 0.2, 60)],
    places: 2,
    least: 2,
    make: (places, { crests = 3, height = 3 }) => {
      const both = ends(places)
      return both && line(wave(both[0], both[1], crests, height))
    },
  },
  {
    id: 'zigzag',
    name: 'Zigzag',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from where it begins to where it ends.',
    asks: 'From, to',
    figures: [count('legs', 'Legs', 6, 1, 200), length('height', 'High', 5, 0.2, 60)],
    places: 2,
    least: 2,
    make: (places, { legs = 6, height = 5 }) => {
      const both = ends(places)
      return both && line(zigzag(both[0], both[1], legs, height))
    },
  },
  {
    id: 'spiral',
    name: 'Spiral',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from its middle outwards.',
    asks: 'Middle',
    figures: [count('turns', 'Turns', 3, 1, 40), length('pitch', 'Turn to turn', 4, 0.5, 40)],
    places: 2,
    least: 1,
    read: timesDragged('pitch', 1 / 3.5, 0.5),
    make: ([middle], { turns = 3, pitch = 4 }) => (middle ? line(spiral(middle, turns, pitch)) : null),
  },
  {
    id: 'circle',
    name: 'Circle',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from its middle to its edge, or draw round a coin: type its diameter.',
    asks: 'Middle',
    figures: [length('across', 'Across', 20, 1, 500)],
    places: 2,
    least: 1,
    read: timesDragged('across', 2, 1),
    make: ([middle], { across = 20 }) => (middle ? line(circle(middle, across / 2)) : null),
  },
  {
    id: 'oval',
    name: 'Oval',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from corner to corner of the box that it fills.',
    asks: 'Corners',
    figures: [],
    places: 2,
    least: 2,
    make: (places) => {
      const both = ends(places)
      return both && line(oval(both[0], both[1]))
    },
  },
  {
    id: 'dial-arc',
    name: 'Part of a circle',
    kind: 'line',
    taking: 'presses',
    how: 'Press its middle, then where it begins and where it ends; it goes clockwise.',
    asks: 'Middle',
    figures: [length('radius', 'Radius', 20, 0.5, 400), angle('from', 'From', 0), angle('to', 'To', 90)],
    places: 3,
    least: 1,
    read: roundDial,
    make: ([middle], { radius = 20, from = 0, to = 90 }) => (middle ? line(arcAbout(middle, radius, from, to)) : null),
  },
  {
    id: 'dial-wave',
    name: 'Wave round a circle',
    kind: 'line',
    taking: 'presses',
    how: 'Press its middle, then where it begins and where it ends; it goes clockwise, and all round where both are one.',
    asks: 'Middle',
    figures: [
      length('radius', 'Radius', 20, 0.5, 400),
      angle('from', 'From', 0),
      angle('to', 'To', 90),
      count('crests', 'Crests', 4, 0.25, 60),
      length('height', 'High', 2, 0.2, 60),
    ],
    places: 3,
    least: 1,
    read: roundDial,
    make: ([middle], { radius = 20, from = 0, to = 90, crests = 4, height = 2 }) => (middle ? line(waveAbout(middle, radius, from, to, crests, height)) : null),
  },
  {
    id: 'rays',
    name: 'Rays',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from the middle to the end of the first.',
    asks: 'Middle',
    figures: [
      count('count', 'Rays', 8, 1, 120),
      length('inner', 'Begin at', 4, 0, 200),
      length('outer', 'End at', 16, 0.5, 300),
      angle('first', 'First at', 0),
    ],
    places: 2,
    least: 1,
    read: ([middle, end]): Readonly<Record<string, number>> =>
      middle && end && apart(middle, end) > 0.5 ? { outer: hundredths(apart(middle, end)), first: tenths(dialOf(middle, end)) } : {},
    make: ([middle], { count: rays = 8, inner = 4, outer = 16, first = 0 }) =>
      middle && outer - inner > 0.1
        ? Array.from({ length: Math.round(rays) }, (_, index) => first + (360 * index) / Math.round(rays)).flatMap(
            (degrees) => line(cornered([onDial(middle, inner, degrees), onDial(middle, outer, degrees)])) ?? [],
          )
        : null,
  },
  {
    id: 'word',
    name: 'Letters',
    kind: 'line',
    taking: 'drag',
    words: 'A name, a month',
    goodFor: 'lettering',
    stitchMm: ({ height = 8.4 }) => height / LETTER_STITCHES,
    how: 'Type it, then press where its foot begins; or drag a line for it to stand on, in the middle.',
    asks: 'Foot begins at',
    figures: [length('height', 'High', 8.4, 2, 80)],
    places: 2,
    least: 1,
    make: ([from, to], { height = 8.4 }, words = '') => {
      if (!from) return null
      const lettering = usualLettering(height / LETTER_STITCHES)
      const turn = to && apart(from, to) > 0.5 ? Math.atan2(to.y - from.y, to.x - from.x) : 0
      const before = to ? Math.max(0, (apart(from, to) - lengthOfWords(words, lettering)) / 2) : 0
      // From the foot of the first letter to its upper left.
      const start = {
        x: from.x + before * Math.cos(turn) + height * Math.sin(turn),
        y: from.y + before * Math.sin(turn) - height * Math.cos(turn),
      }
      return strokesOfWords(words, start, lettering, turn).flatMap((path) => line(path) ?? [])
    },
  },
]
