/** What the class took, for the next class to be reckoned by: said before it is done, undone like any edit, and left out again. */
import { type Learned, leaveOutLearned, takeOver, timesLearned } from '@lemmata/core/practice'
import { learnedTimes, type WorkedExercise } from '@lemmata/core/exercise'
import { counted, formatMinutes } from '@lemmata/core/units'
import { Button, Modal } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { edit } from '../store/index.ts'

interface Props {
  readonly done: readonly WorkedExercise[]
  readonly learned: Learned
  readonly planned: (exercise: string) => number
  readonly letterOf: (exercise: string) => string
}

export function TakeOver({ done, learned, planned, letterOf }: Props) {
  const [asking, setAsking] = useState(false)
  const on = dayjs().format('YYYY-MM-DD')
  const kept = done.filter(({ exercise }) => exercise.learned !== undefined)
  const rows = done.flatMap((one) => {
    const times = timesLearned(one, learned, planned, on)
    return times ? [{ one, times: times.times / learnedTimes(one.exercise), learners: learned.exercises.get(one.exercise.id)?.learners ?? 0 }] : []
  })
  return (
    <p className="class-acts take-over">
      <Button disabled={rows.length === 0} onClick={() => setAsking(true)}>
        Reckon by this class from now on
      </Button>
      {kept.length > 0 && (
        <>
          <Button onClick={() => edit(leaveOutLearned(kept))}>As the moves come to</Button>
          <span className="quiet">{counted(kept.length, 'exercise')} reckoned by what classes took.</span>
        </>
      )}
      <Modal
        open={asking}
        title="Reckon by this class from now on"
        okText="Reckon so"
        onOk={() => {
          edit(takeOver(done, learned, planned, on))
          setAsking(false)
        }}
        onCancel={() => setAsking(false)}
        width={620}
      >
        <p>
          Order, calendar, sheets and the next class are then reckoned by it. Each learner&apos;s times are set against what is reckoned; the middle half of
          them counts, drawn toward the table as if three more had taken what it says (of a single exercise six), so that few change little and one alone hardly
          anything.
        </p>
        <div className="take-over-scroll" tabIndex={0} role="region" aria-label="Now and then">
          <table className="figures take-over-table">
            <thead>
              <tr>
                <th scope="col">Exercise</th>
                <th scope="col">Now</th>
                <th scope="col">Then</th>
                <th scope="col">Told of by</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ one, times, learners }) => (
                <tr key={one.exercise.id}>
                  <th scope="row">
                    {letterOf(one.exercise.id)} {one.exercise.name}
                  </th>
                  <td>{formatMinutes(one.minutes.total)}</td>
                  <td>{formatMinutes(one.minutes.total * times)}</td>
                  <td>{learners > 0 ? counted(learners, 'learner') : 'the class’s pace'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Modal>
    </p>
  )
}
