import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BLOCK_IDS, bringUpOrder, roleOf, type BlockId, type WiredBlock, type WiredPair } from '.'

const block = (id: string, kind: BlockId): WiredBlock => ({ id, kind, name: id })
const rail = (from: string, to: string): WiredPair => ({ id: `${from}-${to}`, from, to, kind: 'rail' })
const said = (blocks: readonly WiredBlock[], wires: readonly WiredPair[], hasMains = false): string =>
  bringUpOrder(blocks, wires, hasMains)
    .map((it) => [it.kind, it.block].filter(Boolean).join(' '))
    .join(', ')

describe('the order of the first power-up', () => {
  const blocks = [
    block('head', 'head'),
    block('buck', 'converter'),
    block('psu', 'supply'),
    block('fan', 'fan'),
    block('stop', 'stop'),
    block('motors', 'motors'),
  ]
  const wires = [rail('psu', 'motors'), rail('psu', 'buck'), rail('buck', 'stop'), rail('stop', 'head'), rail('buck', 'fan')]

  it('looks first, then each source before what it feeds, the head last and dark before it is bright', () => {
    expect(said(blocks, wires)).toBe('look, source psu, load motors, source buck, load fan, dark head, head head, light')
  })

  it('has the bonds before any mains', () => {
    expect(said(blocks, wires, true)).toMatch(/^look, bonds, source psu/)
  })

  it('has no light without a head, and nothing but a look without a source', () => {
    expect(said([block('psu', 'supply'), block('fan', 'fan')], [rail('psu', 'fan')])).toBe('look, source psu, load fan')
    expect(said([block('fan', 'fan')], [])).toBe('look')
  })

  it('ends, and has each block at most once for each of its steps, however things are joined (seed 4)', () => {
    const drawn = fc.array(fc.constantFrom(...BLOCK_IDS), { minLength: 1, maxLength: 9 }).chain((kinds) =>
      fc.array(fc.tuple(fc.nat(kinds.length - 1), fc.nat(kinds.length - 1)), { maxLength: 16 }).map((pairs) => ({
        blocks: kinds.map((kind, i) => block(`b${i}`, kind)),
        wires: pairs.map(([p, q], i) => ({ ...rail(`b${p}`, `b${q}`), id: `w${i}` })),
      })),
    )
    fc.assert(
      fc.property(drawn, ({ blocks: all, wires: joined }) => {
        const steps = bringUpOrder(all, joined, false)
        expect(new Set(steps.map((it) => it.id)).size).toBe(steps.length)
        const at = (id: string): number => steps.findIndex((it) => it.block === id)
        for (const { id, kind } of all) {
          if (roleOf(kind) === 'contact' || roleOf(kind) === 'mains') expect(at(id)).toBe(-1)
          if (roleOf(kind) === 'source') expect(at(id)).toBeGreaterThan(0)
        }
        const firstHead = steps.findIndex((it) => it.kind === 'dark')
        const lastLoad = steps.findLastIndex((it) => it.kind === 'load' || it.kind === 'source')
        if (firstHead >= 0) expect(firstHead).toBeGreaterThan(lastLoad)
      }),
      { seed: 4, numRuns: 300 },
    )
  })
})
