/**
 * What one marks cloth with: how wide its line is, on which cloth it shows, how it comes off and whether it surely does. From
 * what teachers say of each kind; brands and batches differ, so every one is tried on a scrap first.
 */

export type MarkRemoval = 'cold-water' | 'by-itself' | 'heat' | 'rubbed' | 'washing' | 'unpicked' | 'stays'

export interface MarkMethod {
  readonly id: string
  readonly name: string
  /** Width of its line, mm; 0: no line is left on the cloth. */
  readonly lineMm: number
  readonly onLight: 'yes' | 'risky' | 'no'
  readonly onDark: 'yes' | 'risky' | 'no'
  readonly removal: MarkRemoval
  /** After it was taken off. */
  readonly left: 'nothing' | 'may-return' | 'something'
  /** It is gone after so many days, whether one is through or not; null: it waits. */
  readonly daysSeen: number | null
  /** The sheet must be the other way round. */
  readonly mirrored: boolean
  /** How the drawing gets onto the cloth: seen through it, pressed or pricked through paper, worked through, or without seeing through. */
  readonly by: 'tracing' | 'pressing' | 'tacking'
}

const method = (
  id: string,
  name: string,
  lineMm: number,
  onLight: MarkMethod['onLight'],
  onDark: MarkMethod['onDark'],
  removal: MarkRemoval,
  left: MarkMethod['left'],
  by: MarkMethod['by'],
  more: Partial<Pick<MarkMethod, 'daysSeen' | 'mirrored'>> = {},
): MarkMethod => ({ id, name, lineMm, onLight, onDark, removal, left, by, daysSeen: null, mirrored: false, ...more })

export const MARK_METHODS: readonly MarkMethod[] = [
  method('water-pen', 'Water-erasable pen', 0.9, 'yes', 'no', 'cold-water', 'may-return', 'tracing'),
  method('white-water-pen', 'White water-erasable pen', 0.9, 'no', 'yes', 'cold-water', 'may-return', 'tracing'),
  method('fading-pen', 'Self-fading pen', 0.9, 'yes', 'no', 'by-itself', 'may-return', 'tracing', { daysSeen: 2 }),
  method('heat-pen', 'Heat-erasable pen', 0.6, 'yes', 'risky', 'heat', 'may-return', 'tracing'),
  method('pencil', 'Hard, sharp pencil', 0.4, 'yes', 'no', 'stays', 'something', 'tracing'),
  method('white-pencil', 'White pencil', 0.5, 'no', 'yes', 'rubbed', 'nothing', 'tracing', { daysSeen: 1 }),
  method('chalk', 'Chalk', 1.5, 'risky', 'yes', 'rubbed', 'nothing', 'tracing', { daysSeen: 0.1 }),
  method('transfer-paper', 'Transfer paper without wax', 0.5, 'yes', 'yes', 'washing', 'something', 'pressing'),
  method('waxed-paper', 'Waxed paper', 0.8, 'risky', 'risky', 'heat', 'something', 'pressing'),
  method('iron-on', 'Iron-on transfer', 0.8, 'yes', 'no', 'stays', 'something', 'pressing', { mirrored: true }),
  method('pounce', 'Pricked and pounced', 0.75, 'yes', 'yes', 'stays', 'something', 'pressing'),
  method('film', 'Wash-away film', 0.3, 'yes', 'yes', 'cold-water', 'nothing', 'pressing'),
  method('tacking', 'Tacked through tissue', 0, 'yes', 'yes', 'unpicked', 'nothing', 'tacking'),
]

export const MARK_METHOD_IDS: readonly string[] = MARK_METHODS.map((one) => one.id)

export const findMarkMethod = (id: string): MarkMethod | null => MARK_METHODS.find((one) => one.id === id) ?? null
