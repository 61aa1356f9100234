/** What happened with accounts: for the teacher herself to see, and for whoever runs it when something went wrong. */
import type { Happened } from '@lemmata/contract'
import type { Request } from 'express'
import { Teacher, TrailRow } from '../database/index.ts'

const SHOWN = 30

/** Kept beside what is asked, never in its way. `teacherId`: null where nobody's account is known by it. */
export async function note(request: Request, what: Happened['what'], teacherId: string | null): Promise<void> {
  await TrailRow.create({ teacherId, what, address: request.ip ?? null })
}

/** A sign-in that failed is told to whose account it is; whoever tried is told nothing of it. */
export async function noteFailedSignIn(request: Request, email: string): Promise<void> {
  const teacher = await Teacher.findOne({ where: { email }, attributes: ['id'] })
  await note(request, 'sign-in-failed', teacher?.id ?? null)
}

/** The latest first. `most`: null for all that is kept. */
export async function trailOf(teacherId: string, most: number | null = SHOWN): Promise<readonly Happened[]> {
  const rows = await TrailRow.findAll({ where: { teacherId }, order: [['id', 'DESC']], ...(most === null ? {} : { limit: most }) })
  return rows.map(({ what, address, createdAt }) => ({ what: what as Happened['what'], from: address, at: createdAt.toISOString() }))
}
