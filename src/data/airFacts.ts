import { guessedChoice, templateOf, type Choice, type Fact } from '../core/bench'
import { airPartShape, airWayShape, type AirKind, type AirPartFacts, type AirPlace, type AirWay } from '../core/air'
import { UNITS, type UnitId } from '../core/units'

const READ_AT = '2026-11-23T10:20:00.000Z'

/** A reading. @param u In the unit typed. */
export function readAir(typed: string, typedUnit: UnitId, u: number, instrument?: string): Fact {
  const { scale } = UNITS[typedUnit]
  return {
    value: Number(typed) * scale,
    typed,
    typedUnit,
    origin: 'measured',
    doubt: { kind: 'standard', u: u * scale },
    at: READ_AT,
    ...(instrument === undefined ? {} : { instrument }),
  }
}

/** From a label or a sheet. @param a Half-width in the unit typed; 0: exact. */
export function statedAir(typed: string, typedUnit: UnitId, a = 0): Fact {
  const { scale } = UNITS[typedUnit]
  return {
    value: Number(typed) * scale,
    typed,
    typedUnit,
    origin: 'stated',
    doubt: a === 0 ? { kind: 'exact' } : { kind: 'halfWidth', a: a * scale },
  }
}

export const saidAir = <C extends string>(chosen: C): Choice<C> => ({ ...guessedChoice(chosen), origin: 'stated' })

/** A way of the air of parts in their order, by ids that say what they are. */
export function airWay(
  order: number,
  name: string,
  [from, to]: readonly [AirPlace, AirPlace],
  parts: readonly (readonly [id: string, kind: AirKind, given: Partial<AirPartFacts>])[],
): AirWay {
  const rows = parts.map(([id, kind, given], k) => [id, templateOf(airPartShape, { order: k + 1, kind, ...given })] as const)
  return templateOf(airWayShape, { order, name, from, to, parts: Object.fromEntries(rows) })
}
