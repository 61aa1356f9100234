/** The words of a teacher's book in a language: every sentence whole, figures and names put in. */
import type { Language } from '../language/index.ts'
import { listInWords } from '../units/index.ts'

export interface TeacherWords {
  readonly book: string
  readonly isPrivate: string
  readonly glance: {
    readonly title: string
    readonly of: (name: string, learners: number) => string
    readonly noNames: string
    readonly columns: readonly [string, string, string]
    readonly hands: Readonly<Record<'left' | 'right' | 'none', string>>
    readonly clearOrders: string
    readonly present: string
    readonly order: string
    readonly orderColumns: readonly [string, string, string, string, string, string]
    readonly over: (minutes: number) => string
  }
  readonly materials: {
    readonly title: string
    readonly kits: (learners: number, spares: number) => string
    readonly threads: string
    readonly threadColumns: readonly [string, string, string, string, string]
    readonly needles: string
    readonly needleColumns: readonly [string, string, string, string]
    readonly tools: string
    readonly toolColumns: readonly [string, string, string]
    readonly forRoom: string
    readonly out: string
  }
  readonly plan: {
    readonly running: string
    readonly runningColumns: readonly [string, string, string]
    readonly arrive: string
    readonly recap: (stitch: string, motions: string) => string
    readonly show: (stitch: string, motions: string) => string
    readonly showAgain: (stitch: string) => string
    readonly work: (name: string, home: number) => string
    readonly goesOn: (name: string) => string
    readonly pause: string
    readonly look: string
    readonly spare: string
    readonly close: (home: number) => string
    readonly late: (dropped: number) => string
    readonly over: (minutes: number) => string
    readonly where: string
    readonly prepare: string
    readonly threads: (kind: string, colours: readonly string[]) => string
    readonly needlesOut: (names: readonly string[], count: number) => string
    readonly leftHanded: (names: readonly string[]) => string
    readonly board: (page: string) => string
    readonly frame: (stitch: string) => string
    readonly say: string
    readonly sayKnown: (motions: string, stitch: string) => string
    readonly sayNew: (motions: string) => string
    readonly sayNothingNew: string
    readonly leftOver: string
    readonly nothingLeft: string
    readonly enough: string
    readonly within: (name: string, mm: string) => string
    readonly change: (change: string) => string
    readonly vote: string
    readonly votes: (ways: readonly (readonly [string, number])[]) => string
    readonly liked: string
    readonly wrong: string
    readonly wrongColumns: readonly [string, string, string]
    readonly kept: string
    readonly asked: string
    readonly out: string
    readonly outColumns: readonly [string, string, string, string, string]
    readonly pages: (pages: readonly number[]) => string
  }
  readonly board: { readonly title: (number: number) => string; readonly how: string }
}

const ENGLISH: TeacherWords = {
  book: 'Teacher\u2019s book',
  isPrivate: 'private',
  glance: {
    title: 'The class at a glance',
    of: (name, learners) => (learners === 0 ? name : `${name}, ${learners === 1 ? 'one learner' : `${learners} learners`}`),
    noNames: 'No names are kept yet: write them in.',
    columns: ['Name', 'Hand', 'Chose in'],
    hands: { left: 'LEFT', right: 'right', none: '' },
    clearOrders: 'clear orders',
    present: 'A box for each lesson: tick who is there.',
    order: 'The order of the course',
    orderColumns: ['', 'Date', 'Lesson', 'New', 'Here', 'At home'],
    over: (minutes) => `${minutes} min too much`,
  },
  materials: {
    title: 'Materials and check-out',
    kits: (learners, spares) => `For ${learners} learners and ${spares} to spare.`,
    threads: 'Threads',
    threadColumns: ['Colour and kind', 'In a kit', 'In all', 'To buy', 'There'],
    needles: 'Needles',
    needleColumns: ['Needle', 'In all', 'Counted out', 'Counted in'],
    tools: 'Everything else',
    toolColumns: ['', 'In all', 'There'],
    forRoom: '1 for the room',
    out: 'Count needles out at the beginning and in at the end of every lesson. One that is missing is looked for with a magnet before anyone leaves.',
  },
  plan: {
    running: 'Running order',
    runningColumns: ['from', 'min', ''],
    arrive: 'Arrive. Home practice on the table; tick what is done. Needles counted out.',
    recap: (stitch, motions) => `**Recap**: four of ${stitch.toLowerCase()} on the edge${motions === '' ? '' : `. Ask: how does one ${motions}?`}`,
    show: (stitch, motions) =>
      `**Show ${stitch.toLowerCase()}**: three stitches slowly, front; once behind; once for the other hand${motions === '' ? '' : `. New: ${motions}`}.`,
    showAgain: (stitch) => `**Show ${stitch.toLowerCase()}** again: what is otherwise here.`,
    work: (name, home) => `**Learners**: ${name}${home > 0 ? `; ${home} minutes of it at home` : ''}.`,
    goesOn: (name) => `**Learners**: ${name}, on.`,
    pause: '**Break.** Hands, shoulders, windows.',
    look: '**Look** in pairs: front, then back. One praise, one thing.',
    spare: 'To spare: for questions, and for who is behind.',
    close: (home) => (home > 0 ? `Home practice, ${home} minutes; what to bring. Needles counted in.` : 'What to bring. Needles counted in.'),
    late: (dropped) => `If you are late: leave out the looking in pairs and the time to spare (${dropped} min).`,
    over: (minutes) => `This is ${minutes} minutes more than the lesson has: the last piece goes home, or give it two dates.`,
    where: 'Where it lies',
    prepare: 'Prepare',
    threads: (kind, colours) => `From the kit, ${kind.toLowerCase()}: ${listInWords(colours)}`,
    needlesOut: (names, count) => `Needles, ${count} each: ${listInWords(names)}`,
    leftHanded: (names) => `Left-handed books: ${listInWords(names)}`,
    board: (page) => `Board drawing, page ${page}, on the wall`,
    frame: (stitch) => `A frame with a row of ${stitch.toLowerCase()} begun, thread hanging`,
    say: 'Say this',
    sayKnown: (motions, stitch) => `\u201cYou know this from ${stitch.toLowerCase()}${motions === '' ? '' : `: ${motions}`}.\u201d`,
    sayNew: (motions) => `\u201cOnly this is new: ${motions}.\u201d`,
    sayNothingNew: '\u201cNothing about the needle is new today. Look at what it makes here.\u201d',
    leftOver: 'Left over from last time',
    nothingLeft: 'Nothing was left unanswered.',
    enough: 'Is it good enough?',
    within: (name, mm) => `**${name}**: holes within ${mm} of their marks.`,
    change: (change) => `You meant to change: ${change}`,
    vote: 'Two ways: let them vote',
    votes: (ways) => ways.map(([name, count]) => `${name} ${count}`).join(', '),
    liked: 'liked better',
    wrong: 'What goes wrong, and what to do',
    wrongColumns: ['Stitch', 'You see', 'Do'],
    kept: 'Answers kept',
    asked: 'New questions today',
    out: 'Check out',
    outColumns: ['Name', 'Needles in', 'Done', 'Minutes', 'Home said'],
    pages: (pages) => `learner\u2019s ${pages.length > 1 ? 'pages' : 'page'} ${pages.join(', ')}`,
  },
  board: { title: (number) => `Board drawing for lesson ${number}`, how: 'Enlarge it to 141 %: then it is as large as two sheets.' },
}

const GERMAN: TeacherWords = {
  book: 'Lehrheft',
  isPrivate: 'vertraulich',
  glance: {
    title: 'Die Gruppe im \u00dcberblick',
    of: (name, learners) => (learners === 0 ? name : `${name}, ${learners} Lernende`),
    noNames: 'Noch keine Namen: hier eintragen.',
    columns: ['Name', 'Hand', 'Gew\u00e4hlt bei'],
    hands: { left: 'LINKS', right: 'rechts', none: '' },
    clearOrders: 'klare Ansagen',
    present: 'Ein K\u00e4stchen f\u00fcr jede Stunde: abhaken, wer da ist.',
    order: 'Der Ablauf des Kurses',
    orderColumns: ['', 'Datum', 'Stunde', 'Neu', 'Hier', 'Zu Hause'],
    over: (minutes) => `${minutes} min zu viel`,
  },
  materials: {
    title: 'Material und Ausgabe',
    kits: (learners, spares) => `F\u00fcr ${learners} Lernende und ${spares} zur Reserve.`,
    threads: 'Garne',
    threadColumns: ['Farbe und Art', 'Je Beutel', 'Zusammen', 'Kaufen', 'Da'],
    needles: 'Nadeln',
    needleColumns: ['Nadel', 'Zusammen', 'Ausgegeben', 'Zur\u00fcck'],
    tools: 'Alles andere',
    toolColumns: ['', 'Zusammen', 'Da'],
    forRoom: '1 f\u00fcr den Raum',
    out: 'Nadeln zu Beginn jeder Stunde abz\u00e4hlen und am Ende wieder. Fehlt eine, wird sie mit einem Magneten gesucht, bevor jemand geht.',
  },
  plan: {
    running: 'Ablauf',
    runningColumns: ['ab', 'min', ''],
    arrive: 'Ankommen. Die Arbeit von zu Hause auf den Tisch; abhaken, was fertig ist. Nadeln abz\u00e4hlen.',
    recap: (stitch, motions) => `**Wiederholen**: vier Stiche am Rand, ${stitch}${motions === '' ? '' : `. Fragen: Wie geht das: ${motions}?`}`,
    show: (stitch, motions) =>
      `**Zeigen: ${stitch}**: drei Stiche langsam, vorne; einmal von hinten; einmal f\u00fcr die andere Hand${motions === '' ? '' : `. Neu: ${motions}`}.`,
    showAgain: (stitch) => `**Noch einmal zeigen: ${stitch}**: was hier anders ist.`,
    work: (name, home) => `**Lernende**: ${name}${home > 0 ? `; davon ${home} Minuten zu Hause` : ''}.`,
    goesOn: (name) => `**Lernende**: ${name}, weiter.`,
    pause: '**Pause.** H\u00e4nde, Schultern, Fenster.',
    look: '**Ansehen** zu zweit: vorne, dann hinten. Ein Lob, ein Rat.',
    spare: 'Luft: f\u00fcr Fragen, und f\u00fcr alle, die noch nicht so weit sind.',
    close: (home) => (home > 0 ? `Zu Hause ${home} Minuten; was mitzubringen ist. Nadeln z\u00e4hlen.` : 'Was mitzubringen ist. Nadeln z\u00e4hlen.'),
    late: (dropped) => `Wenn die Zeit nicht reicht: Ansehen zu zweit und Luft weglassen (${dropped} min).`,
    over: (minutes) => `Das sind ${minutes} Minuten mehr, als die Stunde hat: Das letzte St\u00fcck geht mit nach Hause, oder die Stunde bekommt zwei Termine.`,
    where: 'Wo es liegt',
    prepare: 'Vorbereiten',
    threads: (kind, colours) => `Aus dem Beutel, ${kind}: ${colours.join(', ')}`,
    needlesOut: (names, count) => `Nadeln, je ${count}: ${names.join(', ')}`,
    leftHanded: (names) => `Hefte f\u00fcr die linke Hand: ${names.join(', ')}`,
    board: (page) => `Tafelbild, Seite ${page}, an die Wand`,
    frame: (stitch) => `Ein Rahmen mit einer begonnenen Reihe, ${stitch}, der Faden h\u00e4ngt`,
    say: 'Sagen',
    sayKnown: (motions, stitch) => `\u201eDas kennt ihr schon, von: ${stitch}${motions === '' ? '' : ` (${motions})`}.\u201c`,
    sayNew: (motions) => `\u201eNur das ist neu: ${motions}.\u201c`,
    sayNothingNew: '\u201eAn der Nadel ist heute nichts neu. Schaut, was hier daraus wird.\u201c',
    leftOver: 'Vom letzten Mal offen',
    nothingLeft: 'Nichts ist ohne Antwort geblieben.',
    enough: 'Ist es gut genug?',
    within: (name, mm) => `**${name}**: L\u00f6cher h\u00f6chstens ${mm} neben ihren Zeichen.`,
    change: (change) => `Zu ändern war: ${change}`,
    vote: 'Zwei Wege: abstimmen lassen',
    votes: (ways) => ways.map(([name, count]) => `${name} ${count}`).join(', '),
    liked: 'gef\u00e4llt besser',
    wrong: 'Was schiefgeht, und was hilft',
    wrongColumns: ['Stich', 'Man sieht', 'Tun'],
    kept: 'Antworten, die bleiben',
    asked: 'Neue Fragen heute',
    out: 'Ausgabe und R\u00fcckgabe',
    outColumns: ['Name', 'Nadeln zur\u00fcck', 'Fertig', 'Minuten', 'Zu Hause gesagt'],
    pages: (pages) => `im Lernheft Seite ${pages.join(', ')}`,
  },
  board: { title: (number) => `Tafelbild zu Stunde ${number}`, how: 'Auf 141 % vergr\u00f6\u00dfern: dann ist es so gro\u00df wie zwei Bl\u00e4tter.' },
}

export const TEACHER_WORDS: Readonly<Record<Language, TeacherWords>> = { en: ENGLISH, de: GERMAN }
