/**
 * A stage in a page without a browser: the real store, the real reducers, the stitches really worked; only the worker and
 * the server are left away. What is edited is read back from the store's document.
 */
import './furnish.ts'
import { workSampler } from '@lemmata/core/exercise'
import type { Sampler } from '@lemmata/core/sampler'
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { App } from 'antd'
import { type ReactNode, useMemo } from 'react'
import { Provider } from 'react-redux'
import { createMemoryRouter, Outlet, RouterProvider } from 'react-router'
import { WorkedContext, type WorkedInPage } from '../compute/use-worked.ts'
import { store, useAppSelector } from '../store/index.ts'
import { samplerClosed, samplerOpened } from '../store/sampler.ts'

export interface Page {
  /** The document as it is now. */
  readonly document: () => Sampler
  /** The last thing that was said to the teacher. */
  readonly notice: () => string | null
}

/** `path`: of a stage that reads its address, below the sampler's own: `teach/:lesson?`. */
export function openPage(sampler: Sampler, stage: ReactNode, path?: string): Page {
  const id = `s${Math.random()}`
  store.dispatch(samplerOpened({ answer: { id, revision: 1, document: sampler, printedRevision: null }, pending: [] }))
  const child = path === undefined ? { index: true as const, element: stage } : { path: `samplers/:id/${path}`, element: stage }
  const at = path === undefined ? '/' : `/samplers/${id}/${path.split('/')[0] ?? ''}`
  const router = createMemoryRouter([{ path: '/', element: <Open />, children: [child] }], { initialEntries: [at] })
  render(
    <Provider store={store}>
      <App>
        <RouterProvider router={router} />
      </App>
    </Provider>,
  )
  return {
    document: () => {
      const { open } = store.getState().sampler
      if (!open) throw new Error('no sampler is open')
      return open.document
    },
    notice: () => store.getState().sampler.notice?.text ?? null,
  }
}

function Open() {
  const sampler = useAppSelector((state) => state.sampler.open?.document)
  return sampler ? <Worked sampler={sampler} /> : null
}

function Worked({ sampler }: { sampler: Sampler }) {
  const worked = useMemo<WorkedInPage>(() => ({ ...workSampler(sampler), busy: false, complete: true, failed: null }), [sampler])
  return (
    <WorkedContext value={worked}>
      <Outlet context={sampler} />
    </WorkedContext>
  )
}

export function closePage(): void {
  cleanup()
  act(() => void store.dispatch(samplerClosed()))
}

/** Into a field, which is then left. */
export function type(label: string, text: string): void {
  const field = screen.getByLabelText(label)
  fireEvent.focus(field)
  fireEvent.change(field, { target: { value: text } })
  fireEvent.blur(field)
}

/** One of a list that opens: by the words of its entry. */
export async function choose(label: string | RegExp, entry: string | RegExp): Promise<void> {
  const field = screen.getByRole('combobox', { name: label })
  fireEvent.mouseDown(field)
  const lists = await screen.findAllByRole('listbox')
  const list = lists.at(-1)?.closest('.ant-select-dropdown')
  if (!list) throw new Error(`${String(label)} has no list`)
  const found = within(list as HTMLElement)
    .getAllByText(entry)
    .find((one) => one.closest('.ant-select-item-option'))
  if (!found) throw new Error(`${String(entry)} is not in ${String(label)}`)
  fireEvent.click(found)
}
