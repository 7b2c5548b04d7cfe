import { shownNumber, type AnyFigure, type FigureDef } from '../../core/bench'
import type { Bench } from '../../core/document'
import { sayExact, type UnitId } from '../../core/units'
import { engineOf, useVerdicts } from '../../state'

/** A figure of one thing as it is written on the drawing; empty while it is not known. */
export function useSaid(bench: Bench, def: AnyFigure, id: string, unit: UnitId, digits: number): string {
  const value = shownNumber(engineOf(bench).value(def as FigureDef<Bench, readonly [string]>, id).result)
  return value === null ? '' : sayExact(Number(value.toPrecision(digits)), unit)
}

/** The worst verdict about one block or wire. */
export function useWorst(id: string): 'good' | 'look' | 'stop' | 'unknown' | null {
  const marks = useVerdicts('power')
    .filter((it) => it.args.at(-1) === id)
    .map((it) => it.mark)
  return (['stop', 'unknown', 'look', 'good'] as const).find((it) => marks.includes(it)) ?? null
}
