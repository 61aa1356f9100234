/** Drawing on the cloth, by pointer and by keyboard alone: what is drawn lies where it was meant, and is worked at once. */
import { expect, type Page, test } from '@playwright/test'
import { makeTeacher, newSampler, saved, stage } from './pages.ts'

async function bareCloth(page: Page): Promise<void> {
  await makeTeacher(page)
  await newSampler(page, 'Frost on glass')
  await stage(page, 'Cloth')
  await expect(page.getByRole('heading', { name: 'The cloth is bare' })).toBeVisible()
}

async function tool(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: /^Draw( ▾|:)/ }).click()
  await page.getByRole('menuitem', { name, exact: true }).click()
  await expect(page.getByRole('region', { name: `Drawing: ${name}` })).toBeVisible()
  await settled(page)
}

/** The view goes where it fits when a bar comes or goes. */
async function settled(page: Page): Promise<void> {
  const view = page.getByTestId('cloth-view')
  let before: string | null = null
  await expect
    .poll(async () => {
      const now = `${await view.getAttribute('data-view')} ${JSON.stringify(await view.boundingBox())}`
      const same = now === before
      before = now
      return same
    })
    .toBe(true)
}

/** Where a place of the cloth is on the screen. */
async function onScreen(page: Page, x: number, y: number): Promise<readonly [number, number]> {
  const view = page.getByTestId('cloth-view')
  const [scale = 0, left = 0, top = 0] = ((await view.getAttribute('data-view')) ?? '').split(' ').map(Number)
  const box = await view.boundingBox()
  return [(box?.x ?? 0) + left + x * scale, (box?.y ?? 0) + top + y * scale]
}

async function drag(page: Page, from: readonly [number, number], to: readonly [number, number]): Promise<void> {
  await page.mouse.move(...(await onScreen(page, ...from)))
  await page.mouse.down()
  const end = await onScreen(page, ...to)
  await page.mouse.move(end[0] - 3, end[1] - 2, { steps: 4 })
  await page.mouse.move(...end)
  await page.mouse.up()
}

test('a wave is dragged, a leaf likewise, a line from place to place; undo takes each back', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Wave')
  const from = await onScreen(page, 90, 110)
  await page.mouse.move(...from)
  await page.mouse.down()
  await page.mouse.move(...(await onScreen(page, 200, 110)), { steps: 5 })
  // The tag says length and stitches while the hand goes on.
  await expect(page.locator('.swing-tag')).toHaveText(/^1\d\d\.\d mm, \d+ stitches of \d\.\d\d mm$/)
  await page.mouse.up()
  await expect(page.getByRole('option', { name: /^A/ })).toBeVisible()
  await expect(page.getByLabel('Start, from the left edge, in mm')).toHaveValue(/^(89\.[5-9]|90\.[0-5])$/)
  await expect(page.getByLabel('End, from the left edge, in mm')).toHaveValue(/^(199\.[5-9]|200\.[0-5])$/)
  await tool(page, 'Leaf')
  await drag(page, [110, 150], [170, 140])
  await expect(page.getByRole('option')).toHaveCount(2)
  await expect(page.getByTestId('exercise-card')).toContainText('Satin stitch')
  await tool(page, 'Line')
  for (const [x, y] of [
    [100, 180],
    [150, 220],
    [200, 180],
  ] as const) {
    await page.mouse.click(...(await onScreen(page, x, y)))
    await expect(page.locator('#draw-places')).toHaveValue(new RegExp(`${x - 1}\\.[5-9]|${x}(\\.[0-5])?,`))
  }
  await page.mouse.dblclick(...(await onScreen(page, 200, 180)))
  await expect(page.getByRole('option')).toHaveCount(3)
  await expect(page.getByTestId('fitted-count')).toHaveText(/\(\d+ of /)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('option')).toHaveCount(2)
  await saved(page)
})

test('by keyboard alone: a circle of a given diameter, a line by its places, in the stitch that is wanted', async ({ page }) => {
  await bareCloth(page)
  await page.getByRole('button', { name: /^Draw/ }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('menuitem', { name: 'Circle', exact: true }).press('Enter')
  await expect(page.locator('#draw-places')).toBeFocused()
  await page.keyboard.type('150, 150')
  await page.keyboard.press('Tab')
  await page.keyboard.type('60')
  await page.keyboard.press('Enter')
  await page.locator('#draw-places').press('Enter')
  await expect(page.getByRole('option')).toHaveCount(1)
  await expect(page.getByLabel('Middle, from the left edge, in mm')).toHaveValue('150.0')
  // The same tool again, by a key; a place so far on from the one before.
  await tool(page, 'Line')
  await page.keyboard.type('120, 150; @60, 0')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('option')).toHaveCount(2)
  await expect(page.getByLabel('End, from the left edge, in mm')).toHaveValue('180.0')
  await expect(page.getByTestId('fitted-count')).toHaveText(/^\d+$/)
  await saved(page)
})

test('a sketch is drawn without a stitch, worked later, and two stitches lie on one outline', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Petal')
  await page.getByRole('combobox', { name: 'Worked in' }).click()
  await page.getByTitle('nothing yet: a sketch').last().click()
  await drag(page, [120, 170], [170, 130])
  const card = page.getByTestId('sketch-card')
  await expect(card).toBeVisible()
  await expect(page.getByRole('option')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Sketch: a shape' })).toBeVisible()
  await card.getByRole('combobox', { name: 'Work this in' }).click()
  await page.getByTitle('Satin stitch', { exact: true }).last().click()
  await expect(page.getByRole('option')).toHaveCount(1)
  await expect(page.getByRole('button', { name: 'Sketch: a shape' })).toHaveCount(0)
  await saved(page)
})

test('a bend is taken elsewhere, made a corner, taken away, and a place is added on the line', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Line')
  await page.keyboard.type('100, 150; 150, 170; 200, 150')
  await page.keyboard.press('Enter')
  const pin = (id: string) => page.locator(`.handle[data-handle="${id}"]`)
  await expect(pin('point-1')).toHaveAccessibleName(/corner 1, at 150\.0 and 170\.0 mm/)
  await pin('point-1').focus()
  await page.keyboard.press('ArrowDown')
  await expect(pin('point-1')).toHaveAccessibleName(/at 150\.0 and 171\.0 mm/)
  await page.keyboard.press('s')
  await expect(pin('after-1')).toBeVisible()
  await expect(pin('point-1')).toHaveAccessibleName(/bend 1/)
  await page.keyboard.press('a')
  await expect(pin('point-2')).toBeVisible()
  await pin('point-2').focus()
  await page.keyboard.press('Delete')
  await expect(pin('point-2')).toHaveCount(0)
  await pin('point-1').focus()
  await page.keyboard.press('s')
  await expect(pin('point-1')).toHaveAccessibleName(/corner 1, at 150\.0 and 171\.0 mm/)
  await settled(page)
  await page.mouse.dblclick(...(await onScreen(page, 125, 160.5)))
  await expect(pin('point-2')).toBeVisible()
  await saved(page)
})

test('nothing is drawn from too little, Escape puts away, and wrong places are said', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Leaf')
  await page.locator('#draw-places').fill('20; 40')
  await expect(page.getByText('Two numbers a place, places apart by ;')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Draw it' })).toBeDisabled()
  await page.locator('#draw-places').fill('20, 40; 20, 40')
  await expect(page.getByRole('button', { name: 'Draw it' })).toBeDisabled()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('region', { name: /^Drawing/ })).toHaveCount(0)
  await expect(page.getByRole('option')).toHaveCount(0)
})

test('several are held with Shift, lined up and moved together; a copy lies below; eight live copies round the middle', async ({ page }) => {
  await bareCloth(page)
  for (const places of ['100, 110; 140, 110', '120, 130; 170, 130', '110, 160; 150, 160']) {
    await tool(page, 'Line')
    await page.keyboard.type(places)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('region', { name: /^Drawing/ })).toHaveCount(0)
  }
  await settled(page)
  const start = page.getByLabel('Start, from the left edge, in mm')
  await expect(start).toHaveValue('110.0')
  // Round all three, with Shift.
  await page.keyboard.down('Shift')
  await drag(page, [92, 102], [182, 172])
  await page.keyboard.up('Shift')
  await expect(page.getByRole('button', { name: 'Arrange 3 ▾' })).toBeVisible()
  await expect(page.getByTestId('basting')).toHaveCount(3)
  await page.getByRole('button', { name: 'Arrange 3 ▾' }).click()
  await page.getByRole('menuitem', { name: 'Line up at the left' }).click()
  for (const name of [/^A/, /^B/, /^C/]) {
    await page.getByRole('option', { name }).click()
    await expect(start).toHaveValue('100.0')
  }
  await page.keyboard.press('Control+z')
  await expect(start).toHaveValue('110.0')
  await page.getByRole('button', { name: 'Arrange ▾' }).click()
  await page.getByRole('menuitem', { name: 'Copy it below' }).click()
  await expect(page.getByRole('option')).toHaveCount(4)
  await expect(page.getByLabel('Start, from the top edge, in mm')).toHaveValue('169.0')
  await page.getByRole('combobox', { name: 'Copies' }).click()
  await page.getByTitle('round a centre').click()
  await expect(page.getByTestId('fitted-count')).toHaveText(/ in 8 pieces$/)
  await saved(page)
  // It is all there when the page is loaded again.
  await page.reload()
  await expect(page.getByRole('option')).toHaveCount(4)
})

test('a length is measured from place to place, on ends that are met exactly, and nothing is drawn', async ({ page }) => {
  await bareCloth(page)
  await tool(page, 'Line')
  await page.keyboard.type('100, 150; 180, 150')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: /^Drawing/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Measure' }).click()
  const bar = page.getByRole('region', { name: 'Measuring' })
  await settled(page)
  // A little beside both ends: they are met.
  await drag(page, [100.8, 150.6], [179.2, 149.4])
  await expect(bar.getByRole('status')).toHaveText('80.0 mm at 0°')
  await page.locator('#draw-places').fill('100, 150; @30, -40')
  await expect(bar.getByRole('status')).toHaveText('50.0 mm at 53.1°')
  await page.getByRole('button', { name: 'Put away' }).click()
  await expect(bar).toHaveCount(0)
  await expect(page.getByRole('option')).toHaveCount(1)
})
