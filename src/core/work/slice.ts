import { bare, fact, group, many, moment, text, word, type Act, type Of } from '../bench'
import { SIDES } from './kerf'
import { DOES } from './task'

const SHEET: Act = { id: 'sheet', words: 'Measure the sheet and where it lies' }

/** Where a fence is laid, as far as all its facts are alike. */
const FENCE = {
  act: { id: 'fence', words: 'Lay the fence along its lines' } satisfies Act,
  quantity: 'length',
  min: -5000,
  max: 5000,
  assume: { value: 20, halfWidth: 0.3, unit: 'mm' },
  begun: () => false,
} as const

/** What a sheet may lie on: a closed table, an open honeycomb, bars, a plate of metal. */
export const UNDER = ['table', 'honeycomb', 'bars', 'plate'] as const

/** How greys of a picture become burns. */
export const TONINGS = ['grey', 'four', 'twelve', 'twelveSharp', 'ordered'] as const

/** A part of a piece that is drawn alike, and what is to be done with it. Lengths in mm, of the drawing as it was read. */
export const wayShape = group({
  order: bare(),
  /** By what it is known again in a file that has changed. */
  key: text(0, 200),
  /** How it is drawn, in words. */
  drawn: text(0, 120),
  outlines: bare({ whole: true, min: 0 }),
  closed: bare({ whole: true, min: 0 }),
  length: bare({ min: 0 }),
  /** mm² that a fill of it covers. */
  area: bare({ min: 0 }),
  left: bare(),
  bottom: bare(),
  right: bare(),
  top: bare(),
  does: word(DOES, 'leave'),
  /** A setting of the material book; empty: the numbers below. */
  setting: text(0, 40, ''),
  power: bare({ above: 0, max: 1 }, 0.5),
  /** mm/s. */
  speed: bare({ above: 0, max: 5000 }, 20),
  pitch: bare({ above: 0, max: 10 }, 0.1),
  passes: bare({ whole: true, min: 1, max: 100 }, 1),
  /** By how much the head is raised, mm, and how much lower it is for each further pass. */
  focus: bare({ min: -50, max: 50 }, 0),
  drop: bare({ min: 0, max: 20 }, 0),
  side: word(SIDES, 'part'),
  tabs: bare({ whole: true, min: 0, max: 100 }, 0),
  tabWidth: bare({ above: 0, max: 50 }, 1),
  lead: bare({ min: 0, max: 50 }, 0),
  /** Of a fill, degrees; −1: the quickest. */
  angle: bare({ min: -1, max: 180 }, -1),
  toning: word(TONINGS, 'grey'),
})

/** Where one copy lies on the sheet, laid out by itself: lower left corner of its box, mm, and by how much it is turned further, degrees. */
export const spotShape = group({ order: bare(), x: bare(), y: bare(), turn: bare({ min: 0, max: 360 }) })

/** Artwork on the sheet: a file, where it lies, and how often. */
export const pieceShape = group({
  order: bare(),
  name: text(1, 80, undefined, 'A piece needs a name.'),
  /** The record under which its file is kept, and what the file was known by when it was read. */
  record: text(0, 40),
  print: text(0, 64),
  kind: word(['drawing', 'picture'] as const),
  /** Whether the file says its size; else what one of its own units is, mm. */
  hasUnits: word(['yes', 'no'] as const, 'yes'),
  unit: bare({ above: 0, max: 10_000 }, 1),
  /** Of the drawing as it was read, mm, before unit and scale. */
  width: bare({ above: 0 }),
  height: bare({ above: 0 }),
  /** Lower left corner of its box on the sheet, mm. */
  x: bare({}, 0),
  y: bare({}, 0),
  /** Degrees against the clock. */
  turn: bare({ min: -360, max: 360 }, 0),
  mirrored: word(['no', 'yes'] as const, 'no'),
  scale: bare({ above: 0, max: 1000 }, 1),
  columns: bare({ whole: true, min: 1, max: 200 }, 1),
  rows: bare({ whole: true, min: 1, max: 200 }, 1),
  gapX: bare({ min: 0, max: 5000 }, 3),
  gapY: bare({ min: 0, max: 5000 }, 3),
  /** Copies that were laid out one by one; empty: the grid above. */
  spots: many(spotShape),
  /** Whether it is burnt this time. */
  isIn: word(['yes', 'no'] as const, 'yes'),
  ways: many(wayShape),
})

/** Something that nothing may run into: a clamp, a weight. mm on the sheet. */
export const clampShape = group({
  order: bare(),
  x: bare(),
  y: bare(),
  width: bare({ above: 0, max: 5000 }),
  height: bare({ above: 0, max: 5000 }),
})

/** An order that is kept to be taken up again: next time only its files change. */
export const keptOrderShape = group({
  order: bare(),
  name: text(1, 80, undefined, 'An order needs a name.'),
  at: moment('instant'),
  material: text(0, 40, ''),
  pieces: many(pieceShape),
})

/** What is to be burnt, from which sheet. */
export const workShape = group(
  {
    /** Of the material book; empty while nobody has said. */
    material: text(0, 40, ''),
    sheetWidth: fact({ act: SHEET, label: 'Sheet, across', quantity: 'length', min: 1, max: 5000, begun: () => false }),
    sheetHeight: fact({ act: SHEET, label: 'Sheet, up', quantity: 'length', min: 1, max: 5000, begun: () => false }),
    sheetX: fact({
      act: SHEET,
      label: 'Left edge of the sheet from zero',
      quantity: 'length',
      min: -5000,
      max: 5000,
      assume: { value: 0, halfWidth: 1, unit: 'mm' },
      begun: () => false,
    }),
    sheetY: fact({
      act: SHEET,
      label: 'Lower edge of the sheet from zero',
      quantity: 'length',
      min: -5000,
      max: 5000,
      assume: { value: 0, halfWidth: 1, unit: 'mm' },
      begun: () => false,
    }),
    margin: fact({
      label: 'Margin along the edges of a sheet',
      quantity: 'length',
      min: 0,
      max: 500,
      assume: { value: 2, halfWidth: 0, unit: 'mm' },
      begun: () => false,
    }),
    kerf: fact({
      label: 'Kerf where none was measured',
      quantity: 'length',
      min: 0,
      max: 5,
      assume: { value: 0.15, halfWidth: 0.1, unit: 'mm' },
      begun: () => false,
    }),
    tolerance: fact({
      label: 'How far a way may leave the drawing',
      quantity: 'length',
      min: 0.0005,
      max: 1,
      assume: { value: 0.01, halfWidth: 0, unit: 'mm' },
      begun: () => false,
    }),
    scans: word(['both', 'one'] as const, 'both'),
    /** Whether parts may be turned by a quarter where they are laid out: a grain says no. */
    turns: word(['free', 'kept'] as const, 'free'),
    /** What the sheet lies on. */
    under: word(UNDER, 'honeycomb'),
    /** Bars beneath it, mm on the sheet. */
    barsAlong: word(['x', 'y'] as const, 'x'),
    barsFirst: bare({ min: 0, max: 5000 }, 10),
    barsStep: bare({ above: 0, max: 5000 }, 40),
    barsWidth: bare({ above: 0, max: 500 }, 4),
    /** In which order lines are burnt, within what has to come first; and how far the next is kept from the last one's heat, mm. */
    sequence: word(['quickest', 'listed'] as const, 'quickest'),
    apart: bare({ min: 0, max: 500 }, 0),
    /** Whether sheets lie where they were measured, or in the corner of a fence. */
    placedBy: word(['measured', 'fence'] as const, 'measured'),
    fenceX: fact({ ...FENCE, label: 'Inner corner of the fence from zero, along X' }),
    fenceY: fact({ ...FENCE, label: 'Inner corner of the fence from zero, along Y' }),
    /** Lines that locate it, mm, and whether and where they were burnt. */
    fenceLong: bare({ above: 0, max: 5000 }, 120),
    fenceHigh: bare({ above: 0, max: 5000 }, 80),
    fenceBurnt: word(['no', 'yes'] as const, 'no'),
    fenceBurntX: bare({}, 0),
    fenceBurntY: bare({}, 0),
    /** What lines of a fence or a template are burnt with. */
    layPower: bare({ above: 0, max: 1 }, 0.3),
    laySpeed: bare({ above: 0, max: 5000 }, 20),
    /** Blanks side by side, from one to the next, mm, and those that are left out this time. */
    placeColumns: bare({ whole: true, min: 1, max: 50 }, 1),
    placeRows: bare({ whole: true, min: 1, max: 50 }, 1),
    placeStepX: bare({ above: 0, max: 5000 }, 100),
    placeStepY: bare({ above: 0, max: 5000 }, 100),
    placesOut: many(group({ order: bare() })),
    clamps: many(clampShape),
    pieces: many(pieceShape),
    kept: many(keptOrderShape),
  },
  { stage: 'work', part: 'order' },
)

export type Work = Of<typeof workShape>
export type Piece = Of<typeof pieceShape>
export type Way = Of<typeof wayShape>
export type Clamp = Of<typeof clampShape>

export interface WorkSlice {
  readonly work: Work
}
