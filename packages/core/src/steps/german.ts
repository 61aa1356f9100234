/** The words of steps in German, in the infinitive as its manuals have them. */
import { isCast } from '../work/index.ts'
import type { Direction, PhraseTable, SaidHole, Side, Where } from './phrases.ts'

const ORDINALS = ['erste', 'zweite', 'dritte', 'vierte', 'fünfte']
const COUNTS = ['kein', 'ein', 'zwei', 'drei', 'vier', 'fünf', 'sechs', 'sieben', 'acht', 'neun', 'zehn', 'elf', 'zwölf']
const countOf = (count: number): string => COUNTS[count] ?? String(count)
const Big = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`

const TOWARDS: Readonly<Record<Direction, string>> = {
  up: 'von sich weg',
  down: 'zu sich hin',
  left: 'nach links',
  right: 'nach rechts',
  'up-left': 'nach links oben',
  'up-right': 'nach rechts oben',
  'down-left': 'nach links unten',
  'down-right': 'nach rechts unten',
}
const FROM: Readonly<Record<Direction, string>> = {
  up: 'von oben',
  down: 'von unten',
  left: 'von links',
  right: 'von rechts',
  'up-left': 'von links oben',
  'up-right': 'von rechts oben',
  'down-left': 'von links unten',
  'down-right': 'von rechts unten',
}
const CORNER: Readonly<Record<Direction, string>> = {
  up: 'oben',
  down: 'unten',
  left: 'links',
  right: 'rechts',
  'up-left': 'links oben',
  'up-right': 'rechts oben',
  'down-left': 'links unten',
  'down-right': 'rechts unten',
}
const EDGE: Readonly<Record<Direction, string>> = {
  up: 'auf der oberen Kante',
  down: 'auf der unteren Kante',
  left: 'auf der linken Kante',
  right: 'auf der rechten Kante',
  'up-left': 'auf der Kante links oben',
  'up-right': 'auf der Kante rechts oben',
  'down-left': 'auf der Kante links unten',
  'down-right': 'auf der Kante rechts unten',
}
const BESIDE_LINE: Readonly<Record<Side, string>> = {
  up: 'oberhalb der Linie',
  down: 'unterhalb der Linie',
  left: 'links der Linie',
  right: 'rechts der Linie',
}
const KEPT = { ...BESIDE_LINE, outer: 'auf der Außenseite des Bogens', inner: 'auf der Innenseite des Bogens' } as const
const RAIL: Readonly<Record<Side, string>> = { up: 'oberen', down: 'unteren', left: 'linken', right: 'rechten' }
const STRAIGHT: Readonly<Record<Side, string>> = { up: 'genau über', down: 'genau unter', left: 'genau links von', right: 'genau rechts von' }
const LIES: Readonly<Record<Direction, string>> = {
  up: 'gerade nach oben',
  down: 'gerade nach unten',
  left: 'nach links',
  right: 'nach rechts',
  'up-left': 'schräg nach links oben',
  'up-right': 'schräg nach rechts oben',
  'down-left': 'schräg nach links unten',
  'down-right': 'schräg nach rechts unten',
}
const LAID_BESIDE: Readonly<Record<Side, string>> = { up: 'oberhalb', down: 'unterhalb', left: 'links', right: 'rechts' }
const PULL: Readonly<Record<Side, string>> = { up: 'von sich weg', down: 'zu sich hin', left: 'nach links', right: 'nach rechts' }
const HAND = { left: 'linken', right: 'rechten' } as const

/** In the accusative with its article, and several of them. */
const NOUNS: Readonly<Record<string, readonly [one: string, many: string]>> = {
  bar: ['den Steg', 'Stege'],
  spoke: ['die Speiche', 'Speichen'],
  loop: ['die Schlinge', 'Schlingen'],
  link: ['das Glied', 'Fäden des letzten Gliedes'],
  laid: ['den Legefaden', 'Legefäden'],
  across: ['den Legefaden', 'Legefäden'],
  w: ['den Faden', 'Fäden'],
  thread: ['den Faden', 'Fäden'],
  crossing: ['die Kreuzung', 'Kreuzungen'],
  run: ['den Vorstich', 'Vorstiche'],
  arm: ['den Arm', 'Arme'],
}
const nounOf = (label: string): string => NOUNS[label]?.[0] ?? 'den Stich'
const nounsOf = (label: string): string => NOUNS[label]?.[1] ?? 'Stiche'

function whereIn(where: Where): string {
  switch (where.at) {
    case 'line':
      return 'auf der Linie'
    case 'middle-line':
      return 'auf der Mittellinie'
    case 'centre':
      return 'in der Mitte'
    case 'rim':
      return 'auf dem Ring'
    case 'vein':
      return 'auf der Mittelader'
    case 'past-vein':
      return 'knapp jenseits der Mittelader'
    case 'inside':
      return 'innerhalb des Rings'
    case 'outside':
      return 'außerhalb des Rings'
    case 'base':
      return 'auf der Grundlinie'
    case 'stitch-end':
      return 'dort, wo ein Stich endet'
    case 'beside-line':
      return BESIDE_LINE[where.side]
    case 'rail':
      return `auf der ${RAIL[where.side]} Kante`
    case 'inside-rail':
      return `innerhalb der ${RAIL[where.side]} Kante`
    case 'edge':
      return EDGE[where.side]
    case 'corner':
      return CORNER[where.side]
    case 'straight':
      return `${STRAIGHT[where.side]} ${where.hole}`
    case 'further':
      return where.whole ? 'eine Stichlänge weiter' : 'ein wenig weiter'
    case 'back':
      return where.whole ? 'eine Stichlänge zurück' : 'ein wenig zurück'
    case 'half-back':
      return 'auf halbem Weg zurück'
  }
}

/** "bei 2, eine Stichlänge weiter," before a verb. */
function at(hole: SaidHole): string {
  const places = [...(hole.number === null ? [] : [`${hole.again ? 'wieder ' : ''}bei ${hole.number}`]), ...hole.where.map(whereIn)]
  return places.length > 1 ? `${places.join(', ')},` : (places[0] ?? (hole.again ? 'wieder' : ''))
}

const tidy = (text: string): string =>
  Big(
    text
      .replace(/ {2,}/g, ' ')
      .replace(/ +([,.;])/g, '$1')
      .trim(),
  )
const WAYS = { over: 'darüber', under: 'darunter' } as const

export const GERMAN: PhraseTable = {
  up: ({ hole, begins, split, inLoop }) =>
    tidy(
      inLoop
        ? `${at(hole)} innerhalb der Schlinge ausstechen und ziehen, bis sie locker anliegt.`
        : split
          ? `${at(hole)} durch das Ende des Stichs ausstechen und den Faden dabei teilen.`
          : begins
            ? `${at(hole)} ausstechen und den Faden durchziehen.`
            : `${at(hole)} ausstechen.`,
    ),
  down: ({ hole, how, last }) => {
    const go = last ? 'zum Schluss ' : ''
    switch (how) {
      case 'plain':
        return tidy(`${go}${at(hole)} einstechen.`)
      case 'over-loop':
        return tidy(`${go}${at(hole)} knapp über die Schlinge hinweg einstechen, damit sie hält.`)
      case 'loose':
        return tidy(`${go}${at(hole)} einstechen und vorne eine Schlinge lassen.`)
      case 'plunge':
        return tidy(`das Ende des Legefadens ${at(hole)} mit einer dicken Nadel auf die Rückseite ziehen.`)
      case 'split':
        return tidy(`${go}${at(hole)} mitten durch den letzten Stich einstechen.`)
    }
  },
  straight: ({ from, to, split, tie, over, toward }) => {
    const over_ = tie ? ` ${tie === 'slanting' ? 'schräg ' : ''}über ${nounOf(over)} hinweg` : ''
    return tidy(
      `${at(from)} ${split ? 'durch das Ende eines Stichs ausstechen und ihn dabei teilen' : 'ausstechen'}, ${at(to)}${over_}${toward ? ` ${LIES[toward]}` : ''} einstechen.`,
    )
  },
  sew: ({ in: entry, out, split }) => tidy(`${at(entry)} ein-, ${at(out)} ausstechen${split ? ' und den Stich dabei teilen' : ''}.`),
  points: ({ direction }) => `Die Nadel zeigt ${TOWARDS[direction]}.`,
  keep: ({ side, hand }) => `Den Faden mit dem ${HAND[hand]} Daumen ${KEPT[side]} halten.`,
  'loop-held': ({ side, hand }) => `Den Faden mit dem ${HAND[hand]} Daumen als Schlinge ${PULL[side]} halten.`,
  'wound-before': () => 'Zuerst den Faden einmal um die Nadel führen.',
  'loop-under': () => 'Der Faden liegt unter der Nadelspitze.',
  'loop-crossed': () => 'Der Faden kreuzt sich und liegt unter der Nadelspitze.',
  'loop-knots': () => 'Der Faden liegt auf der Linie, unter der Nadel, und als Schlinge unter ihrer Spitze.',
  'draw-bow': () => 'Durchziehen und einen gleichmäßigen Bogen stehen lassen.',
  'pin-out': () => 'Vor den letzten Reihen die Stecknadel herausziehen.',
  length: ({ long }) => (long ? 'Das ist ein langer Stich.' : 'Das ist ein kurzer.'),
  'wound-at-point': () => 'Ihn einmal um die Spitze wickeln.',
  'draw-loop': ({ direction }) => `${Big(PULL[direction])} ziehen, bis die Schlinge locker anliegt, nicht fester.`,
  'draw-loop-open': () => 'Die Schlinge locker lassen: der nächste Stich geht auch hinein.',
  'draw-flat': () => 'Anziehen, bis der Stich flach liegt, nicht fester.',
  'draw-easy': () => 'Durchziehen und den Stich locker liegen lassen.',
  'draw-knot': () => 'Behutsam ziehen, bis der Knoten sich schließt.',
  'half-out': ({ in: entry, out }) =>
    `${tidy(`${at(entry)} ein-, ${at(out)} neben dem Faden und nicht durch ihn ausstechen.`)} Die Nadel halb stecken lassen, nicht durchziehen.`,
  pass: ({ side, under, count, again, over }) => {
    const what = count > 1 ? `${countOf(count)} ${nounsOf(under)}` : nounOf(under)
    return `${again ? 'Noch einmal die' : 'Die'} Nadel ${FROM[side]} ${over ? 'über' : 'unter'} ${what} ${over ? 'hinwegführen' : 'durchschieben'}, ohne in den Stoff zu stechen.`
  },
  hitch: () => 'Den Faden so halten, dass er unter der Nadelspitze liegt.',
  'draw-pass': ({ hitch, drawsIn, direction }) =>
    drawsIn
      ? `${Big(PULL[direction])} ziehen, bis der Faden anliegt und das Umschlungene an seinen Platz zieht.`
      : hitch
        ? `${Big(PULL[direction])} ziehen, bis die Schlinge sich zum Knoten schließt.`
        : `${Big(PULL[direction])} ziehen, bis der Faden anliegt, ohne ihn zu verbiegen.`,
  weave: ({ ways, first, round }) => {
    const row = (ways.length > 7 ? ways.slice(0, 4) : ways).map((one) => WAYS[one]).join(', ')
    const said = ways.includes('over') ? `${Big(row)}${ways.length > 7 ? ' und so weiter' : ''}` : 'Jedes Mal über eine zurück und unter zweien durch'
    return first
      ? `${said}: ${round ? 'einmal rundum' : 'eine Reihe'}, nicht in den Stoff, mit dem Öhr voran oder mit einer stumpfen Nadel.`
      : `${said}: was oben lag, liegt nun unten. Dicht heranschieben.`
  },
  'wind-first': ({ hand, how, half }) => {
    if (isCast(how))
      return `${how === 'cast-both' ? 'Zwei Fäden, einer für jede Seite. ' : ''}${half ? '' : 'Den Faden ausfädeln und die Nadel dicht daneben in den Stoff stecken. '}Mit dem ${HAND[hand]} Zeigefinger eine gekreuzte Schlinge drehen, auf die Nadel schieben und herunterziehen: ein Anschlag. Er muss gleiten.`
    if (how === 'eight') return `Den Faden mit der ${HAND[hand]} Hand straff halten. Die Nadel darunterschieben: der Faden liegt über der Nadel.`
    return half
      ? 'Den Faden dicht am Stoff um die Nadelspitze wickeln, immer in derselben Richtung.'
      : `Den Faden mit der ${HAND[hand]} Hand straff halten, etwa 25 mm über dem Stoff. Die Nadel anlegen und den Faden einmal um sie führen.`
  },
  'wind-all': ({ how, turns, half }) => {
    if (how === 'eight')
      return 'Nahe der Spitze noch einmal über die Nadel, dazwischen darunter zurück und über den eigenen Bogen: eine Acht. Dicht zusammenziehen.'
    if (how === 'cast-both') return `Abwechselnd von der einen und der anderen Seite anschlagen, jeden dicht am letzten: ${turns} im Ganzen.`
    if (how === 'cast') return `Weiter anschlagen, alle gleich gedreht und dicht aneinander: ${turns} im Ganzen.`
    return half
      ? `${Big(countOf(turns))} Windungen, nebeneinander und nie gekreuzt: so lang, wie der Stich werden soll, und eine mehr.`
      : turns > 1
        ? `${Big(countOf(turns))} Windungen, nebeneinander und nicht gekreuzt. Den Faden von jetzt an straff halten.`
        : 'Eine Windung. Den Faden von jetzt an straff halten.'
  },
  'wind-in': ({ hole, beside, how }) => {
    if (isCast(how)) return 'Den Faden wieder einfädeln, während die Nadel im Stoff steht.'
    return `Die Nadel aufrichten und ihre Spitze ${at(hole)} ${beside ? 'dicht daneben und nie in dasselbe Loch' : 'so weit entfernt, wie der Stiel lang werden soll,'} einstechen. ${how === 'eight' ? 'Den Knoten' : 'Die Windungen'} bis auf den Stoff ziehen: eng, nicht fest.`.replace(
      / {2,}/g,
      ' ',
    )
  },
  'wind-through': ({ hand, half, hole, how }) => {
    const what = isCast(how) ? 'Die Anschläge' : how === 'eight' ? 'Den Knoten' : 'Die Windungen'
    if (half)
      return `${what} mit ${HAND[hand] === 'linken' ? 'linkem' : 'rechtem'} Daumen und Finger festhalten und die Nadel hindurchziehen. Weiterziehen: sie drehen sich um und legen sich hin. ${tidy(`${at(hole)} einstechen.`)}`
    if (isCast(how))
      return `${what} locker halten und die Nadel durch den Stoff nach unten schieben. Von hinten ziehen, bis sie dicht sitzen: der Stiel steht frei.`
    return 'Den Daumen auf den Faden, die Nadel gerade hindurch nach unten schieben. Den Faden nachziehen; den Daumen erst zuletzt heben.'
  },
  lay: () => 'Den Faden locker und unverdreht auf die Linie legen. Sein anderes Ende frei lassen.',
  lead: () => 'Den Faden so auf den Stoff legen, wie er hier gezeichnet ist, locker und nicht gerade gezogen.',
  round: () => 'Den Faden unter dem Kopf um die Stecknadel führen. Locker, nicht gespannt.',
  pin: () => 'Eine Stecknadel an der Spitze ein-, auf der Grundlinie ausstechen, ihre eigene Spitze wieder in den Stoff und von den Händen weg.',
  bead: () => 'Eine Perle auffädeln und bis zum Stoff schieben.',
  pad: () => 'Die Unterlage legen; darüber wird gestickt.',
  cut: () => 'Hier den Stoff öffnen: zweimal zählen, denn es lässt sich nicht rückgängig machen. Die Scherenspitze im Blick behalten.',
  withdraw: () => 'Die gezählten Fäden zwischen den beiden Linien aus dem Stoff ziehen: es lässt sich nicht rückgängig machen.',
  hold: () => 'Den Faden in der Hand behalten.',
  same: ({ times, kept, loop, touching, row, pieces }) => {
    const more = pieces
      ? `Daneben neu beginnen, ${pieces === 'sharing' ? 'in gemeinsamen Löchern' : 'in eigenen Löchern'}${times > 1 ? `, ${times}-mal` : ''}`
      : row
        ? 'Ebenso bis zum Ende der Reihe'
        : `Ebenso noch ${times === 1 ? 'einmal' : `${times}-mal`}`
    return `${more}${touching ? ', jeder dicht am letzten' : ''}${kept ? `, den Faden immer ${KEPT[kept]}` : loop ? ', den Faden immer unter der Nadelspitze' : ''}.`
  },
  'new-row': ({ row }) => `Die ${ORDINALS[row - 1] ?? `${row}.`} Reihe.`,
  'laid-beside': ({ side }) => `Ihn beim Anziehen ${LAID_BESIDE[side]} neben die anderen legen.`,
  ends: () => 'Den Faden auf die Rückseite ziehen und vernähen.',
  'pass-begins': ({ name }) => `Nun ${name}.`,
}
