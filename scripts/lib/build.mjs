/** Builds the page, the server and the command when something they are made of is newer than the last build. */
import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { InTheWay, say } from './say.mjs'
import { run } from './run.mjs'

const SHARED = ['packages/core/src', 'packages/contract/src', 'package-lock.json']
const PAGE = {
  name: 'page',
  folder: 'apps/web',
  made: 'dist/index.html',
  from: ['src', 'public', 'index.html', 'vite.config.ts', 'stage-pages.ts', 'gather-chunks.ts'],
}
const SERVER = { name: 'server', folder: 'apps/server', made: 'dist/main.js', from: ['src', 'vite.config.ts', '../../packages/print/src'] }
export const COMMAND = { name: 'command', folder: 'apps/cli', made: 'dist/main.js', from: ['src', 'vite.config.ts', '../../packages/print/src'] }

export async function ensureBuilt(root) {
  await ensurePart(root, PAGE)
  await ensureServer(root)
}

export async function ensureServer(root) {
  await ensurePart(root, SERVER)
}

export async function ensureCommand(root) {
  await ensurePart(root, COMMAND)
}

/** As new as what it is made of. */
export function isBuilt(root, { folder, made, from }) {
  const built = join(root, folder, made)
  const sources = [...from.map((one) => join(root, folder, one)), ...SHARED.map((one) => join(root, one))]
  return existsSync(built) && newest(sources) < statSync(built).mtimeMs
}

async function ensurePart(root, part) {
  if (isBuilt(root, part)) return
  const { name, folder } = part
  say(`Building the ${name} …`)
  const { code, output } = await run(process.execPath, [join(root, 'node_modules/vite/bin/vite.js'), 'build'], {
    cwd: join(root, folder),
    quiet: true,
    patience: 'still building',
  })
  if (code !== 0) throw new InTheWay(`The ${name} could not be built:\n${output}`)
}

function newest(paths) {
  let latest = 0
  for (const path of paths) {
    if (!existsSync(path)) continue
    const stat = statSync(path)
    latest = Math.max(latest, stat.isDirectory() ? newest(readdirSync(path).map((name) => join(path, name))) : stat.mtimeMs)
  }
  return latest
}
