/** Lists of things with ids. */

interface WithId {
  readonly id: string
}

export function byId<T extends WithId>(list: readonly T[], id: string): T | undefined {
  return list.find((one) => one.id === id)
}

/** Put in at a place, within the list's ends. */
export function insertAt<T>(list: readonly T[], one: T, at: number): readonly T[] {
  const place = Math.max(0, Math.min(list.length, at))
  return [...list.slice(0, place), one, ...list.slice(place)]
}

/** In its own place; put in at `at` where it was not there. */
export function putById<T extends WithId>(list: readonly T[], one: T, at: number): readonly T[] {
  return byId(list, one.id) ? list.map((other) => (other.id === one.id ? one : other)) : insertAt(list, one, at)
}

export function withoutId<T extends WithId>(list: readonly T[], id: string): readonly T[] {
  return list.filter((one) => one.id !== id)
}

export function placeOf(list: readonly WithId[], id: string): number {
  return list.findIndex((one) => one.id === id)
}
