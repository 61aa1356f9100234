/** How much of the code is tests: each part has a floor, which is raised as tests are added and never lowered. */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Share of lines, tests over tests and code together. Browser tests count for the whole. */
const FLOORS = { 'packages/core': 0.24, 'packages/contract': 0.28, 'packages/print': 0.4, 'apps/server': 0.32, 'apps/cli': 0.2, 'apps/web': 0.18, '.': 0.25 }
const LEFT_OUT = new Set(['node_modules', 'dist', '.data', '.git', '.stryker-tmp', 'test-results', 'docs'])

export function shares(root) {
  return Object.entries(FLOORS).map(([part, floor]) => {
    let tests = 0
    let all = 0
    for (const file of filesIn(join(root, part))) {
      const lines = readFileSync(file, 'utf8').split('\n').length - 1
      all += lines
      if (isTest(file)) tests += lines
    }
    return { part: part === '.' ? 'all' : part, share: tests / all, floor, enough: tests / all >= floor }
  })
}

function isTest(file) {
  return /\.test\.tsx?$|[\\/]testing[\\/]|[\\/]e2e[\\/]/.test(file)
}

function filesIn(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (LEFT_OUT.has(entry.name)) return []
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return filesIn(path)
    return /\.(ts|tsx|mjs)$/.test(entry.name) ? [path] : []
  })
}
