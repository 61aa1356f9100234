/** Type check of every project with the native compiler, called by path: two packages own `tsc`. */
import { spawnSync } from 'node:child_process'

const projects = [
  'packages/core/tsconfig.pure.json',
  'packages/contract/tsconfig.pure.json',
  'packages/core',
  'packages/contract',
  'packages/print',
  'apps/server',
  'apps/web',
  'apps/cli',
  'e2e',
  'bench',
]
let failed = false
for (const project of projects) {
  const { status } = spawnSync(process.execPath, ['node_modules/typescript7/bin/tsc', '-p', project], { stdio: 'inherit' })
  if (status !== 0) failed = true
}
process.exit(failed ? 1 : 0)
