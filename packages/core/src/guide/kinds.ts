/** The kinds of guide: one table, read by everything that must know how a kind is read, carried, held, sized or practised on. */
import type { Result } from '../base/index.ts'
import { type Matrix, moveBy, type Point, UNMOVED } from '../geometry/index.ts'
import type { GuideTools, PracticeTools } from './guide-tools.ts'
import { innerPaths, withInner } from './inner-paths.ts'
import { editPath, innerOf, type PointEdit } from './path-points.ts'

import { band, bandPractice } from './kinds/band.ts'
import { grid, gridPractice } from './kinds/grid.ts'
import { line, linePractice } from './kinds/line.ts'
import { pins, pinsPractice } from './kinds/pins.ts'
import { ring, ringPractice } from './kinds/ring.ts'
import { shape, shapePractice } from './kinds/shape.ts'
import { spot, spots, spotsPractice } from './kinds/spots.ts'
import { square, squarePractice } from './kinds/square.ts'
import type { Guide, GuideKind, GuidePart, GuideSize, Handle, PracticeGuide, PracticeKind, ReadGuide } from './types.ts'

const GUIDES: { readonly [Kind in GuideKind]: GuideTools<Kind> } = { line, band, shape, spot, spots, ring, square, grid, pins }
const PRACTICE: { readonly [Kind in PracticeKind]: PracticeTools<Kind> } = {
  line: linePractice,
  shape: shapePractice,
  spots: spotsPractice,
  band: bandPractice,
  ring: ringPractice,
  square: squarePractice,
  grid: gridPractice,
  pins: pinsPractice,
}

export const GUIDE_KINDS = Object.keys(GUIDES) as readonly GuideKind[]

/** The tools of a guide's own kind: the table gives each kind tools for that kind only. */
function toolsFor(guide: Guide): GuideTools<GuideKind> {
  return GUIDES[guide.kind] as unknown as GuideTools<GuideKind>
}

function practiceTools(practice: PracticeGuide): PracticeTools<PracticeKind> {
  return PRACTICE[practice.kind] as unknown as PracticeTools<PracticeKind>
}

/** With its article, for sentences: "a line", "spots". */
export function guideWord(kind: GuideKind): string {
  return GUIDES[kind].word
}

export function readGuide(guide: Guide): Result<ReadGuide> {
  const before = read.get(guide)
  if (before) return before
  const result = toolsFor(guide).read(guide)
  read.set(guide, result)
  return result
}

/** A guide is never changed in place, and is asked for by all that is worked, measured and drawn on it. */
const read = new WeakMap<Guide, Result<ReadGuide>>()

/** Carried by a similarity; the same guide comes back for no movement at all. */
export function transformGuide(guide: Guide, matrix: Matrix): Guide {
  return matrix.every((value, index) => value === UNMOVED[index]) ? guide : toolsFor(guide).transform(guide, matrix)
}

/** Carried by a similarity so that stitches keep their length: a row of squares has fewer squares, not smaller ones. */
export function refitGuide(guide: Guide, matrix: Matrix): Guide {
  const tools = toolsFor(guide)
  return (tools.refit ?? tools.transform)(guide, matrix)
}

export function moveGuide(guide: Guide, by: Point): Guide {
  return transformGuide(guide, moveBy(by))
}

export function handlesOf(guide: Guide): readonly Handle[] {
  return toolsFor(guide).handles(guide)
}

/** A place more, a place less, a corner made smooth; null for a guide without a path, and where nothing comes of it. */
export function editPoint(guide: Guide, edit: PointEdit): Guide | null {
  const within = edit.kind === 'add' ? (edit.within ?? null) : innerOf(edit.handleId)
  if (within !== null) {
    const inner = innerPaths(guide).find((one) => one.id === within)
    const made = inner && editPath(inner.path, edit.kind === 'add' ? edit : { ...edit, handleId: edit.handleId.slice(within.length + 1) })
    return made ? withInner(guide, within, made) : null
  }
  if (!('path' in guide) || guide.path === undefined) return null
  const path = editPath(guide.path, edit)
  return path === null ? null : { ...guide, path }
}

/** A tenth of a millimetre: as fine as a hand can mean it. */
const tenths = (value: number): number => Math.round(value * 10) / 10

/** One handle taken to a place; a handle of the whole guide moves all of it. */
export function moveHandle(guide: Guide, handle: Handle, to: Point): Guide {
  const reshaped = toolsFor(guide).reshape(guide, handle.id, { x: tenths(to.x), y: tenths(to.y) })
  return reshaped ?? moveGuide(guide, { x: tenths(to.x - handle.at.x), y: tenths(to.y - handle.at.y) })
}

/** Empty for a guide that is nothing but its path or its places. */
export function sizesOf(guide: Guide): readonly GuideSize[] {
  return toolsFor(guide).sizes(guide)
}

/** The guide with one of its sizes set, kept within its window; the same guide for a size it does not have. */
export function withSize(guide: Guide, id: string, wanted: number): Guide {
  const size = sizesOf(guide).find((one) => one.id === id)
  if (!size || !Number.isFinite(wanted)) return guide
  const within = Math.min(size.max, Math.max(size.min, wanted))
  return toolsFor(guide).withSize(guide, id, size.kind === 'count' ? Math.round(within) : within)
}

/** The parts of a guide that can be worked by themselves and are there. */
export function partsOf(guide: Guide): readonly GuidePart[] {
  return toolsFor(guide).parts.filter((part) => partOfGuide(guide, part).ok)
}

export function partOfGuide(guide: Guide, part: GuidePart): Result<Guide> {
  return toolsFor(guide).part(guide, part)
}

/** The kinds of guide in a stitch document's list that this kind may serve as. */
export function guideServes(kinds: readonly string[], kind: GuideKind): boolean {
  return kinds.includes(kind) || (kind === 'spot' && kinds.includes('spots')) || (kind === 'spots' && kinds.includes('spot'))
}

/** A practice guide for a document that names none, by the first kind of guide that it is worked on. */
export function practiceFor(document: { readonly guide: readonly string[] }): PracticeGuide {
  const kind = GUIDE_KINDS.find((one) => one === document.guide[0]) ?? 'line'
  return PRACTICE[GUIDES[kind].practice].usual
}

/** Centred on x, its middle at y; sizes shrink to `mostMm` where the clear area is narrower. */
export function practiceGuide(practice: PracticeGuide | undefined, centreX: number, y: number, mostMm: number): Guide {
  const wanted = practice ?? PRACTICE.line.usual
  return practiceTools(wanted).lay(wanted, { x: centreX, y }, mostMm)
}

/** Room above and below the middle of a practice guide, mm. */
export function practiceHalfHeight(practice: PracticeGuide | undefined): number {
  const wanted = practice ?? PRACTICE.line.usual
  return practiceTools(wanted).halfHeightMm(wanted)
}

/** As much of a practice guide as shows the stitch in a small picture. */
export function shortenedPractice(practice: PracticeGuide): PracticeGuide {
  return practiceTools(practice).shortened(practice)
}

/** What is drawn on the cloth before stitching, mm; a spot or a pin takes as long as a centimetre of line. */
export function lengthToDraw(guide: ReadGuide): number {
  switch (guide.kind) {
    case 'line':
      return guide.path.length
    case 'shape':
      return guide.outline.length
    case 'spots':
      return 10 * guide.at.length
    case 'grid':
      return (guide.rows + 1) * guide.columns * guide.cellMm + (guide.columns + 1) * guide.rows * guide.cellMm
    case 'pins':
      return 10 * (guide.pins.length + 1)
  }
}
