/** The stores: filled, measured, brought in and out as a table, and counted down by two windows that cut one kit at once. */
import { dialSampler } from '@lemmata/contract/testing'
import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { address, makeTeacher, nothingSerious, saved, stage } from './pages.ts'

const rows = (page: Page) => page.locator('.stores-table tbody tr')
const shelf = (page: Page, name: string) => page.getByLabel('Shelf', { exact: true }).getByText(new RegExp(`^${name} \\d`))
const csv = (lines: number): string =>
  `\uFEFFShelf;What;Colour;Hex;Left;Unit;Price\r\n${Array.from({ length: lines }, (_, index) =>
    index % 1000 === 10 ? 'threads;Moonbeam;x;#123456;8;m;1' : `threads;Stranded cotton;"Nr ${index}; ""deep""";#2F6496;2,5;skeins;1,35`,
  ).join('\r\n')}\r\n`
const table = (text: string) => ({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })

test('an empty account is filled with the usual set and a table of five thousand lines, and finds them again', async ({ page }) => {
  await makeTeacher(page)
  await page.getByRole('link', { name: 'Stores' }).click()
  await expect(page.getByText(/^Nothing on this shelf yet/)).toBeVisible()
  await nothingSerious(page, 'empty stores')
  await page.getByRole('button', { name: 'I have the usual set' }).click()
  await shelf(page, 'Needles').click()
  await expect(rows(page)).not.toHaveCount(0)

  await page.getByLabel('Table of the stores').setInputFiles(table(csv(5000)))
  await expect(page.getByText('5 lines cannot, and are left out:')).toBeVisible()
  await expect(page.getByLabel('Lines that cannot be read').getByRole('listitem').first()).toHaveAttribute('value', '12')
  await nothingSerious(page, 'a table brought in')
  await page.getByRole('button', { name: 'Take 4995 lines' }).click()
  await saved(page)
  await page.reload()
  await expect(shelf(page, 'Thread')).toHaveText('Thread 4995')
  await expect(rows(page)).toHaveCount(200)
  await page.getByLabel('Find on this shelf').fill('nr 4321')
  await expect(rows(page)).toHaveCount(1)
  await page.getByRole('button', { name: /^Nr 4321/ }).click()
  await page.getByLabel('Left, m').fill('12')
  await page.keyboard.press('Enter')
  await expect(rows(page).first()).toContainText('12.00 m, 1.5 skeins')
  await nothingSerious(page, 'one thread of the stores')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(rows(page).first()).toContainText('20.00 m')

  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  const text = readFileSync(await (await download).path(), 'utf8')
  expect(
    text
      .trimEnd()
      .split('\r\n')
      .filter((line) => line.startsWith('threads')),
  ).toHaveLength(4995)
  for (const width of [900, 390]) {
    await page.setViewportSize({ width, height: 844 })
    expect(await page.evaluate(() => document.documentElement.scrollWidth), String(width)).toBeLessThanOrEqual(width)
  }
})

test('two windows cut one kit: each metre is taken once, what one has cut the other sees, and undone it comes back', async ({ page, context }) => {
  const sampler = dialSampler()
  await makeTeacher(page)
  // Twice ten metres of every colour that the sampler is worked in.
  const lines = sampler.threads.map(({ kind, weight, colour }) => `threads;${kind};${weight ?? ''};${colour.name};${colour.hex};20;m`)
  await page.goto(`${address()}/stores`)
  await page.getByLabel('Table of the stores').setInputFiles(table(`Shelf;What;Size;Colour;Hex;Left;Unit\n${lines.join('\n')}\n`))
  await page.getByRole('button', { name: /^Take \d+ lines?$/ }).click()
  await saved(page)
  await page.goto(address())
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await stage(page, 'Thread')
  await page.getByRole('link', { name: 'Kit and cut list' }).click()
  const first = (one: Page) => one.locator('.kit-colour').first()
  await expect(first(page)).toContainText('20.00 m in the stores')
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(first(other)).toContainText('20.00 m in the stores')
  await Promise.all([page, other].map((one) => first(one).getByRole('button', { name: 'Kit 1', exact: true }).click()))
  await saved(page)
  await saved(other)
  const left = async (one: Page): Promise<string> => /^.*$/m.exec(await first(one).locator('.kit-spool p').last().innerText())?.[0] ?? ''
  const after = await left(page)
  expect(after).not.toContain('20.00 m')
  await expect.poll(() => left(other)).toBe(after)
  const taken = async (): Promise<number> =>
    ((await (await page.request.get(`${address()}/api/stores`)).json()) as { document: { taken: unknown[] } }).document.taken.length
  expect(await taken()).toBe(1)

  await first(other).getByRole('button', { name: 'Kit 1', exact: true }).click()
  await expect(first(page)).toContainText('20.00 m in the stores')
  await expect.poll(taken).toBe(0)
  await other.close()

  // Without a connection one goes on cutting; it is taken when the connection is back.
  await page.context().setOffline(true)
  await page.keyboard.press('Space')
  await expect(page.getByText(/^No connection: 1 change kept here/)).toBeVisible()
  await page.context().setOffline(false)
  await saved(page)
  await expect.poll(taken).toBe(1)
  await page.getByText('Buy', { exact: true }).click()
  await expect(page.getByRole('columnheader', { name: 'In the stores' })).toBeVisible()
  await nothingSerious(page, 'what is bought')
  await page.getByText('Labels', { exact: true }).click()
  await expect(page.locator('.kit-labels > li')).not.toHaveCount(0)
  await nothingSerious(page, 'labels')
  await page.getByText('For finished samples', { exact: true }).click()
  await expect(page.locator('.kit-labels > li')).toHaveCount(sampler.exercises.length)
  await page.getByText('Lessons', { exact: true }).click()
  await expect(page.locator('.kit-lesson')).toHaveCount(sampler.lessons.length)
  await nothingSerious(page, 'the tables of the lessons')
})
