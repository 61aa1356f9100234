/** What is wrong with a file that is brought in, in words. */
import type { Sentences } from '../base/index.ts'

export const BRING_IN_SENTENCES: Sentences = {
  'svg.too-large': 'This file has {characters} characters; {most} are read at most. Simplify the drawing.',
  'svg.unreadable': 'This is not an SVG file that can be read ({reason}).',
  'svg.not-svg': 'This is not an SVG file.',
  'svg.too-deep': 'Its groups lie more than {most} deep in one another.',
  'svg.no-size': 'How large it is cannot be made out.',
  'svg.no-outlines': 'There are no outlines in it. Turn words into paths, and pictures into traced lines, in the program that drew it.',
  'svg.left-out': 'Left out: {what} ({count}).',
  'svg.outlines-unreadable': '{count} outlines could not be read and are left out.',
  'svg.specks': '{count} specks shorter than half a millimetre are left out.',
  'svg.too-many': 'More than {most} outlines: {count} are left out.',
}
