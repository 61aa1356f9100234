/** The card of a guide that is drawn and not worked yet: where it lies, how large it is, and what it could be worked in. */
import { evenCounts } from '@lemmata/core/draw'
import { guideServes, guideWord, lengthToDraw, readGuide } from '@lemmata/core/guide'
import { newExerciseThere } from '@lemmata/core/layout'
import type { DrawnGuide, Sampler } from '@lemmata/core/sampler'
import { allStitches } from '@lemmata/core/stitches'
import { formatLength } from '@lemmata/core/units'
import { Button, Select } from 'antd'
import { edit, useAppDispatch } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { cardClosed } from '../store/sampler.ts'
import { Field, TextField } from '../sampler/fields.tsx'
import { CopiesFields } from './CopiesFields.tsx'
import { GuideFields, WithinGuide } from './GuideFields.tsx'
import { GuideSizes } from './GuideSizes.tsx'

export function SketchCard({ sampler, drawn }: { sampler: Sampler; drawn: DrawnGuide }) {
  const dispatch = useAppDispatch()
  const read = readGuide(drawn.guide)
  const length = read.ok ? lengthToDraw(read.value) : null
  const even = length === null || !read.ok || read.value.kind !== 'line' ? [] : evenCounts(length, 3, 1.5, 8)
  const stitches = allStitches(sampler.stitches).filter((one) => guideServes(one.guide, drawn.guide.kind))
  const word = guideWord(drawn.guide.kind)
  return (
    <aside className="card" aria-label={`Card of ${drawn.name ?? word}`} data-testid="sketch-card">
      <div className="card-head">
        <div className="card-title">
          <h2>{drawn.name ?? `A sketch: ${word}`}</h2>
          <span>{length === null ? 'cannot be read as it is' : `${formatLength(length, sampler.units, 1)} to draw`}</span>
        </div>
        <Button type="text" size="small" aria-label="Close the card" title="Close the card" onClick={() => dispatch(cardClosed())}>
          ×
        </Button>
      </div>
      <div className="group sketch-group">
        <Field label="Work this in">
          {(id) => (
            <Select<string>
              id={id}
              placeholder="a stitch"
              value={null}
              showSearch={{ optionFilterProp: 'label' }}
              options={stitches.map((one) => ({ value: one.id, label: one.name }))}
              onChange={(stitch) => {
                const document = stitches.find((one) => one.id === stitch)
                if (document) edit(newExerciseThere(drawn.id, document, sampler, newId('e')))
              }}
            />
          )}
        </Field>
        {even.length > 0 && (
          <p className="why">Comes out even as {even.map((one) => `${one.count} of ${formatLength(one.pitchMm, sampler.units, 2)}`).join(', ')}.</p>
        )}
        <TextField
          label="Name"
          value={drawn.name ?? ''}
          onChange={(name) => edit({ kind: 'change-guide', id: drawn.id, ...(name === '' ? { set: {}, clear: ['name'] } : { set: { name } }) })}
        />
        <GuideFields key={drawn.id} drawn={drawn} unit={sampler.units} />
        <GuideSizes drawn={drawn} unit={sampler.units} />
        <WithinGuide sampler={sampler} drawn={drawn} />
        <CopiesFields sampler={sampler} drawn={drawn} />
      </div>
      <div className="card-foot">
        <span />
        <Button danger onClick={() => edit({ kind: 'remove-guide', id: drawn.id })}>
          Rub it out
        </Button>
      </div>
    </aside>
  )
}
