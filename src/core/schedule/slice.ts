import { z } from 'zod'
import { choice, fact } from '../bench'
import { INTO, THREAD_NAMES, type Into } from '../fasteners'
import { MATERIAL_IDS } from '../safety'

/** What is built. */
export const BUILDS = { new: 'from single parts', kit: 'from a kit', retrofit: 'onto a machine that is there' } as const

const YES_NO = { no: 'no', yes: 'yes' } as const

/** Stock that the machine itself asks for, and that a part of the list may stand for. */
export const STOCKS = ['bars', 'guides'] as const
export type Stock = (typeof STOCKS)[number]

/** What a part of the list may stand for, so that the machine's own lengths are held against it. */
export const COVERS = [...STOCKS, 'belt'] as const
export type Covers = (typeof COVERS)[number]

/** Where a part stands. */
export const PART_STATES = ['needed', 'ordered', 'here'] as const
export type PartState = (typeof PART_STATES)[number]

const day = z.union([z.iso.date(), z.literal('')])
const clock = z.union([z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/), z.literal('')])
const whole = (max: number) => z.number().int().min(0).max(max)

/** Something that is bought or made. */
export const partSchema = z.strictObject({
  order: z.number(),
  name: z.string().min(1).max(80),
  /** Where it goes. */
  where: z.string().max(80),
  count: whole(10_000),
  state: z.enum(PART_STATES),
  /** For one, in the bench's own money. */
  price: z.number().min(0).max(1e6),
  /** Day it is expected; empty where nobody knows. */
  arrives: day,
  /** What of the machine it is cut to; empty for anything else. */
  covers: z.enum(['', ...COVERS]),
  /** How long one is; 0 where it was not said. */
  lengthMm: z.number().min(0).max(1e6),
})

/** Screws that hold something together. */
export const jointSchema = z.strictObject({
  order: z.number(),
  name: z.string().min(1).max(80),
  count: whole(1000),
  thread: z.enum(THREAD_NAMES),
  stackMm: z.number().positive().max(500),
  into: z.enum(Object.keys(INTO) as [Into, ...Into[]]),
  holeDepthMm: z.number().positive().max(500).nullable(),
})

/** Screws counted in the bag. */
export const baggedSchema = z.strictObject({
  order: z.number(),
  thread: z.enum(THREAD_NAMES),
  lengthMm: z.number().positive().max(500),
  count: whole(10_000),
})

/** Something to be done. */
export const taskSchema = z.strictObject({
  order: z.number(),
  name: z.string().min(1).max(120),
  /** How it is known to be done. */
  check: z.string().max(200),
  workMin: whole(100_000),
  waitMin: whole(100_000),
  noisy: z.boolean(),
  needs: z.record(z.string(), z.literal(true)),
  parts: z.record(z.string(), z.literal(true)),
  /** Put off until this day; empty where it may begin as soon as it can. */
  notBefore: day,
  /** When it was done, local clock; empty while it is open. */
  done: z.union([z.iso.datetime({ local: true }), z.literal('')]),
})

const freeDay = z.strictObject({ from: clock, to: clock })
export const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const

const wanted = (label: string, how?: string) =>
  fact({ label, quantity: 'length', min: 0.1, max: 4000, exact: true, ...(how === undefined ? {} : { how }) })

/** What the machine is for. */
const goalsSchema = z.strictObject({
  workWidth: wanted('Width of the largest work', 'Along X.'),
  workDepth: wanted('Depth of the largest work', 'Along Y.'),
  workHeight: wanted('Height of the thickest work', 'With what holds it, from the bed to its top.'),
  rotary: choice({ label: 'Round things are turned', options: YES_NO }),
  portable: choice({ label: 'It is carried to where it burns', options: YES_NO }),
  budget: fact({
    label: 'What it may cost',
    quantity: 'money',
    min: 0,
    max: 1e6,
    exact: true,
    how: 'All of it, in your own money.',
  }),
  materials: z.partialRecord(z.enum(MATERIAL_IDS), z.literal(true)),
})

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
export const planSchema = z.strictObject({
  build: choice({ label: 'What is built', options: BUILDS }),
  goals: goalsSchema,
  readyPrice: fact({
    label: 'Price of a ready-made machine',
    quantity: 'money',
    min: 0,
    max: 1e6,
    how: 'What you would pay for one that does the same; in your own money.',
  }),
  stock: z.strictObject({
    length: stockLength(),
    trim: trimmed(5),
    kerf: sawCut(2.5),
    leaveLong: fact({
      label: 'Leave long',
      quantity: 'length',
      min: 0,
      max: 50,
      assume: { value: 0, halfWidth: 0, unit: 'mm' },
      how: 'A little more than needed, to creep up on it with file or mill.',
    }),
  }),
  /** Rails or shafts, cut with a disc. */
  guideStock: z.strictObject({ length: stockLength(), trim: trimmed(0), kerf: sawCut(1.5) }),
  fits: z.strictObject({
    shaft: fact({ label: 'Shaft', quantity: 'length', min: 0.5, max: 200, how: 'Measured with the calipers at three places.' }),
    bush: fact({ label: 'Outside of the bush', quantity: 'length', min: 0.5, max: 200, how: 'Measured with the calipers.' }),
    making: choice({ label: 'The part is', options: { printed: 'printed', cut: 'cut by the beam' } }),
    allowance: fact({
      label: 'Allowance of the making',
      quantity: 'length',
      min: 0,
      max: 3,
      assume: { value: 0.2, halfWidth: 0.1, unit: 'mm' },
      how: 'Make a hole of known size and measure: by how much a printed one is too small, or the kerf of a cut one.',
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
      how: 'Outside to outside of the holes, less one hole.',
    }),
  }),
  parts: z.record(z.string(), partSchema),
  joints: z.record(z.string(), jointSchema),
  bag: z.record(z.string(), baggedSchema),
  tasks: z.record(z.string(), taskSchema),
  free: z.strictObject({
    monday: freeDay,
    tuesday: freeDay,
    wednesday: freeDay,
    thursday: freeDay,
    friday: freeDay,
    saturday: freeDay,
    sunday: freeDay,
  }),
  quiet: freeDay,
})

export type Plan = z.infer<typeof planSchema>
export type PlanTask = z.infer<typeof taskSchema>
export type PlanPart = z.infer<typeof partSchema>
export type PlanJoint = z.infer<typeof jointSchema>
export interface PlanBench {
  readonly plan: Plan
}
