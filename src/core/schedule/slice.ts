import { bare, choice, fact, flag, group, just, many, maybeMoment, orNull, someOf, text, word, type Of } from '../bench'
import { BOARDS, INTO, THREAD_NAMES, type Into } from '../fasteners'
import { cutsBars, cutsGuides } from '../motion'
import { MATERIAL_IDS } from '../safety'
import { KIND_IDS } from './kindIds'

/** What is built. */
export const BUILDS = { new: 'from single parts', kit: 'from a kit', retrofit: 'onto a machine that is there' } as const

const YES_NO = { no: 'no', yes: 'yes' } as const

/** Stock that the machine itself asks for, and that a part of the list may stand for. */
export const STOCKS = ['bars', 'guides'] as const
export type Stock = (typeof STOCKS)[number]

/** What is bought once for each place of the machine. */
export const PIECES = ['motor', 'driver', 'pulley', 'idler', 'controller', 'supply', 'head', 'switch'] as const

/** What a part of the list may stand for, so that what the machine asks for is held against it. */
export const COVERS = [...STOCKS, 'belt', ...PIECES] as const
export type Covers = (typeof COVERS)[number]

/** Where a part stands. */
export const PART_STATES = ['needed', 'ordered', 'here'] as const
export type PartState = (typeof PART_STATES)[number]

const day = maybeMoment('day')
const whole = (max: number) => bare({ whole: true, min: 0, max: max })

/** Something that is bought or made. */
export const partShape = group({
  order: bare(),
  name: text(1, 80),
  /** Where it goes. */
  where: text(0, 80),
  count: whole(10_000),
  state: word(PART_STATES),
  /** For one, in the bench's own money. */
  price: bare({ min: 0, max: 1e6 }),
  /** Day it is expected; empty where nobody knows. */
  arrives: day,
  /** What of the machine it is cut to; empty for anything else. */
  covers: word(['', ...COVERS] as const),
  /** How long one is; 0 where it was not said. */
  lengthMm: bare({ min: 0, max: 1e6 }),
})

/** Screws that hold something together. */
export const jointShape = group({
  order: bare(),
  name: text(1, 80),
  count: whole(1000),
  thread: word(THREAD_NAMES),
  stackMm: bare({ above: 0, max: 500 }),
  into: word(Object.keys(INTO) as readonly Into[]),
  holeDepthMm: orNull(bare({ above: 0, max: 500 })),
})

/** Screws counted in the bag. */
export const baggedShape = group({
  order: bare(),
  thread: word(THREAD_NAMES),
  lengthMm: bare({ above: 0, max: 500 }),
  count: whole(10_000),
})

/** Something to be done. */
export const taskShape = group({
  order: bare(),
  name: text(1, 120),
  /** How it is known to be done. */
  check: text(0, 200),
  workMin: whole(100_000),
  waitMin: whole(100_000),
  noisy: flag(),
  needs: many(just(true)),
  parts: many(just(true)),
  /** Put off until this day; empty where it may begin as soon as it can. */
  notBefore: day,
  /** When it was begun at the bench, local clock; empty where nobody noted it. */
  begun: maybeMoment('local'),
  /** When it was done, local clock; empty while it is open. */
  done: maybeMoment('local'),
  /** Which of the usual tasks it is, whatever it is called now; empty for one of one's own. */
  kind: text(0, 40),
})

/** A plug, clip or hose of a change-over: what goes where. */
export const plugShape = group({ order: bare(), name: text(1, 80), from: text(0, 80), to: text(0, 80) })

/** A further piece that is cut from the stock: one of one's own. */
export const pieceShape = group({
  order: bare(),
  name: text(1, 80),
  of: word(STOCKS),
  count: whole(200),
  lengthMm: bare({ above: 0, max: 12_000 }),
  /** What is to be remembered of it: a notch, a hole, a half. */
  note: text(0, 120),
})

/** Other lengths that are there to cut from: bars bought besides, offcuts of another job. */
export const lengthShape = group({
  order: bare(),
  of: word(STOCKS),
  count: whole(200),
  lengthMm: bare({ above: 0, max: 12_000 }),
})

/** A kind of part that was tipped out of the bag, and how many of it were counted. */
export const countedShape = group({ order: bare(), kind: word(KIND_IDS), count: whole(10_000) })

const free = (from: string, to: string) => group({ from: maybeMoment('clock', from), to: maybeMoment('clock', to) })
const evening = () => free('18:00', '21:00')
const weekend = () => free('10:00', '17:00')
export const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const

const wanted = (label: string) => fact({ label, quantity: 'length', min: 0.1, max: 4000, exact: true })

/** What the machine is for. */
const goalsShape = group(
  {
    workWidth: wanted('Width of the largest work'),
    workDepth: wanted('Depth of the largest work'),
    workHeight: wanted('Height of the thickest work'),
    rotary: choice({ label: 'Round things are turned', options: YES_NO, assume: { chosen: 'no' } }),
    portable: choice({ label: 'It is carried to where it burns', options: YES_NO, assume: { chosen: 'no' } }),
    budget: fact({
      label: 'What it may cost',
      quantity: 'money',
      min: 0,
      max: 1e6,
      exact: true,
    }),
    materials: someOf(MATERIAL_IDS, just(true)),
  },
  { part: 'build' },
)

const stockLength = () =>
  fact({
    label: 'Length of the stock',
    quantity: 'length',
    min: 50,
    max: 12_000,
    assume: { value: 1000, halfWidth: 0, unit: 'mm' },
  })
const trimmed = (value: number) =>
  fact({ label: 'Cut off the first end', quantity: 'length', min: 0, max: 200, assume: { value, halfWidth: 0, unit: 'mm' } })
const sawCut = (value: number) =>
  fact({ label: 'Width of the saw cut', quantity: 'length', min: 0, max: 20, assume: { value, halfWidth: 0.5, unit: 'mm' } })

/** The plan: what is built, for what, from what, joined how, in which order, when. */
export const planShape = group(
  {
    build: choice({ part: 'build', label: 'What is built', options: BUILDS, assume: { chosen: 'new' } }),
    goals: goalsShape,
    readyPrice: fact({
      part: 'build',
      label: 'Price of a ready-made machine',
      quantity: 'money',
      min: 0,
      max: 1e6,
    }),
    stock: group(
      {
        length: stockLength(),
        trim: trimmed(5),
        kerf: sawCut(2.5),
        leaveLong: fact({
          label: 'Leave long',
          quantity: 'length',
          min: 0,
          max: 50,
          assume: { value: 0, halfWidth: 0, unit: 'mm' },
        }),
      },
      { when: cutsBars },
    ),
    /** Rails or shafts, cut with a disc. */
    guideStock: group({ length: stockLength(), trim: trimmed(0), kerf: sawCut(1.5) }, { when: cutsGuides }),
    fits: group(
      {
        shaft: fact({
          label: 'Shaft',
          quantity: 'length',
          min: 0.5,
          max: 200,
        }),
        bush: fact({ label: 'Outside of the bush', quantity: 'length', min: 0.5, max: 200 }),
        making: choice({
          label: 'The part is',
          options: { printed: 'printed', cut: 'cut by the beam' },
          assume: { chosen: 'printed' },
        }),
        allowance: fact({
          label: 'Allowance of the making',
          quantity: 'length',
          min: 0,
          max: 3,
          assume: { value: 0.2, halfWidth: 0.1, unit: 'mm' },
        }),
        play: fact({
          label: 'Play of a running fit',
          quantity: 'length',
          min: 0,
          max: 2,
          assume: { value: 0.1, halfWidth: 0.03, unit: 'mm' },
        }),
        press: fact({
          label: 'Squeeze of a pressed fit',
          quantity: 'length',
          min: 0,
          max: 1,
          assume: { value: 0.05, halfWidth: 0.02, unit: 'mm' },
        }),
        holes: fact({
          label: 'Between two holes of a flange',
          quantity: 'length',
          min: 1,
          max: 300,
        }),
      },
      { part: 'fasteners', begun: (see) => see('plan.fits.shaft') !== null || see('plan.fits.bush') !== null },
    ),
    /** Screws along the edge of a board or a thin sheet. */
    boards: group(
      {
        edge: fact({
          label: 'Edge that is screwed',
          quantity: 'length',
          min: 10,
          max: 5000,
        }),
        screws: fact({
          label: 'Screws along it',
          quantity: 'count',
          min: 2,
          max: 200,
          whole: true,
          assume: { value: 4, halfWidth: 0 },
        }),
        fromEnd: fact({
          label: 'Outer screws from the ends',
          quantity: 'length',
          min: 0,
          max: 500,
          assume: { value: 20, halfWidth: 1, unit: 'mm' },
        }),
        screw: fact({
          label: 'Diameter of these screws',
          quantity: 'length',
          min: 1,
          max: 12,
          assume: { value: 3.5, halfWidth: 0.1, unit: 'mm' },
        }),
        into: choice({ label: 'They are driven into', options: BOARDS, assume: { chosen: 'ply' } }),
      },
      { part: 'fasteners', begun: (see) => see('plan.boards.edge') !== null },
    ),
    /** Two mounts that should be in line, and a block whose rail is to be told. */
    mounts: group(
      {
        low: fact({ label: 'Height of the lower mount', quantity: 'length', min: 0, max: 2000 }),
        high: fact({
          label: 'Height of the higher mount',
          quantity: 'length',
          min: 0,
          max: 2000,
        }),
        across: fact({ label: 'Holes of a block, across the rail', quantity: 'length', min: 2, max: 200 }),
        along: fact({ label: 'Holes of a block, along the rail', quantity: 'length', min: 2, max: 200 }),
      },
      { part: 'fasteners' },
    ),
    /** Where the machine will stand. */
    room: group(
      {
        free: fact({
          label: 'Free height where it will stand',
          quantity: 'length',
          min: 10,
          max: 10_000,
        }),
        machine: fact({
          label: 'Height of the machine',
          quantity: 'length',
          min: 10,
          max: 5000,
        }),
        above: fact({
          label: 'What opens above it',
          quantity: 'length',
          min: 0,
          max: 5000,
          assume: { value: 0, halfWidth: 0, unit: 'mm' },
        }),
      },
      { part: 'build', begun: (see) => see('plan.room.free') !== null },
    ),
    parts: many(partShape),
    /** Pieces of one's own, cut with the machine's. */
    pieces: many(pieceShape),
    /** What is there to cut from besides the stock that is bought. */
    lengths: many(lengthShape),
    /** What was tipped out of a kit's bag. */
    counted: many(countedShape),
    joints: many(jointShape),
    bag: many(baggedShape),
    tasks: many(taskShape),
    plugs: many(plugShape),
    /** When the change-over was planned; what is written into the machine since is put back on the way back. */
    changeOver: maybeMoment('instant', ''),
    free: group({
      monday: evening(),
      tuesday: evening(),
      wednesday: evening(),
      thursday: evening(),
      friday: free('', ''),
      saturday: weekend(),
      sunday: weekend(),
    }),
    quiet: free('20:00', '08:00'),
  },
  { stage: 'plan', part: 'parts' },
)

export type Plan = Of<typeof planShape>
export type PlanTask = Of<typeof taskShape>
export type PlanPart = Of<typeof partShape>
export type PlanJoint = Of<typeof jointShape>
export type PlanBagItem = Of<typeof baggedShape>
export type PlanPlug = Of<typeof plugShape>
export type PlanPiece = Of<typeof pieceShape>
export type PlanLength = Of<typeof lengthShape>
export type PlanCounted = Of<typeof countedShape>
export interface PlanBench {
  readonly plan: Plan
}
