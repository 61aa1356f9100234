#!/usr/bin/env node
// Straight from its TypeScript source, so that `npm ci` is all it needs; from what `npm test` has built, where that is as new.
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { COMMAND, isBuilt } from '../../../scripts/lib/build.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '../../..')
const source = async () => {
  const { register } = await import('tsx/esm/api')
  register()
  return import('../src/main.ts')
}
const { run } = isBuilt(root, COMMAND) ? await import('../dist/main.js') : await source()
process.exitCode = await run(process.argv.slice(2))
