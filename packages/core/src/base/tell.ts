/** Problems in words. Each room has a table of its sentences; a sentence names its figures in braces, or is made of them. */
import type { Figure, Figures, Mm, Told } from './problem.ts'

export type Say = (figure: Figure | undefined) => string
export type Sentence = string | ((figures: Figures, say: Say) => string)
export type Sentences = Readonly<Record<string, Sentence>>

/** What has no sentence is said by its code: a test sees that there is none. */
export function tell({ code, figures }: Told, sentences: Sentences, length: (mm: number) => string): string {
  const say: Say = (figure) => {
    if (figure === undefined) return ''
    if (typeof figure === 'string') return figure
    if (typeof figure === 'number') return String(Number(figure.toFixed(2)))
    if (isList(figure)) return figure.length < 2 ? (figure[0] ?? '') : `${figure.slice(0, -1).join(', ')} and ${figure.at(-1) as string}`
    return isLength(figure) ? length(figure.mm) : tell(figure, sentences, length)
  }
  const sentence = sentences[code]
  if (sentence === undefined) return `${code}.`
  return typeof sentence === 'string' ? sentence.replaceAll(/\{(\w+)\}/g, (_, name: string) => say(figures[name])) : sentence(figures, say)
}

function isList(figure: Figure): figure is readonly string[] {
  return Array.isArray(figure)
}

function isLength(figure: Mm | Told): figure is Mm {
  return 'mm' in figure
}
