/** One document holds several schools of a stitch; choosing one gives a plain document again. */
import type { StitchDocument } from './document.ts'

/** The variant that the ways of working choose, unless one is named. Null for the document as it stands. */
export function chooseVariant(document: StitchDocument, named: string | undefined, ways: Readonly<Record<string, unknown>>): string | null {
  const variants = document.variants ?? {}
  if (named !== undefined) return Object.hasOwn(variants, named) ? named : null
  for (const [id, variant] of Object.entries(variants)) {
    const when = Object.entries(variant.when ?? {})
    if (when.length > 0 && when.every(([way, value]) => ways[way] === value)) return id
  }
  return null
}

/** The document with a variant's parameters and passes put in place of its own. */
export function applyVariant(document: StitchDocument, id: string | null): StitchDocument {
  const variant = id === null ? undefined : document.variants?.[id]
  if (!variant) return document
  return {
    ...document,
    parameters: { ...document.parameters, ...variant.parameters },
    passes: variant.passes ?? document.passes,
  }
}
