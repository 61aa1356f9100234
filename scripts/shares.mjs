/** `node scripts/shares.mjs`: the share of tests in each part; fails where one has fallen under its floor. */
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { shares } from './lib/shares.mjs'

const all = shares(join(dirname(fileURLToPath(import.meta.url)), '..'))
for (const { part, share, floor, enough } of all)
  process.stdout.write(
    `  ${part.padEnd(20)} ${(100 * share).toFixed(1).padStart(5)} % tests${enough ? '' : `, under its floor of ${(100 * floor).toFixed(0)} %`}\n`,
  )
process.exit(all.every((one) => one.enough) ? 0 : 1)
