/** What to look at when it is worked, and the mistakes that are usually made, with what helps. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { TARGET_MM } from '@lemmata/core/plan'
import { formatLength } from '@lemmata/core/units'
import { ExercisePicture } from './ExercisePicture.tsx'
import type { Shown } from './shown.ts'

export function LookLeaf({ shown: { sampler, letters }, done }: { readonly shown: Shown; readonly done: WorkedExercise }) {
  const { look, slips = [], cautions = [] } = done.assigned.document
  const target = formatLength(TARGET_MM[done.exercise.hold ?? 'easy'], sampler.units, sampler.units === 'mm' ? 2 : 3)
  return (
    <section className="teach-page" aria-label={`${done.exercise.name}, looked at`}>
      <h1>
        <span className="teach-number">{letters.get(done.exercise.id)}</span> Look at it
      </h1>
      <ExercisePicture done={done} clothHex={sampler.cloth.colour.hex} widthPx={560} heightPx={150} />
      <div className="teach-columns">
        <div>
          {look?.front && (
            <p>
              <b>Front:</b> {look.front}
            </p>
          )}
          {look?.back && (
            <p>
              <b>Back:</b> {look.back}
            </p>
          )}
          <p className="quiet">Good enough: holes within {target} of their marks.</p>
          {cautions.map((one) => (
            <p key={one} className="caution">
              Take care: {one}
            </p>
          ))}
        </div>
        <div>
          {slips.length > 0 && <h2>Usual mistakes</h2>}
          {slips.map(({ see, mend }) => (
            <p key={see}>
              <b>{see}.</b> {mend}
            </p>
          ))}
        </div>
      </div>
    </section>
  )
}
