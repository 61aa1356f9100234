/**
 * Mistakes as changes of the moves. Those that teachers meet most follow from the moves themselves, so a
 * stitch that nobody has seen before has its usual mistakes too; a document may add its own.
 */
import type { Mistake, Pass, StitchDocument } from './document.ts'
import { cycleOf, isMoveLists } from './document.ts'
import type { Move, PointForm } from './moves.ts'

/** In the second repeat: the first shows how it should be, and the third that it goes on. */
const ONCE: readonly number[] = [1]

/** The document with the mistake in it. */
export function applyMistake(document: StitchDocument, mistake: Mistake): StitchDocument {
  if ('tight' in mistake.change) return document
  const passes = document.passes.map((pass, index) => (index === mistake.pass ? changed(pass, mistake) : pass))
  return { ...document, passes }
}

function changed(pass: Pass, mistake: Mistake): Pass {
  const edit = (moves: readonly Move[]): readonly Move[] => moves.flatMap((move, index) => (index === mistake.move ? wrongMoves(move, mistake) : [move]))
  if (mistake.block !== 'repeat') {
    const moves = pass[mistake.block]
    return moves ? { ...pass, [mistake.block]: edit(moves) } : pass
  }
  const lists = isMoveLists(pass.repeat) ? pass.repeat : null
  if (!lists) return { ...pass, repeat: edit(cycleOf(pass)[0] ?? []) }
  return { ...pass, repeat: lists.map((list, index) => (index === (mistake.list ?? 0) ? edit(list) : list)) }
}

function wrongMoves(move: Move, mistake: Mistake): readonly Move[] {
  const { change, only, inner } = mistake
  const right = only ? [{ ...move, except: [...(move.except ?? []), ...only] }] : []
  const wrong = (one: Move): Move => (only ? { ...one, only } : one)
  if (inner !== undefined && 'each' in move) {
    const within = { ...mistake, inner: undefined, only: undefined }
    return [...right, wrong({ ...move, moves: move.moves.flatMap((one, index) => (index === inner ? wrongMoves(one, within) : [one])) })]
  }
  if ('leaveOut' in change) return right
  if ('instead' in change) return [...right, ...change.instead.map(wrong)]
  if ('aside' in change) {
    const by = change.aside
    if ('up' in move) return [...right, wrong({ ...move, up: shifted(move.up, by) })]
    if ('down' in move) return [...right, wrong({ ...move, down: shifted(move.down, by) })]
  }
  return [move]
}

function shifted(point: PointForm, by: Extract<Mistake['change'], { aside: unknown }>['aside']): PointForm {
  return { from: point, to: point, at: 0, by }
}

interface Met {
  readonly move: Move
  readonly pass: number
  readonly list: number
  readonly index: number
}

/** What goes wrong most with these moves, worst first: at most five. */
/** The loop is not caught. */
export function uncaught(move: Move): Move | null {
  if (!('up' in move) || (move.round !== 'inside' && move.round !== 'cross')) return null
  const { round: _round, and: _and, ...rest } = move
  return rest
}

/** The thread is kept on the other side. */
export function keptOtherwise(move: Move): Move | null {
  if (!('up' in move) || (move.round !== 'left' && move.round !== 'right')) return null
  return { ...move, round: move.round === 'left' ? 'right' : 'left' }
}

/** Beside the thread, not through it. */
export function besideThread(move: Move): Move | null {
  if (!('up' in move || 'down' in move) || move.split === undefined) return null
  const { split: _split, ...beside } = move
  return 'up' in beside ? { ...beside, up: shifted(beside.up, [0, '0.7*W']) } : beside
}

export function usualMistakes(document: StitchDocument): readonly Mistake[] {
  const met: Met[] = document.passes.flatMap((pass, at) =>
    cycleOf(pass).flatMap((moves, list) => moves.map((move, index): Met => ({ move, pass: at, list, index }))),
  )
  const found: Mistake[] = [...(document.mistakes ?? [])]
  const add = (one: Met | undefined, name: string, mend: string, change: Mistake['change'], only: readonly number[] | null = onceIn(document, one)): void => {
    if (one && !found.some((mistake) => mistake.name === name))
      found.push({ name, mend, pass: one.pass, block: 'repeat', list: one.list, move: one.index, change, ...(only ? { only } : {}) })
  }
  const first = (wrongly: (move: Move) => Move | null): { readonly one: Met; readonly wrong: Move } | undefined => {
    const one = met.find(({ move }) => wrongly(move) !== null)
    const wrong = one && wrongly(one.move)
    return one && wrong ? { one, wrong } : undefined
  }
  const caught = first(uncaught)
  if (caught) {
    add(caught.one, 'The loop is not caught', 'Come up inside the loop: the thread lies under the point of the needle.', { instead: [caught.wrong] })
    add(caught.one, 'Drawn too tight', 'Draw the thread up slowly and stop while the loop is still open.', { tight: true }, null)
  }
  const kept = first(keptOtherwise)
  if (kept) add(kept.one, 'The thread on the other side', 'Hold the thread to the same side of the needle for the whole line.', { instead: [kept.wrong] })
  const split = first(besideThread)
  if (split)
    add(split.one, 'Beside the thread, not through it', 'Aim at the middle of the last stitch; flatten it with a fingernail first.', { instead: [split.wrong] })
  const past = met.find(({ move }) => 'under' in move)
  if (past) add(past, 'One pass left out', 'Count the stitches aloud as the needle goes under each.', { leaveOut: true })
  const wound = met.find(({ move }) => 'wrap' in move || 'cast' in move)
  if (wound) add(wound, 'No turn on the needle', 'Wind first, then hold the thread taut until the needle is through.', { leaveOut: true })
  const hole = met.find(({ move }) => 'down' in move && Array.isArray(move.down)) ?? met.find(({ move }) => 'down' in move)
  add(hole, 'The hole beside its mark', 'Look at the mark, not at the needle, and set the point on it before pushing.', { aside: [0, '1.6*W'] })
  return found.slice(0, 5)
}

/** Spots and fills show it best in their second stitch; a cycle in its own turn. */
function onceIn(document: StitchDocument, one: Met | undefined): readonly number[] {
  const lists = one ? cycleOf(document.passes[one.pass] as Pass).length : 1
  return lists > 1 && one ? [one.list + lists] : ONCE
}
