/** A pass in letters and formulas, for what no sentence says: the file's own words, field by field. */
import { wordForRole } from '@lemmata/core/assign'
import { cycleOf, MAIN_ROLE, type Pass } from '@lemmata/core/notation'
import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { MovesTable } from './MovesTable.tsx'
import { type PassProps, withBlock, withList } from './PassSentences.tsx'

type Props = Pick<PassProps, 'pass' | 'number' | 'roles' | 'isWrong' | 'onChange' | 'onRemove'>

export function PassFormulas({ pass, number, roles, isWrong: isMoveWrong, onChange, onRemove }: Props) {
  const [place, setPlace] = useState(JSON.stringify(pass.place))
  const [isWrong, setWrong] = useState(false)
  const typePlace = (typed: string): void => {
    setPlace(typed)
    try {
      onChange({ ...pass, place: JSON.parse(typed) as Pass['place'] })
      setWrong(false)
    } catch {
      setWrong(true)
    }
  }
  const lists = cycleOf(pass)
  const block = (name: 'start' | 'end', words: string) => (
    <MovesTable
      title={words}
      moves={pass[name] ?? []}
      isWrong={(move) => isMoveWrong({ block: name, list: 0, move })}
      onChange={(moves) => onChange(withBlock(pass, name, moves))}
    />
  )
  return (
    <div className="panel" style={{ display: 'grid', gap: 10 }}>
      <div style={{ display: 'flex', gap: 10, alignItems: 'end', flexWrap: 'wrap' }}>
        <label style={{ flex: 1, minWidth: 120 }}>
          Pass {number}
          <Input value={pass.name} maxLength={60} aria-label={`Name of pass ${number}`} onChange={(event) => onChange({ ...pass, name: event.target.value })} />
        </label>
        <label style={{ display: 'grid' }}>
          Thread
          <Select
            aria-label={`Thread of pass ${number}`}
            value={pass.thread ?? MAIN_ROLE}
            onChange={(thread) => onChange({ ...pass, thread })}
            options={roles.map((role) => ({ value: role, label: role === MAIN_ROLE ? 'the main one' : wordForRole(role, []) }))}
            style={{ width: 130 }}
          />
        </label>
        <label style={{ display: 'grid' }}>
          It lies
          <Select
            aria-label={`How pass ${number} lies`}
            value={pass.lie ?? 'round'}
            onChange={(lie) => onChange({ ...pass, lie })}
            options={[
              { value: 'round', label: 'as a line' },
              { value: 'flat', label: 'flat, as a fill' },
            ]}
            style={{ width: 130 }}
          />
        </label>
        {onRemove && (
          <Button danger size="small" onClick={onRemove}>
            Remove
          </Button>
        )}
      </div>
      <label>
        Where its repeats lie
        <Input
          value={place}
          status={isWrong ? 'error' : ''}
          aria-label={`Placement of pass ${number}`}
          onChange={(event) => typePlace(event.target.value)}
          spellCheck={false}
          style={{ fontFamily: 'monospace', fontSize: 13.5 }}
        />
      </label>
      {block('start', 'To begin')}
      {lists.map((list, index) => (
        <MovesTable
          key={index}
          title={lists.length > 1 ? `Repeat, ${index + 1} of ${lists.length} in turn` : 'Repeat'}
          moves={list}
          isWrong={(move) => isMoveWrong({ block: 'repeat', list: index, move })}
          onChange={(moves) => onChange(withList(pass, index, moves))}
        />
      ))}
      {block('end', 'To end')}
    </div>
  )
}
