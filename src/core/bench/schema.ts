import { z } from '../zod'
import { UNIT_IDS, type UnitId } from '../units'
import type { ChoiceSpec, FactSpec } from './fact'
import type { Moment, Plainly, Shape } from './shape'

const doubtSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('exact') }),
    z.strictObject({ kind: z.literal('halfWidth'), a: z.number().nonnegative() }),
    z.strictObject({ kind: z.literal('standard'), u: z.number().nonnegative(), dof: z.number().min(1).optional() }),
    z.strictObject({
      kind: z.literal('pooled'),
      u: z.number().nonnegative(),
      figure: z.string().max(60),
      args: z.array(z.string().max(40)).max(4),
    }),
    z.strictObject({ kind: z.literal('alternatives'), others: z.array(z.union([z.number(), z.string()])).max(20) }),
  ])
  .meta({ id: 'Doubt' })

const unitSchema = z.enum(UNIT_IDS as [UnitId, ...UnitId[]]).meta({ id: 'Unit' })

const provenance = {
  origin: z.enum(['assumed', 'stated', 'measured']).meta({ id: 'Origin' }),
  doubt: doubtSchema,
  instrument: z.string().max(40).optional(),
  at: z.iso.datetime().meta({ id: 'Instant' }).optional(),
}
const typedSchema = z.string().max(80).meta({ id: 'Typed' })

const made = new WeakMap<Shape, z.ZodType>()

/** The Zod schema of a shape, strict: no key more and none less. Made once for each shape. */
export function schemaOf<T>(shape: Shape<T>): z.ZodType<T> {
  const known = made.get(shape)
  if (known !== undefined) return known as z.ZodType<T>
  const schema = build(shape)
  made.set(shape, schema)
  return schema as z.ZodType<T>
}

function build({ is }: Shape): z.ZodType {
  switch (is.kind) {
    case 'fact':
      return factSchema(is.spec)
    case 'choice':
      return choiceSchema(is.spec)
    case 'group':
      return z.strictObject(Object.fromEntries(Object.entries(is.parts).map(([key, part]) => [key, schemaOf(part)])))
    case 'many':
      return is.keys === null
        ? z.record(z.string(), schemaOf(is.each))
        : z.partialRecord(z.enum(is.keys as [string, ...string[]]), schemaOf(is.each))
    case 'plain':
      return plainSchema(is.plain)
    case 'late':
      return z.never('This part of the bench is not told yet.')
  }
}

function factSchema(spec: FactSpec): z.ZodType {
  const number = z.number().min(spec.min).max(spec.max)
  return z
    .strictObject({
      value: (spec.whole === true ? number.int() : number).nullable(),
      typed: typedSchema,
      typedUnit: unitSchema,
      ...provenance,
    })
    .meta({ title: spec.label, description: `${spec.label}, in the core's unit of ${spec.quantity}.` })
}

function choiceSchema({ label, options }: ChoiceSpec): z.ZodType {
  const words = Object.keys(options) as [string, ...string[]]
  return z.strictObject({ chosen: z.enum(words).nullable(), ...provenance }).meta({ title: label })
}

function plainSchema(plain: Plainly): z.ZodType {
  switch (plain.as) {
    case 'text':
      return z.string().min(plain.from, plain.say).max(plain.to)
    case 'number':
      return numberSchema(plain)
    case 'word':
      return z.enum(plain.words as [string, ...string[]])
    case 'just':
      return z.literal(plain.value)
    case 'flag':
      return z.boolean()
    case 'moment':
      return plain.orEmpty ? z.union([MOMENTS[plain.of], z.literal('')]) : MOMENTS[plain.of]
    case 'orNull':
      return plainSchema(plain.of).nullable()
  }
}

function numberSchema({ min, above, max, whole }: Extract<Plainly, { readonly as: 'number' }>): z.ZodType {
  let number = z.number()
  if (whole === true) number = number.int()
  if (min !== undefined) number = number.min(min)
  if (above !== undefined) number = number.gt(above)
  return max === undefined ? number : number.max(max)
}

const MOMENTS: Readonly<Record<Moment, z.ZodType>> = {
  instant: z.iso.datetime(),
  day: z.iso.date(),
  clock: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
  local: z.iso.datetime({ local: true }),
}
