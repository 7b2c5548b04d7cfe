import { z } from 'zod'
import { choiceSpecAt, factSpecAt, instrumentsSchema, type ChoiceSpec, type FactSpec, type Path } from '../bench'
import { calibrateSchema } from '../calibrate'
import { controllerSchema } from '../controller'
import { electricalSchema } from '../electrical'
import { benchCardSchema } from '../gcode'
import { motionSchema } from '../motion'
import { opticsSchema } from '../optics'
import { safetySchema } from '../safety'
import { planSchema } from '../schedule'

/** The document's present version. */
export const BENCH_VERSION = 6

/** All of one machine: one document. */
export const benchSchema = z.strictObject({
  kind: z.literal('fine-kerf.bench'),
  version: z.literal(BENCH_VERSION),
  id: z.string().min(1).max(40),
  name: z.string().min(1, 'A bench needs a name.').max(60),
  /** What it is, in a line. */
  about: z.string().max(400),
  units: z.enum(['metric', 'inch']),
  createdAt: z.iso.datetime(),
  instruments: instrumentsSchema,
  motion: motionSchema,
  controller: controllerSchema,
  electrical: electricalSchema,
  optics: opticsSchema,
  calibrate: calibrateSchema,
  safety: safetySchema,
  plan: planSchema,
  output: z.strictObject({ card: benchCardSchema }),
})

export type Bench = z.infer<typeof benchSchema>

/** What the fact at a path of a bench holds. */
export function benchFactSpec(path: Path): FactSpec | undefined {
  return factSpecAt(benchSchema, path)
}

/** What the choice at a path of a bench offers. */
export function benchChoiceSpec(path: Path): ChoiceSpec | undefined {
  return choiceSpecAt(benchSchema, path)
}

/** The bench's published shape. */
export function benchJsonSchema(): object {
  return z.toJSONSchema(benchSchema, { io: 'input' })
}
