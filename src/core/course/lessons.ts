import type { UnitId } from '../units'
import type { Grade } from '../workshop'
import { LESSON_IDS, type LessonId } from './lessonId'

/** One thing that a lesson is scored on. */
export interface LessonAim {
  readonly id: string
  readonly name: string
  /** In which what it is off by is said; `good` is in the core's unit of it. */
  readonly unit: UnitId
  /** All points up to here. */
  readonly good: number
  /** What to do for it, and on which part of which stage. */
  readonly way: string
  readonly at: string
}

/** A lesson: what is wanted, on which sheets, and what is learnt by it. */
export interface Lesson {
  readonly grade: Grade
  readonly name: string
  readonly goal: string
  readonly aims: readonly LessonAim[]
  readonly learnt: string
}

const aim = (id: string, name: string, unit: UnitId, good: number, at: string, way: string): LessonAim => ({
  id,
  name,
  unit,
  good,
  at,
  way,
})

export const LESSONS: Readonly<Record<LessonId, Lesson>> = {
  steps: {
    grade: 1,
    name: 'Set the steps',
    goal: 'Its belts are not what their label says. Bring both axes to their true size, and prove it.',
    aims: [
      aim(
        'scale',
        'Size',
        'percent',
        5e-4,
        'controller/run',
        'Read the settings, find the faint mark, burn a scale run, apply it, write the steps, burn another.',
      ),
    ],
    learnt:
      'Measure over a long span and from like edge to like edge: half a spot of error is then nothing. Correct once from the reading, write it into the machine, and prove it by a second burn; a second correction from noise makes it worse.',
  },
  focus: {
    grade: 1,
    name: 'Find focus',
    goal: 'Nobody knows at which gap this head is in focus. Find it by a burn on a sloping board.',
    aims: [
      aim('gap', 'Gap at focus', 'mm', 0.25, 'controller/focus', 'Burn the focus ramp, read it, and let the beam follow it.'),
      aim('spot', 'Spot at focus', 'percent', 0.12, 'beam/focus', 'See what the ramp says of the spot in both directions.'),
    ],
    learnt:
      'The narrowest line is flat about focus: read both ends where lines grow, and the middle between them is focus. A diode’s spot is not round; each side has a focus and a depth of its own.',
  },
  eyewear: {
    grade: 1,
    name: 'Choose eyewear',
    goal: 'Five pairs lie on the table. Copy their labels letter by letter, and wear one that holds this beam back.',
    aims: [
      aim('holds', 'Holds this beam back', 'count', 0, 'safety/eyewear', 'Wear the pair that passes both tests.'),
      aim('clear', 'Darker than need be', 'percent', 0.05, 'safety/eyewear', 'Of those that pass take the clearest.'),
      aim('labels', 'Labels not copied', 'count', 0, 'safety/eyewear', 'Copy what is printed on each of the five.'),
    ],
    learnt:
      'A label that does not name the wavelength is no label, however high its number. D stands for a beam that stays on; I, R and M are for pulses. Of two that hold, the clear one is worn, the dark one is pushed up onto the forehead.',
  },
  card: {
    grade: 1,
    name: 'Read a card',
    goal: 'A sheet that nobody knows lies on the bed. Find the power and speed that give a tone of 50 L*.',
    aims: [
      aim(
        'tone',
        'Tone against 50 L*',
        'tone',
        4,
        'burns/tone',
        'Say how light it is bare, burn a test card, photograph or look at it, and ask for 50 L*.',
      ),
      aim('cells', 'Cells missing of six', 'count', 0, 'burns/tone', 'Read six cells or more.'),
    ],
    learnt:
      'Tone goes by dose, light over area, and saturates: a card spreads its cells over the whole range once, then the small card about the wanted tone decides. Hold tone against the bare sheet beside it, never against memory.',
  },
  square: {
    grade: 2,
    name: 'Square the gantry',
    goal: 'One side of the gantry runs ahead. Read it from diagonals, square it, and prove it.',
    aims: [
      aim(
        'square',
        'Squareness',
        'deg',
        1.75e-3,
        'controller/run',
        'Burn a scale run, read its diagonals, square the gantry by it.',
      ),
      aim('vain', 'Mended in vain', 'count', 0, 'controller/practice', 'Leave alone what nothing points at.'),
    ],
    learnt:
      'Two diagonals by the same calipers tell the lean whatever the scale of the calipers: only their difference counts. Square first, then set the steps, then look again.',
  },
  delay: {
    grade: 2,
    name: 'Bring the light in time',
    goal: 'The light comes late behind its word. Find by how much, and let the output card wait for it.',
    aims: [
      aim(
        'delay',
        'Wait behind “on”',
        'ms',
        0.004,
        'controller/delay',
        'Burn the delay pattern, and put its delay on the output card.',
      ),
      aim('vain', 'Mended in vain', 'count', 0, 'controller/practice', 'Leave alone what nothing points at.'),
    ],
    learnt:
      'What is missing in proportion to speed is late light; what is missing at any speed alike is play. Two speeds tell them apart, and no spanner is needed for light that is late.',
  },
  mug: {
    grade: 2,
    name: 'Hold a mug',
    goal: 'Measure the mug, choose the disc that holds it, and find the steps for a turn so that a line round it closes.',
    aims: [
      aim(
        'diameter',
        'Diameter under the work',
        'mm',
        0.1,
        'rotary/object',
        'Enter the mug, its diameters along it, and where the work goes.',
      ),
      aim('seat', 'Disc that does not fit', 'count', 0, 'rotary/holders', 'Let it sit on the disc that fits its bore.'),
      aim(
        'turn',
        'Steps for a turn',
        'percent',
        3e-4,
        'rotary/run',
        'Read the overrun of one turn and of several, and follow the run.',
      ),
    ],
    learnt:
      'Steps for a turn belong to the drive, not to the mug: what a mark overruns in five turns less what it overruns in one is four turns’ worth of ratio, and what is lost at the start drops out. A disc a few tenths smaller than the bore centres; one that jams breaks it.',
  },
  head: {
    grade: 3,
    name: 'Wire a head without killing it',
    goal: 'Somebody has wired this head. Put right what would kill it or grow hot, and only then switch it on.',
    aims: [
      aim('alive', 'Heads killed', 'count', 0, 'controller/practice', 'Look the wiring through, then switch it on.'),
      aim('volts', 'Volts at the head, off', 'percent', 0.05, 'power/wiring', 'See what reaches the head on the drawing.'),
      aim(
        'hot',
        'Wires and supplies beyond their rating',
        'count',
        0,
        'power/wiring',
        'Take thicker wire, or a supply that gives enough.',
      ),
      aim(
        'lid',
        'Ways past the lid and the stop',
        'count',
        0,
        'power/chain',
        'Lead the head’s lead through the stop and the lid contact.',
      ),
    ],
    learnt:
      'Before a head is plugged in, the volts at its plug are known, from the drawing and then by the meter. A lead is chosen by what it loses and what it carries, and the lid opens the lead itself, not a wish of the program.',
  },
  fan: {
    grade: 3,
    name: 'Choose a fan',
    goal: 'Four fans are on offer for a box whose gaps nobody knows. Measure them, then take the quietest fan that draws 0.5 m/s in at every opening.',
    aims: [
      aim(
        'gaps',
        'Gaps of the box',
        'percent',
        0.15,
        'air/measure',
        'Read the air with the inlet shut, half open and open, and let the gaps follow.',
      ),
      aim(
        'draws',
        'Short of 0.5 m/s inward',
        'percent',
        0.02,
        'air/duct',
        'Enter the label of the fan that you take into the way out.',
      ),
      aim(
        'quiet',
        'Louder than need be',
        'dB',
        0.5,
        'air/duct',
        'Try the labels one after another; of those that do, take the quietest.',
      ),
    ],
    learnt:
      'The number printed large is flow into free air, where no fan ever works: it works where its curve meets the duct’s. An axial fan that moves much and presses little stands still before a filter. Measure the gaps before buying: they decide.',
  },
  wrong: {
    grade: 3,
    name: 'Find what is wrong',
    goal: 'Something is wrong with this machine, or nothing is. Look at its burn, read what tells most, and name it.',
    aims: [
      aim(
        'named',
        'Wrong names before the right one',
        'count',
        0,
        'burns/wrong',
        'Say what the burn looks like, read what is asked for, then name the cause.',
      ),
      aim(
        'minutes',
        'Time spent on reading',
        'min',
        360,
        'burns/wrong',
        'Read first what takes the most doubt away for its time.',
      ),
    ],
    learnt:
      'One symptom has many causes; the reading that splits them is worth more than the repair that is easiest. Change one thing, burn the same pattern, look again.',
  },
}

/** Points from which a lesson counts as passed (common practice of marking). */
export const PASSED = 80

/** The grades of the course, each with its lessons in order. */
export const COURSE: readonly { readonly grade: Grade; readonly lessons: readonly LessonId[] }[] = ([1, 2, 3] as const).map(
  (grade) => ({ grade, lessons: LESSON_IDS.filter((it) => LESSONS[it].grade === grade) }),
)
