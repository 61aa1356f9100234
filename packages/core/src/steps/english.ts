/** The words of steps in English. Every word that a learner reads about a move stands here. */
import { isCast } from '../work/index.ts'
import type { Direction, PhraseTable, SaidHole, Side, Where } from './phrases.ts'

const TIMES = ['', 'once', 'twice', 'three times', 'four times', 'five times', 'six times', 'seven times', 'eight times', 'nine times', 'ten times']
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth']

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
/** At the head of a sentence. */
const Count = (count: number): string => {
  const word = COUNTS[count] ?? String(count)
  return `${word[0]?.toUpperCase() ?? ''}${word.slice(1)}`
}

const times = (count: number): string => TIMES[count] ?? `${count} times`

/** A needle's way, and where it comes from. */
const TOWARDS: Readonly<Record<Direction, string>> = {
  up: 'away from you',
  down: 'toward you',
  left: 'left',
  right: 'right',
  'up-left': 'up to the left',
  'up-right': 'up to the right',
  'down-left': 'down to the left',
  'down-right': 'down to the right',
}
const FROM: Readonly<Record<Direction, string>> = {
  up: 'from above',
  down: 'from below',
  left: 'from the left',
  right: 'from the right',
  'up-left': 'from the upper left',
  'up-right': 'from the upper right',
  'down-left': 'from the lower left',
  'down-right': 'from the lower right',
}
const CORNER: Readonly<Record<Direction, string>> = {
  up: 'at the top',
  down: 'at the bottom',
  left: 'on the left',
  right: 'on the right',
  'up-left': 'top left',
  'up-right': 'top right',
  'down-left': 'bottom left',
  'down-right': 'bottom right',
}
const EDGE: Readonly<Record<Direction, string>> = {
  up: 'on the upper edge',
  down: 'on the lower edge',
  left: 'on the left edge',
  right: 'on the right edge',
  'up-left': 'on the edge, upper left',
  'up-right': 'on the edge, upper right',
  'down-left': 'on the edge, lower left',
  'down-right': 'on the edge, lower right',
}
const BESIDE_LINE: Readonly<Record<Side, string>> = { up: 'above the line', down: 'below the line', left: 'left of the line', right: 'right of the line' }
const KEPT = { ...BESIDE_LINE, outer: 'on the outer side of the bend', inner: 'on the inner side of the bend' } as const
const RAIL: Readonly<Record<Side, string>> = { up: 'upper', down: 'lower', left: 'left', right: 'right' }
const STRAIGHT: Readonly<Record<Side, string>> = {
  up: 'straight above',
  down: 'straight below',
  left: 'straight to the left of',
  right: 'straight to the right of',
}
const LIES: Readonly<Record<Direction, string>> = {
  up: 'straight up',
  down: 'straight down',
  left: 'to the left',
  right: 'to the right',
  'up-left': 'slanting up to the left',
  'up-right': 'slanting up to the right',
  'down-left': 'slanting down to the left',
  'down-right': 'slanting down to the right',
}
const LAID_BESIDE: Readonly<Record<Side, string>> = { up: 'above', down: 'below', left: 'to the left of', right: 'to the right of' }
const PULL: Readonly<Record<Side, string>> = { up: 'away from you', down: 'toward you', left: 'to the left', right: 'to the right' }

/** What threads are called by the label that a document gives them; of others one says "the stitch". */
const NOUNS: Readonly<Record<string, readonly [one: string, many: string]>> = {
  bar: ['bar', 'bars'],
  spoke: ['spoke', 'spokes'],
  loop: ['loop', 'loops'],
  link: ['link', 'threads of the last link'],
  laid: ['laid thread', 'laid threads'],
  across: ['laid thread', 'laid threads'],
  w: ['thread', 'threads'],
  thread: ['thread', 'threads'],
  crossing: ['crossing', 'crossings'],
  run: ['running stitch', 'running stitches'],
  arm: ['arm', 'arms'],
}

const nounOf = (label: string): string => NOUNS[label]?.[0] ?? 'stitch'
const nounsOf = (label: string): string => NOUNS[label]?.[1] ?? 'stitches'

function whereIn(where: Where): string {
  switch (where.at) {
    case 'line':
      return 'on the line'
    case 'middle-line':
      return 'on the middle line'
    case 'centre':
      return 'in the middle'
    case 'rim':
      return 'on the ring'
    case 'vein':
      return 'on the vein'
    case 'past-vein':
      return 'just past the vein'
    case 'inside':
      return 'inside the ring'
    case 'outside':
      return 'outside the ring'
    case 'base':
      return 'on the base line'
    case 'stitch-end':
      return 'in the hole where a stitch ended'
    case 'beside-line':
      return BESIDE_LINE[where.side]
    case 'rail':
      return `on the ${RAIL[where.side]} rail`
    case 'inside-rail':
      return `inside the ${RAIL[where.side]} rail`
    case 'edge':
      return EDGE[where.side]
    case 'corner':
      return CORNER[where.side]
    case 'straight':
      return `${STRAIGHT[where.side]} ${where.hole}`
    case 'further':
      return where.whole ? 'a stitch further on' : 'a little further on'
    case 'back':
      return where.whole ? 'a stitch back' : 'a little back'
    case 'half-back':
      return 'half way back'
  }
}

/** "at 2, further on, above the line". */
function at(hole: SaidHole): string {
  const place = hole.where.map(whereIn)
  if (hole.number === null) return place.join(', ')
  return [`at ${hole.number}`, ...place].join(', ')
}

const thumb = (hand: string): string => `your ${hand} thumb`

const WAYS = { over: 'over', under: 'under' } as const

/** No gap is left where a hole has neither number nor place. */
const tidy = (text: string): string => text.replace(/ +([,.;])/g, '$1').replace(/,,/g, ',')

export const ENGLISH: PhraseTable = {
  up: ({ hole, begins, split, inLoop }) =>
    inLoop
      ? `Come up ${at(hole)}, inside the loop, and draw until it lies easily.`
      : split
        ? `Come up ${at(hole)}, through the end of the stitch, splitting it.`
        : begins
          ? `Come up ${at(hole)}, and draw the thread through.`
          : hole.again
            ? `Come up again ${at(hole)}.`
            : `Come up ${at(hole)}.`,
  down: ({ hole, how, last }) => {
    const go = last ? 'To end, go down' : hole.again ? 'Go down again' : 'Go down'
    switch (how) {
      case 'plain':
        return tidy(`${go} ${at(hole)}.`)
      case 'over-loop':
        return tidy(`${go} ${at(hole)}, just over the loop, to hold it.`)
      case 'loose':
        return tidy(`${go} ${at(hole)}, and leave a loop on the front.`)
      case 'plunge':
        return `Take the end of the laid thread to the back ${at(hole)}, with a large needle.`
      case 'split':
        return `${go} ${at(hole)}, through the middle of the last stitch.`
    }
  },
  straight: ({ from, to, split, tie, over, toward }) => {
    const start = split ? `Come up ${at(from)}, through the end of a stitch, splitting it` : from.again ? `Come up again ${at(from)}` : `Come up ${at(from)}`
    return tidy(
      `${start}; go down ${to.again ? 'again ' : ''}${at(to)}${tie ? `, ${tie === 'slanting' ? 'slanting ' : ''}over the ${nounOf(over)}` : ''}${toward ? `, ${LIES[toward]}` : ''}.`,
    )
  },
  sew: ({ in: entry, out, split }) =>
    `In ${entry.again ? 'again ' : ''}${at(entry)}; out ${out.again ? 'again ' : ''}${at(out)}${split ? ', splitting the stitch' : ''}.`,
  points: ({ direction }) => `The needle points ${TOWARDS[direction]}.`,
  keep: ({ side, hand }) => `Hold the thread ${KEPT[side]} with ${thumb(hand)}.`,
  'loop-held': ({ side, hand }) => `Hold the thread in a loop ${PULL[side]} with ${thumb(hand)}.`,
  'wound-before': () => 'First take the thread once round the needle.',
  'loop-under': () => 'The thread lies under the needle\u2019s point.',
  'loop-crossed': () => 'The thread crosses itself and lies under the needle\u2019s point.',
  'loop-knots': () => 'The thread lies along the line, under the needle, and in a loop under its point.',
  'draw-bow': () => 'Draw through, and leave an even bow.',
  'pin-out': () => 'Before the last rows draw the pin out.',
  length: ({ long }) => (long ? 'This is a long stitch.' : 'This is a short one.'),
  'wound-at-point': () => 'Wind it once round the point.',
  'draw-loop': ({ direction }) => `Draw the thread ${PULL[direction]} until the loop lies easily, no tighter.`,
  'draw-loop-open': () => 'Leave the loop slack: the next needle goes into it too.',
  'draw-flat': () => 'Draw through until the stitch lies flat, no tighter.',
  'draw-easy': () => 'Draw through and let the stitch lie easily.',
  'draw-knot': () => 'Draw gently until the knot closes.',
  'half-out': ({ in: entry, out }) =>
    `In ${at(entry)}; out again ${at(out)}, beside the thread and not through it. Stop with the needle half out: do not draw it through.`,
  pass: ({ side, under, count, again, over }) => {
    const what = count > 1 ? `${count} ${nounsOf(under)}` : `the ${nounOf(under)}`
    return `${again ? 'Again' : over ? 'Pass' : 'Slide the needle'} ${FROM[side]} ${over ? 'over' : 'under'} ${what}, not into the cloth.`
  },
  hitch: () => 'Hold the thread so that it lies under the needle\u2019s point.',
  'draw-pass': ({ hitch, drawsIn, direction }) =>
    drawsIn
      ? `Draw ${PULL[direction]} until the thread closes on it and pulls it with it to its place.`
      : hitch
        ? `Draw ${PULL[direction]} until the loop closes to a knot.`
        : `Draw ${PULL[direction]} until the thread closes on it, without bending it.`,
  weave: ({ ways, first, round }) => {
    const row =
      ways.length > 7
        ? `${ways
            .slice(0, 4)
            .map((one) => WAYS[one])
            .join(', ')} and so on`
        : ways.map((one) => WAYS[one]).join(', ')
    const said = ways.includes('over') ? `${row[0]?.toUpperCase() ?? ''}${row.slice(1)}` : 'Back over one and under two, each time'
    return first
      ? `${said}: ${round ? 'once round' : 'one row'}, not into the cloth, eye first or with a blunt needle.`
      : `${said}: what was over is now under. Push it up close.`
  },
  'wind-first': ({ hand, how, half }) => {
    if (isCast(how))
      return `${how === 'cast-both' ? 'Two threads, one to each side. ' : ''}${half ? '' : 'Stand the needle in the cloth right beside, unthreaded. '}Turn a loop on the ${hand} forefinger so that its ends cross, slip it on the needle and draw it down: one cast. It must slide.`
    if (how === 'eight') return `Hold the thread taut in the ${hand} hand. Slide the needle under it: the thread lies over the needle.`
    return half
      ? 'Wrap the thread round the needle\u2019s point, close to the cloth, always the same way round.'
      : `Hold the thread taut in the ${hand} hand, about 25 mm from the cloth. Lay the needle against it and take the thread once round it.`
  },
  'wind-all': ({ how, turns, half }) => {
    if (how === 'eight') return 'Over the needle again near its point, back under it between the two, and over its own arc: a figure of eight. Draw it close.'
    if (how === 'cast-both') return `Cast on from one side and the other in turn, each snug against the last: ${turns} in all.`
    if (how === 'cast') return `Cast on more, each turned the same way and snug against the last: ${turns} in all.`
    return half
      ? `${Count(turns)} wraps, side by side and never crossed: as long as the stitch is to be, and one more.`
      : turns > 1
        ? `${Count(turns)} turns, side by side and not crossed. Keep the thread taut from now on.`
        : 'One turn. Keep the thread taut from now on.'
  },
  'wind-in': ({ hole, beside, how }) => {
    if (isCast(how)) return 'Thread the needle again while it stands in the cloth.'
    return `Turn the needle upright and put its point in ${at(hole)}${beside ? ', right beside and never in the same hole' : ', as far away as the stalk is to be long'}. Draw the ${how === 'eight' ? 'knot' : 'turns'} down on to the cloth: snug, not tight.`
  },
  'wind-through': ({ hand, half, hole, how }) => {
    const what = isCast(how) ? 'casts' : how === 'eight' ? 'knot' : half ? 'wraps' : 'turns'
    if (half)
      return `Hold the ${what} with the ${hand} thumb and finger and draw the needle through them. Draw on: they turn over and lie down. Go down ${at(hole)}.`
    if (isCast(how))
      return `Hold the ${what} lightly and push the needle down through the cloth. Draw it from behind until they sit close: the stalk stands free.`
    return `Thumb on the thread, push the needle straight down through the ${what}. Draw the thread after it; lift the thumb only at the end.`
  },
  lay: () => 'Lay the thread along the line, easy and without a twist. Leave its other end free.',
  lead: () => 'Lay the thread on the cloth as it is drawn here, easy and not pulled straight.',
  round: () => 'Take the thread round the pin, under its head. Easy, not stretched.',
  pin: () => 'Set a pin: in at the tip, out on the base line, its point back in the cloth and away from your hands.',
  bead: () => 'Take a bead on the thread and slide it down to the cloth.',
  pad: () => 'Lay the padding; what follows is worked over it.',
  cut: () => 'Open the cloth here: count twice, for it cannot be undone. Keep the points of the scissors in sight.',
  withdraw: () => 'Draw the counted threads out of the cloth between the two lines: it cannot be undone.',
  hold: () => 'Keep the thread in hand.',
  same: ({ times: count, kept, loop, touching, row, pieces }) => {
    const more = pieces
      ? `The next one ${pieces === 'sharing' ? 'beside it, sharing holes with it' : 'in holes of its own'}${count > 1 ? `, ${times(count)}` : ''}`
      : row
        ? 'The same to the end of the row'
        : `The same, ${times(count)} more`
    return `${more}${touching ? ', each touching the last' : ''}${kept ? `, the thread always ${KEPT[kept]}` : loop ? ', the thread always under the point' : ''}.`
  },
  'new-row': ({ row }) => `The ${ORDINALS[row - 1] ?? `${row}th`} row.`,
  'laid-beside': ({ side }) => `Lay it ${LAID_BESIDE[side]} the others as you draw it down.`,
  ends: () => 'Take the thread to the back and fasten it off.',
  'pass-begins': ({ name }) => `Now the ${name}.`,
}
