import { timingSafeEqual } from 'node:crypto'

/** Whether two secrets are the same, told in a time that does not depend on where they differ. */
export function isSame(a: string, b: string): boolean {
  const [one, other] = [Buffer.from(a), Buffer.from(b)]
  return one.length === other.length && timingSafeEqual(one, other)
}
