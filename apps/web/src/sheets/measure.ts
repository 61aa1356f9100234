/** Width of a text on screen, mm, in the faces in which it is printed. */
import type { Face } from '@lemmata/core/drawing'
import { canvasFont } from '../look/canvas-font.ts'

const measuring = document.createElement('canvas').getContext('2d')
const known = new Map<string, number>()
/** The words of a book are the same few thousand, asked for again at every layout. */
const MOST_KNOWN = 50_000

export function measure(text: string, sizeMm: number, face: Face): number {
  if (!measuring) return text.length * sizeMm * 0.5
  const key = `${face} ${text}`
  const before = known.get(key)
  if (before !== undefined) return before * sizeMm
  measuring.font = canvasFont(face, 100)
  const share = measuring.measureText(text).width / 100
  if (known.size < MOST_KNOWN) known.set(key, share)
  return share * sizeMm
}
