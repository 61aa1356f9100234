/** A stitch tried on a guide: its lengths as sliders, the thread changing with them. */
import { problemInWords } from '@lemmata/contract'
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { type WorkedExercise, workExercise } from '@lemmata/core/exercise'
import { applyVariant, type ParameterValue, type StitchDocument } from '@lemmata/core/notation'
import { layAlone } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { type RowOfRows, rowValues } from '@lemmata/core/layout'
import { Button, Segmented, Select, Slider } from 'antd'
import { useDeferredValue, useMemo, useState } from 'react'
import { ThreadCanvas } from '../drawing/ThreadCanvas.tsx'
import { tryGuides } from './swatch.ts'
import { asTried, FIRST_TRIAL, type Trial } from './trial.ts'

interface Props {
  readonly document: StitchDocument
  readonly worked: Result<WorkedExercise> | null
  readonly trial: Trial
  readonly onChange: (trial: Trial) => void
  readonly clothHex: string
  readonly units: 'mm' | 'in'
  /** One stitch as rows that differ in this setting. */
  readonly onRows: (rows: RowOfRows) => void
}

/** The stitch with these settings on the chosen guide. */
export function useTrial(document: StitchDocument, around: Surroundings, given: Trial) {
  const trial = useDeferredValue(given)
  return useMemo(() => {
    const guides = tryGuides(applyVariant(document, trial.variant))
    const guide = (guides[trial.guide] ?? guides[0])?.guide
    if (!guide) return null
    return workExercise(layAlone({ id: `trial-${document.id}`, name: document.name, stitch: document.id, ...asTried(trial) }, guide), around)
  }, [document, around, trial])
}

export function TryIt({ document, worked, trial, onChange, clothHex, units, onRows }: Props) {
  const guides = tryGuides(applyVariant(document, trial.variant))
  const done = worked?.ok ? worked.value : null
  return (
    <div className="panel" style={{ display: 'grid', gap: 10 }} data-testid="try-it">
      <div style={{ display: 'flex', gap: 10, alignItems: 'center', flexWrap: 'wrap' }}>
        <h3 style={{ flex: 1, margin: 0 }}>Try it</h3>
        {guides.length > 1 && (
          <Segmented
            aria-label="Guide to try it on"
            value={trial.guide}
            onChange={(guide) => onChange({ ...trial, guide })}
            options={guides.map((one, index) => ({ value: index, label: one.name }))}
          />
        )}
      </div>
      {done ? (
        <>
          <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8 }}>
            <ThreadCanvas done={done} heightPx={190} pxPerMm={4.4} clothHex={clothHex} label={`${document.name} on this guide, front`} />
            <ThreadCanvas done={done} heightPx={190} pxPerMm={4.4} side="back" clothHex={clothHex} label={`${document.name} on this guide, back`} />
          </div>
          <Measures done={done} units={units} />
        </>
      ) : (
        <p className="wrong">{worked && !worked.ok && worked.problems[0] ? problemInWords(worked.problems[0], units) : ''}</p>
      )}
      {done?.problems.map((problem) => (
        <p key={problem.code + problem.path.join()} className="caution" style={{ margin: 0 }}>
          {problemInWords(problem, units)}
        </p>
      ))}
      <Settings done={done} trial={trial} onChange={onChange} units={units} />
      {done && <Rows done={done} onRows={onRows} />}
    </div>
  )
}

function Measures({ done, units }: { done: WorkedExercise; units: 'mm' | 'in' }) {
  const { fitted } = done.pieces[0].worked
  return (
    <p className="quiet" style={{ margin: 0 }} data-testid="trial-measures">
      {counted(done.stitches, 'stitch', 'stitches')}, {formatLength(fitted.pitchMm, units, 2)} apart; {formatLength(done.thread.total, units, 0)} of thread,{' '}
      {Math.max(1, Math.round(done.minutes.total))} min, difficulty {Math.round(done.difficulty.score)}.
    </p>
  )
}

function Settings({ done, trial, onChange, units }: { done: WorkedExercise | null; trial: Trial; onChange: (trial: Trial) => void; units: 'mm' | 'in' }) {
  if (!done) return null
  const { parameters, main } = done.assigned
  const { bundle } = main
  const set = (id: string, value: number): void => onChange({ ...trial, parameters: { ...trial.parameters, [id]: value } })
  return (
    <div className="settings">
      {[...parameters.values()].map((parameter) => (
        <label key={parameter.id}>
          <span>
            {parameter.name} <b>{shown(parameter, units)}</b>
          </span>
          <Slider
            {...windowOf(parameter)}
            value={trial.parameters[parameter.id] ?? parameter.value}
            onChange={(value: number) => set(parameter.id, value)}
            tooltip={{ formatter: null }}
            ariaLabelForHandle={parameter.name}
          />
        </label>
      ))}
      <label>
        <span>
          Strands <b>{bundle.strands}</b>
        </span>
        <Slider
          min={1}
          max={6}
          step={1}
          value={trial.strands ?? bundle.strands}
          onChange={(strands: number) => onChange({ ...trial, strands })}
          tooltip={{ formatter: null }}
          ariaLabelForHandle="Strands"
        />
      </label>
      <Button
        size="small"
        onClick={() => onChange({ ...FIRST_TRIAL, guide: trial.guide, variant: trial.variant })}
        disabled={Object.keys(trial.parameters).length === 0 && trial.strands === null}
      >
        As usual
      </Button>
    </div>
  )
}

/** Four rows from the least good value to the most: the stitch explored before another is added. */
const ROWS = 4

function Rows({ done, onRows }: { done: WorkedExercise; onRows: (rows: RowOfRows) => void }) {
  const settings = [...done.assigned.parameters.values()]
  const [chosen, setChosen] = useState<string | null>(null)
  const parameter = settings.find((one) => one.id === chosen) ?? settings[0]
  if (!parameter) return null
  const { min, max } = windowOf(parameter)
  const values = rowValues(min, max, ROWS, parameter.kind === 'count')
  return (
    <div style={{ display: 'flex', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}>
      <span>As rows that vary</span>
      <Select
        size="small"
        aria-label="Setting that the rows vary"
        value={parameter.id}
        onChange={setChosen}
        options={settings.map((one) => ({ value: one.id, label: one.name }))}
        style={{ minWidth: 130 }}
      />
      <Button size="small" onClick={() => onRows({ parameter: parameter.id, name: parameter.name, values })}>
        Teach {values.length} rows
      </Button>
    </div>
  )
}

function shown({ kind, value }: ParameterValue, units: 'mm' | 'in'): string {
  return kind === 'length' ? formatLength(value, units, 2) : String(Number(value.toFixed(2)))
}

/** From its least good value to its most; where the notation gives none, half to twice the usual. */
function windowOf({ kind, usual, min, max }: ParameterValue): { min: number; max: number; step: number } {
  const low = min ?? usual / 2
  const high = Math.max(max ?? usual * 2, low + 0.01)
  return { min: low, max: high, step: kind === 'count' ? 1 : (high - low) / 60 }
}
