import { figureOf, subjectOf } from '../bench'
import type { HousingBench } from '../housing'
import { densityWatching, type SafetyView } from './figures'
import { pointedAt } from './glassesFigures'

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
  formula: 'm = D_{\\text{label}} - \\v{D}',
  symbols: { D: '=safety.densityWatching' },
  source:
    'As eyewear, by its label at the wavelength of the beam; without a certificate a window counts as 0 (IEC 60825-4, from memory).',
  doubt: 'nudge',
  work: (view): number => (pointedAt(view, view.bench.safety.window)?.density ?? 0) - view.figure(densityWatching),
})
