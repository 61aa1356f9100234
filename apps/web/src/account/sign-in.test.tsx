// @vitest-environment jsdom
/** Where messages are sent a new account is made by the link in one: the page says no more than that it is on its way. */
import '../testing/furnish.ts'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, expect, it, vi } from 'vitest'
import { SignIn } from './SignIn.tsx'

const asked: { path: string; body: unknown }[] = []
function open(at: string): void {
  asked.length = 0
  vi.stubGlobal('fetch', (path: string, { method, body }: RequestInit) => {
    const answer = (status: number, said: unknown) => Promise.resolve(new Response(JSON.stringify(said), { status }))
    if (method === 'GET') return answer(200, { teacher: null, csrf: 'c' })
    asked.push({ path, body: JSON.parse(body as string) as unknown })
    if (path === '/api/accounts') return answer(202, { sent: true })
    return answer(201, { teacher: { id: 't', email: 'bram@example.org', name: 'Bram' }, csrf: 'd' })
  })
  render(
    <MemoryRouter initialEntries={[at]}>
      <Routes>
        <Route path="/sign-in" element={<SignIn />} />
        <Route path="/" element={<h1>Shelf</h1>} />
      </Routes>
    </MemoryRouter>,
  )
}
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

it('says that a message is on its way, and stays', async () => {
  open('/sign-in')
  fireEvent.click(screen.getByRole('button', { name: 'I am new here: make an account' }))
  for (const [label, value] of [
    ['Your name', 'Bram'],
    ['E-mail address', 'bram@example.org'],
    ['Password', 'drizzle on the roof'],
  ] as const)
    fireEvent.change(screen.getByLabelText(label), { target: { value } })
  fireEvent.click(screen.getByRole('button', { name: 'Make the account' }))
  expect(await screen.findByText(/^A message is on its way to this address\./)).toBeTruthy()
  expect(asked).toEqual([{ path: '/api/accounts', body: { name: 'Bram', email: 'bram@example.org', password: 'drizzle on the roof' } }])
  expect(screen.queryByRole('heading', { name: 'Shelf' })).toBe(null)
})

it('the link opens the account when it is asked to, not by itself, and goes in', async () => {
  open('/sign-in?new-account=sealed-as-it-came')
  expect(screen.queryByLabelText('Password')).toBe(null)
  expect(asked).toEqual([])
  fireEvent.click(screen.getByRole('button', { name: 'Open my account' }))
  // The rest of the application is loaded first.
  expect(await screen.findByRole('heading', { name: 'Shelf' }, { timeout: 60_000 })).toBeTruthy()
  expect(asked).toEqual([{ path: '/api/accounts/by-message', body: { token: 'sealed-as-it-came' } }])
})
