/** Pixels that hang together. */

export interface Blob {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
  /** Row after row from the picture's first. */
  readonly pixels: readonly number[]
}

/** Of what is 1, side by side; none of fewer pixels than `least`. `open` is used up. */
export function blobsOf(open: Uint8Array, widthPx: number, least: number): readonly Blob[] {
  const blobs: Blob[] = []
  const stack: number[] = []
  for (let start = 0; start < open.length; start += 1) {
    if (open[start] !== 1) continue
    open[start] = 0
    stack.push(start)
    const pixels: number[] = []
    let [left, right, top, bottom] = [widthPx, 0, open.length, 0]
    for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
      pixels.push(at)
      const [x, y] = [at % widthPx, Math.floor(at / widthPx)]
      left = Math.min(left, x)
      right = Math.max(right, x)
      top = Math.min(top, y)
      bottom = Math.max(bottom, y)
      for (const next of [at - 1, at + 1, at - widthPx, at + widthPx]) {
        // The next row's first pixel is no neighbour of this row's last.
        if (open[next] !== 1 || Math.abs((next % widthPx) - x) > 1) continue
        open[next] = 0
        stack.push(next)
      }
    }
    if (pixels.length >= least) blobs.push({ left, right, top, bottom, pixels })
  }
  return blobs
}
