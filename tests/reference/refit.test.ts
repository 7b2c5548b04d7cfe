import { describe, expect, it } from 'vitest'
import { PLAIN_CARD, readProgram, sweptAngle, PLANE_AXES, writeProgram, MOVE, type Moves, type Step } from '../../src/core/gcode'
import { toneAfter, USUAL_LAW } from '../../src/core/burn'
import { surveyProgram } from '../../src/core/planner'
import { beamForDepth, beamForTone, lookAtCutter, powerAtDepth, refitForBeam, type BeamWish } from '../../src/core/refit'
import { between, seeded, type Random } from '../../src/core/workshop'

const WISH: BeamWish = {
  level: 0,
  rapids: 'dark',
  still: 'lit',
  power: { depths: [0], powers: [0.5] },
  feed: null,
  dotSeconds: 0.1,
  passes: 'each',
  times: 1,
}
const round = (it: number): number => Math.round(it * 1000) / 1000 + 0
/** Steps in short: › dark to, a place alone: burnt to, ↻ and ↺: along an arc, •: a dot of so many seconds. */
const short = (step: Step): string => {
  if (step.kind === 'dot') return `•${step.seconds}`
  if (step.kind === 'wait' || step.kind === 'remark' || step.kind === 'pause' || step.kind === 'turn') return step.kind
  const to = `${round(step.x)},${round(step.y)}`
  return step.kind === 'rapid' ? `›${to}` : step.kind === 'line' ? to : `${step.clockwise ? '↻' : '↺'}${to}`
}
const made = (text: string, wish: Partial<BeamWish> = {}) => refitForBeam(readProgram(`${text}\nM2`).moves, { ...WISH, ...wish })
const told = (text: string, wish: Partial<BeamWish> = {}): string => [...made(text, wish).steps].map(short).join(' ')

/** A quarter of a circle of radius 10 that comes to the surface at a third of its way: 30 of 90 degrees. */
const [C30, S30] = [10 * Math.cos(Math.PI / 6), 10 * Math.sin(Math.PI / 6)].map(round)

describe('small programs for a cutter, their beam by hand', () => {
  it.each([
    // Straight: down, along, up.
    ['G0 X5 Z5\nG1 Z-1 F60\nX15\nG0 Z5\nX0', '›5,0 15,0 ›0,0'],
    ['G0 Z5\nG1 Z-1 F60\nX10\nY10\nX0\nY0\nG0 Z5', '10,0 10,10 0,10 0,0'],
    ['G0 Z5\nX10\nX20\nG0 X0', '›10,0 ›20,0 ›0,0'],
    ['G0 X5 Z5\nG1 Z-1 F60\nX15\nZ5\nX25\nZ-1\nX35\nZ5', '›5,0 15,0 ›25,0 35,0'],
    ['G1 X10 F60', '›10,0'], // on the surface itself nothing is cut
    ['G0 Z-1\nG1 X10 F60', '10,0'],
    // Z together with X and Y: from 2 to −1 it comes to the surface at two thirds.
    ['G0 Z2\nG1 X30 Z-1 F60', '›20,0 30,0'],
    ['G0 Z2\nG1 X30 Y15 Z-1 F60', '›20,10 30,15'],
    ['G1 Z-1 F60\nX30 Z2', '10,0 ›30,0'],
    ['G0 Z1\nG1 X10 Z-1 F60\nX20 Z1', '›5,0 10,0 15,0 ›20,0'],
    ['G0 Z1\nG1 X10 Z0 F60\nX20 Z-1\nX30', '›10,0 20,0 30,0'],
    ['G0 Z2\nG91 G1 X15 Z-2 F60\nX15 Z-1', '›15,0 30,0'],
    ['G0 Z5\nG1 Z-1 F60\nX10 Z-2\nX0 Z-3', '10,0 0,0'],
    // Another surface.
    ['G0 Z15\nG1 Z9 F60\nX10\nG0 Z15', '10,0', { level: 10 }],
    ['G0 Z15\nG1 X10 Z5 F60', '›5,0 10,0', { level: 10 }],
    ['G0 Z15\nG1 Z9 F60\nX10\nG0 Z15', '›10,0', { level: 0 }],
    // Arcs of the plane XY, level and as helices.
    ['G0 X10 Z1\nG1 Z-1 F60\nG3 X0 Y10 I-10 J0\nG0 Z1', '›10,0 ↺0,10'],
    ['G0 X10 Z1\nG1 Z-1 F60\nG2 X10 Y0 I-10 J0\nG0 Z1', '›10,0 ↻10,0'],
    ['G0 X10 Z1\nG3 X0 Y10 Z-2 I-10 J0 F60\nG0 Z1', `›10,0 ›${C30},${S30} ↺0,10`],
    ['G0 X10 Z2\nG3 X0 Y10 Z-1 I-10 J0 F60\nG0 Z1', `›10,0 ›${S30},${C30} ↺0,10`],
    ['G0 X10 Z-2\nG3 X0 Y10 Z1 I-10 J0 F60', `›10,0 ↺${S30},${C30} ›0,10`],
    // A rapid way below the surface: asked for, dark or burnt; and a spindle that stands.
    ['G0 Z-1\nX10\nG1 X20 F60', '›10,0 20,0'],
    ['G0 Z-1\nX10\nG1 X20 F60', '10,0 20,0', { rapids: 'lit', feed: 20 }],
    ['M3 S100\nG0 Z-1\nG1 X10 F60\nM5\nX20', '10,0 ›20,0', { still: 'dark' }],
    ['M3 S100\nG0 Z-1\nG1 X10 F60\nM5\nX20', '10,0 20,0'],
    // Holes: dots, one for each place however often it is pecked; none where none are wanted.
    ['G0 X5 Z5\nG1 Z-2 F60\nG0 Z5\nX10', '›5,0 •0.1 ›10,0'],
    ['G0 X5 Z5\nG1 Z-2 F60\nG0 Z5\nX10', '›5,0 ›10,0', { dotSeconds: 0 }],
    ['G0 Z5\nG81 X5 Z-2 R1 F60\nX10\nG80', '›5,0 •0.1 ›10,0 •0.1'],
    ['G0 Z5\nG83 X5 Z-6 R1 Q2 F60\nX10\nG80', '›5,0 •0.1 ›10,0 •0.1'],
    ['G0 Z5\nG82 X5 Z-2 R1 P.7 F60', '›5,0 •0.7'],
    ['G0 Z5\nG91 G81 X5 Z-6 R-4 L3 F60', '›5,0 •0.1 ›10,0 •0.1 ›15,0 •0.1'],
    ['G0 X5 Z5\nG1 Z-2 F60\nG4 P.3\nG0 Z5', '›5,0 •0.3'],
    // The same way again, deeper.
    ['G0 Z1\nG1 Z-1 F60\nX10\nX0 Z-2\nG0 Z1', '10,0 0,0'],
    ['G0 Z1\nG1 Z-1 F60\nX10\nZ-2\nX0\nG0 Z1', '10,0', { passes: 'once' }],
    ['G0 Z1\nG1 Z-1 F60\nX10\nY10\nG0 Z1\nX0 Y0\nG1 Z-2\nX10\nY10\nG0 Z1', '10,0 10,10 ›0,0', { passes: 'once' }],
    ['G0 X10\nG1 Z-1 F60\nG3 X0 Y10 I-10\nG1 Z-2\nG2 X10 Y0 J-10', '›10,0 ↺0,10', { passes: 'once' }],
    ['G0 X10\nG1 Z-1 F60\nG3 X-10 Y0 I-10\nG3 X10 Y0 I10', '›10,0 ↺-10,0 ↺10,0', { passes: 'once' }],
    // Inches, offsets, parameters.
    ['G20\nG0 Z1\nG1 X2 Z-1 F10', '›25.4,0 50.8,0'],
    ['G0 Z5\nG92 Z0\nG1 X10 Z-10 F60', '›5,0 10,0'],
    ['#1=-1\nG0 Z1\nG1 X10 Z#1 F60', '›5,0 10,0'],
  ] as readonly (readonly [string, string, Partial<BeamWish>?])[])('%j becomes %s', (...[text, expected, wish]) => expect(told(text as string, wish as Partial<BeamWish>)).toBe(expected)) // prettier-ignore

  it('an arc that stands upright is what is seen of it: it turns back where its circle does, and is parted at the surface', () => {
    // In the plane ZX about Z0, radius 10, from X−10 over the lowest place to X10: all of it below.
    const dip = made('G0 X-10\nG18 G2 X10 Z0 I10 K0 F60')
    expect(dip.burntLength).toBeCloseTo(20, 9)
    // About Z5: below the surface between ±√75.
    const low = made('G0 X-10 Z5\nG18 G2 X10 Z5 I10 K0 F60')
    expect(low.burntLength).toBeCloseTo(2 * Math.sqrt(75), 9)
    // The right half of a circle about X0: out to 10 and back, burnt both ways below the surface.
    const out = made('G0 Y0 Z10\nG19 G2 Y0 Z-10 J0 K-10 F60')
    expect(out.burntLength).toBeCloseTo(10, 9)
    expect(out.changes.map((it) => it.what)).toContain('chorded')
  })
  it('darker the deeper, by a law of tone: put back into the law, every depth has its share of the way from bare to darkest', () => {
    const law = { ...USUAL_LAW, bare: 80 }
    const light = { watts: 5, width: 0.1, feed: 30, shareFor: (it: number) => it }
    const { power, times } = beamForTone(law, light, 2)
    const darkest = toneAfter(law, 5 / (30 * 0.1), 30)
    expect([times, power.powers[0], round(powerAtDepth(power, 2))]).toEqual([1, 0, 1])
    power.depths.forEach((depth, k) => {
      const tone = toneAfter(law, (5 * power.powers[k]!) / (30 * 0.1), 30)
      if (k > 0) expect(tone).toBeCloseTo(80 + ((darkest - 80) * depth) / 2, 1)
    })
  })

  it('a ramp into a way that is cut whole afterwards is burnt with it, as deep as the deepest; one of its own burns by its depth', () => {
    const power = { depths: [0, 2], powers: [0, 1] }
    const text = 'G0 Z1\nG1 X20 Z-1 F600\nX0\nX20\nX20 Y5\nX20 Y10 Z-2\nG0 Z1'
    const steps = [...made(text, { power, passes: 'once' }).steps]
    expect(steps.slice(0, 4)).toEqual([
      { kind: 'rapid', x: 10, y: 0 },
      { kind: 'rapid', x: 20, y: 0 },
      { kind: 'line', x: 0, y: 0, feed: 10, power: 0.5 },
      { kind: 'rapid', x: 20, y: 0 },
    ])
    // From 1 to 2 mm deep: half to full power, in 25 steps of 2 %.
    expect(steps.filter((it) => it.kind === 'line')).toHaveLength(2 + 25)
    expect(made(text, { power, passes: 'once' }).changes).toContainEqual({ what: 'again', count: 2, line: 2 })
  })

  it('power and passes by what is learnt of a material: by hand, d = c (H − H₀) and H = P s/(v b)', () => {
    // 0.5 mm a pass for each J/mm² above 1; 5 W over 0.1 mm. 1 mm in one pass wants 3 J/mm²: 5/(3·0.1) mm/s.
    const light = { watts: 5, width: 0.1, feed: null, shareFor: (it: number) => it }
    const one = beamForDepth({ slope: 0.5, from: 1, most: 4 }, light, 1)
    expect([one.times, one.feed]).toEqual([1, expect.closeTo(16.6667, 3)])
    expect([powerAtDepth(one.power, 1), powerAtDepth(one.power, 0.5), powerAtDepth(one.power, 0)].map(round)).toEqual([
      1, 0.667, 0.333,
    ])
    // No more a pass than was tried: 4 mm in three passes, each of (4/3)/0.5 + 1 J/mm².
    const deep = beamForDepth({ slope: 0.5, from: 1, most: 4 }, { ...light, feed: 10 }, 4)
    expect([deep.times, deep.feed, round(powerAtDepth(deep.power, 4))]).toEqual([
      3,
      10,
      round(((4 / 3 / 0.5 + 1) * 10 * 0.1) / 5),
    ])
    // Three times behind one another, from where it ended.
    const steps = [...made('G0 Z1\nX1\nG1 Z-1 F600\nX5\nG0 Z1', { times: 2 }).steps].map(short)
    expect(steps).toEqual(['›1,0', '5,0', '›1,0', '5,0'])
  })

  it('power follows the depth: a table worked by hand, ramps in steps that it is never far from', () => {
    const power = { depths: [0, 1, 3], powers: [0.2, 0.4, 1] }
    expect([0, 0.5, 1, 2, 3, 9].map((it) => round(powerAtDepth(power, it)))).toEqual([0.2, 0.3, 0.4, 0.7, 1, 1])
    const powers = (text: string) => [...made(text, { power }).steps].flatMap((it) => (it.kind === 'line' ? [it.power] : []))
    expect(powers('G0 Z1\nG1 Z-2 F60\nX10')).toEqual([expect.closeTo(0.7, 9)])
    const ramp = powers('G0 Z0\nG1 X30 Z-3 F60')
    expect(ramp.length).toBeGreaterThan(30)
    ramp.forEach((it, k) => expect(it).toBeCloseTo(powerAtDepth(power, (3 * (k + 0.5)) / ramp.length), 9))
    const twice = made('G0 Z1\nG1 Z-1 F60\nX10\nZ-3\nX0', { power, passes: 'once' })
    expect([...twice.steps].flatMap((it) => (it.kind === 'line' ? [it.power] : []))).toEqual([1])
    expect(() => made('G0 X1', { power: { depths: [1, 1], powers: [0, 1] } })).toThrow(/rise/)
  })
  it('says what it changed with the first line of each, and what cannot be told before', () => {
    const text = 'M3 S1\nG0 Z2\nG1 X30 Z-1 F60\nG0 Z2\nX40\nG1 Z-1\nG0 Z2\nG4 P1\nM5'
    expect(made(text).changes).toEqual([
      { what: 'parted', count: 1, line: 3 },
      { what: 'ramped', count: 1, line: 3 },
      { what: 'vanished', count: 1, line: 3 },
      { what: 'dotted', count: 1, line: 6 },
      { what: 'waited', count: 1, line: 8 },
    ])
    const { moves } = readProgram('G0 Z12\nX5\nG1 Z9.5 F60\nX25\nG0 X30\nM2')
    expect(lookAtCutter(moves, 10)).toMatchObject({ lowest: 9.5, highest: 12, hasZero: false, rapidBelow: 5, stillBelow: 4 })
    expect(lookAtCutter(moves, 10).heights).toEqual([
      { z: 9.5, way: 25 },
      { z: 12, way: 5 },
    ])
    // A wait in milliseconds, of another dialect, lets no light stand for minutes.
    const long = made('G0 Z5\nG82 X5 Z-2 R1 P500 F60')
    expect([...long.steps].map(short)).toEqual(['›5,0', '•0.1'])
    expect(long.findings).toMatchObject([{ code: 'long-dot', severity: 'warning', line: 2 }])
    expect(made('G0 Z-1\nX5', { rapids: 'lit' }).findings).toMatchObject([{ code: 'no-feed', line: 2 }])
  })
})

/** Length below a height as it is seen from above, sampled densely, its crossings found by halving: nothing of the product's own parting. */
function sampledBelow(moves: Moves, level: number): number {
  let sum = 0
  let from: readonly [number, number, number] = [0, 0, 0]
  for (let i = 0; i < moves.count; i++) {
    const to = [moves.x[i]!, moves.y[i]!, moves.z[i]!] as const
    const at = placeAlong(moves, i, from, to)
    // A straight way is as long as its chords; an arc's are short by 1e−7 of it.
    if (moves.kind[i] !== MOVE.rapid) sum += belowOf(at, level, moves.kind[i] === MOVE.feed ? 8 : 1500)
    from = to
  }
  return sum
}

function placeAlong(moves: Moves, i: number, from: readonly [number, number, number], to: readonly [number, number, number]) {
  const isArc = moves.kind[i] === MOVE.clockwise || moves.kind[i] === MOVE.counterClockwise
  return (t: number): readonly [number, number, number] => {
    const straight = [0, 1, 2].map((k) => from[k]! + (to[k]! - from[k]!) * t) as [number, number, number]
    if (!isArc) return straight
    const [a, b] = PLANE_AXES[moves.plane[i] as 17 | 18 | 19]
    const centre = [moves.centreA[i]!, moves.centreB[i]!] as const
    const isClockwise = moves.kind[i] === MOVE.clockwise
    const swept = sweptAngle([from[a], from[b]], [to[a], to[b]], [...centre], isClockwise) * (isClockwise ? -1 : 1)
    const angle = Math.atan2(from[b] - centre[1], from[a] - centre[0]) + swept * t
    const radius = Math.hypot(from[a] - centre[0], from[b] - centre[1])
    straight[a] = centre[0] + radius * Math.cos(angle)
    straight[b] = centre[1] + radius * Math.sin(angle)
    return straight
  }
}

function belowOf(at: (t: number) => readonly [number, number, number], level: number, samples: number): number {
  let sum = 0
  const length = (p: number, q: number): number => {
    const [u, v] = [at(p), at(q)]
    return Math.hypot(v[0] - u[0], v[1] - u[1])
  }
  for (let k = 0; k < samples; k++) {
    const [p, q] = [k / samples, (k + 1) / samples]
    const [zp, zq] = [at(p)[2], at(q)[2]]
    if (zp < level === zq < level) {
      sum += zp < level || zq < level ? length(p, q) : 0
      continue
    }
    let [low, high] = [p, q]
    for (let n = 0; n < 50; n++) {
      const middle = (low + high) / 2
      if (at(middle)[2] < level === zp < level) low = middle
      else high = middle
    }
    sum += zp < level ? length(p, low) : length(high, q)
  }
  return sum
}

/** A program by chance: lines, helices, upright arcs, holes, both distances, both units. */
function randomCutter(random: Random): string {
  const lines = [random() < 0.2 ? 'G20' : 'G21', 'M3 S1000', 'G0 Z3', 'F300']
  const unit = lines[0] === 'G20' ? 1 / 25.4 : 1
  const number = (least: number, most: number): string => (between(random, least, most) * unit).toFixed(4)
  const count = 3 + Math.floor(random() * 8)
  for (let k = 0; k < count; k++) {
    const kind = Math.floor(random() * 7)
    if (kind === 0) lines.push(`G0 X${number(0, 40)} Y${number(0, 40)} Z${number(0.5, 4)}`)
    else if (kind === 1) lines.push(`G1 X${number(0, 40)} Y${number(0, 40)} Z${number(-3, 3)}`)
    else if (kind === 2) lines.push(`G1 Z${number(-3, 3)}`)
    else if (kind === 3) {
      const [i, j] = [Number(number(-8, 8)), Number(number(2, 8))]
      // Half a turn: the end lies opposite the centre.
      lines.push(
        `G17 G91 G${random() < 0.5 ? 2 : 3} X${(2 * i).toFixed(4)} Y${(2 * j).toFixed(4)} Z${number(-2, 2)} I${i} J${j}`,
        'G90',
      )
    } else if (kind === 4) {
      const r = Number(number(1, 6))
      lines.push(`G18 G91 G${random() < 0.5 ? 2 : 3} X${(2 * r).toFixed(4)} Z0 I${r} K0`, 'G90 G17')
    } else if (kind === 5) lines.push(`G99 G81 X${number(0, 40)} Y${number(0, 40)} Z${number(-3, -1)} R${number(0.5, 2)}`, 'G80')
    else lines.push(`G91 G1 X${number(-5, 5)} Y${number(-5, 5)} Z${number(-1, 1)}`, 'G90')
  }
  return [...lines, 'G0 Z3', 'M5', 'M2'].join('\n')
}

describe('1,000 programs by chance', () => {
  it('burn as much as lies below the surface, to a micrometre; through a card no dark move is lit and no lit one dark', () => {
    const random = seeded(2026)
    let [arcs, burnt] = [0, 0]
    for (let n = 0; n < 1000; n++) {
      const text = randomCutter(random)
      const { moves, errorCount } = readProgram(text)
      expect(errorCount, text).toBe(0)
      const level = n % 3 === 0 ? 0 : Math.round(between(random, -1, 1) * 100) / 100
      const refitted = refitForBeam(moves, { ...WISH, level })
      const sampled = sampledBelow(moves, level)
      expect(Math.abs(refitted.burntLength - sampled), `${n}: ${text}`).toBeLessThan(1e-3)
      arcs += [...refitted.steps].filter((it) => it.kind === 'arc').length
      burnt += refitted.burntLength
      const written = writeProgram(refitted.steps, { ...PLAIN_CARD, decimals: 4 })
      if (!written.ok) throw new Error('not written')
      const survey = surveyProgram(written.value, null)
      expect(survey.errorCount, text).toBe(0)
      // What is printed is rounded to a ten-thousandth at both ends of every step.
      expect(Math.abs(survey.burntLength - refitted.burntLength)).toBeLessThan(0.001 + [...refitted.steps].length * 3e-4)
      expect(survey.zLit).toBeNull()
    }
    expect(arcs).toBeGreaterThan(200)
    expect(burnt).toBeGreaterThan(10_000)
  })
})
