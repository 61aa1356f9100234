/** Six Thursdays taught through by keyboard alone, a question kept with its lesson; and the learner's book that is made of it. */
import { sixThursdays } from '@lemmata/contract/demo'
import { expect, type Page, test } from '@playwright/test'
import { makeTeacher, nothingSerious, stage } from './pages.ts'

const sampler = sixThursdays('2031-01-09')

async function openThursdays(page: Page): Promise<void> {
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await stage(page, 'Calendar')
  await expect(page.locator('[data-lesson]').first()).toBeVisible()
}

test('a course is taught through by keys, from its first leaf to its last', async ({ page }) => {
  test.setTimeout(180_000)
  await openThursdays(page)
  // It begins with the exercise that is held; what its lesson begins with is one leaf before that.
  await page.keyboard.press('t')
  const place = page.locator('.teach-bar .teach-place')
  await expect(place).toHaveText(/, 2 of/)
  await page.locator('.teach').press('p')
  await expect(place).toHaveText(/^Lesson 1, 1 of/)
  await nothingSerious(page, 'what a lesson begins with')
  const seen: string[] = []
  const sentences = new Set<string>()
  const last = new RegExp(`^Until next time`)
  for (let lesson = 1; lesson <= sampler.lessons.length; lesson += 1) {
    await expect(place).toHaveText(new RegExp(`^Lesson ${lesson}, 1 of`))
    await expect(page.getByRole('dialog', { name: `Teach: ${sampler.lessons[lesson - 1]?.title}` })).toBeVisible()
    for (let presses = 0; presses < 80; presses += 1) {
      const now = (await place.textContent()) ?? ''
      if (seen.at(-1) !== now) seen.push(now)
      if (last.test(now)) break
      const sentence = page.getByTestId('teach-sentence')
      if ((await sentence.count()) > 0) sentences.add((await sentence.textContent()) ?? '')
      await page.keyboard.press(presses % 2 === 0 ? 'PageDown' : 'ArrowRight')
    }
    await expect(place).toHaveText(last)
    if (lesson === 1) await nothingSerious(page, 'until next time')
    if (lesson < sampler.lessons.length) await page.keyboard.press('PageDown')
  }
  // Each exercise once at the hand and once looked at.
  for (const { name } of sampler.exercises) {
    expect(
      seen.filter((one) => one.includes(` ${name}, `) && !one.includes('looked at')),
      name,
    ).toHaveLength(1)
    expect(
      seen.filter((one) => one.includes(` ${name}, looked at`)),
      name,
    ).toHaveLength(1)
  }
  expect(sentences.size).toBeGreaterThan(40)
  await expect(page.getByText('The last stitch is in: what is left is finishing.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('navigation', { name: 'Stages of the work' })).toBeVisible()
})

test('two ways are shown beside each other, both hands moving, and what the room is for is kept', async ({ page }) => {
  await openThursdays(page)
  await page.keyboard.press('t')
  await expect(page.getByTestId('teach-sentence')).toBeVisible()
  await page.locator('.teach').press('v')
  const vote = page.getByRole('dialog', { name: /^A vote in/ })
  const said = (way: number) => page.getByTestId(`way-${way}-sentence`)
  for (const way of [1, 2]) await expect(said(way)).toHaveText(/^a /)
  await vote.press('PageDown')
  for (const way of [1, 2]) await expect(said(way)).toHaveText(/^b /)
  await vote.press('Space')
  await expect(vote.locator('canvas[data-moving=true]')).toHaveCount(2)
  await nothingSerious(page, 'a vote')
  await vote.press('Space')
  // Another way of it is looked for by name, and begins without votes.
  await vote.press('2')
  await page.getByRole('combobox', { name: 'What is shown as way 2' }).fill('stem')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Way 2', { exact: true }).and(page.locator('input'))).toHaveValue('Stem stitch')
  await expect(page.getByLabel('Votes for way 2')).toHaveText('0')
  await page.getByLabel('Way 1', { exact: true }).and(page.locator('section')).locator('canvas').click()
  for (const key of ['2', '2', '1', '2', 'Shift+2']) await page.keyboard.press(key)
  await page.keyboard.press('Enter')
  await expect(vote).toHaveCount(0)
  const place = page.locator('.teach-bar .teach-place')
  for (let presses = 0; presses < 40 && !((await place.textContent()) ?? '').startsWith('Until next time'); presses += 1)
    await page.locator('.teach').press('n')
  await expect(page.getByText(/Stem stitch: 2/)).toBeVisible()
})

test('a question is kept with its lesson over a reload; the place is kept too; the hand is in the picture', async ({ page }) => {
  await openThursdays(page)
  await page.locator('[data-lesson]').first().click()
  await page.getByRole('link', { name: 'Teach this lesson' }).click()
  await expect(page.getByRole('dialog', { name: /^Teach: / })).toBeFocused()
  await page.keyboard.press('n')
  await expect(page.getByTestId('teach-sentence')).toContainText('Come up at 1')
  await nothingSerious(page, 'the hand, full screen')
  await page.keyboard.press('q')
  await expect(page.getByLabel('What was asked')).toBeFocused()
  await page.keyboard.type('Does n turn a leaf while one types?')
  await page.getByLabel('What was answered').fill('It does not.')
  await nothingSerious(page, 'a question')
  const sent = page.waitForResponse((response) => /\/classes\/.*operations$/.test(response.url()) && response.ok())
  await page.getByRole('button', { name: 'Keep it with the lesson' }).click()
  await expect(page.getByLabel('What was asked')).toHaveCount(0)
  await expect(page.getByTestId('teach-sentence')).toContainText('Come up at 1')
  await sent
  await page.reload()
  await expect(page.getByTestId('teach-sentence')).toContainText('Come up at 1')
  await page.locator('.teach').focus()
  for (let turns = 0; turns < 8; turns += 1) await page.keyboard.press('n')
  const lessonTwo = page.getByText('Does n turn a leaf while one types?')
  // Eight leaves on is the next lesson: its question is not this one's.
  await expect(lessonTwo).toHaveCount(0)
  await page.locator('.teach').press('p')
  for (let turns = 0; turns < 4 && (await lessonTwo.count()) === 0; turns += 1) await page.keyboard.press('p')
  await expect(lessonTwo).toBeVisible()
  await expect(page.getByText('It does not.')).toBeVisible()
})

test('the learner\u2019s book is laid out, read on screen, and made as a file', async ({ page }) => {
  await openThursdays(page)
  await stage(page, 'Sheets')
  await page.getByLabel('What is printed').click()
  await page.getByTitle('Learner\u2019s book').click()
  await expect(page.getByTestId('book-pages')).toBeVisible({ timeout: 30_000 })
  await nothingSerious(page, 'the learner\u2019s book')
  const link = page.getByRole('link', { name: 'Make the PDF' })
  await expect(link).toHaveAttribute('href', /book\.pdf/)
  const address = new URL((await link.getAttribute('href')) ?? '', page.url()).href
  const pdf = await page.request.get(address)
  expect(pdf.status()).toBe(200)
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  // Drawn when it is come to, and not white.
  const far = page.getByRole('img', { name: /^Page 12 of/ })
  await far.scrollIntoViewIfNeeded()
  await expect
    .poll(() =>
      far.evaluate((canvas) => {
        const { width, height } = canvas as HTMLCanvasElement
        const pixels = (canvas as HTMLCanvasElement).getContext('2d')?.getImageData(0, 0, width, height).data ?? []
        return pixels.some((value, index) => index % 4 === 3 && value > 0)
      }),
    )
    .toBe(true)
})
