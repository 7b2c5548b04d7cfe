import { BENCH_VERSION } from '../../src/core/document'
import { needed, type Options, type Tree } from './tree'

/** The folder of a slice's domain, where it is not called as the slice is. */
const FOLDER: Readonly<Record<string, string>> = { plan: 'schedule', output: 'gcode' }

/**
 * A fact: its line in the slice, and the step that brings it to benches that are there.
 * @param path `motion.axes.*.belowZero`; `*` stands for an id. @param isOpen Whether the present version is not shipped yet.
 */
export function newFact(tree: Tree, path: string, options: Options, isOpen: boolean): string {
  const keys = path.split('.')
  const [slice = '', key = ''] = [keys[0], keys.at(-1)]
  if (keys.length < 2) throw new Error('Say the whole path, such as motion.axes.*.belowZero.')
  const domain = FOLDER[slice] ?? slice
  const after = needed(options, 'after', 'acceleration')
  const version = isOpen ? BENCH_VERSION : BENCH_VERSION + 1
  const file = insertFact(tree, `src/core/${domain}`, after, key, factLine(key, options))
  addStep(tree, domain, slice, version, keys.slice(1).join('.'), options)
  tree.change('src/core/document/bench.ts', (text) =>
    text.replace(/export const BENCH_VERSION = \d+/, `export const BENCH_VERSION = ${version}`),
  )
  return `${path} stands in ${file}. By hand: its label, range and guess there, the same guess in the step to version ${version}, and a field in a sentence of its part. Then: npm run schema, npm run freeze.`
}

function factLine(key: string, { label = key, quantity = 'length', min = '0', max = '1000' }: Options): string {
  return `  ${key}: fact({ label: '${label}', quantity: '${quantity}', min: ${min}, max: ${max} }),`
}

/** Puts the line in behind the fact or choice of that name, at its depth. */
function insertFact(tree: Tree, folder: string, after: string, key: string, line: string): string {
  const beginning = new RegExp(`^( *)${after}: (?:fact|choice)\\(`, 'm')
  const file = tree.list(folder).find((path) => /lice\.ts$/.test(path) && beginning.test(tree.read(path)))
  if (file === undefined) throw new Error(`No slice in ${folder} has a fact called ${after}.`)
  tree.change(file, (text) => {
    const found = beginning.exec(text)
    if (found === null) return text
    const [, indent = ''] = found
    if (new RegExp(`^${indent}${key}: `, 'm').test(text)) throw new Error(`${file} has ${key} already.`)
    const rest = text.slice(found.index)
    const [first = ''] = rest.split('\n')
    const closing = `\n${indent}}),`
    const end = first.trimEnd().endsWith('}),') ? first.length : rest.indexOf(closing) + closing.length
    return `${text.slice(0, found.index + end)}\n${indent}${line.trim()}${text.slice(found.index + end)}`
  })
  return file
}

/** The step to the new version: a new one, or one line more in the step that is not shipped yet. */
function addStep(tree: Tree, domain: string, slice: string, version: number, at: string, options: Options): void {
  const file = `src/core/${domain}/migrations.ts`
  const unit = options['unit'] ?? 'mm'
  const set = `withAt(slice, '${at}', thenBlank('${unit}'))`
  if (!tree.has(file)) firstMigrations(tree, domain, slice)
  tree.change(file, (text) => {
    const open = new RegExp(`(to: ${version},[\\s\\S]*?up: \\(slice\\) => )(withAt\\()(slice)(,)`)
    if (open.test(text)) return text.replace(open, `$1$2${set}$4`)
    const named = ['thenBlank', 'withAt'].reduce((it, name) => importing(it, name), text)
    const step = `  {\n    to: ${version},\n    why: 'TODO: why ${slice} got ${at}',\n    up: (slice) => ${set},\n  },\n]`
    return named.replace(/\n\](?=\n|$)/, `\n${step}`)
  })
}

/** The list of steps of a slice that had none yet, listed where those of the others are. */
function firstMigrations(tree: Tree, domain: string, slice: string): void {
  const list = 'src/core/document/migrations.ts'
  const name = `${slice}Migrations`
  tree.add(
    `src/core/${domain}/migrations.ts`,
    `import { type Migration } from '../bench'\n\nexport const ${name}: readonly Migration[] = [\n]\n`,
  )
  tree.insertAfter(`src/core/${domain}/index.ts`, /^export \* from '\.\/[a-m]/, `export * from './migrations'`)
  tree.insertAfter(list, /^import \{ \w+Migrations \} from/, `import { ${name} } from '../${domain}'`)
  tree.insertAfter(list, /^ {2}\w+: \w+Migrations,/, `  ${slice}: ${name},`)
}

function importing(text: string, name: string): string {
  if (new RegExp(`import \\{[^}]*\\b${name}\\b[^}]*\\} from '../bench'`).test(text)) return text
  return text.replace(/import (type )?\{/, (_, type: string | undefined) =>
    type === undefined ? `import { ${name}, ` : `import { ${name}, type `,
  )
}
