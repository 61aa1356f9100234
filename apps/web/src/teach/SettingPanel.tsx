/** Strands, needle and colour, one key away. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { alikeInWords, SHEET_WORDS, threadsAlike } from '@lemmata/core/sheets'
import { Spool } from '../thread/fields.tsx'
import type { Shown } from './shown.ts'

export function SettingPanel({ shown: { letters }, of }: { readonly shown: Shown; readonly of: readonly WorkedExercise[] }) {
  return (
    <aside className="teach-setting" aria-label="In the needle">
      {of.map((done) => {
        const words = alikeInWords(done, SHEET_WORDS.en)
        return (
          <div key={done.exercise.id}>
            <h2>
              {letters.get(done.exercise.id)} {done.exercise.name}
            </h2>
            {threadsAlike(done).map(({ all }, index) => (
              <p key={words[index]}>
                {all.map((one) => (
                  <Spool key={one.thread.id} hex={one.thread.colour.hex} />
                ))}{' '}
                {words[index]}
              </p>
            ))}
          </div>
        )
      })}
    </aside>
  )
}
