/** The places that a path goes through, as handles: taken elsewhere, added, taken away, made smooth or sharp. */
import {
  addAnchor,
  type Anchor,
  isSmooth,
  moveAnchor,
  moveCurve,
  type Point,
  readAnchors,
  removeAnchor,
  sharpAnchor,
  smoothAnchor,
  writeAnchors,
} from '../geometry/index.ts'
import { innerPaths, withInner } from './inner-paths.ts'
import type { Guide, Handle } from './types.ts'

/** More places than this and the pins would hide what they hold: a figure, letters, what was brought in. */
const MOST_PLACES = 24

/** Of an open path those between its ends, which have handles of their own; of a closed one all. */
export function pointHandles(data: string): readonly Handle[] {
  return handlesOn(data, 'its', false)
}

/** Of a path within a guide all its places, ends too: each is moved by itself. */
export function innerHandles(guide: Guide): readonly Handle[] {
  return innerPaths(guide).flatMap(({ id, name, path }) =>
    handlesOn(path, `${name}, its`, true).map((handle) => ({
      ...handle,
      id: `${id}/${handle.id}`,
      ...(handle.of === undefined ? {} : { of: `${id}/${handle.of}` }),
    })),
  )
}

/** A place of a path within a guide taken elsewhere; null where the handle is none of these. */
export function reshapeInner<Kind extends Guide>(guide: Kind, handleId: string, to: Point): Kind | null {
  const [id = '', handle] = handleId.split('/')
  const inner = handle === undefined ? undefined : innerPaths(guide).find((one) => one.id === id)
  const path = inner && reshapePath(inner.path, handle as string, to)
  return path ? (withInner(guide, id, path) as Kind) : null
}

/** The path that a handle belongs to: one within the guide, else its own. */
export function innerOf(handleId: string): string | null {
  const at = handleId.indexOf('/')
  return at < 0 ? null : handleId.slice(0, at)
}

function handlesOn(data: string, whose: string, withEnds: boolean): readonly Handle[] {
  const path = readAnchors(data)
  if (!path || path.anchors.length > MOST_PLACES) return []
  const last = path.anchors.length - 1
  return path.anchors.flatMap((anchor, index) => {
    const isEnd = !withEnds && !path.closed && (index === 0 || index === last)
    const atEnd = !path.closed && (index === 0 || index === last)
    const called = atEnd ? (index === 0 ? 'start' : 'end') : `${isCorner(anchor) ? 'corner' : 'bend'} ${index + (path.closed ? 1 : 0)}`
    const own = isEnd ? [] : [{ id: `point-${index}`, name: `${whose} ${called}`, at: anchor.at }]
    const of = isEnd ? (index === 0 ? 'start' : 'end') : `point-${index}`
    const curves = (['before', 'after'] as const).flatMap((side) => {
      const at = anchor[side]
      return at ? [{ id: `${side}-${index}`, name: `the curve ${side} its place ${index + 1}`, at, of }] : []
    })
    return [...own, ...curves]
  })
}

function isCorner(anchor: Anchor): boolean {
  return !isSmooth(anchor)
}

/** Null where the handle is none of these. */
export function reshapePath(data: string, handleId: string, to: Point): string | null {
  const [what = '', which = ''] = handleId.split('-')
  const path = readAnchors(data)
  const index = Number(which)
  if (!path || which === '' || !path.anchors[index]) return null
  if (what === 'point') return writeAnchors(moveAnchor(path, index, to))
  if (what === 'before' || what === 'after') return writeAnchors(moveCurve(path, index, what, to))
  return null
}

/** `within`: the path within the guide that is meant, where it is not the guide's own. */
export type PointEdit =
  | { readonly kind: 'add'; readonly near: Point; readonly within?: string }
  | { readonly kind: 'remove' | 'turn'; readonly handleId: string }

/** `turn`: a corner becomes smooth, and what is smooth a corner. Null where nothing comes of it. */
export function editPath(data: string, edit: PointEdit): string | null {
  const path = readAnchors(data)
  if (!path) return null
  if (edit.kind === 'add') return writeAnchors(addAnchor(path, edit.near).path)
  const index = edit.handleId === 'start' ? 0 : edit.handleId === 'end' ? path.anchors.length - 1 : Number(edit.handleId.replace('point-', ''))
  const anchor = path.anchors[index]
  if (!anchor) return null
  const next = edit.kind === 'remove' ? removeAnchor(path, index) : isCorner(anchor) ? smoothAnchor(path, index) : sharpAnchor(path, index)
  return next === path ? null : writeAnchors(next)
}
