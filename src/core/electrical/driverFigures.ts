import { figureOf, NotYet, type View } from '../bench'
import { subjectOf } from '../bench'
import { lightAtShare, lightOf, type Modulated } from './light'
import { levelMargin, LOGIC } from './logic'
import type { ElectricalBench } from './slice'

const figure = figureOf<ElectricalBench>()
const driverOf = (view: View<ElectricalBench>) => view.bench.electrical.driver
const THRESHOLD = 'Threshold and slope of the data sheet; none below the threshold.'
const YES_OR_NO = { none: 'It is yes or no.' }

export const levelRoom = figure({
  id: 'electrical.levelRoom',
  label: 'Signal beyond what the input wants by',
  quantity: 'voltage',
  formula: 'm = \\min(V_{OH} - V_{IH},\\; V_{IL} - V_{OL})',
  symbols: {},
  source: 'JESD8C for 3.3 V, JESD7-A for 5 V CMOS (from memory).',
  doubt: 'nudge',
  work(view): number {
    const { gives, wants } = driverOf(view)
    if (wants === 'opto') throw new NotYet('see the current of the opto-coupler instead')
    return levelMargin(gives, wants)
  },
})

export const signalVolts = figure({
  id: 'electrical.signalVolts',
  label: 'Signal when high, unloaded',
  quantity: 'voltage',
  formula: 'V = \\text{supply of its logic}',
  symbols: {},
  source: 'By its family: 3.3 V or 5 V.',
  doubt: 'nudge',
  work: (view): number => LOGIC[driverOf(view).gives].volts,
})

/** Forward voltage of the light of an opto-coupler, V (common practice). */
const OPTO_FORWARD = 1.2

export const optoCurrent = figure({
  id: 'electrical.optoCurrent',
  label: 'Current into the opto-coupler',
  quantity: 'current',
  show: { metric: 'mA', inch: 'mA' },
  formula: 'I = \\dfrac{\\v{V} - 1.2}{\\v{R}}',
  symbols: { V: '=electrical.signalVolts', R: 'electrical.driver.optoOhms' },
  source: 'Ohm’s law behind the forward voltage of its light, 1.2 V (common practice).',
  doubt: 'nudge',
  work: (view): number => (view.figure(signalVolts) - OPTO_FORWARD) / driverOf(view).optoOhms,
})

export const optoRoom = figure({
  id: 'electrical.optoRoom',
  label: 'Beyond what the opto-coupler needs by',
  quantity: 'current',
  show: { metric: 'mA', inch: 'mA' },
  formula: 'm = \\v{I} - \\v{I_n}',
  symbols: { I: '=electrical.optoCurrent', I_n: 'electrical.driver.optoAmps' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(optoCurrent) - driverOf(view).optoAmps,
})

export const linearAmps = figure({
  id: 'electrical.linearAmps',
  label: 'Current that the source sets',
  quantity: 'current',
  formula: 'I = \\dfrac{\\v{U}}{\\v{R}}',
  symbols: { U: 'electrical.driver.senseVolts', R: 'electrical.driver.sense' },
  source: 'Ohm’s law at the sense resistor.',
  doubt: 'nudge',
  work: (view): number => driverOf(view).senseVolts / driverOf(view).sense,
})

/** The diode's current at full power, A: what a linear source sets, or as it was entered. */
export const diodeAmps = figure({
  id: 'electrical.diodeAmps',
  label: 'Current of the diode at full power',
  quantity: 'current',
  formula: 'I = \\text{what the source sets, or as entered}',
  symbols: {},
  source: 'Ohm’s law at the sense resistor, or as entered.',
  doubt: 'nudge',
  work: (view): number => (driverOf(view).kind === 'linear' ? view.figure(linearAmps) : driverOf(view).fullAmps),
})

export const diodeRoom = figure({
  id: 'electrical.diodeRoom',
  label: 'Share of what the diode bears to spare',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 1 - \\dfrac{\\v{I}}{\\v{I_m}}',
  symbols: { I: '=electrical.diodeAmps', I_m: 'electrical.driver.mostAmps' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => 1 - view.figure(diodeAmps) / driverOf(view).mostAmps,
})

export const headroom = figure({
  id: 'electrical.headroom',
  label: 'Headroom of the source at full current',
  quantity: 'voltage',
  formula: 'm = \\v{V} - \\v{V_f} - \\v{I}\\cdot \\v{R} - \\v{V_d}',
  symbols: {
    V: 'electrical.driver.feed',
    V_f: 'electrical.driver.forward',
    I: '=electrical.linearAmps',
    R: 'electrical.driver.sense',
    V_d: 'electrical.driver.loses',
  },
  source: 'Sum of voltages; an amplifier that reaches V+ − 1.5 V loses that (common practice).',
  doubt: 'nudge',
  work(view): number {
    const { feed, forward, sense, loses } = driverOf(view)
    return feed - forward - view.figure(linearAmps) * sense - loses
  },
})

export const linearMost = figure({
  id: 'electrical.linearMost',
  label: 'Most current that its supply allows',
  quantity: 'current',
  formula: 'I = \\max\\!\\left(0,\\; \\dfrac{\\v{V} - \\v{V_f} - \\v{V_d}}{\\v{R}}\\right)',
  symbols: {
    V: 'electrical.driver.feed',
    V_f: 'electrical.driver.forward',
    V_d: 'electrical.driver.loses',
    R: 'electrical.driver.sense',
  },
  source: 'Where the headroom is used up; none where the diode’s own voltage is not reached.',
  doubt: 'nudge',
  work(view): number {
    const { feed, forward, sense, loses } = driverOf(view)
    return Math.max(0, (feed - forward - loses) / sense)
  },
})

/** A channel when it is hot has half as much again. (common practice) */
const HOT = 1.5

export const driverHeat = figure({
  id: 'electrical.driverHeat',
  label: 'Heat in the driver’s transistor',
  quantity: 'power',
  formula: 'P = 1.5\\,\\v{I}^2 \\v{R_{on}}\\quad\\text{or}\\quad P = (\\v{V} - \\v{V_f} - \\v{I}\\cdot \\v{R})\\,\\v{I}',
  forms: { by: 'electrical.driver.kind', of: { transistor: 0, linear: 1 } },
  symbols: {
    I: '=electrical.diodeAmps',
    'R_{on}': 'electrical.driver.onOhms',
    V: 'electrical.driver.feed',
    V_f: 'electrical.driver.forward',
    R: 'electrical.driver.sense',
  },
  source: 'Joule heat, a hot channel at 1.5 times its resistance (common practice); of a linear source what it drops.',
  doubt: 'nudge',
  work(view): number {
    // What the other kind is asked for is not read: missing it must not make this unknown.
    const driver = driverOf(view)
    const amps = view.figure(diodeAmps)
    if (driver.kind === 'transistor') return HOT * amps ** 2 * driver.onOhms
    if (driver.kind === 'linear') return (driver.feed - driver.forward - amps * driver.sense) * amps
    throw new NotYet('only a transistor switch or a linear source is worked here')
  },
})

export const junction = figure({
  id: 'electrical.junction',
  label: 'Junction of the driver’s transistor',
  quantity: 'temperature',
  formula: 'T = \\v{T_a} + \\v{P}\\cdot \\v{R}',
  symbols: { T_a: 'electrical.cooling.air', P: '=electrical.driverHeat', R: 'electrical.driver.perWatt' },
  source: 'Thermal Ohm’s law.',
  doubt: 'nudge',
  work: (view): number => view.bench.electrical.cooling.air + view.figure(driverHeat) * driverOf(view).perWatt,
})

export const junctionRoom = figure({
  id: 'electrical.junctionRoom',
  label: 'Junction below its most by',
  quantity: 'temperatureStep',
  formula: 'm = \\v{T_m} - \\v{T}',
  symbols: { T_m: 'electrical.driver.hottest', T: '=electrical.junction' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => driverOf(view).hottest - view.figure(junction),
})

export const senseHeat = figure({
  id: 'electrical.senseHeat',
  label: 'Heat in the sense resistor',
  quantity: 'power',
  formula: 'P = \\v{I}^2 \\v{R}',
  symbols: { I: '=electrical.linearAmps', R: 'electrical.driver.sense' },
  source: 'Joule heat.',
  doubt: 'nudge',
  work: (view): number => view.figure(linearAmps) ** 2 * driverOf(view).sense,
})

export const senseRoom = figure({
  id: 'electrical.senseRoom',
  label: 'Share of the resistor’s rating to spare',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 1 - \\dfrac{\\v{P}}{\\v{P_r}}',
  symbols: { P: '=electrical.senseHeat', P_r: 'electrical.driver.senseWatts' },
  source: 'By definition; half of it to spare is good (common practice).',
  doubt: 'nudge',
  work: (view): number => 1 - view.figure(senseHeat) / driverOf(view).senseWatts,
})

/** Solder and leads in the way of a sense resistor that is read at its power leads, Ω (common practice). */
const LEADS = 0.002

export const senseError = figure({
  id: 'electrical.senseError',
  label: 'Current falls short by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'e = \\dfrac{0.002}{\\v{R} + 0.002}\\quad\\text{or}\\quad e = 0',
  forms: { by: 'electrical.driver.fourWire', of: { no: 0, yes: 1 } },
  symbols: { R: 'electrical.driver.sense' },
  source: '2 mΩ of solder and leads read with the resistor (common practice); none where it has a pair of its own.',
  doubt: 'nudge',
  work(view): number {
    const { sense, fourWire } = driverOf(view)
    return fourWire === 'yes' ? 0 : LEADS / (sense + LEADS)
  },
})

export const senseTrueRoom = figure({
  id: 'electrical.senseTrueRoom',
  label: 'Current short by less than 1 %, by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.01 - \\v{e}',
  symbols: { e: '=electrical.senseError' },
  source: 'One per cent of the current is one of the light (common practice).',
  doubt: 'nudge',
  work: (view): number => 0.01 - view.figure(senseError),
})

export const gateRoom = figure({
  id: 'electrical.gateRoom',
  label: 'Signal beyond the gate voltage of the data sheet by',
  quantity: 'voltage',
  formula: 'm = \\v{V} - \\v{V_G}',
  symbols: { V: '=electrical.signalVolts', V_G: 'electrical.driver.onAt' },
  source: 'The resistance when on holds from the gate voltage at which it is stated; the threshold is barely on.',
  doubt: 'nudge',
  work: (view): number => view.figure(signalVolts) - driverOf(view).onAt,
})

/** Largest pull-down at a gate or an input, Ω (common practice). */
const MOST_PULL_DOWN = 100_000

export const pullRoom = figure({
  id: 'electrical.pullRoom',
  label: 'Pull-down below 100 kΩ by',
  quantity: 'resistance',
  show: { metric: 'kohm', inch: 'kohm' },
  formula: 'm = 100000 - \\v{R}',
  symbols: { R: 'electrical.driver.pullOhms' },
  source: 'At most 100 kΩ, so that leaks do not lift the gate (common practice).',
  doubt: 'nudge',
  work: (view): number => MOST_PULL_DOWN - driverOf(view).pullOhms,
})

export const startDark = figure({
  id: 'electrical.startDark',
  label: 'Dark while the controller starts',
  quantity: 'count',
  formula: 'm = 1\\ \\text{where the output is low, or floats on a pull-down, else}\\ -1',
  symbols: {},
  source: 'Logic of the input.',
  doubt: YES_OR_NO,
  work(view): number {
    const { starting } = driverOf(view)
    if (starting !== 'floats') return starting === 'low' ? 1 : -1
    return driverOf(view).pullDown === 'fitted' ? 1 : -1
  },
})

export const makesGrey = figure({
  id: 'electrical.makesGrey',
  label: 'It can give less than full power',
  quantity: 'count',
  formula: 'm = -1\\ \\text{for a relay, else}\\ 1',
  symbols: {},
  source: 'A relay takes milliseconds and wears with every switching.',
  doubt: YES_OR_NO,
  work: (view): number => (driverOf(view).kind === 'relay' ? -1 : 1),
})

const diodeOf = (view: View<ElectricalBench>) => ({ threshold: driverOf(view).threshold, slope: driverOf(view).slope })

export const lightFull = figure({
  id: 'electrical.lightFull',
  label: 'Light at full power',
  quantity: 'power',
  formula: 'P = \\v{\\eta}\\,(\\v{I} - \\v{I_0})',
  symbols: { '\\eta': 'electrical.driver.slope', I: '=electrical.diodeAmps', I_0: 'electrical.driver.threshold' },
  source: THRESHOLD,
  doubt: 'nudge',
  work: (view): number => lightOf(view.figure(diodeAmps), diodeOf(view)),
})

export const lightOfAmp = figure({
  id: 'electrical.lightOfAmp',
  label: 'Light of one ampere',
  quantity: 'power',
  formula: 'P = \\v{\\eta}\\,(1 - \\v{I_0})',
  symbols: { '\\eta': 'electrical.driver.slope', I_0: 'electrical.driver.threshold' },
  source: THRESHOLD,
  doubt: 'nudge',
  work: (view): number => lightOf(1, diodeOf(view)),
})

export const restRoom = figure({
  id: 'electrical.restRoom',
  label: 'Current at 0 % below the threshold by',
  quantity: 'current',
  show: { metric: 'mA', inch: 'mA' },
  formula: 'm = \\v{I_0} - \\v{I}',
  symbols: { I_0: 'electrical.driver.threshold', I: 'electrical.driver.restAmps' },
  source: 'Below the threshold it does not lase.',
  doubt: 'nudge',
  work: (view): number => driverOf(view).threshold - driverOf(view).restAmps,
})

export const restLight = figure({
  id: 'electrical.restLight',
  label: 'Light at 0 %',
  quantity: 'power',
  show: { metric: 'mW', inch: 'mW' },
  formula: 'P = \\max(0,\\; \\v{\\eta}\\,(\\v{I} - \\v{I_0}))',
  symbols: { '\\eta': 'electrical.driver.slope', I: 'electrical.driver.restAmps', I_0: 'electrical.driver.threshold' },
  source: THRESHOLD,
  doubt: 'nudge',
  work: (view): number => lightOf(driverOf(view).restAmps, diodeOf(view)),
})

/** Shares of full power that the curve is drawn through, in percent. */
export const SHARES = ['0', '5', '10', '20', '30', '40', '50', '60', '70', '80', '90', '100'] as const
const aShare = subjectOf<ElectricalBench>()('share of power', (): [percent: string][] => SHARES.map((it) => [it]))

/** What drives the diode, as light is worked from it. */
function modulated(view: View<ElectricalBench>): Modulated {
  const { input, restAmps } = driverOf(view)
  return { ...diodeOf(view), input, restAmps, fullAmps: view.figure(diodeAmps) }
}

export const lightAt = figure({
  id: 'electrical.lightAt',
  of: aShare,
  label: 'Mean light at this power',
  quantity: 'power',
  formula: 'P = d\\,P_1 + (1 - d)\\,P_0\\quad\\text{or}\\quad P = \\v{\\eta}\\,(I_d - \\v{I_0})',
  forms: { by: 'electrical.driver.input', of: { pulses: 0, level: 1 } },
  symbols: { '\\eta': 'electrical.driver.slope', I_0: 'electrical.driver.threshold' },
  source: `Pulses: mean over a period. A level: ${THRESHOLD}`,
  doubt: 'nudge',
  work: (view, percent: string): number => lightAtShare(Number(percent) / 100, modulated(view)),
})

export const driverEfficiency = figure({
  id: 'electrical.driverEfficiency',
  label: 'Light for each watt into the diode',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'e = \\dfrac{\\v{P}}{\\v{V_f}\\cdot \\v{I}}',
  symbols: { P: '=electrical.lightFull', V_f: 'electrical.driver.forward', I: '=electrical.diodeAmps' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.figure(lightFull) / (driverOf(view).forward * view.figure(diodeAmps)),
})
