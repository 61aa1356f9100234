/** What can be wrong with a stitch's arithmetic and parameters, in words. */
import type { Sentences } from '../base/index.ts'

export const NOTATION_SENTENCES: Sentences = {
  'notation.parameter': '{reason}',
  'parameter.too-many': '{count} parameters are too many; the most is {most}.',
  'parameter.reserved': 'a parameter may not be called "{id}", because the notation uses that name. Choose another.',
  'parameter.name': 'a parameter may not be called "{id}". Use letters and digits.',
  'parameter.none': ({ id, has }, say) => `there is no parameter "${say(id)}". It has ${(has as readonly string[]).join(', ') || 'none'}.`,
  'parameter.not-a-number': 'the parameter "{id}" must be a number.',
  'parameter.expression': 'the parameter "{id}": {why}.',
  'expression.not-finite': '{value} is not a usable number',
  'expression.too-long': 'an expression of {characters} characters is too long; the most is {most}',
  'expression.no-value': '"{source}" has no finite value',
  'expression.unreadable': '"{source}" cannot be read: {why}',
  'expression.left-over': 'something is left over at its end',
  'expression.deep-brackets': 'its brackets are nested too deeply',
  'expression.open-bracket': 'a bracket is not closed',
  'expression.missing': 'a number or a name is missing',
  'expression.deep-signs': 'its signs are nested too deeply',
  'expression.count': 'count takes one label in brackets',
  'expression.no-function': 'there is no function "{name}"',
  'expression.open-bracket-after': 'the bracket after "{name}" is not closed',
  'expression.sign': '"{sign}" has no meaning here',
  'expression.divides-by-zero': '"{source}" divides by zero',
  'expression.nothing-called': 'there is nothing called "{name}"',
  'expression.ring': 'the parameters {names} refer to each other in a ring',
}
