/** Places: spots in rows and scattered, rings, squares, grids, pins. */
import { lerp, scatterSpots } from '../geometry/index.ts'
import { hundredths } from '../guide/index.ts'
import { apart, count, ends, length, pairOf, timesDragged, type Written } from './tool.ts'
import { onDial } from './ways.ts'

/** More are not worked by hand. */
const MOST_SCATTERED = 2000

export const SPOT_TOOLS: readonly Written[] = [
  {
    id: 'spots',
    name: 'Spots',
    kind: 'spots',
    taking: 'presses',
    how: 'Press at each spot, and twice at the last.',
    asks: 'Spots',
    figures: [],
    places: null,
    least: 1,
    make: (places) => (places.length > 0 ? { kind: 'spots', at: places.map(pairOf) } : null),
  },
  {
    id: 'row',
    name: 'Row of spots',
    kind: 'spots',
    taking: 'drag',
    how: 'Drag from the first spot to the last.',
    asks: 'First, last',
    figures: [count('count', 'Spots', 5, 2, 400)],
    places: 2,
    least: 2,
    make: (places, { count: spots = 5 }) => {
      const both = ends(places)
      const last = Math.max(1, Math.round(spots) - 1)
      return both && apart(both[0], both[1]) > 0.1
        ? { kind: 'spots', at: Array.from({ length: last + 1 }, (_, index) => pairOf(lerp(both[0], both[1], index / last))) }
        : null
    },
  },
  {
    id: 'scatter',
    name: 'Scattered spots',
    kind: 'spots',
    taking: 'drag',
    how: 'Drag from the middle to the edge of where they lie.',
    asks: 'Middle',
    figures: [length('across', 'Across', 30, 2, 400), length('apart', 'Apart', 4, 0.8, 60)],
    places: 2,
    least: 1,
    read: timesDragged('across', 2, 2),
    make: ([middle], { across = 30, apart: room = 4 }) => {
      if (!middle) return null
      const edge = Array.from({ length: 72 }, (_, index) => onDial(middle, across / 2, 5 * index))
      const spots = scatterSpots([edge], room)
      return spots.length > 0 && spots.length <= MOST_SCATTERED ? { kind: 'spots', at: spots.map(pairOf) } : null
    },
  },
  {
    id: 'ring',
    name: 'Ring of spokes',
    kind: 'ring',
    taking: 'drag',
    how: 'Drag from its middle to its edge.',
    asks: 'Middle',
    figures: [length('across', 'Across', 16, 2, 200)],
    places: 2,
    least: 1,
    read: timesDragged('across', 2, 2),
    make: ([middle], { across = 16 }) => (middle ? { kind: 'ring', at: pairOf(middle), radiusMm: hundredths(across / 2) } : null),
  },
  {
    id: 'squares',
    name: 'Squares',
    kind: 'square',
    taking: 'drag',
    how: 'Drag from the middle of the first to its edge.',
    asks: 'Middle of the first',
    figures: [length('side', 'Side', 8, 1, 80), count('repeat', 'How many', 1, 1, 60)],
    places: 2,
    least: 1,
    read: timesDragged('side', 2, 1),
    make: ([middle], { side = 8, repeat = 1 }) => (middle ? { kind: 'square', at: pairOf(middle), sideMm: side, ...(repeat > 1 ? { repeat } : {}) } : null),
  },
  {
    id: 'grid',
    name: 'Grid',
    kind: 'grid',
    taking: 'drag',
    how: 'Drag from corner to corner.',
    asks: 'Corners',
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
    asks: 'Base; pins',
    figures: [],
    places: null,
    least: 2,
    make: ([base, ...pins]) => (base && pins.length > 0 ? { kind: 'pins', base: pairOf(base), pins: pins.map(pairOf) } : null),
  },
]
