/**
 * `npm run bench:print`: a learner's book laid out, drawn and written, beside the least that a PDF of the same drawing can be: its lines
 * and words as operators, deflated, without fonts, tags or outline. Quote the ratio.
 */
import { deflateSync } from 'node:zlib'
import { sixThursdays, weatherDiary } from '@lemmata/contract/demo'
import type { Drawing, DrawingItem } from '@lemmata/core/drawing'
import type { Sampler } from '@lemmata/core/sampler'
import { layBook, writePdf } from '@lemmata/print'

const made = new Date('2027-01-14T12:00:00Z')
const show = (value: number): string => String(Math.round(value * 100) / 100)
const inkOf = (hex: string): string => [1, 3, 5].map((from) => show(Number.parseInt(hex.slice(from, from + 2), 16) / 255)).join(' ')
const pathOf = (points: readonly { readonly x: number; readonly y: number }[]): string =>
  points.map(({ x, y }, index) => `${show(x)} ${show(y)} ${index === 0 ? 'm' : 'l'}`).join('\n')

function bare(items: readonly DrawingItem[]): string {
  return items
    .map((item): string => {
      switch (item.kind) {
        case 'stroke':
          return `${inkOf(item.colour)} RG ${show(item.widthMm)} w\n${item.paths.map(pathOf).join('\n')}\nS`
        case 'fill':
          return `${inkOf(item.colour)} rg\n${[item.points, ...(item.also ?? [])].map(pathOf).join(' h\n')} h f`
        case 'words':
          return `BT /F ${show(item.sizeMm)} Tf ${show(item.at.x)} ${show(item.at.y)} Td (${item.text.replace(/[\\()]/g, '')}) Tj ET`
        case 'disc':
          return `${show(item.at.x)} ${show(item.at.y)} ${show(item.radiusMm)} ${show(item.radiusMm)} re f`
        case 'ring':
          return ''
        case 'clipped':
        case 'tagged':
          return bare(item.items)
      }
    })
    .join('\n')
}

/** Objects one after the other, as they would stand in the file. */
function barePdf(pages: readonly Drawing[]): number {
  return pages.reduce((sum, page) => sum + deflateSync(page.layers.map((layer) => bare(layer.items)).join('\n')).length + 200, 0)
}

async function measure(name: string, sampler: Sampler): Promise<void> {
  const lay = (): ReturnType<typeof layBook> => layBook({ sampler, page: 'a4', made })
  // Once to warm up, as a server that prints is.
  lay()
  const began = performance.now()
  const laid = lay()
  if (!laid.ok) throw new Error(laid.problems[0]?.code)
  const book = laid.value
  const laidOut = performance.now()
  const first = book.drawPage(0)
  const firstDrawn = performance.now()
  const pages = [first, ...Array.from({ length: book.pages + book.patternPages - 1 }, (_, index) => book.drawPage(index + 1))]
  const drawn = performance.now()
  const times = { bare: [] as number[], whole: [] as number[] }
  for (let turn = 0; turn < 3; turn += 1) {
    const from = performance.now()
    barePdf(pages)
    const between = performance.now()
    await writePdf(pages, { title: name, made, outline: book.outline })
    times.bare.push(between - from)
    times.whole.push(performance.now() - between)
  }
  const middle = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[1] as number
  const [raw, whole] = [middle(times.bare), middle(times.whole)]
  console.log(`${name}, ${pages.length} pages`)
  console.log(`  laid out                 ${Math.round(laidOut - began)} ms, its first page drawn ${Math.round(firstDrawn - laidOut)} ms after that`)
  console.log(`  all pages drawn          ${Math.round(drawn - firstDrawn)} ms`)
  console.log(`  operators alone, packed  ${Math.round(raw)} ms`)
  console.log(`  written                  ${Math.round(whole)} ms, ${(whole / raw).toFixed(2)} x; at most 2`)
}

await measure('Six Thursdays', sixThursdays('2027-01-14'))
await measure('Weather Diary', weatherDiary())
