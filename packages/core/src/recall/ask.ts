/** One question: the cloth as it is, the places to choose among, and how the thread lies. */
import type { Point } from '../geometry/index.ts'
import { besideThread, keptOtherwise, type Mistake, type Move, uncaught } from '../notation/index.ts'
import { drawnOut, NOTHING_IN_HAND, type Pose, type Step } from '../steps/index.ts'
import type { Motion, Quiz, ThreadMatter } from './quiz.ts'
import { changeOf, wrongHoles } from './wrong-holes.ts'

export interface HoleChoice {
  /** As seen. */
  readonly at: Point
  /** Null: it is right. */
  readonly mistake: Mistake | null
}

/** Which way of the thread is chosen: by the needle, or by the side as the picture lies. */
export type ThreadWay = 'under-point' | 'over-point' | 'through' | 'beside' | 'under' | 'over' | 'left' | 'right' | 'up' | 'down' | 'as-before' | 'other-side'

export interface ThreadChoice {
  readonly way: ThreadWay
  readonly mistake: Mistake | null
}

export interface Question {
  readonly motion: Motion
  /** The needle comes up, goes down, or passes thread on the surface. */
  readonly asks: 'up' | 'down' | 'pass'
  /** The cloth just before it. */
  readonly before: Step
  /** None where it is done on the surface; the right one among them. */
  readonly holes: readonly HoleChoice[]
  /** Asked when the hole is found. */
  readonly thread: { readonly about: ThreadMatter; readonly choices: readonly ThreadChoice[] } | null
}

/** `apartMm`: places must lie so far from one another. `seed`: in which order they stand, 0 to 1. */
export function askMotion(quiz: Quiz, motion: Motion, apartMm: number, seed: number): Question {
  const { hole } = motion
  const holes: readonly HoleChoice[] = hole
    ? shuffled([{ at: hole.at, mistake: null }, ...wrongHoles(quiz, motion, apartMm).map(({ at, mistake }) => ({ at, mistake }))], seed)
    : []
  return { motion, asks: hole?.move ?? 'pass', before: beforeIt(quiz, motion), holes, thread: threadOf(motion, seed) }
}

function beforeIt({ demonstration, worked, work }: Quiz, { step, hole }: Motion): Step {
  const [first] = step.makes
  // In at one place and out at the next: the first of them is known.
  const isSecond = hole !== null && first !== undefined && first.hole !== hole.hole
  const entry = isSecond ? numberAt(demonstration.holes, first.at) : null
  const last = hole === null ? null : worked.holes[hole.hole - 1]
  const right = demonstration.hand === 'right' ? 1 : -1
  const up = last?.move === 'up' ? demonstration.seen({ x: last.x, y: last.y }) : null
  const pose: Pose = up ? drawnOut(up, { x: 0.5 * right, y: 0.866 }, right, work.materials.W) : NOTHING_IN_HAND
  return { ...step, ...step.before, inHand: hole === null ? step.inHand : [], holes: entry === null ? [] : [entry], known: [], pose: { ...pose, pull: null } }
}

const numberAt = (holes: Quiz['demonstration']['holes'], at: Point): number | null =>
  holes.find((one) => Math.hypot(one.x - at.x, one.y - at.y) < 1e-6)?.number ?? null

function threadOf({ thread, move, made, step }: Motion, seed: number): Question['thread'] {
  const wrong = (other: Move | null): Mistake | null => (other ? changeOf(made, { instead: [other] }) : null)
  const choices = ((): readonly ThreadChoice[] => {
    switch (thread) {
      case 'loop':
        return [
          { way: 'under-point', mistake: null },
          { way: 'over-point', mistake: wrong(uncaught(move)) },
        ]
      case 'split':
        return [
          { way: 'through', mistake: null },
          { way: 'beside', mistake: wrong(besideThread(move)) },
        ]
      case 'pass':
        return [
          { way: 'under', mistake: null },
          { way: 'over', mistake: changeOf(made, { leaveOut: true }) },
        ]
      case 'kept': {
        const side = step.said.flatMap((phrase) => (phrase.key === 'keep' ? [phrase.side] : []))[0]
        const [right, other] =
          side === undefined || side === 'outer' || side === 'inner' ? (['as-before', 'other-side'] as const) : ([side, OPPOSITE[side]] as const)
        return [
          { way: right, mistake: null },
          { way: other, mistake: wrong(keptOtherwise(move)) },
        ]
      }
      case null:
        return []
    }
  })()
  return thread === null ? null : { about: thread, choices: shuffled(choices, seed) }
}

const OPPOSITE = { left: 'right', right: 'left', up: 'down', down: 'up' } as const

/** In an order that the seed decides, the same for the same seed. */
function shuffled<One>(all: readonly One[], seed: number): readonly One[] {
  const rest = [...all]
  const out: One[] = []
  let state = Math.abs(seed) % 1
  while (rest.length > 0) {
    state = (state * 9301 + 0.49297) % 1
    out.push(...rest.splice(Math.floor(state * rest.length), 1))
  }
  return out
}
