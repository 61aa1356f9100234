/** One question: the cloth as it is, the places to choose among, and how the thread lies. */
import type { Point } from '../geometry/index.ts'
import { besideThread, keptOtherwise, type Mistake, type Move, uncaught } from '../notation/index.ts'
import { drawnOut, NOTHING_IN_HAND, type Pose, type Step } from '../steps/index.ts'
import type { Motion, Quiz, ThreadMatter } from './quiz.ts'
import { changeOf, type Shown, wrongHoles } from './wrong-holes.ts'

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
  /** Where the same needle went in before it comes out, or came up before it goes down; or what it passes; as seen. */
  readonly entry: Point | null
  /** None where it is done on the surface; the right one among them. */
  readonly holes: readonly HoleChoice[]
  /** Asked when the hole is found. */
  readonly thread: { readonly about: ThreadMatter; readonly choices: readonly ThreadChoice[] } | null
}

/** `seed`: in which order choices stand, 0 to 1. */
export function askMotion(quiz: Quiz, motion: Motion, shown: Shown, seed: number): Question {
  const { hole } = motion
  const holes: readonly HoleChoice[] = hole
    ? shuffled([{ at: hole.at, mistake: null }, ...wrongHoles(quiz, motion, shown).map(({ at, mistake }) => ({ at, mistake }))], seed)
    : []
  return { motion, asks: hole?.move ?? 'pass', before: beforeIt(quiz, motion), entry: entryOf(motion), holes, thread: threadOf(motion, seed) }
}

/** Where the eye looks: what is asked, with what was made last beside it. */
export interface Around {
  readonly at: Point
  /** So far apart are the places that matter, mm. */
  readonly spanMm: number
}

const MADE_LAST = 3

export function aroundOf({ demonstration, worked }: Quiz, { hole, step }: Motion): Around {
  const pitchMm = Math.max(worked.fitted.pitchMm, 1)
  if (!hole) return { at: step.at, spanMm: 2.5 * pitchMm }
  const last = worked.holes.slice(Math.max(0, hole.hole - MADE_LAST), hole.hole).map((one) => demonstration.seen({ x: one.x, y: one.y }))
  const far = last.map((one) => Math.hypot(one.x - hole.at.x, one.y - hole.at.y))
  // What lies far off is another row or the piece before: it would make all of it small.
  const near = last.filter((_, index) => (far[index] ?? 0) <= FAR_PITCHES * pitchMm + 4)
  const all = [hole.at, hole.at, ...near]
  const at = { x: all.reduce((sum, one) => sum + one.x, 0) / all.length, y: all.reduce((sum, one) => sum + one.y, 0) / all.length }
  return { at, spanMm: Math.max(pitchMm, ...near.map((one) => Math.hypot(one.x - hole.at.x, one.y - hole.at.y))) }
}

const FAR_PITCHES = 4

/** In at one place and out at the next: the first of them is known; of a thread that is passed, where. */
function entryOf({ step: { makes, at }, hole }: Motion): Point | null {
  if (hole === null) return at
  const [first] = makes
  return first !== undefined && first.hole !== hole.hole ? first.at : null
}

function beforeIt({ demonstration, worked, work }: Quiz, { step, hole }: Motion): Step {
  const last = worked.holes[(hole?.hole ?? step.before.holesMade) - 1]
  const right = demonstration.hand === 'right' ? 1 : -1
  const up = last?.move === 'up' ? demonstration.seen({ x: last.x, y: last.y }) : null
  const pose: Pose = up ? drawnOut(up, { x: 0.5 * right, y: 0.866 }, right, work.materials.W) : NOTHING_IN_HAND
  return { ...step, ...step.before, inHand: hole === null ? step.inHand : [], holes: [], known: [], pose: { ...pose, pull: null } }
}

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
