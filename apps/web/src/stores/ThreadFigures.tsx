/** The figures of one thread: those of its kind, or her own, with where they come from and how sure they are. */
import { byWeight, byWraps, findThreadKind, kindOf, makeBundle, type ThreadFigures as Figures } from '@lemmata/core/materials'
import type { StoredThread } from '@lemmata/core/stores'
import { Button, Segmented } from 'antd'
import { NumberField, TextField } from '../sampler/fields.tsx'
import { Measuring } from './Measuring.tsx'

interface Props {
  readonly thread: StoredThread
  readonly onChange: (figures: Figures | null) => void
}

/** What is commonly known of a kind differs so much between makers. */
const USUAL_WITHIN = 0.12

const FROM = [
  { value: 'measured', label: 'Measured' },
  { value: 'label', label: 'Label' },
  { value: 'judgement', label: 'Judged' },
] as const

export function ThreadFigures({ thread, onChange }: Props) {
  const usual = findThreadKind(thread.kind, thread.weight)
  const now = kindOf(thread)
  if (!usual || !now) return null
  const own: Figures = thread.figures ?? { from: 'judgement' }
  const set = (more: Partial<Figures>): void => onChange({ ...own, ...more })
  const within = thread.figures?.within ?? USUAL_WITHIN
  return (
    <>
      <p className="why">
        {thread.figures === undefined
          ? `As its kind usually is: common knowledge, ${Math.round(USUAL_WITHIN * 100)} % either way between makers.`
          : `Your own, ${FROM.find((one) => one.value === own.from)?.label.toLowerCase() ?? ''}, ${Math.round(within * 100)} % either way.`}{' '}
        One strand lies {makeBundle(now, 1).lineWidthMm.toFixed(2)} mm wide on the cloth
        {now.mostStrands > 1 ? `, two ${makeBundle(now, 2).lineWidthMm.toFixed(2)} mm` : ''}.
      </p>
      <TextField
        label="Called, where it is no usual kind"
        value={own.name ?? ''}
        onChange={(name) => (name === '' ? onChange(without(own, 'name')) : set({ name }))}
      />
      <div className="pair">
        <NumberField label="One strand, mm" value={now.diameterMm} min={0.02} max={10} step={0.01} onChange={(diameterMm) => set({ diameterMm })} />
        <NumberField label="Grams a kilometre (tex)" value={now.tex} min={1} max={20_000} onChange={(tex) => set({ tex })} />
        <NumberField
          label="Strands at most"
          value={now.mostStrands}
          min={1}
          max={12}
          onChange={(mostStrands) => set({ mostStrands: Math.round(mostStrands) })}
        />
        <NumberField label="Longest needleful, cm" value={now.longestMm / 10} min={5} max={200} onChange={(cm) => set({ longestMm: cm * 10 })} />
        <NumberField
          label={`One ${now.putUp.word}, m`}
          value={now.putUp.lengthMm / 1000}
          min={0.5}
          max={20_000}
          step={0.5}
          onChange={(m) => set({ putUpMm: m * 1000 })}
        />
        <NumberField label="Sure to, % either way" value={Math.round(within * 100)} min={0} max={100} onChange={(percent) => set({ within: percent / 100 })} />
      </div>
      <Segmented aria-label="Where these figures come from" options={[...FROM]} value={own.from} onChange={(from) => set({ from })} />
      <Measuring
        title="Measure how thick it is"
        how="Wind it on a pencil, touching and not crushed. Three windings, and the longer the surer."
        quantities={[
          { label: 'Wraps', usual: Math.round(30 / now.diameterMm), min: 1, max: 2000 },
          { label: 'Over so many mm', usual: 30, min: 1, max: 300 },
        ]}
        measure={(wraps, over) => byWraps(wraps, over, 3)}
        unit="mm"
        decimals={2}
        onTake={({ value, within: sure }) => set({ diameterMm: value, within: sure, from: 'measured' })}
      />
      <Measuring
        title="Weigh it"
        how="A length and what it weighs. Labels off; twenty metres on a scale that shows hundredths, or five skeins together."
        quantities={[
          { label: 'Length, m', usual: 20, min: 0.1, max: 5000 },
          { label: 'Weight, g', usual: Number(((now.tex * 20) / 1000).toFixed(2)), min: 0.01, max: 5000, step: 0.01 },
        ]}
        measure={(metres, grams) => byWeight(metres * 1000, grams, 0.01)}
        unit="tex"
        decimals={0}
        onTake={({ value }) => set({ tex: Math.round(value), from: 'measured' })}
      />
      {thread.figures !== undefined && (
        <Button size="small" onClick={() => onChange(null)}>
          Put back the figures of its kind
        </Button>
      )}
    </>
  )
}

function without(figures: Figures, key: 'name'): Figures {
  const { [key]: _gone, ...rest } = figures
  return rest
}
