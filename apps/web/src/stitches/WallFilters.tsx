/** Finding stitches: by any name or use, family, guide, motion, difficulty, and what the course has taught. */
import { GUIDE_KINDS, guideWord } from '@lemmata/core/guide'
import type { StitchDocument } from '@lemmata/core/notation'
import { motionWord } from '@lemmata/core/order'
import type { Motion } from '@lemmata/core/work'
import { Button, Input, Select, Switch } from 'antd'
import { NO_FILTER, STAGES, type WallFilter } from './filter.ts'

interface Props {
  readonly filter: WallFilter
  readonly onChange: (filter: WallFilter) => void
  readonly documents: readonly StitchDocument[]
  readonly motions: readonly Motion[]
  readonly taught: ReadonlySet<Motion>
}

export function WallFilters({ filter, onChange, documents, motions, taught }: Props) {
  const families = [...new Set(documents.flatMap((document) => document.family ?? []))].sort()
  const guides = GUIDE_KINDS.filter((kind) => kind !== 'spot' && documents.some((document) => document.guide.includes(kind)))
  const select = <Key extends 'family' | 'guide' | 'motion' | 'stage'>(
    key: Key,
    label: string,
    options: { value: NonNullable<WallFilter[Key]>; label: string }[],
  ) => (
    <Select<NonNullable<WallFilter[Key]>>
      aria-label={label}
      placeholder={label}
      allowClear
      value={filter[key] as NonNullable<WallFilter[Key]> | null}
      options={options}
      onChange={(value) => onChange({ ...filter, [key]: value ?? null })}
      style={{ width: 112 }}
      popupMatchSelectWidth={false}
      showSearch={{ optionFilterProp: 'label' }}
    />
  )
  return (
    <div className="wall-filters" role="search">
      <Input
        aria-label="Find a stitch"
        placeholder="Find by any name or use"
        allowClear
        value={filter.words}
        onChange={(event) => onChange({ ...filter, words: event.target.value })}
        style={{ width: 168 }}
      />
      {select(
        'family',
        'Family',
        families.map((family) => ({ value: family, label: family })),
      )}
      {select(
        'guide',
        'Worked on',
        guides.map((kind) => ({ value: kind, label: guideWord(kind) })),
      )}
      {select(
        'motion',
        'Motion',
        motions.map((motion) => ({ value: motion, label: motionWord(motion) })),
      )}
      {select(
        'stage',
        'Difficulty',
        STAGES.map((stage, index) => ({ value: index, label: stage.name })),
      )}
      <label style={{ display: 'flex', gap: 7, alignItems: 'center' }}>
        <Switch size="small" checked={filter.taught !== null} onChange={(on) => onChange({ ...filter, taught: on ? taught : null })} />
        <span>Nothing new</span>
      </label>
      {filter !== NO_FILTER && (
        <Button size="small" type="link" onClick={() => onChange(NO_FILTER)}>
          Show all
        </Button>
      )}
    </div>
  )
}
