import { figureOf, subjectOf } from '../bench'
import type { HousingBench } from '../housing'
import { densityWatching, type SafetyView } from './figures'

const figure = figureOf<SafetyView & HousingBench>()

/** A window that somebody has said there is. */
export const aWindow = subjectOf<HousingBench>()('window', ({ housing }): readonly [][] =>
  housing.window.kept.chosen === 'yes' || Object.values(housing.ports).some((it) => it.kind === 'window') ? [[]] : [],
)

export const windowMargin = figure({
  id: 'safety.windowMargin',
  of: aWindow,
  label: 'Density of the window beyond what is needed',
  quantity: 'opticalDensity',
  formula: 'm = \\v{D_w} - \\v{D}',
  symbols: { D_w: 'housing.window.density', D: '=safety.densityWatching' },
  source: 'As eyewear; without a certificate a window counts as 0 (IEC 60825-4, from memory).',
  doubt: 'nudge',
  work(view): number {
    const isStated = !Number.isNaN(view.asEntered.housing.window.density)
    return (isStated ? view.bench.housing.window.density : 0) - view.figure(densityWatching)
  },
})
