/**
 * Working a stitch: guide x moves -> pieces of thread. A general interpreter; it knows moves and placements
 * and no stitch by name.
 */
import { about, error, failure, type Problem, type Result, success } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import {
  type Compiled,
  ExpressionError,
  MAIN_ROLE,
  type MaterialValues,
  type ParameterValues,
  type StitchDocument,
  type ThreadRole,
} from '../notation/index.ts'
import { compileStitch } from './compile.ts'
import type { BlockName, CompiledMove, CompiledPass, CompiledPoint, CompiledReference } from './compiled.ts'
import { type Around, findPoint, type FoundPoint } from './find-point.ts'
import { keepWithin } from './keep-within.ts'
import { type Frame, meetsItself, type Placed, type Run } from './frames.ts'
import { guideValues, isNow, labelCounted, preparesFor, stitchesInRepeat } from './meanings.ts'
import { type Hand, workMove } from './moves/index.ts'
import { notePlacement } from './note-placement.ts'
import { piecesOf } from './pieces.ts'
import { placePass } from './place-pass.ts'
import { placeOnce } from './place-spots.ts'
import { MoveError, type MoveContext, type ThreadReference, type ThreadSettings } from './thread-settings.ts'
import { ThreadState } from './thread-state.ts'
import type { Fitted, Motion, MoveRef, WorkedStitch } from './types.ts'

export interface StitchWork {
  readonly document: StitchDocument
  readonly guide: ReadGuide
  readonly parameters: ParameterValues
  /** Of the main thread. */
  readonly materials: MaterialValues
  /** Of the stitch's other threads, by role; one that is not named is as the main one. */
  readonly threads?: RoleThreads
  /** The same design on the cloth, worked by the left hand from its other end. */
  readonly leftHand: boolean
  /** Fewest advances in each leg. */
  readonly atLeast?: readonly number[]
  /** A mistake is worked as far as thread can be: what would not hold is noted, not refused. */
  readonly forgiving?: boolean
  /** Loops drawn up hard. */
  readonly tight?: boolean
}

export type RoleThreads = Readonly<Partial<Record<ThreadRole, Pick<MaterialValues, 'D' | 'W' | 'F' | 'ds'>>>>

/** Every piece of thread, or the first problem with the pass, block and move that it names. */
export function workStitch(work: StitchWork): Result<WorkedStitch> {
  const compiled = compileStitch(work.document)
  if (compiled.problems.length > 0) return failure(...compiled.problems)
  return new Worker(work, compiled.seekable).run(compiled.passes)
}

/** A document may ask for any number of moves; a hand makes so many in some months of evenings, and a page in a few seconds. */
const MOST_MOVES_MADE = 200_000
/** Threads nearer than so many of their widths make an edge between them. */
const SIDE_BY_SIDE = 2.5

/** Before any frame is placed there is nothing to stand on. */
const NO_FRAME: Frame = {
  at: () => {
    throw new MoveError('move.no-frame')
  },
  named: () => null,
  mirror: 1,
  values: {},
}
const NOTHING_MADE: MoveRef = { pass: 0, block: 'start', list: 0, repeat: 0, move: 0, inner: null }

class Worker implements Hand {
  readonly thread: ThreadState
  private readonly base: Map<string, number>
  private fitted: Fitted | null = null
  /** A thread laid along the whole, or padding, says nothing of pitch; the pass over it does. */
  private onlyPrepared = false
  private isLaterPiece = false
  /** What the stitches that are counted are labelled. */
  private counted: string | null = null
  private repeats = 0
  frame: Frame = NO_FRAME
  made: MoveRef = NOTHING_MADE
  private keepsWithin = false
  /** The guide, or the part of it that is worked just now. */
  guide: ReadGuide
  private frameIndex = 0
  frames: readonly Frame[] = []
  advanceMm = 0
  private movesMade = 0
  leftOut = false
  laid: ThreadRole | null = null
  role: ThreadRole = MAIN_ROLE
  readonly lineWidthMm: number
  /** Threads lie side by side, so that their ends make an edge that the eye sees; those of a lattice only reach the outline. */
  sideBySide = false
  /** The row of an interlocking fill that is worked just now. */
  private row: number | null = null

  constructor(
    private readonly work: StitchWork,
    seekable: ReadonlySet<string>,
  ) {
    this.guide = work.guide
    this.lineWidthMm = work.materials.W
    this.base = new Map(Object.entries(work.materials))
    for (const [id, parameter] of work.parameters) this.base.set(id, parameter.value)
    this.thread = new ThreadState(this.settings(MAIN_ROLE, 'round'), seekable, { forgiving: work.forgiving ?? false, tight: work.tight ?? false })
  }

  settings(role: ThreadRole, lie: 'round' | 'flat'): ThreadSettings {
    const { D, W, F, ds } = this.work.threads?.[role] ?? this.work.materials
    return { role, lie, diameterMm: D, lineWidthMm: lie === 'flat' ? F : W, shaftMm: ds }
  }

  run(all: readonly CompiledPass[]): Result<WorkedStitch> {
    const { guide } = this.work
    const pieces = piecesOf(guide, all)
    const efforts = all.map((): { repeats: number; motions: Record<string, number> } => ({ repeats: 0, motions: {} }))
    for (const [index, pass, piece] of pieces.flatMap((one) => [...all.entries()].map(([at, pass]) => [at, pass, one] as const))) {
      if (this.guide !== piece) this.thread.log.forgetLabels()
      this.guide = piece
      this.isLaterPiece = piece !== pieces[0]
      this.role = pass.pass.thread ?? MAIN_ROLE
      const goesOn = pass.pass.continues ?? (this.isLaterPiece && guide.kind === 'spots')
      this.keepsWithin = pass.pass.within ?? false
      this.thread.beginPass(this.settings(this.role, pass.pass.lie ?? 'round'), goesOn)
      const before = { repeats: this.repeats, counts: new Map(this.thread.log.counts) }
      const problems = this.pass(pass, index)
      if (problems.length > 0) return failure(...problems)
      const effort = efforts[index] as (typeof efforts)[number]
      effort.repeats += this.repeats - before.repeats
      for (const [motion, count] of this.thread.log.counts) {
        const more = count - (before.counts.get(motion) ?? 0)
        if (more > 0) effort.motions[motion] = (effort.motions[motion] ?? 0) + more
      }
    }
    const left = this.tried(() => this.thread.end(), ['passes', all.length - 1])
    if (left) return failure(left)
    if (!this.fitted) return failure(error('work.nothing', [], { stitch: this.work.document.name }))
    const motions: Partial<Record<Motion, number>> = {}
    for (const [motion, count] of this.thread.log.counts) if (count > 0) motions[motion] = count
    const { log, surfaceMoves, patches, driftMm } = this.thread
    return success({
      segments: log.segments,
      holes: log.holes,
      surfaceMoves,
      patches,
      driftMm,
      faults: this.thread.faults,
      fitted: pieces.length > 1 && guide.kind === 'spots' ? { ...this.fitted, lengthMm: placeOnce(guide, this.work.leftHand).lengthMm } : this.fitted,
      motions,
      efforts,
      repeats: this.repeats,
    })
  }

  private tried(what: () => void, path: readonly (string | number)[]): Problem | null {
    try {
      what()
      return null
    } catch (thrown) {
      return this.problem(thrown, path)
    }
  }

  private pass(pass: CompiledPass, passIndex: number): readonly Problem[] {
    let placed: Placed
    const { guide } = this
    const { leftHand, document, materials } = this.work
    try {
      this.advanceMm = pass.place.kind === 'along' ? pass.place.steps.reduce((total, one) => total + this.value(one), 0) : 0
      this.sideBySide = this.pitchOf(pass) < SIDE_BY_SIDE * materials.W
      placed = placePass({
        place: pass.place,
        guide,
        leftHand,
        restart: document.corner === 'restart',
        fan: document.corner === 'fan',
        besideMm: materials.e,
        strayMm: 0.6 * materials.W,
        atLeast: this.work.atLeast ?? [],
        value: (compiled) => this.value(compiled),
        labelled: (label) => this.thread.log.labelled(label),
      })
    } catch (thrown) {
      return [this.problem(thrown, ['passes', passIndex, 'place'])]
    }
    if (placed.problems.length > 0) return placed.problems.map((problem) => about(problem, document.name))
    const before = this.repeats
    for (const run of placed.runs) {
      const problem = this.workRun(pass, passIndex, run)
      if (problem) return [problem]
    }
    notePlacement(pass, placed, { guide, thread: this.thread })
    if (placed.runs.length === 0) return []
    if (this.fitted === null || this.onlyPrepared) {
      this.fitted = this.fit(pass, placed, this.repeats - before)
      this.onlyPrepared = pass.place.kind === 'whole' || preparesFor(compileStitch(document).passes, passIndex)
      this.counted = labelCounted(pass)
    } else if (this.fitted && (pass.pass.continues || this.isLaterPiece) && this.counted !== null && labelCounted(pass) === this.counted) {
      // The way back of a double line, the other half of a leaf: more of the same stitches.
      this.fitted = { ...this.fitted, count: this.fitted.count + Math.round((this.repeats - before) * stitchesInRepeat(pass)) }
    }
    return []
  }

  /** From one stitch to the next, mm; what is placed singly stands next to nothing. */
  private pitchOf({ place }: CompiledPass): number {
    if (place.kind === 'along') return this.advanceMm
    return place.kind === 'across' ? this.value(place.pitch) : Infinity
  }

  private fit(pass: CompiledPass, placed: Placed, repeats: number): Fitted {
    const downs = (moves: readonly CompiledMove[]): number => moves.filter((move) => move.kind === 'down').length
    const perRepeat = pass.cycle.reduce((total, list) => total + downs(list), 0) / pass.cycle.length
    const started = placed.runs.reduce((total, run) => total + downs(run.afterCorner ? (pass.afterCorner ?? pass.start) : pass.start), 0)
    const advances = placed.legs.reduce((total, leg) => total + leg.count, 0)
    const { place } = pass
    const pitchMm =
      place.kind === 'along' || place.kind === 'across'
        ? placed.legs.reduce((total, leg) => total + leg.pitchMm * leg.count, 0) / Math.max(1e-9, advances)
        : (placed.legs[0]?.pitchMm ?? 0)
    const asked = place.kind === 'along' ? this.advanceMm : place.kind === 'across' ? this.value(place.pitch) : pitchMm
    return {
      count: Math.round((repeats + (perRepeat > 0 ? started / perRepeat : 0)) * stitchesInRepeat(pass)),
      pitchMm,
      lengthMm: placed.lengthMm,
      legs: placed.legs,
      askedMm: asked,
    }
  }

  /** One unbroken run: start, repeats, end. */
  private workRun(pass: CompiledPass, passIndex: number, run: Run): Problem | null {
    const count = run.frames.length
    const closing = run.closed && pass.close !== null
    const begin = run.afterCorner && pass.afterCorner ? 'afterCorner' : 'start'
    const first = run.frames[0]
    if (!first) return null
    this.frames = run.frames
    const blocks: [BlockName, number, readonly CompiledMove[], Frame, number, boolean][] = []
    blocks.push([begin, 0, begin === 'afterCorner' ? (pass.afterCorner ?? []) : pass.start, first, 0, count === 1])
    const repeats = closing ? count - 1 : count
    for (let k = 0; k < repeats; k += 1) {
      const list = k % pass.cycle.length
      blocks.push(['repeat', list, pass.cycle[list] as readonly CompiledMove[], run.frames[k] as Frame, k, k === count - 1])
    }
    if (closing) blocks.push(['close', 0, pass.close ?? [], run.frames[count - 1] as Frame, count - 1, true])
    else blocks.push(['end', 0, pass.end, run.endFrame, count, true])
    this.repeats += count
    const interlocks = pass.place.kind === 'across' && pass.place.cuts !== null
    for (const [block, list, moves, frame, k, isLast] of blocks) {
      this.frame = frame
      this.frameIndex = k
      this.row = interlocks ? (frame.values['row'] ?? 0) : null
      for (const move of moves) {
        if (move.when && !isNow(move.when, k, isLast, frame.values['row'] ?? 0)) continue
        if ((move.only && !move.only.includes(k)) || move.except?.includes(k)) continue
        try {
          this.move(move, { pass: passIndex, block, list, repeat: k, move: move.index, inner: null })
        } catch (thrown) {
          return this.problem(meetsItself(thrown, run) ?? thrown, ['passes', passIndex, block, move.index])
        }
      }
    }
    return this.tried(() => this.thread.finish(), ['passes', passIndex, closing ? 'close' : 'end'])
  }

  take(role: ThreadRole): void {
    this.role = role
    this.thread.take(this.settings(role, 'round'))
  }

  private move(move: CompiledMove, made: MoveRef): void {
    if (move.given && !(this.value(move.given) > 0)) return
    this.movesMade += 1
    if (this.movesMade > MOST_MOVES_MADE) throw new MoveError('move.too-many', { most: MOST_MOVES_MADE })
    this.made = made
    workMove(move, this)
  }

  within(frame: Frame, moves: readonly CompiledMove[]): void {
    const [outer, made] = [this.frame, this.made]
    this.frame = frame
    for (const move of moves) this.move(move, { ...made, inner: move.inner })
    ;[this.frame, this.made] = [outer, made]
  }

  context({ as }: CompiledMove, direction: Point): MoveContext {
    return { made: this.made, row: this.row, label: as, direction, mirror: this.frame.mirror }
  }

  readonly reference = (one: CompiledReference): ThreadReference => ({
    label: one.label,
    back: one.back,
    nearest: one.nearest,
    index: one.index ? Math.round(this.value(one.index)) : null,
    at: this.maybe(one.at),
  })

  readonly value = (compiled: Compiled, over?: (name: string) => number | undefined): number =>
    compiled(over ? (name) => over(name) ?? this.lookup(name) : this.lookup)

  readonly point = (form: CompiledPoint): FoundPoint | null => {
    const around: Around = { index: this.frameIndex, frames: this.frames, value: this.value, last: () => this.thread.lastPoint, thread: this.way }
    const found = findPoint(form, this.frame, around)
    return found && this.keepsWithin && this.guide.kind === 'shape' ? keepWithin(found, this.frame.at(0, 0).at, this.guide.region) : found
  }

  private readonly way = (reference: CompiledReference): readonly Point[] => this.thread.log.find(this.reference(reference), this.frame.at(0, 0).at).points

  readonly maybe = (compiled: Compiled | null): number | null => (compiled ? compiled(this.lookup) : null)

  private readonly lookup = (name: string): number => {
    const known = this.base.get(name)
    if (known !== undefined) return known
    if (name === 'k') return this.frameIndex
    if (name === 'n') return this.frames.length
    const count = /^count\((\w+)\)$/.exec(name)
    if (count) return this.thread.log.labelled(count[1] as string).length
    const { values } = this.frame
    if (Object.hasOwn(values, name)) return values[name] as number
    // Before any frame is placed, what the guide itself gives.
    const own = guideValues(this.guide)
    if (Object.hasOwn(own, name)) return own[name] as number
    throw new ExpressionError('expression.nothing-called', { name })
  }

  private problem(thrown: unknown, path: readonly (string | number)[]): Problem {
    if (!(thrown instanceof MoveError) && !(thrown instanceof ExpressionError)) throw thrown
    const problem = error('work.move', path, { reason: thrown.told })
    return { ...problem, about: [this.work.document.name, { path }, { repeat: this.frameIndex + 1 }] }
  }
}
