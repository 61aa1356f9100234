/** Bags that differ: whose, what comes out of the usual bag and what goes in; and what is cut for them besides. */
import { cutInWords, ownBags, partInWords, putUpsInWords, type ThreadsOfBag } from '@lemmata/core/kit'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import { type Sampler } from '@lemmata/core/sampler'
import { strandsInWords } from '@lemmata/core/assign'
import { formatLength } from '@lemmata/core/units'
import { useMemo } from 'react'
import { useWorked } from '../compute/use-worked.ts'
import { useAppSelector } from '../store/index.ts'
import { useClass } from '../sheets/use-class.ts'

/** Nothing where all bags are alike. */
export function OwnBags({ sampler }: { readonly sampler: Sampler }) {
  const { done } = useWorked()
  const id = useAppSelector((state) => state.sampler.open?.id ?? '')
  const learners = useClass(id).open?.document.learners
  const { bags, besides } = useMemo(() => ownBags(sampler, done, learners ?? []), [sampler, done, learners])
  if (bags.length === 0) return null
  const said = ({ thread, strands, lengthMm, count, kind }: ThreadsOfBag): string =>
    `${count} ${thread.colour.name}, ${kind.putUp.strands === 1 ? nameThread(kind).toLowerCase() : strandsInWords(strands)}, ${formatLength(lengthMm, sampler.units, 0)}`
  return (
    <section className="own-bags" aria-labelledby="own-bags">
      <h2 id="own-bags">Bags that differ</h2>
      <table className="figures">
        <thead>
          <tr>
            <th scope="col">Whose</th>
            <th scope="col">Out of it</th>
            <th scope="col">Into it</th>
          </tr>
        </thead>
        <tbody>
          {bags.map((bag) => (
            <tr key={bag.learner.id}>
              <th scope="row">{bag.learner.name}</th>
              <td>
                {bag.out.map((one) => (
                  <div key={said(one)}>{said(one)}</div>
                ))}
              </td>
              <td>
                {bag.in.map((one) => (
                  <div key={said(one)}>
                    <span className="kit-dot" style={{ background: one.thread.colour.hex }} aria-hidden="true" /> {said(one)}
                  </div>
                ))}
                {bag.needlesIn.map((needle) => (
                  <div key={nameNeedle(needle)}>{nameNeedle(needle)}</div>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {besides.length > 0 && (
        <>
          <h2>Cut for them besides</h2>
          <ul className="kit-list">
            {besides.map((colour) => (
              <li key={colour.thread.id}>
                <span className="kit-dot" style={{ background: colour.thread.colour.hex }} aria-hidden="true" />
                <span>
                  {colour.thread.colour.name}, {nameThread(colour.kind).toLowerCase()}:{' '}
                  {colour.lengths
                    .map(({ lengthMm, parted }, index) =>
                      [`${cutInWords(parted.lengths).toLowerCase()} of ${formatLength(lengthMm, sampler.units, 0)}`, partInWords(colour, index)?.toLowerCase()]
                        .filter((one) => one !== undefined)
                        .join(', '),
                    )
                    .join('; ')}
                  , out of {putUpsInWords(colour)}
                </span>
              </li>
            ))}
          </ul>
          <p className="why">What comes out of the usual bags lies to spare. Where a thread is cut for all kits too, what is left of it may do for these.</p>
        </>
      )}
    </section>
  )
}
