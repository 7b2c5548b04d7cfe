/**
 * npm run new -- fact|figure|verdict|domain <name> [--option value …]: writes the skeleton of a new thing where
 * `docs/architecture.md` says it goes, with its test and its line of documentation, and says what is left to do by hand.
 */
import { execFileSync } from 'node:child_process'
import { BENCH_VERSION } from '../src/core/document'
import { newDomain } from './new/domain'
import { newFact } from './new/fact'
import { newFigure } from './new/figure'
import { Tree, type Options } from './new/tree'
import { newVerdict } from './new/verdict'

const KINDS = { fact: factHere, figure: newFigure, verdict: newVerdict, domain: newDomain } as const
const USAGE = `npm run new -- fact motion.axes.*.belowZero --after acceleration [--label … --quantity length --min 0 --max 10 --unit mm]
npm run new -- figure optics.spotArea [--of anAxis --label … --quantity length --in src/core/…]
npm run new -- verdict optics.spotSmallEnough --margin spotMargin --stage beam
npm run new -- domain air --stage air --part duct`

function factHere(tree: Tree, path: string, options: Options): string {
  return newFact(tree, path, options, !isShipped(BENCH_VERSION))
}

/** A version is shipped when its frozen sample is committed. */
function isShipped(version: number): boolean {
  try {
    execFileSync('git', ['ls-files', '--error-unmatch', `tests/fixtures/bench-v${version}.json`], { stdio: 'ignore' })
    return true
  } catch {
    return false
  }
}

function optionsOf(words: readonly string[]): Options {
  const pairs = words.flatMap((word, i) => (word.startsWith('--') ? [[word.slice(2), words[i + 1] ?? ''] as const] : []))
  return Object.fromEntries(pairs)
}

const [kind = '', name = '', ...rest] = process.argv.slice(2)
const make = Object.hasOwn(KINDS, kind) ? KINDS[kind as keyof typeof KINDS] : undefined
if (make === undefined || name === '') {
  console.error(USAGE)
  process.exit(1)
}
try {
  const tree = new Tree()
  const left = make(tree, name, optionsOf(rest))
  tree.save()
  const written = [...tree.files().keys()].filter((path) => !path.endsWith('.md'))
  execFileSync('node', ['node_modules/prettier/bin/prettier.cjs', '--write', '--log-level', 'warn', ...written])
  for (const path of tree.files().keys()) console.log(`  ${path}`)
  console.log(left)
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error))
  process.exit(1)
}
