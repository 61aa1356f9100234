/** What has a width: bands, leaves, petals, free shapes, boxes. */
import type { Guide } from '../guide/index.ts'
import { box, leaf, petal } from './outlines.ts'
import { ends, length, timesDragged, type Written } from './tool.ts'
import { arcsThrough, cornered, freehand, smoothThrough } from './ways.ts'

const shape = (path: string | null): Guide | null => (path === null ? null : { kind: 'shape', path })

export const SHAPE_TOOLS: readonly Written[] = [
  {
    id: 'band',
    name: 'Band',
    kind: 'band',
    taking: 'presses',
    how: 'Press along its middle, and twice where it ends.',
    asks: 'From, to',
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
    asks: 'Stalk, tip',
    figures: [length('width', 'Wide', 8, 1, 120), { id: 'widest', name: 'Widest at', kind: 'share', usual: 0.45, min: 0.1, max: 0.9 }],
    places: 2,
    least: 2,
    suggest: timesDragged('width', 0.34, 1),
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
    asks: 'Base, tip',
    figures: [length('width', 'Wide', 8, 1, 120)],
    places: 2,
    least: 2,
    suggest: timesDragged('width', 0.6, 1),
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
    asks: 'Corners',
    figures: [length('off', 'Smoothed by', 0.6, 0.05, 5)],
    places: null,
    least: 3,
    make: (places) => shape(cornered(places, true)),
    byHand: (stroke, { off = 0.6 }) => shape(freehand(stroke, off, true)),
  },
  {
    id: 'lobes',
    name: 'Lobes',
    kind: 'shape',
    taking: 'presses',
    how: 'A cloud, a scalloped edge: press where it begins; then, for each lobe, where it passes and where it ends. Its foot is straight.',
    asks: 'From, through, to',
    figures: [],
    places: null,
    least: 3,
    make: (places) => shape(arcsThrough(places, true)),
  },
  {
    id: 'box',
    name: 'Box',
    kind: 'shape',
    taking: 'drag',
    how: 'Drag from corner to corner.',
    asks: 'Corners',
    figures: [],
    places: 2,
    least: 2,
    make: (places) => {
      const both = ends(places)
      return both && box(both[0], both[1])
    },
  },
]
