import { z } from '../zod'
import { schemaOf } from '../bench'
import { benchShape, type Bench } from './bench'

/** The bench's schema, for every boundary: the store, a file, an edit. */
export const benchSchema: z.ZodType<Bench> = schemaOf(benchShape)

/** The bench's published shape. */
export function benchJsonSchema(): object {
  return z.toJSONSchema(benchSchema, { io: 'input', reused: 'ref' })
}
