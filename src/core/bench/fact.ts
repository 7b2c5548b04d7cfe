import { z } from 'zod'
import { UNIT_IDS, type Quantity, type UnitId } from '../units'

/** Where a fact comes from: a default nobody has checked, a label or data sheet, or a reading. */
export type Origin = 'assumed' | 'stated' | 'measured'

/**
 * How far a value may be off, in the core's unit.
 * - `exact`: a count known by nature, or a choice made;
 * - `halfWidth` a: stated or assumed, anywhere within ±a; u = a/√3 (JCGM 100:2008, 4.3.7);
 * - `standard` u: measured, with the degrees of freedom where they are few;
 * - `pooled`: measured, one of many alike; their common u is worked by a figure from how they scatter (type A), and
 *   until that is known it is the instrument's own;
 * - `alternatives`: what else it could be; never nudged.
 */
export type Doubt =
  | { readonly kind: 'exact' }
  | { readonly kind: 'halfWidth'; readonly a: number }
  | { readonly kind: 'standard'; readonly u: number; readonly dof?: number | undefined }
  | { readonly kind: 'pooled'; readonly u: number; readonly figure: string; readonly args: readonly string[] }
  | { readonly kind: 'alternatives'; readonly others: readonly (number | string)[] }

interface Provenance {
  readonly origin: Origin
  readonly doubt: Doubt
  /** Id of the instrument that read it, whose scale and zero errors it shares. */
  readonly instrument?: string | undefined
  /** When it was read, ISO 8601. */
  readonly at?: string | undefined
}

/** A number with its unit, where it came from and how far it may be off. */
export interface Fact extends Provenance {
  /** In the core's unit; null if not entered. */
  readonly value: number | null
  /** To the letter; only ever displayed. */
  readonly typed: string
  readonly typedUnit: UnitId
}

/** One of a few words. */
export interface Choice<C extends string = string> extends Provenance {
  readonly chosen: C | null
}

/** What a field of the bench holds: its quantity, range, and the honest guess that a template starts from. */
export interface FactSpec {
  readonly label: string
  readonly quantity: Quantity
  /** Accepted range in the core's unit, both ends included. */
  readonly min: number
  readonly max: number
  readonly whole?: boolean
  /** What to assume while nobody has checked: value and half-width, or for a count what else it often is. */
  readonly assume?: {
    readonly value: number
    /** 0: exact by nature, such as a goal somebody sets. */
    readonly halfWidth: number
    readonly others?: readonly number[]
    readonly unit?: UnitId
  }
  /** Known by nature, such as a wish or a sum of money: exact unless a ± is typed. */
  readonly exact?: boolean
  /** Unit offered first, where the system's own would be clumsy (µm, kHz). */
  readonly unit?: UnitId
  /** One sentence: how to find it out. */
  readonly how?: string
}

/** What a choice offers, in words. */
export interface ChoiceSpec {
  readonly label: string
  readonly options: Readonly<Record<string, string>>
  readonly how?: string
}

const doubtSchema = z.discriminatedUnion('kind', [
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

const provenance = {
  origin: z.enum(['assumed', 'stated', 'measured']),
  doubt: doubtSchema,
  instrument: z.string().max(40).optional(),
  at: z.iso.datetime().optional(),
}

const factSpecs = z.registry<FactSpec>()
const choiceSpecs = z.registry<ChoiceSpec>()

/** Schema of a fact; its spec travels with it and is found again by `factSpecAt`. */
export function fact(spec: FactSpec): z.ZodType<Fact, Fact> {
  const number = z.number().min(spec.min).max(spec.max)
  const schema = z.strictObject({
    value: (spec.whole === true ? number.int() : number).nullable(),
    typed: z.string().max(80),
    typedUnit: z.enum(UNIT_IDS as [UnitId, ...UnitId[]]),
    ...provenance,
  })
  const described = schema.meta({
    title: spec.label,
    description: spec.how ?? `${spec.label}, in the core's unit of ${spec.quantity}.`,
  })
  factSpecs.add(described, spec)
  return described
}

/** Schema of a choice between words; its spec travels with it. */
export function choice<const C extends Record<string, string>>(spec: {
  readonly label: string
  readonly options: C
  readonly how?: string
}): z.ZodType<Choice<keyof C & string>, Choice<keyof C & string>> {
  const words = Object.keys(spec.options) as [keyof C & string, ...(keyof C & string)[]]
  const schema = z.strictObject({ chosen: z.enum(words).nullable(), ...provenance }).meta({ title: spec.label })
  choiceSpecs.add(schema, spec)
  return schema
}

/** The spec of the fact at a path of a schema, if there is one. */
export function factSpecAt(schema: z.ZodType, path: string): FactSpec | undefined {
  const found = schemaAt(schema, path)
  return found === undefined ? undefined : factSpecs.get(found)
}

/** The spec of the choice at a path of a schema, if there is one. */
export function choiceSpecAt(schema: z.ZodType, path: string): ChoiceSpec | undefined {
  const found = schemaAt(schema, path)
  return found === undefined ? undefined : choiceSpecs.get(found)
}

/** What stands in a schema's place: a fact's spec, a choice's, the parts of an object, or something else. */
export function partsOf(
  schema: z.ZodType,
):
  | { readonly fact: FactSpec }
  | { readonly choice: ChoiceSpec }
  | { readonly shape: Readonly<Record<string, z.ZodType>> }
  | { readonly record: true }
  | null {
  const factSpec = factSpecs.get(schema)
  if (factSpec !== undefined) return { fact: factSpec }
  const choiceSpec = choiceSpecs.get(schema)
  if (choiceSpec !== undefined) return { choice: choiceSpec }
  if (schema instanceof z.ZodObject) return { shape: schema.shape }
  return schema instanceof z.ZodRecord ? { record: true } : null
}

function schemaAt(schema: z.ZodType, path: string): z.ZodType | undefined {
  return path.split('.').reduce<z.ZodType | undefined>((at, key) => {
    if (at instanceof z.ZodObject) return at.shape[key] as z.ZodType | undefined
    if (at instanceof z.ZodRecord) return at.valueType as z.ZodType
    return undefined
  }, schema)
}

/** A fact, by the one key nothing else on a bench has. */
export function isFact(node: unknown): node is Fact {
  return typeof node === 'object' && node !== null && 'typedUnit' in node
}

/** A choice, by the one key nothing else on a bench has. */
export function isChoice(node: unknown): node is Choice {
  return typeof node === 'object' && node !== null && 'chosen' in node
}

/**
 * Standard uncertainty of a fact.
 * @returns u in the core's unit; 0 for exact facts and for alternatives, which are never nudged; of a pooled reading
 * the instrument's own.
 * Valid: any fact. Source: JCGM 100:2008, 4.3.7 (rectangular, u = a/√3); T3.
 * @example standardUncertainty({ kind: 'halfWidth', a: 0.3 }) // 0.1732
 */
export function standardUncertainty(doubt: Doubt): number {
  switch (doubt.kind) {
    case 'standard':
    case 'pooled':
      return doubt.u
    case 'halfWidth':
      return doubt.a / Math.sqrt(3)
    case 'exact':
    case 'alternatives':
      return 0
  }
}
