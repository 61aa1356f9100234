/**
 * Kinds of thread by kind and weight, never by maker. Diameters are relaxed, of one strand, in mm; tex is
 * grams per kilometre. Common trade knowledge, +-10-15 % between makers; wools, silks and metal +-20 %.
 */
export interface ThreadKind {
  readonly id: string
  readonly name: string
  /** The trade's weight number where the kind has one; a larger number is finer. */
  readonly weight: string | null
  readonly diameterMm: number
  readonly tex: number
  /** Hard threads keep round: they spread little and want a larger needle. */
  readonly nature: 'soft' | 'hard' | 'wool' | 'metal'
  /** How many strands may be worked together; 1 where it is never divided or combined. */
  readonly mostStrands: number
  /** Longest advisable length from needle to far end, mm. */
  readonly longestMm: number
  /** As sold: what one put-up is called, its length in mm and how many strands it divides into. */
  readonly putUp: { readonly word: string; readonly lengthMm: number; readonly strands: number }
}

const skein = (lengthM: number, strands = 1) => ({ word: 'skein', lengthMm: lengthM * 1000, strands })
const ball = (lengthM: number) => ({ word: 'ball', lengthMm: lengthM * 1000, strands: 1 })
const reel = (lengthM: number) => ({ word: 'reel', lengthMm: lengthM * 1000, strands: 1 })

type Row = readonly [string, string, string | null, number, number, ThreadKind['nature'], number, number, ThreadKind['putUp']]

const rows: readonly Row[] = [
  ['stranded-cotton', 'Stranded cotton', null, 0.27, 40, 'soft', 6, 450, skein(8, 6)],
  ['pearl-cotton', 'Pearl cotton', '3', 0.78, 330, 'hard', 1, 500, skein(15)],
  ['pearl-cotton', 'Pearl cotton', '5', 0.62, 205, 'hard', 1, 500, skein(25)],
  ['pearl-cotton', 'Pearl cotton', '8', 0.47, 118, 'hard', 1, 450, ball(80)],
  ['pearl-cotton', 'Pearl cotton', '12', 0.39, 80, 'hard', 1, 450, ball(120)],
  ['crochet-cotton', 'Crochet cotton', '10', 0.58, 185, 'hard', 1, 500, ball(265)],
  ['crochet-cotton', 'Crochet cotton', '20', 0.46, 122, 'hard', 1, 500, ball(400)],
  ['crochet-cotton', 'Crochet cotton', '40', 0.35, 72, 'hard', 1, 500, ball(275)],
  ['coton-a-broder', 'Coton à broder', '16', 0.46, 115, 'soft', 1, 450, skein(25)],
  ['coton-a-broder', 'Coton à broder', '20', 0.41, 92, 'soft', 1, 450, skein(30)],
  ['coton-a-broder', 'Coton à broder', '25', 0.37, 74, 'soft', 1, 450, skein(35)],
  ['soft-cotton', 'Soft matt cotton', null, 1.0, 400, 'wool', 1, 400, skein(10)],
  ['crewel-wool', 'Crewel wool', null, 0.62, 140, 'wool', 3, 400, skein(25)],
  ['fine-crewel-wool', 'Fine crewel wool', null, 0.42, 65, 'wool', 4, 400, skein(30)],
  ['tapestry-wool', 'Tapestry wool', null, 1.2, 450, 'wool', 1, 450, skein(8)],
  ['sock-yarn', 'Sock yarn', null, 0.9, 245, 'wool', 1, 400, ball(205)],
  ['flat-silk', 'Flat silk', null, 0.22, 30, 'soft', 2, 350, reel(40)],
  ['filament-silk', 'Filament silk', null, 0.19, 20, 'soft', 6, 400, skein(10, 6)],
  ['spun-silk', 'Spun silk', null, 0.25, 33, 'soft', 6, 400, skein(6, 8)],
  ['viscose-floss', 'Viscose floss', null, 0.21, 30, 'soft', 6, 400, skein(8, 6)],
  ['sewing-cotton', 'Sewing cotton', '50', 0.22, 34, 'hard', 2, 450, reel(150)],
  ['sewing-cotton', 'Sewing cotton', '60', 0.17, 21, 'hard', 2, 450, reel(150)],
  ['metallic-passing', 'Metallic passing', '0.3', 0.3, 90, 'metal', 2, 300, reel(25)],
  ['metallic-passing', 'Metallic passing', '0.5', 0.5, 250, 'metal', 2, 300, reel(25)],
]

export const THREAD_KINDS: readonly ThreadKind[] = rows.map(([id, name, weight, diameterMm, tex, nature, mostStrands, longestMm, putUp]) => ({
  id,
  name,
  weight,
  diameterMm,
  tex,
  nature,
  mostStrands,
  longestMm,
  putUp,
}))

export const THREAD_KIND_IDS: readonly string[] = [...new Set(THREAD_KINDS.map((kind) => kind.id))]

/** The kind of that id and weight; a kind that has weights and is asked for without one gives its middle. */
export function findThreadKind(id: string, weight: string | undefined): ThreadKind | null {
  const kinds = THREAD_KINDS.filter((kind) => kind.id === id)
  if (weight === undefined) return kinds[Math.floor(kinds.length / 2)] ?? null
  return kinds.find((kind) => kind.weight === weight || (kind.weight === null && weight === '')) ?? null
}

/** What one thread's figures are where they are not those of its kind, and how they are known. */
export interface ThreadFigures {
  /** Her own name for it. */
  readonly name?: string | undefined
  readonly diameterMm?: number | undefined
  readonly tex?: number | undefined
  readonly mostStrands?: number | undefined
  readonly longestMm?: number | undefined
  readonly putUpMm?: number | undefined
  readonly from: 'measured' | 'label' | 'judgement'
  /** Either way, as a share: 0.1 is ten per cent. */
  readonly within?: number | undefined
}

export interface ThreadOfKind {
  readonly kind: string
  readonly weight?: string | undefined
  readonly figures?: ThreadFigures | undefined
}

/** Threads of one kind, weight and figures have one key, in whatever colour. */
export const kindKey = ({ kind, weight, figures }: ThreadOfKind): string => `${kind} ${weight ?? ''} ${figures?.name ?? ''}`

/** Its kind, with its own figures in place of the usual ones; null where there is no such kind. */
export function kindOf({ kind: id, weight, figures }: ThreadOfKind): ThreadKind | null {
  const kind = findThreadKind(id, weight)
  if (!kind || !figures) return kind
  const { name, diameterMm, tex, mostStrands, longestMm, putUpMm } = figures
  return {
    ...kind,
    // A name of her own says it all; a weight beside it would be another thread's.
    ...(name === undefined ? {} : { name, weight: null }),
    ...(diameterMm === undefined ? {} : { diameterMm }),
    ...(tex === undefined ? {} : { tex }),
    ...(mostStrands === undefined ? {} : { mostStrands }),
    ...(longestMm === undefined ? {} : { longestMm }),
    ...(putUpMm === undefined ? {} : { putUp: { ...kind.putUp, lengthMm: putUpMm } }),
  }
}

export function nameThread(kind: ThreadKind): string {
  return kind.weight === null ? kind.name : `${kind.name} ${kind.weight}`
}
