import { z } from '../zod'
import type { BenchRecord } from './record'

/** A record as it is stored and exchanged. */
export const recordSchema: z.ZodType<BenchRecord> = z.strictObject({
  id: z.string().min(1).max(40),
  benchId: z.string().min(1).max(40),
  at: z.iso.datetime(),
  stage: z.string().max(40),
  title: z.string().min(1).max(200),
  note: z.string().max(4000),
  redo: z.string().max(400),
  read: z.array(z.strictObject({ path: z.string(), value: z.union([z.number(), z.string(), z.boolean(), z.null()]) })),
  gave: z.array(
    z.strictObject({
      figure: z.string(),
      args: z.array(z.string()),
      value: z.number(),
      same: z.number().nonnegative(),
    }),
  ),
  beneath: z.array(z.string()),
})
