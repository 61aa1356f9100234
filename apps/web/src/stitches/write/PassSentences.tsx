/** A pass as sentences: with which thread, where its repeats lie, and its moves. */
import { wordForRole } from '@lemmata/core/assign'
import { cycleOf, isMoveLists, MAIN_ROLE, type Move, type Pass, type ThreadRole } from '@lemmata/core/notation'
import { Button, Input, Select } from 'antd'
import { Amount } from './Amount.tsx'
import type { LetteredPlace, MoveAddress } from './letters.ts'
import { MovesSentences } from './MovesSentences.tsx'
import { amountsOf, PLACEMENTS, placementOf, restOfPlace, withAmounts } from './sentence-words.ts'
import type { Wording } from './wording.ts'

export interface PassProps {
  readonly pass: Pass
  readonly number: number
  readonly roles: readonly ThreadRole[]
  readonly wording: Wording
  readonly places: readonly LetteredPlace[]
  readonly isWrong: (address: MoveAddress) => boolean
  readonly picking: MoveAddress | null
  readonly onPick: (address: MoveAddress) => void
  readonly onChange: (pass: Pass) => void
  readonly onRemove: (() => void) | undefined
}

export function PassSentences({ pass, number, roles, wording, places, isWrong, picking, onPick, onChange, onRemove }: PassProps) {
  const lists = cycleOf(pass)
  const amounts = amountsOf(pass.place)
  const placement = placementOf(pass.place)
  const rest = restOfPlace(pass.place)
  const shared = { places, wording, picking, onPick }
  return (
    <section className="panel pass-sentences" aria-label={`Pass ${number}`}>
      <div className="pass-sentence">
        <Input
          size="small"
          variant="underlined"
          className="pass-name"
          value={pass.name}
          maxLength={60}
          aria-label={`Name of pass ${number}`}
          onChange={(event) => onChange({ ...pass, name: event.target.value })}
        />
        with
        <Select
          size="small"
          variant="underlined"
          popupMatchSelectWidth={false}
          aria-label={`Thread of pass ${number}`}
          value={pass.thread ?? MAIN_ROLE}
          onChange={(thread) => onChange({ ...pass, thread })}
          options={roles.map((role) => ({ value: role, label: role === MAIN_ROLE ? 'the main thread' : `the ${wordForRole(role, [])}` }))}
        />
        lying
        <Select
          size="small"
          variant="underlined"
          popupMatchSelectWidth={false}
          aria-label={`How pass ${number} lies`}
          value={pass.lie ?? 'round'}
          onChange={(lie) => onChange({ ...pass, lie })}
          options={[
            { value: 'round', label: 'as a line' },
            { value: 'flat', label: 'flat, as a fill' },
          ]}
        />
        <Select
          size="small"
          variant="underlined"
          popupMatchSelectWidth={false}
          aria-label={`Placement of pass ${number}`}
          value={placement.id}
          onChange={(id) => {
            const chosen = PLACEMENTS.find((one) => one.id === id)
            if (chosen && id !== placement.id) onChange({ ...pass, place: amounts.length > 0 ? withAmounts(chosen.start, amounts.slice(0, 1)) : chosen.start })
          }}
          options={PLACEMENTS.map((one) => ({ value: one.id, label: one.words }))}
        />
        {amounts.map((amount, index) => (
          <span key={index}>
            {index > 0 && 'then '}
            <Amount
              label={`Pass ${number}, ${index === 0 ? 'every' : 'then'}`}
              value={amount}
              wording={wording}
              isCount={placement.id === 'times'}
              onChange={(next) =>
                onChange({
                  ...pass,
                  place: withAmounts(
                    pass.place,
                    amounts.map((one, at) => (at === index ? next : one)),
                  ),
                })
              }
            />
          </span>
        ))}
        {rest !== '' && <span className="quiet">{rest}</span>}
        {onRemove && (
          <Button danger size="small" type="text" onClick={onRemove} aria-label={`Remove pass ${number}`}>
            Take away
          </Button>
        )}
      </div>
      <MovesSentences
        title="To begin"
        moves={pass.start ?? []}
        address={{ block: 'start', list: 0 }}
        isWrong={(move) => isWrong({ block: 'start', list: 0, move })}
        onChange={(moves) => onChange(withBlock(pass, 'start', moves))}
        {...shared}
      />
      {lists.map((list, index) => (
        <MovesSentences
          key={index}
          title={lists.length > 1 ? `Repeat, ${index + 1} of ${lists.length} in turn` : 'Repeat'}
          moves={list}
          address={{ block: 'repeat', list: index }}
          isWrong={(move) => isWrong({ block: 'repeat', list: index, move })}
          onChange={(moves) => onChange(withList(pass, index, moves))}
          {...shared}
        />
      ))}
      <MovesSentences
        title="To end"
        moves={pass.end ?? []}
        address={{ block: 'end', list: 0 }}
        isWrong={(move) => isWrong({ block: 'end', list: 0, move })}
        onChange={(moves) => onChange(withBlock(pass, 'end', moves))}
        {...shared}
      />
    </section>
  )
}

/** A block without moves is no block. */
export function withBlock(pass: Pass, name: 'start' | 'end', moves: readonly Move[]): Pass {
  if (moves.length > 0) return { ...pass, [name]: moves }
  const { [name]: _gone, ...rest } = pass
  return rest
}

export function withList(pass: Pass, index: number, moves: readonly Move[]): Pass {
  const next = cycleOf(pass).map((list, at) => (at === index ? moves : list))
  return { ...pass, repeat: isMoveLists(pass.repeat) ? next : (next[0] ?? []) }
}
