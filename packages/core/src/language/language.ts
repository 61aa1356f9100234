/** The languages in which steps, names and sheets come out. The screen is in English. */
export type Language = 'en' | 'de'
export const LANGUAGES: readonly { readonly id: Language; readonly name: string }[] = [
  { id: 'en', name: 'English' },
  { id: 'de', name: 'Deutsch' },
]
