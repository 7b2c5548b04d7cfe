import { describe, expect, it } from 'vitest'
import { PLAIN_CARD, readProgram, writeProgram, MOVE, type Moves } from '../../src/core/gcode'
import { axisLimits, isLit, planMoves } from '../../src/core/planner'
import { burntRuns, islandsOfRuns, joinedSteps } from '../../src/core/refit'
import { between, seeded, type Random } from '../../src/core/workshop'

/** Every burnt move as its ends, centre, sense, speed and power: sorted, so that only what is burnt is compared. */
function burntOf(moves: Moves): readonly string[] {
  const all: string[] = []
  let [x, y] = [0, 0]
  for (let i = 0; i < moves.count; i++) {
    if (moves.kind[i] === MOVE.dwell) continue
    const [toX, toY] = [moves.x[i]!, moves.y[i]!]
    if (isLit(moves, i) && (toX !== x || toY !== y || moves.kind[i] !== MOVE.feed)) {
      const centre = moves.kind[i] === MOVE.feed ? [] : [moves.centreA[i]!, moves.centreB[i]!]
      const numbers = [x, y, toX, toY, ...centre, moves.feed[i]!, moves.s[i]!].map((it) => it.toFixed(3))
      all.push(`${moves.kind[i]} ${numbers.join(' ')}`)
    }
    ;[x, y] = [toX, toY]
  }
  return all.sort()
}

/** Rows that cross islands, outlines and arcs, by chance. */
function randomProgram(random: Random): string {
  const number = (least: number, most: number): string => between(random, least, most).toFixed(3)
  const lines = ['G21 G90', `F${100 * (1 + Math.floor(random() * 9))}`]
  const places = Array.from(
    { length: 1 + Math.floor(random() * 4) },
    () => [between(random, 0, 150), between(random, 0, 150)] as const,
  )
  for (let row = 0; row < 1 + random() * 8; row++) {
    lines.push(`G0 X0 Y${(row * 3).toFixed(3)}`)
    for (const [x] of [...places].sort((p, q) => p[0] - q[0])) {
      lines.push(
        `G1 X${x.toFixed(3)} S0`,
        `M3 S${1 + Math.floor(random() * 999)}`,
        `G1 X${(x + between(random, 1, 9)).toFixed(3)}`,
        'M5',
      )
    }
  }
  for (const [x, y] of places) {
    lines.push(
      `G0 X${x.toFixed(3)} Y${y.toFixed(3)}`,
      'M4 S500',
      `G91 G${random() < 0.5 ? 2 : 3} X6 Y0 I3 J0`,
      'G90',
      `G1 X${number(0, 150)} Y${number(0, 150)}`,
      'M5',
    )
  }
  return [...lines, 'G0 X0 Y0', 'M2'].join('\n')
}

describe('a program that is parted into islands and joined again', () => {
  it('burns every stretch once, in its own sense, with its power and speed, over 500 drawn programs', () => {
    const random = seeded(99)
    for (let n = 0; n < 500; n++) {
      const text = randomProgram(random)
      const { moves, errorCount } = readProgram(text)
      expect(errorCount, text).toBe(0)
      const runs = burntRuns(moves, 1000, between(random, 0, 8))
      const islands = islandsOfRuns(runs, between(random, 0, 20))
      expect(islands.flat()).toHaveLength(runs.length)
      const written = writeProgram(joinedSteps(islands, n % 2 === 0 ? 'own' : 'quickest'), { ...PLAIN_CARD, powerDecimals: 0 })
      if (!written.ok) throw new Error('not written')
      expect(burntOf(readProgram(written.value).moves), text).toEqual(burntOf(moves))
    }
  })
  it('of two islands that every row crosses takes less time, and no longer a way across the white', () => {
    const rows = Array.from({ length: 60 }, (_, k) => {
      const y = (10 + k * 0.2).toFixed(1)
      return `G0 X0 Y${y}\nG1 X10 S0\nM3 S500\nG1 X20\nM5\nG1 X180\nM3 S500\nG1 X190\nM5\nG1 X200`
    })
    const { moves } = readProgram(`G21 G90 F6000\n${rows.join('\n')}\nM2`)
    const axis = { speed: 200, acceleration: 2000 }
    const limits = axisLimits({ x: axis, y: axis, z: axis }, 0.02)
    const runs = burntRuns(moves, 1000, 5)
    const islands = islandsOfRuns(runs, 2)
    expect(islands.map((it) => it.length)).toEqual([60, 60])
    // Run-ups of the dark way before are kept, no longer than asked for: a line begins at its speed.
    expect(runs[0]).toMatchObject({ leadFrom: { x: 5, y: 10 }, leadTo: { x: 25, y: 10 } })
    const written = writeProgram(joinedSteps(islands, 'own'), PLAIN_CARD)
    if (!written.ok) throw new Error('not written')
    const [before, after] = [moves, readProgram(written.value).moves].map((it) => planMoves(it, limits).totalSeconds)
    expect(after!).toBeLessThan(before! / 3)
    // What lies nearer than the distance is one island.
    expect(islandsOfRuns(runs, 170)).toHaveLength(1)
  })
})
