/** Why an edit of the stores cannot be made, in words. */
import type { Sentences } from '../base/index.ts'

export const STORES_SENTENCES: Sentences = {
  'stores.gone': 'This is no longer in the stores, so the change could not be made.',
  'stores.not-so-much': 'There is not so much of it left in the stores.',
  'stores.taken-already': 'This was taken from the stores already, perhaps in another window; it is not taken twice.',
  'stores.not-taken': 'This is back in the stores already, perhaps from another window; it is not given back twice.',
}
