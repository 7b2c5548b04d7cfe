import { randomLcg, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { adapterDrop, adapterOf, meshToStl, PRINTABLE, proveMesh, revolve, type AdapterEnd, type Mesh } from '../../src/core/air'

const PRINTING = { nozzle: 0.4, lines: 4, play: 0.4 }
const end = (goes: AdapterEnd['goes'], diameter: number, length = 25): AdapterEnd => ({ goes, diameter, length })

function meshOf(low: AdapterEnd, high: AdapterEnd, count = 128): Mesh {
  const made = adapterOf(low, high, PRINTING)
  if (!made.ok) throw new Error(made.findings[0]?.message)
  return revolve(made.value.profile, count)
}

/** Facets of a binary STL, read by its own description. */
function readStl(bytes: Uint8Array): readonly (readonly number[])[] {
  const view = new DataView(bytes.buffer)
  const count = view.getUint32(80, true)
  expect(bytes.length).toBe(84 + 50 * count)
  return Array.from({ length: count }, (_, k) => Array.from({ length: 12 }, (_, i) => view.getFloat32(84 + 50 * k + 4 * i, true)))
}

describe('adapters between ducts', () => {
  it('are closed, face outwards and need no support, over 100 drawn ones', () => {
    const source = randomLcg(71)
    const draw = (low: number, high: number): number => randomUniform.source(source)(low, high)()
    for (let round = 0; round < 100; round++) {
      const goes = (k: number): AdapterEnd['goes'] => ((round >> k) & 1 ? 'over' : 'into')
      const mesh = meshOf(end(goes(0), draw(40, 160), draw(8, 40)), end(goes(1), draw(40, 160), draw(8, 40)))
      const proof = proveMesh(mesh)
      expect(proof).toMatchObject({ openEdges: 0, flat: 0 })
      expect(proof.volume).toBeGreaterThan(0)
      expect(proof.overhang).toBeLessThan(PRINTABLE + 1e-6)
    }
  })

  it('have the volume of Pappus’ rule, as far as a many-sided ring is a round one', () => {
    const count = 256
    const made = adapterOf(end('over', 100), end('into', 125), PRINTING)
    if (!made.ok) throw new Error('no adapter')
    // ∮ r² dz about the outline, by Green: V = π ∮ r² dz, each line worked exactly.
    const round = made.value.profile.reduce((sum, p, k, all) => {
      const q = all[(k + 1) % all.length]!
      return sum + (Math.PI / 3) * (p.r * p.r + p.r * q.r + q.r * q.r) * (q.z - p.z)
    }, 0)
    const sided = (round * Math.sin((2 * Math.PI) / count)) / ((2 * Math.PI) / count)
    expect(proveMesh(revolve(made.value.profile, count)).volume / sided).toBeCloseTo(1, 9)
  })

  it('fit what was measured: play outside of a pipe, play inside of a socket, walls of whole lines', () => {
    const made = adapterOf(end('over', 99.6), end('into', 124.2), PRINTING)
    if (!made.ok) throw new Error('no adapter')
    const { profile, wall } = made.value
    expect(wall).toBeCloseTo(1.6, 9)
    const at = (z: number): number[] => profile.filter((it) => it.z === z).map((it) => 2 * it.r)
    expect(Math.min(...at(0))).toBeCloseTo(99.6 + 0.4, 9)
    expect(Math.max(...at(made.value.height))).toBeCloseTo(124.2 - 0.4, 9)
  })

  it('a coupler for two pipes alike has a ring that both stop at', () => {
    const made = adapterOf(end('over', 100), end('over', 100), PRINTING)
    expect(made.ok && made.value.bore).toBeCloseTo(100.4 - 3, 9)
    expect(proveMesh(meshOf(end('over', 100), end('over', 100))).overhang).toBeLessThan(PRINTABLE + 1e-6)
  })

  it('come out as STL with every triangle and its normal, to a tenth of a micrometre', () => {
    const mesh = meshOf(end('over', 80), end('over', 60), 32)
    const facets = readStl(meshToStl(mesh))
    expect(facets).toHaveLength(mesh.triangles.length)
    facets.forEach((facet, k) => {
      mesh.triangles[k]!.forEach((corner, i) => {
        mesh.places[corner]!.forEach((it, axis) => expect(Math.abs(facet[3 + 3 * i + axis]! - it)).toBeLessThan(1e-4))
      })
      expect(Math.hypot(facet[0]!, facet[1]!, facet[2]!)).toBeCloseTo(1, 5)
    })
  })

  it('that contradict are said in words', () => {
    expect(adapterOf(end('over', 100), end('over', 80), { ...PRINTING, lines: 2 })).toMatchObject({
      findings: [{ code: 'thin-wall' }],
    })
    expect(adapterOf(end('over', 100, 2), end('over', 80), PRINTING)).toMatchObject({ findings: [{ code: 'no-overlap' }] })
    expect(adapterOf(end('over', 100), end('into', 5), PRINTING)).toMatchObject({ findings: [{ code: 'closed' }] })
  })

  it('take what a sudden step takes (Borda and Carnot)', () => {
    const v = 200 / 3600 / (Math.PI * 0.05 ** 2)
    expect(adapterDrop(100, 125, 200 / 3600)).toBeCloseTo((1 - 0.64) ** 2 * 0.5 * 1.204 * v * v, 6)
    expect(adapterDrop(125, 100, 200 / 3600)).toBeCloseTo(0.5 * (1 - 0.64) * 0.5 * 1.204 * v * v, 6)
  })
})

describe('the proof of a surface finds what is planted', () => {
  const whole = meshOf(end('over', 100), end('over', 80), 48)

  it.each([
    ['a triangle left out', { ...whole, triangles: whole.triangles.slice(1) }, 3],
    [
      'a triangle turned about',
      { ...whole, triangles: whole.triangles.map(([a, b, c], k) => (k === 7 ? ([a, c, b] as const) : ([a, b, c] as const))) },
      3,
    ],
    ['a triangle twice', { ...whole, triangles: [...whole.triangles, whole.triangles[0]!] }, 3],
  ])('%s', (_, mesh, open) => {
    expect(proveMesh(mesh).openEdges).toBe(open)
  })

  it('all turned inside out, and a ledge that hangs over', () => {
    const inside = { ...whole, triangles: whole.triangles.map(([a, b, c]) => [a, c, b] as const) }
    expect(proveMesh(inside)).toMatchObject({ openEdges: 0 })
    expect(proveMesh(inside).volume).toBeLessThan(0)
    // A flange half-way up, its underside level.
    const ledge = revolve(
      [
        { r: 40, z: 0 },
        { r: 42, z: 0 },
        { r: 42, z: 20 },
        { r: 55, z: 20 },
        { r: 55, z: 23 },
        { r: 40, z: 23 },
      ],
      48,
    )
    expect(proveMesh(ledge)).toMatchObject({ openEdges: 0, overhang: Math.PI / 2, overhangAt: 20 })
  })
})
