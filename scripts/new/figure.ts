import { capital, type Options, type Tree } from './tree'

/** A figure with its line in the domain's README and a reference test that fails until it has its number. */
export function newFigure(tree: Tree, id: string, options: Options): string {
  const [domain = '', name = ''] = id.split('.')
  if (name === '') throw new Error('Say domain and name, such as optics.spotArea.')
  const file = options['in'] ?? `src/core/${domain}/figures.ts`
  const of = options['of']
  const args = of === undefined ? '' : ', id: string'
  tree.change(
    file,
    (text) => `${text.trimEnd()}

export const ${name} = figure({
  id: '${id}',
${of === undefined ? '' : `  of: ${of},\n`}  label: '${options['label'] ?? capital(name)}',
  quantity: '${options['quantity'] ?? 'length'}',
  formula: 'TODO = \\\\v{a}',
  symbols: { a: 'TODO.path' },
  source: '',
  doubt: 'nudge',
  work: (view${args}): number => Number.NaN,
})
`,
  )
  tree.change(`src/core/${domain}/README.md`, (text) =>
    // Behind the whole of the symbols, which may take several lines.
    text.replace(/^- \*\*Symbols\*\*.*(?:\n {2}.*)*/m, (item) => `${item}\n- **${name}**: TODO, one sentence with its symbols.`),
  )
  addTest(tree, domain, name, id)
  return `${id} stands in ${file}. By hand: formula, symbols, source and work there, its number in tests/reference/${domain}.test.ts, and <FigureRow def={${name}} …/> on its part. Then: npm run freeze.`
}

function addTest(tree: Tree, domain: string, name: string, id: string): void {
  const file = `tests/reference/${domain}.test.ts`
  if (!tree.has(file))
    tree.add(file, `import { expect, it } from 'vitest'\nimport { emptyBench, engineFor } from '../../src/core/document'\n`)
  const uses = `import { emptyBench, engineFor } from '../../src/core/document'\n`
  tree.change(
    file,
    (text) => `${/\bemptyBench\b/.test(text) ? '' : uses}${text.trimEnd()}

it('${name}: TODO, where the expected number comes from', () => {
  const bench = emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z')
  expect(engineFor(bench).byId('${id}', []).result).toEqual({ known: true, value: expect.closeTo(Number.NaN, 9) })
})
`,
  )
}
