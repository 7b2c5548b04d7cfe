import { templateOf, type Fact, type Origin } from '../core/bench'
import { emptyBench, instrument, type Bench } from '../core/document'
import type { Axis } from '../core/motion'
import type { UnitId } from '../core/units'
import { axisSettingsShape, listedFact, type AxisSettings } from '../core/controller'
import { HERON_COOLING, HERON_DRIVER } from './demoDriver'
import { HERON_WIRING } from './demoWiring'
import { HERON_FOCUS, heronFocus } from './heronFocus'
import { heronBurns } from './heronBurns'
import { heronPlan } from './heronPlan'
import { heronRecords } from './heronRecords'
import { heronAir } from './heronAir'
import { heronHousing } from './heronHousing'
import { heronLog } from './heronLog'
import { heronSafety } from './heronSafety'
import { heronReach } from './heronReach'
import { heronRound } from './heronRound'
import { heronRotary } from './heronRotary'
import { HERON_RUN, heronRun, RUN_MADE } from './heronRun'
import { heronArtwork, heronWork } from './heronWork'
import type { BenchBundle } from './store'

const MADE = '2026-11-14T10:20:00.000Z'
const WRITTEN = '2026-11-14T12:05:00.000Z'

function stated(value: number, typed: string, typedUnit: UnitId, a: number, origin: Origin = 'stated'): Fact {
  return { value, typed, typedUnit, origin, doubt: a === 0 ? { kind: 'exact' } : { kind: 'halfWidth', a } }
}

function read(value: number, typed: string, by: string, u: number): Fact {
  return { value, typed, typedUnit: 'mm', origin: 'measured', doubt: { kind: 'standard', u }, instrument: by, at: MADE }
}

/** A belt plucked and listened to: free span by the rule, tones by ear. */
function plucked(span: string, toneA: string, toneB?: string): Pick<Axis, 'freeSpan' | 'toneA' | 'toneB'> {
  const tone = (typed: string | undefined): Fact =>
    typed === undefined
      ? { value: null, typed: '', typedUnit: 'Hz', origin: 'assumed', doubt: { kind: 'exact' } }
      : { value: Number(typed), typed, typedUnit: 'Hz', origin: 'measured', doubt: { kind: 'standard', u: 0.4 }, at: MADE }
  return { freeSpan: read(Number(span), span, 'rule', 0.6), toneA: tone(toneA), toneB: tone(toneB) }
}

function weighed(value: number, typed: string, u: number): Fact {
  return { value, typed, typedUnit: 'g', origin: 'measured', doubt: { kind: 'standard', u }, at: MADE }
}

/** Light by the meter, its scale left out: all its readings share it. */
function metered(typed: string): Fact {
  return { value: Number(typed), typed, typedUnit: 'W', origin: 'measured', doubt: { kind: 'standard', u: 0.05 }, at: MADE }
}

const count = (value: number, typed = String(value)): Fact => stated(value, typed, 'count', 0)

/** What Heron's machine said of an axis when it was last read. */
function inMachine(steps: string, travel: string): AxisSettings {
  return {
    steps: listedFact(steps, 'steps/mm', WRITTEN),
    topSpeed: listedFact('200.0', 'mm/s', WRITTEN),
    acceleration: listedFact('500.0', 'mm/s2', WRITTEN),
    travel: listedFact(travel, 'mm', WRITTEN),
    tried: templateOf(axisSettingsShape).tried,
  }
}

/** Heron, the demo: a self-built engraver in an allotment society's shed. Every number is invented. */
export function heron(id = 'heron'): BenchBundle {
  const blank = emptyBench(id, 'Heron', MADE)
  const { x, y } = blank.motion.axes
  if (x === undefined || y === undefined) throw new Error('the template has no X and Y')
  const belt: Bench['motion']['axes'][string]['drive'] = { chosen: 'belt', origin: 'stated', doubt: { kind: 'exact' } }
  const shared = {
    drive: belt,
    currentIs: { chosen: 'peak', origin: 'stated', doubt: { kind: 'exact' } } as const,
    holdingTorque: stated(0.45, '0.45', 'Nm', 0.02),
    ratedCurrent: stated(1.5, '1.5', 'A', 0.05),
    windingResistance: stated(1.65, '1.65', 'ohm', 0.1),
    windingInductance: stated(2.8e-3, '2.8', 'mH', 0.3e-3),
    rotorInertia: stated(5.4e-6, '54', 'gcm2', 0.5e-6),
    fullSteps: count(200),
    microsteps: stated(16, '1/16', 'divisor', 0),
    pulleyTeeth: count(20),
    beltPitch: stated(2, '2', 'mm', 0.004),
  }
  const bench: Bench = {
    ...blank,
    about: 'Self-built engraver in the shed of an allotment society: seed-drawer labels, bed markers, nest-box plates.',
    instruments: {
      calipers: instrument(1, 'Calipers', 0, 150, 0.01, 0.02, 0.05),
      rule: instrument(2, 'Steel rule and lens', 0, 1000, 0.1, 0.06, 0.02),
      loupe: instrument(4, 'Measuring loupe', 0, 20, 0.05, 0.006, 0.1),
      tape: instrument(3, 'Tape measure', 0, 3000, 1, 0.15, 0.1),
    },
    motion: {
      ...blank.motion,
      kinematics: { chosen: 'gantry', origin: 'stated', doubt: { kind: 'exact' } },
      axes: {
        x: {
          ...x,
          ...shared,
          ...plucked('372', '80.1'),
          movingMass: weighed(0.412, '412', 0.001),
          travel: read(430, '430', 'rule', 0.25),
          acceleration: stated(900, '900', 'mm/s2', 150, 'assumed'),
        },
        y: {
          ...y,
          ...shared,
          ...plucked('468', '66.0', '59.8'),
          movingMass: weighed(1.36, '1360', 0.005),
          motors: count(2),
          drivers: { chosen: 'each', origin: 'stated', doubt: { kind: 'exact' } },
          travel: read(310, '310', 'rule', 0.25),
          acceleration: stated(600, '600', 'mm/s2', 150, 'assumed'),
        },
      },
      wantedSpeed: stated(200, '200', 'mm/s', 0),
      maxStepRate: stated(30_000, '30', 'kHz', 3000, 'assumed'),
      corners: {
        width: read(400, '400.0', 'tape', 0.15),
        depth: read(300, '300.0', 'tape', 0.15),
        fromOrigin: read(500.3, '500.3', 'tape', 0.15),
        across: read(499.7, '499.7', 'tape', 0.15),
      },
      squareWithin: stated((0.1 * Math.PI) / 180, '0.1', 'deg', 0),
      frame: {
        ...blank.motion.frame,
        barWidth: stated(20, '20', 'mm', 0.2),
        carriageWidth: read(62.4, '62.4', 'calipers', 0.02),
        carriageDepth: stated(74, '74', 'mm', 1),
        guides: { chosen: 'wheels', origin: 'stated', doubt: { kind: 'exact' } },
        plateThickness: stated(4, '4', 'mm', 0.1),
        endHeight: stated(96, '96', 'mm', 1),
      },
    },
    controller: {
      ...blank.controller,
      axes: { x: inMachine('80.416', '430.0'), y: inMachine('80.000', '310.0') },
      beam: {
        fullPower: listedFact('1000', 'count', WRITTEN),
        pwmFrequency: listedFact('1000', 'Hz', WRITTEN),
        followsSpeed: { chosen: 'no', origin: 'measured', doubt: { kind: 'exact' }, at: WRITTEN },
      },
    },
    electrical: {
      ...blank.electrical,
      ...HERON_WIRING,
      driver: { ...blank.electrical.driver, ...HERON_DRIVER },
      cooling: { ...blank.electrical.cooling, ...HERON_COOLING },
      timerClock: stated(16e6, '16', 'MHz', 0),
      pwmFrequency: stated(5000, '5', 'kHz', 50),
      fullPower: count(1000),
      followsSpeed: { chosen: 'no', origin: 'stated', doubt: { kind: 'exact' } },
    },
    calibrate: {
      ...blank.calibrate,
      markPower: { value: 0.24, typed: '24', typedUnit: 'percent', origin: 'measured', doubt: { kind: 'exact' }, at: RUN_MADE },
      runs: { [HERON_RUN]: heronRun },
      focusBy: HERON_FOCUS,
      hours: stated(21.3 * 3600, '21.3', 'h', 0),
      trials: { ...blank.calibrate.trials, focus: { [HERON_FOCUS]: heronFocus } },
      applied: { x: HERON_RUN },
    },
    optics: {
      ...blank.optics,
      power: stated(5.5, '5.5', 'W', 0.3),
      wavelength: stated(455, '455', 'nm', 5),
      spotX: stated(0.08, '0.08', 'mm', 0.02, 'assumed'),
      spotY: stated(0.11, '0.11', 'mm', 0.02, 'assumed'),
      flatAlong: { chosen: 'x', origin: 'measured', doubt: { kind: 'exact' } },
      gap: read(29.2, '29.2', 'calipers', 0.05),
      sheet: read(3.02, '3.02', 'calipers', 0.02),
      headTurn: stated(0.8, '0.8', 'mm', 0.01),
      lights: {
        a: { order: 1, at: '2026-11-14T10:30:00.000Z', hours: null, light: metered('5.31') },
        b: { order: 2, at: '2026-11-22T16:10:00.000Z', hours: null, light: metered('5.16') },
      },
    },
    burns: heronBurns(blank.burns),
    work: heronWork(id, blank.work),
    plan: heronPlan(blank.plan),
    rotary: heronRotary,
    housing: heronHousing,
    air: heronAir,
    log: heronLog,
    reach: heronReach,
    round: heronRound,
    safety: heronSafety,
  }
  const artwork = heronArtwork(id)
  return { bench, records: [...heronRecords(id), ...artwork.map((it) => it.record)], files: artwork.map((it) => it.file) }
}
