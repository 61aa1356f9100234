/**
 * A stitch shown move by move on a short guide of its own: what the moving hand and the printed diagrams
 * draw. Everything comes from working the stitch; a left-hander's demonstration is its exact reflection.
 */
import { failure, type Result, success } from '../base/index.ts'
import { lengthOf, type Point, type Point3, splineThrough } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { cycleOf, MAIN_ROLE, rolesOf, type MaterialValues, type Move, type ParameterValues, type StitchDocument, type ThreadRole } from '../notation/index.ts'
import {
  cutUnders,
  type Hole,
  type RoleThreads,
  type Segment,
  type StitchWork,
  type SurfaceKind,
  type SurfaceMove,
  type WorkedStitch,
  workStitch,
} from '../work/index.ts'
import { shortGuide } from './short-guide.ts'
import { surfaceSentence, sentenceFor } from './words.ts'

export type Hand = 'right' | 'left'

export interface DemonstrationRequest {
  readonly document: StitchDocument
  readonly parameters: ParameterValues
  readonly materials: MaterialValues
  /** Of the stitch's other threads; as the main one where left out. */
  readonly threads?: RoleThreads
  readonly hand: Hand
  /** On this guide instead of the short one. */
  readonly guide?: ReadGuide
}

export interface Step {
  /** From 1. */
  readonly number: number
  readonly move: 'up' | 'down' | SurfaceKind
  readonly at: Point
  /** Number of its hole: a hole met again keeps its number. */
  readonly hole: number
  readonly sameHole: boolean
  readonly sentence: string
  /** Which pass of the document, from 0. */
  readonly pass: number
  readonly block: Hole['made']['block']
  readonly repeat: number
  readonly thread: ThreadRole
  /** Another of the stitch's threads is taken up for this step. */
  readonly takes: boolean
  /** Segments with a sequence up to this one have been made. */
  readonly sequence: number
  /** A loop that waits to be caught. */
  readonly loose: readonly Point3[] | null
  /** Thread led on the surface and not yet taken to the back, as it lies over and under what it has passed. */
  readonly inHand: readonly Segment[]
  /** The turns on the needle. */
  readonly wraps: number
  /** So many holes, in working order, have been made. */
  readonly shownHoles: number
}

export interface Demonstration {
  readonly segments: readonly Segment[]
  readonly patches: WorkedStitch['patches']
  readonly holes: readonly (Point & { readonly number: number })[]
  readonly steps: readonly Step[]
  readonly guide: ReadGuide
  readonly hand: Hand
  /** From one stitch to the next, mm. */
  readonly advanceMm: number
}

export function demonstrate(request: DemonstrationRequest): Result<Demonstration> {
  const guide = request.guide ?? shortGuide(request)
  if (!guide) return failure()
  const { document, parameters, materials } = request
  const work: StitchWork = { document, guide, parameters, materials, ...(request.threads ? { threads: request.threads } : {}), leftHand: false }
  const worked = workStitch(work)
  if (!worked.ok) return worked
  return success(describe(request, guide, worked.value))
}

/** In a fill the first stitches of each pass say everything: later ones only say "again". */
const MOST_STEPS = 14
const MOST_STEPS_OF_MANY = 8
/** Every warp has to be laid, and the weaving to go there and back, before it says itself again. */
const MOST_STEPS_AT_PINS = 24

/** A step before it is known whether it is shown: only then is what is in hand drawn. */
type FoundStep = Omit<Step, 'inHand'> & { readonly surface: SurfaceMove | null }

function describe(request: DemonstrationRequest, guide: ReadGuide, worked: WorkedStitch): Demonstration {
  const { hand } = request
  const flip = hand === 'left' ? -1 : 1
  const seen = <P extends Point>(at: P): P => ({ ...at, x: at.x * flip })
  const { steps, numbers } = stepsOf(request, worked, seen, flip)
  const shown = guide.kind === 'line' && !guide.centre ? steps : firstOfEachPass(steps, guide)
  // Where there is one thread, it is in the needle already.
  const several = rolesOf(request.document).length > 1
  return {
    segments: worked.segments.map((segment) => ({ ...segment, points: segment.points.map(seen), parted: segment.parted.map(seen) })),
    patches: worked.patches.map((patch) => ({ ...patch, outline: patch.outline.map(seen) })),
    holes: worked.holes.map((hole) => seen({ x: hole.x, y: hole.y, number: numbers.get(hole.same) as number })),
    steps: shown.map(({ surface, ...step }, index) => ({
      ...step,
      number: index + 1,
      takes: step.thread !== (shown[index - 1]?.thread ?? (several ? null : MAIN_ROLE)),
      inHand: surface ? lyingInHand(surface, step.thread).map((one) => ({ ...one, points: one.points.map(seen) })) : [],
    })),
    guide,
    hand,
    advanceMm: worked.fitted.pitchMm,
  }
}

/** Way-points of a running thread that a step shows: a few rows of weaving; all of a long row would cost its square. */
const SHOWN_WAY = 160

/** The thread in front, cut where it lies under others. */
function lyingInHand({ inHand: { way, points, unders, count }, made }: SurfaceMove, thread: Segment['thread']): Segment[] {
  const first = Math.max(0, points - SHOWN_WAY)
  const shown = unders.slice(0, count).filter((under) => under.from >= first && under.to < points)
  const pieces = cutUnders(
    way.slice(first, points),
    shown.map((under) => ({ ...under, from: under.from - first, to: under.to - first })),
  )
  return pieces.map(({ points: along, order }, index) => ({
    side: 'front',
    thread,
    kind: 'straight',
    lie: 'round',
    points: along,
    lengthMm: lengthOf(along),
    order: order ?? IN_HAND_ORDER + index,
    sequence: IN_HAND_ORDER + index,
    made,
    label: null,
    from: -1,
    to: -1,
    heldBy: null,
    parted: [],
    pierces: false,
    turns: 0,
    wound: 'wrap',
    sizeMm: 0,
    wrapMm: 0,
    row: null,
  }))
}

/** Over all that has been made. */
const IN_HAND_ORDER = 1e9

function firstOfEachPass(steps: readonly FoundStep[], guide: ReadGuide): readonly FoundStep[] {
  const passes = [...new Set(steps.map((step) => step.pass))]
  const most = guide.kind === 'pins' ? MOST_STEPS_AT_PINS : passes.length > 1 ? MOST_STEPS_OF_MANY : MOST_STEPS
  return passes.flatMap((pass) => steps.filter((step) => step.pass === pass).slice(0, most))
}

function stepsOf({ document, hand }: DemonstrationRequest, worked: WorkedStitch, seen: <P extends Point>(at: P) => P, flip: number) {
  const numbers = new Map<number, number>()
  const steps: FoundStep[] = []
  let sequence = 0
  let previous: Move | null = null
  const endings = new Map<number, Segment[]>()
  for (const segment of worked.segments) endings.set(segment.to, [...(endings.get(segment.to) ?? []), segment])
  const between = new Map<number, SurfaceMove[]>()
  for (const move of worked.surfaceMoves) between.set(move.afterHole, [...(between.get(move.afterHole) ?? []), move])
  const onSurface = (after: number): void => {
    for (const surface of shapedOnce(between.get(after) ?? [])) {
      const hole = after >= 0 ? (numbers.get((worked.holes[after] as Hole).same) as number) : 0
      steps.push({
        number: 0,
        shownHoles: after + 1,
        move: surface.kind,
        at: seen(surface.at),
        hole,
        sameHole: true,
        sentence: surfaceSentence(surface, hand),
        pass: surface.made.pass,
        block: surface.made.block,
        repeat: surface.made.repeat,
        thread: document.passes[surface.made.pass]?.thread ?? MAIN_ROLE,
        takes: false,
        sequence,
        loose: null,
        surface,
        wraps: 0,
      })
    }
  }
  onSurface(-1)
  for (const [index, hole] of worked.holes.entries()) {
    const known = numbers.get(hole.same)
    const number = known ?? numbers.size + 1
    if (known === undefined) numbers.set(hole.same, number)
    const move = moveOf(document, hole)
    const ended = endings.get(index) ?? []
    for (const segment of ended) if (segment.kind !== 'loop' && segment.kind !== 'kept') sequence = Math.max(sequence, segment.sequence)
    const wound = ended.find((segment) => segment.turns > 0)
    const isLoose = move !== null && 'down' in move && move.loose === true
    steps.push({
      number: 0,
      shownHoles: index + 1,
      move: hole.move,
      at: seen({ x: hole.x, y: hole.y }),
      hole: number,
      sameHole: known !== undefined,
      sentence: sentenceFor({
        move,
        previous,
        hole: number,
        sameHole: known !== undefined,
        hand,
        wraps: wound?.turns ?? 0,
        wound: wound?.wound ?? 'wrap',
        block: hole.made.block,
        tying: hole.made.inner !== null,
      }),
      pass: hole.made.pass,
      block: hole.made.block,
      repeat: hole.made.repeat,
      thread: document.passes[hole.made.pass]?.thread ?? MAIN_ROLE,
      takes: false,
      sequence,
      loose: isLoose ? looseLoop(worked, index, flip) : null,
      surface: null,
      wraps: wound?.turns ?? 0,
    })
    previous = move
    onSurface(index)
  }
  return { steps, numbers }
}

/** A thread led by way of several places is one thing to do; on the way to a bead or past another thread, it is none. */
function shapedOnce(moves: readonly SurfaceMove[]): readonly SurfaceMove[] {
  const others = moves.filter((move) => move.kind !== 'lead')
  return others.length > 0 ? others : moves.slice(-1)
}

function moveOf(document: StitchDocument, hole: Hole): Move | null {
  const pass = document.passes[hole.made.pass]
  if (!pass) return null
  const { block, list, move } = hole.made
  const moves = block === 'repeat' ? cycleOf(pass)[list] : pass[block]
  const outer = moves?.[move] ?? null
  return outer && 'each' in outer && hole.made.inner !== null ? (outer.moves[hole.made.inner] ?? null) : outer
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
