/** The cloth as the tests of drawing take hold of it. */
import { expect, type Page } from '@playwright/test'
import { makeTeacher, newSampler, stage } from './pages.ts'

export async function bareCloth(page: Page): Promise<void> {
  await makeTeacher(page)
  await newSampler(page, 'Frost on glass')
  await stage(page, 'Cloth')
  await expect(page.getByRole('heading', { name: 'The cloth is bare' })).toBeVisible()
}

export async function tool(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: /^Draw( ▾|:)/ }).click()
  await page.getByRole('menuitem', { name, exact: true }).click()
  await expect(page.getByRole('region', { name: `Drawing: ${name}` })).toBeVisible()
  await settled(page)
}

/** The view goes where it fits when a bar comes or goes. */
export async function settled(page: Page): Promise<void> {
  const view = page.getByTestId('cloth-view')
  let before: string | null = null
  await expect
    .poll(
      async () => {
        const now = `${await view.getAttribute('data-view')} ${JSON.stringify(await view.boundingBox())}`
        const same = now === before
        before = now
        return same
      },
      { intervals: [50, 50, 100] },
    )
    .toBe(true)
}

/** Where a place of the cloth is on the screen. */
export async function onScreen(page: Page, x: number, y: number): Promise<readonly [number, number]> {
  const view = page.getByTestId('cloth-view')
  const [scale = 0, left = 0, top = 0] = ((await view.getAttribute('data-view')) ?? '').split(' ').map(Number)
  const box = await view.boundingBox()
  return [(box?.x ?? 0) + left + x * scale, (box?.y ?? 0) + top + y * scale]
}

export async function drag(page: Page, from: readonly [number, number], to: readonly [number, number]): Promise<void> {
  await page.mouse.move(...(await onScreen(page, ...from)))
  await page.mouse.down()
  const end = await onScreen(page, ...to)
  await page.mouse.move(end[0] - 3, end[1] - 2, { steps: 4 })
  await page.mouse.move(...end)
  await page.mouse.up()
}
