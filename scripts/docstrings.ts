/**
 * Holds the core's documentation to its rule: every exported function has a docstring; one that returns a number
 * and stands in a domain of formulas says `Valid:` and `Source:`; one that throws says `@throws`.
 */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

const ROOT = 'src/core'
const files = readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('index.ts'))
  .map((name) => join(ROOT, name))
const complaints = files.flatMap(check)
for (const complaint of complaints) console.error(complaint)
console.log(complaints.length === 0 ? `docstrings hold in ${files.length} files` : `${complaints.length} docstrings are missing`)
process.exit(complaints.length === 0 ? 0 : 1)

function check(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  return source.statements
    .filter(ts.isFunctionDeclaration)
    .filter(isExported)
    .flatMap((fn) => complain(file, source, fn))
}

function isExported(fn: ts.FunctionDeclaration): boolean {
  return fn.modifiers?.some((it) => it.kind === ts.SyntaxKind.ExportKeyword) === true
}

function complain(file: string, source: ts.SourceFile, fn: ts.FunctionDeclaration): string[] {
  const doc = ts
    .getJSDocCommentsAndTags(fn)
    .map((it) => it.getFullText(source))
    .join('\n')
  const place = `${file}:${source.getLineAndCharacterOfPosition(fn.getStart()).line + 1} ${fn.name?.text ?? ''}`
  const numeric = fn.type?.kind === ts.SyntaxKind.NumberKeyword
  const throws = /\bthrow new\b|\brequire(?:InRange|Integer)\(/.test(fn.body?.getText(source) ?? '')
  return [
    ...(doc === '' ? [`${place}: has no docstring`] : []),
    ...(numeric && !doc.includes('Valid:') ? [`${place}: returns a number and does not say where it is valid (“Valid:”)`] : []),
    ...(numeric && !doc.includes('Source:') ? [`${place}: returns a number and names no source (“Source:”)`] : []),
    ...(throws && !doc.includes('@throws') ? [`${place}: throws and does not say so (“@throws”)`] : []),
  ]
}
