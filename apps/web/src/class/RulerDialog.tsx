/** Real rows photographed and laid along a ruler: until a dozen agree, what learners' phones measure is told as on trial. */
import type { RulerCheckKept } from '@lemmata/contract'
import {
  alongRuler,
  type AlongRuler,
  heldAgainstRuler,
  MEASURING,
  type PracticeRow,
  practiceRow,
  rowsAlike,
  ROW_WORDS,
  RULED_ENOUGH,
  rulerMean,
  standingOf,
} from '@lemmata/core/photo'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { findStitch } from '@lemmata/core/stitches'
import { formatLength, type LengthUnit } from '@lemmata/core/units'
import { Button, InputNumber, Modal, Select } from 'antd'
import dayjs from 'dayjs'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { api, sentenceOf } from '../api/client.ts'
import { usePhoto, WindowSeen } from '../photo/index.ts'
import { LengthField } from '../sampler/fields.tsx'
import { useAppDispatch } from '../store/index.ts'
import { noticed } from '../store/sampler.ts'

interface Props {
  readonly sampler: Sampler
  readonly onClose: () => void
}

const LAID: Readonly<Record<AlongRuler, string>> = {
  'first-hole-to-last': 'From the row\u2019s first hole to its last',
  'first-begins-to-last-begins': 'From where the first stitch begins to where the last begins',
  across: 'Across the row, from hole to hole',
}
const WINDOW_NAMES = { strip: 'The row, larger than the dialog: draw it along', window: 'The window of the card, laid flat, with each stitch marked' }

export function RulerDialog({ sampler, onClose }: Props) {
  const dispatch = useAppDispatch()
  const [checks, setChecks] = useState<readonly RulerCheckKept[] | null>(null)
  const [exercise, setExercise] = useState<string | null>(null)
  const read = useCallback(async (): Promise<void> => setChecks((await api.rulerChecks()).checks), [])
  const attempt = useCallback(
    (what: () => Promise<unknown>): Promise<void> => what().then(read, (thrown: unknown) => void dispatch(noticed(sentenceOf(thrown)))),
    [read, dispatch],
  )
  useEffect(() => void attempt(() => Promise.resolve()), [attempt])
  /** Photographs of rows that were kept: the same row twice says no more. */
  const [kept, setKept] = useState<readonly string[]>([])
  const own = sampler.exercises.find((one) => one.id === exercise)
  const row = useMemo(() => own && practiceRow(sampler, own), [own, sampler])
  const stitch = own && (findStitch(own.stitch, sampler.stitches)?.name ?? own.name)
  return (
    <Modal open title="Held against a ruler" footer={<Button onClick={onClose}>Done</Button>} onCancel={onClose} width={860}>
      <p>{standingInWords(checks ?? [])}</p>
      <p className="quiet">
        Take rows worked on cloth, by different hands and in different stitches. Photograph each with its card, lay a ruler along the whole row, and count its
        stitches: over a whole row half a millimetre on the ruler hardly matters.
      </p>
      <Select
        aria-label="Exercise of the row"
        placeholder="Which exercise is it a row of?"
        style={{ width: 320 }}
        value={exercise}
        onChange={setExercise}
        showSearch={{ optionFilterProp: 'label' }}
        options={sampler.exercises.map(({ id, name }) => ({ value: id, label: name }))}
      />
      {own && !row && <p>Rows of this stitch are not measured in a photograph.</p>}
      {row && stitch && (
        <OneRow
          key={exercise}
          {...{ row, exercise: own, stitch, sampler, kept }}
          onKeep={(photograph, measuredMm, rulerMm) => {
            setKept([...kept, photograph])
            return attempt(() => api.keepRulerCheck({ method: MEASURING, kind: row.plan.kind, stitch, measuredMm, rulerMm }))
          }}
        />
      )}
      {checks && checks.length > 0 && (
        <Kept
          checks={checks}
          units={sampler.units}
          onDrop={(id) => {
            // Whatever was kept by mistake can be kept anew.
            setKept([])
            void attempt(() => api.dropRulerCheck(id))
          }}
        />
      )}
    </Modal>
  )
}

function standingInWords(checks: readonly RulerCheckKept[]): string {
  const { state, rows, offBy, leansBy } = standingOf(checks)
  const off = `${(100 * offBy).toFixed(1)} %`
  const leans = Math.abs(leansBy) > offBy / 2 && offBy > 0.01 ? `, mostly too ${leansBy > 0 ? 'long' : 'short'}` : ''
  if (rows === 0)
    return `What learners\u2019 phones measure was checked on drawn pictures only, and is told as on trial until ${RULED_ENOUGH} real rows agree with a ruler.`
  if (state === 'trial') return `${rows} of ${RULED_ENOUGH} rows so far: off by ${off} on average${leans}. Until then it is told as on trial.`
  return state === 'agrees'
    ? `${rows} rows agree with the ruler: off by ${off} on average${leans}. Learners are told so.`
    : `${rows} rows do not agree well enough with the ruler: off by ${off} on average${leans}. It stays on trial.`
}

interface OneRowProps {
  readonly row: PracticeRow
  readonly exercise: Exercise
  readonly stitch: string
  readonly sampler: Sampler
  /** Names of photographs, as `nameOf` has them. */
  readonly kept: readonly string[]
  readonly onKeep: (photograph: string, measuredMm: number, rulerMm: number) => Promise<void>
}

const nameOf = ({ name, size, lastModified }: File): string => `${name} ${size} ${lastModified}`

function OneRow({ row: { plan }, exercise, sampler, kept, onKeep }: OneRowProps) {
  const photo = usePhoto(plan)
  const { state, measured } = photo
  const [laidMm, setLaidMm] = useState<number | null>(null)
  const [count, setCount] = useState<number | null>(null)
  const [photograph, setPhotograph] = useState('')
  const input = useRef<HTMLInputElement>(null)
  const length = (mm: number): string => compared(mm, sampler.units)
  const verdict = state.at === 'seen' ? state.looked.verdict : null
  const measuredMm = measured && heldAgainstRuler(measured.figures, plan.kind)
  const isAcross = alongRuler(plan.kind) === 'across'
  const rulerMm = laidMm === null ? null : rulerMean(plan.kind, laidMm, isAcross ? 1 : (count ?? 0))
  const look = (file: File | undefined): void => {
    if (!file) return
    setPhotograph(nameOf(file))
    setLaidMm(null)
    setCount(null)
    photo.look(false, (service) => service.look(file, plan, rowsAlike(sampler, exercise, plan)))
  }
  return (
    <>
      <p className="class-acts">
        <Button loading={state.at === 'looking'} onClick={() => input.current?.click()}>
          {state.at === 'seen' ? 'Another photograph' : 'Choose its photograph'}
        </Button>
        <input ref={input} type="file" accept="image/*" aria-label="Photograph of the row" hidden onChange={(event) => look(event.target.files?.[0])} />
        {state.at === 'looking' && <Button onClick={photo.stop}>Stop</Button>}
      </p>
      <div aria-live="polite">
        {state.at === 'unread' && <p className="caution">This is no picture that can be read here. JPEG and PNG can.</p>}
        {state.at === 'broken' && <p className="caution">What measures could not be started. Reload the page and try again.</p>}
        {verdict?.state === 'refused' && <p className="caution">{ROW_WORDS.en.refused[verdict.why]}</p>}
        {verdict?.state === 'touch' && <p className="caution">{ROW_WORDS.en.touch}</p>}
      </div>
      {state.at === 'seen' && state.looked.window && (
        <WindowSeen
          names={WINDOW_NAMES}
          window={state.looked.window}
          kind={plan.kind}
          stitches={measured?.stitches ?? []}
          chosen={null}
          asked={verdict?.state === 'touch' ? { label: 'Touch the thread', onTouch: photo.touch } : null}
        />
      )}
      {measured && measuredMm !== null && (
        <div className="ruler-row">
          <p>
            Photographed: <b>{length(measuredMm)}</b> {isAcross ? 'across' : `from one to the next, ${measured.figures.count} stitches`}
          </p>
          <LengthField label={LAID[alongRuler(plan.kind)]} valueMm={laidMm ?? 0} min={0} max={200} unit={sampler.units} onChange={setLaidMm} />
          {!isAcross && (
            <label>
              Stitches, counted
              <InputNumber aria-label="Stitches, counted" min={2} max={300} precision={0} value={count} onChange={setCount} />
            </label>
          )}
          {rulerMm !== null && (
            <p role="status">
              Your ruler: <b>{length(rulerMm)}</b>. The photograph is {offInWords(measuredMm / rulerMm - 1)}.
            </p>
          )}
          {kept.includes(photograph) && <p className="caution">The row of this photograph is kept already: photograph another row.</p>}
          <Button
            type="primary"
            disabled={rulerMm === null || kept.includes(photograph)}
            onClick={() => {
              if (rulerMm === null) return
              void onKeep(photograph, measuredMm, rulerMm)
              // Another row next: the same one twice says no more.
              photo.stop()
              setLaidMm(null)
              setCount(null)
            }}
          >
            Keep the difference
          </Button>
        </div>
      )}
    </>
  )
}

/** Finer than a ruler is read, as means of a whole row are. */
const compared = (mm: number, unit: LengthUnit): string => formatLength(mm, unit, unit === 'mm' ? 2 : 4)

const offInWords = (off: number): string => (Math.abs(off) < 0.0005 ? 'the same' : `${(100 * Math.abs(off)).toFixed(1)} % too ${off > 0 ? 'long' : 'short'}`)

function Kept({ checks, units, onDrop }: { readonly checks: readonly RulerCheckKept[]; readonly units: LengthUnit; readonly onDrop: (id: string) => void }) {
  return (
    <div className="take-over-scroll" tabIndex={0} role="region" aria-label="Rows held against a ruler">
      <table className="figures take-over-table">
        <thead>
          <tr>
            <th scope="col">Row</th>
            <th scope="col">On</th>
            <th scope="col">Photographed</th>
            <th scope="col">Ruler</th>
            <th scope="col">Photograph is</th>
            <th scope="col">
              <span className="visually-hidden">Delete</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {checks.map((one) => (
            <tr key={one.id}>
              <th scope="row">
                {one.stitch}
                {one.method !== MEASURING && <small className="quiet">, measured in an older way</small>}
              </th>
              <td>{dayjs(one.createdAt).format('D MMM YYYY')}</td>
              <td>{compared(one.measuredMm, units)}</td>
              <td>{compared(one.rulerMm, units)}</td>
              <td>{offInWords(one.measuredMm / one.rulerMm - 1)}</td>
              <td>
                <Button size="small" aria-label={`Delete the row of ${one.stitch}`} onClick={() => onDrop(one.id)}>
                  Delete
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
