import { bare, group, many, moment, orNull, text, word, type Of } from '../bench'

/** What a card may be a grid of. */
export const CARD_VARIABLES = ['power', 'speed', 'pitch', 'passes', 'focus'] as const
export type CardVariable = (typeof CARD_VARIABLES)[number]

/** What was read of one cell; what was not looked at is null. */
export const cellReadingShape = group({
  /** Luminance as a share of the bare material's, and the standard uncertainty of the tone that it comes to, L*. */
  share: orNull(bare({ min: 0, max: 50 })),
  u: orNull(bare({ above: 0, max: 100 })),
  /** mm. */
  depth: orNull(bare({ min: 0, max: 200 })),
  /** Whether a cell that was cut along its edge fell out. */
  through: word(['', 'yes', 'no'] as const, ''),
  by: word(['picture', 'eye', 'hand'] as const),
})

/** How a card is designed. Lengths in mm, speeds in mm/s, powers as shares of full. */
const design = {
  /** Cells are scanned for a tone, or cut along their edge. */
  does: word(['scan', 'cut'] as const, 'scan'),
  across: word(CARD_VARIABLES, 'power'),
  up: word(CARD_VARIABLES, 'speed'),
  columns: bare({ whole: true, min: 1, max: 12 }, 6),
  rows: bare({ whole: true, min: 1, max: 12 }, 6),
  acrossFrom: bare({}, 0.25),
  acrossTo: bare({}, 1),
  upFrom: bare({}, 20),
  upTo: bare({}, 80),
  /** Of all cells, where the grid does not say another. */
  power: bare({ above: 0, max: 1 }, 1),
  speed: bare({ above: 0, max: 2000 }, 40),
  pitch: bare({ above: 0, max: 10 }, 0.1),
  passes: bare({ whole: true, min: 1, max: 100 }, 1),
  focus: bare({ min: -50, max: 50 }, 0),
  /** Side of a cell. */
  cell: bare({ min: 2, max: 30 }, 5),
  /** What marks, code and words are burnt with: dark, and not through. */
  markPower: bare({ above: 0, max: 1 }, 1),
  markSpeed: bare({ above: 0, max: 2000 }, 20),
}

/** The card that is being designed. */
export const cardDraftShape = group(design)

/** A test card as it was designed, and what was read of it. */
export const cardShape = group({
  order: bare(),
  at: moment('instant'),
  /** What its code says: capitals and digits. */
  code: text(1, 12),
  ...design,
  /** Lower left corner on the bed. */
  originX: bare(),
  originY: bare(),
  cells: many(cellReadingShape),
})

export type CardDraft = Of<typeof cardDraftShape>
export type CardShape = Of<typeof cardShape>
export type CellReading = Of<typeof cellReadingShape>
