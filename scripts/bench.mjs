/** `npm run bench -- run`: builds the measurements and runs one of them. */
import { spawnSync } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureBuilt, ensureServer } from './lib/build.mjs'
import { run } from './lib/run.mjs'

/** What is measured on the whole service. */
const WITH_SERVER = new Set(['beside', 'fuzz', 'hostile', 'killed', 'learners', 'photo-page', 'teachers'])

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const [name = 'run', ...options] = process.argv.slice(2)
if (WITH_SERVER.has(name)) await ensureServer(root)
if (name === 'page' || name === 'photo-page') await ensureBuilt(root)
const { code, output } = await run(process.execPath, [join(root, 'node_modules/vite/bin/vite.js'), 'build'], { cwd: join(root, 'bench'), quiet: true })
if (code !== 0) {
  process.stderr.write(output)
  process.exit(code)
}
process.exit(spawnSync(process.execPath, [join(root, 'bench/dist', `${name}.js`), ...options], { cwd: root, stdio: 'inherit' }).status ?? 1)
