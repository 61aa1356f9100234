/** `npm run restore -- FILE`: what a backup holds in place of what is kept here, which is kept as a backup first. */
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { restore } from './lib/backup.mjs'
import { InTheWay, say, stopWith } from './lib/say.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

try {
  const [file] = process.argv.slice(2)
  if (!file) throw new InTheWay('Name the backup that is to be restored: npm run restore -- FILE. Backups lie in .data/backups.')
  await restore(join(root, '.data'), resolve(file))
  say('All of it is as it was when the backup was taken. Start Lemmata again with npm start.')
  process.exit(0)
} catch (error) {
  stopWith(error)
}
