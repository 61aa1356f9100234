/** A practice row photographed without a connection: measured on the phone, kept as figures, and seen once by her teacher. */
import { bandSampler } from '@lemmata/contract/testing'
import { practiceRow } from '@lemmata/core/photo'
import { EVEN_HANDWORK, paintScene, PLAIN_SHOT, sewRow, shoot } from '@lemmata/core/stand-in-camera'
import { type Browser, expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { codeOfClass, joinAs } from './learning.ts'
import { nothingSerious } from './pages.ts'

const sampler = bandSampler('2031-01-09')
const rows = (sampler.lessons[0]?.exercises ?? []).flatMap((id) => {
  const exercise = sampler.exercises.find((one) => one.id === id)
  const row = exercise && practiceRow(sampler, exercise)
  return row ? [{ exercise, ...row }] : []
})

async function photographOf({ done, plan }: (typeof rows)[number]): Promise<Buffer> {
  const row = sewRow(done, plan, { ...EVEN_HANDWORK, scatterMm: 0.06, seed: 4 })
  const look = { clothHex: plan.clothHex, weaveMm: 0.42, threadHex: plan.threadHex, lineHex: null, fuzzMm: 0.02, seed: 4 }
  const { rgba, widthPx, heightPx } = shoot(paintScene(row, look, 24), { ...PLAIN_SHOT, pixelsPerMm: 15, tiltDeg: 10, rollDeg: 4, noise: 0.006 })
  return sharp(Buffer.from(rgba.buffer), { raw: { width: widthPx, height: heightPx, channels: 4 } })
    .jpeg({ quality: 85 })
    .toBuffer()
}

/** She has joined on her phone, and opened the page on which rows of the exercise are photographed. */
async function beforeThePicture(page: Page, browser: Browser, { exercise }: (typeof rows)[number]) {
  const code = await codeOfClass(page, sampler)
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL: new URL(page.url()).origin })
  const hers = await phone.newPage()
  await hers.goto('/learn')
  await joinAs(hers, code, 'Gaia', 'Right')
  await hers.getByRole('button', { name: exercise.name }).first().click()
  await hers.getByRole('button', { name: 'Photograph a row' }).click()
  return { phone, hers }
}

test('is measured on her phone, and only its figures are sent, once', async ({ page, browser }) => {
  const [wanted] = rows
  if (!wanted) throw new Error('no row of the first lesson can be measured')
  const { phone, hers } = await beforeThePicture(page, browser, wanted)
  await nothingSerious(hers, 'before the photograph')
  // Without card and cloth it is seen how it goes; nothing of that is kept.
  await hers.getByRole('button', { name: 'See it with a drawn example' }).click()
  await expect(hers.getByTestId('row-figures')).toBeVisible({ timeout: 60_000 })
  await expect(hers.getByText('nothing of it is kept')).toBeVisible()
  await expect(hers.getByRole('button', { name: 'Keep this row' })).toHaveCount(0)
  await nothingSerious(hers, 'a row measured')
  await phone.setOffline(true)
  const choose = hers.getByLabel('Choose one')
  await choose.setInputFiles({ name: 'row.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') })
  await expect(hers.getByRole('alert')).toContainText('no picture that can be read here')
  await choose.setInputFiles({ name: 'row.jpg', mimeType: 'image/jpeg', buffer: await photographOf(wanted) })
  await expect(hers.getByTestId('row-figures')).toBeVisible({ timeout: 60_000 })
  expect(await hers.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
  // A mark that lies beside its stitch is put right by hand, and by the keyboard: what is told follows.
  const told = (await hers.getByTestId('row-figures').textContent()) ?? ''
  await hers.getByText('A mark lies beside its stitch?').click()
  await hers.getByRole('group', { name: 'Where it ends' }).getByRole('button').first().click()
  await expect(hers.getByTestId('row-figures')).not.toHaveText(told)
  await nothingSerious(hers, 'put right')
  await hers.getByRole('button', { name: 'As it was measured' }).click()
  await expect(hers.getByTestId('row-figures')).toHaveText(told)
  const touched = hers.getByRole('button', { name: /^Touch a stitch/ })
  await touched.focus()
  for (let times = 0; times < 8; times += 1) await touched.press('Shift+ArrowRight')
  await touched.press('Enter')
  await expect(hers.getByText(/^Stitch ([2-9]|\d\d) of \d+$/)).toBeVisible()
  await hers.getByRole('button', { name: 'Keep this row' }).click()
  await expect(hers.getByText('Your rows so far (1)')).toBeVisible()
  // Without a connection the picture cannot be sent, and is not sent later by itself.
  await hers.getByRole('button', { name: 'Send this picture to my teacher' }).click()
  await expect(hers.getByRole('alert')).toContainText('No connection')
  const sent: string[] = []
  hers.on('request', (request) => sent.push(request.postData() ?? ''))
  await phone.setOffline(false)
  await hers.getByLabel('Back to the piece').click()
  await hers.getByLabel('Back to this week').click()
  await expect(hers.getByText('thing waits here')).toHaveCount(0)
  await expect(hers.locator('.learn-state')).toHaveText('')
  // Figures and no picture: a row is a few hundred letters.
  expect(sent.every((one) => one.length < 3000)).toBe(true)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Hold what phones measure against a ruler' })).toBeVisible()
  await expect(page.getByRole('button', { name: '1 picture sent' })).toHaveCount(0)
  await page
    .getByRole('gridcell', { name: new RegExp(`Gaia, ${wanted.exercise.name}`) })
    .getByRole('button')
    .click()
  await expect(page.getByText('measured by her phone, on trial')).toBeVisible()
  await expect(page.locator('.class-rows li')).toHaveCount(1)
  await phone.close()
})

test('is sent to her teacher when she says so, and taken back', async ({ page, browser }) => {
  const [wanted] = rows
  if (!wanted) throw new Error('no row of the first lesson can be measured')
  const { phone, hers } = await beforeThePicture(page, browser, wanted)
  const photograph = await photographOf(wanted)
  await hers.getByLabel('Choose one').setInputFiles({ name: 'row.jpg', mimeType: 'image/jpeg', buffer: photograph })
  await hers.getByRole('button', { name: 'Send this picture to my teacher' }).click({ timeout: 60_000 })
  await expect(hers.getByText('One picture is with your teacher')).toBeVisible()
  await nothingSerious(hers, 'a picture sent')
  await page.reload()
  await page.getByRole('button', { name: '1 picture sent' }).click()
  const seen = page.getByRole('img', { name: new RegExp(`A row of .*${wanted.exercise.name} by Gaia`) })
  await expect(seen).toBeVisible()
  // The window of the card alone, at one scale; an image has a size only once it has come.
  await expect.poll(() => seen.evaluate((one: HTMLImageElement) => Math.round((100 * one.naturalWidth) / one.naturalHeight))).toBe(300)
  await nothingSerious(page, 'pictures side by side')
  await hers.getByRole('button', { name: 'Take it back' }).click()
  await expect(hers.getByText('is with your teacher')).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Hold what phones measure against a ruler' })).toBeVisible()
  await expect(page.getByRole('button', { name: '1 picture sent' })).toHaveCount(0)
  await phone.close()
})

test('is held against a ruler by her teacher, who keeps the difference', async ({ page }) => {
  const [wanted] = rows
  if (!wanted) throw new Error('no row of the first lesson can be measured')
  await codeOfClass(page, sampler)
  await page.getByRole('button', { name: 'Add learners' }).click()
  await page.getByLabel('Names').fill('Gaia')
  await page.getByRole('button', { name: 'Add 1' }).click()
  await page.getByRole('button', { name: 'Hold what phones measure against a ruler' }).click()
  const dialog = page.getByRole('dialog', { name: 'Held against a ruler' })
  await dialog.getByLabel('Exercise of the row').fill(wanted.exercise.name)
  await page.keyboard.press('Enter')
  await dialog.getByLabel('Photograph of the row').setInputFiles({ name: 'row.jpg', mimeType: 'image/jpeg', buffer: await photographOf(wanted) })
  await expect(dialog.getByText('Photographed:')).toBeVisible({ timeout: 60_000 })
  const laid = dialog.getByLabel(/^From /)
  await laid.fill('0')
  await laid.press('Enter')
  await expect(dialog.getByRole('button', { name: 'Keep the difference' })).toBeDisabled()
  await laid.fill('58')
  await laid.press('Enter')
  await dialog.getByLabel('Stitches, counted').fill(String(wanted.plan.count))
  await dialog.getByLabel('Stitches, counted').press('Enter')
  await expect(dialog.getByText(/^Your ruler: /)).toBeVisible()
  await nothingSerious(page, 'against a ruler')
  await dialog.getByRole('button', { name: 'Keep the difference' }).click()
  await expect(dialog.getByText(/^1 of 12 rows so far/)).toBeVisible()
  await dialog.getByRole('button', { name: /^Delete the row of/ }).click()
  await expect(dialog.getByText(/until 12 real rows agree/)).toBeVisible()
})
