import { mean, standardDeviation } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { createStandIn, drawHidden, normal, readCalipers, seeded, type Mark, type StandIn, type StandInFault } from '.'

const spec = { nominalSteps: { x: 80, y: 80 }, travel: { x: 430, y: 310 }, power: 5 }
const QUIET = { scale: 0, noise: 0 }
const CALIPERS = { max: 150, resolution: 0.01 }

function started(number = 7, fault: StandInFault | null = null) {
  const said: string[] = []
  const machine = createStandIn({ spec, number, fault, say: (line) => said.push(line) })
  let asked = 0
  const ask = (words: string): string | undefined => {
    machine.receive(`${++asked} ${words}`)
    return said.at(-1)
  }
  const run = (program: string): void => {
    for (const line of program.split('\n')) ask(`load ${line}`)
    ask('run')
  }
  return { machine, said, ask, run }
}

describe('the source of chance', () => {
  it('is even and normal as far as 100,000 draws show, and the same for the same number', () => {
    const random = seeded(5)
    const even = Array.from({ length: 100_000 }, random)
    expect(mean(even)).toBeCloseTo(0.5, 2)
    expect(standardDeviation(even)).toBeCloseTo(Math.sqrt(1 / 12), 2)
    const bell = Array.from({ length: 100_000 }, () => normal(random))
    expect(mean(bell)).toBeCloseTo(0, 1.8)
    expect(standardDeviation(bell)).toBeCloseTo(1, 1.8)
    expect(drawHidden(9, spec)).toEqual(drawHidden(9, spec))
    expect(drawHidden(9, spec)).not.toEqual(drawHidden(10, spec))
  })
})

describe('the machine', () => {
  const upright = (x: number, from: number): string => `G0 X${from} Y20\nG0 X${x}\nG1 Y30 F600`

  it('moves in whole steps of its hidden size, behind its play; X approached from beyond stands further by the play', () => {
    const { machine, run } = started()
    const { mmPerStep, play, skewRad, delay } = machine.hidden
    run(`G21 G90\nM3 S900\n${upright(100, 90)}\n${upright(100, 110)}\nM2`)
    machine.advance(Infinity)
    const [below, beyond] = machine.marks as [Mark, Mark]
    // Light comes late: by then the head is further on, by no more than at the line's full speed, 10 mm/s.
    const late = (below.y0 / Math.cos(skewRad) + play.y) / (80 * mmPerStep.y) - 20
    expect(late).toBeGreaterThan((500 * delay.on ** 2) / 2)
    expect(late).toBeLessThan(10 * delay.on + 0.0125)
    expect(below.x0).toBeCloseTo(100 * 80 * mmPerStep.x - play.x + below.y0 * Math.tan(skewRad), 9)
    expect(beyond.x0 - below.x0).toBeCloseTo(play.x + (beyond.y0 - below.y0) * Math.tan(skewRad), 9)
    expect(machine.settings['x/steps']).toBe('80.000')
  })

  it('burns where the energy of a line is above its threshold, wider the slower', () => {
    const { machine, run } = started()
    const { threshold, radius } = machine.hidden
    const feed = (over: number): number => (spec.power / (threshold * over)) * 60
    const line = (over: number, y: number): string => `G0 X10 Y${y}\nG1 X30 F${feed(over).toFixed(3)}`
    run(`G21 G90\nM3 S1000\n${line(0.9, 10)}\n${line(Math.E ** 2, 12)}\nM2`)
    machine.advance(Infinity)
    expect(machine.marks[0]).toBeNull()
    // D = 2·w·√(½·ln e²) = 2·w (Liu 1982, from memory).
    expect(machine.marks[1]?.width).toBeCloseTo(2 * radius, 5)
  })

  /** How far from X40 Y40 the motors stood where something was burnt, its play aside. */
  const fromCentre =
    ({ hidden: { mmPerStep, skewRad } }: StandIn) =>
    (x: number, y: number): number =>
      Math.hypot((x - y * Math.tan(skewRad)) / (80 * mmPerStep.x) - 40, y / Math.cos(skewRad) / (80 * mmPerStep.y) - 40)

  it('runs arcs as arcs: what is burnt lies on the circle, all the way round, and an arc that is cut off ends on it', () => {
    for (const [words, way] of [
      ['G2 X60 Y40 I0 J20', 1.5],
      ['G3 X60 Y40 I0 J20', 0.5],
      ['G2 X40 Y20 I0 J20', 2],
    ] as const) {
      const { machine, run } = started()
      run(`G21 G90\nG0 X40 Y20\nM3 S1000\n${words} F600\nM2`)
      machine.advance(Infinity)
      const at = fromCentre(machine)
      const ends = machine.falls.flatMap((it) => [at(it.from.x, it.from.y), at(it.to.x, it.to.y)])
      for (const radius of ends) expect(Math.abs(radius - 20)).toBeLessThan(machine.hidden.play.x + machine.hidden.play.y + 0.05)
      const burnt = machine.falls.reduce((sum, it) => sum + Math.hypot(it.to.x - it.from.x, it.to.y - it.from.y), 0)
      expect(burnt / (Math.PI * 20) / way).toBeCloseTo(1, 1)
      // No chord of it counts as another pass over the one before: all are burnt alike.
      expect(new Set(machine.falls.map((it) => it.energy)).size).toBe(1)
    }
    const { machine, run, said } = started()
    run('G21 G90\nG0 X40 Y20\nM3 S1000\nG2 X60 Y40 I0 J20 F600\nM2')
    machine.advance(6)
    machine.receive('stop')
    expect(said.some((it) => it.includes('stopped'))).toBe(true)
    const last = machine.falls.at(-1)
    expect(fromCentre(machine)(last?.to.x ?? 0, last?.to.y ?? 0)).toBeCloseTo(20, 0)
    expect(last?.to.x).toBeLessThan(40)
  })

  it('takes as long as its limits say: 100 mm at 100 mm/s and 500 mm/s² is 1.2 s', () => {
    const { machine, run, said } = started()
    run('G21 G90\nM3 S1000\nG1 X100 F6000\nM2')
    machine.advance(0.6)
    expect([machine.resting, machine.marks.length]).toEqual([false, 0])
    machine.advance(0.61)
    expect([machine.resting, said.at(-1)]).toEqual([true, 'ended'])
    expect(machine.clock).toBeCloseTo(1.21, 9)
  })

  it('stops at once, beam off, and keeps what was burnt of the line', () => {
    const { machine, run, said } = started()
    run('G21 G90\nM3 S1000\nG1 X100 F6000\nM2')
    machine.advance(0.6)
    machine.receive('stop')
    expect(said.slice(-2)).toEqual(['stopped', expect.stringMatching(/^at rest 50\.000 0\.000 0\.0000/)])
    expect(machine.marks[0]?.x1).toBeLessThan(60)
    expect(machine.resting).toBe(true)
  })

  it.each([
    ['load G1 X10', /no 1 1 .*no feed rate/],
    ['load G1 X500 F600', /no 1 1 X would go to 500\.000 mm, beyond its travel/],
    ['load G84 X1', /no 1 1 .*canned cycle/],
  ])('refuses with the place: %s', (line, says) => {
    const { ask } = started()
    ask(line)
    expect(ask('run')).toMatch(says)
  })

  it.each([
    ['set x/steps 0', 'cannot be “0”'],
    ['set x/steps', 'cannot be “”'],
    ['set q/steps 5', 'no setting q/steps'],
    ['dance', 'does not know “dance”'],
  ])('refuses %s', (words, says) => expect(started().ask(words)).toContain(says))

  it('falls silent, starts anew, garbles or refuses when a fault is practised', () => {
    const at = (kind: StandInFault['kind']) => {
      const { ask, said } = started(7, { kind, at: 2 })
      ask('sheet')
      ask('sheet')
      return said.slice(2)
    }
    expect(at('silent')).toEqual([])
    expect(at('reset')).toEqual(['here stand-in'])
    expect(at('garble')[0]).toMatch(/^2 y/)
    expect(at('refuse')).toEqual(['2 no 1 1 not now'])
  })
})

describe('the calipers', () => {
  const upright = (x: number): Mark => ({ x0: x, y0: 0, x1: x, y1: 10, width: 0.1, tone: 1 })
  const level = (y: number): Mark => ({ x0: 0, y0: y, x1: 10, y1: y, width: 0.1, tone: 1 })
  const marks = [upright(0), upright(100), level(0), level(40), { ...upright(0), x1: 0.5 }, null]
  const read = (from: number[], to: number[], over = false, hidden = QUIET) =>
    readCalipers(marks, { from, to, over }, CALIPERS, hidden, seeded(1))

  it('read like edges without the line, over the outside with it, crosses from crossing to crossing', () => {
    expect(read([0], [1])).toEqual({ ok: true, value: 100 })
    expect(read([0], [1], true)).toEqual({ ok: true, value: 100.1 })
    expect(read([0, 2], [1, 3])).toEqual({ ok: true, value: Number(Math.hypot(100, 40).toFixed(2)) })
  })

  it('read short where their scale is long, and no further than they open', () => {
    expect(read([0], [1], false, { scale: 0.001, noise: 0 })).toEqual({ ok: true, value: 99.9 })
    expect(readCalipers(marks, { from: [0], to: [1], over: false }, { ...CALIPERS, max: 90 }, QUIET, seeded(1))).toMatchObject({
      ok: false,
      why: expect.stringContaining('90 mm'),
    })
    expect(read([0], [5])).toMatchObject({ ok: false, why: expect.stringContaining('cannot be seen') })
  })
})
