/** One mark that is drawn on the cloth before stitching, mm. */
import type { Point } from '../geometry/index.ts'

export type Mark =
  | { readonly kind: 'dot'; readonly at: Point; readonly needle: 'up' | 'down' | 'both' }
  | { readonly kind: 'line'; readonly points: readonly Point[]; readonly closed: boolean }
  | { readonly kind: 'start'; readonly at: Point; readonly towards: Point }
  /** Upright, about its place: a letter, a number of turns. */
  | { readonly kind: 'words'; readonly at: Point; readonly text: string }
