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
  if (value === null) return null
  const shown = figure.def.signs === undefined ? value : Math.abs(value)
  return printQuantity(shown, figure.doubt?.expanded ?? null, figureUnit(figure, system))
}

/** The sign of a figure in words, where it is said so; null where its number bears it. */
export function signOf({ def, result }: Pick<WithDoubt, 'def' | 'result'>): string | null {
  const value = shownNumber(result)
  if (def.signs === undefined || value === null) return null
  return value < 0 ? def.signs.below : def.signs.above
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
