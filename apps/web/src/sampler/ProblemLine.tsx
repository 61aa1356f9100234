import { problemInWords } from '@lemmata/contract'
import type { Problem } from '@lemmata/core/base'
import type { Mend } from '@lemmata/core/mend'
import { Button } from 'antd'
import { BrokenThreadGlyph, KnotGlyph } from '../look/Glyphs.tsx'
import { edit, useAppSelector } from '../store/index.ts'

interface Props {
  readonly problem: Pick<Problem, 'severity' | 'code' | 'figures' | 'about'>
  /** Puts it right at a press. */
  readonly mend?: Mend | null
  /** Sets a caution aside; what cannot be worked has no such way out. */
  readonly onLeave?: () => void
}

/** A problem as a sentence with its sign: the sign and the word say what the colour says. */
export function ProblemLine({ problem, mend = null, onLeave }: Props) {
  const units = useAppSelector((state) => state.sampler.open?.document.units)
  const isError = problem.severity === 'error'
  return (
    <div className="problem">
      {isError ? <BrokenThreadGlyph /> : <KnotGlyph />}
      <span>
        <span className="visually-hidden">{isError ? 'Cannot be worked: ' : 'Caution: '}</span>
        {problemInWords(problem, units)}
        {mend && (
          <Button size="small" className="mend" onClick={() => edit(mend.operation)}>
            {mend.words}
          </Button>
        )}
        {onLeave && !isError && (
          <Button size="small" type="text" className="mend" title="Set this caution aside; it stays under Notes" onClick={onLeave}>
            Leave it
          </Button>
        )}
      </span>
    </div>
  )
}
