/** Lines of a model in CPLEX LP format, which allows 560 characters a line. */
const LONGEST = 400

/** Terms of one sum, over as many lines as they need. */
export function inLines(terms: readonly string[]): string {
  const lines: string[] = []
  for (const term of terms) {
    const last = lines.at(-1)
    if (last === undefined || last.length + term.length > LONGEST) lines.push(term)
    else lines[lines.length - 1] = `${last} + ${term}`
  }
  return lines.join('\n + ')
}
