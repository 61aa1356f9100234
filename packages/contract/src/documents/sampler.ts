/** The sampler document, version 2: what the teacher decided, nothing that can be computed, and nobody's name. */
import { CLOTH_KIND_IDS, THREAD_KIND_IDS, type ThreadFigures } from '@lemmata/core/materials'
import { danglingReferences, type Reference, type Sampler } from '@lemmata/core/sampler'
import { z } from 'zod'
import { brief } from './brief.ts'
import { exercise } from './exercise.ts'
import { drawnGuide, guideGroup } from './guide.ts'
import { colour, id, lengthMm, oneOf, pair, shortText } from './primitives.ts'
import { stitchDocument } from './stitch.ts'

export const cloth = z.object({
  kind: oneOf(CLOTH_KIND_IDS, 'cloth'),
  threadsPerCm: z.number().min(1).max(80).nullable().optional(),
  thicknessMm: z.number().min(0.02).max(10).optional(),
  colour,
  widthMm: z.number().min(20).max(3000),
  heightMm: z.number().min(20).max(3000),
})

const insideBoth = z.tuple([lengthMm, lengthMm])
export const hoop = z.discriminatedUnion('shape', [
  z.object({ shape: z.literal('round'), nominalMm: lengthMm, insideMm: lengthMm, at: pair }),
  z.object({ shape: z.enum(['oval', 'frame']), insideMm: insideBoth, at: pair }),
])
export const displayHoop = z.discriminatedUnion('shape', [
  z.object({ shape: z.literal('round'), insideMm: lengthMm, at: pair, nominalMm: lengthMm.optional() }),
  z.object({ shape: z.enum(['oval', 'frame']), insideMm: insideBoth, at: pair }),
])
export const underlay = z.object({
  picture: z.uuid(),
  at: pair,
  widthMm: z.number().min(5).max(3000),
  heightShare: z.number().min(0.02).max(50),
  turnRad: z.number().min(-7).max(7).optional(),
  opacityPercent: z.number().min(5).max(100).optional(),
})
export const threadFigures = z.object({
  name: shortText.optional(),
  diameterMm: z.number().min(0.02).max(10).optional(),
  tex: z.number().min(1).max(20_000).optional(),
  mostStrands: z.number().int().min(1).max(12).optional(),
  longestMm: z.number().min(50).max(2000).optional(),
  putUpMm: z.number().min(500).max(20_000_000).optional(),
  from: z.enum(['measured', 'label', 'judgement']),
  within: z.number().min(0).max(1).optional(),
}) satisfies z.ZodType<ThreadFigures>
export const threadKind = oneOf(THREAD_KIND_IDS, 'kind of thread')
export const threadWeight = z.string().max(10)
export const thread = z.object({ id, kind: threadKind, weight: threadWeight.optional(), colour, figures: threadFigures.optional() })
export const lesson = z.object({ id, title: shortText, exercises: z.array(id).max(100) })
const keptLessons = z.array(z.array(id).max(100)).max(200)
export const keptOrder = z.object({ id, name: shortText, lessons: keptLessons })

/** Four times the largest course that teachers describe. */
export const MOST_EXERCISES = 160
export const MOST_GUIDES = 800

export const sampler = z
  .object({
    format: z.literal('lemmata-sampler'),
    version: z.literal(2),
    name: shortText,
    units: z.enum(['mm', 'in']).default('mm'),
    brief: brief.prefault({}),
    cloth,
    workingHoop: hoop.optional(),
    displayHoop: displayHoop.optional(),
    threads: z.array(thread).max(200).default([]),
    drawing: z
      .object({
        guides: z.array(drawnGuide).max(MOST_GUIDES, `these are more than ${MOST_GUIDES} guides; divide the sampler`).default([]),
        groups: z.array(guideGroup).max(200).default([]),
        underlay: underlay.nullish(),
      })
      .transform(({ guides, groups, underlay: picture }) => ({ guides, groups, ...(picture ? { underlay: picture } : {}) }))
      .prefault({}),
    exercises: z.array(exercise).max(MOST_EXERCISES, `these are more than ${MOST_EXERCISES} exercises, the most that one sampler holds; divide the course`),
    lessons: z.array(lesson).max(200).default([]),
    keptOrders: z.array(keptOrder).max(50).default([]),
    stitches: z.array(stitchDocument).max(100).default([]),
  })
  .superRefine((document, context) => {
    for (const { path, message } of wrongAmong(document)) context.addIssue({ code: 'custom', path: [...path], message })
  }) satisfies z.ZodType<Sampler>

interface Wrong {
  readonly path: readonly (string | number)[]
  readonly message: string
}

/** What is wrong between parts each of which is right: an id twice, a name of something that is not there. */
export function wrongAmong(document: Sampler): readonly Wrong[] {
  const all: Wrong[] = []
  const wrong = (path: Wrong['path'], message: string): void => void all.push({ path, message })
  for (const [list, path] of listsOf(document))
    for (const [index, one] of repeated(list)) wrong([...path, index, 'id'], `"${one}" stands twice; give each an id of its own`)
  for (const reference of danglingReferences(document)) wrong(reference.path, nothingThere(reference))
  const taught = document.lessons.flatMap((one, at) => one.exercises.map((exerciseId, place) => ({ exerciseId, path: ['lessons', at, 'exercises', place] })))
  for (const [index, one] of repeated(taught.map(({ exerciseId }) => ({ id: exerciseId }))))
    wrong(taught[index]?.path ?? ['lessons'], `"${one}" is taught twice; leave it in one lesson`)
  const members = document.drawing.groups.flatMap((group, at) =>
    group.members.map((member, place) => ({ member, path: ['drawing', 'groups', at, 'members', place] })),
  )
  for (const [index, one] of repeated(members.map(({ member }) => ({ id: member }))))
    wrong(members[index]?.path ?? [], `"${one}" is in two groups; leave it in one`)
  for (const [index, one] of document.exercises.entries())
    for (const [place, guideId] of repeated(one.on.map((on) => ({ id: on.guide }))))
      wrong(['exercises', index, 'on', place], `it is worked on "${guideId}" twice; name each guide once`)
  return all
}

function listsOf(document: Sampler): readonly (readonly [readonly { readonly id: string }[], readonly string[]])[] {
  return [
    [document.threads, ['threads']],
    [document.drawing.guides, ['drawing', 'guides']],
    [document.drawing.groups, ['drawing', 'groups']],
    [document.exercises, ['exercises']],
    [document.lessons, ['lessons']],
    [document.keptOrders ?? [], ['keptOrders']],
    [document.stitches, ['stitches']],
  ]
}

/** Places of ids that have stood before. */
function repeated(list: readonly { readonly id: string }[]): readonly (readonly [number, string])[] {
  const seen = new Set<string>()
  return list.flatMap(({ id: one }, index) => {
    if (seen.has(one)) return [[index, one] as const]
    seen.add(one)
    return []
  })
}

function nothingThere({ names, id: one }: Reference): string {
  return `there is no ${names} "${one}" in this sampler; name one that is there, or leave it out`
}
