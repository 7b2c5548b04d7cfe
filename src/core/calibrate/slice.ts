import { bare, fact, group, many, text, type Act, type Of } from '../bench'
import { readingDefs } from './layout'
import { runShape } from './runSlice'
import { trialParts } from './trialSlice'

const MARKS: Act = { id: 'marks', words: 'Read the marks of the scale run' }

/** Light that was read at one power; the power is a plain number, in percent of the full word. */
export const curvePointShape = group({
  order: bare(),
  percent: bare({ min: 0, max: 100 }),
  light: fact({ label: 'Light', quantity: 'power', min: 0, max: 1000 }),
})

/** A span of an axis that a scale run does not reach, commanded by hand and measured. */
export const spanShape = group({
  order: bare(),
  /** Id of the axis. */
  axis: text(1, 200),
  /** Steps per millimetre in the machine when it was moved. */
  inForce: bare({ above: 0 }),
  /** mm. */
  commanded: bare({ above: 0 }),
  measured: fact({ label: 'Measured span', quantity: 'length', min: 0.01, max: 10_000 }),
})

/** Calibration of the axes: what is wanted, how it is marked, and the runs. */
export const calibrateShape = group(
  {
    wantedShare: fact({
      label: 'Wanted accuracy of size',
      quantity: 'ratio',
      min: 0.0001,
      max: 0.05,
      unit: 'percent',
      assume: { value: 0.1, halfWidth: 0, unit: 'percent' },
    }),
    sightPower: fact({
      part: 'ramp',
      label: 'Sighting power',
      quantity: 'ratio',
      min: 0.001,
      max: 0.2,
      unit: 'percent',
      assume: { value: 1, halfWidth: 0, unit: 'percent' },
    }),
    rampTo: fact({
      part: 'ramp',
      label: 'Last power of the ramp',
      quantity: 'ratio',
      min: 0.01,
      max: 1,
      unit: 'percent',
      assume: { value: 30, halfWidth: 0, unit: 'percent' },
    }),
    markPower: fact({
      part: 'ramp',
      label: 'Marking power',
      quantity: 'ratio',
      min: 0.001,
      max: 1,
      unit: 'percent',
    }),
    markSpeed: fact({
      part: 'ramp',
      label: 'Marking speed',
      quantity: 'speed',
      min: 0.1,
      max: 1000,
      assume: { value: 20, halfWidth: 0, unit: 'mm/s' },
    }),
    startX: fact({
      label: 'Marks begin at X',
      quantity: 'length',
      min: 8,
      max: 5000,
      assume: { value: 12, halfWidth: 0, unit: 'mm' },
    }),
    startY: fact({
      label: 'Marks begin at Y',
      quantity: 'length',
      min: 8,
      max: 5000,
      assume: { value: 12, halfWidth: 0, unit: 'mm' },
    }),
    runs: many(runShape, {
      placed: { act: MARKS },
      label: ({ label, thing, rest: [, reading] }) => readingDefs(thing).find((it) => it.id === reading)?.words ?? label,
    }),
    /** Readings of the power curve. */
    curve: many(curvePointShape, {
      placed: { part: 'curve' },
      label: ({ label, thing }) => `${label} at ${thing.percent}%`,
    }),
    /** Which run an axis's steps follow; none: the drive train's. */
    applied: many(text(0, 200)),
    /** Id of the focus ramp that the beam follows; none: the spot as entered. */
    focusBy: text(0, 200, ''),
    /** Spans of the axes that are moved by hand. */
    spans: many(spanShape, { label: ({ label, thing }) => `${label} of ${thing.commanded} mm` }),
    /** From which power the spot can be seen, and up to which it leaves no mark. */
    visibleFrom: fact({
      part: 'curve',
      label: 'Power from which the spot is seen',
      quantity: 'ratio',
      min: 0.0001,
      max: 0.5,
      unit: 'percent',
    }),
    marksFrom: fact({
      part: 'curve',
      label: 'Power from which it marks',
      quantity: 'ratio',
      min: 0.0001,
      max: 1,
      unit: 'percent',
    }),
    ...trialParts,
  },
  { stage: 'controller', part: 'run' },
)

export type Calibrate = Of<typeof calibrateShape>
export interface CalibrateBench {
  readonly calibrate: Calibrate
}
