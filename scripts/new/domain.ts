import { capital, needed, type Options, type Tree } from './tree'

/** A domain of the core with its slice, figures, verdicts, migrations and README, listed where domains are. */
export function newDomain(tree: Tree, id: string, options: Options): string {
  const stage = needed(options, 'stage', 'air')
  const part = needed(options, 'part', 'duct')
  const Name = capital(id)
  const folder = `src/core/${id}`
  if (!tree.read('.dependency-cruiser.cjs').includes(`'${id}'`))
    throw new Error(`The order of domains in .dependency-cruiser.cjs has no ${id}: put it in where it belongs first.`)
  tree.add(
    `${folder}/slice.ts`,
    `import { fact, group, type Of } from '../bench'

/** TODO: what this slice holds. */
export const ${id}Shape = group(
  {
    first: fact({ label: 'TODO', quantity: 'length', min: 0, max: 1000 }),
  },
  { stage: '${stage}', part: '${part}' },
)

export type ${Name} = Of<typeof ${id}Shape>
export interface ${Name}Bench {
  readonly ${id}: ${Name}
}
`,
  )
  tree.add(
    `${folder}/figures.ts`,
    `import { figureOf } from '../bench'
import type { ${Name}Bench } from './slice'

const figure = figureOf<${Name}Bench>()

export const firstMargin = figure({
  id: '${id}.firstMargin',
  label: 'TODO',
  quantity: 'length',
  formula: 'm = \\\\v{a}',
  symbols: { a: '${id}.first' },
  source: '',
  doubt: 'nudge',
  work: (view): number => view.bench.${id}.first,
})
`,
  )
  tree.add(
    `${folder}/verdicts.ts`,
    `import { verdictOf } from '../bench'
import { firstMargin } from './figures'
import type { ${Name}Bench } from './slice'

const verdict = verdictOf<${Name}Bench>()

export const firstHolds = verdict({
  id: '${id}.firstHolds',
  stage: '${stage}',
  margin: firstMargin,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure }) => ({ head: \`TODO \${mark}\`, why: figure(firstMargin) }),
})
`,
  )
  tree.add(
    `${folder}/domain.ts`,
    `import { domainOf } from '../bench'
import * as figures from './figures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const ${id}Domain = domainOf('${id}', figures, verdicts)
`,
  )
  tree.add(
    `${folder}/migrations.ts`,
    `import { thenBlank, type Migration } from '../bench'

export const ${id}Migrations: readonly Migration[] = [
  { to: NEXT_VERSION, why: 'a bench got TODO', up: () => ({ first: thenBlank('mm') }) },
]
`.replace('NEXT_VERSION', String(nextVersion(tree))),
  )
  tree.add(
    `${folder}/index.ts`,
    ['domain', 'figures', 'migrations', 'slice', 'verdicts'].map((it) => `export * from './${it}'\n`).join(''),
  )
  tree.add(
    `${folder}/README.md`,
    `# ${id}

TODO: one sentence.

- **Model**: TODO.
- **Symbols**: TODO, with units.
- **Sources**: TODO.
- **Outside the model**: TODO.
`,
  )
  listIn(tree, id)
  return `${id} stands in ${folder}. By hand: what is marked TODO there, an example in docs/core.md. Then: npm run schema, npm run freeze.`
}

function nextVersion(tree: Tree): number {
  const [, version = '0'] = /export const BENCH_VERSION = (\d+)/.exec(tree.read('src/core/document/bench.ts')) ?? []
  return Number(version) + 1
}

/** Where domains are listed: the bench, its migrations, what is fetched, what is had at once, the core's own index. */
function listIn(tree: Tree, id: string): void {
  const document = 'src/core/document'
  const version = nextVersion(tree)
  tree.insertAfter(`${document}/bench.ts`, /^import \{ \w+Shape \} from/, `import { ${id}Shape } from '../${id}'`)
  tree.insertAfter(`${document}/bench.ts`, /^ {2}\w+: \w+Shape,/, `  ${id}: ${id}Shape,`)
  tree.change(`${document}/bench.ts`, (text) => text.replace(/BENCH_VERSION = \d+/, `BENCH_VERSION = ${version}`))
  tree.insertAfter(`${document}/migrations.ts`, /^import \{ \w+Migrations \} from/, `import { ${id}Migrations } from '../${id}'`)
  tree.insertAfter(`${document}/migrations.ts`, /^ {2}\w+: \w+Migrations,/, `  ${id}: ${id}Migrations,`)
  tree.insertAfter(
    `${document}/domains.ts`,
    /^ {2}\w+: async \(\) => \(await import/,
    `  ${id}: async () => (await import('../${id}/domain')).${id}Domain,`,
  )
  tree.insertAfter(`${document}/catalogue.ts`, /^import \{ \w+Domain \} from/, `import { ${id}Domain } from '../${id}'`)
  tree.insertAfter(`${document}/catalogue.ts`, /^ {2}\w+Domain,/, `  ${id}Domain,`)
  tree.insertBefore('src/core/index.ts', /as workshop/, `export * as ${id} from './${id}'`)
}
