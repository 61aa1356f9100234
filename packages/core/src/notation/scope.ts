/**
 * What the names in a stitch document stand for. Parameters may be given by the teacher, else their usual
 * value is worked out; they may refer to each other but not in a ring.
 */
import { about, error, failure, type Figures, type Problem, type Result, success } from '../base/index.ts'
import { type ParameterSpec, parameterSpec, type StitchDocument } from './document.ts'
import type { Expression } from './moves.ts'
import { compileExpression, ExpressionError, FUNCTION_NAMES, type Lookup } from './expression.ts'

/** Names that the notation gives a meaning; a parameter may not take one. */
export const RESERVED_NAMES: readonly string[] = [
  ...['k', 'n', 'w', 'wl', 'wr', 'rest', 'U', 'row', 'col', 'span', 'j', 'u', 'h', 'size', 'radius', 'height', 'columns', 'rows', 'fro'],
  ...['D', 'W', 'F', 't', 'ds'],
  ...FUNCTION_NAMES,
]

/** What the thread, needle and cloth give: D, W, F, t, ds; p, the pitch of the cloth's threads; e, "right beside". */
export type MaterialValues = Readonly<Record<'D' | 'W' | 'F' | 't' | 'ds' | 'p' | 'e', number>>

export interface ParameterValue {
  readonly id: string
  readonly name: string
  readonly kind: 'length' | 'count' | 'share'
  readonly measures: 'apart' | 'between' | null
  readonly value: number
  /** Given by the teacher, or left to the usual value. */
  readonly given: boolean
  readonly usual: number
  readonly min: number | null
  readonly max: number | null
}

export type ParameterValues = ReadonlyMap<string, ParameterValue>

const MOST_PARAMETERS = 24

/** Every parameter worked out. A problem names the stitch and the parameter. */
export function resolveParameters(document: StitchDocument, materials: MaterialValues, given: Readonly<Record<string, number>> = {}): Result<ParameterValues> {
  const specs = new Map(Object.entries(document.parameters ?? {}).map(([id, one]) => [id, parameterSpec(one)] as const))
  const problems: Problem[] = []
  const wrong = (id: string, code: string, figures: Figures = {}): void => {
    problems.push(about(error('notation.parameter', ['parameters', id], { reason: { code, figures } }), document.name))
  }
  if (specs.size > MOST_PARAMETERS) wrong('', 'parameter.too-many', { count: specs.size, most: MOST_PARAMETERS })
  for (const id of specs.keys()) {
    if (RESERVED_NAMES.includes(id)) wrong(id, 'parameter.reserved', { id })
    else if (!/^[A-Za-z]\w*$/.test(id)) wrong(id, 'parameter.name', { id })
  }
  for (const id of Object.keys(given)) {
    if (!specs.has(id)) wrong(id, 'parameter.none', { id, has: [...specs.keys()] })
    else if (!Number.isFinite(given[id])) wrong(id, 'parameter.not-a-number', { id })
  }
  if (problems.length > 0) return failure(...problems)

  const values = new Map<string, ParameterValue>()
  const open: string[] = []
  const lookup: Lookup = (name) => {
    if (specs.has(name)) return resolve(name).value
    if (Object.hasOwn(materials, name)) return materials[name as keyof MaterialValues]
    throw new ExpressionError('expression.nothing-called', { name })
  }
  const resolve = (id: string): ParameterValue => {
    const known = values.get(id)
    if (known) return known
    if (open.includes(id)) throw new ExpressionError('expression.ring', { names: [...open.slice(open.indexOf(id)), id].join(' \u2192 ') })
    open.push(id)
    const value = valueOf(id, specs.get(id) as ParameterSpec, given, lookup)
    open.pop()
    values.set(id, value)
    return value
  }
  for (const id of specs.keys()) {
    try {
      resolve(id)
    } catch (thrown) {
      if (!(thrown instanceof ExpressionError)) throw thrown
      wrong(id, 'parameter.expression', { id, why: thrown.told })
      return failure(...problems)
    }
  }
  return success(values)
}

function valueOf(id: string, spec: ParameterSpec, given: Readonly<Record<string, number>>, lookup: Lookup): ParameterValue {
  const work = (expression: Expression): number => compileExpression(expression)(lookup)
  const min = spec.min === undefined ? null : work(spec.min)
  const max = spec.max === undefined ? null : work(spec.max)
  // A rule of thumb for the usual length may leave its own window in the thickest and the finest thread.
  const usual = Math.max(min ?? -Infinity, Math.min(max ?? Infinity, work(spec.usual)))
  const isGiven = Object.hasOwn(given, id)
  return {
    id,
    name: spec.name ?? id,
    kind: spec.kind ?? 'length',
    measures: spec.measures ?? null,
    value: isGiven ? (given[id] as number) : usual,
    given: isGiven,
    usual,
    min,
    max,
  }
}
