import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  areaOf,
  circleOutline,
  drawingToDxf,
  drawingToSvg,
  flattened,
  lengthOf,
  readDxf,
  readSvg,
  type Outline,
  type Segment,
} from '../../src/core/artwork'
import { xmlNode } from '../../src/data/xml'

const place = fc.record({ x: fc.integer({ min: 10, max: 190 }), y: fc.integer({ min: 10, max: 140 }) })
const lines = fc.array(place, { minLength: 2, maxLength: 12 })
const outlineOf = (places: readonly { readonly x: number; readonly y: number }[], isClosed: boolean): Outline => {
  const [start, ...rest] = places
  return { start: start!, segments: rest.map((to): Segment => ({ kind: 'line', to })), isClosed }
}
/** Length of all outlines of a drawing, each as fine chords. */
const total = (outlines: readonly Outline[]): number => outlines.reduce((sum, it) => sum + lengthOf(flattened(it, 1e-4)), 0)

function fromSvg(text: string) {
  const node = xmlNode(text)
  const read = node.ok ? readSvg(node.value) : node
  if (!read.ok) throw new Error(read.findings[0]?.message)
  return read.value
}
function fromDxf(text: string) {
  const read = readDxf(text)
  if (!read.ok) throw new Error(read.findings[0]?.message)
  return read.value
}
const layer = (outlines: readonly Outline[], name = 'cut') => ({ name, colour: '#111111', outlines })

describe('drawings that are written, read again by the readers of artwork', () => {
  it('keep every line in millimetres, whatever is drawn', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(lines, fc.boolean()), { minLength: 1, maxLength: 5 }), (drawn) => {
        const outlines = drawn.map(([places, isClosed]) => outlineOf(places, isClosed))
        const wanted = total(outlines)
        const svg = fromSvg(drawingToSvg(200, 150, [layer(outlines)]))
        expect([svg.width, svg.height, svg.hasUnits]).toEqual([200, 150, true])
        expect(total(svg.shapes.flatMap((it) => it.outlines))).toBeCloseTo(wanted, 3)
        const dxf = fromDxf(drawingToDxf([layer(outlines)]))
        expect(total(dxf.shapes.flatMap((it) => it.outlines))).toBeCloseTo(wanted, 3)
      }),
      { seed: 97, numRuns: 60 },
    )
  })

  it('keep circles round, where they are: 2πr and πr²', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 1, max: 90 }), (middle, tenths) => {
        const r = tenths / 10
        const drawn = layer([circleOutline(middle, r)])
        for (const shapes of [fromSvg(drawingToSvg(200, 150, [drawn])).shapes, fromDxf(drawingToDxf([drawn])).shapes]) {
          const places = shapes.flatMap((it) => it.outlines.flatMap((one) => flattened(one, 1e-4)))
          expect(lengthOf(places)).toBeCloseTo(2 * Math.PI * r, 1)
          expect(Math.abs(areaOf(places))).toBeCloseTo(Math.PI * r * r, 1)
        }
        const svg = fromSvg(drawingToSvg(200, 150, [drawn])).shapes.flatMap((it) =>
          it.outlines.flatMap((one) => flattened(one, 1e-3)),
        )
        for (const it of svg) expect(Math.hypot(it.x - middle.x, it.y - middle.y)).toBeCloseTo(r, 2)
      }),
      { seed: 98, numRuns: 40 },
    )
  })

  it('part arcs go the way they went, and what is no arc of a circle follows within 0.005', () => {
    const quarter: Outline = {
      start: { x: 60, y: 40 },
      segments: [
        {
          kind: 'arc',
          to: { x: 40, y: 60 },
          centre: { x: 40, y: 40 },
          u: { x: 20, y: 0 },
          v: { x: 0, y: 20 },
          start: 0,
          sweep: Math.PI / 2,
        },
      ],
      isClosed: false,
    }
    const oval: Outline = {
      start: { x: 90, y: 40 },
      segments: [
        {
          kind: 'arc',
          to: { x: 70, y: 50 },
          centre: { x: 70, y: 40 },
          u: { x: 20, y: 0 },
          v: { x: 0, y: 10 },
          start: 0,
          sweep: Math.PI / 2,
        },
      ],
      isClosed: false,
    }
    for (const shapes of [
      fromSvg(drawingToSvg(200, 150, [layer([quarter])])).shapes,
      fromDxf(drawingToDxf([layer([quarter])])).shapes,
    ]) {
      const places = flattened(shapes[0]!.outlines[0]!, 1e-4)
      // Half-way along it stands 45° up, not below; an exchange file has no corner of a sheet to count from.
      const middle = places[Math.floor(places.length / 2)]!
      const [left, low] = [Math.min(...places.map((it) => it.x)), Math.min(...places.map((it) => it.y))]
      expect(Math.hypot(middle.x - left, middle.y - low)).toBeCloseTo(20, 2)
      expect(Math.min(middle.x - left, middle.y - low)).toBeGreaterThan(10)
      expect(lengthOf(places)).toBeCloseTo(10 * Math.PI, 2)
    }
    const wanted = total([oval])
    expect(total(fromSvg(drawingToSvg(200, 150, [layer([oval])])).shapes.flatMap((it) => it.outlines))).toBeCloseTo(wanted, 1)
    expect(total(fromDxf(drawingToDxf([layer([oval])])).shapes.flatMap((it) => it.outlines))).toBeCloseTo(wanted, 1)
  })

  it('names of layers are no markup, and no group of an exchange file', () => {
    const odd = layer(
      [
        outlineOf(
          [
            { x: 10, y: 10 },
            { x: 20, y: 20 },
          ],
          false,
        ),
      ],
      '"><b>&\n0',
    )
    expect(fromSvg(drawingToSvg(50, 50, [odd])).shapes).toHaveLength(1)
    expect(fromDxf(drawingToDxf([odd])).shapes.map((it) => it.layer)).toEqual(['___b___0'])
  })
})
