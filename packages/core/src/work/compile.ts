/** A stitch document with every expression read once and every label checked, ready to be worked many times. */
import { error, type Figures, type Problem, type ProblemPath } from '../base/index.ts'
import type { Expression, Move, Pass, PointForm, StitchDocument } from '../notation/index.ts'
import { type Compiled, compileExpression, cycleOf, ExpressionError } from '../notation/index.ts'
import type { CompiledMove, CompiledPass, CompiledPlace, CompiledPoint, CompiledReference, CompiledStitch } from './compiled.ts'
import { readMove } from './moves/index.ts'

const known = new WeakMap<StitchDocument, CompiledStitch>()

/** Compiled once for each document object; documents are never changed in place. */
export function compileStitch(document: StitchDocument): CompiledStitch {
  const before = known.get(document)
  if (before) return before
  const compiled = new Compiler(document).compile()
  known.set(document, compiled)
  return compiled
}

const MOST_MOVES = 200
const MOST_NESTING = 3
/** Moves within `each`, which may not hold another. */
const MOST_EACH = 1

class Compiler {
  private readonly problems: Problem[] = []
  private readonly labels = new Set<string>()
  private readonly seekable = new Set<string>()
  private moves = 0

  constructor(private readonly document: StitchDocument) {}

  compile(): CompiledStitch {
    for (const pass of this.document.passes) {
      for (const moves of [pass.start, pass.afterCorner, pass.end, pass.close, ...cycleOf(pass)]) this.collectLabels(moves ?? [])
    }
    if (this.moves > MOST_MOVES) this.wrong([], 'move.many-moves', { count: this.moves, most: MOST_MOVES })
    const passes = this.document.passes.map((pass, index) => this.pass(pass, ['passes', index]))
    return { document: this.document, passes, seekable: this.seekable, problems: this.problems }
  }

  private wrong(path: ProblemPath, code: string, figures: Figures = {}): void {
    this.problems.push({ ...error('notation.move', path, { reason: { code, figures } }), about: [this.document.name, { path }] })
  }

  private collectLabels(moves: readonly Move[]): void {
    for (const move of moves) {
      this.moves += 1
      if (move.as !== undefined) this.labels.add(move.as)
      if ('each' in move) this.collectLabels(move.moves)
    }
  }

  private expression(expression: Expression, path: ProblemPath): Compiled {
    try {
      return compileExpression(expression)
    } catch (thrown) {
      if (!(thrown instanceof ExpressionError)) throw thrown
      this.wrong(path, 'move.expression', { why: thrown.told })
      return () => 0
    }
  }

  private maybe(expression: Expression | undefined, path: ProblemPath): Compiled | null {
    return expression === undefined ? null : this.expression(expression, path)
  }

  private pass(pass: Pass, path: ProblemPath): CompiledPass {
    const list = (moves: readonly Move[] | undefined, block: string): readonly CompiledMove[] =>
      (moves ?? []).map((move, index) => this.move(move, index, null, [...path, block, index], 0))
    const cycle = cycleOf(pass)
    if (cycle.length === 0 || cycle.some((one) => one.length === 0)) this.wrong([...path, 'repeat'], 'move.no-moves')
    return {
      pass,
      place: this.place(pass, [...path, 'place']),
      start: list(pass.start, 'start'),
      afterCorner: pass.afterCorner ? list(pass.afterCorner, 'afterCorner') : null,
      cycle: cycle.map((moves, index) => list(moves, cycle.length > 1 ? `repeat ${index + 1}` : 'repeat')),
      end: list(pass.end, 'end'),
      close: pass.close ? list(pass.close, 'close') : null,
    }
  }

  private place({ place }: Pass, path: ProblemPath): CompiledPlace {
    if ('once' in place) return { kind: 'once' }
    if ('whole' in place) return { kind: 'whole' }
    if ('pins' in place) return { kind: 'pins', fan: place.pins === 'fan' }
    if ('weave' in place) {
      const { label, tip, beat } = place.weave
      this.needsLabel(label, [...path, 'weave'], 'woven')
      return { kind: 'weave', label, tip: this.expression(tip, [...path, 'tip']), beat: this.expression(beat, [...path, 'beat']) }
    }
    if ('times' in place) return { kind: 'times', times: this.expression(place.times, [...path, 'times']) }
    if ('cells' in place) return { kind: 'cells', order: place.cells.order ?? 'to-and-fro' }
    if ('scatter' in place)
      return {
        kind: 'scatter',
        apart: this.expression(place.scatter.apart, [...path, 'apart']),
        inset: this.maybe(place.scatter.inset, [...path, 'inset']),
        packed: place.scatter.packed ?? false,
      }
    if ('crossings' in place) {
      for (const label of place.crossings) this.needsLabel(label, path, 'crossed')
      return { kind: 'crossings', labels: place.crossings }
    }
    if ('across' in place) {
      const { pitch, turn, inset, cuts } = place.across
      return {
        kind: 'across',
        pitch: this.expression(pitch, [...path, 'pitch']),
        turn: this.maybe(turn, [...path, 'turn']),
        inset: this.maybe(inset, [...path, 'inset']),
        cuts: cuts
          ? {
              first: cuts.first.map((one, index) => this.expression(one, [...path, 'cuts', 'first', index])),
              step: this.expression(cuts.step, [...path, 'cuts', 'step']),
              bite: this.maybe(cuts.bite, [...path, 'cuts', 'bite']),
              min: this.maybe(cuts.min, [...path, 'cuts', 'min']),
              by: cuts.by ?? 'row',
            }
          : null,
      }
    }
    const { step, tail, closedTail, cornerTail, times, order, odd, of, inset, rows, again } = place.along
    if (step.length === 0) this.wrong([...path, 'step'], 'move.no-step')
    return {
      kind: 'along',
      steps: step.map((one, index) => this.expression(one, [...path, 'step', index])),
      tail: this.maybe(tail, [...path, 'tail']),
      closedTail: this.maybe(closedTail, [...path, 'closedTail']),
      cornerTail: this.maybe(cornerTail, [...path, 'cornerTail']),
      times: this.maybe(times, [...path, 'times']),
      reverse: order === 'reverse',
      odd: odd ?? false,
      of: of ?? 'vein',
      inset: this.maybe(inset, [...path, 'inset']),
      again: this.maybe(again, [...path, 'again']),
      rows: rows ? { spacing: this.expression(rows.spacing, [...path, 'rows']), follow: rows.follow } : null,
    }
  }

  private move(move: Move, index: number, inner: number | null, path: ProblemPath, depth: number): CompiledMove {
    const common = {
      index,
      inner,
      as: move.as ?? null,
      when: move.when ?? null,
      only: move.only ?? null,
      except: move.except ?? null,
      given: this.maybe(move.if, path),
    }
    return readMove(move, common, {
      expression: (given) => this.expression(given, path),
      maybe: (given) => this.maybe(given, path),
      point: (given) => this.point(given, path, 0),
      reference: (given, done) => this.reference(given, path, done),
      inner: (moves) => (depth >= MOST_EACH ? null : moves.map((one, at) => this.move(one, index, at, [...path, at], depth + 1))),
      wrong: (code) => this.wrong(path, code),
    })
  }

  private needsLabel(label: string, path: ProblemPath, done: string): void {
    if (this.labels.has(label)) return
    this.wrong(path, 'move.no-label', { label, done })
  }

  /** `st`, `st~1`, `st[k+1]`, `loop[0]@.95`, `st*`. */
  private reference(text: string, path: ProblemPath, done: string): CompiledReference {
    const match = /^([A-Za-z]\w*)(?:~(\d+)|\[([^\]]+)\]|(\*))?(?:@(.+))?$/.exec(text)
    if (!match) {
      this.wrong(path, 'move.reference', { text })
      return { label: '', index: null, back: 0, nearest: false, at: null }
    }
    const label = match[1] as string
    this.needsLabel(label, path, done)
    if (match[4] !== undefined) this.seekable.add(label)
    return {
      label,
      back: match[2] === undefined ? 0 : Number(match[2]),
      index: match[3] === undefined ? null : this.expression(match[3], path),
      nearest: match[4] !== undefined,
      at: match[5] === undefined ? null : this.expression(match[5], path),
    }
  }

  private point(form: PointForm, path: ProblemPath, depth: number): CompiledPoint {
    if (depth > MOST_NESTING) {
      this.wrong(path, 'move.deep-point')
      return { kind: 'last' }
    }
    if (typeof form === 'string') {
      if (form === '-') return { kind: 'last' }
      const match = /^([A-Za-z]\w*?)\s*(?:([+-])\s*(\d+))?$/.exec(form)
      if (!match) {
        this.wrong(path, 'move.point', { form })
        return { kind: 'last' }
      }
      return { kind: 'named', name: match[1] as string, shift: match[3] === undefined ? 0 : Number(`${match[2]}${match[3]}`) }
    }
    if (isPair(form)) return { kind: 'frame', s: this.expression(form[0], path), t: this.expression(form[1], path) }
    if ('cross' in form) return { kind: 'cross', threads: [this.reference(form.cross[0], path, 'crossed'), this.reference(form.cross[1], path, 'crossed')] }
    if ('edge' in form) return { kind: 'edge', side: form.edge, lean: this.expression(form.lean, path) }
    return {
      kind: 'between',
      from: this.point(form.from, path, depth + 1),
      to: this.point(form.to, path, depth + 1),
      at: this.maybe(form.at, path),
      mm: this.maybe(form.mm, path),
      by: form.by === undefined ? null : [this.expression(form.by[0], path), this.expression(form.by[1], path)],
    }
  }
}

function isPair(form: Exclude<PointForm, string>): form is readonly [Expression, Expression] {
  return Array.isArray(form)
}
