import {
  bare,
  choice,
  fact,
  group,
  many,
  moment,
  orNull,
  templateOf,
  text,
  type Fact,
  type FactSpec,
  type Of,
  type Shape,
} from '../bench'

/** What a trial finds, by its pattern. */
export const TRIAL_KINDS = [
  'delay',
  'outline',
  'circle',
  'rectangle',
  'alternate',
  'moves',
  'bands',
  'focus',
  'wedge',
  'pointer',
  'kerf',
] as const
export type TrialKindId = (typeof TRIAL_KINDS)[number]

const place = group({ x: bare(), y: bare() })

/** A pattern that was burnt, and what was read of it; every result is a figure over it. */
export const trialShape = group({
  order: bare(),
  at: moment('instant'),
  /** Ids of the axes X and Y. */
  axes: group({ x: text(0, 200), y: text(0, 200) }),
  /** Id of the instrument that its readings are taken with. */
  instrument: text(0, 200),
  /** Lower left corner, mm of the work's coordinates. */
  origin: place,
  /** What it was burnt with: share of full power at that speed, mm/s. */
  power: bare({ min: 0, max: 1 }),
  speed: bare({ above: 0 }),
  /** Hours the machine had run; null where nobody counts them. */
  hours: orNull(bare()),
  /** What it was laid out with, by name: mm, mm/s, mm/s², Hz. */
  numbers: many(bare()),
  /** What was read, by the name of the reading, with its sign. */
  readings: many(
    fact({
      label: 'Reading',
      quantity: 'length',
      min: -1000,
      max: 10_000,
      // Typed into the list of their trial, as the readings of a scale run are.
      when: () => false,
    }),
  ),
  /** What was picked out of the pattern by eye: the number of the line, 0 for none. */
  picks: many(bare({ whole: true, min: 0, max: 100 })),
})
export type Trial = Of<typeof trialShape>

type Wish = readonly [
  part: string,
  label: string,
  quantity: FactSpec['quantity'],
  min: number,
  max: number,
  value: number,
  unit: NonNullable<FactSpec['unit']>,
]
const wish = (...[part, label, quantity, min, max, value, unit]: Wish): Shape<Fact> =>
  fact({
    part,
    label,
    quantity,
    min,
    max,
    assume: { value, halfWidth: 0, unit },
    // A choice of the pattern is nothing that waits to be checked.
    begun: () => false,
    ...(quantity === 'time' ? { unit } : {}),
  })
/** Trials of one kind, and the part of Controller that shows them. */
function ofPart(part: string) {
  return many(trialShape, {
    placed: { part, act: { id: 'trial', words: 'Read a pattern', beam: true } },
    label: ({ label, rest: [, reading] }) => `${label} ${reading ?? ''}`,
  })
}

/** What the beam is stopped by, by its id. */
export const STOPS = { stop: 'at the emergency stop', lid: 'at the lid' } as const

/** The emergency stop or the lid, tried with the beam on. */
const stoppedShape = group({
  went: choice({ label: 'Outcome for the beam', options: { dark: 'went out', lit: 'stayed on' } }),
  seconds: fact({ label: 'Time until it was out', quantity: 'time', min: 0, max: 60, unit: 'ms' }),
  /** From where a hand may come in, mm. */
  reach: fact({ label: 'Distance from hand to beam', quantity: 'length', min: 1, max: 3000 }),
})

/** What the trials are laid out with, and what is tried without burning. */
export const trialParts = {
  delaySlowest: wish('delay', 'Slowest line', 'speed', 1, 1000, 10, 'mm/s'),
  delayFastest: wish('delay', 'Fastest line', 'speed', 2, 1000, 60, 'mm/s'),
  outlineSmall: wish('closure', 'Small outlines', 'length', 5, 500, 20, 'mm'),
  outlineLarge: wish('closure', 'Large outlines', 'length', 10, 2000, 80, 'mm'),
  gapAllowed: wish('closure', 'Gap that may stay', 'length', 0.001, 5, 0.1, 'mm'),
  circleLarge: wish('shape', 'Large circles', 'length', 10, 1000, 80, 'mm'),
  circleSmall: wish('shape', 'Small circle', 'length', 5, 500, 20, 'mm'),
  rectangleWidth: wish('shape', 'Width of the rectangle', 'length', 10, 2000, 110, 'mm'),
  rectangleDepth: wish('shape', 'Depth of the rectangle', 'length', 10, 2000, 80, 'mm'),
  scanFastest: wish('shape', 'Fastest line there and back', 'speed', 2, 1000, 60, 'mm/s'),
  movesField: wish('limits', 'Field of the moves', 'length', 10, 1000, 100, 'mm'),
  bandsFastest: wish('limits', 'Fastest line for dots', 'speed', 2, 2000, 200, 'mm/s'),
  focusLift: wish('focus', 'Block under the board', 'length', 1, 100, 12, 'mm'),
  focusRun: wish('focus', 'Low edge to the block', 'length', 60, 1000, 140, 'mm'),
  kerfPiece: wish('focus', 'Pieces of the combs', 'length', 3, 100, 10, 'mm'),
  kerfSpeed: wish('focus', 'Cutting speed', 'speed', 0.1, 500, 4, 'mm/s'),
  kerfPower: wish('focus', 'Cutting power', 'ratio', 0.01, 1, 100, 'percent'),
  wedgeSlowest: wish('wedge', 'Slowest piece', 'speed', 0.1, 500, 2, 'mm/s'),
  wedgeFastest: wish('wedge', 'Fastest piece', 'speed', 1, 2000, 100, 'mm/s'),
  wedgeDrop: wish('wedge', 'Sheet below focus', 'length', 0, 500, 20, 'mm'),
  goodDays: wish('run', 'A calibration is good for', 'time', 86_400, 86_400 * 3650, 180, 'd'),
  goodHours: wish('run', 'A calibration is good for, at work', 'time', 3600, 3600 * 100_000, 200, 'h'),
  hours: fact({ part: 'run', label: 'Hours run', quantity: 'time', min: 0, max: 3600 * 1e6, unit: 'h' }),
  /** By their kind. */
  trials: group({
    delay: ofPart('delay'),
    outline: ofPart('closure'),
    circle: ofPart('shape'),
    rectangle: ofPart('shape'),
    alternate: ofPart('shape'),
    moves: ofPart('limits'),
    bands: ofPart('limits'),
    focus: ofPart('focus'),
    wedge: ofPart('wedge'),
    pointer: ofPart('focus'),
    kerf: ofPart('focus'),
  }),
  stops: many(stoppedShape, {
    placed: { part: 'homing', act: { id: 'stops', words: 'Try stop and lid', beam: true } },
    start: { stop: templateOf(stoppedShape), lid: templateOf(stoppedShape) },
    label: ({ label, id }) => `${label}, ${id === 'lid' ? STOPS.lid : STOPS.stop}`,
  }),
}
