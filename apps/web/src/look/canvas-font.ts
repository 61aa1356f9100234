/** The faces by the names a canvas knows them by. Apart from the faces themselves: a worker has no document to load them into. */
import type { Face } from '@lemmata/core/drawing'

/** As the canvas wants it, at so many pixels. */
export function canvasFont(face: Face, pixels: number): string {
  return face === 'heading' ? `700 ${pixels}px Alegreya` : `${face === 'text-bold' ? 600 : 400} ${pixels}px 'Source Sans 3'`
}
