/** An exercise with too little room beside a neighbour: said with both figures, and moved away from it. */
import { caution, mm, type Problem } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { crowdedBy } from '../extent/index.ts'
import { moveBy } from '../geometry/index.ts'
import type { Operation, Sampler } from '../sampler/index.ts'

/** A ruler's tenth, so that both threads have all their room. */
const ROUND_UP_MM = 0.1

export function crowdedProblem(done: WorkedExercise, among: readonly WorkedExercise[]): Problem | null {
  const crowded = crowdedBy(done, among)
  return (
    crowded && caution('cloth.crowded', ['on'], { other: crowded.other.exercise.name, along: mm(Math.round(crowded.alongMm)), wanted: mm(crowded.wantedMm) })
  )
}

/** Straight away from the other's thread; null where a group decides where its guides lie, or another exercise is worked on one of them. */
export function moveAway(
  done: WorkedExercise,
  among: readonly WorkedExercise[],
  { drawing }: Pick<Sampler, 'drawing'>,
): { readonly byMm: number; readonly operation: Operation } | null {
  const crowded = crowdedBy(done, among)
  const ids = done.exercise.on.map((on) => on.guide)
  const isShared = among.some((one) => one !== done && one.exercise.on.some((on) => ids.includes(on.guide)))
  if (!crowded || isShared || drawing.groups.some((group) => group.members.some((id) => ids.includes(id)))) return null
  const long = Math.hypot(crowded.away.x, crowded.away.y)
  const byMm = Math.ceil(long / ROUND_UP_MM - 1e-9) * ROUND_UP_MM
  const more = byMm / long
  return { byMm, operation: { kind: 'transform-guides', ids, matrix: moveBy({ x: crowded.away.x * more, y: crowded.away.y * more }) } }
}
