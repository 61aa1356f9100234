/** The motifs of both demos drawn from nothing, as their teacher would: one by typing, one with the pointer; counted, and compared with what is there. */
import { sixThursdays, weatherDiary } from '@lemmata/contract/demo'
import type { Sampler } from '@lemmata/core/sampler'
import { expect, type Page, test } from '@playwright/test'
import { bareCloth, onScreen, settled } from './draw-pages.ts'
import { address, saved } from './pages.ts'
import { apartMm, placesOf } from './same-places.ts'

/** Farther from where it should lie nothing may be, mm; places by hand are read to a fifth. */
const SAME_MM = 0.2

class Play {
  actions = 0
  readonly motifs: { readonly name: string; readonly actions: number; readonly apart: number }[] = []
  private drawn = 0

  constructor(
    private readonly page: Page,
    private readonly model: Sampler,
  ) {}

  async press(...keys: readonly string[]): Promise<void> {
    for (const key of keys) {
      this.actions += 1
      await this.page.keyboard.press(key)
    }
  }

  async type(text: string): Promise<void> {
    this.actions += 1
    await this.page.keyboard.insertText(text)
  }

  /** Gone to by Tab, as one would, and typed over. */
  async field(label: string, text: string, within = 'exercise-card'): Promise<void> {
    const scope = within === 'draw-bar' ? this.page.locator('.draw-bar') : this.page.getByTestId(within)
    const field = scope.getByLabel(label, { exact: true })
    this.actions += 2
    await field.focus()
    await field.selectText()
    await this.page.keyboard.insertText(text)
    await this.page.keyboard.press('Tab')
  }

  /** What lies there now and was not there before, beside the demo's guides. */
  async compared(name: string, before: number, ids: readonly string[]): Promise<void> {
    await saved(this.page)
    const id = /samplers\/([\w-]+)/.exec(this.page.url())?.[1] ?? ''
    const document = (await (await this.page.request.get(`${address()}/api/samplers/${id}/document`)).json()) as Sampler
    const mine = document.drawing.guides.slice(this.drawn)
    this.drawn = document.drawing.guides.length
    const theirs = ids.map((wanted) => {
      const found = this.model.drawing.guides.find((one) => one.id === wanted)
      if (!found) throw new Error(`the demo has no ${wanted}`)
      return found
    })
    const apart = apartMm(placesOf(mine, document.drawing), placesOf(theirs, this.model.drawing))
    this.motifs.push({ name, actions: this.actions - before, apart })
    expect.soft(apart, `${name} lies where the demo has it`).toBeLessThanOrEqual(SAME_MM)
  }

  mean(): number {
    return this.motifs.reduce((sum, one) => sum + one.actions, 0) / this.motifs.length
  }
}

test('Six Thursdays: by typing and keys alone', async ({ page }) => {
  await bareCloth(page)
  const play = new Play(page, sixThursdays('2026-11-26'))
  /** Ctrl+K, its name, Enter; then what it asks for. */
  const draw = async (tool: string, places: string, figures: Readonly<Record<string, string>> = {}, words = ''): Promise<void> => {
    await play.press('Control+k')
    await page.getByLabel('An exercise, a stitch by any name, a stage, a command').waitFor()
    await play.type(`draw ${tool}`)
    await play.press('Enter')
    const bar = page.locator('.draw-bar')
    await bar.waitFor()
    for (const [label, value] of Object.entries(figures)) await play.field(label, value, 'draw-bar')
    if (words !== '') {
      await bar.locator('#draw-words').focus()
      await play.type(words)
      await play.press('Tab')
    } else await bar.locator('#draw-places').focus()
    await play.type(places)
    await play.press('Enter')
    await expect(bar).toHaveCount(0)
  }
  const motif = async (name: string, ids: readonly string[], what: () => Promise<void>): Promise<void> => {
    const before = play.actions
    await what()
    await play.compared(name, before, ids)
  }
  /** The way of copying is so many steps down its list. */
  const copies = async (down: number, figures: Readonly<Record<string, string>>): Promise<void> => {
    await page.getByTestId('exercise-card').getByLabel('Copies', { exact: true }).focus()
    await play.press('Enter', ...Array.from({ length: down }, () => 'ArrowDown'), 'Enter')
    for (const [label, value] of Object.entries(figures)) await play.field(label, value)
  }
  const numbered = (name: string, numbers: readonly number[]): readonly string[] => numbers.map((one) => `${name}-${one}`)

  await motif('frame', ['frame'], () => draw('line', '92, 98.3; 218, 98.3; 218, 211.7; 92, 211.7; 92, 98.3'))
  await motif('rules', numbered('rule', [1, 2, 3, 4, 5]), async () => {
    await draw('line', '94.2, 117.2; 215.8, 117.2')
    await copies(2, { 'Side by side': '1', 'One under another': '5', 'Each below': '18.9' })
  })
  await motif('rain', numbered('rain', [1, 3, 5, 7, 9, 11]), async () => {
    await draw('line', '133, 100.75; 129.75, 113.75')
    await copies(2, { 'Side by side': '6', 'Each to the right': '10.2' })
  })
  await motif('rain between', numbered('rain', [2, 4, 6, 8, 10]), async () => {
    await draw('line', '138.1, 102.35; 134.85, 115.35')
    await copies(2, { 'Side by side': '5', 'Each to the right': '10.2' })
  })
  await motif('RAIN', numbered('label-rain', [1, 2, 3, 4, 5, 6]), () => draw('letters', '98, 111.95', {}, 'RAIN'))
  await motif('LOW', numbered('label-low', [1, 2, 3]), () => draw('letters', '98, 130.85', {}, 'LOW'))
  await motif('WIND', numbered('label-wind', [1, 2, 3, 4]), () => draw('letters', '98, 149.75', {}, 'WIND'))
  await motif('FOG', numbered('label-fog', [1, 2, 3, 4]), () => draw('letters', '98, 168.65', {}, 'FOG'))
  await motif('BOLT', numbered('label-bolt', [1, 2, 3, 4, 5]), () => draw('letters', '98, 187.55', {}, 'BOLT'))
  await motif(
    'title',
    numbered(
      'title',
      Array.from({ length: 19 }, (_, index) => index + 1),
    ),
    () => draw('letters', '116.725, 92', {}, 'SIX THURSDAYS'),
  )
  await motif('SUN', numbered('label-sun', [1, 2, 3]), () => draw('letters', '98, 206.45', {}, 'SUN'))
  await motif('isobar', ['isobar-1'], () => draw('oval', '186, 119.05; 214, 134.25'))
  await motif('inner isobar', ['isobar-2'], () => draw('oval', '190.8, 121.45; 209.2, 131.85'))
  await motif('kite', ['kite'], () => draw('line', '208.44, 139.01; 208.36, 147.01; 196.9, 150.55; 200.44, 139.09; 208.44, 139.01'))
  await motif('spars', ['spar-1'], () => draw('line', '208.44, 139.01; 196.9, 150.55'))
  await motif('cross spar', ['spar-2'], () => draw('line', '200.44, 139.09; 208.36, 147.01'))
  await motif('hail', ['hail-2'], () =>
    draw('spots', '138, 197.05; 156, 197.05; 174, 197.05; 135, 202.25; 153, 202.25; 171, 202.25; 144, 207.45; 162, 207.45; 180, 207.45'),
  )
  await motif('breeze', ['breeze-2'], () => draw('wave', '130, 146.15; 180, 146.15', { Crests: '2', High: '1.5' }))
  await motif('low sun', numbered('low-sun', [1]), () => draw('circle', '200, 161.85', { Across: '10' }))
  await motif('lightning', ['bolt'], () =>
    draw('line', '130, 189.35; 141.2, 176.85; 144.8, 188.95; 156, 176.45; 159.6, 188.55; 170.8, 176.05; 174.4, 188.15; 180.4, 182.05'),
  )
  await motif('drops', ['drops-spots'], () => draw('spots', '194, 188.55; 198.6, 189.15; 203.2, 188.55; 207.8, 189.15'))
  await motif('ray of sun', ['ray-leaf'], async () => {
    await draw('leaf', '193.48, 208.22; @8<-81', { Wide: '3.6', 'Widest at': '0.41' })
    await copies(1, { 'How many': '7', Over: '162', 'Centre, from the left': '200', 'Centre, from the top': '209.25' })
  })
  expect(play.mean()).toBeLessThanOrEqual(12)
})

test('Weather Diary: with the pointer', async ({ page }) => {
  await bareCloth(page)
  const play = new Play(page, weatherDiary())
  type Place = readonly [number, number]
  // Its cloth is as large as the demo's, and so is its hoop's place.
  const id = /samplers\/([\w-]+)/.exec(page.url())?.[1] ?? ''
  expect(id).not.toBe('')
  const menu = async (tool: string): Promise<void> => {
    play.actions += 2
    await page.getByRole('button', { name: /^Draw( ▾|:)/ }).click()
    await page.getByRole('menuitem', { name: tool, exact: true }).click()
    await settled(page)
  }
  /** Nearer to a place, so that a pixel is a fifth of a millimetre. */
  const nearer = async (to: Place): Promise<void> => {
    play.actions += 1
    await page.mouse.move(...(await onScreen(page, ...to)))
    for (let turns = 0; turns < 6; turns += 1) await page.mouse.wheel(0, -120)
    await settled(page)
  }
  const far = async (): Promise<void> => {
    await page.keyboard.press('0')
    await settled(page)
  }
  const drag = async (from: Place, to: Place): Promise<void> => {
    play.actions += 1
    await page.mouse.move(...(await onScreen(page, ...from)))
    await page.mouse.down()
    const [x, y] = await onScreen(page, ...to)
    await page.mouse.move(x - 4, y - 3, { steps: 3 })
    await page.mouse.move(x, y)
    await page.mouse.up()
  }
  const pressAt = async (...places: readonly Place[]): Promise<void> => {
    for (const [index, place] of places.entries()) {
      play.actions += 1
      await page.mouse.move(...(await onScreen(page, ...place)))
      await page.mouse.down()
      await page.mouse.up()
      // Twice at the last.
      if (index === places.length - 1) await page.mouse.click(...(await onScreen(page, ...place)))
    }
  }
  const motif = async (name: string, ids: readonly string[], what: () => Promise<void>): Promise<void> => {
    const before = play.actions
    await what()
    await expect(page.locator('.draw-bar')).toHaveCount(0)
    await play.compared(name, before, ids)
    await far()
  }
  const figures = async (given: Readonly<Record<string, string>>): Promise<void> => {
    for (const [label, value] of Object.entries(given)) await play.field(label, value, 'draw-bar')
    await settled(page)
  }

  await motif('rim', ['rim-circle'], async () => {
    await menu('Circle')
    await drag([150, 150], [196.4, 150])
  })
  await motif('inner ring', ['inner-ring'], async () => {
    await menu('Circle')
    await drag([150, 150], [187.6, 150])
  })
  await motif('ray of the sun, eight times', ['ray-leaf'], async () => {
    await menu('Leaf')
    await figures({ Wide: '6', 'Widest at': '0.42' })
    await nearer([200, 95])
    await drag([200, 97.6], [200, 87])
    await page.getByTestId('exercise-card').getByLabel('Copies', { exact: true }).click()
    await page.getByTitle('round a centre').click()
    play.actions += 2
    await play.field('Centre, from the left', '200')
    await play.field('Centre, from the top', '106')
  })
  await motif('clear night', ['star'], async () => {
    await menu('Ring of spokes')
    await nearer([172, 147])
    await drag([172.8, 146.8], [179, 146.8])
  })
  await motif('whirlwind', ['hub'], async () => {
    await menu('Ring of spokes')
    await nearer([152, 150])
    await drag([150, 150], [157.2, 150])
  })
  await motif('disc of the sun', ['disc-ring'], async () => {
    await menu('Ring of spokes')
    await nearer([200, 106])
    await drag([200, 106], [207.4, 106])
  })
  await motif('sector line', ['sector-110'], async () => {
    await menu('Line')
    await nearer([170, 158])
    await pressAt([158, 153], [184.2, 162.4])
  })
  await motif('shaft', ['shaft'], async () => {
    await menu('Line')
    await nearer([154, 94])
    await pressAt([144, 94.5], [164, 94.5])
  })
  await motif('frost', ['frost-1'], async () => {
    await menu('Band')
    await figures({ Wide: '6.4' })
    await nearer([165, 167])
    await pressAt([172.5, 176.8], [157.1, 158.4])
  })
  await motif('window frost', ['pane-1', 'pane-2', 'pane-3'], async () => {
    await menu('Squares')
    await figures({ Side: '5', 'How many': '4' })
    play.actions += 1
    await page.mouse.click(...(await onScreen(page, 108, 206)))
    await page.getByTestId('exercise-card').getByLabel('Copies', { exact: true }).click()
    await page.getByTitle('in rows').click()
    play.actions += 2
    await play.field('Side by side', '1')
    await play.field('One under another', '3')
    await play.field('Each below', '5')
  })
  await motif('bar of the rain graph', ['bar-1'], async () => {
    await menu('Grid')
    await figures({ Square: '2.4' })
    await nearer([80, 184])
    await drag([77.4, 180.8], [82.2, 188])
  })
  await motif('first rain', ['rain-1'], async () => {
    await menu('Line')
    await nearer([80, 138])
    await pressAt([83.6, 124.4], [78, 152])
  })
  await motif('willow', ['branch'], async () => {
    await menu('Curve')
    await pressAt([170, 231.5], [190, 222.5], [207, 208], [218.5, 191.5], [225, 173])
  })
  await motif('catkin', ['catkin-1'], async () => {
    await menu('Pins')
    await nearer([180, 220])
    await pressAt([181, 227.2], [179.4, 212.4])
  })
  expect(play.mean()).toBeLessThanOrEqual(12)
})
