/** What is told of a photographed row, in the languages of a learner's page. Lengths come as they are written in her unit. */
import type { Language } from '../language/index.ts'
import type { Advice } from './advise.ts'
import type { Refusal } from './judge.ts'
import type { RowKind } from './row-plan.ts'

export interface RowWords {
  readonly refused: Readonly<Record<Refusal, string>>
  readonly touch: string
  readonly advice: (advice: Advice, length: (mm: number) => string) => string
  /** What was measured, as a whole. */
  readonly measured: (of: {
    readonly kind: RowKind
    readonly count: number
    readonly length: string
    readonly planned: string
    readonly spread: string | null
    readonly pitch: string
  }) => string
  /** Of a row that was measured as a whole. */
  readonly uncertain: (kind: RowKind, count: number) => string
}

const ENGLISH: RowWords = {
  refused: {
    'no-card': 'I cannot see the whole card. Move back a little and keep all four corner marks in the picture.',
    'too-far': 'Too far away. Come nearer until the card fills the picture.',
    blurred: 'The picture is blurred. Tap on the row to focus, rest your elbows, and try again.',
    leaning: 'The phone leans too much. Hold it flat above the cloth.',
    'not-flat': 'The card is not flat. Press it down, or tape its corners.',
    dark: 'Too dark. Move nearer to the window, without flash.',
    glare: 'A bright reflection lies on the stitches. Turn away from the lamp, without flash.',
    alike: 'Thread and cloth are too much alike to be told apart in a picture. Work the practice row in another colour, or measure it with a ruler.',
    'no-row': 'I cannot find one row in the window. Only this row may lie in it, along the card.',
    'not-this-row': 'This does not look like the row that was planned. Is it another exercise, or is part of the row hidden?',
  },
  touch: 'Something else is drawn under the row. Touch the thread once, so that I know which is thread.',
  advice: (advice, length) => {
    switch (advice.kind) {
      case 'cloth-shows':
        return `Cloth shows in one place, ${length(advice.widestMm)} wide: lay one stitch more there.`
      case 'drifting-lengths':
        return `Your stitches ${advice.lastMm < advice.firstMm ? 'grow shorter' : 'grow longer'}, from ${length(advice.firstMm)} to ${length(advice.lastMm)} along the row: mark every third hole for one more row.`
      case 'other-length':
        return `Your stitches are ${length(advice.lengthMm)} on average, ${length(advice.plannedMm)} was planned: ${advice.lengthMm > advice.plannedMm ? 'come up a little nearer to the last' : 'go a little farther each time'}.`
      case 'gaps':
        return `The gaps are ${length(advice.gapMm)}, ${length(advice.plannedGapMm)} was planned: take up a little ${advice.gapMm > advice.plannedGapMm ? 'less' : 'more'} cloth each time.`
      case 'off-the-line':
        return `The row leaves its line by ${length(advice.driftMm)} or so: tighten the hoop and look two stitches ahead.`
      case 'leaning':
        return `Your stitches lean ${Math.abs(Math.round(advice.leanDeg))} degrees to the ${advice.leanDeg > 0 ? 'right' : 'left'}: check that each lower hole lies straight under its upper one.`
      case 'uneven':
        return advice.beforeMm !== null && advice.spreadMm < 0.9 * advice.beforeMm
          ? `Lengths vary by ${length(advice.spreadMm)}, last time by ${length(advice.beforeMm)}. One more row like this.`
          : `Lengths vary by ${length(advice.spreadMm)}: mark every third hole for one more row.`
      case 'larger':
        return `This is a fine stitch to keep even. Take it a little larger than ${length(advice.lengthMm)}, or one strand more, and come back to it later.`
      case 'once-more':
        return 'Nothing to change. One more row like this.'
      case 'go-on':
        return 'Two good rows in a go: go on, and leave out the marks next time.'
    }
  },
  measured: ({ kind, count, length, planned, spread, pitch }) =>
    kind === 'side-by-side'
      ? `${spread === null ? 'Stitches' : `${count} stitches`} of ${length} across (${planned} planned).`
      : kind === 'apart'
        ? `${count} stitches, one every ${pitch}: each about ${length} (${planned} planned)${spread === null ? '' : `, varying by ${spread}`}.`
        : `${count} stitches of ${length} (${planned} planned)${spread === null ? '' : `, varying by ${spread}`}.`,
  uncertain: (kind, count) =>
    kind === 'side-by-side'
      ? 'They lie too close to be counted in a picture.'
      : `The row as a whole could be measured, but not counted surely: ${count} or so. Count them yourself.`,
}

const GERMAN: RowWords = {
  refused: {
    'no-card': 'Ich sehe nicht die ganze Karte. Geh etwas zurück und lass alle vier Eckmarken im Bild.',
    'too-far': 'Zu weit weg. Geh näher heran, bis die Karte das Bild füllt.',
    blurred: 'Das Bild ist unscharf. Tippe auf die Reihe, stütze die Ellbogen auf und versuche es noch einmal.',
    leaning: 'Das Telefon ist zu schräg. Halte es flach über den Stoff.',
    'not-flat': 'Die Karte liegt nicht flach. Drück sie an oder klebe ihre Ecken fest.',
    dark: 'Zu dunkel. Geh näher ans Fenster, ohne Blitz.',
    glare: 'Auf den Stichen liegt ein heller Glanz. Dreh dich von der Lampe weg, ohne Blitz.',
    alike: 'Garn und Stoff sind sich im Bild zu ähnlich. Sticke die Übungsreihe in einer anderen Farbe, oder miss sie mit dem Lineal.',
    'no-row': 'Ich finde keine einzelne Reihe im Fenster. Nur diese Reihe darf darin liegen, längs der Karte.',
    'not-this-row': 'Das sieht nicht aus wie die geplante Reihe. Ist es eine andere Übung, oder ist ein Teil der Reihe verdeckt?',
  },
  touch: 'Unter der Reihe ist noch etwas gezeichnet. Berühre einmal das Garn, damit ich weiß, was Garn ist.',
  advice: (advice, length) => {
    switch (advice.kind) {
      case 'cloth-shows':
        return `An einer Stelle sieht man Stoff, ${length(advice.widestMm)} breit: lege dort einen Stich mehr.`
      case 'drifting-lengths':
        return `Deine Stiche werden ${advice.lastMm < advice.firstMm ? 'kürzer' : 'länger'}, von ${length(advice.firstMm)} auf ${length(advice.lastMm)}: zeichne für eine weitere Reihe jedes dritte Loch an.`
      case 'other-length':
        return `Deine Stiche sind im Mittel ${length(advice.lengthMm)} lang, geplant waren ${length(advice.plannedMm)}: ${advice.lengthMm > advice.plannedMm ? 'stich etwas näher am letzten aus' : 'geh jedes Mal etwas weiter'}.`
      case 'gaps':
        return `Die Lücken sind ${length(advice.gapMm)}, geplant waren ${length(advice.plannedGapMm)}: nimm jedes Mal etwas ${advice.gapMm > advice.plannedGapMm ? 'weniger' : 'mehr'} Stoff auf.`
      case 'off-the-line':
        return `Die Reihe weicht um etwa ${length(advice.driftMm)} von der Linie ab: spanne den Rahmen nach und schau zwei Stiche voraus.`
      case 'leaning':
        return `Deine Stiche neigen sich um ${Math.abs(Math.round(advice.leanDeg))} Grad nach ${advice.leanDeg > 0 ? 'rechts' : 'links'}: prüfe, dass jedes untere Loch gerade unter dem oberen liegt.`
      case 'uneven':
        return advice.beforeMm !== null && advice.spreadMm < 0.9 * advice.beforeMm
          ? `Die Längen schwanken um ${length(advice.spreadMm)}, letztes Mal um ${length(advice.beforeMm)}. Noch eine Reihe wie diese.`
          : `Die Längen schwanken um ${length(advice.spreadMm)}: zeichne für eine weitere Reihe jedes dritte Loch an.`
      case 'larger':
        return `Dieser Stich ist so fein schwer gleichmäßig zu halten. Nimm ihn etwas größer als ${length(advice.lengthMm)}, oder einen Faden mehr, und komm später darauf zurück.`
      case 'once-more':
        return 'Nichts zu ändern. Noch eine Reihe wie diese.'
      case 'go-on':
        return 'Zwei gute Reihen nacheinander: mach weiter, und lass nächstes Mal die Marken weg.'
    }
  },
  measured: ({ kind, count, length, planned, spread, pitch }) =>
    kind === 'side-by-side'
      ? `${spread === null ? 'Stiche' : `${count} Stiche`} von ${length} Länge (geplant ${planned}).`
      : kind === 'apart'
        ? `${count} Stiche, alle ${pitch} einer: jeder etwa ${length} (geplant ${planned})${spread === null ? '' : `, schwankend um ${spread}`}.`
        : `${count} Stiche von ${length} (geplant ${planned})${spread === null ? '' : `, schwankend um ${spread}`}.`,
  uncertain: (kind, count) =>
    kind === 'side-by-side'
      ? 'Sie liegen zu dicht, um sie im Bild zu zählen.'
      : `Die Reihe ist im Ganzen gemessen, aber nicht sicher gezählt: etwa ${count}. Zähle selbst nach.`,
}

export const ROW_WORDS: Readonly<Record<Language, RowWords>> = { en: ENGLISH, de: GERMAN }
