/** The weights of difficulty as one class finds them: the usual ones, each group of loads times the teacher's factor. */
import type { HardFor } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'
import { type DifficultyWeights, USUAL_WEIGHTS } from './difficulty.ts'

export type LoadGroup = keyof HardFor

/** What a teacher says a class finds hard, in her words, and the motions that are meant. */
export const LOAD_GROUPS: readonly { readonly id: LoadGroup; readonly name: string; readonly motions: readonly Motion[] }[] = [
  { id: 'placing', name: 'Coming up at the right place', motions: ['up', 'down', 'shared-hole', 'turn-back', 'split', 'width', 'alternate'] },
  { id: 'loops', name: 'Loops', motions: ['leave-loop', 'catch-loop', 'cross-loop', 'keep-side'] },
  { id: 'knots', name: 'Wraps and knots', motions: ['wind', 'wrap', 'cast', 'stand', 'eight', 'bead'] },
  { id: 'surface', name: 'Working on the surface', motions: ['pass-under', 'pass-over', 'weave', 'round-pin', 'pin'] },
  { id: 'edges', name: 'Edges and shading', motions: ['edge', 'angle', 'interlock', 'pad'] },
  { id: 'laying', name: 'A second thread', motions: ['lay', 'tie', 'plunge'] },
  { id: 'counting', name: 'Counting and cutting', motions: ['count', 'withdraw', 'cut'] },
  { id: 'sequence', name: 'Remembering the sequence', motions: [] },
  { id: 'small', name: 'Small or tightly curved stitches', motions: [] },
  { id: 'unmarked', name: 'Holes without a mark', motions: [] },
]

export const CLASS_PRESETS: readonly { readonly id: string; readonly name: string; readonly because: string; readonly hardFor: HardFor }[] = [
  {
    id: 'children',
    name: 'Children',
    because: 'Small hands and short attention: placing, small stitches, long sequences and bare cloth weigh more.',
    hardFor: { placing: 1.4, small: 1.6, sequence: 1.5, unmarked: 1.5, knots: 1.2, counting: 1.5 },
  },
  {
    id: 'practised',
    name: 'Practised hands',
    because: 'They place holes and remember sequences without thinking; what is left is the motion itself.',
    hardFor: { placing: 0.6, sequence: 0.7, unmarked: 0.6, small: 0.8 },
  },
  {
    id: 'stiff',
    name: 'Stiff or weak hands',
    because: 'What needs the second hand or a fine grip weighs more. Ask before you plan; defer to what they and their carers know.',
    hardFor: { knots: 1.6, surface: 1.3, small: 1.5, laying: 1.3 },
  },
]

export function classWeights(hardFor: HardFor | undefined): DifficultyWeights {
  if (!hardFor) return USUAL_WEIGHTS
  const factor = (group: LoadGroup): number => hardFor[group] ?? 1
  const motions = { ...USUAL_WEIGHTS.motions }
  for (const group of LOAD_GROUPS) for (const motion of group.motions) motions[motion] *= factor(group.id)
  return {
    ...USUAL_WEIGHTS,
    motions,
    memoryPerMove: USUAL_WEIGHTS.memoryPerMove * factor('sequence'),
    memorySpecial: USUAL_WEIGHTS.memorySpecial * factor('sequence'),
    short: USUAL_WEIGHTS.short * factor('small'),
    bend: USUAL_WEIGHTS.bend * factor('small'),
    corner: USUAL_WEIGHTS.corner * factor('small'),
    unmarked: USUAL_WEIGHTS.unmarked * factor('unmarked'),
  }
}
