/** What is drawn on a cloth is drawn in an ink that shows on it: chosen by how light the cloth is. */
import { contrast, luminance, mix } from '../materials/index.ts'

/** Above it dark ink shows better than light ink: at this luminance black and white show alike, 4.58 to 1. */
const HALF = 0.18
const MARKS_LEAST = 3
const WORDS_LEAST = 4.5

export interface Ink {
  /** Marks, guides, handles: at least 3 to 1 against the cloth. */
  readonly marks: string
  /** Numbers, letters, words: at least 4.5 to 1. */
  readonly words: string
  /** What lies under words to part them from thread: the other end of lightness. */
  readonly under: string
  readonly isDark: boolean
}

const known = new Map<string, Ink>()

export function inkOn(cloth: string): Ink {
  const before = known.get(cloth)
  if (before) return before
  const light = luminance(cloth) > HALF
  const made: Ink = {
    marks: firstThatShows(cloth, light ? ['#2E5E9E', '#1d3f7a'] : ['#dfeaf7', '#ffffff'], MARKS_LEAST),
    words: firstThatShows(cloth, light ? ['#1F2A37', '#000000'] : ['#F6F1E7', '#ffffff'], WORDS_LEAST),
    under: light ? '#FFFDF8' : '#1F2A37',
    isDark: !light,
  }
  if (known.size > 500) known.clear()
  known.set(cloth, made)
  return made
}

/** The first that shows; else the last, ever nearer to black or white, one of which shows on any cloth. */
function firstThatShows(cloth: string, inks: readonly string[], least: number): string {
  const found = inks.find((ink) => contrast(ink, cloth) >= least)
  if (found !== undefined) return found
  const end = luminance(cloth) > HALF ? '#000000' : '#ffffff'
  for (let share = 0.1; share < 1; share += 0.1) {
    const ink = mix(inks.at(-1) ?? end, end, share)
    if (contrast(ink, cloth) >= least) return ink
  }
  return end
}

/** The back of the same cloth: a little greyer, for its threads lie the other way. */
export function backOf(cloth: string): string {
  return mix(cloth, '#6f7480', 0.07)
}
