/** One learner at one exercise: how far she is, what she asked; and what concerns her alone: her link, everything about her, out or away. */
import type { Learner } from '@lemmata/core/classes'
import { type LearnerPractice, UNTOUCHED } from '@lemmata/core/practice'
import { addDays } from '@lemmata/core/calendar'
import { advise, ROW_WORDS, type RowSummary, unevenness } from '@lemmata/core/photo'
import { forLearner } from '@lemmata/core/exercise'
import type { Sampler } from '@lemmata/core/sampler'
import { rememberedOf } from '@lemmata/core/recall'
import { counted, formatStitchLength, type LengthUnit } from '@lemmata/core/units'
import { Button, Popconfirm } from 'antd'
import type { ReactNode } from 'react'
import { api } from '../api/client.ts'
import { downloadText } from '../stitches/download.ts'
import { STATE_WORDS } from './class-words.ts'
import { SentPicture } from './SentPicture.tsx'
import type { LearningInPage } from './use-learning.ts'

interface Props {
  readonly classId: string
  readonly learner: Learner
  readonly exercise: { readonly id: string; readonly name: string; readonly letter: string; readonly pieces: number }
  readonly practice: LearnerPractice
  readonly next: string
  /** Where her next row is made. */
  readonly nextRow: string
  readonly planned: number
  /** As reckoned. */
  readonly needlefuls: number
  readonly sampler: Sampler
  /** Her minutes through the course. */
  readonly chart: ReactNode
  readonly learning: LearningInPage
  readonly onClose: () => void
}

export function LearnerCard({ classId, learner, exercise, practice, next, nextRow, planned, needlefuls, sampler, chart, learning, onClose }: Props) {
  const one = practice.exercises.get(exercise.id) ?? UNTOUCHED
  const asked = practice.questions.filter((question) => question.exercise === exercise.id)
  const sent = (learning.learning?.pictures ?? []).filter((picture) => picture.learner === learner.id && picture.exercise === exercise.id)
  const notebook = async (): Promise<string> => {
    const { notebookTable } = await import('../photo/notebook.ts')
    return notebookTable(forLearner(sampler, learner).sampler, learning.learning?.events ?? [], learner.id, 'en')
  }
  const mark = learning.mark
  // Asked on her phone where the needle goes next; in the first box is what she has not known twice on its day.
  const known = rememberedOf(learning.learning?.events ?? [], learner.id, addDays)
  const motions = [...known.values()].filter((each) => each.exercise === exercise.id)
  const of = { learner: learner.id, exercise: exercise.id }
  return (
    <aside className="card" aria-label={`${learner.name}, ${exercise.name}`}>
      <div className="card-head">
        <span className="letter">{exercise.letter}</span>
        <div className="card-title">
          <h2 title={learner.name}>{learner.name}</h2>
          <span>{exercise.name}</span>
        </div>
        <Button type="text" aria-label="Close the card" title="Close" onClick={onClose}>
          ×
        </Button>
      </div>
      <div className="card-part">
        <p className={one.state === 'stuck' ? 'caution' : undefined}>
          <b>{STATE_WORDS[one.state]}</b>
          {one.stuckAt !== null && `, at step ${one.stuckAt}`}
        </p>
        <dl className="facts-list">
          <dt>Practised</dt>
          <dd>
            {one.minutes} min{planned > 0 && ` of ${Math.round(planned)} at home`}
          </dd>
          {one.needlefuls > 0 && (
            <>
              <dt>Needlefuls</dt>
              <dd>
                {one.needlefuls}, reckoned {needlefuls}
              </dd>
            </>
          )}
          {exercise.pieces > 1 && (
            <>
              <dt>Pieces</dt>
              <dd>
                {one.pieces.length} of {exercise.pieces}
              </dd>
            </>
          )}
          {motions.length > 0 && (
            <>
              <dt>Remembers</dt>
              <dd>
                {motions.filter((each) => each.box > 0).length} of {counted(motions.length, 'motion')} asked
              </dd>
            </>
          )}
          <dt>Next</dt>
          <dd>{next}</dd>
        </dl>
        {asked.map((question) => (
          <p key={question.id}>
            Asked: <q>{question.asked}</q>
          </p>
        ))}
        <p className="class-acts">
          <Button onClick={() => mark({ kind: 'can', ...of, can: one.state !== 'can' })}>{one.state === 'can' ? 'Not yet after all' : 'She can do it'}</Button>
          <Button href={nextRow} target="_blank" rel="noreferrer">
            Print her next row
          </Button>
          {one.state === 'stuck' && <Button onClick={() => mark({ kind: 'stuck', ...of, stuck: false, step: null })}>Helped</Button>}
        </p>
      </div>
      {(one.rows.length > 0 || sent.length > 0) && (
        <div className="card-part">
          <h3>Rows photographed</h3>
          {sent.map((picture) => (
            <SentPicture key={picture.id} classId={classId} id={picture.id} label={`Her row of ${exercise.name}`} />
          ))}
          <p className="class-acts">
            <Button size="small" onClick={() => void learning.change(async () => downloadText(`${learner.name}.csv`, await notebook(), 'text/csv'))}>
              Her stitch notebook
            </Button>
          </p>
          {one.rows.length > 0 && <Rows rows={one.rows} units={sampler.units} isRuled={learning.learning?.measuring.state === 'agrees'} />}
        </div>
      )}
      <div className="card-part">
        <h3>Minutes through the course</h3>
        {chart}
      </div>
      <Hers {...{ classId, learner, learning }} onGone={onClose} />
    </aside>
  )
}

/** Her rows of it, the oldest first, against the plan and what a row worked well has; and the one thing to change in the last. */
function Rows({ rows, units, isRuled }: { readonly rows: readonly RowSummary[]; readonly units: LengthUnit; readonly isRuled: boolean }) {
  const length = (mm: number): string => formatStitchLength(mm, units)
  const last = rows.at(-1)
  return (
    <>
      <ol className="class-rows">
        {rows.map((row, index) => (
          <li key={index}>
            <b>{row.isCounted ? `${Math.round(100 * unevenness(row))}\u00a0%` : 'as a whole'}</b>, {length(row.lengthMm)} ({length(row.plannedMm)} planned)
          </li>
        ))}
      </ol>
      {last && <p className="class-advice">{ROW_WORDS.en.advice(advise(last, rows.slice(0, -1)), length)}</p>}
      <p className="quiet">
        How much lengths vary, measured by her phone, {isRuled ? 'which your ruler agrees with' : 'on trial'}: 10 to 15 % is a row worked well.
      </p>
    </>
  )
}

function Hers({ classId, learner, learning, onGone }: Pick<Props, 'classId' | 'learner' | 'learning'> & { readonly onGone: () => void }) {
  const { id, name } = learner
  const link = learning.learning?.links.find((one) => one.learner === id)
  const address = link && `${location.origin}/learn/${link.link}`
  return (
    <div className="card-part">
      <h3>Her own page</h3>
      {address ? (
        <>
          <p className="class-link">{address}</p>
          <p className="quiet">{link.isOpened ? 'Opened, with a word of her own.' : 'Not opened yet: she chooses a word then.'}</p>
          <p className="class-acts">
            <Button size="small" onClick={() => void navigator.clipboard.writeText(address)}>
              Copy it
            </Button>
            <Popconfirm title="Her devices are then known no more." onConfirm={() => void learning.change(() => api.renewLink(classId, id))}>
              <Button size="small">Another link</Button>
            </Popconfirm>
            <Button size="small" onClick={() => void learning.change(() => api.endLink(classId, id))}>
              End it
            </Button>
          </p>
        </>
      ) : (
        <Button onClick={() => void learning.change(() => api.renewLink(classId, id))}>Make her a link</Button>
      )}
      <p className="class-acts">
        <Button
          size="small"
          onClick={() =>
            void learning.change(async () => downloadText(`${name}.json`, JSON.stringify(await api.everythingOf(classId, id), null, 2), 'application/json'))
          }
        >
          Everything about her
        </Button>
        <Popconfirm
          title={`${name} and all that is kept of her are deleted. This cannot be undone.`}
          onConfirm={() => void learning.change(() => api.forgetLearner(classId, id)).then(onGone)}
        >
          <Button size="small" danger>
            Delete all of it
          </Button>
        </Popconfirm>
      </p>
    </div>
  )
}
