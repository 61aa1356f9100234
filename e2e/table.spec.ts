/** The table with the cloth on it: choosing shows the card, every knot has its sentence, nothing is wider than its window. */
import { bandSampler, dialSampler } from '@lemmata/contract/testing'
import type { Sampler } from '@lemmata/core/sampler'
import { expect, type Page, test } from '@playwright/test'
import { address, makeTeacher, newSampler, nothingSerious, row, saved, signIn, stage } from './pages.ts'

const STAGES = ['Brief', 'Stitches', 'Order', 'Cloth', 'Thread', 'Sheets', 'Class'] as const
const diary = dialSampler()

async function open(page: Page, document: Pick<Sampler, 'name' | 'exercises'>): Promise<void> {
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(document)) })
  await page.getByRole('link', { name: document.name, exact: true }).first().click()
  await expect(page.getByRole('option')).toHaveCount(document.exercises.length)
}

async function openDiary(page: Page): Promise<void> {
  await open(page, diary)
  await expect(page.locator('.caution-knot').first()).toBeVisible()
}

/** Wholly within the part of its list that is seen. */
async function isInView(page: Page, id: string): Promise<boolean> {
  return page.evaluate((exercise) => {
    const list = document.querySelector('.spine-list')?.getBoundingClientRect()
    const found = document.querySelector(`[data-exercise="${exercise}"]`)?.getBoundingClientRect()
    return Boolean(list && found && found.top >= list.top - 1 && found.bottom <= list.bottom + 1)
  }, id)
}

test('chosen in the list, by Find, in the ramp or in the table, it is in view with its card', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 660 })
  await openDiary(page)
  const card = page.getByTestId('exercise-card')
  const last = diary.exercises.find((one) => one.id === 'w19')
  await page.getByRole('option').first().focus()
  await page.keyboard.press('End')
  await expect(card.getByRole('heading', { name: last?.name ?? '' })).toBeVisible()
  expect(await isInView(page, 'w19')).toBe(true)
  await expect(row(page, last?.name ?? '')).toBeFocused()
  await card.getByLabel('Close the card').click()
  await expect(card).toHaveCount(0)
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('combobox', { name: /^An exercise/ })).toBeFocused()
  await page.keyboard.type('rain gr')
  await page.keyboard.press('Enter')
  await expect(card.getByRole('heading', { name: 'Rain graph' })).toBeVisible()
  expect(await isInView(page, 'w15')).toBe(true)
  await stage(page, 'Order')
  await page.getByRole('figure', { name: /^The ramp/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(card.getByRole('heading', { name: 'Rain graph' })).toHaveCount(0)
  await stage(page, 'Thread')
  await page.getByRole('grid').getByText('Willow catkins').first().click()
  await expect(card.getByRole('heading', { name: 'Willow catkins' })).toBeVisible()
  // Once more after the page was loaded again.
  await page.reload()
  await expect(card.getByRole('heading', { name: 'Willow catkins' })).toBeVisible()
})

test('chosen on the cloth by its thread, it is held: basted, in the list, on the card', async ({ page }) => {
  await openDiary(page)
  await page.getByRole('button', { name: 'Fit' }).click()
  await page.getByRole('menuitem', { name: /^The cloth/ }).click()
  const view = page.getByTestId('cloth-view')
  const box = await view.boundingBox()
  if (!box) throw new Error('no cloth')
  // The cloth of 380 mm fills the height but for tape and 8 pixels on each side; the sun's ray is about (264, 97).
  const scale = Math.min((box.width - 24 - 16) / 380, (box.height - 24 - 16) / 380)
  const at = (x: number, y: number) => ({ x: 24 + (box.width - 24) / 2 + (x - 190) * scale, y: 24 + (box.height - 24) / 2 + (y - 190) * scale })
  await view.click({ position: at(262, 98) })
  await expect(row(page, 'Ray of sun')).toHaveAttribute('aria-selected', 'true')
  await expect(page.getByTestId('exercise-card').getByRole('heading', { name: 'Ray of sun' })).toBeVisible()
  await expect(page.getByTestId('basting')).toBeVisible()
  // From behind it lies on the other side.
  await page.getByRole('button', { name: 'Turn over' }).click()
  await expect(page.getByTestId('basting')).toBeVisible()
  await view.click({ position: at(380 - 190, 161) })
  await expect(row(page, 'Barometer dial')).toHaveAttribute('aria-selected', 'true')
})

test('every knot has its sentence: in the list, on the cloth, on the card; the stage leads from one to the next', async ({ page }) => {
  await open(page, bandSampler('2026-11-26'))
  const knots = page.locator('.caution-knot')
  const marked = page.getByRole('option').filter({ has: page.getByRole('img', { name: 'has a caution' }) })
  await expect(marked).toHaveCount(2)
  await expect(knots).toHaveCount(2)
  for (const name of await knots.evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''))) expect(name).toMatch(/^Caution, .+: .{30,}\.$/)
  const card = page.getByTestId('exercise-card')
  const seen = new Set<string>()
  for (let press = 0; press < 2; press += 1) {
    await page.locator('button.state').click()
    await expect(card.locator('.card-problems .problem')).toContainText(/^Caution: .{30,}/)
    seen.add((await card.getByRole('heading').first().textContent()) ?? '')
  }
  expect(seen).toEqual(new Set(['Lightning', 'Ray of sun']))
  // A mend is one press and one step back.
  await row(page, 'Lightning').click()
  await card.locator('.mend').first().click()
  await expect(marked).toHaveCount(1)
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(marked).toHaveCount(2)
})

test('what reaches outside the hoop is named by its stage and lies on the card with its mend', async ({ page }) => {
  const first = diary.exercises[0]?.on[0]?.guide
  const guides = diary.drawing.guides.map((one) => (one.id === first ? { ...one, guide: { kind: 'line' as const, path: 'M 20 20 L 60 60' } } : one))
  const away: Sampler = { ...diary, drawing: { ...diary.drawing, guides } }
  await open(page, away)
  await expect(page.locator('button.state')).toContainText('Rain reaches outside')
  // It is the first, and so held already.
  const card = page.getByTestId('exercise-card')
  await expect(card.locator('.card-problems')).toContainText(/outside|clear/)
  await card.locator('.mend').first().click()
  await expect(page.locator('.state').filter({ hasText: 'reaches outside' })).toHaveCount(0)
})

for (const [width, height] of [
  [1280, 660],
  [640, 330],
  [390, 844],
  [320, 640],
] as const)
  test(`at ${width} by ${height} nothing is wider than the window, and every action can be pressed`, async ({ page }) => {
    test.slow()
    await page.setViewportSize({ width, height })
    await signIn(page)
    const wide = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(await wide(), 'shelf').toBeLessThanOrEqual(0)
    await page.getByRole('link', { name: 'Weather Diary', exact: true }).first().click()
    for (const name of STAGES) {
      await stage(page, name)
      await expect(page.locator('.stage[aria-current="page"]')).toContainText(name)
      expect(await wide(), name).toBeLessThanOrEqual(0)
      const small = await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('button, a[href], [role="option"], [role="button"]')].flatMap((one) => {
          const box = one.getBoundingClientRect()
          const shown =
            box.width > 1 &&
            box.bottom > 0 &&
            box.top < innerHeight &&
            getComputedStyle(one).visibility !== 'hidden' &&
            !one.closest('[aria-hidden="true"], .skip, svg')
          // A switch and a stepper of a field are as large as their label and their field.
          return shown && !one.closest('.ant-switch, .ant-input-number, p, figcaption') && (box.height < 23.5 || box.width < 23.5)
            ? [`${one.className} ${Math.round(box.width)}x${Math.round(box.height)} ${one.textContent?.slice(0, 20)}`]
            : []
        }),
      )
      expect(
        small.filter((one) => !one.startsWith('state')),
        name,
      ).toEqual([])
    }
    if (width < 1000) {
      await stage(page, 'Cloth')
      await page.getByRole('button', { name: 'Unfold the exercises' }).click()
      await row(page, 'Fog').click()
      await expect(page.getByTestId('exercise-card').getByRole('heading', { name: 'Fog' })).toBeVisible()
      await expect(page.getByRole('button', { name: 'Unfold the exercises' })).toBeVisible()
    }
  })

test('from sign-in to a taught stitch by keyboard alone: at most twelve presses beyond typing', async ({ page }) => {
  await makeTeacher(page)
  await newSampler(page, 'Keys')
  await page.context().clearCookies()
  let presses = 0
  const press = async (key: string): Promise<void> => {
    presses += 1
    await page.keyboard.press(key)
  }
  const email = await makeTeacher(page)
  await newSampler(page, 'Keys alone')
  await page.context().clearCookies()
  await page.goto(`${address()}/sign-in`)
  await expect(page.getByLabel('E-mail address')).toBeFocused()
  await page.keyboard.type(email)
  await press('Tab')
  await page.keyboard.type('rain on the window')
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'Shelf', exact: true })).toBeVisible()
  // Past the account, importing and the new sampler stands the one that is there.
  for (let tab = 0; tab < 6; tab += 1) {
    await press('Tab')
    if (await page.evaluate(() => document.activeElement?.getAttribute('aria-label') === 'Keys alone')) break
  }
  await press('Enter')
  await expect(page.getByTestId('exercise-card').or(page.getByText('The cloth is bare'))).toBeVisible()
  await press('Control+k')
  await expect(page.getByRole('combobox', { name: /^An exercise/ })).toBeFocused()
  await page.keyboard.type('feather stitch')
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'Feather stitch' })).toBeVisible()
  await press('Shift+T')
  await saved(page)
  await expect(page.getByText('Feather stitch is on the cloth.')).toBeVisible()
  expect(presses).toBeLessThanOrEqual(12)
})

test('drawer, dialogs and menus: nothing serious for a screen reader', async ({ page }) => {
  test.slow()
  await openDiary(page)
  const scan = (what: string): Promise<void> => nothingSerious(page, what)
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('dialog')).toBeVisible()
  await scan('find')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.getByRole('button', { name: 'Keyboard shortcuts' }).click()
  await scan('shortcuts')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /menu of the sampler/ }).click()
  await scan('menu')
  await page.getByRole('menuitem', { name: 'Rename' }).click()
  await expect(page.getByRole('dialog').getByLabel('Name')).toBeFocused()
  await scan('rename')
  await page.keyboard.press('Escape')
  await stage(page, 'Stitches')
  await page.locator('[data-stitch="chain-stitch"]').click()
  await expect(page.getByTestId('step-sentence')).toBeVisible()
  await scan('drawer')
})

test('what a stage needs is in the head of its page, and what takes longest is begun before all of it', async ({ page }) => {
  for (const [stage, chunk] of [
    ['brief', 'BriefStage'],
    ['stitches', 'StitchesStage'],
    ['order', 'OrderStage'],
    ['cloth', 'ClothStage'],
    ['thread', 'ThreadStage'],
    ['kit', 'KitPage'],
    ['calendar', 'CalendarStage'],
    ['teach', 'TeachPage'],
    ['class', 'ClassStage'],
    ['sheets', 'SheetsStage'],
  ] as const) {
    const html = await (await page.request.get(`${address()}/samplers/x/${stage}`)).text()
    const places = [/src="\/assets\/begin-/, /src="\/assets\/index-/, new RegExp(`modulepreload"[^>]*/assets/${chunk}-`)].map((one) => html.search(one))
    expect(places, stage).not.toContain(-1)
    expect(places, stage).toEqual([...places].sort((a, b) => a - b))
    // A hundred and thirty before what is loaded together was gathered.
    expect(html.match(/rel="modulepreload"/g)?.length, stage).toBeLessThan(65)
  }
})
