import type { WithDoubt } from '../core/bench'
import { displayUnit, type UnitId, type UnitSystem } from '../core/units'

/** The unit in which a figure is shown. */
export function figureUnit({ def }: Pick<WithDoubt, 'def'>, system: UnitSystem): UnitId {
  return def.show?.[system] ?? displayUnit(def.quantity, system)
}
