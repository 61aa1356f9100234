/** What can be wrong with an exercise, in words. */
import type { Sentences } from '../base/index.ts'
import { type GuideKind, guideWord } from '../guide/index.ts'
import type { FreeSetting } from '../sampler/index.ts'
import { capitalised } from '../units/index.ts'

const IN_WORDS: Readonly<Record<FreeSetting, string>> = {
  colour: 'the colour is',
  strands: 'the strands are',
  length: 'the length is',
  marks: 'the marks are',
}

const listWords = (kinds: unknown): string => (kinds as readonly GuideKind[]).map((kind) => guideWord(kind)).join(' or ')

export const EXERCISE_SENTENCES: Sentences = {
  'exercise.guide': ({ stitch, guides, guide }, say) =>
    `${say(stitch)} is worked on ${listWords(guides)}, not on ${guideWord(guide as GuideKind)}. Give it another guide, or choose another stitch.`,
  'exercise.tolerance': 'A tolerance of {tolerance} cannot be kept. Give one above 0, for example {usual}.',
  'exercise.across-hole': ({ stitch, percent, by }, say) =>
    `${capitalised(say(stitch))} crosses the hole of this shape: ${say(percent)} % of the thread that shows lies over it, by up to ${say(by)}. Choose a stitch that fills by rows, or divide the shape.`,
  'exercise.too-much':
    'This would be more than {most} lengths of thread on cloth, more than one exercise can hold. Divide its shape, or make its stitches larger.',
  'exercise.too-much-in-all':
    'With this exercise the sampler comes to more than {most} lengths of thread on cloth, more than can be held at once. Divide the sampler, or make stitches larger.',
  'exercise.drifts': ({ stitch, off }, say) =>
    `A pass of ${say(stitch)} lies up to ${say(off)} from the stitches it should pass: its steps are not those of the stitches below. Give it as many as those, or the same step.`,
  'exercise.bare-behind-hole': ({ stitch, percent }, say) =>
    `${capitalised(say(stitch))} goes from the vein to the edge, and behind a hole there is no way: about ${say(percent)} % of the shape stays bare. Divide the shape there, or choose a stitch that fills by rows.`,
  'exercise.outside-shape': ({ stitch, percent, by, vein }, say) => {
    const draw = vein === 'drawn' ? 'Draw its vein inside the shape, from tip to tip' : 'Draw a vein inside it, from tip to tip'
    return `${capitalised(say(stitch))} leaves its outline by up to ${say(by)}: ${say(percent)} % of the thread that shows lies outside. ${draw}, or choose a stitch that fills by rows.`
  },
  'exercise.tight-curve': ({ stitch, off, allowed, radius }, say) =>
    `Even at its shortest good length ${say(stitch)} leaves the line by ${say(off)}${radius === undefined ? '' : ` where it bends to a radius of ${say(radius)}`}; ${say(allowed)} is allowed. Take fewer strands, ease the curve, or choose a stitch that bends.`,
  'exercise.long': '{name} comes to {comes}; over {most} a stitch of this weight sags. Usual: {usual}.',
  'exercise.short': '{name} comes to {comes}; under {least} a stitch of this weight closes up. Usual: {usual}.',
  'exercise.wide-apart': '{name} comes to {comes}; over {most} the cloth shows between stitches of this weight. Usual: {usual}.',
  'exercise.close': '{name} comes to {comes}; under {least} stitches of this weight crowd each other. Usual: {usual}.',
  'exercise.out-of-range': ({ name, comes, least, most, usual }, say) => {
    const range = least === undefined ? `up to ${say(most)}` : most === undefined ? `from ${say(least)}` : `from ${say(least)} to ${say(most)}`
    return `${say(name)}: ${say(comes)}. This stitch is good ${range}; usual is ${say(usual)}.`
  },
  'exercise.snags':
    'Thread lies free for up to {free}; over {most} it snags wherever it lies. Divide the shape, or choose a stitch that is tied down on its way.',
  'exercise.legs-differ':
    'So that a hole lands on every corner, stitches are from {least} to {most} apart. Moving a corner by a few millimetres would even them.',
  'exercise.stretched': 'Asked for {asked} from stitch to stitch, fitted {fitted}: the guide is too short for a whole number near what was asked.',
  'learner.not-free': ({ setting }) => `${IN_WORDS[setting as FreeSetting]} not left free, so the exercise stays as it is.`,
  'learner.stitch-not-allowed': 'the stitch "{stitch}" is not among those allowed, so the exercise stays as it is.',
  'learner.thread-gone': 'the thread that was chosen is gone, so the colour stays as it is.',
}
