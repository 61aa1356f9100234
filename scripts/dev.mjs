/** `npm run dev`: the server as in `npm start`, with the page served by Vite and changed as you type. */
import { spawn } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { checkNode, ensurePackages } from './lib/install.mjs'
import { stopWith } from './lib/say.mjs'
import { startService } from './lib/service.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

try {
  checkNode()
  await ensurePackages(root)
  const service = await startService(root, { env: { NODE_ENV: 'development' }, fromSource: true, onExit: (code) => process.exit(code ?? 1) })
  const vite = spawn(process.execPath, [join(root, 'node_modules/vite/bin/vite.js')], {
    cwd: join(root, 'apps/web'),
    stdio: 'inherit',
    env: { ...process.env, LEMMATA_API: service.address },
  })
  process.stdout.write(`  API ${service.address}; sign in ${service.demo.email} with ${service.demo.password}\n`)
  const stop = async () => {
    vite.kill('SIGTERM')
    await service.stop()
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop)
} catch (error) {
  stopWith(error)
}
