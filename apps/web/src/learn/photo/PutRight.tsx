/** Where marks lie beside her stitches she puts them right: how many she counts, and a stitch at a time. */
import { canPutRight, type PutRight as Change, type RowKind } from '@lemmata/core/photo'
import { useWords } from '../words/index.ts'

interface Props {
  readonly kind: RowKind
  /** How many stitches were read, and how many of them are marked. */
  readonly count: number
  readonly marked: number
  /** So many were said and could not be found in the picture; null as long as all that was said was. */
  readonly notFound: number | null
  /** From 0; null as long as none is. */
  readonly chosen: number | null
  readonly onOpen: (isOpen: boolean) => void
  readonly onChoose: (stitch: number) => void
  readonly onCount: (count: number) => void
  readonly onChange: (change: Change) => void
  /** Null where nothing was put right yet. */
  readonly onBack: (() => void) | null
}

/** An end is moved by a tenth of a millimetre: what an eye can tell. */
const STEP_MM = 0.1

export function PutRight({ kind, count, marked, notFound, chosen, onOpen, onChoose, onCount, onChange, onBack }: Props) {
  const words = useWords().photo
  const isLine = canPutRight(kind)
  const at = Math.min(chosen ?? 0, marked - 1)
  const choose = (by: number): void => onChoose(chosen === null ? 0 : Math.min(marked - 1, Math.max(0, at + by)))
  return (
    <details className="learn-slips put-right" onToggle={(event) => onOpen(event.currentTarget.open)}>
      <summary>{words.putRight}</summary>
      {/* Of stitches apart each is seen alone: there is nothing to count. */}
      {kind !== 'apart' && (
        <Stepper
          signs={['−', '+']}
          label={words.counted(count)}
          less={words.oneLess}
          more={words.oneMore}
          onStep={(by) => count + by > 1 && onCount(count + by)}
        />
      )}
      <p className="put-right-note" role="status">
        {notFound === null ? '' : words.notFound(notFound)}
      </p>
      {isLine && chosen !== null && (
        <>
          <Stepper label={words.stitchOf(at + 1, marked)} less={words.stitchBefore} more={words.stitchAfter} onStep={choose} />
          <Stepper
            label={words.begins}
            less={words.earlier}
            more={words.later}
            onStep={(by) => onChange({ kind: 'move', stitch: at, end: 'first', byMm: by * STEP_MM })}
          />
          <Stepper
            label={words.ends}
            less={words.earlier}
            more={words.later}
            onStep={(by) => onChange({ kind: 'move', stitch: at, end: 'last', byMm: by * STEP_MM })}
          />
          <div className="put-right-more">
            <button type="button" onClick={() => onChange({ kind: 'two', stitch: at })}>
              {words.two}
            </button>
            <button type="button" disabled={at >= marked - 1} onClick={() => onChange({ kind: 'one-with-next', stitch: at })}>
              {words.oneWithNext}
            </button>
            {kind === 'apart' && (
              <button type="button" onClick={() => onChange({ kind: 'none', stitch: at })}>
                {words.none}
              </button>
            )}
          </div>
        </>
      )}
      {onBack && (
        <button type="button" onClick={onBack}>
          {words.asMeasured}
        </button>
      )}
    </details>
  )
}

interface StepperProps {
  readonly label: string
  readonly less: string
  readonly more: string
  readonly signs?: readonly [string, string]
  readonly onStep: (by: 1 | -1) => void
}

function Stepper({ label, less, more, signs = ['‹', '›'], onStep }: StepperProps) {
  return (
    <div className="put-right-step" role="group" aria-label={label}>
      <button type="button" aria-label={less} onClick={() => onStep(-1)}>
        {signs[0]}
      </button>
      <span aria-live="polite">{label}</span>
      <button type="button" aria-label={more} onClick={() => onStep(1)}>
        {signs[1]}
      </button>
    </div>
  )
}
