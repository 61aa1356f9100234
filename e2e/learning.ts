/** Words for what a class and its learners do. */
import type { Sampler } from '@lemmata/core/sampler'
import type { Page } from '@playwright/test'
import { makeTeacher, stage } from './pages.ts'

/** A new teacher's class on this sampler, and the code by which it is joined. */
export async function codeOfClass(page: Page, sampler: Sampler): Promise<string> {
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await stage(page, 'Class')
  await page.getByRole('button', { name: 'Let learners join' }).click()
  await page.getByRole('button', { name: 'Make a code' }).click()
  const code = ((await page.locator('.join-letters').textContent()) ?? '').trim()
  await page.keyboard.press('Escape')
  return code
}

/** On the page where a code is asked for. */
export async function joinAs(hers: Page, code: string, name: string, hand: 'Left' | 'Right'): Promise<void> {
  await hers.getByLabel('Code of the class').fill(code)
  await hers.getByLabel('What you are called').fill(name)
  await hers.getByLabel(hand).check()
  await hers.getByLabel('A word to come back with').fill('drizzle')
  await hers.getByRole('button', { name: 'Join' }).click()
}
