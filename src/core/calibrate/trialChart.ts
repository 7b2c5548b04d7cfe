import { burntWidth, linePeak, radiusAt } from '../optics'
import { fitLine } from './fit'
import { fitFocus, type FocusFit } from './focusFit'
import { alternateSpeeds } from './trialAlternate'
import { circleReadingsOf } from './trialCircle'
import { delaySpeeds } from './trialDelay'
import { numberIn } from './trial'
import { outlinesOf, sayOutline, type OutlineDef } from './trialOutline'
import { focusLines, FOCUS_SETS } from './trialFocus'
import type { Trial, TrialKindId } from './trialSlice'

/** What was read of a trial, as points over what says most about it. */
export interface TrialChart {
  /** What goes across: mm/s, mm or degrees; upwards always mm. */
  readonly across: 'speed' | 'length' | 'degrees'
  readonly titles: readonly [across: string, up: string]
  readonly series: readonly {
    readonly name: string
    readonly points: readonly (readonly [number, number])[]
    /** The ends of the line through them. */
    readonly line: readonly (readonly [number, number])[] | null
    /** Lines of the model that was fitted to them. */
    readonly model?: readonly (readonly (readonly [number, number])[])[]
  }[]
}

type Read = Pick<Trial, 'numbers' | 'readings'>

function valueAt({ readings }: Read, id: string): number | null {
  return readings[id]?.value ?? null
}

/** Points of readings over a speed, with the line through three or more. */
function overSpeed(trial: Read, name: string, speeds: readonly number[], idOf: (n: number) => string) {
  const points = speeds.flatMap((speed, i): [number, number][] => {
    const value = valueAt(trial, idOf(i + 1))
    return value === null ? [] : [[speed, value]]
  })
  if (points.length < 3) return { name, points, line: null }
  const { slope, intercept } = fitLine(points.map(([commanded, measured]) => ({ commanded, measured })))
  const last = Math.max(...speeds)
  const line: [number, number][] = [
    [0, intercept],
    [last, intercept + slope * last],
  ]
  return { name, points, line }
}

const ROUND = { along: null, order: 2 } as const
/** Places at which a model's line is worked. */
const STEPS = 40

/** Widths over the gap, with what the fitted beam would burn; null while nobody read how the board lies. */
function focusChart(trial: Read, flat: { readonly along: string | null; readonly order: number }): TrialChart | null {
  const [gap, lift, run] = ['gap', 'lift', 'run'].map((it) => valueAt(trial, it))
  if (gap == null || lift == null || run == null || !(run > 0)) return null
  const series = (['y', 'x'] as const).map((across) => {
    const lines = focusLines(trial, across).flatMap(({ id, along, energy }) => {
      const width = valueAt(trial, id)
      return width === null || width === 0 ? [] : [{ gap: gap - (lift * along) / run, energy, width }]
    })
    const fit = fitFocus(lines, flat.along === across ? { about: flat.order } : 2)
    const gaps = lines.map((it) => it.gap)
    const [low, high] = [Math.min(...gaps), Math.max(...gaps)]
    const at = (i: number): number => low + ((high - low) * i) / STEPS
    const model =
      fit === null
        ? []
        : FOCUS_SETS.map((energy) =>
            Array.from({ length: STEPS + 1 }, (_, i): [number, number] => [at(i), widthOf(fit, at(i), energy)]).filter(
              ([, it]) => it > 0,
            ),
          )
    return {
      name: `Across ${across.toUpperCase()}`,
      points: lines.map((it): [number, number] => [it.gap, it.width]),
      line: null,
      model,
    }
  })
  return {
    across: 'length',
    titles: ['Gap from head to board', 'Width of the line'],
    series: series.filter((it) => it.points.length > 0),
  }
}

/** Width that a fitted beam would burn. */
function widthOf(fit: FocusFit, gap: number, energy: number): number {
  const side = { radius: radiusAt(fit, gap - fit.gap), order: fit.order }
  return burntWidth((energy * linePeak(side)) / fit.threshold, side)
}

/**
 * The chart of a trial; null where its kind needs none. @param flat Along which axis the spot's flat side lies, and how flat it is.
 * @throws {RangeError} where it lacks a number of its kind.
 */
export function trialChart(
  kind: TrialKindId,
  trial: Read,
  flat: { readonly along: string | null; readonly order: number } = ROUND,
): TrialChart | null {
  switch (kind) {
    case 'delay':
      return {
        across: 'speed',
        titles: ['Speed', 'To the right of its upright'],
        series: [
          overSpeed(trial, 'Begins', delaySpeeds(trial), (n) => `start-${n}`),
          overSpeed(trial, 'Ends', delaySpeeds(trial), (n) => `end-${n}`),
        ],
      }
    case 'alternate':
      return {
        across: 'speed',
        titles: ['Speed', 'Second line right of the first'],
        series: [
          overSpeed(trial, 'Left ends', alternateSpeeds(trial), (n) => `${n}-left`),
          overSpeed(trial, 'Right ends', alternateSpeeds(trial), (n) => `${n}-right`),
        ],
      }
    case 'outline': {
      const nameOf = (it: OutlineDef): string => sayOutline(it, numberIn(trial, 'small'))
      const names = [...new Set(outlinesOf(trial).map(nameOf))]
      const gaps = outlinesOf(trial).flatMap((it) => {
        const [x, y] = [valueAt(trial, `${it.id}-x`), valueAt(trial, `${it.id}-y`)]
        return x === null || y === null ? [] : [{ name: nameOf(it), at: [x, y] as const }]
      })
      const series = names.map((name) => ({ name, points: gaps.filter((it) => it.name === name).map((it) => it.at), line: null }))
      return { across: 'length', titles: ['End beyond start along X', 'Along Y'], series }
    }
    case 'circle': {
      const defs = circleReadingsOf(trial)
      const labels = [...new Set(defs.map((it) => it.id.charAt(0)))]
      const series = labels.map((label) => ({
        name: `Circle ${label}`,
        points: defs
          .filter((it) => it.id.startsWith(label) && !it.inside)
          .flatMap((it): [number, number][] => {
            const value = valueAt(trial, it.id)
            return value === null ? [] : [[(it.angleRad * 180) / Math.PI, value - it.diameter]]
          }),
        line: null,
      }))
      return { across: 'degrees', titles: ['Direction from X, °', 'Read over the outside, less commanded'], series }
    }
    case 'focus':
      return focusChart(trial, flat)
    case 'wedge':
    case 'pointer':
    case 'kerf':
    case 'rectangle':
    case 'moves':
    case 'bands':
      return null
  }
}
