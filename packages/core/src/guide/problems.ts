/** What can be wrong with a guide, in words. */
import type { Sentences } from '../base/index.ts'
import type { GuidePart } from './types.ts'

const PARTS: Readonly<Record<GuidePart, string>> = {
  outline: 'an outline',
  vein: 'a vein',
  'left-rail': 'a left rail',
  'right-rail': 'a right rail',
  'centre-line': 'a centre line',
}

export const GUIDE_SENTENCES: Sentences = {
  'guide.rails': 'The two rails of this band lie on each other. Draw them apart.',
  'guide.rails-opposite': 'The two rails of this band run in opposite directions. Turn one of them round, so that both begin at the same end.',
  'guide.crosses-itself': 'This outline crosses itself. Draw it so that it goes round once, or make each part a shape of its own.',
  'guide.sliver': 'This shape is a sliver, {width} wide in the mean. Draw it at least {least} wide, or draw a line instead.',
  'guide.rail': 'This rail has no length. Make the band narrower, or ease its curve.',
  'guide.two-rails': 'A band needs two rails.',
  'guide.band': 'A band needs a path with a width, or two rails.',
  'guide.too-narrow': 'This band is {width} wide. Make it at least {least} wide, or draw a line instead.',
  'guide.too-short': 'This {what} is {length} long. Draw it at least {least} long.',
  'guide.pins': 'Each pin must stand at least {least} from the base. Move it away, or add one.',
  'guide.no-spots': 'There is no spot yet. Add at least one.',
  'guide.too-many-spots': '{spots} spots are too many for one guide; the most is {most}. Divide them.',
  'guide.turns': 'There are {spots} spots and {turns} turns. Give each spot its own turn, or one for all.',
  'guide.too-many-cells': '{cells} cells are too many; the most is {most}. Divide the grid.',
  'guide.open-shape': 'This outline is not closed. End its path with Z.',
  'guide.too-small': 'This shape holds {areaMm2} mm\u00b2. Draw it at least 1 mm\u00b2 large.',
  'guide.hole': 'Hole {hole} must be closed (end its path with Z) and lie inside the outline.',
  'guide.no-part': ({ part, word, parts }, say) => {
    const has = (parts as readonly GuidePart[]).map((one) => PARTS[one])
    return `There is no ${PARTS[part as GuidePart].replace(/^an? /, '')} of ${say(word)}. ${has.length > 0 ? `It has ${has.join(', ')}.` : 'It is worked as a whole.'}`
  },
}
