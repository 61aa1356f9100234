/** Which thread is taken up for a step, as it is said: strands, colour and needle. */
import { type Assigned, strandsInWords, threadOfRole, wordForRole } from '../assign/index.ts'
import { nameNeedle, nameThread } from '../materials/index.ts'
import type { Step } from './demonstrate.ts'
import { ENGLISH } from './english.ts'
import { inWords } from './phrases.ts'

/** The step's sentence, with the thread that is taken up for it before it. */
export function stepSentence(step: Pick<Step, 'sentence' | 'said' | 'takes' | 'thread'>, assigned: Pick<Assigned, 'main' | 'threads'>): string {
  if (!step.takes) return step.sentence
  const begins = step.said.filter((phrase) => phrase.key === 'pass-begins')
  const rest = step.said.filter((phrase) => phrase.key !== 'pass-begins')
  return [inWords(begins, ENGLISH), takeThread(step, step.takes, assigned), inWords(rest, ENGLISH)].filter((text) => text !== '').join(' ')
}

function takeThread({ thread: role }: Pick<Step, 'thread'>, takes: 'first' | 'again', assigned: Pick<Assigned, 'main' | 'threads'>): string {
  const { thread, kind, strands, needle } = threadOfRole(assigned, role)
  const what = wordForRole(
    role,
    assigned.threads.map((one) => one.role),
  )
  if (takes === 'again') return `With the ${what} again.`
  return `Take the ${what}: ${strandsInWords(strands.value)} of ${nameThread(kind).toLowerCase()} in ${thread.value.colour.name}, in ${withArticle(nameNeedle(needle.value))}.`
}

function withArticle(needle: string): string {
  const name = needle.toLowerCase()
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`
}
