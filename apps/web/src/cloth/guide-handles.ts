/** The places by which a guide is taken hold of, and what moving one makes of the guide. */
import { unreachable } from '@lemmata/core/base'
import { type Point, parsePath, placeAt } from '@lemmata/core/geometry'
import { boxOf, dragEnd, moveGuide } from '@lemmata/core/guide'
import type { Guide } from '@lemmata/core/sampler'

export interface Handle {
  readonly id: string
  readonly name: string
  readonly at: Point
}

export function handlesOf(guide: Guide): readonly Handle[] {
  switch (guide.kind) {
    case 'line':
    case 'band': {
      if (guide.path === undefined) return []
      const path = parsePath(guide.path)
      if (!path.ok) return []
      const middle = placeAt(path.value, path.value.length / 2).at
      if (path.value.closed) return [{ id: 'whole', name: 'the whole guide', at: middle }]
      return [
        { id: 'start', name: 'its start', at: placeAt(path.value, 0).at },
        { id: 'end', name: 'its end', at: placeAt(path.value, path.value.length, true).at },
        { id: 'whole', name: 'the whole guide', at: middle },
      ]
    }
    case 'shape': {
      const path = parsePath(guide.path)
      const box = path.ok ? boxOf(path.value.points) : null
      return box ? [{ id: 'whole', name: 'the whole shape', at: { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 } }] : []
    }
    case 'spot':
      return [{ id: 'spot-0', name: 'the spot', at: { x: guide.at[0], y: guide.at[1] } }]
    case 'spots':
      return guide.at.map(([x, y], index) => ({ id: `spot-${index}`, name: `spot ${index + 1}`, at: { x, y } }))
    case 'ring':
    case 'square':
      return [{ id: 'whole', name: 'the whole guide', at: { x: guide.at[0], y: guide.at[1] } }]
    case 'grid':
      return [
        { id: 'whole', name: 'the whole grid', at: { x: guide.at[0] + (guide.columns * guide.cellMm) / 2, y: guide.at[1] + (guide.rows * guide.cellMm) / 2 } },
      ]
    case 'pins':
      return [
        { id: 'whole', name: 'the base, and all with it', at: { x: guide.base[0], y: guide.base[1] } },
        ...guide.pins.map(([x, y], index) => ({ id: `pin-${index}`, name: `pin ${index + 1}`, at: { x, y } })),
      ]
    default:
      return unreachable(guide)
  }
}

/** A tenth of a millimetre: as fine as a hand can mean it. */
const tidy = (value: number): number => Math.round(value * 10) / 10

export function moveHandle(guide: Guide, handle: Handle, to: Point): Guide {
  const at = { x: tidy(to.x), y: tidy(to.y) }
  if (handle.id === 'start' || handle.id === 'end') return dragEnd(guide, handle.id, at)
  if (handle.id === 'whole') return moveGuide(guide, { x: tidy(to.x - handle.at.x), y: tidy(to.y - handle.at.y) })
  const index = Number(handle.id.replace(/^(spot|pin)-/, ''))
  if (guide.kind === 'pins') return { ...guide, pins: guide.pins.map((pin, place) => (place === index ? ([at.x, at.y] as const) : pin)) }
  if (guide.kind === 'spot') return { ...guide, at: [at.x, at.y] }
  if (guide.kind === 'spots') return { ...guide, at: guide.at.map((spot, place) => (place === index ? ([at.x, at.y] as const) : spot)) }
  return guide
}
