/**
 * Printed without colour: thread is told by its twist and by how dark it is, and everything else is black. A thread's name never
 * drops out, so the shades need only be told apart within one exercise.
 */
import type { Assigned, AssignedThread } from '../assign/index.ts'
import type { DrawingItem } from '../drawing/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { greyOf } from '../materials/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import type { SamplerThread } from '../sampler/index.ts'

/** With thread in its own colours; without; or without and with the least ink: no picture of what is worked. */
export type BookInk = 'colour' | 'black' | 'saving'

const BLACK = '#111111'
/** The main thread is white with its twist; each further one is darker than the one before. */
const SHADES = ['#8C8C8C', '#4A4A4A', '#BDBDBD', '#222222'] as const
const WHITE = '#FFFFFF'

/** The same exercise in threads of white, greys and black. */
export function withoutColour(done: WorkedExercise): WorkedExercise {
  const roles = [...new Set(done.threads.map((one) => one.role))].filter((role) => role !== MAIN_ROLE)
  const shadeOf = (role: string, index: number): string => {
    const at = role === MAIN_ROLE ? index - 1 : roles.indexOf(role)
    return at < 0 ? WHITE : (SHADES[at % SHADES.length] as string)
  }
  const inShade = (thread: SamplerThread, hex: string): SamplerThread => ({ ...thread, colour: { ...thread.colour, hex } })
  const greyed = (one: AssignedThread): AssignedThread => ({
    ...one,
    thread: { ...one.thread, value: inShade(one.thread.value, shadeOf(one.role, 0)) },
    shades: one.shades.map((shade, index) => inShade(shade, shadeOf(one.role, index))),
  })
  const known = new Map<AssignedThread, AssignedThread>()
  const once = (one: AssignedThread): AssignedThread => {
    const made = known.get(one) ?? greyed(one)
    known.set(one, made)
    return made
  }
  const assignedIn = ({ threads: [main, ...others], ...one }: Assigned): Assigned => ({
    ...one,
    main: once(one.main),
    threads: [once(main), ...others.map(once)],
  })
  const [first, ...rest] = done.pieces
  const pieceIn = (one: typeof first): typeof first => ({ ...one, assigned: assignedIn(one.assigned) })
  const seen = new Map<string, number>()
  return {
    ...done,
    assigned: assignedIn(done.assigned),
    pieces: [pieceIn(first), ...rest.map(pieceIn)],
    threads: done.threads.map((used) => {
      const index = seen.get(used.role) ?? 0
      seen.set(used.role, index + 1)
      return { ...used, thread: inShade(used.thread, shadeOf(used.role, index)) }
    }),
  }
}

/** Words in black, all else as grey as it is light. */
export function inBlack(items: readonly DrawingItem[]): readonly DrawingItem[] {
  return items.map((item): DrawingItem => {
    switch (item.kind) {
      case 'words':
        return { ...item, colour: BLACK }
      case 'stroke':
      case 'fill':
        return { ...item, colour: greyOf(item.colour) }
      case 'disc':
        return {
          ...item,
          ...(item.fill === undefined ? {} : { fill: greyOf(item.fill) }),
          ...(item.stroke === undefined ? {} : { stroke: { ...item.stroke, colour: greyOf(item.stroke.colour) } }),
        }
      case 'ring':
        return { ...item, stops: item.stops.map((stop) => ({ ...stop, colour: greyOf(stop.colour) })) }
      case 'clipped':
      case 'tagged':
        return { ...item, items: inBlack(item.items) }
    }
  })
}
