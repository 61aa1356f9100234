/** Codes, links and keys: how a learner is known without an address or a password. */
import { createHash, randomBytes, randomInt } from 'node:crypto'
import { CODE_LENGTH, CODE_LETTERS } from '@lemmata/contract'
import type { Request } from 'express'
import type { LearnerPrincipal } from '../access/index.ts'
import { KeyRow, LinkRow } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'

const SECRET_BYTES = 24

export const newCode = (): string => Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('')
export const newSecret = (): string => randomBytes(SECRET_BYTES).toString('base64url')

/** A key is as long as it is random: it needs no slow hash. */
const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex')

export const notKnown = (): HttpProblem =>
  new HttpProblem(401, 'learning.not-known', 'This device is not known any more. Open your link again, or ask your teacher for a new one.')

/** Another device of hers from now on. */
export async function giveKey(link: LinkRow): Promise<string> {
  const key = newSecret()
  await KeyRow.create({ keyHash: hashOf(key), linkId: link.id })
  return key
}

/** The learner who is asking, or 401. */
export async function learnerOf(request: Request): Promise<LearnerPrincipal> {
  const key = /^Bearer ([\w-]{20,64})$/.exec(request.get('authorization') ?? '')?.[1]
  // In one question: it is asked before every other.
  const known = key === undefined ? null : await KeyRow.findByPk(hashOf(key), { include: { model: LinkRow, as: 'link', attributes: ['classId', 'learnerId'] } })
  const link = known?.link
  if (!link) throw notKnown()
  return { kind: 'learner', classId: link.classId, learnerId: link.learnerId }
}
