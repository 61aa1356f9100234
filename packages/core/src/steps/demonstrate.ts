/**
 * A stitch shown picture by picture on a short guide of its own: what the hand and the printed diagrams draw. Everything comes
 * from working the stitch; a left-hander's demonstration is its exact reflection.
 */
import { failure, type Result, success } from '../base/index.ts'
import { lengthOf, type Point } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { rolesOf, type MaterialValues, type ParameterValues, type StitchDocument, type ThreadRole } from '../notation/index.ts'
import { cutUnders, type MoveRef, type RoleThreads, type Segment, type StitchWork, type SurfaceMove, type WorkedStitch, workStitch } from '../work/index.ts'
import { type Clock, clockOf, isDone } from './as-laid.ts'
import { chosenOf, type Moment, type Shown } from './choose.ts'
import { ENGLISH } from './english.ts'
import { type Gesture, type GestureKind, gesturesOf, type Happening } from './gestures.ts'
import { type Hand, seenBy, type Turn } from './hand.ts'
import { inWords, type Phrase } from './phrases.ts'
import type { Pose } from './pose.ts'
import { poseOf } from './pose-of.ts'
import { phrasesOf } from './say.ts'
import { isAlongShape, shortGuide } from './short-guide.ts'
import { turnOf } from './turn.ts'

export interface DemonstrationRequest {
  readonly document: StitchDocument
  readonly parameters: ParameterValues
  readonly materials: MaterialValues
  /** Of the stitch's other threads; as the main one where left out. */
  readonly threads?: RoleThreads
  readonly hand: Hand
  /** On this guide instead of the short one. */
  readonly guide?: ReadGuide
  /** The learner's own guide: the short one has its kind and its look. */
  readonly like?: ReadGuide
}

/** A hole that a step makes, and which of the worked holes it is. */
export interface MadeHole {
  readonly hole: number
  readonly move: 'up' | 'down'
  readonly made: MoveRef
  /** As seen. */
  readonly at: Point
}

export interface Step extends Clock {
  /** From 1. */
  readonly number: number
  readonly gesture: GestureKind
  readonly moment: Moment
  /** What is said, as data, and in English. */
  readonly said: readonly Phrase[]
  readonly sentence: string
  /** Where it is done, as seen. */
  readonly at: Point
  /** Numbers of the holes that are made now, and of those that the sentence or the last one names. */
  readonly holes: readonly number[]
  readonly known: readonly number[]
  /** Holes of what is done, one after another; of a group, none. */
  readonly makes: readonly MadeHole[]
  /** What is done on the surface with it: by which move; null where it makes a hole. */
  readonly surface: MoveRef | null
  /** What had been made before it, and up to which sequence. */
  readonly before: Clock & { readonly sequence: number }
  /** Which pass of the document, from 0. */
  readonly pass: number
  readonly thread: ThreadRole
  /** Another of the stitch's threads is taken up for this step. */
  readonly takes: 'first' | 'again' | null
  /** Segments with a sequence up to this one have been made. */
  readonly sequence: number
  /** So many patches of the ground have been made: felt laid, cloth opened, threads drawn out. */
  readonly patches: number
  /** Thread led on the surface and not yet taken to the back, as it lies over and under what it has passed. */
  readonly inHand: readonly Segment[]
  readonly pose: Pose
  /** Steps of the same number are seen in the same frame: the first of a pass from near, what goes on as before from farther off. */
  readonly view: number
  /** Segments with a sequence over this one belong to its pass. */
  readonly from: number
}

export interface Demonstration {
  readonly segments: readonly Segment[]
  readonly patches: WorkedStitch['patches']
  /** Those that are numbered, each once. */
  readonly holes: readonly (Point & { readonly number: number })[]
  readonly steps: readonly Step[]
  readonly guide: ReadGuide
  readonly hand: Hand
  readonly turn: Turn
  /** Worked places as they are seen. */
  readonly seen: <P extends Point>(at: P) => P
  /** From one stitch to the next, mm. */
  readonly advanceMm: number
}

export function demonstrate(request: DemonstrationRequest): Result<Demonstration> {
  const { like, ...plain } = request
  if (like) {
    const own = demonstrateOn(request, shortGuide(request))
    // What cannot be worked so small is shown on the stitch's usual guide.
    if (own.ok && own.value.steps.length > 1) return own
  }
  return demonstrateOn(plain, plain.guide ?? shortGuide(plain))
}

function demonstrateOn(request: DemonstrationRequest, guide: ReadGuide | null): Result<Demonstration> {
  if (!guide) return failure()
  const { document, parameters, materials } = request
  const work: StitchWork = { document, guide, parameters, materials, ...(request.threads ? { threads: request.threads } : {}), leftHand: false }
  const worked = workStitch(work)
  if (!worked.ok) return worked
  return success(describe(request, guide, worked.value))
}

function describe({ document, hand, materials, threads }: DemonstrationRequest, guide: ReadGuide, worked: WorkedStitch): Demonstration {
  const gestures = gesturesOf(document, worked, guide)
  const turn = turnOf(gestures, worked, guide, isAlongShape(document))
  const seen = seenBy(hand, turn)
  const shown = chosenOf(gestures)
  const numbers = numbersOf(shown, worked)
  const sequences = sequencesOf(gestures, worked)
  // Where there is one thread, it is in the needle already.
  const several = rolesOf(document).length > 1
  const passes = document.passes.length
  const starts = new Map<number, number>()
  for (const gesture of gestures) if (!starts.has(gesture.pass)) starts.set(gesture.pass, sequences.get(gesture)?.before ?? 0)
  let known: readonly number[] = []
  const steps = shown.map((one, index): Step => {
    const [gesture] = one.gestures
    const last = one.gestures[one.gestures.length - 1] ?? gesture
    const before = shown[index - 1]?.gestures[0]
    const widthMm = threads?.[gesture.thread]?.W ?? materials.W
    const looking = { guide, seen, widthMm, advanceMm: worked.fitted.pitchMm }
    const said: Phrase[] = []
    const goesOn = document.passes[gesture.pass]?.continues === true
    if (passes > 1 && before && before.pass !== gesture.pass && !goesOn)
      said.push({ key: 'pass-begins', name: nameFor(hand, document.passes[gesture.pass]?.name ?? '') })
    said.push(
      ...phrasesOf(one, {
        document,
        worked,
        hand,
        looking,
        numberOf: (hole) => numbers.of(hole),
        wasShown: (hole) => numbers.firstShown(hole) < index,
        isLastOfAll: index === shown.length - 1,
      }),
    )
    const changed = before ? before.thread !== gesture.thread && (!goesOn || before.pass === gesture.pass) : several
    const taken = new Set(shown.slice(0, index).map((earlier) => earlier.gestures[0].thread))
    const made = sequences.get(isBefore(one) ? gesture : last) ?? { before: 0, after: 0 }
    const holes =
      one.moment === 'group' || one.moment === 'turn' || one.moment === 'turns'
        ? []
        : [...one.after.flatMap(holesOf), ...holesOf(gesture)].flatMap((hole) => numbers.of(hole) ?? [])
    const shownBefore = before?.pass === gesture.pass ? known : []
    if (one.moment === 'group') known = []
    else if (holes.length > 0) known = holes
    const surface = surfaceShown(one, last)
    const way = one.moment === 'group' ? Number.POSITIVE_INFINITY : SHOWN_WAY
    const clock = clockOf(isBefore(one) ? gesture : last, isBefore(one), worked)
    const pose = poseOf(one, { worked, hand, looking, document, clock })
    return {
      number: index + 1,
      gesture: one.moment === 'group' ? last.kind : gesture.kind,
      moment: one.moment,
      said,
      sentence: inWords(said, ENGLISH),
      at: seen(placeOf(last, worked)),
      holes: [...new Set(holes)],
      known: one.moment === 'group' ? [] : shownBefore.filter((number) => !holes.includes(number)),
      makes: one.moment === 'group' ? [] : madeHoles(gesture, worked, seen),
      surface: gesture.happenings[0].surface?.made ?? null,
      before: { ...clockOf(gesture, true, worked), sequence: sequences.get(gesture)?.before ?? 0 },
      pass: gesture.pass,
      thread: gesture.thread,
      takes: changed ? (taken.has(gesture.thread) ? 'again' : 'first') : null,
      sequence: isBefore(one) ? made.before : made.after,
      ...clock,
      patches: worked.patches.filter((patch) => isDone(patch, clock)).length,
      inHand: surface ? lyingInHand(surface, gesture.thread, way).map((piece) => ({ ...piece, points: piece.points.map(seen) })) : [],
      pose,
      view: viewOf(shown, index),
      from: starts.get(gesture.pass) ?? 0,
    }
  })
  return {
    segments: worked.segments.map((segment) => ({
      ...segment,
      points: segment.points.map(seen),
      parted: segment.parted.map(seen),
      asLaid: segment.asLaid && { ...segment.asLaid, points: segment.asLaid.points.map(seen) },
    })),
    patches: worked.patches.map((patch) => ({ ...patch, outline: patch.outline.map(seen) })),
    holes: numbers.all.map(({ hole, number }) => {
      const { x, y } = seen(worked.holes[hole] as Point)
      return { x, y, number }
    }),
    steps,
    guide,
    hand,
    turn,
    seen,
    advanceMm: worked.fitted.pitchMm,
  }
}

/** A pass that is named for its side changes its name with the hand. */
const nameFor = (hand: Hand, name: string): string =>
  hand === 'right' ? name : name.replaceAll(/\b(left|right)\b/g, (side) => (side === 'left' ? 'right' : 'left'))

/** Two views of each pass: up to its first group, and from there. */
function viewOf(shown: readonly Shown[], index: number): number {
  const pass = shown[index]?.gestures[0].pass ?? 0
  const far = shown.slice(0, index + 1).some(({ moment, gestures: [one] }) => moment === 'group' && one.pass === pass)
  return 2 * pass + (far ? 1 : 0)
}

const holesOf = ({ happenings }: Gesture): readonly number[] => happenings.flatMap(({ hole }) => hole ?? [])

function madeHoles(gesture: Gesture, { holes }: WorkedStitch, seen: (at: Point) => Point): readonly MadeHole[] {
  return holesOf(gesture).map((hole) => {
    const { x, y, move, made } = holes[hole] as WorkedStitch['holes'][number]
    return { hole, move, made, at: seen({ x, y }) }
  })
}

/** The needle lies in its place and nothing of the thread has been drawn. */
function isBefore({ moment, gestures: [{ kind }] }: Shown): boolean {
  return (moment === 'in' && (kind === 'sew' || kind === 'pass' || kind === 'half' || kind === 'wind')) || moment === 'turn' || moment === 'turns'
}

/** Holes are numbered as they are shown, so that no number is left out; what a group makes has none. */
function numbersOf(shown: readonly Shown[], { holes }: WorkedStitch) {
  const known = new Map<number, { readonly number: number; readonly shown: number; readonly hole: number }>()
  for (const [
    index,
    {
      moment,
      after,
      gestures: [gesture],
    },
  ] of shown.entries()) {
    if (moment === 'group') continue
    const made = [...after.flatMap(holesOf), ...holesOf(gesture)]
    for (const [place, hole] of made.entries()) {
      const { same } = holes[hole] as { readonly same: number }
      // The last hole is the end, and needs no number.
      if (index === shown.length - 1 && place === made.length - 1) continue
      if (!known.has(same)) known.set(same, { number: known.size + 1, shown: index, hole })
    }
  }
  const find = (hole: number) => known.get(holes[hole]?.same ?? -1)
  return {
    of: (hole: number): number | null => find(hole)?.number ?? null,
    firstShown: (hole: number): number => find(hole)?.shown ?? Number.POSITIVE_INFINITY,
    all: [...known.values()],
  }
}

/** What had been made before a gesture and what after, by the sequence of the pieces. */
function sequencesOf(gestures: readonly Gesture[], { segments }: WorkedStitch): ReadonlyMap<Gesture, { readonly before: number; readonly after: number }> {
  const endings = new Map<number, Segment[]>()
  for (const segment of segments) if (!isLeg(segment)) endings.set(segment.to, [...(endings.get(segment.to) ?? []), segment])
  const found = new Map<Gesture, { readonly before: number; readonly after: number }>()
  let sequence = 0
  for (const gesture of gestures) {
    const before = sequence
    for (const hole of holesOf(gesture))
      for (const segment of endings.get(hole) ?? []) if (segment.kind !== 'loop' && segment.kind !== 'kept') sequence = Math.max(sequence, segment.sequence)
    for (const { surface } of gesture.happenings) if (surface) sequence = Math.max(sequence, surface.sequence)
    found.set(gesture, { before, after: sequence })
  }
  return found
}

/** Laid down while the thread is in hand, between one hole and the next. */
const isLeg = ({ from, to, side, kind, turns }: Segment): boolean => from === to && side === 'front' && kind === 'straight' && turns === 0

/** What is in hand on the surface: of a pass about to be made, that of the one before it. */
function surfaceShown(shown: Shown, last: Gesture): SurfaceMove | null {
  const surfaces = last.happenings.flatMap(({ surface }) => surface ?? [])
  const latest = surfaces[surfaces.length - 1] ?? null
  return latest && !(shown.moment === 'in') ? latest : null
}

function placeOf({ happenings }: Gesture, { holes }: WorkedStitch): Point {
  const last = happenings[happenings.length - 1] as Happening
  return last.surface?.at ?? holes[last.hole ?? 0] ?? { x: 0, y: 0 }
}

/** Way-points of a running thread that a step shows: a few rows of weaving; all of a long row would cost its square. */
const SHOWN_WAY = 160

/** The thread in front, cut where it lies under others. */
function lyingInHand({ inHand: { way, points, unders, count }, made }: SurfaceMove, thread: Segment['thread'], most: number): Segment[] {
  const first = Math.max(0, points - most)
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
