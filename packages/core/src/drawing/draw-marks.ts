/** Guides and marks as they are drawn on the cloth, and printed. */
import type { Mark } from '../exercise/index.ts'
import { leftOf, type Point } from '../geometry/index.ts'
import type { DrawingItem } from './drawing.ts'
import { inkOn } from './ink.ts'

export interface MarkLook {
  readonly colour: string
  /** Width of the drawn line: a fine water-erasable pen, or the printed line. mm. */
  readonly lineMm: number
  readonly dotMm: number
}

/** Wide enough to be seen through calico on a window. */
export const PRINTED_MARKS: MarkLook = { colour: '#1F2A37', lineMm: 0.35, dotMm: 1 }
/** Drawn on a cloth, in an ink that shows on it. */
export const marksOn = (clothHex: string): MarkLook => ({ colour: inkOn(clothHex).marks, lineMm: 0.4, dotMm: 1 })

/** Where the needle comes up is a full dot, where it goes down a ring, where it does both a ringed dot. */
/** As small as can be read, mm. */
const WORDS_MM = 2.4

export function drawMarkItems(marks: readonly Mark[], look: MarkLook): DrawingItem[] {
  const items: DrawingItem[] = []
  const hasDots = marks.some((mark) => mark.kind === 'dot')
  for (const mark of marks) {
    if (mark.kind === 'line')
      items.push({
        kind: 'stroke',
        paths: [mark.points],
        widthMm: look.lineMm,
        colour: look.colour,
        ...(hasDots ? { opacity: 0.55 } : {}),
        cap: 'round',
        closed: mark.closed,
      })
    else if (mark.kind === 'words')
      items.push({
        kind: 'words',
        at: { x: mark.at.x, y: mark.at.y + WORDS_MM / 3 },
        text: mark.text,
        sizeMm: WORDS_MM,
        face: 'text',
        colour: look.colour,
        align: 'middle',
      })
    else if (mark.kind === 'start') items.push(arrow(mark.at, mark.towards, look))
    else items.push(...dot(mark.at, mark.needle, look))
  }
  return items
}

function dot(at: Point, needle: 'up' | 'down' | 'both', look: MarkLook): DrawingItem[] {
  const radiusMm = look.dotMm / 2
  const ring: DrawingItem = { kind: 'disc', at, radiusMm: radiusMm - look.lineMm / 3, stroke: { colour: look.colour, widthMm: look.lineMm * 0.7 } }
  if (needle === 'up') return [{ kind: 'disc', at, radiusMm, fill: look.colour }]
  if (needle === 'down') return [ring]
  return [ring, { kind: 'disc', at, radiusMm: radiusMm * 0.5, fill: look.colour }]
}

/** The start, beside the line so that it is not under the thread, pointing the way of working. */
function arrow(at: Point, towards: Point, look: MarkLook): DrawingItem {
  const side = leftOf(towards)
  const base = { x: at.x - towards.x * 4.2, y: at.y - towards.y * 4.2 }
  const tip = { x: at.x - towards.x * 1.6, y: at.y - towards.y * 1.6 }
  return {
    kind: 'stroke',
    paths: [
      [base, tip],
      [
        { x: tip.x - towards.x * 1 + side.x * 0.8, y: tip.y - towards.y * 1 + side.y * 0.8 },
        tip,
        { x: tip.x - towards.x * 1 - side.x * 0.8, y: tip.y - towards.y * 1 - side.y * 0.8 },
      ],
    ],
    widthMm: look.lineMm,
    colour: look.colour,
    cap: 'round',
  }
}
