/** What stitches, threads, needles and passes are called. English names stand in their documents; a language that lacks one has it in English. */
import { GERMAN_CAUTIONS, GERMAN_NEEDLES, GERMAN_PASSES, GERMAN_ROLES, GERMAN_THREADS } from './german-words.ts'
import { GERMAN_STITCHES } from './german-stitches.ts'
import type { Language } from './language.ts'

interface Names {
  readonly stitches: Readonly<Record<string, string>>
  readonly passes: Readonly<Record<string, string>>
  readonly roles: Readonly<Record<string, string>>
  readonly threads: Readonly<Record<string, string>>
  readonly needles: Readonly<Record<string, string>>
  readonly cautions: Readonly<Record<string, string>>
  readonly strands: (count: number) => string
}

const NAMES: Readonly<Record<Exclude<Language, 'en'>, Names>> = {
  de: {
    stitches: GERMAN_STITCHES,
    passes: GERMAN_PASSES,
    roles: GERMAN_ROLES,
    threads: GERMAN_THREADS,
    needles: GERMAN_NEEDLES,
    cautions: GERMAN_CAUTIONS,
    strands: (count) => `${count}-fädig`,
  },
}

const look = (kind: 'stitches' | 'passes' | 'roles' | 'threads' | 'needles' | 'cautions', key: string, otherwise: string, language: Language): string =>
  language === 'en' ? otherwise : (NAMES[language][kind][key] ?? otherwise)

export const stitchIn = ({ id, name }: { readonly id: string; readonly name: string }, language: Language): string => look('stitches', id, name, language)
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
