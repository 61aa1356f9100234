/** The sentence of each step, made from the move. Every word that a learner reads about a move stands here. */
import type { Move } from '../notation/index.ts'
import type { SurfaceKind, SurfaceMove, Wound } from '../work/index.ts'

export interface SentenceRequest {
  readonly move: Move | null
  readonly previous: Move | null
  readonly hole: number
  readonly sameHole: boolean
  readonly hand: 'right' | 'left'
  readonly wraps: number
  readonly wound: Wound
  readonly block: string
  /** A small stitch over a thread that is already there. */
  readonly tying: boolean
}

const TIMES = ['', 'once', 'twice', 'three times', 'four times', 'five times', 'six times']

export function sentenceFor(request: SentenceRequest): string {
  const { move, hole, sameHole } = request
  if (move === null) return ''
  if ('up' in move) {
    const start = sameHole ? `Come up again at ${hole}` : `Come up at ${hole}`
    return `${start}${upAside(request, move)}.`
  }
  if ('down' in move) {
    const wrapped = request.wraps > 0 ? `${windSentence(request)} ` : ''
    const start = sameHole ? `Go down again at ${hole}` : `Go down at ${hole}`
    return `${wrapped}${start}${downAside(request, move)}.`
  }
  return ''
}

function windSentence({ wraps, wound }: SentenceRequest): string {
  const times = TIMES[wraps] ?? `${wraps} times`
  if (wound === 'cast') return `Cast ${wraps} loops on the needle, each turned the same way, and draw it through.`
  if (wound === 'eight') return 'Wind the thread over and under the needle in a figure of eight and hold it taut.'
  return `Wrap the thread ${times} round the needle and hold it taut.`
}

type Said = Pick<SurfaceMove, 'from' | 'hitch' | 'labels'>

/** What is done on the surface, without entering the cloth; complete for the compiler. */
const ON_SURFACE: { readonly [Kind in SurfaceKind]: (move: Said, hand: 'right' | 'left') => string } = {
  under: (move, hand) => slideSentence('Slide under', move, hand),
  over: (move, hand) => slideSentence('Pass over', move, hand),
  lay: () => 'Lay the thread along the line on top of the cloth, easy and without a twist.',
  lead: () => 'Lay the thread on the cloth as it is drawn here, easy and not pulled straight.',
  round: () => 'Take the thread round the pin.',
  pin: () => 'Set a pin at the tip, its point back in the cloth and away from your hands.',
  bead: () => 'Take a bead on the thread and slide it down to the cloth.',
  pad: () => 'Lay the padding; what follows is worked over it.',
  cut: () => 'Open the cloth here: count twice, for it cannot be undone. Keep the points of the scissors in sight.',
  withdraw: () => 'Draw the counted threads out of the cloth between the two lines: it cannot be undone.',
}

export function surfaceSentence(move: Said & Pick<SurfaceMove, 'kind'>, hand: 'right' | 'left'): string {
  return ON_SURFACE[move.kind](move, hand)
}

function slideSentence(verb: string, { from, hitch, labels }: Said, hand: 'right' | 'left'): string {
  const side = (from === 'left') === (hand === 'right') ? 'left' : 'right'
  const what = labels.length > 1 ? `${labels.length} threads` : 'the stitch'
  return `${verb} ${what} from the ${side}, not into the cloth${hitch ? ', with the thread under the needle' : ''}.`
}

function upAside({ hand }: SentenceRequest, move: Extract<Move, { up: unknown }>): string {
  const asides: string[] = []
  if (move.split !== undefined) asides.push('through the middle of the last stitch')
  switch (move.round) {
    case 'inside':
      asides.push('inside the loop, and draw it up gently')
      break
    case 'cross':
      asides.push('inside the loop, with its ends crossed')
      break
    case 'left':
    case 'right': {
      const side = (move.round === 'left') === (hand === 'right') ? 'left' : 'right'
      asides.push(`with the thread kept to the ${side}, then draw it down`)
      break
    }
    case undefined:
      break
  }
  if (move.half) asides.push('leaving the needle half out')
  if (move.wraps !== undefined) asides.push('with the thread wound once round its tip before it is drawn through')
  return asides.length > 0 ? `, ${asides.join(', ')}` : ''
}

function downAside({ previous, wraps, block, tying }: SentenceRequest, move: Extract<Move, { down: unknown }>): string {
  if (wraps > 0) return ', right beside it'
  if (move.plunge) return ', taking the end to the back'
  if (tying) return ', square over the thread that lies there'
  if (move.split !== undefined) return ', through the middle of the last stitch'
  if (move.loose) return ', leaving the thread loose on top'
  const overLoop =
    block === 'end' || block === 'close' ? previous !== null && 'up' in previous && (previous.round === 'inside' || previous.round === 'cross') : false
  return overLoop ? ', just over the loop, to hold it' : ''
}
