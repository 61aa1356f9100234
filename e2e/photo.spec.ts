/** A practice row photographed without a connection: measured on the phone, kept as figures, and seen once by her teacher. */
import { bandSampler } from '@lemmata/contract/testing'
import { practiceRow } from '@lemmata/core/photo'
import { EVEN_HANDWORK, paintScene, PLAIN_SHOT, sewRow, shoot } from '@lemmata/core/stand-in-camera'
import { expect, test } from '@playwright/test'
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

test('is measured on her phone, and only its figures are sent, once', async ({ page, browser }) => {
  const [wanted] = rows
  if (!wanted) throw new Error('no row of the first lesson can be measured')
  const code = await codeOfClass(page, sampler)
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL: new URL(page.url()).origin })
  const hers = await phone.newPage()
  await hers.goto('/learn')
  await joinAs(hers, code, 'Gaia', 'Right')
  await hers.getByRole('button', { name: wanted.exercise.name }).first().click()
  await hers.getByRole('button', { name: 'Photograph a row' }).click()
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
  await page
    .getByRole('gridcell', { name: new RegExp(`Gaia, ${wanted.exercise.name}`) })
    .getByRole('button')
    .click()
  await expect(page.getByText('measured by her phone, on trial')).toBeVisible()
  await expect(page.locator('.class-rows li')).toHaveCount(1)
  await phone.close()
})
