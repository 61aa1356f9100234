/** Which version of a stitch: another school of it, or the same for another guide. */
import { guideServes, type Guide } from '@lemmata/core/guide'
import type { StitchDocument } from '@lemmata/core/notation'
import { Select } from 'antd'
import { Field } from './fields.tsx'

interface Props {
  readonly document: StitchDocument
  /** Null: the one that the Brief and the guide ask for. */
  readonly value: string | null
  /** Only versions for this kind of guide; all of them when left out. */
  readonly guide?: Guide['kind']
  readonly onChange: (variant: string | null) => void
}

export function VersionField({ document, value, guide, onChange }: Props) {
  const versions = Object.entries(document.variants ?? {}).filter(([, one]) => guide === undefined || guideServes(one.guide ?? document.guide, guide))
  if (versions.length === 0) return null
  return (
    <Field label="Version" hint={value === null ? undefined : document.variants?.[value]?.because}>
      {(id) => (
        <Select<string>
          id={id}
          value={value ?? ''}
          options={[{ value: '', label: 'as the Brief and the guide ask' }, ...versions.map(([variant, { name }]) => ({ value: variant, label: name }))]}
          onChange={(variant) => onChange(variant === '' ? null : variant)}
        />
      )}
    </Field>
  )
}
