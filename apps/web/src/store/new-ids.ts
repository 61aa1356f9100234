/** Ids for what is made in this page: short, and never met before. */
import type { NewIds } from '@lemmata/core/layout'

export function newId(letter: string): string {
  return `${letter}-${crypto.randomUUID().slice(0, 8)}`
}

export function newIds(): NewIds {
  return { guide: newId('g'), exercise: newId('e') }
}
