import type { BenchRecord } from '../core/bench'
import { heronRun } from './heronRun'

/** What happened on Heron so far: corners measured, a scale run burnt and applied to X, its steps written, a cutting speed kept. */
export function heronRecords(benchId: string): readonly BenchRecord[] {
  const record = (it: Omit<BenchRecord, 'benchId' | 'stage'> & { readonly stage?: string }): BenchRecord => ({
    stage: 'controller',
    ...it,
    id: `${benchId}-${it.id}`,
    benchId,
    beneath: it.beneath.map((under) => `${benchId}-${under}`),
  })
  return [
    record({
      id: 'corners',
      at: '2026-11-14T10:20:00.000Z',
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
    }),
    record({
      id: 'program',
      at: '2026-11-14T11:30:00.000Z',
      title: 'Program handed out: scale run',
      note: 'Burnt over the link on an offcut of birch ply.',
      redo: 'Write the program again: scale run.',
      read: [...drive('x'), ...drive('y')],
      gave: ['x', 'y'].map((axis) => ({ figure: 'motion.stepsPerMm', args: [axis], value: 80, same: 0.04 })),
      beneath: [],
    }),
    record({
      id: 'calibration',
      at: '2026-11-14T11:55:00.000Z',
      title: 'Scale run applied to X',
      note: 'Y is left for the evening.',
      redo: 'Burn a scale run, read it and apply it: X steps.',
      read: [...drive('x'), ...readings('x')],
      gave: [{ figure: 'calibrate.steps', args: ['x'], value: X_STEPS, same: 0.05 }],
      beneath: ['program'],
    }),
    record({
      id: 'steps',
      at: '2026-11-14T12:05:00.000Z',
      title: 'X steps: 80.000 → 80.416',
      note: 'Old value 80.000, new value 80.416; written over the link and read back.',
      redo: 'Write X steps into the machine again and read it back.',
      read: [...drive('x'), ...readings('x')],
      gave: [{ figure: 'calibrate.steps', args: ['x'], value: X_STEPS, same: 0.0005 }],
      beneath: ['calibration'],
    }),
    record({
      id: 'ply',
      at: '2026-11-21T15:00:00.000Z',
      stage: 'burns',
      title: 'Birch plywood is cut at 5.900 mm/s',
      note: 'With 100 % in one pass, before the last tries.',
      redo: 'Try Birch plywood again and keep its speed.',
      read: [{ path: 'burns.cutPower', value: 1 }],
      gave: [{ figure: 'burn.settingChance', args: ['ply', 's'], value: 0.95, same: 0.03 }],
      beneath: [],
    }),
  ]
}

/** What the run gave for X, steps/mm. */
const X_STEPS = 80.416

function drive(axis: string) {
  return [
    { path: `motion.axes.${axis}.fullSteps`, value: 200 },
    { path: `motion.axes.${axis}.microsteps`, value: 16 },
    { path: `motion.axes.${axis}.drive`, value: 'belt' },
    { path: `motion.axes.${axis}.beltPitch`, value: 2 },
    { path: `motion.axes.${axis}.pulleyTeeth`, value: 20 },
  ]
}

function readings(axis: string) {
  return Object.entries(heronRun.readings)
    .filter(([id]) => id.startsWith(axis))
    .map(([id, { value }]) => ({ path: `calibrate.runs.run-1.readings.${id}`, value }))
}
