import { bare, fact, group, many, moment, text, word, type Act, type Of } from '../bench'
import { cardDraftShape, cardShape } from './cardSlice'

const THICKNESS: Act = { id: 'thickness', words: 'Measure the thickness of your sheets' }

/** L* of a bare sheet of which nobody has said anything (common practice: birch). */
export const USUAL_BARE = 78

/** One try to cut through: what it was done with, and what became of it. */
export const cutTryShape = group({
  order: bare(),
  at: moment('instant'),
  /** Share of full power. */
  power: bare({ above: 0, max: 1 }),
  /** mm/s. */
  speed: bare({ above: 0 }),
  passes: bare({ whole: true, min: 1, max: 100 }),
  through: word(['yes', 'no'] as const),
})

/** What a setting of the book is for. */
export const WANTS = ['cut', 'tone', 'depth', 'mask', 'exposure'] as const
export type Want = (typeof WANTS)[number]

/** One use of a setting, and what became of it. */
export const settingUseShape = group({
  order: bare(),
  at: moment('instant'),
  outcome: word(['good', 'poor'] as const),
})

/** What is kept of a material, to be picked by name. */
export const settingShape = group({
  order: bare(),
  at: moment('instant'),
  wanted: word(WANTS, 'cut'),
  /** Tone in L*, depth in mm, dose in J/mm²; 0 for what has none. */
  aim: bare({ min: 0 }, 0),
  power: bare({ above: 0, max: 1 }),
  /** mm/s. */
  speed: bare({ above: 0 }),
  /** Between scan lines, mm; 0 for a line. */
  pitch: bare({ min: 0, max: 10 }, 0),
  passes: bare({ whole: true, min: 1, max: 100 }),
  /** By how much the head is raised, mm. */
  focus: bare({ min: -50, max: 50 }, 0),
  air: word(['on', 'off'] as const, 'on'),
  /** Tried line by line, learnt from cards, or carried over from another material. */
  from: word(['tried', 'card', 'carried'] as const, 'tried'),
  /** Standard uncertainty of the aim, in its unit; 0 where none is said. */
  spread: bare({ min: 0 }, 0),
  note: text(0, 200, ''),
  /** The record that says what it rests on; empty where there is none. */
  record: text(0, 40, ''),
  uses: many(settingUseShape),
})

/** One try of a mask: whether the tape came off clean, and whether what lies beneath was marked. */
export const maskTryShape = group({
  order: bare(),
  at: moment('instant'),
  power: bare({ above: 0, max: 1 }),
  /** mm/s. */
  speed: bare({ above: 0 }),
  cut: word(['yes', 'no'] as const),
  marked: word(['yes', 'no'] as const),
})

/** A material of a thickness, as it lies on the shelf. */
export const materialShape = group({
  order: bare(),
  name: text(1, 60, undefined, 'A material needs a name.'),
  /** What it is, by the list of materials; empty while nobody has said. */
  kind: text(0, 40, ''),
  thickness: fact({ act: THICKNESS, label: 'Thickness', quantity: 'length', min: 0.01, max: 200, begun: () => false }),
  bareTone: fact({
    part: 'tone',
    label: 'Lightness when bare',
    quantity: 'lightness',
    min: 5,
    max: 99,
    assume: { value: USUAL_BARE, halfWidth: 8 },
    begun: () => false,
  }),
  tries: many(cutTryShape),
  cards: many(cardShape),
  maskTries: many(maskTryShape),
  settings: many(settingShape),
})

/** The material book. */
export const burnsShape = group(
  {
    cutPower: fact({
      label: 'Cutting power',
      quantity: 'ratio',
      min: 0.01,
      max: 1,
      unit: 'percent',
      assume: { value: 100, halfWidth: 0, unit: 'percent' },
      begun: () => false,
    }),
    cutPasses: fact({
      label: 'Passes of a cut',
      quantity: 'count',
      min: 1,
      max: 100,
      whole: true,
      assume: { value: 1, halfWidth: 0 },
      begun: () => false,
    }),
    firstSpeed: fact({
      label: 'Speed of the first try',
      quantity: 'speed',
      min: 0.1,
      max: 500,
      assume: { value: 6, halfWidth: 0, unit: 'mm/s' },
      begun: () => false,
    }),
    toneWanted: fact({
      part: 'tone',
      label: 'Tone that is wanted',
      quantity: 'lightness',
      min: 1,
      max: 99,
      assume: { value: 45, halfWidth: 0 },
      begun: () => false,
    }),
    card: cardDraftShape,
    depthWanted: fact({
      part: 'depth',
      label: 'Depth that is wanted',
      quantity: 'length',
      min: 0.01,
      max: 50,
      assume: { value: 0.5, halfWidth: 0, unit: 'mm' },
      begun: () => false,
    }),
    maskPower: fact({
      part: 'mask',
      label: 'Power of a mask cut',
      quantity: 'ratio',
      min: 0.01,
      max: 1,
      unit: 'percent',
      assume: { value: 30, halfWidth: 0, unit: 'percent' },
      begun: () => false,
    }),
    exposure: group(
      {
        power: fact({
          label: 'Power of an exposure',
          quantity: 'ratio',
          min: 0.001,
          max: 1,
          unit: 'percent',
          assume: { value: 10, halfWidth: 0, unit: 'percent' },
          begun: () => false,
        }),
        speed: fact({
          label: 'Speed of an exposure',
          quantity: 'speed',
          min: 0.1,
          max: 2000,
          assume: { value: 50, halfWidth: 0, unit: 'mm/s' },
          begun: () => false,
        }),
        pitch: fact({
          label: 'Scan pitch of an exposure',
          quantity: 'length',
          min: 0.005,
          max: 5,
          assume: { value: 0.1, halfWidth: 0, unit: 'mm' },
          begun: () => false,
        }),
        board: fact({
          label: 'Dose that the board is said to want',
          quantity: 'radiantExposure',
          unit: 'mJ/cm2',
          min: 1e-7,
          max: 10,
          begun: () => false,
        }),
        wedgeStep: fact({
          label: 'Density from step to step of the wedge',
          quantity: 'opticalDensity',
          min: 0.01,
          max: 1,
          assume: { value: 0.15, halfWidth: 0.01 },
          begun: () => false,
        }),
        held: fact({ label: 'Last step that held', quantity: 'count', min: 0, max: 60, begun: () => false }),
        heldWanted: fact({
          label: 'Step that shall hold',
          quantity: 'count',
          min: 0,
          max: 60,
          assume: { value: 6, halfWidth: 0 },
          begun: () => false,
        }),
      },
      { part: 'expose' },
    ),
    materials: many(materialShape, { label: ({ label, thing }) => `${label} of ${thing.name}` }),
  },
  { stage: 'burns', part: 'cut' },
)

export type Burns = Of<typeof burnsShape>
export type BookMaterial = Of<typeof materialShape>
export type BookSetting = Of<typeof settingShape>

/** L* of a bare material, or of a usual one. Source: as entered. Valid: any material of the book. @example bareToneOf({ bareTone: { value: 72 } }) // 72 */
export function bareToneOf({ bareTone }: { readonly bareTone: { readonly value: number | null } }): number {
  return bareTone.value ?? USUAL_BARE
}

export interface BurnsBench {
  readonly burns: Burns
}
