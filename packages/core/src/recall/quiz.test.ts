/** Every stitch of the library can be asked about in both hands; right and wrong are as the moves have them, and wrong answers are explained. */
import { describe, expect, it } from 'vitest'
import { LIBRARY } from '../stitches/index.ts'
import { askMotion, consequenceOf, type Question, type Quiz, RECALL_WORDS, toldInWords } from './index.ts'
import { quizOfStitch } from './quiz-of-stitch.ts'

const APART_MM = 1.2
const SHOWN = { apartMm: APART_MM, isSeen: () => true }
const ALL = LIBRARY.map(({ id }) => [id] as const)
const questions = (quiz: Quiz): readonly Question[] => quiz.motions.map((one, index) => askMotion(quiz, one, SHOWN, index / 7))
const asked = (quiz: Quiz, key: string): Question => {
  const motion = quiz.motions.find((one) => one.key.endsWith(` ${key}`))
  if (!motion) throw new Error(`${key} is not among ${quiz.motions.map((one) => one.key).join(', ')}`)
  return askMotion(quiz, motion, SHOWN, 0.4)
}
const toldOf = (quiz: Quiz, question: Question): string[] =>
  question.holes.flatMap(({ mistake }) =>
    mistake
      ? [
          consequenceOf(quiz, question, mistake)
            .told.map((one) => one.code.slice(7))
            .join(' '),
        ]
      : [],
  )

describe('every stitch of the library', () => {
  it.each(ALL)('%s: each motion has one right place among others far enough from it, and every wrong one is explained', (id) => {
    const quiz = quizOfStitch(id)
    expect(quiz.motions.length).toBeGreaterThan(0)
    for (const question of questions(quiz)) {
      const { holes, thread, motion } = question
      expect(holes.filter((one) => one.mistake === null)).toHaveLength(question.asks === 'pass' ? 0 : 1)
      expect(holes.length > 1 || thread !== null, motion.key).toBe(true)
      for (const [index, one] of holes.entries())
        for (const other of holes.slice(index + 1)) expect(Math.hypot(one.at.x - other.at.x, one.at.y - other.at.y)).toBeGreaterThanOrEqual(APART_MM - 1e-9)
      const mistakes = [...holes, ...(thread?.choices ?? [])].flatMap((one) => one.mistake ?? [])
      for (const mistake of mistakes) {
        const { told, seen } = consequenceOf(quiz, question, mistake)
        const sentence = toldInWords(told, 'en', 'mm')
        expect(sentence, motion.key).toMatch(/^[A-Z].*\.$/)
        expect(sentence).not.toMatch(/recall|undefined|NaN/)
        if (seen) expect(seen.demonstration.segments.length).toBeGreaterThan(0)
      }
    }
  })

  it.each(ALL)('%s: in the left hand the same is asked, mirrored', (id) => {
    const [right, left] = [quizOfStitch(id), quizOfStitch(id, 'left')]
    expect(left.motions.map((one) => one.key)).toEqual(right.motions.map((one) => one.key))
    // The exact reflection, however the picture is turned: the same distance from place to place.
    const few = (quiz: Quiz): readonly Question[] => quiz.motions.slice(0, 2).map((one) => askMotion(quiz, one, SHOWN, 0.6))
    const spans = (quiz: Quiz): readonly string[] =>
      few(quiz).map(({ holes }) => {
        const at = holes.find((one) => one.mistake === null)?.at
        return at ? holes.map((one) => Math.hypot(one.at.x - at.x, one.at.y - at.y).toFixed(3)).join(' ') : ''
      })
    expect(spans(left)).toEqual(spans(right))
    const [one, other] = [right.motions[0]?.hole?.at, left.motions[0]?.hole?.at]
    if (one && other) expect(Math.abs(one.x + other.x)).toBeLessThan(1e-6)
  })
})

describe('what would come of it', () => {
  it('back stitch: into the hole just made the thread comes out again; farther on the stitch is longer', () => {
    const quiz = quizOfStitch('back-stitch')
    const out = asked(quiz, '0.repeat.0.0')
    expect(out.asks).toBe('up')
    expect(toldOf(quiz, out)).toEqual(expect.arrayContaining(['pulled-through', 'longer']))
  })

  it('chain stitch: a loop that the needle does not come up in is lost; where it does, nothing else is right', () => {
    const quiz = quizOfStitch('chain-stitch')
    const out = asked(quiz, '0.repeat.0.1')
    expect([out.asks, out.thread?.about]).toEqual(['up', 'loop'])
    const wrong = out.thread?.choices.find((one) => one.way === 'over-point')?.mistake
    if (!wrong) throw new Error('nothing is wrong')
    expect(consequenceOf(quiz, out, wrong)).toMatchObject({ comesUndone: true, told: [{ code: 'recall.loop-lost' }] })
    // It goes down where it came up.
    const down = asked(quiz, '0.repeat.0.0')
    const before = quiz.worked.holes[(down.motion.hole?.hole ?? 0) - 1]
    const right = quiz.worked.holes[down.motion.hole?.hole ?? 0]
    expect(Math.hypot((before?.x ?? 0) - (right?.x ?? 9), (before?.y ?? 0) - (right?.y ?? 9))).toBeLessThan(0.5)
  })

  it('stem stitch: the side of the thread is asked as the picture lies, and is the other one for the left hand', () => {
    const ways = (['right', 'left'] as const).map((hand) => {
      const quiz = quizOfStitch('stem-stitch', hand)
      return quiz.motions.flatMap((one) => askMotion(quiz, one, SHOWN, 0).thread?.choices.find((choice) => choice.mistake === null)?.way ?? [])
    })
    expect(ways[0]?.length).toBeGreaterThan(0)
    const mirrored = { left: 'right', right: 'left' } as Record<string, string>
    expect(ways[1]).toEqual(ways[0]?.map((one) => mirrored[one] ?? one))
  })

  it('no place is asked for where the picture ends', () => {
    const quiz = quizOfStitch('running-stitch')
    const motion = quiz.motions.find((one) => one.hole !== null)
    if (!motion?.hole) throw new Error('nothing is asked')
    const { at } = motion.hole
    const near = askMotion(quiz, motion, { apartMm: APART_MM, isSeen: (other) => other.x <= at.x + 1e-6 }, 0)
    expect(near.holes.length).toBeGreaterThan(1)
    for (const one of near.holes) expect(one.at.x).toBeLessThanOrEqual(at.x + 1e-6)
  })

  it('a whip goes under its stitch: over it, it lies loose', () => {
    const quiz = quizOfStitch('whipped-running')
    const pass = asked(quiz, '1.repeat.0.0')
    expect([pass.asks, pass.holes]).toEqual(['pass', []])
    expect(pass.thread?.choices.find((one) => one.mistake === null)?.way).toBe('under')
  })

  it('figures are the cloth\u2019s: a running stitch taken too far is longer by as much', () => {
    const quiz = quizOfStitch('running-stitch')
    const down = asked(quiz, '0.repeat.0.1')
    const from = quiz.demonstration.seen(quiz.worked.holes[(down.motion.hole?.hole ?? 0) - 1] ?? { x: 0, y: 0 })
    for (const { at, mistake } of down.holes) {
      if (!mistake) continue
      for (const { code, figures } of consequenceOf(quiz, down, mistake).told)
        if (code === 'recall.longer') expect((figures.long as { mm: number }).mm).toBeCloseTo(Math.hypot(at.x - from.x, at.y - from.y), 6)
    }
  })
})

describe('the cloth it is asked on', () => {
  it.each(ALL)('%s: shows what lies before it and nothing of what is asked', (id) => {
    const quiz = quizOfStitch(id)
    for (const { motion, before } of questions(quiz)) {
      if (!motion.hole) continue
      expect(before.holesMade, motion.key).toBeLessThanOrEqual(motion.hole.hole)
      const ends = quiz.demonstration.segments.filter((one) => one.sequence <= before.sequence && one.to === motion.hole?.hole && one.from !== one.to)
      expect(ends, motion.key).toEqual([])
    }
  })
})

it('both languages say the same things', () => {
  const keys = (of: object): readonly string[] => Object.keys(of).sort()
  const { en, de } = RECALL_WORDS
  for (const part of ['asks', 'thread', 'ways', 'told'] as const) expect(keys(de[part])).toEqual(keys(en[part]))
})
