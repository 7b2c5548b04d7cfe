import { z } from '../zod'
import { schemaOf } from '../bench'
import './lateSlices'
import { benchShape, type Bench } from './bench'
import { HINTS } from './hints'

/** The bench's schema, for every boundary: the store, a file, an edit. */
export const benchSchema: z.ZodType<Bench> = schemaOf(benchShape)

/** The bench's published shape. */
export function benchJsonSchema(): object {
  const schema = z.toJSONSchema(benchSchema, { io: 'input', reused: 'ref' })
  describe(schema as Node, '')
  return schema
}

interface Noted {
  description?: string
  readonly properties?: Readonly<Record<string, Node>>
  readonly additionalProperties?: Node | boolean
}
type Node = object & Partial<Noted>

/** Writes how each fact is found out into its description. */
function describe(node: Node, path: string): void {
  const hint = HINTS[path]
  if (hint !== undefined) node.description = hint
  const below = (key: string): string => (path === '' ? key : `${path}.${key}`)
  for (const [key, it] of Object.entries(node.properties ?? {})) describe(it, below(key))
  if (typeof node.additionalProperties === 'object') describe(node.additionalProperties, below('*'))
}
