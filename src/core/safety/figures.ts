import { figureOf, type View } from '../bench'
import type { OpticsBench } from '../optics'
import { exposureLimit, requiredDensity, scaleReached, wideBeamFactor } from './exposure'
import type { SafetyBench } from './slice'

export type SafetyView = OpticsBench & SafetyBench
const figure = figureOf<SafetyView>()

/** Watching a burn, s. A glance at a visible beam, and a glance at an invisible one. */
const WATCHING = 100
const BLINK = 0.25
const NO_BLINK = 10
/** Metres in a millimetre. */
const MM = 1e-3
const STANDARD = 'IEC 60825-1:2014, tables A.1 and A.2 (from memory); continuous, point source.'
const PUPIL = 'IEC 60825-1:2014: whole beam through a 7 mm pupil (from memory). A pulsed beam counts with its peak power.'

function limitAt(view: View<OpticsBench>, seconds: number): number {
  return exposureLimit(view.bench.optics.wavelength, seconds)
}

export const limitWatching = figure({
  id: 'safety.limitWatching',
  label: 'Exposure limit, watching for 100 s',
  quantity: 'irradiance',
  formula: 'E_{100} = \\mathrm{MPE}(\\v{\\lambda},\\, 100\\,\\mathrm{s})',
  symbols: { '\\lambda': 'optics.wavelength' },
  source: STANDARD,
  doubt: 'nudge',
  work: (view): number => limitAt(view, WATCHING),
})

export const densityWatching = figure({
  id: 'safety.densityWatching',
  label: 'Optical density to watch, 100 s',
  quantity: 'opticalDensity',
  formula: 'D = \\log_{10}\\dfrac{\\v{P}}{\\pi\\,(3.5\\,\\mathrm{mm})^2\\;\\v{E_{100}}}',
  symbols: { P: 'optics.power', 'E_{100}': '=safety.limitWatching' },
  source: PUPIL,
  doubt: 'nudge',
  work: (view): number => requiredDensity(view.bench.optics.power, view.figure(limitWatching)),
})

export const limitGlance = figure({
  id: 'safety.limitGlance',
  label: 'Exposure limit, a glance',
  quantity: 'irradiance',
  formula:
    'E_g = \\mathrm{MPE}(\\v{\\lambda},\\, t),\\quad t = 0.25\\,\\mathrm{s}\\ \\text{below 700 nm, else}\\ 10\\,\\mathrm{s}',
  symbols: { '\\lambda': 'optics.wavelength' },
  source: `${STANDARD} No blink protects from 700 nm on.`,
  doubt: 'nudge',
  work: (view): number => limitAt(view, view.bench.optics.wavelength < 700 ? BLINK : NO_BLINK),
})

export const densityGlance = figure({
  id: 'safety.densityGlance',
  label: 'Optical density for a glance',
  quantity: 'opticalDensity',
  formula: 'D_g = \\log_{10}\\dfrac{\\v{P}}{\\pi\\,(3.5\\,\\mathrm{mm})^2\\;\\v{E_g}}',
  symbols: { P: 'optics.power', E_g: '=safety.limitGlance' },
  source: PUPIL,
  doubt: 'nudge',
  work: (view): number => requiredDensity(view.bench.optics.power, view.figure(limitGlance)),
})

/** What the filter that is worn is of; as long as none is, the one that asks for more. */
const filterOf = ({ bench: { safety } }: View<SafetyBench>): 'glass' | 'plastic' => safety.glasses[safety.worn]?.filter ?? 'glass'

export const wideBeam = figure({
  id: 'safety.wideBeam',
  label: 'A wide beam counts more than one of 1 mm',
  quantity: 'ratio',
  formula: 'F = \\max(1,\\ d / 1\\,\\mathrm{mm})^{k}',
  symbols: {},
  source: 'EN 207:2009, annex B (from memory): d in mm, k 1.7 for glass, 1.17 for plastic.',
  doubt: 'nudge',
  work: (view): number => wideBeamFactor(view.bench.safety.beamAtEyewear * MM, filterOf(view)),
})

export const scaleNeeded = figure({
  id: 'safety.scaleNeeded',
  label: 'Scale number that withstands the beam',
  quantity: 'ratio',
  formula: 'n = \\log_{10}\\dfrac{4\\,\\v{P}\\,\\v{F}}{\\pi\\,\\v{d}^2} - 1',
  symbols: { P: 'optics.power', d: 'safety.beamAtEyewear', F: '=safety.wideBeam' },
  source: 'EN 207:2017, table 1: LB n withstands 10^(n+1) W/m² of a continuous beam for 5 s, 315…1400 nm (from memory).',
  doubt: 'nudge',
  work: (view): number => scaleReached(view.bench.optics.power, view.bench.safety.beamAtEyewear * MM, filterOf(view)),
})
