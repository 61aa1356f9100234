/** What an exercise is worked in, a phrase for each of its threads. */
import { strandsInWords } from '../assign/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { needleIn, roleIn, strandsIn, threadIn } from '../language/index.ts'
import { capitalised } from '../units/index.ts'
import { partOf, roleWord } from './said.ts'
import type { SheetWords } from './sheet-words.ts'

/** "Two strands of stranded cotton in Rainwater, embroidery 8 needle"; with the thread's part before it where there are several. */
export function threadsInWords(done: WorkedExercise, said: SheetWords): readonly string[] {
  const { language } = done.assigned
  return done.threads.map((used) => {
    const role = done.threads.length > 1 ? `${capitalised(roleIn(partOf(used, done), roleWord(used, done), language))}: ` : ''
    const strands = strandsIn(used.strands.value, strandsInWords(used.strands.value), language)
    const text = said.used({ strands, thread: threadIn(used.kind, language), colour: used.thread.colour.name, needle: needleIn(used.needle.value, language) })
    return `${role}${role === '' ? capitalised(text) : text}`
  })
}
