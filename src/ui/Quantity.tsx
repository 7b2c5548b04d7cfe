import type { WithDoubt } from '../core/bench'
import { figureUnit, shownNumber } from '../core/bench'
import { printQuantity, type Printed, type UnitSystem } from '../core/units'
import { useBenchStore } from '../state'

/** The open bench's system of units. */
export function useUnits(): UnitSystem {
  return useBenchStore(({ bench }) => bench?.units ?? 'metric')
}

/** A figure printed in the bench's system; null while it is not known. */
export function printFigure(figure: WithDoubt, system: UnitSystem): Printed | null {
  const value = shownNumber(figure.result)
  return value === null ? null : printQuantity(value, figure.doubt?.expanded ?? null, figureUnit(figure, system))
}

/** A number with ± and unit, in the mono face; a dash while it is not known. */
export function Quantity({ of, guessed = false }: { readonly of: Printed | null; readonly guessed?: boolean }) {
  if (of === null) return <span className="num text-second">not known yet</span>
  return (
    <span className="num whitespace-nowrap">
      <span className={`text-[15px] ${guessed ? 'origin-assumed' : ''}`}>{of.value}</span>
      <span className="text-[12px] text-second">
        {of.plusMinus !== null && <> ± {of.plusMinus}</>}
        {of.unit !== '' && <> {of.unit}</>}
      </span>
    </span>
  )
}
