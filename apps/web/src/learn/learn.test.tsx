// @vitest-environment jsdom
/** A learner's page without a browser: joining, her week, a piece of work told of; without a connection, and when she is known no more. */
import { UNRULED } from '@lemmata/core/photo'
import '../testing/furnish.ts'
import type { ToldEvent, WeekAnswer } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { readKept, writeKept, NOTHING } from './kept.ts'
import { Learn } from './Learn.tsx'

const sampler = bandSampler('2026-11-23')
const LINK = 'a'.repeat(32)
const [first] = sampler.lessons
let language: 'en' | 'de' = 'en'
const SAID: WeekAnswer['said'] = [
  { id: 's1', lesson: first?.id ?? '', exercise: first?.exercises[0] ?? null, asked: 'Why does it curl?', said: 'Let the needle hang and untwist.' },
  { id: 's2', lesson: first?.id ?? '', exercise: null, asked: null, said: 'Mark with a finger nail.' },
  { id: 's3', lesson: 'another', exercise: null, asked: null, said: 'Of another lesson.' },
]
const week = (events: WeekAnswer['events'] = []): WeekAnswer => ({
  ...{
    learner: { id: 'p1', name: 'Gaia', hand: 'left', choices: {} },
    className: 'Thursdays',
    today: '2026-12-01',
    version: 'v1',
    sampler: language === 'en' ? sampler : { ...sampler, brief: { ...sampler.brief, language } },
    events,
    said: SAID,
    pictures: [],
    sendsPictures: true,
    measuring: UNRULED,
  },
  lessons: sampler.lessons.map(({ id, title }, index) => ({
    ...{ id, title, number: index + 1, on: [`2026-1${index < 1 ? 1 : 2}-2${index}`], seenFrom: index > 3 ? '2027-01-01' : null },
  })),
})

/** The server, as far as her page asks it. */
const server = { lost: false, known: true, events: new Map<string, ToldEvent>(), asked: [] as string[] }
beforeEach(() => {
  Object.assign(server, { lost: false, known: true, events: new Map(), asked: [] })
  location.hash = ''
  language = 'en'
  vi.stubGlobal('fetch', (path: string, { method, body, headers }: RequestInit) => {
    server.asked.push(`${method ?? ''} ${path}`)
    if (server.lost) return Promise.reject(new TypeError('lost'))
    const answer = (status: number, said: unknown) => Promise.resolve(new Response(status === 204 ? null : JSON.stringify(said), { status }))
    if (path.endsWith('/join') || path.endsWith('/open'))
      return (JSON.parse(body as string) as { word: string }).word === 'wrong word'
        ? answer(401, { error: { code: 'learning.wrong-word', message: 'This link and this word do not go together.' } })
        : answer(201, { key: 'k'.repeat(32), link: LINK })
    if (path.includes('/links/')) return answer(200, { className: 'Thursdays', isNew: true })
    if (!server.known || (headers as Record<string, string>).authorization === undefined)
      return answer(401, { error: { code: 'learning.not-known', message: 'This device is not known any more.' } })
    if (path.endsWith('/everything')) return method === 'DELETE' ? answer(204, null) : answer(200, { events: [] })
    if (path.endsWith('/events')) {
      const { events } = JSON.parse(body as string) as { events: ToldEvent[] }
      if (events.some((one) => one.kind === 'question' && one.asked.includes('too much')))
        return answer(422, { error: { code: 'x', message: 'That is too much.' } })
      for (const one of events) server.events.set(one.id, one)
      return answer(200, { kept: events.map((one) => one.id) })
    }
    const all = week([...server.events.values()].map((one) => ({ ...one, learner: 'p1', by: 'learner' as const })))
    const { version, learner, events } = all
    // To whom has it already nothing is sent but what is hers.
    return answer(200, path.endsWith('/week?known=v1') ? { version, learner, events } : all)
  })
})
afterEach(() => {
  cleanup()
  localStorage.clear()
  vi.unstubAllGlobals()
})

const known = () => writeKept({ ...NOTHING, key: 'k'.repeat(32), link: LINK })
const open = (path = '/learn', query = '') => render(<Learn path={path} query={query} />)
const openPiece = async (name: string) => {
  fireEvent.click(await screen.findByText(name))
  await screen.findByTestId('learn-sentence')
}
const piece = sampler.exercises.find((one) => one.id === first?.exercises[0])
const name = piece?.name ?? ''

it('says of the lesson that is open what it is worked with, each thread and needle once', async () => {
  known()
  open()
  const bag = (await screen.findByText('In your bag:')).closest('p')?.textContent ?? ''
  expect(bag).toMatch(/in .*; .*(embroidery|tapestry|sharp|chenille).*\.$/i)
  const words = bag.split(/[:;,.] */).filter((one) => one !== '')
  expect(new Set(words).size).toBe(words.length)
})

it('speaks the language in which the course comes out', async () => {
  known()
  language = 'de'
  open()
  await screen.findByText('Als Nächstes:')
  expect(document.documentElement.lang).toBe('de')
  expect(screen.getByText(/Freitag, 20. November/)).toBeTruthy()
  const words = screen.getByRole('main').textContent ?? ''
  for (const english of ['not begun', 'In your bag', 'on now', 'My page', 'stranded cotton']) expect(words).not.toContain(english)
  fireEvent.click(screen.getByText(name))
  await screen.findByText('Nächster Schritt')
  expect(screen.getByText('Diese Reihe kann ich')).toBeTruthy()
  expect(screen.getByTestId('learn-sentence').textContent).not.toMatch(/\b(the|needle|at)\b/)
  // The server knows English; what it refuses is said in hers all the same.
  server.known = false
  fireEvent.click(screen.getByText('Diese Reihe kann ich'))
  expect((await screen.findByRole('alert')).textContent).toMatch(/^Dieses Gerät ist nicht mehr bekannt/)
})

it('shows with a piece what the whole class was told of it and of its lesson', async () => {
  known()
  open()
  await openPiece(name)
  fireEvent.click(screen.getByText('For the whole class (2)'))
  expect(screen.getByText('Let the needle hang and untwist.')).toBeTruthy()
  expect(screen.getByText('Mark with a finger nail.')).toBeTruthy()
  expect(screen.queryByText('Of another lesson.')).toBeNull()
})

describe('joining', () => {
  it('by a code asks for a name, a hand and a word, and shows her week', async () => {
    open('/learn', '?code=24R9V6B8')
    expect(screen.getByText('Join').closest('button')?.disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('What you are called'), { target: { value: 'Gaia' } })
    fireEvent.click(screen.getByLabelText('Left'))
    fireEvent.change(screen.getByLabelText(/^A word to come back with/), { target: { value: 'drizzle' } })
    fireEvent.click(screen.getByText('Join'))
    expect(await screen.findByText('Gaia, Thursdays')).toBeTruthy()
    expect(readKept()).toMatchObject({ key: 'k'.repeat(32), link: LINK })
  })

  it('by a link takes her word, and says when it is another', async () => {
    open(`/learn/${LINK}`)
    const word = await screen.findByLabelText('Choose a word to come back with')
    fireEvent.change(word, { target: { value: 'wrong word' } })
    fireEvent.click(screen.getByText('Open'))
    expect((await screen.findByRole('alert')).textContent).toContain('do not go together')
    fireEvent.change(word, { target: { value: 'drizzle' } })
    fireEvent.click(screen.getByText('Open'))
    expect(await screen.findByText('Gaia, Thursdays')).toBeTruthy()
  })
})

describe('her week', () => {
  it('opens at the lesson that is on, with what comes next; a lesson that is not hers to see yet stays shut', async () => {
    known()
    open()
    expect((await screen.findByText('Next:')).parentElement?.textContent).toContain(name)
    expect(screen.getByText(name)).toBeTruthy()
    const shut = screen.getByText(sampler.lessons[4]?.title ?? '').closest('button')
    expect([shut?.disabled, shut?.textContent]).toEqual([true, expect.stringContaining('to be seen from 1 January')])
  })

  it('a device that is known no more is told so, and asked for her word; what she told is still there', async () => {
    known()
    const { unmount } = open()
    await openPiece(name)
    server.known = false
    fireEvent.click(screen.getByText('I can do this row'))
    expect((await screen.findByRole('alert')).textContent).toContain('not known any more')
    expect(readKept().unsent).toHaveLength(1)
    unmount()
    server.known = true
    open()
    fireEvent.change(await screen.findByLabelText(/word/i), { target: { value: 'drizzle' } })
    fireEvent.click(screen.getByText('Open'))
    await waitFor(() => expect(server.events.size).toBe(1))
    expect(readKept().unsent).toEqual([])
  })

  it('goes out as a file, and away when it is asked for twice', async () => {
    known()
    open()
    fireEvent.click(await screen.findByText('Delete everything that is kept of me'))
    expect(server.asked.some((one) => one.startsWith('DELETE'))).toBe(false)
    fireEvent.click(screen.getByText('Delete all of it'))
    expect(await screen.findByText('Join your class')).toBeTruthy()
    expect(readKept()).toEqual(NOTHING)
  })

  it('in large print stays so', async () => {
    known()
    open()
    fireEvent.click(await screen.findByLabelText('Large print'))
    expect(document.documentElement.classList.contains('large-print')).toBe(true)
    expect(readKept().large).toBe(true)
  })
})

describe('a piece of work', () => {
  it('is gone through by press, key and swipe, in her hand, and turned over', async () => {
    known()
    open()
    await openPiece(name)
    const said = () => screen.getByTestId('learn-sentence').textContent
    expect(said()).toMatch(/^a/)
    fireEvent.click(screen.getByText('Next move'))
    fireEvent.keyDown(document, { key: 'ArrowRight' })
    expect(said()).toMatch(/^c/)
    const picture = screen.getByRole('img')
    fireEvent.pointerDown(picture, { clientX: 200 })
    fireEvent.pointerUp(picture, { clientX: 260 })
    expect(said()).toMatch(/^b/)
    // A touch that does not go to the side turns nothing.
    fireEvent.pointerDown(picture, { clientX: 200 })
    fireEvent.pointerUp(picture, { clientX: 210 })
    expect(said()).toMatch(/^b/)
    expect(screen.getByText('Left hand')).toBeTruthy()
    fireEvent.click(screen.getByText('Turn over'))
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('Back of the cloth')
    fireEvent.keyDown(document, { key: 'Escape' })
    expect(await screen.findByText('Next:')).toBeTruthy()
  })

  it('is told of without a connection, and arrives once when there is one again', async () => {
    known()
    open()
    await openPiece(name)
    server.lost = true
    fireEvent.click(screen.getByText('Next move'))
    fireEvent.click(screen.getByText('I am stuck here'))
    fireEvent.click(screen.getByText('I can do this row'))
    fireEvent.change(screen.getByLabelText('Your question'), { target: { value: ' Which side? ' } })
    fireEvent.click(screen.getByText('Ask', { selector: 'button' }))
    fireEvent.click(screen.getByLabelText('Back to this week'))
    expect(await screen.findByText('No connection: go on, all of it works. 3 things wait here to be sent.')).toBeTruthy()
    expect(server.events.size).toBe(0)
    server.lost = false
    fireEvent(window, new Event('online'))
    await waitFor(() => expect(readKept().unsent).toEqual([]))
    expect([...server.events.values()]).toMatchObject([
      { kind: 'stuck', stuck: true, step: 2, exercise: piece?.id },
      { kind: 'can', can: true },
      { kind: 'question', asked: 'Which side?' },
    ])
    expect(screen.getByText('can do it ✓', { exact: false })).toBeTruthy()
  })

  it('one thing that cannot be kept holds up no other', async () => {
    known()
    const happened = { at: '2026-12-01T18:00:00.000Z', exercise: piece?.id ?? '' }
    const unsent: ToldEvent[] = [
      { ...happened, id: 'a', kind: 'minutes', minutes: 5 },
      { ...happened, id: 'b', kind: 'question', asked: 'too much' },
      { ...happened, id: 'c', kind: 'can', can: true },
    ]
    writeKept({ ...readKept(), unsent })
    open()
    await waitFor(() => expect([...server.events.keys()]).toEqual(['a', 'c']))
    await waitFor(() => expect(readKept().unsent).toEqual([]))
    expect(await screen.findByText('That is too much.')).toBeTruthy()
  })

  it('what another tab of hers began or told meanwhile is not undone by this one', async () => {
    known()
    open()
    await openPiece(name)
    const since = new Date(Date.now() - 3 * 60_000).toISOString()
    const elsewhere: ToldEvent = { id: 'other', at: since, kind: 'minutes', exercise: piece?.id ?? '', minutes: 4 }
    server.lost = true
    writeKept({ ...readKept(), timed: { exercise: piece?.id ?? '', since }, unsent: [elsewhere] })
    fireEvent.click(screen.getByText('I can do this row'))
    expect(readKept()).toMatchObject({ timed: { since }, unsent: [{ id: 'other' }, { kind: 'can' }] })
    expect(screen.getByRole('timer').textContent).toBe('3 min')
    // And what it stopped is seen here.
    writeKept({ ...readKept(), timed: null })
    fireEvent(window, new StorageEvent('storage'))
    expect(screen.queryByRole('timer')).toBeNull()
  })

  it('on a device that keeps nothing it is told all the same, and she is warned', async () => {
    known()
    open()
    await openPiece(name)
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    server.lost = true
    fireEvent.click(screen.getByText('I can do this row'))
    fireEvent.click(screen.getByText('I am stuck here'))
    fireEvent.click(screen.getByLabelText('Back to this week'))
    expect(await screen.findByText(/^This device keeps nothing more/)).toBeTruthy()
    server.lost = false
    fireEvent(window, new Event('online'))
    await waitFor(() => expect(server.events.size).toBe(2))
    full.mockRestore()
  })

  it('needlefuls are counted beside those that are reckoned, and one too many is taken back', async () => {
    known()
    open()
    await openPiece(name)
    const counted = (): string => screen.getByText(/^Needlefuls: /).textContent
    expect(counted()).toMatch(/^Needlefuls: 0 of about [1-9]/)
    const fewer = screen.getByRole('button', { name: 'One needleful fewer' })
    expect((fewer as HTMLButtonElement).disabled).toBe(true)
    fireEvent.click(screen.getByRole('button', { name: 'One more needleful' }))
    fireEvent.click(screen.getByRole('button', { name: 'One more needleful' }))
    fireEvent.click(fewer)
    await waitFor(() => expect([...server.events.values()]).toMatchObject([1, 1, -1].map((count) => ({ kind: 'needlefuls', count }))))
    expect(counted()).toMatch(/^Needlefuls: 1 of/)
  })

  it('is timed over a closing of the page', async () => {
    known()
    const { unmount } = open()
    await openPiece(name)
    fireEvent.click(screen.getByText('Time it'))
    unmount()
    const kept = readKept()
    expect(kept.timed?.exercise).toBe(piece?.id)
    writeKept({ ...kept, timed: { exercise: piece?.id ?? '', since: new Date(Date.now() - 12 * 60_000).toISOString() } })
    open()
    await screen.findByTestId('learn-sentence')
    expect(screen.getByRole('timer').textContent).toBe('12 min')
    fireEvent.click(screen.getByText('Stop the time'))
    await waitFor(() => expect([...server.events.values()]).toMatchObject([{ kind: 'minutes', minutes: 12 }]))
    expect(screen.getByText('12 min practised')).toBeTruthy()
  })
})
