/** A step's sentence in a language: its phrases, and which thread is taken up for it: strands, colour and needle. */
import { type Assigned, partOfRole, strandsInWords, threadOfRole, wordForRole } from '../assign/index.ts'
import { type Language, needleIn, passIn, roleIn, strandsIn, threadIn } from '../language/index.ts'
import type { Step } from './demonstrate.ts'
import { ENGLISH } from './english.ts'
import { GERMAN } from './german.ts'
import { inWords, type Phrase, type PhraseTable } from './phrases.ts'

const TABLES: Readonly<Record<Language, PhraseTable>> = { en: ENGLISH, de: GERMAN }

/** The step's sentence, with the thread that is taken up for it before it. */
export function stepSentence(
  step: Pick<Step, 'said' | 'takes' | 'thread'>,
  assigned: Pick<Assigned, 'main' | 'threads' | 'language'>,
  language: Language = assigned.language,
): string {
  const begins = step.said.filter((phrase) => phrase.key === 'pass-begins')
  const rest = step.said.filter((phrase) => phrase.key !== 'pass-begins')
  const taken = step.takes ? [takeThread(step, step.takes, assigned, language)] : []
  return [phrasesIn(begins, language), ...taken, phrasesIn(rest, language)].filter((text) => text !== '').join(' ')
}

/** Phrases alone, without the thread. */
function phrasesIn(phrases: readonly Phrase[], language: Language): string {
  const named = phrases.map((phrase) => (phrase.key === 'pass-begins' ? { ...phrase, name: passIn(phrase.name, language) } : phrase))
  return inWords(named, TABLES[language])
}

function takeThread(
  { thread: role }: Pick<Step, 'thread'>,
  takes: 'first' | 'again',
  assigned: Pick<Assigned, 'main' | 'threads'>,
  language: Language,
): string {
  const { thread, kind, strands, needle } = threadOfRole(assigned, role)
  const roles = assigned.threads.map((one) => one.role)
  const word = roleIn(partOfRole(role, roles), wordForRole(role, roles), language)
  const threads = strandsIn(strands.value, strandsInWords(strands.value), language)
  const { name: colour } = thread.value.colour
  if (language === 'de')
    return takes === 'again'
      ? `Wieder ${accusative(word)} nehmen.`
      : `D${accusative(word).slice(1)} nehmen: ${threadIn(kind, language)} in ${colour}, ${threads}, ${needleIn(needle.value, language)}.`
  if (takes === 'again') return `With the ${word} again.`
  return `Take the ${word}: ${threads} of ${threadIn(kind, language).toLowerCase()} in ${colour}, in ${withArticle(needleIn(needle.value, language))}.`
}

/** Threads are masculine in German, whatever they do. */
const accusative = (word: string): string => `den ${word.replace(/er(?= Faden)/, 'en')}`

function withArticle(needle: string): string {
  const name = needle.toLowerCase()
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`
}
