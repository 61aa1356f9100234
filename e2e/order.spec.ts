import { dialSampler } from '@lemmata/contract/testing'
import { workSampler } from '@lemmata/core/exercise'
import { courseOf, courseSettings, findOrder } from '@lemmata/core/order'
import { expect, type Page, test } from '@playwright/test'
import { makeTeacher, saved, stage } from './pages.ts'

/** A teacher of her own with the demo's larger course, so that no test sees what another did. */
async function openDiary(page: Page): Promise<void> {
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'diary.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(dialSampler())) })
  await page
    .getByRole('link', { name: /Weather Diary/ })
    .first()
    .click()
  await stage(page, 'Order')
  await expect(page.getByRole('option')).toHaveCount(dialSampler().exercises.length)
  // Everything is worked: what is compared with later says its difficulties.
  await expect(page.locator('.ramp').first()).toHaveAttribute('aria-label', /Difficulties in order: Rain \d/)
}

function diaryCourse() {
  const sampler = dialSampler()
  return { course: courseOf(workSampler(sampler).done), settings: courseSettings(sampler) }
}

const side = (page: Page, name: string) => page.getByLabel('Below the ramp').locator('.ant-segmented-item').filter({ hasText: name }).click()
const row = (page: Page, name: string) => page.getByRole('option', { name }).first()

test('a pin breaks rules that are named with their repair; two pins that contradict each other are named', async ({ page }) => {
  await openDiary(page)
  await row(page, 'Fog').click()
  await expect(page.getByText(/^(Harder|Easier) than/).first()).toBeVisible()
  await page.getByRole('checkbox', { name: 'first' }).check()
  const broken = page.getByRole('list', { name: 'Broken rules' })
  await expect(broken).toContainText('You pinned \u201cFog\u201d first.')
  await broken.getByRole('button').first().click()
  await expect(page.getByRole('option').first()).toContainText('Fog')
  await expect(broken).toBeHidden()
  await row(page, 'Willow catkins').click()
  await page.getByRole('checkbox', { name: 'first' }).check()
  await side(page, 'Better order')
  await page.getByRole('button', { name: 'Find a better order' }).click()
  const conflict = page.getByTestId('conflict')
  await expect(conflict).toContainText('These cannot all be kept')
  await expect(conflict).toContainText('\u201cWillow catkins\u201d first')
  await saved(page)
})

test('the best order is proven, laid beside the present one, kept, taken and undone', async ({ page }) => {
  await openDiary(page)
  const before = await page.getByRole('option').allInnerTexts()
  await page.getByLabel('Keep the present order as').fill('As I had it')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  const kept = page.getByRole('button', { name: 'Lay beside: As I had it' })
  await expect(kept).toBeVisible()
  await page.getByRole('button', { name: 'Find a better order' }).click()
  const found = page.getByTestId('found-order')
  // In things one can count; how sure it is stands in a sentence, the figures under Wishes.
  await expect(found).toContainText(/(fewer|more|kept|Nothing to count)/)
  await expect(page.getByText(/proven the best of all orders that keep your rules/)).toBeVisible()
  await found.getByRole('button', { name: 'Lay beside' }).click()
  await expect(page.locator('.ramp')).toHaveCount(2)
  await found.getByRole('button', { name: 'Take all' }).click()
  await expect.poll(() => page.getByRole('option').allInnerTexts()).not.toEqual(before)
  await page.getByRole('button', { name: 'Find a better order' }).click()
  await expect(found).toContainText('Yours is the order that Lemmata would choose')
  // What the stage says is what the core reckons outside any browser.
  const { course, settings } = diaryCourse()
  const best = findOrder(course, settings)
  await side(page, 'Wishes')
  await expect(page.getByText(`Yours costs ${best.found ? best.cost.total.toFixed(1) : 'nothing'},`)).toBeVisible()
  await side(page, 'Better order')
  await kept.click()
  await expect(page.getByRole('list', { name: 'The other order' })).toContainText(/earlier|later/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => page.getByRole('option').allInnerTexts()).toEqual(before)
  await page.getByRole('button', { name: 'Drop' }).click()
  await page.locator('.lesson-title').nth(1).dblclick()
  await page.getByLabel('Title of lesson 2').fill('Round the dial')
  await page.getByLabel('Title of lesson 2').press('Enter')
  await saved(page)
  await page.reload()
  await expect(page.locator('.lesson-title').nth(1)).toHaveText('Round the dial')
  await saved(page)
})

test('what the class finds hard changes the difficulties; wishes are weighed by keyboard', async ({ page }) => {
  await openDiary(page)
  await side(page, 'Wishes')
  const ramp = page.locator('.ramp')
  const usual = await ramp.getAttribute('aria-label')
  await page.getByRole('button', { name: 'Children' }).click()
  await expect(ramp).not.toHaveAttribute('aria-label', usual ?? '')
  await page.getByRole('button', { name: 'As usual' }).last().click()
  await expect(ramp).toHaveAttribute('aria-label', usual ?? '')
  const novelty = page.getByRole('slider', { name: 'One new thing' })
  await novelty.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('1.1 \u00d7')).toBeVisible()
  await page.getByRole('button', { name: 'As usual' }).first().click()
  await saved(page)
})

test('motions that never come back and steps that are too high are said, and a step can be filled', async ({ page }) => {
  await openDiary(page)
  await side(page, 'Motions')
  const gaps = page.getByRole('region', { name: 'Motions and gaps' })
  await expect(gaps).toContainText('and never again')
  await gaps.getByRole('button', { name: 'What would fill it?' }).first().click()
  await gaps.getByRole('button', { name: 'Add it' }).first().click()
  await expect(page.getByRole('option')).toHaveCount(dialSampler().exercises.length + 1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('option')).toHaveCount(dialSampler().exercises.length)
  await saved(page)
})

test('layers are drawn with their reasons; what meets without one is decided by the teacher, by keyboard', async ({ page }) => {
  const diary = dialSampler()
  // A second line of rain across the fog: nothing says which is worked first.
  const across = { id: 'w21', name: 'Drizzle', stitch: 'back-stitch', guide: { kind: 'line', path: 'M 100 224 L 146 224' } } as const
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({
    name: 'diary.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...diary, exercises: [...diary.exercises, across] })),
  })
  await page
    .getByRole('link', { name: /Weather Diary/ })
    .first()
    .click()
  await stage(page, 'Order')
  await side(page, 'Layers')
  const layers = page.getByRole('region', { name: 'Layers on the cloth' })
  await expect(layers.getByRole('img', { name: /From the cloth upwards: . Cloud; over it . Silver edge; over it . Hail/ })).toBeVisible()
  await expect(layers).toContainText('“Hail” stands raised where it meets “Cloud”, so the flat one is worked first.')
  await expect(layers).toContainText(/Fog and .* Drizzle meet on the cloth, and nothing says which is worked first/)
  await layers.getByRole('button', { name: 'Drizzle lies over' }).focus()
  await page.keyboard.press('Enter')
  await expect(layers).toContainText('“Drizzle” lies over “Fog” on the cloth.')
  await saved(page)
  await layers.getByRole('button', { name: 'Take back' }).click()
  await expect(layers).toContainText('nothing says which is worked first')
})
