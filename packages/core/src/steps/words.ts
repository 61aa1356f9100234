/** The sentence of each step, made from the move. Every word that a learner reads about a move stands here. */
import type { Move } from '../notation/index.ts'
import type { SurfacePass } from '../work/index.ts'

export interface SentenceRequest {
  readonly move: Move | null
  readonly previous: Move | null
  readonly hole: number
  readonly sameHole: boolean
  readonly hand: 'right' | 'left'
  readonly wraps: number
  readonly block: string
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
    const wrapped = request.wraps > 0 ? `Wrap the thread ${TIMES[request.wraps] ?? `${request.wraps} times`} round the needle and hold it taut. ` : ''
    const start = sameHole ? `Go down again at ${hole}` : `Go down at ${hole}`
    return `${wrapped}${start}${downAside(request, move)}.`
  }
  return ''
}

/** Past a thread on the front, without entering the cloth. */
export function passSentence(pass: Pick<SurfacePass, 'kind' | 'from' | 'hitch' | 'labels'>, hand: 'right' | 'left'): string {
  const side = (pass.from === 'left') === (hand === 'right') ? 'left' : 'right'
  const what = pass.labels.length > 1 ? `${pass.labels.length} threads` : 'the stitch'
  const verb = pass.kind === 'under' ? `Slide under ${what}` : `Pass over ${what}`
  return `${verb} from the ${side}, not into the cloth${pass.hitch ? ', with the thread under the needle' : ''}.`
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
  return asides.length > 0 ? `, ${asides.join(', ')}` : ''
}

function downAside({ previous, wraps, block }: SentenceRequest, move: Extract<Move, { down: unknown }>): string {
  if (wraps > 0) return ', right beside it'
  if (move.split !== undefined) return ', through the middle of the last stitch'
  if (move.loose) return ', leaving the thread loose on top'
  const overLoop =
    block === 'end' || block === 'close' ? previous !== null && 'up' in previous && (previous.round === 'inside' || previous.round === 'cross') : false
  return overLoop ? ', just over the loop, to hold it' : ''
}
