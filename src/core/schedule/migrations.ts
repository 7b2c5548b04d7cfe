import { asJson, thenBlank, thenChosen, thenGuess, withEach, type Json, type Migration } from '../bench'

/** Of the slice `plan`. */
export const planMigrations: readonly Migration[] = [
  { to: 4, why: 'a bench got a plan: parts, cuts, fasteners, tasks and free time', up: planOf4 },
  {
    to: 5,
    why: 'a plan got its goals, stock of rails, what a part stands for, and tasks that are put off',
    up: (plan) => ({
      ...plan,
      goals: {
        workWidth: thenBlank('mm'),
        workDepth: thenBlank('mm'),
        workHeight: thenBlank('mm'),
        rotary: thenChosen('no'),
        portable: thenChosen('no'),
        budget: thenBlank('money'),
        materials: {},
      },
      guideStock: {
        length: thenGuess(1000, '1000', 'mm'),
        trim: thenGuess(0, '0', 'mm'),
        kerf: thenGuess(1.5, '1.5', 'mm', 0.5),
      },
      parts: withEach(plan['parts'], { covers: '', lengthMm: 0 }),
      tasks: withEach(plan['tasks'], { notBefore: '' }),
    }),
  },
  {
    to: 8,
    why: 'tasks say which usual one they are and when they were begun; pieces, lengths, a bag of parts, plugs, a change-over',
    up: (plan) => ({
      ...plan,
      tasks: Object.fromEntries(
        Object.entries(asJson(plan['tasks'])).map(([id, it]) => {
          const task = asJson(it)
          return [id, { ...task, begun: '', kind: KIND_OF_8[String(task['name'])] ?? '' }]
        }),
      ),
      boards: {
        edge: thenBlank('mm'),
        screws: thenGuess(4, '4', 'count'),
        fromEnd: thenGuess(20, '20', 'mm', 1),
        screw: thenGuess(3.5, '3.5', 'mm', 0.1),
        into: thenChosen('ply'),
      },
      mounts: { low: thenBlank('mm'), high: thenBlank('mm'), across: thenBlank('mm'), along: thenBlank('mm') },
      room: { free: thenBlank('mm'), machine: thenBlank('mm'), above: thenGuess(0, '0', 'mm') },
      pieces: {},
      lengths: {},
      counted: {},
      plugs: {},
      changeOver: '',
    }),
  },
]

function planOf4(): Json {
  const evening = { from: '18:00', to: '21:00' }
  const weekend = { from: '10:00', to: '17:00' }
  return {
    build: thenChosen('new'),
    readyPrice: thenBlank('money'),
    stock: {
      length: thenGuess(1000, '1000', 'mm'),
      trim: thenGuess(5, '5', 'mm'),
      kerf: thenGuess(2.5, '2.5', 'mm', 0.5),
      leaveLong: thenGuess(0, '0', 'mm'),
    },
    fits: {
      shaft: thenBlank('mm'),
      bush: thenBlank('mm'),
      making: thenChosen('printed'),
      allowance: thenGuess(0.2, '0.2', 'mm', 0.1),
      play: thenGuess(0.1, '0.1', 'mm', 0.03),
      press: thenGuess(0.05, '0.05', 'mm', 0.02),
      holes: thenBlank('mm'),
    },
    parts: {},
    joints: {},
    bag: {},
    tasks: {},
    free: {
      monday: evening,
      tuesday: evening,
      wednesday: evening,
      thursday: evening,
      friday: { from: '', to: '' },
      saturday: weekend,
      sunday: weekend,
    },
    quiet: { from: '20:00', to: '08:00' },
  }
}

/** The usual tasks by their names, as they were called up to version 8. */
const KIND_OF_8: Readonly<Record<string, string>> = {
  'Cut the bars': 'cut',
  'Drill and tap the ends': 'drill',
  'Slip the slot nuts in': 'nuts',
  'Close the corners, loosely': 'corners',
  'Square the frame': 'square',
  'Tighten the corners': 'tighten',
  'Set the gantry on its rails': 'gantry',
  'Lay and tension the belts': 'belts',
  'Pull the cables into the chain': 'chain',
  'Wire motors, driver and diode': 'wire',
  'Cut the housing’s panels': 'panels',
  'Paint the inside matt black': 'paint',
  'Set the certified window': 'glaze',
  'Fit and try the interlock': 'interlock',
  'Write the settings, burn a scale run': 'commission',
  'Switch off, pull the spindle’s plug': 'off',
  'Take the spindle out': 'spindle',
  'Clamp the diode’s head in': 'head',
  'Plug head, earth clip and air hose': 'plugs',
  'Lay the plate under the work': 'plate',
  'Fit the guard and try the interlock': 'guard',
  'Write the beam’s settings': 'settings',
  'Walk the bounds, burn a faint mark': 'commission',
  'Key out, switch off, wait 30 min by the ashes': 'back-off',
  'Unplug head, hose and earth clip': 'back-plugs',
  'Take the diode’s head out': 'back-head',
  'Take the plate away': 'back-plate',
  'Put the spindle back in': 'back-spindle',
  'Put the router’s settings back': 'back-settings',
  'Stand the column and its arm': 'column',
  'Fit both mirrors and their motors': 'mirrors',
  'Fit the rotary, set its steps': 'rotary',
  'Fit handles, and a latch that holds the lid': 'carry',
}
