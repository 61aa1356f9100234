/** The motions of the hands as a teacher says them. */
import type { Motion } from '../work/index.ts'

const MOTION_WORDS: Readonly<Record<Motion, string>> = {
  up: 'coming up',
  down: 'going down',
  'shared-hole': 'going back to a used hole',
  'turn-back': 'working backwards',
  split: 'splitting the thread',
  'leave-loop': 'leaving a loop',
  'catch-loop': 'catching the loop',
  'cross-loop': 'crossing the loop',
  'keep-side': 'keeping the thread to one side',
  wrap: 'wrapping the needle',
  'pass-under': 'sliding under a thread',
  'pass-over': 'passing over a thread',
  edge: 'landing on an edge',
  width: 'keeping the width even',
  alternate: 'alternating sides',
  wind: 'winding with the second hand',
  cast: 'casting on the needle',
  stand: 'working on a standing needle',
  weave: 'weaving free of the cloth',
  eight: 'winding a figure of eight',
  angle: 'turning the angle',
  interlock: 'interlocking rows',
  count: 'counting',
  lay: 'laying a thread',
  tie: 'tying a thread down',
  plunge: 'taking a laid end to the back',
  pin: 'setting a pin',
  'round-pin': 'going round a pin',
  bead: 'taking a bead on',
  pad: 'padding',
  withdraw: 'drawing out cloth threads',
  cut: 'cutting the cloth',
}

export function motionWord(motion: Motion): string {
  return MOTION_WORDS[motion]
}
