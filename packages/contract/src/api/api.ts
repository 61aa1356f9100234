/** Requests and answers between page and server. */
import type { Problem } from '@lemmata/core/base'
import type { ClassDocument } from '@lemmata/core/classes'
import type { Sampler } from '@lemmata/core/sampler'
import type { Stores } from '@lemmata/core/stores'
import { BAR_RANGE } from '@lemmata/core/sheets'
import { z } from 'zod'
import { shortText } from '../documents/primitives.ts'
import type { Refusal } from '../operations/apply.ts'

export const email = z
  .string()
  .trim()
  .toLowerCase()
  .max(200)
  .regex(/^[^\s@]+@[^\s@]+\.[^\s@]+$/, 'write an address such as ada@example.org')
export const password = z.string().min(10, 'use at least 10 characters; a few words are easy to remember').max(200)

export const makeAccount = z.object({ email, name: shortText, password })
export const signIn = z.object({ email, password: z.string().min(1, 'type your password').max(200) })
export const changePassword = z.object({ current: z.string().min(1, 'type your present password').max(200), next: password })
export const forgottenPassword = z.object({ email })
/** `token`: out of the message. */
export const newPassword = z.object({ token: z.string().min(20).max(64), next: password })
/** `token`: out of the message. */
export const openAccount = z.object({ token: z.string().min(20).max(4000) })
export const deleteAccount = z.object({ password: z.string().min(1, 'type your password').max(200) })
/** A browser in which a teacher is signed in. */
export interface SessionSeen {
  readonly since: string
  /** When it was last signed in or changed. */
  readonly last: string
  readonly isThis: boolean
}
/** What happened with an account, and from where: the network's name for whoever asked. */
export interface Happened {
  readonly what:
    | 'signed-up'
    | 'signed-in'
    | 'sign-in-failed'
    | 'signed-out-elsewhere'
    | 'password-changed'
    | 'reset-asked'
    | 'reset-done'
    | 'everything-exported'
    | 'everything-brought-back'
    | 'account-deleted'
  readonly from: string | null
  readonly at: string
}
/** What is kept of an account, and how much may be, bytes. */
export interface RoomAnswer {
  readonly bytes: number
  readonly most: number
}
export const makeSampler = z.union([z.object({ name: shortText }), z.object({ document: z.unknown() })])

/** A request of this many bytes or more is refused; the page sends no larger ones. */
export const MOST_BODY_BYTES = 4_000_000

/** Each operation is read by itself: one that cannot be read takes no other with it. */
export const sendOperations = z.object({
  baseRevision: z.number().int().min(1),
  operations: z
    .array(z.object({ id: z.uuid(), operation: z.unknown() }))
    .min(1)
    .max(500),
})
/** Under this name the sampler is kept as it is stored. */
export const keepVersion = z.object({ name: shortText })
/** What the server made of a picture: its pixels, and the id under which a sampler lays it. */
export interface PictureAnswer {
  readonly id: string
  readonly width: number
  readonly height: number
}

export const copySampler = z.object({ forNextClass: z.boolean().optional() })
export const makeClass = z.union([z.object({ name: shortText, sampler: z.uuid() }), z.object({ sampler: z.uuid(), document: z.unknown() })])

export const sheetRequest = z.object({
  page: z.enum(['a4', 'letter']).default('a4'),
  /** Of the pattern, where it is to be larger. */
  pattern: z.enum(['a4', 'letter', 'a3', 'tabloid']).optional(),
  /** Left out: the learner's own, else the right. */
  hand: z.enum(['right', 'left']).optional(),
  lesson: z.string().max(60).optional(),
  /** A class of this sampler and one of its learners: the sheet as she works it. */
  class: z.uuid().optional(),
  learner: z.string().max(60).optional(),
  /** What the check bar measured, mm. */
  bar: z.coerce.number().min(BAR_RANGE[0]).max(BAR_RANGE[1]).optional(),
})
export type SheetRequest = z.infer<typeof sheetRequest>

/** A whole book: of a class with its dates, for one of its learners where she is named. */
export const bookRequest = sheetRequest.omit({ lesson: true }).extend({
  /** The learner's, the teacher's, cards to cut out, what changed since a version that is kept, or the next practice row of each of a class. */
  kind: z.enum(['learner', 'teacher', 'cards', 'slip', 'rows']).default('learner'),
  since: z.uuid().optional(),
  /** Left out: roomy, and compact by itself where that is too many pages. */
  form: z.enum(['roomy', 'compact', 'large']).optional(),
  ink: z.enum(['colour', 'black', 'saving']).optional(),
  /** Two pages on a sheet, to be folded. */
  booklet: z.enum(['yes']).optional(),
})
export type BookRequest = z.infer<typeof bookRequest>

/** A print's answer is lines of these, each ended by a line feed: how far it is (0 to 1), and last what hindered it, or the file that follows. */
export type PrintLine =
  | { readonly share: number }
  /** So many bytes of PDF follow this line's end, and nothing after them. */
  | { readonly bytes: number; readonly name: string }
  | { readonly error: ErrorAnswer['error'] }

export interface TeacherAnswer {
  readonly id: string
  readonly email: string
  readonly name: string
}

export interface SessionAnswer {
  readonly teacher: TeacherAnswer | null
  /** Sent back in the header `x-csrf-token` with every request that changes something. */
  readonly csrf: string
}

/** A message is on its way, and no more is said. */
export interface SentAnswer {
  readonly sent: true
}

export interface SamplerSummary {
  readonly id: string
  readonly name: string
  readonly exercises: number
  readonly cloth: string
  readonly changedAt: string
  readonly revision: number
}

export interface VersionSummary {
  readonly id: string
  readonly name: string
  /** The sampler's, when it was kept. */
  readonly revision: number
  readonly keptAt: string
}

export interface VersionAnswer extends VersionSummary {
  readonly document: Sampler
}

/** A document that is changed by operations, with the revision that they are based on. */
export interface DocumentAnswer<Document> {
  readonly id: string
  readonly revision: number
  readonly document: Document
}

export interface SamplerAnswer extends DocumentAnswer<Sampler> {
  /** The revision that the last printed sheet was made from. */
  readonly printedRevision: number | null
}

export type StoresAnswer = DocumentAnswer<Stores>
export type ClassAnswer = DocumentAnswer<ClassDocument>

/** Where a class's calendar is subscribed to; null while it has no address. */
export interface CalendarAddress {
  readonly path: string | null
}

export interface ClassSummary {
  readonly id: string
  readonly name: string
  readonly learners: number
}

/** What was sent has been written, but for what is named: each refused by itself, with its reasons. */
export interface WrittenAnswer {
  readonly revision: number
  readonly refused: readonly Refusal[]
}

export interface ErrorAnswer {
  readonly error: { readonly code: string; readonly message: string; readonly problems?: readonly Problem[] }
}

/** 409: someone (perhaps another tab) was quicker. `applied` are the sent operations that are in already. */
export interface StaleAnswer<Answer = SamplerAnswer> extends ErrorAnswer {
  readonly current: Answer
  readonly applied: readonly string[]
}
