/** Why a move or a pass cannot be made, in words; small letters, for a place in the stitch is said before them. */
import type { ProblemPath, Sentences } from '../base/index.ts'
import type { CompiledPlace } from './compiled.ts'

const IN_WORDS: Readonly<Record<CompiledPlace['kind'], string>> = {
  along: 'along a line, a band, a ring or a leaf',
  across: 'across a shape',
  once: 'at spots or squares',
  whole: 'along a whole line',
  times: 'a number of times',
  scatter: 'scattered over a shape',
  cells: 'in the cells of a grid',
  pins: 'at pins',
  weave: 'over and under the threads of pins',
  crossings: 'at crossings',
}

export const WORK_SENTENCES: Sentences = {
  'work.move': '{reason}',
  'work.placement': '{reason}',
  'notation.move': '{reason}',
  'work.nothing': '{stitch} has no pass to work.',
  'move.not-continued': 'a thread is held in front, and no later pass of its role goes on with it. Write "continues" in one.',
  'move.already-in-front': 'the needle comes up while the thread is already in front. Go down first.',
  'move.already-behind': 'the needle goes down while the thread is already behind. Come up first.',
  'move.loop-lost': 'the loop that was left loose is not caught. Add "round" to the move that comes up, or do not leave it loose.',
  'move.no-loop': 'there is no loose loop for this move to catch. Leave one with "loose" first.',
  'move.up-same-hole': 'the needle comes up in the very hole it has just gone down by, so the stitch would pull out.',
  'move.down-same-hole': 'the needle goes down the very hole it came up by, so the stitch would pull out.',
  'move.two-loops': 'a second loop is left loose while the first is still open. Catch the first one before.',
  'move.loop-open': 'a loop is left open at the end. Catch it, or tie it down.',
  'move.left-in-front': 'the thread is left in front at the end. Go down once more.',
  'move.not-split': 'the hole lies {gap} beside "{label}", so the needle would not split it.',
  'move.nothing-to-hold': 'there is no thread in front to hold. Come up first.',
  'move.nothing-to-slide': 'there is no thread in front to slide. Come up first.',
  'move.nothing-to-wrap': 'there is nothing to wrap: come up first.',
  'move.nothing-to-bead': 'there is no thread in front to take a bead on. Come up first.',
  'move.nothing-to-lead': 'the thread is behind, so it cannot be led across the front. Come up first.',
  'move.nothing-to-lay': 'the thread is behind, so it cannot be laid. Come up first.',
  'move.nothing-to-take-round': 'there is no thread in front to take round the pin. Come up first.',
  'move.pad': 'padding {height} high cannot be laid; give it a height above 0 and up to {most}.',
  'move.felt': 'felt is laid under a shape, and this guide is not one.',
  'move.turns': '{turns} {what} cannot be made; ask for 1 to {most}.',
  'move.gap': 'a gap of {size} cannot be cut; give it a size above 0.',
  'move.bead': 'a bead of {size} cannot be taken; give it a width above 0.',
  'move.each-step': 'the steps of an "each" must be longer than 0.',
  'move.each-many': 'steps of {step} make more than {most} of them on one thread. Ask for longer ones.',
  'move.each-within-each': 'an "each" may not hold another "each".',
  'move.names-no-thread': 'name at least one thread to pass.',
  'move.no-thread': 'there is no "{label}" to pass; {made} of them have been made.',
  'move.no-crossing': '{labels} do not cross here.',
  'move.no-thread-yet': 'there is no "{label}" yet to pass.',
  'move.no-last': '"-" means where the needle last went through, and it has not gone through yet.',
  'move.no-point': 'there is no point called "{name}" on this guide.',
  'move.no-frame': 'no frame has been placed yet.',
  'move.too-many': 'more than {most} moves would be made. Ask for fewer stitches.',
  'move.many-moves': '{count} moves are too many; the most is {most}.',
  'move.expression': '{why}.',
  'move.no-moves': 'the repeat has no moves. Add at least one up and one down.',
  'move.no-step': 'at least one step is needed.',
  'move.no-label': 'nothing is labelled "{label}", so it cannot be {done}. Put "as": "{label}" on the move that makes that thread.',
  'move.reference': '"{text}" is not a reference. Write a label such as "st", "st~1", "st[k]" or "st[k]@0.5".',
  'move.deep-point': 'a point between points is nested too deeply.',
  'move.point': '"{form}" is not a point. Write ["s", "t"], a named point such as "a", or "-".',
  'place.wrong-guide': ({ place }) => `this pass is worked ${IN_WORDS[place as CompiledPlace['kind']]}, which this guide is not.`,
  'place.even-warps': '{count} threads cannot be woven over and under in turn; it needs three, five or another odd number.',
  'place.weave-rows': 'rows of weaving must lie more than 0 apart and below the tip.',
  'place.many-crossings': '{count} crossings are too many; the most is {most}.',
  'place.many-repeats': '{count} repeats are too many; the most is {most}.',
  'place.no-row': 'no row fits into this shape. Bring the rows closer together, or make the shape larger.',
  'place.nothing-inside': 'nothing is left of this shape so far inside its outline. Make it larger.',
  'place.no-step': 'the steps along the guide must all be longer than 0.',
  'place.many-along': 'stitches {apart} apart make more than {most} of them on this line. Ask for longer ones.',
  'place.closes-at-once': ({ stitches }) =>
    `this line closes after ${stitches === 1 ? 'a single stitch' : 'two stitches'}, which would lie in the same hole again. Draw it larger, or take shorter stitches or fewer strands.`,
  'place.no-spacing': 'the spacing of a fill must be above 0.',
  'place.many-across': 'stitches {apart} apart make more than {most} of them in this shape. Ask for wider ones.',
  'place.short-rows': 'the rows of this fill are too short: each must be longer than it reaches into the last.',
  'place.no-stitch': 'no stitch fits into this shape.',
  'place.no-distance': 'scattered stitches must stand more than 0 apart.',
  'place.no-scatter': 'no stitch fits into this shape, or far too many would. Change how far apart they stand, or the shape.',
  'place.many-cells': '{count} cells are too many.',
  'place.too-many-ties': 'there are too many crossings to tie.',
  'place.no-crossing': 'the laid threads cross nowhere in this shape. Lay them closer, or make it larger.',
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
