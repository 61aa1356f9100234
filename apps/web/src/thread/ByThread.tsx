/** Thread by colour, for one learner: what it is used for, and how much of it. */
import { alikeNeighbours } from '@lemmata/core/extent'
import { nameThread } from '@lemmata/core/materials'
import { totalThread } from '@lemmata/core/plan'
import type { Sampler } from '@lemmata/core/sampler'
import { formatThread } from '@lemmata/core/units'
import { useWorked } from '../compute/use-worked.ts'
import { Spool } from './fields.tsx'

export function ByThread({ sampler }: { sampler: Sampler }) {
  const { done } = useWorked()
  const totals = totalThread(done)
  const alike = alikeNeighbours(done)
  const nameOf = (id: string): string => done.find((one) => one.exercise.id === id)?.exercise.name ?? id
  const unused = sampler.threads.filter((thread) => !totals.some((one) => one.thread.id === thread.id))
  return (
    <section className="stage-scroll" aria-label="For one learner">
      <p className="why stage-note">For one learner: needlefuls at their full cut length; practice and unpicking not counted.</p>
      <table className="threads">
        <thead>
          <tr>
            <th>Thread</th>
            <th>Used for</th>
            <th className="c-length">Needlefuls</th>
            <th className="c-length">Single strand</th>
            <th className="c-length">Of a put-up</th>
          </tr>
        </thead>
        <tbody>
          {totals.map((one) => (
            <tr key={one.thread.id}>
              <td>
                <span className="thread-word">
                  <Spool hex={one.thread.colour.hex} />
                  <span>
                    {one.thread.colour.name}, {nameThread(one.kind).toLowerCase()}
                  </span>
                </span>
              </td>
              <td>{usedFor(one.thread.id)}</td>
              <td className="c-length">{one.needlefuls}</td>
              <td className="c-length">{formatThread(one.singleMm)}</td>
              <td className="c-length">
                {(one.putUps * 100).toFixed(0)} % of a {one.kind.putUp.word}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {alike.length > 0 && (
        <p className="why stage-note">
          Side by side and alike, in one colour, texture and width: {alike.map(({ exercises }) => exercises.map(nameOf).join(' and ')).join('; ')}. Another
          weight, colour or stitch for one of them would let both be seen.
        </p>
      )}
      {unused.length > 0 && <p className="why stage-note">Not used: {unused.map((thread) => thread.colour.name).join(', ')}.</p>}
    </section>
  )

  function usedFor(id: string): string {
    return done
      .filter((one) => one.threads.some((used) => used.thread.id === id))
      .map((one) => one.exercise.name)
      .join(', ')
  }
}
