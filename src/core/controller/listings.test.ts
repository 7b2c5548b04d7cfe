import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { proposeKeys, readListing, rewriteListing, settingsFor, unitIn, unitOfListed, type Listed } from '.'

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

const AXES = [
  { id: 'x', letter: 'X' },
  { id: 'y', letter: 'Y' },
  { id: 'z', letter: 'Z' },
]
const SETTINGS = settingsFor(AXES)
const LETTERS = { x: 'X', y: 'Y', z: 'Z' }

/** The id by which the truth calls a setting. */
function shortId(settingId: string): string {
  return settingId.replace(/^axes\.(\w+)\./, '$1/').replace(/^beam\./, '')
}

/** What is proposed for a list: by the truth's ids the place of the value, and whether it is sure. */
function proposedFor(text: string): ReadonlyMap<string, { readonly at: number; readonly sure: boolean }> {
  const { entries } = readListing(text)
  const found = proposeKeys(entries, SETTINGS, LETTERS, new Set())
  return new Map(
    found.map((it) => [shortId(it.settingId), { at: entries.find((one) => one.key === it.key)?.at.start ?? -1, sure: it.sure }]),
  )
}

describe('what the entries of a listing mean', () => {
  const counted = FILES.map((file) => {
    const text = textOf(file)
    const { entries } = readListing(text)
    const proposed = proposedFor(text)
    const right = Object.entries(truth[file] ?? {}).map(([id, at]) => ({
      id,
      isRight: proposed.get(id)?.at === entryOf(text, entries, id, at)?.at.start,
    }))
    const wrong = [...proposed].filter(([id, it]) => {
      const at = truth[file]?.[id]
      return at === undefined || entryOf(text, entries, id, at)?.at.start !== it.at
    })
    return { file, missed: right.filter((it) => !it.isRight).map((it) => it.id), of: right.length, wrong }
  })

  it('is right for nine of ten, in all that say it by words or units', () => {
    const [of, missed] = [counted.reduce((n, it) => n + it.of, 0), counted.reduce((n, it) => n + it.missed.length, 0)]
    expect((of - missed) / of, JSON.stringify(counted.filter((it) => it.missed.length > 0))).toBeGreaterThanOrEqual(0.9)
  })

  it('is never wrong and sure of itself', () => {
    expect(counted.flatMap((it) => it.wrong.filter(([, { sure }]) => sure).map(([id]) => `${it.file} ${id}`))).toEqual([])
  })

  it('is a guess where only the order says which axis', () => {
    const proposed = proposedFor(textOf('11-lists.txt'))
    expect(proposed.get('y/topSpeed')?.sure).toBe(false)
    expect(proposed.get('fullPower')?.sure).toBe(true)
  })
})

it('a unit is told from a word that looks like one, and from a key', () => {
  expect(
    ['in the machine', 'stepsPerMm', 'accelMmPerS2', 'speed_mm_min', 'frequency, kHz', 'travel, mm', 'a, s'].map(unitIn),
  ).toEqual([null, 'steps/mm', 'mm/s2', 'mm/min', 'kHz', 'mm', null])
  const frequency = SETTINGS.find((it) => it.kind === 'pwmFrequency')
  expect(frequency === undefined ? null : unitOfListed(frequency, 'frequency, kHz', { speedUnit: 'mm/s' })).toBe('kHz')
})
