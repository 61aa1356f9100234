/** The cloth as it was last seen stands in while the page comes: for whoever saw it, and for nobody else. */
import { dialSampler } from '@lemmata/contract/testing'
import { expect, type Page, test } from '@playwright/test'
import { account, makeTeacher, signIn } from './pages.ts'

/** Whether the browser keeps a cloth. */
const isKept = (page: Page): Promise<boolean> =>
  page.evaluate(async () => (await caches.keys()).includes('lemmata-last-seen') && (await (await caches.open('lemmata-last-seen')).keys()).length > 0)

/** Notes what stood in, and where, before anything of the page runs. */
async function watch(page: Page): Promise<void> {
  await page.addInitScript(() => {
    document.addEventListener(
      'load',
      ({ target }) => {
        if (!(target instanceof HTMLImageElement) || target.className !== 'last-seen') return
        const { left, top, width, height } = target.getBoundingClientRect()
        Object.assign(window, { stoodIn: [left, top, width, height].map(Math.round) })
      },
      true,
    )
  })
}
const stoodIn = (page: Page): Promise<unknown> => page.evaluate(() => (window as { stoodIn?: unknown }).stoodIn ?? null)

test('it stands where the cloth will lie, goes when that is there, and is forgotten at the door', async ({ page }) => {
  const sampler = dialSampler()
  const email = await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await expect(page.locator('canvas.painted[data-painted="whole"]')).toBeVisible()
  await expect.poll(() => isKept(page)).toBe(true)
  const address = page.url()

  await watch(page)
  await page.goto(address)
  await expect(page.locator('canvas.painted[data-painted="whole"]')).toBeVisible()
  const cloth = await page.getByTestId('cloth-view').boundingBox()
  expect(await stoodIn(page)).toEqual([cloth?.x, cloth?.y, cloth?.width, cloth?.height].map((one) => Math.round(one ?? Number.NaN)))
  await expect(page.locator('.last-seen')).toHaveCount(0)

  // In another window it would lie elsewhere.
  await page.setViewportSize({ width: 1100, height: 700 })
  await page.goto(address)
  await expect(page.locator('canvas.painted[data-painted="whole"]')).toBeVisible()
  expect(await stoodIn(page)).toBeNull()
  await page.setViewportSize({ width: 1280, height: 800 })

  await account(page, 'Sign out')
  await expect(page.getByLabel('Password')).toBeVisible()
  await expect.poll(() => isKept(page)).toBe(false)

  // Somebody else at the same machine does not see it, even if it were still kept.
  await signIn(page, email, 'rain on the window')
  await page.goto(address)
  await expect.poll(() => isKept(page)).toBe(true)
  await page.context().clearCookies()
  await page.goto(address)
  await expect(page.getByLabel('Password')).toBeVisible()
  expect(await stoodIn(page)).toBeNull()
})
