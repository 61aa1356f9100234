/** What is done before the first lesson and how long before, and what is looked at whenever the cloth goes into the hoop. */
import type { Told } from '../base/index.ts'
import { mm } from '../base/index.ts'
import { clothCare, outerOf } from '../materials/index.ts'
import { findMarkMethod } from '../marking/index.ts'
import type { Sampler } from '../sampler/index.ts'

export interface PrepStep extends Told {
  /** Days before the first lesson on which it is done at the latest. */
  readonly daysBefore: number
}

type Around = Pick<Sampler, 'cloth' | 'workingHoop' | 'brief'>

/** In the order in which they are done. A night to soak, a day to dry, then press, cut, mark: each needs the one before it. */
export function preparationOf({ cloth, workingHoop, brief }: Around): readonly PrepStep[] {
  const care = clothCare(cloth.kind)
  const washed = brief.cutting?.washed ?? 'before-cutting'
  const washes = washed !== 'not' && care.shrinkPercent !== null
  const steps: { readonly code: string; readonly daysBefore: number; readonly figures?: Told['figures'] }[] = []
  const wash = (): void => {
    steps.push({ code: 'cutting.soak', daysBefore: 5 }, { code: 'cutting.dry', daysBefore: 4 }, { code: 'cutting.press', daysBefore: 3 })
  }
  if (washes && washed === 'before-cutting') wash()
  if (!washes && care.shrinkPercent !== null) steps.push({ code: 'cutting.press-dry', daysBefore: 3 })
  const cutOn = washes && washed === 'after-cutting' ? 6 : 3
  steps.push({ code: 'cutting.cut', daysBefore: cutOn })
  if (care.frays) steps.push({ code: 'cutting.overcast', daysBefore: cutOn })
  if (washes && washed === 'after-cutting') wash()
  if (care.stabilise === 'always') steps.push({ code: 'cutting.stabilise', daysBefore: 2 })
  const method = findMarkMethod(brief.marking?.method ?? '')
  if (!method) steps.push({ code: 'cutting.mark-with', daysBefore: 2 })
  else if (method.daysSeen === null) steps.push({ code: 'cutting.mark', daysBefore: 2, figures: { method: method.name.toLowerCase() } })
  else steps.push({ code: 'cutting.mark-late', daysBefore: 1, figures: { method: method.name.toLowerCase() } })
  if (workingHoop && workingHoop.shape !== 'frame' && !care.onFrame)
    steps.push({ code: 'cutting.bind', daysBefore: 2, figures: { mm: mm(Math.max(...outerOf(workingHoop))) } })
  return steps.map(({ code, daysBefore, figures = {} }) => ({ code, figures, daysBefore })).sort((a, b) => b.daysBefore - a.daysBefore)
}

/** Each time the cloth goes in. */
export function hoopingChecks({ cloth, workingHoop, brief }: Around): readonly Told[] {
  const care = clothCare(cloth.kind)
  if (!workingHoop || workingHoop.shape === 'frame' || care.onFrame) return [{ code: 'cutting.on-frame', figures: {} }]
  const method = findMarkMethod(brief.marking?.method ?? '')
  return [
    care.hasGrain ? { code: 'cutting.grain', figures: {} } : { code: 'cutting.no-grain', figures: {} },
    ...(care.stabilise === 'always' ? [{ code: 'cutting.float', figures: {} }] : []),
    ...(method?.by === 'tracing' ? [{ code: 'cutting.marks-first', figures: {} }] : []),
    { code: 'cutting.tighten', figures: {} },
    { code: 'cutting.drum', figures: { sag: mm(3) } },
    { code: 'cutting.loosen', figures: {} },
  ]
}
