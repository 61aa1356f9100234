/** What can be wrong with a path, in words. */
import type { Sentences } from '../base/index.ts'

export const GEOMETRY_SENTENCES: Sentences = {
  'geometry.path-empty': 'This path has no length. Give it at least two different points.',
  'geometry.path-parts': 'This path has {parts} separate parts. A guide is one unbroken line: make each part an exercise of its own.',
  'geometry.path-too-long': 'This path has {characters} characters; the most is {most}. Simplify it in the program that drew it.',
  'geometry.path-unreadable': 'This path cannot be read ({reason}). It should be SVG path data such as "M 10 20 L 60 20".',
  'geometry.path-too-many-points': 'This path needs more than {most} points. Simplify it, or divide it into several exercises.',
  // In millimetres for everyone: that they are not is the likeliest fault.
  'geometry.path-too-far': 'This path reaches {reach} mm from the corner of the cloth; the most is {most} mm. Are its lengths in millimetres?',
}
