/** Weight, strands and needle for every exercise, with the reasons; overruled where the teacher says so. */
import { strandsInWords } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { findThreadKind, nameNeedle, nameThread, NEEDLE_FAMILIES } from '@lemmata/core/materials'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { formatLength, formatThread } from '@lemmata/core/units'
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
            {sampler.exercises.map((exercise, index) => {
              const result = results.get(exercise.id)
              return (
                <Row
                  key={exercise.id}
                  sampler={sampler}
                  exercise={exercise}
                  letter={letterOf(index)}
                  done={result?.ok ? result.value : null}
                  problem={result && !result.ok ? (result.problems[0]?.message ?? null) : null}
                />
              )
            })}
          </tbody>
        </table>
      </div>
      {sampler.exercises.length === 0 && <p className="quiet">No exercise yet. Choose a stitch first.</p>}
      <Totals />
    </div>
  )
}

function Row({
  sampler,
  exercise,
  letter,
  done,
  problem,
}: {
  sampler: Sampler
  exercise: Exercise
  letter: string
  done: WorkedExercise | null
  problem: string | null
}) {
  const dispatch = useAppDispatch()
  const selected = useAppSelector((state) => state.sampler.selected) === exercise.id
  const set = (change: Partial<Pick<Exercise, 'thread' | 'strands' | 'needle'>>): void => edit({ kind: 'change-exercise', id: exercise.id, set: change })
  const threads = sampler.threads.map((thread) => {
    const kind = findThreadKind(thread.kind, thread.weight)
    return { value: thread.id, label: `${thread.colour.name}, ${kind ? nameThread(kind).toLowerCase() : thread.kind}` }
  })
  const assigned = done?.assigned ?? null
  const cautions = done?.problems.filter((one) => one.code.startsWith('assign.')) ?? []
  return (
    <tr style={selected ? { background: '#f7f0e2' } : undefined} onFocusCapture={() => !selected && dispatch(exerciseSelected(exercise.id))}>
      <td style={{ font: '700 18px Alegreya, serif', color: 'var(--indigo)' }}>{letter}</td>
      <td style={{ width: 132 }}>
        <b>{exercise.name}</b>
        <div className="quiet">{assigned?.document.name}</div>
      </td>
      <td style={{ width: 190 }}>
        <Select
          aria-label={`Thread of ${exercise.name}`}
          style={{ width: '100%' }}
          value={exercise.thread ?? assigned?.thread.value.id ?? null}
          options={threads}
          onChange={(thread) => set({ thread })}
        />
        {problem && <ProblemLine problem={{ severity: 'error', message: problem }} />}
      </td>
      <td style={{ width: 214 }}>
        {assigned && (
          <>
            <span style={{ display: 'flex', gap: 6, alignItems: 'center' }}>
              <Select
                aria-label={`Strands of ${exercise.name}`}
                value={assigned.strands.value}
                style={{ width: 68 }}
                options={Array.from({ length: assigned.kind.mostStrands }, (_, index) => ({ value: index + 1, label: String(index + 1) }))}
                onChange={(strands) => set({ strands })}
              />
              {exercise.strands !== undefined && exercise.strands !== assigned.advisedStrands.value && (
                <Overruled
                  what={strandsInWords(assigned.advisedStrands.value)}
                  onBack={() => edit({ kind: 'change-exercise', id: exercise.id, set: {}, clear: ['strands'] })}
                />
              )}
            </span>
            <span className="why">{assigned.advisedStrands.reason}</span>
          </>
        )}
      </td>
      <td style={{ width: 236 }}>
        {assigned && (
          <>
            <span style={{ display: 'flex', gap: 6, alignItems: 'center' }}>
              <Select
                aria-label={`Needle of ${exercise.name}`}
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
              {exercise.needle &&
                assigned.needles[0] &&
                assigned.needles[0].needle !== assigned.needle.value &&
                !(assigned.needles[0].needle.family.id === exercise.needle.kind && assigned.needles[0].needle.size === exercise.needle.size) && (
                  <Overruled
                    what={nameNeedle(assigned.needles[0].needle)}
                    onBack={() => edit({ kind: 'change-exercise', id: exercise.id, set: {}, clear: ['needle'] })}
                  />
                )}
            </span>
            <span className="why">{assigned.needle.reason}</span>
            {cautions.map((one) => (
              <ProblemLine key={one.code} problem={one} />
            ))}
          </>
        )}
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {done && (
          <>
            <WidthSample done={done} />
            <br />
            {formatThread(done.thread.total)}
            <div className="quiet">
              {done.thread.needlefuls} {done.thread.needlefuls === 1 ? 'needleful' : 'needlefuls'}
            </div>
          </>
        )}
      </td>
    </tr>
  )
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

/** The line as wide as it reads, at four times its size. */
function WidthSample({ done }: { done: WorkedExercise }) {
  // Four times its size on this screen, as it was matched on the Cloth stage.
  const px = readScreenScale() * 4
  const width = done.guide.kind === 'shape' ? done.assigned.bundle.flatWidthMm : done.widthMm
  return (
    <svg width="56" height="42" role="img" aria-label={`${width.toFixed(2)} mm wide`}>
      <line x1="2" x2="54" y1="16" y2="16" stroke={done.assigned.thread.value.colour.hex} strokeWidth={Math.min(30, width * px)} />
      <text x="28" y="40" textAnchor="middle" fontSize="11" fill="#5E4634">
        {formatLength(width, 'mm', 2)}
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
