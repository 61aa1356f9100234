/** A teacher's work from the Brief to a printed sheet, in the real application. */
import { expect, test } from '@playwright/test'
import { account, address, makeTeacher, newSampler, row, saved, signIn, stage, teach } from './pages.ts'

test('opens the demo, changes a pitch, reloads: the change is there', async ({ page }) => {
  await signIn(page)
  await page
    .getByRole('link', { name: /Six Thursdays/ })
    .first()
    .click()
  await row(page, /First isobar/).click()
  const card = page.getByTestId('exercise-card')
  await card.getByLabel('Stitch', { exact: true }).fill('3')
  await card.getByLabel('Stitch', { exact: true }).press('Enter')
  // An oval of 28 by 15.2 mm is 69.36 mm round: 23 stitches of 3.02 mm would cut its ends, 24 of 2.89 mm keep to the line.
  await expect(card.getByTestId('fitted-pitch')).toHaveText('2.89 mm')
  await saved(page)
  await page.reload()
  await expect(row(page, /First isobar/)).toHaveAttribute('aria-selected', 'true')
  await expect(page.getByTestId('exercise-card').getByTestId('fitted-pitch')).toHaveText('2.89 mm')
  // The way back outlives the page.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('exercise-card').getByTestId('fitted-pitch')).not.toHaveText('2.89 mm')
  await saved(page)
})

test('plans a sampler of one\u2019s own from Brief to sheet', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Harbour weather')
  await page.getByLabel('What it is for').fill('Two evenings of rain')
  await page.getByLabel('What it is for').blur()
  await page.getByText('inches').click()
  await saved(page)
  await page.getByText('millimetres').click()
  await teach(page, 'Running stitch')
  await teach(page, 'Chain stitch')
  await teach(page, 'French knot')
  await stage(page, 'Order')
  await row(page, /Running stitch/).click()
  await expect(page.getByText(/First: brings nothing new/)).toBeVisible()
  await stage(page, 'Cloth')
  await expect(page.getByTestId('cloth-view')).toBeVisible()
  await row(page, /Running stitch/).click()
  await page.getByLabel('End, from the left edge, in mm').fill('180')
  await page.getByLabel('End, from the left edge, in mm').press('Enter')
  await saved(page)
  await stage(page, 'Thread')
  await expect(page.getByText(/lie 0\.\d\d mm wide/).first()).toBeVisible()
  await row(page, /Chain stitch/).click()
  await page.getByRole('grid').getByLabel('Strands of Chain stitch').click()
  await page.getByTitle('6', { exact: true }).last().click()
  await expect(page.getByRole('grid').getByText('yours', { exact: true })).toBeVisible()
  await page
    .getByRole('grid')
    .getByRole('button', { name: /^Put back/ })
    .click()
  await expect(page.getByText('yours', { exact: true })).toHaveCount(0)
  await saved(page)
  await stage(page, 'Sheets')
  await expect(page.getByTestId('sheet-pages').locator('canvas').first()).toBeVisible()
  const href = await page.getByRole('link', { name: 'Make the PDF' }).getAttribute('href')
  const pdf = await page.request.get(`${address()}${href}`)
  expect(pdf.status()).toBe(200)
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
})

test('moves a guide by dragging its end; Escape drops the drag; undo takes it back', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Drag')
  await teach(page, 'Back stitch')
  await stage(page, 'Cloth')
  const end = page.locator('[data-handle="end"]')
  const field = page.getByLabel('End, from the left edge, in mm')
  const before = await field.inputValue()
  const box = await end.boundingBox()
  if (!box) throw new Error('no handle')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 40, y + 20, { steps: 6 })
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await expect(field).toHaveValue(before)
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 40, y, { steps: 6 })
  await page.mouse.up()
  await expect(field).not.toHaveValue(before)
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(field).toHaveValue(before)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(field).not.toHaveValue(before)
  // By keyboard: the pin takes focus, arrows move it by a millimetre.
  const moved = Number(await field.inputValue())
  await end.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(field).toHaveValue((moved - 1).toFixed(1))
})

test('the hand shows the steps and mirrors them for the left hand', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Hand')
  await stage(page, 'Stitches')
  await page.locator('[data-stitch="stem-stitch"]').click()
  const sentence = page.getByTestId('step-sentence')
  await expect(sentence).toContainText('Come up at 1, on the line')
  await page.getByRole('button', { name: 'Step on' }).click()
  await expect(sentence).toContainText('with your left thumb')
  await page.getByText('Left hand').click()
  await expect(sentence).toContainText('with your right thumb')
})

test('finds the best order and takes it', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Order')
  await teach(page, 'Satin stitch')
  await teach(page, 'Running stitch')
  await stage(page, 'Order')
  await page.getByRole('button', { name: 'Find a better order' }).click()
  await expect(page.getByText(/^Found in \d+\.\d s, proven the best of all orders that keep your rules\.$/)).toBeVisible()
  await page.getByRole('button', { name: 'Take all' }).click()
  await expect(page.getByRole('option').first()).toContainText('Running stitch')
  await saved(page)
  // By keyboard: Alt with an arrow moves it, and it is said where it is.
  await row(page, /Satin stitch/).focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(page.getByText(/^Satin stitch, now in lesson 1, place 1 of/)).toBeAttached()
  await expect(page.getByRole('option').first()).toContainText('Satin stitch')
  await expect(row(page, /Satin stitch/)).toBeFocused()
  // By hand: dragged below the other.
  const [from, to] = [await row(page, /Satin stitch/).boundingBox(), await row(page, /Running stitch/).boundingBox()]
  if (!from || !to) throw new Error('no rows')
  await page.mouse.move(from.x + 60, from.y + 18)
  await page.mouse.down()
  await page.mouse.move(to.x + 60, to.y + 30, { steps: 8 })
  await page.mouse.up()
  await expect(page.getByRole('option').first()).toContainText('Running stitch')
})

test('shelf: copy, rename, delete with undo, export and import', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Shelf test')
  await page.getByRole('link', { name: 'Lemmata, to the shelf' }).click()
  const more = async (name: string, entry: string): Promise<void> => {
    await page.getByRole('button', { name: `More of ${name}`, exact: true }).click()
    await page.getByRole('menuitem', { name: entry, exact: true }).click()
  }
  await more('Shelf test', 'Copy')
  await expect(page.getByRole('heading', { name: 'Copy of Shelf test' })).toBeVisible()
  await more('Copy of Shelf test', 'Delete')
  await expect(page.getByRole('heading', { name: 'Copy of Shelf test' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('heading', { name: 'Copy of Shelf test' })).toBeVisible()
  await more('Shelf test', 'Rename')
  await expect(page.getByRole('dialog').getByLabel('Name')).toBeFocused()
  await page.keyboard.type('Shelf tried')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Shelf tried' })).toBeVisible()
  const download = page.waitForEvent('download')
  await more('Shelf tried', 'Export')
  const file = await (await download).path()
  await page
    .getByLabel('Sampler file')
    .setInputFiles({ name: 'again.json', mimeType: 'application/json', buffer: await (await import('node:fs/promises')).readFile(file) })
  await expect(page.locator('.shelf-item')).toHaveCount(3)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'no.json', mimeType: 'application/json', buffer: Buffer.from('this is no sampler') })
  await expect(page.getByText(/cannot be read as JSON/)).toBeVisible()
})

test('opens a stitch that nobody has seen, shows its moves, works it on the cloth', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Invented')
  await stage(page, 'Stitches')
  const document = {
    format: 'lemmata-stitch',
    version: 1,
    id: 'gust-stitch',
    name: 'Gust stitch',
    guide: ['line'],
    parameters: { L: { usual: 4, min: 2, max: 8, name: 'Gust' } },
    passes: [
      {
        name: 'line',
        place: { along: { step: ['L'], tail: 'e' } },
        start: [{ up: [0, 0] }],
        repeat: [
          { down: ['0.15*L', 0.9], loose: true },
          { up: ['L', 0], round: 'cross' },
        ],
        end: [{ down: ['e', 0] }],
      },
    ],
  }
  await page.getByLabel('Stitch file').setInputFiles({ name: 'gust.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(document)) })
  await expect(page.getByRole('heading', { name: 'Gust stitch' })).toBeVisible()
  const sentence = page.getByTestId('step-sentence')
  await page.getByRole('button', { name: 'Step on' }).click()
  await expect(sentence).toContainText('The thread crosses itself')
  await page.getByRole('button', { name: 'Teach gust stitch' }).click()
  await saved(page)
  await stage(page, 'Cloth')
  await expect(page.locator('.spine-row')).toContainText('Gust stitch')
  await expect(page.getByTestId('fitted-count')).toHaveText('22')
  await stage(page, 'Stitches')
  await page.getByLabel('Stitch file').setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...document, id: 'bad', passes: [{ ...document.passes[0], end: [] }] })),
  })
  await expect(page.getByText(/end/)).not.toHaveCount(0)
})

test('changes the password and signs in with the new one', async ({ page }) => {
  const email = await makeTeacher(page)
  await account(page, 'Account of Nora Fell')
  await page.getByLabel('Present password').fill('not this one at all')
  await page.getByLabel('New password').fill('hail on the harbour')
  await page.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByRole('alert')).toContainText('Your present password is not this one')
  await page.getByLabel('Present password').fill('rain on the window')
  await page.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('Your password is changed.')).toBeVisible()
  await account(page, 'Sign out')
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible()
  await signIn(page, email, 'hail on the harbour')
})

test('a version is kept under a name and put back; undo brings back what was there', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Hoar frost')
  await teach(page, 'Back stitch')
  const menu = async (item: string): Promise<void> => {
    await page.getByRole('button', { name: /menu of the sampler$/ }).click()
    await page.getByRole('menuitem', { name: item }).click()
  }
  await menu('Versions …')
  const dialog = page.getByRole('dialog', { name: 'Versions' })
  await expect(dialog.getByText('None is kept yet.')).toBeVisible()
  await dialog.getByLabel('Name of this version').fill('With one stitch')
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('listitem')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await teach(page, 'Chain stitch')
  await expect(page.getByRole('option')).toHaveCount(2)
  await menu('Versions …')
  await dialog.getByRole('button', { name: 'Put back With one stitch' }).click()
  await expect(page.getByRole('option')).toHaveCount(1)
  await saved(page)
  await page.reload()
  await expect(page.getByRole('option')).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('option')).toHaveCount(2)
  await menu('Versions …')
  await dialog.getByRole('button', { name: 'Drop With one stitch' }).click()
  await expect(dialog.getByText('None is kept yet.')).toBeVisible()
})
