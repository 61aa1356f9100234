/** How cloths behave before and under the needle. Shrinkage in the first wash, percent of the length: what is usual, low and high. */
export interface ClothCare {
  /** Null: it is not to be washed. */
  readonly shrinkPercent: readonly [number, number] | null
  /** Cut edges come undone under the hands. */
  readonly frays: boolean
  /** The design's upright goes along the warp; without a grain a piece may be turned. */
  readonly hasGrain: boolean
  /** Knitted, or felted without threads: it stretches in the hand along every line, not on the bias alone. */
  readonly gives: boolean
  readonly stabilise: 'always' | 'dense' | 'thin' | 'never'
  /** Mounted on a frame rather than in a ring. */
  readonly onFrame: boolean
}

const woven = (low: number, high: number, more: Partial<ClothCare> = {}): ClothCare => ({
  shrinkPercent: [low, high],
  frays: false,
  hasGrain: true,
  gives: false,
  stabilise: 'dense',
  onFrame: false,
  ...more,
})
const linen = woven(4, 8, { frays: true })

/** Common trade knowledge; a loose or unwashed linen shrinks more. */
const CARE: Readonly<Record<string, ClothCare>> = {
  lawn: woven(3, 6, { stabilise: 'thin' }),
  calico: woven(3, 6),
  'plain-cotton': woven(3, 5),
  'quilting-cotton': woven(2, 4),
  'linen-28': linen,
  'linen-32': linen,
  'linen-36': linen,
  'linen-40': linen,
  'linen-cotton': woven(3, 6, { frays: true, stabilise: 'never' }),
  evenweave: woven(3, 5, { frays: true, stabilise: 'never' }),
  'canvas-10': { shrinkPercent: null, frays: true, hasGrain: true, gives: false, stabilise: 'never', onFrame: true },
  'canvas-14': { shrinkPercent: null, frays: true, hasGrain: true, gives: false, stabilise: 'never', onFrame: true },
  'silk-gauze': { shrinkPercent: null, frays: true, hasGrain: true, gives: false, stabilise: 'never', onFrame: true },
  organza: woven(1, 3, { frays: true, stabilise: 'never', onFrame: true }),
  denim: woven(3, 10, { stabilise: 'never' }),
  felt: { shrinkPercent: null, frays: false, hasGrain: false, gives: true, stabilise: 'thin', onFrame: false },
  jersey: woven(4, 8, { gives: true, stabilise: 'always' }),
}

/** A cloth of her own making is taken for plain cotton. */
export function clothCare(kindId: string): ClothCare {
  return CARE[kindId] ?? woven(3, 6)
}
