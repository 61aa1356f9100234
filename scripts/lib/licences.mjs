/** What of the npm registry is part of the running application, and under which licence: read from the lock. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Says it in a file beside its code, not in its description. */
const IN_A_FILE = { 'png-js': 'MIT' }

export function readLock(root) {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'))
  return Object.entries(packages).flatMap(([path, one]) => {
    const at = path.lastIndexOf('node_modules/')
    if (at < 0 || one.link) return []
    const name = path.slice(at + 'node_modules/'.length)
    return [
      {
        name,
        version: one.version,
        licence: one.license ?? IN_A_FILE[name] ?? null,
        isPinned: one.integrity !== undefined,
        runsScript: one.hasInstallScript === true,
        isTool: one.dev === true,
      },
    ]
  })
}

/** As docs/licences.md has it. */
export function licencesInWords(root) {
  const used = readLock(root).filter((one) => !one.isTool)
  const byLicence = grouped(used)
  const lists = [...byLicence]
    .sort(([a], [b]) => String(a).localeCompare(String(b)))
    .map(([licence, all]) => `## ${licence}\n\n${[...new Set(all.map(({ name, version }) => `${name} ${version}`))].sort().join(', ')}\n`)
  return `# Licences\n\nWhat of the npm registry is part of the running application, by licence. Written by \`node scripts/licences.mjs\` from the lock; a test holds it against it. What builds and tests it is not in it, and not among these.\n\n${lists.join('\n')}`
}

function grouped(all) {
  const map = new Map()
  for (const one of all) map.set(one.licence, [...(map.get(one.licence) ?? []), one])
  return map
}
