/** A class's pieces on a width of cloth: rows from selvedge to selvedge, warp upright, so that one cut after another goes straight through. mm */
import { error, failure, mm, type Result, success } from '../base/index.ts'

export interface CutRequest {
  readonly widthMm: number
  readonly heightMm: number
  readonly count: number
  /** From selvedge to selvedge. */
  readonly boltMm: number
  /** Washed before it is cut, the cloth loses such a share of both measures; 0: it does not. */
  readonly shrinkage: number
  /** Cloth without a grain may be turned on its side. */
  readonly mayTurn: boolean
}

export interface CutPlan {
  readonly columns: number
  readonly rows: number
  readonly turned: boolean
  /** As a piece lies on the cloth. */
  readonly widthMm: number
  readonly heightMm: number
  /** That can be used, without selvedges, after washing. */
  readonly usableMm: number
  /** Along the selvedge, cut off for the pieces. */
  readonly lengthMm: number
  /** To buy: as it comes, before it shrank, to the next tenth of a metre. */
  readonly toBuyMm: number
  readonly places: readonly { readonly x: number; readonly y: number }[]
  /** A strip left along the selvedge over the whole length, and what of the last row is left. */
  readonly leftWidthMm: number
  readonly spare: number
}

/** A selvedge is woven tighter and cut away, on each side. */
export const SELVEDGE_MM = 10
const BUY_BY_MM = 100
const MOST_PIECES_CUT = 600

export function cuttingPlan(request: CutRequest): Result<CutPlan> {
  const { widthMm, heightMm, count, boltMm, shrinkage } = request
  if (!(count >= 1) || count > MOST_PIECES_CUT) return failure(error('cutting.count', [], { most: MOST_PIECES_CUT }))
  const usableMm = (boltMm - 2 * SELVEDGE_MM) * (1 - shrinkage)
  const ways = [lay(widthMm, heightMm, false), ...(request.mayTurn ? [lay(heightMm, widthMm, true)] : [])].flatMap((one) => one ?? [])
  const [first, second] = ways
  if (!first) return failure(error('cutting.too-wide', [], { mm: mm(widthMm), usable: mm(Math.max(0, usableMm)) }))
  return success(second && second.lengthMm < first.lengthMm ? second : first)

  function lay(wide: number, high: number, turned: boolean): CutPlan | null {
    const columns = Math.min(count, Math.floor(usableMm / wide + 1e-9))
    if (columns < 1) return null
    const rows = Math.ceil(count / columns)
    const lengthMm = rows * high
    return {
      columns,
      rows,
      turned,
      widthMm: wide,
      heightMm: high,
      usableMm,
      lengthMm,
      toBuyMm: Math.ceil(lengthMm / (1 - shrinkage) / BUY_BY_MM - 1e-9) * BUY_BY_MM,
      places: Array.from({ length: count }, (_, index) => ({ x: (index % columns) * wide, y: Math.floor(index / columns) * high })),
      leftWidthMm: usableMm - columns * wide,
      spare: rows * columns - count,
    }
  }
}
