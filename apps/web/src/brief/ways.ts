/** The questions on which teachers differ, the answers, and what follows from each. */
import type { WaysOfWorking } from '@lemmata/core/sampler'

interface Way {
  readonly id: Exclude<keyof WaysOfWorking, 'needlefulMm' | 'fillThenOutline'>
  readonly question: string
  readonly choices: readonly { readonly value: string; readonly label: string; readonly because: string }[]
}

export const WAYS: readonly Way[] = [
  {
    id: 'threadStart',
    question: 'Beginning a thread',
    choices: [
      { value: 'away-knot', label: 'A knot on the front, away from the work', because: 'Cut off later: the back stays flat.' },
      { value: 'knot-behind', label: 'A knot behind', because: 'Easy for a first lesson; may show as a bump under a fill.' },
      { value: 'caught-tail', label: 'A tail caught under the first stitches', because: 'No knot at all; the tail must be held until it is caught.' },
    ],
  },
  {
    id: 'threadEnd',
    question: 'Ending a thread',
    choices: [
      { value: 'woven-under', label: 'Woven under stitches behind', because: 'Flat, and needs a long enough row to weave through.' },
      { value: 'loop-knots', label: 'Two small loop knots', because: 'For short rows with few stitches to go under.' },
    ],
  },
  {
    id: 'split',
    question: 'Splitting the stitch',
    choices: [
      { value: 'from-below', label: 'From below, on the way up', because: 'A row of short stitches behind; the thread’s middle is harder to find.' },
      { value: 'from-above', label: 'From above, on the way down', because: 'You see what you split; behind, long overlapping stitches and more thread.' },
    ],
  },
  {
    id: 'satin',
    question: 'Satin',
    choices: [
      { value: 'wrapped', label: 'Wrapped round behind', because: 'Even and firm; takes nearly twice the thread.' },
      { value: 'turned', label: 'Turned at the edge', because: 'About four tenths less thread; the edge lies flatter and tension is harder to keep.' },
    ],
  },
  {
    id: 'satinOutline',
    question: 'The edge of satin',
    choices: [
      { value: 'before', label: 'Outlined first and covered', because: 'A clean raised edge.' },
      { value: 'after', label: 'Outlined afterwards', because: 'The line hides small slips.' },
      { value: 'none', label: 'Not outlined', because: 'Quickest; the edge shows every stitch.' },
    ],
  },
  {
    id: 'stemThread',
    question: 'The thread of stem stitch',
    choices: [
      { value: 'right', label: 'Kept to the right', because: 'A rope, raised on one side.' },
      { value: 'left', label: 'Kept to the left', because: 'Outline stitch: flatter, and the twist loosens.' },
    ],
  },
  {
    id: 'needle',
    question: 'The needle’s hole',
    choices: [
      { value: 'usual', label: 'Usual', because: 'The size that most tables print.' },
      { value: 'fine', label: 'As small as the thread passes', because: 'Neat on fine cloth; wears the thread, so take it shorter.' },
      { value: 'generous', label: 'Generous', because: 'Opens the path, so the thread arrives unworn; may leave holes in close cloth.' },
      {
        value: 'one',
        label: 'One for everything',
        because: 'An embroidery 7 throughout, but where its eye or the cloth forbids it: less to hand out and to lose.',
      },
    ],
  },
  {
    id: 'handling',
    question: 'The needle’s way',
    choices: [
      { value: 'stab', label: 'Up and down in a tight hoop', because: 'Exact; one step for each hole.' },
      { value: 'sew', label: 'In and out through slack cloth', because: 'Quicker, several stitches on the needle; less thread through the cloth.' },
    ],
  },
]
