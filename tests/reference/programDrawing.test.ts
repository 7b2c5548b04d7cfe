import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, flattened, lengthOf } from '../../src/core/artwork'
import { surveyProgram } from '../../src/core/planner'
import { summariesOf } from '../../src/core/work'
import { readArtwork } from '../../src/data/artworkFile'
import { damaged, wrongWithArtwork } from '../randomArtwork'

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)
const drawingOf = (text: string) => {
  const read = readArtwork(bytes(text), 'older.nc')
  if (!read.ok || read.value.kind !== 'drawing') throw new Error(read.ok ? 'no drawing' : read.findings[0]?.message)
  return { drawing: read.value.drawing, said: read.findings.map((it) => it.message).join(' ') }
}

const PROGRAM = `(a square, a circle, a line in inches)
G21 G90
G0 X10 Y10
M3 S500
G1 X30 F600
Y30
X10
Y10
M5
G0 X60 Y20
M3 S900 F300
G2 X60 Y20 I-10 J0
M5
G20 G0 X0 Y2
M3 S900
G1 X1 F10
M5
G0 X0 Y0
M2
`

describe('a program taken in as artwork', () => {
  it('gives the lines that it burns, arcs as arcs, told apart by power and speed; dark ways are none', () => {
    const { drawing, said } = drawingOf(PROGRAM)
    expect(said).toBe('')
    expect(drawing.hasUnits).toBe(true)
    // From the line's start at 0 to the circle's right end at 60; from the square's foot at 10 to the line at 50.8.
    expect(drawing.width).toBeCloseTo(60, 6)
    expect(drawing.height).toBeCloseTo(50.8 - 10, 6)
    expect(drawing.shapes.map((it) => it.layer)).toEqual(['S500 F600', 'S900 F300', 'S900 F254'])
    const [square, circle, line] = drawing.shapes.map((it) => it.outlines[0]!)
    expect([square!.isClosed, circle!.isClosed, line!.isClosed]).toEqual([true, true, false])
    expect(Math.abs(areaOf(flattened(square!, 0.01)))).toBeCloseTo(400, 6)
    expect(lengthOf(flattened(circle!, 1e-5))).toBeCloseTo(20 * Math.PI, 3)
    expect(Math.abs(areaOf(flattened(circle!, 1e-5)))).toBeCloseTo(100 * Math.PI, 2)
    expect(lengthOf(flattened(line!, 0.01))).toBeCloseTo(25.4, 6)
    const lengths = summariesOf(drawing).reduce((sum, it) => sum + it.length, 0)
    expect(lengths).toBeCloseTo(surveyProgram(PROGRAM, null).burntLength, 0)
  })
  it('says what it leaves out, and refuses one that burns nothing with the line that says why', () => {
    expect(drawingOf(PROGRAM.replace('Y30', 'Y30 Y40')).said).toMatch(/One line is not read.*line 6/)
    expect(drawingOf(PROGRAM.replace('X10\nY10', 'X10 Z-1\nY10')).said).toMatch(/at several heights/)
    const grey = Array.from({ length: 60 }, (_, i) => `G1 X${i} S${10 + i} F1000`).join('\n')
    expect(drawingOf(`G21 G90\nM3 S1\n${grey}\nM5`).said).toMatch(/59 powers and speeds/)
    const dark = readArtwork(bytes('G21\nG0 X10\nG1 X20 F100\n'), 'dark.nc')
    expect(dark.ok ? '' : dark.findings[0]!.message).toMatch(/“dark.nc”: This program burns nothing/)
    const beyond = readArtwork(bytes('G21 G90\nM3 S1\nG1 X1e30 F100\n'), 'far.nc')
    expect(beyond.ok).toBe(false)
  })
  it('2,000 damaged programs are read, or refused in words', () => {
    fc.assert(
      fc.property(damaged(bytes(PROGRAM)), (it) => {
        expect(wrongWithArtwork(it)).toBeNull()
      }),
      { seed: 41, numRuns: 2000 },
    )
  })
})
