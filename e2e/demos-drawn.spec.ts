/** Weather Diary drawn from nothing with the pointer, as its teacher would. */
import { weatherDiary } from '@lemmata/contract/demo'
import { expect, test } from '@playwright/test'
import { bareCloth, onScreen, settled } from './draw-pages.ts'
import { Play } from './play.ts'

type Place = readonly [number, number]

/** On the dial, as its places are said. */
const polar = (radius: number, degrees: number): Place => [
  150 + radius * Math.sin((degrees * Math.PI) / 180),
  150 - radius * Math.cos((degrees * Math.PI) / 180),
]

/** The lobes of the cloud: its corners, and how round each is. */
const CLOUD: readonly Place[] = [
  [85.5, 121.2],
  ...lobe([85.5, 121.2], [81.8, 109.8], 6.4),
  ...lobe([81.8, 109.8], [94.2, 99], 8.2),
  ...lobe([94.2, 99], [113, 99.6], 10.6),
  ...lobe([113, 99.6], [122.1, 110.6], 7.8),
  ...lobe([122.1, 110.6], [119, 121.2], 6.2),
]

/** Where a lobe of so small a radius passes, half way, and its end: less than half a circle. */
function lobe(from: Place, to: Place, radius: number): readonly [Place, Place] {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const chord = Math.hypot(dx, dy)
  const rise = radius - Math.sqrt(Math.max(0, radius * radius - (chord * chord) / 4))
  return [[(from[0] + to[0]) / 2 + (dy / chord) * rise, (from[1] + to[1]) / 2 - (dx / chord) * rise], to]
}

test('Weather Diary: with the pointer', async ({ page }) => {
  // Sixty motifs, each compared with the server's document.
  // On a busy machine of two cores, each of them takes twenty seconds.
  test.setTimeout(2_700_000)
  await bareCloth(page)
  const play = new Play(page, weatherDiary())
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
      const [x, y] = await onScreen(page, ...place)
      await page.mouse.move(x, y)
      // Twice at the last.
      await page.mouse.click(x, y, { clickCount: index === places.length - 1 ? 2 : 1 })
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
  /** Its middle pressed, the rest typed. */
  const about = async (tool: string, middle: Place, typed: Readonly<Record<string, string>>): Promise<void> => {
    await menu(tool)
    play.actions += 2
    await page.mouse.click(...(await onScreen(page, ...middle)))
    await figures(typed)
    await page.getByRole('button', { name: 'Draw it' }).click()
  }
  const asSketch = async (): Promise<void> => {
    play.actions += 2
    await page.locator('.draw-bar').getByLabel('Worked in').click()
    await page.getByTitle('nothing yet: a sketch').click()
    await settled(page)
  }
  await motif('scale', ['scale-circle'], async () => {
    await menu('Circle')
    await figures({ Across: '88.8' })
    play.actions += 1
    await page.mouse.click(...(await onScreen(page, 150, 150)))
  })
  await motif('isobar', ['isobar-line'], () => about('Wave round a circle', [150, 150], { Radius: '50.2', From: '122', To: '230', Crests: '1.35', High: '1' }))
  await motif('deep isobar', ['deep-line'], () =>
    about('Wave round a circle', [150, 150], { Radius: '53.2', From: '126', To: '226', Crests: '1.25', High: '1' }),
  )
  await motif('red row', ['red-1'], () => about('Part of a circle', [150, 150], { Radius: '77.8', From: '-49', To: '36' }))
  await motif('orange row', ['orange-1'], () => about('Part of a circle', [150, 150], { Radius: '75.6', From: '-49', To: '35.12' }))
  await motif('edge of the cloud', ['cloud-edge'], async () => {
    await menu('Lobes')
    await nearer([101, 110])
    await pressAt(...CLOUD)
  })
  for (const [name, id, from, to] of [
    ['wind', 'wind-2', [200.5, 145.5], [231, 145]],
    ['wind below', 'wind-3', [200.5, 151.5], [231, 151]],
  ] as const)
    await motif(name, [id], async () => {
      await menu('Wave')
      await figures({ Crests: '1', High: '0.94' })
      await nearer([215, 148])
      await drag(from, to)
    })
  await motif('wind that curls upward', ['wind-1'], async () => {
    await menu('Arcs')
    await nearer([212, 138])
    await pressAt([201.5, 139.5], [211.5, 140.5], [221.5, 139.5], [225.18, 130.62], [216.3, 134.3], [219.1, 137.1], [221.9, 134.3])
  })
  await motif('wind that curls downward', ['wind-4'], async () => {
    await menu('Arcs')
    await nearer([212, 160])
    await pressAt([200.5, 157.5], [210.5, 156.5], [220.5, 157.5], [224.18, 166.38], [215.3, 162.7], [218.1, 159.9], [220.9, 162.7])
  })
  await motif('pointer', ['pointer'], async () => {
    await menu('Leaf')
    await figures({ Wide: '7', 'Widest at': '0.35' })
    await nearer([165, 137])
    await drag(polar(6.5, 50), polar(36, 50))
  })
  await motif('tail of the pointer', ['tail'], async () => {
    await menu('Leaf')
    await figures({ Wide: '6', 'Widest at': '0.6' })
    await nearer([140, 158])
    await drag(polar(6.5, 230), polar(25, 230))
  })
  await motif('feather', ['feather-leaf'], async () => {
    await menu('Leaf')
    await figures({ Wide: '9', 'Widest at': '0.55' })
    await nearer([136, 94])
    await drag([146, 94.5], [127, 94.5])
  })
  await motif('lightning', ['bolt'], async () => {
    await menu('Line')
    await nearer([134, 128])
    const corners: Place[] = [polar(35.4, 335)]
    for (const [long, towards] of [
      [14.4, 210],
      [10.8, 86],
      [11.4, 210],
    ] as const) {
      const [x, y] = corners.at(-1) as Place
      corners.push([x + long * Math.sin((towards * Math.PI) / 180), y - long * Math.cos((towards * Math.PI) / 180)])
    }
    await pressAt(...corners)
  })
  await motif('drizzle', ['drops'], async () => {
    await menu('Spots')
    await nearer([128, 152])
    await pressAt(
      ...[
        [16, 262],
        [23, 248],
        [23, 276],
        [31.5, 242],
        [31.5, 256],
        [31.5, 270],
        [31.5, 283],
      ].map(([radius = 0, at = 0]) => polar(radius, at)),
    )
  })
  await motif('frame of the window', ['window-frame'], async () => {
    await menu('Box')
    await nearer([115, 210])
    await drag([103.25, 202.25], [127.75, 219.75])
  })
  await motif('ground line', ['ground'], async () => {
    await menu('Line')
    await nearer([90, 189])
    await pressAt([76.6, 189.4], [106.6, 189.4])
  })
  await motif('spine of the crystal, six times', ['spine'], async () => {
    await menu('Line')
    await nearer([150, 212])
    await pressAt([150, 218.5], [150, 205.2])
    await page.getByTestId('exercise-card').getByLabel('Copies', { exact: true }).click()
    await page.getByTitle('round a centre').click()
    play.actions += 2
    await play.field('How many', '6')
    await play.field('Centre, from the left', '150')
    await play.field('Centre, from the top', '220')
  })
  await motif('head of the vane', ['head'], async () => {
    await menu('Free shape')
    await nearer([166, 94])
    await pressAt([161, 90.4], [172, 94.5], [161, 98.6])
  })
  for (const [name, id, middle, places] of [
    [
      'hail',
      'hail-spots',
      [141, 173],
      [[14.5, 200], ...[190, 210].map((at) => [20.5, at]), ...[185, 200, 215].map((at) => [27, at]), ...[181, 193.6, 206.4, 219].map((at) => [33, at])],
    ],
    [
      'stars of the clear night',
      'stars',
      [175, 146],
      [
        [33, 66],
        [33.5, 82],
        [33.5, 99],
        [13, 93],
      ],
    ],
  ] as const)
    await motif(name, [id], async () => {
      await menu('Spots')
      await nearer(middle)
      await pressAt(...places.map(([radius = 0, at = 0]) => polar(radius, at)))
    })
  await motif('flakes', ['flakes'], async () => {
    await menu('Spots')
    await nearer([150, 216])
    // Beside the crystal, not on its ends.
    await page.keyboard.down('Alt')
    await pressAt([150, 220], [131.4, 210.5], [132.8, 229.6], [168.4, 211.5], [167.6, 228.6], [172.5, 203.5])
    await page.keyboard.up('Alt')
  })
  await motif('fog', ['fog-part'], async () => {
    await menu('Lobes')
    await nearer([158, 128])
    const edge = (radius: number, ...at: readonly number[]): readonly Place[] => at.map((degrees) => polar(radius, degrees))
    const straight: Place = [(polar(35, 40)[0] + polar(13, 32)[0]) / 2, (polar(35, 40)[1] + polar(13, 32)[1]) / 2]
    await pressAt(...edge(35, -7, 16.5, 40), straight, ...edge(13, 32, 15, -2))
  })
  await motif('post of the vane', ['post'], async () => {
    await menu('Line')
    await nearer([150, 96])
    await pressAt([150, 103.5], [150, 89])
  })
  await motif('ball of the vane', ['ball'], async () => {
    await menu('Circle')
    await figures({ Across: '4.8' })
    await nearer([150, 88])
    play.actions += 1
    await page.keyboard.down('Alt')
    await page.mouse.click(...(await onScreen(page, 150, 87.4)))
    await page.keyboard.up('Alt')
  })
  for (const [name, id, radius] of [
    ['green row', 'green-1', 73.3],
    ['blue row', 'blue-1', 70.95],
    ['plum row', 'plum-1', 68.7],
    ['second green row', 'green-2', 72.4],
    ['second plum row', 'plum-2', 67.85],
    ['second orange row', 'orange-2', 74.75],
    ['second blue row', 'blue-2', 70.1],
  ] as const)
    await motif(name, [id], () =>
      about('Part of a circle', [150, 150], { Radius: String(radius), From: '-49', To: (36 - (4 * (77.8 - radius)) / 9.95).toFixed(2) }),
    )
  await motif('arms of the crystal', ['arms'], async () => {
    await menu('Band')
    await figures({ Wide: '7.4' })
    await nearer([150, 212])
    await page.keyboard.down('Alt')
    await pressAt([150, 205.6], [150, 216])
    await page.keyboard.up('Alt')
    await page.getByTestId('exercise-card').getByLabel('Copies', { exact: true }).click()
    await page.getByTitle('round a centre').click()
    play.actions += 2
    await play.field('How many', '6')
    await play.field('Centre, from the left', '150')
    await play.field('Centre, from the top', '220')
  })
  await motif('cloud in three', ['cloud-dark-part', 'cloud-middle-part', 'cloud-light-part'], async () => {
    await menu('Lobes')
    await nearer([101, 110])
    await pressAt(...CLOUD)
    for (const [crest, from, to, y] of [
      ['1.7', 80, 140, 107.8],
      ['1.5', 76.5, 139.5, 114.8],
    ] as const) {
      await menu('Wave')
      if (crest === '1.7') await asSketch()
      await figures({ Crests: '3', High: crest })
      // Not onto the corner that the first cut has made.
      await page.keyboard.down('Alt')
      await drag([from, y], [to, y])
      await page.keyboard.up('Alt')
      await settled(page)
      // The line is held; the shape too, and the one is cut along the other.
      play.actions += 3
      await page.keyboard.down('Shift')
      await page.mouse.click(...(await onScreen(page, 103, 119.5)))
      await page.keyboard.up('Shift')
      await page.getByRole('button', { name: 'Arrange 2' }).click()
      await page.getByRole('menuitem', { name: 'Cut the shape along the line' }).click()
    }
  })
  /** Several alike, seen from one place: each drawn by itself, compared together. Of its own, not onto what lies beside it. */
  const alike = async (
    name: string,
    tool: string,
    near: Place,
    all: readonly (readonly [string, Place, Place])[],
    given: Readonly<Record<string, string>> = {},
  ): Promise<void> => {
    const ids = all.map(([id]) => id)
    await motif(name, ids, async () => {
      await nearer(near)
      for (const [, from, to] of all) {
        await menu(tool)
        await figures(given)
        await page.keyboard.down('Alt')
        await (tool === 'Grid' ? drag(from, to) : pressAt(from, to))
        await page.keyboard.up('Alt')
        await expect(page.locator('.draw-bar')).toHaveCount(0)
      }
    })
  }
  await alike(
    'sector lines',
    'Line',
    [140, 155],
    [
      ['sector-170', [151.48, 158.37], [156.32, 185.85]],
      ['sector-290', [142.01, 147.09], [115.8, 137.55]],
      ['sector-350', [148.52, 141.63], [143.68, 114.15]],
    ],
  )
  await alike(
    'further rain',
    'Line',
    [92, 145],
    [
      ['rain-2', [88.4, 124.5], [81.34, 159.8]],
      ['rain-3', [93.3, 124.5], [85.26, 164.7]],
      ['rain-4', [98.2, 124.5], [90.75, 161.76]],
      ['rain-5', [103.1, 124.5], [98, 150]],
    ],
  )
  await alike(
    'further bars',
    'Grid',
    [94, 180],
    (
      [
        ['bar-2', 83.3, 176, 5],
        ['bar-3', 89.2, 168.8, 8],
        ['bar-4', 95.1, 173.6, 6],
        ['bar-5', 101, 178.4, 4],
      ] as const
    ).map(([id, left, top, rows]) => [id, [left, top], [left + 4.8, top + 2.4 * rows]] as const),
    { Square: '2.4' },
  )
  await alike(
    'further frost',
    'Band',
    [168, 170],
    [
      ['frost-2', [179.94, 166.94], [164.8, 158.37]],
      ['frost-3', [161.48, 182.43], [155.67, 166.02]],
    ],
    { Wide: '5' },
  )
  await alike(
    'further catkins',
    'Pins',
    [207, 198],
    [
      ['catkin-2', [193.5, 220.4], [190.81, 205.14]],
      ['catkin-3', [205, 210.3], [201.25, 195.26]],
      ['catkin-4', [214, 198.8], [209.36, 184.53]],
      ['catkin-5', [221, 186], [215.76, 173.02]],
    ],
  )
  await motif('sparks', ['sparks'], async () => {
    await menu('Spots')
    await nearer([200, 106])
    await page.keyboard.down('Alt')
    await pressAt(
      ...Array.from({ length: 8 }, (_, index): Place => {
        const at = ((22.5 + 45 * index) * Math.PI) / 180
        return [200 + 12.6 * Math.sin(at), 106 - 12.6 * Math.cos(at)]
      }),
    )
    await page.keyboard.up('Alt')
  })
  expect(play.mean()).toBeLessThanOrEqual(12)
  await play.drawnWhole()
  await play.printedAsDrawn()
})

test('a leaf, a wave, a ring of eight copies, a word: each in at most four actions', async ({ page }) => {
  await bareCloth(page)
  const play = new Play(page, weatherDiary())
  const menu = async (tool: string): Promise<void> => {
    play.actions += 2
    await page.getByRole('button', { name: /^Draw( ▾|:)/ }).click()
    await page.getByRole('menuitem', { name: tool, exact: true }).click()
    await settled(page)
  }
  const drag = async (from: Place, to: Place): Promise<void> => {
    play.actions += 1
    await page.mouse.move(...(await onScreen(page, ...from)))
    await page.mouse.down()
    await page.mouse.move(...(await onScreen(page, ...to)), { steps: 4 })
    await page.mouse.up()
    await expect(page.locator('.draw-bar')).toHaveCount(0)
  }
  const inAtMostFour = async (what: () => Promise<void>): Promise<void> => {
    const before = play.actions
    await what()
    expect(play.actions - before).toBeLessThanOrEqual(4)
  }
  await inAtMostFour(async () => {
    await menu('Leaf')
    await drag([100, 100], [100, 80])
  })
  await inAtMostFour(async () => {
    await menu('Wave')
    await drag([130, 100], [190, 100])
  })
  await inAtMostFour(async () => {
    await menu('Leaf')
    await drag([150, 140], [150, 125])
  })
  // Round the hoop's middle, as it stands.
  await inAtMostFour(async () => {
    play.actions += 2
    await page.getByTestId('exercise-card').getByLabel('Copies', { exact: true }).click()
    await page.getByTitle('round a centre').click()
  })
  await inAtMostFour(async () => {
    await menu('Letters')
    await play.type('HAIL')
    play.actions += 1
    await page.mouse.click(...(await onScreen(page, 140, 210)))
  })
  const [leaf, wave, ray, ...letters] = (await play.drawn()).drawing.guides
  expect(leaf?.guide.kind).toBe('shape')
  expect(wave?.guide.kind).toBe('line')
  expect(ray?.copies).toMatchObject({ kind: 'round', count: 8 })
  // An H of three strokes, an A of two, an I, an L.
  expect(letters).toHaveLength(7)
})
