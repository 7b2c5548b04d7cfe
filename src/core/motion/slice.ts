import { bare, choice, fact, group, many, type Of, type When } from '../bench'
import { BELTS, CABLES, CORNERS, LAYERS, MOTORS, POWER_UP, ROLLING } from './acts'
import { axisShape, labelOfAxis } from './axisSlice'
import { KINEMATICS, GUIDES, type Kinematics } from './kinematics'
import { ROCKS, ROLLS, TURNS } from './wheels'
import { WAYS } from './ways'
import { cutsBars, cutsEndPlates, cutsGuides } from './cutList'

const movedBy =
  (kinematics: Kinematics): When =>
  (see) =>
    see('motion.kinematics') === kinematics
const notMirrors: When = (see) => see('motion.kinematics') !== 'mirrors'

/** Wheels on the bars, which somebody has said. */
const onWheels: When = (see) => cutsBars(see) && see('motion.frame.guides') === 'wheels'
const CABLE_FACTS = ['controllerX', 'controllerY', 'length'] as const

/** One height of the bed, read at a place. */
export const heightShape = group({
  order: bare(),
  x: bare(),
  y: bare(),
  height: fact({
    label: 'Height of the bed',
    quantity: 'length',
    min: -50,
    max: 50,
  }),
})

/** What only the cut list reads is entered beside it. */
const beside = { stage: 'plan', part: 'parts' } as const

const heardBelts: When = (see) =>
  see.keys('motion.axes').some((id) => see(`motion.axes.${id}.toneA`) !== null || see(`motion.axes.${id}.toneB`) !== null)

export const motionShape = group(
  {
    kinematics: choice({ label: 'How the head is moved', options: KINEMATICS, assume: { chosen: 'axes' } }),
    axes: many(axisShape, { label: labelOfAxis }),
    motorVoltage: fact({
      part: 'drive',
      label: 'Supply of the motor drivers',
      quantity: 'voltage',
      min: 1,
      max: 100,
      assume: { value: 24, halfWidth: 0.5, unit: 'V' },
    }),
    boardDrivers: fact({
      part: 'drive',
      act: MOTORS,
      label: 'Motor drivers on the controller',
      quantity: 'count',
      min: 1,
      max: 12,
      whole: true,
    }),
    belts: group(
      {
        massPerMetre: fact({
          label: 'Mass of a metre of belt',
          quantity: 'massPerLength',
          min: 0.0005,
          max: 0.5,
          unit: 'g/m',
          assume: { value: 8.4, halfWidth: 0.8, unit: 'g/m' },
        }),
        tensionFrom: fact({
          label: 'Least belt tension',
          quantity: 'force',
          min: 0.5,
          max: 500,
          assume: { value: 15, halfWidth: 0, unit: 'N' },
        }),
        tensionTo: fact({
          label: 'Most belt tension',
          quantity: 'force',
          min: 1,
          max: 1000,
          assume: { value: 40, halfWidth: 0, unit: 'N' },
        }),
        alikeWithin: fact({
          label: 'Both sides alike within',
          quantity: 'ratio',
          min: 0.005,
          max: 1,
          unit: 'percent',
          assume: { value: 15, halfWidth: 0, unit: 'percent' },
        }),
      },
      { part: 'belts', when: notMirrors, begun: heardBelts, act: BELTS },
    ),
    crossed: group(
      {
        idlerDiameter: fact({
          label: 'Diameter of the idlers, at the belt',
          quantity: 'length',
          min: 2,
          max: 100,
          assume: { value: 12, halfWidth: 1, unit: 'mm' },
        }),
        motorAside: fact({
          label: 'Motors stand aside of the parallel by',
          quantity: 'length',
          min: -50,
          max: 50,
          assume: { value: 0, halfWidth: 5, unit: 'mm' },
        }),
        wentForX: choice({ act: POWER_UP, label: 'For +X the head went', options: WAYS }),
        wentForY: choice({ act: POWER_UP, label: 'For +Y the head went', options: WAYS }),
        heightLeft: fact({
          act: LAYERS,
          label: 'Left belt above the bed',
          quantity: 'length',
          min: 0,
          max: 1000,
        }),
        heightRight: fact({ act: LAYERS, label: 'Right belt above the bed', quantity: 'length', min: 0, max: 1000 }),
        beltWidth: fact({
          act: LAYERS,
          label: 'Width of the belts',
          quantity: 'length',
          min: 1,
          max: 50,
          assume: { value: 6, halfWidth: 0.2, unit: 'mm' },
        }),
        clampPlayLeft: fact({
          act: LAYERS,
          label: 'Left belt gives at its clamps',
          quantity: 'length',
          min: 0,
          max: 10,
        }),
        clampPlayRight: fact({ act: LAYERS, label: 'Right belt gives at its clamps', quantity: 'length', min: 0, max: 10 }),
      },
      { when: movedBy('crossed') },
    ),
    retrofit: group(
      {
        asideX: fact({ label: 'Beam beside the spindle, X', quantity: 'length', min: -500, max: 500 }),
        asideY: fact({ label: 'Beam beside the spindle, Y', quantity: 'length', min: -500, max: 500 }),
      },
      { when: movedBy('retrofit') },
    ),
    mirrors: group(
      {
        height: fact({
          label: 'Last mirror above the work',
          quantity: 'length',
          min: 10,
          max: 3000,
          assume: { value: 250, halfWidth: 5, unit: 'mm' },
        }),
        apart: fact({
          label: 'Between the mirrors',
          quantity: 'length',
          min: 0,
          max: 500,
          assume: { value: 30, halfWidth: 2, unit: 'mm' },
        }),
        last: choice({ label: 'Mirror met last', options: { y: 'the Y mirror', x: 'the X mirror' }, assume: { chosen: 'y' } }),
        focusDepth: fact({
          label: 'Depth of focus to either side',
          quantity: 'length',
          min: 0.01,
          max: 100,
          assume: { value: 1.2, halfWidth: 0.6, unit: 'mm' },
        }),
        wantedSteps: fact({
          label: 'Wanted resolution',
          quantity: 'stepsPerLength',
          min: 0.1,
          max: 10_000,
          assume: { value: 12.5, halfWidth: 0, unit: 'steps/mm' },
        }),
      },
      { when: movedBy('mirrors') },
    ),
    racking: group(
      {
        left: fact({
          label: 'Left end of the gantry to the front bar',
          quantity: 'length',
          min: 0,
          max: 5000,
        }),
        right: fact({ label: 'Right end of the gantry to the front bar', quantity: 'length', min: 0, max: 5000 }),
      },
      { part: 'square', when: notMirrors },
    ),
    play: group(
      {
        clearance: fact({
          label: 'Play of the wheels',
          quantity: 'length',
          min: 0,
          max: 5,
        }),
        lever: fact({
          label: 'Rail above the work',
          quantity: 'length',
          min: 1,
          max: 1000,
          assume: { value: 80, halfWidth: 20, unit: 'mm' },
        }),
        spacing: fact({
          label: 'Wheels apart along the rail',
          quantity: 'length',
          min: 1,
          max: 1000,
          assume: { value: 45, halfWidth: 10, unit: 'mm' },
        }),
      },
      { part: 'square', when: notMirrors, begun: (see) => see('motion.play.clearance') !== null },
    ),
    /** The rolling test of carriage and gantry, motors unpowered and belts off. */
    wheels: group(
      {
        rock: choice({ label: 'Rocked by hand, it', options: ROCKS }),
        roll: choice({ label: 'Pushed along, it', options: ROLLS }),
        turn: choice({
          label: 'Held still, a wheel on an eccentric',
          options: TURNS,
        }),
      },
      { part: 'wheels', when: onWheels, act: ROLLING },
    ),
    /** From the head, along the bars, to the controller. */
    cables: group(
      {
        controllerX: fact({ label: 'Controller from the origin, along X', quantity: 'length', min: -3000, max: 5000 }),
        controllerY: fact({ label: 'Controller from the origin, along Y', quantity: 'length', min: -3000, max: 5000 }),
        up: fact({
          label: 'Up from the head, over and down again',
          quantity: 'length',
          min: 0,
          max: 3000,
          assume: { value: 250, halfWidth: 100, unit: 'mm' },
        }),
        spare: fact({
          label: 'Longer by',
          quantity: 'ratio',
          min: 0,
          max: 1,
          unit: 'percent',
          assume: { value: 10, halfWidth: 0, unit: 'percent' },
        }),
        length: fact({ label: 'Shortest cable from the head', quantity: 'length', min: 10, max: 20_000 }),
      },
      {
        part: 'wheels',
        when: notMirrors,
        act: CABLES,
        begun: (see) => CABLE_FACTS.some((it) => see(`motion.cables.${it}`) !== null),
      },
    ),
    heights: many(heightShape, { placed: { part: 'square' } }),
    levelWithin: fact({
      part: 'square',
      begun: (see) => see.keys('motion.heights').length > 0,
      label: 'Accepted height over the bed',
      quantity: 'length',
      min: 0.01,
      max: 20,
      assume: { value: 1, halfWidth: 0, unit: 'mm' },
    }),
    wantedSpeed: fact({
      label: 'Wanted speed',
      quantity: 'speed',
      min: 0.01,
      max: 10_000,
      assume: { value: 100, halfWidth: 0, unit: 'mm/s' },
    }),
    maxStepRate: fact({
      label: 'Highest step rate of the controller',
      quantity: 'frequency',
      min: 100,
      max: 10_000_000,
      unit: 'kHz',
      assume: { value: 25, halfWidth: 10, unit: 'kHz' },
    }),
    /** Four marks at the corners of a rectangle, measured by one instrument. */
    corners: group(
      {
        width: fact({ label: 'Side along X between the marks', quantity: 'length', min: 1, max: 5000 }),
        depth: fact({ label: 'Side along Y between the marks', quantity: 'length', min: 1, max: 5000 }),
        fromOrigin: fact({ label: 'Diagonal through the origin', quantity: 'length', min: 1, max: 8000 }),
        across: fact({ label: 'Other diagonal', quantity: 'length', min: 1, max: 8000 }),
      },
      { part: 'square', when: notMirrors, act: CORNERS },
    ),
    squareWithin: fact({
      when: notMirrors,
      part: 'square',
      label: 'Accepted angle out of square',
      quantity: 'angle',
      min: 1e-6,
      max: 0.2,
      unit: 'deg',
      assume: { value: 0.1, halfWidth: 0, unit: 'deg' },
    }),
    frame: group({
      barWidth: fact({
        when: notMirrors,
        label: 'Width of the frame bars',
        quantity: 'length',
        min: 1,
        max: 300,
        assume: { value: 20, halfWidth: 0.5, unit: 'mm' },
      }),
      carriageWidth: fact({
        when: notMirrors,
        label: 'Width of the carriage',
        quantity: 'length',
        min: 5,
        max: 500,
        assume: { value: 60, halfWidth: 20, unit: 'mm' },
      }),
      carriageDepth: fact({
        when: notMirrors,
        label: 'Depth of gantry and carriage',
        quantity: 'length',
        min: 5,
        max: 500,
        assume: { value: 70, halfWidth: 20, unit: 'mm' },
      }),
      guides: choice({
        ...beside,
        when: cutsBars,
        label: 'Carriage and gantry run on',
        options: GUIDES,
        assume: { chosen: 'wheels' },
      }),
      guideOver: fact({
        ...beside,
        when: cutsGuides,
        label: 'Rail or shaft beyond the carriage at each end',
        quantity: 'length',
        min: 0,
        max: 300,
        assume: { value: 10, halfWidth: 5, unit: 'mm' },
      }),
      plateThickness: fact({
        ...beside,
        label: 'Thickness of the plates',
        quantity: 'length',
        min: 0.5,
        max: 50,
        assume: { value: 5, halfWidth: 1, unit: 'mm' },
      }),
      endHeight: fact({
        ...beside,
        when: cutsEndPlates,
        label: 'Height of the gantry’s end plates',
        quantity: 'length',
        min: 10,
        max: 500,
        assume: { value: 90, halfWidth: 20, unit: 'mm' },
      }),
    }),
  },
  { stage: 'motion', part: 'machine' },
)

export type Motion = Of<typeof motionShape>
/** What motion's figures see of a bench. */
export interface MotionBench {
  readonly motion: Motion
}
