/** Paths that lie within a guide: the vein, the directions and the holes of a shape, the rails of a band; each by its own id. */
import type { Guide } from './types.ts'

export interface InnerPath {
  readonly id: string
  /** As it is called: "its vein". */
  readonly name: string
  readonly path: string
}

export function innerPaths(guide: Guide): readonly InnerPath[] {
  if (guide.kind === 'shape') {
    const numbered = (id: string, name: string, paths: readonly string[] | undefined): readonly InnerPath[] =>
      (paths ?? []).map((path, index, all) => ({ id: `${id}-${index}`, name: all.length > 1 ? `${name} ${index + 1}` : name, path }))
    return [
      ...(guide.vein === undefined ? [] : [{ id: 'vein', name: 'its vein', path: guide.vein }]),
      ...numbered('direction', 'its direction', guide.directions),
      ...numbered('hole', 'its hole', guide.holes),
    ]
  }
  if (guide.kind !== 'band') return []
  return (guide.rails ?? []).map((path, index) => ({ id: `rail-${index}`, name: index === 0 ? 'its left rail' : 'its right rail', path }))
}

/** The guide with one of them otherwise, or without it (`null`; a band keeps its rails). */
export function withInner(guide: Guide, id: string, path: string | null): Guide {
  const [what = '', which = '0'] = id.split('-')
  const changed = (paths: readonly string[] | undefined): readonly string[] =>
    (paths ?? []).flatMap((one, index) => (index === Number(which) ? (path ?? []) : one))
  if (guide.kind === 'band') return what === 'rail' && path !== null ? { ...guide, rails: changed(guide.rails) } : guide
  if (guide.kind !== 'shape') return guide
  if (what === 'vein') {
    const { vein: _vein, ...rest } = guide
    return path === null ? rest : { ...rest, vein: path }
  }
  const field = what === 'hole' ? 'holes' : 'directions'
  const paths = changed(guide[field])
  const { [field]: _paths, ...rest } = guide
  return paths.length === 0 ? rest : { ...rest, [field]: paths }
}
