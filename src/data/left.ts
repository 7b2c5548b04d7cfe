import { z } from '../core/zod'

/** What a window left unsaved of a bench, as its small store keeps it. */
export const leftSchema = z.strictObject({
  benchId: z.string(),
  window: z.string(),
  birth: z.string(),
  revision: z.number(),
  words: z.string(),
  at: z.string(),
  changes: z.array(z.strictObject({ path: z.string(), before: z.unknown().optional(), after: z.unknown().optional() })),
})
export type Left = z.infer<typeof leftSchema>
