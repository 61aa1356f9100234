/** How much more thread a kit has than is worked, and by what. */
import { unpickedShare } from '@lemmata/core/kit'
import type { Brief, Level } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'

type Unpicking = Pick<Brief, 'level' | 'unpicked'>

export const USUAL_FOR: Readonly<Record<Level, string>> = { beginner: 'beginners', improver: 'improvers', experienced: 'experienced hands' }

export const inPercent = (share: number): string => `${Math.round(100 * share)} %`

export function unpickedInWords({ level, unpicked }: Unpicking): string {
  const share = inPercent(unpickedShare({ level, unpicked }))
  return unpicked
    ? `For unpicking ${share} more than is worked, as ${counted(unpicked.learners, 'learner')} of a class threaded.`
    : `For unpicking ${share} more than is worked, usual for ${USUAL_FOR[level]}.`
}
