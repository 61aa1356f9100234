/**
 * A length as it comes out after fitting. The guide's ruler stretches what lies along it, the steps and how far along a
 * point lies; a height to the side, a padding, a stitch cut from a chord stay as they are. mm.
 */
import type { ParameterValue, StitchDocument } from '../notation/index.ts'
import type { Fitted } from '../work/index.ts'

/** Fitted over asked: 1 where nothing had to give. */
export function fittedShare({ askedMm, pitchMm }: Fitted): number {
  return askedMm > 0 ? pitchMm / askedMm : 1
}

export function isStretched({ id, kind }: Pick<ParameterValue, 'id' | 'kind'>, document: StitchDocument): boolean {
  return kind === 'length' && namesStretched(document).has(id)
}

const known = new WeakMap<StitchDocument, ReadonlySet<string>>()

function namesStretched(document: StitchDocument): ReadonlySet<string> {
  const before = known.get(document)
  if (before) return before
  const names = new Set<string>()
  const add = (expression: unknown): void => {
    for (const name of String(expression).match(/[A-Za-z]\w*/g) ?? []) names.add(name)
  }
  for (const { place, ...moves } of document.passes) {
    if ('across' in place) add(place.across.pitch)
    if ('scatter' in place) add(place.scatter.apart)
    if (!('along' in place)) continue
    place.along.step.forEach(add)
    pointsIn(moves, (s) => add(s))
  }
  known.set(document, names)
  return names
}

/** Every point `[s, t]` within moves: `s` lies along. An offset `by` is measured from a point, and is not stretched. */
function pointsIn(value: unknown, found: (s: unknown) => void): void {
  if (Array.isArray(value)) {
    if (value.length === 2 && value.every((one) => typeof one === 'string' || typeof one === 'number')) found(value[0])
    else for (const one of value) pointsIn(one, found)
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, one] of Object.entries(value)) if (key !== 'by') pointsIn(one, found)
  }
}
