/** npm run functions: how long functions are, by layer, and the longest ones: a look at the shape, not a limit by itself. */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

interface Measured {
  readonly place: string
  readonly layer: string
  readonly lines: number
}

const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
  .map((name) => join('src', name))

function isFunction(node: ts.Node): boolean {
  return (
    ts.isFunctionDeclaration(node) || ts.isFunctionExpression(node) || ts.isArrowFunction(node) || ts.isMethodDeclaration(node)
  )
}

function nameOf(node: ts.Node): string {
  const named = node as { readonly name?: ts.Node }
  const parent = node.parent as { readonly name?: ts.Node } | undefined
  return named.name?.getText() ?? parent?.name?.getText() ?? 'a function'
}

/** Functions with a body in braces; those of one expression are counted as they are written. */
function measure(file: string): readonly Measured[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  const found: Measured[] = []
  const visit = (node: ts.Node): void => {
    if (isFunction(node)) {
      const line = (at: number): number => source.getLineAndCharacterOfPosition(at).line + 1
      const [first, last] = [line(node.getStart()), line(node.getEnd())]
      found.push({ place: `${file}:${first} ${nameOf(node)}`, layer: file.split('/')[1] ?? '', lines: last - first + 1 })
    }
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

const all = files.flatMap(measure)
const share = (of: readonly Measured[], part: number): number => {
  const sorted = of.map((it) => it.lines).sort((p, q) => p - q)
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0
}
const layers = [...new Set(all.map((it) => it.layer))].sort()
const named = (of: readonly Measured[]) => of.filter(({ place, lines }) => lines > 1 || !place.endsWith('a function'))
console.table(
  ['all', ...layers].map((layer) => {
    const of = named(layer === 'all' ? all : all.filter((it) => it.layer === layer))
    return { layer, functions: of.length, median: share(of, 0.5), p90: share(of, 0.9), longest: share(of, 1) }
  }),
)
for (const { place, lines } of [...all].sort((p, q) => q.lines - p.lines).slice(0, Number(process.argv[2] ?? 30)))
  console.log(String(lines).padStart(4), place)
