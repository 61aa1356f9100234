/** A stretch of thread drawn as thread: shadow, edge, body, the twist of its strands and the light on them. */
import { leftOf, type Point, subtract, unit } from '../geometry/index.ts'
import { mix } from '../materials/index.ts'
import type { Segment } from '../work/index.ts'
import { chordOr, every, lengthened, taken } from './along-path.ts'
import type { DrawingItem, Stroke } from './drawing.ts'
import { DARK, type Detail, LIGHT } from './look.ts'

/** A stretch of thread: shadow, edge, body, and its twist or its sheen. */
export function stretch(path: readonly Point[], colour: string, widthMm: number, detail: Detail, segment: Segment): DrawingItem[] {
  if (detail === 'chords')
    return [
      {
        kind: 'stroke',
        paths: [chordOr(path, widthMm / 2)],
        widthMm,
        colour: segment.lie === 'flat' ? mix(colour, DARK, 0.1) : colour,
        cap: 'butt',
      },
    ]
  if (detail === 'body') return [{ kind: 'stroke', paths: [path], widthMm, colour, cap: 'round' }]
  const items: DrawingItem[] = [
    {
      kind: 'stroke',
      paths: [path.map((at) => ({ x: at.x + 0.12 * widthMm, y: at.y + 0.2 * widthMm }))],
      widthMm: 1.2 * widthMm,
      colour: '#2b2118',
      opacity: 0.18,
      cap: 'butt',
    },
    { kind: 'stroke', paths: [path], widthMm, colour: mix(colour, DARK, 0.42), cap: 'butt' },
    { kind: 'stroke', paths: [lengthened(path, 0.03)], widthMm: 0.8 * widthMm, colour, cap: 'butt' },
  ]
  if (detail === 'full') items.push(...twist(path, colour, widthMm))
  else items.push(sheen(path, colour, widthMm))
  items.push(...ends(path, colour, widthMm, segment))
  return items
}

/** A light line towards the lit side, for thread too small to show its twist. */
export function sheen(path: readonly Point[], colour: string, widthMm: number): Stroke {
  return {
    kind: 'stroke',
    paths: [path.map((at) => ({ x: at.x + LIGHT.x * 0.16 * widthMm, y: at.y + LIGHT.y * 0.16 * widthMm }))],
    widthMm: 0.22 * widthMm,
    colour: mix(colour, '#ffffff', 0.34),
    opacity: 0.7,
    cap: 'butt',
  }
}

/** S-shaped strokes across the thread, and a dash of light beside each; the slant is the same whichever way it runs. */
export function twist(path: readonly Point[], colour: string, widthMm: number): Stroke[] {
  const dark: Point[][] = []
  const light: Point[][] = []
  for (const { at, along } of every(path, 0.62 * widthMm)) {
    const across = leftOf(along)
    const place = (a: number, c: number): Point => ({
      x: at.x + along.x * a * widthMm + across.x * c * widthMm,
      y: at.y + along.y * a * widthMm + across.y * c * widthMm,
    })
    dark.push([place(-0.34, -0.36), place(-0.14, -0.12), place(0.14, 0.12), place(0.34, 0.36)])
    // Moved towards the light in proportion to how far the side faces it.
    const towards = (across.x * LIGHT.x + across.y * LIGHT.y) * 0.2
    const middle = { x: at.x + along.x * 0.31 * widthMm + across.x * towards * widthMm, y: at.y + along.y * 0.31 * widthMm + across.y * towards * widthMm }
    light.push([
      { x: middle.x - along.x * 0.2 * widthMm - across.x * 0.07 * widthMm, y: middle.y - along.y * 0.2 * widthMm - across.y * 0.07 * widthMm },
      { x: middle.x + along.x * 0.2 * widthMm + across.x * 0.07 * widthMm, y: middle.y + along.y * 0.2 * widthMm + across.y * 0.07 * widthMm },
    ])
  }
  return [
    { kind: 'stroke', paths: dark, widthMm: 0.11 * widthMm, colour: mix(colour, DARK, 0.3), opacity: 0.75, cap: 'round' },
    { kind: 'stroke', paths: light, widthMm: 0.16 * widthMm, colour: mix(colour, '#ffffff', 0.38), opacity: 0.75, cap: 'round' },
  ]
}

/** The thread darkens where it goes into the cloth; left out where threads pierce each other, or a row line would show; faint where thread lies flat. */
function ends(path: readonly Point[], colour: string, widthMm: number, segment: Segment): Stroke[] {
  if (segment.parted.length > 0 || segment.pierces) return []
  const faint = segment.lie === 'flat' ? 0.6 : 1
  const strokes: Stroke[] = []
  const dark = mix(colour, DARK, 0.8)
  for (const [lengthMm, opacity] of [
    [0.55, 0.18],
    [0.28, 0.4],
  ] as const) {
    strokes.push({
      kind: 'stroke',
      paths: [taken(path, lengthMm * widthMm), taken([...path].reverse(), lengthMm * widthMm)],
      widthMm: 0.8 * widthMm,
      colour: dark,
      opacity: opacity * faint,
      cap: 'butt',
    })
  }
  return strokes
}

/** A lens opens where the needle parted the thread. */
export function lenses(places: readonly Point[], path: readonly Point[], colour: string, widthMm: number): DrawingItem[] {
  const along = unit(subtract(path[path.length - 1] as Point, path[0] as Point)) ?? { x: 1, y: 0 }
  const across = leftOf(along)
  return places.map((at) => {
    const put = (a: number, c: number): Point => ({
      x: at.x + along.x * a * widthMm + across.x * c * widthMm,
      y: at.y + along.y * a * widthMm + across.y * c * widthMm,
    })
    return {
      kind: 'fill',
      points: [put(-0.75, 0), put(-0.3, 0.17), put(0.3, 0.17), put(0.75, 0), put(0.3, -0.17), put(-0.3, -0.17)],
      colour: mix(colour, DARK, 0.6),
    }
  })
}
