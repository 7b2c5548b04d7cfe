import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { randomListing } from '../../../tests/randomListing'
import {
  listingChanges,
  proposeKeys,
  readListing,
  sameListed,
  rewriteListing,
  settingsFor,
  unitIn,
  unitOfListed,
  type Listed,
} from '.'

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

/** Lists whose lines stand for themselves, so that their order does not matter. */
const LOOSE = ['01-equals.txt', '02-colons.txt', '08-numbers.txt', '09-commands.txt', '10-other-tongue.txt', '11-lists.txt']

interface Variation {
  readonly file: string
  readonly order: readonly number[]
  readonly wide: boolean
  readonly decimals: number
  readonly comments: 'kept' | 'dropped' | 'in other words'
  readonly without: 'x' | 'y' | null
}

/** The same list as another machine might print it: other order, spacing, decimals, comments, axes. */
function varied({ file, order, wide, decimals, comments, without }: Variation): string {
  const lines = textOf(file).trimEnd().split('\n')
  const kept = without === null ? lines : lines.filter((it) => !new RegExp(`(^|[^a-z])${without}([^a-z]|a_)`, 'i').test(it))
  const said = kept.map((line) => {
    const [, head = line, comment = ''] = /^(.*?\S)(\s*(?:;|# ).*)$/.exec(line) ?? []
    const tail = comments === 'kept' ? comment : comments === 'dropped' ? '' : comment.replace(/[a-z]{4,}/gi, (it) => `${it}ix`)
    const number = (it: string): string => Number(it).toFixed(decimals)
    const plain = /\d,\d/.test(head) ? head : head.replace(/(?<=[\s="])\d+\.\d+(?=[\s,"]|$)/g, number)
    return (wide ? plain.replace(/\s*([=:])\s*/, '   $1   ') : plain) + tail
  })
  return order.map((i) => said[i % said.length] ?? '').join('\n')
}

const variation = fc
  .record({
    file: fc.constantFrom(...LOOSE),
    wide: fc.boolean(),
    decimals: fc.integer({ min: 1, max: 5 }),
    comments: fc.constantFrom('kept' as const, 'dropped' as const, 'in other words' as const),
    without: fc.constantFrom('x' as const, 'y' as const, null),
  })
  .chain((it) =>
    fc
      .shuffledSubarray([...textOf(it.file).trimEnd().split('\n').keys()], { minLength: 3 })
      .map((order): Variation => ({ ...it, order })),
  )

describe('a listing in other words', () => {
  /** By the keys of the list as it was made up: what each means. */
  const meaning = new Map(
    LOOSE.map((file) => {
      const text = textOf(file)
      const { entries } = readListing(text)
      const ids = Object.entries(truth[file] ?? {}).map(([id, at]) => [entryOf(text, entries, id, at)?.key ?? '', id] as const)
      return [file, new Map(ids)] as const
    }),
  )

  it('is never taken for what it is not with certainty, and is written back exactly (1,000 variants, seed 5)', () => {
    fc.assert(
      fc.property(variation, fc.integer({ min: 1, max: 99_999 }), (it, thousandths) => {
        const text = varied(it)
        const { entries } = readListing(text)
        for (const { key, settingId, sure } of proposeKeys(entries, SETTINGS, LETTERS, new Set())) {
          if (sure) expect(meaning.get(it.file)?.get(key), `${key} in\n${text}`).toBe(shortId(settingId))
        }
        const [first] = entries.filter((one) => /^[\d.]+$/.test(one.text))
        if (first === undefined) return
        const again = readListing(rewriteListing(text, entries, { [first.key]: thousandths / 1000 })).entries
        expect(Number(again.findLast((one) => one.key === first.key)?.text)).toBe(thousandths / 1000)
      }),
      { seed: 5, numRuns: 1000 },
    )
  })
})

describe('a hostile listing', () => {
  it('says what stands twice, and writes to the last; keeps what is no number; reads 10,000 lines', () => {
    const text = 'a = 1\na = 2\nb = fast'
    const { entries, findings } = readListing(text)
    expect(findings.map((it) => it.code)).toEqual(['twice'])
    expect(rewriteListing(text, entries, { a: 7 })).toBe('a = 1\na = 7\nb = fast')
    expect(entries.find((it) => it.key === 'b')?.text).toBe('fast')
    const long = Array.from({ length: 10_000 }, (_, i) => `k${i} = ${i}.5 ; line ${i}`).join('\r\n')
    const read = readListing(long)
    expect(read.entries.length).toBe(10_000)
    expect(rewriteListing(long, read.entries, { k9999: 1 }).endsWith('k9999 = 1.0 ; line 9999')).toBe(true)
  })

  it('mixes decimals, misses axes, nests deep: nothing thrown, nothing lost', () => {
    const mixed = 'X steps: 80,41 ; steps/mm\nY steps: 79.95 ; steps/mm'
    expect(rewriteListing(mixed, readListing(mixed).entries, { 'X steps': 80.5, 'Y steps': 80.25 })).toBe(
      'X steps: 80,50 ; steps/mm\nY steps: 80.25 ; steps/mm',
    )
    expect([...proposedFor('Y steps: 79.95 ; steps/mm').keys()]).toEqual(['y/steps'])
    const deep = `${'{"a":'.repeat(200)}1${'}'.repeat(200)}`
    expect(() => readListing(deep)).not.toThrow()
    expect(
      rewriteListing('{"on": "Yes", "n": -1.50}', readListing('{"on": "Yes", "n": -1.50}').entries, { on: 'no', n: 2 }),
    ).toBe('{"on": "No", "n": 2.00}')
  })

  it('never throws, and what is not changed comes back to the letter (2,000 lists, seed 9)', () => {
    fc.assert(
      fc.property(randomListing, (text) => {
        const { entries } = readListing(text)
        expect(rewriteListing(text, entries, {})).toBe(text)
        for (const { at } of entries) expect(at.end).toBeGreaterThan(at.start)
        proposeKeys(entries, SETTINGS, LETTERS, new Set())
      }),
      { seed: 9, numRuns: 2000 },
    )
  })
})

it('between two lists only what is another value has changed; what went and what came is said', () => {
  const changes = listingChanges(readListing('a = 80.0\nb = on\nc = 1').entries, readListing('b = off\na = 80\nd = 2').entries)
  expect(changes).toEqual([
    { key: 'b', before: 'on', after: 'off' },
    { key: 'd', before: null, after: '2' },
    { key: 'c', before: '1', after: null },
  ])
  expect([sameListed('1.50', '1.5'), sameListed('', '0'), sameListed('on', 'On')]).toEqual([true, false, false])
})
