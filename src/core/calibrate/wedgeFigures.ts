import { figureOf, NotYet, subjectOf, type Plain } from '../bench'
import { newestTrial } from './newestTrial'
import { LEAST_LIT, type CurvePoint } from './powerCurve'
import type { CalibrateBench } from './slice'
import type { Trial } from './trialSlice'
import { speedAtEdge, WEDGE_PERCENTS } from './trialWedge'

const figure = figureOf<CalibrateBench>()

/** Rows of the step wedges, but for the last, which the others are held against. */
const aRow = subjectOf<CalibrateBench>()('row of a step wedge', ({ calibrate }): [trialId: string, percent: string][] =>
  Object.keys(calibrate.trials.wedge).flatMap((id) =>
    WEDGE_PERCENTS.slice(0, -1).map((percent): [string, string] => [id, String(percent)]),
  ),
)

/** Speed at which a row fades, mm/s; null where it was not read, or nothing or all of it is seen. */
function edgeOf(trial: Plain<Trial>, percent: number): number | null {
  const name = `p${percent}`
  if (!Object.keys(trial.readings).includes(name)) return null
  return speedAtEdge(trial, trial.readings[name] ?? 0)
}

/** Light of a row, of that at full power. @throws {NotYet} where the last row says nothing. */
function lightOf(trial: Plain<Trial>, percent: number): number | null {
  const full = edgeOf(trial, 100)
  if (full === null) {
    throw new NotYet(
      'read how far the row of 100% is seen; where all of it is, lower the sheet more or go faster and burn it again',
    )
  }
  const edge = edgeOf(trial, percent)
  return edge === null ? null : edge / full
}

export const wedgeLight = figure({
  id: 'calibrate.wedgeLight',
  of: aRow,
  label: 'Light at this power, of that at full',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'p = v_s / v_{100}',
  symbols: {},
  source: 'Each row fades at the same energy of a millimetre, P/v, so that the speeds at which they fade are as their light.',
  doubt: 'nudge',
  work(view, id: string, percent: string): number {
    const trial = view.bench.calibrate.trials.wedge[id]
    if (trial === undefined) throw new NotYet('burn the wedge and read it')
    const light = lightOf(trial, Number(percent))
    if (light === null) throw new NotYet('read how far this row is seen; a row that is not seen at all had no light')
    return light
  },
})

interface WedgeTrials {
  readonly wedge: Readonly<Record<string, Plain<Trial>>>
}

/**
 * What the newest step wedge says of the power curve. @param most Light at full power, W.
 * @returns Nothing where there is none, or too little of it was read. @throws {RangeError} where the trial lacks a number.
 * Valid: rows that fade within their length. Source: line energy P/v at the edge.
 */
export function wedgePoints(trials: Parameters<typeof newestTrial>[0] & WedgeTrials, most: number): readonly CurvePoint[] {
  const id = newestTrial(trials, 'wedge')
  const trial = id === null ? undefined : trials.wedge[id]
  if (trial === undefined || edgeOf(trial, 100) === null) return []
  const points = WEDGE_PERCENTS.flatMap((percent) => {
    const light = lightOf(trial, percent)
    return light === null ? [] : [{ share: percent / 100, watts: light * most }]
  })
  return points.length < LEAST_LIT ? [] : points
}
