/** The moves of one block, one sentence each. */
import type { Move } from '@lemmata/core/notation'
import { Button } from 'antd'
import { type LetteredPlace, type MoveAddress, placeOf } from './letters.ts'
import { MoveEnds, MoveSentence } from './MoveSentence.tsx'
import type { Wording } from './wording.ts'

interface Props {
  readonly title: string
  readonly moves: readonly Move[]
  readonly address: Omit<MoveAddress, 'move'>
  readonly places: readonly LetteredPlace[]
  readonly wording: Wording
  readonly isWrong: (index: number) => boolean
  readonly picking: MoveAddress | null
  readonly onPick: (address: MoveAddress) => void
  readonly onChange: (moves: readonly Move[]) => void
}

export function MovesSentences({ title, moves, address, places, wording, isWrong, picking, onPick, onChange }: Props) {
  const shift = (index: number, by: number): void => {
    const next = [...moves]
    const [taken] = next.splice(index, 1)
    if (taken) next.splice(index + by, 0, taken)
    onChange(next)
  }
  /** Where the last move but one went, so that it can be seen and then moved. */
  const add = (): void => {
    const place = moves
      .map(placeOf)
      .filter((one) => one !== null)
      .at(-2) ??
      places[0]?.form ?? [0, 0]
    const isDown = moves.at(-1) !== undefined && 'up' in (moves.at(-1) as object)
    onChange([...moves, isDown ? { down: place } : { up: place }])
  }
  return (
    <div className="move-block">
      <div className="move-head">
        <b>{title}</b>
        <Button size="small" type="text" onClick={add}>
          Add a move
        </Button>
      </div>
      {moves.length > 0 && (
        <ol>
          {moves.map((move, index) => {
            const name = `${title}, move ${index + 1}`
            const here = { ...address, move: index }
            return (
              <MoveSentence
                key={index}
                move={move}
                number={index + 1}
                name={name}
                places={places}
                wording={wording}
                wrong={isWrong(index)}
                isPicking={picking !== null && picking.block === here.block && picking.list === here.list && picking.move === index}
                onPick={() => onPick(here)}
                onChange={(next) => onChange(moves.map((one, at) => (at === index ? next : one)))}
              >
                <MoveEnds
                  name={name}
                  isFirst={index === 0}
                  isLast={index === moves.length - 1}
                  onMove={(by) => shift(index, by)}
                  onRemove={() => onChange(moves.filter((_, at) => at !== index))}
                />
              </MoveSentence>
            )
          })}
        </ol>
      )}
    </div>
  )
}
