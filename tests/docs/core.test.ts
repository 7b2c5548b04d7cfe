import { readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import * as core from '../../src/core'

const text = readFileSync('docs/core.md', 'utf8')
const examples = [...text.matchAll(/## (\w+)\n[\s\S]*?```ts\n([\s\S]*?)```/g)].map(([, domain, code]) => ({ domain, code }))

/** Turns `expression // → value` into a check; everything else runs as it stands. */
function run(code: string): number {
  let checked = 0
  const script = code.replace(/^(.+?) \/\/ → (.+)$/gm, '\n;check($1, $2)')
  const check = (got: unknown, wanted: unknown): void => {
    checked++
    expect(typeof got === 'string' ? got.replace(/\u00a0/g, ' ') : got).toEqual(
      typeof wanted === 'number' ? expect.closeTo(wanted, 9) : wanted,
    )
  }
  const names = Object.keys(core)
  // eslint-disable-next-line @typescript-eslint/no-implied-eval -- the examples of the documentation are run as printed
  const body = new Function(...names, 'check', ts.transpile(script, { target: ts.ScriptTarget.ES2023 })) as (
    ...given: unknown[]
  ) => void
  body(...Object.values(core), check)
  return checked
}

describe('docs/core.md', () => {
  it('has an example for every domain', () => {
    expect(examples.map((it) => it.domain)).toEqual(Object.keys(core))
  })

  it.each(examples)('$domain gives what it says', ({ code = '' }) => {
    expect(run(code)).toBeGreaterThan(0)
  })
})
