/** Why a way of marking suits or does not, in German, and what the ways are called. */
import type { Sentences } from '../base/index.ts'

export const GERMAN_MARKING: Sentences = {
  'marking.not-on-dark': 'Auf dunklem Stoff sieht man es nicht.',
  'marking.not-on-light': 'Auf hellem Stoff sieht man es nicht.',
  'marking.risky-colour': 'Auf dieser Farbe kann eine Spur bleiben: an einem Rest probieren und einen Tag warten.',
  'marking.not-seen-through': 'Durch diesen Stoff sieht man nichts, also lässt sich nichts durchpausen: aufbügeln oder heften.',
  'marking.strong-light': 'Zum Durchpausen braucht dunkler Stoff ein starkes Licht dahinter.',
  'marking.nap': 'Auf weicher Oberfläche bricht die Linie auf; wo es genau sein muss, durch Seidenpapier heften.',
  'marking.not-washed': 'Es geht mit Wasser heraus, und dieses Stück soll nicht nass werden.',
  'marking.not-ironed': 'Es braucht das Bügeleisen, und dieses Stück soll nicht gebügelt werden.',
  'marking.fades': 'Nach ein, zwei Tagen ist es fort, und der Kurs dauert {days} Tage: jede Stunde an ihrem Tag anzeichnen.',
  'marking.rubs-off': 'Es reibt sich beim Sticken ab: für jede Stunde neu anzeichnen.',
  'marking.may-return': 'In der Kälte kann es wiederkommen: jedes Zeichen mit Faden bedecken.',
  'marking.returns-in-cold': 'In der Kälte kommt es wieder, und dieses Stück wird vielleicht kalt.',
  'marking.no-heat-first': 'Erst mit klarem kaltem Wasser ausspülen, ehe Seife oder Bügeleisen daran kommen: Hitze macht es für immer fest.',
  'marking.stays-bare': 'Es bleibt vielleicht, und {percent} % der Zeichen wären neben dem Faden zu sehen.',
  'marking.may-return-bare': '{percent} % der Zeichen liegen neben dem Faden: dort sähe man sie, wenn sie wiederkommen.',
  'marking.slow': 'Es dauert, und die Heftfäden werden wieder gezogen.',
  'marking.drags': 'Es bremst die Nadel; ausspülen, bis das Wasser klar bleibt.',
  'marking.mirrored': 'Der Bogen ist seitenverkehrt gedruckt.',
}

/** By the method's id. */
export const GERMAN_METHODS: Readonly<Record<string, string>> = {
  'water-pen': 'wasserlöslicher Stift',
  'white-water-pen': 'weißer wasserlöslicher Stift',
  'fading-pen': 'selbstlöschender Stift',
  'heat-pen': 'Stift, der unter Hitze verschwindet',
  pencil: 'harter, spitzer Bleistift',
  'white-pencil': 'weißer Stift',
  chalk: 'Kreide',
  'transfer-paper': 'Pauspapier ohne Wachs',
  'waxed-paper': 'Pauspapier mit Wachs',
  'iron-on': 'Bügelmuster',
  pounce: 'Lochpause',
  film: 'auswaschbare Folie',
  tacking: 'durch Seidenpapier geheftet',
}
