/** A demo drawn from nothing, motif by motif: what one does is played and counted, and what is drawn is compared with what is there. */
import type { Sampler } from '@lemmata/core/sampler'
import { expect, type Page } from '@playwright/test'
import { address, saved } from './pages.ts'
import { sharePrinted } from './on-paper.ts'
import { apartMm, placesOf } from './same-places.ts'

/** Farther from where it should lie nothing may be, mm; places by hand are read to a fifth. */
const SAME_MM = 0.2

export class Play {
  actions = 0
  readonly motifs: { readonly name: string; readonly actions: number; readonly apart: number }[] = []
  private readonly before = new Set<string>()

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
    const document = await this.drawn()
    const mine = document.drawing.guides.filter((one) => !this.before.has(one.id))
    for (const one of mine) this.before.add(one.id)
    const theirs = ids.map((wanted) => {
      const found = this.model.drawing.guides.find((one) => one.id === wanted)
      if (!found) throw new Error(`the demo has no ${wanted}`)
      return found
    })
    const apart = apartMm(placesOf(mine, document.drawing), placesOf(theirs, this.model.drawing))
    this.motifs.push({ name, actions: this.actions - before, apart })
    expect.soft(apart, `${name} lies where the demo has it`).toBeLessThanOrEqual(SAME_MM)
  }

  /** The sampler as the server has it. */
  async drawn(): Promise<Sampler> {
    await saved(this.page)
    const id = /samplers\/([\w-]+)/.exec(this.page.url())?.[1] ?? ''
    return (await (await this.page.request.get(`${address()}/api/samplers/${id}/document`)).json()) as Sampler
  }

  /** Every guide of the demo has been drawn. */
  async drawnWhole(): Promise<void> {
    const document = await this.drawn()
    const apart = apartMm(placesOf(document.drawing.guides, document.drawing), placesOf(this.model.drawing.guides, this.model.drawing))
    expect(apart, 'nothing of the demo is wanting, and nothing besides lies there').toBeLessThanOrEqual(SAME_MM)
  }

  /** Its pattern, printed, has ink where the guides lie, at their own size. */
  async printedAsDrawn(): Promise<void> {
    const document = await this.drawn()
    const id = /samplers\/([\w-]+)/.exec(this.page.url())?.[1] ?? ''
    const printed = await this.page.request.get(`${address()}/api/samplers/${id}/sheet.pdf?page=a4`, { timeout: 180_000 })
    expect(printed.status()).toBe(200)
    // Sketches, that nothing is worked on, are not printed.
    const worked = document.drawing.guides.filter(({ id: guide }) => document.exercises.some((one) => one.on.some((on) => on.guide === guide)))
    const found = sharePrinted(await printed.body(), placesOf(worked, document.drawing))
    expect(found.share, 'ink along what was drawn, at 1:1').toBeGreaterThanOrEqual(0.97)
    expect(found.smaller, 'and less of it at 99 of 100').toBeLessThan(found.share - 0.03)
  }

  mean(): number {
    return this.motifs.reduce((sum, one) => sum + one.actions, 0) / this.motifs.length
  }
}
