/** A stitch document with every expression read once and every label checked, ready to be worked many times. */
import { error, type Problem, type ProblemPath } from '../base/index.ts'
import type { Expression, Move, Pass, PointForm, Round, StitchDocument, When } from '../notation/index.ts'
import { type Compiled, compileExpression, cycleOf, ExpressionError } from '../notation/index.ts'
import type { MoveRef } from './types.ts'

export type CompiledPoint =
  | { readonly kind: 'frame'; readonly s: Compiled; readonly t: Compiled }
  | { readonly kind: 'named'; readonly name: string; readonly shift: number }
  | { readonly kind: 'last' }
  | {
      readonly kind: 'between'
      readonly from: CompiledPoint
      readonly to: CompiledPoint
      readonly at: Compiled | null
      readonly mm: Compiled | null
      readonly by: readonly [Compiled, Compiled] | null
    }

interface CompiledCommon {
  readonly index: number
  readonly as: string | null
  readonly when: When | null
}

export type CompiledMove =
  | (CompiledCommon & {
      readonly kind: 'up'
      readonly point: CompiledPoint
      readonly round: Round | null
      readonly split: string | null
      readonly half: boolean
    })
  | (CompiledCommon & { readonly kind: 'down'; readonly point: CompiledPoint; readonly loose: boolean; readonly split: string | null })
  | (CompiledCommon & { readonly kind: 'by'; readonly point: CompiledPoint })
  | (CompiledCommon & { readonly kind: 'wrap'; readonly turns: Compiled })
  | (CompiledCommon & {
      readonly kind: 'pass'
      readonly past: 'under' | 'over'
      readonly references: readonly CompiledReference[]
      readonly from: 'left' | 'right' | 'near'
      readonly at: Compiled | null
      readonly hitch: boolean
      readonly bight: Compiled | null
    })

export interface CompiledReference {
  readonly label: string
  readonly index: Compiled | null
  readonly back: number
  readonly at: Compiled | null
}

export type BlockName = MoveRef['block']

export interface CompiledPlace {
  readonly kind: 'along' | 'across' | 'once'
  readonly steps: readonly Compiled[]
  readonly tail: Compiled | null
  readonly closedTail: Compiled | null
  readonly cornerTail: Compiled | null
  readonly pitch: Compiled | null
  readonly times: Compiled | null
}

export interface CompiledPass {
  readonly pass: Pass
  readonly place: CompiledPlace
  readonly start: readonly CompiledMove[]
  readonly afterCorner: readonly CompiledMove[] | null
  readonly cycle: readonly (readonly CompiledMove[])[]
  readonly end: readonly CompiledMove[]
  readonly close: readonly CompiledMove[] | null
}

export interface CompiledStitch {
  readonly document: StitchDocument
  readonly passes: readonly CompiledPass[]
  readonly problems: readonly Problem[]
}

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

class Compiler {
  private readonly problems: Problem[] = []
  private readonly labels = new Set<string>()
  private moves = 0

  constructor(private readonly document: StitchDocument) {}

  compile(): CompiledStitch {
    this.collectLabels()
    const passes = this.document.passes.map((pass, index) => this.pass(pass, ['passes', index]))
    return { document: this.document, passes, problems: this.problems }
  }

  private wrong(path: ProblemPath, message: string): void {
    this.problems.push(error('notation.move', path, `${this.document.name}, ${where(path)}: ${message}`))
  }

  private collectLabels(): void {
    for (const pass of this.document.passes) {
      const lists = [pass.start, pass.afterCorner, pass.end, pass.close, ...cycleOf(pass)]
      for (const move of lists.flatMap((list) => list ?? [])) {
        this.moves += 1
        if (move.as !== undefined) this.labels.add(move.as)
      }
    }
    if (this.moves > MOST_MOVES) this.wrong([], `${this.moves} moves are too many; the most is ${MOST_MOVES}.`)
  }

  private expression(expression: Expression, path: ProblemPath): Compiled {
    try {
      return compileExpression(expression)
    } catch (thrown) {
      if (!(thrown instanceof ExpressionError)) throw thrown
      this.wrong(path, `${thrown.message}.`)
      return () => 0
    }
  }

  private pass(pass: Pass, path: ProblemPath): CompiledPass {
    const list = (moves: readonly Move[] | undefined, block: string): readonly CompiledMove[] =>
      (moves ?? []).map((move, index) => this.move(move, index, [...path, block, index]))
    const cycle = cycleOf(pass)
    if (cycle.length === 0 || cycle.some((one) => one.length === 0))
      this.wrong([...path, 'repeat'], 'the repeat has no moves. Add at least one up and one down.')
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

  private place(pass: Pass, path: ProblemPath): CompiledPlace {
    const none = { steps: [], tail: null, closedTail: null, cornerTail: null, pitch: null, times: null }
    const maybe = (expression: Expression | undefined, key: string): Compiled | null =>
      expression === undefined ? null : this.expression(expression, [...path, key])
    if ('once' in pass.place) return { kind: 'once', ...none }
    if ('across' in pass.place) return { kind: 'across', ...none, pitch: this.expression(pass.place.across.pitch, [...path, 'pitch']) }
    const { step, tail, closedTail, cornerTail, times } = pass.place.along
    if (step.length === 0) this.wrong([...path, 'step'], 'at least one step is needed.')
    return {
      kind: 'along',
      steps: step.map((one, index) => this.expression(one, [...path, 'step', index])),
      tail: maybe(tail, 'tail'),
      closedTail: maybe(closedTail, 'closedTail'),
      cornerTail: maybe(cornerTail, 'cornerTail'),
      times: maybe(times, 'times'),
      pitch: null,
    }
  }

  private move(move: Move, index: number, path: ProblemPath): CompiledMove {
    const common = { index, as: move.as ?? null, when: move.when ?? null }
    const split = (label: string | undefined): string | null => {
      if (label !== undefined && !this.labels.has(label))
        this.wrong(path, `nothing is labelled "${label}", so it cannot be split. Put "as": "${label}" on the move that makes that thread.`)
      return label ?? null
    }
    if ('up' in move)
      return { ...common, kind: 'up', point: this.point(move.up, path, 0), round: move.round ?? null, split: split(move.split), half: move.half ?? false }
    if ('down' in move) return { ...common, kind: 'down', point: this.point(move.down, path, 0), loose: move.loose ?? false, split: split(move.split) }
    if ('by' in move) return { ...common, kind: 'by', point: this.point(move.by, path, 0) }
    if ('wrap' in move) return { ...common, kind: 'wrap', turns: this.expression(move.wrap, path) }
    const references = 'under' in move ? move.under : move.over
    if (references.length === 0) this.wrong(path, 'name at least one thread to pass.')
    return {
      ...common,
      kind: 'pass',
      past: 'under' in move ? 'under' : 'over',
      references: references.map((reference) => this.reference(reference, path)),
      from: move.from ?? 'near',
      at: move.at === undefined ? null : this.expression(move.at, path),
      hitch: move.round === 'inside',
      bight: move.bight === undefined ? null : this.expression(move.bight, path),
    }
  }

  /** `st`, `st~1`, `st[k+1]`, `loop[0]@.95`. */
  private reference(text: string, path: ProblemPath): CompiledReference {
    const match = /^([A-Za-z]\w*)(?:~(\d+)|\[([^\]]+)\])?(?:@(.+))?$/.exec(text)
    if (!match) {
      this.wrong(path, `"${text}" is not a reference. Write a label such as "st", "st~1", "st[k]" or "st[k]@0.5".`)
      return { label: '', index: null, back: 0, at: null }
    }
    const label = match[1] as string
    if (!this.labels.has(label))
      this.wrong(path, `nothing is labelled "${label}", so it cannot be passed. Put "as": "${label}" on the move that makes that thread.`)
    return {
      label,
      back: match[2] === undefined ? 0 : Number(match[2]),
      index: match[3] === undefined ? null : this.expression(match[3], path),
      at: match[4] === undefined ? null : this.expression(match[4], path),
    }
  }

  private point(form: PointForm, path: ProblemPath, depth: number): CompiledPoint {
    if (depth > MOST_NESTING) {
      this.wrong(path, 'a point between points is nested too deeply.')
      return { kind: 'last' }
    }
    if (typeof form === 'string') {
      if (form === '-') return { kind: 'last' }
      const match = /^([A-Za-z]\w*?)\s*(?:([+-])\s*(\d+))?$/.exec(form)
      if (!match) {
        this.wrong(path, `"${form}" is not a point. Write ["s", "t"], a named point such as "a", or "-".`)
        return { kind: 'last' }
      }
      return { kind: 'named', name: match[1] as string, shift: match[3] === undefined ? 0 : Number(`${match[2]}${match[3]}`) }
    }
    if (isPair(form)) return { kind: 'frame', s: this.expression(form[0], path), t: this.expression(form[1], path) }
    return {
      kind: 'between',
      from: this.point(form.from, path, depth + 1),
      to: this.point(form.to, path, depth + 1),
      at: form.at === undefined ? null : this.expression(form.at, path),
      mm: form.mm === undefined ? null : this.expression(form.mm, path),
      by: form.by === undefined ? null : [this.expression(form.by[0], path), this.expression(form.by[1], path)],
    }
  }
}

function isPair(form: Exclude<PointForm, string>): form is readonly [Expression, Expression] {
  return Array.isArray(form)
}

/** `pass 1, repeat, move 2`, counted from one as people do. */
export function where(path: ProblemPath): string {
  const words: string[] = []
  for (const [index, part] of path.entries()) {
    if (typeof part !== 'number') {
      if (part !== 'passes') words.push(part)
    } else words.push(`${path[index - 1] === 'passes' ? 'pass' : 'move'} ${part + 1}`)
  }
  return words.join(', ') || 'the whole document'
}
