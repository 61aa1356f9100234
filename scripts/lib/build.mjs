/** Builds the page when something it is made of is newer than the last build. */
import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { InTheWay, say } from './say.mjs'
import { run } from './run.mjs'

export async function ensureBuilt(root) {
  const built = join(root, 'apps/web/dist/index.html')
  const sources = [
    'apps/web/src',
    'apps/web/public',
    'apps/web/index.html',
    'apps/web/vite.config.ts',
    'packages/core/src',
    'packages/contract/src',
    'package-lock.json',
  ].map((one) => join(root, one))
  if (existsSync(built) && newest(sources) < statSync(built).mtimeMs) return
  say('Building the page …')
  const { code, output } = await run(process.execPath, [join(root, 'node_modules/vite/bin/vite.js'), 'build'], {
    cwd: join(root, 'apps/web'),
    quiet: true,
    patience: 'still building',
  })
  if (code !== 0) throw new InTheWay(`The page could not be built:\n${output}`)
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
