import type { Problem } from '@lemmata/core/base'
import { BrokenThreadGlyph, KnotGlyph } from '../look/Glyphs.tsx'

/** A problem as a sentence with its sign: the sign and the word say what the colour says. */
export function ProblemLine({ problem }: { problem: Pick<Problem, 'severity' | 'message'> }) {
  const isError = problem.severity === 'error'
  return (
    <div className="problem">
      {isError ? <BrokenThreadGlyph /> : <KnotGlyph />}
      <span>
        <span className="visually-hidden">{isError ? 'Cannot be worked: ' : 'Caution: '}</span>
        {problem.message}
      </span>
    </div>
  )
}
