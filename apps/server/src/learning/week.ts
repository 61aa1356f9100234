/**
 * A learner's week. What all of a class are shown alike is worked out once for each state of it, and sent only to devices that have it not
 * yet: two hundred who tick a row each ask for what they know already.
 */
import { applySamplerOperations, type SaidToClass, type WeekAnswer, type WeekNews } from '@lemmata/contract'
import { layLessons } from '@lemmata/core/calendar'
import type { ClassDocument } from '@lemmata/core/classes'
import type { Lesson, Sampler } from '@lemmata/core/sampler'
import type { LearnerPrincipal } from '../access/index.ts'
import { classDocumentOf } from '../classes/index.ts'
import { ClassRow, SamplerRow } from '../database/index.ts'
import { documentOf } from '../samplers/index.ts'
import { notKnown } from './keys.ts'
import { practiceOfLearner } from './practice.ts'
import { rulerState, standingOfTeacher } from './ruler.ts'
import { picturesOfLearner } from './sent-pictures.ts'

interface Shown extends Pick<WeekAnswer, 'version' | 'className' | 'today' | 'sampler' | 'lessons' | 'said' | 'sendsPictures' | 'measuring'> {
  readonly document: ClassDocument
}

/** Nothing but what the database has, worked out: of the classes asked for last. */
const shown = new Map<string, Shown>()
const MOST = 60

/** `known`: the version that her device has; then only what is hers alone is sent. */
export async function weekOf(who: LearnerPrincipal, known: string | undefined): Promise<WeekAnswer | WeekNews> {
  const { document, ...week } = await shownTo(who.classId)
  const learner = document.learners.find((one) => one.id === who.learnerId)
  if (!learner) throw notKnown()
  const [events, pictures] = await Promise.all([practiceOfLearner(who), picturesOfLearner(who)])
  const own = { learner, events, pictures }
  return known === week.version ? { version: week.version, ...own } : { ...week, ...own }
}

async function shownTo(classId: string): Promise<Shown> {
  const row = await ClassRow.findByPk(classId, { attributes: ['id', 'revision', 'samplerId', 'teacherId'] })
  if (!row) throw notKnown()
  const [held, ruled] = await Promise.all([
    SamplerRow.findOne({ where: { id: row.samplerId, deletedAt: null }, attributes: ['id', 'revision'] }),
    rulerState(row.teacherId),
  ])
  if (!held) throw notKnown()
  const before = shown.get(classId)
  if (before && before.version === versionOf(row, held, dayIn(before.document.calendar?.zone), ruled)) {
    // Asked for last it goes last.
    shown.delete(classId)
    shown.set(classId, before)
    return before
  }
  const now = await workOut(classId)
  shown.set(classId, now)
  for (const [oldest] of shown) {
    if (shown.size <= MOST) break
    shown.delete(oldest)
  }
  return now
}

/** It changes with the class, with the sampler, with the day, and with what her teacher has held against a ruler. */
const versionOf = (row: Pick<ClassRow, 'id' | 'revision'>, held: Pick<SamplerRow, 'revision'>, today: string, ruled: string): string =>
  `${row.id} ${row.revision} ${held.revision} ${today} ${ruled}`

async function workOut(classId: string): Promise<Shown> {
  const row = await ClassRow.findByPk(classId)
  const held = row && (await SamplerRow.findOne({ where: { id: row.samplerId, deletedAt: null } }))
  if (!row || !held) throw notKnown()
  const [ruled, measuring] = await Promise.all([rulerState(row.teacherId), standingOfTeacher(row.teacherId)])
  const document = classDocumentOf(row)
  const sampler = documentOf(held)
  const today = dayIn(document.calendar?.zone)
  const taught = sampler.lessons.filter((one) => one.exercises.length > 0)
  const laid = document.calendar
    ? layLessons(
        document.calendar,
        taught.map((one) => one.id),
      )
    : null
  const lessons = taught.map((lesson, index) => {
    const dated = laid?.lessons.find((one) => one.lesson === lesson.id)
    const seenFrom = dated?.seenFrom ?? null
    return { id: lesson.id, title: lesson.title, number: index + 1, on: dated?.on ?? [], seenFrom: seenFrom !== null && seenFrom > today ? seenFrom : null }
  })
  const seen = new Set(lessons.filter((one) => one.seenFrom === null).map((one) => one.id as string))
  return {
    version: versionOf(row, held, today, ruled),
    document,
    className: document.name,
    today,
    sampler: seenOf(sampler, taught, seen),
    lessons,
    said: saidIn(document, seen),
    sendsPictures: document.children !== true,
    measuring,
  }
}

/** What the class is shown of lessons that she may see. */
function saidIn({ notes = {} }: ClassDocument, seen: ReadonlySet<string>): readonly SaidToClass[] {
  return Object.entries(notes).flatMap(([id, note]): readonly SaidToClass[] => {
    if (!seen.has(note.lesson)) return []
    if (note.kind === 'tip') return [{ id, lesson: note.lesson, exercise: note.exercise ?? null, asked: null, said: note.tip }]
    if (note.kind !== 'question' || note.shared !== true || note.answer === '') return []
    return [{ id, lesson: note.lesson, exercise: note.exercise ?? null, asked: note.asked, said: note.answer }]
  })
}

/** Without what is not taught yet, nor what its teacher noted and weighed for herself. */
function seenOf(sampler: Sampler, taught: readonly Lesson[], seen: ReadonlySet<string>): Sampler {
  const shown = new Set(taught.filter((one) => seen.has(one.id)).flatMap((one) => one.exercises as readonly string[]))
  const hidden = sampler.exercises.filter((one) => !shown.has(one.id))
  const operations = hidden.map((one) => ({ id: one.id, operation: { kind: 'remove-exercise' as const, id: one.id } }))
  const { document } = applySamplerOperations(sampler, operations)
  // Whatever named them would be wrong without them; and should one not be taken out, it is not sent all the same.
  const exercises = document.exercises
    .filter((one) => shown.has(one.id))
    .map(({ note: _note, trials: _trials, setAside: _setAside, pins: _pins, ...exercise }) => exercise)
  const { purpose: _purpose, wishes: _wishes, hardFor: _hardFor, marking: _marking, ...brief } = document.brief
  return { ...document, brief, exercises, lessons: document.lessons.filter((one) => seen.has(one.id)), keptOrders: [] }
}

const dayIn = (zone: string | undefined): string => new Intl.DateTimeFormat('en-CA', { timeZone: zone ?? 'UTC', dateStyle: 'short' }).format(new Date())
