/** A label for every bag and its card: whose hand, which threads in the order of use, which needles. Printed, cut, and pinned on. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { cardInWords, type Kit } from '@lemmata/core/kit'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import { Segmented } from 'antd'
import { useState } from 'react'
import { SampleLabels } from './SampleLabels.tsx'
import { whose } from './whose.ts'

interface Props {
  readonly sampler: Sampler
  readonly kit: Kit
  readonly done: readonly WorkedExercise[]
}

export function Labels({ sampler, kit, done }: Props) {
  const [of, setOf] = useState<'bags' | 'samples'>('bags')
  return (
    <>
      <div className="why">
        <Segmented
          aria-label="Labels for"
          value={of}
          onChange={setOf}
          options={[
            { value: 'bags', label: 'For the bags' },
            { value: 'samples', label: 'For finished samples' },
          ]}
        />{' '}
        {of === 'bags'
          ? 'One for each bag, two to a row on paper. Punch a hole for each thread where its line begins.'
          : 'One for each exercise: what it is and with what it was worked, for a notebook or behind the frame.'}
      </div>
      {of === 'samples' ? <SampleLabels sampler={sampler} done={done} /> : <BagLabels sampler={sampler} kit={kit} />}
    </>
  )
}

function BagLabels({ sampler, kit }: Omit<Props, 'done'>) {
  return (
    <>
      <ul className="kit-labels">
        {Array.from({ length: kit.kits }, (_, index) => (
          <li key={index}>
            <h2>
              {sampler.name} <span className="kit-label-number">{index + 1}</span>
            </h2>
            <p>{whose(kit, index)}</p>
            <ol>
              {kit.colours.map((colour) => (
                <li key={colour.thread.id}>
                  <span className="kit-dot" style={{ background: colour.thread.colour.hex }} aria-hidden="true" />
                  {colour.thread.colour.name}, {nameThread(colour.kind).toLowerCase()}: {cardInWords(colour)}
                </li>
              ))}
            </ol>
            <p>
              {kit.needles.length} needles, to be counted in again: {kit.needles.map(({ needle }) => nameNeedle(needle)).join(', ')}
            </p>
          </li>
        ))}
      </ul>
    </>
  )
}
