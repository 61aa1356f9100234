/**
 * What documents say of looks and slips, in the other languages: much to load, and wanted only where it is read. English stands in the
 * documents themselves.
 */
import type { Language } from '../language/index.ts'
import { GERMAN_LOOKS } from './german-looks.ts'
import { GERMAN_SLIPS } from './german-slips.ts'

/** Null where a language has no words for it, so that no page speaks two. */
export const proseIn = (text: string, language: Language): string | null => (language === 'en' ? text : (GERMAN_LOOKS[text] ?? GERMAN_SLIPS[text] ?? null))
