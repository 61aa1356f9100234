/** Whether two drawings lie in the same places: every place of each within so much of the other. */
import type { parsePath } from '@lemmata/core/geometry'
import { type Point, placeAt } from '@lemmata/core/geometry'
import { type Guide, readGuide, transformGuide } from '@lemmata/core/guide'
import { type DrawnGuide, type GuideDrawing, matricesFor } from '@lemmata/core/sampler'

/** Of all these guides with their copies, a few a millimetre. */
export function placesOf(guides: readonly DrawnGuide[], drawing: GuideDrawing): readonly Point[] {
  return guides.flatMap((drawn) => matricesFor(drawn, drawing).flatMap((matrix) => placesOn(transformGuide(drawn.guide, matrix))))
}

function placesOn(guide: Guide): readonly Point[] {
  const read = readGuide(guide)
  if (!read.ok) throw new Error(`a guide that cannot be read: ${JSON.stringify(guide)}`)
  const one = read.value
  switch (one.kind) {
    case 'line':
      return along(one.path)
    case 'shape':
      return along(one.outline)
    case 'spots':
      return one.at
    case 'grid':
      return [0, one.columns].flatMap((column) => [0, one.rows].map((row) => ({ x: one.at.x + column * one.cellMm, y: one.at.y + row * one.cellMm })))
    case 'pins':
      return [one.base, ...one.pins]
  }
}

type Path = Extract<ReturnType<typeof parsePath>, { readonly ok: true }>['value']

function along(path: Path): readonly Point[] {
  const steps = Math.max(2, Math.ceil(path.length * 6))
  return Array.from({ length: steps + 1 }, (_, index) => placeAt(path, (path.length * index) / steps).at)
}

/** The farthest that any place of one lies from the other, mm. */
export function apartMm(one: readonly Point[], other: readonly Point[]): number {
  const from = (places: readonly Point[], to: readonly Point[]): number =>
    Math.max(...places.map((place) => Math.min(...to.map((there) => Math.hypot(place.x - there.x, place.y - there.y)))))
  if (one.length === 0 || other.length === 0) return Number.POSITIVE_INFINITY
  return Math.max(from(one, other), from(other, one))
}
