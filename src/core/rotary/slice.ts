import {
  bare,
  choice,
  fact,
  group,
  many,
  maybeMoment,
  moment,
  text,
  word,
  type Act,
  type FactSpec,
  type Of,
  type See,
  type SeeBeside,
} from '../bench'
import { ROTARY_LETTERS } from '../gcode'
import { HOLDER_KINDS } from './holderKinds'

/** How a round thing may be held. */
export const HOLDINGS = ['rollers', 'chuck', 'centres', 'plate'] as const
export type Holding = (typeof HOLDINGS)[number]

/** What must be kept off on an object. */
export const KEEP_OFF = ['seam', 'bulge', 'neck', 'foot', 'print', 'other'] as const

const MEASURE: Act = { id: 'round', words: 'Measure the round object with calipers, along its length' }
const WORK: Act = { id: 'roundWork', words: 'Say where on the object the work goes' }
const TRAIN: Act = { id: 'roundDrive', words: "Count the rotary's teeth and read its driver's switches" }
const HOLDER: Act = { id: 'holder', words: 'Measure what holds the object' }
const STACK: Act = { id: 'stack', words: 'Measure heights over the bed' }
const WISH: Act = { id: 'roundSpeed', words: 'Say how fast the surface is to go' }

type More = Partial<FactSpec>
const mm = (label: string, min: number, max: number, more: More = {}) => fact({ label, quantity: 'length', min, max, ...more })
/** A length that is guessed while nobody has measured it. */
const about = (label: string, max: number, value: number, halfWidth: number, more: More = {}) =>
  mm(label, 0, max, { assume: { value, halfWidth, unit: 'mm' }, ...more })
const count = (label: string, min: number, max: number, value: number, others: readonly number[], more: More = {}) =>
  fact({ label, quantity: 'count', min, max, whole: true, assume: { value, halfWidth: 0, others }, ...more })

const seconds = (label: string, value: number, halfWidth: number) =>
  fact({ label, quantity: 'time', min: 0, max: 86_400, assume: { value, halfWidth, unit: 's' } })

const heldBy =
  (...ways: readonly Holding[]) =>
  (see: See): boolean =>
    ways.includes(see('rotary.holding') as Holding)
const geared =
  (...drives: readonly string[]) =>
  (see: See): boolean =>
    drives.includes(String(see('rotary.turn.drive')))

/** A diameter somewhere along the object. */
export const sectionShape = group(
  { order: bare(), at: mm('Place along the object', 0, 2000), diameter: mm('Diameter there', 0.5, 1000) },
  { act: MEASURE },
)
export type SectionFacts = Of<typeof sectionShape>

/** A stretch of it that nothing is burnt on. */
export const keepOffShape = group(
  { order: bare(), kind: word(KEEP_OFF, 'seam'), from: mm('Keep off, from', 0, 2000), to: mm('Keep off, to', 0, 2000) },
  { act: MEASURE },
)

/** Only the object in hand has its fields, and counts. */
function isInHand(see: SeeBeside): boolean {
  return see.at === `rotary.objects.${String(see('rotary.inHand'))}`
}

const isHollow = (see: SeeBeside): boolean => ['driven', 'far'].includes(String(see.beside('hollow')))

/** Something round; places along it are counted from the end that is driven, mm. */
export const objectShape = group(
  {
    order: bare(),
    name: text(1, 60, undefined, 'An object needs a name.'),
    madeOf: choice({
      label: 'Made of',
      options: {
        glass: 'glass',
        ceramic: 'ceramic',
        enamel: 'enamelled steel',
        metal: 'metal',
        wood: 'wood',
        plastic: 'plastic',
      },
    }),
    hollow: choice({
      label: 'Inside',
      options: { no: 'solid', driven: 'hollow, open at the driven end', far: 'hollow, open at the far end' },
    }),
    length: mm('Length of the object', 1, 2000),
    mass: fact({ label: 'Mass of the object', quantity: 'mass', min: 0.001, max: 100, unit: 'g' }),
    bore: mm('Bore at its mouth', 1, 1000, { when: isHollow }),
    boreDepth: mm('Depth of the bore', 1, 2000, { when: isHollow }),
    handle: choice({ label: 'Handle', options: { none: 'none', one: 'one' }, assume: { chosen: 'none' } }),
    ...handleFacts(),
    sections: many(sectionShape, { label: ({ label, thing }) => `${label}, section ${thing.order}` }),
    keepOff: many(keepOffShape, { label: ({ label, thing }) => `${label}, ${thing.kind}` }),
    workFrom: mm('Beginning of the work', 0, 2000, { act: WORK }),
    workTo: mm('End of the work', 0, 2000, { act: WORK }),
    workAround: mm('Width of the work around it', 0.1, 4000, { act: WORK }),
  },
  { act: MEASURE, when: isInHand, begun: isInHand },
)
export type RoundObject = Of<typeof objectShape>

function handleFacts() {
  const when: NonNullable<FactSpec['when']> = (see) => see.beside('handle') === 'one'
  return {
    handleOut: mm('Handle stands out by', 1, 300, { when }),
    handleFrom: mm('Handle begins at', 0, 2000, { when }),
    handleTo: mm('Handle ends at', 0, 2000, { when }),
    handleMass: fact({
      label: 'Mass of the handle',
      quantity: 'mass',
      min: 0,
      max: 20,
      unit: 'g',
      assume: { value: 40, halfWidth: 20, unit: 'g' },
      when,
    }),
    handleAt: fact({
      label: 'Handle from the middle of the work',
      quantity: 'angle',
      min: 0,
      max: Math.PI,
      assume: { value: 180, halfWidth: 5, unit: 'deg' },
      when,
    }),
  }
}

/** A part that holds or drives something round: wanted, or made and measured. */
export const holderShape = group(
  {
    order: bare(),
    kind: word(HOLDER_KINDS, 'centring'),
    name: text(1, 60, undefined, 'A part needs a name.'),
    outer: mm('Its outside', 1, 1000),
    inner: mm('Hole in its middle', 0, 1000),
    least: mm('Smallest step, or its groove', 1, 1000, {
      when: (see) => ['stepped', 'driveRing'].includes(String(see.beside('kind'))),
    }),
    steps: bare({ whole: true, min: 2, max: 20 }, 4),
    count: bare({ whole: true, min: 0, max: 100 }, 1),
    screws: bare({ whole: true, min: 0, max: 12 }, 0),
    screwsOn: bare({ min: 0, max: 1000 }, 30),
    screwHole: bare({ min: 0, max: 50 }, 3.4),
    /** Day on which it was made; empty: it is still wanted. */
    made: maybeMoment('day', ''),
  },
  { act: { id: 'holders', words: 'Measure the discs and cups on the shelf' } },
)
export type HolderFacts = Of<typeof holderShape>

const reading = (label: string, min: number, max: number) => fact({ label, quantity: 'length', min, max, when: () => false })

/** One turn and several, each commanded in one go, and by how much the mark overran. */
export const turnRunShape = group({
  order: bare(),
  at: moment('instant'),
  instrument: text(0, 200),
  /** Steps commanded for a turn, and those of the drive by the bench of then. */
  steps: bare({ above: 0 }),
  nominal: bare({ above: 0 }),
  /** Diameter under the mark, mm, as it was measured then. */
  diameter: fact({ label: 'Diameter under the mark', quantity: 'length', min: 0.5, max: 1000, when: () => false }),
  /** By turns and repeat: `5x2` is the second time of five turns. */
  readings: many(reading('Overrun', -1000, 1000)),
})
export type TurnRun = Of<typeof turnRunShape>

/** Dial readings round a turn, by degrees. */
export const dialRunShape = group({
  order: bare(),
  at: moment('instant'),
  instrument: text(0, 200),
  /** Place along the object, mm. */
  place: bare({ min: 0 }),
  readings: many(reading('Dial', -100, 100)),
})
export type DialRun = Of<typeof dialRunShape>

/** How round things are held and turned. */
export const rotaryShape = group(
  {
    objects: many(objectShape, {
      placed: { part: 'object' },
      label: ({ label, thing }) => `${label}, ${thing.name}`,
    }),
    /** Id of the object that is turned next; empty: none. */
    inHand: text(0, 40, ''),
    holding: choice({
      part: 'holding',
      act: HOLDER,
      label: 'Way of holding',
      options: { rollers: 'on rollers', chuck: 'in a chuck', centres: 'between centres', plate: 'flat on an indexing plate' },
    }),
    holder: group(
      {
        heaviest: fact({
          label: 'Mass that it carries',
          quantity: 'mass',
          min: 0.01,
          max: 100,
          assume: { value: 2, halfWidth: 1, unit: 'kg' },
        }),
        rollerDiameter: mm('Diameter of the rollers', 3, 300, { when: heldBy('rollers') }),
        rollerGap: mm('From roller axis to roller axis', 3, 600, { when: heldBy('rollers') }),
        rollerLength: mm('Length of the rollers', 5, 2000, { when: heldBy('rollers') }),
        driven: count('Rollers that are driven', 1, 2, 1, [2], { when: heldBy('rollers') }),
        grip: fact({
          label: 'Friction of rollers on the object',
          quantity: 'ratio',
          min: 0.02,
          max: 2,
          assume: { value: 0.5, halfWidth: 0.2, unit: 'one' },
          when: heldBy('rollers'),
        }),
        againstDrift: choice({
          label: 'Stop against drift',
          options: { yes: 'there is one', no: 'there is none' },
          when: heldBy('rollers'),
        }),
        jawLeast: mm('Smallest that the jaws hold from outside', 0, 600, { when: heldBy('chuck') }),
        jawMost: mm('Largest that the jaws hold from outside', 1, 600, { when: heldBy('chuck') }),
        insideLeast: mm('Smallest bore that the jaws hold', 1, 600, { when: heldBy('chuck') }),
        insideMost: mm('Largest bore that the jaws hold', 1, 600, { when: heldBy('chuck') }),
        jawLength: about('Jaws reach over the object by', 200, 15, 5, { when: heldBy('chuck') }),
        centresMost: mm('Longest between the centres', 1, 2000, { when: heldBy('centres') }),
        discDiameter: mm('Disc or jaws, largest diameter', 1, 1000, { when: heldBy('chuck', 'centres') }),
        tailDiameter: about('Tail disc or centre, diameter', 1000, 20, 10, { when: heldBy('centres') }),
      },
      { part: 'holding', act: HOLDER },
    ),
    stack: group(
      {
        axisHeight: mm('Bed to the axis that turns', 1, 1000, { when: heldBy('chuck', 'centres') }),
        rollerHeight: mm('Bed to the axes of the rollers', 1, 1000, { when: heldBy('rollers') }),
        plateTop: mm('Bed to the top of the plate', 1, 1000, { when: heldBy('plate') }),
        slotDepth: about('Object lies in its slot by', 200, 0, 1, { when: heldBy('plate') }),
        headHigh: mm('Bed to the head, at its highest', 1, 2000),
        headLow: about('Head goes down by', 1000, 30, 15),
        headAlong: about('Head from the beam, along the object', 300, 30, 15),
        headAcross: about('Head from the beam, across it', 300, 30, 15),
        feet: about('Feet under the frame', 1000, 0, 0),
        trap: about('Floor let down by', 1000, 0, 0),
        free: about('Room to keep free', 50, 2, 0),
        levelApart: mm('Between the two heights', 5, 2000, { begun: () => false }),
        heightDriven: mm('Height of the top line, driven end', 0, 1000, { begun: () => false }),
        heightFar: mm('Height of the top line, far end', 0, 1000, { begun: () => false }),
        axisLies: choice({ label: 'Axis lies', options: { x: 'along X', y: 'along Y' }, assume: { chosen: 'x', others: ['y'] } }),
      },
      { part: 'height', act: STACK },
    ),
    turn: group(
      {
        drive: choice({
          label: 'Motor drives it',
          options: { direct: 'directly', gears: 'by gears', belt: 'by a belt', ring: 'by a ring of cord' },
          assume: { chosen: 'direct', others: ['belt'] },
        }),
        fullSteps: count('Full steps a turn of its motor', 4, 1000, 200, [400]),
        microsteps: fact({
          label: 'Microsteps of its driver',
          quantity: 'divisor',
          min: 1,
          max: 256,
          whole: true,
          assume: { value: 16, halfWidth: 0, others: [8, 32] },
        }),
        gearbox: fact({
          label: 'Turns of the motor for one of its shaft',
          quantity: 'ratio',
          min: 0.01,
          max: 1000,
          exact: true,
          assume: { value: 1, halfWidth: 0, unit: 'one' },
        }),
        motorTeeth: count('Teeth on its motor', 5, 500, 20, [16], { when: geared('gears', 'belt') }),
        drivenTeeth: count('Teeth on what is driven', 5, 1000, 60, [40], { when: geared('gears', 'belt') }),
        motorGroove: mm('Groove on its motor, at the bottom', 1, 500, { when: geared('ring') }),
        drivenGroove: mm('Groove on what is driven, at the bottom', 1, 1000, { when: geared('ring') }),
        grooveGap: mm('Between both grooves, axis to axis', 5, 2000, { when: geared('ring') }),
        cord: about('Cord of the ring', 50, 3, 0.3, { when: geared('ring') }),
        cordStretch: fact({
          label: 'Ring is stretched by',
          quantity: 'ratio',
          min: 0,
          max: 0.5,
          assume: { value: 8, halfWidth: 2, unit: 'percent' },
          when: geared('ring'),
        }),
        holdTorque: fact({
          label: 'Holding torque of its motor',
          quantity: 'torque',
          min: 0.001,
          max: 50,
          assume: { value: 0.3, halfWidth: 0.15, unit: 'Nm' },
        }),
        rotor: fact({
          label: 'Inertia of its rotor',
          quantity: 'inertia',
          min: 0,
          max: 0.1,
          assume: { value: 50, halfWidth: 30, unit: 'gcm2' },
        }),
        friction: fact({
          label: 'Friction of what is turned',
          quantity: 'torque',
          min: 0,
          max: 20,
          assume: { value: 0.02, halfWidth: 0.015, unit: 'Nm' },
        }),
        offCentre: about('Object lies off its axis by', 50, 0.3, 0.3),
        surfaceSpeed: fact({
          act: WISH,
          label: 'Speed along the surface',
          quantity: 'speed',
          min: 0.1,
          max: 2000,
          assume: { value: 20, halfWidth: 0, unit: 'mm/s' },
        }),
        surfaceAcceleration: fact({
          act: WISH,
          label: 'Acceleration along the surface',
          quantity: 'acceleration',
          min: 1,
          max: 50_000,
          assume: { value: 200, halfWidth: 0, unit: 'mm/s2' },
        }),
        standsFor: choice({
          label: 'Rotary is driven',
          options: { x: 'in the place of X', y: 'in the place of Y', own: 'as an axis of its own' },
          assume: { chosen: 'y', others: ['x', 'own'] },
        }),
      },
      { part: 'turning', act: TRAIN },
    ),
    /** The shelf: parts that were made, and those that are wanted. */
    holders: many(holderShape, { placed: { part: 'holders' }, label: ({ label, thing }) => `${label}, ${thing.name}` }),
    /** Whether the work order is flat, or lies round the object in hand; whether it goes all the way round; the letter of an axis of its own. */
    lays: word(['flat', 'round'] as const, 'flat'),
    wraps: word(['no', 'yes'] as const, 'no'),
    letter: word(ROTARY_LETTERS, 'A'),
    /** Stations of the plate that are burnt, as typed; empty: all. */
    onStations: text(0, 200, ''),
    /** Id of the part that the object in hand sits on; empty: nobody has said. */
    seat: text(0, 40, ''),
    make: group(
      {
        clearance: about('Clearance of a fit', 5, 0.2, 0),
        wall: about('Wall of a cup', 50, 5, 0),
        spindle: about('Spindle that parts go on', 200, 8, 0.2),
        sheet: about('Sheet that parts are cut from', 50, 3, 0.2),
        sheetWidth: about('That sheet, across', 5000, 300, 0),
        sheetHeight: about('That sheet, up', 5000, 200, 0),
      },
      { part: 'holders', begun: (see) => see.keys('rotary.holders').length > 0 },
    ),
    plate: group(
      {
        shape: choice({
          label: 'Stations are',
          options: { slot: 'slots from the middle outwards', disc: 'round' },
          assume: { chosen: 'slot' },
        }),
        size: mm('Station, across', 0.5, 500),
        slotLength: mm('Length of a slot', 1, 1000, { when: (see) => see.beside('shape') === 'slot' }),
        from: mm('Stations from the middle of the plate', 1, 1000),
        between: about('Wall between two stations', 100, 3, 0),
        outer: mm('Outside of the plate', 5, 2000),
        inner: about('Hole in the middle of the plate', 500, 8, 0),
        pin: about('Pins that locate it', 50, 4, 0),
        pinsOn: about('Circle of the pins', 1000, 40, 0),
        stations: count('Stations of the plate', 1, 360, 20, []),
        steps: fact({
          label: 'Steps for a turn of the plate',
          quantity: 'count',
          min: 1,
          max: 1e7,
          assume: { value: 3200, halfWidth: 0, others: [9600] },
        }),
        turned: choice({
          label: 'Plate is turned',
          options: { hand: 'by hand, station by station', axis: 'by an axis of its own' },
          assume: { chosen: 'hand' },
        }),
        load: seconds('Laying a piece in and out', 8, 3),
        settle: seconds('Turning on and coming to rest', 2, 1),
        burn: seconds('Burning one piece', 60, 30),
      },
      {
        part: 'plate',
        act: { id: 'plate', words: 'Say what lies on the indexing plate' },
        begun: heldBy('plate'),
        when: heldBy('plate'),
      },
    ),
    turnRuns: many(turnRunShape, { placed: { part: 'run' }, label: ({ label, rest: [, it] }) => `${label} ${it ?? ''}`.trim() }),
    dialRuns: many(dialRunShape, { placed: { part: 'run' }, label: ({ label, rest: [, it] }) => `${label} at ${it ?? ''}°` }),
    /** Id of the run whose steps are used; empty: those of the drive. */
    turnBy: text(0, 40, ''),
    /** What was in the machine before the rotary took an axis' place, as it was listed; `axis` is empty while none is taken. */
    swap: group({ axis: text(0, 200, ''), at: maybeMoment('instant', ''), before: many(text(0, 60)), during: many(text(0, 60)) }),
  },
  { stage: 'rotary', part: 'turning', begun: (see) => see('rotary.inHand') !== '' },
)
export type Rotary = Of<typeof rotaryShape>
export interface RotaryBench {
  readonly rotary: Rotary
}
