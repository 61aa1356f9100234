/**
 * Arithmetic in stitch documents, read and worked out here and never run as code. A number, a name,
 * `+ - * / %`, brackets and a few functions. Names are looked up by the caller; whatever is not finite is
 * an error that says which expression it was.
 */
import { type Figures, ToldError } from '../base/index.ts'
import type { Expression } from './moves.ts'

export class ExpressionError extends ToldError {}

export type Lookup = (name: string) => number
export type Compiled = (lookup: Lookup) => number

const MAX_CHARACTERS = 200
const MAX_DEPTH = 40

const FUNCTIONS: ReadonlyMap<string, (...values: number[]) => number> = new Map([
  ['min', Math.min],
  ['max', Math.max],
  ['abs', Math.abs],
  ['sqrt', Math.sqrt],
  ['sin', Math.sin],
  ['cos', Math.cos],
  ['tan', Math.tan],
  ['floor', Math.floor],
  ['ceil', Math.ceil],
  ['round', Math.round],
] as [string, (...values: number[]) => number][])

export const FUNCTION_NAMES: readonly string[] = [...FUNCTIONS.keys(), 'count']

/** Throws an `ExpressionError` that quotes the expression. */
export function compileExpression(expression: Expression): Compiled {
  if (typeof expression === 'number') {
    if (!Number.isFinite(expression)) throw new ExpressionError('expression.not-finite', { value: String(expression) })
    return () => expression
  }
  if (expression.length > MAX_CHARACTERS) throw new ExpressionError('expression.too-long', { characters: expression.length, most: MAX_CHARACTERS })
  const parsed = new Parser(expression).parse()
  return (lookup) => {
    const value = parsed(lookup)
    if (!Number.isFinite(value)) throw new ExpressionError('expression.no-value', { source: expression })
    return value
  }
}

type Token = { readonly kind: 'number'; readonly value: number } | { readonly kind: 'name' | 'sign'; readonly text: string }

class Parser {
  private readonly tokens: readonly Token[]
  private place = 0
  private depth = 0

  constructor(private readonly source: string) {
    this.tokens = tokenize(source)
  }

  parse(): Compiled {
    const compiled = this.terms()
    if (this.place < this.tokens.length) this.fail('left-over')
    return compiled
  }

  private fail(why: string, figures: Figures = {}): never {
    throw new ExpressionError('expression.unreadable', { source: this.source, why: { code: `expression.${why}`, figures } })
  }

  private sign(...texts: string[]): string | null {
    const token = this.tokens[this.place]
    if (token?.kind !== 'sign' || !texts.includes(token.text)) return null
    this.place += 1
    return token.text
  }

  private terms(): Compiled {
    this.depth += 1
    if (this.depth > MAX_DEPTH) this.fail('deep-brackets')
    let left = this.factors()
    for (let sign = this.sign('+', '-'); sign; sign = this.sign('+', '-')) {
      const a = left
      const b = this.factors()
      left = sign === '+' ? (look) => a(look) + b(look) : (look) => a(look) - b(look)
    }
    this.depth -= 1
    return left
  }

  private factors(): Compiled {
    let left = this.single()
    for (let sign = this.sign('*', '/', '%'); sign; sign = this.sign('*', '/', '%')) {
      const a = left
      const b = this.single()
      left = this.product(sign, a, b)
    }
    return left
  }

  private product(sign: string, a: Compiled, b: Compiled): Compiled {
    if (sign === '*') return (look) => a(look) * b(look)
    const source = this.source
    return (look) => {
      const by = b(look)
      if (by === 0) throw new ExpressionError('expression.divides-by-zero', { source })
      const value = a(look)
      // The remainder is never negative, so that k-1 counts round as a person expects.
      return sign === '/' ? value / by : value - Math.floor(value / by) * by
    }
  }

  private single(): Compiled {
    if (this.sign('-')) {
      const inner = this.nested(() => this.single())
      return (look) => -inner(look)
    }
    if (this.sign('+')) return this.nested(() => this.single())
    if (this.sign('(')) {
      const inner = this.terms()
      if (!this.sign(')')) this.fail('open-bracket')
      return inner
    }
    const token = this.tokens[this.place]
    this.place += 1
    if (token?.kind === 'number') return () => token.value
    if (token?.kind === 'name') return this.named(token.text)
    return this.fail('missing')
  }

  private nested(read: () => Compiled): Compiled {
    this.depth += 1
    if (this.depth > MAX_DEPTH) this.fail('deep-signs')
    const inner = read()
    this.depth -= 1
    return inner
  }

  private named(name: string): Compiled {
    if (!this.sign('(')) return (look) => look(name)
    if (name === 'count') {
      const label = this.tokens[this.place]
      this.place += 1
      if (label?.kind !== 'name' || !this.sign(')')) this.fail('count')
      const wanted = `count(${(label as { text: string }).text})`
      return (look) => look(wanted)
    }
    const run = FUNCTIONS.get(name)
    if (!run) return this.fail('no-function', { name })
    const given: Compiled[] = [this.terms()]
    while (this.sign(',')) given.push(this.terms())
    if (!this.sign(')')) this.fail('open-bracket-after', { name })
    return (look) => run(...given.map((one) => one(look)))
  }
}

function tokenize(source: string): readonly Token[] {
  const tokens: Token[] = []
  const pattern = /\s*(?:(\d+\.?\d*(?:[eE][+-]?\d+)?|\.\d+(?:[eE][+-]?\d+)?)|([A-Za-z_]\w*)|([-+*/%(),]))/y
  const text = source.trimEnd()
  while (pattern.lastIndex < text.length) {
    const start = pattern.lastIndex
    const match = pattern.exec(text)
    if (!match)
      throw new ExpressionError('expression.unreadable', { source, why: { code: 'expression.sign', figures: { sign: text.slice(start).trim().charAt(0) } } })
    if (match[1] !== undefined) tokens.push({ kind: 'number', value: Number(match[1]) })
    else if (match[2] !== undefined) tokens.push({ kind: 'name', text: match[2] })
    else tokens.push({ kind: 'sign', text: match[3] as string })
  }
  return tokens
}
