import { readFileSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { basename, join } from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress } from 'node:zlib'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin, type Rolldown } from 'vite'
import { compress } from 'wawoff2'
import { gatherChunks, type Loads } from './gather-chunks.ts'
import { stagePages } from './stage-pages.ts'

const compressBrotli = promisify(brotliCompress)

/** `font.ttf?woff2`: the whole face as WOFF2, a third of its size, so that page and paper have the very same letters. */
function woff2(): Plugin {
  return {
    name: 'woff2',
    enforce: 'pre',
    apply: 'build',
    async load(id) {
      const [file, query] = id.split('?')
      if (query !== 'woff2' || !file) return null
      const source = await compress(readFileSync(file))
      const reference = this.emitFile({ type: 'asset', name: basename(file).replace(/\.ttf$/, '.woff2'), source })
      return `export default import.meta.ROLLUP_FILE_URL_${reference}`
    },
  }
}

/** Each file beside itself as small as it can be made: done once here, not at every visit. A phone's first visit is a seventh smaller. */
function brotli(): Plugin {
  return {
    name: 'brotli',
    apply: 'build',
    async writeBundle({ dir = '' }, bundle) {
      const files = Object.keys(bundle).filter((name) => /\.(js|css)$/.test(name))
      await Promise.all(files.map(async (name) => writeFile(join(dir, `${name}.br`), await compressBrotli(await readFile(join(dir, name))))))
    },
  }
}

/** While the page is worked on, the file as it is. */
function plainFonts(): Plugin {
  return {
    name: 'plain-fonts',
    enforce: 'pre',
    apply: 'serve',
    resolveId(source, importer) {
      return source.endsWith('.ttf?woff2') ? this.resolve(source.replace('?woff2', '?url'), importer) : null
    },
  }
}

/**
 * `thing.worker.ts?beside-page`: the address of a worker built in one graph with the page, so that what both need (the
 * computation, the stitches) is one file, loaded and kept once.
 */
function besidePage(): Plugin {
  let isBuild = false
  return {
    name: 'beside-page',
    enforce: 'pre',
    configResolved: ({ command }) => {
      isBuild = command === 'build'
    },
    async resolveId(source, importer) {
      const [file, query] = source.split('?')
      if (query !== 'beside-page' || !file) return null
      if (!isBuild) return this.resolve(`${file}?worker&url`, importer)
      const found = await this.resolve(file, importer)
      return found && `${found.id}?beside-page`
    },
    load(id) {
      const [file, query] = id.split('?')
      if (query !== 'beside-page' || !file) return null
      const reference = this.emitFile({ type: 'chunk', id: file, name: basename(file, '.ts') })
      return `export default import.meta.ROLLUP_FILE_URL_${reference}`
    },
  }
}

const STAGES = {
  brief: 'brief/BriefStage.tsx',
  stitches: 'stitches/StitchesStage.tsx',
  order: 'order/OrderStage.tsx',
  cloth: 'cloth/ClothStage.tsx',
  thread: 'thread/ThreadStage.tsx',
  kit: 'kit/KitPage.tsx',
  calendar: 'calendar/CalendarStage.tsx',
  teach: 'teach/TeachPage.tsx',
  class: 'class/ClassStage.tsx',
  sheets: 'sheets/SheetsStage.tsx',
}

const SAMPLER = ['index.html', 'src/Inside.tsx', 'src/sampler/SamplerPage.tsx']
/** Run before the page's own code where a sampler is shown. */
const BEGIN = 'src/compute/begin.ts'

/** Files in the folder of stages, by whose names the server finds them; what each needs is what `routes.tsx` asks for there. */
const pages = Object.fromEntries(Object.entries(STAGES).map(([stage, module]) => [`stages/${stage}.html`, [...SAMPLER.slice(1), `src/${module}`]]))

/** What is loaded together, as `routes.tsx` has it: a page for a teacher, and what is asked for later on it; a learner's page, and the same. */
const LOADS: Loads = {
  pages: [
    ['index.html', 'src/account/SignIn.tsx'],
    ...['shelf/Shelf.tsx', 'stores/StoresPage.tsx', 'account/Account.tsx'].map((module) => ['index.html', 'src/Inside.tsx', `src/${module}`]),
    ...Object.values(STAGES).map((module) => [BEGIN, ...SAMPLER, `src/${module}`]),
  ],
  before: (entry) => {
    if (entry.endsWith('.html') || entry === BEGIN || /worker\.ts$/.test(entry)) return []
    return /^src\/(learn|photo)\/|\/prose\//.test(entry) ? ['learn.html'] : SAMPLER
  },
}

/** Learners' phones load a page of their own, without what only a teacher needs. */
const input = { index: 'index.html', begin: BEGIN, learn: 'learn.html', 'learn-worker': 'src/learn/learn-worker.ts' }
// It does not say so of itself: what is not asked of it (cutting by rectangles, triangles) need not be loaded.
const treeshake: Rolldown.TreeshakingOptions = { moduleSideEffects: [{ test: /[\\/]clipper2-ts[\\/]/, sideEffects: false }] }
/** What changes only with what it is made from, apart from what changes with every version. */
const lasting = { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler)[\\/]/, priority: 1 }

export default defineConfig(async ({ command }) => ({
  plugins: [
    react(),
    woff2(),
    plainFonts(),
    besidePage(),
    stagePages({ from: 'index.html', before: BEGIN, worker: 'src/compute/work.worker.ts', pages }),
    brotli(),
  ],
  build: {
    chunkSizeWarningLimit: 1400,
    // Every browser that runs the rest of it fetches modules ahead by itself.
    modulePreload: { polyfill: false as const },
    rolldownOptions: {
      treeshake,
      input,
      output: {
        // A service worker keeps its address: it is asked for again there, and stands above what it keeps.
        entryFileNames: ({ name }: { readonly name: string }) => (name === 'learn-worker' ? '[name].js' : 'assets/[name]-[hash].js'),
        codeSplitting: { groups: command === 'build' ? [lasting, ...(await gathered())] : [] },
      },
    },
  },
  server: { proxy: { '/api': process.env.LEMMATA_API ?? 'http://127.0.0.1:4780' } },
}))

const gathered = () =>
  gatherChunks(import.meta.dirname, LOADS, {
    plugins: [react(), besidePage()],
    build: { rolldownOptions: { treeshake, input, output: { codeSplitting: { groups: [lasting] } } } },
  })
