/** `node scripts/licences.mjs`: writes docs/licences.md anew from the lock. */
import { writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { licencesInWords } from './lib/licences.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
writeFileSync(join(root, 'docs/licences.md'), licencesInWords(root))
