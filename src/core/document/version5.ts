/**
 * What a bench of version 4 gets when it becomes one of version 5, as it was then: how two motors share a driver, what
 * carriage and gantry run on, plates, goals, stock of rails, what a part stands for, and tasks that are put off.
 */
export function benchOfVersion5(bench: Json): Json {
  const { motion, plan } = bench as { motion: Json; plan: Json }
  return { ...bench, motion: motionOf(motion), plan: planOf(plan) }
}

type Json = Record<string, unknown>

/** Every row of a list with some keys more. */
function withEach(list: unknown, more: Json): Json {
  const rows = Object.entries((list ?? {}) as Record<string, Json>)
  return Object.fromEntries(rows.map(([id, row]) => [id, { ...row, ...more }]))
}

function motionOf(motion: Json): Json {
  const sharing = {
    drivers: { chosen: 'each', origin: 'assumed', doubt: { kind: 'alternatives', others: ['parallel'] } },
    driverCurrent: guess(1.5, '1.5', 'A', 0.5),
  }
  return {
    ...motion,
    axes: withEach(motion['axes'], sharing),
    frame: {
      ...(motion['frame'] as Json),
      guides: { chosen: 'wheels', origin: 'assumed', doubt: EXACT },
      guideOver: guess(10, '10', 'mm', 5),
      plateThickness: guess(5, '5', 'mm', 1),
      endHeight: guess(90, '90', 'mm', 20),
    },
  }
}

function planOf(plan: Json): Json {
  return {
    ...plan,
    goals: {
      workWidth: blank('mm'),
      workDepth: blank('mm'),
      workHeight: blank('mm'),
      rotary: { chosen: 'no', origin: 'assumed', doubt: EXACT },
      portable: { chosen: 'no', origin: 'assumed', doubt: EXACT },
      budget: blank('money'),
      materials: {},
    },
    guideStock: {
      length: guess(1000, '1000', 'mm', 0),
      trim: guess(0, '0', 'mm', 0),
      kerf: guess(1.5, '1.5', 'mm', 0.5),
    },
    parts: withEach(plan['parts'], { covers: '', lengthMm: 0 }),
    tasks: withEach(plan['tasks'], { notBefore: '' }),
  }
}

const EXACT = { kind: 'exact' }

function blank(typedUnit: string): object {
  return { value: null, typed: '', typedUnit, origin: 'assumed', doubt: EXACT }
}

function guess(value: number, typed: string, typedUnit: string, a: number): object {
  return { value, typed, typedUnit, origin: 'assumed', doubt: a === 0 ? EXACT : { kind: 'halfWidth', a } }
}
