/** The shortest guide on which a stitch begins, returns and ends, so that its steps can be seen one by one. mm. */
import { boxOf, measurePath } from '../geometry/index.ts'
import { type PracticeGuide, practiceGuide, readGuide, type ReadGuide } from '../guide/index.ts'
import { practiceLike, shapeLike } from './own-look.ts'
import { type StitchWork, type WorkedStitch, workStitch } from '../work/index.ts'

type Shown = Pick<StitchWork, 'document' | 'parameters' | 'materials'>

/** Advances on the short guide: enough for the start, the return of the stitch, and its end. */
const FEWEST_ADVANCES = 6.4
/** Lists of a cycle that a band shows: three times there and back. */
const FEWEST_RETURNS = 6
/** Of a fill in rows that interlock, so many rows are shown. */
const SHOWN_ROWS = 2.6
/** Longer, single stitches would no longer be seen. */
const LONGEST_SHOWN_MM = 60
/** A line long enough to learn the advance from: the fit does not change what was asked for. */
const TRY_MM = 20
/** The area of the shape on which a fill is shown. */
const SHOWN_MM2 = 80
/** Rows of a line stitch show themselves in a smaller one: the outer row and the next. */
const SHOWN_ROWS_MM2 = 36

/** `like`: the learner's own guide, whose kind and look it has. */
export function shortGuide(request: Shown & { readonly like?: ReadGuide | undefined }): ReadGuide | null {
  const { parameters, materials, like } = request
  // Whatever is worked on a shape is shown on hers.
  if (like?.kind === 'shape' && request.document.guide.includes('shape')) return shapeLike(like, shownArea(request))
  const practice = like ? practiceLike(like) : null
  const document = practice ? { ...request.document, practice } : request.document
  // On the kind of guide that it is practised on.
  const practised = document.practice?.kind
  const isOn = (kind: string): boolean => (practised !== undefined && document.guide.includes(practised) ? practised === kind : document.guide.includes(kind))
  if (isOn('line')) {
    // Worked once on any line to learn the advance, then on the shortest that shows the stitch returning.
    const tryOut = onLine(TRY_MM)
    const worked = tryOut && workStitch({ document, guide: tryOut, parameters, materials, leftHand: false })
    if (!worked?.ok) return tryOut
    for (let advances = FEWEST_ADVANCES; advances < FEWEST_ADVANCES + 4; advances += 1) {
      const guide = onLine(worked.value.fitted.askedMm * advances)
      const again = guide && workStitch({ document, guide, parameters, materials, leftHand: false })
      if (again?.ok && again.value.repeats >= 5) return guide
    }
    return tryOut
  }
  if (isOn('band')) {
    const practice = document.practice?.kind === 'band' ? document.practice : { kind: 'band' as const, lengthMm: 40, widthMm: 8 }
    const advance = workStitchAdvance({ ...request, document }, { ...practice, lengthMm: 60 })
    // A stitch with a long beginning needs more of the band before it has returned.
    for (let advances = FEWEST_ADVANCES; advances * advance < LONGEST_SHOWN_MM; advances *= 1.25) {
      const guide = onPractice({ ...practice, lengthMm: advance * advances })
      const worked = guide && workStitch({ document, guide, parameters, materials, leftHand: false })
      if (guide && worked?.ok && hasReturned(worked.value)) return guide
    }
    return onPractice({ ...practice, lengthMm: advance * FEWEST_ADVANCES })
  }
  if (isOn('ring')) return onPractice(document.practice ?? { kind: 'ring', radiusMm: 6 })
  if (isOn('square')) return onPractice({ kind: 'square', sideMm: document.practice?.kind === 'square' ? document.practice.sideMm : 6, repeat: 2 })
  if (isOn('shape')) {
    const practice = document.practice?.kind === 'shape' ? document.practice : { kind: 'shape' as const, widthMm: 12, heightMm: 6 }
    const cuts = document.passes.some((pass) => 'across' in pass.place && pass.place.across.cuts)
    const long = parameters.get('L')?.value
    if (cuts && long !== undefined) {
      const read = readGuide(practiceGuide({ kind: 'shape', outline: 'rectangle', widthMm: 1.4 * long, heightMm: SHOWN_ROWS * long }, 0, 0, 80))
      return read.ok ? upright(read.value) : null
    }
    // Small enough that its stitches are seen one by one, and worked within a frame.
    const inRows = document.passes.some((pass) => 'along' in pass.place && pass.place.along.rows)
    const small = Math.min(1, Math.sqrt((inRows ? SHOWN_ROWS_MM2 : SHOWN_MM2) / (practice.widthMm * practice.heightMm)))
    const read = readGuide(practiceGuide({ ...practice, widthMm: practice.widthMm * small, heightMm: practice.heightMm * small }, 0, 0, 40))
    if (!read.ok) return null
    return isAlongShape(document) ? withVein(read.value) : read.value
  }
  if (isOn('grid')) return onPractice({ kind: 'grid', columns: 3, rows: 2, cellMm: document.practice?.kind === 'grid' ? document.practice.cellMm : 3 })
  if (isOn('pins')) return onPractice(document.practice ?? { kind: 'pins', heightMm: 10 })
  return twoSpots({ ...request, document })
}

/** Two, so that the way from one to the next is seen, and so far apart that they do not lie on each other. */
function twoSpots({ document, parameters, materials }: Shown): ReadGuide {
  const one: ReadGuide = { kind: 'spots', at: [{ x: 0, y: 0 }], turns: [0] }
  const worked = workStitch({ document, guide: one, parameters, materials, leftHand: false })
  const box = worked.ok ? boxOf(worked.value.holes) : null
  const apart = Math.max(6, materials.D * 8, box ? box.right - box.left + materials.D * 3 : 0)
  return {
    kind: 'spots',
    at: [
      { x: 0, y: 0 },
      { x: apart, y: 0 },
    ],
    turns: [0, 0],
  }
}

/** Large enough that rows of long stitches interlock in it, small enough that single ones are seen. */
function shownArea({ document, parameters }: Shown): number {
  const cuts = document.passes.some((pass) => 'across' in pass.place && pass.place.across.cuts)
  const long = parameters.get('L')?.value
  if (cuts && long !== undefined) return (SHOWN_ROWS * long) ** 2
  return document.passes.some((pass) => 'along' in pass.place && pass.place.along.rows) ? SHOWN_ROWS_MM2 : SHOWN_MM2
}

/** Worked along the middle of a shape, from tip to foot. */
export function isAlongShape({ passes, rows }: Pick<StitchWork['document'], 'passes' | 'rows'>): boolean {
  const place = passes[0]?.place
  return !rows && place !== undefined && 'along' in place && place.along.of === undefined && !place.along.rows
}

/** Its stitches run away from the learner and back, and that is drawn. */
function upright(guide: ReadGuide): ReadGuide {
  const box = guide.kind === 'shape' ? boxOf(guide.outline.points) : null
  if (guide.kind !== 'shape' || !box) return guide
  const middle = (box.left + box.right) / 2
  const direction = measurePath([
    { x: middle, y: box.top },
    { x: middle, y: box.bottom },
  ])
  return direction ? { ...guide, directions: [direction] } : guide
}

/** The vein is drawn, for it is worked to. */
function withVein(guide: ReadGuide): ReadGuide {
  if (guide.kind !== 'shape' || guide.vein) return guide
  const box = boxOf(guide.outline.points)
  if (!box) return guide
  const middle = (box.top + box.bottom) / 2
  const vein = measurePath([
    { x: box.left, y: middle },
    { x: box.right, y: middle },
  ])
  return vein ? { ...guide, vein } : guide
}

function onPractice(practice: PracticeGuide): ReadGuide | null {
  const read = readGuide(practiceGuide(practice, 0, 0, 200))
  return read.ok ? read.value : null
}

/** Its moves have been made often enough that what comes again is seen. */
function hasReturned({ holes }: WorkedStitch): boolean {
  return new Set(holes.flatMap(({ made }) => (made.block === 'repeat' ? [made.repeat] : []))).size >= FEWEST_RETURNS
}

/** The advance of a band stitch, learned by working it once. */
function workStitchAdvance({ document, parameters, materials }: Shown, practice: PracticeGuide): number {
  const guide = onPractice(practice)
  const worked = guide && workStitch({ document, guide, parameters, materials, leftHand: false })
  return worked?.ok ? worked.value.fitted.askedMm : 10
}

function onLine(lengthMm: number): ReadGuide | null {
  const path = measurePath([
    { x: 0, y: 0 },
    { x: lengthMm, y: 0 },
  ])
  return path ? { kind: 'line', path } : null
}
