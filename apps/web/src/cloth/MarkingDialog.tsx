/** With what the cloth is marked: what may be done with it, the ways that suit and why, what thread will not cover, what was tried. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { adviseMarking, type BareMarks, bareShareOf, findMarkMethod, type MarkAdvice, marksUnder, seenMarks } from '@lemmata/core/marking'
import type { Marking, MarkTest, Sampler } from '@lemmata/core/sampler'
import { formatLength } from '@lemmata/core/units'
import { toldInWords } from '@lemmata/core/words'
import { Button, Input, Modal, Select, Switch } from 'antd'
import { type KeyboardEvent, useEffect, useMemo, useState } from 'react'
import { dayInWords } from '../look/dates.ts'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'

interface Props {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
  readonly onClose: () => void
}

const VERDICTS = { suits: 'suits', 'with-care': 'with care', no: 'not here' } as const
const RESULTS: Readonly<Record<MarkTest['result'], string>> = { gone: 'gone', faint: 'faintly seen', stays: 'stays', 'came-back': 'came back' }
/** Widths at which is looked; a method takes the nearest. */
const WIDTHS_MM = [0.4, 0.6, 0.9]

export function MarkingDialog({ sampler, done, onClose }: Props) {
  const marking = useMemo<Marking>(() => sampler.brief.marking ?? {}, [sampler.brief.marking])
  const bare = useBareMarks(done)
  const advice = useMemo(
    () => adviseMarking(sampler, ({ lineMm }) => (lineMm === 0 || !bare ? null : bareShareOf(bare.get(nearestWidth(lineMm)) ?? []))),
    [sampler, bare],
  )
  const change = (next: Marking): void => edit({ kind: 'change-brief', set: { marking: { ...marking, ...next } } })
  const chosen = findMarkMethod(marking.method ?? '')
  // One Tab stop; arrows go from one to the next and choose it.
  const stop = chosen?.id ?? advice[0]?.method.id
  const width = nearestWidth(chosen?.lineMm ?? advice[0]?.method.lineMm ?? 0.9)
  return (
    <Modal open title="Marking the cloth" footer={null} onCancel={onClose} width={760} className="marking">
      <p className="marking-caution">
        Try every mark on a scrap of the same cloth, washed and ironed as the piece will be, and wait a day. Follow what its maker says of it.
      </p>
      <div className="marking-switches">
        <Condition label="It may be wetted" on={marking.washable ?? true} onChange={(washable) => change({ washable })} />
        <Condition label="It may be ironed" on={marking.ironed ?? true} onChange={(ironed) => change({ ironed })} />
        <Condition label="It may get very cold" on={marking.cold ?? false} onChange={(cold) => change({ cold })} />
      </div>
      <div className="marking-columns">
        <div className="marking-ways" role="radiogroup" aria-label="With what" onKeyDown={onRadioKey}>
          {advice.map((one) => (
            <Way
              key={one.method.id}
              advice={one}
              sampler={sampler}
              isChosen={marking.method === one.method.id}
              isStop={one.method.id === stop}
              onChoose={() => change({ method: one.method.id })}
            />
          ))}
        </div>
        <div className="marking-side">
          <h3>What thread will not cover</h3>
          <Uncovered bare={bare?.get(width) ?? null} widthMm={width} sampler={sampler} />
          <h3>Tried on a scrap</h3>
          <Tests marking={marking} method={chosen?.id ?? advice[0]?.method.id ?? 'water-pen'} onChange={(tests) => change({ tests })} />
        </div>
      </div>
    </Modal>
  )
}

function nearestWidth(lineMm: number): number {
  return WIDTHS_MM.reduce((best, one) => (Math.abs(one - lineMm) < Math.abs(best - lineMm) ? one : best))
}

/** Looked at when the dialog is there: it takes half a second of a large sampler. */
function useBareMarks(done: readonly WorkedExercise[]): ReadonlyMap<number, readonly BareMarks[]> | null {
  const [bare, setBare] = useState<ReadonlyMap<number, readonly BareMarks[]> | null>(null)
  useEffect(() => {
    const timer = setTimeout(() => {
      const under = marksUnder(done)
      setBare(new Map(WIDTHS_MM.map((width) => [width, under(width)])))
    }, 50)
    return () => clearTimeout(timer)
  }, [done])
  return bare
}

function Condition({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label>
      <Switch size="small" checked={on} onChange={onChange} aria-label={label} /> {label}
    </label>
  )
}

function onRadioKey(event: KeyboardEvent<HTMLElement>): void {
  const by = event.key === 'ArrowDown' || event.key === 'ArrowRight' ? 1 : event.key === 'ArrowUp' || event.key === 'ArrowLeft' ? -1 : 0
  if (by === 0) return
  event.preventDefault()
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="radio"]')]
  const next = all[(all.indexOf(event.target as HTMLElement) + by + all.length) % all.length]
  next?.focus()
  next?.click()
}

interface WayProps {
  readonly advice: MarkAdvice
  readonly sampler: Sampler
  readonly isChosen: boolean
  readonly isStop: boolean
  readonly onChoose: () => void
}

function Way({ advice, sampler, isChosen, isStop, onChoose }: WayProps) {
  const { method, verdict, reasons } = advice
  return (
    <button type="button" role="radio" tabIndex={isStop ? 0 : -1} aria-checked={isChosen} className={`marking-way ${verdict}`} onClick={onChoose}>
      <span className="marking-name">
        {method.name}
        <span className="marking-verdict">{VERDICTS[verdict]}</span>
      </span>
      <span className="why">
        {method.lineMm > 0 ? `A line ${formatLength(method.lineMm, sampler.units, sampler.units === 'mm' ? 1 : 3)} wide. ` : ''}
        {reasons.map((reason) => toldInWords(reason, { unit: sampler.units })).join(' ')}
      </span>
    </button>
  )
}

const MOST_SHOWN = 8

function Uncovered({ bare, widthMm, sampler }: { bare: readonly BareMarks[] | null; widthMm: number; sampler: Sampler }) {
  if (!bare) return <p className="quiet">Looking …</p>
  const seen = seenMarks(bare)
  const unmarked = bare.filter((one) => one.markedMm2 === 0)
  return (
    <>
      {seen.length === 0 ? (
        <p>Thread covers all that is marked, with a line {formatLength(widthMm, sampler.units)} wide.</p>
      ) : (
        <ul className="marking-bare">
          {seen.slice(0, MOST_SHOWN).map((one) => (
            <li key={one.exercise.id}>
              <span>{one.exercise.name}</span> <span>{Math.round((100 * one.bareMm2) / one.markedMm2)} % of its marks</span>
            </li>
          ))}
          {seen.length > MOST_SHOWN && <li className="quiet">and {seen.length - MOST_SHOWN} more</li>}
        </ul>
      )}
      {unmarked.length > 0 && <p className="quiet">Nothing to trace for {unmarked.map((one) => one.exercise.name).join(', ')}.</p>}
    </>
  )
}

function Tests({ marking, method, onChange }: { marking: Marking; method: string; onChange: (tests: readonly MarkTest[]) => void }) {
  const [result, setResult] = useState<MarkTest['result']>('gone')
  const [note, setNote] = useState('')
  const tests = marking.tests ?? []
  const add = (): void => {
    const on = new Date().toLocaleDateString('sv')
    onChange([...tests, { id: newId('m'), on, method, result, ...(note.trim() === '' ? {} : { note: note.trim() }) }])
    setNote('')
  }
  return (
    <>
      {tests.length > 0 && (
        <ul className="marking-tests">
          {tests.map((one) => (
            <li key={one.id}>
              <span>
                {dayInWords(one.on)}: {findMarkMethod(one.method)?.name ?? one.method}, {RESULTS[one.result]}
                {one.note ? `; ${one.note}` : ''}
              </span>
              <Button
                size="small"
                type="text"
                aria-label={`Take out the trial of ${dayInWords(one.on)}`}
                onClick={() => onChange(tests.filter((other) => other.id !== one.id))}
              >
                ×
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="marking-new">
        <span>{findMarkMethod(method)?.name}:</span>
        <Select<MarkTest['result']>
          aria-label="How it came off"
          value={result}
          onChange={setResult}
          popupMatchSelectWidth={false}
          options={Object.entries(RESULTS).map(([value, label]) => ({ value: value as MarkTest['result'], label }))}
        />
        <Input
          aria-label="What was done"
          placeholder="rinsed, ironed, a day later"
          value={note}
          maxLength={200}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button onClick={add}>Note it</Button>
      </div>
    </>
  )
}
