/** One move as a sentence of menus: what is done, where, and what else there is to say of it. */
import type { Expression, Move, MoveKind, PointForm } from '@lemmata/core/notation'
import { MOVE_KINDS } from '@lemmata/core/notation'
import { Button, Input, Select } from 'antd'
import { type ReactNode } from 'react'
import { Amount } from './Amount.tsx'
import { isSamePlace, type LetteredPlace, placeOf, withPlace } from './letters.ts'
import { asKind, kindOf, restText } from './moves-text.ts'
import { additionsFor, additionsOf, MOVE_SENTENCES, placeInWords } from './sentence-words.ts'
import type { Wording } from './wording.ts'

interface Props {
  readonly move: Move
  readonly number: number
  /** "Repeat, move 2": for those who hear it. */
  readonly name: string
  readonly places: readonly LetteredPlace[]
  readonly wording: Wording
  readonly wrong: boolean
  /** The drawing puts this move where it is pressed. */
  readonly isPicking: boolean
  readonly onPick: () => void
  readonly onChange: (move: Move) => void
  readonly children: ReactNode
}

export function MoveSentence({ move, number, name, places, wording, wrong, isPicking, onPick, onChange, children }: Props) {
  const kind = kindOf(move)
  const form = placeOf(move)
  return (
    <li
      className={`move-sentence${isPicking ? ' picking' : ''}${wrong ? ' wrong-row' : ''}`}
      onFocus={form ? onPick : undefined}
      onPointerDown={form ? onPick : undefined}
    >
      <span className="number">{number}</span>
      <span className="words">
        <Select<MoveKind>
          size="small"
          variant="underlined"
          popupMatchSelectWidth={false}
          aria-label={name}
          value={kind}
          onChange={(next) => onChange(asKind(move, next) as Move)}
          options={MOVE_KINDS.map((one) => ({ value: one, label: MOVE_SENTENCES[one] }))}
        />
        {form && <PlaceMenu name={name} form={form} places={places} wording={wording} onChange={(next) => onChange(withPlace(move, next))} />}
        <Rest move={move} name={name} wording={wording} onChange={onChange} />
        <Additions move={move} name={name} wording={wording} onChange={onChange} />
      </span>
      <span className="ends">{children}</span>
    </li>
  )
}

/** The letters on the drawing, each with what it means. */
function PlaceMenu({
  name,
  form,
  places,
  wording,
  onChange,
}: {
  name: string
  form: PointForm
  places: readonly LetteredPlace[]
  wording: Wording
  onChange: (form: PointForm) => void
}) {
  const here = places.find((one) => isSamePlace(one.form, form))
  return (
    <Select
      size="small"
      className="place-menu"
      popupMatchSelectWidth={false}
      aria-label={`${name}, where`}
      value={here?.letter ?? ''}
      onChange={(letter) => {
        const next = places.find((one) => one.letter === letter)
        if (next) onChange(next.form)
      }}
      labelRender={({ value }) => <b>{value}</b>}
      options={places.map((one) => ({ value: one.letter, label: `${one.letter}: ${placeInWords(one.form, wording.names)}` }))}
    />
  )
}

/** What a move has in its sentence beside a place. */
function Rest({ move, name, wording, onChange }: { move: Move; name: string; wording: Wording; onChange: (move: Move) => void }) {
  const amount = (field: string, value: Expression, isCount = false) => (
    <Amount label={`${name}, how much`} value={value} wording={wording} isCount={isCount} onChange={(next) => onChange({ ...move, [field]: next })} />
  )
  if ('wrap' in move) return <>{amount('wrap', move.wrap, true)} times</>
  if ('cast' in move) return <>{amount('cast', move.cast, true)} loops</>
  if ('bead' in move) return <>{amount('bead', move.bead)} wide</>
  if ('pad' in move) return <>{amount('pad', move.pad)} high</>
  if ('cut' in move) return <>, {amount('size', move.size)} wide</>
  if ('under' in move || 'over' in move || 'drawn' in move) {
    const field = 'under' in move ? 'under' : 'over' in move ? 'over' : 'drawn'
    const names = 'under' in move ? move.under : 'over' in move ? move.over : move.drawn
    return (
      <>
        the thread called
        <Select
          size="small"
          mode="tags"
          className="thread-labels"
          popupMatchSelectWidth={false}
          aria-label={`${name}, which threads`}
          value={[...names]}
          options={wording.labels.map((one) => ({ value: one, label: one }))}
          onChange={(next: string[]) => onChange({ ...move, [field]: next.length > 0 ? next : names })}
        />
      </>
    )
  }
  if ('each' in move)
    return <span className="quiet"> {typeof move.each.along === 'string' ? move.each.along : 'the way'}: moves of its own, written with formulas</span>
  if ('take' in move) return <b> {move.take}</b>
  if ('lay' in move || 'withdraw' in move || 'bundle' in move || kindOf(move) === 'round') return <span className="quiet"> as the formulas say</span>
  return null
}

function Additions({ move, name, wording, onChange }: { move: Move; name: string; wording: Wording; onChange: (move: Move) => void }) {
  const kind = kindOf(move)
  const all = additionsFor(kind)
  const { said, unsaid } = additionsOf(kind, move)
  const split = 'split' in move ? move.split : undefined
  const canSplit = kind === 'up' || kind === 'down'
  const values = [...said.map((one) => one.words), ...(split === undefined ? [] : [splitWords(split)])]
  const change = (chosen: readonly string[]): void => {
    const fresh = chosen.filter((words) => !values.includes(words))
    const kept = chosen.filter((words) => {
      const one = all.find((other) => other.words === words)
      // One field says one thing: what was chosen last.
      return fresh.includes(words) || !one || !fresh.some((other) => all.find((two) => two.words === other)?.field === one.field)
    })
    const next: Record<string, unknown> = { ...move }
    for (const { field } of all) if (!unsaid.includes(field)) delete next[field]
    delete next.split
    for (const words of kept) {
      const one = all.find((other) => other.words === words)
      if (one) next[one.field] = one.value
      const label = wording.labels.find((other) => splitWords(other) === words) ?? (split !== undefined && splitWords(split) === words ? split : undefined)
      if (label !== undefined) next.split = label
    }
    onChange(next as unknown as Move)
  }
  return (
    <>
      {(values.length > 0 || all.length > 0) && (
        <Select
          size="small"
          mode="multiple"
          variant="borderless"
          className="additions"
          popupMatchSelectWidth={false}
          aria-label={`${name}, and`}
          placeholder="…"
          value={values}
          onChange={change}
          options={[...all.map((one) => one.words), ...(canSplit ? wording.labels.map(splitWords) : [])].map((words) => ({ value: words, label: words }))}
        />
      )}
      {unsaid.length > 0 && <span className="quiet">({restText(move, unsaid)})</span>}
      {(wording.labels.length > 0 || move.as !== undefined) && (kind === 'down' || move.as !== undefined) && (
        <span className="called">
          called
          <Input
            size="small"
            variant="underlined"
            aria-label={`${name}, called`}
            value={move.as ?? ''}
            maxLength={20}
            onChange={(event) => {
              const { as: _gone, ...others } = move
              onChange(event.target.value === '' ? others : { ...others, as: event.target.value })
            }}
          />
        </span>
      )}
    </>
  )
}

function splitWords(label: string): string {
  return `through the thread called ${label}`
}

/** The two ends of a row: sooner, later, away. */
export function MoveEnds({
  name,
  isFirst,
  isLast,
  onMove,
  onRemove,
}: {
  name: string
  isFirst: boolean
  isLast: boolean
  onMove: (by: number) => void
  onRemove: () => void
}) {
  return (
    <>
      <Button size="small" type="text" disabled={isFirst} aria-label={`${name} up`} title="Sooner" onClick={() => onMove(-1)}>
        ↑
      </Button>
      <Button size="small" type="text" disabled={isLast} aria-label={`${name} down`} title="Later" onClick={() => onMove(1)}>
        ↓
      </Button>
      <Button size="small" type="text" danger aria-label={`Remove ${name}`} title="Take away" onClick={onRemove}>
        ×
      </Button>
    </>
  )
}
