/** How learners join, come back and tell what they did, and how their teacher reads it: what goes over the wire. */
import type { LessonId } from '@lemmata/core/base'
import type { Learner } from '@lemmata/core/classes'
import type { RowSummary, Standing } from '@lemmata/core/photo'
import type { PracticeEvent } from '@lemmata/core/practice'
import type { Sampler } from '@lemmata/core/sampler'
import { z } from 'zod'
import { id, shortText } from '../documents/primitives.ts'
import type { SentPicture } from './measuring.ts'
import { rowKind } from './row-kind.ts'

/** Said aloud and typed on a phone: no letter that is taken for a figure. */
export const CODE_LETTERS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'
/** Forty bits: with the tries an address has, it is not guessed. */
export const CODE_LENGTH = 8

/** As it is kept, however it was typed. */
export const joinCode = z
  .string()
  .max(40)
  .transform((typed) => typed.toUpperCase().replace(/[^A-Z0-9]/g, ''))
  .refine((code) => code.length === CODE_LENGTH && [...code].every((letter) => CODE_LETTERS.includes(letter)), 'a code has eight letters and figures')

/** What she says to come back on another device: easy to keep in mind, and asked for only with her own link. */
const word = z.string().trim().toLowerCase().min(4, 'at least four letters').max(40)
const hand = z.enum(['left', 'right'])

export const joinClass = z.object({ code: joinCode, name: shortText, hand, word })
/** As it stands in its address. */
export const learnerLink = z.string().regex(/^[\w-]{20,64}$/, 'this is no link of a learner')
export const openLink = z.object({ link: learnerLink, word })

const happened = { id: z.uuid(), at: z.iso.datetime() }
const step = z.number().int().min(1).max(999).nullable()

const mmOf = z.number().min(0).max(200)
const photographedRow = z.object({
  ...{ method: z.number().int().min(1).max(999), isCounted: z.boolean(), isPutRight: z.boolean() },
  kind: rowKind,
  ...{ count: z.number().int().min(1).max(999), lengthMm: mmOf, spreadMm: mmOf, plannedMm: mmOf.min(0.05), firstMm: mmOf, lastMm: mmOf },
  ...{ gapMm: z.number().min(-50).max(200).nullable(), plannedGapMm: mmOf.nullable(), driftMm: mmOf.nullable() },
  ...{ leanDeg: z.number().min(-90).max(90).nullable(), widestGapMm: mmOf.nullable() },
}) satisfies z.ZodType<RowSummary>

const told = z.discriminatedUnion('kind', [
  z.object({ ...happened, kind: z.literal('piece'), exercise: id, piece: z.number().int().min(0).max(9999), worked: z.boolean() }),
  z.object({ ...happened, kind: z.literal('can'), exercise: id, can: z.boolean() }),
  z.object({ ...happened, kind: z.literal('minutes'), exercise: id, minutes: z.number().int().min(1).max(600) }),
  z.object({ ...happened, kind: z.literal('needlefuls'), exercise: id, count: z.number().int().min(-20).max(20) }),
  z.object({ ...happened, kind: z.literal('stuck'), exercise: id, stuck: z.boolean(), step }),
  z.object({ ...happened, kind: z.literal('recall'), exercise: id, motion: z.string().min(1).max(120), right: z.boolean() }),
  z.object({ ...happened, kind: z.literal('row'), exercise: id, row: photographedRow }),
  z.object({ ...happened, kind: z.literal('question'), exercise: id, asked: z.string().trim().min(1).max(500) }),
])
const seenByTeacher = z.object({ ...happened, kind: z.literal('came'), lesson: id, came: z.boolean() })

/** As a learner tells it: whose it is follows from her key. */
export type ToldEvent = z.infer<typeof told>
export const tellPractice = z.object({ events: z.array(told).min(1).max(200) })

/** As a teacher tells it, of one of her learners. */
export const markedEvent = z.intersection(z.discriminatedUnion('kind', [...told.options, seenByTeacher]), z.object({ learner: id }))
export type MarkedEvent = z.infer<typeof markedEvent>
export const markPractice = z.object({ events: z.array(markedEvent).min(1).max(200) })

export interface JoinedAnswer {
  /** Kept on her device; sent with every request. */
  readonly key: string
  /** Under which she comes back with her word. */
  readonly link: string
}

export interface LinkAnswer {
  readonly className: string
  /** Her word is chosen when the link is opened first. */
  readonly isNew: boolean
}

export interface LessonSeen {
  readonly id: LessonId
  readonly title: string
  /** From 1. */
  readonly number: number
  readonly on: readonly string[]
  /** Hidden until this day; null where it is seen already. */
  readonly seenFrom: string | null
}

/** Answered once for all, or found by somebody: what her teacher shows the whole class. */
export interface SaidToClass {
  readonly id: string
  readonly lesson: LessonId
  readonly exercise: string | null
  /** Null of a tip. */
  readonly asked: string | null
  readonly said: string
}

/** `known`: the version of the week that her device has. */
export const askWeek = z.object({ known: z.string().max(200).optional() })

/** What has changed since that version: nothing but what is hers alone. */
export interface WeekNews {
  readonly version: string
  readonly learner: Learner
  readonly events: readonly PracticeEvent[]
  /** Pictures of hers that her teacher can see. */
  readonly pictures: readonly SentPicture[]
}

/** All that her page shows, and nothing of anybody else. */
export interface WeekAnswer extends WeekNews {
  readonly className: string
  /** In the class's zone. */
  readonly today: string
  /** With what is taught in the lessons that she may see. */
  readonly sampler: Sampler
  readonly lessons: readonly LessonSeen[]
  readonly said: readonly SaidToClass[]
  /** A class of children sends no pictures. */
  readonly sendsPictures: boolean
  /** How what a photograph measures stands against her teacher's ruler. */
  readonly measuring: Standing
}

export interface LearningAnswer {
  readonly code: string | null
  readonly links: readonly { readonly learner: string; readonly link: string; readonly isOpened: boolean }[]
  readonly events: readonly PracticeEvent[]
  readonly pictures: readonly (SentPicture & { readonly learner: string })[]
  readonly measuring: Standing
}
