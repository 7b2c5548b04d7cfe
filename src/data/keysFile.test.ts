import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt } from '../core/bench'
import { emptyBench } from '../core/document'
import { heron } from './heron'
import { readKeys, writeKeys } from './keysFile'

const named = setAt(heron().bench, 'controller', {
  ...heron().bench.controller,
  keys: { 'axes.x.steps': 'q17', 'beam.fullPower': 'top word' },
  line: 'set {key} {value}',
  speedUnit: 'mm/min',
})

describe('a file of names', () => {
  it('is taken by another bench as it was given out', () => {
    const read = readKeys(writeKeys(named), emptyBench('b', 'Other', '2026-01-01T00:00:00.000Z'))
    expect(read.ok && read.value).toMatchObject({ line: 'set {key} {value}', speedUnit: 'mm/min', count: 11 })
    expect(
      read.ok && [read.value.keys['axes.x.steps'], read.value.keys['beam.fullPower'], read.value.keys['axes.y.steps']],
    ).toEqual(['q17', 'top word', 'y/steps'])
  })

  it('that contradicts itself is refused; what a bench has not is left out, and said', () => {
    const twice = writeKeys(named).replace('"top word"', '"q17"')
    expect(readKeys(twice, named).findings.map((it) => it.code)).toEqual(['keys-twice'])
    const more = writeKeys(named).replace('"keys": {', '"keys": { "A steps": "a1",')
    const read = readKeys(more, named)
    expect([read.ok, read.findings.map((it) => it.message)]).toEqual([true, ['This bench has no A steps: its key was left out.']])
  })

  it('is never taken for one by accident (seed 6)', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.jsonValue().map((it) => JSON.stringify(it)),
        ),
        (text) => {
          const read = readKeys(text, named)
          expect(read.ok).toBe(false)
          expect(read.findings[0]?.message).toMatch(/no file of keys/)
        },
      ),
      { seed: 6, numRuns: 300 },
    )
  })
})
