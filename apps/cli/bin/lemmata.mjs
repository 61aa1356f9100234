#!/usr/bin/env node
// The command runs straight from its TypeScript source, so that `npm ci` is all it needs.
import { register } from 'tsx/esm/api'

register()
const { run } = await import('../src/main.ts')
process.exitCode = await run(process.argv.slice(2))
