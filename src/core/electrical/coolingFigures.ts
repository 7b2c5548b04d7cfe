import { figureOf, NotYet, type View } from '../bench'
import { cooled, coolerFrom, type Cooled } from './cooler'
import { diodeAmps, lightFull } from './driverFigures'
import { otherFan } from './fan'
import { chainTemperature, dewPoint, lifeFactor } from './thermal'
import type { ElectricalBench } from './slice'

const figure = figureOf<ElectricalBench>()
const coolingOf = (view: View<ElectricalBench>) => view.bench.electrical.cooling

export const diodeHeat = figure({
  id: 'electrical.diodeHeat',
  label: 'Heat of the diode at full power',
  quantity: 'power',
  formula: 'Q = \\v{V_f}\\cdot \\v{I} - \\v{P}',
  symbols: { V_f: 'electrical.driver.forward', I: '=electrical.diodeAmps', P: '=electrical.lightFull' },
  source: 'Balance of power: what goes in and does not come out as light.',
  doubt: 'nudge',
  work: (view): number => view.bench.electrical.driver.forward * view.figure(diodeAmps) - view.figure(lightFull),
})

/** A cooler that carries a heat, W. @throws {NotYet} where there is none. */
function coolerAt(view: View<ElectricalBench>, heat: number): Cooled {
  const { kind, mostAmps, mostVolts, mostStep, ratedAt, amps, air, sink } = coolingOf(view)
  if (kind !== 'cooler') throw new NotYet('choose the thermoelectric cooler')
  if ([mostAmps, mostVolts, mostStep, amps].some(Number.isNaN)) throw new NotYet('enter what the cooler’s data sheet says')
  const cooler = coolerFrom({ mostAmps, mostVolts, mostStepK: mostStep, ratedAtC: ratedAt })
  return cooled(cooler, heat, amps, air, sink)
}

export const coldSide = figure({
  id: 'electrical.coldSide',
  label: 'Cold side, beam full on',
  quantity: 'temperature',
  formula: 'Q = \\alpha I T_c - \\tfrac{1}{2} I^2 R - K (T_h - T_c)',
  symbols: {},
  source: 'Balance of both sides of the cooler, from its data sheet.',
  doubt: 'nudge',
  work: (view): number => coolerAt(view, view.figure(diodeHeat)).coldC,
})

export const coldestSide = figure({
  id: 'electrical.coldestSide',
  label: 'Cold side, beam off',
  quantity: 'temperature',
  formula: '0 = \\alpha I T_c - \\tfrac{1}{2} I^2 R - K (T_h - T_c)',
  symbols: {},
  source: 'The same with no heat to move: as cold as it gets.',
  doubt: 'nudge',
  work: (view): number => coolerAt(view, 0).coldC,
})

/** Temperature of the diode's case with a mean heat, °C. */
function caseAt(view: View<ElectricalBench>, heat: number): number {
  const { kind, air, body, sink } = coolingOf(view)
  return kind === 'cooler' ? coolerAt(view, heat).coldC + heat * body : chainTemperature(air, heat, [body, sink])
}

export const diodeTemperature = figure({
  id: 'electrical.diodeTemperature',
  label: 'Case of the diode, beam full on for good',
  quantity: 'temperature',
  formula: 'T = \\v{T_a} + \\v{Q}\\,(\\v{R_1} + \\v{R_2})\\quad\\text{or}\\quad T = \\v{T_c} + \\v{Q}\\cdot \\v{R_1}',
  forms: { by: 'electrical.cooling.kind', of: { fan: 0, cooler: 1 } },
  symbols: {
    T_a: 'electrical.cooling.air',
    Q: '=electrical.diodeHeat',
    R_1: 'electrical.cooling.body',
    R_2: 'electrical.cooling.sink',
    T_c: '=electrical.coldSide',
  },
  source: 'Thermal Ohm’s law; behind a cooler from its cold side on.',
  doubt: 'nudge',
  work: (view): number => caseAt(view, view.figure(diodeHeat)),
})

export const sinkTemperature = figure({
  id: 'electrical.sinkTemperature',
  label: 'Heat sink, beam full on for good',
  quantity: 'temperature',
  formula: 'T = \\v{T_a} + \\v{Q}\\cdot \\v{R}\\quad\\text{or}\\quad T = \\v{T_a} + \\v{Q_h}\\cdot \\v{R}',
  forms: { by: 'electrical.cooling.kind', of: { fan: 0, cooler: 1 } },
  symbols: {
    T_a: 'electrical.cooling.air',
    Q: '=electrical.diodeHeat',
    Q_h: '=electrical.hotSideHeat',
    R: 'electrical.cooling.sink',
  },
  source: 'Thermal Ohm’s law; behind a cooler with what its hot side gives.',
  doubt: 'nudge',
  work(view): number {
    const { kind, air, sink } = coolingOf(view)
    const heat = view.figure(diodeHeat)
    return kind === 'cooler' ? coolerAt(view, heat).hotC : chainTemperature(air, heat, [sink])
  },
})

export const workTemperature = figure({
  id: 'electrical.workTemperature',
  label: 'Case of the diode at work, on the mean',
  quantity: 'temperature',
  formula: 'T = T(\\v{s}\\cdot \\v{Q})',
  symbols: { s: 'electrical.cooling.share', Q: '=electrical.diodeHeat' },
  source: 'Thermal Ohm’s law with the mean heat; minutes of beam and pause level out in the heat sink.',
  doubt: 'nudge',
  work: (view): number => caseAt(view, coolingOf(view).share * view.figure(diodeHeat)),
})

/** Halvings until a share is known to 1e-10. */
const HALVINGS = 40

export const shareMost = figure({
  id: 'electrical.shareMost',
  label: 'Share of the time the beam may be on; from 100 % for good',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = \\dfrac{T_m - T_a}{Q\\,(R_1 + R_2)},\\; \\text{at most twice the whole}',
  symbols: {},
  source: 'Thermal Ohm’s law, turned round; behind a cooler found by halving.',
  doubt: 'nudge',
  work(view): number {
    const { hottest } = coolingOf(view)
    const heat = view.figure(diodeHeat)
    if (Number.isNaN(hottest + heat)) throw new NotYet('enter what the diode takes and bears')
    const fits = (share: number): boolean => isBelow(() => caseAt(view, share * heat), hottest)
    let [low, high] = [0, 2]
    if (fits(high)) return high
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2
      if (fits(middle)) low = middle
      else high = middle
    }
    return low
  },
})

/** A cooler whose hot side runs away is not below anything. */
function isBelow(work: () => number, limit: number): boolean {
  try {
    return work() <= limit
  } catch (error) {
    if (error instanceof RangeError) return false
    throw error
  }
}

export const shareRoom = figure({
  id: 'electrical.shareRoom',
  label: 'Beam may be on for longer than it is by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = \\v{s_m} - \\v{s}',
  symbols: { s_m: '=electrical.shareMost', s: 'electrical.cooling.share' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(shareMost) - coolingOf(view).share,
})

export const dewPointOfAir = figure({
  id: 'electrical.dewPoint',
  label: 'Water condenses below',
  quantity: 'temperature',
  formula: 'g = \\ln h + \\dfrac{17.62\\,T}{243.12 + T},\\quad T_d = \\dfrac{243.12\\,g}{17.62 - g}',
  symbols: {},
  source: 'Magnus formula, WMO-No. 8 (from memory).',
  doubt: 'nudge',
  work: (view): number => dewPoint(coolingOf(view).air, coolingOf(view).humidity),
})

export const coldestRoom = figure({
  id: 'electrical.coldestRoom',
  label: 'Cold side above the dew point by',
  quantity: 'temperatureStep',
  formula: 'm = \\v{T_c} - \\v{T_d}',
  symbols: { T_c: '=electrical.coldestSide', T_d: '=electrical.dewPoint' },
  source: 'The cold side with the beam off: as cold as it gets.',
  doubt: 'nudge',
  work: (view): number => view.figure(coldestSide) - view.figure(dewPointOfAir),
})

export const coolerWatts = figure({
  id: 'electrical.coolerWatts',
  label: 'The cooler itself takes',
  quantity: 'power',
  formula: 'P = \\alpha I\\,(T_h - T_c) + I^2 R',
  symbols: {},
  source: 'Balance of the cooler, from its data sheet.',
  doubt: 'nudge',
  work: (view): number => coolerAt(view, view.figure(diodeHeat)).watts,
})

export const coolerWorth = figure({
  id: 'electrical.coolerWorth',
  label: 'Heat moved for each watt it takes',
  quantity: 'ratio',
  formula: 'c = \\dfrac{\\v{Q}}{\\v{P}}',
  symbols: { Q: '=electrical.diodeHeat', P: '=electrical.coolerWatts' },
  source: 'Coefficient of performance, by definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(diodeHeat) / view.figure(coolerWatts),
})

export const hotSideHeat = figure({
  id: 'electrical.hotSideHeat',
  label: 'Its heat sink has to carry',
  quantity: 'power',
  formula: 'Q_h = \\v{Q} + \\v{P}',
  symbols: { Q: '=electrical.diodeHeat', P: '=electrical.coolerWatts' },
  source: 'Balance of the cooler: what it moves and what it takes.',
  doubt: 'nudge',
  work: (view): number => view.figure(diodeHeat) + view.figure(coolerWatts),
})

export const lifeShare = figure({
  id: 'electrical.lifeShare',
  label: 'Life at that temperature, of the stated one',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'f = \\exp\\!\\left(\\dfrac{E}{k}\\left(\\dfrac{1}{T} - \\dfrac{1}{T_0}\\right)\\right)',
  symbols: {},
  source: 'Arrhenius; the activation energy is of the order of 0.6 eV, and makes most of the ±.',
  doubt: 'nudge',
  work: (view): number => lifeFactor(coolingOf(view).activation, coolingOf(view).lifeAt, view.figure(workTemperature)),
})

export const lifeLeft = figure({
  id: 'electrical.lifeLeft',
  label: 'Life to expect, beam on',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: 't = \\v{t_0}\\cdot \\v{f}',
  symbols: { t_0: 'electrical.cooling.life', f: '=electrical.lifeShare' },
  source: 'Stated life times the Arrhenius factor.',
  doubt: 'nudge',
  work: (view): number => coolingOf(view).life * view.figure(lifeShare),
})

/** What the fan instead would do. */
function fanInstead(view: View<ElectricalBench>) {
  const { fanSize, fanSpeed, fanFlow, fanAmps, fanNoise, newSize, newSpeed } = coolingOf(view)
  if (Number.isNaN(fanSize + fanSpeed + newSize + newSpeed)) throw new NotYet('enter size and speed of both fans')
  return otherFan({ sizeMm: fanSize, turns: fanSpeed, flow: fanFlow, amps: fanAmps, noise: fanNoise }, newSize, newSpeed)
}

export const newFlow = figure({
  id: 'electrical.newFlow',
  label: 'Flow of the fan instead',
  quantity: 'flow',
  formula: 'q = q_1 (D/D_1)^3\\, n/n_1',
  symbols: {},
  source: 'Fan laws (from memory): like fans against the same duct.',
  doubt: 'nudge',
  work: (view): number => fanInstead(view).flow,
})

export const newAmps = figure({
  id: 'electrical.newAmps',
  label: 'Current of the fan instead',
  quantity: 'current',
  formula: 'I = I_1 (D/D_1)^5 (n/n_1)^3',
  symbols: {},
  source: 'Fan laws (from memory), at the same voltage.',
  doubt: 'nudge',
  work: (view): number => fanInstead(view).amps,
})

export const newNoise = figure({
  id: 'electrical.newNoise',
  label: 'Noise of the fan instead',
  quantity: 'level',
  formula: 'L = L_1 + 70\\lg (D/D_1) + 50\\lg (n/n_1)',
  symbols: {},
  source: 'Fan laws (from memory).',
  doubt: 'nudge',
  work: (view): number => fanInstead(view).noise,
})

/** Of the moved air a heat sink's resistance falls by, at least and at most: smooth and rough flow (common practice). */
const POWERS = [0.5, 0.8] as const

export const newTemperature = figure({
  id: 'electrical.newTemperature',
  label: 'Case of the diode with the fan instead',
  quantity: 'temperature',
  formula: 'T = T_a + Q\\,(R_1 + R_2 (q_1/q)^{p}),\\; p = 0.5 \\ldots 0.8',
  symbols: {},
  source:
    'Resistance of a heat sink with the 0.5th (smooth) to 0.8th (rough flow) power of the air moved; the warmer one is shown.',
  doubt: 'nudge',
  work(view): number {
    const { air, body, sink, fanFlow, kind } = coolingOf(view)
    if (kind === 'cooler') throw new NotYet('see the heat sink of the cooler in its own sheet')
    const ratio = fanFlow / fanInstead(view).flow
    const warmer = Math.max(...POWERS.map((p) => sink * ratio ** p))
    return chainTemperature(air, view.figure(diodeHeat), [body, warmer])
  },
})
