import { evaluate } from 'mathjs'
import { describe, expect, it } from 'vitest'
import {
  argsOfFigure,
  formInUse,
  getAt,
  isFact,
  setAt,
  shownNumber,
  SYMBOL,
  targetOf,
  type AnyFigure,
} from '../../src/core/bench'
import { benchFactSpec, engineFor, FIGURES, type Bench } from '../../src/core/document'
import { TRIAL_KINDS, type Trial } from '../../src/core/calibrate'
import { KINEMATICS } from '../../src/core/motion'
import type { Quantity } from '../../src/core/units'
import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'
import { burnTrial, machineWith, trialShape } from '../trialMachine'
import { si, toMaths } from '../tex'

// What is shown as the formula of a figure, with its numbers put in, is worked by mathjs in SI units and held against what
// the figure gives. Values of facts and of figures below come from the engine; the formula comes from its own text.

/** Shown formulas that are no expression in their symbols, and why. */
const IN_WORDS: Readonly<Record<string, readonly string[]>> = {
  'what is summed, counted or chosen stands in lists of the bench, not in symbols': [
    ...[
      'log.upkeepLeft',
      'log.dueIn',
      'log.pace',
      'log.runningCost',
      'housing.linesOut',
      'round.tryLeft',
      'reach.away',
      'reach.there',
    ],
    ...[
      'reach.beyondFocus',
      'reach.glow',
      'reach.freeBeam',
      'reach.skin',
      'reach.lightsWood',
      'safety.wideBeam',
      'safety.glassesWithstand',
      'safety.wornDensity',
      'safety.wornScale',
    ],
    ...['work.kerfNow', 'work.edgeRoom', 'work.travelRoom', 'work.lightRoom', 'work.burningSeconds', 'work.pictureTones'],
    ...[
      'work.cutChance',
      'work.underMargin',
      'work.endLight',
      'work.evenUpTo',
      'work.signalPeriods',
      'work.placeRoom',
      'work.fenceOff',
    ],
    ...['plan.openWork', 'plan.ownHours', 'plan.spent', 'plan.toSpend', 'plan.unordered', 'plan.criticalPath', 'plan.stockLeft'],
    ...[
      'plan.materialsMargin',
      'plan.jointsUnfit',
      'plan.screwsMissing',
      'plan.screwGrip',
      'plan.screwLength',
      'plan.boardPilot',
      'plan.edgeMargin',
    ],
    ...[
      'housing.braceLeg',
      'housing.needed',
      'housing.inside',
      'housing.outside',
      'housing.thickness',
      'housing.mass',
      'housing.lidMass',
      'housing.lidCentre',
    ],
    ...[
      'housing.paintArea',
      'housing.paint',
      'housing.paintTime',
      'housing.paintCost',
      'housing.screws',
      'housing.liftRoom',
      'housing.lightRoom',
    ],
    ...[
      'housing.portRoom',
      'nesting.sheetMass',
      'nesting.sheetsToBuy',
      'nesting.sheetsRoom',
      'nesting.frameBars',
      'nesting.pilot',
      'air.boxRoom',
    ],
    ...['air.gaps', 'air.openArea', 'air.noise', 'air.goesOut', 'air.metalNear', 'air.flaps', 'air.grilles', 'air.burnsInRoom'],
    ...['air.smokeTrial', 'air.adapterBore', 'air.plateFree', 'air.screwFor', 'air.mouthNeeds'],
    ...['rotary.diameter', 'rotary.levelTilt', 'rotary.topLine', 'rotary.focusedLength', 'rotary.straightLength', 'rotary.wall'],
    ...[
      'work.patternRoom',
      'work.patternAround',
      'work.turnedRoom',
      'work.seamRoom',
      'rotary.kerf',
      'rotary.wantedCup',
      'rotary.spare',
      'rotary.seatRoom',
      'rotary.tipping',
      'rotary.capacity',
      'rotary.stationOff',
      'rotary.plateOverhang',
    ],
    ...['rotary.massAlong', 'rotary.massOff', 'rotary.workRoom', 'rotary.sectionsRoom', 'rotary.holdingRoom'],
    ...['rotary.axisAt', 'rotary.topOver', 'rotary.clearance', 'rotary.floorRoom', 'rotary.alongRoom', 'rotary.levelRoom'],
    ...['rotary.torque', 'rotary.inertia', 'rotary.grip', 'rotary.slipRoom', 'rotary.slipFrom', 'rotary.turnRatio'],
    ...['plan.barsNeeded', 'plan.guidesNeeded', 'plan.beltHold', 'motion.travelOf', 'motion.motorCurrent'],
    ...[
      'motion.bedRange',
      'motion.bedLeftOver',
      'motion.shim',
      'motion.rackingSteps',
      'motion.squareSteps',
      'motion.wheelsMargin',
    ],
  ],
  'a result of readings by least squares, or of what was in force when they were taken': [
    ...['calibrate.scale', 'calibrate.scatter', 'calibrate.lineWidth', 'calibrate.backlash', 'calibrate.outOfSquare'],
    ...['calibrate.curveThreshold', 'calibrate.curveMost', 'calibrate.curveOff', 'calibrate.powerForLight', 'calibrate.zeroRoom'],
    ...['calibrate.onDelay', 'calibrate.offDelay', 'calibrate.lateLength', 'calibrate.worstGap', 'calibrate.lostWay'],
    ...['calibrate.circleScale', 'calibrate.circlePlay', 'calibrate.circleSkew', 'calibrate.rectangleSkew'],
    ...['calibrate.alternatePlay', 'calibrate.alternateDelay', 'calibrate.lostRoom', 'calibrate.frequencyWise'],
    ...['calibrate.gapAtFocus', 'calibrate.waist', 'calibrate.rayleigh', 'calibrate.depthOfFocus', 'calibrate.wedgeLight'],
    ...['calibrate.peakAtFocus', 'calibrate.peakNow', 'calibrate.focusAcross', 'calibrate.focusOfRamp', 'calibrate.kerf'],
    ...[
      'burn.cutLimit',
      'burn.cutSpeed',
      'burn.nextTry',
      'burn.cutRoom',
      'burn.carriedSpeed',
      'optics.lightLost',
      'calibrate.kerfTaper',
      'calibrate.pointerX',
      'calibrate.pointerY',
    ],
    ...['burn.maskTapeLimit', 'burn.maskMarkLimit', 'burn.maskSpeed', 'burn.maskChance', 'burn.maskNext', 'burn.maskRoom'],
    ...['burn.settingChance', 'burn.settingDose', 'burn.exposureDose', 'burn.exposureRoom'],
    ...['testcard.toneSpeed', 'testcard.tonePower', 'testcard.toneExpected', 'testcard.darkestTone', 'testcard.greysTold'],
    ...['testcard.toneRoom', 'testcard.settingTone', 'testcard.settingDepth', 'testcard.depthPasses', 'testcard.depthSpeed'],
    ...['testcard.depthExpected'],
    ...[
      'rotary.turnFactor',
      'rotary.turnStepsOf',
      'rotary.turnScatter',
      'rotary.overrunATurn',
      'rotary.slip',
      'rotary.overrunLeft',
    ],
    ...['rotary.eccentricity', 'rotary.ovality', 'air.leakRead', 'air.flowRead', 'air.fanRead', 'air.fanAgrees'],
    ...['calibrate.rampWaist', 'calibrate.rampRayleigh', 'calibrate.rampQuality'],
    ...['calibrate.daysLeft', 'calibrate.hoursLeft', 'calibrate.spanScale', 'calibrate.spanSteps'],
    ...['calibrate.steps', 'calibrate.stepsFound', 'calibrate.driveFactor', 'calibrate.sizeErrorNow'],
  ],
  'solved for, or worked along a path or from a table of a standard': [
    'rotary.ringLength',
    ...['air.flow', 'air.below', 'air.inward', 'air.openingFlow', 'air.clears', 'air.slowest', 'air.fastest', 'air.fanGives'],
    ...[
      'housing.holdForce',
      'housing.strokeRoom',
      'housing.staysUp',
      'housing.staysShut',
      'housing.handForce',
      'housing.hingeRoom',
    ],
    ...['air.shareLeft', 'air.roomBelow', 'air.partTakes', 'air.mouthRoom', 'air.adapterTakes'],
    ...['motion.centreDistance', 'motion.windingSpeed', 'motion.crossedBeltLength', 'motion.crossedSlack', 'plan.routedBelt'],
    ...['motion.cornerFocusError', 'motion.cornerSpotGrowth', 'safety.limitWatching', 'safety.limitGlance'],
    ...['electrical.settingFollows', 'electrical.blockVolts', 'electrical.dropRoom', 'electrical.wireAmps'],
    ...['electrical.wireDrop', 'electrical.wireRoom', 'electrical.fuseRoom', 'electrical.converterAmps'],
    ...['electrical.stripAmps', 'electrical.stripInrush', 'electrical.chainFaults', 'electrical.levelRoom'],
    ...['electrical.lightAt', 'electrical.workTemperature', 'electrical.dewPoint', 'electrical.lifeShare'],
    ...[
      'electrical.coldSide',
      'electrical.coldestSide',
      'electrical.coolerWatts',
      'electrical.signalVolts',
      'electrical.newFlow',
      'electrical.newAmps',
    ],
    ...[
      'electrical.newNoise',
      'electrical.newTemperature',
      'electrical.shareMost',
      'electrical.readRoom',
      'electrical.blockWatts',
    ],
  ],
}
const WORDS = new Set(Object.values(IN_WORDS).flat())

const entered = (bench: Bench, values: Readonly<Record<string, number>>): Bench =>
  Object.entries(values).reduce((it, [path, value]) => {
    const fact = { ...bench.motion.frame.barWidth, value, typed: String(value) }
    return setAt(it, path, fact)
  }, bench)

/** With every kind of trial, burnt on a machine of the stand-in and read. */
function withTrials(bench: Bench): Bench {
  const at = heron().bench.motion.frame.barWidth
  const made = TRIAL_KINDS.map((kind, order): [string, Readonly<Record<string, Trial>>] => {
    const readings = Object.fromEntries(
      Object.entries(burnTrial(machineWith(3), kind)).map(([id, value]) => [id, { ...at, value, typed: String(value) }]),
    )
    const more = { order, at: '2026-11-14T12:00:00.000Z', axes: { x: 'x', y: 'y' }, instrument: '', hours: 3600 }
    return [kind, { t: { ...trialShape(kind), ...more, readings, picks: { dotted: 8 } } }]
  })
  const spans = [20, 40, 60].map((commanded, order) => {
    const span = { order, axis: 'y', inForce: 80, commanded, measured: { ...at, value: commanded * 1.01, typed: '1' } }
    return [`s${order}`, span] as const
  })
  return setAt(setAt(bench, 'calibrate.trials', Object.fromEntries(made)), 'calibrate.spans', Object.fromEntries(spans))
}

/** The demo on other kinematics, its carriage on rails, with heights of its bed. */
function railed(kinematics: string): Bench {
  const heights = [0, 1, 2, 3].map((i) => {
    const height = { ...heron().bench.motion.frame.barWidth, value: i / 10, typed: String(i / 10) }
    return [`h${i}`, { order: i, x: (i % 2) * 400, y: i > 1 ? 300 : 0, height }] as const
  })
  const curve = [0, 20, 50, 100].map((percent) => {
    const light = { ...heron().bench.motion.frame.barWidth, value: Math.max(0, 0.05 * (percent - 8)), typed: '1' }
    return [`c${percent}`, { order: percent, percent, light }] as const
  })
  const metered = setAt(heron().bench, 'calibrate.curve', Object.fromEntries(curve))
  const counted = setAt(withTrials(metered), 'plan.counted', { bars: { order: 1, kind: 'bar', count: 4 } })
  const stopped = setAt(counted, 'calibrate.stops.stop.went.chosen', 'dark')
  const moved = setAt(stopped, 'motion.kinematics.chosen', kinematics)
  return setAt(setAt(moved, 'motion.frame.guides.chosen', 'rails'), 'motion.heights', Object.fromEntries(heights))
}

/** The demo with another driver, and everything that such a one is asked for. */
function withDriver(kind: string, facts: Readonly<Record<string, number>>, choices: Readonly<Record<string, string>>): Bench {
  const of = { optoOhms: 270, onOhms: 0.03, sense: 0.1, senseVolts: 0.2, senseWatts: 1, feed: 12, perWatt: 4.5, ...facts }
  const filter = { filterOhms: 1000, filterFarads: 1e-7 }
  const read = { 'driver.lightRead': 5.2, 'blocks.psu.reading': 23.9, 'blocks.motors.reading': 23.8 }
  const cooler = { mostAmps: 6.4, mostVolts: 14.4, mostStep: 66, amps: 1, newSize: 60, newSpeed: 50 }
  const places = (place: string, values: object) => Object.entries(values).map(([key, it]) => [`electrical.${place}.${key}`, it])
  const bench = entered(
    heron().bench,
    Object.fromEntries([
      ...places('driver', { ...of, ...filter }),
      ...places('cooling', cooler),
      ...places('blocks.psu', { gap: 0.01, sag: 0.5 }),
      ...Object.entries(read).map(([key, it]) => [`electrical.${key}`, it]),
    ]) as Readonly<Record<string, number>>,
  )
  return Object.entries({ kind, ...choices }).reduce(
    (it, [key, chosen]) => setAt(it, `electrical.driver.${key}.chosen`, chosen),
    bench,
  )
}

/** The demo's mug on rollers that a ring of cord drives, its level measured. */
function rolled(): Bench {
  const bench = entered(heron().bench, {
    'rotary.holder.rollerDiameter': 25,
    'rotary.holder.rollerGap': 62,
    'rotary.holder.rollerLength': 200,
    'rotary.stack.rollerHeight': 40,
    'rotary.stack.levelApart': 60,
    'rotary.stack.heightDriven': 81.4,
    'rotary.stack.heightFar': 81.1,
    'rotary.turn.motorGroove': 12,
    'rotary.turn.drivenGroove': 40,
    'rotary.turn.grooveGap': 90,
  })
  return setAt(setAt(bench, 'rotary.holding.chosen', 'rollers'), 'rotary.turn.drive.chosen', 'ring')
}

/** Twenty of something on an indexing plate, and a disc on the shelf that it sits on. */
function plated(): Bench {
  const { bench } = heron()
  const seat = { ...bench.rotary, seat: 'disc', holding: { ...bench.rotary.holding, chosen: 'plate' } } as const
  return entered({ ...bench, rotary: seat }, { 'rotary.plate.size': 6, 'rotary.plate.from': 30, 'rotary.plate.outer': 160 })
}

function fenced({ work, ...bench }: Bench): Bench {
  return { ...bench, work: { ...work, placedBy: 'fence', fenceBurnt: 'yes', fenceBurntX: 23, fenceBurntY: 20 } }
}

/** The demos, and the first on every kinematics, with what their machines have not been measured for yet. */
const benches: readonly (readonly [string, Bench])[] = [
  ['plover', entered(plover().bench, { 'optics.gauge': 4, 'burns.exposure.board': 0.001, 'burns.exposure.held': 5 })],
  ['plover with a fence that was laid elsewhere', fenced(plover().bench)],
  ...Object.keys(KINEMATICS).map((it) => {
    const bench = entered(railed(it), {
      'motion.axes.x.closedBelt': 200,
      'motion.racking.left': 40.2,
      'motion.racking.right': 40,
      'motion.play.clearance': 0.05,
      'plan.fits.shaft': 8,
      'plan.fits.bush': 15,
      'motion.axes.x.freeSpan': 400,
      'motion.axes.x.toneA': 60,
      'motion.axes.y.freeSpan': 380,
      'motion.axes.y.toneA': 66,
      'motion.crossed.heightLeft': 42,
      'motion.crossed.heightRight': 33.5,
      'motion.crossed.clampPlayLeft': 0.1,
      'motion.crossed.clampPlayRight': 0.3,
      'motion.cables.controllerX': -60,
      'motion.cables.controllerY': 40,
      'motion.cables.length': 1400,
      'motion.boardDrivers': 4,
      'plan.boards.edge': 500,
      'plan.mounts.low': 31.2,
      'plan.mounts.high': 33.8,
      'plan.room.free': 600,
      'plan.room.machine': 420,
      'calibrate.hours': 7200,
      'calibrate.visibleFrom': 0.008,
      'calibrate.marksFrom': 0.06,
      'calibrate.stops.stop.seconds': 0.1,
      'calibrate.stops.stop.reach': 400,
      'controller.axes.x.tried.pullOff': 2,
      'controller.axes.x.tried.repeats': 0.05,
      'controller.axes.x.tried.reach': 440,
    })
    return [it, bench] as const
  }),
  ['a rotary with rollers, a ring of cord and a level', rolled()],
  ['an indexing plate', plated()],
  ['an order round a mug', { ...heron().bench, rotary: { ...heron().bench.rotary, lays: 'round' } }],
  ['a linear source', withDriver('linear', {}, { wants: 'cmos5', fourWire: 'no' })],
  ['a transistor behind a filter', withDriver('transistor', { onAt: 2.5 }, { wants: 'opto', input: 'level' })],
  ['a cooler', setAt(withDriver('ready', {}, {}), 'electrical.cooling.kind.chosen', 'cooler')],
]

/** What a symbol stands for, in SI units. */
function valueOf(bench: Bench, def: AnyFigure, args: readonly string[], symbol: string): number {
  const target = targetOf(def, args, symbol)
  if (target === null) throw new Error(`${def.id} does not say what ${symbol} is`)
  const engine = engineFor(bench)
  if ('figure' in target) {
    const used = engine.valueById(target.figure, target.args)
    return (shownNumber(used.result) ?? Number.NaN) * si(used.def.quantity)
  }
  const node = getAt(bench, target.path)
  const known = isFact(node) ? readOf(bench, target.path) : Number(node)
  return known * si(quantityAt(target.path))
}

/** A fact as figures read it: corrected by its instrument. */
function readOf(bench: Bench, path: string): number {
  const fact = getAt(bench, path)
  if (!isFact(fact)) return Number.NaN
  const of = (key: string): number => {
    const shared = getAt(bench, `instruments.${fact.instrument ?? ''}.${key}`)
    return isFact(shared) ? (shared.value ?? 0) : 0
  }
  return (fact.value ?? Number.NaN) * (1 + of('scale')) + of('zero')
}

/** Of a fact by its spec; a plain number of a list is a length. */
function quantityAt(path: string): Quantity {
  return benchFactSpec(path)?.quantity ?? 'length'
}

/** What a figure's shown formula comes to with its numbers, by mathjs, in SI units. @throws {Error} where it is none. */
function worked(bench: Bench, def: AnyFigure, args: readonly string[]): { readonly is: number; readonly text: string } {
  const form = formInUse(def, bench, args)
  const right = form.slice(form.indexOf('=') + 1).split(',\\quad')[0] ?? ''
  const numbers = right.replace(SYMBOL, (_all, symbol: string) => `(${valueOf(bench, def, args, symbol)})`)
  const text = toMaths(numbers)
  return { is: Number(evaluate(text)), text: `${form} with ${text}` }
}

describe.each(benches)('%s', (_, bench) => {
  const engine = engineFor(bench)
  const known = FIGURES.filter((def) => !WORDS.has(def.id)).flatMap((def) =>
    argsOfFigure(def, bench).flatMap((args) => {
      const value = shownNumber(engine.valueById(def.id, args).result)
      const isWorded = /\\text\{(?!or\}\\quad)/.test(formInUse(def, bench, args))
      return value === null || isWorded ? [] : [{ def, args, value, name: [def.id, ...args].join(' ') }]
    }),
  )
  it.each(known)('$name gives what its formula gives', ({ def, args, value }) => {
    const { is, text } = worked(bench, def, args)
    const given = value * si(def.quantity)
    expect(is, text).toBeCloseTo(given, Math.max(0, 9 - Math.ceil(Math.log10(Math.abs(given) + 1e-9))))
  })
})

it('every figure is tried somewhere, or stands in the list of those in words', () => {
  const tried = new Set(
    benches.flatMap(([, bench]) => {
      const engine = engineFor(bench)
      return FIGURES.filter((def) =>
        argsOfFigure(def, bench).some((args) => shownNumber(engine.valueById(def.id, args).result) !== null),
      ).map((it) => it.id)
    }),
  )
  const shown = FIGURES.filter(
    ({ doubt, symbols }) => !(typeof doubt === 'object' && 'none' in doubt && Object.keys(symbols).length === 0),
  )
  expect(shown.map((it) => it.id).filter((id) => !tried.has(id) && !WORDS.has(id))).toEqual([])
  expect([...WORDS].filter((id) => !FIGURES.some((it) => it.id === id))).toEqual([])
})

it.each([...WORDS])('%s stands in that list with need: its formula is no expression', (id) => {
  const def = FIGURES.find((it) => it.id === id) as AnyFigure
  const agrees = benches.flatMap(([, bench]) =>
    argsOfFigure(def, bench).map((args) => {
      const value = shownNumber(engineFor(bench).valueById(id, args).result)
      if (value === null) return false
      try {
        return Math.abs(worked(bench, def, args).is - value * si(def.quantity)) < 1e-9
      } catch {
        return false
      }
    }),
  )
  expect(agrees).not.toContain(true)
})
