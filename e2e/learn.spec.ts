/** A learner on her phone: she joins, works without a connection, comes back; nothing is lost or doubled, and her teacher sees it. */
import { bandSampler } from '@lemmata/contract/testing'
import { expect, test } from '@playwright/test'
import { codeOfClass, joinAs } from './learning.ts'
import { nothingSerious } from './pages.ts'

const sampler = bandSampler('2031-01-09')
const first = sampler.exercises.find((one) => one.id === sampler.lessons[0]?.exercises[0])?.name ?? ''
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true }

test('she joins by a code, works a lesson without a connection, and all of it is there once when she is back', async ({ page, browser }) => {
  const code = await codeOfClass(page, sampler)
  const phone = await browser.newContext({ ...PHONE, baseURL: new URL(page.url()).origin })
  const hers = await phone.newPage()
  await hers.goto('/learn')
  await nothingSerious(hers, 'joining')
  await joinAs(hers, code.toLowerCase(), 'Gaia', 'Left')
  await expect(hers.getByText('Gaia, My class')).toBeVisible()
  await nothingSerious(hers, 'her week')
  // The page is kept on the device before the connection goes.
  await hers.evaluate(async () => {
    await navigator.serviceWorker.ready
    while (!(await caches.match('/learn'))) await new Promise((resolve) => setTimeout(resolve, 50))
  })
  await hers.reload()
  await expect(hers.getByText('Gaia, My class')).toBeVisible()
  await phone.setOffline(true)
  // The trainer too, though she has not been there yet: it was fetched before.
  await hers.getByRole('button', { name: /^Where does the needle go next/ }).click()
  await expect(hers.getByTestId('asked')).toBeVisible()
  await nothingSerious(hers, 'the trainer')
  await hers
    .getByRole('button', { name: /^Place / })
    .first()
    .click()
  expect(await hers.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  await hers.getByLabel('Back to this week').click()
  await hers.getByRole('button', { name: first }).click()
  const sentence = hers.getByTestId('learn-sentence')
  await expect(sentence).toHaveText(/^a/)
  await nothingSerious(hers, 'a piece of work')
  await hers.getByRole('button', { name: 'Next move' }).click()
  await expect(sentence).toHaveText(/^b/)
  expect(await hers.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  await hers.getByRole('button', { name: 'Time it' }).click()
  await hers.getByRole('button', { name: 'Stop the time' }).click()
  await hers.getByRole('button', { name: 'I am stuck here' }).click()
  // Closed and opened again without a connection: the page is there, and so is what she told.
  await hers.reload()
  await expect(hers.getByRole('button', { name: 'Not stuck any more' })).toBeVisible()
  await hers.getByLabel('Back to this week').click()
  await expect(hers.getByText(/No connection: go on, all of it works. [23] things wait here to be sent./)).toBeVisible()
  await phone.setOffline(false)
  await expect(hers.getByText('things wait here')).toHaveCount(0)
  await expect(hers.locator('.learn-state')).toHaveText('')
  // On another device she comes back by her link and her word, and what she told is there, once.
  await hers.getByText('My page').click()
  const link = (await hers.locator('.learn-mine a').getAttribute('href')) ?? ''
  const tablet = await browser.newContext({ ...PHONE, baseURL: new URL(page.url()).origin })
  const other = await tablet.newPage()
  await other.goto(link)
  await other.getByLabel('Your word').fill('Drizzle')
  await other.getByRole('button', { name: 'Open' }).click()
  await expect(other.getByText('stuck: your teacher sees it · 1 min')).toBeVisible()
  // Her teacher sees it, helps, and it goes back to both.
  await page.reload()
  const cell = page.getByRole('button', { name: new RegExp(`^Gaia, ${first}: stuck at step 2, 1 minutes`) })
  await expect(cell).toBeVisible()
  await nothingSerious(page, 'the class')
  await cell.click()
  await page.getByRole('button', { name: 'Helped' }).click()
  await expect(page.getByText('Nobody is stuck.')).toBeVisible()
  await other.reload()
  await expect(other.getByText('practising · 1 min')).toBeVisible()
  // Both tell at once: each counts once.
  await other.getByRole('button', { name: first }).click()
  await hers.getByRole('button', { name: first }).click()
  await Promise.all([other, hers].map((one) => one.getByRole('button', { name: 'I can do this row' }).click()))
  await page.reload()
  await expect(page.getByRole('button', { name: new RegExp(`^Gaia, ${first}: can do it, 1 minutes`) })).toBeVisible()
  await phone.close()
  await tablet.close()
})

test('at a text of twice the size, and 320 wide, nothing is wider than the window', async ({ page, browser }) => {
  const code = await codeOfClass(page, sampler)
  const phone = await browser.newContext({ viewport: { width: 320, height: 640 }, baseURL: new URL(page.url()).origin })
  const hers = await phone.newPage()
  await hers.goto(`/learn?code=${code}`)
  await hers.getByLabel('What you are called').fill('A very long name indeed, of which there are some, that fills a line and then another')
  await hers.getByLabel('Right').check()
  await hers.getByLabel('A word to come back with').fill('drizzle')
  await hers.getByRole('button', { name: 'Join' }).click()
  await hers.getByText('My page').click()
  await hers.addStyleTag({ content: 'html { font-size: 32px !important }' })
  const width = () => hers.evaluate(() => document.documentElement.scrollWidth)
  expect(await width()).toBe(320)
  await hers.getByRole('button', { name: first }).click()
  await expect(hers.getByTestId('learn-sentence')).toBeVisible()
  expect(await width()).toBe(320)
  for (const name of ['Next move', 'I can do this row', 'I am stuck here', 'Time it']) await hers.getByRole('button', { name }).click()
  await expect(hers.getByRole('button', { name: 'Not stuck any more' })).toBeVisible()
  await phone.close()
})
