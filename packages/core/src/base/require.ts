/** Guards for figures that must already be sound: a failure here is a fault in our own code. */

export function requireNumber(value: number, name: string): void {
  if (!Number.isFinite(value)) throw new RangeError(`${name} must be a finite number, not ${value}`)
}

export function requirePositive(value: number, name: string): void {
  if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${name} must be above 0, not ${value}`)
}

export function unreachable(value: never): never {
  throw new Error(`unexpected ${JSON.stringify(value)}`)
}
