import { describe, expect, it } from 'vitest'
import { setAt, templateOf, type Mark } from '../../src/core/bench'
import { engineFor, judgeAll, type Bench } from '../../src/core/document'
import { holderShape } from '../../src/core/rotary'
import { benchWith, exactly, figureOn, withNumbers } from '../rotaryBench'

const WORK = { 'rotary.objects.o.workFrom': 10, 'rotary.objects.o.workTo': 60, 'rotary.objects.o.workAround': 40 }
const STEPS = { 'rotary.turn.fullSteps': 200, 'rotary.turn.microsteps': 16, 'rotary.turn.gearbox': 1 }
const marks = (bench: Bench): Readonly<Record<string, Mark>> =>
  Object.fromEntries(judgeAll(engineFor(bench), 'rotary').map((it) => [[it.def.id, ...it.args.slice(1)].join('|'), it.mark]))

describe('the object (handbook of the trade, §4 and §6, worked there)', () => {
  it('a taper of 90 to 70 over 150 wants 3.81°, half of its whole angle', () => {
    const whole = { 'rotary.objects.o.workFrom': 0, 'rotary.objects.o.workTo': 150, 'rotary.objects.o.workAround': 40 }
    const bench = benchWith(
      [
        [0, 90],
        [150, 70],
      ],
      'chuck',
      whole,
    )
    expect((figureOn(bench, 'rotary.levelTilt', 'o') * 180) / Math.PI).toBeCloseTo(-3.81, 2)
    // Over its length of 150 that is the difference of both radii.
    expect(figureOn(bench, 'rotary.endLift', 'o')).toBeCloseTo(-10, 9)
    expect(figureOn(bench, 'rotary.diameter', 'o')).toBeCloseTo(80, 9)
    expect(figureOn(bench, 'rotary.topLine', 'o')).toBe(0)
  })

  it('a flat scan of 10 on Ø40 leaves focus by 0.635 at its sides; an arc of half the way round turns by 180°', () => {
    const bench = benchWith(
      [
        [0, 40],
        [100, 40],
      ],
      'chuck',
      { ...WORK, 'rotary.objects.o.workAround': 10 },
    )
    expect(figureOn(bench, 'rotary.bow', 'o')).toBeCloseTo(0.635, 3)
    const half = withNumbers(bench, { 'rotary.objects.o.workAround': 20 * Math.PI })
    expect((figureOn(half, 'rotary.workAngle', 'o') * 180) / Math.PI).toBeCloseTo(180, 9)
    expect(figureOn(half, 'rotary.aroundRoom', 'o')).toBeCloseTo(20 * Math.PI, 9)
  })

  it('a handle of a tenth of the mass, 40 out on Ø60, puts the middle off by a tenth of 50', () => {
    const handle = { 'rotary.objects.o.handleOut': 40, 'rotary.objects.o.handleFrom': 20, 'rotary.objects.o.handleTo': 60 }
    const masses = { 'rotary.objects.o.mass': 0.5, 'rotary.objects.o.handleMass': 0.05 }
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'centres',
      { ...WORK, ...handle, ...masses },
      { 'rotary.objects.o.handle': 'one' },
    )
    expect(figureOn(bench, 'rotary.massOff', 'o')).toBeCloseTo(5, 9)
    expect(figureOn(bench, 'rotary.massAlong', 'o')).toBeCloseTo(40, 6)
  })
})

describe('what is wrong with an object is said in words, and nothing of it is lost', () => {
  it('two diameters at one place, a work that ends before it begins, a single diameter: each says what to do', () => {
    const said = (bench: Bench, id: string): unknown => engineFor(bench).byId(id, ['o']).result
    const twice = benchWith(
      [
        [0, 60],
        [40, 50],
        [40, 55],
        [80, 60],
      ],
      'chuck',
      WORK,
    )
    expect(said(twice, 'rotary.diameter')).toMatchObject({ known: false, why: { message: expect.stringContaining('at 40 mm') } })
    const backwards = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'chuck',
      { ...WORK, 'rotary.objects.o.workTo': 5 },
    )
    expect(said(backwards, 'rotary.workRoom')).toMatchObject({
      known: false,
      why: { message: expect.stringContaining('from where to where') },
    })
    expect(said(benchWith([[0, 60]], 'chuck', WORK), 'rotary.diameter')).toMatchObject({
      known: false,
      why: { message: expect.stringContaining('two places') },
    })
  })

  it('a bore wider than the outside, a diameter beyond the end, work over what is kept off or over its own beginning', () => {
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'centres',
      { ...WORK, 'rotary.objects.o.bore': 61 },
      { 'rotary.objects.o.hollow': 'driven' },
    )
    expect(marks(bench)['rotary.wallThere']).toBe('stop')
    expect(marks(withNumbers(bench, { 'rotary.objects.o.bore': 58 }))['rotary.wallThere']).toBe('good')
    expect(marks(withNumbers(bench, { 'rotary.objects.o.length': 70 }))['rotary.sectionsLie']).toBe('look')
    expect(marks(withNumbers(bench, { 'rotary.objects.o.workAround': 200 }))['rotary.goesRound']).toBe('stop')
    const seam = { order: 1, kind: 'seam', from: exactly(55), to: exactly(58) }
    const kept = setAt(bench, 'rotary.objects.o.keepOff', { k: seam })
    expect(marks(kept)['rotary.workOnIt']).toBe('stop')
    expect(marks(withNumbers(kept, { 'rotary.objects.o.workTo': 50 }))['rotary.workOnIt']).toBe('good')
  })

  it('something that lies on rollers set too wide is refused, not worked', () => {
    const wide = {
      'rotary.holder.rollerDiameter': 20,
      'rotary.holder.rollerGap': 90,
      'rotary.holder.rollerLength': 200,
      'rotary.stack.rollerHeight': 30,
    }
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'rollers',
      { ...WORK, ...wide },
    )
    expect(marks(bench)['rotary.holdsIt|rollers|lies']).toBe('stop')
    expect(engineFor(bench).byId('rotary.axisAt', ['o']).result.known).toBe(false)
  })
})

describe('the height stack, added up by hand', () => {
  const head = {
    'rotary.stack.headHigh': 150,
    'rotary.stack.headLow': 40,
    'rotary.stack.headAlong': 20,
    'rotary.stack.headAcross': 20,
    'rotary.stack.free': 2,
  }

  it('between centres: 60 to the axis, 30 of radius, 10 of gap are 100; 50 are left, and 10 cannot be reached', () => {
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'centres',
      { ...WORK, ...head, 'rotary.stack.axisHeight': 60, 'rotary.holder.discDiameter': 70, 'rotary.holder.tailDiameter': 20 },
    )
    expect(figureOn(bench, 'rotary.headAt', 'o')).toBe(100)
    expect(figureOn(bench, 'rotary.heightRoom', 'o')).toBe(50)
    // The head goes down to 110 only.
    expect(figureOn(bench, 'rotary.lowRoom', 'o')).toBe(-10)
    expect(marks(bench)).toMatchObject({ 'rotary.goesUnder': 'good', 'rotary.comesDown': 'look' })
    // Feet of 20 raise it, a floor let down by 5 lowers the rotary as much.
    expect(figureOn(withNumbers(bench, { 'rotary.stack.feet': 20, 'rotary.stack.trap': 5 }), 'rotary.heightRoom', 'o')).toBe(75)
    expect(marks(withNumbers(bench, { 'rotary.stack.headHigh': 99 }))['rotary.goesUnder']).toBe('stop')
  })

  it('on rollers Ø30, 40 apart: √(45² − 20²) above their axes; on a plate less the slot', () => {
    const rollers = {
      'rotary.holder.rollerDiameter': 30,
      'rotary.holder.rollerGap': 40,
      'rotary.holder.rollerLength': 100,
      'rotary.stack.rollerHeight': 25,
    }
    const lying = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'rollers',
      { ...WORK, ...head, ...rollers },
    )
    expect(figureOn(lying, 'rotary.axisAt', 'o')).toBeCloseTo(25 + Math.sqrt(1625), 9)
    const flat = benchWith(
      [
        [0, 12],
        [80, 12],
      ],
      'plate',
      { ...WORK, ...head, 'rotary.stack.plateTop': 14, 'rotary.stack.slotDepth': 3 },
    )
    expect(figureOn(flat, 'rotary.axisAt', 'o')).toBe(17)
    expect(figureOn(flat, 'rotary.topOver', 'o')).toBe(23)
  })

  it('the head clears a disc that it does not pass, and hits one that it does by what stands above radius and gap', () => {
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'centres',
      { ...WORK, ...head, 'rotary.stack.axisHeight': 60, 'rotary.holder.discDiameter': 90, 'rotary.holder.tailDiameter': 20 },
    )
    // From 10 on, a body of 20 reaches over the end: 45 of disc stand under 30 + 10, 2 are kept free.
    expect(figureOn(bench, 'rotary.clearance', 'o', 'drive')).toBeCloseTo(40 - 45 - 2, 9)
    expect(marks(bench)['rotary.clears|drive']).toBe('stop')
    // From 25 on it does not pass it: clear by the gap.
    expect(figureOn(withNumbers(bench, { 'rotary.objects.o.workFrom': 25 }), 'rotary.clearance', 'o', 'drive')).toBeCloseTo(8, 9)
    const rimmed = benchWith(
      [
        [0, 60],
        [64, 60],
        [66, 84],
        [80, 84],
      ],
      'centres',
      { ...WORK, ...head, 'rotary.stack.axisHeight': 60, 'rotary.holder.discDiameter': 50, 'rotary.holder.tailDiameter': 20 },
    )
    expect(figureOn(rimmed, 'rotary.clearance', 'o', 'object')).toBeCloseTo(40 - 42 - 2, 9)
  })

  it('what turns keeps off the bed, the work off the ends of the travel', () => {
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'chuck',
      { ...WORK, ...head, 'rotary.stack.axisHeight': 35, 'rotary.holder.discDiameter': 72, 'motion.axes.x.travel': 40 },
    )
    expect(figureOn(bench, 'rotary.floorRoom', 'o')).toBe(-1)
    expect(figureOn(bench, 'rotary.alongRoom', 'o')).toBe(-10)
    expect(marks(bench)).toMatchObject({ 'rotary.turnsFree': 'stop', 'rotary.travelsAlong': 'stop' })
  })

  it('heights of 80.5 and 80 over 50 lean by 0.573°: 0.8 under the low end of 80', () => {
    const level = { 'rotary.stack.levelApart': 50, 'rotary.stack.heightDriven': 80.5, 'rotary.stack.heightFar': 80 }
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'chuck',
      { ...WORK, ...level },
    )
    expect((figureOn(bench, 'rotary.tiltLeft', 'o') * 180) / Math.PI).toBeCloseTo(0.573, 3)
    expect(figureOn(bench, 'rotary.levelShim', 'o')).toBeCloseTo(0.8, 9)
  })
})

describe('turning (handbook of the trade, §1 and §6, worked there)', () => {
  const chuck = (numbers: Readonly<Record<string, number>> = {}, choices: Readonly<Record<string, string>> = {}) =>
    benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'chuck',
      { ...WORK, ...STEPS, ...numbers },
      choices,
    )

  it('3200 steps are 8.889 for a degree, and 16.977 for a millimetre of Ø60; a roller of Ø30 takes 6400', () => {
    expect(figureOn(chuck(), 'rotary.stepsADegree', 'o')).toBeCloseTo(8.889, 3)
    expect(figureOn(chuck(), 'rotary.stepsOfSurface', 'o')).toBeCloseTo(16.977, 3)
    const rollers = { 'rotary.holder.rollerDiameter': 30, 'rotary.holder.rollerGap': 40, 'rotary.holder.rollerLength': 100 }
    const lying = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'rollers',
      { ...WORK, ...STEPS, ...rollers },
    )
    expect(figureOn(lying, 'rotary.nominalTurn', 'o')).toBeCloseTo(6400, 9)
    expect(figureOn(lying, 'rotary.stepsOfSurface', 'o')).toBeCloseTo(33.953, 3)
  })

  it('teeth of 20 to 60 take three times the steps; the small geared motor 63.684 times; a ring goes by its middle line', () => {
    const teeth = { 'rotary.turn.motorTeeth': 20, 'rotary.turn.drivenTeeth': 60 }
    expect(figureOn(chuck(teeth, { 'rotary.turn.drive': 'belt' }), 'rotary.drivenSteps')).toBe(9600)
    const small = chuck({ 'rotary.turn.fullSteps': 32, 'rotary.turn.microsteps': 1, 'rotary.turn.gearbox': 25792 / 405 })
    expect(figureOn(small, 'rotary.drivenSteps')).toBeCloseTo(2037.886, 3)
    const grooves = {
      'rotary.turn.motorGroove': 17,
      'rotary.turn.drivenGroove': 57,
      'rotary.turn.cord': 3,
      'rotary.turn.cordStretch': 0.08,
      'rotary.turn.grooveGap': 80,
    }
    const ring = chuck(grooves, { 'rotary.turn.drive': 'ring' })
    expect(figureOn(ring, 'rotary.turnRatio')).toBe(3)
    // Two wheels of Ø20 and Ø60, 80 apart: 2·80·cos φ + π·40 + φ·40 with sin φ = 1/4, over 1.08 (open belt drive).
    const lean = Math.asin(0.25)
    expect(figureOn(ring, 'rotary.ringLength')).toBeCloseTo((160 * Math.cos(lean) + 40 * Math.PI + 40 * lean) / 1.08, 6)
  })

  it('1000 mm/min on Ø60 are 1909.9 degrees a minute', () => {
    const bench = chuck({ 'rotary.turn.surfaceSpeed': 1000 / 60 })
    expect((figureOn(bench, 'rotary.turnSpeed', 'o') * 180 * 60) / Math.PI).toBeCloseTo(1909.9, 1)
  })

  it('a solid kilogram of Ø60 at 500 mm/s² takes 7.5 mN·m, and 19.6 more where it lies 2 mm off', () => {
    const load = {
      'rotary.objects.o.mass': 1,
      'rotary.turn.rotor': 0,
      'rotary.turn.friction': 0,
      'rotary.turn.offCentre': 0,
      'rotary.turn.surfaceAcceleration': 500,
      'rotary.turn.holdTorque': 0.1,
    }
    const bench = chuck(load)
    expect(figureOn(bench, 'rotary.torque', 'o') * 1000).toBeCloseTo(7.5, 3)
    const off = withNumbers(bench, { 'rotary.turn.offCentre': 2 })
    // Steiner's share of it, m e² α, comes to 0.067 mN·m.
    expect(figureOn(off, 'rotary.torque', 'o') * 1000).toBeCloseTo(7.5 + 19.61 + 0.067, 2)
    expect(figureOn(off, 'rotary.torqueRoom', 'o') * 1000).toBeCloseTo(50 - 27.18, 1)
  })

  it('slips where what the surface must pass on is more than the friction of the driven roller', () => {
    const rollers = {
      'rotary.holder.rollerDiameter': 30,
      'rotary.holder.rollerGap': 40,
      'rotary.holder.rollerLength': 100,
      'rotary.holder.grip': 0.5,
      'rotary.holder.driven': 1,
    }
    const load = { 'rotary.objects.o.mass': 1, 'rotary.turn.offCentre': 0, 'rotary.turn.surfaceAcceleration': 500 }
    const bench = benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'rollers',
      { ...WORK, ...STEPS, ...rollers, ...load },
    )
    // W/(2 cos β) with cos β = √1625/45, times 0.5.
    expect(figureOn(bench, 'rotary.grip', 'o')).toBeCloseTo((0.5 * 9.80665 * 45) / (2 * Math.sqrt(1625)), 9)
    // Half of the mass goes round with the surface: F = m a/2, so it slips from a = 2F/m.
    expect(figureOn(bench, 'rotary.slipFrom', 'o')).toBeCloseTo((2000 * figureOn(bench, 'rotary.grip', 'o')) / 1, 1)
    expect(marks(bench)['rotary.doesNotSlip']).toBe('good')
    expect(marks(withNumbers(bench, { 'rotary.turn.surfaceAcceleration': 8000 }))['rotary.doesNotSlip']).toBe('stop')
  })
})

describe('an indexing plate', () => {
  const plate = {
    'rotary.plate.size': 12,
    'rotary.plate.from': 54,
    'rotary.plate.between': 3,
    'rotary.plate.stations': 20,
    'rotary.plate.steps': 3200,
    'rotary.plate.outer': 200,
  }
  const times = { 'rotary.plate.burn': 26, 'rotary.plate.load': 7, 'rotary.plate.settle': 2, 'rotary.objects.o.mass': 0.02 }
  const bench = benchWith(
    [
      [0, 12],
      [80, 12],
    ],
    'plate',
    { ...WORK, ...plate, ...times },
    { 'rotary.plate.shape': 'slot' },
  )

  it('20 stations are 18° and 160 steps apart, 7 are 457 1/7 and half a step off at most (handbook §2)', () => {
    expect([figureOn(bench, 'rotary.stationSteps'), figureOn(bench, 'rotary.stationOff')]).toEqual([160, 0])
    const seven = withNumbers(bench, { 'rotary.plate.stations': 7 })
    expect(figureOn(seven, 'rotary.stationSteps')).toBeCloseTo(457 + 1 / 7, 9)
    expect((figureOn(seven, 'rotary.stationOff') * 3200) / (2 * Math.PI)).toBeCloseTo(3 / 7, 6)
  })

  it('35 s a piece are 1.714 a minute and 700 s a plate', () => {
    expect(figureOn(bench, 'rotary.pieceTime')).toBe(35)
    expect(figureOn(bench, 'rotary.piecesAMinute')).toBeCloseTo(60 / 35, 9)
    expect(figureOn(bench, 'rotary.plateTime')).toBe(700)
  })

  it('tips most with half of it filled: no other choice of neighbours pulls harder, summed as vectors', () => {
    const arm = (0.02 * 9.80665 * (54 + 40)) / 1000
    let most = 0
    for (let filled = 1; filled <= 20; filled++) {
      const angles = Array.from({ length: filled }, (_, k) => (2 * Math.PI * k) / 20)
      const pull = Math.hypot(...[Math.cos, Math.sin].map((of) => angles.reduce((sum, it) => sum + of(it), 0)))
      most = Math.max(most, arm * pull)
    }
    expect(figureOn(bench, 'rotary.tipping', 'o')).toBeCloseTo(most, 9)
    expect(figureOn(bench, 'rotary.plateOverhang', 'o')).toBe(54 + 80 - 100)
  })

  it('more than fit are a stop', () => {
    expect(marks(bench)['rotary.stationsFit']).toBe('good')
    expect(marks(withNumbers(bench, { 'rotary.plate.stations': 40 }))['rotary.stationsFit']).toBe('stop')
  })
})

describe('parts and the shelf', () => {
  const part = (kind: 'centring' | 'stepped' | 'cup', outer: number, least = 0) =>
    templateOf(holderShape, {
      order: 1,
      kind,
      name: 'Part',
      outer: exactly(outer),
      least: exactly(least),
      steps: 5,
      made: '2026-01-01',
    })
  const bench = setAt(
    benchWith(
      [
        [0, 60],
        [80, 60],
      ],
      'centres',
      { ...WORK, 'rotary.objects.o.bore': 56.4, 'rotary.make.clearance': 0.2, 'work.kerf': 0.15 },
      { 'rotary.objects.o.hollow': 'driven' },
    ),
    'rotary.holders',
    { disc: part('centring', 56.1), steps: part('stepped', 60, 40), cup: part('cup', 60.9), tight: part('centring', 56.6) },
  )

  it('a disc is the bore less the clearance and drawn with the kerf, a cup the outside more and without it', () => {
    expect(figureOn(bench, 'rotary.wantedDisc', 'o')).toBeCloseTo(56.2, 9)
    expect(figureOn(bench, 'rotary.drawnDisc', 'o')).toBeCloseTo(56.35, 9)
    expect(figureOn(bench, 'rotary.wantedCup', 'o')).toBeCloseTo(60.2, 9)
    expect(figureOn(bench, 'rotary.drawnCup', 'o')).toBeCloseTo(60.05, 9)
  })

  it('what was made has so much to spare: of steps of 40, 45, 50, 55 and 60 the one of 55 goes in', () => {
    expect(['disc', 'steps', 'cup', 'tight'].map((it) => Number(figureOn(bench, 'rotary.spare', 'o', it).toFixed(6)))).toEqual([
      0.3, 1.4, 0.9, -0.2,
    ])
  })

  it('what it sits on is judged: firm, loose, or not at all', () => {
    const on = (seat: string) => {
      const found = marks(setAt(bench, 'rotary.seat', seat))
      return [found[`rotary.goesOn|${seat}`], found[`rotary.sitsTight|${seat}`]]
    }
    expect([on('disc'), on('cup'), on('tight')]).toEqual([
      ['good', 'good'],
      ['good', 'look'],
      ['stop', 'good'],
    ])
  })
})
