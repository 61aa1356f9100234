/**
 * Pictures are decoded and written anew: what a file carries besides its pixels (where it was taken, what hides behind it) does
 * not come in, and nothing of it is ever executed.
 */
import sharp from 'sharp'
import { HttpProblem } from '../http/problem.ts'

/** A picture that decodes to more would fill the memory. */
const MOST_PIXELS = 60_000_000
const QUALITY = 82
/** Formats that are pixels alone: vector formats would run through other programs. */
const PIXELS = ['jpeg', 'png', 'webp'] as const

/** `longestPx`: no side is longer afterwards. 422 where it is no picture. */
export async function madeAnew(sent: Buffer, longestPx: number) {
  const open = () => sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 })
  try {
    const { format } = await open().metadata()
    if (!PIXELS.some((one) => one === format)) throw new Error(`format ${String(format)}`)
    return await open()
      .rotate()
      .resize(longestPx, longestPx, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .webp({ quality: QUALITY })
      .timeout({ seconds: 20 })
      .toBuffer({ resolveWithObject: true })
  } catch {
    throw new HttpProblem(422, 'picture.unreadable', 'This picture cannot be read, or is too large. Send a JPEG, PNG or WebP file of at most 60 megapixels.')
  }
}
