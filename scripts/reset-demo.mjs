/** `npm run reset-demo`: the demo teacher's samplers as they were on the first day; nobody else's are touched. */
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureServer } from './lib/build.mjs'
import { checkNode, ensurePackages } from './lib/install.mjs'
import { say, stopWith } from './lib/say.mjs'
import { startService } from './lib/service.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

try {
  checkNode()
  await ensurePackages(root)
  await ensureServer(root)
  const service = await startService(root, { port: 0, env: { RESET_DEMO: '1' } })
  await service.stop()
  say('The demo samplers are as they were on the first day.')
  process.exit(0)
} catch (error) {
  stopWith(error)
}
