/**
 * Painted pixels as an image file without coding them: a Windows bitmap of 24 bits, which every browser shows. For a small
 * picture it is as large as a JPEG of the best quality, exact, and costs a tenth of a millisecond where that costs seven.
 */
const FILE_HEADER = 14
const INFO_HEADER = 40
const BYTES = 3

/** Pictures of one size, one below another. Of each pixel red, green, blue and opacity, row by row from the top; what is not opaque is shown as if it were. */
export function bitmapOf({ width, height }: { readonly width: number; readonly height: number }, pictures: readonly Uint8ClampedArray[]): ArrayBuffer {
  const head = FILE_HEADER + INFO_HEADER
  // A row ends on a whole word.
  const row = Math.ceil((width * BYTES) / 4) * 4
  const file = new ArrayBuffer(head + row * height * pictures.length)
  const view = new DataView(file)
  view.setUint16(0, 0x42_4d)
  view.setUint32(2, file.byteLength, true)
  view.setUint32(10, head, true)
  view.setUint32(14, INFO_HEADER, true)
  view.setInt32(18, width, true)
  // Below nothing: the first row is the topmost.
  view.setInt32(22, -height * pictures.length, true)
  view.setUint16(26, 1, true)
  view.setUint16(28, 8 * BYTES, true)
  const bytes = new Uint8Array(file)
  let start = head
  for (const pixels of pictures) {
    for (let y = 0, from = 0; y < height; y += 1, start += row) {
      for (let to = start, end = to + width * BYTES; to < end; to += BYTES, from += 4) {
        bytes[to] = pixels[from + 2] as number
        bytes[to + 1] = pixels[from + 1] as number
        bytes[to + 2] = pixels[from] as number
      }
    }
  }
  return file
}
