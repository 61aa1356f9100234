/** As few needles as serve the whole course: which, what changes by it, and how each serves there. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { choiceOfNeedle, nameNeedle } from '@lemmata/core/materials'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { type FewerNeedles, fewerNeedles, needleCourse, type Solver } from '@lemmata/core/together'
import { counted, listInWords } from '@lemmata/core/units'
import { Button, Modal } from 'antd'
import { useCallback, useMemo } from 'react'
import { edit } from '../store/index.ts'
import { wordForRole } from '@lemmata/core/assign'
import { SERVES } from './serves.ts'
import { useSolved } from './use-solved.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly onClose: () => void
}

export function FewerNeedlesDialog({ sampler, done, onClose }: Props) {
  const course = useMemo(() => needleCourse(sampler, done), [sampler, done])
  const run = useCallback((solve: Solver) => fewerNeedles(course, solve), [course])
  const choosing = useSolved('Choosing the needles', run)
  const changes = choosing.state === 'done' ? choosing.answer.changes : []
  const take = (): void => {
    edit({
      kind: 'batch',
      operations: changes.map(({ row, to }) => ({ kind: 'assign', id: row.exercise, role: row.role, set: { needle: choiceOfNeedle(to) } })),
    })
    onClose()
  }
  return (
    <Modal
      open
      title="Fewer needles"
      width={640}
      onCancel={onClose}
      footer={[
        <Button key="leave" onClick={onClose}>
          {choosing.state === 'busy' ? 'Stop' : 'Leave them as they are'}
        </Button>,
        <Button key="take" type="primary" disabled={changes.length === 0} onClick={take}>
          Take these needles
        </Button>,
      ]}
    >
      {choosing.state === 'busy' && <p role="status">Weighing every thread against every needle …</p>}
      {choosing.state === 'failed' && <p className="wrong">{choosing.sentence}</p>}
      {choosing.state === 'done' && <Answer sampler={sampler} done={done} answer={choosing.answer} unserved={course.left.map((row) => row.name)} />}
    </Modal>
  )
}

interface AnswerProps {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly answer: FewerNeedles
  readonly unserved: readonly string[]
}

function Answer({ sampler, done, answer, unserved }: AnswerProps) {
  const { before, after, changes } = answer
  const letters = new Map(teachingOrder(sampler).map((exercise, index) => [exercise.id as string, letterOf(index)]))
  const rolesOf = (id: string) => done.find((one) => one.exercise.id === id)?.assigned.threads.map((one) => one.role) ?? []
  if (changes.length === 0)
    return (
      <p>
        {counted(before.length, 'needle')} already: no fewer would serve as well. {listInWords(before.map(nameNeedle))}.
      </p>
    )
  return (
    <>
      <p>
        <strong>
          {counted(before.length, 'needle')} become {after.length}:
        </strong>{' '}
        {listInWords(after.map(nameNeedle))}. {counted(changes.length, 'thread')} would change; what you chose yourself stays. There is no better choice by
        these weights: a further needle in every kit counts as much as one thread worked with care, and a needle changed within a lesson a seventh of it.
      </p>
      <table className="kit-table">
        <thead>
          <tr>
            <th>Exercise</th>
            <th>Now</th>
            <th>Then</th>
            <th>Serves</th>
          </tr>
        </thead>
        <tbody>
          {changes.map(({ row, to, verdict }) => (
            <tr key={`${row.exercise} ${row.role}`}>
              <td>
                {letters.get(row.exercise)} {row.name}
                {rolesOf(row.exercise).length > 1 ? `, ${wordForRole(row.role, rolesOf(row.exercise))}` : ''}
              </td>
              <td>{nameNeedle(row.now)}</td>
              <td>{nameNeedle(to)}</td>
              <td>{SERVES[verdict]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {unserved.length > 0 && <p className="caution">No needle serves {listInWords(unserved)}: they stay as they are.</p>}
    </>
  )
}
