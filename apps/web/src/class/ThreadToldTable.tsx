/** Needlefuls that the class threaded beside those that are reckoned, and whether what a kit has for unpicking is enough. */
import { isSpareEnough, type ThreadLearned } from '@lemmata/core/practice'
import { counted } from '@lemmata/core/units'

interface Props {
  readonly thread: ThreadLearned
  /** Added to every kit for unpicking, of what is reckoned. */
  readonly spareShare: number
  readonly nameOf: (exercise: string) => string
  readonly letterOf: (exercise: string) => string
}

export function ThreadToldTable({ thread, spareShare, nameOf, letterOf }: Props) {
  const rows = thread.rows.filter((one) => one.told !== null)
  return (
    <section className="thread-told" aria-label="Thread">
      <h2>Thread</h2>
      <p className="why">{inWords(thread, spareShare)}</p>
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
const percent = (share: number): string => `${Math.round(100 * share)} %`

function inWords(thread: ThreadLearned, spareShare: number): string {
  const { times, learners } = thread
  if (learners === 0) return 'Nobody has counted needlefuls yet: on her own page each learner taps + whenever she threads her needle.'
  const more = times - 1
  const took =
    Math.abs(more) < 0.005 ? 'as many needlefuls as are reckoned' : `${percent(Math.abs(more))} ${more > 0 ? 'more' : 'fewer'} needlefuls than are reckoned`
  return `${counted(learners, 'learner')} counted: this class threads ${took}, drawn toward what is reckoned as if three more had taken just that. A kit has ${percent(
    spareShare,
  )} more for unpicking: ${isSpareEnough(thread, spareShare) ? 'that is enough.' : 'that is little. Cut more of the colours that are used most.'}`
}
