/**
 * What a page is made of. A block knows its height before it is drawn: a book is laid out whole, and each page drawn only when it is
 * wanted. Blocks are drawn from their own top left; none is ever torn.
 */
import { type DrawingItem, type Face, moveItems, type Tag, tagged } from '../drawing/index.ts'
import { INK, type MeasureText, WALNUT, words } from '../sheets/index.ts'
import type { TypeScale, TypeSize } from './type.ts'

export interface Block {
  readonly heightMm: number
  readonly draw: () => readonly DrawingItem[]
  /** It does not stand at the foot of a page without what follows. */
  readonly withNext?: boolean
}

/** What all blocks of a book are set with. */
export interface Setting {
  readonly type: TypeScale
  readonly measure: MeasureText
}

export const INDIGO = '#2B3F77'
const LINE = '#8A7A66'

export const gap = (heightMm: number): Block => ({ heightMm, draw: () => [] })

export interface TextStyle {
  readonly size?: TypeSize
  readonly face?: Face
  readonly colour?: string
  /** After its last line. */
  readonly afterMm?: number
  /** What it is to whoever hears it; nothing of its own inside a cell or an item of a list. */
  readonly tag?: Tag | null
  readonly isCentred?: boolean
}

/** A paragraph; **what stands between stars** is bold. */
export function text(set: Setting, said: string, widthMm: number, style: TextStyle = {}): Block {
  const { size = set.type.text, face = 'text', colour = INK, afterMm = 0, tag = 'P' } = style
  const lines = wrapRuns(runsOf(said, face), widthMm, size.sizeMm, set.measure)
  const wideOf = (line: readonly PlacedRun[]): number => line.reduce((wide, run) => Math.max(wide, run.x + set.measure(run.text, size.sizeMm, run.face)), 0)
  const draw = (): readonly DrawingItem[] =>
    lines.flatMap((line, index) => {
      const left = style.isCentred ? (widthMm - wideOf(line)) / 2 : 0
      return line.map((run) => words(run.text, { x: left + run.x, y: baseline(size) + index * size.leadMm }, size.sizeMm, run.face, colour))
    })
  return { heightMm: lines.length * size.leadMm + afterMm, draw: () => (tag === null || lines.length === 0 ? draw() : [tagged(tag, draw())]) }
}

export const heading = (set: Setting, said: string, widthMm: number): Block => ({
  ...text(set, said, widthMm, { size: set.type.heading, face: 'heading', colour: INDIGO, afterMm: 0.8, tag: 'H2' }),
  withNext: true,
})

/** Of a part, on a page of its own. */
export const title = (set: Setting, said: string, widthMm: number, afterMm = 0): Block =>
  text(set, said, widthMm, { size: set.type.title, face: 'heading', tag: 'H1', afterMm })

export const hint = (set: Setting, said: string, widthMm: number): Block => text(set, said, widthMm, { size: set.type.small, colour: WALNUT })

const BOX_MM = 4.6
const BOX_ROOM_MM = 7

/** A box to tick, and what for. */
export function tick(set: Setting, said: string, widthMm: number, size: TypeSize = set.type.text): Block {
  const line = text(set, said, widthMm - BOX_ROOM_MM, { size, tag: null })
  const top = baseline(size) - size.sizeMm * 0.36 - BOX_MM / 2
  return {
    heightMm: Math.max(line.heightMm, BOX_MM + 1) + 1.2,
    draw: () => [tagged('Tick', [box(0, top), ...moveItems(line.draw(), { x: BOX_ROOM_MM, y: 0 })])],
  }
}

export function bullet(set: Setting, said: string, widthMm: number, size: TypeSize = set.type.text): Block {
  const line = text(set, said, widthMm - 4, { size, tag: null })
  return {
    heightMm: line.heightMm + 0.8,
    draw: () => [
      tagged('LI', [
        { kind: 'disc', at: { x: 1, y: baseline(size) - size.sizeMm * 0.32 }, radiusMm: 0.5, fill: INK },
        ...moveItems(line.draw(), { x: 4, y: 0 }),
      ]),
    ],
  }
}

const box = (x: number, y: number): DrawingItem => ({
  kind: 'stroke',
  paths: [
    [
      { x, y },
      { x: x + BOX_MM, y },
      { x: x + BOX_MM, y: y + BOX_MM },
      { x, y: y + BOX_MM },
    ],
  ],
  widthMm: 0.35,
  colour: INK,
  closed: true,
})

/** One under another, kept together. */
export function stack(blocks: readonly Block[]): Block {
  return {
    heightMm: heightOf(blocks),
    draw: () => {
      let y = 0
      return blocks.flatMap((one) => {
        const items = moveItems(one.draw(), { x: 0, y })
        y += one.heightMm
        return items
      })
    },
  }
}

export const heightOf = (blocks: readonly Block[]): number => blocks.reduce((sum, one) => sum + one.heightMm, 0)

/** Side by side, each so far from the left; as high as the highest. */
export function beside(...parts: readonly (readonly [number, Block])[]): Block {
  return {
    heightMm: Math.max(0, ...parts.map(([, one]) => one.heightMm)),
    draw: () => parts.flatMap(([x, one]) => moveItems(one.draw(), { x, y: 0 })),
  }
}

/** Side by side while that is not higher than it may be; else one after the other, so that it can go over to the next page. */
export function besideOrUnder(left: readonly Block[], right: readonly Block[], x: number, mostMm: number): readonly Block[] {
  const pair = beside([0, stack(left)], [x, stack(right)])
  return pair.heightMm < mostMm ? [pair] : [...left, gap(3), ...right]
}

export function rule(widthMm: number, lineMm = 0.25, colour = LINE): Block {
  return { heightMm: 3.4, draw: () => [line(0, widthMm, 1.2, lineMm, colour)] }
}

export function line(from: number, to: number, y: number, widthMm: number, colour = LINE): DrawingItem {
  return {
    kind: 'stroke',
    paths: [
      [
        { x: from, y },
        { x: to, y },
      ],
    ],
    widthMm,
    colour,
  }
}

/** Lines to write on, to fill what is left of a page; nothing where too little is. */
export function noteLines(set: Setting, title: string, widthMm: number, roomMm: number): readonly Block[] {
  const each = 9
  const head = text(set, title, widthMm, { size: set.type.heading, face: 'heading', colour: INDIGO, afterMm: 0.8, tag: null })
  const count = Math.floor((roomMm - head.heightMm) / each)
  if (count < 2) return []
  return [
    stack([head, ...Array.from({ length: Math.min(count, 24) }, () => ({ heightMm: each, draw: () => [line(0, widthMm, each - 0.5, 0.25, '#BDB3A3')] }))]),
  ]
}

export interface Column {
  readonly title: string
  readonly widthMm: number
}

/** What stands in a cell: words, or something drawn of its own height. */
export type Cell = string | Block

/** Rows that are never torn under a head; where the page is turned the head comes again, so each row is a block of its own. */
export function table(set: Setting, columns: readonly Column[], rows: readonly (readonly Cell[])[]): { readonly head: Block; readonly rows: readonly Block[] } {
  const size = set.type.small
  const xs = columns.map((_, index) => columns.slice(0, index).reduce((sum, one) => sum + one.widthMm, 0))
  const width = columns.reduce((sum, one) => sum + one.widthMm, 0)
  const rowOf = (cells: readonly Cell[], style: TextStyle, lineMm: number, tag: 'TH' | 'TD'): Block => {
    const placed = cells.map((cell, index): readonly [number, Block] => {
      const inner = typeof cell === 'string' ? text(set, cell, (columns[index] as Column).widthMm - 2.4, { size, ...style, tag: null }) : cell
      return [xs[index] as number, { ...inner, draw: () => [tagged(tag, inner.draw())] }]
    })
    const row = beside(...placed)
    const heightMm = row.heightMm + 1.7
    return { heightMm, draw: () => [tagged('TR', row.draw()), line(0, width, heightMm - 0.7, lineMm)] }
  }
  return {
    head: {
      ...rowOf(
        columns.map((one) => one.title),
        { face: 'text-bold', colour: WALNUT, size: set.type.foot },
        0.3,
        'TH',
      ),
      withNext: true,
    },
    rows: rows.map((cells) => rowOf(cells, {}, 0.15, 'TD')),
  }
}

/** A picture with what it shows, for whoever does not see it; with no words where what stands beside it says so already. */
export const figure = (inner: Block, widthMm: number, alt: string): Block => ({
  ...inner,
  draw: () => [tagged('Figure', inner.draw(), { alt, frame: { left: 0, top: 0, widthMm, heightMm: inner.heightMm } })],
})

/** In a frame, with a bar at its left that says: read this first. */
export function framed(inner: Block, widthMm: number, padMm = 4): Block {
  const heightMm = inner.heightMm + 2 * padMm - 1
  const corners = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ]
  return {
    heightMm: heightMm + 3,
    draw: () => [
      { kind: 'stroke', paths: [corners], widthMm: 0.35, colour: INK, closed: true },
      line(1.1, 1.1, 0, 0, INK),
      {
        kind: 'stroke',
        paths: [
          [
            { x: 1.1, y: 0 },
            { x: 1.1, y: heightMm },
          ],
        ],
        widthMm: 2.2,
        colour: '#C79A2A',
      },
      ...moveItems(inner.draw(), { x: padMm + 1.5, y: padMm - 1 }),
    ],
  }
}

/** Text stands so far under the top of its line. */
export const baseline = (size: TypeSize): number => (size.leadMm - size.sizeMm) / 2 + size.sizeMm * 0.82

interface Run {
  readonly text: string
  readonly face: Face
}

function runsOf(said: string, face: Face): readonly Run[] {
  return said.split('**').flatMap((part, index): Run[] => (part === '' ? [] : [{ text: part, face: index % 2 === 1 ? 'text-bold' : face }]))
}

interface PlacedRun extends Run {
  readonly x: number
}

/** Words of the same face that stand beside one another are one run; a word wider than the line is cut. */
function wrapRuns(runs: readonly Run[], widthMm: number, sizeMm: number, measure: MeasureText): readonly (readonly PlacedRun[])[] {
  const lines: PlacedRun[][] = [[]]
  let x = 0
  const space = measure(' ', sizeMm, 'text')
  // A word may be of several faces: it is broken only at spaces.
  const tokens = runs.flatMap(({ text: part, face }) =>
    part
      .split(/(\s+)/)
      .filter((one) => one !== '')
      .map((one) => ({ text: one, face })),
  )
  const wordsOf: Run[][] = []
  let isNew = true
  for (const token of tokens) {
    if (/^\s+$/.test(token.text)) isNew = true
    else if (isNew) {
      wordsOf.push([token])
      isNew = false
    } else wordsOf.at(-1)?.push(token)
  }
  const put = (parts: readonly Run[]): void => {
    for (const part of parts) {
      const last = lines.at(-1) as PlacedRun[]
      const before = last.at(-1)
      if (before && before.face === part.face) last[last.length - 1] = { ...before, text: before.text + part.text }
      else last.push({ ...part, x })
      x += measure(part.text, sizeMm, part.face)
    }
  }
  for (const parts of wordsOf) {
    const wide = parts.reduce((sum, part) => sum + measure(part.text, sizeMm, part.face), 0)
    const isFirst = (lines.at(-1) as PlacedRun[]).length === 0
    if (!isFirst && x + space + wide > widthMm) {
      lines.push([])
      x = 0
    } else if (!isFirst) {
      const last = lines.at(-1) as PlacedRun[]
      const before = last.at(-1) as PlacedRun
      if (before.face === parts[0]?.face) {
        last[last.length - 1] = { ...before, text: `${before.text} ` }
        x += measure(' ', sizeMm, before.face)
      } else x += space
    }
    if (wide <= widthMm) put(parts)
    else
      for (const piece of cut(parts, widthMm, sizeMm, measure)) {
        if ((lines.at(-1) as PlacedRun[]).length > 0) {
          lines.push([])
          x = 0
        }
        put([piece])
      }
  }
  return lines.filter((one) => one.length > 0)
}

function cut(parts: readonly Run[], widthMm: number, sizeMm: number, measure: MeasureText): readonly Run[] {
  return parts.flatMap(({ text: whole, face }) => {
    const pieces: Run[] = []
    let rest = [...whole]
    while (rest.length > 0) {
      let count = rest.length
      while (count > 1 && measure(rest.slice(0, count).join(''), sizeMm, face) > widthMm) count -= 1
      pieces.push({ text: rest.slice(0, count).join(''), face })
      rest = rest.slice(count)
    }
    return pieces
  })
}
