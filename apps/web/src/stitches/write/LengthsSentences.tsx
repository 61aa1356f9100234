/** The stitch's own lengths and counts in the thread at hand; those that follow the thread say so. */
import { type Expression, parameterSpec, type ParameterSpec, type StitchDocument } from '@lemmata/core/notation'
import type { ParameterValues } from '@lemmata/core/notation'
import { Button, Input, InputNumber } from 'antd'
import { inWords } from './sentence-words.ts'
import type { Wording } from './wording.ts'

type Given = NonNullable<StitchDocument['parameters']>

interface Props {
  readonly parameters: Given
  /** As they were worked out; null while the stitch cannot be read. */
  readonly values: ParameterValues | null
  readonly wording: Wording
  readonly onChange: (parameters: Given) => void
}

export function LengthsSentences({ parameters, values, wording, onChange }: Props) {
  const entries = Object.entries(parameters)
  const put = (id: string, spec: ParameterSpec): void => onChange({ ...parameters, [id]: spec })
  const free = 'LHBPGQRS'.split('').find((letter) => !Object.hasOwn(parameters, letter)) ?? `q${entries.length}`
  return (
    <section className="panel lengths" aria-label="Lengths and counts">
      <div className="move-head">
        <b>Lengths and counts</b>
        <Button size="small" type="text" onClick={() => onChange({ ...parameters, [free]: { usual: 3, name: `Length ${free}` } })}>
          Add one
        </Button>
      </div>
      {entries.map(([id, given]) => {
        const spec = parameterSpec(given)
        const worked = values?.get(id) ?? null
        const unit = spec.kind === 'count' ? '' : spec.kind === 'share' ? 'of 1' : 'mm'
        const number = (field: 'usual' | 'min' | 'max', words: string, value: number | null) => (
          <span className="quantity">
            {words}
            <InputNumber<number>
              size="small"
              aria-label={`${spec.name ?? id}, ${words}`}
              value={value === null ? null : Math.round(value * 100) / 100}
              step={spec.kind === 'count' ? 1 : 0.1}
              onChange={(next) => put(id, withNumber(spec, field, next))}
            />
          </span>
        )
        return (
          <div key={id} className="length-sentence">
            <Input
              size="small"
              variant="underlined"
              aria-label={`Length ${id}, called`}
              value={spec.name ?? id}
              maxLength={60}
              onChange={(event) => put(id, { ...spec, name: event.target.value || id })}
            />
            {number('usual', 'usually', worked?.usual ?? plain(spec.usual))}
            {number('min', 'at least', worked ? worked.min : plain(spec.min))}
            {number('max', 'at most', worked ? worked.max : plain(spec.max))} {unit}
            {[spec.usual, spec.min, spec.max].some((one) => typeof one === 'string') && (
              <span className="quiet" title={follows(spec, wording)}>
                follows the thread
              </span>
            )}
            <Button
              size="small"
              type="text"
              danger
              aria-label={`Remove ${spec.name ?? id}`}
              onClick={() => onChange(Object.fromEntries(entries.filter(([other]) => other !== id)))}
            >
              ×
            </Button>
          </div>
        )
      })}
    </section>
  )
}

function plain(value: Expression | undefined): number | null {
  return typeof value === 'number' ? value : null
}

function follows(spec: ParameterSpec, wording: Wording): string {
  return (['usual', 'min', 'max'] as const)
    .flatMap((field) =>
      typeof spec[field] === 'string' ? [`${{ usual: 'usually', min: 'at least', max: 'at most' }[field]} ${inWords(spec[field], wording.names)}`] : [],
    )
    .join(', ')
}

function withNumber(spec: ParameterSpec, field: 'usual' | 'min' | 'max', next: number | null): ParameterSpec {
  if (next !== null) return { ...spec, [field]: next }
  if (field === 'usual') return spec
  const { [field]: _gone, ...rest } = spec
  return rest
}
