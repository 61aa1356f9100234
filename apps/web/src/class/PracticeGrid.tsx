/**
 * Learners by exercises: a cell is four stitches, sewn as far as she is. One Tab stop; arrows go by cell, Enter opens the card of that
 * learner at that exercise, Space marks that she can do it.
 */
import { type ExercisePractice, type Learned, type LearnerPractice, UNTOUCHED } from '@lemmata/core/practice'
import { unevenness } from '@lemmata/core/photo'
import { counted } from '@lemmata/core/units'
import { type KeyboardEvent, useRef, useState } from 'react'
import { STATE_WORDS } from './class-words.ts'

export interface GridColumn {
  readonly id: string
  readonly letter: string
  readonly name: string
  /** Of the lesson that is on. */
  readonly isNow: boolean
  readonly isFirstOfLesson: boolean
}

export interface GridRow {
  readonly id: string
  readonly name: string
  readonly isLeft: boolean
  readonly practice: LearnerPractice
  readonly next: string
  readonly needsHelp: boolean
}

interface Props {
  readonly columns: readonly GridColumn[]
  readonly rows: readonly GridRow[]
  readonly view: 'practice' | 'time'
  /** Minutes at home of each exercise. */
  readonly planned: (exercise: string) => number
  /** What the class took of each, shown under the minutes. */
  readonly learned: Learned
  readonly held: { readonly learner: string; readonly exercise: string } | null
  readonly onHold: (learner: string, exercise: string) => void
  readonly onCan: (learner: string, exercise: string, can: boolean) => void
}

export function PracticeGrid({ columns, rows, view, planned, learned, held, onHold, onCan }: Props) {
  const table = useRef<HTMLTableElement>(null)
  const [stop, setStop] = useState<readonly [number, number]>([0, 0])
  const [row, column] = [Math.min(stop[0], rows.length - 1), Math.min(stop[1], columns.length - 1)]
  const go = (to: readonly [number, number]): void => {
    const [at, along] = [Math.min(Math.max(to[0], 0), rows.length - 1), Math.min(Math.max(to[1], 0), columns.length - 1)]
    setStop([at, along])
    table.current?.querySelector<HTMLElement>(`[data-cell="${at} ${along}"]`)?.focus()
  }
  const onKey = (event: KeyboardEvent, at: number, along: number): void => {
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ...{ ArrowRight: [at, along + 1], ArrowLeft: [at, along - 1], ArrowDown: [at + 1, along], ArrowUp: [at - 1, along] },
      ...{ Home: [at, 0], End: [at, columns.length - 1] },
    }
    const to = moves[event.key]
    const [learner, exercise] = [rows[at], columns[along]]
    if (to) go(to)
    else if (event.key === ' ' && learner && exercise) onCan(learner.id, exercise.id, learner.practice.exercises.get(exercise.id)?.state !== 'can')
    else return
    event.preventDefault()
  }
  return (
    <table ref={table} className="class-grid" role="grid" aria-label={view === 'time' ? 'Minutes practised' : 'Practice'}>
      <thead>
        <tr>
          <th scope="col">Learner</th>
          {columns.map((one) => (
            <th key={one.id} scope="col" title={one.name} className={cellClass(one)}>
              <span aria-hidden="true">{one.letter}</span>
              <span className="visually-hidden">{one.name}</span>
            </th>
          ))}
          {view === 'time' && <th scope="col">In all</th>}
          <th scope="col">What next</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((learner, at) => (
          <tr key={learner.id}>
            <th scope="row" title={learner.name}>
              {learner.name}
              {learner.isLeft && <span className="quiet"> left</span>}
            </th>
            {columns.map((exercise, along) => {
              const practice = learner.practice.exercises.get(exercise.id) ?? UNTOUCHED
              const isHeld = held?.learner === learner.id && held.exercise === exercise.id
              return (
                <td key={exercise.id} role="gridcell" className={`${cellClass(exercise)} ${practice.state}${isHeld ? ' held' : ''}`}>
                  <button
                    type="button"
                    data-cell={`${at} ${along}`}
                    tabIndex={at === row && along === column ? 0 : -1}
                    aria-label={`${learner.name}, ${exercise.name}: ${inWords(practice)}`}
                    onFocus={() => setStop([at, along])}
                    onKeyDown={(event) => onKey(event, at, along)}
                    onClick={() => onHold(learner.id, exercise.id)}
                  >
                    {view === 'time' ? (
                      <Minutes minutes={practice.minutes} planned={planned(exercise.id)} />
                    ) : (
                      <>
                        <FourStitches practice={practice} planned={planned(exercise.id)} />
                        {practice.state === 'stuck' ? (
                          <small>stuck{practice.stuckAt === null ? '' : ` ${practice.stuckAt}`}</small>
                        ) : evenness(practice) !== null ? (
                          <small>{evenness(practice)}</small>
                        ) : (
                          practice.minutes > 0 && <small>{practice.minutes} min</small>
                        )}
                      </>
                    )}
                  </button>
                </td>
              )
            })}
            {view === 'time' && <td className="kit-number">{[...learner.practice.exercises.values()].reduce((sum, one) => sum + one.minutes, 0)} min</td>}
            <td className={learner.needsHelp ? 'class-next caution' : 'class-next'}>{learner.next}</td>
          </tr>
        ))}
      </tbody>
      {view === 'time' && (
        <tfoot>
          <tr>
            <th scope="row">Reckoned at home</th>
            {columns.map((one) => (
              <td key={one.id} className={cellClass(one)}>
                <small>{inMinutes(planned(one.id))}</small>
              </td>
            ))}
            <td colSpan={2} />
          </tr>
          <tr>
            <th scope="row">This class</th>
            {columns.map((one) => {
              const told = learned.exercises.get(one.id)
              return (
                <td key={one.id} className={cellClass(one)} title={told && `${counted(told.learners, 'learner')} told of it`}>
                  <small>{told ? <b>{inMinutes(told.minutes)}</b> : '\u2013'}</small>
                </td>
              )
            })}
            <td colSpan={2} className="class-next">
              {paceInWords(learned)}
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  )
}

const inMinutes = (minutes: number): string => (minutes < 0.5 ? '\u2013' : `${Math.round(minutes)} min`)

/** Less than this either way is what any class is off by. */
const AS_RECKONED = 0.05

function paceInWords({ pace, learners }: Learned): string {
  if (learners === 0) return 'Nothing to learn from yet: it is told by who can do a piece and timed it.'
  const of = `${counted(learners, 'learner')}, drawn toward what is reckoned where little is told.`
  if (Math.abs(pace - 1) < AS_RECKONED) return `As long as reckoned. ${of}`
  return `${Math.round(100 * Math.abs(pace - 1))} % ${pace > 1 ? 'longer' : 'shorter'} than reckoned. ${of}`
}

const cellClass = ({ isNow, isFirstOfLesson }: GridColumn): string => `class-cell${isNow ? ' now' : ''}${isFirstOfLesson ? ' first' : ''}`

function inWords(practice: ExercisePractice): string {
  const { state, minutes, stuckAt } = practice
  const varies = evenness(practice)
  return `${STATE_WORDS[state]}${stuckAt === null ? '' : ` at step ${stuckAt}`}${minutes > 0 ? `, ${minutes} minutes` : ''}${varies === null ? '' : `, lengths vary by ${varies}`}`
}

/** By how much the lengths of her last photographed row vary; null where none was counted. */
function evenness({ rows }: ExercisePractice): string | null {
  const last = rows.filter((one) => one.isCounted).at(-1)
  return last ? `${Math.round(100 * unevenness(last))} %` : null
}

function Minutes({ minutes, planned }: { readonly minutes: number; readonly planned: number }) {
  return (
    <small>
      {minutes === 0 ? '\u2013' : minutes}
      {planned > 0 && <span className="quiet"> of {Math.round(planned)}</span>}
    </small>
  )
}

/** All four when she can do it; of one that is practised as many as minutes at home, at least one and never the last. */
function FourStitches({ practice: { state, minutes }, planned }: { readonly practice: ExercisePractice; readonly planned: number }) {
  const sewn = state === 'can' ? 4 : state === 'untouched' ? 0 : Math.min(3, Math.max(1, planned > 0 ? Math.floor((4 * minutes) / planned) : 1))
  return (
    <svg width="40" height="8" viewBox="0 0 40 8" aria-hidden="true" className={`four-stitches ${state}`}>
      {[0, 1, 2, 3].map((one) => (
        <line key={one} x1={2 + one * 10} x2={8 + one * 10} y1="4" y2="4" className={one < sewn ? 'sewn' : 'open'} />
      ))}
    </svg>
  )
}
