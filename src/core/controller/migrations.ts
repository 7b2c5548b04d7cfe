import { asJson, thenBlank, thenChosen, withAt, withEach, type Json, type Migration } from '../bench'

export const controllerMigrations: readonly Migration[] = [
  {
    to: 2,
    why: 'a bench got the settings in the machine, one set for each axis',
    up: (_, bench) => ({
      axes: Object.fromEntries(Object.keys(asJson(asJson(bench['motion'])['axes'])).map((id) => [id, axisOf2()])),
      beam: { fullPower: thenBlank('count'), pwmFrequency: thenBlank('Hz'), followsSpeed: thenChosen(null) },
      keys: {},
      line: '{key} = {value}',
      speedUnit: 'mm/s',
    }),
  },
  {
    to: 8,
    why: 'what else stands in the machine’s list of settings is kept',
    up: (controller) => ({ ...controller, others: {} }),
  },
  { to: 9, why: 'lists of settings are kept as they were taken', up: (controller) => ({ ...controller, listings: {} }) },
  {
    to: 10,
    why: 'what an axis did when it was tried is kept',
    up: (it) => withAt(it, 'axes', withEach(it['axes'], { tried: NOT_TRIED })),
  },
]

const NOT_TRIED = {
  plus: thenChosen(null),
  free: thenChosen(null),
  pressed: thenChosen(null),
  found: thenChosen(null),
  pullOff: thenBlank('mm'),
  repeats: thenBlank('mm'),
  reach: thenBlank('mm'),
}

function axisOf2(): Json {
  return {
    steps: thenBlank('steps/mm'),
    topSpeed: thenBlank('mm/s'),
    acceleration: thenBlank('mm/s2'),
    travel: thenBlank('mm'),
  }
}
