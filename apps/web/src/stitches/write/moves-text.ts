/**
 * Moves as a person types them: one field of the table is one property of a move. A field holds what the file
 * would hold: an expression, a named point, or JSON for the rarer forms.
 */
import { kindOfMove, type Move, type MoveKind } from '@lemmata/core/notation'

/** What each kind of move is called in the table. */
export const MOVE_WORDS: Readonly<Record<MoveKind, string>> = {
  up: 'come up',
  down: 'go down',
  by: 'lead the thread by',
  under: 'slide under',
  over: 'pass over',
  wrap: 'wrap the needle',
  cast: 'cast on',
  lay: 'lay along',
  round: 'round a pin',
  each: 'along it, each',
  hold: 'hold in front',
  take: 'take up another thread',
  drawn: 'draw in',
  pin: 'set a pin',
  bead: 'take a bead',
  pad: 'pad',
  cut: 'cut',
  withdraw: 'withdraw threads',
  bundle: 'bundle threads',
}

export function kindOf(move: Move): MoveKind {
  return kindOfMove(move) ?? 'up'
}

const EMPTY: Readonly<Record<MoveKind, unknown>> = {
  up: { up: [0, 0] },
  down: { down: ['L', 0] },
  by: { by: [0, 0] },
  under: { under: ['st'] },
  over: { over: ['st'] },
  wrap: { wrap: 2 },
  cast: { cast: 8 },
  lay: { lay: [0, 'U'] },
  round: { round: 'pin', to: [0, 0] },
  each: { each: { along: 'st', every: 3 }, moves: [{ up: [0, '-h'] }, { down: [0, 'h'] }] },
  hold: { hold: true },
  take: { take: 'tie' },
  drawn: { drawn: ['st'], by: [0, 1] },
  pin: { pin: 'pin' },
  bead: { bead: 2 },
  pad: { pad: 0.5 },
  cut: { cut: 'centre', size: 2 },
  withdraw: { withdraw: ['-w', 'w'] },
  bundle: { bundle: [0, 'L'], at: 0 },
}

/** A move of another kind, keeping the place where both have one. */
export function asKind(move: Move, kind: MoveKind): unknown {
  const place = (move as unknown as Record<string, unknown>)[kindOf(move)]
  const placed: readonly MoveKind[] = ['up', 'down', 'by']
  return placed.includes(kind) && placed.includes(kindOf(move)) ? { [kind]: place } : EMPTY[kind]
}

/** The place of a move in words of the file: `L, 0`, `a`, or JSON. */
export function placeText(move: Move): string {
  const value = (move as unknown as Record<string, unknown>)[kindOf(move)]
  if (Array.isArray(value) && value.every((one) => typeof one === 'string' || typeof one === 'number')) return value.join(', ')
  if (typeof value === 'string' || typeof value === 'number') return String(value)
  return JSON.stringify(value)
}

/** What was typed, back into the value of the move; numbers as numbers. */
export function readPlace(kind: MoveKind, text: string): unknown {
  const typed = text.trim()
  if (typed.startsWith('{') || typed.startsWith('[')) {
    try {
      return JSON.parse(typed) as unknown
    } catch {
      return typed
    }
  }
  if (kind === 'hold') return true
  const parts = splitTop(typed).map(readValue)
  if (kind === 'under' || kind === 'over' || kind === 'drawn') return splitTop(typed)
  if (kind === 'wrap' || kind === 'cast' || kind === 'bead' || kind === 'pad') return parts[0] ?? 0
  return parts.length > 1 ? parts : typed
}

/** Commas within brackets belong to a function: `min(a, b)`. */
function splitTop(text: string): string[] {
  const parts: string[] = ['']
  let depth = 0
  for (const letter of text) {
    if (letter === '(' || letter === '[') depth += 1
    if (letter === ')' || letter === ']') depth -= 1
    if (letter === ',' && depth === 0) parts.push('')
    else parts[parts.length - 1] += letter
  }
  return parts.map((part) => part.trim())
}

function readValue(text: string): number | string {
  return text !== '' && Number.isFinite(Number(text)) ? Number(text) : text
}

/** Everything but the place and the label, or `only` these fields of it: `loose`, `round inside`, `when last`. */
export function restText(move: Move, only?: readonly string[]): string {
  const kind = kindOf(move)
  return Object.entries(move)
    .filter(([key]) => key !== kind && key !== 'as' && (only?.includes(key) ?? true))
    .map(([key, value]) => (value === true ? key : `${key} ${typeof value === 'string' || typeof value === 'number' ? String(value) : JSON.stringify(value)}`))
    .join('; ')
}

export function readRest(text: string): Record<string, unknown> {
  const rest: Record<string, unknown> = {}
  for (const part of text.split(';')) {
    const match = /^\s*([A-Za-z]+)(?:\s+(.+?))?\s*$/.exec(part)
    if (!match) continue
    const [, key = '', value] = match
    if (value === undefined) rest[key] = true
    else if (value.startsWith('[') || value.startsWith('{')) {
      try {
        rest[key] = JSON.parse(value) as unknown
      } catch {
        rest[key] = value
      }
    } else rest[key] = readValue(value)
  }
  return rest
}
