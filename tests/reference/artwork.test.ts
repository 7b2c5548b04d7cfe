import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import SVGPathCommander from 'svg-path-commander'
import { describe, expect, it } from 'vitest'
import {
  areaOf,
  boxOfOutline,
  flattened,
  isCircular,
  lengthOf,
  mappedOutline,
  readLength,
  readPathData,
  readSvg,
  readTransform,
  rectangle,
  type Affine,
  type Outline,
} from '../../src/core/artwork'
import { xmlNode } from '../../src/data/xml'
import { damaged, randomSvg, wrongWithArtwork } from '../randomArtwork'

const only = (data: string): Outline => readPathData(data).outlines[0]!
const length = (outline: Outline): number => lengthOf(flattened(outline, 1e-7 * 50))
const svg = (inside: string, attributes = 'width="100mm" height="50mm" viewBox="0 0 100 50"') => {
  const node = xmlNode(`<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`)
  if (!node.ok) throw new Error(node.findings[0]?.message)
  return readSvg(node.value)
}
const shapesOf = (inside: string, attributes?: string) => {
  const read = svg(inside, attributes)
  if (!read.ok) throw new Error(read.findings[0]?.message)
  return read.value.shapes
}

describe('lengths, areas and boxes against closed forms', () => {
  it('a circle of two arcs, a quarter of an ellipse’s box, a parabola', () => {
    expect(length(only('M10 0A10 10 0 0 1 -10 0A10 10 0 0 1 10 0Z'))).toBeCloseTo(20 * Math.PI, 4)
    // y = x² from 0 to 1 as a quadratic: (2√5 + arsinh 2)/4.
    expect(length(only('M0 0Q.5 0 1 1'))).toBeCloseTo((2 * Math.sqrt(5) + Math.asinh(2)) / 4, 5)
    const box = boxOfOutline(only('M3 0A3 2 0 0 1 0 2'))!
    expect([box.left, box.bottom, box.right, box.top].map((it) => Number(it.toFixed(9)))).toEqual([0, 0, 3, 2])
  })
  it('a rounded rectangle is its area less (4 − π)r² (elementary geometry)', () => {
    const outline = rectangle({ x: 5, y: 5, width: 40, height: 20, rx: 4, ry: null })!
    expect(Math.abs(areaOf(flattened(outline, 1e-5)))).toBeCloseTo(800 - (4 - Math.PI) * 16, 3)
  })
  it('an arc turned by 30° reaches √(a²cos²φ + b²sin²φ) (elementary geometry)', () => {
    const outline = only('M-10 0A10 4 30 1 1 10 0A10 4 30 1 1 -10 0')
    const box = boxOfOutline(outline)!
    const arc = outline.segments[0]!
    if (arc.kind !== 'arc') throw new Error('no arc')
    const [a, b] = [Math.hypot(arc.u.x, arc.u.y), Math.hypot(arc.v.x, arc.v.y)]
    const [c, s] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)]
    expect((box.right - box.left) / 2).toBeCloseTo(Math.hypot(a * c, b * s), 6)
    expect((box.top - box.bottom) / 2).toBeCloseTo(Math.hypot(a * s, b * c), 6)
  })
})

describe('path data against a general library', () => {
  const paths = [
    'M10 10h80v30H10z',
    'm10,10 20,0 0,20 -20,0z m40,0 5,5',
    'M10 80 C 40 10, 65 10, 95 80 S 150 150, 180 80',
    'M10 80 Q 52.5 10, 95 80 T 180 80',
    'M80 80A45 45 0 0 0 125 125L125 80Z',
    'M230 80A45 20 20 1 0 275 125L275 80Z',
    'M80 230A45 45 25 0 1 125 275',
    'M1.5.5-.5.25e1L3-4',
  ]
  it.each(paths)('%s: its length, and where it ends', (data) => {
    const outlines = readPathData(data).outlines
    const all = outlines.reduce((sum, it) => sum + lengthOf(flattened(it, 1e-5)), 0)
    expect(all).toBeCloseTo(new SVGPathCommander(data).getTotalLength(), 2)
    const box = new SVGPathCommander(data).getBBox()
    const boxes = outlines.map((it) => boxOfOutline(it)!)
    expect(Math.min(...boxes.map((it) => it.left))).toBeCloseTo(box.x, 2)
    expect(Math.max(...boxes.map((it) => it.right))).toBeCloseTo(box.x + box.width, 2)
    expect(Math.max(...boxes.map((it) => it.top))).toBeCloseTo(box.y + box.height, 2)
  })
  it('flags may stand without a space; what makes no sense ends it, what stands before is kept (SVG 2, 9.5.4)', () => {
    expect(length(only('M0 0a5 5 0 0110 0'))).toBeCloseTo(5 * Math.PI, 4)
    const read = readPathData('M0 0L10 0L10 ten')
    expect(read.outlines[0]?.segments).toHaveLength(1)
    expect(read.findings[0]?.message).toContain('What stands before it is kept')
    expect(readPathData('L10 0').findings[0]?.message).toContain('begin with a move')
  })
  it('never throws, whatever stands there', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...Array.from('MmLlHhVvCcSsQqTtAaZz0123456789.-+e, \n#')) }), (data) => {
        const { outlines } = readPathData(data)
        for (const it of outlines) flattened(it, 0.1)
      }),
      { numRuns: 2000, seed: 14 },
    )
  })
})

describe('transforms', () => {
  it('the first is applied last; a rotation about a place leaves it (CSS Transforms 1)', () => {
    const [a, b, c, d, e, f] = readTransform('translate(10 20) scale(2)')!
    expect([a, b, c, d, e, f]).toEqual([2, 0, 0, 2, 10, 20])
    const turn = readTransform('rotate(90, 5, 5)')!
    expect(turn[0] * 5 + turn[2] * 5 + turn[4]).toBeCloseTo(5, 12)
    expect(readTransform('turn(4)')).toBeNull()
  })
  it('of a circle by a similarity it stays one, by another it does not; lengths go with the scale', () => {
    const circle = only('M10 0A10 10 0 0 1 -10 0')
    const by = (it: Affine) => mappedOutline(it, circle)
    const arc = (it: Outline) => it.segments[0] as Extract<Outline['segments'][number], { kind: 'arc' }>
    expect(isCircular(arc(by(readTransform('rotate(33) scale(3)')!)))).toBe(true)
    expect(isCircular(arc(by(readTransform('scale(3 2)')!)))).toBe(false)
    expect(length(by(readTransform('rotate(33) scale(3)')!))).toBeCloseTo(30 * Math.PI, 3)
  })
})

describe('drawings', () => {
  it('units: an inch is 96 pixels, 25.4 mm; a viewBox is fitted to the middle (CSS Values 3; SVG 2, 8.2)', () => {
    expect(readLength('1in', null)).toBe(96)
    expect(readLength('25.4mm', null)).toBeCloseTo(96, 9)
    expect(readLength('50%', 10)).toBe(5)
    expect(readLength('3 apples', null)).toBeNull()
    // 100 by 50 mm shows 10 by 10 units: scale 5 mm, in the middle.
    const [shape] = shapesOf('<rect x="0" y="0" width="10" height="10"/>', 'width="100mm" height="50mm" viewBox="0 0 10 10"')
    const box = boxOfOutline(shape!.outlines[0]!)!
    expect([box.left, box.right, box.bottom, box.top].map((it) => Math.round(it * 1e6) / 1e6 + 0)).toEqual([25, 75, 0, 50])
  })
  it('y goes up from the lower left corner; groups, uses, symbols and nested windows lie where they should', () => {
    const boxes = shapesOf(`
      <defs><symbol id="s" viewBox="0 0 2 2"><rect width="2" height="2"/></symbol><path id="p" d="M0 0h4v4z"/></defs>
      <g transform="translate(10 5)"><rect x="1" y="1" width="3" height="2"/></g>
      <use href="#s" x="50" y="10" width="8" height="8"/>
      <use xlink:href="#p" transform="translate(80,40)" xmlns:xlink="http://www.w3.org/1999/xlink"/>
      <svg x="20" y="20" width="10" height="10" viewBox="0 0 100 100"><circle cx="50" cy="50" r="50"/></svg>`).map((it) =>
      boxOfOutline(it.outlines[0]!)!,
    )
    const rounded = boxes.map((it) => [it.left, it.bottom, it.right, it.top].map((n) => Number(n.toFixed(6))))
    expect(rounded).toEqual([
      [11, 42, 14, 44],
      [50, 32, 58, 40],
      [80, 6, 84, 10],
      [20, 20, 30, 30],
    ])
  })
  it('styles: attribute, rule, class, id and style in their order, inherited; hidden ones are not there', () => {
    const shapes = shapesOf(`
      <style>rect { fill: none } .cut { stroke: red; stroke-width: 2 } #last { stroke: blue }</style>
      <g stroke="green"><rect width="5" height="5"/><rect class="cut" width="5" height="5"/>
      <rect id="last" class="cut" width="5" height="5" style="stroke-width:0.1mm"/></g>
      <rect width="5" height="5" display="none"/><g visibility="hidden"><circle r="3"/></g>`)
    expect(shapes.map((it) => [it.fill, it.stroke])).toEqual([
      [null, 'green'],
      [null, 'red'],
      [null, 'blue'],
    ])
    expect(shapes[1]?.strokeWidth).toBeCloseTo(2, 9)
  })
  it('what is not taken over is said once, with where: text, pictures, scripts, clips, what lies in other files', () => {
    const read =
      svg(`<rect width="9" height="9" clip-path="url(#c)"/><text id="t">Bed 4</text><text>Bed 5</text><image href="x.png"/>
      <script>alert(1)</script><use href="other.svg#a"/><use href="#none"/>`)
    expect(read.findings.map((it) => it.code)).toEqual([
      'svg-clip',
      'svg-text',
      'svg-image',
      'svg-script',
      'svg-external',
      'svg-lost',
    ])
    expect(read.findings[1]?.message).toContain('2 times, first text “t”')
  })
  it('nested uses that make a million shapes end; one that uses itself, too', () => {
    const bomb = Array.from({ length: 7 }, (_, i) => `<g id="g${i + 1}">${`<use href="#g${i}"/>`.repeat(10)}</g>`).join('')
    const read = svg(`<defs><g id="g0"><path d="M0 0h1"  stroke="red"/></g>${bomb}</defs><use href="#g7"/>`)
    expect(read.findings.map((it) => it.code)).toContain('svg-shapes')
    expect(read.ok && read.value.shapes.length).toBe(200_000)
    const loop = svg('<g id="a"><use href="#a"/><rect width="1" height="1"/></g>')
    expect(loop.ok && loop.findings.map((it) => it.code)).toEqual(['svg-lost'])
  })
  it('what is no drawing, or an empty one, is refused in words; broken XML names its place', () => {
    const other = xmlNode('<html/>')
    expect(other.ok && readSvg(other.value).findings[0]?.message).toContain('no SVG drawing')
    expect(svg('<text>only</text>').findings[0]?.message).toContain('outlines')
    const broken = xmlNode('<svg><g></svg>')
    expect(broken.ok).toBe(false)
    expect(broken.findings[0]?.line).toBe(1)
  })
})

describe('any reader of XML', () => {
  it('gives the same tree: names, attributes, order and text', () => {
    const node = xmlNode('<svg><a id="x"/>one<b><c/></b><style>p{}</style></svg>')
    expect(node.ok && node.value.children.map((it) => it.name)).toEqual(['a', 'b', 'style'])
    expect(node.ok && node.value.children[2]?.text).toBe('p{}')
  })
})

describe('whatever is in a file', () => {
  it('2,000 drawings by chance and as many damaged ones are read, or refused in words; every place is a number', () => {
    fc.assert(
      fc.property(randomSvg, (text) => {
        expect(wrongWithArtwork(new TextEncoder().encode(text))).toBeNull()
      }),
      { numRuns: 2000, seed: 14 },
    )
    for (const name of ['plant-label.svg', 'handle-mark.dxf']) {
      const whole = new Uint8Array(readFileSync(`tests/fixtures/artwork/${name}`))
      fc.assert(
        fc.property(damaged(whole), (bytes) => {
          expect(wrongWithArtwork(bytes)).toBeNull()
        }),
        { numRuns: 1000, seed: 14 },
      )
    }
  })
})
