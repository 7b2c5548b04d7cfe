// npm run quick: what a change of a few files may have broken, in a minute: types, lint of what changed, the tests related.
import { execFileSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { ROOT, run } from './prepare.mjs'

const base = process.argv[2] ?? 'HEAD'
const git = (...args) => execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean)
const changed = [...git('diff', '--name-only', base), ...git('ls-files', '--others', '--exclude-standard')].filter((it) =>
  existsSync(`${ROOT}/${it}`),
)
const code = changed.filter((it) => /\.tsx?$/.test(it))
const steps = [
  ['types', ['node_modules/typescript-native/bin/tsc', '-b']],
  [
    'format',
    changed.length === 0
      ? null
      : ['node_modules/prettier/bin/prettier.cjs', '--check', '--ignore-unknown', '--log-level', 'warn', ...changed],
  ],
  ['lint', code.length === 0 ? null : ['node_modules/eslint/bin/eslint.js', '--max-warnings', '0', '--no-warn-ignored', ...code]],
  [
    'tests',
    code.length === 0
      ? null
      : [
          'node_modules/vitest/vitest.mjs',
          'related',
          '--run',
          '--reporter=dot',
          '--passWithNoTests',
          '--exclude',
          'tests/{reference,faults}/**',
          ...code,
        ],
  ],
]
console.log(`${changed.length} files changed since ${base}`)
const failed = steps.flatMap(([name, args]) => (args === null || run('node', args) === 0 ? [] : [name]))
console.log(failed.length === 0 ? 'quick: all of it holds' : `quick: ${failed.join(', ')} failed`)
process.exit(failed.length === 0 ? 0 : 1)
