/**
 * What can be drawn on the cloth: each tool takes places (pressed, dragged or typed) and a few figures, and gives a guide. By
 * hand and by keyboard it is the same tool with the same figures.
 */
import type { Guide, GuideKind } from '../guide/index.ts'
import type { Point } from '../geometry/index.ts'
import { box, leaf, petal } from './outlines.ts'
import { hundredths } from '../guide/index.ts'
import { arc, circle, cornered, freehand, riseThrough, smoothThrough, spiral, wave, zigzag } from './ways.ts'

/** How places are given: from one to another by a drag; one after another by presses; as the hand goes. */
export type Taking = 'drag' | 'presses' | 'freehand'

export interface ToolFigure {
  readonly id: string
  readonly name: string
  readonly kind: 'length' | 'count' | 'share'
  readonly usual: number
  readonly min: number
  readonly max: number
}

export interface DrawTool {
  readonly id: string
  readonly name: string
  readonly kind: GuideKind
  readonly taking: Taking
  /** What to do, in one sentence. */
  readonly how: string
  readonly figures: readonly ToolFigure[]
  /** At most so many places; null where as many as one likes. */
  readonly places: number | null
  readonly least: number
  /** Null while it is not yet anything. */
  readonly make: (places: readonly Point[], figures: Readonly<Record<string, number>>) => Guide | null
  /** Figures that the places tell, where the hand has given more than the tool needs. */
  readonly read?: (places: readonly Point[]) => Readonly<Record<string, number>>
}

const length = (id: string, name: string, usual: number, min = 0.5, max = 400): ToolFigure => ({ id, name, kind: 'length', usual, min, max })
const count = (id: string, name: string, usual: number, min = 1, max = 200): ToolFigure => ({ id, name, kind: 'count', usual, min, max })
const line = (path: string | null): Guide | null => (path === null ? null : { kind: 'line', path })
const ends = (places: readonly Point[]): readonly [Point, Point] | null => (places.length >= 2 ? [places[0] as Point, places[1] as Point] : null)
const apart = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y)
const pairOf = ({ x, y }: Point): readonly [number, number] => [hundredths(x), hundredths(y)]

export const DRAW_TOOLS: readonly DrawTool[] = [
  {
    id: 'line',
    name: 'Line',
    kind: 'line',
    taking: 'presses',
    how: 'Press where it begins, at each corner, and twice where it ends.',
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
    figures: [length('off', 'Smoothed by', 0.6, 0.05, 5)],
    places: null,
    least: 2,
    make: (places, { off = 0.6 }) => line(places.length > 12 ? freehand(places, off) : smoothThrough(places)),
  },
  {
    id: 'arc',
    name: 'Arc',
    kind: 'line',
    taking: 'presses',
    how: 'Press both ends, then where it passes.',
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
    id: 'wave',
    name: 'Wave',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from where it begins to where it ends.',
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
    figures: [count('turns', 'Turns', 3, 1, 40), length('pitch', 'Turn to turn', 4, 0.5, 40)],
    places: 2,
    least: 1,
    read: (places): Readonly<Record<string, number>> => {
      const both = ends(places)
      return both ? { pitch: Math.max(0.5, hundredths(apart(both[0], both[1]) / 3.5)) } : {}
    },
    make: ([middle], { turns = 3, pitch = 4 }) => (middle ? line(spiral(middle, turns, pitch)) : null),
  },
  {
    id: 'circle',
    name: 'Circle',
    kind: 'line',
    taking: 'drag',
    how: 'Drag from its middle to its edge, or draw round a coin: type its diameter.',
    figures: [length('across', 'Across', 20, 1, 500)],
    places: 2,
    least: 1,
    read: (places): Readonly<Record<string, number>> => {
      const both = ends(places)
      return both ? { across: Math.max(1, hundredths(2 * apart(both[0], both[1]))) } : {}
    },
    make: ([middle], { across = 20 }) => (middle ? line(circle(middle, across / 2)) : null),
  },
  {
    id: 'band',
    name: 'Band',
    kind: 'band',
    taking: 'presses',
    how: 'Press along its middle, and twice where it ends.',
    figures: [length('width', 'Wide', 6, 0.8, 60)],
    places: null,
    least: 2,
    make: (places, { width = 6 }) => {
      const path = places.length > 2 ? smoothThrough(places) : cornered(places)
      return path === null ? null : { kind: 'band', path, widthMm: width }
    },
  },
  {
    id: 'leaf',
    name: 'Leaf',
    kind: 'shape',
    taking: 'drag',
    how: 'Drag from its stalk to its tip.',
    figures: [length('width', 'Wide', 8, 1, 120), { id: 'widest', name: 'Widest at', kind: 'share', usual: 0.45, min: 0.1, max: 0.9 }],
    places: 2,
    least: 2,
    read: (places): Readonly<Record<string, number>> => {
      const both = ends(places)
      return both ? { width: Math.max(1, hundredths(0.34 * apart(both[0], both[1]))) } : {}
    },
    make: (places, { width = 8, widest = 0.45 }) => {
      const both = ends(places)
      return both && leaf(both[0], both[1], width, widest)
    },
  },
  {
    id: 'petal',
    name: 'Petal',
    kind: 'shape',
    taking: 'drag',
    how: 'Drag from where it grows to where it ends.',
    figures: [length('width', 'Wide', 8, 1, 120)],
    places: 2,
    least: 2,
    read: (places): Readonly<Record<string, number>> => {
      const both = ends(places)
      return both ? { width: Math.max(1, hundredths(0.6 * apart(both[0], both[1]))) } : {}
    },
    make: (places, { width = 8 }) => {
      const both = ends(places)
      return both && petal(both[0], both[1], width)
    },
  },
  {
    id: 'shape',
    name: 'Free shape',
    kind: 'shape',
    taking: 'freehand',
    how: 'Draw round it; it closes when you let go. Or press from corner to corner.',
    figures: [length('off', 'Smoothed by', 0.6, 0.05, 5)],
    places: null,
    least: 3,
    make: (places, { off = 0.6 }) => {
      const path = places.length > 12 ? freehand(places, off, true) : cornered(places, true)
      return path === null ? null : { kind: 'shape', path }
    },
  },
  {
    id: 'box',
    name: 'Box',
    kind: 'shape',
    taking: 'drag',
    how: 'Drag from corner to corner.',
    figures: [],
    places: 2,
    least: 2,
    make: (places) => {
      const both = ends(places)
      return both && box(both[0], both[1])
    },
  },
  {
    id: 'spots',
    name: 'Spots',
    kind: 'spots',
    taking: 'presses',
    how: 'Press at each spot, and twice at the last.',
    figures: [],
    places: null,
    least: 1,
    make: (places) => (places.length > 0 ? { kind: 'spots', at: places.map(pairOf) } : null),
  },
  {
    id: 'ring',
    name: 'Ring of spokes',
    kind: 'ring',
    taking: 'drag',
    how: 'Drag from its middle to its edge.',
    figures: [length('across', 'Across', 16, 2, 200)],
    places: 2,
    least: 1,
    read: (places): Readonly<Record<string, number>> => {
      const both = ends(places)
      return both ? { across: Math.max(2, hundredths(2 * apart(both[0], both[1]))) } : {}
    },
    make: ([middle], { across = 16 }) => (middle ? { kind: 'ring', at: pairOf(middle), radiusMm: hundredths(across / 2) } : null),
  },
  {
    id: 'squares',
    name: 'Squares',
    kind: 'square',
    taking: 'drag',
    how: 'Drag from the middle of the first to its edge.',
    figures: [length('side', 'Side', 8, 1, 80), count('repeat', 'How many', 1, 1, 60)],
    places: 2,
    least: 1,
    read: (places): Readonly<Record<string, number>> => {
      const both = ends(places)
      return both ? { side: Math.max(1, hundredths(2 * apart(both[0], both[1]))) } : {}
    },
    make: ([middle], { side = 8, repeat = 1 }) => (middle ? { kind: 'square', at: pairOf(middle), sideMm: side, ...(repeat > 1 ? { repeat } : {}) } : null),
  },
  {
    id: 'grid',
    name: 'Grid',
    kind: 'grid',
    taking: 'drag',
    how: 'Drag from corner to corner.',
    figures: [length('cell', 'Square', 3, 0.5, 30)],
    places: 2,
    least: 2,
    make: (places, { cell = 3 }) => {
      const both = ends(places)
      if (!both) return null
      const [left, top] = [Math.min(both[0].x, both[1].x), Math.min(both[0].y, both[1].y)]
      const many = (size: number): number => Math.min(200, Math.max(1, Math.round(Math.abs(size) / cell)))
      return { kind: 'grid', at: pairOf({ x: left, y: top }), columns: many(both[1].x - both[0].x), rows: many(both[1].y - both[0].y), cellMm: cell }
    },
  },
  {
    id: 'pins',
    name: 'Pins',
    kind: 'pins',
    taking: 'presses',
    how: 'Press at the base, then at each pin, twice at the last.',
    figures: [],
    places: null,
    least: 2,
    make: ([base, ...pins]) => (base && pins.length > 0 ? { kind: 'pins', base: pairOf(base), pins: pins.map(pairOf) } : null),
  },
]

/** Draws nothing: it says how far, and in which direction. */
export const MEASURE: DrawTool = {
  id: 'measure',
  name: 'Measure',
  kind: 'line',
  taking: 'drag',
  how: 'Drag from one place to another; ends and bends of guides are met exactly.',
  figures: [],
  places: 2,
  least: 2,
  make: (places) => line(cornered(places)),
}

export interface Measured {
  readonly lengthMm: number
  /** Anticlockwise from the right, as one reads it off the cloth; -180 to 180. */
  readonly degrees: number
  /** To the right and down. */
  readonly across: number
  readonly down: number
}

export function measureBetween(from: Point, to: Point): Measured {
  const [across, down] = [to.x - from.x, to.y - from.y]
  return { lengthMm: Math.hypot(across, down), degrees: Math.round((Math.atan2(from.y - to.y, across) * 1800) / Math.PI) / 10 + 0, across, down }
}

export function usualFigures(tool: DrawTool): Readonly<Record<string, number>> {
  return Object.fromEntries(tool.figures.map((one) => [one.id, one.usual]))
}
