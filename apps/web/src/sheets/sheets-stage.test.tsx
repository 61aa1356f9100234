// @vitest-environment jsdom
/** The Sheets stage: which pages there are for whom, and the address that the server makes the PDF from. */
import type { PrintLine } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { edit, store } from '../store/index.ts'
import { choose, closePage, openPage } from '../testing/page.tsx'
import { nextRowsAddress } from './papers.ts'
import { SheetsStage } from './SheetsStage.tsx'
import { keptPaper } from './use-paper.ts'

const demo = bandSampler('2026-12-03')
const open = (sampler: Sampler = demo) => openPage(sampler, <SheetsStage />)
const pages = (): HTMLElement[] => screen.queryAllByRole('img', { name: /^Page \d+ of \d+$/ })
const address = (): URL => new URL(screen.getByText('Make the PDF').closest('a')?.getAttribute('href') ?? '', 'http://here')
afterEach(() => {
  closePage()
  localStorage.clear()
})

describe('the pages', () => {
  it('are numbered, and of one lesson fewer than of the whole sampler', async () => {
    open()
    const all = pages().length
    expect(all).toBeGreaterThan(demo.lessons.length)
    expect(pages().at(-1)?.getAttribute('aria-label')).toBe(`Page ${all} of ${all}`)
    await choose('Lesson', demo.lessons[0]?.title ?? '')
    expect(pages().length).toBeLessThan(all)
    expect(pages().length).toBeGreaterThan(0)
  })

  it('on letter paper are broader and shorter than on A4', () => {
    open()
    const size = (): number[] => [pages()[0]?.style.width, pages()[0]?.style.height].map((one) => Number.parseFloat(one ?? ''))
    const [a4Wide = 0, a4High = 0] = size()
    fireEvent.click(screen.getByText('Letter'))
    const [wide = 0, high = 0] = size()
    // 210 by 297 mm against 215.9 by 279.4.
    expect(wide / a4Wide).toBeCloseTo(215.9 / 210, 3)
    expect(high / a4High).toBeCloseTo(279.4 / 297, 3)
  })

  it('without an exercise there are none, and nothing can be printed', () => {
    open(newSampler('Empty'))
    expect(pages()).toEqual([])
    expect(screen.getByText('There is nothing to print yet. Choose a stitch first.')).toBeTruthy()
  })
})

describe('the learner’s book', () => {
  it('is laid out with all its pages, and asked for as it is set', async () => {
    open()
    await choose('What is printed', 'Learner’s book')
    const first = await screen.findByRole('img', { name: /^Page 1 of \d+$/ }, { timeout: 20_000 })
    const count = Number(/of (\d+)$/.exec(first.getAttribute('aria-label') ?? '')?.[1])
    expect(pages().length).toBe(count)
    expect(screen.getAllByRole('img', { name: /^Pattern sheet 1 of/ })).toHaveLength(1)
    expect(screen.getByText(new RegExp(`^${count} pages and 1 pattern sheet`))).toBeTruthy()
    expect(address().pathname).toBe(`/api/samplers/${store.getState().sampler.open?.id ?? ''}/book.pdf`)
    fireEvent.click(screen.getByText('Left hand'))
    await choose('How it is set', 'Large print')
    expect(Object.fromEntries(address().searchParams)).toEqual({ page: 'a4', hand: 'left', form: 'large' })
    // Large print takes more of them.
    await waitFor(() => expect(pages().length).toBeGreaterThan(count), { timeout: 20_000 })
  })

  it('without a lesson there is none, and it says where lessons are made', async () => {
    open({ ...demo, lessons: [] })
    await choose('What is printed', 'Learner’s book')
    expect(screen.getByText(/put some into lessons under Order/)).toBeTruthy()
    expect(screen.getByText('Make the PDF').closest('a')?.className).toContain('disabled')
  })
})

describe('what else is printed', () => {
  it('the teacher’s book is laid out, and asked for by its name', async () => {
    open()
    await choose('What is printed', 'Teacher’s book')
    expect(await screen.findByText(/for you alone: names and notes/, undefined, { timeout: 20_000 })).toBeTruthy()
    expect(Object.fromEntries(address().searchParams)).toEqual({ page: 'a4', hand: 'right', kind: 'teacher' })
    // It has no pattern, and is nobody else's.
    expect(screen.queryByLabelText('The bar of 50 mm measured, mm')).toBeNull()
  })

  it('cards are without colour where that is asked for', async () => {
    open()
    await choose('What is printed', 'Cards and labels')
    await choose('Ink', 'Without colour')
    expect(await screen.findByText(/to print on card/, undefined, { timeout: 20_000 })).toBeTruthy()
    expect(Object.fromEntries(address().searchParams)).toEqual({ page: 'a4', hand: 'right', kind: 'cards', ink: 'black' })
  })

  it('a slip waits until it is said which version learners have', async () => {
    open()
    await choose('What is printed', 'Correction slip')
    expect(screen.getByText(/what changed, on which of their pages/)).toBeTruthy()
    expect(screen.getByText('Make the PDF').closest('a')?.className).toContain('disabled')
  })

  it('the learner’s book is folded, on larger paper for its pattern, or a page of the web', async () => {
    open()
    await choose('What is printed', 'Learner’s book')
    await screen.findByRole('img', { name: /^Page 1 of \d+$/ }, { timeout: 20_000 })
    await choose('Paper of the pattern', 'Pattern on A3')
    fireEvent.click(screen.getByText('Folded booklet'))
    expect(Object.fromEntries(address().searchParams)).toEqual({ page: 'a4', hand: 'right', pattern: 'a3', booklet: 'yes' })
    expect(screen.getByText('As a page of the web').getAttribute('href')).toMatch(/\/book\.html\?/)
  })
})

describe('the PDF', () => {
  it('is asked for by paper, hand and lesson', async () => {
    open()
    expect(Object.fromEntries(address().searchParams)).toEqual({ page: 'a4', hand: 'right' })
    fireEvent.click(screen.getByText('Left hand'))
    fireEvent.click(screen.getByText('Letter'))
    await choose('Lesson', demo.lessons[1]?.title ?? '')
    expect(Object.fromEntries(address().searchParams)).toEqual({ page: 'letter', hand: 'left', lesson: demo.lessons[1]?.id })
    expect(address().pathname).toBe(`/api/samplers/${store.getState().sampler.open?.id ?? ''}/sheet.pdf`)
    // The paper is the printer's, whatever is printed next and from wherever.
    closePage()
    open()
    expect(address().searchParams.get('page')).toBe('letter')
    expect(nextRowsAddress('s1', 'c1', keptPaper())).toBe('/api/samplers/s1/book.pdf?kind=rows&page=letter&class=c1')
  })

  it('is corrected for the printer at hand, which is remembered', () => {
    open()
    const bar = screen.getByLabelText('The bar of 50 mm measured, mm')
    fireEvent.change(bar, { target: { value: '49.3' } })
    fireEvent.blur(bar)
    expect(Object.fromEntries(address().searchParams)).toMatchObject({ bar: '49.3' })
    closePage()
    open()
    expect(address().searchParams.get('bar')).toBe('49.3')
  })

  it('waits until what was edited is saved, and says so', () => {
    open()
    expect(screen.queryByText('Saving first …')).toBeNull()
    act(() => edit({ kind: 'rename', name: 'Storm' }))
    expect(screen.getByText('Saving first …')).toBeTruthy()
    expect(screen.getByText('Make the PDF').closest('a')?.className).toContain('disabled')
  })

  describe('is made while one is told how far it is', () => {
    /** What the server says next, said by the test; `end` without the file is a connection that was lost. */
    let server: ReadableStreamDefaultController<Uint8Array>
    let hungUp: AbortSignal | null | undefined
    const tell = (line: PrintLine): void => server.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`))
    const opened = vi.fn()
    const dropped = vi.fn()
    beforeEach(() => {
      opened.mockReset()
      dropped.mockReset()
      vi.stubGlobal('open', opened)
      Object.assign(URL, { createObjectURL: (file: Blob) => `blob:${file.size}`, revokeObjectURL: dropped })
      vi.stubGlobal('fetch', (_path: string, { method, signal }: RequestInit) => {
        if (method !== 'POST') return Promise.resolve(new Response('[]'))
        hungUp = signal
        return Promise.resolve(new Response(new ReadableStream({ start: (begun) => void (server = begun) })))
      })
    })
    afterEach(() => vi.unstubAllGlobals())
    const revision = () => store.getState().sampler.open?.printedRevision
    const toldShare = (share: string) => waitFor(() => expect(screen.getByLabelText('The PDF').getAttribute('aria-valuenow')).toBe(share))

    it('and once made it is opened, offered, and noted as printed of this revision', async () => {
      open()
      fireEvent.click(screen.getByText('Make the PDF'))
      await toldShare('0')
      // Lines come in whatever pieces the way cuts them into.
      tell({ share: 0.2 })
      for (const part of ['{"sha', 're":0.4}\n{"bytes":7,"name":"Rain"}\n%PD']) server.enqueue(new TextEncoder().encode(part))
      await toldShare('40')
      expect(revision()).toBeNull()
      server.enqueue(new TextEncoder().encode('F-1.'))
      const link = (await screen.findByText('Open the PDF')).closest('a')
      expect(link?.title).toBe('1 kB')
      expect([link?.getAttribute('href'), opened.mock.calls[0]?.[0]]).toEqual(['blob:7', 'blob:7'])
      expect(screen.getByText('Save it').closest('a')?.download).toBe('Rain.pdf')
      expect(revision()).toBe(1)
      // Of other paper it is another PDF; a tab that shows the first may still save it.
      fireEvent.click(screen.getByText('Letter'))
      expect([screen.queryByText('Open the PDF'), screen.queryByText('Make the PDF') !== null]).toEqual([null, true])
      expect(dropped).not.toHaveBeenCalled()
    })

    it('and is stopped by hanging up', async () => {
      open()
      fireEvent.click(screen.getByText('Make the PDF'))
      await toldShare('0')
      tell({ share: 0.2 })
      await toldShare('20')
      fireEvent.click(screen.getByText('Stop'))
      expect([hungUp?.aborted, screen.queryByLabelText('The PDF'), revision(), opened.mock.calls.length]).toEqual([true, null, null, 0])
    })

    it('and what hinders it is said, also a connection that is lost', async () => {
      open()
      fireEvent.click(screen.getByText('Make the PDF'))
      await toldShare('0')
      tell({ error: { code: 'print.too-long', message: 'This sheet took too long to make.' } })
      expect(await screen.findByText('This sheet took too long to make.')).toBeTruthy()
      fireEvent.click(screen.getByText('Make the PDF'))
      await toldShare('0')
      tell({ bytes: 7, name: 'Rain' })
      server.close()
      expect(await screen.findByText(/ended before the PDF was whole/)).toBeTruthy()
      expect(opened).not.toHaveBeenCalled()
    })
  })
})
