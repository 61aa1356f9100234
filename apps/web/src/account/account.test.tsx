// @vitest-environment jsdom
/** The account: where one is signed in, out of everywhere else, and away. */
import '../testing/furnish.ts'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { App } from 'antd'
import { Provider } from 'react-redux'
import { MemoryRouter } from 'react-router'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { serverApi } from '../api/server-api.ts'
import { store } from '../store/index.ts'
import { Account } from './Account.tsx'

const session = (hour: number, isThis = false) => ({
  since: `2027-01-14T${String(hour).padStart(2, '0')}:00:00.000Z`,
  last: '2027-01-15T08:00:00.000Z',
  isThis,
})
const server = { sessions: [session(9, true)], asked: [] as string[] }

beforeEach(() => {
  Object.assign(server, { sessions: [session(9, true)], asked: [] })
  vi.stubGlobal('fetch', (path: string, { method = 'GET', body }: RequestInit = {}) => {
    server.asked.push(`${method} ${path}`)
    const answer = (status: number, said: unknown) => Promise.resolve(new Response(status === 204 ? null : JSON.stringify(said), { status }))
    if (path === '/api/session') return answer(200, { teacher: { id: 't', email: 'nora@example.org', name: 'Nora Fell' }, csrf: 'x' })
    if (path === '/api/account/sessions' && method === 'DELETE') {
      server.sessions = server.sessions.filter((one) => one.isThis)
      return answer(204, null)
    }
    if (path === '/api/account/sessions') return answer(200, { sessions: server.sessions })
    if (path === '/api/account/everything')
      return answer(201, { samplers: 2, classes: 1, stitches: 0, leftOut: ['The stores: there are stores here already.'] })
    if (path === '/api/account/trail')
      return answer(200, { happened: [{ what: 'sign-in-failed', from: '::ffff:203.0.113.9', at: '2026-11-20T18:00:00.000Z' }] })
    if (path === '/api/account' && typeof body === 'string' && body.includes('wrong'))
      return answer(422, { error: { code: 'account.password', message: 'Your present password is not this one.' } })
    return answer(204, null)
  })
})
afterEach(() => {
  cleanup()
  act(() => void store.dispatch(serverApi.util.resetApiState()))
  vi.unstubAllGlobals()
})

const open = (): void =>
  void render(
    <Provider store={store}>
      <MemoryRouter>
        <App>
          <Account />
        </App>
      </MemoryRouter>
    </Provider>,
  )

describe('the account', () => {
  it('says what happened with it lately, and from where', async () => {
    open()
    expect((await screen.findByText(/^Sign-in with a wrong password, 20 November 2026/)).textContent).toContain('from 203.0.113.9')
  })

  it('says where one is signed in, of many the latest, and signs out everywhere else', async () => {
    server.sessions = [session(9, true), ...Array.from({ length: 9 }, (_, index) => session(index + 10))]
    open()
    await screen.findByText('and 4 more browsers')
    expect(screen.getAllByText(/^Another browser, since 14 January 2027/)).toHaveLength(5)
    fireEvent.click(screen.getByRole('button', { name: 'Sign out of 9 other browsers' }))
    await screen.findByRole('button', { name: 'Signed in nowhere else' })
    expect(screen.queryByText(/^Another browser/)).toBeNull()
  })

  it('takes in the file of an account, and says what stayed out', async () => {
    open()
    const bring = async (text: string): Promise<void> => {
      fireEvent.change(await screen.findByLabelText('A file of an account'), { target: { files: [new File([text], 'lemmata-account.json')] } })
    }
    await bring('{"cut')
    await screen.findByText('This is not a file that was saved here.')
    await bring('{"format":"lemmata-account"}')
    await screen.findByText(/^Brought in, beside what was here: 2 samplers and 1 class\. Learners need a new link/)
    await screen.findByText('The stores: there are stores here already.')
  })

  it('is deleted with the password alone, and says when it is not this one', async () => {
    open()
    fireEvent.click(await screen.findByRole('button', { name: 'Delete the account' }))
    const away = await screen.findByRole('button', { name: 'Delete all of it' })
    expect(away.hasAttribute('disabled')).toBe(true)
    fireEvent.change(screen.getByLabelText('Your password'), { target: { value: 'wrong' } })
    await waitFor(() => expect(away.hasAttribute('disabled')).toBe(false))
    fireEvent.click(away)
    await screen.findByText('Your present password is not this one.')
    expect(server.asked).toContain('DELETE /api/account')
  })
})
