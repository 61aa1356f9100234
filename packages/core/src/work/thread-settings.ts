/** What a move brings with it: the thread it is worked with, where it stands in the document, what it refers to. */
import { ToldError } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { MoveRef } from './types.ts'

/** A move that cannot be made, with the code of why. */
export class MoveError extends ToldError {}

export interface ThreadSettings {
  readonly role: ThreadRole
  readonly lie: 'round' | 'flat'
  readonly diameterMm: number
  readonly lineWidthMm: number
  readonly shaftMm: number
}

export interface MoveContext {
  readonly made: MoveRef
  readonly row: number | null
  readonly label: string | null
  readonly direction: Point
  readonly mirror: 1 | -1
}

/** A thread by its label: the latest, so many before it, the k-th from the beginning, the nearest; perhaps a place on it. */
export interface ThreadReference {
  readonly label: string
  readonly index: number | null
  readonly back: number
  readonly nearest: boolean
  readonly at: number | null
}
