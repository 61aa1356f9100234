// @vitest-environment jsdom
/** What goes on beside the leaves: the clock with its breaks, the screen kept awake, a sentence read aloud, a question written down. */
import '../testing/furnish.ts'
import { runningOrders } from '@lemmata/core/calendar'
import { newClass } from '@lemmata/core/classes'
import type { CourseItem } from '@lemmata/core/order'
import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react'
import { App } from 'antd'
import { Provider } from 'react-redux'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { ClassInPage } from '../sheets/use-class.ts'
import { classClosed, classOpened } from '../store/class.ts'
import { store } from '../store/index.ts'
import { QuestionDialog } from './QuestionDialog.tsx'
import { readAloud } from './read-aloud.ts'
import { TeachingTimer } from './TeachingTimer.tsx'
import { useAwake } from './use-awake.ts'

afterEach(() => {
  cleanup()
  vi.useRealTimers()
  vi.unstubAllGlobals()
  act(() => void store.dispatch(classClosed()))
})

describe('the clock', () => {
  it('counts down from when it is begun, rests when it is time, and says when the lesson is over', () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] })
    const course = [{ id: 'a', showMinutes: 10, minutes: 60 }] as unknown as readonly CourseItem[]
    render(<TeachingTimer orders={runningOrders(course, 90, false, 1)} room={90} letters={new Map([['a', 'G']])} />)
    fireEvent.click(screen.getByText('Begin the 90 minutes'))
    const said = (): string => screen.getByRole('timer').textContent ?? ''
    const pass = (minutes: number): void => act(() => void vi.advanceTimersByTime(minutes * 60_000))
    expect(said()).toContain('arriving · 90 min left, break in 45')
    pass(40)
    expect(said()).toContain('work G · 50 min left, break in 5')
    pass(6)
    expect(said()).toContain('Break: stand up, open the hands. 4 min')
    pass(50)
    expect(said()).toContain('6 min over')
    fireEvent.click(screen.getByLabelText('Stop the clock'))
    expect(screen.getByText('Begin the 90 minutes')).toBeTruthy()
  })
})

describe('the screen', () => {
  it('is kept awake while one teaches and let go afterwards; a refusal does no harm', async () => {
    const release = vi.fn(() => Promise.resolve())
    const request = vi.fn(() => Promise.resolve({ release }))
    vi.stubGlobal('navigator', { ...navigator, wakeLock: { request } })
    const { unmount } = renderHook(() => useAwake())
    await act(() => Promise.resolve())
    expect(request).toHaveBeenCalledWith('screen')
    unmount()
    expect(release).toHaveBeenCalledTimes(1)
    request.mockImplementationOnce(() => Promise.reject(new Error('the battery is low')))
    const refused = renderHook(() => useAwake())
    await act(() => Promise.resolve())
    refused.unmount()
    expect(release).toHaveBeenCalledTimes(1)
  })
})

describe('a sentence', () => {
  it('is read by the browser in its language, instead of the one before; nothing happens where it has no voice', () => {
    readAloud('Come up at 1.', 'en')
    const spoken: { text: string; lang: string }[] = []
    const cancel = vi.fn()
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        lang = ''
        rate = 1
        constructor(readonly text: string) {}
      },
    )
    vi.stubGlobal('speechSynthesis', { cancel, speak: (one: { text: string; lang: string }) => spoken.push(one) })
    readAloud('Bei 1 ausstechen.', 'de')
    expect(spoken).toMatchObject([{ text: 'Bei 1 ausstechen.', lang: 'de' }])
    expect(cancel).toHaveBeenCalledTimes(1)
  })
})

describe('a question', () => {
  const group = { ensure: () => Promise.resolve(true) } as unknown as ClassInPage
  const lesson = { id: 'l1', title: 'Rain', exercises: [] }
  it('is kept once it is asked, with whatever was answered; an empty one cannot be', async () => {
    act(() => void store.dispatch(classOpened({ answer: { id: 'g', revision: 1, document: newClass('Thursdays') }, pending: [] })))
    const closed = vi.fn()
    render(
      <Provider store={store}>
        <App>
          <QuestionDialog lesson={lesson} group={group} onClose={closed} />
        </App>
      </Provider>,
    )
    const keep = (): HTMLButtonElement => screen.getByText('Keep it with the lesson').closest('button') as HTMLButtonElement
    expect(keep().disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('What was asked'), { target: { value: '  Why does it curl?  ' } })
    expect(keep().disabled).toBe(false)
    fireEvent.click(keep())
    await vi.waitFor(() => expect(closed).toHaveBeenCalledTimes(1))
    expect(Object.values(store.getState().class.open?.document.notes ?? {})).toMatchObject([
      { kind: 'question', lesson: 'l1', asked: 'Why does it curl?', answer: '' },
    ])
  })
})
