/**
 * Holds the core's documentation to its rule: every exported function has a docstring; one that returns a number says
 * `Valid:` and `Source:` and works one out (`@example`, run by tests/docs); one that throws, itself or through what it calls,
 * says `@throws`.
 */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

const ROOT = 'src/core'

interface Documented {
  readonly file: string
  readonly line: number
  readonly name: string
  readonly doc: string
  readonly numeric: boolean
  readonly body: ts.Block | undefined
  readonly exported: boolean
}

const files = readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('index.ts'))
  .map((name) => join(ROOT, name))
const all = files.flatMap(functionsOf)
/** Exported functions that throw, and of each file those that it keeps to itself; found until there are no more. */
const throwing = new Set<string>()
for (let more = true; more;) {
  const found = all.filter((it) => !throwing.has(keyOf(it)) && isThrowing(it))
  for (const it of found) throwing.add(keyOf(it))
  more = found.length > 0
}
const complaints = all.filter((it) => it.exported).flatMap(complain)
for (const complaint of complaints) console.error(complaint)
console.log(complaints.length === 0 ? `docstrings hold in ${files.length} files` : `${complaints.length} docstrings are missing`)
process.exit(complaints.length === 0 ? 0 : 1)

function keyOf({ exported, file, name }: Documented): string {
  return exported ? name : `${file} ${name}`
}

/** Whether a function throws: it says so, or its body does and it does not say that this never happens. */
function isThrowing({ doc, body, file }: Documented): boolean {
  if (doc.includes('@throws')) return !doc.includes('@throws never')
  return body !== undefined && throwsIn(body, file)
}

function functionsOf(file: string): readonly Documented[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  return source.statements.filter(ts.isFunctionDeclaration).map((fn) => ({
    file,
    line: source.getLineAndCharacterOfPosition(fn.getStart()).line + 1,
    name: fn.name?.text ?? '',
    doc: ts
      .getJSDocCommentsAndTags(fn)
      .map((it) => it.getFullText(source))
      .join('\n'),
    numeric: fn.type?.kind === ts.SyntaxKind.NumberKeyword,
    body: fn.body,
    exported: fn.modifiers?.some((it) => it.kind === ts.SyntaxKind.ExportKeyword) === true,
  }))
}

/** Whether a body throws where nothing catches it: by itself, through a check of a range, or through what it calls. */
function throwsIn(node: ts.Node, file: string): boolean {
  if (ts.isTryStatement(node)) return node.catchClause !== undefined && throwsIn(node.catchClause, file)
  if (ts.isThrowStatement(node)) return true
  if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) {
    const { text } = node.expression
    if (/^require(?:InRange|Integer)$/.test(text) || throwing.has(text) || throwing.has(`${file} ${text}`)) return true
  }
  return ts.forEachChild(node, (child) => throwsIn(child, file) || undefined) === true
}

function complain({ file, line, name, doc, numeric, body }: Documented): string[] {
  const place = `${file}:${line} ${name}`
  const throws = body !== undefined && throwsIn(body, file)
  return [
    ...(doc === '' ? [`${place}: has no docstring`] : []),
    ...(numeric && !doc.includes('Valid:') ? [`${place}: returns a number and does not say where it is valid (“Valid:”)`] : []),
    ...(numeric && !doc.includes('Source:') ? [`${place}: returns a number and names no source (“Source:”)`] : []),
    ...(numeric && !doc.includes('@example') ? [`${place}: returns a number and works none out (“@example”)`] : []),
    ...(throws && !doc.includes('@throws') ? [`${place}: throws and does not say so (“@throws”)`] : []),
  ]
}
