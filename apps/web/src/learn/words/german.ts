import type { LearnWords } from './english.ts'

const list = (all: readonly string[]): string => (all.length < 2 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} und ${all.at(-1) ?? ''}`)

export const GERMAN: LearnWords = {
  day: 'dddd, D. MMMM',
  shortDay: 'D. MMMM',
  list,
  onWay: 'Deine Woche kommt gleich …',
  moment: 'Einen Augenblick …',
  week: {
    next: 'Als Nächstes:',
    train: 'Wohin geht die Nadel als Nächstes?',
    trainHint: 'Zwei Minuten, einige Bewegungen am Tag',
    seenFrom: (day) => `zu sehen ab ${day}`,
    done: (count, of) => `${count} von ${of} geschafft`,
    onNow: 'jetzt dran',
    and: ' und ',
    bag: 'In deinem Beutel:',
    threadsIn: (kind) => `${kind} in`,
    states: { untouched: 'noch nicht begonnen', practising: 'in Übung', stuck: 'hängt: deine Lehrerin sieht es', can: 'kann es ✓' },
    waits: (count) => (count === 1 ? 'Eines wartet hier darauf, gesendet zu werden.' : `${count} Dinge warten hier darauf, gesendet zu werden.`),
    lost: 'Keine Verbindung: Mach weiter, alles geht.',
  },
  next: (next, { piece, lesson }) => {
    switch (next.kind) {
      case 'help':
        return `deine Lehrerin hilft dir bei ${piece(next.exercise)}${next.step === null ? '' : `, Schritt ${next.step}`}. Mach inzwischen mit einem anderen Stück weiter.`
      case 'catch-up':
        return `nachholen: ${piece(next.exercise)}, aus ${list(next.lessons.map(lesson))}.`
      case 'practise':
        return next.minutes > 0 ? `weiter mit ${piece(next.exercise)}.` : `${piece(next.exercise)}.`
      case 'ahead':
        return `du bist voraus, mit ${piece(next.exercise)}.`
      case 'ready':
        return `du bist bereit für ${lesson(next.lesson)}.`
      case 'finished':
        return 'alles ist gestickt. Es bleibt das Fertigstellen.'
    }
  },
  mine: {
    title: 'Meine Seite',
    large: 'Große Schrift',
    elsewhere: 'Auf einem anderen Gerät, mit deinem Wort:',
    file: 'Alles, was von mir aufbewahrt wird, als Datei',
    fileName: 'meine-uebung.json',
    sure: 'Deine Häkchen, Minuten und Fragen werden gelöscht, für dich und für deine Lehrerin.',
    delete: 'Alles löschen',
    keep: 'Behalten',
    deleteAsk: 'Alles löschen, was von mir aufbewahrt wird',
  },
  piece: {
    gone: 'Dieses Stück kann hier nicht gezeigt werden. Frag deine Lehrerin.',
    back: 'Zurück',
    backToWeek: 'Zurück zu dieser Woche',
    lesson: (number) => `Stunde ${number}`,
    hands: { left: 'Linke Hand', right: 'Rechte Hand' },
    place: (at, of) => `${at} von ${of}`,
    stop: 'Anhalten',
    moving: 'In Bewegung zeigen',
    turnOver: 'Wenden',
    frontAgain: 'Wieder vorn',
    read: 'Vorlesen',
    nextMove: 'Nächster Schritt',
    canDo: 'Diese Reihe kann ich',
    stuck: 'Hier hänge ich',
    notStuck: 'Ich hänge nicht mehr',
    pieces: (count, of) => `Stücke gestickt: ${count} von ${of}`,
    pieceNumber: (number) => `Stück ${number}`,
    look: 'Schau es an',
    front: 'Vorn:',
    backSide: 'Hinten:',
    care: (text) => `Vorsicht: ${text}`,
    forClass: (count) => `Für alle (${count})`,
    ask: (count) => `Frag deine Lehrerin${count > 0 ? ` (${count} gefragt)` : ''}`,
    question: 'Deine Frage',
    send: 'Fragen',
    anotherPiece: 'anderes Stück:',
    minutes: (minutes) => `${minutes} min`,
    stopTime: 'Zeit anhalten',
    practised: (minutes) => `${minutes} min geübt`,
    time: 'Zeit nehmen',
  },
  photo: {
    open: 'Reihe fotografieren',
    backToPiece: 'Zurück zum Stück',
    notThis: 'Reihen dieses Stichs lassen sich im Foto nicht messen. Leg ein Lineal daneben: deine Lehrerin sagt, worauf du achtest.',
    how: ({ row, stitch, card }) => [
      `Sticke eine Reihe dieses Stichs, ${row} lang, in Stichen von ${stitch}.`,
      `Leg die gedruckte Karte (${card} breit) um sie auf den Stoff, so dass sie überall aufliegt.`,
      'Am Fenster, ohne Blitz, hältst du das Telefon flach darüber, eineinhalb Handbreit entfernt. Die Karte füllt das Bild.',
    ],
    stays: 'Das Bild bleibt auf diesem Gerät. Behalten werden nur Zahlen, und nur wenn du es sagst.',
    take: 'Foto machen',
    choose: 'Bild wählen',
    example: 'Mit einem gezeichneten Beispiel ansehen',
    exampleOnly: 'Ein gezeichnetes Beispiel, nicht deine Reihe: davon wird nichts behalten.',
    looking: 'Es wird gemessen …',
    stop: 'Abbrechen',
    unread: 'Dieses Bild lässt sich hier nicht lesen. JPEG und PNG gehen.',
    window: 'Das Fenster der Karte, flach gelegt, jeder Stich bezeichnet',
    trial: 'Auf Probe: bisher an gezeichneten Bildern geprüft, noch nicht mit dem Lineal am Stoff.',
    keep: 'Diese Reihe behalten',
    kept: 'Behalten ✓',
    rows: (count) => `Deine Reihen bisher (${count})`,
    row: (length, spread) => (spread === null ? `${length}, im Ganzen gemessen` : `${length}, schwankend um ${spread}`),
  },
  train: {
    title: 'Wohin geht die Nadel?',
    again: 'noch einmal',
    over: 'Das war es fürs Erste.',
    nothing: 'Noch ist nichts zu fragen.',
    today: 'Heute gibt es noch mehr.',
    comesBack: (day) => `Die nächsten kommen am ${day} wieder.`,
    later: 'Ist eine Stunde gehalten, werden ihre Bewegungen hier gefragt, einige am Tag.',
    more: 'Noch ein paar',
    yes: 'Ja.',
    no: 'So nicht.',
    cameOfIt: 'Was daraus wurde',
    howItGoes: 'Wie es geht',
    before: (asks) => `Der Stoff davor. ${asks}`,
    on: 'Weiter',
    place: (letter) => `Stelle ${letter}`,
    placeRight: (letter) => `Stelle ${letter}, richtig`,
    placeWrong: (letter) => `Stelle ${letter}, dort nicht`,
  },
  join: {
    title: 'Komm in deine Klasse',
    code: 'Code der Klasse',
    name: 'Wie du heißt',
    hand: 'Die Hand, die die Nadel hält',
    hands: { left: 'Links', right: 'Rechts' },
    word: 'Ein Wort zum Wiederkommen',
    wordHint: 'Mindestens vier Buchstaben. Nur auf einem anderen Gerät gefragt.',
    join: 'Mitmachen',
    yourClass: 'Deine Klasse',
    chooseWord: 'Wähle ein Wort zum Wiederkommen',
    yourWord: 'Dein Wort',
    open: 'Öffnen',
    kept: 'Keine Mailadresse, kein Passwort. Nur deine Lehrerin sieht, was du abhakst und wie lange du geübt hast; sonst niemand in der Klasse. Du kannst alles mitnehmen oder löschen lassen, wann du willst.',
  },
}
