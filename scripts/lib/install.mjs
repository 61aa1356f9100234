/** Installs what is missing: npm packages and Debian's packages, and nothing that is there already. */
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { InTheWay, say } from './say.mjs'
import { has, run } from './run.mjs'

const OLDEST_NODE = [20, 19]

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])) {
    throw new InTheWay(`Node ${OLDEST_NODE.join('.')} or newer is needed; this is ${process.versions.node}. Install a newer Node and try again.`)
  }
}

/** `npm ci`, unless the lock file, Node and the machine's kind are those of the last time. */
export async function ensurePackages(root) {
  const lock = readFileSync(join(root, 'package-lock.json'))
  const wanted = createHash('sha256').update(lock).update(process.version).update(process.arch).digest('hex')
  const stamp = join(root, 'node_modules', '.lemmata-stamp')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  say('Installing packages (half a minute or so) …')
  const { code, output } = await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    quiet: true,
    patience: 'still installing packages',
  })
  if (code !== 0) throw new InTheWay(`The packages could not be installed. npm said:\n${output}\n  Is the network there? Then run the command again.`)
  writeFileSync(stamp, wanted)
}

/** Debian's packages for programs that are missing. `wanted` maps a program to the packages that hold it. */
export async function ensurePrograms(wanted) {
  const missing = Object.entries(wanted).filter(([program]) => !has(program) && !existsSync(program) && !existsSync(`/usr/sbin/${program}`))
  if (missing.length === 0) return
  const packages = [...new Set(missing.flatMap(([, names]) => names))]
  const isRoot = process.getuid?.() === 0
  if (!has('apt-get')) throw new InTheWay(`${missing.map(([program]) => program).join(', ')} is missing. Install ${packages.join(' ')} and try again.`)
  if (!isRoot && !has('sudo'))
    throw new InTheWay(`${packages.join(' ')} must be installed, which needs root or sudo. Run: apt-get install ${packages.join(' ')}`)
  say(`Installing ${packages.join(', ')} …`)
  const apt = async (...args) => {
    const [command, rest] = isRoot ? ['apt-get', args] : ['sudo', ['apt-get', ...args]]
    return run(command, rest, { quiet: true, patience: 'still installing', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
  }
  await apt('update', '-qq')
  const { code, output } = await apt('install', '-y', '-qq', '--no-install-recommends', ...packages)
  if (code !== 0) throw new InTheWay(`${packages.join(' ')} could not be installed. apt-get said:\n${output}`)
}
