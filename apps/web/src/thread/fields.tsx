/** The three choices of a thread's role: which thread, how many strands, which needle; what is the teacher's own is marked. */
import { strandsInWords, type AssignedThread, wordForRole } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { choiceOfNeedle, kindOf, nameNeedle, needleKey, nameThread, NEEDLE_FAMILIES } from '@lemmata/core/materials'
import { MAIN_ROLE } from '@lemmata/core/notation'
import type { Exercise, Material, Sampler } from '@lemmata/core/sampler'
import { Button, Select } from 'antd'
import { edit } from '../store/index.ts'

export interface RoleProps {
  readonly sampler: Sampler
  readonly exercise: Exercise
  readonly done: WorkedExercise | null
  readonly assigned: AssignedThread | null
}

/** How a field of a role is called: "laid thread of Rainbow", or the exercise's name where it has one thread. */
export function nameOfRole({ exercise, done, assigned }: Omit<RoleProps, 'sampler'>): string {
  const several = (done?.assigned.threads.length ?? 1) > 1
  return several ? `${roleInWords(assigned?.role ?? MAIN_ROLE, done)} of ${exercise.name}` : exercise.name
}

export function roleInWords(role: string, done: WorkedExercise | null): string {
  return wordForRole(role, done?.assigned.threads.map((one) => one.role) ?? [])
}

export function assignTo(exercise: Exercise, assigned: AssignedThread | null, set: Material): void {
  edit({ kind: 'assign', id: exercise.id, role: assigned?.role ?? MAIN_ROLE, set })
}

const ownOf = ({ exercise, assigned }: Pick<RoleProps, 'exercise' | 'assigned'>): Material => exercise.materials?.[assigned?.role ?? MAIN_ROLE] ?? {}

function chooseAgain(exercise: Exercise, assigned: AssignedThread | null, field: keyof Material): void {
  edit({ kind: 'assign', id: exercise.id, role: assigned?.role ?? MAIN_ROLE, set: {}, clear: [field] })
}

export function ThreadField(props: RoleProps) {
  const { sampler, exercise, assigned, done } = props
  const own = ownOf(props)
  const role = assigned?.role ?? MAIN_ROLE
  const of = nameOfRole(props)
  return (
    <>
      <Select
        aria-label={`Thread of ${of}`}
        style={{ width: '100%' }}
        value={own.thread ?? assigned?.thread.value.id ?? null}
        options={threadOptions(sampler)}
        optionRender={(option) => <ThreadWord sampler={sampler} id={String(option.value)} label={option.data.label} />}
        labelRender={({ value }) => (
          <ThreadWord sampler={sampler} id={String(value)} label={threadOptions(sampler).find((one) => one.value === value)?.label ?? ''} />
        )}
        onChange={(thread) => assignTo(exercise, assigned, { thread })}
      />
      {assigned && done && isShaded(done, role) && (
        <Select<string[]>
          mode="multiple"
          aria-label={`Shades of ${of}, row by row`}
          placeholder="shades, row by row"
          style={{ width: '100%' }}
          value={[...(own.shades ?? [])]}
          options={threadOptions(sampler)}
          onChange={(shades) => (shades.length > 0 ? assignTo(exercise, assigned, { shades }) : chooseAgain(exercise, assigned, 'shades'))}
        />
      )}
    </>
  )
}

export function StrandsField(props: RoleProps & { readonly assigned: AssignedThread }) {
  const { exercise, assigned } = props
  return (
    <Select
      aria-label={`Strands of ${nameOfRole(props)}`}
      value={assigned.strands.value}
      style={{ width: '100%' }}
      options={Array.from({ length: assigned.kind.mostStrands }, (_, index) => ({ value: index + 1, label: String(index + 1) }))}
      onChange={(strands) => assignTo(exercise, assigned, { strands })}
    />
  )
}

const VERDICTS = [
  { title: 'Fits', of: ['best', 'good'] },
  { title: 'Tight or loose: with care', of: ['with-care'] },
  { title: 'No', of: ['no'] },
] as const

export function NeedleField(props: RoleProps & { readonly assigned: AssignedThread }) {
  const { exercise, assigned } = props
  return (
    <Select
      aria-label={`Needle of ${nameOfRole(props)}`}
      style={{ width: '100%' }}
      popupMatchSelectWidth={240}
      virtual={false}
      labelRender={() => nameNeedle(assigned.needle.value)}
      value={needleKey(assigned.needle.value)}
      options={VERDICTS.flatMap(({ title, of }) => {
        const fits = assigned.needles.filter((fit) => (of as readonly string[]).includes(fit.verdict))
        const ordered = NEEDLE_FAMILIES.flatMap((family) => fits.filter((fit) => fit.needle.family.id === family.id))
        const options = ordered.map((fit) => ({
          value: needleKey(fit.needle),
          label: `${nameNeedle(fit.needle)}${fit.verdict === 'best' ? ', the best' : ''}`,
        }))
        return options.length > 0 ? [{ label: title, options }] : []
      })}
      onChange={(value) => {
        const fit = assigned.needles.find((one) => needleKey(one.needle) === value)
        if (fit) assignTo(exercise, assigned, { needle: choiceOfNeedle(fit.needle) })
      }}
    />
  )
}

export function threadOptions(sampler: Sampler): { value: string; label: string }[] {
  return sampler.threads.map((thread) => {
    const kind = kindOf(thread)
    return { value: thread.id, label: `${thread.colour.name}, ${kind ? nameThread(kind).toLowerCase() : thread.kind}` }
  })
}

/** A thread by its colour and its name. */
export function ThreadWord({ sampler, id, label }: { sampler: Sampler; id: string; label: string }) {
  const hex = sampler.threads.find((one) => one.id === id)?.colour.hex
  return (
    <span className="thread-word">
      {hex !== undefined && <Spool hex={hex} />}
      <span>{label}</span>
    </span>
  )
}

export function Spool({ hex }: { hex: string }) {
  return (
    <svg width="15" height="17" viewBox="0 0 15 17" aria-hidden="true">
      <rect x="1" y="0.5" width="13" height="3.2" rx="1" fill="#b98d58" />
      <rect x="1" y="13.3" width="13" height="3.2" rx="1" fill="#b98d58" />
      <rect x="2.5" y="3.4" width="10" height="10" fill={hex} />
      <path d="M2.5 6 L12.5 4.6 M2.5 9 L12.5 7.6 M2.5 12 L12.5 10.6" stroke="#fff" strokeWidth="0.7" opacity="0.45" />
    </svg>
  )
}

/** Worked in rows that may each have a shade of their own. */
function isShaded({ pieces }: WorkedExercise, role: string): boolean {
  return pieces.some((piece) => piece.worked.segments.some((segment) => segment.thread === role && segment.row !== null))
}

/** What is the teacher's own among the three, each with the way back to what would be chosen. */
export function PutBacks(props: RoleProps & { readonly assigned: AssignedThread }) {
  const { exercise, assigned } = props
  const own = ownOf(props)
  const best = assigned.needles[0]?.needle
  const isBest = own.needle && best && best.family.id === own.needle.kind && best.size === own.needle.size
  const backs: { what: string; to: string; field: keyof Material }[] = []
  if (own.thread !== undefined && assigned.role !== MAIN_ROLE) backs.push({ what: 'Thread', to: 'the thread that would be chosen', field: 'thread' })
  if (own.strands !== undefined && own.strands !== assigned.advisedStrands.value)
    backs.push({ what: 'Strands', to: strandsInWords(assigned.advisedStrands.value), field: 'strands' })
  if (own.needle && best && !isBest) backs.push({ what: 'Needle', to: nameNeedle(best), field: 'needle' })
  return backs.map(({ what, to, field }) => (
    <p key={what} className="put-back">
      {what}: <span className="overruled">yours</span>
      <Button size="small" onClick={() => chooseAgain(exercise, assigned, field)}>
        Put back {to}
      </Button>
    </p>
  ))
}
