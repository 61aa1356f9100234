/** Six Thursdays drawn from nothing by typing and keys alone, as its teacher would. */
import { sixThursdays } from '@lemmata/contract/demo'
import { expect, test } from '@playwright/test'
import { bareCloth } from './draw-pages.ts'
import { Play } from './play.ts'

type Place = readonly [number, number]

const joined = (places: readonly Place[]): string => places.map((place) => place.map((one) => one.toFixed(2)).join(', ')).join('; ')

/** Five teeth of a cold front: 6.4 wide, 5.6 high, 3.2 between. */
const TEETH: readonly Place[] = Array.from({ length: 5 }, (_, index): readonly Place[] => {
  const x = 130 + 9.6 * index
  return [
    [x, 124.95],
    [x + 3.2, 119.35],
    [x + 6.4, 124.95],
  ]
}).flat()

/** Four humps 8.4 wide and 4.6 high, 2.4 between: through its top to its end, and straight on to the next. */
const HUMPS: readonly Place[] = Array.from({ length: 4 }, (_, index): readonly Place[] => {
  const x = 132.8 + 10.8 * index
  const hump: readonly Place[] = [
    [x + 4.2, 128.65],
    [x + 8.4, 133.25],
  ]
  return index === 0 ? [[x, 133.25], ...hump] : [[x - 1.2, 133.25], [x, 133.25], ...hump]
}).flat()

/** A hill in eight steps, steeper than a sine. */
const hill = (from: number, to: number, high: number): readonly Place[] =>
  Array.from({ length: 9 }, (_, index): Place => [from + ((to - from) * index) / 8, 165.05 - high * Math.sin((Math.PI * index) / 8) ** 1.3])

/** In the hollows of the garlands, said as places on the hoop's dial. */
const BERRIES = [
  [64, 116, 4],
  [141, 219, 6],
  [244, 296, 4],
]
  .flatMap(([from = 0, to = 0, waves = 0]) =>
    Array.from({ length: 2 * waves }, (_, index) => `${index % 2 === 0 ? 74.3 : 76.4}<${from + ((to - from) * (index + 0.5)) / (2 * waves)}`),
  )
  .join('; ')

/** Halves of a wave, a quarter more up to its crest, and three quarters of a circle. */
const BREEZE =
  '130, 141.75; 133.94, 142.58; 139, 143.15; 143.5, 142.62; 148, 141.75; 152.5, 140.88; 157, 140.35; 161.5, 140.88; 166, 141.75; 170.97, 142.53; 175, 143.15; 177.05, 138.2; 172.1, 140.25'

/** Three lobes of radius 5.6 on a straight foot. */
const STORM = '192.3, 186.75; 191.73, 181.23; 196.18, 177.93; 201, 175.19; 205.82, 177.93; 210.27, 181.23; 209.7, 186.75'

/** Of a panel: from the tip along one rib, two scallops of its foot, and back along the other. */
const PANELS: readonly (readonly Place[])[] = [0, 1, 2, 3].map((index) => {
  const feet = [-13, -6.2, 0, 6.2, 13]
  const [left = 0, right = 0] = [feet[index], feet[index + 1]]
  const rib = (x: number, share: number): Place => {
    const rest = 1 - share
    return [
      200 + 3 * rest * rest * share * 0.55 * x + 3 * rest * share * share * x + share ** 3 * x,
      110.15 - (10 * rest ** 3 + 9.9 * 3 * rest * rest * share + 6 * 3 * rest * share * share),
    ]
  }
  const middle = (left + right) / 2
  return [
    ...[0, 0.25, 0.5, 0.75, 1].map((share) => rib(right, share)),
    [200 + middle, 108.55] as const,
    ...[1, 0.75, 0.5, 0.25].map((share) => rib(left, share)),
    [200, 100.15] as const,
  ]
})

test('Six Thursdays: by typing and keys alone', async ({ page }) => {
  // Sixty motifs, each compared with the server's document.
  // On a busy machine of two cores, each of them takes twenty seconds.
  test.setTimeout(2_700_000)
  await bareCloth(page)
  const play = new Play(page, sixThursdays('2026-11-26'))
  /** Ctrl+K, its name, Enter; then what it asks for. */
  const draw = async (tool: string, places: string, figures: Readonly<Record<string, string>> = {}, words = ''): Promise<void> => {
    await play.press('Control+k')
    await expect(page.getByLabel('An exercise, a stitch by any name, a stage, a command')).toBeFocused()
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
  await motif('cold front', ['teeth'], () => draw('line', joined(TEETH)))
  await motif('warm front', ['humps'], () => draw('arcs', joined(HUMPS)))
  await motif('heart of the isobars', ['isobar-3'], () => draw('oval', '195.4, 122.95; 204.6, 130.35'))
  await motif('lower breeze', ['breeze-3'], () => draw('wave', '130, 150.95; 180, 150.95', { Crests: '2', High: '1.5' }))
  await motif('breeze that curls', ['breeze-1'], () => draw('arcs', BREEZE))
  await motif('garland', ['garland-1'], () => draw('wave round', '155, 155; 75.4<64; 75.4<116', { Crests: '4', High: '1.9' }))
  await motif('garland across', ['garland-2'], () => draw('wave round', '155, 155; 75.4<244; 75.4<296', { Crests: '4', High: '1.9' }))
  await motif('garland below', ['garland-3'], () => draw('wave round', '155, 155; 75.4<141; 75.4<219', { Crests: '6', High: '1.9' }))
  await motif('berries', ['berries'], () => draw('spots', BERRIES))
  await motif('hill', ['hill-1'], () => draw('curve', joined(hill(130, 164, 8.4))))
  await motif('hill behind', ['hill-2'], () => draw('curve', joined(hill(160, 190, 5.6))))
  await motif('fog', ['fog-1'], () => draw('wave', '130, 166.35; 214, 166.35', { Crests: '5', High: '0.7' }))
  await motif('storm cloud', ['storm'], () => draw('lobes', STORM))
  await motif('handle', ['handle'], () => draw('arcs', '200, 108.55; 200, 111; 200, 113.35; 197.2, 116.15; 194.4, 113.35'))
  await motif('umbrella', numbered('panel', [1, 2, 3, 4]), async () => {
    for (const panel of PANELS) {
      await draw('lobes', joined(panel))
      await play.drawn()
    }
  })
  await motif('rising sun', ['rising'], () => draw('lobes', '194.6, 209.25; 200, 203.85; 205.4, 209.25'))
  await motif('second fog', ['fog-2'], () =>
    draw('curve', joined(Array.from({ length: 21 }, (_, index): Place => [130 + 4.2 * index, 168.95 + 0.8 * Math.sin((index * Math.PI) / 2)]))),
  )
  await motif('third fog', ['fog-3'], () => draw('wave', '130, 171.45; 214, 171.45', { Crests: '5', High: '1' }))
  await motif('tail of the kite', ['tail'], () =>
    draw('curve', '196.9, 150.55; 195.4, 151.87; 193.6, 151.02; 191.8, 150.16; 190.3, 151.48; 188.8, 152.81; 187, 151.95'),
  )
  await motif('hail before', ['hail-1'], () =>
    draw('spots', '132, 197.05; 150, 197.05; 168, 197.05; 147, 202.25; 165, 202.25; 138, 207.45; 156, 207.45; 174, 207.45'),
  )
  await motif('hail after', ['hail-3'], () =>
    draw('spots', '144, 197.05; 162, 197.05; 180, 197.05; 141, 202.25; 159, 202.25; 177, 202.25; 132, 207.45; 150, 207.45; 168, 207.45'),
  )
  for (const [id, across] of [
    ['low-sun-2', '8.64'],
    ['low-sun-3', '7.28'],
    ['low-sun-4', '5.92'],
  ] as const)
    await motif('within the low sun', [id], () => draw('circle', '200, 161.85', { Across: across }))
  await motif('heart of the low sun', ['low-sun-heart'], () =>
    draw(
      'spots',
      `200, 161.85; ${[0, 60, 120, 180, 240, 300].map((at) => (200 + 1.6 * Math.sin((at * Math.PI) / 180)).toFixed(2) + ', ' + (161.85 - 1.6 * Math.cos((at * Math.PI) / 180)).toFixed(2)).join('; ')}`,
    ),
  )
  expect(play.mean()).toBeLessThanOrEqual(12)
  await play.drawnWhole()
  await play.printedAsDrawn()
})
