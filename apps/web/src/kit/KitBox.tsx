/** A box to tick. After a click the bar ticks the next again, not this one: it keeps no focus that a hand has not sought by key. */
import type { TickList } from './use-ticks.ts'

interface Props {
  readonly tick: string
  readonly ticks: TickList
  readonly number: number | string
  readonly label: string
}

export function KitBox({ tick, ticks, number, label }: Props) {
  const isTicked = ticks.has(tick)
  return (
    <button
      type="button"
      className="kit-box"
      aria-pressed={isTicked}
      aria-label={label}
      onClick={(event) => {
        ticks.toggle(tick)
        if (event.detail > 0) event.currentTarget.blur()
      }}
    >
      {isTicked ? '✓' : number}
    </button>
  )
}
