/** A pattern on paper, rendered by poppler: how much of what was drawn has ink where it should lie, at its true size. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Point } from '@lemmata/core/geometry'
import { contentArea, OVERLAP_MM, PAPERS } from '@lemmata/core/sheets'

const DPI = 127
const PX_PER_MM = DPI / 25.4
/** Ink counts where it lies within so much, mm. */
const NEAR_MM = 0.4

interface Ink {
  readonly widthPx: number
  readonly heightPx: number
  /** Not 0 where ink lies within `NEAR_MM`. */
  readonly near: Uint8Array
}

/** `share`: of the places, those with ink, the pattern laid where most have; `smaller`: the same of places drawn together by a hundredth. */
export function sharePrinted(pdf: Buffer, places: readonly Point[]): { readonly share: number; readonly smaller: number } {
  const folder = mkdtempSync(join(tmpdir(), 'lemmata-paper-'))
  try {
    const file = join(folder, 'sheet.pdf')
    writeFileSync(file, pdf)
    const ink = patternOf(folder, file)
    return {
      share: bestShare(ink, places),
      smaller: bestShare(
        ink,
        places.map(({ x, y }) => ({ x: x * 0.99, y: y * 0.99 })),
      ),
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** The pages of the pattern, put together as a learner does: what both show lies on one another. */
function patternOf(folder: string, file: string): Ink {
  const pages = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).split('\f')
  const tiles = pages.flatMap((text, index) => {
    const place = /Row (\d+), column (\d+)/.exec(text)
    return place ? [{ page: index + 1, row: Number(place[1]) - 1, column: Number(place[2]) - 1 }] : []
  })
  const all = tiles.length > 0 ? tiles : [{ page: 1, row: 0, column: 0 }]
  const shots = all.map((tile) => ({ ...tile, shot: shotOf(folder, file, tile.page) }))
  const paper = PAPERS.a4
  // The pattern lies on its side where that takes fewer sheets.
  const area = contentArea(shots.some(({ shot }) => shot.width > shot.height) ? { widthMm: paper.heightMm, heightMm: paper.widthMm } : paper)
  const [wide, high] = [Math.round(area.widthMm * PX_PER_MM), Math.round(area.heightMm * PX_PER_MM)]
  const [columns, rows] = [Math.max(...all.map((one) => one.column)) + 1, Math.max(...all.map((one) => one.row)) + 1]
  const [widthPx, heightPx] = [columns * wide, rows * high]
  const [stepX, stepY] = [area.widthMm - OVERLAP_MM, area.heightMm - OVERLAP_MM].map((mm) => Math.round(mm * PX_PER_MM)) as [number, number]
  const dark = new Uint8Array(widthPx * heightPx)
  for (const { row, column, shot } of shots) {
    const [left, top] = [Math.round(area.left * PX_PER_MM), Math.round(area.top * PX_PER_MM)]
    for (let y = 0; y < high; y += 1)
      for (let x = 0; x < wide; x += 1)
        if ((shot.data[(top + y) * shot.width + left + x] ?? 255) < 200) dark[(row * stepY + y) * widthPx + column * stepX + x] = 1
  }
  return { widthPx, heightPx, near: spread(dark, widthPx, heightPx, Math.round(NEAR_MM * PX_PER_MM)) }
}

function shotOf(folder: string, file: string, page: number): { readonly width: number; readonly height: number; readonly data: Uint8Array } {
  const base = join(folder, `page-${page}`)
  execFileSync('pdftoppm', ['-gray', '-r', String(DPI), '-f', String(page), '-l', String(page), '-singlefile', file, base])
  const data = readFileSync(`${base}.pgm`)
  const header = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(data.subarray(0, 40).toString('latin1'))
  if (!header) throw new Error('no PGM')
  return { width: Number(header[1]), height: Number(header[2]), data: data.subarray(header[0].length) }
}

function spread(dark: Uint8Array, widthPx: number, heightPx: number, byPx: number): Uint8Array {
  const near = new Uint8Array(dark.length)
  for (let y = byPx; y < heightPx - byPx; y += 1)
    for (let x = byPx; x < widthPx - byPx; x += 1)
      if (dark[y * widthPx + x] === 1) for (let dy = -byPx; dy <= byPx; dy += 1) near.fill(1, (y + dy) * widthPx + x - byPx, (y + dy) * widthPx + x + byPx + 1)
  return near
}

/** Over all ways of laying the places on the paper, a millimetre apart and then a pixel apart: the largest share with ink. */
function bestShare(ink: Ink, places: readonly Point[]): number {
  const [left, top] = [Math.min(...places.map((one) => one.x)), Math.min(...places.map((one) => one.y))]
  const at = places.map(({ x, y }) => [Math.round((x - left) * PX_PER_MM), Math.round((y - top) * PX_PER_MM)] as const)
  const [wide, high] = [Math.max(...at.map(([x]) => x)), Math.max(...at.map(([, y]) => y))]
  const shareAt = (dx: number, dy: number, some: readonly (readonly [number, number])[]): number =>
    some.reduce((sum, [x, y]) => sum + (ink.near[(y + dy) * ink.widthPx + x + dx] ?? 0), 0) / some.length
  const sieve = at.filter((_, index) => index % 40 === 0)
  let best = { share: 0, dx: 0, dy: 0 }
  for (let dy = 0; dy < ink.heightPx - high; dy += 2)
    for (let dx = 0; dx < ink.widthPx - wide; dx += 2) {
      const share = shareAt(dx, dy, sieve)
      if (share > best.share) best = { share, dx, dy }
    }
  let whole = 0
  for (let dy = best.dy - 3; dy <= best.dy + 3; dy += 1) for (let dx = best.dx - 3; dx <= best.dx + 3; dx += 1) whole = Math.max(whole, shareAt(dx, dy, at))
  return whole
}
