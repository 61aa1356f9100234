/** Counts, sizes and threads as sheet and screen say them, in the sampler's unit. */
import { partOfRole, wordForRole } from '../assign/index.ts'
import type { SpokenSize, UsedThread, WorkedExercise } from '../exercise/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import { counted, formatLength, type LengthUnit } from '../units/index.ts'

/** What is counted, where it is not stitches: knots and picots by what they are called, spokes by what is made. */
const COUNTED = /\b(knot|picot)s?\b/i

/** How many there are, called what they are, in how many pieces. */
export function countInWords({ stitches, pieces }: Pick<WorkedExercise, 'stitches' | 'pieces'>): string {
  const [{ assigned, worked }] = pieces
  const noun = COUNTED.exec(assigned.document.name)?.[1]?.toLowerCase() ?? (worked.segments.some(({ label }) => label === 'spoke') ? 'spoke' : null)
  const all = noun ? counted(stitches, noun) : counted(stitches, 'stitch', 'stitches')
  return pieces.length > 1 ? `${all} in ${pieces.length} pieces` : all
}

/** As a stitch is spoken of: "3.00 mm", "4.02 mm, 2.01 mm apart", "0.48 mm apart", "6 mm squares", "12 mm across". */
export function sizeInWords({ lengthMm, apartMm, gapMm, acrossMm, squareMm, highMm }: SpokenSize, units: LengthUnit): string {
  const mm = (value: number): string => formatLength(value, units, units === 'mm' ? 2 : 3)
  const said = [
    lengthMm === null ? null : mm(lengthMm),
    squareMm === null ? null : `${mm(squareMm)} squares`,
    acrossMm === null ? null : `${mm(acrossMm)} across`,
    highMm === null ? null : `${mm(highMm)} high`,
    gapMm === null ? null : `gaps of ${mm(gapMm)}`,
    apartMm === null ? null : `${mm(apartMm)} apart`,
  ]
  return said.filter((one) => one !== null).join(', ')
}

/** What the thread is to the stitch, as languages key it. */
export const partOf = ({ role }: Pick<UsedThread, 'role'>, { threads }: Pick<WorkedExercise, 'threads'>): string =>
  partOfRole(
    role,
    threads.map((one) => one.role),
  )

/** What this thread does in the stitch: shades of one role are counted, threads that pieces have of their own are named. */
export function roleWord({ role, thread }: Pick<UsedThread, 'role' | 'thread'>, { threads, assigned }: Pick<WorkedExercise, 'threads' | 'assigned'>): string {
  const alike = threads.filter((one) => one.role === role)
  const word = wordForRole(
    role,
    threads.map((one) => one.role),
  )
  if (alike.length < 2) return word
  const own = assigned.threads.find((one) => one.role === role)
  if (own && own.shades.length > 0) return `${role === MAIN_ROLE ? 'shade' : word} ${alike.findIndex((one) => one.thread.id === thread.id) + 1}`
  return `${role === MAIN_ROLE && own?.thread.value.id !== thread.id ? 'pieces' : word} in ${thread.colour.name}`
}
