import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { densityWatching, scaleNeeded, type SafetyView } from './figures'
import { labelAt, readLabel, type LabelAt } from './label'
import { scaleReached } from './exposure'
import type { SafetyBench } from './slice'

const figure = figureOf<SafetyView>()
const MM = 1e-3

/** Every pair of glasses that is compared. */
export const aGlasses = subjectOf<SafetyBench>()('glasses', ({ safety }): [glassesId: string][] =>
  Object.keys(safety.glasses).map((id) => [id]),
)

const gone = 'these are no longer there'

export const glassesLabel = figure({
  id: 'safety.glassesLabel',
  of: aGlasses,
  label: 'What the label comes to',
  quantity: 'opticalDensity',
  formula: 'D, n',
  symbols: {},
  source:
    'EN 207:2017, clause 6 and table 1; ANSI Z136.7 (from memory): what does not name the wavelength, and what nobody certifies, is nothing.',
  doubt: { none: 'a label is read as it stands' },
  work(view, id: string): LabelAt {
    const glasses = view.bench.safety.glasses[id]
    if (glasses === undefined) throw new NotYet(gone)
    const { label, proof, certificate } = glasses
    return labelAt(readLabel(label), view.bench.optics.wavelength, { proof, certificate })
  },
})

export const glassesDense = figure({
  id: 'safety.glassesDense',
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
  id: 'safety.glassesWithstand',
  of: aGlasses,
  label: 'Scale number beyond what is needed',
  quantity: 'ratio',
  signs: { above: 'to spare', below: 'missing' },
  formula: 'm = n_{\\text{label}} - n',
  symbols: {},
  source: 'EN 207:2017, table 1 and annex B, by what its filter is of (from memory); 0 is the limit.',
  doubt: 'nudge',
  work(view, id: string): number {
    const glasses = view.bench.safety.glasses[id]
    if (glasses === undefined) throw new NotYet(gone)
    const needed = scaleReached(view.bench.optics.power, view.bench.safety.beamAtEyewear * MM, glasses.filter)
    return view.figure(glassesLabel, id).scale - needed
  },
})

/** What the label of a pair comes to, or nothing where none is pointed at. */
export function pointedAt(view: View<SafetyView>, id: string): LabelAt | null {
  return id !== '' && view.bench.safety.glasses[id] !== undefined ? view.figure(glassesLabel, id) : null
}

/**
 * What a label is certified for. What only a seller says leaves it open, where that would be enough; without a pair it is 0.
 */
function certified(at: LabelAt | null, key: 'density' | 'scale', needed: number): number {
  if (at === null) return 0
  const told = key === 'density' ? at.toldDensity : at.toldScale
  if (at[key] < needed && told >= needed)
    throw new NotYet('what is printed on it is a seller’s word until a mark or a named certificate stands behind it')
  return at[key]
}

export const wornDensity = figure({
  id: 'safety.wornDensity',
  label: 'Density that the eyewear is certified for',
  quantity: 'opticalDensity',
  formula: 'D_e',
  symbols: {},
  source: 'Of the pair that is worn, by its label at the wavelength of the beam; without one it is 0.',
  doubt: 'nudge',
  work: (view): number => certified(pointedAt(view, view.bench.safety.worn), 'density', view.figure(densityWatching)),
})

export const eyewearMargin = figure({
  id: 'safety.eyewearMargin',
  label: 'Density of the eyewear beyond what is needed',
  quantity: 'opticalDensity',
  formula: 'm = \\v{D_e} - \\v{D}',
  symbols: { D_e: '=safety.wornDensity', D: '=safety.densityWatching' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.figure(wornDensity) - view.figure(densityWatching),
})

export const wornScale = figure({
  id: 'safety.wornScale',
  label: 'Scale number that the eyewear is certified for',
  quantity: 'ratio',
  formula: 'n_e',
  symbols: {},
  source: 'Of the pair that is worn, by its label at the wavelength of the beam; without one it is 0.',
  doubt: 'nudge',
  work: (view): number => certified(pointedAt(view, view.bench.safety.worn), 'scale', view.figure(scaleNeeded)),
})

export const scaleMargin = figure({
  id: 'safety.scaleMargin',
  label: 'Scale number of the eyewear beyond what is needed',
  quantity: 'ratio',
  formula: 'm = \\v{n_e} - \\v{n}',
  symbols: { n_e: '=safety.wornScale', n: '=safety.scaleNeeded' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.figure(wornScale) - view.figure(scaleNeeded),
})
