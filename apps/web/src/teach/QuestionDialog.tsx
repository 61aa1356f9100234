/** A question with its answer: written down while it is asked, kept with the lesson. */
import type { LessonNote } from '@lemmata/core/classes'
import type { Lesson } from '@lemmata/core/sampler'
import { Input, type InputRef, Modal } from 'antd'
import dayjs from 'dayjs'
import { useRef, useState } from 'react'
import type { ClassInPage } from '../sheets/use-class.ts'
import { editClass } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'

interface Props {
  readonly lesson: Lesson
  readonly group: ClassInPage
  readonly onClose: () => void
}

export function QuestionDialog({ lesson, group, onClose }: Props) {
  const field = useRef<InputRef>(null)
  const [asked, setAsked] = useState('')
  const [answer, setAnswer] = useState('')
  const keep = async (): Promise<void> => {
    const note: LessonNote = { kind: 'question', lesson: lesson.id, on: dayjs().format('YYYY-MM-DD'), asked: asked.trim(), answer: answer.trim() }
    if (await group.ensure()) editClass({ kind: 'set-note', id: newId('n'), note })
    onClose()
  }
  return (
    <Modal
      open
      title={`A question in ${lesson.title}`}
      onCancel={onClose}
      onOk={() => void keep()}
      okText="Keep it with the lesson"
      okButtonProps={{ disabled: asked.trim() === '' }}
      cancelText="Leave it"
      zIndex={2000}
      // What is typed right after its key must find the field.
      afterOpenChange={(isOpen) => isOpen && field.current?.focus()}
      width={640}
    >
      <Input
        ref={field}
        size="large"
        aria-label="What was asked"
        placeholder="What was asked"
        maxLength={400}
        value={asked}
        onChange={(event) => setAsked(event.target.value)}
      />
      <Input.TextArea
        className="teach-answer"
        aria-label="What was answered"
        placeholder="What was answered; it can wait"
        autoSize={{ minRows: 3, maxRows: 8 }}
        maxLength={1000}
        value={answer}
        onChange={(event) => setAnswer(event.target.value)}
      />
    </Modal>
  )
}
