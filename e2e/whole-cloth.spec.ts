/** What concerns the cloth as a whole: arrangements, an oval hoop and a frame, a picture to draw over. */
import { readGuide } from '@lemmata/core/guide'
import { expect, test } from '@playwright/test'
import { drag, onScreen, tool } from './draw-pages.ts'
import { makeTeacher, newSampler, nothingSerious, saved, stage, teach } from './pages.ts'
import { Play } from './play.ts'
import { newSampler as plain } from '@lemmata/core/sampler'

test('four stitches are arranged in bands, drawn as sketches, and taken back by one undo', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Six weathers')
  for (const stitch of ['Back stitch', 'Chain stitch', 'Satin stitch', 'Fly stitch']) await teach(page, stitch)
  await stage(page, 'Cloth')
  const play = new Play(page, plain('none'))
  const before = await play.drawn()
  await page.getByRole('button', { name: /The cloth ▾/ }).click()
  await page.getByRole('menuitem', { name: 'Arrange all …' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('radio')).toHaveCount(3)
  await expect(dialog.getByRole('radio').first()).toBeChecked()
  await nothingSerious(page)
  await dialog.getByRole('radio', { name: /In bands/ }).check()
  await dialog.getByLabel('Draw its bands as sketches').check()
  await dialog.getByRole('button', { name: 'Lay it so' }).click()
  await expect(dialog).toHaveCount(0)
  const after = await play.drawn()
  const lines = after.drawing.guides.slice(before.drawing.guides.length)
  expect(lines.length).toBeGreaterThan(1)
  expect(lines.every((one) => one.draft === true && one.guide.kind === 'line')).toBe(true)
  expect(JSON.stringify(after.drawing.guides[0])).not.toBe(JSON.stringify(before.drawing.guides[0]))
  await page.keyboard.press('Control+z')
  await saved(page)
  expect(JSON.stringify((await play.drawn()).drawing)).toBe(JSON.stringify(before.drawing))
})

test('an oval hoop and a frame: chosen in the Brief, and what is drawn outside is said', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Oval')
  await stage(page, 'Brief')
  await page.getByText('Oval hoop', { exact: true }).click()
  await expect(page.getByLabel('Free inside, across')).toHaveValue('196')
  await stage(page, 'Cloth')
  await tool(page, 'Leaf')
  // 48 mm of 60 are clear above the middle; this tip is 55 above it.
  await drag(page, [155, 120], [155, 100])
  await expect(page.getByText(/outside the clear area, where hoop or frame is in the way/).first()).toBeVisible()
  await stage(page, 'Brief')
  await page.getByText('Frame', { exact: true }).click()
  await page.getByLabel('Free inside, down').fill('220')
  await page.getByLabel('Free inside, down').press('Enter')
  await stage(page, 'Cloth')
  await expect(page.getByText('all inside')).toBeVisible()
})

test('a picture to draw over is sent, laid at scale, counted in threads, and there after a reload; what is none is refused', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'From a photograph')
  await stage(page, 'Cloth')
  await page.getByRole('button', { name: /The cloth ▾/ }).click()
  await page.getByRole('menuitem', { name: /A picture to draw over/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.locator('input[type=file]').setInputFiles({ name: 'note.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(dialog.getByRole('alert')).toContainText('This picture cannot be read')
  // Left half dark, right half light: made by the page itself.
  const data = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 200, height: 100 })
    const context = canvas.getContext('2d')
    if (!context) return ''
    context.fillStyle = '#2F6496'
    context.fillRect(0, 0, 100, 100)
    context.fillStyle = '#ffffff'
    context.fillRect(100, 0, 100, 100)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await dialog.locator('input[type=file]').setInputFiles({ name: 'sky.png', mimeType: 'image/png', buffer: Buffer.from(data, 'base64') })
  await dialog.getByLabel('Wide').fill('80')
  await dialog.getByLabel('Wide').press('Enter')
  await expect(dialog.getByLabel('High')).toHaveValue('40')
  await dialog.getByRole('button', { name: /In cells of your threads/ }).click()
  await expect(dialog.getByRole('row', { name: /bare cloth/ })).toContainText('400')
  await nothingSerious(page)
  await dialog.getByRole('button', { name: 'Done' }).click()
  const play = new Play(page, plain('none'))
  const { underlay } = (await play.drawn()).drawing
  expect(underlay).toMatchObject({ widthMm: 80, heightShare: 0.5 })
  await page.reload()
  const arrived = page.waitForResponse((response) => response.url().endsWith(`/api/pictures/${underlay?.picture}`))
  await page.getByText('Marked', { exact: true }).click()
  expect((await arrived).status()).toBe(200)
})

test('what is held is turned by its handle about its own middle, and measured along', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'By hand')
  await stage(page, 'Cloth')
  await tool(page, 'Line')
  await drag(page, [130, 150], [180, 150])
  await page.keyboard.press('Enter')
  const play = new Play(page, plain('none'))
  const ends = async () => {
    const [line] = (await play.drawn()).drawing.guides
    const read = line && readGuide(line.guide)
    if (!read?.ok || read.value.kind !== 'line') throw new Error('no line')
    return [read.value.path.points[0], read.value.path.points.at(-1)] as const
  }
  await page.keyboard.press('h')
  const handle = page.locator('.moveable-rotation-control').first()
  await handle.waitFor()
  const at = (await handle.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  const [middleX, middleY] = await onScreen(page, 155, 150)
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2]
  const view = await page.getByTestId('cloth-view').getAttribute('data-view')
  await page.mouse.move(x, y)
  await page.mouse.down()
  // From above the middle to beside it: a quarter turn, clockwise; nearly there is there.
  await page.mouse.move(middleX + 40, middleY - 30, { steps: 5 })
  await page.mouse.move(middleX + (middleY - y), middleY + 1, { steps: 5 })
  await page.mouse.up()
  await expect.poll(async () => Math.round((await ends())[0]?.x ?? 0)).toBe(155)
  const [from, to] = await ends()
  expect(Math.hypot(((from?.x ?? 0) + (to?.x ?? 0)) / 2 - 155, ((from?.y ?? 0) + (to?.y ?? 0)) / 2 - 150)).toBeLessThan(0.5)
  expect(Math.abs((to?.y ?? 0) - (from?.y ?? 0))).toBeCloseTo(50, 0)
  // The cloth stays where it was while a handle is dragged.
  expect(await page.getByTestId('cloth-view').getAttribute('data-view')).toBe(view)
  await page.keyboard.press('h')
  await page.keyboard.press('m')
  await expect(page.locator('#draw-places')).toHaveValue('')
  await expect(page.locator('.ruler-along line').first()).toBeAttached()
})
