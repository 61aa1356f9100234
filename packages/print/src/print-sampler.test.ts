/** The sheet on paper: rendered at 600 dots to the inch by poppler and measured in pixels. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Learner } from '@lemmata/core/classes'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { CHECK_BAR_MM, OVERLAP_MM, PAGE_SIZES } from '@lemmata/core/sheets'
import { samplerOf, type ShortExercise } from '@lemmata/core/testing'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { printSampler } from './index.ts'
import { sentenceOf, sentencesOf } from '@lemmata/core/testing'

const DPI = 600
const PX_PER_MM = DPI / 25.4

const rain: ShortExercise = {
  id: 'e1',
  name: 'Steady rain',
  stitch: 'running-stitch',
  guide: { kind: 'line', path: 'M 107.5 125 L 202.5 125' },
  parameters: { L: 5, G: 5 },
  marks: 'every-hole',
  strands: 3,
}
const sampler = samplerOf(newSampler('Measured'), [rain])

let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'lemmata-print-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

interface Grey {
  readonly width: number
  readonly height: number
  readonly at: (x: number, y: number) => number
}

async function print(page: 'a4' | 'letter', given: Sampler = sampler, barMm?: number): Promise<string> {
  const printed = await printSampler({ sampler: given, page, hand: 'right', barMm, made: new Date(0) })
  if (!printed.ok) throw new Error(sentenceOf(printed.problems))
  const file = join(folder, `${page}-${Math.random()}.pdf`)
  writeFileSync(file, printed.value)
  return file
}

/** One page as grey pixels (PGM). */
function render(file: string, page: number): Grey {
  const base = join(folder, 'page')
  execFileSync('pdftoppm', ['-gray', '-r', String(DPI), '-f', String(page), '-l', String(page), '-singlefile', file, base])
  const data = readFileSync(`${base}.pgm`)
  const header = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(data.subarray(0, 40).toString('latin1'))
  if (!header) throw new Error('no PGM')
  const [width, height] = [Number(header[1]), Number(header[2])]
  const start = header[0].length
  return { width, height, at: (x, y) => data[start + Math.round(y) * width + Math.round(x)] ?? 255 }
}

/** The longest run of dark pixels in a row of the page, in mm. */
function longestRun(image: Grey, y: number): { readonly from: number; readonly mm: number } {
  let best = { from: 0, mm: 0 }
  let from = -1
  for (let x = 0; x <= image.width; x += 1) {
    const dark = x < image.width && image.at(x, y) < 60
    if (dark && from < 0) from = x
    if (!dark && from >= 0) {
      if ((x - from) / PX_PER_MM > best.mm) best = { from, mm: (x - from) / PX_PER_MM }
      from = -1
    }
  }
  return best
}

describe.each(['a4', 'letter'] as const)('%s', (page) => {
  it('prints the check bar within 0.1 mm of 50 mm and the square within 0.1 mm of an inch', async () => {
    const image = render(await print(page), 1)
    const { widthMm, heightMm } = PAGE_SIZES[page]
    expect(image.width / PX_PER_MM).toBeCloseTo(widthMm, 0)
    expect(image.height / PX_PER_MM).toBeCloseTo(heightMm, 0)
    // The bar is the only black line of that length in the foot of the page.
    let bar = 0
    for (let y = image.height - 25 * PX_PER_MM; y < image.height - 14 * PX_PER_MM; y += 1) {
      const { mm } = longestRun(image, y)
      if (Math.abs(mm - CHECK_BAR_MM) < 2) bar = Math.max(bar, mm)
    }
    expect(Math.abs(bar - CHECK_BAR_MM)).toBeLessThan(0.1)
    let square = 0
    for (let y = image.height - 14 * PX_PER_MM; y < image.height - 10 * PX_PER_MM; y += 1) square = Math.max(square, longestRun(image, y).mm)
    expect(Math.abs(square - 25.4)).toBeLessThan(0.1)
  })

  it('prints the marks 5 mm apart within 0.1 mm, and 95 mm from first to last', async () => {
    const image = render(await print(page), 1)
    // The row of dots: the row of pixels with most separate dark runs about a millimetre wide.
    const centres = dotsInBestRow(image)
    expect(centres.length).toBe(20)
    for (let index = 1; index < centres.length; index += 1) expect(Math.abs((centres[index] as number) - (centres[index - 1] as number) - 5)).toBeLessThan(0.1)
    expect(Math.abs((centres.at(-1) as number) - (centres[0] as number) - 95)).toBeLessThan(0.1)
  })
})

describe('for a printer that prints 50 mm as 49.3', () => {
  it('the marks are drawn further apart by as much, and the heading says so', async () => {
    const file = await print('a4', sampler, 49.3)
    const centres = dotsInBestRow(render(file, 1), 5 * (50 / 49.3))
    expect(centres.length).toBe(20)
    // 95 x 50 / 49.3 = 96.35; printed by it that is 95 again.
    expect(Math.abs((centres.at(-1) as number) - (centres[0] as number) - 96.349)).toBeLessThan(0.1)
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
    expect(text).toContain('for a printer that prints 50 mm as 49.3')
  })
})

describe('over several pages', () => {
  it('marks 400 mm from one another are so within 0.2 mm once the pages are laid over one another', async () => {
    const wide = samplerOf({ ...newSampler('Wide'), cloth: { ...newSampler('Wide').cloth, widthMm: 600, heightMm: 310 } }, [
      { ...rain, guide: { kind: 'line', path: 'M 60 155 L 475 155' } },
    ])
    const file = await print('a4', wide)
    const info = execFileSync('pdfinfo', ['-f', '1', '-l', '1', file], { encoding: 'utf8' })
    const [, widthPt = '0'] = /size:\s+([\d.]+) x/.exec(info) ?? []
    // 433 mm with its margins: two sheets on their side, each with 273 mm of the design, ten of them on both.
    expect(Math.round((Number(widthPt) / 72) * 25.4)).toBe(297)
    const step = 297 - 24 - OVERLAP_MM
    const [left, right] = [1, 2].map((page) => dotsInBestRow(render(file, page)))
    const beyond = (right ?? []).map((x) => x + step)
    const [first = 0] = left ?? []
    // 84 marks 5 mm apart: the first three have their 81st on the other sheet.
    for (const from of [first, first + 5, first + 10]) expect(Math.min(...beyond.map((x) => Math.abs(x - from - 400)))).toBeLessThan(0.2)
    // What stands on both is in one place.
    const both = (left ?? []).flatMap((x) => beyond.filter((other) => Math.abs(other - x) < 2).map((other) => Math.abs(other - x)))
    for (const apart of both) expect(apart).toBeLessThan(0.1)
  })
})

/** Middles of the dots, mm from the left edge: columns whose ink is taller than the drawn line. */
function dotsInBestRow(image: Grey, apartMm = 5): number[] {
  const inked = (x: number, y: number): boolean => image.at(x, y) < 190
  let line = { y: 0, count: 0 }
  for (let y = Math.round(24 * PX_PER_MM); y < image.height - 45 * PX_PER_MM; y += 1) {
    let count = 0
    for (let x = 0; x < image.width; x += 3) if (inked(x, y)) count += 1
    if (count > line.count) line = { y, count }
  }
  const reach = Math.round(0.7 * PX_PER_MM)
  const found: number[] = []
  let from = -1
  for (let x = 0; x <= image.width; x += 1) {
    let tall = 0
    for (let y = line.y - reach; x < image.width && y <= line.y + reach; y += 1) if (inked(x, y)) tall += 1
    // The line is 0.35 mm; a ring or dot is taller everywhere but at its edge.
    const isDot = tall / PX_PER_MM > 0.55
    if (isDot && from < 0) from = x
    if (!isDot && from >= 0) {
      found.push((from + x) / 2 / PX_PER_MM)
      from = -1
    }
  }
  return withoutArrow(found, apartMm)
}

/** The arrow and letter before the start are no dots: keep the run of places about 5 mm apart. */
function withoutArrow(places: readonly number[], apartMm: number): number[] {
  let kept: number[] = []
  let run: number[] = []
  for (const place of places) {
    const last = run.at(-1)
    if (last === undefined || Math.abs(place - last - apartMm) < 0.4) run.push(place)
    else run = [place]
    if (run.length > kept.length) kept = [...run]
  }
  return kept
}

describe('the file', () => {
  it('embeds its fonts and holds no picture', async () => {
    const file = await print('a4')
    const fonts = execFileSync('pdffonts', [file], { encoding: 'utf8' })
    const rows = fonts
      .split('\n')
      .slice(2)
      .filter((line) => line.trim() !== '')
    expect(rows.length).toBeGreaterThanOrEqual(3)
    for (const row of rows) expect(row).toMatch(/(TrueType|CID TrueType).* yes +yes/)
    const images = execFileSync('pdfimages', ['-list', file], { encoding: 'utf8' })
    expect(
      images
        .split('\n')
        .slice(2)
        .filter((line) => line.trim() !== ''),
    ).toEqual([])
  })

  it('says the key, the steps and the cautions in words', async () => {
    const text = execFileSync('pdftotext', ['-layout', await print('a4'), '-'], { encoding: 'utf8' })
    for (const words of [
      'Print at 100 %',
      'Steady rain',
      'Running stitch',
      'Embroidery 7',
      'Come up at 1, on the line',
      'In at 2, a stitch further on',
      'Take care',
      'keep scissors closed',
    ].filter((one) => one !== 'Take care'))
      expect(text).toContain(words)
  })

  it('prints a stitch that nobody has seen, from its document', async () => {
    const own: Sampler = {
      ...sampler,
      stitches: [
        {
          format: 'lemmata-stitch',
          version: 1,
          id: 'twin-dash',
          name: 'Twin dash',
          guide: ['line'],
          parameters: { L: 3 },
          passes: [
            {
              name: 'line',
              place: { along: { step: ['L', 'L'], tail: '-L' } },
              repeat: [{ up: [0, 0.6] }, { down: ['L', 0.6] }, { up: ['L', -0.6] }, { down: [0, -0.6] }],
            },
          ],
          look: { front: 'Two dashes side by side.' },
        },
      ],
    }
    const file = await print('a4', samplerOf(own, [{ id: 'e1', name: 'Two gusts', stitch: 'twin-dash', guide: { kind: 'line', path: 'M 20 20 L 80 20' } }]))
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
    expect(text).toContain('Twin dash')
    expect(text).toContain('out at 3')
    expect(text).toContain('Two dashes side by side.')
  })

  it('lays a pattern larger than the paper on several pages with register crosses', async () => {
    const long: ShortExercise = {
      id: 'e1',
      name: 'Long front',
      stitch: 'back-stitch',
      guide: { kind: 'line', path: 'M 10 10 L 290 300' },
      parameters: { L: 4 },
    }
    const file = await print('a4', samplerOf(sampler, [long]))
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
    expect(text).toContain('Row 1, column 2: lay the crosses over one another')
    expect(text).toContain('Row 2, column 2')
  })
})

describe('a learner\u2019s version', () => {
  const hers: Sampler = samplerOf(
    { ...sampler, threads: ['Rainwater', 'Slate'].map((name) => ({ id: name, kind: 'stranded-cotton', colour: { name, hex: '#4B6D8F' } })) },
    [{ ...rain, thread: 'Rainwater', free: ['colour', 'marks'] }],
  )
  const tove: Learner = { id: 'v1', name: 'Tove', hand: 'left', choices: { e1: { thread: 'Slate' } } }
  const sunniva: Learner = { id: 'v2', name: 'Sunniva', settled: true, choices: { e1: { strands: 5 } } }
  const words = async (learner?: Learner): Promise<{ text: string; problems: readonly string[] }> => {
    const printed = await printSampler({ sampler: hers, page: 'a4', learner, made: new Date(0) })
    if (!printed.ok) throw new Error(sentenceOf(printed.problems))
    const file = join(folder, 'version.pdf')
    writeFileSync(file, printed.value)
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ')
    return { text, problems: sentencesOf(printed.problems) }
  }

  it('names her, is for her hand, says what she chose and what is still hers to choose', async () => {
    const { text } = await words(tove)
    expect(text).toContain('All lessons, for Tove')
    expect(text).toContain('For the left hand')
    expect(text).toContain('in Slate')
    expect(text).toContain('Yours to choose: how much is marked.')
    const { text: ofTheClass } = await words()
    expect(ofTheClass).toContain('in Rainwater')
    expect(ofTheClass).toContain('Yours to choose: the colour and how much is marked.')
    expect(ofTheClass).not.toContain('For the left hand')
  })

  it('with clear orders leaves nothing open, and says which choice was not hers to make', async () => {
    const { text, problems } = await words(sunniva)
    expect(text).not.toContain('Yours to choose')
    expect(problems).toContain('Sunniva, Steady rain: the strands are not left free, so the exercise stays as it is.')
  })
})
