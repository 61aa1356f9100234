/** A lost connection, a second tab, an expired session: nothing is lost and the page says what is true. */
import { newSampler as newCourse } from '@lemmata/core/sampler'
import { expect, test } from '@playwright/test'
import { unfold, makeTeacher, newSampler, saved, signIn, stage, teach } from './pages.ts'

test('keeps changes while the connection is down and sends them when it is back', async ({ page, context }) => {
  await makeTeacher(page)
  await newSampler(page, 'Storm')
  await teach(page, 'Back stitch')
  await stage(page, 'Cloth')
  await context.setOffline(true)
  await unfold(page, 'Notes')
  await page.getByTestId('exercise-card').getByLabel('Name').fill('Kept through the storm')
  await page.getByTestId('exercise-card').getByLabel('Name').press('Enter')
  await expect(page.locator('.saved')).toHaveAttribute('data-status', 'offline')
  await expect(page.getByText(/No connection: 1 change kept here/)).toBeVisible()
  await context.setOffline(false)
  await saved(page)
  await page.reload()
  await expect(page.locator('.spine-row', { hasText: 'Kept through the storm' })).toBeVisible()
})

test('two tabs: the second write is applied again to the newest state', async ({ page, context }) => {
  await makeTeacher(page)
  await newSampler(page, 'Two tabs')
  await teach(page, 'Back stitch')
  await stage(page, 'Cloth')
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByTestId('exercise-card')).toBeVisible()
  await unfold(page, 'Notes')
  await page.getByTestId('exercise-card').getByLabel('Name').fill('From the first tab')
  await page.getByTestId('exercise-card').getByLabel('Name').press('Enter')
  await saved(page)
  await other.getByTestId('exercise-card').getByLabel('Stitch', { exact: true }).fill('2.5')
  await other.getByTestId('exercise-card').getByLabel('Stitch', { exact: true }).press('Enter')
  await saved(other)
  await expect(other.locator('.spine-row', { hasText: 'From the first tab' })).toBeVisible()
  await page.reload()
  await expect(page.locator('.spine-row', { hasText: 'From the first tab' })).toBeVisible()
  await expect(page.getByTestId('exercise-card').getByLabel('Stitch', { exact: true })).toHaveValue('2.50')
})

test('an expired session keeps the change and sends it after signing in again', async ({ page, context }) => {
  const email = await makeTeacher(page)
  await newSampler(page, 'Away too long')
  await teach(page, 'Back stitch')
  await stage(page, 'Cloth')
  await context.clearCookies()
  await unfold(page, 'Notes')
  await page.getByTestId('exercise-card').getByLabel('Name').fill('Still here')
  await page.getByTestId('exercise-card').getByLabel('Name').press('Enter')
  await expect(page.locator('.saved')).toHaveAttribute('data-status', 'signed-out')
  await page.getByRole('link', { name: 'Sign in again' }).click()
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password').fill('rain on the window')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.locator('.spine-row', { hasText: 'Still here' })).toBeVisible()
  await saved(page)
})

test('a worker that breaks is said in a sentence, and the page goes on', async ({ page }) => {
  await page.route(/work\.worker/, (route) => route.fulfill({ contentType: 'text/javascript', body: 'throw new Error("broken")' }))
  await signIn(page)
  await page
    .getByRole('link', { name: /Six Thursdays/ })
    .first()
    .click()
  await expect(page.getByRole('alert').filter({ hasText: 'Working the stitches stopped unexpectedly.' })).toBeVisible()
  await stage(page, 'Brief')
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible()
})

test('a file that asks for more than can be worked is taken, and the exercise named at once', async ({ page }) => {
  await makeTeacher(page)
  const sampler = newCourse('Hail over everything')
  const guides = Array.from({ length: 10 }, (_, index) => ({
    id: `g${index}`,
    guide: { kind: 'grid' as const, at: [0, 0] as const, cellMm: 1.5, columns: 100, rows: 100 },
  }))
  const document = {
    ...sampler,
    workingHoop: undefined,
    drawing: { groups: [], guides },
    exercises: [{ id: 'e1', name: 'Hailstones', stitch: 'cross-stitch', on: guides.map(({ id }) => ({ guide: id })) }],
  }
  await page.getByLabel('Sampler file').setInputFiles({ name: 'hail.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(document)) })
  await expect(page.getByText(/not all of it can be worked\. Hailstones: This would be more than 200000 lengths/)).toBeVisible({ timeout: 60_000 })
})
