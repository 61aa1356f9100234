/** What is asked, what can be answered about the thread, and what would come of a wrong answer. */
import { type Sentences, tell, type Told } from '../base/index.ts'
import type { Language } from '../language/index.ts'
import { formatLength, type LengthUnit } from '../units/index.ts'
import type { Question, ThreadWay } from './ask.ts'
import type { ThreadMatter } from './quiz.ts'

interface RecallWords {
  readonly asks: Readonly<Record<Question['asks'] | 'out', string>>
  readonly thread: Readonly<Record<ThreadMatter, string>>
  readonly ways: Readonly<Record<ThreadWay, string>>
  readonly told: Sentences
}

const ENGLISH: RecallWords = {
  asks: {
    up: 'Where does the needle come up?',
    out: 'It goes in at the dot. Where does it come out?',
    down: 'Where does the needle go down?',
    pass: 'How does the needle pass the thread at the dot?',
  },
  thread: {
    loop: 'And the thread?',
    kept: 'On which side is the thread kept?',
    split: 'And the thread that lies there?',
    pass: 'How does the needle pass the thread at the dot?',
  },
  ways: {
    'under-point': 'Under the point of the needle',
    'over-point': 'Free of the needle',
    through: 'The needle goes through it',
    beside: 'The needle goes beside it',
    under: 'Under it',
    over: 'Over it',
    left: 'To the left',
    right: 'To the right',
    up: 'Away from you',
    down: 'Toward you',
    'as-before': 'On the side where it has lain so far',
    'other-side': 'On the other side',
  },
  told: {
    'recall.loop-lost': 'Nothing holds the loop: it slips to the back and comes undone.',
    'recall.pulled-through': 'The thread goes back the way it came: it pulls through and comes undone.',
    'recall.not-split': 'The needle misses the thread: it holds, but the line shows a gap.',
    'recall.passed-over': 'Nothing holds the thread here: it lies loose.',
    'recall.nothing-to-hold': 'The thread is not held here, and what comes next has nothing to go round.',
    'recall.own-hole': 'It goes back into its own hole: no stitch is left.',
    'recall.longer': 'The stitch is {long} long instead of {usual}.',
    'recall.shorter': 'The stitch is {long} long instead of {usual}.',
    'recall.slants': 'It lies turned by {degrees}°.',
    'recall.backwards': 'It runs the other way.',
    'recall.other-side': 'The thread lies on the other side: from here on the line looks different.',
    'recall.beside': 'It holds, but lies beside its place, and is seen.',
  },
}

const GERMAN: RecallWords = {
  asks: {
    up: 'Wo kommt die Nadel heraus?',
    out: 'Am Punkt geht sie hinein. Wo kommt sie heraus?',
    down: 'Wo geht die Nadel hinein?',
    pass: 'Wie geht die Nadel am Punkt am Faden vorbei?',
  },
  thread: {
    loop: 'Und der Faden?',
    kept: 'Auf welcher Seite liegt der Faden?',
    split: 'Und der Faden, der dort liegt?',
    pass: 'Wie geht die Nadel am Punkt am Faden vorbei?',
  },
  ways: {
    'under-point': 'Unter der Nadelspitze',
    'over-point': 'Frei von der Nadel',
    through: 'Die Nadel sticht hindurch',
    beside: 'Die Nadel sticht daneben',
    under: 'Darunter durch',
    over: 'Darüber hinweg',
    left: 'Links',
    right: 'Rechts',
    up: 'Von dir weg',
    down: 'Zu dir hin',
    'as-before': 'Auf der Seite, auf der er bisher lag',
    'other-side': 'Auf der anderen Seite',
  },
  told: {
    'recall.loop-lost': 'Nichts hält die Schlaufe: Sie rutscht nach hinten und geht auf.',
    'recall.pulled-through': 'Der Faden geht zurück, wie er kam: Er rutscht durch und geht auf.',
    'recall.not-split': 'Die Nadel verfehlt den Faden: Es hält, aber die Linie zeigt eine Lücke.',
    'recall.passed-over': 'Nichts hält den Faden hier: Er liegt lose.',
    'recall.nothing-to-hold': 'Der Faden wird hier nicht gehalten, und das Nächste hat nichts, worum es gehen kann.',
    'recall.own-hole': 'Sie geht in ihr eigenes Loch zurück: Es bleibt kein Stich.',
    'recall.longer': 'Der Stich ist {long} lang statt {usual}.',
    'recall.shorter': 'Der Stich ist {long} lang statt {usual}.',
    'recall.slants': 'Er liegt um {degrees}° verdreht.',
    'recall.backwards': 'Er läuft in die Gegenrichtung.',
    'recall.other-side': 'Der Faden liegt auf der anderen Seite: Von hier an sieht die Linie anders aus.',
    'recall.beside': 'Es hält, liegt aber neben seinem Platz, und man sieht es.',
  },
}

export const RECALL_WORDS: Readonly<Record<Language, RecallWords>> = { en: ENGLISH, de: GERMAN }

/** What came of it, in one or two sentences. */
export function toldInWords(told: readonly Told[], language: Language, units: LengthUnit): string {
  const length = (mm: number): string => {
    const text = formatLength(mm, units, units === 'mm' ? 1 : 2)
    return language === 'de' && units === 'mm' ? text.replace('.', ',') : text
  }
  return told.map((one) => tell(one, RECALL_WORDS[language].told, length)).join(' ')
}
