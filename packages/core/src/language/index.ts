/** Names in the languages in which steps and sheets come out. */
export { LANGUAGES } from './language.ts'
export type { Language } from './language.ts'
export type { NamesOf } from './names.ts'
export { cautionIn, needleIn, passIn, roleIn, stitchIn, strandsIn, threadIn } from './names.ts'
