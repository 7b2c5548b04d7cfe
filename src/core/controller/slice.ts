import { bare, choice, fact, group, many, moment, text, word, type Act, type Labelled, type Of } from '../bench'

const LISTING: Act = { id: 'listing', words: 'Read the settings that are in the machine' }

const homing = { part: 'homing', act: { id: 'homing', words: 'Try the directions and the switches' } } as const
const YES_NO = { yes: 'pressed', no: 'not pressed' }

/** What an axis did when it was tried: which way it went, what its switch says, where its travel ends. */
const triedShape = group(
  {
    plus: choice({ label: 'Told to go plus, it went', options: { plus: 'plus', minus: 'the other way' } }),
    free: choice({ label: 'Its switch, free', options: YES_NO }),
    pressed: choice({ label: 'Its switch, pressed', options: YES_NO }),
    found: choice({
      label: 'Search for its origin',
      options: { found: 'stopped at its switch', away: 'went away from it', past: 'ran on past it' },
    }),
    pullOff: fact({ label: 'Way off its switch', quantity: 'length', min: 0, max: 100 }),
    repeats: fact({ label: 'Difference of two searches', quantity: 'length', min: 0, max: 20 }),
    reach: fact({ label: 'Way to its far end', quantity: 'length', min: 1, max: 10_000 }),
  },
  homing,
)

/** What the machine itself is set to for one axis. */
export const axisSettingsShape = group({
  steps: fact({ label: 'Steps in the machine', quantity: 'stepsPerLength', min: 0.001, max: 100_000 }),
  topSpeed: fact({ label: 'Top speed in the machine', quantity: 'speed', min: 0.001, max: 100_000 }),
  acceleration: fact({
    label: 'Acceleration in the machine',
    quantity: 'acceleration',
    min: 0.01,
    max: 1_000_000,
  }),
  travel: fact({ label: 'Travel in the machine', quantity: 'length', min: 0.1, max: 10_000 }),
  tried: triedShape,
})

/** “Travel in the machine, X”. */
function ofAxis({ label, id, see }: Labelled<AxisSettings>): string {
  const letter = see(`motion.axes.${id}.letter`)
  return typeof letter === 'string' ? `${label}, ${letter}` : label
}

/** How the machine counts speed in its list of settings. */
export const SPEED_UNITS = ['mm/s', 'mm/min'] as const

/** A line of the machine's list that is none of the settings: kept, so that its list can be written again as it was. */
const otherShape = group({ order: bare(), key: text(1, 60), text: text(0, 120), words: text(0, 200) })

/** A list of settings as the machine printed it, and when it was taken. */
const keptShape = group({ order: bare(), at: moment('instant'), text: text(1, 200_000) })

/** The settings in the machine, facts by read-back; and how the machine names and takes them. */
export const controllerShape = group(
  {
    axes: many(axisSettingsShape, { label: ofAxis }),
    beam: group({
      fullPower: fact({ label: 'Full power word in the machine', quantity: 'count', min: 1, max: 1e6, whole: true }),
      pwmFrequency: fact({ label: 'Signal frequency in the machine', quantity: 'frequency', min: 1, max: 1e6 }),
      followsSpeed: choice({
        label: 'Power and speed in the machine',
        options: { yes: 'follows the speed', no: 'stays as commanded' },
      }),
    }),
    /** Key of each setting in the machine's own list, where it is not the plain one. */
    keys: many(text(1, 60)),
    /** What else its list held when it was last read. */
    others: many(otherShape),
    /** Its lists as they were taken, the last ones. */
    listings: many(keptShape),
    /** The line that sets one: `{key}` and `{value}` are filled in. */
    line: text(1, 120, '{key} = {value}'),
    speedUnit: word(SPEED_UNITS, 'mm/s'),
  },
  { stage: 'controller', part: 'settings', act: LISTING },
)

export type Controller = Of<typeof controllerShape>
export type AxisSettings = Of<typeof axisSettingsShape>
export interface ControllerBench {
  readonly controller: Controller
}
