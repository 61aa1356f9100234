/** The log: lines of JSON in files that are rolled, and what is worth somebody's attention on the terminal too. */
import { join } from 'node:path'
import { type Logger, pino } from 'pino'
import { said } from './said.ts'

/** So large each, and so many beside the one that is written: 60 MB at most. */
const [SIZE, FILES] = ['10m', 5]

/** `folder`: where it is written; none where all goes to the terminal. `process`: of several, which; each rolls files of its own. */
export function makeLog(folder: string | undefined, isDevelopment: boolean, process?: string): Logger {
  const options = { level: isDevelopment || folder !== undefined ? 'info' : 'warn', base: null, serializers: { err: said } }
  if (folder === undefined) return pino(options)
  const files = pino.transport({
    targets: [
      {
        target: 'pino-roll',
        level: 'info',
        options: {
          file: join(folder, process === undefined ? 'lemmata' : `lemmata-${process}`),
          extension: '.log',
          size: SIZE,
          limit: { count: FILES },
          mkdir: true,
        },
      },
      { target: 'pino/file', level: 'warn', options: { destination: 1 } },
    ],
  }) as pino.DestinationStream & { readonly on: (event: 'error', heard: () => void) => void }
  // A disk that is full stops the log, not the work.
  files.on('error', () => undefined)
  return pino(options, files)
}
