/** A label for each finished sample: what it is, with what it was worked, room for a name and a day. */
import { strandsInWords, wordForRole } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { formatLength } from '@lemmata/core/units'

export function SampleLabels({ sampler, done }: { readonly sampler: Sampler; readonly done: readonly WorkedExercise[] }) {
  return (
    <ul className="kit-labels">
      {teachingOrder(sampler).map((exercise, index) => {
        const worked = done.find((one) => one.exercise.id === exercise.id)
        if (!worked) return null
        const { threads, document } = worked.assigned
        return (
          <li key={exercise.id}>
            <h2>
              {exercise.name} <span className="kit-label-number">{letterOf(index)}</span>
            </h2>
            <p>
              {document.name}, {formatLength(worked.widthMm, sampler.units, sampler.units === 'mm' ? 2 : 3)} wide, on {sampler.cloth.colour.name.toLowerCase()}
            </p>
            {threads.map(({ role, thread, kind, strands, needle }) => (
              <p key={role}>
                <span className="kit-dot" style={{ background: thread.value.colour.hex }} aria-hidden="true" />
                {threads.length > 1
                  ? `${wordForRole(
                      role,
                      threads.map((one) => one.role),
                    )}: `
                  : ''}
                {thread.value.colour.name}, {nameThread(kind).toLowerCase()}
                {kind.mostStrands === 1 ? '' : ` in ${strandsInWords(strands.value)}`}; {nameNeedle(needle.value).toLowerCase()}
              </p>
            ))}
            <p className="quiet">Worked by ______________________ on ______________</p>
          </li>
        )
      })}
    </ul>
  )
}
