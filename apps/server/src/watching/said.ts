/** An error as it may be written down: where and of what kind, never what somebody wrote, nor a statement with its values. */

interface OfDatabase {
  readonly name?: string
  readonly message?: string
  readonly stack?: string
  readonly code?: string
  readonly original?: { readonly code?: string; readonly errno?: number }
}

export interface Said {
  readonly type: string
  readonly code?: string | undefined
  /** Of an error of our own; a database repeats what it was given. */
  readonly message?: string | undefined
  /** Files and lines, without the message. */
  readonly at: readonly string[]
}

const LINES = 12

export function said(thrown: unknown): Said {
  if (typeof thrown !== 'object' || thrown === null) return { type: typeof thrown, at: [] }
  const { name = 'Error', message, stack = '', code, original } = thrown as OfDatabase
  const at = stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, LINES)
    .map((line) => line.trim())
  return { type: name, code: original?.code ?? code, ...(original ? {} : { message }), at }
}
