/**
 * What the motion of a bench of version 2 gets when it becomes version 3, as it was then: kinematics, the motors'
 * data, belts, crossed belts, mirrors, racking, play and the bed's heights. Later changes of the template do not reach it.
 */
export function motionOfVersion3(motion: Record<string, unknown>): Record<string, unknown> {
  const axes = Object.entries((motion['axes'] ?? {}) as Record<string, Record<string, unknown>>)
  const twoMotors = axes.some(([, axis]) => (axis['motors'] as { value?: unknown } | undefined)?.value === 2)
  return {
    ...motion,
    kinematics: { chosen: twoMotors ? 'gantry' : 'axes', origin: 'assumed', doubt: EXACT },
    axes: Object.fromEntries(axes.map(([id, axis]) => [id, { ...axis, ...axisFacts() }])),
    motorVoltage: guess(24, '24', 'V', 0.5),
    belts: {
      massPerMetre: guess(0.0084, '8.4', 'g/m', 0.0008),
      tensionFrom: guess(15, '15', 'N', 0),
      tensionTo: guess(40, '40', 'N', 0),
      alikeWithin: guess(0.15, '15', 'percent', 0),
    },
    crossed: {
      idlerDiameter: guess(12, '12', 'mm', 1),
      motorAside: guess(0, '0', 'mm', 2),
      wentForX: UNCHOSEN,
      wentForY: UNCHOSEN,
    },
    retrofit: { asideX: blank('mm'), asideY: blank('mm') },
    mirrors: {
      height: guess(250, '250', 'mm', 5),
      apart: guess(30, '30', 'mm', 2),
      last: { chosen: 'y', origin: 'assumed', doubt: EXACT },
      focusDepth: guess(1.2, '1.2', 'mm', 0.6),
      wantedSteps: guess(12.5, '12.5', 'steps/mm', 0),
    },
    racking: { left: blank('mm'), right: blank('mm') },
    play: { clearance: blank('mm'), lever: guess(80, '80', 'mm', 20), spacing: guess(45, '45', 'mm', 10) },
    heights: {},
    levelWithin: guess(1, '1', 'mm', 0),
  }
}

function axisFacts(): Record<string, unknown> {
  return {
    motorGear: guess(1, '1', 'one', 0),
    rackModule: guess(1, '1', 'mm', 0.01),
    pinionTeeth: { ...guess(15, '15', 'count', 0), doubt: { kind: 'alternatives', others: [20] } },
    closedBelt: blank('mm'),
    holdingTorque: guess(0.4, '0.4', 'Nm', 0.1),
    ratedCurrent: guess(1.5, '1.5', 'A', 0.3),
    windingResistance: guess(1.6, '1.6', 'ohm', 0.5),
    windingInductance: guess(2.8e-3, '2.8', 'mH', 0.8e-3),
    rotorInertia: guess(5.4e-6, '54', 'gcm2', 1.5e-6),
    movingMass: blank('kg'),
    friction: guess(3, '3', 'N', 2),
    freeSpan: blank('mm'),
    toneA: blank('Hz'),
    toneB: blank('Hz'),
  }
}

const EXACT = { kind: 'exact' }
const UNCHOSEN = { chosen: null, origin: 'assumed', doubt: EXACT }

function guess(value: number, typed: string, typedUnit: string, a: number): Record<string, unknown> {
  return { value, typed, typedUnit, origin: 'assumed', doubt: a === 0 ? EXACT : { kind: 'halfWidth', a } }
}

function blank(typedUnit: string): Record<string, unknown> {
  return { value: null, typed: '', typedUnit, origin: 'assumed', doubt: EXACT }
}
