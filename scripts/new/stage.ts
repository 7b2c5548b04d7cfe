import { capital, type Options, type Tree } from './tree'

/** A stage with one part: its description, plate, given and side, its line in the table of stages, and its picture. */
export function newStage(tree: Tree, id: string, options: Options): string {
  const table = 'src/screens/stages.ts'
  const entry = new RegExp(`  later\\(\\{\\s*id: '${id}',\\s*name: '([^']*)',\\s*question: '([^']*)',?\\s*\\}\\),`)
  const found = entry.exec(tree.read(table))
  if (found === null) throw new Error(`${table} has no stage called ${id} that is still to come.`)
  const [, name = capital(id), question = ''] = found
  const part = options['part'] ?? 'sheet'
  const folder = `src/screens/${id}`
  tree.add(
    `${folder}/stage.ts`,
    `import { stage } from '../../ui/stage'

export const ${id} = stage({
  id: '${id}',
  name: '${name}',
  question: '${question}',
  parts: [{ id: '${part}', name: '${capital(part)}' }],
  domains: [${options['domain'] === undefined ? '' : `'${options['domain']}'`}],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
`,
  )
  tree.add(
    `${folder}/words.ts`,
    `import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  ${part}: { about: 'TODO: what to do with the plate, in a sentence.' },
} satisfies Readonly<Record<string, PartWords>>
`,
  )
  tree.add(
    `${folder}/sheets.ts`,
    `import { ${name}Given } from './Given'
import { ${name}Plate } from './Plate'
import { ${name}Side } from './Side'

export const sheets = { ${part}: { plate: ${name}Plate, given: ${name}Given, side: ${name}Side } }
`,
  )
  tree.add(
    `${folder}/Given.tsx`,
    `import { Panel, Sentence } from '../../ui'

/** What ${name} is given. */
export function ${name}Given() {
  return (
    <Panel title="Given">
      <Sentence>TODO: short sentences with their fields.</Sentence>
    </Panel>
  )
}
`,
  )
  tree.add(
    `${folder}/Plate.tsx`,
    `import { useBenchStore } from '../../state'
import { Plate } from '../../ui'

const MARGINS = { left: 40, right: 40, top: 30, bottom: 56 }

/** TODO: what is drawn, to scale. */
export function ${name}Plate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <Plate
      title="TODO: the picture of ${name}"
      extent={{ left: 0, right: 100, bottom: 0, top: 60 }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(220px,min(40vh,60vw),380px)] shrink-0 print:h-[280px]"
      drawing={<g />}
      fields={null}
    />
  )
}
`,
  )
  tree.add(
    `${folder}/Side.tsx`,
    `import { Side } from '../../ui'

/** What is worked and judged beside it. */
export function ${name}Side() {
  return <Side stage="${id}" />
}
`,
  )
  tree.change(table, (text) => text.replace(entry, `  ${id},`))
  tree.insertAfter(table, /^import \{ \w+ \} from '\.\/\w+\/stage'/, `import { ${id} } from './${id}/stage'`)
  tree.insertBefore('scripts/screenshots.ts', /^\]$/, `  { name: '${id}', act: async (page) => open(page, '${id}', '${part}') },`)
  return `${name} has its sheet in ${folder}. By hand: the sentences, the plate and the side there. Then: npm run shots ${id}, and its picture into the README.`
}
