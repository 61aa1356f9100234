/** Who came to which lesson: ticked by its teacher. */
import type { LearnerPractice } from '@lemmata/core/practice'
import { Checkbox } from 'antd'

interface Props {
  readonly lessons: readonly { readonly id: string; readonly title: string; readonly number: number; readonly on: string }[]
  readonly learners: readonly { readonly id: string; readonly name: string; readonly practice: LearnerPractice }[]
  readonly onCame: (learner: string, lesson: string, came: boolean) => void
}

export function CameTable({ lessons, learners, onCame }: Props) {
  return (
    <table className="class-grid" aria-label="Who came">
      <thead>
        <tr>
          <th scope="col">Learner</th>
          {lessons.map((one) => (
            <th key={one.id} scope="col" title={one.title}>
              {one.number}
              <small className="quiet">{one.on}</small>
            </th>
          ))}
          <th scope="col" className="kit-number">
            Came
          </th>
        </tr>
      </thead>
      <tbody>
        {learners.map(({ id, name, practice }) => (
          <tr key={id}>
            <th scope="row" title={name}>
              {name}
            </th>
            {lessons.map((lesson) => (
              <td key={lesson.id} className="class-cell">
                <Checkbox
                  aria-label={`${name} came to lesson ${lesson.number}`}
                  checked={practice.came.get(lesson.id) ?? false}
                  onChange={(event) => onCame(id, lesson.id, event.target.checked)}
                />
              </td>
            ))}
            <td className="kit-number">
              {lessons.filter((one) => practice.came.get(one.id) === true).length} of {lessons.length}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
