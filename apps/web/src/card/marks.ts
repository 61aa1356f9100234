/** How much of an exercise is marked on the cloth, in words. */
import type { MarkStyle } from '@lemmata/core/sampler'

export const MARKS: readonly { readonly value: MarkStyle; readonly label: string }[] = [
  { value: 'every-hole', label: 'A dot for every hole' },
  { value: 'every-nth', label: 'A dot for every third hole' },
  { value: 'ends-only', label: 'Both ends' },
  { value: 'in-order', label: 'Sections, rows, letters, wraps' },
  { value: 'guide-only', label: 'The line alone' },
  { value: 'none', label: 'Nothing' },
]
