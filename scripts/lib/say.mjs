/** One voice for the commands: what is being done, and one sentence when something is in the way. */
export function say(text) {
  process.stdout.write(`  ${text}\n`)
}

export class InTheWay extends Error {}

/** What the machine says when a file cannot be had, with what to do. */
const MACHINE = {
  EACCES: (path) => `${path} may not be written or read by this user. Change its owner, or run this as the user who made it.`,
  EPERM: (path) => `${path} may not be changed by this user. Change its owner, or run this as the user who made it.`,
  EROFS: (path) => `${path} lies on a disk that can only be read. Put the folder of the application where it can be written.`,
  ENOSPC: (path) => `The disk is full, and ${path} could not be written. Make room and try again: nothing that was saved is lost.`,
  EDQUOT: (path) => `This user's share of the disk is full, and ${path} could not be written. Make room and try again.`,
  ENOTDIR: (path) => `${path} should be a folder and is a file. Move it away and try again.`,
  EISDIR: (path) => `${path} should be a file and is a folder. Move it away and try again.`,
}

export const inOneSentence = (error) => (error instanceof InTheWay ? error.message : (MACHINE[error?.code]?.(error.path ?? 'a file') ?? null))

/** Ends the command with one sentence instead of a stack when the cause is known. */
export function stopWith(error) {
  process.stderr.write(`\n  ${inOneSentence(error) ?? error?.stack ?? error}\n\n`)
  process.exit(1)
}
