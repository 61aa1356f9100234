/** Why an exercise cannot be laid out, and why an edit cannot be made, in words. */
import type { Sentence, Sentences } from '../base/index.ts'

const WORDS: Readonly<Record<string, string>> = {
  thread: 'thread',
  stitch: 'stitch',
  guide: 'guide',
  exercise: 'exercise',
  lesson: 'lesson',
  group: 'group',
  order: 'kept order',
}

const GONE: Sentence = ({ what, id }, say) => `The ${WORDS[what as string]} "${say(id)}" is no longer in this sampler, so this change could not be made.`
const THERE = '"{name}" is in this sampler already.'
const USED: Sentence = ({ what, users }) => {
  const all = users as readonly string[]
  const shown = all.slice(0, 3).map((one) => `"${one}"`)
  const rest = all.length > 3 ? ` and ${all.length - 3} more` : ''
  return `This ${WORDS[what as string]} is used by ${shown.join(', ')}${rest}. Give ${all.length === 1 ? 'that' : 'those'} another first.`
}

const ofAll = (ending: string, sentence: Sentence): Sentences =>
  Object.fromEntries(Object.keys(WORDS).map((what) => [`operation.${what}-${ending}`, sentence] as const))

export const SAMPLER_SENTENCES: Sentences = {
  ...ofAll('gone', GONE),
  ...ofAll('there', THERE),
  ...ofAll('used', USED),
  'operation.bends': 'Guides can be moved, turned, mirrored and made larger or smaller evenly; this would bend them.',
  'exercise.guide-gone': '"{exercise}" is worked on a guide that is not drawn. Draw it again, or work it on another.',
  'exercise.draft': '"{exercise}" is worked on {guide}, which is only sketched. Firm it up, or work it on another guide.',
  'exercise.pieces': '"{exercise}" comes to {pieces} pieces; the most is {most}. Take fewer copies, or divide it.',
  'exercise.no-guide': '"{exercise}" is worked on no guide yet. Choose one on the cloth.',
}
