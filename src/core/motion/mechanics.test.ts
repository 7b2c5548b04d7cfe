import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  closedBeltLength,
  crossedWheels,
  fieldPlace,
  gearFor,
  headFor,
  mirrorSpot,
  mirrorTurns,
  motorsFor,
  pullingParts,
  routeBelt,
  wiringFault,
  type CrossedShape,
  type MirrorPair,
  type Way,
} from '.'

/** The way's length by walking it in small steps: points on the tangents and arcs, straight lines between them. */
function walked(route: ReturnType<typeof routeBelt>, closed: boolean): number {
  const points: (readonly [number, number])[] = []
  route.runs.forEach((run, i) => {
    points.push(run.from, run.to)
    const wrap = route.wraps[closed ? (i + 1) % route.wraps.length : i]
    if (wrap === undefined) return
    const { wheel, start, angleRad } = wrap
    const first = Math.atan2(start[1] - wheel.y, start[0] - wheel.x)
    for (let k = 1; k <= 4000; k++) {
      const at = first + (wheel.turn * angleRad * k) / 4000
      points.push([wheel.x + wheel.r * Math.cos(at), wheel.y + wheel.r * Math.sin(at)])
    }
  })
  return points.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - points[i]![0], p[1] - points[i]![1]), 0)
}

describe('a belt round wheels', () => {
  it('20 and 40 teeth of 2 mm on a closed belt of 200 mm stand 69.71 mm apart (handbook value)', () => {
    expect(closedBeltLength(69.71, 40 / Math.PI, 80 / Math.PI)).toBeCloseTo(200, 2)
  })

  it('is as long as the closed-belt formula says, and as its walked way', () => {
    fc.assert(
      fc.property(
        fc.record({ r1: fc.double({ min: 3, max: 20, noNaN: true }), r2: fc.double({ min: 3, max: 20, noNaN: true }) }),
        fc.double({ min: 45, max: 400, noNaN: true }),
        ({ r1, r2 }, apart) => {
          const route = routeBelt(
            [
              { x: 0, y: 0, r: r1, turn: 1 },
              { x: apart, y: 0, r: r2, turn: 1 },
            ],
            true,
          )
          expect(route.length).toBeCloseTo(closedBeltLength(apart, 2 * r1, 2 * r2), 8)
          expect(walked(route, true)).toBeCloseTo(route.length, 3)
        },
      ),
      { seed: 12, numRuns: 40 },
    )
  })

  it('says which wheels overlap', () => {
    const wheels = [
      { x: 0, y: 0, r: 10, turn: 1 as const },
      { x: 5, y: 0, r: 10, turn: -1 as const },
    ]
    expect(() => routeBelt(wheels)).toThrow('wheels 1 and 2 overlap')
  })
})

describe('crossed belts', () => {
  const shape: CrossedShape = {
    travelX: 400,
    travelY: 300,
    endX: 50,
    endY: 60,
    motorRadius: 6.366,
    motorRadiusRight: 6.366,
    idlerRadius: 6,
    motorAside: 0,
    halfCarriage: 30,
  }
  const lengths = (at: { x: number; y: number }, over: Partial<CrossedShape> = {}) => {
    const { a, b } = crossedWheels({ ...shape, ...over }, at)
    return [routeBelt(a).length, routeBelt(b).length]
  }
  const corners = [
    { x: 0, y: 0 },
    { x: 400, y: 0 },
    { x: 400, y: 300 },
    { x: 0, y: 300 },
    { x: 170, y: 90 },
  ]

  it('keep their length wherever the head is, while their runs are parallel; belt b is belt a in a mirror', () => {
    const [first] = corners.map((at) => lengths(at))
    for (const at of corners) for (const [i, length] of lengths(at).entries()) expect(length).toBeCloseTo(first![i]!, 9)
    expect(lengths({ x: 100, y: 50 })[0]).toBeCloseTo(lengths({ x: 300, y: 50 })[1]!, 9)
  })

  it('grow and shrink where a motor stands aside, by the slant of its runs', () => {
    const [near, far] = [lengths({ x: 0, y: 0 }, { motorAside: 8 })[0]!, lengths({ x: 0, y: 300 }, { motorAside: 8 })[0]!]
    // The run from the gantry is 60 mm long in front and 360 mm behind: √(l² + 8²) − l.
    expect(near - far).toBeCloseTo(Math.hypot(60, 8) - 60 - (Math.hypot(360, 8) - 360), 2)
  })

  it('a run between motor and carriage takes x + y for belt a, x − y for belt b', () => {
    const taken = (belt: 'a' | 'b', at: { x: number; y: number }): number => {
      const wheels = crossedWheels(shape, at)[belt]
      const { runs } = routeBelt(wheels)
      return runs[0]!.length + runs[1]!.length
    }
    const grown = (belt: 'a' | 'b', dx: number, dy: number): number =>
      taken(belt, { x: 100 + dx, y: 100 + dy }) - taken(belt, { x: 100, y: 100 })
    expect([grown('a', 7, 0), grown('a', 0, 7), grown('b', 7, 0), grown('b', 0, 7)]).toEqual(
      [7, 7, -7, 7].map((it) => expect.closeTo(it, 9)),
    )
    expect(motorsFor({ x: 3, y: 1 })).toEqual({ a: 4, b: 2 })
    expect(headFor(motorsFor({ x: 3, y: 1 }))).toEqual({ x: 3, y: 1 })
    // At 45° one motor does all, at √2 times the speed of the path.
    expect(motorsFor({ x: Math.SQRT1_2, y: Math.SQRT1_2 })).toEqual({ a: expect.closeTo(Math.SQRT2, 12), b: 0 })
  })

  // The eight cases as the handbook lists them: where the head went for +X and +Y, and what that means.
  it.each<[Way, Way, boolean, boolean, boolean]>([
    ['+x', '+y', false, false, false],
    ['+y', '+x', false, false, true],
    ['-y', '-x', false, true, false],
    ['-x', '-y', false, true, true],
    ['+x', '-y', true, false, false],
    ['+y', '-x', true, false, true],
    ['-y', '+x', true, true, false],
    ['-x', '+y', true, true, true],
  ])('+X went %s and +Y went %s', (forX, forY, swapped, reversedA, reversedB) => {
    const fault = wiringFault(forX, forY)
    const moved = (asked: { x: number; y: number }) => {
      const { a, b } = motorsFor(asked)
      const [p, q] = swapped ? [b, a] : [a, b]
      return headFor({ a: reversedA ? -p : p, b: reversedB ? -q : q })
    }
    const wayOf = ({ x, y }: { x: number; y: number }): string =>
      Math.abs(x) > Math.abs(y) ? (x > 0 ? '+x' : '-x') : y > 0 ? '+y' : '-y'
    expect([wayOf(moved({ x: 1, y: 0 })), wayOf(moved({ x: 0, y: 1 }))]).toEqual([forX, forY])
    expect(fault).toEqual({ swapped, reversedA, reversedB })
  })

  it('no wiring explains two answers in one line', () => expect(wiringFault('+x', '-x')).toBeNull())
})

type Vector = readonly [number, number, number]

/** The beam followed from the diode: both reflections as vectors, the meeting with each plane worked, no formula. */
function traced({ heightMm: h, apartMm: e }: MirrorPair, alpha: number, beta: number): { x: number; y: number } {
  const dot = (p: Vector, q: Vector): number => p[0] * q[0] + p[1] * q[1] + p[2] * q[2]
  const reflect = (d: Vector, n: Vector): Vector => {
    const k = 2 * dot(d, n)
    return [d[0] - k * n[0], d[1] - k * n[1], d[2] - k * n[2]]
  }
  const meet = (from: Vector, d: Vector, on: Vector, n: Vector): Vector => {
    const t = dot([on[0] - from[0], on[1] - from[1], on[2] - from[2]], n) / dot(d, n)
    return [from[0] + t * d[0], from[1] + t * d[1], from[2] + t * d[2]]
  }
  // The beam comes along +x; the first mirror stands upright at 45° and turns about z, the second about x, e further.
  const first: Vector = [Math.sin(-Math.PI / 4 + alpha), Math.cos(-Math.PI / 4 + alpha), 0]
  const after = reflect([1, 0, 0], first)
  const second: Vector = [0, Math.cos(Math.PI / 4 - beta), Math.sin(Math.PI / 4 - beta)]
  const at = meet([0, 0, 0], after, [0, e, 0], second)
  const down = reflect(after, second)
  const spot = meet(at, down, [0, 0, -h], [0, 0, 1])
  return { x: spot[0], y: spot[1] - e }
}

describe('two turning mirrors', () => {
  const pair: MirrorPair = { heightMm: 250, apartMm: 30, last: 'y' }

  it('agree with ray tracing of both reflections over the whole field, and their inverse with them to 1 µm', () => {
    for (let alpha = -0.2; alpha <= 0.2; alpha += 0.05) {
      for (let beta = -0.2; beta <= 0.2; beta += 0.05) {
        const spot = mirrorSpot(pair, { x: 2 * alpha, y: 2 * beta })
        const seen = traced(pair, alpha, beta)
        expect(spot.x).toBeCloseTo(seen.x, 9)
        expect(Math.abs(spot.y)).toBeCloseTo(Math.abs(seen.y), 9)
        const back = mirrorSpot(pair, mirrorTurns(pair, spot))
        expect(Math.hypot(back.x - spot.x, back.y - spot.y)).toBeLessThan(1e-3)
      }
    }
  })

  it('in the other order change places', () => {
    const other = mirrorSpot({ ...pair, last: 'x' }, { x: 0.1, y: 0.2 })
    const same = mirrorSpot(pair, { x: 0.2, y: 0.1 })
    expect([other.x, other.y]).toEqual([same.y, same.x])
  })

  it('250 mm high, 2,048 steps: 0.652 steps/mm in the middle; 4.95 mm of focus 50 mm out (handbook values)', () => {
    const middle = fieldPlace({ ...pair, apartMm: 0 }, 2048 / (2 * Math.PI), { x: 0, y: 0 })
    expect(middle.stepsX).toBeCloseTo(0.652, 3)
    expect(middle.growthAlong).toBe(1)
    expect(fieldPlace({ ...pair, apartMm: 0 }, 1, { x: 50, y: 0 }).focusErrorMm).toBeCloseTo(4.95, 2)
  })

  it('finds the smallest standard gear that reaches a resolution', () => {
    expect(gearFor(2)).toMatchObject({ ratio: 2 })
    const found = gearFor(2.34)!
    expect(found.ratio).toBeGreaterThanOrEqual(2.34)
    expect(found.ratio).toBeLessThan(2.41)
    expect(gearFor(50)).toBeNull()
  })
})

it.each([
  ['away from its motor: round the idler', 1, { near: false, far: true, back: true }],
  ['towards its motor: the short way', -1, { near: true, far: false, back: false }],
  ['nowhere: nothing pulls', 0, { near: false, far: false, back: false }],
] as const)('a belt pulls %s (common practice)', (_, away, parts) => expect(pullingParts(away)).toEqual(parts))
