import { describe, expect, it } from 'vitest'
import { setAt, type Fact } from '../bench'
import { engineFor, judgeAll, type Bench } from '../document'
import { heron } from '../../data/heron'

const { bench: demo } = heron()
const stated = (value: number): Fact => ({
  value,
  typed: String(value),
  typedUnit: 'V',
  origin: 'stated',
  doubt: { kind: 'exact' },
})

/** The demo with other facts and choices of its driver, signal and cooling. */
function having(of: Readonly<Record<string, number | string | null>>): Bench {
  return Object.entries(of).reduce((bench, [key, value]) => {
    const path = `electrical.${key}`
    if (typeof value === 'number') return setAt(bench, path, stated(value))
    return setAt(bench, path, { chosen: value, origin: 'stated', doubt: { kind: 'exact' } })
  }, demo)
}

function figure(bench: Bench, id: string, ...args: string[]): number {
  const { result } = engineFor(bench).byId(`electrical.${id}`, args)
  return result.known ? (result.value as number) : Number.NaN
}

const mark = (bench: Bench, id: string): string | undefined =>
  judgeAll(engineFor(bench), 'power').find((it) => it.def.id === id)?.mark

const LINEAR = {
  'driver.kind': 'linear',
  'driver.feed': 12,
  'driver.forward': 4.8,
  'driver.sense': 0.1,
  'driver.senseVolts': 0.2,
}

describe('the driver, by hand', () => {
  it('a linear source at 12 V with 4.8 V across the diode and 0.2 V across 0.1 Ω: 2 A, 14.0 W, 88 °C through 4.5 K/W at 25 °C', () => {
    const bench = having({ ...LINEAR, 'driver.perWatt': 4.5, 'cooling.air': 25 })
    expect(figure(bench, 'linearAmps')).toBeCloseTo(2, 12)
    expect(figure(bench, 'driverHeat')).toBeCloseTo(14, 9)
    expect(figure(bench, 'junction')).toBeCloseTo(88, 9)
    expect(mark(bench, 'electrical.transistorCool')).toBe('good')
    expect(mark(setAt(bench, 'electrical.driver.perWatt', stated(8)), 'electrical.transistorCool')).toBe('stop')
  })

  it('its headroom is what is left of the supply: 5.5 V less 4.8, 0.2 and 1.5 V are short by 1 V, and no current is left', () => {
    const bench = having({ ...LINEAR, 'driver.feed': 5.5, 'driver.loses': 1.5 })
    expect(figure(bench, 'headroom')).toBeCloseTo(-1, 12)
    expect(figure(bench, 'linearMost')).toBe(0)
    // 1 V more than the diode and the source take drive 10 A through 0.1 Ω.
    expect(figure(setAt(bench, 'electrical.driver.feed', stated(7.3)), 'linearMost')).toBeCloseTo(10, 9)
    expect(mark(bench, 'electrical.headroomLeft')).toBe('look')
  })

  it('its sense resistor turns 0.4 W into heat: half of 1 W is good, 0.5 W runs hot, 0.3 W burns; 2 mΩ of leads take 2 %', () => {
    const rated = (watts: number) => mark(having({ ...LINEAR, 'driver.senseWatts': watts }), 'electrical.senseBears')
    expect([1, 0.5, 0.3].map(rated)).toEqual(['good', 'look', 'stop'])
    const leads = having({ ...LINEAR, 'driver.fourWire': 'no' })
    expect(figure(leads, 'senseError')).toBeCloseTo(0.002 / 0.102, 9)
    expect(mark(leads, 'electrical.senseTrue')).toBe('look')
    expect(mark(having({ ...LINEAR, 'driver.fourWire': 'yes' }), 'electrical.senseTrue')).toBeUndefined()
  })

  it('a transistor of 30 mΩ at 3 A turns 0.405 W into heat when it is hot (common practice: half as much again)', () => {
    const bench = having({ 'driver.kind': 'transistor', 'driver.onOhms': 0.03, 'driver.fullAmps': 3, 'driver.onAt': 4.5 })
    expect(figure(bench, 'driverHeat')).toBeCloseTo(0.405, 9)
    // Stated at 4.5 V, driven by 3.3 V: barely on. By a 5 V output it is on.
    expect(mark(bench, 'electrical.gateEnough')).toBe('stop')
    expect(mark(setAt(bench, 'electrical.driver.gives.chosen', 'cmos5'), 'electrical.gateEnough')).toBe('good')
  })

  it('270 Ω before an opto-coupler pass 14.1 mA from 5 V and 7.8 mA from 3.3 V', () => {
    const opto = { 'driver.wants': 'opto', 'driver.optoOhms': 270, 'driver.optoAmps': 0.01 }
    expect(figure(having({ ...opto, 'driver.gives': 'cmos5' }), 'optoCurrent')).toBeCloseTo(0.0141, 4)
    expect(figure(having({ ...opto, 'driver.gives': 'lvttl' }), 'optoCurrent')).toBeCloseTo(0.0078, 4)
    expect(mark(having({ ...opto, 'driver.gives': 'cmos5' }), 'electrical.optoLit')).toBe('good')
    expect(mark(having({ ...opto, 'driver.gives': 'lvttl' }), 'electrical.optoLit')).toBe('stop')
  })

  // Rows: what the output gives; columns: what the input wants. JESD8C, JESD7-A (from memory).
  it.each([
    ['lvttl', ['good', 'good', 'stop']],
    ['ttl', ['good', 'good', 'stop']],
    ['cmos5', ['good', 'good', 'good']],
  ])('an output of %s against 3.3 V, TTL and CMOS inputs', (gives, marks) => {
    const against = (wants: string) => mark(having({ 'driver.gives': gives, 'driver.wants': wants }), 'electrical.signalDrives')
    expect(['lvttl', 'ttl', 'cmos5'].map(against)).toEqual(marks)
  })

  it.each([
    ['low', 'none', 'good'],
    ['low', null, 'good'],
    ['floats', 'fitted', 'good'],
    ['floats', 'none', 'stop'],
    ['floats', null, 'unknown'],
    ['high', 'fitted', 'stop'],
  ])('while the controller starts its output %s and a pull-down %s: %s', (starting, pullDown, wanted) => {
    expect(mark(having({ 'driver.starting': starting, 'driver.pullDown': pullDown }), 'electrical.startsDark')).toBe(wanted)
  })

  it('a head that takes more than its threshold at 0 % lases: a stop, and how much', () => {
    const bench = having({ 'driver.restAmps': 0.4, 'driver.threshold': 0.3, 'driver.slope': 1.8 })
    expect(figure(bench, 'restLight')).toBeCloseTo(0.18, 9)
    expect(mark(bench, 'electrical.restDark')).toBe('stop')
    expect(mark(demo, 'electrical.restDark')).toBe('good')
    expect(mark(having({ 'driver.fullAmps': 4 }), 'electrical.diodeBears')).toBe('stop')
    expect(mark(having({ 'driver.kind': 'relay' }), 'electrical.relayGrey')).toBe('stop')
  })

  it('what another kind of driver is asked for does not make a figure unknown', () => {
    const bench = having({ 'driver.kind': 'transistor', 'driver.onOhms': 0.03 })
    expect(figure(bench, 'driverHeat')).toBeGreaterThan(0)
    expect(figure(demo, 'driverHeat')).toBeNaN()
  })
})

describe('the heat of the diode, by hand', () => {
  // 4.3 V at 3.4 A less 5.58 W of light are 9.04 W; 0.5 and 1.3 K/W above 21 °C.
  it('warms its case to 37.3 °C for good and 29.1 °C at half the time; 50 °C allow 178 % of it', () => {
    expect(figure(demo, 'diodeHeat')).toBeCloseTo(9.04, 9)
    expect(figure(demo, 'diodeTemperature')).toBeCloseTo(21 + 9.04 * 1.8, 9)
    expect(figure(demo, 'workTemperature')).toBeCloseTo(21 + 0.5 * 9.04 * 1.8, 9)
    expect(figure(demo, 'shareMost')).toBeCloseTo(29 / (9.04 * 1.8), 9)
  })

  it('on a poor heat sink needs pauses, and on a worse one is too much even at work', () => {
    const sink = (perWatt: number) => having({ 'cooling.sink': perWatt, 'cooling.share': 0.5 })
    expect([mark(sink(4), 'electrical.staysCool'), mark(sink(4), 'electrical.diodeCool')]).toEqual(['look', 'good'])
    expect(mark(sink(8), 'electrical.diodeCool')).toBe('stop')
  })

  it('shortens its life by Arrhenius: 0.6 eV from 25 to 29.1 °C leave 73 %', () => {
    const [k, kelvin] = [8.617333262e-5, 273.15]
    const wanted = Math.exp((0.6 / k) * (1 / (29.136 + kelvin) - 1 / (25 + kelvin)))
    expect(figure(demo, 'lifeShare')).toBeCloseTo(wanted, 6)
    expect(figure(demo, 'lifeLeft') / 3600).toBeCloseTo(10_000 * wanted, 1)
  })

  it('behind a cooler is moved at a price, and too much cooling wets it', () => {
    const sheet = { 'cooling.kind': 'cooler', 'cooling.mostAmps': 6.4, 'cooling.mostVolts': 14.4, 'cooling.mostStep': 66 }
    const at = (amps: number) => having({ ...sheet, 'cooling.amps': amps })
    expect(figure(at(1), 'hotSideHeat')).toBeCloseTo(figure(at(1), 'diodeHeat') + figure(at(1), 'coolerWatts'), 9)
    expect(figure(at(1), 'coolerWorth')).toBeCloseTo(figure(at(1), 'diodeHeat') / figure(at(1), 'coolerWatts'), 9)
    expect(figure(at(1), 'sinkTemperature')).toBeCloseTo(21 + 1.3 * figure(at(1), 'hotSideHeat'), 6)
    expect([0.05, 2].map((amps) => mark(at(amps), 'electrical.coldDry'))).toEqual(['good', 'stop'])
    // Run at all its current on this heat sink the hot side has no rest.
    expect(figure(having({ ...sheet, 'cooling.amps': 6.4, 'cooling.sink': 6 }), 'diodeTemperature')).toBeNaN()
  })
})

describe('the signal, by hand', () => {
  it('10 kΩ and 1 µF at 5 kHz ripple by half a per cent at half power, and take 6 mm at 200 mm/s to settle', () => {
    const bench = having({ 'driver.filterOhms': 10_000, 'driver.filterFarads': 1e-6, 'driver.input': 'level' })
    expect(figure(bench, 'filterRipple')).toBeCloseTo(0.005, 12)
    expect(engineFor(bench).byId('optics.filterLag', []).result).toMatchObject({ known: true, value: 6 })
    expect([mark(bench, 'electrical.rippleSmall'), mark(bench, 'optics.lagShort')]).toEqual(['good', 'look'])
    expect(mark(setAt(bench, 'electrical.driver.input.chosen', 'pulses'), 'electrical.filterInPlace')).toBe('look')
  })

  it('a light that rises within 40 µs rounds off a fifth of the power at 5 kHz, and leaves four fifths of the steps', () => {
    const bench = having({ 'driver.rise': 40e-6 })
    expect(figure(bench, 'leastShare')).toBeCloseTo(0.2, 12)
    expect(figure(bench, 'stepsLeft')).toBeCloseTo(3200 * 0.8, 6)
    expect(mark(bench, 'electrical.pulsesWhole')).toBe('look')
  })
})
