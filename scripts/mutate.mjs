/**
 * `npm run mutate [-- FILE ...]`: breaks the code in every small way a tool knows and sees whether a test fails. Minutes a file, so
 * it is no part of `npm test`; without a file it takes a sample, which takes the better part of an hour.
 */
import { spawnSync } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
/** One file of several rooms: rules, geometry, judgement, what is refused, what is written. */
const SAMPLE = [
  'packages/core/src/order/rests-on.ts',
  'packages/core/src/order/cost.ts',
  'packages/core/src/guide/rails.ts',
  'packages/core/src/materials/fit-needle.ts',
  'packages/core/src/exercise/check-lengths.ts',
  'packages/contract/src/operations/apply.ts',
  'packages/contract/src/documents/storable.ts',
  'apps/server/src/documents/write.ts',
]
const files = process.argv.slice(2)
const stryker = join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js')
const { status } = spawnSync(process.execPath, [stryker, 'run', '--mutate', (files.length > 0 ? files : SAMPLE).join(',')], { cwd: root, stdio: 'inherit' })
process.exit(status ?? 1)
