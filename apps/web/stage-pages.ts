/** A page for each address that has much to load: everything its address needs is in its head, and sent for at once. */
import { relative, sep } from 'node:path'
import type { Plugin } from 'vite'

type Bundle = Parameters<Extract<NonNullable<Plugin['generateBundle']>, { handler: unknown }>['handler']>[1]
type Chunk = Extract<Bundle[string], { type: 'chunk' }>

export interface StagePages {
  /** The page that the others begin as. */
  readonly from: string
  /** Module that is run before the page's own, as soon as it has come: an entry of the build. */
  readonly before: string
  /** Module of the worker that is begun by it: asked for only then, it would wait behind all that the page loads. */
  readonly worker: string
  /** By the file that is made: modules that its address asks for when the code of the page runs. */
  readonly pages: Readonly<Record<string, readonly string[]>>
}

/**
 * Without it a stage is sent for when the page's own code has come and runs, a third of a second later on a small machine. Only what
 * would be asked for a moment later is named, so that nobody loads a byte more. Styles are left to be asked for in their order.
 */
export function stagePages({ from, before, worker, pages }: StagePages): Plugin {
  let root = ''
  return {
    name: 'stage-pages',
    apply: 'build',
    enforce: 'post',
    configResolved: (config) => {
      root = config.root
    },
    generateBundle: {
      order: 'post',
      handler(_options, bundle) {
        const chunks = Object.values(bundle).filter((one): one is Chunk => one.type === 'chunk')
        const chunkOf = (module: string): Chunk => {
          const found = chunks.find(({ facadeModuleId }) => facadeModuleId !== null && relative(root, facadeModuleId).split(sep).join('/') === module)
          return found ?? this.error(`no chunk begins with ${module}`)
        }
        const page = bundle[from]
        if (page?.type !== 'asset') return this.error(`no page ${from}`)
        const html = String(page.source)
        const [own = ''] = /[ \t]*<script type="module"/.exec(html) ?? this.error(`no script in ${from}`)
        // In front of everything else, for it is small and what it begins takes longest.
        const first = [...withImports(chunkOf(worker), bundle, withImports(chunkOf(before), bundle))].map((file, index) =>
          index === 0 ? `<script type="module" async crossorigin src="/${file}"></script>` : preload(file),
        )
        for (const [fileName, modules] of Object.entries(pages)) {
          const needed = new Set(modules.flatMap((module) => [...withImports(chunkOf(module), bundle)]))
          const links = [...needed].map(preload).filter((link) => !html.includes(link) && !first.includes(link))
          const source = html
            .replace(own, `${first.map((one) => `    ${one}\n`).join('')}${own}`)
            .replace('  </head>', `${links.map((one) => `    ${one}\n`).join('')}  </head>`)
          this.emitFile({ type: 'asset', fileName, source })
        }
      },
    },
  }
}

const preload = (file: string): string => `<link rel="modulepreload" crossorigin href="/${file}">`

function withImports(chunk: Chunk, bundle: Bundle, found = new Set<string>()): Set<string> {
  if (found.has(chunk.fileName)) return found
  found.add(chunk.fileName)
  for (const file of chunk.imports) {
    const imported = bundle[file]
    if (imported?.type === 'chunk') withImports(imported, bundle, found)
  }
  return found
}
