import { describe, expect, it } from 'vitest'
import { areaOf, flattened, lengthOf, readDxf, readSvg, type Drawing } from '../../src/core/artwork'
import { drawnAlike, pathDataOf, summariesOf, wayData } from '../../src/core/work'
import { xmlNode } from '../../src/data/xml'

function svg(inside: string): Drawing {
  const node = xmlNode(`<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60">${inside}</svg>`)
  const read = node.ok ? readSvg(node.value) : node
  if (!read.ok) throw new Error(read.findings[0]?.message)
  return read.value
}
function dxf(...things: readonly (readonly (string | number)[])[]): ReturnType<typeof readDxf> {
  return readDxf(['0', 'SECTION', '2', 'ENTITIES', ...things.flat().map(String), '0', 'ENDSEC', '0', 'EOF', ''].join('\n'))
}

describe('parts of a drawing', () => {
  it('are what is drawn alike, in words that a person would use; two of the same word are told apart', () => {
    const drawing = svg(`
      <rect width="100" height="60" fill="none" stroke="#000"/>
      <rect x="5" y="5" width="10" height="10" fill="#1f7a3a"/>
      <rect x="25" y="5" width="10" height="10" fill="#00ff00"/>
      <circle cx="60" cy="30" r="8" fill="none" stroke="#d00"/>
      <circle cx="80" cy="30" r="8" fill="none" stroke="#D00000"/>
      <line x1="5" y1="50" x2="95" y2="50" stroke="steelblue"/>`)
    expect(drawnAlike(drawing).map((it) => it.drawn)).toEqual([
      'lines black',
      'filled green (#1f7a3a)',
      'filled green (#00ff00)',
      'lines red (#d00)',
      'lines red (#D00000)',
      'lines steelblue',
    ])
  })
  it('give their lengths, areas and boxes: a square with a round hole by the even-odd rule (elementary geometry)', () => {
    const [plate] = summariesOf(
      svg('<path fill-rule="evenodd" fill="#888" d="M10 10H50V50H10Z M40 30A10 10 0 1 0 20 30A10 10 0 1 0 40 30Z"/>'),
    )
    expect(plate).toMatchObject({ drawn: 'filled grey', outlines: 2, closed: 2, does: 'fill' })
    expect(plate!.length).toBeCloseTo(160 + 20 * Math.PI, 0)
    expect(plate!.area / (1600 - 100 * Math.PI)).toBeCloseTo(1, 2)
    // SVG counts downwards from the top of 60 mm.
    expect([plate!.left, plate!.bottom, plate!.right, plate!.top].map((it) => Math.round(it))).toEqual([10, 10, 50, 50])
  })
  it('are guessed at: what goes around all the rest is cut, other lines are marked, what is filled is filled', () => {
    const guess = (inside: string) => summariesOf(svg(inside)).map((it) => it.does)
    const frame = '<rect width="90" height="50" fill="none" stroke="black"/>'
    expect(guess(`${frame}<path d="M20 20L40 20" stroke="red" fill="none"/><circle cx="60" cy="20" r="3"/>`)).toEqual([
      'cut',
      'mark',
      'fill',
    ])
    // Open lines are never guessed to be cut: nothing would fall out.
    expect(guess('<path d="M0 0L90 50" stroke="black" fill="none"/>')).toEqual(['mark'])
  })
  it('that were drawn in pieces are counted as what they draw', () => {
    const line = (x0: number, y0: number, x1: number, y1: number) =>
      `<line x1="${x0}" y1="${y0}" x2="${x1}" y2="${y1}" stroke="black"/>`
    const [part] = summariesOf(svg(line(10, 10, 40, 10) + line(40, 40, 40, 10) + line(40, 40, 10, 40) + line(10, 10, 10, 40)))
    expect(part).toMatchObject({ outlines: 1, closed: 1, does: 'cut' })
    expect(part!.length).toBeCloseTo(120, 9)
  })
})

describe('pictures of outlines', () => {
  it('are path data that is read back as the same outlines', () => {
    const [group] = drawnAlike(svg('<circle cx="50" cy="30" r="20" fill="none" stroke="black"/>'))
    const data = pathDataOf(group!.outlines, 0.01)
    const node = xmlNode(
      `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60"><path d="${data}"/></svg>`,
    )
    const again = node.ok ? readSvg(node.value) : node
    if (!again.ok) throw new Error('not read')
    const [outline] = again.value.shapes[0]!.outlines
    expect(outline!.isClosed).toBe(true)
    expect(lengthOf(flattened(outline!, 0.01))).toBeCloseTo(40 * Math.PI, 0)
    expect(Math.abs(areaOf(flattened(outline!, 0.01))) / (400 * Math.PI)).toBeCloseTo(1, 2)
  })
  it('of ways leave out places that lie nearer than is seen, never the ends', () => {
    const way = Array.from({ length: 1001 }, (_, k) => ({ x: k / 100, y: 0 }))
    expect(wayData([way], 1)).toBe('M0 0L1 0L2 0L3 0L4 0L5 0L6 0L7 0L8 0L9 0L10 0')
    expect(
      wayData(
        [
          [
            { x: 0, y: 0 },
            { x: 0.01, y: 0 },
          ],
        ],
        1,
      ),
    ).toBe('M0 0L0.01 0')
  })
})

describe('things of drawing exchange files', () => {
  const line = (layer: string, ...more: readonly (string | number)[]) => [
    '0',
    'LINE',
    '8',
    layer,
    '10',
    0,
    '20',
    0,
    '11',
    10,
    '21',
    5,
    ...more,
  ]
  it('stand on their layers; what is hidden, on paper only, or on a layer that is off is left out and said', () => {
    const head = [
      '0',
      'SECTION',
      '2',
      'TABLES',
      '0',
      'LAYER',
      '2',
      'OFF',
      '62',
      '-3',
      '0',
      'LAYER',
      '2',
      'ICE',
      '70',
      '1',
      '62',
      '7',
      '0',
      'ENDSEC',
    ]
    const text = [
      ...head,
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      ...line('CUT'),
      ...line('OFF'),
      ...line('ICE'),
      ...line('CUT', '60', 1),
      ...line('CUT', '67', 1),
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n')
    const read = readDxf(text)
    expect(read.ok && read.value.shapes.map((it) => it.layer)).toEqual(['CUT'])
    expect(read.findings.map((it) => it.message)).toEqual([
      expect.stringMatching(/layer that is off or frozen, is left out \(3 times, first LINE, line \d+\)/),
      expect.stringMatching(/printed sheet/),
    ])
  })
  it('a filled piece has its corners crosswise; a colour of its own makes it another part', () => {
    const solid = ['0', 'SOLID', '8', 'A', '10', 0, '20', 0, '11', 10, '21', 0, '12', 0, '22', 6, '13', 10, '23', 6]
    const read = dxf(solid, line('A'), line('A', '62', 3))
    if (!read.ok) throw new Error('not read')
    expect(Math.abs(areaOf(flattened(read.value.shapes[0]!.outlines[0]!, 1)))).toBeCloseTo(60, 9)
    expect(drawnAlike(read.value).map((it) => it.drawn)).toEqual(['layer A, filled', 'layer A', 'layer A, lines colour 3'])
  })
  it('an old polyline takes the bulges of its corners and leaves the frame of a fitted curve out', () => {
    const vertex = (x: number, y: number, bulge: number, flags = 0) => [
      '0',
      'VERTEX',
      '8',
      'A',
      '10',
      x,
      '20',
      y,
      '42',
      bulge,
      '70',
      flags,
    ]
    const read = dxf(
      ['0', 'POLYLINE', '8', 'A', '70', 1],
      vertex(0, 0, 0),
      vertex(50, 50, 0, 16),
      vertex(20, 0, 1),
      vertex(20, 6, 0),
      vertex(0, 6, 1),
      ['0', 'SEQEND'],
    )
    if (!read.ok) throw new Error('not read')
    const [outline] = read.value.shapes[0]!.outlines
    expect(areaOf(flattened(outline!, 1e-5))).toBeCloseTo(120 + 9 * Math.PI, 2)
  })
  it('an ellipse seen from below runs the other way round', () => {
    const ellipse = (normal: number) => [
      '0',
      'ELLIPSE',
      '8',
      'A',
      '10',
      0,
      '20',
      0,
      '11',
      10,
      '21',
      0,
      '40',
      0.5,
      '41',
      0,
      '42',
      Math.PI / 2,
      '230',
      normal,
    ]
    const ends = [1, -1].map((normal) => {
      const read = dxf(ellipse(normal), ['0', 'LINE', '8', 'B', '10', -20, '20', -20, '11', 20, '21', 20])
      if (!read.ok) throw new Error('not read')
      const to = read.value.shapes[0]!.outlines[0]!.segments[0]!.to
      // The line puts the middle at 20, 20.
      return [Math.round(to.x - 20), Math.round(to.y - 20)]
    })
    expect(ends[0]).toEqual([0, 5])
    expect(ends[1]!.map(Math.abs)).toEqual([0, 5])
    expect(ends[1]![1]).toBe(-5)
  })
})
