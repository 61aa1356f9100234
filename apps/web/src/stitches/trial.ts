/** What is set where a stitch is tried. */
import { MAIN_ROLE } from '@lemmata/core/notation'
import type { Exercise } from '@lemmata/core/sampler'

export interface Trial {
  readonly guide: number
  /** Another version of the stitch; the one that the Brief asks for when null. */
  readonly variant: string | null
  readonly parameters: Readonly<Record<string, number>>
  readonly strands: number | null
}

export const FIRST_TRIAL: Trial = { guide: 0, variant: null, parameters: {}, strands: null }

/** What an exercise takes over from a trial. */
export function asTried({ variant, parameters, strands }: Trial): Partial<Omit<Exercise, 'id' | 'on' | 'stitch'>> {
  return {
    ...(Object.keys(parameters).length > 0 ? { parameters: { ...parameters } } : {}),
    ...(strands === null ? {} : { materials: { [MAIN_ROLE]: { strands } } }),
    ...(variant === null ? {} : { variant }),
  }
}
