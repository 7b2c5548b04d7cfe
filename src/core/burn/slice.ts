import { bare, fact, group, many, moment, text, word, type Act, type Of } from '../bench'

const THICKNESS: Act = { id: 'thickness', words: 'Measure the thickness of your sheets' }

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

/** What is kept of a material, to be picked by name. */
export const cutSettingShape = group({
  order: bare(),
  at: moment('instant'),
  power: bare({ above: 0, max: 1 }),
  /** mm/s. */
  speed: bare({ above: 0 }),
  passes: bare({ whole: true, min: 1, max: 100 }),
  note: text(0, 200, ''),
})

/** A material of a thickness, as it lies on the shelf. */
export const materialShape = group({
  order: bare(),
  name: text(1, 60, undefined, 'A material needs a name.'),
  /** What it is, by the list of materials; empty while nobody has said. */
  kind: text(0, 40, ''),
  thickness: fact({ act: THICKNESS, label: 'Thickness', quantity: 'length', min: 0.01, max: 200, begun: () => false }),
  tries: many(cutTryShape),
  settings: many(cutSettingShape),
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
    materials: many(materialShape, { label: ({ label, thing }) => `${label} of ${thing.name}` }),
  },
  { stage: 'burns', part: 'cut' },
)

export type Burns = Of<typeof burnsShape>
export type BookMaterial = Of<typeof materialShape>
export interface BurnsBench {
  readonly burns: Burns
}
