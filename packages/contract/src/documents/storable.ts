/** What no schema sees and no database keeps: text that is no text, nesting without end. */
import { error, type Problem } from '@lemmata/core/base'

/** MariaDB reads JSON 32 levels deep; a document is kept within an operation within a batch. */
const DEEPEST = 28
/** Half of a letter that takes two units: it cannot be written in UTF-8. */
const HALF_A_LETTER = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/

/** Null where it can be kept. Walked without recursion: hostile nesting must not end the program. */
export function storageProblem(given: unknown): Problem | null {
  const open: { value: unknown; path: readonly (string | number)[] }[] = [{ value: given, path: [] }]
  while (open.length > 0) {
    const { value, path } = open.pop() as (typeof open)[number]
    if (path.length > DEEPEST) return error('document.too-deep', path.slice(0, 6), { levels: DEEPEST })
    if (typeof value === 'string') {
      if (HALF_A_LETTER.test(value)) return error('document.half-letter', path, { where: 'this text' })
    } else if (Array.isArray(value)) for (const [index, one] of value.entries()) open.push({ value: one, path: [...path, index] })
    else if (typeof value === 'object' && value !== null) {
      for (const [key, one] of Object.entries(value)) {
        if (HALF_A_LETTER.test(key)) return error('document.half-letter', path, { where: 'a name' })
        open.push({ value: one, path: [...path, key] })
      }
    }
  }
  return null
}

/** Cut to at most so many units, never within a letter. */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text
  const last = text.charCodeAt(most - 1)
  return text.slice(0, last >= 0xd800 && last <= 0xdbff ? most - 1 : most)
}
