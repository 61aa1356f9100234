/**
 * Working a stitch: guide x moves -> pieces of thread. A general interpreter; it knows moves and placements
 * and no stitch by name.
 */
import { error, type Problem, type Result, failure, success } from '../base/index.ts'
import { dot, lerp, type MeasuredPath, measurePath, type Point, step, leftOf, subtract, unit } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { ExpressionError, type Compiled, type MaterialValues, type ParameterValues, type StitchDocument } from '../notation/index.ts'
import { type BlockName, type CompiledMove, type CompiledPass, type CompiledPoint, compileStitch, where } from './compile.ts'
import { type Frame, type Placed, placeAcross, placeAlong, placeOnce, type Run } from './frames.ts'
import { MoveError, type ThreadSettings, ThreadState } from './thread-state.ts'
import type { Fitted, Motion, WorkedStitch } from './types.ts'

export interface StitchWork {
  readonly document: StitchDocument
  readonly guide: ReadGuide
  readonly parameters: ParameterValues
  readonly materials: MaterialValues
  /** The same design on the cloth, worked by the left hand from its other end. */
  readonly leftHand: boolean
  /** Fewest advances in each leg. */
  readonly atLeast?: readonly number[]
}

/** Every piece of thread, or the first problem with the pass, block and move that it names. */
export function workStitch(work: StitchWork): Result<WorkedStitch> {
  const compiled = compileStitch(work.document)
  if (compiled.problems.length > 0) return failure(...compiled.problems)
  return new Worker(work).run(compiled.passes)
}

class Worker {
  private readonly thread: ThreadState
  private readonly base: Map<string, number>
  private readonly flatWidth: number
  private fitted: Fitted | null = null
  private repeats = 0
  private frame: Frame | null = null
  private frameIndex = 0
  private frames: readonly Frame[] = []
  private advance = 0

  constructor(private readonly work: StitchWork) {
    this.base = new Map(Object.entries(work.materials))
    for (const [id, parameter] of work.parameters) this.base.set(id, parameter.value)
    this.flatWidth = work.materials.F
    this.thread = new ThreadState(this.settings('main', 'round'))
  }

  private settings(role: 'main' | 'second', lie: 'round' | 'flat'): ThreadSettings {
    const { D, W, ds } = this.work.materials
    return { role, lie, diameterMm: D, lineWidthMm: lie === 'flat' ? this.flatWidth : W, shaftMm: ds }
  }

  run(passes: readonly CompiledPass[]): Result<WorkedStitch> {
    for (const [index, pass] of passes.entries()) {
      this.thread.beginPass(this.settings(pass.pass.thread ?? 'main', pass.pass.lie ?? 'round'))
      const problems = this.pass(pass, index)
      if (problems.length > 0) return failure(...problems)
    }
    if (!this.fitted) return failure(error('work.nothing', [], `${this.work.document.name} has no pass to work.`))
    const motions: Partial<Record<Motion, number>> = {}
    for (const [motion, count] of this.thread.counts) if (count > 0) motions[motion] = count
    const { segments, holes, passes: past, trips, wrapMm } = this.thread
    return success({ segments, holes, passes: past, fitted: this.fitted, motions, repeats: this.repeats, trips, wrapMm })
  }

  private pass(pass: CompiledPass, passIndex: number): readonly Problem[] {
    let placed: Placed
    try {
      placed = this.place(pass)
    } catch (thrown) {
      return [this.problem(thrown, ['passes', passIndex, 'place'])]
    }
    if (placed.problems.length > 0) return placed.problems.map((problem) => ({ ...problem, message: `${this.work.document.name}: ${problem.message}` }))
    const before = this.repeats
    for (const run of placed.runs) {
      const problem = this.workRun(pass, passIndex, run)
      if (problem) return [problem]
    }
    if (passIndex === 0) this.fitted = this.fit(pass, placed, this.repeats - before)
    return []
  }

  private fit(pass: CompiledPass, placed: Placed, repeats: number): Fitted {
    const downs = (moves: readonly CompiledMove[]): number => moves.filter((move) => move.kind === 'down').length
    const perRepeat = pass.cycle.reduce((total, list) => total + downs(list), 0) / pass.cycle.length
    const started = placed.runs.reduce((total, run) => total + downs(run.afterCorner ? (pass.afterCorner ?? pass.start) : pass.start), 0)
    const advances = placed.legs.reduce((total, leg) => total + leg.count, 0)
    const pitchMm =
      pass.place.kind === 'once'
        ? (placed.legs[0]?.pitchMm ?? 0)
        : placed.legs.reduce((total, leg) => total + leg.pitchMm * leg.count, 0) / Math.max(1e-9, advances)
    const asked =
      pass.place.kind === 'along'
        ? pass.place.steps.reduce((total, one) => total + this.value(one), 0)
        : pass.place.pitch
          ? this.value(pass.place.pitch)
          : pitchMm
    return { count: repeats + (perRepeat > 0 ? Math.round(started / perRepeat) : 0), pitchMm, lengthMm: placed.lengthMm, legs: placed.legs, askedMm: asked }
  }

  private place(pass: CompiledPass): Placed {
    const { guide, leftHand, document } = this.work
    const { place } = pass
    this.advance = place.steps.reduce((total, one) => total + this.value(one), 0)
    if (place.kind === 'along' && (guide.kind === 'line' || guide.kind === 'shape')) {
      const line = guide.kind === 'line' ? guide : alongVein(guide)
      const tail = place.tail ? this.value(place.tail) : 0
      return placeAlong({
        path: line.path,
        width: line.width,
        centre: line.centre,
        times: place.times ? this.value(place.times) : undefined,
        steps: place.steps.map((one) => this.value(one)),
        tail,
        closedTail: place.closedTail ? this.value(place.closedTail) : tail,
        cornerTail: place.cornerTail ? this.value(place.cornerTail) : tail,
        restart: document.corner === 'restart',
        mirror: leftHand,
        besideMm: this.work.materials.e,
        atLeast: this.work.atLeast ?? [],
      })
    }
    if (place.kind === 'across' && guide.kind === 'shape' && place.pitch) return placeAcross(guide, this.value(place.pitch), leftHand)
    if (place.kind === 'once' && guide.kind === 'spots') return placeOnce(guide, leftHand)
    throw new MoveError(`this pass is placed "${place.kind}" and cannot be worked on this kind of guide (${guide.kind}).`)
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
    for (const [block, list, moves, frame, k, isLast] of blocks) {
      this.frame = frame
      this.frameIndex = k
      for (const move of moves) {
        if (move.when && !isNow(move.when, k, isLast)) continue
        try {
          this.move(move, { pass: passIndex, block, list, repeat: k, move: move.index })
        } catch (thrown) {
          return this.problem(thrown, ['passes', passIndex, block, move.index])
        }
      }
    }
    try {
      this.thread.finish()
    } catch (thrown) {
      return this.problem(thrown, ['passes', passIndex, closing ? 'close' : 'end'])
    }
    return null
  }

  private move(move: CompiledMove, made: { pass: number; block: BlockName; list: number; repeat: number; move: number }): void {
    const frame = this.frame as Frame
    const label = move.as
    if (move.kind === 'wrap') {
      this.thread.wrap(this.value(move.turns))
      return
    }
    if (move.kind === 'pass') {
      const here = frame.at(0, 0)
      const references = move.references.map((reference) => ({
        label: reference.label,
        back: reference.back,
        index: reference.index ? Math.round(this.value(reference.index)) : null,
        at: reference.at ? this.value(reference.at) : null,
      }))
      const next = frame.at(1, 0).at
      const scaleMm = Math.hypot(next.x - here.at.x, next.y - here.at.y)
      this.thread.pass(
        move.past,
        references,
        {
          from: move.from,
          at: move.at ? this.value(move.at) : 0.5,
          hitch: move.hitch,
          bightMm: move.bight ? this.value(move.bight) : null,
          advanceMm: this.advance * scaleMm,
        },
        { made, label, direction: here.direction, mirror: frame.mirror },
      )
      return
    }
    const found = this.point(move.point, frame, this.frameIndex)
    // A named point of a frame beyond the ends: the move is left out.
    if (!found) return
    const context = { made, label, direction: found.direction, mirror: frame.mirror }
    switch (move.kind) {
      case 'up':
        this.noteReturn(found)
        this.thread.up(found.at, move.round, move.split, move.half, context)
        break
      case 'down':
        this.noteReturn(found)
        this.thread.down(found.at, move.loose, move.split, context)
        break
      case 'by':
        this.thread.by(found.at)
        break
    }
    if (found.edge && move.kind !== 'by') this.thread.note('edge')
  }

  /** The needle travels against the direction of working: it cannot be loaded several stitches at a time. */
  private noteReturn(found: FoundPoint): void {
    const last = this.thread.lastPoint
    if (!last) return
    const travel = unit(subtract(found.at, last))
    if (travel && dot(travel, found.direction) < -0.3) this.thread.note('turn-back')
  }

  private point(form: CompiledPoint, frame: Frame, index: number): FoundPoint | null {
    switch (form.kind) {
      case 'frame': {
        const t = this.value(form.t)
        const place = frame.at(this.value(form.s), t)
        const reach = t > 0 ? frame.values.wl : frame.values.wr
        const edge = frame.outlined === true && t !== 0 && reach !== undefined && Math.abs(t) > 0.9 * reach
        return { at: place.at, direction: place.direction, edge }
      }
      case 'last': {
        const last = this.thread.lastPoint
        if (!last) throw new MoveError('"-" means where the needle last went through, and it has not gone through yet.')
        return { at: last, direction: frame.at(0, 0).direction, edge: false }
      }
      case 'named': {
        const other = form.shift === 0 ? frame : this.frames[index + form.shift]
        if (!other) return null
        const at = other.named(form.name)
        if (!at) throw new MoveError(`there is no point called "${form.name}" on this guide.`)
        return { at, direction: other.at(0, 0).direction, edge: form.name === 'a' || form.name === 'b' }
      }
      case 'between': {
        const from = this.point(form.from, frame, index)
        const to = this.point(form.to, frame, index)
        if (!from || !to) return null
        const direction = unit(subtract(to.at, from.at)) ?? from.direction
        const share = form.at ? this.value(form.at) : 0.5
        let at: Point = form.mm ? step(from.at, direction, this.value(form.mm)) : lerp(from.at, to.at, share)
        if (form.by) at = step(step(at, direction, this.value(form.by[0])), leftOf(direction), this.value(form.by[1]) * frame.mirror)
        return { at, direction, edge: false }
      }
    }
  }

  private value(compiled: Compiled): number {
    return compiled(this.lookup)
  }

  private readonly lookup = (name: string): number => {
    const known = this.base.get(name)
    if (known !== undefined) return known
    if (name === 'k') return this.frameIndex
    if (name === 'n') return this.frames.length
    const count = /^count\((\w+)\)$/.exec(name)
    if (count) return this.thread.count(count[1] as string)
    const values = this.frame?.values
    if (values && Object.hasOwn(values, name)) return values[name] as number
    throw new ExpressionError(`there is nothing called "${name}"`)
  }

  private problem(thrown: unknown, path: readonly (string | number)[]): Problem {
    if (!(thrown instanceof MoveError) && !(thrown instanceof ExpressionError)) throw thrown
    return error(
      'work.move',
      path,
      `${this.work.document.name}, ${where(path)}, repeat ${this.frameIndex + 1}: ${thrown.message}${thrown.message.endsWith('.') ? '' : '.'}`,
    )
  }
}

/** A leaf is a band along its vein whose rails are the outline; without a drawn vein, along its longest chord. */
function alongVein(guide: Extract<ReadGuide, { kind: 'shape' }>): Extract<ReadGuide, { kind: 'line' }> {
  const width = { kind: 'outline', points: guide.outline.points } as const
  if (guide.vein) return { kind: 'line', path: guide.vein, width }
  let ends: readonly [Point, Point] = [guide.outline.points[0] as Point, guide.outline.points[1] as Point]
  let longest = 0
  // Every fifth point of a finely flattened outline finds the longest chord to a hair.
  const some = guide.outline.points.filter((_, index) => guide.outline.points.length < 200 || index % 5 === 0)
  for (const a of some) {
    for (const b of some) {
      const size = Math.hypot(a.x - b.x, a.y - b.y)
      if (size > longest + 1e-9) {
        longest = size
        ends = [a, b]
      }
    }
  }
  return { kind: 'line', path: measurePath(ends) as MeasuredPath, width }
}

interface FoundPoint {
  readonly at: Point
  readonly direction: Point
  /** On the edge of a shape, where the eye sees every slip. */
  readonly edge: boolean
}

function isNow(when: NonNullable<CompiledMove['when']>, k: number, isLast: boolean): boolean {
  switch (when) {
    case 'first':
      return k === 0
    case 'last':
      return isLast
    case 'not-first':
      return k > 0
    case 'not-last':
      return !isLast
    case 'even':
      return k % 2 === 0
    case 'odd':
      return k % 2 === 1
  }
}
