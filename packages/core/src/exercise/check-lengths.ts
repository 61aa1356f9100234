/** Lengths as they come out, against the window in which the stitch is good. */
import type { Assigned } from '../assign/index.ts'
import { caution, type Figure, mm, type Problem } from '../base/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { WorkedStitch } from '../work/index.ts'
import { fittedShare } from './fitted-length.ts'

/** A length the teacher gave is obeyed; outside its window it is a caution with figures. */
export function checkLengths(assigned: Assigned, guide: ReadGuide, worked: WorkedStitch): Problem[] {
  const problems: Problem[] = []
  const asked = worked.fitted.askedMm
  const stretches = worked.fitted.legs.map((leg) => (asked > 0 ? leg.pitchMm / asked : 1))
  // The rows of a filling are fitted each for itself: their mean says what the eye sees.
  const mean = fittedShare(worked.fitted)
  const [least, most] = guide.kind === 'line' ? [Math.min(...stretches), Math.max(...stretches)] : [mean, mean]
  for (const parameter of assigned.parameters.values()) {
    const isLength = parameter.kind === 'length' && worked.fitted.legs.length > 0
    const low = parameter.value * (isLength ? least : 1)
    const high = parameter.value * (isLength ? most : 1)
    const show = (value: number): Figure => (parameter.kind === 'length' ? mm(value) : value)
    // A hundredth: fitting moves a length by less than anyone can see.
    if (parameter.max !== null && high > parameter.max * 1.01) {
      problems.push(
        caution('exercise.long', ['parameters', parameter.id], {
          name: parameter.name,
          comes: show(high),
          bound: show(parameter.max),
          usual: show(parameter.usual),
        }),
      )
    } else if (parameter.min !== null && low < parameter.min * 0.99) {
      problems.push(
        caution('exercise.short', ['parameters', parameter.id], {
          name: parameter.name,
          comes: show(low),
          bound: show(parameter.min),
          usual: show(parameter.usual),
        }),
      )
    }
  }
  return problems
}

/** Legs between corners whose fitted stitches differ enough to be seen. */
export function checkLegs(worked: WorkedStitch): Problem[] {
  const problems: Problem[] = []
  const { legs, askedMm } = worked.fitted
  const pitches = legs.map((leg) => leg.pitchMm)
  const [least, most] = [Math.min(...pitches), Math.max(...pitches)]
  if (legs.length > 1 && most > least * 1.04) {
    problems.push(caution('exercise.legs-differ', ['guide'], { least: mm(least), most: mm(most) }))
  }
  if (most > askedMm * 1.5 || least < askedMm * 0.67) {
    problems.push(caution('exercise.stretched', ['guide'], { asked: mm(askedMm), fitted: mm(most > askedMm * 1.5 ? most : least) }))
  }
  return problems
}
