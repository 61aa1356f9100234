/** One document holds several schools of a stitch; choosing one gives a plain document again. */
import type { Pass, StitchDocument } from './document.ts'
import type { Rows } from './place.ts'

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
    guide: variant.guide ?? document.guide,
    parameters: { ...document.parameters, ...variant.parameters },
    passes: variant.passes ?? document.passes,
    ...(variant.practice ? { practice: variant.practice } : {}),
    ...(variant.rows ? { rows: variant.rows } : {}),
  }
}

const DEEPEST_BASE = 3

/**
 * A composite as one document: the passes of its base (in the school that the ways of working choose), then
 * its own. Null where a base is not found or bases rest on each other.
 */
export function applyBase(
  document: StitchDocument,
  find: (id: string) => StitchDocument | null,
  ways: Readonly<Record<string, unknown>>,
  depth = 0,
): StitchDocument | null {
  if (document.base === undefined) return document
  const found = depth < DEEPEST_BASE ? find(document.base) : null
  if (!found) return null
  const base = applyBase(applyVariant(found, chooseVariant(found, undefined, ways)), find, ways, depth + 1)
  if (!base) return null
  const { base: _applied, ...own } = document
  return {
    ...own,
    corner: document.corner ?? base.corner,
    parameters: { ...base.parameters, ...document.parameters },
    passes: [...base.passes.map((pass) => inRows(pass, document.rows)), ...document.passes],
  }
}

/** A pass along a line, worked in rows that fill a shape. */
function inRows(pass: Pass, rows: Rows | undefined): Pass {
  if (!rows || !('along' in pass.place)) return pass
  return { ...pass, place: { along: { ...pass.place.along, rows } } }
}
