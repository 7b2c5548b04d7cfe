import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOVE, readProgram } from '../gcode'
import {
  axisLimits,
  cornerSpeed,
  fitsTravel,
  judgeProgram,
  momentOf,
  moveTime,
  planMoves,
  provePlan,
  readAndSurvey,
  scanTime,
  spanOf,
  surveyProgram,
  wayOfLine,
  wayOfLines,
  type Limits,
  type ProgramMachine,
} from '.'

const limits = (speed = 300, acceleration = 1000, deviation = 0.01): Limits => {
  const axis = { speed, acceleration }
  return axisLimits({ x: axis, y: axis, z: axis }, deviation)
}
const planned = (text: string, by = limits()) => {
  const { moves } = readProgram(text)
  return { moves, plan: planMoves(moves, by) }
}

describe('single moves (uniformly accelerated motion)', () => {
  it.each([
    [100, 1.1],
    [5, 0.1414],
    [10, 0.2],
  ])('%d mm at 100 mm/s, 1000 mm/s²: %d s', (length, seconds) => {
    expect(moveTime(length, 100, 1000)).toBeCloseTo(seconds, 4)
    expect(planned(`G1 X${length} F6000`).plan.totalSeconds).toBeCloseTo(seconds, 4)
  })

  it('corner speeds: 10 µm at 90° and 135° (geometry)', () => {
    expect(cornerSpeed(1000, 0.01, Math.PI / 2, Infinity)).toBeCloseTo(4.91, 2)
    expect(cornerSpeed(1000, 0.01, (3 * Math.PI) / 4, Infinity)).toBeCloseTo(11.02, 2)
    expect(cornerSpeed(1000, 0.01, Math.PI, 1)).toBe(Infinity)
    expect(cornerSpeed(1000, 0.01, 0, 1)).toBe(0)
  })

  it('1000 lines of 100 mm at 100 mm/s and 1000 mm/s²: 1200 s', () => {
    expect(scanTime({ lines: 1000, width: 100, speed: 100, acceleration: 1000, stepSeconds: 0 })).toBe(1200)
  })
})

describe('look-ahead over the whole program', () => {
  it('1,000 collinear blocks take one block’s time', () => {
    const blocks = Array.from({ length: 1000 }, (_, i) => `X${(i + 1) * 0.4} Y${(i + 1) * 0.3}`).join('\n')
    const { plan } = planned(`G1 F6000 ${blocks}`)
    // X takes part with 0.8 of the way, so 1000 mm/s² of X are 1250 mm/s² along it.
    expect(plan.totalSeconds / moveTime(500, 100, 1250)).toBeCloseTo(1, 3)
  })

  it.each([
    [5, 400],
    [20, 1000],
    [40, 3000],
  ])('a circle of %d mm in %d chords runs at √(a·r)', (radius, chords) => {
    const point = (i: number): string =>
      `X${(radius * Math.cos((2 * Math.PI * i) / chords)).toFixed(6)} Y${(radius * Math.sin((2 * Math.PI * i) / chords)).toFixed(6)}`
    const { plan } = planned(
      `G0 ${point(0)}\nG1 F60000 ${point(1)}\n${Array.from({ length: 3 * chords }, (_, i) => point(i + 2)).join('\n')}`,
    )
    const middle = plan.peak.slice(chords, 2 * chords)
    const mean = middle.reduce((sum, it) => sum + it, 0) / middle.length
    expect(mean / Math.sqrt(1000 * radius)).toBeGreaterThan(0.98)
    expect(mean / Math.sqrt(1000 * radius)).toBeLessThan(1.02)
  })

  it('stops for a wait, turns back only from rest, and keeps each axis’s own limits', () => {
    const { plan } = planned('G1 F6000 X50\nG4 P0.5\nX100\nX0')
    expect([plan.exit[0], plan.entry[2], plan.exit[2], plan.seconds[1]]).toEqual([0, 0, 0, 0.5])
    const fast = { speed: 300, acceleration: 1000 }
    const slowY = axisLimits({ x: fast, y: { speed: 10, acceleration: 100 }, z: fast }, 0.01)
    expect(planned('G0 X30 Y40', slowY).plan.peak[0]).toBeCloseTo(12.5, 9) // 10 mm/s along Y at 0.8 of the way
  })

  it('measures an arc along its way, and takes a whole turn where both ends are one', () => {
    const { plan } = planned('G0 X10\nG3 X-10 I-10 F600\nG2 I5')
    expect(plan.length[1]).toBeCloseTo(10 * Math.PI, 9)
    expect(plan.length[2]).toBeCloseTo(10 * Math.PI, 9)
  })

  it('refuses limits that are none', () => {
    expect(() => planned('G0 X1', limits(0))).toThrow('x.speed')
    expect(() => planned('G0 X1', limits(1, 1, Number.NaN))).toThrow('deviation')
  })
})

describe('limits (property-based, seed 31)', () => {
  const coordinate = fc.integer({ min: 0, max: 4000 }).map((it) => it / 20)
  const line = fc.oneof(
    fc.tuple(coordinate, coordinate).map(([x, y]) => `G1 X${x} Y${y}`),
    fc.tuple(coordinate, coordinate).map(([x, y]) => `G0 X${x} Y${y}`),
    fc
      .tuple(fc.integer({ min: 1, max: 40 }), fc.boolean())
      .map(([r, way]) => `G91 ${way ? 'G2' : 'G3'} X${r} Y${r} I${r} J0\nG90`),
    fc.integer({ min: 0, max: 30 }).map((z) => `G1 Z${z}`),
    fc.integer({ min: 1, max: 20_000 }).map((f) => `F${f}`),
    fc.constant('G4 P0.1'),
  )
  const axis = fc.record({ speed: fc.integer({ min: 1, max: 500 }), acceleration: fc.integer({ min: 10, max: 5000 }) })
  const deviation = fc.constantFrom(0, 0.005, 0.05)
  /** Each axis its motor, or both belts crossed. */
  const machines = fc.oneof(
    fc.tuple(fc.record({ x: axis, y: axis, z: axis }), deviation).map(([axes, by]) => axisLimits(axes, by)),
    fc.tuple(axis, axis, deviation).map(([a, b, by]): Limits => ({
      motors: [
        { name: 'a', per: [1, 1, 0], ...a },
        { name: 'b', per: [1, -1, 0], ...b },
      ],
      deviation: by,
    })),
  )

  /** Speed of an axis at a moment, from the trapezoid alone. */
  function speedAt(plan: ReturnType<typeof planMoves>, i: number, share: number): number {
    const t = share * plan.seconds[i]!
    const [u, v, w, a] = [plan.entry[i]!, plan.peak[i]!, plan.exit[i]!, plan.acceleration[i]!]
    return Math.min(u + a * t, v, w + a * (plan.seconds[i]! - t))
  }

  it('no sample is above any axis limit, no speed jumps, and the way adds up', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 30 }), machines, (lines, by) => {
        const { moves, plan } = planned(`F3000\n${lines.join('\n')}`, by)
        expect(provePlan(moves, plan, by)).toEqual([])
        for (let i = 0; i < plan.count; i++) {
          if (plan.length[i] === 0) continue
          const samples = 64
          const speeds = Array.from({ length: samples }, (_, k) => speedAt(plan, i, (k + 0.5) / samples))
          const way = (speeds.reduce((sum, it) => sum + it, 0) / samples) * plan.seconds[i]!
          expect(way / plan.length[i]!).toBeGreaterThan(0.97)
          expect(way / plan.length[i]!).toBeLessThan(1.03)
          for (const { per, speed } of moves.kind[i] === MOVE.feed ? by.motors : []) {
            const [dx, dy, dz] = [moves.x, moves.y, moves.z].map((it) => it[i]! - (i > 0 ? it[i - 1]! : 0))
            const gone = Math.abs(per[0] * dx! + per[1] * dy! + per[2] * dz!) / plan.length[i]!
            expect(Math.max(...speeds) * gone).toBeLessThanOrEqual(speed * (1 + 1e-9))
          }
        }
      }),
      { seed: 31, numRuns: 300 },
    )
  })

  it('the proof itself finds a plan that was made faster than it may be', () => {
    const { moves, plan } = planned('G1 X100 F3000')
    plan.peak[0] = 400
    plan.acceleration[0] = 5000
    expect(provePlan(moves, plan, limits()).map((it) => `${it.what} ${it.motor}`)).toEqual(['speed x', 'acceleration x'])
  })
})

describe('what a program will do', () => {
  it('adds up way, time and what is burnt; a rapid move and a spindle at S0 are dark', () => {
    const survey = surveyProgram('G0 X10\nM3 S500 F6000\nG1 X110\nS0\nX120\nS900\nG0 X0\nM2', limits())
    expect(survey).toMatchObject({
      lines: 8,
      moves: 4,
      errorCount: 0,
      burntLength: 100,
      wayLength: 240,
      highestS: 500,
      topBurningSpeed: 100,
    })
    expect(survey.bounds).toMatchObject({ minX: 0, maxX: 120 })
    expect(survey.burntBounds).toMatchObject({ minX: 10, maxX: 110 })
    expect(survey.seconds).toBeGreaterThan(survey.burntSeconds)
  })

  it('takes the bulge of an arc into the bounds, and draws it close to its circle', () => {
    const { bounds, drawing } = surveyProgram('G0 X10\nG3 X10 Y0 I10 F600\nM2', null)
    expect([bounds?.minX, bounds?.maxX, bounds?.minY, bounds?.maxY].map((it) => Math.round((it ?? 0) * 10) / 10)).toEqual([
      0, 30, -10, 10,
    ])
    const off = Array.from(drawing.x, (x, i) => (i < 2 ? 0 : Math.abs(Math.hypot(x - 20, drawing.y[i]!) - 10)))
    expect(Math.max(...off)).toBeLessThan(1e-4)
  })

  it('boxes an arc exactly: the quarter points of its circle, and no others (geometry)', () => {
    const start = { x: 100 + 80 * Math.cos(0.4), y: 50 + 80 * Math.sin(0.4) }
    const end = { x: 100 + 80 * Math.cos(2.9), y: 50 + 80 * Math.sin(2.9) }
    const at = ({ x, y }: { x: number; y: number }): string => `X${x.toFixed(9)} Y${y.toFixed(9)}`
    const arc = `G0 ${at(start)}\nM3 S1 G3 ${at(end)} I${(100 - start.x).toFixed(9)} J${(50 - start.y).toFixed(9)} F600\nM2`
    const { burntBounds } = surveyProgram(arc, null)
    expect(burntBounds?.maxY).toBeCloseTo(130, 8)
    expect(burntBounds?.minX).toBeCloseTo(end.x, 8)
    expect(burntBounds?.maxX).toBeCloseTo(start.x, 8)
  })

  it.each([
    [0, 400, 430, 0.5, 'good'],
    [0, 429.8, 430, 0.5, 'unknown'],
    [0, 430.3, 430, 0.5, 'unknown'],
    [0, 431, 430, 0.5, 'stop'],
    [-0.1, 400, 430, 0.5, 'stop'],
    [0, 430, 430, 0, 'good'],
  ] as const)('%d to %d in a travel of %d ± %d: %s', (min, max, travel, expanded, mark) => {
    expect(fitsTravel(min, max, travel, expanded)).toBe(mark)
  })
})

describe('a program held against a machine', () => {
  const travel = { X: { value: 430, expanded: 0.5 }, Y: { value: 310, expanded: 0.5 }, Z: { value: 40, expanded: 1 } }
  const machine: ProgramMachine = { travel, fullPower: { value: 1000, sure: true } }
  const judged = (text: string, over: Partial<ProgramMachine> = {}): string[] =>
    judgeProgram(surveyProgram(`${text}\nM2`, limits()), { ...machine, ...over }).map((it) =>
      it.id === 'travel' ? `${it.letter} ${it.mark}` : `${it.id} ${it.mark}`,
    )

  it('is good where all is read, within the travel and under full power; limits of the machine stand first', () => {
    expect(judged('M3 S900 F600\nG1 X100 Y50')).toEqual(['X good', 'Y good', 'power good', 'read good'])
  })

  it('says where the beam is left on, and where the light stands', () => {
    expect(judged('M3 S9 F600\nG1 X1\nG0 X9')).toContain('beam left on look')
    expect(judged('M3 S9 F600\nG1 X1\nM5\nG0 X9')).not.toContain('beam left on look')
    expect(judged('M3 S9 F600\nG1 X1\nG4 P1')).toContain('light stands look')
    expect(judged('M3 S9 F600\nG1 X1\nG4 P6')).toContain('light stands stop')
    expect(surveyProgram('M3 S9 F600\nG1 X1', null).endsOn).toBe(true)
    expect(surveyProgram('M3 S9 F600\nG1 X1\nM30', null).endsOn).toBe(false)
  })

  it('knows nothing of where it goes while lines are refused, but what leaves the travel leaves it', () => {
    expect(judged('M3 S900 F600\nG1 X100 Y50\nG1 U9')).toEqual(['read stop', 'X unknown', 'Y unknown', 'power good'])
    expect(judged('F600\nG1 X500\nG1 U9')).toEqual(['X stop', 'read stop', 'Y unknown'])
  })

  it('stops at S above full power, and does not know a share of a word that nobody read', () => {
    expect(judged('M3 S1001 F600\nG1 X1')).toContain('power stop')
    expect(judged('M3 S300 F600\nG1 X1', { fullPower: { value: 1000, sure: false } })).toContain('power unknown')
    expect(judged('M3 S300 F600\nG1 X1', { fullPower: null })).toContain('power unknown')
  })

  it('names Z that moves with the beam on, worse where it stands still; Z beyond its travel, or none', () => {
    expect(judged('M3 S9 F600\nG1 X1 Z-2')).toContain('z with the beam on look')
    expect(judged('M3 S9 F600\nG1 X1 Z-2\nG1 Z-3')).toContain('z with the beam on stop')
    expect(judged('F600 G1 X1 Z-2').filter((it) => it.startsWith('z '))).toEqual([])
    expect(judged('F600 G1 X1 Z-45')).toContain('Z stop')
    const { Z: _, ...flat } = travel
    expect(judged('F600 G1 X1 Z-2', { travel: flat })).toContain('Z stop')
  })
})

describe('a stretch of a program, and a moment of it', () => {
  const axis = { speed: 100, acceleration: 1e9 }
  const limits = axisLimits({ x: axis, y: axis, z: axis }, 0)
  const { moves, plan } = readAndSurvey('F600\nG0 X10\nM3 S300\nG1 X30\nS500\nG1 Y20\nM5\nM2', limits)

  it('sums up lines by hand: their way, their time, what they burn and where', () => {
    const span = spanOf(moves, plan, 4, 6)
    expect(span).toMatchObject({ moves: 2, wayLength: 40, burntLength: 40, s: [300, 500] })
    expect(span.seconds).toBeCloseTo(4, 3)
    expect(span.box).toEqual({ minX: 10, maxX: 30, minY: 0, maxY: 20 })
    expect(spanOf(moves, null, 1, 1)).toEqual({
      moves: 0,
      seconds: null,
      burntSeconds: null,
      wayLength: 0,
      burntLength: 0,
      box: null,
      s: null,
    })
  })

  it('finds a moment by time, by length and by line', () => {
    // 0.1 s of rapid way, then twice 2 s at 10 mm/s.
    expect(momentOf(moves, plan, 0.5, 'time')).toMatchObject({ line: 4, isLit: true })
    expect(momentOf(moves, plan, 0.5, 'time')?.x).toBeCloseTo(29.5, 3)
    expect(momentOf(moves, plan, 0.5, 'length')).toMatchObject({ line: 4, x: 25, y: 0, length: 25 })
    expect(momentOf(moves, plan, 1, 'line')).toMatchObject({ line: 6, x: 30, y: 20, length: 50 })
    expect(momentOf(moves, null, 0, 'time')).toMatchObject({ move: 0, x: 0 })
  })

  it('draws a subroutine’s line where it is first carried out', () => {
    const subroutines = { call: 'M98 P{number}', begins: 'O{number}', ends: 'M99' }
    const { survey } = readAndSurvey('F600 G91\nM98 P1\nM98 P1\nM2\nO1\nG1 X5\nM99\n', null, { subroutines })
    expect([survey.drawing.isInOrder, [...survey.drawing.end]]).toEqual([true, [1, 2]])
    expect(wayOfLine(survey.drawing, 6)).toMatchObject({ x: [0, 5, 10] })
    expect(wayOfLines(survey.drawing, 1, 3)).toBeNull()
  })
})
