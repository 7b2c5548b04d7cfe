// npm test: everything, and one closing line over all runners.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildIfNeeded } from './build.mjs'
import { prepareChromium, preparePackages, ROOT, run, runTold } from './prepare.mjs'

const REPORTS = join(ROOT, '.reports')
const bin = (path) => join('node_modules', path)
const total = { passed: 0, failed: 0 }

function count(passed, failed, name) {
  total.passed += passed
  total.failed += failed
  console.log(`— ${name}: ${passed} passed, ${failed} failed`)
}

/** Checks that have no tests of their own count as one each; several run beside each other, and tell what they found when they end. */
async function check(...checks) {
  await Promise.all(
    checks.map(async ([name, args]) => {
      const { status, told } = await runTold('node', args)
      process.stdout.write(told)
      const failed = status === 0 ? 0 : 1
      count(1 - failed, failed, name)
    }),
  )
}

/** Counts a runner's own report; a missing report, a suite that does not load or no test at all is a failure. */
function runner(name, args, file, read) {
  const path = join(REPORTS, file)
  const status = run('node', args, { env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: path } })
  if (!existsSync(path)) return count(0, 1, `${name} left no report`)
  const { passed, failed } = read(JSON.parse(readFileSync(path, 'utf8')))
  count(passed, failed === 0 && (status !== 0 || passed === 0) ? 1 : failed, name)
}

preparePackages()
prepareChromium()
rmSync(REPORTS, { recursive: true, force: true })
mkdirSync(REPORTS)
await check(['lint', [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0', '--concurrency', '2']])
await check(
  ['format', [bin('prettier/bin/prettier.cjs'), '--check', '.', '--log-level', 'warn']],
  ['types', [bin('typescript-native/bin/tsc'), '-b']],
)
await check(
  ['layers', [bin('dependency-cruiser/bin/dependency-cruise.mjs'), '--config', '.dependency-cruiser.cjs', 'src', 'server']],
  ['docstrings', ['--import', 'tsx', 'scripts/docstrings.ts']],
  ['schema', ['--import', 'tsx', 'scripts/schema.ts', '--check']],
)
runner(
  'unit and reference',
  [bin('vitest/vitest.mjs'), 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(REPORTS, 'unit.json')}`],
  'unit.json',
  (it) => ({
    passed: it.numPassedTests,
    failed:
      it.numFailedTests +
      it.testResults.filter((suite) => suite.status === 'failed' && suite.assertionResults.length === 0).length,
  }),
)
if (buildIfNeeded()) {
  runner('end to end', [bin('@playwright/test/cli.js'), 'test', '--reporter=list,json'], 'e2e.json', ({ stats, errors }) => {
    if (stats.flaky > 0) console.log(`— passed only at the second try, to be looked into: ${stats.flaky}`)
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected + errors.length }
  })
} else count(0, 1, 'build')

console.log(`\n${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed === 0 ? 0 : 1)
