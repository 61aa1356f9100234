/** What is brought in, once it is read: what only lays it needs none of the reading. */
import { boxOf, parsePath } from '../geometry/index.ts'
import type { Guide } from '../guide/index.ts'

export interface BroughtGuide {
  readonly name: string | null
  /** The outermost named group that it lies in. */
  readonly layer: string | null
  readonly guide: Extract<Guide, { kind: 'line' | 'shape' }>
}

/** The box of all that was brought in, mm. */
export function boxOfBrought(guides: readonly BroughtGuide[]) {
  return boxOf(
    guides.flatMap(({ guide }) => {
      const parsed = parsePath(guide.path)
      return parsed.ok ? parsed.value.points : []
    }),
  )
}
