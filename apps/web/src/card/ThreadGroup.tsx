/** Of an exercise, its threads: each role with thread, strands, needle and the reasons. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { capitalised, formatLength } from '@lemmata/core/units'
import { NeedleField, PutBacks, roleInWords, StrandsField, ThreadField } from '../thread/fields.tsx'
import { Reasons } from '../thread/reasons.tsx'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly done: WorkedExercise | null
}

export function ThreadGroup({ sampler, exercise, done }: Props) {
  // What cannot be worked still has its thread to choose.
  if (!done)
    return (
      <div className="group">
        <ThreadField sampler={sampler} exercise={exercise} done={null} assigned={null} />
      </div>
    )
  const { threads } = done.assigned
  return (
    <div className="group">
      {threads.map((assigned) => (
        <div key={assigned.role} className="role">
          {threads.length > 1 && <h3>{capitalised(roleInWords(assigned.role, done))}</h3>}
          <ThreadField sampler={sampler} exercise={exercise} done={done} assigned={assigned} />
          <div className="pair">
            <div>
              <span className="label">Strands</span>
              <StrandsField sampler={sampler} exercise={exercise} done={done} assigned={assigned} />
            </div>
            <div>
              <span className="label">Needle</span>
              <NeedleField sampler={sampler} exercise={exercise} done={done} assigned={assigned} />
            </div>
          </div>
          <PutBacks sampler={sampler} exercise={exercise} done={done} assigned={assigned} />
          <Reasons sampler={sampler} assigned={assigned} />
        </div>
      ))}
      {threads.length > 1 && <p className="why">Together they read {formatLength(done.widthMm, sampler.units, 2)} wide.</p>}
    </div>
  )
}
