/**
 * `npm run bench:photo-page`: a photograph of twelve million pixels on a learner's page in Chromium, from the file chosen to the figures
 * shown, ten times; beside it how long a loop of a hundred million steps takes in the same page, for machines differ.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { bandSampler } from '@lemmata/contract/testing'
import { practiceRow } from '@lemmata/core/photo'
import { EVEN_HANDWORK, paintScene, PLAIN_SHOT, sewRow, shoot } from '@lemmata/core/stand-in-camera'
import { chromium } from '@playwright/test'
import sharp from 'sharp'
import { ask, signIn } from './asked.ts'

const TIMES = 10
const [WIDE, HIGH] = [4000, 3000]
const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
interface Service {
  readonly address: string
  readonly stop: () => Promise<void>
}
const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: (root: string, options: object) => Promise<Service> }
const say = (what: string, figure: string): void => void process.stdout.write(`${what.padEnd(56)} ${figure}\n`)

const sampler = bandSampler('2031-01-09')
const [wanted] = (sampler.lessons[0]?.exercises ?? []).flatMap((id) => {
  const exercise = sampler.exercises.find((one) => one.id === id)
  const row = exercise && practiceRow(sampler, exercise)
  return row ? [{ exercise, ...row }] : []
})
if (!wanted) throw new Error('no row of the first lesson can be measured')

/** As a telephone takes it: the card fills most of it. */
async function photograph({ done, plan }: NonNullable<typeof wanted>): Promise<Buffer> {
  const row = sewRow(done, plan, { ...EVEN_HANDWORK, scatterMm: 0.06, seed: 4 })
  const look = { clothHex: plan.clothHex, weaveMm: 0.42, threadHex: plan.threadHex, lineHex: null, fuzzMm: 0.02, seed: 4 }
  const { rgba, widthPx, heightPx } = shoot(paintScene(row, look, 28), { ...PLAIN_SHOT, pixelsPerMm: 22, tiltDeg: 10, rollDeg: 4, noise: 0.006 })
  return sharp(Buffer.from(rgba.buffer), { raw: { width: widthPx, height: heightPx, channels: 4 } })
    .resize(WIDE, HIGH, { fit: 'contain', background: '#8d7f6b' })
    .jpeg({ quality: 85 })
    .toBuffer()
}

/** Notes when a file is chosen, and when its figures are there. Runs in the page before anything of it. */
function noteMeasuring(): void {
  const page = globalThis as unknown as {
    document: { addEventListener: (event: string, heard: () => void, first: boolean) => void; querySelector: (what: string) => unknown }
    requestAnimationFrame: (next: () => void) => void
    took?: number
  }
  page.document.addEventListener(
    'change',
    () => {
      const began = performance.now()
      delete page.took
      const look = (): void => {
        if (page.document.querySelector('[data-testid=row-figures]')) page.took = performance.now() - began
        else page.requestAnimationFrame(look)
      }
      look()
    },
    true,
  )
}

/** Runs in the page. */
function hundredMillion(): number {
  const began = performance.now()
  let sum = 0
  for (let step = 0; step < 1e8; step += 1) sum = (sum + step) % 1013
  return performance.now() - began + (sum < 0 ? 1 : 0)
}

const middle = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0
const folder = mkdtempSync(join(tmpdir(), 'lemmata-photo-'))
const service = await startService(root, { folder, port: 0 })
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
try {
  const api = `${service.address}/api`
  const session = await signIn(api)
  const made = await ask<{ readonly id: string }>(api, session, 'POST', '/samplers', { document: sampler })
  const group = await ask<{ readonly id: string }>(api, session, 'POST', '/classes', { sampler: made.id, name: 'Photographs' })
  const { code } = await ask<{ readonly code: string }>(api, session, 'POST', `/classes/${group.id}/join-code`, {})
  const picture = { name: 'row.jpg', mimeType: 'image/jpeg', buffer: await photograph(wanted) }
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, hasTouch: true })
  await page.addInitScript(noteMeasuring)
  await page.goto(`${service.address}/learn`)
  await page.getByLabel('Code of the class').fill(code)
  await page.getByLabel('What you are called').fill('Gaia')
  await page.getByLabel('Right').check()
  await page.getByLabel('A word to come back with').fill('drizzle')
  await page.getByRole('button', { name: 'Join' }).click()
  await page.getByRole('button', { name: wanted.exercise.name }).first().click()
  await page.getByRole('button', { name: 'Photograph a row' }).click()
  const yardstick: number[] = []
  const took: number[] = []
  for (let turn = 0; turn <= TIMES; turn += 1) {
    await page.reload()
    await page.getByLabel('Choose one').waitFor({ state: 'attached' })
    yardstick.push(await page.evaluate(hundredMillion))
    await page.getByLabel('Choose one').setInputFiles(picture)
    const one = await page.waitForFunction(() => (globalThis as unknown as { took?: number }).took, undefined, { timeout: 60_000 })
    took.push((await one.jsonValue()) ?? 0)
  }
  // The first carries what every page has once: its code read and made ready.
  say('a loop of a hundred million steps in the page', `${middle(yardstick).toFixed(0)} ms`)
  say('12 million pixels, the first time', `${((took[0] ?? 0) / 1000).toFixed(2)} s`)
  const after = took.slice(1)
  say(
    `12 million pixels, then, ${TIMES} times`,
    `median ${(middle(after) / 1000).toFixed(2)} s (${(Math.min(...after) / 1000).toFixed(2)} to ${(Math.max(...after) / 1000).toFixed(2)}), ${(middle(after) / middle(yardstick)).toFixed(1)} x the loop`,
  )
} finally {
  await browser.close()
  await service.stop()
  rmSync(folder, { recursive: true, force: true })
}
