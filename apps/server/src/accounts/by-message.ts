/**
 * A new account where messages are really sent: made by the link in one, so that only whoever reads it learns whether the address has an
 * account already. The link holds what was asked for, sealed; until it is opened nothing is kept.
 */
import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto'
import { z } from 'zod'
import { Teacher } from '../database/index.ts'
import { HttpProblem } from '../http/problem.ts'
import type { Post } from '../mail/index.ts'
import type { NewTeacher } from './service.ts'

const GOOD_FOR_MS = 24 * 3600 * 1000
const NONCE_BYTES = 12
const TAG_BYTES = 16

const wanted = z.object({ email: z.string(), name: z.string(), passwordHash: z.string(), until: z.number() })

const keyOf = (secret: string): Buffer => Buffer.from(hkdfSync('sha256', secret, '', 'a new account, by a message', 32))

export function seal(secret: string, account: NewTeacher, now = Date.now()): string {
  const nonce = randomBytes(NONCE_BYTES)
  const cipher = createCipheriv('aes-256-gcm', keyOf(secret), nonce)
  const sealed = Buffer.concat([cipher.update(JSON.stringify({ ...account, until: now + GOOD_FOR_MS })), cipher.final()])
  return Buffer.concat([nonce, cipher.getAuthTag(), sealed]).toString('base64url')
}

/** Refused where it was not sealed here, was changed, or is older than a day. */
export function unseal(secret: string, token: string, now = Date.now()): NewTeacher {
  try {
    const bytes = Buffer.from(token, 'base64url')
    const decipher = createDecipheriv('aes-256-gcm', keyOf(secret), bytes.subarray(0, NONCE_BYTES))
    decipher.setAuthTag(bytes.subarray(NONCE_BYTES, NONCE_BYTES + TAG_BYTES))
    const text = Buffer.concat([decipher.update(bytes.subarray(NONCE_BYTES + TAG_BYTES)), decipher.final()]).toString('utf8')
    const { until, ...account } = wanted.parse(JSON.parse(text))
    if (until > now) return account
  } catch {
    // As one that is too old.
  }
  throw new HttpProblem(422, 'account.link', 'This link is not good any more. Make the account once more, and another one comes.')
}

/** Answered before any of it is done, and as long for an address that is known: the password is worked in either case. */
export async function sendWanted(post: Post, account: NewTeacher, secret: string, address: string): Promise<void> {
  const isThere = (await Teacher.count({ where: { email: account.email } })) > 0
  await post({
    to: account.email,
    subject: isThere ? 'You have an account at Lemmata' : 'Your account at Lemmata',
    // Nothing of it is written by whoever asked: it may go to a stranger.
    text: [
      ...(isThere
        ? [
            'Somebody, most likely you, wanted to make an account with this address, and there is one. Sign in with it:',
            '',
            `${address}/sign-in`,
            '',
            'If you have forgotten its password, a new one can be set there.',
          ]
        : [
            'Somebody, most likely you, wants an account with this address. It is made by this link, within a day:',
            '',
            `${address}/sign-in?new-account=${seal(secret, account)}`,
            '',
            'If it was not you, leave it: nothing is kept.',
          ]),
      '',
    ].join('\n'),
  })
}
