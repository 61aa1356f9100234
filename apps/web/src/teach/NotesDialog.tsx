/** A question with its answer, or a vote on ways that were shown: written down while it is asked, kept with the lesson. */
import type { LessonNote, WayVoted } from '@lemmata/core/classes'
import type { Lesson } from '@lemmata/core/sampler'
import { Button, Input, type InputRef, Modal } from 'antd'
import dayjs from 'dayjs'
import { useRef, useState } from 'react'
import type { ClassInPage } from '../sheets/use-class.ts'
import { editClass } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'

interface Props {
  readonly kind: 'question' | 'vote'
  readonly lesson: Lesson
  readonly group: ClassInPage
  readonly onClose: () => void
}

const TWO_WAYS: readonly WayVoted[] = [
  { name: 'As shown first', votes: 0 },
  { name: 'As shown second', votes: 0 },
]

export function NotesDialog({ kind, lesson, group, onClose }: Props) {
  const field = useRef<InputRef>(null)
  const [asked, setAsked] = useState('')
  const [answer, setAnswer] = useState('')
  const [ways, setWays] = useState(TWO_WAYS)
  const on = dayjs().format('YYYY-MM-DD')
  const about = asked.trim() || 'Which of the two?'
  const note: LessonNote =
    kind === 'question'
      ? { kind, lesson: lesson.id, on, asked: asked.trim(), answer: answer.trim() }
      : { kind, lesson: lesson.id, on, about, ways: ways.map((one, index) => ({ ...one, name: one.name.trim() || `Way ${index + 1}` })) }
  const change = (index: number, set: Partial<WayVoted>): void => setWays((before) => before.map((one, at) => (at === index ? { ...one, ...set } : one)))
  const keep = async (): Promise<void> => {
    if (await group.ensure()) editClass({ kind: 'set-note', id: newId('n'), note })
    onClose()
  }
  return (
    <Modal
      open
      title={kind === 'question' ? `A question in ${lesson.title}` : `A vote in ${lesson.title}`}
      onCancel={onClose}
      onOk={() => void keep()}
      okText="Keep it with the lesson"
      okButtonProps={{ disabled: kind === 'question' ? asked.trim() === '' : ways.every((one) => one.votes === 0) }}
      cancelText="Leave it"
      zIndex={2000}
      // What is typed right after its key must find the field.
      afterOpenChange={(isOpen) => isOpen && field.current?.focus()}
      width={640}
    >
      <Input
        ref={field}
        size="large"
        aria-label={kind === 'question' ? 'What was asked' : 'What is voted on'}
        placeholder={kind === 'question' ? 'What was asked' : 'Which of the two?'}
        maxLength={400}
        value={asked}
        onChange={(event) => setAsked(event.target.value)}
      />
      {kind === 'question' ? (
        <Input.TextArea
          className="teach-answer"
          aria-label="What was answered"
          placeholder="What was answered; it can wait"
          autoSize={{ minRows: 3, maxRows: 8 }}
          maxLength={1000}
          value={answer}
          onChange={(event) => setAnswer(event.target.value)}
        />
      ) : (
        ways.map((one, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a way is its place.
          <div key={index} className="teach-way">
            <Input
              size="large"
              aria-label={`Way ${index + 1}`}
              maxLength={120}
              value={one.name}
              onChange={(event) => change(index, { name: event.target.value })}
            />
            <Button
              size="large"
              aria-label={`One less for way ${index + 1}`}
              disabled={one.votes === 0}
              onClick={() => change(index, { votes: one.votes - 1 })}
            >
              −
            </Button>
            <output aria-label={`Votes for way ${index + 1}`}>{one.votes}</output>
            <Button size="large" aria-label={`One more for way ${index + 1}`} onClick={() => change(index, { votes: one.votes + 1 })}>
              +
            </Button>
          </div>
        ))
      )}
    </Modal>
  )
}
