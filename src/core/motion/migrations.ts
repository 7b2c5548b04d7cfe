import { asJson, thenBlank, thenChosen, thenCount, thenGuess, withEach, type Json, type Migration } from '../bench'

/** Motion's steps from version to version, each as it was shipped. */
export const motionMigrations: readonly Migration[] = [
  {
    to: 1,
    why: 'axes were a list without ids',
    up: ({ axes, ...others }) => {
      const listed = Array.isArray(axes) ? axes.map(asJson) : []
      return { ...others, axes: Object.fromEntries(listed.map((axis, i) => [`axis${i + 1}`, { order: i + 1, ...axis }])) }
    },
  },
  {
    to: 3,
    why: 'Motion got kinematics, the data of the motors, belts, mirrors, racking, play and heights of the bed',
    up: (motion) => ({ ...motion, ...kinematicsOf3(motion), axes: withEach(motion['axes'], axisOf3()) }),
  },
  {
    to: 5,
    why: 'two motors may share a driver; carriage and gantry run on something; plates have a thickness',
    up: (motion) => ({
      ...motion,
      axes: withEach(motion['axes'], {
        drivers: thenChosen('each', ['parallel']),
        driverCurrent: thenGuess(1.5, '1.5', 'A', 0.5),
      }),
      frame: {
        ...asJson(motion['frame']),
        guides: thenChosen('wheels'),
        guideOver: thenGuess(10, '10', 'mm', 5),
        plateThickness: thenGuess(5, '5', 'mm', 1),
        endHeight: thenGuess(90, '90', 'mm', 20),
      },
    }),
  },
  {
    to: 6,
    why: 'torque was worked as if every driver were set to the effective value; what it is set to became a choice',
    up: (motion) => ({ ...motion, axes: withEach(motion['axes'], { currentIs: thenChosen('peak', ['effective']) }) }),
  },
  {
    to: 8,
    why: 'crossed belts got their layers, a carriage its rolling test, a machine its cables',
    up: (motion) => ({
      ...motion,
      boardDrivers: thenBlank('count'),
      crossed: {
        ...asJson(motion['crossed']),
        heightLeft: thenBlank('mm'),
        heightRight: thenBlank('mm'),
        beltWidth: thenGuess(6, '6', 'mm', 0.2),
        clampPlayLeft: thenBlank('mm'),
        clampPlayRight: thenBlank('mm'),
      },
      wheels: { rock: thenChosen(null), roll: thenChosen(null), turn: thenChosen(null) },
      cables: {
        controllerX: thenBlank('mm'),
        controllerY: thenBlank('mm'),
        up: thenGuess(250, '250', 'mm', 100),
        spare: thenGuess(0.1, '10', 'percent'),
        length: thenBlank('mm'),
      },
    }),
  },
]

function kinematicsOf3({ axes }: Json): Json {
  const twoMotors = Object.values(asJson(axes)).some((axis) => asJson(asJson(axis)['motors'])['value'] === 2)
  return {
    kinematics: thenChosen(twoMotors ? 'gantry' : 'axes'),
    motorVoltage: thenGuess(24, '24', 'V', 0.5),
    belts: {
      massPerMetre: thenGuess(0.0084, '8.4', 'g/m', 0.0008),
      tensionFrom: thenGuess(15, '15', 'N'),
      tensionTo: thenGuess(40, '40', 'N'),
      alikeWithin: thenGuess(0.15, '15', 'percent'),
    },
    crossed: {
      idlerDiameter: thenGuess(12, '12', 'mm', 1),
      motorAside: thenGuess(0, '0', 'mm', 2),
      wentForX: thenChosen(null),
      wentForY: thenChosen(null),
    },
    retrofit: { asideX: thenBlank('mm'), asideY: thenBlank('mm') },
    mirrors: {
      height: thenGuess(250, '250', 'mm', 5),
      apart: thenGuess(30, '30', 'mm', 2),
      last: thenChosen('y'),
      focusDepth: thenGuess(1.2, '1.2', 'mm', 0.6),
      wantedSteps: thenGuess(12.5, '12.5', 'steps/mm'),
    },
    racking: { left: thenBlank('mm'), right: thenBlank('mm') },
    play: { clearance: thenBlank('mm'), lever: thenGuess(80, '80', 'mm', 20), spacing: thenGuess(45, '45', 'mm', 10) },
    heights: {},
    levelWithin: thenGuess(1, '1', 'mm'),
  }
}

function axisOf3(): Json {
  return {
    motorGear: thenGuess(1, '1', 'one'),
    rackModule: thenGuess(1, '1', 'mm', 0.01),
    pinionTeeth: thenCount(15, '15', 'count', [20]),
    closedBelt: thenBlank('mm'),
    holdingTorque: thenGuess(0.4, '0.4', 'Nm', 0.1),
    ratedCurrent: thenGuess(1.5, '1.5', 'A', 0.3),
    windingResistance: thenGuess(1.6, '1.6', 'ohm', 0.5),
    windingInductance: thenGuess(2.8e-3, '2.8', 'mH', 0.8e-3),
    rotorInertia: thenGuess(5.4e-6, '54', 'gcm2', 1.5e-6),
    movingMass: thenBlank('kg'),
    friction: thenGuess(3, '3', 'N', 2),
    freeSpan: thenBlank('mm'),
    toneA: thenBlank('Hz'),
    toneB: thenBlank('Hz'),
  }
}
