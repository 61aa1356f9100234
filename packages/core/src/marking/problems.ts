/** Why a way of marking suits or does not, in words. */
import type { Sentences } from '../base/index.ts'

export const MARKING_SENTENCES: Sentences = {
  'marking.not-on-dark': 'It does not show on dark cloth.',
  'marking.not-on-light': 'It does not show on pale cloth.',
  'marking.risky-colour': 'On this colour it may leave a trace: try it on a scrap and wait a day.',
  'marking.not-seen-through': 'Nothing is seen through this cloth, so nothing can be traced; press it on or tack it.',
  'marking.strong-light': 'Dark cloth wants a strong light behind it to trace by.',
  'marking.nap': 'On a soft surface a line breaks up; tack it through tissue where it must be exact.',
  'marking.not-washed': 'It comes off with water, and this piece is not to be wetted.',
  'marking.not-ironed': 'It needs an iron, and this piece is not to be ironed.',
  'marking.fades': 'It is gone in a day or two and the course takes {days} days: mark each lesson on its own date.',
  'marking.rubs-off': 'It rubs off while one works: mark anew for each lesson.',
  'marking.may-return': 'It may come back in the cold: cover every mark with thread.',
  'marking.returns-in-cold': 'It comes back in the cold, and this piece may get cold.',
  'marking.no-heat-first': 'Rinse it out in plain cold water before soap or an iron comes near: heat sets it for good.',
  'marking.stays-bare': 'It may stay, and {percent} % of the marks would be seen beside the thread.',
  'marking.may-return-bare': '{percent} % of the marks lie beside the thread: there it would be seen if it came back.',
  'marking.slow': 'It takes long, and the tacking is pulled out again.',
  'marking.drags': 'It drags on the needle; rinse until the water stays clear.',
  'marking.mirrored': 'The sheet is printed the other way round.',
}
