/**
 * What is always loaded together is one file. A bundler makes a file of every set of entries that share something, of which a page with
 * forty dialogs that are loaded later has a hundred; each of them costs a browser some milliseconds, in four processes, before it is run.
 */
import { isAbsolute, relative, resolve, sep } from 'node:path'
import { build, type InlineConfig, type Rolldown } from 'vite'

type Chunk = Rolldown.OutputChunk
type Groups = Exclude<Rolldown.OutputOptions['codeSplitting'], boolean | undefined>['groups']

export interface Loads {
  /** Modules that entries of the build begin with and that are loaded together, where one goes to a page. */
  readonly pages: readonly (readonly string[])[]
  /** What is loaded already where any other entry is asked for; empty for what stands by itself. */
  readonly before: (entry: string) => readonly string[]
}

/**
 * How to gather: modules that the very same loads need are one group, so that none loads a byte more than it needs. What needs what is known
 * only of files that are built, for what is left out of modules is known only then: it is built once before, and nothing written. What a file
 * imports is needed wherever the file is, so that no two groups import each other.
 */
export async function gatherChunks(root: string, { pages, before }: Loads, config: InlineConfig): Promise<NonNullable<Groups>> {
  const built = await build({ ...config, root, configFile: false, logLevel: 'error', build: { ...config.build, write: false, minify: false } })
  if (Array.isArray(built) || !('output' in built)) throw new Error('one build was asked for')
  const chunks = new Map(built.output.filter((one): one is Chunk => one.type === 'chunk').map((one) => [one.fileName, one]))
  const entries = new Map([...chunks.values()].flatMap((one) => (one.facadeModuleId === null ? [] : [[fromRoot(root, one.facadeModuleId), one]])))

  const loads = [...pages, ...[...entries.keys()].map((entry) => [...before(entry), entry])].map((load) => {
    const needed = new Set<Chunk>()
    for (const entry of load) addWithImports(entries.get(entry) ?? missing(entry), chunks, needed)
    return needed
  })
  const together = new Map<string, Chunk[]>()
  for (const chunk of chunks.values()) {
    // A page, or a worker: it stays what its page or its address says.
    if (chunk.isEntry) continue
    const neededBy = loads.flatMap((load, index) => (load.has(chunk) ? [index] : [])).join(' ')
    together.set(neededBy, [...(together.get(neededBy) ?? []), chunk])
  }
  return [...together.values()]
    .filter((files) => files.length > 1)
    .map((files) => {
      const modules = new Set(files.flatMap(({ moduleIds }) => moduleIds))
      const [largest] = [...files].sort((a, b) => b.code.length - a.code.length)
      return { name: largest?.name ?? 'shared', test: (id: string) => modules.has(id), includeDependenciesRecursively: false }
    })
}

const missing = (entry: string): never => {
  throw new Error(`no file of the build begins with ${entry}`)
}

const fromRoot = (root: string, module: string): string => (isAbsolute(module) ? relative(resolve(root), module).split(sep).join('/') : module)

function addWithImports(chunk: Chunk, chunks: ReadonlyMap<string, Chunk>, found: Set<Chunk>): void {
  if (found.has(chunk)) return
  found.add(chunk)
  for (const file of chunk.imports) {
    const imported = chunks.get(file)
    if (imported) addWithImports(imported, chunks, found)
  }
}
