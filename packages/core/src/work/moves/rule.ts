/** What every kind of move has: how it is read, and what the hand does. One file a kind; the table is in table.ts. */
import type { Point } from '../../geometry/index.ts'
import type { ReadGuide } from '../../guide/index.ts'
import type { Compiled, Expression, Move, PointForm, ThreadRole } from '../../notation/index.ts'
import type { CompiledCommon, CompiledMove, CompiledPoint, CompiledReference } from '../compiled.ts'
import type { FoundPoint } from '../find-point.ts'
import type { Frame } from '../frames.ts'
import type { MoveContext, ThreadReference, ThreadSettings } from '../thread-settings.ts'
import type { ThreadState } from '../thread-state.ts'
import type { MoveRef } from '../types.ts'

export interface MoveRule<Written, Read> {
  /** From the document, its expressions read once; what is wrong is said and reading goes on. */
  readonly read: (move: Written, common: CompiledCommon, reader: MoveReader) => Read
  /** Throws a MoveError where it cannot be made. */
  readonly work: (move: Read, hand: Hand) => void
}

/** Reads the parts of one move. */
export interface MoveReader {
  readonly expression: (given: Expression) => Compiled
  readonly maybe: (given: Expression | undefined) => Compiled | null
  readonly point: (given: PointForm) => CompiledPoint
  readonly reference: (given: string, done: 'passed' | 'split') => CompiledReference
  /** The moves within this one; null where it stands within another itself. */
  readonly inner: (moves: readonly Move[]) => readonly CompiledMove[] | null
  /** By the code of what is wrong. */
  readonly wrong: (code: string) => void
}

/** The hand as a move finds it: the thread, the frame it works in, and what the words of the document mean there. */
export interface Hand {
  readonly thread: ThreadState
  readonly guide: ReadGuide
  /** Of the run that is worked. */
  readonly frames: readonly Frame[]
  readonly frame: Frame
  readonly made: MoveRef
  /** From one repeat to the next as the document has it, mm. */
  readonly advanceMm: number
  /** Width of the main thread's line, mm. */
  readonly lineWidthMm: number
  /** Threads lie side by side, so that their ends make an edge that the eye sees. */
  readonly sideBySide: boolean
  /** A coming up was beyond the ends: the going down that belongs to it is left out as well. */
  leftOut: boolean
  readonly role: ThreadRole
  /** The thread in hand waits; that of this role is taken up. */
  readonly take: (role: ThreadRole) => void
  /** A thread of this role has been laid, so what is worked in another now ties it down. */
  laid: ThreadRole | null
  readonly value: (given: Compiled) => number
  readonly maybe: (given: Compiled | null) => number | null
  /** Null beyond the ends of the guide. */
  readonly point: (given: CompiledPoint) => FoundPoint | null
  readonly reference: (given: CompiledReference) => ThreadReference
  readonly settings: (role: ThreadRole, lie: 'round' | 'flat') => ThreadSettings
  readonly context: (move: CompiledMove, direction: Point) => MoveContext
  /** Each of the moves in a frame of its own within the one being worked. */
  readonly within: (frame: Frame, moves: readonly CompiledMove[]) => void
}

/** The way of working where the hand is. */
export function onward(hand: Hand): Point {
  return hand.frame.at(0, 0).direction
}
