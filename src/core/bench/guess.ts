import { displayUnit, doubtToCore, toCore, unitsOf, type UnitId } from '../units'
import type { Doubt, Fact, FactSpec } from './fact'

/** What an unchecked count may be instead: the template's own list, less the value itself. */
export function templateDoubt({ assume }: FactSpec, value: number): Doubt {
  const others = assume?.others === undefined ? [] : [assume.value, ...assume.others].filter((it) => it !== value)
  return others.length === 0 ? { kind: 'exact' } : { kind: 'alternatives', others }
}

/**
 * The half-width of the template's guess, core's unit; 0 where it has none.
 * Valid: any spec. Source: by definition.
 * @example assumedHalfWidth({ label: 'Bar', quantity: 'length', min: 0, max: 99, assume: { value: 2, halfWidth: 0.1, unit: 'cm' } }) // 1
 */
export function assumedHalfWidth(spec: FactSpec): number {
  const { assume } = spec
  return assume === undefined ? 0 : doubtToCore(assume.halfWidth, assume.unit ?? unitsOf(spec.quantity)[0] ?? 'one')
}

/** The fact a template starts from: its guess with its honest range, or nothing entered where it has no guess. */
export function templateFact(spec: FactSpec): Fact {
  const { assume } = spec
  const unit = assume?.unit ?? spec.unit ?? displayUnit(spec.quantity, 'metric')
  if (assume === undefined) return blankFact(unit)
  const a = assumedHalfWidth(spec)
  return {
    value: toCore(assume.value, unit),
    typed: spec.quantity === 'divisor' ? `1/${assume.value}` : String(assume.value),
    typedUnit: unit,
    origin: 'assumed',
    doubt: a === 0 ? templateDoubt(spec, assume.value) : { kind: 'halfWidth', a },
  }
}

/** A fact nobody has entered. */
export function blankFact(unit: UnitId): Fact {
  return { value: null, typed: '', typedUnit: unit, origin: 'assumed', doubt: { kind: 'exact' } }
}
