import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { newDomain } from '../../scripts/new/domain'
import { newFact } from '../../scripts/new/fact'
import { newFigure } from '../../scripts/new/figure'
import { Tree } from '../../scripts/new/tree'
import { newVerdict } from '../../scripts/new/verdict'

/** Faults in the grammar of what was written; types are the compiler's business when it is there. */
function faults(tree: Tree): string[] {
  return [...tree.files()].flatMap(([path, text]) => {
    if (!/\.tsx?$/.test(path)) return []
    const { diagnostics = [] } = ts.transpileModule(text, { reportDiagnostics: true, fileName: path })
    return diagnostics.map((it) => `${path}: ${ts.flattenDiagnosticMessageText(it.messageText, ' ')}`)
  })
}

describe('what npm run new writes', () => {
  const cases: readonly (readonly [string, (tree: Tree) => string, readonly string[]])[] = [
    [
      'a fact of each axis',
      (tree) => newFact(tree, 'motion.axes.*.belowZero', { after: 'acceleration' }, false),
      ['src/core/motion/axisSlice.ts', 'src/core/motion/migrations.ts', 'src/core/document/bench.ts'],
    ],
    [
      'a fact of the plan, its step put into the one that is not shipped yet',
      (tree) => {
        newFact(tree, 'plan.stock.width', { after: 'leaveLong' }, false)
        return newFact(tree, 'plan.stock.depth', { after: 'width' }, false)
      },
      ['src/core/schedule/slice.ts', 'src/core/schedule/migrations.ts', 'src/core/document/bench.ts'],
    ],
    [
      'a fact at the end of a slice',
      (tree) => newFact(tree, 'optics.divergence', { after: 'spotY' }, false),
      ['src/core/optics/slice.ts', 'src/core/optics/migrations.ts', 'src/core/document/bench.ts'],
    ],
    [
      'a figure of each axis, with its failing test and its line in the README',
      (tree) => newFigure(tree, 'optics.spotArea', { of: 'anAxis' }),
      ['src/core/optics/figures.ts', 'src/core/optics/README.md', 'tests/reference/optics.test.ts'],
    ],
    [
      'a verdict',
      (tree) => newVerdict(tree, 'optics.spotSmall', { margin: 'spotSmaller', stage: 'beam' }),
      ['src/core/optics/verdicts.ts'],
    ],
  ]

  it.each(cases)('%s: in the places where it goes, and well formed', (_, make, paths) => {
    const tree = new Tree()
    expect(make(tree)).toMatch(/By hand/)
    expect([...tree.files().keys()]).toEqual(paths)
    expect(faults(tree)).toEqual([])
    for (const [path, text] of tree.files()) if (tree.has(path)) expect(text, path).not.toBe('')
  })

  it('a domain, listed wherever domains are', () => {
    const tree = new Tree()
    newDomain(tree, 'cost', { stage: 'log', part: 'money' })
    expect(faults(tree)).toEqual([])
    expect(tree.read('src/core/document/bench.ts')).toMatch(/cost: costShape,/)
    for (const file of ['migrations', 'domains', 'catalogue'])
      expect(tree.read(`src/core/document/${file}.ts`)).toMatch(/cost(Migrations|Domain|:)/)
    expect(tree.read('src/core/index.ts')).toMatch(/as cost from/)
  })

  it('writes nothing where it does not fit, and says why', () => {
    expect(() => newFact(new Tree(), 'motion.axes.*.x', { after: 'nothing' }, false)).toThrow(/No slice/)
    expect(() => newFact(new Tree(), 'motion.axes.*.travel', { after: 'acceleration' }, false)).toThrow(/already/)
  })
})
