/**
 * A stitch shown move by move on a short guide of its own: what the moving hand and the printed diagrams
 * draw. Everything comes from working the stitch; a left-hander's demonstration is its exact reflection.
 */
import { failure, type Result, success } from '../base/index.ts'
import { measurePath, type Point, type Point3, splineThrough } from '../geometry/index.ts'
import { practiceGuide, readGuide, type ReadGuide } from '../guide/index.ts'
import { cycleOf, type MaterialValues, type Move, type PracticeGuide, type ParameterValues, type StitchDocument } from '../notation/index.ts'
import { type Hole, type Segment, type StitchWork, type WorkedStitch, workStitch } from '../work/index.ts'
import { passSentence, sentenceFor } from './words.ts'

export type Hand = 'right' | 'left'

export interface DemonstrationRequest {
  readonly document: StitchDocument
  readonly parameters: ParameterValues
  readonly materials: MaterialValues
  readonly hand: Hand
  /** On this guide instead of the short one. */
  readonly guide?: ReadGuide
}

export interface Step {
  /** From 1. */
  readonly number: number
  readonly move: 'up' | 'down' | 'under' | 'over'
  readonly at: Point
  /** Number of its hole: a hole met again keeps its number. */
  readonly hole: number
  readonly sameHole: boolean
  readonly sentence: string
  readonly block: Hole['made']['block']
  readonly repeat: number
  readonly thread: 'main' | 'second'
  /** Segments with a sequence up to this one have been made. */
  readonly sequence: number
  /** A loop that waits to be caught. */
  readonly loose: readonly Point3[] | null
  /** The turns on the needle. */
  readonly wraps: number
  /** So many holes, in working order, have been made. */
  readonly shownHoles: number
}

export interface Demonstration {
  readonly segments: readonly Segment[]
  readonly holes: readonly (Point & { readonly number: number })[]
  readonly steps: readonly Step[]
  readonly guide: ReadGuide
  readonly hand: Hand
  /** From one stitch to the next, mm. */
  readonly advanceMm: number
}

/** Advances on the short guide: enough for the start, the return of the stitch, and its end. */
const FEWEST_ADVANCES = 3.4

export function demonstrate(request: DemonstrationRequest): Result<Demonstration> {
  const guide = request.guide ?? shortGuide(request)
  if (!guide) return failure()
  const { document, parameters, materials } = request
  const work: StitchWork = { document, guide, parameters, materials, leftHand: false }
  const worked = workStitch(work)
  if (!worked.ok) return worked
  return success(describe(request, guide, worked.value))
}

function shortGuide(request: DemonstrationRequest): ReadGuide | null {
  const { document, parameters, materials } = request
  if (document.guide.includes('line')) {
    // Worked once on any line to learn the advance, then on the shortest that shows the stitch returning.
    const tryOut = onLine(60)
    const worked = tryOut && workStitch({ document, guide: tryOut, parameters, materials, leftHand: false })
    if (!worked?.ok) return tryOut
    for (let advances = FEWEST_ADVANCES; advances < FEWEST_ADVANCES + 4; advances += 1) {
      const guide = onLine(worked.value.fitted.askedMm * advances)
      const again = guide && workStitch({ document, guide, parameters, materials, leftHand: false })
      if (again?.ok && again.value.repeats >= 3) return guide
    }
    return tryOut
  }
  if (document.guide.includes('band')) {
    const practice = document.practice?.kind === 'band' ? document.practice : { kind: 'band' as const, lengthMm: 40, widthMm: 8 }
    const advance = workStitchAdvance(request, { ...practice, lengthMm: 60 })
    return onPractice({ ...practice, lengthMm: advance * 3.4 })
  }
  if (document.guide.includes('ring')) return onPractice(document.practice ?? { kind: 'ring', radiusMm: 6 })
  if (document.guide.includes('square'))
    return onPractice({ kind: 'square', sideMm: document.practice?.kind === 'square' ? document.practice.sideMm : 6, repeat: 2 })
  if (document.guide.includes('shape')) {
    const practice = document.practice ?? { kind: 'shape' as const, widthMm: 12, heightMm: 6 }
    const read = readGuide(practiceGuide(practice, 0, 0, 40))
    return read.ok ? read.value : null
  }
  const apart = Math.max(6, materials.D * 8)
  return {
    kind: 'spots',
    at: [
      { x: 0, y: 0 },
      { x: apart, y: 0 },
    ],
    turnRad: 0,
  }
}

function onPractice(practice: PracticeGuide): ReadGuide | null {
  const read = readGuide(practiceGuide(practice, 0, 0, 200))
  return read.ok ? read.value : null
}

/** The advance of a band stitch, learned by working it once. */
function workStitchAdvance({ document, parameters, materials }: DemonstrationRequest, practice: PracticeGuide): number {
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

/** In a fill the first stitches say everything: later ones only say "again". */
const MOST_STEPS = 14

function describe(request: DemonstrationRequest, guide: ReadGuide, worked: WorkedStitch): Demonstration {
  const { document, hand } = request
  const flip = hand === 'left' ? -1 : 1
  const seen = <P extends Point>(at: P): P => ({ ...at, x: at.x * flip })
  const numbers = new Map<number, number>()
  const steps: Step[] = []
  let sequence = 0
  let previous: Move | null = null
  for (const [index, hole] of worked.holes.entries()) {
    const known = numbers.get(hole.same)
    const number = known ?? numbers.size + 1
    if (known === undefined) numbers.set(hole.same, number)
    const move = moveOf(document, hole)
    sequence = Math.max(
      sequence,
      ...worked.segments.filter((segment) => segment.to === index && segment.kind !== 'loop' && segment.kind !== 'kept').map((segment) => segment.sequence),
    )
    const ending = worked.segments.find((segment) => segment.to === index && segment.turns > 0)
    const isLoose = move !== null && 'down' in move && move.loose === true
    steps.push({
      number: steps.length + 1,
      shownHoles: index + 1,
      move: hole.move,
      at: seen({ x: hole.x, y: hole.y }),
      hole: number,
      sameHole: known !== undefined,
      sentence: sentenceFor({ move, previous, hole: number, sameHole: known !== undefined, hand, wraps: ending?.turns ?? 0, block: hole.made.block }),
      block: hole.made.block,
      repeat: hole.made.repeat,
      thread: document.passes[hole.made.pass]?.thread ?? 'main',
      sequence,
      loose: isLoose ? looseLoop(worked, index, flip) : null,
      wraps: ending?.turns ?? 0,
    })
    previous = move
    for (const pass of worked.passes.filter((one) => one.afterHole === index)) {
      steps.push({
        number: steps.length + 1,
        shownHoles: index + 1,
        move: pass.kind,
        at: seen(pass.at),
        hole: number,
        sameHole: true,
        sentence: passSentence(pass, hand),
        block: pass.made.block,
        repeat: pass.made.repeat,
        thread: document.passes[pass.made.pass]?.thread ?? 'main',
        sequence,
        loose: pass.soFar.map(seen),
        wraps: 0,
      })
    }
  }
  const shown = guide.kind === 'line' && !guide.centre ? steps : steps.slice(0, MOST_STEPS)
  return {
    segments: worked.segments.map((segment) => ({ ...segment, points: segment.points.map(seen), parted: segment.parted.map(seen) })),
    holes: worked.holes.map((hole) => seen({ x: hole.x, y: hole.y, number: numbers.get(hole.same) as number })),
    steps: shown,
    guide,
    hand,
    advanceMm: worked.fitted.pitchMm,
  }
}

function moveOf(document: StitchDocument, hole: Hole): Move | null {
  const pass = document.passes[hole.made.pass]
  if (!pass) return null
  const { block, list, move } = hole.made
  const moves = block === 'repeat' ? cycleOf(pass)[list] : pass[block]
  return moves?.[move] ?? null
}

/** A loop as it lies before it is caught: open, towards the way of working. */
function looseLoop(worked: WorkedStitch, down: number, flip: number): readonly Point3[] {
  const to = worked.holes[down] as Hole
  const from = worked.holes[down - 1] ?? to
  const next = worked.holes[down + 1] ?? to
  const reach = { x: next.x - (from.x + to.x) / 2, y: next.y - (from.y + to.y) / 2 }
  const size = Math.max(0.5, Math.hypot(reach.x, reach.y))
  const along = { x: reach.x / size, y: reach.y / size }
  const side = { x: along.y, y: -along.x }
  const wide = 0.34 * size
  const put = (base: Point, forward: number, out: number): Point3 => ({
    x: (base.x + along.x * forward + side.x * out) * flip,
    y: base.y + along.y * forward + side.y * out,
    z: 0,
  })
  return splineThrough([
    put(from, 0, 0),
    put(from, 0.7 * size, wide),
    put(from, 1.35 * size, 0.5 * wide),
    put(to, 1.35 * size, -0.5 * wide),
    put(to, 0.7 * size, -wide),
    put(to, 0, 0),
  ])
}
