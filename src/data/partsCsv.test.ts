import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PlanPart } from '../core/schedule'
import { readParts, writeParts } from './partsCsv'

const text = fc.oneof(
  fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }),
  // What breaks tables: separators, quotes, lines, and what a table program takes for a formula.
  fc.constantFrom('a;b', 'a,b', 'tab\there', 'say “two” "three"', 'two\nlines', '=1+1', '+5', '-3 V supply', '@home', "'quoted"),
)
/** As the bench keeps them: nothing but blanks is no name, and blanks at the ends are not kept. */
const kept = text.map((it) => it.trim()).filter((it) => it !== '' && it.length <= 80 && it === it.replace(/\r/g, ''))
const part: fc.Arbitrary<Omit<PlanPart, 'order'>> = fc.record({
  name: kept,
  where: fc.oneof(fc.constant(''), kept),
  count: fc.integer({ min: 0, max: 10_000 }),
  state: fc.constantFrom('needed', 'ordered', 'here'),
  price: fc.integer({ min: 0, max: 1e6 }).map((it) => it / 100),
  arrives: fc.constantFrom('', '2026-12-02', '2027-02-28'),
  covers: fc.constantFrom('', 'bars', 'guides', 'belt'),
  lengthMm: fc.integer({ min: 0, max: 9000 }).map((it) => it / 4),
})

describe('the parts list as CSV', () => {
  it('is read back as it was written, whatever stands in it (seed 51)', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(part, { minLength: 1, maxLength: 6 }), async (rows) => {
        const parts = rows.map((it, i) => ({ ...it, order: i + 1 }))
        const { parts: read, findings } = await readParts(await writeParts(parts))
        expect(findings).toEqual([])
        expect(read).toEqual(parts)
      }),
      { seed: 51, numRuns: 300 },
    )
  })

  it('is written in the order of the list, whatever order the rows are kept in', async () => {
    const row = { where: '', count: 1, state: 'here', price: 0, arrives: '', covers: '', lengthMm: 0 } as const
    const csv = await writeParts([
      { ...row, name: 'second', order: 9 },
      { ...row, name: 'first', order: 2 },
    ])
    expect(csv.split('\n').slice(0, 3)).toEqual([
      'name,where,count,state,price,arrives,covers,length',
      'first,,1,here,0,,,',
      'second,,1,here,0,,,',
    ])
  })
})

describe('a foreign CSV', () => {
  it('of any text never throws, takes no row it cannot read, and says something of each that it left out (seed 52)', async () => {
    const line = fc.string({ unit: fc.constantFrom('a', '1', ',', ';', '"', '\t', ' ', '-', '.') })
    await fc.assert(
      fc.asyncProperty(fc.constantFrom('name', 'name;count', 'Name,Price', 'part', ''), fc.array(line), async (head, lines) => {
        const { parts, findings } = await readParts([head, ...lines].join('\n'))
        for (const it of parts) expect(it.name.trim()).toBe(it.name)
        if (!/name/i.test(head)) expect([parts.length, findings[0]?.code]).toEqual([0, 'no-name-column'])
        for (const it of findings) expect(it.message.length).toBeGreaterThan(10)
      }),
      { seed: 52, numRuns: 300 },
    )
  })

  it.each([
    ['semicolons and a decimal comma', 'Name;Count;Price\nKnob;2;1,50\n', { name: 'Knob', count: 2, price: 1.5 }],
    ['tabs', 'count\tname\n3\tNut\n', { name: 'Nut', count: 3 }],
    ['a mark of byte order and lines of another system', '\uFEFFname,price\r\nHose,12.5\r\n', { name: 'Hose', price: 12.5 }],
    ['a blank line and blanks around', 'name , count\n\n  Belt  , 4 \n', { name: 'Belt', count: 4 }],
    ['states and stock in capitals', 'name,state,covers\nBar,HERE,Bars\n', { name: 'Bar', state: 'here', covers: 'bars' }],
    ['nothing but names', 'name\nSpring\n', { name: 'Spring', count: 1, state: 'needed', price: 0, arrives: '', covers: '' }],
  ])('with %s', async (_, csv, row) => {
    const { parts, findings } = await readParts(csv)
    expect(findings).toEqual([])
    expect(parts).toMatchObject([row])
  })

  it('names each row it leaves out, by line and column, and each column it does not know', async () => {
    const csv =
      'name,count,price,colour,arrives\nKnob,2,1,red,\nBelt,many,1,,\nHose,1,cheap,,\nPlate,1.5,1,,\nRail,1,1,,soon\n,1,1,,\nNut,-1,1,,\n'
    const { parts, findings } = await readParts(csv)
    expect(parts.map((it) => it.name)).toEqual(['Knob'])
    expect(findings.map(({ code, line, message }) => [code, line, /^(?:The column|Line \d+), (\w+)/.exec(message)?.[1]])).toEqual(
      [
        ['foreign-column', undefined, undefined],
        ['bad-row', 3, 'count'],
        ['bad-row', 4, 'price'],
        ['bad-row', 5, 'count'],
        ['bad-row', 6, 'arrives'],
        ['bad-row', 7, 'name'],
        ['bad-row', 8, 'count'],
      ],
    )
  })
})
