/** Bag by bag: what lies in each, and a tick when it is closed. The last bags are for the left hand. */
import { cardInWords, hoopInWords, type Kit, kitRanges } from '@lemmata/core/kit'
import { nameNeedle, nameThread } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import { counted, formatLength } from '@lemmata/core/units'
import { KitBox } from './KitBox.tsx'
import { bagTicks, numbersOf } from './ticks.ts'
import { whoseAll } from './whose.ts'
import type { TickList } from './use-ticks.ts'

interface Props {
  readonly sampler: Sampler
  readonly kit: Kit
  readonly ticks: TickList
  readonly next: string | null
}

export function PackTable({ sampler, kit, ticks, next }: Props) {
  const ranges = kitRanges(kit.kits)
  return (
    <div className="kit-pack">
      <ul className="kit-bags">
        {bagTicks(kit).map((tick, index) => (
          <li key={tick} className={ticks.has(tick) ? 'is-done' : tick === next ? 'is-now' : undefined}>
            <KitBox tick={tick} ticks={ticks} number={numbersOf(ranges[index] ?? [0, 0])} label={`Bag ${numbersOf(ranges[index] ?? [0, 0])}`} />
            <span>{whoseAll(kit, ranges[index] ?? [0, 0])}</span>
          </li>
        ))}
      </ul>
      <div>
        <h2>In every bag</h2>
        <ul className="kit-list">
          <li>
            {counted(kit.needles.length, 'needle')}: {kit.needles.map(({ needle }) => nameNeedle(needle)).join(', ')}
          </li>
          {sampler.workingHoop && <li>{hoopInWords(sampler.workingHoop, (mm) => formatLength(mm, sampler.units, sampler.units === 'mm' ? 0 : 1))}</li>}
          <li>
            Cloth, {formatLength(kit.cloth.piece.widthMm, sampler.units, 0)} by {formatLength(kit.cloth.piece.heightMm, sampler.units, 0)}
          </li>
          {kit.marking && <li>{kit.marking.name}</li>}
          <li>The sheets, and the pattern</li>
        </ul>
        <h2>On the card, {counted(kit.threadsOnCard, 'thread')}</h2>
        <ul className="kit-list">
          {kit.colours.map((colour) => (
            <li key={colour.thread.id}>
              <span className="kit-dot" style={{ background: colour.thread.colour.hex }} aria-hidden="true" />
              {colour.thread.colour.name}, {nameThread(colour.kind).toLowerCase()}: {cardInWords(colour)}
            </li>
          ))}
        </ul>
      </div>
    </div>
  )
}
