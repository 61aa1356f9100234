/**
 * What must come first where two exercises meet on the cloth: flat before raised, and a fill before its
 * outline or after it, as the way of working says. Seen from the worked threads.
 */
import type { WorkedExercise } from '../exercise/index.ts'
import { exercisesMeet, isOutlineOf } from '../extent/index.ts'
import type { Motion } from '../work/index.ts'

/** `said`: the document says so; the others are seen from how the exercises lie. */
export type ClothReason = 'said' | 'raised' | 'fill-first' | 'outline-first'

/** Motions that leave the thread standing over the cloth. */
const RAISED: readonly Motion[] = ['wrap', 'cast', 'stand', 'bead', 'pad', 'round-pin', 'weave']
type After = readonly { readonly id: string; readonly because: ClothReason }[]

export function orderOnCloth(done: readonly WorkedExercise[]): ReadonlyMap<string, After> {
  const after = new Map<string, { id: string; because: ClothReason }[]>()
  const add = (then: WorkedExercise, first: WorkedExercise, because: ClothReason): void => {
    after.set(then.exercise.id, [...(after.get(then.exercise.id) ?? []), { id: first.exercise.id, because }])
  }
  for (const [i, one] of done.entries()) {
    for (const [j, other] of done.entries()) {
      if (i >= j) continue
      const outlined = isOutlineOf(one, other)
      if (outlined || isOutlineOf(other, one)) {
        const [line, fill] = outlined ? [one, other] : [other, one]
        if (line.assigned.ways.fillThenOutline) add(line, fill, 'fill-first')
        else add(fill, line, 'outline-first')
      } else if (isRaised(one) !== isRaised(other) && exercisesMeet(one, other)) {
        const [raised, flat] = isRaised(one) ? [one, other] : [other, one]
        add(raised, flat, 'raised')
      }
    }
  }
  return after
}

/** Pairs whose threads meet, whether or not anything says which is worked first. */
export function meetingsOnCloth(done: readonly WorkedExercise[]): readonly (readonly [string, string])[] {
  return done.flatMap((one, index) =>
    done
      .slice(index + 1)
      .filter((other) => exercisesMeet(one, other))
      .map((other) => [one.exercise.id, other.exercise.id] as const),
  )
}

function isRaised({ motions }: WorkedExercise): boolean {
  return RAISED.some((motion) => (motions[motion] ?? 0) > 0)
}
