import { displayUnit, fromCore, printQuantity, unitOf, type UnitId, type UnitSystem } from '../units'
import { shownNumber } from './doubt'
import type { Evaluation } from './evaluation'
import type { Fact } from './fact'

/** How a fact stands in a sentence: what was typed, its unit if that was not typed too, and ± for a reading. */
export interface ShownFact {
  readonly text: string
  readonly unit: string
  /** Two standard uncertainties of a reading, printed; null for the rest. */
  readonly plusMinus: string | null
}

/** A fact as it is displayed: what was typed, to the letter. */
export function showFact(fact: Fact): ShownFact {
  if (fact.value === null) return { text: '', unit: unitOf(fact.typedUnit).symbol, plusMinus: null }
  const unitTyped = /(?!e\d+\s*$)[A-Za-zµμΩ"″°%²³][\w/·^*²³]*\s*$/.test(fact.typed)
  const unit = unitTyped ? '' : unitOf(fact.typedUnit).symbol
  const spread =
    fact.doubt.kind === 'standard' && !/±|\+\/?-/.test(fact.typed)
      ? printQuantity(0, 2 * fact.doubt.u, fact.typedUnit).plusMinus
      : null
  return { text: fact.typed, unit, plusMinus: spread }
}

/** The doubt of a fact in words, in the unit it was typed in: `within ± 0.5 mm`, `u 0.02 mm`, `or 16`. */
export function sayDoubt(fact: Fact): string {
  const { doubt, typedUnit } = fact
  const unit = unitOf(typedUnit).symbol
  const print = (spread: number): string => [printQuantity(0, spread, typedUnit).plusMinus ?? '0', unit].filter(Boolean).join(' ')
  switch (doubt.kind) {
    case 'exact':
      return 'exact'
    case 'halfWidth':
      return `within ± ${print(doubt.a)}`
    case 'pooled':
      return 'as the readings of its run scatter'
    case 'standard':
      return `standard uncertainty ${print(doubt.u)}`
    case 'alternatives':
      return doubt.others.length === 0 ? 'exact' : `or ${doubt.others.join(', ')}`
  }
}

/** The unit in which a figure is shown: days in hours where they are less than one. */
export function figureUnit({ def, result }: Pick<Evaluation, 'def' | 'result'>, system: UnitSystem): UnitId {
  const unit = def.show?.[system] ?? displayUnit(def.quantity, system)
  const value = unit === 'd' ? shownNumber(result) : null
  return value !== null && Math.abs(fromCore(value, unit)) < 1 ? 'h' : unit
}
