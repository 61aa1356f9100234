/** Weight, strands and needle for every exercise, with the reasons; overruled where the teacher says so. */
import { problemInWords } from '@lemmata/contract'
import { type AssignedThread, strandsInWords, wordForRole } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { findThreadKind, nameNeedle, nameThread, NEEDLE_FAMILIES } from '@lemmata/core/materials'
import { mendFor } from '@lemmata/core/mend'
import { MAIN_ROLE } from '@lemmata/core/notation'
import { type Exercise, type Material, type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { capitalised, counted, formatLength, formatThread } from '@lemmata/core/units'
import { Button, Select, Tag } from 'antd'
import { totalThread } from '@lemmata/core/plan'
import { readScreenScale } from '../drawing/screen-scale.ts'
import { useWorked } from '../compute/use-worked.ts'
import { ProblemLine } from '../sampler/ProblemLine.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { edit, useAppDispatch, useAppSelector } from '../store/index.ts'
import { exerciseSelected } from '../store/sampler.ts'

export function ThreadStage() {
  const sampler = useSampler()
  const { results } = useWorked()
  const order = teachingOrder(sampler)
  return (
    <div className="scroll">
      <h1>Thread</h1>
      <p className="quiet" style={{ marginTop: 2 }}>
        Chosen from each stitch’s own windows and the cloth. Overrule anything; what you overrule is marked and can be put back.
      </p>
      <div style={{ overflowX: 'auto' }}>
        <table className="plain">
          <thead>
            <tr>
              <th aria-label="Letter" />
              <th>Exercise</th>
              <th>Thread</th>
              <th>Strands</th>
              <th>Needle</th>
              <th>Line at 4×, thread used</th>
            </tr>
          </thead>
          <tbody>
            {order.map((exercise, index) => (
              <Rows key={exercise.id} sampler={sampler} exercise={exercise} letter={letterOf(index)} result={results.get(exercise.id) ?? null} />
            ))}
          </tbody>
        </table>
      </div>
      {sampler.exercises.length === 0 && <p className="quiet">No exercise yet. Choose a stitch first.</p>}
      <Totals />
    </div>
  )
}

interface RowsProps {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly letter: string
  readonly result: Result<WorkedExercise> | null
}

/** An exercise, with a row for each of its threads. */
function Rows({ sampler, exercise, letter, result }: RowsProps) {
  const dispatch = useAppDispatch()
  const selected = useAppSelector((state) => state.sampler.selected) === exercise.id
  const done = result?.ok ? result.value : null
  // What cannot be worked still has its thread to choose.
  const threads: readonly (AssignedThread | null)[] = done?.assigned.threads ?? [null]
  const select = (): void => void (!selected && dispatch(exerciseSelected(exercise.id)))
  return threads.map((assigned, index) => (
    <tr key={assigned?.role ?? MAIN_ROLE} className={index === 0 ? 'first' : 'further'} aria-selected={selected} onFocusCapture={select}>
      {index === 0 && (
        <>
          <td rowSpan={threads.length} className="letter">
            {letter}
          </td>
          <td rowSpan={threads.length} style={{ width: 132 }}>
            <b>{exercise.name}</b>
            <div className="quiet">{done?.assigned.document.name}</div>
            {result && !result.ok && result.problems[0] && (
              <ProblemLine problem={result.problems[0]} mend={mendFor(result.problems[0], exercise, null, sampler)} />
            )}
          </td>
        </>
      )}
      <ThreadCells sampler={sampler} exercise={exercise} done={done} assigned={assigned} first={index === 0} />
    </tr>
  ))
}

interface CellsProps extends Omit<RowsProps, 'letter' | 'result'> {
  readonly done: WorkedExercise | null
  readonly assigned: AssignedThread | null
  readonly first: boolean
}

function ThreadCells({ sampler, exercise, done, assigned, first }: CellsProps) {
  const role = assigned?.role ?? MAIN_ROLE
  const own = exercise.materials?.[role] ?? {}
  const set = (material: Material): void => edit({ kind: 'assign', id: exercise.id, role, set: material })
  const chooseAgain = (field: keyof Material): void => edit({ kind: 'assign', id: exercise.id, role, set: {}, clear: [field] })
  const several = (done?.assigned.threads.length ?? 1) > 1
  const of = several ? `${wordOf(role, done)} of ${exercise.name}` : exercise.name
  const best = assigned?.needles[0]?.needle
  const cautions = done?.problems.filter((one) => one.code.startsWith('assign.') && (one.path[0] === 'materials' ? one.path[1] === role : first)) ?? []
  return (
    <>
      <td style={{ width: 190 }}>
        {several && <div className="quiet">{capitalised(wordOf(role, done))}</div>}
        <Select
          aria-label={`Thread of ${of}`}
          style={{ width: '100%' }}
          value={own.thread ?? assigned?.thread.value.id ?? null}
          options={threadOptions(sampler)}
          onChange={(thread) => set({ thread })}
        />
        {assigned && <div className="quiet">Contrast with the cloth {assigned.contrast.toFixed(1)} to 1</div>}
        {own.thread !== undefined && role !== MAIN_ROLE && <Overruled what="the thread that would be chosen" onBack={() => chooseAgain('thread')} />}
        {assigned && done && isShaded(done, role) && (
          <Select<string[]>
            mode="multiple"
            aria-label={`Shades of ${of}, row by row`}
            placeholder="shades, row by row"
            style={{ width: '100%', marginTop: 4 }}
            value={[...(own.shades ?? [])]}
            options={threadOptions(sampler)}
            onChange={(shades) => (shades.length > 0 ? set({ shades }) : chooseAgain('shades'))}
          />
        )}
      </td>
      <td style={{ width: 214 }}>
        {assigned && (
          <>
            <span className="with-overruled">
              <Select
                aria-label={`Strands of ${of}`}
                value={assigned.strands.value}
                style={{ width: 68 }}
                options={Array.from({ length: assigned.kind.mostStrands }, (_, index) => ({ value: index + 1, label: String(index + 1) }))}
                onChange={(strands) => set({ strands })}
              />
              {own.strands !== undefined && own.strands !== assigned.advisedStrands.value && (
                <Overruled what={strandsInWords(assigned.advisedStrands.value)} onBack={() => chooseAgain('strands')} />
              )}
            </span>
            <span className="why">
              {assigned.strands.value === assigned.advisedStrands.value
                ? problemInWords(assigned.strands.reason, sampler.units)
                : `Recommended: ${uncapitalised(problemInWords(assigned.advisedStrands.reason, sampler.units))} Yours: ${uncapitalised(problemInWords(assigned.strands.reason, sampler.units))}`}
            </span>
          </>
        )}
      </td>
      <td style={{ width: 236 }}>
        {assigned && (
          <>
            <span className="with-overruled">
              <Select
                aria-label={`Needle of ${of}`}
                style={{ width: 160 }}
                labelRender={() => nameNeedle(assigned.needle.value)}
                value={`${assigned.needle.value.family.id} ${assigned.needle.value.size}`}
                options={NEEDLE_FAMILIES.map((family) => ({
                  label: family.also === '' ? family.name : `${family.name} (${family.also})`,
                  options: assigned.needles
                    .filter((fit) => fit.needle.family.id === family.id)
                    .sort((a, b) => a.needle.size - b.needle.size)
                    .map((fit) => ({ value: `${family.id} ${fit.needle.size}`, label: `${nameNeedle(fit.needle)}${VERDICT[fit.verdict]}` })),
                }))}
                onChange={(value) => {
                  const [kind = '', size = ''] = value.split(' ')
                  set({ needle: { kind, size: Number(size) } })
                }}
              />
              {own.needle && best && !(best.family.id === own.needle.kind && best.size === own.needle.size) && (
                <Overruled what={nameNeedle(best)} onBack={() => chooseAgain('needle')} />
              )}
            </span>
            <span className="why">{problemInWords(assigned.needle.reason, sampler.units)}</span>
            {cautions.map((one) => (
              <ProblemLine key={one.code + one.path.join()} problem={one} mend={mendFor(one, exercise, done, sampler)} />
            ))}
          </>
        )}
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>{done && assigned && <Used done={done} assigned={assigned} />}</td>
    </>
  )
}

function wordOf(role: string, done: WorkedExercise | null): string {
  return wordForRole(role, done?.assigned.threads.map((one) => one.role) ?? [])
}

function uncapitalised(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1)
}

function threadOptions(sampler: Sampler): { value: string; label: string }[] {
  return sampler.threads.map((thread) => {
    const kind = findThreadKind(thread.kind, thread.weight)
    return { value: thread.id, label: `${thread.colour.name}, ${kind ? nameThread(kind).toLowerCase() : thread.kind}` }
  })
}

/** Worked in rows that may each have a shade of their own. */
function isShaded({ pieces }: WorkedExercise, role: string): boolean {
  return pieces.some((piece) => piece.worked.segments.some((segment) => segment.thread === role && segment.row !== null))
}

/** What this thread looks like and uses, colour by colour. */
function Used({ done, assigned }: { done: WorkedExercise; assigned: AssignedThread }) {
  // Where several threads make the line, each is shown as wide as it lies itself.
  const { flatWidthMm, lineWidthMm } = assigned.bundle
  const width = done.pieces[0].guide.kind === 'shape' ? flatWidthMm : done.assigned.threads.length > 1 ? lineWidthMm : done.widthMm
  return done.threads
    .filter((one) => one.role === assigned.role)
    .map((one) => (
      <div key={`${one.thread.id} ${one.strands.value}`}>
        <WidthSample hex={one.thread.colour.hex} widthMm={width} />
        <br />
        {formatThread(one.use.total)}
        <div className="quiet">{counted(one.use.needlefuls, 'needleful')}</div>
      </div>
    ))
}

const VERDICT = { best: ' \u2013 best', good: ' \u2013 good', 'with-care': ' \u2013 with care', no: ' \u2013 no' } as const

function Overruled({ what, onBack }: { what: string; onBack: () => void }) {
  return (
    <span style={{ display: 'inline-flex', alignItems: 'center' }}>
      <Tag color="gold" style={{ marginInlineEnd: 0, color: '#6b4a06' }}>
        overruled
      </Tag>
      <Button type="link" size="small" onClick={onBack} title={`Back to ${what}`}>
        Put back
      </Button>
    </span>
  )
}

/** The line as wide as it reads, at four times its size, on the cloth's own colour. */
function WidthSample({ hex, widthMm }: { hex: string; widthMm: number }) {
  const { cloth, units } = useSampler()
  // Four times its size on this screen, as it was matched on the Cloth stage.
  const px = readScreenScale() * 4
  const said = formatLength(widthMm, units, units === 'mm' ? 2 : 3)
  return (
    <svg width="56" height="46" role="img" aria-label={`${said} wide`}>
      <rect width="56" height="32" rx="3" fill={cloth.colour.hex} />
      <line x1="4" x2="52" y1="16" y2="16" stroke={hex} strokeWidth={Math.min(28, widthMm * px)} />
      <text x="28" y="44" textAnchor="middle" fontSize="11" fill="#5E4634">
        {said}
      </text>
    </svg>
  )
}

/** Thread by colour, for one learner. */
function Totals() {
  const { done } = useWorked()
  const totals = totalThread(done)
  if (totals.length === 0) return null
  return (
    <section className="panel" style={{ marginTop: 18, maxWidth: 760 }}>
      <h2>For one learner</h2>
      <p className="why" style={{ marginTop: 0 }}>
        Needlefuls at their full cut length; practice and unpicking not counted.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>Thread</th>
            <th>Needlefuls</th>
            <th>Single strand</th>
            <th>Of a put-up</th>
          </tr>
        </thead>
        <tbody>
          {totals.map((one) => (
            <tr key={one.thread.id}>
              <td>
                <span
                  aria-hidden="true"
                  style={{ display: 'inline-block', width: 26, height: 8, background: one.thread.colour.hex, borderRadius: 4, marginRight: 8 }}
                />
                {one.thread.colour.name}, {nameThread(one.kind).toLowerCase()}
              </td>
              <td>{one.needlefuls}</td>
              <td>{formatThread(one.singleMm)}</td>
              <td>
                {(one.putUps * 100).toFixed(0)} % of a {one.kind.putUp.word}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
