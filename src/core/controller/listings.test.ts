import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readListing, rewriteListing, type Listed } from '.'

type Truth = Readonly<Record<string, readonly [line: number, text: string]>>
const FOLDER = 'tests/fixtures/listings'
const truth = JSON.parse(readFileSync(`${FOLDER}/truth.json`, 'utf8')) as Readonly<Record<string, Truth>>
const FILES = Object.keys(truth)
const textOf = (file: string): string => readFileSync(`${FOLDER}/${file}`, 'utf8')
const rawOf = (text: string, { at }: Listed): string => text.slice(at.start, at.end)

/** The entry that a line of the truth speaks of: on that line, to the letter, the axis' own where several are alike. */
function entryOf(
  text: string,
  entries: readonly Listed[],
  id: string,
  [line, value]: readonly [number, string],
): Listed | undefined {
  const alike = entries.filter((it) => it.line === line && rawOf(text, it) === value)
  return alike.length < 2 ? alike[0] : alike[id.startsWith('y/') ? 1 : 0]
}

describe.each(FILES)('the listing %s', (file) => {
  const text = textOf(file)
  const { entries } = readListing(text)
  const pairs = Object.entries(truth[file] ?? {})

  it('has every value that it holds, where it stands', () => {
    for (const [id, at] of pairs) expect(entryOf(text, entries, id, at), `${id} in line ${at[0]}`).toBeDefined()
    expect(new Set(pairs.map(([id, at]) => entryOf(text, entries, id, at)?.key)).size).toBe(pairs.length)
  })

  it('gives back to the letter what is not changed, and read again exactly what is (seed 12)', () => {
    expect(rewriteListing(text, entries, {})).toBe(text)
    const numbers = entries.filter((it) => /^[+-]?[\d.]+$/.test(it.text)).map((it) => it.key)
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.constantFrom(...numbers),
          fc.integer({ min: -9_999_999, max: 9_999_999 }).map((it) => it / 1000),
        ),
        (wanted) => {
          const rewritten = rewriteListing(text, entries, wanted)
          const again = readListing(rewritten).entries
          expect(again.map((it) => it.key)).toEqual(entries.map((it) => it.key))
          again.forEach((it, i) => {
            const before = entries[i]
            if (Object.hasOwn(wanted, it.key)) expect(Number(it.text), it.key).toBe(wanted[it.key])
            else expect([it.text, it.words]).toEqual([before?.text, before?.words])
          })
        },
      ),
      { seed: 12, numRuns: 60 },
    )
  })
})
