import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = 'src/core'
const EXAMPLE = /@example\s+([\s\S]*?)\s*\/\/\s*([^\n]*)/g

interface Example {
  readonly file: string
  readonly code: string
  readonly wanted: string
}

/** What stands behind `@example` in the docstrings of a file: an expression, and behind `//` what it gives. */
function examplesOf(file: string): readonly Example[] {
  const text = readFileSync(file, 'utf8')
  const docs = [...text.matchAll(/\/\*\*[\s\S]*?\*\//g)].map(([doc]) => doc.replace(/\n\s*\* ?/g, '\n'))
  return docs.flatMap((doc) =>
    [...doc.matchAll(EXAMPLE)].map(([, code = '', rest = '']) => ({
      file,
      code: code.replace(/\n/g, ' '),
      // Words behind a colon say more; a brace or a string may hold one.
      wanted: rest
        .replace(/\*\/\s*$/, '')
        .replace(/^([^{'"[]*?|\{[^}]*\}|\[[^\]]*\]|'[^']*'):\s.*$/, '$1')
        .trim(),
    })),
  )
}

const files = readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !/\.test\.ts$|index\.ts$/.test(name))
  .map((name) => join(ROOT, name))
const examples = files.flatMap(examplesOf)

/** Decimals that a number is written with. */
function decimalsOf(text: string): number {
  return Math.max(0, ...[...text.matchAll(/\d+\.(\d+)/g)].map(([, it = '']) => it.length))
}

function matches(got: unknown, wanted: unknown, decimals: number): void {
  if (typeof wanted === 'number' && Number.isFinite(wanted)) expect(got).toBeCloseTo(wanted, decimals)
  else if (typeof wanted === 'object' && wanted !== null)
    for (const [key, value] of Object.entries(wanted)) matches((got as Record<string, unknown>)[key], value, decimals)
  else expect(typeof got === 'string' ? got.replace(/\u00a0/g, ' ') : got).toEqual(wanted)
}

describe('examples in the docstrings of the core', () => {
  it('are there', () => expect(examples.length).toBeGreaterThan(60))

  it.each(examples)('$file: $code', async ({ file, code, wanted }) => {
    const names = (await import(join(process.cwd(), file))) as Record<string, unknown>
    const run = (script: string): unknown => {
      // eslint-disable-next-line @typescript-eslint/no-implied-eval -- the examples of the documentation are run as printed
      const work = new Function(...Object.keys(names), `return (${script})`) as (...given: unknown[]) => unknown
      return work(...Object.values(names))
    }
    matches(run(code), run(wanted), decimalsOf(wanted))
  })
})
