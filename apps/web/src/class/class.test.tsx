// @vitest-environment jsdom
/** The class as its teacher sees it: by cell and by key, what is marked, who joins, and what is refused. */
import { UNRULED } from '@lemmata/core/photo'
import type { LearningAnswer, MarkedEvent } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { type ClassDocument, newClass } from '@lemmata/core/classes'
import type { PracticeEvent } from '@lemmata/core/practice'
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { serverApi } from '../api/server-api.ts'
import { classClosed, classOpened } from '../store/class.ts'
import { store } from '../store/index.ts'
import { closePage, openPage } from '../testing/page.tsx'
import { ClassStage } from './ClassStage.tsx'

const sampler = bandSampler('2026-12-03')
const [first, second] = sampler.lessons
const [rain = ''] = first?.exercises ?? []
const [rule = ''] = second?.exercises ?? []
const learner = (id: string, name: string) => ({ id, name, choices: {} })
const group: ClassDocument = {
  ...newClass('Thursdays'),
  learners: [learner('p1', 'Aino'), { ...learner('p2', 'Bram'), hand: 'left' }],
  calendar: {
    ...{ start: '2020-01-02', rhythm: { kind: 'every', days: 7 }, begins: '18:30', zone: 'Europe/Oslo' },
    off: {},
    catchUp: [],
    moved: {},
    twice: [],
  },
}
const event = (id: string, more: object) => ({ id, at: '2020-01-03T18:00:00.000Z', learner: 'p1', by: 'learner', exercise: rain, ...more }) as PracticeEvent

const server = { learning: { code: null, links: [], events: [], pictures: [], measuring: UNRULED } as LearningAnswer, refuses: false, asked: [] as string[] }
beforeEach(() => {
  server.learning = {
    code: null,
    links: [],
    pictures: [],
    measuring: UNRULED,
    events: [event('a', { kind: 'minutes', minutes: 12 }), event('b', { kind: 'stuck', stuck: true, step: 4 })],
  }
  server.refuses = false
  server.asked = []
  vi.stubGlobal('fetch', (path: string, { method, body }: RequestInit) => {
    server.asked.push(`${method ?? ''} ${path.replace(/samplers\/[^/]+/, 'samplers/s')}`)
    const answer = (status: number, said: unknown) => Promise.resolve(new Response(status === 204 ? null : JSON.stringify(said), { status }))
    if (server.refuses && method !== 'GET') return answer(422, { error: { code: 'x', message: 'The server says no.' } })
    if (path.endsWith('/classes')) return answer(200, [{ id: 'g', name: 'Thursdays', learners: 2 }])
    if (path.endsWith('/learning')) return answer(200, server.learning)
    if (path.endsWith('/practice')) {
      const { events } = JSON.parse(body as string) as { events: MarkedEvent[] }
      server.learning = { ...server.learning, events: [...server.learning.events, ...events.map((one) => ({ ...one, by: 'teacher' as const }))] }
      return answer(200, { kept: events.map((one) => one.id) })
    }
    if (path.endsWith('/join-code')) {
      server.learning = { ...server.learning, code: method === 'DELETE' ? null : '24R9V6B8' }
      return answer(method === 'DELETE' ? 204 : 201, { code: '24R9V6B8' })
    }
    if (path.endsWith('/link')) {
      server.learning = { ...server.learning, links: method === 'DELETE' ? [] : [{ learner: 'p1', link: 'l'.repeat(32), isOpened: false }] }
      return answer(method === 'DELETE' ? 204 : 201, { link: 'l'.repeat(32) })
    }
    return answer(200, { id: 'g', revision: 1, document: group })
  })
})
afterEach(() => {
  closePage()
  act(() => void store.dispatch(classClosed()))
  act(() => void store.dispatch(serverApi.util.resetApiState()))
  vi.unstubAllGlobals()
})

const open = async (document: ClassDocument = group) => {
  const page = openPage(sampler, <ClassStage />)
  act(() => void store.dispatch(classOpened({ answer: { id: 'g', revision: 1, document }, pending: [] })))
  await waitFor(() => expect(server.asked).toContain('GET /api/classes/g/learning'))
  return page
}
const nameOf = (id: string): string => sampler.exercises.find((one) => one.id === id)?.name ?? ''
const cell = (who: string, what: string): HTMLElement => screen.getByRole('button', { name: new RegExp(`^${who}, ${what}:`) })

describe('the grid', () => {
  it('says of each learner how far she is with each exercise, and what she does next', async () => {
    await open()
    await waitFor(() => expect(cell('Aino', nameOf(rain)).getAttribute('aria-label')).toContain('stuck at step 4, 12 minutes'))
    expect(cell('Bram', nameOf(rain)).getAttribute('aria-label')).toContain('not begun')
    expect(screen.getByText('1 learner stuck: Aino')).toBeTruthy()
    expect(screen.getByText(`Help with A ${nameOf(rain)}, step 4`)).toBeTruthy()
    // All lessons have been held: Bram catches up all but the last.
    expect(screen.getByText(/^Catch up lessons 1, 2/)).toBeTruthy()
  })

  it('is one Tab stop; arrows go by cell, Enter opens its card, Space marks that she can do it', async () => {
    await open()
    await waitFor(() => screen.getByText('1 learner stuck: Aino'))
    expect(screen.getAllByRole('gridcell').filter((one) => one.querySelector('button')?.tabIndex === 0)).toHaveLength(1)
    const at = cell('Aino', nameOf(rain))
    act(() => at.focus())
    fireEvent.keyDown(at, { key: 'ArrowRight' })
    expect(document.activeElement).toBe(cell('Aino', nameOf(rule)))
    fireEvent.keyDown(document.activeElement ?? at, { key: 'ArrowDown' })
    expect(document.activeElement).toBe(cell('Bram', nameOf(rule)))
    fireEvent.keyDown(document.activeElement ?? at, { key: ' ' })
    await waitFor(() => expect(cell('Bram', nameOf(rule)).getAttribute('aria-label')).toContain('can do it'))
    expect(server.learning.events.at(-1)).toMatchObject({ kind: 'can', can: true, learner: 'p2', exercise: rule, by: 'teacher' })
    fireEvent.click(cell('Bram', nameOf(rule)))
    expect(screen.getByRole('complementary', { name: `Bram, ${nameOf(rule)}` })).toBeTruthy()
  })

  it('what is not kept is taken back, and said', async () => {
    const page = await open()
    await waitFor(() => screen.getByText('1 learner stuck: Aino'))
    server.refuses = true
    fireEvent.keyDown(cell('Bram', nameOf(rain)), { key: ' ' })
    expect(cell('Bram', nameOf(rain)).getAttribute('aria-label')).toContain('can do it')
    await waitFor(() => expect(page.notice()).toBe('It was not kept: The server says no.'))
    expect(cell('Bram', nameOf(rain)).getAttribute('aria-label')).toContain('not begun')
  })

  it('as minutes sums them, and who came is ticked', async () => {
    await open()
    await waitFor(() => screen.getByText('1 learner stuck: Aino'))
    fireEvent.click(screen.getByText('Time'))
    const row = within(screen.getByRole('grid', { name: 'Minutes practised' })).getAllByRole('row')[1]
    expect(row?.textContent).toMatch(/12.*12 min/)
    expect(screen.getByText(/^Nothing to learn from yet/)).toBeTruthy()
    fireEvent.click(screen.getByText('Came', { selector: '.ant-segmented-item-label' }))
    fireEvent.click(screen.getByLabelText('Bram came to lesson 2'))
    await waitFor(() => expect(server.learning.events.at(-1)).toMatchObject({ kind: 'came', learner: 'p2', lesson: second?.id, came: true }))
  })
})

it('what the class took stands under what was reckoned, with how many told of it', async () => {
  const home = { ...sampler, exercises: sampler.exercises.map((one) => ({ ...one, homePercent: 100 })) }
  const of = (who: string) => [event(`${who}m`, { kind: 'minutes', minutes: 240, learner: who }), event(`${who}c`, { kind: 'can', can: true, learner: who })]
  server.learning = { ...server.learning, events: [...of('p1'), ...of('p2')] }
  openPage(home, <ClassStage />)
  act(() => void store.dispatch(classOpened({ answer: { id: 'g', revision: 1, document: group }, pending: [] })))
  fireEvent.click(await screen.findByText('Time'))
  const said = await screen.findByText(/% longer than reckoned\. 2 learners/)
  const [reckoned, told] = [...(said.closest('tfoot')?.querySelectorAll('tr') ?? [])].map((row) =>
    Number.parseInt(row.querySelector('td')?.textContent ?? '', 10),
  )
  // Two of five are believed: longer than the table says, and not as long as they said.
  expect(told).toBeGreaterThan(reckoned ?? 0)
  expect(told).toBeLessThan(240)
})

describe('a learner', () => {
  it('who was helped is stuck no more; she is given a link of her own, and it is ended', async () => {
    await open()
    await waitFor(() => screen.getByText('1 learner stuck: Aino'))
    fireEvent.click(cell('Aino', nameOf(rain)))
    fireEvent.click(screen.getByText('Helped'))
    await waitFor(() => expect(screen.getByText('Nobody is stuck.')).toBeTruthy())
    fireEvent.click(screen.getByText('Make her a link'))
    expect(await screen.findByText(new RegExp(`/learn/${'l'.repeat(32)}$`))).toBeTruthy()
    expect(screen.getByText('Not opened yet: she chooses a word then.')).toBeTruthy()
    fireEvent.click(screen.getByText('End it'))
    expect(await screen.findByText('Make her a link')).toBeTruthy()
  })

  it('joins by a code, which is shown, renewed and ended', async () => {
    await open()
    fireEvent.click(screen.getByText('Let learners join'))
    fireEvent.click(await screen.findByText('Make a code'))
    expect(await screen.findByText('24R9 V6B8')).toBeTruthy()
    fireEvent.click(screen.getByText('Nobody joins any more'))
    expect(await screen.findByText('Make a code')).toBeTruthy()
  })

  it('is added by name, several at once', async () => {
    await open({ ...group, learners: [] })
    expect(screen.getByText(/^Nobody yet\./)).toBeTruthy()
    fireEvent.click(screen.getByText('Add learners'))
    fireEvent.change(screen.getByLabelText('Names'), { target: { value: 'Cleo\n\n Dunja , Eskil' } })
    fireEvent.click(screen.getByText('Add 3'))
    await waitFor(() => expect(store.getState().class.open?.document.learners.map((one) => one.name)).toEqual(['Cleo', 'Dunja', 'Eskil']))
  })
})

it('her card says what she remembers of a piece: known twice on its day, of what she was asked', async () => {
  const recall = (id: string, motion: string, day: string, right: boolean) => ({ ...event(id, { kind: 'recall', motion, right }), at: `${day}T18:00:00.000Z` })
  server.learning = {
    ...server.learning,
    events: [
      recall('r1', 'm1', '2026-11-01', true),
      recall('r2', 'm1', '2026-11-02', true),
      recall('r3', 'm2', '2026-11-01', true),
      recall('r4', 'm3', '2026-11-01', false),
    ],
  }
  await open()
  fireEvent.click(cell('Aino', nameOf(rain)))
  expect(await screen.findByText('1 of 3 motions asked')).toBeTruthy()
  fireEvent.click(cell('Bram', nameOf(rain)))
  expect(screen.queryByText('Remembers')).toBeNull()
})

it('time is drawn beside what is reckoned: of the class, and of one learner on her card', async () => {
  server.learning = {
    ...server.learning,
    events: [10, 20].flatMap((minutes, index) => {
      const learner = `p${index + 1}`
      return [event(`m${index}`, { kind: 'minutes', learner, minutes }), event(`c${index}`, { kind: 'can', learner, can: true })]
    }),
  }
  await open()
  fireEvent.click(screen.getByText('Time'))
  expect((await screen.findByRole('figure', { name: /^Minutes at home\. This class:/ })).getAttribute('aria-label')).toContain(`${nameOf(rain)} 15`)
  fireEvent.click(cell('Aino', nameOf(rain)))
  expect((await screen.findByRole('figure', { name: /^Minutes at home\. Aino:/ })).getAttribute('aria-label')).toContain(`${nameOf(rain)} 10`)
})

it('what the class took is said before the next is reckoned by it, taken over in one edit, and left out again', async () => {
  const timed = { ...sampler, exercises: sampler.exercises.map((one) => ({ ...one, homePercent: 80 })) }
  server.learning = {
    ...server.learning,
    events: ['p1', 'p2'].flatMap((learner, index) => [
      event(`m${index}`, { kind: 'minutes', learner, minutes: 600 }),
      event(`c${index}`, { kind: 'can', learner, can: true }),
    ]),
  }
  const page = openPage(timed, <ClassStage />)
  act(() => void store.dispatch(classOpened({ answer: { id: 'g', revision: 1, document: group }, pending: [] })))
  await waitFor(() => expect(server.asked).toContain('GET /api/classes/g/learning'))
  fireEvent.click(screen.getByText('Time'))
  const button = await screen.findByRole('button', { name: 'Reckon by this class from now on' })
  await waitFor(() => expect(button.closest('button')?.disabled).toBe(false))
  fireEvent.click(button)
  const dialog = await screen.findByRole('dialog')
  expect(within(dialog).getByRole('row', { name: new RegExp(`${nameOf(rain)}.*2 learners$`) })).toBeTruthy()
  expect(within(dialog).getAllByText('the class\u2019s pace').length).toBeGreaterThan(0)
  expect(page.document()).toEqual(timed)
  fireEvent.click(within(dialog).getByRole('button', { name: 'Reckon so' }))
  const [one] = page.document().exercises.filter(({ id }) => id === rain)
  expect(one?.learned).toMatchObject({ stitch: one?.stitch, learners: 2 })
  expect(one?.learned?.times).toBeGreaterThan(1)
  expect(page.document().exercises.every(({ learned }) => learned !== undefined)).toBe(true)
  fireEvent.click(await screen.findByRole('button', { name: 'As the moves come to' }))
  expect(page.document()).toEqual(timed)
})

describe('notes', () => {
  const notesNow = () => store.getState().class.open?.document.notes ?? {}
  it('what several asked is answered once for all, and asked no more', async () => {
    const ASKED = ['3d6c1e8a-52c5-4f0b-9b0e-0f6f6f1a0001', '3d6c1e8a-52c5-4f0b-9b0e-0f6f6f1a0002']
    server.learning = {
      ...server.learning,
      events: ASKED.map((id, index) => event(id, { kind: 'question', learner: `p${index + 1}`, asked: index === 0 ? 'Why does it curl?' : 'It curls!' })),
    }
    await open()
    fireEvent.click(await screen.findByText('Notes, 2 asked'))
    for (const name of ['Aino', 'Bram']) fireEvent.click(screen.getByRole('checkbox', { name: new RegExp(`^${name}, `) }))
    expect(screen.getByLabelText<HTMLInputElement>('Asked').value).toBe('Why does it curl?')
    fireEvent.change(screen.getByLabelText('Answer'), { target: { value: ' Let the needle hang. ' } })
    fireEvent.click(screen.getByRole('button', { name: 'Answer' }))
    expect(Object.values(notesNow())).toMatchObject([
      { kind: 'question', lesson: first?.id, exercise: rain, asked: 'Why does it curl?', answer: 'Let the needle hang.', of: ASKED, shared: true },
    ])
    expect(screen.getByText('Notes')).toBeTruthy()
    // It can be taken back from the class, and stays with the lesson.
    fireEvent.click(screen.getByRole('checkbox', { name: 'Shown to the class' }))
    expect(Object.values(notesNow())).toMatchObject([{ shared: false }])
    fireEvent.click(screen.getByRole('button', { name: /^Take away: Why/ }))
    expect(Object.values(notesNow())).toEqual([])
  })

  it('a lesson keeps how it went and what to change; emptied, it keeps nothing', async () => {
    await open()
    fireEvent.click(screen.getByText('Notes'))
    const part = within(screen.getByRole('region', { name: `Lesson 1, ${first?.title}` }))
    const field = part.getByLabelText('What to change next time')
    fireEvent.change(field, { target: { value: 'Begin with the knots.' } })
    fireEvent.blur(field)
    expect(notesNow()).toMatchObject({ [`r-${first?.id}`]: { kind: 'record', lesson: first?.id, done: '', change: 'Begin with the knots.' } })
    fireEvent.change(field, { target: { value: '' } })
    fireEvent.blur(field)
    expect(notesNow()).toEqual({})
  })

  it('a tip is for the whole class, and an answer can come late', async () => {
    await open({ ...group, notes: { q: { kind: 'question', lesson: second?.id ?? '', on: '2026-12-01', asked: 'May it be washed?', answer: '' } } })
    fireEvent.click(screen.getByText('Notes'))
    const part = within(screen.getByRole('region', { name: `Lesson 2, ${second?.title}` }))
    fireEvent.change(part.getByLabelText('Answer to May it be washed?'), { target: { value: 'By hand.' } })
    fireEvent.click(part.getByRole('button', { name: 'Answer' }))
    fireEvent.change(part.getByLabelText('A tip for the whole class'), { target: { value: 'Mark with a fingernail.' } })
    fireEvent.click(part.getByRole('button', { name: 'Show it to the class' }))
    expect(
      Object.values(notesNow())
        .map((one) => ('answer' in one ? one.answer : one.kind))
        .sort(),
    ).toEqual(['By hand.', 'tip'])
  })
})

describe('what the class is shown, and what it threaded', () => {
  it('pictures for the class are those that may be seen, without a name', async () => {
    const picture = (id: string, learner: string, mayShow: boolean) => ({ id, learner, mayShow, exercise: rain, at: '2020-01-03T19:00:00.000Z' })
    server.learning = { ...server.learning, pictures: [picture('one', 'p1', true), picture('two', 'p2', false)] }
    await open()
    fireEvent.click(await screen.findByRole('button', { name: '2 pictures sent' }))
    const dialog = within(await screen.findByRole('dialog'))
    const shown = () => dialog.getAllByRole('img', { name: /^A row of/ })
    expect(shown().map((one) => one.getAttribute('src'))).toEqual(['one', 'two'].map((id) => `/api/classes/g/pictures/${id}`))
    expect(dialog.getByText('Aino').parentElement?.textContent).toContain('the class may see it')
    fireEvent.click(dialog.getByRole('switch', { name: 'As the class may see them' }))
    expect(shown().map((one) => one.getAttribute('src'))).toEqual(['/api/classes/g/pictures/one'])
    expect([dialog.queryByText('Aino'), shown()[0]?.getAttribute('alt')]).toEqual([null, `A row of A ${nameOf(rain)}`])
  })

  it('needlefuls stand beside those that are reckoned; nobody counted, it says how; kits are cut by it, and not', async () => {
    const page = await open()
    fireEvent.click(await screen.findByText('Time'))
    expect(within(await screen.findByRole('region', { name: 'Thread' })).getByText(/^Nobody has counted needlefuls yet/)).toBeTruthy()
    const hers = [event('n', { kind: 'needlefuls', count: 9 }), event('c', { kind: 'can', can: true, at: '2020-01-04T18:00:00.000Z' })]
    server.learning = { ...server.learning, events: hers }
    act(() => void document.dispatchEvent(new Event('visibilitychange')))
    const row = await screen.findByRole('row', { name: new RegExp(`^A ${nameOf(rain)} \\d+ 9 1 learner$`) })
    expect(row).toBeTruthy()
    expect(screen.getByText(/^1 learner counted: this class threads \d+ % (more|fewer) needlefuls/)).toBeTruthy()
    const { unpicked: before } = page.document().brief
    fireEvent.click(screen.getByRole('button', { name: /^Cut kits with \d+ % more, as this class threads$/ }))
    expect(page.document().brief.unpicked).toMatchObject({ learners: 1 })
    expect(screen.queryByRole('button', { name: /^Cut kits/ })).toBe(null)
    fireEvent.click(screen.getByRole('button', { name: /^\d+ % again, usual for/ }))
    expect([before, page.document().brief.unpicked]).toEqual([undefined, undefined])
  })
})
