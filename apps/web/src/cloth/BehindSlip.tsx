/** A slip on the table beside the back of the cloth: what is carried, what is begun anew, lesson by lesson. */
import { behindInWords, type LessonBehind } from '@lemmata/core/behind'
import type { Sampler } from '@lemmata/core/sampler'
import { Button } from 'antd'
import { useState } from 'react'
import { isNarrow } from '../spine/use-folded.ts'

export function BehindSlip({ sampler, lessons }: { readonly sampler: Sampler; readonly lessons: readonly LessonBehind[] }) {
  // On a small screen the cloth is seen first.
  const [shown, setShown] = useState(() => !isNarrow())
  if (lessons.length === 0) return null
  return (
    <section className={shown ? 'behind-slip' : 'behind-slip shut'} aria-label="Behind">
      <div className="behind-head">
        <h2>Behind</h2>
        <Button size="small" type="text" aria-expanded={shown} onClick={() => setShown(!shown)}>
          {shown ? 'Fold' : 'Unfold'}
        </Button>
      </div>
      {shown && (
        <div className="behind-list">
          {lessons.map(({ lesson, threads }) => (
            <div key={lesson ?? 'none'}>
              <h3>{titleOf(sampler, lesson)}</h3>
              <ul>
                {threads.map((one) => (
                  <li key={`${one.thread.id} ${one.strands} ${one.role}`}>
                    <span className="thread-dot" style={{ background: one.thread.colour.hex }} aria-hidden="true" />
                    {behindInWords(one, sampler.units)}
                  </li>
                ))}
              </ul>
            </div>
          ))}
          <p className="quiet">Whole lines are carried; thin dotted ones are not, there it is begun anew. A cross is where a needleful ends.</p>
          {sampler.brief.leftHanded > 0 && (
            <p className="quiet">Drawn for the right hand. Left hands begin each at its other end and take the same ways backwards, as their sheets say.</p>
          )}
        </div>
      )}
    </section>
  )
}

function titleOf(sampler: Sampler, lesson: string | null): string {
  const at = sampler.lessons.findIndex((one) => one.id === lesson)
  return at < 0 ? 'In no lesson yet' : `${at + 1} ${sampler.lessons[at]?.title ?? ''}`
}
