/** What the teacher wishes of the order, and what this class finds hard. */
import { CLASS_PRESETS, LOAD_GROUPS } from '@lemmata/core/measure'
import { USUAL_WISHES, type Wishes } from '@lemmata/core/order'
import type { HardFor, Sampler } from '@lemmata/core/sampler'
import { Button, Slider } from 'antd'
import { edit } from '../store/index.ts'
import { CostTable } from './CostTable.tsx'
import type { Course } from './use-course.ts'

const WISHES: readonly { readonly id: keyof Wishes; readonly name: string; readonly why: string }[] = [
  { id: 'evenness', name: 'Evenness', why: 'Steps close to a straight ramp, none too high, no long falls.' },
  { id: 'novelty', name: 'One new thing', why: 'At most one new motion in a lesson.' },
  { id: 'return', name: 'Return', why: 'Each motion again two to four lessons after its first.' },
  { id: 'variety', name: 'Variety', why: 'Neighbours of different families.' },
  { id: 'minutes', name: 'Minutes', why: 'Lessons of equal length.' },
]

export function WishesPanel({ sampler, course }: { sampler: Sampler; course: Course }) {
  const { wishes, hardFor } = sampler.brief
  const setWish = (id: keyof Wishes, weight: number): void => edit({ kind: 'change-brief', set: { wishes: { ...wishes, [id]: weight } } })
  const setHard = (next: HardFor): void => edit({ kind: 'change-brief', set: { hardFor: next } })
  return (
    <section className="order-side" aria-label="Wishes">
      <h2>Wishes</h2>
      {WISHES.map((wish) => (
        <Weight
          key={wish.id}
          name={wish.name}
          why={wish.why}
          value={wishes?.[wish.id] ?? USUAL_WISHES[wish.id]}
          min={0}
          max={3}
          onChange={(weight) => setWish(wish.id, weight)}
        />
      ))}
      <Button size="small" disabled={!wishes} onClick={() => edit({ kind: 'change-brief', set: {}, clear: ['wishes'] })}>
        As usual
      </Button>
      <h2 style={{ marginTop: 18 }}>This class</h2>
      <p className="why">What your learners find harder or easier than others. Every difficulty of this sampler is rated with it.</p>
      <div style={{ display: 'flex', gap: 6, flexWrap: 'wrap', marginBottom: 8 }}>
        {CLASS_PRESETS.map((preset) => (
          <Button key={preset.id} size="small" title={preset.because} onClick={() => setHard(preset.hardFor)}>
            {preset.name}
          </Button>
        ))}
        <Button size="small" disabled={!hardFor} onClick={() => edit({ kind: 'change-brief', set: {}, clear: ['hardFor'] })}>
          As usual
        </Button>
      </div>
      {LOAD_GROUPS.map((group) => (
        <Weight
          key={group.id}
          name={group.name}
          value={hardFor?.[group.id] ?? 1}
          min={0.5}
          max={2}
          onChange={(factor) => setHard({ ...hardFor, [group.id]: factor })}
        />
      ))}
      <CostTable sampler={sampler} course={course} />
    </section>
  )
}

interface WeightProps {
  readonly name: string
  readonly why?: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly onChange: (value: number) => void
}

function Weight({ name, why, value, min, max, onChange }: WeightProps) {
  const word = value === 1 ? 'usual' : value === 0 ? 'left out' : `${Number(value.toFixed(2))} ×`
  return (
    <div className="weight">
      <span>{name}</span>
      <span className="quiet">{word}</span>
      <Slider
        key={value}
        min={min}
        max={max}
        step={0.1}
        defaultValue={value}
        onChangeComplete={onChange}
        ariaLabelForHandle={name}
        ariaValueTextFormatterForHandle={(given) => `${given}`}
        tooltip={{ formatter: (given) => given }}
      />
      {why && <span className="why">{why}</span>}
    </div>
  )
}
