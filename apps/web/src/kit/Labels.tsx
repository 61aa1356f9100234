/** A label for every bag and its card: whose hand, which threads in the order of use, which needles. Printed, cut, and pinned on. */
import { cardInWords, type Kit } from '@lemmata/core/kit'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import { whose } from './whose.ts'

export function Labels({ sampler, kit }: { readonly sampler: Sampler; readonly kit: Kit }) {
  return (
    <>
      <p className="why">One for each bag, two to a row on paper. Punch a hole for each thread where its line begins.</p>
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
