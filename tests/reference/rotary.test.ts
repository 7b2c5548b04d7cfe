import { describe, expect, it } from 'vitest'
import {
  bowOf,
  cordLength,
  discsThatFit,
  fitRoundness,
  flatPlace,
  focusedZones,
  levellingTilt,
  radiusAt,
  roundPlace,
  slotsThatFit,
  stationStep,
  stepsAfterOverrun,
  stepsOnRollers,
  surfaceSteps,
  turnFeed,
  turningTorque,
  unrollCone,
  widestScan,
  type Section,
} from '../../src/core/rotary'
import { between, seeded } from '../../src/core/workshop'

describe('a frustum on the flat', () => {
  it('is the handbook’s example: 90, 70, 150 mm', () => {
    const flat = unrollCone(90, 70, 150)
    expect([flat.slant, flat.outer, flat.inner].map((it) => Number(it.toFixed(2)))).toEqual([150.33, 676.5, 526.17])
    expect((flat.angle * 180) / Math.PI).toBeCloseTo(23.947, 3)
    expect(() => unrollCone(70, 70, 150)).toThrow(RangeError)
  })

  it('keeps the length of every way: curves on the round thing summed up in space, against the same curves on the flat', () => {
    const random = seeded(61)
    for (let n = 0; n < 200; n++) {
      const narrow = between(random, 5, 80)
      const wide = narrow + between(random, 0.5, 60)
      const length = between(random, 10, 200)
      const flat = unrollCone(wide, narrow, length)
      const half = Math.atan((wide - narrow) / (2 * length))
      // A wandering way: down the slope and round the axis, each by a few waves.
      const [a, b, c] = [between(random, 0, 3), between(random, -2, 2), between(random, 1, 4)]
      const down = (t: number): number => flat.slant * (0.5 + 0.4 * Math.sin(a + c * t))
      const turn = (t: number): number => 2 * Math.sin(b + t)
      const inSpace = (t: number): readonly number[] => {
        const radius = narrow / 2 + down(t) * Math.sin(half)
        return [radius * Math.cos(turn(t)), radius * Math.sin(turn(t)), down(t) * Math.cos(half)]
      }
      const onFlat = (t: number): readonly number[] => {
        const { x, y } = flatPlace(flat, down(t), turn(t))
        return [x, y]
      }
      const sum = (at: (t: number) => readonly number[]): number => {
        let total = 0
        for (let k = 0; k < 4000; k++) {
          const [p, q] = [at((2 * k) / 4000), at((2 * (k + 1)) / 4000)]
          total += Math.hypot(...p.map((it, i) => it - q[i]!))
        }
        return total
      }
      expect(sum(onFlat) / sum(inSpace)).toBeCloseTo(1, 5)
      const { x, y } = flatPlace(flat, 3, 1.2)
      const back = roundPlace(flat, x, y)
      expect([back.down, back.turn]).toEqual([expect.closeTo(3, 9), expect.closeTo(1.2, 9)])
    }
  })
})

describe('focus on a round thing', () => {
  it('bow and tilt are the handbook’s examples', () => {
    expect(bowOf(40, 10)).toBeCloseTo(0.635, 3)
    expect(widestScan(40, bowOf(40, 10))).toBeCloseTo(10, 9)
    expect((levellingTilt(90, 70, 150) * 180) / Math.PI).toBeCloseTo(3.81, 2)
  })

  it('a straight taper that is levelled is in focus all along; a bulge leaves where it falls away, sampled apart', () => {
    const cone = [
      { at: 10, diameter: 90 },
      { at: 160, diameter: 70 },
    ]
    expect(focusedZones(cone, levellingTilt(90, 70, 150), 0.01, 0)).toEqual([{ from: 10, to: 160 }])
    const bottle: readonly Section[] = [
      { at: 0, diameter: 60 },
      { at: 40, diameter: 60 },
      { at: 60, diameter: 70 },
      { at: 80, diameter: 60 },
      { at: 120, diameter: 60 },
    ]
    const zones = focusedZones(bottle, 0, 0.5, 0)
    // Up to 1 mm of radius more: a fifth of the way up the bulge, on both sides.
    expect(zones.slice(0, 2).map((it) => [it.from, it.to].map(Math.round))).toEqual([
      [0, 44],
      [76, 120],
    ])
    const random = seeded(62)
    for (let n = 0; n < 100; n++) {
      const sections = [0, 30, 60, 90].map((at) => ({ at, diameter: between(random, 30, 60) }))
      const tilt = between(random, -0.1, 0.1)
      const width = between(random, 0, 20)
      for (const { from, to } of focusedZones(sections, tilt, 0.4, width)) {
        const heights = Array.from({ length: 50 }, (_, k) => {
          const at = from + ((to - from) * k) / 49
          const r = radiusAt(sections, at)
          const high = r * Math.cos(tilt) + at * Math.sin(tilt)
          return [high, high - (r - Math.sqrt(r * r - (width / 2) ** 2))]
        }).flat()
        expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(0.8 + 0.05)
      }
    }
  })
})

describe('turning', () => {
  it('is the handbook’s: rollers, chuck, feed, overrun, drive ring, torque', () => {
    expect(surfaceSteps(3200, 30)).toBeCloseTo(33.953, 3)
    expect(stepsOnRollers(3200, 30, 60)).toBe(6400)
    expect(surfaceSteps(3200, 60)).toBeCloseTo(16.977, 3)
    expect(turnFeed(1000 / 60, 60) * 60).toBeCloseTo(1909.9, 1)
    expect(cordLength(60, 3, 0.08)).toBeCloseTo(183.3, 1)
    // A small geared stepper, sold as 2048: commanding 2048 overruns by 1.787° a turn of any circumference.
    expect(stepsAfterOverrun(2048, 360, 360 * (2048 / (32 * (25792 / 405)) - 1))).toBeCloseTo(2037.886, 3)
    // Solid, 1 kg, Ø60, 500 mm/s² along the surface: ½ m r² α.
    const inertia = 0.5 * 1 * 0.03 ** 2
    const turned = { inertia, mass: 1, offCentre: 0, friction: 0, acceleration: 0.5 / 0.03 }
    expect(turningTorque(turned, 1, 0) * 1000).toBeCloseTo(7.5, 9)
    expect(turningTorque({ ...turned, inertia: 0, offCentre: 0.002 }, 1, 0) * 1000).toBeCloseTo(19.6, 1)
    // Through 4:1 the load is a quarter, the object’s inertia a quarter of it again, the rotor’s own four times.
    expect(turningTorque({ ...turned, friction: 0.2 }, 4, 1e-5)).toBeCloseTo(
      0.0075 / 4 + 1e-5 * 4 * turned.acceleration + 0.05,
      9,
    )
  })
})

describe('stations', () => {
  it('never drift: every n from 1 to 360 over 10,000 turns, against whole numbers of any size', () => {
    for (let n = 1; n <= 360; n++) {
      for (const turnSteps of [3200, 2037.886, 6400]) {
        const milli = BigInt(Math.round(turnSteps * 1000))
        for (const k of [0, 1, n - 1, n, 7 * n + 3, 5000 * n + (n >> 1), 10_000 * n - 1, 10_000 * n]) {
          // k·N/n as a fraction: what is asked for is within half a step of it.
          const [top, bottom] = [BigInt(k) * milli, BigInt(n) * 1000n]
          const off = BigInt(stationStep(k, n, turnSteps)) * bottom - top
          expect(2n * (off < 0n ? -off : off) <= bottom + bottom / 1000n, `${k} of ${n}`).toBe(true)
        }
      }
    }
    expect(stationStep(1, 20, 3200)).toBe(160)
  })

  it('fit as many as can be laid out: slots and discs laid out one by one, against every other', () => {
    const random = seeded(63)
    const apartOfSlots = (n: number, w: number, r: number): number => {
      // Where two neighbours come nearest: the inner corners that face one another.
      const corner = (at: number, side: 1 | -1): readonly [number, number] => {
        const angle = (2 * Math.PI * at) / n
        return [r * Math.cos(angle) - (side * w * Math.sin(angle)) / 2, r * Math.sin(angle) + (side * w * Math.cos(angle)) / 2]
      }
      let least = Infinity
      for (let k = 1; k < n; k++) {
        const [p, q] = [corner(0, 1), corner(k, -1)]
        const [s, t] = [corner(0, -1), corner(k, 1)]
        least = Math.min(least, Math.hypot(p[0] - q[0], p[1] - q[1]), Math.hypot(s[0] - t[0], s[1] - t[1]))
      }
      // Slots that cross have corners on the wrong side of one another.
      return n > 1 && Math.tan(Math.PI / n) * r < w / 2 ? -1 : least
    }
    for (let n = 0; n < 300; n++) {
      const [w, r, wall] = [between(random, 2, 20), between(random, 15, 80), between(random, 0.5, 6)]
      const fit = slotsThatFit(w, r, wall)
      if (fit > 2) expect(apartOfSlots(fit, w, r)).toBeGreaterThanOrEqual(wall - 1e-6)
      if (fit > 2) expect(apartOfSlots(fit + 1, w, r)).toBeLessThan(wall + 1e-6)
      const discs = discsThatFit(w, r, wall)
      const apart = (count: number): number => 2 * r * Math.sin(Math.PI / count) - w
      if (discs > 1) expect(apart(discs)).toBeGreaterThanOrEqual(wall - 1e-6)
      expect(apart(discs + 1)).toBeLessThan(wall)
    }
  })
})

describe('roundness by a dial', () => {
  it('finds both harmonics as a discrete Fourier transform does, for even readings', () => {
    const random = seeded(64)
    for (let n = 0; n < 100; n++) {
      const count = 8 + Math.floor(random() * 40)
      const readings = Array.from({ length: count }, (_, k) => ({
        angle: (2 * Math.PI * k) / count,
        reading: between(random, -0.5, 0.5),
      }))
      const harmonic = (h: number): readonly [number, number] => {
        const re = readings.reduce((sum, it) => sum + it.reading * Math.cos(h * it.angle), 0)
        const im = readings.reduce((sum, it) => sum + it.reading * Math.sin(h * it.angle), 0)
        return [(2 / count) * Math.hypot(re, im), Math.atan2(im, re)]
      }
      const fit = fitRoundness(readings)
      expect(fit.eccentricity).toBeCloseTo(harmonic(1)[0], 9)
      expect(Math.cos(fit.towards - harmonic(1)[1])).toBeCloseTo(1, 9)
      expect(fit.ovality).toBeCloseTo(harmonic(2)[0], 9)
      expect(Math.cos(2 * fit.longAt - harmonic(2)[1])).toBeCloseTo(1, 9)
    }
  })

  it('covers: 95 % intervals of both, over 2,000 drawn turns with uneven angles', () => {
    const random = seeded(65)
    const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    let [inE, inO] = [0, 0]
    for (let n = 0; n < 2000; n++) {
      const [e, o, at, long, u] = [
        between(random, 0.1, 0.5),
        between(random, 0.1, 0.4),
        between(random, -3, 3),
        between(random, 0, 3),
        0.02,
      ]
      const readings = Array.from({ length: 36 }, (_, k) => {
        const angle = (2 * Math.PI * (k + between(random, -0.4, 0.4))) / 36
        return { angle, reading: e * Math.cos(angle - at) + o * Math.cos(2 * (angle - long)) + u * gauss() }
      })
      const fit = fitRoundness(readings)
      // Student’s t for 31 degrees of freedom: 2.040 (published tables, from memory).
      if (Math.abs(fit.eccentricity - e) <= 2.04 * fit.uEccentricity) inE++
      if (Math.abs(fit.ovality - o) <= 2.04 * fit.uOvality) inO++
    }
    expect(inE / 2000).toBeGreaterThan(0.93)
    expect(inE / 2000).toBeLessThan(0.97)
    expect(inO / 2000).toBeGreaterThan(0.93)
    expect(inO / 2000).toBeLessThan(0.97)
  })

  it('asks for a whole turn', () => {
    const part = Array.from({ length: 12 }, (_, k) => ({ angle: k * 0.2, reading: 0 }))
    expect(() => fitRoundness(part)).toThrow('all round')
    expect(() => fitRoundness(part.slice(0, 7))).toThrow(RangeError)
  })
})
