/**
 * The places of a pass as letters: each place that its moves name has one, in the order in which a reader meets it, and is
 * shown on the drawing where the needle went through there.
 */
import type { Point } from '@lemmata/core/geometry'
import { cycleOf, type Move, type Pass, type PointForm } from '@lemmata/core/notation'
import type { Hole, WorkedStitch } from '@lemmata/core/work'

export interface LetteredPlace {
  readonly letter: string
  readonly form: PointForm
  /** Where the drawing has it, mm; null where no needle goes through there. */
  readonly at: Point | null
}

/** A move of a pass, as holes and problems name it. */
export interface MoveAddress {
  readonly block: 'start' | 'repeat' | 'end'
  readonly list: number
  readonly move: number
}

/** The place that a move names; null where it names none. */
export function placeOf(move: Move): PointForm | null {
  if ('up' in move) return move.up
  if ('down' in move) return move.down
  if ('by' in move) return move.by
  if ('pin' in move) return move.pin
  if ('cut' in move) return move.cut
  return null
}

export function withPlace(move: Move, form: PointForm): Move {
  if ('up' in move) return { ...move, up: form }
  if ('down' in move) return { ...move, down: form }
  if ('by' in move) return { ...move, by: form }
  if ('pin' in move) return { ...move, pin: form }
  if ('cut' in move) return { ...move, cut: form }
  return move
}

export function isSamePlace(a: PointForm, b: PointForm): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}

/** `passIndex`: among all passes that were worked, those of a base included. */
export function letteredPlaces(pass: Pass, passIndex: number, worked: WorkedStitch | null): readonly LetteredPlace[] {
  const holes = worked?.holes.filter((hole) => hole.made.pass === passIndex && hole.made.inner === null) ?? []
  const middle = middleRepeat(holes)
  const found: { form: PointForm; at: Point | null }[] = []
  for (const { address, move } of movesOf(pass)) {
    const form = placeOf(move)
    if (!form) continue
    const hole = holeOf(holes, address, middle)
    const known = found.find((one) => isSamePlace(one.form, form))
    if (!known) found.push({ form, at: hole })
    // The repeat in the middle shows a place better than the start does.
    else if (hole && (address.block === 'repeat' || !known.at)) known.at = hole
  }
  return found.map((one, index) => ({ letter: letterAt(index), ...one }))
}

export function movesOf(pass: Pass): readonly { readonly address: MoveAddress; readonly move: Move }[] {
  const block = (name: 'start' | 'end') => (pass[name] ?? []).map((move, index) => ({ address: { block: name, list: 0, move: index }, move }))
  const cycle = cycleOf(pass).flatMap((list, at) => list.map((move, index) => ({ address: { block: 'repeat' as const, list: at, move: index }, move })))
  return [...block('start'), ...cycle, ...block('end')]
}

/** A, B, … Z, AA, … */
function letterAt(index: number): string {
  const last = String.fromCharCode(65 + (index % 26))
  return index < 26 ? last : letterAt(Math.floor(index / 26) - 1) + last
}

function middleRepeat(holes: readonly Hole[]): number {
  const repeats = holes.filter((hole) => hole.made.block === 'repeat').map((hole) => hole.made.repeat)
  return repeats.length === 0 ? 0 : Math.floor((Math.min(...repeats) + Math.max(...repeats)) / 2)
}

function holeOf(holes: readonly Hole[], { block, list, move }: MoveAddress, middle: number): Point | null {
  let best: Hole | null = null
  for (const hole of holes) {
    const { made } = hole
    if (made.block !== block || made.list !== list || made.move !== move) continue
    if (!best || Math.abs(made.repeat - middle) < Math.abs(best.made.repeat - middle)) best = hole
  }
  return best && { x: best.x, y: best.y }
}

/** Every move that is at `from` is at `to`. */
export function movedPlace(pass: Pass, from: PointForm, to: PointForm): Pass {
  const put = (moves: readonly Move[]): readonly Move[] =>
    moves.map((move) => {
      const form = placeOf(move)
      return form && isSamePlace(form, from) ? withPlace(move, to) : move
    })
  const lists = cycleOf(pass).map(put)
  return {
    ...pass,
    ...(pass.start ? { start: put(pass.start) } : {}),
    repeat: lists.length > 1 ? lists : (lists[0] ?? []),
    ...(pass.end ? { end: put(pass.end) } : {}),
  }
}
