/** What is done with lines that are there, and beside them: words, rows, cuts, what goes on behind, what one marks with. */
import { expect, test } from '@playwright/test'
import { bareCloth, drag, settled, tool } from './draw-pages.ts'
import { saved } from './pages.ts'

test('a word is typed and dragged into its place in four actions, in stitches that come out whole', async ({ page }) => {
  await bareCloth(page)
  // 1 Draw, 2 Letters, 3 the word, 4 the line that it stands on.
  await tool(page, 'Letters')
  await page.keyboard.type('Thaw')
  await drag(page, [100, 150], [210, 150])
  await expect(page.getByRole('option')).toHaveCount(1)
  await expect(page.getByTestId('exercise-card')).toContainText('Thaw')
  // T two strokes, H three, A two, W one.
  await expect(page.getByTestId('fitted-count')).toHaveText(/ in 8 pieces$/)
  await expect(page.getByText('Everything suits. Nothing to mend.')).toBeVisible()
  await tool(page, 'Letters')
  await page.keyboard.type('5 & 6')
  await expect(page.getByText('& cannot be drawn in straight stitches')).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
})

test('rows beside a row, by keyboard; a cloud is cut by a wave that was sketched for it', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Part of a circle')
  await page.keyboard.type('155, 170; @60<300; @120<60')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('option')).toHaveCount(1)
  await page.getByRole('button', { name: 'Arrange ▾' }).click()
  await page.getByRole('menuitem', { name: 'This line again, beside it …' }).click()
  const dialog = page.getByRole('dialog', { name: 'This line again, beside it' })
  await dialog.getByLabel('From line to line').fill('2')
  await dialog.getByLabel('How many').fill('3')
  await dialog.getByLabel('How many').press('Tab')
  await dialog.getByRole('button', { name: 'Draw 3' }).click()
  await expect(page.getByRole('option')).toHaveCount(4)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('option')).toHaveCount(1)

  await tool(page, 'Free shape')
  await page.keyboard.type('130, 180; 190, 180; 190, 215; 130, 215')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('option')).toHaveCount(2)
  await tool(page, 'Wave')
  await page.keyboard.type('120, 195; 200, 200')
  await page.getByLabel('Worked in').click()
  await page.getByTitle('nothing yet: a sketch').click()
  await page.getByRole('button', { name: 'Draw it' }).click()
  await expect(page.getByTestId('sketch-card')).toBeVisible()
  await page
    .getByRole('option')
    .nth(1)
    .click({ modifiers: ['Shift'] })
  await page.getByRole('button', { name: 'Arrange 2 ▾' }).click()
  await page.getByRole('menuitem', { name: 'Cut the shape along the line' }).click()
  await expect(page.getByRole('option')).toHaveCount(3)
  await expect(page.locator('.sketch')).toHaveCount(0)
  await saved(page)
})

test('behind: what is carried and what begun anew is said on the back, of the lesson in hand', async ({ page }) => {
  await bareCloth(page)
  for (const places of ['110, 120; 150, 120', '110, 126; 150, 126', '110, 190; 150, 190']) {
    await tool(page, 'Line')
    await page.keyboard.type(places)
    await page.keyboard.press('Enter')
  }
  await expect(page.getByRole('option')).toHaveCount(3)
  await page.getByRole('button', { name: 'Turn over' }).click()
  const slip = page.getByRole('region', { name: 'Behind' })
  await expect(slip).toContainText('Rainwater: carried once, 6.0 mm at most')
  await expect(slip).toContainText('begun anew once')
  await slip.getByRole('button', { name: 'Fold' }).click()
  await expect(slip.getByRole('listitem')).toHaveCount(0)
})

test('with what to mark: chosen with its reasons, and kept', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Line')
  await page.keyboard.type('110, 120; 190, 120')
  await page.keyboard.press('Enter')
  await settled(page)
  await page.getByRole('button', { name: 'The cloth' }).click()
  await page.getByRole('menuitem', { name: /^Mark it/ }).click()
  const dialog = page.getByRole('dialog', { name: 'Marking the cloth' })
  await expect(dialog.getByText(/% of its marks/)).toBeVisible()
  await dialog.getByRole('radio', { name: /^Hard, sharp pencil/ }).click()
  await expect(dialog.getByRole('radio', { name: /^Hard, sharp pencil/ })).toContainText('would be seen beside the thread')
  await page.keyboard.press('Escape')
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'The cloth' }).click()
  await page.getByRole('menuitem', { name: /^Mark it/ }).click()
  await expect(dialog.getByRole('radio', { name: /^Hard, sharp pencil/ })).toBeChecked()
})

test('outlines are brought in as sketches, named by their layers; a script in the file does nothing', async ({ page }) => {
  await bareCloth(page)
  const text =
    '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" viewBox="0 0 80 40"><script>window.harmed = true</script><g id="Front">' +
    '<path id="isobar" onload="window.harmed = true" d="M 5 20 C 25 0 55 40 75 20"/></g><text>Low</text></svg>'
  await page.getByRole('button', { name: /^Draw ▾/ }).click()
  await page.getByRole('menuitem', { name: 'Outlines, from SVG …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Bring in outlines' })
  await dialog.getByLabel('SVG file').setInputFiles({ name: 'front.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  await expect(dialog.getByText('Left out: words (1).')).toBeVisible()
  await dialog.getByLabel('SVG or path data').fill('<svg><path d="M0 0"')
  await expect(dialog.getByText(/not an SVG file that can be read/)).toBeVisible()
  await dialog.getByLabel('SVG file').setInputFiles({ name: 'front.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  await dialog.getByRole('button', { name: 'Lay 1 sketch on the cloth' }).click()
  await expect(page.getByTestId('sketch-card')).toContainText('Front: isobar')
  await page.getByLabel('Work this in').click()
  await page.getByTitle('Stem stitch', { exact: true }).click()
  await expect(page.getByRole('option')).toHaveCount(1)
  expect(await page.evaluate(() => 'harmed' in window)).toBe(false)
  await saved(page)
})

test('rows of three stitches are given one length; the cloth is cut for a class, and all of it taken to a smaller hoop', async ({ page }) => {
  await bareCloth(page)
  for (const [y, length] of [
    [130, 93],
    [150, 95],
    [170, 100],
  ] as const) {
    await tool(page, 'Line')
    await page.keyboard.type(`100, ${y}; ${100 + length}, ${y}`)
    if (y === 130) {
      await page.getByLabel('Worked in').fill('Back st')
      await page.keyboard.press('Enter')
    }
    await page.getByRole('button', { name: 'Draw it' }).click()
  }
  await expect(page.getByRole('option')).toHaveCount(3)
  const lengths = [3, 4, 6]
  for (const [index, mm] of lengths.entries()) {
    await page.getByRole('option').nth(index).click()
    await page.getByTestId('exercise-card').getByLabel('Stitch', { exact: true }).fill(String(mm))
    await page.keyboard.press('Enter')
    await saved(page)
  }
  await page.keyboard.press('Escape')
  await page.getByTestId('cloth-view').click({ position: { x: 200, y: 60 } })
  await page.keyboard.press('Control+a')
  await page.getByRole('button', { name: 'Arrange 3 ▾' }).click()
  await page.getByRole('menuitem', { name: 'One length for these rows …' }).click()
  const rows = page.getByRole('dialog', { name: 'One length for these rows' })
  await expect(rows.getByRole('radio', { name: /every row exactly/ }).first()).toBeChecked()
  await expect(rows).toContainText('Stitches of all rows meet every 12.0 mm')
  await rows.getByRole('button', { name: 'Make all 96.0 mm long' }).click()
  await page.getByRole('option').nth(0).click()
  await expect(page.getByTestId('fitted-count')).toContainText('32')

  await page.getByRole('button', { name: 'The cloth' }).click()
  await page.getByRole('menuitem', { name: /^Prepare/ }).click()
  const prepare = page.getByRole('dialog', { name: 'Preparing the cloth' })
  await expect(prepare.getByRole('heading', { name: /^Cut 10 pieces of/ })).toBeVisible()
  await prepare.getByLabel('The cloth is wide').fill('200')
  await page.keyboard.press('Enter')
  await expect(prepare).toContainText('Take a wider cloth')
  await prepare.getByLabel('The cloth is wide').fill('1100')
  await page.keyboard.press('Enter')
  await expect(prepare.getByRole('img', { name: '10 pieces in 4 rows of 3' })).toBeVisible()
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'The cloth' }).click()
  await page.getByRole('menuitem', { name: /^Take it/ }).click()
  const size = page.getByRole('dialog', { name: 'To another size' })
  await expect(size).toContainText(/72 stitches become \d\d\./)
  await size.getByRole('button', { name: /^Take it to/ }).click()
  await expect(page.getByTestId('fitted-count')).not.toContainText('32')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('fitted-count')).toContainText('32')
  await saved(page)
})
