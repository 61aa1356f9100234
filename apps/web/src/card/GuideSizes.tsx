/** What a guide measures: a ring's radius, a grid's cells, how many pins. */
import { sizesOf, withSize } from '@lemmata/core/guide'
import type { DrawnGuide } from '@lemmata/core/sampler'
import type { LengthUnit } from '@lemmata/core/units'
import { edit } from '../store/index.ts'
import { LengthField, NumberField } from '../sampler/fields.tsx'

export function GuideSizes({ drawn, unit }: { drawn: DrawnGuide | null; unit: LengthUnit }) {
  const sizes = drawn ? sizesOf(drawn.guide) : []
  if (!drawn || sizes.length === 0) return null
  const set = (id: string, value: number): void => edit({ kind: 'change-guide', id: drawn.id, set: { guide: withSize(drawn.guide, id, value) } })
  return (
    <div className="pair">
      {sizes.map((size) =>
        size.kind === 'length' ? (
          <LengthField key={size.id} label={size.name} valueMm={size.value} unit={unit} min={size.min} max={size.max} onChange={(mm) => set(size.id, mm)} />
        ) : (
          <NumberField key={size.id} label={size.name} value={size.value} min={size.min} max={size.max} onChange={(many) => set(size.id, many)} />
        ),
      )}
    </div>
  )
}
