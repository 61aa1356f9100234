/** Why an edit of a class cannot be made, in words. */
import type { Sentences } from '../base/index.ts'

export const CLASSES_SENTENCES: Sentences = {
  'class.no-calendar': 'This class has no dates yet, so this change could not be made.',
  'class.learner-there': '"{name}" is in this class already.',
  'class.learner-gone': 'The learner "{id}" is no longer in this class, so this change could not be made.',
}
