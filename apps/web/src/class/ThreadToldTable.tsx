/** Needlefuls that the class threaded beside those that are reckoned, and whether what a kit has for unpicking is enough. */
import { unpickedShare } from '@lemmata/core/kit'
import { isSpareEnough, type ThreadLearned, unpickedLearned } from '@lemmata/core/practice'
import type { Brief } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { Button } from 'antd'
import dayjs from 'dayjs'
import { inPercent, USUAL_FOR } from '../kit/unpicked-words.ts'
import { edit } from '../store/index.ts'

interface Props {
  readonly thread: ThreadLearned
  readonly brief: Brief
  readonly nameOf: (exercise: string) => string
  readonly letterOf: (exercise: string) => string
}

export function ThreadToldTable({ thread, brief, nameOf, letterOf }: Props) {
  const spareShare = unpickedShare(brief)
  const usual = unpickedShare({ level: brief.level })
  const learned = unpickedLearned(thread, dayjs().format('YYYY-MM-DD'))
  const rows = thread.rows.filter((one) => one.told !== null)
  return (
    <section className="thread-told" aria-label="Thread">
      <h2>Thread</h2>
      <p className="why">{inWords(thread, spareShare)}</p>
      <p className="class-acts take-over">
        {learned && learned.share !== spareShare && (
          <Button onClick={() => edit({ kind: 'change-brief', set: { unpicked: learned } })}>
            Cut kits with {inPercent(learned.share)} more, as this class threads
          </Button>
        )}
        {brief.unpicked && (
          <Button onClick={() => edit({ kind: 'change-brief', set: {}, clear: ['unpicked'] })}>
            {inPercent(usual)} again, usual for {USUAL_FOR[brief.level]}
          </Button>
        )}
      </p>
      {rows.length > 0 && (
        <table className="figures take-over-table">
          <thead>
            <tr>
              <th scope="col">Needlefuls of</th>
              <th scope="col">Reckoned</th>
              <th scope="col">Threaded</th>
              <th scope="col">Told of by</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ exercise, reckoned, told }) => (
              <tr key={exercise}>
                <th scope="row">
                  {letterOf(exercise)} {nameOf(exercise)}
                </th>
                <td>{reckoned}</td>
                <td>
                  {told && round(told.middle)}
                  {told && told.low < told.high && <span className="quiet">, half of them {`${round(told.low)} to ${round(told.high)}`}</span>}
                </td>
                <td>{told && counted(told.learners, 'learner')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}

const round = (count: number): string => String(Math.round(count * 2) / 2)

function inWords(thread: ThreadLearned, spareShare: number): string {
  const { times, learners } = thread
  if (learners === 0) return 'Nobody has counted needlefuls yet: on her own page each learner taps + whenever she threads her needle.'
  const more = times - 1
  const took =
    Math.abs(more) < 0.005 ? 'as many needlefuls as are reckoned' : `${inPercent(Math.abs(more))} ${more > 0 ? 'more' : 'fewer'} needlefuls than are reckoned`
  return `${counted(learners, 'learner')} counted: this class threads ${took}, drawn toward what is reckoned as if three more had taken just that. A kit has ${inPercent(
    spareShare,
  )} more for unpicking: ${isSpareEnough(thread, spareShare) ? 'that is enough.' : 'that is little.'}`
}
