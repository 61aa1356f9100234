/** The ramp: each exercise's difficulty, stacked by where it comes from, with the straight ramp behind. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { PlanDescription } from '@lemmata/core/order'
import { letterOf } from '@lemmata/core/sheets'
import type { KeyboardEvent } from 'react'
import { Bar, ComposedChart, Line, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts'
import { DYES } from '../look/theme.ts'

export type RampBy = 'exercises' | 'lessons'

interface Props {
  readonly by: RampBy
  readonly description: PlanDescription
  readonly worked: ReadonlyMap<string, WorkedExercise>
  readonly letters: ReadonlyMap<string, string>
  readonly selected: string | null
  readonly onSelect: (id: string) => void
}

interface Row {
  readonly id: string
  readonly name: string
  readonly letter: string
  readonly lesson: number
  readonly opens: boolean
  readonly rise: number
  readonly motion: number
  readonly memory: number
  readonly setting: number
  readonly ramp: number
}

/** More letters would run into each other; only the chosen one is shown then. */
const MOST_LETTERS = 44
/** Points between the lines of the scale. */
const EACH = 20

const PARTS = [
  { key: 'motion', name: 'motions', fill: DYES.indigo },
  { key: 'memory', name: 'memory', fill: 'url(#ramp-memory)' },
  { key: 'setting', name: 'setting', fill: 'url(#ramp-setting)' },
] as const

export function RampChart({ by, description, worked, letters, selected, onSelect }: Props) {
  const each = description.steps.map((step, index): Row => {
    const done = worked.get(step.id)
    const part = (group: string): number => (done?.difficulty.parts ?? []).filter((one) => one.group === group).reduce((total, one) => total + one.score, 0)
    return {
      id: step.id,
      name: done?.exercise.name ?? step.id,
      letter: letters.get(step.id) ?? letterOf(index),
      lesson: step.lesson,
      opens: description.steps[index - 1]?.lesson !== step.lesson,
      rise: step.rise,
      motion: part('motion'),
      memory: part('memory'),
      setting: part('setting'),
      ramp: step.ramp,
    }
  })
  const rows = by === 'exercises' ? each : hardestOfLessons(each)
  const top = EACH * Math.ceil((4 + Math.max(16, ...rows.map((row) => Math.max(row.ramp, row.motion + row.memory + row.setting)))) / EACH)
  const words = rows.map((row) => `${row.name} ${Math.round(row.motion + row.memory + row.setting)}`).join(', ')
  const at = rows.findIndex((row) => row.id === selected)
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return
    event.preventDefault()
    const next = rows[at + (event.key === 'ArrowRight' ? 1 : -1)]
    if (next) onSelect(next.id)
  }
  return (
    <figure
      className="ramp"
      tabIndex={0}
      onKeyDown={onKey}
      aria-label={`The ramp. Left and right arrows choose an exercise. Difficulties in order: ${words || 'none yet'}.`}
    >
      <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
        <defs>
          <pattern id="ramp-memory" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" fill={DYES.weldFill} />
            <rect width="2" height="6" fill={DYES.weld} />
          </pattern>
          <pattern id="ramp-setting" width="6" height="6" patternUnits="userSpaceOnUse">
            <rect width="6" height="6" fill="#D7E6E0" />
            <circle cx="3" cy="3" r="1.5" fill={DYES.verdigris} />
          </pattern>
        </defs>
      </svg>
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart
          data={rows}
          margin={{ top: 12, right: 12, bottom: 2, left: -18 }}
          barCategoryGap={rows.length > 20 ? '12%' : '26%'}
          accessibilityLayer={false}
        >
          <XAxis dataKey="id" interval={0} height={44} tickLine={false} axisLine={{ stroke: DYES.edge }} tick={<PlaceTick rows={rows} selected={selected} />} />
          <YAxis
            width={52}
            tick={{ fill: DYES.walnut, fontSize: 13 }}
            tickLine={false}
            axisLine={false}
            domain={[0, top]}
            ticks={Array.from({ length: top / EACH + 1 }, (_, index) => index * EACH)}
          />
          <Tooltip cursor={{ fill: 'rgba(43, 63, 107, 0.08)' }} content={<RowTip />} />
          {PARTS.map((part) => (
            <Bar
              key={part.key}
              dataKey={part.key}
              stackId="difficulty"
              fill={part.fill}
              isAnimationActive={false}
              onClick={(row) => onSelect((row as unknown as { payload: Row }).payload.id)}
              style={{ cursor: 'pointer' }}
            />
          ))}
          <Line dataKey="ramp" stroke={DYES.verdigris} strokeWidth={2} strokeDasharray="6 4" dot={false} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="ramp-key">
        {PARTS.map((part) => (
          <span key={part.key}>
            <svg width="14" height="14" aria-hidden="true">
              <rect width="14" height="14" fill={part.fill} />
            </svg>
            {part.name}
          </span>
        ))}
        <span>
          <svg width="26" height="14" aria-hidden="true">
            <path d="M0 12 L26 2" stroke={DYES.verdigris} strokeWidth="2" strokeDasharray="6 4" />
          </svg>
          an even climb
        </span>
      </figcaption>
    </figure>
  )
}

/** A lesson is as hard as its hardest exercise; the ramp runs from the first lesson to the last. */
function hardestOfLessons(rows: readonly Row[]): readonly Row[] {
  const total = (row: Row): number => row.motion + row.memory + row.setting
  const lessons = [...new Set(rows.map((row) => row.lesson))].map((lesson) =>
    rows.filter((row) => row.lesson === lesson).reduce((hardest, row) => (total(row) > total(hardest) ? row : hardest)),
  )
  const scores = lessons.map(total)
  const [low, high] = [Math.min(...scores), Math.max(...scores)]
  return lessons.map((row, index) => ({ ...row, opens: true, ramp: lessons.length > 1 ? low + ((high - low) * index) / (lessons.length - 1) : low }))
}

interface TickProps {
  readonly x?: number
  readonly y?: number
  readonly payload?: { readonly value: string }
  readonly rows: readonly Row[]
  readonly selected: string | null
}

/** The exercise's letter, and under the first of each lesson its number. */
function PlaceTick({ x = 0, y = 0, payload, rows, selected }: TickProps) {
  const row = rows.find((one) => one.id === payload?.value)
  if (!row) return null
  return (
    <g transform={`translate(${x},${y})`}>
      {row.id === selected && <rect x={-10} y={1} width={20} height={18} rx={3} fill="none" stroke={DYES.indigo} strokeWidth={1.6} />}
      {(rows.length <= MOST_LETTERS || row.id === selected) && (
        <text y={15} textAnchor="middle" fill={DYES.indigo} fontWeight={700} fontFamily="Alegreya, serif" fontSize={rows.length > 30 ? 11 : 15}>
          {row.letter}
        </text>
      )}
      {row.opens && (
        <text y={33} textAnchor="middle" fill={DYES.walnut} fontSize={12.5}>
          {row.lesson === 0 && rows.length < 26 ? 'lesson 1' : row.lesson + 1}
        </text>
      )}
    </g>
  )
}

function RowTip({ active, payload }: { active?: boolean; payload?: readonly { readonly payload: Row }[] }) {
  const row = payload?.[0]?.payload
  if (!active || !row) return null
  const total = row.motion + row.memory + row.setting
  return (
    <div className="panel" style={{ padding: '8px 12px' }}>
      <b>{row.name}</b>
      <br />
      difficulty {Math.round(total)}: motions {Math.round(row.motion)}, memory {Math.round(row.memory)}, setting {Math.round(row.setting)}
      <br />
      {Math.abs(total - row.ramp) < 1
        ? 'on the even climb'
        : `${Math.round(Math.abs(total - row.ramp))} ${total > row.ramp ? 'above' : 'below'} the even climb`}
    </div>
  )
}
