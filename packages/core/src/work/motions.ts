/** What the hands do, each kind counted while a stitch is worked. */
export const MOTIONS = [
  'up',
  'down',
  'shared-hole',
  'turn-back',
  'split',
  'leave-loop',
  'catch-loop',
  'cross-loop',
  'keep-side',
  'wind', // the second hand takes the thread up to wind it
  'wrap',
  'cast',
  'stand', // the needle stands in the cloth and is threaded there
  'eight',
  'pass-under',
  'pass-over',
  'alternate', // from the other side than the last time
  'weave', // over and under in turn, with nothing fixed
  'edge',
  'width', // a hole off the line, at an even distance from it
  'angle',
  'interlock',
  'count',
  'lay',
  'tie',
  'plunge',
  'pin',
  'round-pin',
  'bead',
  'pad',
  'withdraw',
  'cut',
] as const

export type Motion = (typeof MOTIONS)[number]
export type MotionCounts = Readonly<Partial<Record<Motion, number>>>
