/**
 * Outlines of an SVG file as guides in millimetres. Only what is drawn as outlines is read: nothing is executed, no entity is
 * resolved, nothing is fetched; what cannot be used is counted and said.
 */
import { SaxesParser, type SaxesTagPlain } from 'saxes'
import svgpath from 'svgpath'
import { caution, error, failure, type Problem, type Result, success } from '../base/index.ts'
import { MAX_PATH_CHARACTERS, parsePath } from '../geometry/index.ts'
import type { BroughtGuide } from './brought.ts'

/** Bare path data as an SVG drawing of it, one unit a millimetre; anything else as it is. */
export function asSvg(text: string): { readonly svg: string; readonly isData: boolean } {
  const isData = /^\s*[Mm]/.test(text)
  return { isData, svg: isData ? `<svg viewBox="0 0 1000 1000"><path d="${text.replace(/["&<]/g, ' ')}"/></svg>` : text }
}

export interface Brought {
  readonly guides: readonly BroughtGuide[]
  /** Of the drawing as a whole, mm. */
  readonly widthMm: number
  readonly heightMm: number
}

export const MOST_SVG_CHARACTERS = 5_000_000
export const MOST_OUTLINES = 400
const MOST_NESTED = 100
/** Shorter than this is a speck. */
const SHORTEST_MM = 0.5
/** One pixel of a drawing program: 96 to the inch. */
const MM_PER_PX = 25.4 / 96

const MM_PER_UNIT: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: MM_PER_PX, '': MM_PER_PX }

/** Drawn nowhere by itself. */
const NOT_DRAWN = new Set([
  'defs',
  'symbol',
  'clippath',
  'mask',
  'marker',
  'pattern',
  'style',
  'metadata',
  'title',
  'desc',
  'sodipodi:namedview',
  'lineargradient',
  'radialgradient',
  'filter',
])
/** Could be seen, and cannot be stitched from here. */
const LEFT_OUT: Readonly<Record<string, string>> = {
  text: 'words',
  image: 'pictures',
  use: 'repeated parts',
  foreignobject: 'foreign parts',
  script: 'scripts',
  switch: 'choices',
}

interface Open {
  readonly transform: string | null
  readonly name: string | null
  readonly isGroup: boolean
}

class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code)
  }
}

/** `mmPerUnit`: of the drawing's own unit, where the file does not say how large it is or says it wrongly. */
export function readSvg(text: string, options: { readonly mmPerUnit?: number | undefined } = {}): Result<Brought> {
  if (text.length > MOST_SVG_CHARACTERS) return failure(error('svg.too-large', [], { characters: text.length, most: MOST_SVG_CHARACTERS }))
  const reader = new Reader(options.mmPerUnit ?? null)
  try {
    reader.read(text)
  } catch (thrown) {
    if (thrown instanceof Refused) return failure(thrown.problem)
    return failure(error('svg.unreadable', [], { reason: thrown instanceof Error ? (thrown.message.split('\n')[0] ?? '') : 'not XML' }))
  }
  const { guides } = reader
  if (!reader.size) return failure(error('svg.not-svg', []))
  if (guides.length === 0) return failure(error('svg.no-outlines', []), ...reader.said())
  return success({ guides, ...reader.size }, reader.said())
}

class Reader {
  readonly guides: BroughtGuide[] = []
  size: { readonly widthMm: number; readonly heightMm: number } | null = null
  private root: { readonly scale: number; readonly left: number; readonly top: number } | null = null
  private readonly open: Open[] = []
  /** How many open elements lie in one that is not drawn. */
  private hidden = 0
  private readonly leftOut = new Map<string, number>()
  private specks = 0
  private unreadable = 0
  private tooMany = 0

  constructor(private readonly mmPerUnit: number | null) {}

  read(text: string): void {
    const parser = new SaxesParser()
    parser.on('error', (thrown) => {
      throw thrown
    })
    parser.on('opentag', (tag) => this.enter(tag))
    parser.on('closetag', () => this.leave())
    parser.write(text).close()
  }

  private enter({ name, attributes }: SaxesTagPlain): void {
    const kind = name.replace(/^svg:/, '').toLowerCase()
    if (this.open.length >= MOST_NESTED) throw new Refused(error('svg.too-deep', [], { most: MOST_NESTED }))
    if (this.open.length === 0) {
      if (kind !== 'svg') throw new Refused(error('svg.not-svg', []))
      this.begin(attributes)
    }
    const isHidden = this.hidden > 0 || NOT_DRAWN.has(kind) || kind in LEFT_OUT || isUnseen(attributes)
    if (this.hidden === 0 && kind in LEFT_OUT) this.count(LEFT_OUT[kind] as string)
    if (isHidden) this.hidden += 1
    const label = attributes['inkscape:label'] ?? attributes['data-name'] ?? null
    this.open.push({ transform: attributes.transform ?? null, name: label ?? (kind === 'g' ? (attributes.id ?? null) : null), isGroup: kind === 'g' })
    if (isHidden) return
    const data = outlineOf(kind, attributes)
    if (data !== null) this.take(data, nameOf(label ?? attributes.id ?? null))
  }

  private leave(): void {
    this.open.pop()
    if (this.hidden > 0) this.hidden -= 1
  }

  private begin(attributes: Record<string, string>): void {
    const box = (attributes.viewBox ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number)
    const [left = 0, top = 0, wide = NaN, high = NaN] = box.length === 4 && box.every(Number.isFinite) ? box : []
    const [width, height] = [lengthMm(attributes.width), lengthMm(attributes.height)]
    const scale = this.mmPerUnit ?? (wide > 0 && width !== null ? width / wide : high > 0 && height !== null ? height / high : MM_PER_PX)
    if (!(scale > 0 && scale < 1000)) throw new Refused(error('svg.no-size', []))
    this.root = { scale, left, top }
    this.size = { widthMm: wide > 0 ? wide * scale : (width ?? 0), heightMm: high > 0 ? high * scale : (height ?? 0) }
  }

  private take(data: string, name: string | null): void {
    if (!this.root) return
    if (data.length > MAX_PATH_CHARACTERS) {
      this.unreadable += 1
      return
    }
    const { scale, left, top } = this.root
    const path = svgpath(data)
    if ((path as unknown as { err?: string }).err) {
      this.unreadable += 1
      return
    }
    // Its own transform comes first, then that of each group around it.
    for (const { transform } of [...this.open].reverse()) if (transform !== null) path.transform(transform)
    path.translate(-left, -top).scale(scale, scale).abs().round(4)
    const layer = nameOf(this.open.find((one) => one.isGroup && one.name !== null)?.name ?? null)
    for (const part of partsOf(path.toString())) this.put(part, name, layer)
  }

  private put(part: string, name: string | null, layer: string | null): void {
    const parsed = parsePath(part)
    if (!parsed.ok) this.unreadable += 1
    else if (parsed.value.length < SHORTEST_MM) this.specks += 1
    else if (this.guides.length >= MOST_OUTLINES) this.tooMany += 1
    else this.guides.push({ name, layer, guide: parsed.value.closed ? { kind: 'shape', path: part } : { kind: 'line', path: part } })
  }

  private count(what: string): void {
    this.leftOut.set(what, (this.leftOut.get(what) ?? 0) + 1)
  }

  said(): readonly Problem[] {
    return [
      ...[...this.leftOut].map(([what, count]) => caution('svg.left-out', [], { count, what })),
      ...(this.unreadable > 0 ? [caution('svg.outlines-unreadable', [], { count: this.unreadable })] : []),
      ...(this.specks > 0 ? [caution('svg.specks', [], { count: this.specks })] : []),
      ...(this.tooMany > 0 ? [caution('svg.too-many', [], { count: this.tooMany, most: MOST_OUTLINES })] : []),
    ]
  }
}

function isUnseen({ display, visibility, style = '' }: Record<string, string>): boolean {
  return display === 'none' || visibility === 'hidden' || /(^|;)\s*(display\s*:\s*none|visibility\s*:\s*hidden)/.test(style)
}

const nameOf = (name: string | null): string | null => {
  const said = (name ?? '').replace(/\s+/g, ' ').trim().slice(0, 100)
  return said === '' ? null : said
}

function lengthMm(said: string | undefined): number | null {
  const match = /^\s*([\d.eE+-]+)\s*(mm|cm|in|pt|pc|px|)\s*$/.exec(said ?? '')
  const value = match ? Number(match[1]) * (MM_PER_UNIT[match[2] as string] as number) : NaN
  return Number.isFinite(value) && value > 0 ? value : null
}

/** Null for what is not an outline; numbers that are none make a path that is none. */
function outlineOf(kind: string, attributes: Record<string, string>): string | null {
  const n = (key: string): number => Number(attributes[key] ?? 0)
  switch (kind) {
    case 'path':
      return attributes.d ?? null
    case 'line':
      return `M ${n('x1')} ${n('y1')} L ${n('x2')} ${n('y2')}`
    case 'polyline':
    case 'polygon': {
      const points = (attributes.points ?? '').trim()
      return points === '' ? null : `M ${points}${kind === 'polygon' ? ' Z' : ''}`
    }
    case 'rect':
      return box(n('x'), n('y'), n('width'), n('height'), n(attributes.rx === undefined ? 'ry' : 'rx'), n(attributes.ry === undefined ? 'rx' : 'ry'))
    case 'circle':
      return oval(n('cx'), n('cy'), n('r'), n('r'))
    case 'ellipse':
      return oval(n('cx'), n('cy'), n('rx'), n('ry'))
    default:
      return null
  }
}

/** With its corners rounded, by at most half of it. */
function box(x: number, y: number, width: number, height: number, givenX: number, givenY: number): string {
  const [rx, ry] = [Math.min(Math.max(0, givenX), width / 2), Math.min(Math.max(0, givenY), height / 2)]
  if (!(rx > 0 && ry > 0)) return `M ${x} ${y} h ${width} v ${height} h ${-width} Z`
  const turn = (dx: number, dy: number): string => `a ${rx} ${ry} 0 0 1 ${dx} ${dy}`
  const [across, down] = [width - 2 * rx, height - 2 * ry]
  return `M ${x + rx} ${y} h ${across} ${turn(rx, ry)} v ${down} ${turn(-rx, ry)} h ${-across} ${turn(-rx, -ry)} v ${-down} ${turn(rx, -ry)} Z`
}

const oval = (x: number, y: number, rx: number, ry: number): string =>
  `M ${x} ${y - ry} A ${rx} ${ry} 0 0 1 ${x} ${y + ry} A ${rx} ${ry} 0 0 1 ${x} ${y - ry} Z`

/** Each from its own M; after abs() every subpath begins with one. */
const partsOf = (data: string): readonly string[] => data.split(/(?=M)/).filter((part) => part.trim() !== '')
