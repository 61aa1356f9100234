/**
 * Things numbered 0, 1, 2 ... found again by the cell they lie in. Both numbers of a cell are mixed into one small integer,
 * which is quick to look up but may be shared by far cells: whoever asks judges by the places themselves.
 */
export class CellIndex {
  private readonly newest = new Map<number, number>()
  private readonly older: number[] = []

  /** The next thing lies in this cell. */
  add(column: number, row: number): void {
    const key = mixed(column, row)
    const index = this.older.length
    this.older.push(this.newest.get(key) ?? -1)
    this.newest.set(key, index)
  }

  /** The newest thing that may lie in this cell, or -1. */
  in(column: number, row: number): number {
    return this.newest.get(mixed(column, row)) ?? -1
  }

  /** The one that was in the cell before it, or -1. */
  before(index: number): number {
    return this.older[index] ?? -1
  }
}

/** Large primes keep neighbours apart (Teschner et al. 2003). */
function mixed(column: number, row: number): number {
  return Math.imul(column, 73_856_093) ^ Math.imul(row, 19_349_663)
}
