/** At the cutting table: what is cut and parted, ticked kit by kit, packed, bought; by key, in two windows, on paper. */
import { dialSampler } from '@lemmata/contract/testing'
import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { makeTeacher, nothingSerious, saved, stage } from './pages.ts'

async function openKit(page: Page): Promise<void> {
  const sampler = dialSampler()
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await stage(page, 'Thread')
  await page.getByRole('link', { name: 'Kit and cut list' }).click()
  await expect(page.locator('.kit-colour').first()).toBeVisible()
}
const done = (page: Page) => page.locator('.kit-foot p')

test('colours are cut one after the other, ticked by key and by touch, kept over a reload and shared by two windows', async ({ page, context }) => {
  await openKit(page)
  const first = page.locator('.kit-colour').first()
  await expect(first.locator('.kit-cut')).toHaveText(/^Cut \d+ lengths?$/)
  await expect(first).toHaveClass(/is-now/)
  const name = await first.getByRole('heading').innerText()
  const boxes = await first.getByRole('button').count()
  for (let kit = 1; kit <= boxes; kit += 1) await page.keyboard.press('Space')
  await expect(first).toHaveClass(/is-done/)
  await expect(page.locator('.kit-colour').nth(1)).toHaveClass(/is-now/)
  await expect(done(page)).toContainText(`${boxes} of `)
  await page.keyboard.press('z')
  await expect(done(page)).toContainText(`${name}, kit ${boxes} is next.`)

  // A box that was clicked keeps its tick; the bar goes on with the next.
  await page.locator('.kit-colour').nth(1).getByRole('button', { name: 'Kit 1', exact: true }).click()
  await page.keyboard.press('Space')
  await expect(page.locator('.kit-colour').nth(1).getByRole('button', { name: 'Kit 1', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await expect(first).toHaveClass(/is-done/)
  await page.keyboard.press('z')
  await page.keyboard.press('z')
  await expect(done(page)).toContainText(`${boxes - 1} of `)

  const other = await context.newPage()
  await other.goto(page.url())
  await expect(done(other)).toContainText(`${boxes - 1} of `)
  await other.locator('.kit-colour').nth(1).getByRole('button', { name: 'Kit 2', exact: true }).click()
  await expect(page.locator('.kit-colour').nth(1).getByRole('button', { name: 'Kit 2', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await other.close()
  await page.reload()
  await expect(done(page)).toContainText(`${boxes} of `)
  await nothingSerious(page, 'the cut list')
})

test('bags say for which hand; needles and tools say what serves instead; the list goes out as figures', async ({ page }) => {
  await openKit(page)
  await page.getByText('Pack', { exact: true }).click()
  await page.getByRole('button', { name: 'Bag 1: done' }).click()
  await expect(page.getByRole('button', { name: 'Bag 1', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await nothingSerious(page, 'packing')
  await page.getByText('Needles and tools', { exact: true }).click()
  await expect(page.getByRole('cell', { name: /^Small pointed scissors/ })).toBeVisible()
  await expect(page.getByText(/First keep to the rules of the place where you teach/)).toBeVisible()
  await nothingSerious(page, 'needles and tools')
  await page.getByText('Buy', { exact: true }).click()
  const rows = await page.locator('.kit-table tbody tr').count()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Buy list as CSV' }).click()
  const text = readFileSync(await (await download).path(), 'utf8')
  expect(text.trimEnd().split('\r\n')).toHaveLength(rows + 1)
  await page.setViewportSize({ width: 390, height: 844 })
  for (const view of ['Thread', 'Cloth', 'Needles and tools', 'Lessons', 'Pack', 'Labels', 'Buy']) {
    await page.locator('.kit .ant-segmented').getByText(view, { exact: true }).click()
    expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(390)
  }
})

test('on paper the boxes are open and nothing of the page is left', async ({ page }) => {
  await openKit(page)
  await page.keyboard.press('Space')
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('.kit-colour').first()).toBeVisible()
  await expect(page.locator('.kit-foot')).toBeHidden()
  await expect(page.locator('.head')).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
})

test('as few needles as serve are chosen together, taken in one step and put back in one', async ({ page }) => {
  await openKit(page)
  const needles = async (): Promise<number> => {
    await page.locator('.kit .ant-segmented').getByText('Needles and tools', { exact: true }).click()
    return page.locator('.kit-table').first().locator('tbody tr').count()
  }
  const before = await needles()
  await page.getByRole('link', { name: '‹ Thread' }).click()
  await page.getByRole('button', { name: 'Fewer needles' }).click()
  const said = page.getByText(/^\d+ needles become \d+:$/)
  await expect(said).toBeVisible()
  const [, from, to] = /(\d+) needles become (\d+)/.exec(await said.innerText()) ?? []
  expect(Number(from)).toBe(before)
  expect(Number(to)).toBeLessThan(before)
  await nothingSerious(page, 'fewer needles')
  await page.getByRole('button', { name: 'Take these needles' }).click()
  await saved(page)
  await page.getByRole('link', { name: 'Kit and cut list' }).click()
  await expect.poll(needles).toBe(Number(to))
  await page.keyboard.press('Control+z')
  await expect(page.locator('.kit-table').first().locator('tbody tr')).toHaveCount(before)

  // Asked for again and stopped: nothing has changed.
  await page.getByRole('link', { name: '‹ Thread' }).click()
  await page.getByRole('button', { name: 'Fewer needles' }).click()
  await page.getByRole('button', { name: /^(Stop|Leave them as they are)$/ }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.getByRole('link', { name: 'Kit and cut list' }).click()
  await expect.poll(needles).toBe(before)
})

test('an exercise is seen in other strands and weights side by side, and one of them is taken', async ({ page }) => {
  await openKit(page)
  await page.getByRole('link', { name: '‹ Thread' }).click()
  await page.getByRole('button', { name: 'In other threads' }).click()
  const table = page.locator('.compare-strands')
  await expect(table.getByRole('img')).toHaveCount(await table.getByRole('columnheader').count())
  await nothingSerious(page, 'in other threads')
  await page.getByRole('button', { name: 'Take 4 strands' }).click()
  await saved(page)
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.locator('tr.held .t-strands')).toContainText('4')
  await page.keyboard.press('Control+z')
  await expect(page.locator('tr.held .t-strands')).not.toContainText('4')
})

test('an equal thread is taken with its strands and needle; threads of the course are made fewer in one step, and both are undone', async ({ page }) => {
  await openKit(page)
  await page.getByRole('link', { name: '\u2039 Thread' }).click()
  await page.getByRole('button', { name: 'Equal threads' }).first().click()
  const rows = page.getByRole('dialog').locator('.kit-table tbody tr')
  // Nothing is in the stores: all kinds, and what is worked now costs nothing.
  await expect(page.getByText(/^Nothing is in your stores yet/)).toBeVisible()
  await expect(rows.first()).toContainText('nothing')
  await nothingSerious(page, 'equal threads')
  await page.getByRole('dialog').getByRole('button', { name: 'Take Pearl cotton 8 in 1' }).click()
  await saved(page)
  await expect(page.locator('tr.held .t-thread')).toContainText(/pearl/i)
  await page.keyboard.press('Control+z')
  await expect(page.locator('tr.held .t-thread')).not.toContainText(/pearl/i)

  await page.getByRole('button', { name: 'Fewer threads' }).click()
  await expect(page.getByText(/ become \d+ and \d+\.$| already: no fewer would serve as well\.$/)).toBeVisible()
  await nothingSerious(page, 'fewer threads')
  await page.getByText('All kinds', { exact: true }).click()
  const said = page.getByText(/ become \d+ and \d+\.$/)
  await expect(said).toBeVisible()
  const [, threads, , then] = /(\d+) threads? and (\d+) needles? become (\d+)/.exec(await said.innerText()) ?? []
  expect(Number(then)).toBeLessThanOrEqual(Number(threads))
  await page.getByRole('button', { name: 'Take these' }).click()
  await saved(page)
  await page.getByRole('button', { name: 'Fewer threads' }).click()
  await page.getByText('All kinds', { exact: true }).click()
  await expect(page.getByText(/ already: no fewer would serve as well\.$/)).toBeVisible()
})
