/** A learner's book in English. */
import { motionWord } from '../order/index.ts'
import { countWord, listInWords } from '../units/index.ts'
import type { BookWords } from './book-words.ts'

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const
const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December']

export const ENGLISH: BookWords = {
  weekdays: WEEKDAYS,
  months: MONTHS,
  day: (weekday, day, month) => `${weekday} ${day} ${month}`,
  onTheWeb:
    'This is the learner\u2019s book as one page. The pattern is not in it: it must be printed at true size. Page numbers are those of the printed book. What you tick and write stays in this browser.',
  lesson: (number) => `Lesson ${number}`,
  cover: {
    kind: (lessons) => (lessons > 1 ? `a stitch-along sampler in ${countWord(lessons)} lessons` : 'a stitch-along sampler'),
    owner: 'This book belongs to',
    hands: ['right hand', 'left hand'],
    drawnFor: { right: 'The steps in this book are drawn for the right hand.', left: 'The steps in this book are drawn for the LEFT hand.' },
    dates: 'We meet',
    noClass: (days) => `No class on ${days}.`,
  },
  foot: {
    hand: { right: 'for the right hand', left: 'for the LEFT hand' },
    printed: (version, day) => (version === null ? `printed ${day}` : `version ${version}, printed ${day}`),
    book: (pages) => `Learner\u2019s book, ${pages} pages and a pattern to trace`,
  },
  before: {
    title: 'Before you begin',
    once: 'Once, before the first lesson.',
    care: 'Take care',
    cautions: [
      'Count your needles out, and count them back in. Keep them in a needle case, never in a sleeve, a chair or the mouth.',
      'Scissors stay closed between cuts, and lie away from the edge of the table.',
      'Children and animals stay away from needles, pins and thread ends.',
      'Moisten thread with water, not in the mouth. Do not share needles.',
      'Look up every 20 minutes. Stand, roll your shoulders, look far away. Stop if your hand or eyes hurt.',
      'Work in good light that falls from the side of the hand that does not sew.',
      'The rules of the place where you work come first.',
    ],
    cloth: 'The cloth',
    cut: (cloth, size) => `${cloth}, cut ${size}. Leave the edge on until the end: it gives you something to pull.`,
    wash: (percent) => `Wash it warm, dry it, press it damp: it shrinks ${percent} %, so do it **before** you mark it.`,
    noWash: 'Do not wash it: press it from behind, under a cloth.',
    edge: 'Fold or oversew the edge so that it does not fray.',
    grain: 'Find the grain: pull one thread near the edge. It runs straight up the cloth.',
    marking: 'Marking',
    trace: [
      'Check the pattern with a ruler: its bar must measure 50 mm.',
      'Tape the pattern to a window or a light pad and the cloth on it, its threads along the cross marked grain.',
      'Trace dots, lines and arrows thinly. Leave out the letters and the broken ring, which is your hoop.',
    ],
    hoop: 'Into the hoop',
    hoopSteps: [
      'Open the screw. Lay the cloth over the inner ring, press the outer ring down over it.',
      'Pull along the threads of the cloth, opposite sides in turn, never on the slant. Tighten.',
      'Tap it: it should sound like a small drum. Take the hoop off every evening.',
    ],
    frame: 'Lace or pin the cloth into the frame along its threads, opposite sides in turn, until it sounds like a small drum.',
    cutting: 'Cutting and parting a thread',
    needleful: (length) => `Cut it as long as from your fingertips to your elbow, about **${length}**. Longer thread fluffs and knots.`,
    parting:
      'Stranded thread is several strands laid together. Hold it near one end and draw one strand straight up and out, then the next; let the rest bunch up and fall. Then lay together as many as the key asks for, ends level. Do this even when it asks for all: they lie flatter.',
    neverParted: '**{threads}: never parted.** Use it as it comes.',
    threading: 'Threading',
    threadSteps: [
      'Cut the end fresh, on the slant, and pinch it flat so that you barely see it.',
      'Bring the **eye to the thread**, not the thread to the eye.',
      'Leave a tail of a hand\u2019s breadth. Slide the needle along it now and then, so that the eye does not wear one place.',
    ],
    begin: 'Beginning',
    beginBy: {
      'away-knot':
        'Make a knot in the end. Go down on the **front**, a hand\u2019s breadth from where you start, so that the knot stays in sight. When the row is done, cut the knot off and weave in the tail behind.',
      'knot-behind': 'Make a small knot in the end and come up from behind, so that it sits on the back of the cloth.',
      'caught-tail': 'Leave 5 cm behind, hold it along the line with a finger, and let the first stitches catch it. Look behind after three: is it caught?',
    },
    end: 'Ending',
    endBy: {
      'woven-under':
        'Turn over while you still have a finger\u2019s length. Slide the needle under **the stitches behind** for two centimetres, back over one and under again. Cut close. No knots behind: they show as bumps.',
      'loop-knots': 'Turn over while you still have a finger\u2019s length. Make two small loop knots into the stitches behind, draw them snug, cut close.',
    },
    unpick: 'Unpicking',
    unpickHow:
      'Everyone unpicks. Take the thread out of the needle and draw the stitches out one by one with the eye. If you must cut, cut **behind**, never on the front. Begin again with a fresh thread.',
    handling: {
      stab: [
        'Two hands',
        'One hand above, one below: the needle goes straight down with one and comes up with the other. It feels slow for two evenings, and is quicker ever after. Rest the hoop on the edge of the table so that both hands are free.',
      ],
      sew: ['One hand', 'Where the cloth is not too tight the needle goes in and out in one move, on the front alone; the other hand holds the work.'],
    },
    terms: 'Words in this book',
    termList: [
      ['exercise', 'one stitch worked on one line or shape. Each has a letter.'],
      ['piece', 'one line or shape of an exercise: what you tick off.'],
      ['strands', 'how many fine threads lie together in your needle.'],
      ['apart', 'the distance from one stitch to the next along the line.'],
      ['needleful', 'one cut length of thread.'],
    ],
  },
  key: {
    title: 'How to read the key',
    once: 'Every exercise has one line like this for each of its threads.',
    columns: ['Piece', 'Part', 'Thread', 'Strands', 'Needle', 'Size'],
    means: [
      ['letter', 'the same letter stands on the pattern'],
      ['part', 'a stitch with two threads has two lines: work the upper one first'],
      ['strands', 'part them all, then lay together so many'],
      ['needle', 'the larger the number, the finer the needle; tapestry needles are blunt'],
      ['size', 'how long one stitch is, and how far apart they stand; dots on the cloth show it'],
    ],
    pictures: 'Pictures of the steps',
    inPictures: [
      '**Small letters** a, b, c name the pictures, in order.',
      '**Figures** 1, 2, 3 name the holes. The large ones are where the needle is now. A hole that is used again keeps its figure.',
      'A broken line runs **behind** the cloth.',
      'All pictures are drawn larger than true: how much is said with each exercise.',
    ],
    pale: 'White and pale thread',
    paleHow: 'It has a dark edge and twist, so that it shows on white paper. Its name stands beside it.',
    minutes: 'Minutes',
    minutesHow:
      'Minutes are for someone who has the knack. **Your first row takes two to three times as long.** That is how hands learn, not a sign that you are slow.',
  },
  kit: {
    title: 'In your kit',
    once: 'Tick it off when you open the bag. Bring the whole bag every time.',
    threads: 'Threads, in the order of use',
    thread: (colour, kind) => `${colour}, ${kind.toLowerCase()}`,
    threadColumns: ['Colour', 'Lessons', 'Lengths'],
    else: 'Everything else',
    hoop: (shape, size) => `**${{ round: 'Hoop', oval: 'Oval hoop, inside', frame: 'Frame, inside' }[shape]}**: ${size}`,
    needles: (names) => `**Needles**: ${names}, one of each`,
    pattern: '**Pattern**, at true size, at the end of this book',
    helps: 'If you like',
    missing:
      '**Something missing?** Another thread of that colour and thickness will do. Any needle that takes the thread without a fight will do. Tell the teacher what you changed.',
    dates: (lessons) => (lessons > 1 ? `The ${countWord(lessons)} lessons` : 'The lesson'),
    dateColumns: ['Date', 'Lesson', 'You learn', 'At home', 'Page'],
    minutes: (minutes) => `${minutes} min`,
  },
  opener: {
    hours: (from, to) => `${from} to ${to}`,
    minutes: (here, home) => (home > 0 ? `${here} min here, ${home} at home` : `${here} min here`),
    twice: (day) => `and ${day}`,
    known: 'You know this already',
    knownOf: (stitch, letter, lesson, motions) => `**${stitch}** (${letter}, lesson ${lesson})${motions === '' ? '' : `: ${motions}`}.`,
    warmUp: (stitch) => `Warm up: four of ${stitch.toLowerCase()} on the edge of your cloth. Look behind: no thread may be pulled.`,
    fresh: 'New today',
    freshOf: (name, letter, stitch, motions) => `**${letter} ${name}**, ${stitch.toLowerCase()}${motions === '' ? '' : `: ${motions}`}.`,
    nothingNew: 'no new motion, in new company',
    firstOfAll: 'the needle goes down and comes up, evenly',
    where: 'Where it lies',
    needle: 'Your needle',
    tick: 'Tick each piece',
    tickColumns: ['Piece', 'Usual', 'Yours'],
    inClass: (name) => `${name}, in class`,
    atHomePart: (name) => `${name}, at home`,
    pieces: (name, count) => `${name}, ${count} pieces`,
    minuteWord: 'min',
    home: (minutes) => `At home, about ${minutes} minutes`,
    homeHow: 'Two short sittings teach more than one long one. Bring what you have, finished or not.',
    ifWell: 'If it goes well, mark less. If not, work a row on the edge of the cloth with a dot for every hole.',
    noClass: (day, why) => (why === '' ? `${day}: no class` : `${day}: no class (${why})`),
    catchUp: (day) => `${day}: we catch up, with nothing new`,
    next: (day, title) => (day === null ? `Next: ${title}` : `Next: ${day}, ${title}`),
    inColours: (kind, colours) => `${kind.toLowerCase()} in ${colours}`,
    bring: (things) => `Bring ${things}.`,
    bringNothing: 'Bring your bag: nothing new is needed.',
    afterThis: 'After this: finishing',
  },
  exercise: {
    of: (name, stitch) => `${name}, in ${stitch.toLowerCase()}`,
    look: 'Look at it',
    slips: 'Slips and cures',
    asBefore: (letter, page) => `Worked step by step as **${letter}**, on page ${page}. Only what stands above is otherwise.`,
    lesson: (number, title) => `Lesson ${number}: ${title}`,
    goodEnough: (mm) => `Good enough? Holes within ${mm} of their marks.`,
    notes: 'Notes',
  },
  finishing: {
    title: 'Finishing',
    bleed: (names) =>
      `**${names} can bleed.** Test first: press a wet white rag on the back for a minute. Colour on it? Do not soak: dab the marks off with a damp cotton bud. Another thread may do it too: when in doubt, test.`,
    steps: [
      'Take the marks off first, by the way they were made: **do not iron before they are gone**, heat sets them for good.',
      'Press from behind on a folded towel, so that knots and chains stay round.',
    ],
    hoop: (cut, felt) =>
      `Back into its hoop: straighten it along the threads. Cut the cloth to a circle of **${cut}**, gather it with running stitches behind and draw it in. Close the back with felt of **${felt}**, oversewn.`,
    unframed: 'Trim the cloth to what its frame or backing needs, and turn or oversew the edge.',
    glue: 'Glue it only where it will never be washed. Hot glue burns fingers: press with a stick, one person at the gun, unplugged when it is left.',
    label: 'Its label',
    labelLines: ['Name', 'Worked by', 'Begun and finished', 'Threads and cloth'],
  },
  index: { title: 'My stitches', columns: ['Stitch', 'Exercise', 'Page'] },
  alt: {
    finished: (name) => `${name}, finished, in its hoop`,
    piece: (name, stitch) => `${name} as it is worked, in ${stitch.toLowerCase()}`,
    whole: (inked) => `The whole sampler in outline; ${listInWords(inked)} inked`,
    step: (holes) =>
      holes.length === 0 ? 'The thread as it lies now' : `The thread as it lies now, with ${holes.length > 1 ? 'holes' : 'hole'} ${listInWords(holes)}`,
  },
  motions: (motions) => listInWords(motions.map(motionWord)),
  tool: (_id, name) => name,
}
