/** What stitches, threads, needles and passes are called. English names stand in their documents; a language that lacks one has it in English. */
import { GERMAN_CAUTIONS, GERMAN_NEEDLES, GERMAN_PASSES, GERMAN_ROLES, GERMAN_THREADS } from './german-words.ts'
import type { Language } from './language.ts'

/** A stitch's names in the other languages. */
export type NamesOf = { readonly [Other in Exclude<Language, 'en'>]?: string | undefined }

interface Names {
  readonly passes: Readonly<Record<string, string>>
  readonly roles: Readonly<Record<string, string>>
  readonly threads: Readonly<Record<string, string>>
  readonly needles: Readonly<Record<string, string>>
  readonly cautions: Readonly<Record<string, string>>
  readonly strands: (count: number) => string
}

const NAMES: Readonly<Record<Exclude<Language, 'en'>, Names>> = {
  de: {
    passes: GERMAN_PASSES,
    roles: GERMAN_ROLES,
    threads: GERMAN_THREADS,
    needles: GERMAN_NEEDLES,
    cautions: GERMAN_CAUTIONS,
    strands: (count) => `${count}-fädig`,
  },
}

const look = (kind: 'passes' | 'roles' | 'threads' | 'needles' | 'cautions', key: string, otherwise: string, language: Language): string =>
  language === 'en' ? otherwise : (NAMES[language][kind][key] ?? otherwise)

/** What a document calls its stitch in that language, else in English. */
export const stitchIn = ({ name, names }: { readonly name: string; readonly names?: NamesOf | undefined }, language: Language): string =>
  language === 'en' ? name : (names?.[language] ?? name)
export const passIn = (name: string, language: Language): string => look('passes', name, name, language)
/** `otherwise`: its word in English. */
export const roleIn = (role: string, otherwise: string, language: Language): string => look('roles', role, otherwise, language)

/** "Perlgarn 8". */
export function threadIn({ id, name, weight }: { readonly id: string; readonly name: string; readonly weight: string | null }, language: Language): string {
  const called = look('threads', id, name, language)
  return weight === null ? called : `${called} ${weight}`
}

/** "Sticknadel 8". */
export function needleIn(
  { family, size }: { readonly family: { readonly id: string; readonly name: string }; readonly size: number | string },
  language: Language,
): string {
  return `${look('needles', family.id, family.name, language)} ${size}`
}

export const strandsIn = (count: number, otherwise: string, language: Language): string => (language === 'en' ? otherwise : NAMES[language].strands(count))
export const cautionIn = (text: string, language: Language): string => look('cautions', text, text, language)
