/** Counts as words, and sentences that begin as sentences do. */

/** "1 stitch", "3 stitches". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`
}

/** "rain", "rain and fog", "rain, fog and hail". */
export function listInWords(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) as string}`
}

export function capitalised(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1)
}

const SMALL = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']

/** "one", "two" ... "twelve", then figures. */
export function countWord(count: number): string {
  return SMALL[count] ?? String(count)
}
