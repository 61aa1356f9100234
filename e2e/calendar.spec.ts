/** The course on dates: a class is given its own, one is moved, undone, kept over a reload, and goes out as a calendar file. */
import { bandSampler } from '@lemmata/contract/testing'
import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { makeTeacher, nothingSerious, saved, stage } from './pages.ts'

const rows = (page: Page) => page.locator('.calendar-rows tbody tr:has([data-lesson])')

test('a class is given dates; one is moved by key and undone; a month shows them; the file holds each lesson', async ({ page }) => {
  const sampler = bandSampler('2031-01-09')
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await stage(page, 'Calendar')
  await expect(rows(page)).toHaveCount(sampler.lessons.length)
  await nothingSerious(page, 'the brief\u2019s dates')
  await page.getByRole('button', { name: 'Give the class these dates' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Begins at')).toBeVisible()
  await nothingSerious(page, 'dates of the class')
  await page.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await saved(page)

  const date = (row: number) => rows(page).nth(row).locator('td').first()
  const [second, third] = [(await date(1).textContent()) ?? '', (await date(2).textContent()) ?? '']
  await rows(page).nth(1).getByRole('button').click()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(date(1)).not.toHaveText(second)
  await expect(date(2)).toHaveText(third)
  await saved(page)
  await page.reload()
  await expect(date(2)).toHaveText(third)
  await expect(date(1)).not.toHaveText(second)
  await rows(page).nth(1).getByRole('button').click()
  await nothingSerious(page, 'a lesson\u2019s card')
  await page.getByRole('button', { name: 'Put its date back' }).click()
  await expect(date(1)).toHaveText(second)
  await page.keyboard.press('Control+z')
  await expect(date(1)).not.toHaveText(second)

  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Calendar file' }).click()
  const text = readFileSync(await (await download).path(), 'utf8')
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(sampler.lessons.length)
  await page.getByRole('button', { name: 'Subscribe' }).click()
  await page.getByRole('button', { name: 'Make an address' }).click()
  const subscribed = await page.getByLabel('The address').inputValue()
  await nothingSerious(page, 'a calendar to subscribe to')
  // A program that has never signed in.
  const read = async (): Promise<number> => (await fetch(subscribed)).status
  expect(await read()).toBe(200)
  await page.getByRole('button', { name: 'A new address; the old one ends' }).click()
  await expect(page.getByLabel('The address')).not.toHaveValue(subscribed)
  expect(await read()).toBe(404)
  await page.keyboard.press('Escape')
  await page.getByText('Month', { exact: true }).first().click()
  await expect(page.locator('.month-lesson').first()).toBeVisible()
  await nothingSerious(page, 'a month')
  for (const [width, height] of [
    [1280, 660],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height })
    expect(await page.evaluate(() => document.documentElement.scrollWidth), String(width)).toBeLessThanOrEqual(width)
  }
})
