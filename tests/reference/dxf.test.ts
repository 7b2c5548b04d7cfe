import { DxfWriter, LWPolylineFlags, point2d, point3d, SplineFlags, Units } from '@tarikjabiri/dxf'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, flattened, isCircular, joined, lengthOf, readDxf, type Drawing, type Outline } from '../../src/core/artwork'

/** A file as a general library writes it. */
function written(draw: (dxf: DxfWriter) => void, units = Units.Millimeters): string {
  const dxf = new DxfWriter()
  dxf.setUnits(units)
  draw(dxf)
  return dxf.stringify()
}
function read(text: string): Drawing {
  const drawing = readDxf(text)
  if (!drawing.ok) throw new Error(drawing.findings[0]?.message)
  return drawing.value
}
const outlinesOf = (text: string): readonly Outline[] => read(text).shapes.flatMap((it) => it.outlines)
const long = (it: Outline): number => lengthOf(flattened(it, 1e-6))
const codes = (text: string): readonly string[] => readDxf(text).findings.map((it) => it.code)

describe('files of a general library that writes them', () => {
  it('lines, arcs, circles and ellipses have the lengths of elementary geometry', () => {
    const [line, arc, circle, ellipse] = outlinesOf(
      written((dxf) => {
        dxf.addLine(point3d(0, 0), point3d(30, 40))
        dxf.addArc(point3d(10, 10), 5, 350, 80)
        dxf.addCircle(point3d(50, 50), 7)
        dxf.addEllipse(point3d(80, 20), point3d(3, 4), 0.5, 0, 2 * Math.PI)
      }),
    )
    expect(long(line!)).toBeCloseTo(50, 9)
    expect(long(arc!)).toBeCloseTo((5 * Math.PI) / 2, 4)
    expect(long(circle!)).toBeCloseTo(14 * Math.PI, 4)
    expect(circle!.segments.every((it) => it.kind === 'arc' && isCircular(it))).toBe(true)
    expect(Math.abs(areaOf(flattened(ellipse!, 1e-5)))).toBeCloseTo(Math.PI * 5 * 2.5, 2)
  })
  it('a slot of two half circles by bulges of 1 has its area and is closed', () => {
    const corner = (x: number, y: number, bulge = 0) => ({ point: point2d(x, y), bulge })
    const [slot] = outlinesOf(
      written((dxf) =>
        dxf.addLWPolyline([corner(0, 0), corner(20, 0, 1), corner(20, 6), corner(0, 6, 1)], { flags: LWPolylineFlags.Closed }),
      ),
    )
    expect(slot!.isClosed).toBe(true)
    expect(areaOf(flattened(slot!, 1e-5))).toBeCloseTo(20 * 6 + Math.PI * 9, 2)
  })
  it('a quarter of a circle as a rational spline keeps its radius (Piegl and Tiller, 7.3, from memory)', () => {
    const text = written((dxf) =>
      dxf.addSpline({
        controlPoints: [point3d(10, 0), point3d(10, 10), point3d(0, 10)],
        degreeCurve: 2,
        knots: [0, 0, 0, 1, 1, 1],
        weights: [1, Math.SQRT1_2, 1],
        flags: SplineFlags.Rational,
      }),
    )
    // Drawn from the lower left corner of all: its centre is (0, 0) still.
    const places = flattened(outlinesOf(text)[0]!, 1e-4)
    expect(places.length).toBeGreaterThan(50)
    for (const { x, y } of places) expect(Math.hypot(x, y)).toBeCloseTo(10, 9)
  })
  it('inches are 25.4 mm; without a unit the size is asked for', () => {
    const line = (dxf: DxfWriter) => void dxf.addLine(point3d(1, 1), point3d(3, 1))
    const inches = read(written(line, Units.Inches))
    expect(inches.hasUnits).toBe(true)
    expect(inches.width).toBeCloseTo(50.8, 9)
    expect(read(written(line, Units.Unitless))).toMatchObject({ width: 2, hasUnits: false })
  })
  it('blocks are inserted turned, scaled, mirrored and in arrays, each where it should be', () => {
    const text = written((dxf) => {
      const block = dxf.addBlock('tag')
      block.addLine(point3d(0, 0), point3d(10, 0))
      dxf.addInsert('tag', point3d(100, 50), { rotationAngle: 90, scaleFactor: { x: 2, y: 1, z: 1 } })
      dxf.addInsert('tag', point3d(0, 0), { columnCount: 3, rowCount: 2, columnSpacing: 20, rowSpacing: 15 })
      dxf.addInsert('tag', point3d(0, 80), { scaleFactor: { x: -1, y: 1, z: 1 } })
    })
    const outlines = outlinesOf(text)
    expect(outlines).toHaveLength(8)
    // The mirrored one reaches 10 to the left of zero: that is where the drawing begins.
    const ends = outlines.map((it) => [it.start, it.segments[0]!.to].map(({ x, y }) => [Math.round(x) - 10, Math.round(y)]))
    expect(ends[0]).toEqual([
      [100, 50],
      [100, 70],
    ])
    expect(ends.slice(1, 7).map((it) => it[0])).toEqual([
      [0, 0],
      [20, 0],
      [40, 0],
      [0, 15],
      [20, 15],
      [40, 15],
    ])
    expect(ends[7]).toEqual([
      [0, 80],
      [-10, 80],
    ])
  })
  it('text and layers that are off are left out and said, with the line', () => {
    const text = written((dxf) => {
      dxf.addLine(point3d(0, 0), point3d(1, 0))
      dxf.addText(point3d(0, 0), 5, 'NOT CUT')
      dxf.addPoint(3, 3, 0)
    })
    expect(codes(text)).toEqual(['dxf-text', 'dxf-point'])
    expect(readDxf(text).findings[0]?.message).toMatch(/outlines .*line \d+/)
  })
})

/** Things of a file by hand: pairs of code and value. */
const entities = (...lines: readonly (string | number)[]): string =>
  ['0', 'SECTION', '2', 'ENTITIES', ...lines.map(String), '0', 'ENDSEC', '0', 'EOF', ''].join('\n')

describe('what files have beside', () => {
  it('a thing seen from below is mirrored (DXF reference, arbitrary axis algorithm, from memory)', () => {
    const circle = ['0', 'CIRCLE', '8', '0', '10', '10', '20', '5', '40', '2', '230', '-1']
    const other = ['0', 'CIRCLE', '8', '0', '10', '10', '20', '5', '40', '2']
    const [below, above] = outlinesOf(entities(...circle, ...other))
    expect((above!.start.x - 2 - (below!.start.x + 2)).toFixed(6)).toBe('20.000000')
  })
  it('inserts of one another end; a bomb of arrays of arrays ends', () => {
    const block = (name: string, inner: readonly string[]) => ['0', 'BLOCK', '2', name, ...inner, '0', 'ENDBLK']
    const insert = (name: string) => ['0', 'INSERT', '2', name, '70', '900', '71', '900', '44', '1', '45', '1']
    const blocks = [
      ...block('a', ['0', 'LINE', '10', '0', '20', '0', '11', '1', '21', '0']),
      ...block('b', insert('a')),
      ...block('c', [...insert('c'), ...insert('b')]),
      ...block('empty', []),
    ]
    const text = ['0', 'SECTION', '2', 'BLOCKS', ...blocks, '0', 'ENDSEC', entities(...insert('c'), ...insert('empty'))].join(
      '\n',
    )
    const drawing = readDxf(text)
    expect(drawing.ok && drawing.value.shapes.length).toBe(200_000)
    expect(drawing.findings.map((it) => it.code)).toContain('dxf-shapes')
    expect(drawing.findings.map((it) => it.code)).toContain('dxf-lost')
  })
  it('a file that is cut off or damaged gives what stands before, and says the line', () => {
    const whole = entities('0', 'LINE', '10', '0', '20', '0', '11', '1', '21', '0', '0', 'LINE', 'x', 'y')
    expect(readDxf(whole)).toMatchObject({ ok: true, findings: [{ code: 'dxf-broken', line: 17 }] })
    expect(readDxf('')).toMatchObject({ ok: false })
    expect(readDxf('PK\0\0').findings[0]?.message).toMatch(/binary/)
  })
  it('whatever stands in it, it is read without a throw, and every number is one', () => {
    const whole = written((dxf) => {
      dxf.addBlock('tag').addCircle(point3d(1, 1), 3)
      dxf.addInsert('tag', point3d(5, 5), { rotationAngle: 30 })
      dxf.addArc(point3d(0, 0), 5, 10, 200)
      dxf.addLWPolyline([0, 1, 2, 3].map((i) => ({ point: point2d(i, i * i), bulge: i / 2 })))
      dxf.addSpline({ controlPoints: [0, 1, 2, 3].map((i) => point3d(i, i % 2)) })
      dxf.addEllipse(point3d(0, 0), point3d(3, 4), 0.5, 0, 3)
    })
    const lines = whole.slice(whole.indexOf('BLOCKS')).split('\n')
    const odd = fc.constantFrom('', '-1', '0', '1e308', 'NaN', '-', '70', '1e-320', '900', 'INSERT', 'tag', '16', 'SPLINE')
    const change = fc.tuple(fc.nat(lines.length - 1), odd)
    const head = '0\nSECTION\n2\n'
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 8 }), fc.nat(lines.length), (changes, cut) => {
        const text = [...lines]
        for (const [at, value] of changes) text[at] = value
        const drawing = readDxf(head + text.slice(0, Math.max(40, lines.length - (cut % 30))).join('\n'))
        if (!drawing.ok) return
        expect(Number.isFinite(drawing.value.width) && Number.isFinite(drawing.value.height)).toBe(true)
        for (const shape of drawing.value.shapes.slice(0, 500))
          for (const outline of shape.outlines)
            for (const { x, y } of flattened(outline, 1)) expect(Number.isFinite(x + y)).toBe(true)
      }),
      { numRuns: 2000, seed: 14 },
    )
  })
})

describe('single lines and arcs', () => {
  it('that meet become the outline that they draw, whichever way each was drawn', () => {
    const pieces = outlinesOf(
      written((dxf) => {
        dxf.addLine(point3d(0, 0), point3d(20, 0))
        dxf.addLine(point3d(20, 6), point3d(0, 6))
        dxf.addArc(point3d(20, 3), 3, 270, 90)
        dxf.addArc(point3d(0, 3), 3, 90, 270)
        dxf.addLine(point3d(100, 0), point3d(110, 0))
      }),
    )
    const all = joined(pieces, 0.01)
    expect(all.map((it) => it.isClosed)).toEqual([true, false])
    expect(Math.abs(areaOf(flattened(all[0]!, 1e-5)))).toBeCloseTo(20 * 6 + Math.PI * 9, 2)
  })
  it('in any order and sense, a polygon cut into its sides is one again, of the same area', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 40 }),
        fc.nat(),
        fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }),
        (n, shift, turned) => {
          const at = (i: number) => ({ x: 10 * Math.cos((2 * Math.PI * i) / n), y: 10 * Math.sin((2 * Math.PI * i) / n) })
          const sides = Array.from({ length: n }, (_, k): Outline => {
            const i = (k * 7 + shift) % n
            const [p, q] = turned[i] ? [at(i + 1), at(i)] : [at(i), at(i + 1)]
            return { start: p, segments: [{ kind: 'line', to: q }], isClosed: false }
          })
          // Seven and the number of sides share no divisor, so that every side is there once.
          fc.pre(n % 7 !== 0)
          const [whole, ...more] = joined(sides, 1e-6)
          expect(more).toEqual([])
          expect(Math.abs(areaOf(flattened(whole!, 1)))).toBeCloseTo(50 * n * Math.sin((2 * Math.PI) / n), 6)
        },
      ),
      { seed: 14 },
    )
  })
})
