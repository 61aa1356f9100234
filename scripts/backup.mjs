/** `npm run backup [-- FILE]`: everything that is kept as one file, also while it runs. */
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { backup } from './lib/backup.mjs'
import { say, stopWith } from './lib/say.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

try {
  const [file] = process.argv.slice(2)
  say(
    `Everything is in ${await backup(join(root, '.data'), file && resolve(file))}. Keep it on another machine: it holds all that people have entrusted to you.`,
  )
  process.exit(0)
} catch (error) {
  stopWith(error)
}
