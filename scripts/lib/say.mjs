/** One voice for the commands: what is being done, and one sentence when something is in the way. */
export function say(text) {
  process.stdout.write(`  ${text}\n`)
}

export class InTheWay extends Error {}

/** Ends the command with one sentence instead of a stack when the cause is known. */
export function stopWith(error) {
  process.stderr.write(error instanceof InTheWay ? `\n  ${error.message}\n\n` : `\n  ${error?.stack ?? error}\n\n`)
  process.exit(1)
}
