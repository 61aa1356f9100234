/** Problems in words: those of core, and those of documents and operations that come from outside. */
import type { Problem, Sentences, Told } from '@lemmata/core/base'
import type { LengthUnit } from '@lemmata/core/units'
import { problemInWords as coreProblemInWords } from '@lemmata/core/words'

const CONTRACT_SENTENCES: Sentences = {
  'document.too-large': ({ characters, most }) => `This file has ${Number(characters)} characters; the most is ${Number(most)}. Divide the sampler.`,
  'document.not-json': 'This file is not JSON ({reason}). Export it again, or open it in a text editor and mend it there.',
  'document.newer':
    'This sampler was written by a newer Lemmata (its version is {version}; this one reads up to {newest}). Update Lemmata, then open it again.',
  'document.wrong': ({ where, what }, say) => `${say(where)}: ${sentence(say(what))}`,
  'document.too-deep': 'This is nested more than {levels} levels deep, which cannot be kept. Write it flatter.',
  'document.half-letter': 'A letter in {where} is cut in half and cannot be kept. Type it again.',
  'table.no-column': 'The column {column} is missing. The first line names the columns; those of an export serve as a pattern.',
  'table.no-shelf': '"{given}" is no shelf; write one of {shelves}.',
  'table.no-number': '"{given}" under {column} is no figure.',
  'table.no-kind': '"{given}" is no kind of {shelf} that is known here.',
  'table.no-size': '{kind} needles have no size "{size}"; measure the shaft and give it under Shaft.',
  'table.no-amount': 'How much of it is left is missing.',
  'table.no-unit': 'The unit "{unit}" is not known; write m, cm, yd, or skein, ball, reel as it is sold.',
  // What a server said of a whole request, in its own words.
  'operation.refused': '{said}',
  'operation.wrong': 'This change would leave the document unreadable.',
  'operation.id-used': 'This change has the number of another change, made elsewhere. Make it again.',
}

/** As a sentence, lengths in the reader's unit; `more`: of a program that has problems of its own. */
export function problemInWords(problem: Told & Pick<Problem, 'about'>, unit: LengthUnit = 'mm', more?: Sentences): string {
  return coreProblemInWords(problem, { unit, more: more ? { ...CONTRACT_SENTENCES, ...more } : CONTRACT_SENTENCES })
}

function sentence(message: string): string {
  const missing = /^Invalid input: expected (\w+), received undefined$/.exec(message)
  if (missing) return `this is missing; add it (${KINDS[missing[1] as string] ?? 'a value'}).`
  return /[.!?]$/.test(message) ? message : `${message}.`
}

const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  tuple: 'a list',
}
