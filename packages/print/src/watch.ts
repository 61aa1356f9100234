/** How far a print is, told between its parts; whoever is told may have it stopped. */

/** `share`: 0 to 1. Rejects where it is not to go on: the print rejects with the same. */
export type Watch = (share: number) => Promise<void>

/** Part of a print, from one share of the whole to another. */
export type Part = readonly [from: number, to: number]

export const WORKING: Part = [0, 0.5]
export const LAYING: Part = [0.5, 0.7]
export const WRITING: Part = [0.7, 1]

export const within = ([from, to]: Part, share: number): number => from + (to - from) * share

/** Shares of a part as shares of the whole. */
export function* inPart<T>(part: Part, steps: Generator<number, T>): Generator<number, T> {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    yield within(part, step.value)
  }
}

export async function watched<T>(steps: Generator<number, T>, watch?: Watch): Promise<T> {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    await watch?.(step.value)
  }
}
