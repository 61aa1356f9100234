/** The secret address of a class's calendar: made, renewed and ended by its teacher; whoever has it reads dates and titles, and nothing else. */
import { randomBytes } from 'node:crypto'
import { classCalendarFile } from '@lemmata/contract'
import type { Principal } from '../access/index.ts'
import { classDocumentOf, findClass } from '../classes/index.ts'
import { ClassRow, SamplerRow } from '../database/index.ts'
import { documentOf } from '../samplers/index.ts'

const SECRET_BYTES = 24

export async function readAddress(who: Principal, classId: string): Promise<string | null> {
  return (await findClass(who, classId)).calendarSecret
}

/** The one before ends with it. */
export async function renewAddress(who: Principal, classId: string): Promise<string> {
  const secret = randomBytes(SECRET_BYTES).toString('base64url')
  await (await findClass(who, classId)).update({ calendarSecret: secret })
  return secret
}

export async function endAddress(who: Principal, classId: string): Promise<void> {
  await (await findClass(who, classId)).update({ calendarSecret: null })
}

/** Null where nothing is at that address, or its sampler has been thrown away. */
export async function fileAt(secret: string): Promise<string | null> {
  const row = await ClassRow.findOne({ where: { calendarSecret: secret } })
  const sampler = row && (await SamplerRow.findOne({ where: { id: row.samplerId, deletedAt: null } }))
  if (!sampler) return null
  return classCalendarFile(documentOf(sampler), classDocumentOf(row).calendar, row.id, row.changedAt)
}
