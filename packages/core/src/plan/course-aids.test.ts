/** What is told about a course besides its order: comparisons, easing, gaps, fading marks, practice, catching up. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { CLASS_PRESETS, classWeights, LOAD_GROUPS, rateDifficulty, USUAL_WEIGHTS } from '../measure/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { MOTIONS } from '../work/index.ts'
import { courseOf, type CourseItem, type CourseSettings, describePlan, rulesOf, stackLayers, USUAL_WISHES } from '../order/index.ts'
import { catchUp, comparisonInWords, fadeMarks, fillGap, findGaps, partDifferences, practiceAsked, waysToEase } from './index.ts'
import { sentencesOf, type ShortExercise, workAlone, type WorkedAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Aids'))
const settings: CourseSettings = { lessonMinutes: 90, lessons: null, lessonIds: [], wishes: USUAL_WISHES }

function work(exercise: Omit<ShortExercise, 'name'> & { name?: string }): WorkedAlone {
  const result = workAlone({ name: exercise.id, ...exercise }, around)
  if (!result.ok) throw new Error(sentencesOf(result.problems).join(' '))
  return result.value
}
const line = (id: string, stitch: string, y: number, more: Partial<ShortExercise> = {}): WorkedAlone =>
  work({ id, stitch, guide: { kind: 'line', path: `M 0 ${y} L 100 ${y}` }, ...more })

describe('two exercises compared', () => {
  const rain = line('Rain', 'running-stitch', 0, { marks: 'every-hole' })
  const loop = work({ id: 'Loop', stitch: 'chain-stitch', guide: { kind: 'line', path: 'M 0 20 C 30 0 60 40 100 20' }, marks: 'guide-only' })

  it('differ by parts that add up to the difference of their scores', () => {
    const parts = partDifferences(loop.difficulty, rain.difficulty)
    expect(parts.reduce((total, part) => total + part.points, 0)).toBeCloseTo(loop.difficulty.score - rain.difficulty.score, 9)
  })

  it('are told apart by what weighs most, either way round', () => {
    expect(comparisonInWords(loop.difficulty, rain.difficulty, 'Rain')).toMatch(/^Harder than Rain by catching the loop \(\d+\)/)
    expect(comparisonInWords(rain.difficulty, loop.difficulty, 'Loop')).toMatch(/^Easier than Loop by catching the loop \(\d+\)/)
    expect(comparisonInWords(rain.difficulty, rain.difficulty, 'Rain')).toBe('As hard as Rain, in the same things.')
  })
})

describe('what would make it easier', () => {
  it('is worked and rated: marks for every hole, by as much as the exercise then has less', () => {
    const done = line('Back', 'back-stitch', 0, { marks: 'none' })
    const marked = line('Back', 'back-stitch', 0, { marks: 'every-hole' })
    const easing = waysToEase(done, around).find((one) => one.set.marks === 'every-hole')
    expect(easing?.points).toBeCloseTo(done.difficulty.score - marked.difficulty.score, 9)
    expect(easing?.sentence).toContain('a mark for every hole')
  })

  it('offers nothing that makes it harder', () => {
    for (const stitch of ['running-stitch', 'stem-stitch', 'chain-stitch'])
      for (const easing of waysToEase(line(stitch, stitch, 0), around)) expect(easing.points).toBeGreaterThan(0)
  })
})

describe('a class that finds something hard', () => {
  const stitch = { passes: [{ motions: { up: 4, down: 4, 'catch-loop': 2, wrap: 3, edge: 2 }, repeats: 2, moves: 4 }], composite: false, special: 1 }
  const setting = { lengthOverMin: 1, bend: 0.5, corners: 1, unmarked: 0.5, strands: 2, minutes: 30 }

  it('every motion belongs to one group', () => {
    const all = LOAD_GROUPS.flatMap((group) => group.motions)
    expect([...all].sort()).toEqual([...MOTIONS].sort())
  })

  it.each(LOAD_GROUPS.map((group) => [group.id] as const))('%s: rates no exercise easier for it, and other parts keep their raw share', (id) => {
    const usual = rateDifficulty(stitch, setting)
    const harder = rateDifficulty(stitch, setting, classWeights({ [id]: 1.5 }))
    expect(harder.score).toBeGreaterThanOrEqual(usual.score)
    expect(harder.parts.reduce((total, part) => total + part.score, 0)).toBeCloseTo(harder.score, 9)
  })

  it('nothing said is the usual weights, and the presets move in the way they say', () => {
    expect(classWeights(undefined)).toBe(USUAL_WEIGHTS)
    const score = (id: string): number => rateDifficulty(stitch, setting, classWeights(CLASS_PRESETS.find((preset) => preset.id === id)?.hardFor)).score
    expect(score('children')).toBeGreaterThan(rateDifficulty(stitch, setting).score)
    expect(score('practised')).toBeLessThan(rateDifficulty(stitch, setting).score)
  })

  it('is what the exercise is rated with', () => {
    const exercise: ShortExercise = { id: 'x', name: 'x', stitch: 'chain-stitch', guide: { kind: 'line', path: 'M 0 0 L 100 0' } }
    const loops = workAlone(exercise, { ...around, brief: { ...around.brief, hardFor: { loops: 2 } } })
    const usual = workAlone(exercise, around)
    expect(loops.ok && usual.ok && loops.value.difficulty.score > usual.value.difficulty.score).toBe(true)
  })
})

describe('gaps', () => {
  const rain = line('Rain', 'running-stitch', 0, { marks: 'every-hole' })
  const sun = work({ id: 'Sun', stitch: 'satin-stitch', guide: { kind: 'shape', path: 'M 10 40 C 18 33 34 33 42 40 C 34 47 18 47 10 40 Z' } })
  const easy = ['Mist', 'Dew'].map((id, index) => line(id, 'running-stitch', 60 + 10 * index, { marks: 'every-hole' }))
  const all = [rain, ...easy, sun]
  const course = courseOf(all)

  it('a step too high is found, and filled with what lies between and asks for nothing else that is new', () => {
    const gaps = findGaps(describePlan(course, { lessons: [['Rain'], ['Mist'], ['Dew'], ['Sun']] }, settings), course)
    const steep = gaps.find((gap) => gap.kind === 'steep')
    if (steep?.kind !== 'steep') throw new Error('no steep step was found')
    // Three of one score and a fourth: the ramp rises by a third of the whole, so the limit is two thirds of it.
    expect(steep.limit).toBeCloseTo((2 / 3) * (sun.difficulty.score - rain.difficulty.score), 6)
    const offers = fillGap(steep, new Map(all.map((done) => [done.exercise.id, done])), ['Rain', 'Mist', 'Dew'], LIBRARY, around)
    expect(offers.length).toBeGreaterThan(0)
    for (const offer of offers) {
      expect(offer.difficulty).toBeGreaterThan(rain.difficulty.score)
      expect(offer.difficulty).toBeLessThan(sun.difficulty.score)
    }
  })

  it('a motion that is never met again is said, but not one of the last lessons', () => {
    const item = (id: string, motions: CourseItem['motions']): CourseItem => ({ ...(course[0] as CourseItem), id, name: id, motions })
    const items = [item('a', ['split']), item('b', ['wrap']), item('c', []), item('d', ['edge'])]
    const gaps = findGaps(describePlan(items, { lessons: [['a'], ['b'], ['c'], ['d']] }, settings), items)
    expect(gaps.map((one) => (one.kind === 'no-return' ? `${one.motion} ${one.met}` : one.kind))).toEqual(['alike', 'split once', 'wrap once'])
  })
})

describe('marks that fade', () => {
  it('every hole when a motion is new, every third when it was worked once, then the line', () => {
    const order = [
      line('a', 'back-stitch', 0, { marks: 'guide-only' }),
      line('b', 'back-stitch', 10, { marks: 'guide-only' }),
      line('c', 'chain-stitch', 20, { marks: 'guide-only' }),
      line('d', 'back-stitch', 30, { marks: 'guide-only' }),
    ]
    expect(fadeMarks(order, 'every-hole', 'guide-only').map((change) => [change.id, change.to, change.before])).toEqual([
      ['a', 'every-hole', 0],
      ['b', 'every-nth', 1],
      ['c', 'every-hole', 0],
    ])
    expect(fadeMarks(order, 'guide-only', 'none').map((change) => [change.id, change.to])).toEqual([
      ['b', 'none'],
      ['d', 'none'],
    ])
    expect(fadeMarks(order, 'none', 'every-hole')).toEqual([])
  })
})

describe('how much practice', () => {
  it('worked by hand: a beginner from 0.45 to 0.25 mm in (0.45 / 0.25)^4 = 10.5 stitches, judged on 30', () => {
    const asked = practiceAsked({ level: 'beginner', hold: 'easy', known: false, pitchMm: 3.5, count: 29 })
    expect(asked.stitches).toBe(30)
    expect(asked.rowMm).toBeCloseTo(105, 9)
    expect(asked.enough).toBe(false)
    expect(asked.sentence).toContain('about 11 stitches, and 30 in a go')
  })

  it('tighter takes longer, a known motion less', () => {
    const tight = practiceAsked({ level: 'beginner', hold: 'tight', known: false, pitchMm: 2.5, count: 40 })
    // (0.45 / 0.12)^4 = 197.8
    expect(tight.stitches).toBe(198)
    expect(practiceAsked({ level: 'beginner', hold: 'tight', known: true, pitchMm: 2.5, count: 40 }).stitches).toBeLessThan(tight.stitches)
    expect(practiceAsked({ level: 'experienced', hold: 'free', known: true, pitchMm: 2.5, count: 40 }).enough).toBe(true)
  })
})

describe('joining late', () => {
  it('needs what the lesson rests on, through everything that rests on, and nothing else', () => {
    const base = courseOf([line('x', 'running-stitch', 0)])[0] as CourseItem
    const item = (id: string, difficulty: number, motions: CourseItem['motions']): CourseItem => ({
      ...base,
      id,
      name: id,
      stitch: id,
      difficulty,
      motions,
      minutes: 20,
    })
    const course = [item('a', 5, ['split']), item('b', 10, ['wrap']), item('c', 20, ['split', 'edge']), item('d', 30, ['edge', 'lay', 'count'])]
    expect(catchUp(course, { lessons: [['a'], ['b'], ['c'], ['d']] }, 3, settings)).toEqual({ ids: ['a', 'c'], minutes: 40 })
    expect(catchUp(course, { lessons: [['a'], ['b'], ['c'], ['d']] }, 1, settings)).toEqual({ ids: [], minutes: 0 })
  })

  it('needs of two that teach it as well the one the class had', () => {
    const base = courseOf([line('x', 'running-stitch', 0)])[0] as CourseItem
    const item = (id: string, difficulty: number, motions: CourseItem['motions']): CourseItem => ({ ...base, id, name: id, difficulty, motions, minutes: 20 })
    const course = [item('a', 20, ['split']), item('b', 20.5, ['split']), { ...item('c', 30, ['split', 'edge']), stitch: 'other' }]
    expect(catchUp(course, { lessons: [['b'], ['a'], ['c']] }, 2, settings).ids).toEqual(['b'])
  })
})

describe('what a composite is built on', () => {
  it('is taught before it, though nothing in its motions says so', () => {
    const course = courseOf([line('Cord', 'whipped-running', 0), line('Rain', 'running-stitch', 10)])
    expect(course.map((item) => item.base)).toEqual(['running-stitch', null])
    expect(rulesOf(course, settings)).toContainEqual({ kind: 'before', first: 'Rain', or: [], then: 'Cord', because: { why: 'base' } })
  })
})

describe('what lies over what', () => {
  const fogGiven = { id: 'Fog', stitch: 'seed-stitch', guide: { kind: 'shape', path: 'M 0 0 L 40 0 L 40 30 L 0 30 Z' } } as const
  const fog = work(fogGiven)
  const after = (done: readonly WorkedAlone[], id: string) => courseOf(done).find((item) => item.id === id)?.after

  it('what stands raised comes after the flat work it touches, and after nothing that lies apart', () => {
    const on = work({ id: 'Hail', stitch: 'french-knot', guide: { kind: 'spots', at: [[20, 15]] } })
    const apart = work({ id: 'Hail', stitch: 'french-knot', guide: { kind: 'spots', at: [[80, 15]] } })
    expect(after([fog, on], 'Hail')).toEqual([{ id: 'Fog', because: 'raised' }])
    expect(after([fog, apart], 'Hail')).toEqual([])
  })

  it('a line round a shape is worked after it, or before it where that is the way', () => {
    const rim = { id: 'Rim', stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 40 0 L 40 30 L 0 30 Z' } } as const
    expect(after([fog, work(rim)], 'Rim')).toEqual([{ id: 'Fog', because: 'fill-first' }])
    const first = work({ ...rim, waysOfWorking: { fillThenOutline: false } })
    expect(after([fog, first], 'Fog')).toEqual([{ id: 'Rim', because: 'outline-first' }])
  })

  it('is stacked from the cloth upwards, with the reason for each layer', () => {
    const rim = work({ id: 'Rim', stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 40 0 L 40 30 L 0 30 Z' } })
    const hail = work({
      id: 'Hail',
      stitch: 'french-knot',
      guide: {
        kind: 'spots',
        at: [
          [20, 15],
          [20, 30],
        ],
      },
    })
    const done = [hail, rim, fog, line('Rain', 'running-stitch', 90)]
    const course = courseOf(done)
    const inOrder = (...lessons: string[][]) => stackLayers(done, course, { lessons })
    const [stack, ...others] = inOrder(['Fog'], ['Rim'], ['Hail'], ['Rain'])
    // Rain lies apart, and is in no stack.
    expect(others).toEqual([])
    expect(stack?.layers).toEqual([['Fog'], ['Rim'], ['Hail']])
    expect(stack?.links.map(({ first, then, because, broken }) => [first, then, because, broken])).toEqual([
      ['Rim', 'Hail', 'raised', false],
      ['Fog', 'Hail', 'raised', false],
      ['Fog', 'Rim', 'fill-first', false],
    ])
    expect(stack?.undecided).toEqual([])
    const turned = inOrder(['Hail'], ['Fog'], ['Rim'], ['Rain'])[0]
    expect(turned?.links.filter((link) => link.broken).map((link) => `${link.first} ${link.then}`)).toEqual(['Rim Hail', 'Fog Hail'])
  })

  it('two that meet without a reason are left to the teacher; said in a circle they lie together', () => {
    const drizzle = (more: Partial<ShortExercise> = {}) =>
      work({ id: 'Drizzle', stitch: 'back-stitch', guide: { kind: 'line', path: 'M 5 15 L 35 15' }, ...more })
    const stacks = (done: readonly WorkedAlone[]) => stackLayers(done, courseOf(done), { lessons: done.map((one) => [one.exercise.id]) })
    expect(stacks([fog, drizzle()])).toMatchObject([{ layers: [['Fog', 'Drizzle']], links: [], undecided: [['Fog', 'Drizzle']] }])
    expect(stacks([fog, drizzle({ over: ['Fog'] })])).toMatchObject([{ layers: [['Fog'], ['Drizzle']], undecided: [] }])
    const circle = stacks([work({ ...fogGiven, over: ['Drizzle'] }), drizzle({ over: ['Fog'] })])
    expect(circle[0]?.links).toHaveLength(2)
    expect(circle[0]?.layers.flat().sort()).toEqual(['Drizzle', 'Fog'])
  })

  it('what the teacher has set aside is in no course', () => {
    expect(courseOf([fog, line('Rain', 'running-stitch', 50, { pins: { excluded: true } })]).map((item) => item.id)).toEqual(['Fog'])
  })
})
