import { describe, expect, it } from 'vitest'
import { surveyProgram } from './survey'
import { lineNear, wayOfLine } from './way'

// Drawn by hand: to (10, 0) dark, to (10, 10) lit, a half circle about (10, 15) lit, and back through the middle dark.
const PROGRAM = ['G21 G90', 'G0 X10', 'M3 S5', 'G1 Y10 F600', 'G3 X10 Y20 I0 J5', 'M5', 'G0 X0 Y0', 'M2'].join('\n')
const { drawing, reachedIn, bounds } = surveyProgram(PROGRAM, null)

describe('what a line of a program does', () => {
  it('begins where the line before left the head', () => {
    expect(wayOfLine(drawing, 4)).toEqual({ x: [10, 10], y: [0, 10], lit: true })
    expect(wayOfLine(drawing, 7)).toEqual({ x: [10, 0], y: [20, 0], lit: false })
    const arc = wayOfLine(drawing, 5)
    expect([arc?.x[0], arc?.y[0], arc?.x.at(-1), arc?.y.at(-1)]).toEqual([10, 10, 10, 20])
    expect(Math.max(...(arc?.x ?? []))).toBeCloseTo(15, 1)
  })

  it('is nothing where it does not move the head', () => {
    expect([1, 3, 6, 8, 99].map((line) => wayOfLine(drawing, line))).toEqual(Array(5).fill(null))
  })

  it('is found by the place where it passes; where two pass, the one that burns', () => {
    expect(lineNear(drawing, 10.4, 5, 1)).toBe(4)
    expect(lineNear(drawing, 15, 15, 0.5)).toBe(5)
    expect(lineNear(drawing, 2, 4.5, 1)).toBe(7)
    expect(lineNear(drawing, 10, 0.3, 1)).toBe(4)
    expect(lineNear(drawing, 40, 40, 1)).toBeNull()
  })

  it('is named where it goes furthest', () => {
    expect(bounds).toMatchObject({ minX: 0, maxX: 15, minY: 0, maxY: 20 })
    expect(reachedIn).toMatchObject({ minX: 2, maxX: 5, minY: 2, maxY: 5 })
  })
})
