/** Pictures that a learner sends to her teacher, and rows that a teacher holds against a ruler: what goes over the wire. */
import { z } from 'zod'
import { id, shortText } from '../documents/primitives.ts'
import { rowKind } from './row-kind.ts'

const mmOf = z.number().min(0.05).max(200)

/** A row that was photographed and laid along a ruler. */
export const rulerCheck = z.object({ method: z.number().int().min(1).max(999), kind: rowKind, stitch: shortText, measuredMm: mmOf, rulerMm: mmOf })
export type RulerCheckGiven = z.infer<typeof rulerCheck>

export interface RulerCheckKept extends RulerCheckGiven {
  readonly id: string
  readonly createdAt: string
}

/** Of which exercise the picture is that is sent. */
export const sentPictureOf = z.object({ exercise: id })
export const showPicture = z.object({ mayShow: z.boolean() })

/** A picture of her row that she has sent, for her teacher to see, until she takes it back. */
export interface SentPicture {
  readonly id: string
  readonly exercise: string
  readonly at: string
  /** To her class, without her name: she says so of each, and takes it back when she likes. */
  readonly mayShow: boolean
}
