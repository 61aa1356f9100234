/** One start at a time on a folder. A lock says which process, and since when: a number is given to another program once it is free. */
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { readIfThere } from './read-if-there.mjs'
import { InTheWay } from './say.mjs'

/** The process that runs on this folder; null where none does. */
export function runningIn(folder) {
  const [pid, since] = (readIfThere(join(folder, 'start.lock')) ?? '').trim().split(' ')
  return since !== undefined && since === sinceWhen(Number(pid)) ? Number(pid) : null
}

/** Returns what gives it back. */
export function takeLock(folder) {
  const pid = runningIn(folder)
  if (pid !== null) {
    const port = readIfThere(join(folder, 'port'))
    throw new InTheWay(`Lemmata is running already (process ${pid})${port ? `: http://127.0.0.1:${port}` : ''}. Stop it there with Ctrl+C, or go on using it.`)
  }
  const file = join(folder, 'start.lock')
  writeFileSync(file, `${process.pid} ${sinceWhen(process.pid)}`)
  return () => rmSync(file, { force: true })
}

/** When a process began, in ticks since the machine did (field 22 of its stat; its name, in brackets, may hold anything). */
function sinceWhen(pid) {
  if (!Number.isInteger(pid) || pid <= 0) return null
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null
  } catch {
    return null
  }
}
