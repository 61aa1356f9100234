import type { Sentences } from '../base/index.ts'

export const REFIT_SENTENCES: Sentences = {
  'refit.nothing-drawn': 'Nothing is drawn yet that could be taken to another size.',
  'refit.too-far': 'So much larger or smaller it would not be the same design: from a tenth to ten times its size can be done.',
  'refit.no-cloth': 'It would need cloth {mm} wide; {most} is the most.',
}
