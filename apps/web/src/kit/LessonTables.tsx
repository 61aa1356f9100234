/** Lesson by lesson, what lies on the table: each thread as it is taken up, with its strands, needle and needlefuls. */
import { strandsInWords, wordForRole } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { tableByLesson } from '@lemmata/core/kit'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { counted, listInWords } from '@lemmata/core/units'
import { Spool } from '../thread/fields.tsx'

export function LessonTables({ sampler, done }: { readonly sampler: Sampler; readonly done: readonly WorkedExercise[] }) {
  const letters = new Map(teachingOrder(sampler).map((exercise, index) => [exercise.id as string, letterOf(index)]))
  const rolesOf = (id: string) => done.find((one) => one.exercise.id === id)?.assigned.threads.map((one) => one.role) ?? []
  return (
    <>
      <p className="why">Laid out in this order, one learner’s threads for the lesson; those to spare lie beside them.</p>
      {tableByLesson(sampler, done).map(({ lesson, title, laidOut, newNeedles }, index) => (
        <section key={lesson ?? 'rest'} className="kit-lesson">
          <h2>{lesson === null ? title : `${index + 1}. ${title}`}</h2>
          {newNeedles.length > 0 && <p className="quiet">New in the needle book: {listInWords(newNeedles.map(nameNeedle))}.</p>}
          <table className="kit-table">
            <tbody>
              {laidOut.map(({ thread, kind, strands, needle, needlefuls, for: uses }) => (
                <tr key={`${thread.id} ${strands} ${nameNeedle(needle)}`}>
                  <td>
                    <span className="thread-word">
                      <Spool hex={thread.colour.hex} />
                      <span>
                        {thread.colour.name}, {nameThread(kind).toLowerCase()}
                      </span>
                    </span>
                  </td>
                  <td>{kind.mostStrands === 1 ? 'as it is' : strandsInWords(strands)}</td>
                  <td>{nameNeedle(needle)}</td>
                  <td>{counted(needlefuls, 'needleful')}</td>
                  <td>
                    {uses
                      .map(({ exercise, role }) => {
                        const roles = rolesOf(exercise)
                        return `${letters.get(exercise) ?? ''}${roles.length > 1 ? ` ${wordForRole(role, roles)}` : ''}`
                      })
                      .join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
    </>
  )
}
