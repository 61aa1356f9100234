/** In place of a thread: everything that could be, from the stores or of all kinds, what comes nearest first, with what is less good. */
import { type AssignedThread, type ChoiceCosts, rankChoices, type RankedChoice, widthIn } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { neighboursOf } from '@lemmata/core/extent'
import { choiceOfNeedle, isCounted, kindKey, measuredNeedle, nameNeedle, nameThread, THREAD_KINDS, type ThreadOfKind } from '@lemmata/core/materials'
import type { Exercise, Operation, Sampler, SamplerThread } from '@lemmata/core/sampler'
import { type Stores, storedThreads } from '@lemmata/core/stores'
import { formatLength, formatThread } from '@lemmata/core/units'
import { cutText } from '@lemmata/contract'
import { App, Button, Modal, Segmented } from 'antd'
import { useMemo, useState } from 'react'
import { LengthField } from '../sampler/fields.tsx'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { useStores } from '../stores/use-stores.ts'
import { Spool } from './fields.tsx'
import { SERVES } from './serves.ts'
import { threadInColour } from './thread-in-colour.ts'

interface Props {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly done: WorkedExercise
  /** All of the sampler, as it is worked: what it is seen beside. */
  readonly all: readonly WorkedExercise[]
  readonly assigned: AssignedThread
  readonly onClose: () => void
}

const ALL_KINDS: readonly ThreadOfKind[] = THREAD_KINDS.map(({ id, weight }) => ({ kind: id, ...(weight === null ? {} : { weight }) }))
const SHOWN = 14
export function EqualThreadsDialog({ sampler, exercise, done, all, assigned, onClose }: Props) {
  const { open } = useStores()
  const stores = open?.document ?? null
  const hasThread = (stores?.threads.length ?? 0) > 0
  const [from, setFrom] = useState<'stores' | 'all'>('stores')
  const { message } = App.useApp()
  const [widthMm, setWidth] = useState<number | null>(null)
  const mine = from === 'stores' && hasThread && stores !== null ? stores : null
  const ranked = useMemo(() => {
    const needles = mine?.needles.flatMap((one) => (one.left > 0 ? (measuredNeedle(one.kind, one.size, one.shaftMm) ?? []) : [])) ?? []
    const ranked = rankChoices({
      ...{ exercise, assigned: done.assigned, role: assigned.role, level: sampler.brief.level },
      counted: isCounted(sampler.cloth.kind),
      neighbours: neighboursOf(sampler, all, done),
      threads: mine ? kindsOf(mine) : ALL_KINDS,
      ...(needles.length > 0 ? { needles } : {}),
      ...(widthMm === null ? {} : { widthMm }),
    })
    return bestNeedles(ranked)
  }, [mine, exercise, done, all, assigned, sampler, widthMm])
  const { units } = sampler
  const now = widthIn(done.assigned, assigned.role, assigned.bundle)
  const take = (choice: RankedChoice): void => {
    edit(taking(sampler, exercise, assigned, choice))
    onClose()
  }
  const note = ({ kind, strands, needle }: RankedChoice): void => {
    const instead = `${nameThread(assigned.kind).toLowerCase()} in ${assigned.strands.value}`
    const setting = `${nameThread(kind).toLowerCase()} in ${strands}, ${nameNeedle(needle).toLowerCase()}, in place of ${instead}`
    const trial = { id: newId('t'), on: new Date().toISOString().slice(0, 10), setting: cutText(setting, 120), result: '', verdict: 'change' as const }
    edit({ kind: 'change-exercise', id: exercise.id, set: { trials: [...(exercise.trials ?? []), trial] } })
    message.success('Noted in the trial log, under Notes of its card. Work it and write there how it came out.')
  }
  return (
    <Modal
      open
      title={`In place of ${assigned.thread.value.colour.name.toLowerCase()}, ${nameThread(assigned.kind).toLowerCase()}`}
      width={860}
      footer={null}
      onCancel={onClose}
    >
      <div className="equal-threads-head">
        <Segmented
          aria-label="Chosen from"
          value={mine ? 'stores' : 'all'}
          onChange={setFrom}
          options={[
            { value: 'stores', label: 'What I have', disabled: !hasThread },
            { value: 'all', label: 'All kinds' },
          ]}
        />
        <LengthField label="As wide as" valueMm={widthMm ?? now} unit={units} min={0.05} max={20} onChange={setWidth} />
      </div>
      {!hasThread && stores && <p className="why">Nothing is in your stores yet: all kinds are weighed, as they usually are.</p>}
      {ranked.length === 0 ? (
        <p>No needle that you have takes any thread that you have here. Look under All kinds.</p>
      ) : (
        <table className="kit-table">
          <thead>
            <tr>
              <th>Thread</th>
              <th className="kit-number">Strands</th>
              <th>Needle</th>
              <th className="kit-number">Lies wide</th>
              <th>Less good</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {ranked.slice(0, SHOWN).map((choice) => {
              const name = nameThread(choice.kind)
              return (
                <tr key={`${name} ${choice.strands}`}>
                  <td>
                    {name}
                    {mine && <InThisColour stores={mine} choice={choice} colour={assigned.thread.value.colour} />}
                  </td>
                  <td className="kit-number">{choice.strands}</td>
                  <td>
                    {nameNeedle(choice.needle)}
                    <span className="quiet">, {SERVES[choice.verdict]}</span>
                  </td>
                  <td className="kit-number">{formatLength(choice.widthMm, units, units === 'mm' ? 2 : 3)}</td>
                  <td>{lessGood(choice, widthMm ?? now) || <span className="quiet">nothing</span>}</td>
                  <td>
                    <Button size="small" aria-label={`Take ${name} in ${choice.strands}`} onClick={() => take(choice)}>
                      Take it
                    </Button>{' '}
                    <Button size="small" type="text" aria-label={`Note ${name} in ${choice.strands} as a trial`} onClick={() => note(choice)}>
                      Note a trial
                    </Button>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
      <p className="why">
        Weighed are the width, the length of the stitch, how the stitch is worked in it and on this cloth, its twist and fibre, how it looks beside its
        neighbours, and the needle. Work a trial piece before a class depends on it: widths are known to 10 to 15 %.
      </p>
    </Modal>
  )
}

/** Kinds of which there is any, once each. */
function kindsOf({ threads }: Stores): readonly ThreadOfKind[] {
  const seen = new Map<string, ThreadOfKind>()
  for (const { kind, weight, figures, left } of threads)
    if (left > 0)
      seen.set(kindKey({ kind, ...(weight === undefined ? {} : { weight }), ...(figures === undefined ? {} : { figures }) }), {
        kind,
        ...(weight === undefined ? {} : { weight }),
        ...(figures === undefined ? {} : { figures }),
      })
  return [...seen.values()]
}

/** Of each thread in so many strands the first: its best needle. */
function bestNeedles(ranked: readonly RankedChoice[]): readonly RankedChoice[] {
  const seen = new Set<string>()
  return ranked.filter(({ kind, strands }) => {
    const key = `${kind.id} ${kind.weight ?? ''} ${kind.name} ${strands}`
    const isNew = !seen.has(key)
    seen.add(key)
    return isNew
  })
}

function InThisColour({ stores, choice, colour }: { readonly stores: Stores; readonly choice: RankedChoice; readonly colour: SamplerThread['colour'] }) {
  const left = storedThreads(stores, { ...choice.from, colour }).reduce((sum, one) => sum + one.left, 0)
  if (left > 0)
    return (
      <span className="quiet in-colours">
        {formatThread(left)} in {colour.name.toLowerCase()}
      </span>
    )
  const others = stores.threads.filter((one) => one.kind === choice.from.kind && (one.weight ?? '') === (choice.from.weight ?? '') && one.left > 0)
  return (
    <span className="quiet in-colours">
      in other colours{' '}
      {others.slice(0, 5).map((one) => (
        <Spool key={one.id} hex={one.colour.hex} />
      ))}
    </span>
  )
}

/** What of it costs anything worth saying, the most first. */
function lessGood({ costs, widthMm, needle, verdict }: RankedChoice, wanted: number): string {
  const off = Math.round((widthMm / wanted - 1) * 100)
  const words: Readonly<Record<keyof ChoiceCosts, string>> = {
    width: `${Math.abs(off)} % ${off < 0 ? 'narrower' : 'broader'}`,
    length: 'its length suits this stitch less',
    worked: 'it is not worked well in this stitch or cloth',
    feel: 'another twist or fibre',
    look: 'it reads as one with the row beside it, or breaks the run from fine to bold',
    needle: verdict === 'with-care' ? `${nameNeedle(needle)} with care` : `${nameNeedle(needle)} is a little off`,
  }
  return (Object.entries(costs) as [keyof ChoiceCosts, number][])
    .filter(([, cost]) => cost >= 0.03)
    .sort(([, a], [, b]) => b - a)
    .map(([part]) => words[part])
    .join('; ')
}

/** In one step: the thread in this colour is added where the sampler has none of it. */
function taking(sampler: Sampler, exercise: Exercise, assigned: AssignedThread, { from, strands, needle }: RankedChoice): Operation {
  const { thread, isNew } = threadInColour(sampler.threads, from, assigned.thread.value.colour)
  return {
    kind: 'batch',
    operations: [
      ...(isNew ? [{ kind: 'add-thread' as const, thread, at: sampler.threads.length }] : []),
      { kind: 'assign', id: exercise.id, role: assigned.role, set: { thread: thread.id, strands, needle: choiceOfNeedle(needle) } },
    ],
  }
}
