import { figureOf, NotYet, subjectOf } from '../bench'
import { densityWatching, scaleNeeded, type SafetyView } from '../safety'
import { labelAt, readLabel, type LabelAt } from './label'
import type { ReachBench } from './slice'

const figure = figureOf<SafetyView & ReachBench>()

/** Every pair of glasses that is compared. */
export const aGlasses = subjectOf<ReachBench>()('glasses', ({ reach }): [glassesId: string][] =>
  Object.keys(reach.glasses).map((id) => [id]),
)

export const glassesLabel = figure({
  id: 'reach.glassesLabel',
  of: aGlasses,
  label: 'What the label comes to',
  quantity: 'opticalDensity',
  formula: 'D, n',
  symbols: {},
  source: 'EN 207:2017, clause 6 and table 1 (from memory): what does not name the wavelength is nothing.',
  doubt: { none: 'a label is read as it stands' },
  work(view, id: string): LabelAt {
    const glasses = view.bench.reach.glasses[id]
    if (glasses === undefined) throw new NotYet('these are no longer there')
    return labelAt(readLabel(glasses.label), view.bench.optics.wavelength)
  },
})

export const glassesDense = figure({
  id: 'reach.glassesDense',
  of: aGlasses,
  label: 'Density beyond what is needed',
  quantity: 'opticalDensity',
  signs: { above: 'to spare', below: 'missing' },
  formula: 'm = D_{\\text{label}} - \\v{D}',
  symbols: { D: '=safety.densityWatching' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(glassesLabel, id).density - view.figure(densityWatching),
})

export const glassesWithstand = figure({
  id: 'reach.glassesWithstand',
  of: aGlasses,
  label: 'Scale number beyond what is needed',
  quantity: 'ratio',
  signs: { above: 'to spare', below: 'missing' },
  formula: 'm = n_{\\text{label}} - \\v{n}',
  symbols: { n: '=safety.scaleNeeded' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(glassesLabel, id).scale - view.figure(scaleNeeded),
})
