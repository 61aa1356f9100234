/** Every screen is scanned: nothing serious may be found. */
import { expect, test } from '@playwright/test'
import { address, nothingSerious as scan, signIn, stage } from './pages.ts'

test('sign-in, shelf and account', async ({ page }) => {
  await page.goto(`${address()}/sign-in`)
  await expect(page.getByLabel('Password')).toBeVisible()
  await scan(page)
  await signIn(page)
  await scan(page)
  await page.goto(`${address()}/account`)
  await expect(page.getByRole('heading', { name: 'Account' })).toBeVisible()
  await scan(page)
})

test('all stages of the demo', async ({ page }) => {
  // Eight thorough scans, on machines that may be busy.
  test.slow()
  await signIn(page)
  await page
    .getByRole('link', { name: /Six Thursdays/ })
    .first()
    .click()
  for (const name of ['Brief', 'Stitches', 'Order', 'Cloth', 'Thread', 'Calendar', 'Sheets', 'Class']) {
    await stage(page, name)
    await expect(page.locator('.stage[aria-current="page"]')).toContainText(name)
    await expect(page.locator('.spine-row, .panel, [data-lesson], .class-grid').first()).toBeVisible()
    await scan(page)
  }
})

test('nothing scrolls sideways and the page itself never scrolls at 1280 x 660', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 660 })
  await signIn(page)
  await page
    .getByRole('link', { name: /Six Thursdays/ })
    .first()
    .click()
  for (const name of ['Brief', 'Stitches', 'Order', 'Cloth', 'Thread', 'Calendar', 'Sheets', 'Class']) {
    await stage(page, name)
    await expect(page.locator('.stage[aria-current="page"]')).toContainText(name)
    const over = await page.evaluate(() => ({ x: document.documentElement.scrollWidth - innerWidth, y: document.documentElement.scrollHeight - innerHeight }))
    expect(over.x, name).toBeLessThanOrEqual(0)
    expect(over.y, name).toBeLessThanOrEqual(0)
  }
})
