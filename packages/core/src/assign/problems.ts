/** What can be wrong with threads, strands and needles, and why they were chosen, in words. */
import type { Sentences } from '../base/index.ts'
import { capitalised } from '../units/index.ts'
import { strandsInWords } from './choice.ts'

/** "Two strands lie 0.64 mm wide", and what follows of it. */
const lie =
  (rest: string): Sentences[string] =>
  ({ strands, ...figures }, say) => {
    const count = Number(strands)
    const start = `${capitalised(strandsInWords(count))} ${count === 1 ? 'lies' : 'lie'} ${say(figures['wide'])} wide`
    return `${start}${rest.replaceAll(/\{(\w+)\}/g, (_, name: string) => say(figures[name]))}`
  }

export const ASSIGN_SENTENCES: Sentences = {
  'choice.given': 'Given by you.',
  'thread.first': 'The first thread of this sampler.',
  'thread.as-main': 'The same as the main thread.',
  'thread.other-colour': 'Another colour of the same thread, so that it is seen.',
  'thread.no-other-colour': 'The same as the main thread: there is no other colour of it.',
  'strands.never-divided': '{thread} is one thread and is never divided.',
  'strands.tie': lie(' over a laid thread of {main}: it holds without hiding it.'),
  'strands.padding': lie(' beneath, a core for the stitches over it.'),
  'strands.beside': lie(', beside a main thread of {main}.'),
  'strands.flat': lie(' side by side, so stitches {apart} apart leave no cloth.'),
  'strands.laid': lie(', thicker than what ties it down.'),
  'strands.alone': lie('.'),
  'strands.usual': lie('; a usual weight for this stitch.'),
  'strands.dot': lie('; a {length} stitch is {ratio} times that: reads as a dot.'),
  'strands.fine': lie('; a {length} stitch is {ratio} times that: reads as a fine thread.'),
  'strands.line': lie('; a {length} stitch is {ratio} times that: reads as a line.'),
  'assign.no-threads': 'This sampler has no thread yet. Add one in Brief.',
  'assign.no-thread': 'There is no thread "{id}" in this sampler. Choose one of its threads, or add it in Brief.',
  'assign.no-thread-kind': '"{kind}" is not a kind of thread that is known here. Choose one from the list in Brief.',
  'assign.shades': 'Shades of one fill are of one kind of thread; {other} is not of the kind of {thread} and will lie otherwise.',
  'assign.no-stitch': 'There is no stitch called "{stitch}". Choose one of the library, or add its document to the sampler.',
  'assign.no-variant': ({ stitch, variant, has }, say) =>
    `${say(stitch)} has no variant "${say(variant)}". It has ${(has as readonly string[]).join(', ') || 'none'}.`,
  'assign.no-base': '{stitch} rests on the stitch "{base}", which is not to be found. Add its document to the sampler.',
  'assign.no-role': ({ stitch, role, has }, say) =>
    `${say(stitch)} has no thread called "${say(role)}"; it has ${(has as readonly string[]).map((one) => `"${one}"`).join(', ')}. What is chosen for it is not used.`,
  'assign.contrast':
    '{thread} hardly shows on {cloth}: their contrast is {contrast} to 1, and under {seen} a line is lost. Leave it where tone on tone is meant.',
  'assign.strands': ({ thread, most, wanted }, say) =>
    `${say(thread)} can be worked with 1 to ${say(most)} ${most === 1 ? 'strand' : 'strands'}; ${say(wanted)} was asked for.`,
  'assign.no-needle': 'There is no {kind} needle of size {size}. Choose one from the list in Thread.',
  'assign.needle': ({ reason, better }, say) => `${say(reason)}${better === undefined ? '' : ` ${say(better)} would serve.`}`,
  'assign.no-needle-serves': ({ strands, thread, cloth, reason }, say) =>
    `No needle serves ${strandsInWords(Number(strands))} of ${say(thread)} on ${say(cloth)}: ${say(reason)} Take fewer strands, a more open cloth, or open the hole with a stiletto first.`,
  'assign.needle-care': '{reason}',
}
