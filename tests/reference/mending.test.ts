import { describe, expect, it } from 'vitest'
import { PLAIN_CARD, readProgram, writeProgram, MOVE, type Moves, type Step } from '../../src/core/gcode'
import { surveyProgram } from '../../src/core/planner'
import {
  AS_IT_IS,
  burntApart,
  burntRuns,
  gridOfPuts,
  islandsOfRuns,
  joinedSteps,
  joinPrograms,
  lightOf,
  mendProgram,
  runUpFor,
  type MendWish,
  type Put,
} from '../../src/core/refit'
import { between, seeded, type Random } from '../../src/core/workshop'

const CARD = { ...PLAIN_CARD, decimals: 4, powerDecimals: 1 }

const mend = (text: string, wish: Partial<MendWish> = {}) =>
  mendProgram(readProgram(text).moves, { ...AS_IT_IS, fullS: 1000, waits: 'dark', ...wish })
const written = (steps: Iterable<Step>): string => {
  const made = writeProgram(steps, CARD)
  if (!made.ok) throw new Error(made.findings[0]?.message)
  return made.value
}
const movesOf = (steps: Iterable<Step>): Moves => readProgram(written(steps)).moves

/** Places along what is burnt, close together, each with its power and speed: nothing of the product's own parting. */
function sampled(moves: Moves, step = 0.02): readonly { x: number; y: number; length: number; s: number; feed: number }[] {
  const found: { x: number; y: number; length: number; s: number; feed: number }[] = []
  let [x, y] = [0, 0]
  for (let i = 0; i < moves.count; i++) {
    if (moves.kind[i] === MOVE.dwell) continue
    const [toX, toY] = [moves.x[i]!, moves.y[i]!]
    const isOn = moves.kind[i] !== MOVE.rapid && moves.spindle[i] !== 0 && moves.s[i]! > 0
    const isArc = moves.kind[i] === MOVE.clockwise || moves.kind[i] === MOVE.counterClockwise
    const [cx, cy] = [moves.centreA[i]!, moves.centreB[i]!]
    const [a0, a1] = [Math.atan2(y - cy, x - cx), Math.atan2(toY - cy, toX - cx)]
    const sense = moves.kind[i] === MOVE.clockwise ? -1 : 1
    const turn = ((((a1 - a0) * sense) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI
    const radius = Math.hypot(x - cx, y - cy)
    const length = isArc ? radius * turn : Math.hypot(toX - x, toY - y)
    const count = Math.max(1, Math.ceil(length / step))
    for (let k = 0; isOn && k < count; k++) {
      const t = (k + 0.5) / count
      const angle = a0 + sense * turn * t
      const at = isArc ? [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)] : [x + (toX - x) * t, y + (toY - y) * t]
      found.push({ x: at[0]!, y: at[1]!, length: length / count, s: moves.s[i]!, feed: moves.feed[i]! })
    }
    ;[x, y] = [toX, toY]
  }
  return found
}

const sum = (all: readonly { length: number }[]): number => all.reduce((total, it) => total + it.length, 0)

/** Lines, arcs and jumps by chance, the beam now on, now off. */
function randomBurn(random: Random): string {
  const number = (least: number, most: number): string => between(random, least, most).toFixed(3)
  const lines = ['G21 G90 F1200', `M3 S${100 + Math.floor(random() * 900)}`]
  for (let k = 0; k < 4 + random() * 8; k++) {
    const kind = random()
    if (kind < 0.25) lines.push(`G0 X${number(0, 60)} Y${number(0, 60)}`)
    else if (kind < 0.35) lines.push(random() < 0.5 ? 'M5' : `M3 S${100 + Math.floor(random() * 900)}`)
    else if (kind < 0.7) lines.push(`G1 X${number(0, 60)} Y${number(0, 60)}`)
    else {
      const r = between(random, 2, 20).toFixed(3)
      lines.push(`G91 G${random() < 0.5 ? 2 : 3} X${(2 * Number(r)).toFixed(3)} Y0 I${r} J0`, 'G90')
    }
  }
  return [...lines, 'M5', 'M2'].join('\n')
}

describe('a program that is put right', () => {
  it('by hand: what was left on is turned off, inches become millimetres, waits go dark, short runs get their run-up', () => {
    const text = 'G21 F600\nM3 S500\nG1 X10\nG0 X20\nG1 X30\nG4 P2\nG1 X30 Y10'
    const { steps, mended, burntLength } = mend(text)
    expect(mended).toEqual([
      { what: 'beamOff', count: 1, line: 4 },
      { what: 'stands', count: 1, line: 6 },
      { what: 'ends', count: 1, line: 7 },
    ])
    expect(burntLength).toBe(30)
    const lines = written(steps).split('\n')
    expect(lines.slice(lines.indexOf('M3 S500'))).toEqual([
      'M3 S500',
      'G1 X10 Y0 F600',
      'M5',
      'G0 X20 Y0',
      'M3 S500',
      'G1 X30 Y0',
      'M5',
      'G4 P2',
      'M3 S500',
      'G1 X30 Y10',
      'M5',
      'M2',
      '',
    ])
    expect(mend(text, { scale: 25.4 }).burntLength).toBeCloseTo(762, 9)
    expect(mend(text, { waits: 'lit' }).steps).toContainEqual({ kind: 'dot', seconds: 2, power: 0.5 })
    // Run-up and run-out lie on the line that is burnt; round a corner of an arc on its tangent.
    expect(mend('F600 M3 S1000\nG0 X10 Y10\nG2 X20 Y20 I10\n', { lead: 3, runOut: 4 }).steps).toEqual([
      { kind: 'rapid', x: 10, y: 7 },
      { kind: 'line', x: 10, y: 10, feed: 10, power: 0 },
      { kind: 'arc', x: 20, y: 20, centreX: 20, centreY: 10, clockwise: true, feed: 10, power: 1 },
      { kind: 'line', x: 24, y: 20, feed: 10, power: 0 },
    ])
  })

  it('late light is told so much earlier: a line of 10 mm at 100 mm/s with 5 ms on and 20 ms off burns where it should', () => {
    const { steps } = mend('F6000\nG0 X20\nM3 S500\nG1 X30\nM5', { onDelay: 0.005, offDelay: 0.02, lead: 3, runOut: 1 })
    expect(steps).toEqual([
      { kind: 'rapid', x: 17, y: 0 },
      { kind: 'line', x: 19.5, y: 0, feed: 100, power: 0 },
      { kind: 'line', x: 20, y: 0, feed: 100, power: 0.5 },
      { kind: 'line', x: 28, y: 0, feed: 100, power: 0.5 },
      { kind: 'line', x: 30, y: 0, feed: 100, power: 0 },
      { kind: 'line', x: 31, y: 0, feed: 100, power: 0 },
    ])
  })

  it('clipped to a zone burns what lies in it, and nothing else, over 300 programs by chance', () => {
    const random = seeded(31)
    for (let n = 0; n < 300; n++) {
      const text = randomBurn(random)
      const [left, bottom] = [between(random, 0, 30), between(random, 0, 30)]
      const clip = { left, bottom, right: left + between(random, 5, 40), top: bottom + between(random, 5, 40) }
      const before = sampled(readProgram(text).moves)
      const isIn = ({ x, y }: { x: number; y: number }, by: number): boolean =>
        x >= clip.left - by && x <= clip.right + by && y >= clip.bottom - by && y <= clip.top + by
      const { steps, burntLength } = mend(text, { clip })
      const after = sampled(movesOf(steps))
      expect(
        after.every((it) => isIn(it, 1e-3)),
        text,
      ).toBe(true)
      const wanted = sum(before.filter((it) => isIn(it, 0)))
      // A sample may lie on the wrong side by half of its length, at each crossing.
      expect(Math.abs(sum(after) - wanted), text).toBeLessThan(0.02 * 40)
      expect(burntLength).toBeCloseTo(sum(after), 1)
    }
  })

  it('in a zone power and speed are taken times what is said, elsewhere they stay', () => {
    const random = seeded(32)
    const box = { left: 15, bottom: 15, right: 45, top: 45 }
    for (let n = 0; n < 100; n++) {
      const text = randomBurn(random)
      const before = sampled(readProgram(text).moves)
      const after = sampled(movesOf(mend(text, { zone: { box, power: 0.5, speed: 2 } }).steps))
      const inZone = ({ x, y }: { x: number; y: number }): boolean => x > 15 && x < 45 && y > 15 && y < 45
      const light = (all: typeof before): number => all.reduce((total, it) => total + (it.length * it.s) / it.feed, 0)
      expect(light(after.filter(inZone))).toBeCloseTo(light(before.filter(inZone)) / 4, -0.5)
      expect(Math.abs(sum(after) - sum(before))).toBeLessThan(0.05)
    }
  })

  it('short lines on circles become arcs that are nowhere further off than said', () => {
    const circle = Array.from({ length: 181 }, (_, k) => {
      const angle = (k * Math.PI) / 90
      return `X${(50 + 20 * Math.cos(angle)).toFixed(3)} Y${(50 + 20 * Math.sin(angle)).toFixed(3)}`
    })
    const text = `G21 F600\nG0 ${circle[0]}\nM3 S500\n${circle
      .slice(1)
      .map((it) => `G1 ${it}`)
      .join('\n')}\nG1 X90 Y90\nM5\nM2`
    const { steps, mended } = mend(text, { fit: 0.02 })
    expect(steps.filter((it) => it.kind === 'arc').length).toBeLessThan(4)
    expect(mended.find((it) => it.what === 'fitted')?.count).toBeGreaterThan(170)
    for (const { x, y } of sampled(movesOf(steps)).filter((it) => it.x < 69.9))
      expect(Math.abs(Math.hypot(x - 50, y - 50) - 20)).toBeLessThan(0.03)
  })
})

describe('several programs in one', () => {
  it('burns each at every one of its places: turned by complex numbers, every segment once, over 100 programs by chance', () => {
    const random = seeded(33)
    for (let n = 0; n < 100; n++) {
      const text = randomBurn(random)
      const put: Put = {
        x: between(random, 0, 90),
        y: between(random, 0, 90),
        turn: random() < 0.5 ? 90 * Math.floor(random() * 4) : between(random, -180, 180),
        mirror: (['no', 'leftRight', 'bottomTop'] as const)[Math.floor(random() * 3)]!,
      }
      const { moves } = readProgram(text)
      const puts = gridOfPuts(2, 1, { x: 100, y: 0 }, put)
      const sections = joinPrograms([{ moves, fullS: 1000, puts, pause: '' }])
      if (sum(sampled(moves)) === 0) continue
      expect(sections).toHaveLength(1)
      const after = sampled(movesOf(sections[0]!.steps), 0.5)
      const angle = (put.turn * Math.PI) / 180
      const wanted = puts.flatMap(({ x, y }) =>
        sampled(moves, 0.5).map((it) => {
          const [re, im] = [put.mirror === 'leftRight' ? -it.x : it.x, put.mirror === 'bottomTop' ? -it.y : it.y]
          return { ...it, x: x + re * Math.cos(angle) - im * Math.sin(angle), y: y + re * Math.sin(angle) + im * Math.cos(angle) }
        }),
      )
      expect(after.length, text).toBe(wanted.length)
      after.forEach((it, k) => expect(Math.hypot(it.x - wanted[k]!.x, it.y - wanted[k]!.y), text).toBeLessThan(2e-3))
    }
  })

  it('a pause begins a section; a grid goes there and back; a half-turn about zero is what it is', () => {
    const { moves } = readProgram('F600\nG0 X5\nM3 S1000\nG1 X10\nM5\nM2')
    const at = (x: number, y: number): Put => ({ x, y, turn: 0, mirror: 'no' })
    const sections = joinPrograms([
      { moves, fullS: 1000, puts: [at(0, 0)], pause: '' },
      { moves, fullS: 1000, puts: [{ ...at(100, 50), turn: 180 }], pause: 'Turn the work over.' },
    ])
    expect(sections.map((it) => it.before)).toEqual(['', 'Turn the work over.'])
    expect(sections[1]?.steps).toEqual([
      { kind: 'rapid', x: 95, y: 50 },
      { kind: 'line', x: 90, y: 50, feed: 10, power: 1 },
    ])
    const grid = gridOfPuts(3, 2, { x: 10, y: 20 }, at(1, 2))
    expect(grid.map(({ x, y }) => [x, y])).toEqual([
      [1, 2],
      [11, 2],
      [21, 2],
      [21, 22],
      [11, 22],
      [1, 22],
    ])
  })
})

describe('two programs held against one another', () => {
  it('one and the same parted and joined burn alike; a segment more, less or darker is found with its line', () => {
    const random = seeded(34)
    for (let n = 0; n < 60; n++) {
      const { moves } = readProgram(randomBurn(random))
      const parted = movesOf(joinedSteps(islandsOfRuns(burntRuns(moves, 1000, 3), 5), 'own'))
      const apart = burntApart(moves, parted, [1000, 1000])
      expect([apart.onlyFirst, apart.onlySecond, apart.otherwise]).toEqual([0, 0, 0])
      expect(apart.both).toBeCloseTo(
        surveyProgram(written(joinedSteps(islandsOfRuns(burntRuns(moves, 1000, 3), 5), 'own')), null).burntLength,
        2,
      )
    }
    const one = readProgram('F600 M3 S500\nG1 X10\nG1 X20\nG1 X20 Y5\nM2').moves
    // The straight way in one piece, another end, and the upright at half the power.
    const other = readProgram('F600 M3 S500\nG1 X20\nM3 S250\nG1 Y5\nG1 X30\nM2').moves
    expect(burntApart(one, other, [1000, 1000])).toMatchObject({
      both: 25,
      otherwise: 5,
      onlyFirst: 0,
      onlySecond: 10,
      firstLine: 4,
      secondLine: 5,
    })
  })
})

it('what light is like: its most power, its one speed or none, and how long it stands', () => {
  const { steps } = mend('F600\nM3 S200\nG1 X5\nS700\nG1 X9\nG4 P6\nM5', { waits: 'lit' })
  expect(lightOf(steps)).toEqual({ power: 0.7, speed: 10, longestDot: 6 })
  expect(lightOf(mend('F600\nM3 S200\nG1 X5\nF60\nX9').steps).speed).toBeNull()
  // 100 mm/s with 1000 mm/s² (handbook of the trade).
  expect(runUpFor(100, 1000)).toBe(5)
})
