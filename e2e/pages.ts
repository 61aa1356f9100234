/** Words for what a person does. */
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

export const address = (): string => process.env.LEMMATA_ADDRESS ?? ''

export async function signIn(page: Page, email = 'demo@lemmata.example', password = 'needle and thread'): Promise<void> {
  await page.goto(`${address()}/sign-in`)
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Shelf', exact: true })).toBeVisible()
}

let accounts = 0

/** A teacher of her own for a test, so that tests do not meet. */
export async function makeTeacher(page: Page): Promise<string> {
  accounts += 1
  const email = `teacher-${process.pid}-${accounts}-${Date.now()}@example.org`
  await page.goto(`${address()}/sign-in`)
  await page.getByRole('button', { name: 'I am new here: make an account' }).click()
  await page.getByLabel('Your name').fill('Nora Fell')
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password').fill('rain on the window')
  await page.getByRole('button', { name: 'Make the account' }).click()
  await expect(page.getByRole('heading', { name: 'Shelf', exact: true })).toBeVisible()
  return email
}

export async function newSampler(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'New sampler', exact: true }).click()
  await page.getByRole('dialog').getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'The course' })).toBeVisible()
}

export const stage = async (page: Page, name: string): Promise<void> => {
  const link = page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: new RegExp(`^${name}`) })
  await link.click()
  // What the stage needs is loaded when it is gone to.
  await expect(link).toHaveAttribute('aria-current', 'page')
}

export const saved = async (page: Page): Promise<void> => {
  await expect(page.locator('.saved')).toHaveAttribute('data-status', 'saved')
}

export async function teach(page: Page, stitch: string): Promise<void> {
  await stage(page, 'Stitches')
  await page
    .getByRole('button', { name: new RegExp(`^${stitch}`) })
    .first()
    .click()
  await page
    .getByRole('button', { name: `Teach ${stitch.toLowerCase()}` })
    .first()
    .click()
  await saved(page)
}

/** A row of the spine. */
export const row = (page: Page, name: string | RegExp) => page.getByRole('option', { name })

/** Opens a group of the card, which folds the others. */
export const unfold = async (page: Page, group: string): Promise<void> => {
  const tab = page.getByTestId('exercise-card').getByRole('button', { name: new RegExp(group) })
  if ((await tab.getAttribute('aria-expanded')) !== 'true') await tab.click()
}

/** From the menu of the account. */
export const account = async (page: Page, entry: string): Promise<void> => {
  await page.getByRole('button', { name: /, account$/ }).click()
  await page.getByRole('menuitem', { name: entry }).click()
}

/** axe finds nothing that would keep anybody from it. `what` is named with what is found. */
export async function nothingSerious(page: Page, what = ''): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze()
  const serious = violations.filter((one) => one.impact === 'serious' || one.impact === 'critical')
  expect(serious.map((one) => `${what} ${one.id}: ${one.nodes.map((node) => node.html.slice(0, 140)).join(' | ')}`)).toEqual([])
}
