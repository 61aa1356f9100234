/** One exercise in one, two, three, four and six strands and in the other weights at hand, to scale, with what each comes to. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { nameNeedle, nameThread, kindOf } from '@lemmata/core/materials'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { type Exercise, type Material, type Sampler, type SamplerThread } from '@lemmata/core/sampler'
import { counted, formatLength, formatMinutes, formatThread } from '@lemmata/core/units'
import { Button, Modal } from 'antd'
import { useMemo } from 'react'
import { useWorkedWays } from '../compute/use-worked-ways.ts'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { edit } from '../store/index.ts'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly now: WorkedExercise
  readonly onClose: () => void
}

/** As it would be worked otherwise. */
export interface Otherwise {
  readonly name: string
  readonly set: Material
  readonly exercise: Exercise
}

const STRANDS = [1, 2, 3, 4, 6]
const PX_PER_MM = 4

/** Its own thread in other strands, every piece alike, and what is at hand in another kind or weight, one of each. */
export function waysOfMain(
  { threads }: Pick<Sampler, 'threads'>,
  exercise: Exercise,
  { thread, kind }: WorkedExercise['assigned']['main'],
): readonly Otherwise[] {
  const { needle: _chosenAgain, ...own } = exercise.materials?.[MAIN_ROLE] ?? {}
  // All pieces alike: what one has of its own would be read as the exercise's.
  const { pieces: _ofTheirOwn, ...alike } = exercise
  const otherwise = (name: string, set: Material): Otherwise => ({
    name,
    set,
    exercise: { ...alike, materials: { ...exercise.materials, [MAIN_ROLE]: { ...own, ...set } } },
  })
  const strands = STRANDS.filter((count) => count <= kind.mostStrands).map((count) => otherwise(counted(count, 'strand'), { strands: count }))
  const seen = new Set([keyOf(thread.value)])
  const weights = threads.flatMap((one) => {
    const found = kindOf(one)
    if (!found || seen.has(keyOf(one))) return []
    seen.add(keyOf(one))
    return [otherwise(nameThread(found), { thread: one.id, strands: Math.min(2, found.mostStrands) })]
  })
  return [...strands, ...weights.slice(0, 3)]
}

const keyOf = ({ kind, weight, figures }: SamplerThread): string => `${kind} ${weight ?? ''} ${figures?.name ?? ''}`

export function CompareStrandsDialog({ sampler, exercise, now, onClose }: Props) {
  const ways = useMemo(() => waysOfMain(sampler, exercise, now.assigned.main), [sampler, exercise, now])
  const exercises = useMemo(() => ways.map((one) => one.exercise), [ways])
  const worked = useWorkedWays(exercises, sampler)
  const { units } = sampler
  const row = (name: string, value: (one: WorkedExercise) => string) => (
    <tr>
      <th scope="row">{name}</th>
      {ways.map((way, index) => {
        const one = worked?.[index]
        return <td key={way.name}>{one ? value(one) : '\u2013'}</td>
      })}
    </tr>
  )
  const take = ({ set }: Otherwise): void => {
    edit({ kind: 'assign', id: exercise.id, role: MAIN_ROLE, set, clear: ['needle'] })
    onClose()
  }
  return (
    <Modal open title={`${exercise.name} in other threads`} width={Math.min(1180, 200 + 150 * ways.length)} footer={null} onCancel={onClose}>
      {worked === null ? (
        <p role="status">Working it in each …</p>
      ) : (
        <div className="compare-strands">
          <table className="kit-table">
            <thead>
              <tr>
                <td />
                {ways.map((way) => (
                  <th key={way.name} scope="col">
                    {way.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">Alike to scale</th>
                {ways.map((way, index) => {
                  const one = worked[index]
                  return (
                    <td key={way.name}>
                      {one ? (
                        <ThreadCanvas
                          done={one}
                          heightPx={84}
                          pxPerMm={PX_PER_MM}
                          clothHex={sampler.cloth.colour.hex}
                          label={`${exercise.name} in ${way.name}`}
                        />
                      ) : (
                        <span className="wrong">cannot be worked so</span>
                      )}
                    </td>
                  )
                })}
              </tr>
              {row('Reads as wide as', (one) => formatLength(one.widthMm, units, 2))}
              {now.pieces[0].guide.kind === 'shape' && row('Covers', (one) => `${Math.round(one.coverage * 100)} %`)}
              {row('Needle', (one) => nameNeedle(one.assigned.main.needle.value))}
              {row('Stitches', (one) => String(one.stitches))}
              {row('Thread', (one) => formatThread(one.thread.total))}
              {row('Time', (one) => formatMinutes(one.minutes.total))}
              {row('Difficulty', (one) => String(Math.round(one.difficulty.score)))}
              {row('To be said', (one) => (one.problems.length === 0 ? 'nothing' : counted(one.problems.length, 'caution')))}
              <tr>
                <td />
                {ways.map((way, index) => (
                  <td key={way.name}>
                    <Button size="small" disabled={!worked[index]} aria-label={`Take ${way.name}`} onClick={() => take(way)}>
                      Take it
                    </Button>
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
    </Modal>
  )
}
