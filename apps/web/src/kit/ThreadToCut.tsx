/** A colour after the other: how many lengths are cut, how they are parted, and a box for every kit that has its threads. */
import { cutInWords, type ColourToCut, type Kit, kitRanges, lengthsOfKits, mmOf, PARTING, partInWords, putUpsInWords } from '@lemmata/core/kit'
import { nameThread } from '@lemmata/core/materials'
import type { Brief } from '@lemmata/core/sampler'
import { storedThreads, type Stores } from '@lemmata/core/stores'
import { formatThread } from '@lemmata/core/units'
import { useEffect, useRef } from 'react'
import { Spool } from '../thread/fields.tsx'
import { LeftOver } from './LeftOver.tsx'
import { KitBox } from './KitBox.tsx'
import { numbersOf, ticksOfColour } from './ticks.ts'
import { unpickedInWords } from './unpicked-words.ts'
import type { TickList } from './use-ticks.ts'

interface Props {
  readonly kit: Kit
  readonly ticks: TickList
  readonly next: string | null
  readonly stores: Stores
  readonly brief: Brief
}

export function ThreadToCut({ kit, ticks, next, stores, brief }: Props) {
  const lengths = [...new Set(kit.colours.flatMap((one) => one.lengths.map((length) => length.lengthMm)))]
  return (
    <>
      <p className="kit-rule">
        {lengths.length === 1 && lengths[0] !== undefined ? (
          <strong>Every length is {formatThread(lengths[0])}.</strong>
        ) : (
          <strong>Lengths differ: read each line.</strong>
        )}{' '}
        {unpickedInWords(brief)} Tick a kit when its threads are in its bag. Scissors closed when they are put down.
      </p>
      <details className="kit-parting">
        <summary>Parting strands, threading the needle</summary>
        <ol>
          {PARTING.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ol>
      </details>
      <ul className="kit-colours">
        {kit.colours.map((colour) => (
          <Colour key={colour.thread.id} colour={colour} kits={kit.kits} ticks={ticks} next={next} stores={stores} lengthsDiffer={lengths.length > 1} />
        ))}
      </ul>
    </>
  )
}

interface ColourProps {
  readonly colour: ColourToCut
  readonly kits: number
  readonly ticks: TickList
  readonly next: string | null
  readonly stores: Stores
  readonly lengthsDiffer: boolean
}

function Colour({ colour, kits, ticks, next, stores, lengthsDiffer }: ColourProps) {
  const { thread, kind, kit } = colour
  const all = ticksOfColour(colour, kits)
  const numbers = kitRanges(kits).map(numbersOf)
  const isNow = next !== null && all.includes(next)
  const row = useRef<HTMLLIElement>(null)
  useEffect(() => {
    if (isNow) row.current?.scrollIntoView({ block: 'nearest' })
  }, [isNow, next])
  const isDone = all.every(ticks.has)
  const inEach = kit.cut.reduce((sum, one) => sum + one.count, 0)
  return (
    <li
      ref={row}
      className={isDone ? 'kit-colour is-done' : isNow ? 'kit-colour is-now' : 'kit-colour'}
      aria-label={`${thread.colour.name}, ${nameThread(kind).toLowerCase()}`}
    >
      <div className="kit-spool">
        <Spool hex={thread.colour.hex} />
        <div>
          <h2>{thread.colour.name}</h2>
          <p>{nameThread(kind).toLowerCase()}</p>
          <p>{putUpsInWords(colour)}</p>
          <InStores colour={colour} kits={kits} ticks={ticks} stores={stores} />
        </div>
      </div>
      <div>
        {colour.lengths.map(({ lengthMm, parted }, index) => (
          <div key={lengthMm}>
            <p className="kit-cut">
              {cutInWords(parted.lengths)}
              {lengthsDiffer ? ` of ${formatThread(lengthMm)}` : ''}
            </p>
            <p className="kit-part">{partInWords(colour, index)}</p>
          </div>
        ))}
        <p className="quiet kit-each">
          In each kit {inEach}, {kit.spare} of them to spare.
        </p>
        <div className="kit-boxes" role="group" aria-label={`Kits that have their ${thread.colour.name}`}>
          {all.map((tick, index) => (
            <KitBox key={tick} tick={tick} ticks={ticks} number={numbers[index] ?? ''} label={`Kit ${numbers[index] ?? ''}`} />
          ))}
        </div>
        {isDone && <LeftOver colour={colour} stores={stores} />}
      </div>
    </li>
  )
}

/** Whether what is there is enough for what is still to be cut. */
function InStores({ colour, kits, ticks, stores }: Pick<ColourProps, 'colour' | 'kits' | 'ticks' | 'stores'>) {
  const stored = storedThreads(stores, colour.thread)
  if (stored.length === 0) return <p className="quiet">Not in the stores</p>
  const ranges = kitRanges(kits)
  const has = stored.reduce((sum, one) => sum + one.left, 0)
  const wanted = ticksOfColour(colour, kits).reduce(
    (sum, tick, index) => (ticks.has(tick) ? sum : sum + mmOf(lengthsOfKits(colour, kits, ranges[index] ?? [0, 0]))),
    0,
  )
  const isShort = has < wanted
  return (
    <p className={isShort ? 'caution' : 'quiet'}>
      {has === 0 ? 'None left in the stores' : `${formatThread(has)} in the stores`}
      {isShort ? `, ${formatThread(wanted - has)} short` : ''}
    </p>
  )
}
