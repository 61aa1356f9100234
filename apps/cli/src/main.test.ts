/** The command as it is called, on files and standard input. */
import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { bandSampler } from '@lemmata/contract/testing'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const bin = join(dirname(fileURLToPath(import.meta.url)), '../bin/lemmata.mjs')
let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'lemmata-cli-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

function lemmata(args: readonly string[], input?: unknown): { status: number | null; out: string; err: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, [bin, ...args], {
    input: typeof input === 'string' ? input : JSON.stringify(input ?? {}),
    encoding: 'utf8',
    maxBuffer: 1e8,
  })
  return { status, out: stdout, err: stderr }
}

const one = (exercise: object, more: object = {}): object => ({ exercise, ...more })

describe('lemmata', () => {
  it('work: a single exercise in the documented names', () => {
    const { status, out } = lemmata(
      ['work', '-'],
      one({ stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 100 0' }, parameters: { L: 3 }, strands: 2 }),
    )
    expect(status).toBe(0)
    const done = JSON.parse(out).exercises.e1
    expect(done.fitted.count).toBe(33)
    expect(done.holes[0]).toEqual({ x: expect.closeTo(100 / 33, 9), y: 0, move: 'up', piece: 'g1/0' })
    const { total, ...parts } = done.threadMm as Record<string, number>
    expect(Object.values(parts).reduce((a, b) => a + b, 0)).toBeCloseTo(total as number, 6)
    expect(Object.keys(done)).toEqual(
      expect.arrayContaining(['fitted', 'holes', 'segments', 'marks', 'counts', 'threadMm', 'widthMm', 'coverage', 'minutes', 'difficulty', 'problems']),
    )
  })

  it('a caution is reported and the exit stays 0', () => {
    const { status, err } = lemmata(['work', '-'], one({ stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 50 0 L 50 30' }, parameters: { L: 7 } }))
    expect(status).toBe(0)
    expect(err).toMatch(/Caution: exercises\[0\].*7\.5 mm/)
  })

  it.each([
    [one({ stitch: 'no-such', guide: { kind: 'line', path: 'M 0 0 L 9 0' } }), /exercises\[0\]\.stitch: Exercise: There is no stitch called "no-such"/],
    [one({ stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L NaN 0' } }), /cannot be read/],
    [one({ stitch: 'back-stitch', guide: { kind: 'heap' } }), /exercises\[0\]\.guide/],
    [{ format: 'lemmata-sampler' }, /exercises/],
    ['{"broken', /not JSON/],
    ['', /not JSON/],
  ])('wrong input %# exits 1 with its path and a sentence', (input, words) => {
    const { status, err } = lemmata(['work', '-'], input)
    expect(status).toBe(1)
    expect(err).toMatch(words)
  })

  it.each([[['dance']], [[]], [['work']], [['work', '/no/such/file']], [['work', 'a', 'b']], [['work', '-', '--colour', 'red']]])(
    'a wrong call %j exits 2',
    (args) => {
      expect(lemmata(args).status).toBe(2)
    },
  )

  it('fit: a bundle on a cloth, needles best first', () => {
    const { status, out } = lemmata(['fit', '-'], { thread: 'stranded-cotton', strands: 2, cloth: 'calico' })
    expect(status).toBe(0)
    const fit = JSON.parse(out)
    expect(fit.bundleMm).toBeCloseTo(0.4, 2)
    expect(fit.lineWidthMm).toBeCloseTo(0.44, 2)
    expect(fit.needles[0]).toMatchObject({ kind: 'embroidery', size: 8, verdict: 'best' })
    expect(fit.stitchLengthMm.min).toBeLessThan(fit.stitchLengthMm.usual)
  })

  it('stitches, order, svg and sheet on the demo', () => {
    const demo = bandSampler('2026-11-23')
    const ids = JSON.parse(lemmata(['stitches']).out).map((stitch: { id: string }) => stitch.id)
    expect(ids).toContain('chain-stitch')
    const order = JSON.parse(lemmata(['order', '-'], demo).out)
    expect(order.optimal).toBe(true)
    expect(order.order[0]).toBe('e1')
    expect(order.cost.total).toBeLessThan(order.yours.cost.total)
    expect(order.yours.broken).toEqual([])
    expect(lemmata(['svg', '-'], demo).out).toMatch(/^<svg .*width="310mm".*id="thread"/s)
    const file = join(folder, 'sheet.pdf')
    expect(lemmata(['sheet', '-', '--out', file, '--page', 'letter', '--hand', 'left', '--lesson', 'l5'], demo).status).toBe(0)
    expect(readFileSync(file).subarray(0, 5).toString()).toBe('%PDF-')
    expect(execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })).toContain('For the left hand')
  })

  it('book: the whole course with its class\u2019s dates, for one of its learners', () => {
    const demo = bandSampler('2026-11-23')
    const [file, group] = [join(folder, 'book.pdf'), join(folder, 'group.json')]
    const calendar = {
      start: '2027-01-14',
      rhythm: { kind: 'every', days: 7 },
      begins: '18:30',
      zone: 'Europe/Oslo',
      off: {},
      catchUp: [],
      moved: {},
      twice: [],
    }
    const learners = [{ id: 'p1', name: 'Tove', hand: 'left', choices: {} }]
    writeFileSync(group, JSON.stringify({ format: 'lemmata-class', version: 1, name: 'Thursday class', learners, calendar }))
    expect(lemmata(['book', '-', '--out', file, '--form', 'compact', '--class', group, '--learner', 'p1'], demo).status).toBe(0)
    const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })
    for (const one of ['Tove', 'for the LEFT hand', 'Thursday 14 January', '18:30 to ', 'You know this already']) expect(text).toContain(one)
    expect(lemmata(['book', '-', '--out', file, '--form', 'tiny'], demo).status).toBe(1)
    // What changed since an earlier file; as a page of the web by its ending.
    const [earlier, page] = [join(folder, 'earlier.json'), join(folder, 'book.html')]
    writeFileSync(earlier, JSON.stringify(demo))
    const slip = ['book', '-', '--out', file, '--kind', 'slip']
    expect(lemmata([...slip, '--since', earlier], demo).status).toBe(0)
    expect(execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })).toContain('Nothing changed: keep your pages.')
    expect(lemmata(slip, demo).err).toContain('Say since which version')
    expect(lemmata(['book', '-', '--out', page, '--form', 'compact'], demo).status).toBe(0)
    expect(readFileSync(page, 'utf8')).toContain('<!doctype html>')
    expect(lemmata(['book', '-'], demo).status).toBe(1)
  })

  it('gallery: a page for every stitch and version, for both hands, and a list of them', () => {
    const pages = join(folder, 'gallery')
    const { status, out } = lemmata(['gallery', '--out', pages, '--stitch', 'stem-stitch'])
    expect(out).toMatch(/^4 pages in /)
    expect(status).toBe(0)
    expect(readdirSync(pages).sort()).toEqual([
      'index.html',
      'stem-stitch--outline-left.svg',
      'stem-stitch--outline.svg',
      'stem-stitch-left.svg',
      'stem-stitch.svg',
    ])
    const page = readFileSync(join(pages, 'stem-stitch-left.svg'), 'utf8')
    const words = [...page.matchAll(/>([^<]+)<\/text>/g)].map(([, text]) => text).join(' ')
    expect(words).toContain('Left hand.')
    expect(words).toContain('with your right thumb')
    // In German, with the hand beside it as a picture that moves: frames of one length, and the sentence beneath each.
    expect(lemmata(['gallery', '--out', pages, '--stitch', 'stem-stitch', '--language', 'de', '--moving']).status).toBe(0)
    expect(readFileSync(join(pages, 'stem-stitch.svg'), 'utf8')).toMatch(/Stielstich.*eine Stichlänge weiter/s)
    const moving = readFileSync(join(pages, 'stem-stitch-moving.svg'), 'utf8')
    expect(moving).toMatch(/<title>Stielstich<\/title>/)
    expect(moving).toMatch(/prefers-reduced-motion:reduce/)
    const delays = [...moving.matchAll(/animation-delay:(-[\d.]+)s/g)].map(([, delay]) => Number(delay))
    expect(delays.length).toBeGreaterThan(60)
    expect(delays).toEqual([...delays].sort((a, b) => a - b))
    for (const delay of delays) expect(Math.abs(delay * 8 - Math.round(delay * 8))).toBeLessThan(0.01)
    // Whatever a frame refers to is in the file.
    for (const [, id] of moving.matchAll(/href="#(\w+)"/g)) expect(moving).toContain(`<g id="${id}">`)
    expect(lemmata(['gallery', '--out', pages, '--language', 'xx']).err).toMatch(/no language "xx" here; there are en, de/)
    expect(lemmata(['gallery']).err).toMatch(/Say into which folder/)
    expect(lemmata(['gallery', '--out', pages, '--stitch', 'moon-stitch']).err).toMatch(/no stitch "moon-stitch"/)
  })

  it('stitch: a document of one\u2019s own is checked, worded and rated', () => {
    const document = {
      format: 'lemmata-stitch',
      version: 1,
      id: 'mine',
      name: 'Mine',
      guide: ['line'],
      parameters: { L: 4 },
      passes: [
        {
          name: 'line',
          place: { along: { step: ['L'], tail: 'e' } },
          start: [{ up: [0, 0] }],
          repeat: [
            { down: [0, 0], loose: true },
            { up: ['L', 0], round: 'inside' },
          ],
          end: [{ down: ['e', 0] }],
        },
      ],
    }
    const good = lemmata(['stitch', '-'], document)
    expect(good.status).toBe(0)
    const answer = JSON.parse(good.out)
    expect(answer.steps[1]).toMatchObject({ number: 2, gesture: 'sew', moment: 'in', holes: [1, 2] })
    expect(answer.steps[1].sentence).toMatch(/out at 2.*The thread lies under the needle/)
    expect(answer.motions).toContain('catch-loop')
    const bad = lemmata(['stitch', '-'], { ...document, passes: [{ ...document.passes[0], repeat: [{ leap: [0, 0] }] }] })
    expect(bad.status).toBe(1)
    expect(bad.err).toMatch(/a move is one of up, down, drawn, by, wrap/)
  })

  it('assign: no more needles than before, every change named, what is pinned stays', () => {
    const { status, out } = lemmata(['assign', '-'], bandSampler('2026-12-03'))
    expect(status).toBe(0)
    const found = JSON.parse(out) as {
      before: string[]
      after: string[]
      cost: number
      costBefore: number
      proven: boolean
      changes: { from: string; to: string }[]
      withThreads: {
        before: { threads: string[]; needles: string[] }
        after: { threads: string[]; needles: string[] }
        cost: number
        costBefore: number | null
        proven: boolean
        changes: { from: object; to: object }[]
      }
    }
    expect(found.proven).toBe(true)
    expect(found.after.length).toBeLessThanOrEqual(found.before.length)
    expect(found.cost).toBeLessThanOrEqual(found.costBefore)
    for (const { from, to } of found.changes) expect(from).not.toBe(to)
    const { before, after, cost, costBefore, changes, proven } = found.withThreads
    expect(proven).toBe(true)
    expect(after.threads.length + after.needles.length).toBeLessThanOrEqual(before.threads.length + before.needles.length)
    expect(cost).toBeLessThanOrEqual(costBefore ?? Infinity)
    for (const { from, to } of changes) expect(to).not.toEqual(from)
    expect(lemmata(['assign', '-'], { cloth: 3 }).status).toBe(1)
  })

  it('kit: needlefuls by role as they are worked, cut for all, and what is bought', () => {
    const sampler = bandSampler('2026-12-03')
    const { status, out } = lemmata(['kit', '-'], sampler)
    expect(status).toBe(0)
    const kit = JSON.parse(out) as Kit
    const worked = JSON.parse(lemmata(['work', '-'], sampler).out) as { exercises: Record<string, { threads: readonly { needlefuls: number }[] }> }
    expect(kit.kits).toBe(kit.learners + kit.spares)
    const inOne = kit.threads.flatMap((one) => one.perKit.needlefuls).reduce((sum, one) => sum + one.count, 0)
    expect(inOne).toBe(
      Object.values(worked.exercises)
        .flatMap((one) => one.threads)
        .reduce((sum, one) => sum + one.needlefuls, 0),
    )
    for (const { perKit, cut } of kit.threads)
      expect(cut.flatMap((one) => one.bundles).reduce((sum, one) => sum + one.count, 0)).toBe(kit.kits * perKit.cut.reduce((sum, one) => sum + one.count, 0))
    expect(kit.threads[0]?.words).toMatch(/^\d+ (skeins?|balls?|reels?) of \d/)
    expect(kit.shopping.map((one) => one.group)).toEqual(expect.arrayContaining(['Thread', 'Needles', 'Cloth', 'Tools']))
    expect(lemmata(['kit', '-'], { cloth: 3 }).status).toBe(1)
  })

  it('kit --stores: what is in the stores is taken off, and a bad line of the table is said and keeps nothing out', () => {
    const sampler = bandSampler('2026-12-03')
    const plain = JSON.parse(lemmata(['kit', '-'], sampler).out) as Kit
    const [first] = sampler.threads
    if (!first) throw new Error('the sampler has no thread')
    const stores = join(folder, 'stores.csv')
    writeFileSync(
      stores,
      `Shelf;What;Size;Colour;Hex;Left;Unit;Price\nthreads;${first.kind};${first.weight ?? ''};${first.colour.name};${first.colour.hex};8000;m;1,5\nattic;x;;;;1;m;\n`,
    )
    const { status, out, err } = lemmata(['kit', '-', '--stores', stores], sampler)
    expect(status).toBe(0)
    const kit = JSON.parse(out) as Kit & { readonly cost: { readonly perKit: number } }
    const name = `${first.colour.name}, `
    const line = (one: Kit) => one.shopping.find(({ what }) => what.startsWith(name))
    expect(line(plain)?.missing).toBe(line(plain)?.count)
    expect(line(kit)).toMatchObject({ missing: 0, price: 1.5, count: line(plain)?.count })
    expect(kit.cost.perKit).toBeGreaterThan(0)
    expect(err).toContain('"attic" is no shelf')
    expect(lemmata(['kit', '-', '--stores', join(folder, 'nowhere.csv')], sampler).status).toBe(2)
  })

  it('calendar: lessons on dates with minutes, by the brief or by a class; as a calendar file', () => {
    const sampler = bandSampler('2031-01-09')
    const { status, out } = lemmata(['calendar', '-'], sampler)
    expect(status).toBe(0)
    const found = JSON.parse(out) as { lessons: { on: string[]; minutes: { working: number; room: number } }[] }
    expect(found.lessons.map((one) => one.on).flat()).toHaveLength(sampler.lessons.length)
    expect(found.lessons[0]?.minutes.working).toBeGreaterThan(0)
    const group = join(folder, 'class.json')
    const calendar = { start: '2031-02-03', rhythm: { kind: 'monthly' }, begins: '10:00', zone: 'Europe/Oslo', off: {}, catchUp: [], moved: {}, twice: [] }
    writeFileSync(group, JSON.stringify({ format: 'lemmata-class', version: 1, name: 'Mondays', learners: [], calendar }))
    const monthly = JSON.parse(lemmata(['calendar', '-', '--class', group], sampler).out) as typeof found
    expect(monthly.lessons.slice(0, 2).map((one) => one.on)).toEqual([['2031-02-03'], ['2031-03-03']])
    expect(lemmata(['calendar', '-', '--class', group, '--ics'], sampler).out.match(/DTSTART:20310203T090000Z/g)).toHaveLength(1)
    const { startDate: _none, ...brief } = sampler.brief
    expect(lemmata(['calendar', '-'], { ...sampler, brief })).toMatchObject({ status: 1, err: expect.stringContaining('no first day') })
  })

  it('carries: the order of pieces, what is carried and what begun anew', () => {
    const { status, out } = lemmata(['carries', '-'], bandSampler('2026-12-03'))
    expect(status).toBe(0)
    const { lessons } = JSON.parse(out)
    expect(lessons.length).toBeGreaterThan(1)
    expect(lessons[0].threads[0].runs[0]).toMatchObject({ turned: false, from: { x: expect.any(Number) as number } })
    expect(lemmata(['carries', '-'], { cloth: 3 }).status).toBe(1)
  })

  it('layout: taken to another hoop, the stitches as long as before', () => {
    const { status, out, err } = lemmata(['layout', '-', '--into', '6 in'], bandSampler('2026-12-03'))
    expect(`${status} ${err}`).toMatch(/^[01] /)
    const made = JSON.parse(out)
    expect(made.workingHoop).toMatchObject({ nominalMm: 152, insideMm: 144 })
    expect(lemmata(['work', '-'], made).out.length).toBeGreaterThan(1000)
    expect(lemmata(['layout', '-'], bandSampler('2026-12-03')).err).toMatch(/Say into what size/)
    expect(lemmata(['layout', '-', '--into', 'a tea towel'], bandSampler('2026-12-03')).status).toBe(1)
  })

  it('import: outlines of an SVG file as sketches of a sampler; what is left out is said', () => {
    const good = lemmata(['import', '-'], '<svg width="100mm" viewBox="0 0 100 50"><g id="Rain"><path id="one" d="M 10 10 L 60 10"/></g><text>x</text></svg>')
    expect(good.status).toBe(0)
    expect(JSON.parse(good.out).drawing.guides).toEqual([{ id: 'g1', name: 'Rain: one', draft: true, guide: { kind: 'line', path: 'M130 155L180 155' } }])
    expect(good.err).toMatch(/Left out: words \(1\)/)
    const bad = lemmata(['import', '-'], '<svg><path d="M0 0"')
    expect(bad.status).toBe(1)
    expect(bad.err).toMatch(/not an SVG file that can be read/)
  })
})

interface Kit {
  readonly learners: number
  readonly spares: number
  readonly kits: number
  readonly threads: readonly {
    readonly words: string
    readonly perKit: { readonly needlefuls: readonly { readonly count: number }[]; readonly cut: readonly { readonly count: number }[] }
    readonly cut: readonly { readonly bundles: readonly { readonly count: number }[] }[]
  }[]
  readonly shopping: readonly {
    readonly group: string
    readonly what: string
    readonly count: number
    readonly missing: number
    readonly price: number | null
  }[]
}
