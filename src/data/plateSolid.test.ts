import { describe, expect, it } from 'vitest'
import { ductPlate, proveMesh } from '../core/air'
import { plateSolid } from './plateSolid'

const SPEC = {
  kind: 'flange',
  width: 140,
  height: 140,
  hole: 99.6,
  play: 0.4,
  bars: 2,
  between: 6,
  screws: 4,
  pitch: 112,
  screwHole: 4.5,
  notch: 0,
} as const

describe('plates as solids', () => {
  it.each([
    ['a flange with a grille', SPEC, 0.744195],
    ['a fan plate with a notch', { ...SPEC, kind: 'bracket', between: 0, notch: 12 } as const, 1],
    ['a window insert', { ...SPEC, kind: 'insert', between: 0, screws: 0 } as const, 1],
  ])('%s is closed, faces outwards, prints flat, and has the volume of its face', (_, spec, free) => {
    const made = ductPlate(spec)
    if (!made.ok) throw new Error(made.findings[0]?.message)
    const proof = proveMesh(plateSolid(made.value.cut, 4))
    expect(proof).toMatchObject({ openEdges: 0, flat: 0 })
    expect(proof.overhang).toBeLessThan(1e-6)
    const notch = spec.notch > 0 ? spec.notch * spec.notch : 0
    const open = free * Math.PI * 50 ** 2 + spec.screws * Math.PI * 2.25 ** 2 + notch
    expect(proof.volume / ((140 * 140 - open) * 4)).toBeCloseTo(1, 2)
  })
  it('a face that is left out is found', () => {
    const made = ductPlate(SPEC)
    if (!made.ok) throw new Error('no plate')
    const { places, triangles } = plateSolid(made.value.cut, 4)
    expect(proveMesh({ places, triangles: triangles.slice(1) }).openEdges).toBeGreaterThan(0)
  })
})
