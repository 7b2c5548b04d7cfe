import type { BenchRecord, Fact, Origin } from '../core/bench'
import { emptyBench, instrument, type Bench } from '../core/document'
import type { UnitId } from '../core/units'
import type { BenchBundle } from './store'

const MADE = '2026-11-14T10:20:00.000Z'

function stated(value: number, typed: string, typedUnit: UnitId, a: number, origin: Origin = 'stated'): Fact {
  return { value, typed, typedUnit, origin, doubt: a === 0 ? { kind: 'exact' } : { kind: 'halfWidth', a } }
}

function read(value: number, typed: string, by: string, u: number): Fact {
  return { value, typed, typedUnit: 'mm', origin: 'measured', doubt: { kind: 'standard', u }, instrument: by, at: MADE }
}

const count = (value: number, typed = String(value)): Fact => stated(value, typed, 'count', 0)

/** Heron, the demo: a self-built engraver in an allotment society's shed. Every number is invented. */
export function heron(id = 'heron'): BenchBundle {
  const blank = emptyBench(id, 'Heron', MADE)
  const { x, y } = blank.motion.axes
  if (x === undefined || y === undefined) throw new Error('the template has no X and Y')
  const belt: Bench['motion']['axes'][string]['drive'] = { chosen: 'belt', origin: 'stated', doubt: { kind: 'exact' } }
  const shared = {
    drive: belt,
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
      tape: instrument(3, 'Tape measure', 0, 3000, 1, 0.15, 0.1),
    },
    motion: {
      ...blank.motion,
      axes: {
        x: { ...x, ...shared, travel: read(430, '430', 'rule', 0.25), acceleration: stated(900, '900', 'mm/s2', 150, 'assumed') },
        y: {
          ...y,
          ...shared,
          motors: count(2),
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
        barWidth: stated(20, '20', 'mm', 0.2),
        carriageWidth: read(62.4, '62.4', 'calipers', 0.02),
        carriageDepth: stated(74, '74', 'mm', 1),
      },
    },
    optics: {
      power: stated(5.5, '5.5', 'W', 0.3),
      wavelength: stated(455, '455', 'nm', 5),
      spotX: stated(0.08, '0.08', 'mm', 0.02, 'assumed'),
      spotY: stated(0.11, '0.11', 'mm', 0.02, 'assumed'),
    },
    safety: { eyewearDensity: stated(6, '6', 'OD', 0) },
  }
  return { bench, records: [cornersRecord(id), settingRecord(id)], files: [] }
}

function cornersRecord(benchId: string): BenchRecord {
  return {
    id: `${benchId}-corners`,
    benchId,
    at: MADE,
    stage: 'motion',
    title: 'Corners measured with the tape',
    note: 'Four pencil crosses on a sheet of birch ply, burnt at 2 % and read over the outer edges.',
    redo: 'Measure the two sides and both diagonals again.',
    read: [
      { path: 'motion.corners.fromOrigin', value: 500.3 },
      { path: 'motion.corners.across', value: 499.7 },
      { path: 'motion.corners.width', value: 400 },
      { path: 'motion.corners.depth', value: 300 },
    ],
    gave: [{ figure: 'motion.outOfSquare', args: [], value: 0.00125, same: 0.0005 }],
    beneath: [],
  }
}

function settingRecord(benchId: string): BenchRecord {
  const read = (axis: string) => [
    { path: `motion.axes.${axis}.fullSteps`, value: 200 },
    { path: `motion.axes.${axis}.microsteps`, value: 16 },
    { path: `motion.axes.${axis}.drive`, value: 'belt' },
    { path: `motion.axes.${axis}.beltPitch`, value: 2 },
    { path: `motion.axes.${axis}.pulleyTeeth`, value: 20 },
  ]
  return {
    id: `${benchId}-steps`,
    benchId,
    at: '2026-11-14T11:05:00.000Z',
    stage: 'controller',
    title: 'Steps per millimetre typed into the controller',
    note: 'X and Y alike, read back from its settings.',
    redo: 'Type the steps per millimetre into the controller again and read them back.',
    read: [...read('x'), ...read('y')],
    gave: ['x', 'y'].map((axis) => ({ figure: 'motion.stepsPerMm', args: [axis], value: 80, same: 0.05 })),
    beneath: [],
  }
}
