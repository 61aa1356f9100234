/** What the demo teacher has in the house: some of each colour of her two courses, some of it running out. */
import type { SamplerThread } from '@lemmata/core/sampler'
import { emptyStores, type StoredThread, type Stores, USUAL_SET } from '@lemmata/core/stores'
import { stores as storesSchema } from '../documents/stores.ts'
import { sixThursdays } from './six-thursdays.ts'
import { weatherDiary } from './weather-diary.ts'

/** Metres of each in turn: whole skeins, a rest, none. */
const METRES = [24, 16, 8, 11.2, 8, 3.4, 40, 0, 16, 6.1, 8, 24] as const
/** A put-up, by kind. */
const PRICES: Readonly<Record<string, number>> = { 'stranded-cotton': 1.35, 'pearl-cotton': 3.2, 'sewing-cotton': 2.4, 'crewel-wool': 1.9 }
const COUNTS = [24, 18, 12, 6, 10] as const

const withIds = <One>(prefix: string, list: readonly One[]): (One & { id: string })[] => list.map((one, index) => ({ id: `${prefix}${index + 1}`, ...one }))

export function demoStores(): Stores {
  // What is in the house hangs on no date.
  const [thursdays, diary] = [sixThursdays('2027-01-14'), weatherDiary()]
  const seen = new Set<string>()
  const colours = [...thursdays.threads, ...diary.threads].filter((one) => {
    const key = `${one.kind} ${one.weight ?? ''} ${one.colour.name}`
    const isNew = !seen.has(key)
    seen.add(key)
    return isNew
  })
  return storesSchema.parse({
    ...emptyStores(),
    threads: colours.map(stored),
    needles: withIds('n', USUAL_SET.needles).map((one, index) => ({ ...one, left: COUNTS[index % COUNTS.length], price: 0.3 })),
    cloths: [
      { id: 'c1', kind: thursdays.cloth.kind, colour: thursdays.cloth.colour, widthMm: 1500, left: 3000, price: 6.5 },
      { id: 'c2', kind: diary.cloth.kind, colour: diary.cloth.colour, widthMm: 1400, left: 800, price: 14 },
      { id: 'c3', kind: 'plain-cotton', colour: { name: 'Night sky', hex: '#1F2C4A' }, widthMm: 1400, left: 400, price: 9 },
    ],
    hoops: withIds('h', USUAL_SET.hoops).map((one) => ({ ...one, left: 6, price: 4.5 })),
    tools: withIds('w', USUAL_SET.tools).map((one) => ({ ...one, price: 2 })),
  })
}

function stored(thread: SamplerThread, index: number): StoredThread {
  const { kind, weight, colour } = thread
  const price = PRICES[kind]
  return {
    id: `s${index + 1}`,
    kind,
    ...(weight === undefined ? {} : { weight }),
    colour,
    left: (METRES[index % METRES.length] ?? 8) * 1000,
    ...(price === undefined ? {} : { price }),
  }
}
