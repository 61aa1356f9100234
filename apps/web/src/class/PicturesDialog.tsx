/** Pictures that learners have sent, of one exercise at a time, side by side. */
import type { LearningAnswer } from '@lemmata/contract'
import { type LearnerPractice, UNTOUCHED } from '@lemmata/core/practice'
import { unevenness } from '@lemmata/core/photo'
import { counted } from '@lemmata/core/units'
import { Modal, Select } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { SentPicture } from './SentPicture.tsx'

interface Props {
  readonly classId: string
  readonly pictures: LearningAnswer['pictures']
  readonly learners: readonly { readonly id: string; readonly name: string; readonly practice: LearnerPractice }[]
  /** Its letter and name. */
  readonly exerciseName: (exercise: string) => string
  readonly onClose: () => void
}

export function PicturesDialog({ classId, pictures, learners, exerciseName, onClose }: Props) {
  const exercises = [...new Set(pictures.map((one) => one.exercise))]
  const [chosen, setChosen] = useState(exercises.at(-1) ?? '')
  // Taken back while this is open: what is left is shown.
  const exercise = exercises.includes(chosen) ? chosen : (exercises.at(-1) ?? '')
  const shown = pictures.filter((one) => one.exercise === exercise)
  return (
    <Modal open title="Pictures learners have sent" footer={null} onCancel={onClose} width={1000}>
      <Select
        aria-label="Exercise"
        style={{ minWidth: 260 }}
        value={exercise}
        onChange={setChosen}
        options={exercises.map((one) => ({
          value: one,
          label: `${exerciseName(one)}, ${counted(pictures.filter((each) => each.exercise === one).length, 'picture')}`,
        }))}
      />
      <p className="quiet">For you alone: ask whoever sent it before you show it to others. What is taken back is gone from here too.</p>
      <ul className="sent-pictures">
        {shown.map((picture) => {
          const learner = learners.find((one) => one.id === picture.learner)
          const last = (learner?.practice.exercises.get(exercise) ?? UNTOUCHED).rows.filter((row) => row.isCounted).at(-1)
          const name = learner?.name ?? 'No longer in the class'
          return (
            <li key={picture.id}>
              <SentPicture classId={classId} id={picture.id} label={`A row of ${exerciseName(exercise)} by ${name}`} />
              <span>
                <b>{name}</b>, {dayjs(picture.at).format('D MMM, HH:mm')}
                {last && `, lengths vary by ${Math.round(100 * unevenness(last))} %`}
              </span>
            </li>
          )
        })}
      </ul>
    </Modal>
  )
}
