/** Pictures that learners have sent, of one exercise at a time, side by side. */
import type { LearningAnswer } from '@lemmata/contract'
import { type LearnerPractice, UNTOUCHED } from '@lemmata/core/practice'
import { unevenness } from '@lemmata/core/photo'
import { counted } from '@lemmata/core/units'
import { Modal, Select, Switch } from 'antd'
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
  const [isForClass, setForClass] = useState(false)
  const sent = pictures.filter((one) => one.exercise === exercise)
  const allowed = sent.filter((one) => one.mayShow)
  const shown = isForClass ? allowed : sent
  return (
    // What lies behind is not for the class: who is stuck, by name.
    <Modal
      open
      title="Pictures learners have sent"
      footer={null}
      onCancel={onClose}
      width={1000}
      {...(isForClass ? { styles: { mask: { background: 'var(--linen)' } } } : {})}
    >
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
      <label className="for-class">
        <Switch checked={isForClass} onChange={setForClass} aria-label="As the class may see them" /> As the class may see them
      </label>
      <p className="quiet">
        {isForClass
          ? `Without names, and only what each learner has said may be seen: ${allowed.length} of ${counted(sent.length, 'picture')}. What is taken back is gone from here too.`
          : 'For you alone. Before you show them to the class turn this on: then only those are here that may be seen.'}
      </p>
      <ul className="sent-pictures">
        {shown.map((picture) => {
          const learner = learners.find((one) => one.id === picture.learner)
          const last = (learner?.practice.exercises.get(exercise) ?? UNTOUCHED).rows.filter((row) => row.isCounted).at(-1)
          const name = learner?.name ?? 'No longer in the class'
          if (isForClass)
            return (
              <li key={picture.id}>
                <SentPicture classId={classId} id={picture.id} label={`A row of ${exerciseName(exercise)}`} />
              </li>
            )
          return (
            <li key={picture.id}>
              <SentPicture classId={classId} id={picture.id} label={`A row of ${exerciseName(exercise)} by ${name}`} />
              <span>
                <b>{name}</b>, {dayjs(picture.at).format('D MMM, HH:mm')}
                {last && `, lengths vary by ${Math.round(100 * unevenness(last))} %`}
                {picture.mayShow && '; the class may see it'}
              </span>
            </li>
          )
        })}
      </ul>
    </Modal>
  )
}
