/** The words of a stitch written in sentences: what each kind of move and placement reads as, and what may be added to it. */
import type { Expression, Move, MoveKind, Place, PointForm } from '@lemmata/core/notation'

/** What may be said of a move beside where it goes: one field of it, with the value it then has. */
export interface Addition {
  readonly field: string
  readonly value: string | boolean
  readonly words: string
}

const WHEN: readonly Addition[] = [
  { field: 'when', value: 'first', words: 'only the first time' },
  { field: 'when', value: 'last', words: 'only the last time' },
  { field: 'when', value: 'not-first', words: 'but not the first time' },
  { field: 'when', value: 'not-last', words: 'but not the last time' },
  { field: 'when', value: 'even', words: 'the first, third, fifth … time' },
  { field: 'when', value: 'odd', words: 'every second time' },
]
const FROM: readonly Addition[] = [
  { field: 'from', value: 'left', words: 'from the left' },
  { field: 'from', value: 'right', words: 'from the right' },
  { field: 'from', value: 'ahead', words: 'from ahead, coming back' },
  { field: 'from', value: 'behind', words: 'from behind, going on' },
  { field: 'from', value: 'near', words: 'from the nearer side' },
]

const ADDITIONS: Partial<Record<MoveKind, readonly Addition[]>> = {
  up: [
    { field: 'round', value: 'inside', words: 'inside the loop' },
    { field: 'round', value: 'cross', words: 'across the loop' },
    { field: 'round', value: 'left', words: 'with the thread to the left' },
    { field: 'round', value: 'right', words: 'with the thread to the right' },
    { field: 'half', value: true, words: 'and leave the needle half out' },
  ],
  down: [
    { field: 'loose', value: true, words: 'leaving a loop' },
    { field: 'plunge', value: true, words: 'as the end of a laid thread' },
  ],
  wrap: [{ field: 'turn', value: 'eight', words: 'in a figure of eight' }],
  cast: [{ field: 'sides', value: 'both', words: 'from both sides in turn' }],
  under: [...FROM, { field: 'round', value: 'inside', words: 'over its own thread: a hitch' }],
  over: FROM,
}

export function additionsFor(kind: MoveKind): readonly Addition[] {
  return [...(ADDITIONS[kind] ?? []), ...WHEN]
}

/** Those that a move has, and the fields that no sentence here can say. */
export function additionsOf(kind: MoveKind, move: Move): { readonly said: readonly Addition[]; readonly unsaid: readonly string[] } {
  const fields = Object.entries(move).filter(([field]) => field !== kind && field !== 'as' && field !== 'split' && !OWN_FIELDS[kind]?.includes(field))
  const all = additionsFor(kind)
  const said = fields.flatMap(([field, value]) => all.find((one) => one.field === field && one.value === value) ?? [])
  return { said, unsaid: fields.map(([field]) => field).filter((field) => !said.some((one) => one.field === field)) }
}

/** Fields that have a place of their own in the sentence. */
const OWN_FIELDS: Partial<Record<MoveKind, readonly string[]>> = { cut: ['size'], round: ['to'], each: ['moves'], drawn: ['by', 'at'], bundle: ['at'] }

/** Where a move goes: `up` and `down` are at a place, the rest are with an amount, a thread or nothing. */
export const MOVE_SENTENCES: Readonly<Record<MoveKind, string>> = {
  up: 'Come up at',
  down: 'Go down at',
  by: 'Lead the thread by',
  under: 'Slide under',
  over: 'Pass over',
  wrap: 'Wind the thread round the needle',
  cast: 'Cast on',
  lay: 'Lay the thread along',
  round: 'Go round',
  each: 'All along',
  hold: 'Keep the thread in front',
  take: 'Take up the thread called',
  drawn: 'Draw in',
  pin: 'Set a pin at',
  bead: 'Take up a bead',
  pad: 'Pad',
  cut: 'Cut the cloth at',
  withdraw: 'Draw out threads',
  bundle: 'Draw cloth threads together',
}

/** How the repeats of a pass lie, as a menu. `start`: what the placement is when it is chosen. */
export interface PlacementWords {
  readonly id: string
  readonly words: string
  readonly start: Place
}

export const PLACEMENTS: readonly PlacementWords[] = [
  { id: 'along', words: 'along the line, every', start: { along: { step: ['L'] } } },
  { id: 'vein', words: 'along the vein of the shape, every', start: { along: { step: ['L'], of: 'vein' } } },
  { id: 'outline', words: 'along the outline of the shape, every', start: { along: { step: ['L'], of: 'outline' } } },
  { id: 'across', words: 'across the shape, every', start: { across: { pitch: 'F' } } },
  { id: 'scatter', words: 'scattered over the shape, apart by', start: { scatter: { apart: 4 } } },
  { id: 'cells', words: 'in every square of the grid,', start: { cells: {} } },
  { id: 'once', words: 'once at every place', start: { once: true } },
  { id: 'whole', words: 'once along the whole line', start: { whole: true } },
  { id: 'times', words: 'from the beginning, so many times:', start: { times: 4 } },
  { id: 'pins', words: 'round each pin', start: { pins: true } },
  { id: 'fan', words: 'over a fan of pins', start: { pins: 'fan' } },
  { id: 'weave', words: 'woven over and under the threads called', start: { weave: { label: 'st', tip: 0.1, beat: 'F' } } },
  { id: 'crossings', words: 'wherever threads cross that are called', start: { crossings: ['st', 'st'] } },
]

export function placementOf(place: Place): PlacementWords {
  const id = 'along' in place ? (place.along.of ?? 'along') : 'pins' in place ? (place.pins === 'fan' ? 'fan' : 'pins') : (Object.keys(place)[0] ?? 'once')
  return PLACEMENTS.find((one) => one.id === id) ?? (PLACEMENTS[0] as PlacementWords)
}

/** The lengths that a placement speaks of, in the order of its sentence. */
export function amountsOf(place: Place): readonly Expression[] {
  if ('along' in place) return place.along.step
  if ('across' in place) return [place.across.pitch]
  if ('scatter' in place) return [place.scatter.apart]
  if ('times' in place) return [place.times]
  return []
}

export function withAmounts(place: Place, amounts: readonly Expression[]): Place {
  const [first = 1] = amounts
  if ('along' in place) return { along: { ...place.along, step: amounts } }
  if ('across' in place) return { across: { ...place.across, pitch: first } }
  if ('scatter' in place) return { scatter: { ...place.scatter, apart: first } }
  if ('times' in place) return { times: first }
  return place
}

/** What a placement has beyond its sentence, as it is said after it. */
export function restOfPlace(place: Place): string {
  const said: string[] = []
  if ('along' in place) {
    const { tail, order, odd, times, inset, rows } = place.along
    if (order === 'reverse') said.push('from the far end back')
    if (odd) said.push('an odd number of times')
    if (times !== undefined) said.push('as many as the thread below has')
    if (inset !== undefined) said.push('a little inside the outline')
    if (rows) said.push('in rows that fill the shape')
    if (tail !== undefined) said.push('the last one reaching as far as it needs')
  }
  if ('across' in place) {
    const { cuts, turn, inset } = place.across
    if (cuts) said.push('in rows that lock into one another')
    if (turn !== undefined) said.push('turned')
    if (inset !== undefined) said.push('a little inside the outline')
  }
  if ('scatter' in place && place.scatter.packed) said.push('shoulder to shoulder')
  return said.join(', ')
}

/** A formula as it is read aloud: names for letters, signs for operators. */
export function inWords(expression: Expression, names: ReadonlyMap<string, string>): string {
  if (typeof expression === 'number') return `${expression}`
  return expression
    .replace(/[A-Za-z]\w*/g, (name) => names.get(name) ?? name)
    .replace(/\s*\*\s*/g, ' × ')
    .replace(/\s*\/\s*/g, ' ÷ ')
    .replace(/(?<=[\w)])\s*-\s*/g, ' − ')
    .replace(/\s*\+\s*/g, ' + ')
    .replace(/^-/, '−')
}

/** What the letters of the materials are called. */
export const MATERIAL_NAMES: ReadonlyMap<string, string> = new Map([
  ['W', 'the thread’s width'],
  ['F', 'its width lying flat'],
  ['D', 'its thickness'],
  ['e', 'right beside'],
  ['p', 'a thread of the cloth'],
  ['w', 'the edge'],
  ['wl', 'the left edge'],
  ['wr', 'the right edge'],
  ['U', 'the whole line'],
  ['size', 'the whole width'],
])

export function placeInWords(form: PointForm, names: ReadonlyMap<string, string>): string {
  if (typeof form === 'string') return NAMED_PLACES.get(form) ?? form
  if ('edge' in form) return `the ${form.edge} edge, leaning back ${form.lean}°`
  if ('cross' in form) return `where ${form.cross[0]} and ${form.cross[1]} cross`
  if ('from' in form) {
    const share = form.mm === undefined ? `${form.at === undefined ? 'half' : inWords(form.at, names)} of the way` : `${inWords(form.mm, names)} mm`
    return `${share} from ${placeInWords(form.from, names)} to ${placeInWords(form.to, names)}`
  }
  const [along, left] = form
  const ahead = isNought(along) ? 'at the beginning of the repeat' : isBack(along) ? `${inWords(positive(along), names)} back` : `${inWords(along, names)} on`
  const aside = isNought(left) ? 'on the line' : isBack(left) ? `${inWords(positive(left), names)} to the right` : `${inWords(left, names)} to the left`
  return `${ahead}, ${aside}`
}

const NAMED_PLACES: ReadonlyMap<string, string> = new Map([
  ['a', 'where the row begins on the outline'],
  ['b', 'where it ends on the outline'],
  ['a+1', 'where the next row begins'],
  ['b+1', 'where the next row ends'],
  ['last', 'the last hole'],
  ['vein', 'the vein'],
  ['tip', 'the tip'],
  ['centre', 'the middle'],
])

function isNought(expression: Expression): boolean {
  return Number(expression) === 0
}
function isBack(expression: Expression): boolean {
  return typeof expression === 'number' ? expression < 0 : /^-[\w.*/ ]+$/.test(expression)
}
function positive(expression: Expression): Expression {
  return typeof expression === 'number' ? -expression : expression.slice(1)
}
