/** Passwords: argon2id, 19 MiB, two passes: the usual advice for a server of this size. */
import { hash, verify } from '@node-rs/argon2'

const OPTIONS = { algorithm: 2 /* argon2id */, memoryCost: 19_456, timeCost: 2, parallelism: 1 }

export function hashPassword(password: string): Promise<string> {
  return hash(password, OPTIONS)
}

let decoy: Promise<string> | null = null

/** Takes as long for an unknown address as for a wrong password, so that neither is told apart. */
export async function passwordMatches(password: string, kept: string | null): Promise<boolean> {
  decoy ??= hashPassword('no account has this password')
  const matches = await verify(kept ?? (await decoy), password)
  return kept !== null && matches
}
