/** `npm test`: installs what is missing and runs everything; the last line is `N passed, N failed`. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureBuilt, ensureCommand } from './lib/build.mjs'
import { checkNode, ensurePackages, ensurePrograms } from './lib/install.mjs'
import { run } from './lib/run.mjs'
import { say, stopWith } from './lib/say.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const reports = mkdtempSync(join(tmpdir(), 'lemmata-test-'))
let passed = 0
let failed = 0

try {
  checkNode()
  await ensurePackages(root)
  await ensurePrograms({
    ...{ chromium: ['chromium'], pdftoppm: ['poppler-utils'] },
    ...{ mariadbd: ['mariadb-server-core'], mariadb: ['mariadb-client-core'], 'mariadb-dump': ['mariadb-client'] },
  })
  await check('Types', 'scripts/typecheck.mjs')
  await check('Lint', 'node_modules/eslint/bin/eslint.js', '.', '--max-warnings=0')
  await check('Layers', 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs', '--config', '.dependency-cruiser.cjs', 'packages', 'apps')
  await check('Shares of tests', 'scripts/shares.mjs')
  await check('Format', 'node_modules/@biomejs/biome/bin/biome', 'format', '.')
  await ensureCommand(root)
  await suite(
    'Units, properties and server',
    ['node_modules/vitest/vitest.mjs', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(reports, 'vitest.json')}`],
    'vitest.json',
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? report.numFailedTestSuites : 0),
    }),
  )
  await ensureBuilt(root)
  await suite('Browser', ['node_modules/@playwright/test/cli.js', 'test'], 'playwright.json', (report) => ({
    passed: report.stats.expected,
    failed: report.stats.unexpected + report.stats.flaky,
  }))
} catch (error) {
  rmSync(reports, { recursive: true, force: true })
  stopWith(error)
}
rmSync(reports, { recursive: true, force: true })
process.stdout.write(`\n${passed} passed, ${failed} failed\n`)
process.exit(failed > 0 ? 1 : 0)

/** One tool, one verdict. */
async function check(name, ...args) {
  say(`${name} …`)
  const { code } = await run(process.execPath, args, { cwd: root, patience: `still at ${name.toLowerCase()}` })
  if (code === 0) passed += 1
  else failed += 1
}

/** A test runner: its own counts, or one failure when it wrote none. */
async function suite(name, args, file, count) {
  say(`${name} …`)
  const { code } = await run(process.execPath, args, {
    cwd: root,
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'playwright.json'), FORCE_COLOR: '0' },
  })
  let counted = { passed: 0, failed: code === 0 ? 0 : 1 }
  try {
    counted = count(JSON.parse(readFileSync(join(reports, file), 'utf8')))
  } catch {
    say(`${name} wrote no report.`)
  }
  passed += counted.passed
  failed += counted.failed
  if (code !== 0 && counted.failed === 0) failed += 1
}
