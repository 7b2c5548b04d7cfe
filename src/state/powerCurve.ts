import { setAt, templateOf, valuesOf } from '../core/bench'
import { curvePointShape } from '../core/calibrate'
import { newId } from '../data/ids'
import { editBench } from './benchStore'
import { told, type Told } from './told'

/** Powers that a curve is begun with, percent of full. */
const USUAL = [0, 5, 10, 20, 40, 60, 80, 100]

/** Adds powers at which the light is to be read; those that are there stay. @param percents None: the usual ones. */
export function addCurvePoints(percents: readonly number[] = USUAL): Told {
  if (percents.some((it) => !(it >= 0 && it <= 100))) return told('Type a power from 0 to 100 %.')
  return editBench('powers of the curve', (bench) => {
    const there = new Set(valuesOf(bench.calibrate.curve).map((it) => it.percent))
    const fresh = percents.filter((it) => !there.has(it))
    return fresh.reduce(
      (next, percent) => setAt(next, `calibrate.curve.${newId()}`, templateOf(curvePointShape, { order: percent, percent })),
      bench,
    )
  })
}

export function removeCurvePoint(id: string): Told {
  return editBench('a power of the curve taken away', (bench) => setAt(bench, `calibrate.curve.${id}`, undefined))
}
