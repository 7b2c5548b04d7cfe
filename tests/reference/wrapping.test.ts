import { describe, expect, it } from 'vitest'
import { PLAIN_CARD, readProgram, writeProgram, type OutputCard, type Step } from '../../src/core/gcode'
import { atStations, readStations, stationAngleOf, wrappedPlace, wrapSteps, type WrappedZone } from '../../src/core/rotary'
import { between, seeded } from '../../src/core/workshop'

const CARD: OutputCard = { ...PLAIN_CARD, fullPower: 1000 }
const zoneOf = (first: number, last: number, axial: number): WrappedZone => ({
  along: 'x',
  start: 0,
  middle: 0,
  first,
  last,
  length: Math.hypot(axial, (last - first) / 2),
})

/** Where a place of the surface stands in space, by the cone itself. */
function inSpace({ first, last, length }: WrappedZone, along: number, turn: number): readonly [number, number, number] {
  const half = Math.asin((last - first) / 2 / length)
  const radius = first / 2 + along * Math.sin(half)
  return [along * Math.cos(half), radius * Math.cos(turn), radius * Math.sin(turn)]
}

describe('artwork on a round thing', () => {
  it('keeps lengths: short ways of the flat are as long in space, on cylinders and on cones either way', () => {
    const random = seeded(91)
    for (let n = 0; n < 400; n++) {
      const first = between(random, 20, 90)
      const zone = zoneOf(first, n % 4 === 0 ? first : between(random, 20, 90), between(random, 20, 120))
      const [u, v] = [between(random, 0, zone.length), between(random, -first, first)]
      const [angle, step] = [between(random, 0, 2 * Math.PI), 1e-4]
      const [p, q] = [wrappedPlace(zone, u, v), wrappedPlace(zone, u + step * Math.cos(angle), v + step * Math.sin(angle))]
      const [a, b] = [inSpace(zone, p.along, p.turn), inSpace(zone, q.along, q.turn)]
      expect(Math.hypot(...a.map((it, k) => it - b[k]!)) / step).toBeCloseTo(1, 3)
    }
  })

  it('lays a line of the flat as a geodesic that the steps follow, at the speed that was asked for', () => {
    const zone = zoneOf(60, 80, 100)
    const flat: readonly Step[] = [
      { kind: 'rapid', x: 10, y: -20 },
      { kind: 'line', x: 80, y: 25, feed: 12, power: 0.5 },
    ]
    const steps = wrapSteps(flat, zone, 0.005)
    const middle = (zone.first + zone.last) / 4
    const places = steps.flatMap((it) => ('x' in it ? [inSpace(zone, it.x, it.y / middle)] : []))
    const length = places.slice(1).reduce((sum, it, k) => sum + Math.hypot(...it.map((c, axis) => c - places[k]![axis]!)), 0)
    expect(length).toBeCloseTo(Math.hypot(70, 45), 2)
    // Seconds of all pieces at their own feeds are those of the flat line.
    let [x, y, seconds] = [(steps[0] as { x: number }).x, (steps[0] as { y: number }).y, 0]
    for (const it of steps.slice(1)) {
      if (it.kind !== 'line') throw new Error(it.kind)
      seconds += Math.hypot(it.x - x, it.y - y) / it.feed
      ;[x, y] = [it.x, it.y]
    }
    expect(seconds).toBeCloseTo(Math.hypot(70, 45) / 12, 3)
  })

  it('lets the way home end at the machine’s zero', () => {
    const home: Step = { kind: 'rapid', x: 0, y: 0 }
    const out = wrapSteps(
      [{ kind: 'rapid', x: 10, y: -20 }, { kind: 'line', x: 20, y: 20, feed: 10, power: 1 }, home],
      { ...zoneOf(60, 80, 100), middle: 30 },
      0.01,
    )
    expect(out.at(-1)).toEqual(home)
  })

  it('leaves a cylinder as it is, but for arcs, which become chords', () => {
    const zone = zoneOf(50, 50, 60)
    const steps: readonly Step[] = [
      { kind: 'rapid', x: 3, y: 4 },
      { kind: 'line', x: 8, y: -2, feed: 10, power: 1 },
    ]
    expect(wrapSteps(steps, zone, 0.01)).toEqual(steps)
    const arc: Step = { kind: 'arc', x: -2, y: -2, centreX: 3, centreY: -2, clockwise: true, feed: 10, power: 1 }
    const chords = wrapSteps([...steps, arc], zone, 0.01).slice(2)
    for (const it of chords) expect('x' in it && Math.hypot(it.x - 3, it.y + 2)).toBeCloseTo(5, 6)
  })
})

describe('a rotary axis of its own', () => {
  const round = { instead: 'y', letter: 'A', degrees: 360 / (Math.PI * 60) } as const
  const text = (steps: readonly Step[]): string => {
    const out = writeProgram(steps, CARD, round)
    if (!out.ok) throw new Error(out.findings[0]?.message)
    return out.value
  }

  it('gets degrees, and the feed of the standard: degrees a minute where it turns alone (handbook: 1000 mm/min on Ø60 is 1909.9)', () => {
    const out = text([
      { kind: 'rapid', x: 0, y: 0 },
      { kind: 'line', x: 0, y: Math.PI * 30, feed: 1000 / 60, power: 1 },
    ])
    expect(out).toMatch(/G1 X0 A180(\.000\d)? F1909\.8\d/)
  })

  it('counts a feed with a straight axis along that alone, so that the surface goes as fast as asked', () => {
    const out = text([
      { kind: 'rapid', x: 0, y: 0 },
      { kind: 'line', x: 30, y: 40, feed: 10, power: 1 },
    ])
    // Way of 50 mm at 600 mm/min takes 5 s: 30 mm in 5 s is 360 mm/min.
    expect(out).toMatch(/G1 X30 A76\.39\d+ F360\n/)
  })
})

describe('pieces at the stations of a plate', () => {
  const piece: readonly Step[] = [
    { kind: 'rapid', x: 5, y: 0 },
    { kind: 'line', x: 15, y: 0, feed: 10, power: 0.5 },
  ]

  it('are burnt at absolute angles without drift over 10,000 turns, for every number of stations to 360', () => {
    for (let stations = 1; stations <= 360; stations++) {
      const turnSteps = 3200
      for (const turn of [0, 1, 9999]) {
        const k = turn * stations + (stations >> 1)
        const exact = (2 * Math.PI * k) / stations
        expect(Math.abs(stationAngleOf(k, { stations, turnSteps }) - exact)).toBeLessThanOrEqual(Math.PI / turnSteps + 1e-9 * k)
      }
    }
  })

  it('go dark, turn, rest and burn; by hand they pause with what is to be done', () => {
    const own = atStations(piece, [1, 2, 3], { stations: 20, turnSteps: 3200, turned: { by: 'axis', letter: 'A', settle: 1.5 } })
    const out = writeProgram(own, CARD)
    expect(out.ok && out.value.split('\n').filter((it) => /^G0 A|^G4|^M5|^G1/.test(it))).toEqual(
      expect.arrayContaining(['G0 A0', 'G0 A18', 'G0 A36']),
    )
    // No turn in the light.
    let lit = false
    for (const line of (out.ok ? out.value : '').split('\n')) {
      if (line.startsWith('M3') || line.startsWith('M4')) lit = true
      if (line === 'M5') lit = false
      if (/^G0 A/.test(line)) expect(lit).toBe(false)
    }
    const hand = atStations(piece, [2, 20], { stations: 20, turnSteps: 3200, turned: { by: 'hand' } })
    expect(hand.filter((it) => it.kind === 'pause').map((it) => it.text)).toEqual([
      'Turn to station 2, 18 degrees from station 1, and lock it',
      'Turn to station 20, 342 degrees from station 1, and lock it',
    ])
    const by = writeProgram(hand, CARD)
    expect(by.ok && readProgram(by.value).moves.count).toBeGreaterThan(0)
  })

  it('are chosen by numbers and ranges, and refused in words', () => {
    expect(readStations('', 3)).toEqual({ ok: true, stations: [1, 2, 3] })
    expect(readStations('7, 1–3 2', 9)).toEqual({ ok: true, stations: [1, 2, 3, 7] })
    expect(readStations('0', 9).ok || readStations('4-2', 9).ok || readStations('10', 9).ok || readStations('x', 9).ok).toBe(
      false,
    )
  })
})
