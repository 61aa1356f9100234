/** What a learner's page says, in English. Another language is another table of the same. */
import type { Standing } from '@lemmata/core/photo'
import type { WhatNext } from '@lemmata/core/practice'
import { listInWords } from '@lemmata/core/units'

interface Names {
  readonly piece: (id: string) => string
  readonly lesson: (id: string) => string
}

export const ENGLISH = {
  /** As a day is written. */
  day: 'dddd D MMMM',
  shortDay: 'D MMMM',
  list: listInWords,
  onWay: 'Your week is on its way …',
  moment: 'One moment …',
  noConnection: 'No connection just now. Try again in a moment.',
  nothingKept: 'This device keeps nothing more: stay on this page until it says that all is sent.',
  unexpected: 'The server answered something unexpected. Try again.',
  /** By code, what the server says in English itself. */
  refusals: {} as Readonly<Record<string, string>>,
  week: {
    next: 'Next:',
    train: 'Where does the needle go next?',
    trainHint: 'Two minutes, a few motions a day',
    seenFrom: (day: string) => `to be seen from ${day}`,
    done: (count: number, of: number) => `${count} of ${of} done`,
    onNow: 'on now',
    and: ' and ',
    bag: 'In your bag:',
    threadsIn: (kind: string) => `${kind} in`,
    states: { untouched: 'not begun', practising: 'practising', stuck: 'stuck: your teacher sees it', can: 'can do it ✓' },
    waits: (count: number) => `${count} ${count === 1 ? 'thing waits' : 'things wait'} here to be sent.`,
    lost: 'No connection: go on, all of it works.',
  },
  next: (next: WhatNext, { piece, lesson }: Names): string => {
    switch (next.kind) {
      case 'help':
        return `your teacher helps you with ${piece(next.exercise)}${next.step === null ? '' : `, step ${next.step}`}. Go on with another piece meanwhile.`
      case 'catch-up':
        return `catch up: ${piece(next.exercise)}, of ${next.lessons.map(lesson).join(' and ')}.`
      case 'practise':
        return next.minutes > 0 ? `go on with ${piece(next.exercise)}.` : `${piece(next.exercise)}.`
      case 'ahead':
        return `you are ahead, with ${piece(next.exercise)}.`
      case 'ready':
        return `you are ready for ${lesson(next.lesson)}.`
      case 'finished':
        return 'all of it is worked. What is left is finishing.'
    }
  },
  mine: {
    title: 'My page',
    large: 'Large print',
    elsewhere: 'On another device, with your word:',
    notebook: 'My stitch notebook, as a table',
    notebookName: 'my-stitches.csv',
    file: 'Everything that is kept of me, as a file',
    fileName: 'my-practice.json',
    sure: 'Your ticks, minutes and questions are deleted for you and for your teacher.',
    delete: 'Delete all of it',
    keep: 'Keep it',
    deleteAsk: 'Delete everything that is kept of me',
  },
  piece: {
    gone: 'This piece cannot be shown here. Ask your teacher.',
    back: 'Back',
    backToWeek: 'Back to this week',
    lesson: (number: number) => `lesson ${number}`,
    hands: { left: 'Left hand', right: 'Right hand' },
    place: (at: number, of: number) => `${at} of ${of}`,
    stop: 'Stop',
    moving: 'Show it moving',
    turnOver: 'Turn over',
    frontAgain: 'Front again',
    read: 'Read it',
    nextMove: 'Next move',
    canDo: 'I can do this row',
    stuck: 'I am stuck here',
    notStuck: 'Not stuck any more',
    pieces: (count: number, of: number) => `Pieces worked: ${count} of ${of}`,
    pieceNumber: (number: number) => `Piece ${number}`,
    look: 'Look at it',
    front: 'Front:',
    backSide: 'Back:',
    care: (text: string) => `Take care: ${text}`,
    forClass: (count: number) => `For the whole class (${count})`,
    ask: (count: number) => `Ask your teacher${count > 0 ? ` (${count} asked)` : ''}`,
    question: 'Your question',
    send: 'Ask',
    anotherPiece: 'another piece:',
    minutes: (minutes: number) => `${minutes} min`,
    stopTime: 'Stop the time',
    practised: (minutes: number) => `${minutes} min practised`,
    time: 'Time it',
    needlefuls: (count: number, reckoned: number) => `Needlefuls: ${count} of about ${reckoned}`,
    moreNeedlefuls: 'One more needleful',
    fewerNeedlefuls: 'One needleful fewer',
  },
  photo: {
    open: 'Photograph a row',
    backToPiece: 'Back to the piece',
    notThis: 'Rows of this stitch cannot be measured in a photograph. Lay a ruler beside them: your teacher says what to look for.',
    how: ({ row, stitch, card }: { readonly row: string; readonly stitch: string; readonly card: string }): readonly string[] => [
      `Work one row of this stitch, ${row} long, in stitches of ${stitch}.`,
      `Lay the printed card (${card} wide) on the cloth round it, so that it touches the cloth everywhere.`,
      'By a window, without flash, hold the phone flat above it, a hand and a half away. The card fills the picture.',
    ],
    stays: 'The picture stays on this device unless you send it. Only figures are kept, and only when you say so.',
    take: 'Take a picture',
    choose: 'Choose one',
    example: 'See it with a drawn example',
    exampleOnly: 'A drawn example, not your row: nothing of it is kept.',
    looking: 'Measuring …',
    stop: 'Stop',
    unread: 'This is no picture that can be read here. JPEG and PNG can.',
    broken: 'What measures could not be started here. Reload the page and choose the picture again.',
    strip: 'The row, larger than the screen: draw it along',
    touchThread: 'Touch the thread. With the keyboard: the arrows move a cross, Enter touches.',
    touchStitch: 'Touch a stitch to choose it. With the keyboard: the arrows move a cross, Enter chooses.',
    putRight: 'A mark lies beside its stitch?',
    counted: (count: number) => `I count ${count} stitches`,
    oneLess: 'One stitch less',
    oneMore: 'One stitch more',
    notFound: (count: number) =>
      `A row of ${count} does not go with what is seen in the picture: it stays as it was. Count once more, or take another picture.`,
    stitchOf: (at: number, of: number) => `Stitch ${at} of ${of}`,
    stitchBefore: 'The stitch before',
    stitchAfter: 'The next stitch',
    begins: 'Where it begins',
    ends: 'Where it ends',
    earlier: 'Nearer to the row\u2019s beginning',
    later: 'Nearer to the row\u2019s end',
    two: 'These are two',
    oneWithNext: 'One with the next',
    none: 'This is no stitch',
    asMeasured: 'As it was measured',
    window: 'The window of the card, laid flat, with each stitch marked',
    standing: ({ state, rows, offBy }: Standing) =>
      state === 'agrees'
        ? `Your teacher has held ${rows} rows against a ruler: ${(100 * offBy).toFixed(1)} % off on average.`
        : state === 'differs'
          ? `On trial: against a ruler it was ${(100 * offBy).toFixed(1)} % off on average. Lay one beside your row too.`
          : 'On trial: checked on drawn pictures so far, not yet enough against a ruler on cloth.',
    sendIt: 'Send this picture to my teacher',
    dayAndTime: 'D MMMM, HH:mm',
    isGoing: 'Sending …',
    isSent: 'Sent ✓',
    whoSees: 'Only your teacher sees it, only what is in the card\u2019s window, until you take it back.',
    notSent: 'It could not be sent. Try again.',
    sent: (count: number) => (count === 1 ? 'One picture is with your teacher' : `${count} pictures are with your teacher`),
    takeBack: 'Take it back',
    mayShow: 'My class may see it, without my name',
    keep: 'Keep this row',
    kept: 'Kept ✓',
    rows: (count: number) => `Your rows so far (${count})`,
    row: (length: string, spread: string | null) => (spread === null ? `${length}, measured as a whole` : `${length}, varying by ${spread}`),
  },
  train: {
    title: 'Where does the needle go?',
    again: 'once more',
    over: 'That is all for now.',
    nothing: 'Nothing to ask yet.',
    today: 'There are more for today.',
    comesBack: (day: string) => `The next come back on ${day}.`,
    later: 'When a lesson has been taught, its motions are asked here, a few a day.',
    more: 'A few more',
    yes: 'Yes.',
    no: 'Not so.',
    cameOfIt: 'What came of it',
    howItGoes: 'How it goes',
    before: (asks: string) => `The cloth before it. ${asks}`,
    on: 'On',
    place: (letter: string) => `Place ${letter}`,
    placeRight: (letter: string) => `Place ${letter}, right`,
    placeWrong: (letter: string) => `Place ${letter}, not there`,
  },
  join: {
    title: 'Join your class',
    code: 'Code of the class',
    name: 'What you are called',
    hand: 'The hand that holds the needle',
    hands: { left: 'Left', right: 'Right' },
    word: 'A word to come back with',
    wordHint: 'At least four letters. Asked for only on another device.',
    join: 'Join',
    yourClass: 'Your class',
    chooseWord: 'Choose a word to come back with',
    yourWord: 'Your word',
    open: 'Open',
    kept: 'No mail address, no password. Only your teacher sees what you tick and how long you practised; nobody else in the class does. You can take all of it with you or have it deleted whenever you like.',
  },
}

export type LearnWords = typeof ENGLISH
