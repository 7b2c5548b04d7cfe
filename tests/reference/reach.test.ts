import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt, shownNumber, templateOf, type AnyFigure, type Fact } from '../../src/core/bench'
import { emptyBench, engineFor, judgeAll, type Bench } from '../../src/core/document'
import {
  away,
  beyondFocus,
  freeBeam,
  glow,
  leaves,
  placeShape,
  reachBeyondFocus,
  reachOfBeam,
  reachOfGlow,
  reachThere,
  skinReach,
  widthAsCounted,
} from '../../src/core/reach'
import { exposureLimit, glassesShape, labelAt, readLabel, skinLimit, type ProofBy } from '../../src/core/safety'
import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'

const exactly = (value: number, typedUnit: Fact['typedUnit']): Fact => ({
  value,
  typed: String(value),
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})
const chosen = <C extends string>(it: C) => ({ chosen: it, origin: 'stated', doubt: { kind: 'exact' } }) as const

describe('hazard distances (worked examples, from memory of IEC/TR 60825-14)', () => {
  it.each([
    [0.25, 347, 4.2, 0.262],
    [10, 555, 6.69, null],
    [100, 1570, 18.87, 1.179],
  ])('5.5 W of 455 nm for %d s: %d m free, %d m beyond a focus, %s m of glow', (seconds, free, focused, dull) => {
    const limit = exposureLimit(455, seconds)
    expect(reachOfBeam(5.5, limit, 0.004, 0.0015) / free).toBeCloseTo(1, 2)
    expect(reachBeyondFocus(5.5, limit, 0.04, 0.005) / focused).toBeCloseTo(1, 2)
    if (dull !== null) expect(reachOfGlow(5.5, limit, 1, 0)).toBeCloseTo(dull, 3)
  })

  it('the middle of a bell-shaped beam at that distance meets the limit, its power summed over rings', () => {
    const [power, limit, focal, across] = [3.2, 10, 0.05, 0.006]
    const counted = widthAsCounted(across, 'e2')
    const r = reachBeyondFocus(power, limit, focal, counted)
    // A 1/e² width that opens as it closed before the focus.
    const wide = (across * r) / focal
    let sum = 0
    const dr = wide / 2000
    for (let k = 0; k < 8000; k++) {
      const at = (k + 0.5) * dr
      sum += limit * Math.exp((-8 * at * at) / (wide * wide)) * 2 * Math.PI * at * dr
    }
    expect(sum / power).toBeCloseTo(1, 3)
  })

  it('glow summed over the half sphere is all that is thrown back (Lambert)', () => {
    const [power, back] = [4, 0.7]
    let sum = 0
    const n = 4000
    for (let k = 0; k < n; k++) {
      const tilt = ((k + 0.5) / n) * (Math.PI / 2)
      const r = reachOfGlow(power, 10, back, tilt)
      // At r it is 10 W/m²; on a sphere of 1 m that is 10·r².
      sum += 10 * r * r * 2 * Math.PI * Math.sin(tilt) * (Math.PI / 2 / n)
    }
    expect(sum / (power * back)).toBeCloseTo(1, 4)
  })

  it('what a pupil gathers below the limit reaches nobody', () => {
    // 1 mW through 7 mm are 26 W/m² (class 2 limit, common practice): just above the limit for a glance, a tenth of it below.
    expect(reachBeyondFocus(1e-3, exposureLimit(532, 0.25), 0.04, 0.005)).toBeGreaterThan(0)
    expect(reachBeyondFocus(1e-4, exposureLimit(532, 0.25), 0.04, 0.005)).toBe(0)
    expect(reachOfBeam(1e-4, exposureLimit(532, 0.25), 0.001, 1e-3)).toBe(0)
  })

  it('the skin stands 2000 W/m² where C₄ is 1, 5 times that at 1050 nm (table A.5, from memory)', () => {
    expect(skinLimit(455, 10)).toBe(2000)
    expect(skinLimit(1064, 100)).toBe(10_000)
    // Under 10 s 1.1·10⁴·C₄·t^−0.75 (table A.5, from memory), which meets the other within 3 %.
    expect(skinLimit(532, 1)).toBe(11_000)
    expect(skinLimit(532, 9.9999)).toBeCloseTo(1956, 0)
  })
})

const LISTED = { proof: 'seller', certificate: '' } as const

describe('what stands behind a label', () => {
  const at = (label: string, proof: ProofBy, certificate = '') => {
    const { scale, density } = labelAt(readLabel(label), 455, { proof, certificate })
    return [scale, density]
  }

  // EN 207 marks its filters with kinds of beam, wavelengths and LB; ANSI Z136.7 with OD and wavelengths (both from memory).
  it.each<[string, ProofBy, string, readonly number[]]>([
    ['OD6+ 190-540nm', 'unsaid', '', [0, 0]], // what a seller prints is no certificate
    ['OD6+ 190-540nm', 'seller', '', [0, 0]],
    ['OD6+ 190-540nm', 'en', '', [0, 0]], // no mark of that standard
    ['OD6+ 190-540nm', 'ansi', '', [0, 6]],
    ['OD6+ 190-540nm', 'certificate', '  ', [0, 0]], // which one is not named
    ['OD6+ 190-540nm', 'certificate', 'W 31, 12 March', [0, 6]],
    ['D 180-534 LB6', 'unsaid', '', [6, 6]], // the mark is the standard's own
    ['D 180-534 LB6', 'seller', '', [0, 0]],
    ['D 180-534 LB6', 'ansi', '', [0, 0]],
    ['D 900-1100 LB6', 'certificate', 'W 31', [0, 0]], // of another light
  ])('“%s”, %s %s', (label, proof, certificate, expected) => {
    expect(at(label, proof, certificate)).toEqual(expected)
  })
})

describe('labels (EN 207 marking, from memory)', () => {
  it.each([
    ['D 180-315 LB9 + 315-534 LB6 XY CE', 455, 6, 6],
    ['D LB6 + IR LB7 440–460', 455, 6, 6], // either kind of beam, wavelengths behind
    ['180-534 D LB6 + IR LB7', 455, 6, 6], // wavelengths before
    ['IR LB7 440-460', 455, 0, 0], // only for pulses
    ['LB7 440-460', 455, 0, 0], // for no kind of beam
    ['D LB8', 455, 0, 0], // names no wavelength
    ['OD 6+ @ 190-540 nm', 455, 0, 6],
    ['190–400nm OD7+, 400–532 nm OD 5.5', 455, 0, 5.5],
    ['OD>5 400-460', 520, 0, 0],
    ['DIR 1064 L6', 1064, 6, 6],
    ['450 nm', 455, 0, 0],
    ['green, blocks blue lasers', 455, 0, 0],
    ['', 455, 0, 0],
    ['D 180–315 LB9 + 315–400 LB5, DI 405 LB4 and OD 4+ 420-470', 455, 0, 0], // the density stands in another style: not guessed at
  ])('“%s” at %d nm: LB %d, OD %s', (label, wavelength, scale, density) => {
    const at = labelAt(readLabel(label), wavelength, LISTED)
    // What stands in two styles at once may be read as less, never as more.
    expect(at.toldScale).toBe(scale)
    expect(at.toldDensity).toBe(density)
  })

  it('reads back any label that is written by the standard, whatever stands round it (property)', () => {
    const claim = fc.record({
      from: fc.integer({ min: 180, max: 900 }),
      width: fc.integer({ min: 0, max: 400 }),
      n: fc.integer({ min: 1, max: 10 }),
      modes: fc.constantFrom('D', 'DI', 'DIR', 'DIRM', 'IR', 'M'),
    })
    fc.assert(
      fc.property(fc.array(claim, { minLength: 1, maxLength: 6 }), fc.integer({ min: 180, max: 1300 }), (claims, at) => {
        const label = claims.map((it) => `${it.modes} ${it.from}-${it.from + it.width} LB${it.n}`).join(' + ')
        const expected = Math.max(
          0,
          ...claims.filter((it) => it.modes.includes('D') && at >= it.from && at <= it.from + it.width).map((it) => it.n),
        )
        expect(labelAt(readLabel(`${label} CE 0000`), at, LISTED).toldScale).toBe(expected)
      }),
      { seed: 5, numRuns: 300 },
    )
  })

  it('never throws, and never makes a claim of a text without numbers (property)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (text) => {
        const read = readLabel(text)
        for (const it of read.claims) expect(it.to).toBeGreaterThanOrEqual(it.from)
        if (!/\d/.test(text)) expect(read.claims).toEqual([])
      }),
      { seed: 6, numRuns: 500 },
    )
  })
})

describe('a room around a machine', () => {
  const base = emptyBench('r', 'Reach', '2026-01-01T00:00:00.000Z')
  const bench: Bench = {
    ...base,
    motion: heron().bench.motion,
    optics: { ...base.optics, power: exactly(5.5, 'W'), wavelength: exactly(455, 'nm') },
    reach: {
      ...base.reach,
      kept: chosen('open'),
      beam: {
        ...base.reach.beam,
        focal: exactly(40, 'mm'),
        across: exactly(5, 'mm'),
        widths: chosen('e1'),
        surface: chosen('bright'),
      },
      room: {
        x: exactly(4000, 'm'),
        y: exactly(3000, 'm'),
        machineX: exactly(1000, 'm'),
        machineY: exactly(500, 'm'),
        bed: exactly(900, 'm'),
      },
      places: {
        seat: templateOf(placeShape, {
          order: 1,
          name: 'Bench seat',
          x: exactly(3000, 'm'),
          y: exactly(500, 'm'),
          eyes: exactly(1200, 'm'),
        }),
      },
    },
  }
  const worked = (of: Bench, def: unknown, ...args: string[]): number =>
    shownNumber(engineFor(of).byId((def as AnyFigure).id, args).result) ?? Number.NaN
  const mark = (of: Bench): string | undefined => judgeAll(engineFor(of)).find((it) => it.def.id === 'reach.placeBeyond')?.mark
  const dull = setAt(bench, 'reach.beam.surface', chosen('dull'))

  it('gives the worked distances, and none for a beam that never leaves unfocused', () => {
    expect(worked(bench, beyondFocus, 'watching') / 18_870).toBeCloseTo(1, 3)
    expect(worked(bench, beyondFocus, 'glance') / 4200).toBeCloseTo(1, 2)
    expect(worked(bench, glow, 'watching') / 1179).toBeCloseTo(1, 3)
    // √(1.259/2000) of the way for the eye.
    expect(worked(bench, skinReach) / (18_870 * Math.sqrt(1.2589 / 2000))).toBeCloseTo(1, 3)
    expect(freeBeam.of?.each(bench)).toEqual([])
    // Widths at 1/e² are √2 too wide.
    const e2 = setAt(bench, 'reach.beam.widths', chosen('e2'))
    expect(worked(e2, beyondFocus, 'watching') / worked(bench, beyondFocus, 'watching')).toBeCloseTo(Math.SQRT2, 9)
  })

  it('measures from the nearest corner of the travel to the eyes', () => {
    const { x, y } = bench.motion.axes as Record<string, { travel: Fact }>
    const corner = Math.hypot(x?.travel.value ?? 0, y?.travel.value ?? 0) / 2
    expect(worked(bench, away, 'seat')).toBeCloseTo(Math.hypot(2000, 0, 300) - corner, 6)
  })

  it('is a stop where a bright thing is burnt in the open, and where its glow comes to a near seat', () => {
    expect(mark(bench)).toBe('stop')
    expect(mark(dull)).toBe('good')
    expect(mark(setAt(dull, 'reach.places.seat.x', exactly(1400, 'm')))).toBe('stop')
  })

  const wearing = (it: Bench, label: string): Bench => {
    const pair = templateOf(glassesShape, { order: 1, name: 'Blue', label })
    return { ...it, safety: { ...it.safety, glasses: { a: pair }, worn: 'a' } }
  }

  it('counts eyewear only where it passes, and the better of two layers, never both', () => {
    const worn = setAt(bench, 'reach.places.seat.wears', chosen('yes'))
    expect(mark(worn)).toBe('stop')
    const passing = wearing(worn, 'D 400-500 LB6')
    expect(mark(passing)).toBe('good')
    expect(worked(passing, reachThere, 'seat')).toBe(0)
    for (const label of ['D 400-500 LB5', 'OD 6+ 190-540 nm', ''])
      expect(worked(wearing(worn, label), reachThere, 'seat'), label).toBe(worked(bench, reachThere, 'seat'))
    // Another diode: the same pair says nothing of its light, and the whole beam counts again.
    const moved = setAt(passing, 'optics.wavelength', exactly(1064, 'nm'))
    expect(worked(moved, reachThere, 'seat')).toBe(worked(wearing(moved, ''), reachThere, 'seat'))
    expect(worked(moved, reachThere, 'seat')).toBeGreaterThan(0)
  })

  it('of a shut box leaves what its window does, and all of it where a line leads out', () => {
    const demo = { ...heron().bench, reach: { ...bench.reach, kept: chosen('shut') } }
    expect(Math.log10(worked(demo, leaves))).toBeCloseTo(-6, 9)
    for (const bare of [setAt(demo, 'safety.window', ''), setAt(demo, 'optics.wavelength', exactly(1064, 'nm'))])
      expect(worked(bare, leaves)).toBe(1)
    const lined = { ...plover().bench, reach: { ...bench.reach, kept: chosen('shut') } }
    expect(worked(lined, leaves)).toBe(1)
  })

  it('asks what is missing, and for a surface before it says anything', () => {
    const unsaid = setAt(bench, 'reach.beam.surface', templateOf(placeShape).wears)
    expect(
      mark({ ...unsaid, reach: { ...unsaid.reach, beam: { ...unsaid.reach.beam, surface: base.reach.beam.surface } } }),
    ).toBe('unknown')
  })

  it('holds a label against both tests', () => {
    const pair = templateOf(glassesShape, { order: 1, name: 'Blue', label: 'D 315-534 LB6' })
    const both = setAt(bench, 'safety.glasses', { a: pair, b: { ...pair, label: 'OD 7+ 190-534' } })
    expect(worked(both, { id: 'safety.glassesDense' }, 'a')).toBeCloseTo(6 - 5.0554, 2)
    expect(worked(both, { id: 'safety.glassesWithstand' }, 'a')).toBeCloseTo(6 - 5.243 - 1.7 * Math.log10(2), 2)
    expect(worked(both, { id: 'safety.glassesWithstand' }, 'b')).toBeLessThan(0)
    const plastic = setAt(both, 'safety.glasses.a.filter', chosen('plastic'))
    expect(worked(plastic, { id: 'safety.glassesWithstand' }, 'a')).toBeCloseTo(6 - 5.243 - 1.17 * Math.log10(2), 2)
  })
})
