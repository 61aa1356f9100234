/** An account's archive taken in again, by the same or by another account: beside what is there, under ids of its own, all of it or nothing. */
import { randomUUID } from 'node:crypto'
import { type AccountArchive, type BroughtBack, problemInWords, readClass, readSampler, readStitch, readStores } from '@lemmata/contract'
import type { Problem } from '@lemmata/core/base'
import type { Sequelize, Transaction } from 'sequelize'
import sharp from 'sharp'
import { makeSureOfBytes, MOST_OF_ACCOUNT } from '../access/index.ts'
import { ClassRow, OwnStitchRow, PictureRow, PracticeRow, RulerCheckRow, SamplerRow, SentPictureRow, StoresRow, VersionRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { shelfColumns } from '../samplers/index.ts'

const LARGEST_PX = 4000

export function bringBack(sequelize: Sequelize, teacherId: string, archive: AccountArchive): Promise<BroughtBack> {
  const ids = newIds(archive)
  return sequelize.transaction(async (transaction) => {
    const now = Date.now()
    const at = (index: number): Date => new Date(now + index)
    const given: Given = { teacherId, archive: renamed(archive, ids), transaction, leftOut: [], at }
    await makeSureOfRoom(given)
    await bringPictures(given)
    const samplers = await bringSamplers(given)
    const classes = await bringClasses(given, samplers)
    const stitches = await bringStitches(given)
    await bringStores(given)
    await RulerCheckRow.bulkCreate(
      given.archive.rulerChecks.map((one, index) => ({ teacherId, given: one, createdAt: given.at(index) })),
      { transaction },
    )
    return { samplers: samplers.size, classes, stitches, leftOut: given.leftOut }
  })
}

interface Given {
  readonly teacherId: string
  readonly archive: AccountArchive
  readonly transaction: Transaction
  readonly leftOut: string[]
  /** When the first, the second of a kind is made: they keep their order. */
  readonly at: (index: number) => Date
}

/** Where it came from it may still be: whatever is known by an id of the whole database gets another. */
function newIds({ samplers, classes, pictures }: AccountArchive): ReadonlyMap<string, string> {
  const old = [...samplers, ...classes, ...classes.flatMap((one) => one.events), ...pictures].map((one) => one.id)
  return new Map(old.map((id) => [id, randomUUID()]))
}

/** Also where one thing names another: a class its sampler, a sampler its picture, a note the question that it answers. */
function renamed<One>(value: One, ids: ReadonlyMap<string, string>): One {
  if (typeof value === 'string') return (ids.get(value) ?? value) as One
  if (Array.isArray(value)) return value.map((one: unknown) => renamed(one, ids)) as One
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, renamed(one as unknown, ids)])) as One
}

async function makeSureOfRoom({ teacherId, archive, transaction }: Given): Promise<void> {
  await makeSureOfBytes(teacherId, JSON.stringify(archive).length, transaction)
  const own = { where: { teacherId }, transaction }
  const has = {
    ...{ samplers: await SamplerRow.count(own), stitches: await OwnStitchRow.count(own) },
    ...{ pictures: await PictureRow.count(own), rulerChecks: await RulerCheckRow.count(own) },
  }
  for (const [what, most] of Object.entries(MOST_OF_ACCOUNT) as [keyof typeof MOST_OF_ACCOUNT, number][])
    if (has[what] + archive[what].length > most)
      throw new HttpProblem(422, 'archive.no-room', 'There is no room for all of this beside what is here already. Bring it into an account of its own.')
}

async function bringPictures({ teacherId, archive, transaction, leftOut, at }: Given): Promise<void> {
  for (const [index, { id, width, height, webp }] of archive.pictures.entries()) {
    const bytes = await pictureOf(webp)
    if (bytes) await PictureRow.create({ id, teacherId, width, height, bytes, createdAt: at(index) }, { transaction })
    else leftOut.push('A picture to draw over: it is no picture that can be read here.')
  }
}

/** The very bytes, once it is sure that they are a picture of ours. */
async function pictureOf(webp: string): Promise<Buffer | null> {
  const bytes = Buffer.from(webp, 'base64')
  try {
    const { format, width = 0, height = 0 } = await sharp(bytes).metadata()
    return format === 'webp' && Math.max(width, height) <= LARGEST_PX ? bytes : null
  } catch {
    return null
  }
}

/** Ids of those that are in. */
async function bringSamplers({ teacherId, archive, transaction, leftOut, at }: Given): Promise<ReadonlySet<string>> {
  const brought = new Set<string>()
  for (const [index, { id, deletedAt, document, versions }] of archive.samplers.entries()) {
    const read = readSampler(document)
    if (!read.ok) {
      leftOut.push(stayedOut('A sampler', document, read.problems))
      continue
    }
    const row = { id, teacherId, ...shelfColumns(read.value), revision: 1, printedRevision: null, deletedAt: deletedAt === null ? null : new Date(deletedAt) }
    await SamplerRow.create({ ...row, createdAt: at(index) }, { transaction })
    brought.add(id)
    for (const { name, createdAt, document: kept } of versions) {
      const version = readSampler(kept)
      if (version.ok) await VersionRow.create({ samplerId: id, name, revision: 1, document: version.value, createdAt: new Date(createdAt) }, { transaction })
      else leftOut.push(stayedOut(`The version \u201c${name}\u201d`, kept, version.problems))
    }
  }
  return brought
}

async function bringClasses({ teacherId, archive, transaction, leftOut, at }: Given, samplers: ReadonlySet<string>): Promise<number> {
  let count = 0
  for (const [index, { id, sampler, document, events, pictures }] of archive.classes.entries()) {
    const read = readClass(document)
    if (!read.ok || !samplers.has(sampler)) {
      leftOut.push(read.ok ? `The class \u201c${read.value.name}\u201d: its sampler stayed out.` : stayedOut('A class', document, read.problems))
      continue
    }
    const own = read.value
    await ClassRow.create(
      { id, teacherId, samplerId: sampler, name: own.name, learners: own.learners.length, document: own, revision: 1, createdAt: at(index) },
      { transaction },
    )
    const known = new Set<string>(own.learners.map((one) => one.id))
    await PracticeRow.bulkCreate(
      events
        .filter((one) => known.has(one.learner))
        .map((event, place) => ({ id: event.id, classId: id, learnerId: event.learner, event, createdAt: at(place) })),
      { transaction },
    )
    for (const { learner, exercise, createdAt, mayShow, webp } of pictures) {
      const bytes = known.has(learner) ? await pictureOf(webp) : null
      if (bytes) await SentPictureRow.create({ classId: id, learnerId: learner, exercise, mayShow, bytes, createdAt: new Date(createdAt) }, { transaction })
      else leftOut.push('A picture of a row: it is no picture that can be read here.')
    }
    count += 1
  }
  return count
}

async function bringStitches({ teacherId, archive, transaction, leftOut }: Given): Promise<number> {
  const known = new Set((await OwnStitchRow.findAll({ where: { teacherId }, attributes: ['stitchId'], transaction })).map((one) => one.stitchId))
  let count = 0
  for (const document of archive.stitches) {
    const read = readStitch(document)
    if (!read.ok) leftOut.push(stayedOut('A stitch', document, read.problems))
    else if (known.has(read.value.id)) leftOut.push(`The stitch \u201c${read.value.name}\u201d: there is one of this name in the library already.`)
    else {
      await OwnStitchRow.create({ teacherId, stitchId: read.value.id, document: read.value }, { transaction })
      known.add(read.value.id)
      count += 1
    }
  }
  return count
}

/** Two stores are not one: what is there is counted by somebody. */
async function bringStores({ teacherId, archive, transaction, leftOut }: Given): Promise<void> {
  if (archive.stores === null || archive.stores === undefined) return
  const read = readStores(archive.stores)
  const before = await StoresRow.findByPk(teacherId, { transaction })
  if (!read.ok) leftOut.push(stayedOut('The stores', null, read.problems))
  else if (!before) await StoresRow.create({ id: teacherId, document: read.value, revision: 1 }, { transaction })
  else if (isEmpty(before.document)) await before.update({ document: read.value, revision: before.revision + 1, changedAt: new Date() }, { transaction })
  else leftOut.push('The stores: there are stores here already.')
}

const isEmpty = (stores: unknown): boolean => Object.values(stores as Readonly<Record<string, unknown>>).every((one) => !Array.isArray(one) || one.length === 0)

function stayedOut(what: string, document: unknown, problems: readonly Problem[]): string {
  const name: unknown = typeof document === 'object' && document !== null && 'name' in document ? document.name : null
  const called = typeof name === 'string' ? ` \u201c${name.slice(0, 60)}\u201d` : ''
  const [first] = problems
  return `${what}${called}: ${first ? problemInWords(first) : 'it cannot be read.'}`
}
