/** The picture on the screen, measured: the cloth in its colour at every zoom, no wave it does not have, as much thread as is worked. */
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import { type Exercise, layExercises, newSampler, type Sampler } from '@lemmata/core/sampler'
import { expect, type Page, test } from '@playwright/test'
import { makeTeacher } from './pages.ts'

const CLOTHS = [
  { name: 'Linen', hex: '#F1EADB', thread: '#1F4E79' },
  { name: 'Navy', hex: '#23304F', thread: '#E8D9A8' },
  { name: 'Moss', hex: '#5D7A4A', thread: '#F4EFE4' },
] as const
const STITCHES = ['running-stitch', 'back-stitch', 'stem-stitch', 'chain-stitch', 'split-stitch', 'satin-stitch'] as const
const ZOOMS = 11

function samplerOn({ name, hex, thread }: (typeof CLOTHS)[number]): Sampler {
  const blank = newSampler(`Six on ${name}`)
  const [first] = blank.threads
  if (!first) throw new Error('no thread')
  return {
    ...blank,
    cloth: { kind: 'linen-cotton', threadsPerCm: 18, thicknessMm: 0.4, colour: { name, hex }, widthMm: 200, heightMm: 120 },
    workingHoop: undefined,
    threads: [{ ...first, colour: { name: 'Measured', hex: thread } }],
    drawing: {
      groups: [],
      guides: STITCHES.map((stitch, index) => ({
        id: `g${index}`,
        guide:
          stitch === 'satin-stitch'
            ? { kind: 'shape', path: `M 14 ${12 + 9 * index} H 54 V ${18 + 9 * index} H 14 Z` }
            : { kind: 'line', path: `M 14 ${14 + 9 * index} H 54` },
      })),
    },
    exercises: STITCHES.map((stitch, index): Exercise => ({ id: `e${index}`, name: stitch, stitch, on: [{ guide: `g${index}` }], marks: 'none' })),
  }
}

async function open(page: Page, sampler: Sampler): Promise<void> {
  await makeTeacher(page)
  await page.getByLabel('Sampler file').setInputFiles({ name: 'it.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sampler)) })
  await page.getByRole('link', { name: sampler.name, exact: true }).first().click()
  await expect(page.getByRole('option')).toHaveCount(sampler.exercises.length)
  await expect(page.locator('.stage[aria-current="page"] + .state')).toHaveText(/inside|caution/)
  // How often the picture was painted whole.
  await page.evaluate(() => {
    const canvas = document.querySelector<HTMLElement>('canvas.painted')
    if (!canvas) throw new Error('no canvas')
    canvas.dataset.times = '0'
    new MutationObserver(() => {
      if (canvas.dataset.painted === 'whole') canvas.dataset.times = String(Number(canvas.dataset.times) + 1)
    }).observe(canvas, { attributeFilter: ['data-painted'] })
  })
}

const times = async (page: Page): Promise<number> => Number(await page.locator('canvas.painted').getAttribute('data-times'))

/** Pixels of the canvas about a place on the screen. */
async function patchAt(page: Page, x: number, y: number, half: number): Promise<{ readonly pixels: readonly number[]; readonly size: number }> {
  return page.evaluate(
    ({ x, y, half }) => {
      const canvas = document.querySelector<HTMLCanvasElement>('canvas.painted')
      const context = canvas?.getContext('2d')
      if (!canvas || !context) throw new Error('no canvas')
      const box = canvas.getBoundingClientRect()
      const by = canvas.width / box.width
      const [left, top] = [Math.round((x - box.left) * by) - half, Math.round((y - box.top) * by) - half]
      return { pixels: [...context.getImageData(left, top, 2 * half, 2 * half).data], size: 2 * half }
    },
    { x, y, half },
  )
}

function meanOf({ pixels, size }: { readonly pixels: readonly number[]; readonly size: number }, from = 0, until = size): readonly number[] {
  return [0, 1, 2].map((channel) => {
    let sum = 0
    for (let y = 0; y < size; y += 1) for (let x = from; x < until; x += 1) sum += pixels[4 * (y * size + x) + channel] as number
    return sum / (size * (until - from))
  })
}

/** The largest swing of the means of columns longer than six threads of the cloth. */
function falseWave(patch: { readonly pixels: readonly number[]; readonly size: number }, threadPx: number): number {
  const columns = Array.from({ length: patch.size }, (_, x) => meanOf(patch, x, x + 1)[1] as number)
  let most = 0
  for (let waves = 1; patch.size / waves > 6 * threadPx; waves += 1) {
    let [re, im] = [0, 0]
    columns.forEach((value, x) => {
      re += value * Math.cos((2 * Math.PI * waves * x) / patch.size)
      im += value * Math.sin((2 * Math.PI * waves * x) / patch.size)
    })
    most = Math.max(most, (2 * Math.hypot(re, im)) / patch.size)
  }
  return most
}

const channels = (hex: string): readonly number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))

for (const cloth of CLOTHS)
  test(`${cloth.name}: its colour and no false wave at eleven zooms; each of six stitches has the thread that is worked`, async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 800 })
    const sampler = samplerOn(cloth)
    await open(page, sampler)
    const canvas = page.locator('canvas.painted')
    await expect(canvas).toHaveAttribute('data-painted', 'whole')
    const view = await page.getByTestId('cloth-view').boundingBox()
    if (!view) throw new Error('no view')
    const scale = await scaleOf(page)

    const worked = workedOf(sampler)
    for (const [index, done] of worked.entries()) {
      const box = boxOfExercise(done)
      if (!box) throw new Error('no box')
      const [at, half] = [await onScreen(page, { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }), Math.round(2.2 * scale)]
      const { pixels, size } = await patchAt(page, at.x, at.y, half)
      const share = threadShare(pixels, cloth)
      // Of a piece as wide as the patch, in the middle of the row: how much of it lies under drawn thread. What is split or
      // kept to one side lies partly over itself.
      const expected = expectedShare(done, size / scale)
      expect(share / expected, `${STITCHES[index]} on ${cloth.name}: ${share.toFixed(3)} drawn, ${expected.toFixed(3)} worked`).toBeGreaterThan(0.55)
      expect(share / expected, `${STITCHES[index]} on ${cloth.name}: ${share.toFixed(3)} drawn, ${expected.toFixed(3)} worked`).toBeLessThan(1.45)
    }

    // Bare cloth, brought nearer step by step.
    const bare = await onScreen(page, { x: 130, y: 60 })
    await page.mouse.move(bare.x, bare.y)
    for (let zoom = 0; zoom < ZOOMS; zoom += 1) {
      const now = await scaleOf(page)
      const patch = await patchAt(page, bare.x, bare.y, 90)
      meanOf(patch).forEach((mean, channel) => expect(Math.abs(mean - (channels(cloth.hex)[channel] as number)), `at ${now.toFixed(1)} px/mm`).toBeLessThan(1))
      expect(falseWave(patch, now * (10 / 18)), `at ${now.toFixed(1)} px/mm`).toBeLessThan(2)
      const before = await times(page)
      await page.mouse.wheel(0, -120)
      await expect.poll(() => times(page)).toBeGreaterThan(before)
    }
    expect((await scaleOf(page)) / scale).toBeGreaterThan(2)
  })

function workedOf(sampler: Sampler): readonly WorkedExercise[] {
  const around = surroundingsOf(sampler)
  return layExercises(sampler).map((laid) => {
    const done = laid.ok ? workExercise(laid.value, around) : laid
    if (!done.ok) throw new Error(done.problems[0]?.code)
    return done.value
  })
}

/** The share of a square of so many mm about the middle of a row that its thread covers, were nothing to lie over another. */
function expectedShare(done: WorkedExercise, sideMm: number): number {
  const box = boxOfExercise(done)
  if (!box) return 0
  if (done.pieces[0].guide.kind === 'shape') return Math.min(1, (box.bottom - box.top) / sideMm)
  const width = done.assigned.main.bundle.lineWidthMm
  const [left, right] = [(box.left + box.right - sideMm) / 2, (box.left + box.right + sideMm) / 2]
  let area = 0
  for (const { side, points } of done.pieces[0].worked.segments) {
    if (side !== 'front') continue
    points.slice(1).forEach((to, index) => {
      const from = points[index] as (typeof points)[number]
      const middle = (from.x + to.x) / 2
      if (middle > left && middle < right) area += Math.hypot(to.x - from.x, to.y - from.y) * width
    })
  }
  return area / sideMm ** 2
}

/** Nearer to the thread's colour than to the cloth's, light and shade left aside. */
function threadShare(pixels: readonly number[], { hex, thread }: (typeof CLOTHS)[number]): number {
  const [cloth, other] = [channels(hex), channels(thread)]
  let count = 0
  for (let index = 0; index < pixels.length; index += 4) {
    const along = [0, 1, 2].reduce((sum, c) => sum + ((pixels[index + c] as number) - (cloth[c] as number)) * ((other[c] as number) - (cloth[c] as number)), 0)
    const whole = [0, 1, 2].reduce((sum, c) => sum + ((other[c] as number) - (cloth[c] as number)) ** 2, 0)
    if (along / whole > 0.4) count += 1
  }
  return count / (pixels.length / 4)
}

/** What the view says of itself. */
async function viewOf(page: Page): Promise<{ readonly scale: number; readonly x: number; readonly y: number }> {
  const given = await page.getByTestId('cloth-view').getAttribute('data-view')
  const [scale = NaN, x = NaN, y = NaN] = (given ?? '').split(' ').map(Number)
  return { scale, x, y }
}

async function scaleOf(page: Page): Promise<number> {
  return (await viewOf(page)).scale
}

async function onScreen(page: Page, at: { readonly x: number; readonly y: number }): Promise<{ readonly x: number; readonly y: number }> {
  const [view, box] = [await viewOf(page), await page.getByTestId('cloth-view').boundingBox()]
  if (!box) throw new Error('no view')
  return { x: box.x + view.x + at.x * view.scale, y: box.y + view.y + at.y * view.scale }
}
