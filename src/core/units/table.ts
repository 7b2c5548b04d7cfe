/** The units the product reads and shows. One table; longer than most files because it is one. */

export interface UnitDef {
  /** As it is printed. */
  readonly symbol: string
  readonly quantity: Quantity
  /** Value in the core's unit = value × scale + offset. */
  readonly scale: number
  readonly offset?: number
  /** What else a person may type, lower case. */
  readonly words?: readonly string[]
}

export type Quantity =
  | 'length'
  | 'time'
  | 'speed'
  | 'acceleration'
  | 'mass'
  | 'force'
  | 'torque'
  | 'inertia'
  | 'massPerLength'
  | 'frequency'
  | 'power'
  | 'voltage'
  | 'current'
  | 'resistance'
  | 'inductance'
  | 'capacitance'
  | 'pressure'
  | 'flow'
  | 'area'
  | 'volume'
  | 'angle'
  | 'angularSpeed'
  | 'temperature'
  | 'temperatureStep'
  | 'thermalResistance'
  | 'wavelength'
  | 'irradiance'
  | 'radiantExposure'
  | 'energy'
  | 'lightness'
  | 'wattsPerAmp'
  | 'electronVolts'
  | 'level'
  | 'stepsPerLength'
  | 'opticalDensity'
  | 'ratio'
  | 'count'
  | 'divisor'
  | 'money'
  | 'moneyRate'

const inch = 25.4
const pound = 0.45359237
const gravity = 9.80665

/**
 * Every unit by its id. The one with scale 1 is the unit the core keeps.
 * Source: BIPM SI Brochure, 9th edition; NIST SP 811 (2008), appendix B (inch, pound, foot, degree Fahrenheit).
 */
export const UNITS = {
  mm: { symbol: 'mm', quantity: 'length', scale: 1, words: ['millimetre', 'millimetres', 'millimeter', 'millimeters'] },
  cm: { symbol: 'cm', quantity: 'length', scale: 10, words: ['centimetre', 'centimetres'] },
  m: { symbol: 'm', quantity: 'length', scale: 1000, words: ['metre', 'metres', 'meter', 'meters'] },
  um: { symbol: 'µm', quantity: 'length', scale: 1e-3, words: ['um', 'μm', 'micron', 'microns'] },
  in: { symbol: 'in', quantity: 'length', scale: inch, words: ['"', '″', '”', "''", 'in.', 'inch', 'inches'] },
  mil: { symbol: 'mil', quantity: 'length', scale: inch / 1000, words: ['thou', 'mils', 'thousandth', 'thousandths'] },
  ft: { symbol: 'ft', quantity: 'length', scale: 12 * inch, words: ["'", '′', '’', 'ft.', 'foot', 'feet'] },
  s: { symbol: 's', quantity: 'time', scale: 1, words: ['sec', 'second', 'seconds'] },
  ms: { symbol: 'ms', quantity: 'time', scale: 1e-3 },
  us: { symbol: 'µs', quantity: 'time', scale: 1e-6, words: ['us', 'μs'] },
  min: { symbol: 'min', quantity: 'time', scale: 60, words: ['minute', 'minutes'] },
  h: { symbol: 'h', quantity: 'time', scale: 3600, words: ['hour', 'hours'] },
  d: { symbol: 'd', quantity: 'time', scale: 86_400, words: ['day', 'days'] },
  'mm/s': { symbol: 'mm/s', quantity: 'speed', scale: 1 },
  'mm/min': { symbol: 'mm/min', quantity: 'speed', scale: 1 / 60, words: ['mm/minute'] },
  'm/s': { symbol: 'm/s', quantity: 'speed', scale: 1000 },
  'ft/min': { symbol: 'ft/min', quantity: 'speed', scale: (12 * inch) / 60, words: ['fpm', 'feet/min'] },
  'in/s': { symbol: 'in/s', quantity: 'speed', scale: inch },
  'in/min': { symbol: 'in/min', quantity: 'speed', scale: inch / 60, words: ['ipm', 'inch/min', 'inches/min'] },
  'mm/s2': { symbol: 'mm/s²', quantity: 'acceleration', scale: 1, words: ['mm/s^2', 'mm/s/s'] },
  'm/s2': { symbol: 'm/s²', quantity: 'acceleration', scale: 1000, words: ['m/s^2', 'm/s/s'] },
  'in/s2': { symbol: 'in/s²', quantity: 'acceleration', scale: inch, words: ['in/s^2', 'in/s/s'] },
  kg: { symbol: 'kg', quantity: 'mass', scale: 1 },
  g: { symbol: 'g', quantity: 'mass', scale: 1e-3, words: ['gram', 'grams'] },
  lb: { symbol: 'lb', quantity: 'mass', scale: pound, words: ['lbs', 'pound', 'pounds'] },
  oz: { symbol: 'oz', quantity: 'mass', scale: pound / 16 },
  N: { symbol: 'N', quantity: 'force', scale: 1 },
  lbf: { symbol: 'lbf', quantity: 'force', scale: pound * gravity, words: ['lb', 'lbs'] },
  kgf: { symbol: 'kgf', quantity: 'force', scale: gravity, words: ['kg', 'kp'] },
  ozf: { symbol: 'ozf', quantity: 'force', scale: (pound / 16) * gravity, words: ['oz'] },
  Nm: { symbol: 'N·m', quantity: 'torque', scale: 1, words: ['n*m', 'nm', 'n m', 'n-m'] },
  Ncm: { symbol: 'N·cm', quantity: 'torque', scale: 0.01, words: ['n*cm', 'ncm', 'n cm', 'n-cm'] },
  mNm: { symbol: 'mN·m', quantity: 'torque', scale: 1e-3, words: ['mnm', 'mn*m', 'mn m', 'mn-m'] },
  kgcm: {
    symbol: 'kgf·cm',
    quantity: 'torque',
    scale: gravity / 100,
    words: ['kgcm', 'kg·cm', 'kg*cm', 'kg cm', 'kg-cm', 'kgf cm', 'kgfcm', 'kgf*cm', 'kgf-cm'],
  },
  ozin: {
    symbol: 'ozf·in',
    quantity: 'torque',
    scale: (pound / 16) * gravity * (inch / 1000),
    words: ['ozin', 'oz·in', 'oz*in', 'oz in', 'oz-in', 'ozf in', 'ozfin', 'ozf*in', 'ozf-in', 'in-oz', 'in oz', 'in·oz'],
  },
  lbfin: {
    symbol: 'lbf·in',
    quantity: 'torque',
    scale: pound * gravity * (inch / 1000),
    words: [
      'lbfin',
      'lbf*in',
      'lbf in',
      'lbf-in',
      'lb·in',
      'lb*in',
      'lb in',
      'lb-in',
      'lbin',
      'in-lb',
      'in lb',
      'in·lb',
      'in-lbf',
      'in lbf',
      'in·lbf',
    ],
  },
  lbfft: {
    symbol: 'lbf·ft',
    quantity: 'torque',
    scale: pound * gravity * ((12 * inch) / 1000),
    words: ['lbfft', 'lbf*ft', 'lbf ft', 'lbf-ft', 'lb·ft', 'lb ft', 'lb-ft', 'ft-lb', 'ft lb', 'ft·lb', 'ft-lbf', 'ft·lbf'],
  },
  kgm2: { symbol: 'kg·m²', quantity: 'inertia', scale: 1, words: ['kgm2', 'kg*m2', 'kg m2'] },
  gcm2: { symbol: 'g·cm²', quantity: 'inertia', scale: 1e-7, words: ['gcm2', 'g*cm2', 'g cm2'] },
  'kg/m': { symbol: 'kg/m', quantity: 'massPerLength', scale: 1 },
  'g/m': { symbol: 'g/m', quantity: 'massPerLength', scale: 1e-3 },
  Hz: { symbol: 'Hz', quantity: 'frequency', scale: 1, words: ['/s', 'steps/s'] },
  kHz: { symbol: 'kHz', quantity: 'frequency', scale: 1000, words: ['k/s'] },
  MHz: { symbol: 'MHz', quantity: 'frequency', scale: 1e6 },
  rpm: { symbol: '/min', quantity: 'frequency', scale: 1 / 60, words: ['rpm', 'turns/min'] },
  W: { symbol: 'W', quantity: 'power', scale: 1, words: ['watt', 'watts'] },
  mW: { symbol: 'mW', quantity: 'power', scale: 1e-3 },
  V: { symbol: 'V', quantity: 'voltage', scale: 1, words: ['volt', 'volts'] },
  mV: { symbol: 'mV', quantity: 'voltage', scale: 1e-3 },
  A: { symbol: 'A', quantity: 'current', scale: 1 },
  mA: { symbol: 'mA', quantity: 'current', scale: 1e-3 },
  ohm: { symbol: 'Ω', quantity: 'resistance', scale: 1, words: ['ohm', 'ohms'] },
  mohm: { symbol: 'mΩ', quantity: 'resistance', scale: 1e-3, words: ['mohm'] },
  kohm: { symbol: 'kΩ', quantity: 'resistance', scale: 1000, words: ['kohm', 'k'] },
  H: { symbol: 'H', quantity: 'inductance', scale: 1 },
  mH: { symbol: 'mH', quantity: 'inductance', scale: 1e-3 },
  uH: { symbol: 'µH', quantity: 'inductance', scale: 1e-6, words: ['uh', 'μh'] },
  F: { symbol: 'F', quantity: 'capacitance', scale: 1 },
  mF: { symbol: 'mF', quantity: 'capacitance', scale: 1e-3 },
  uF: { symbol: 'µF', quantity: 'capacitance', scale: 1e-6, words: ['uf', 'μf'] },
  nF: { symbol: 'nF', quantity: 'capacitance', scale: 1e-9 },
  Pa: { symbol: 'Pa', quantity: 'pressure', scale: 1 },
  hPa: { symbol: 'hPa', quantity: 'pressure', scale: 100, words: ['mbar'] },
  kPa: { symbol: 'kPa', quantity: 'pressure', scale: 1000 },
  bar: { symbol: 'bar', quantity: 'pressure', scale: 1e5 },
  inH2O: {
    symbol: 'inH₂O',
    quantity: 'pressure',
    scale: 249.08891,
    words: ['inh2o', 'in h2o', 'in h₂o', 'inwg', 'in wg', 'inwc', 'in wc', '"h2o', '"wg', '"wc', 'in. wg', 'in. wc', 'in. h2o'],
  },
  inHg: { symbol: 'inHg', quantity: 'pressure', scale: 3386.389, words: ['in hg', '"hg', 'in. hg'] },
  mmH2O: {
    symbol: 'mmH₂O',
    quantity: 'pressure',
    scale: 9.80665,
    words: ['mmh2o', 'mm h2o', 'mm h₂o', 'mmwg', 'mm wg', 'mmwc', 'mm wc'],
  },
  psi: {
    symbol: 'psi',
    quantity: 'pressure',
    scale: (pound * gravity) / (inch / 1000) ** 2,
    words: ['lbf/in2', 'lbf/in²', 'lb/in2'],
  },
  'm3/s': { symbol: 'm³/s', quantity: 'flow', scale: 1, words: ['m3/s'] },
  'm3/h': { symbol: 'm³/h', quantity: 'flow', scale: 1 / 3600, words: ['m3/h', 'm^3/h', 'cmh'] },
  'ft3/min': {
    symbol: 'ft³/min',
    quantity: 'flow',
    scale: (12 * inch * 1e-3) ** 3 / 60,
    words: ['ft3/min', 'ft^3/min', 'cfm', 'cu ft/min'],
  },
  'l/min': { symbol: 'L/min', quantity: 'flow', scale: 1e-3 / 60, words: ['l/min', 'lpm'] },
  cm2: { symbol: 'cm²', quantity: 'area', scale: 1, words: ['cm2', 'cm^2', 'sq cm'] },
  mm2: { symbol: 'mm²', quantity: 'area', scale: 0.01, words: ['mm2', 'mm^2', 'sq mm'] },
  m2: { symbol: 'm²', quantity: 'area', scale: 1e4, words: ['m2', 'm^2', 'sq m'] },
  in2: { symbol: 'in²', quantity: 'area', scale: (inch / 10) ** 2, words: ['in2', 'in^2', 'sq in', 'sq. in.'] },
  ft2: { symbol: 'ft²', quantity: 'area', scale: (1.2 * inch) ** 2, words: ['ft2', 'ft^2', 'sq ft', 'sq. ft.'] },
  m3: { symbol: 'm³', quantity: 'volume', scale: 1, words: ['m3', 'm^3'] },
  litre: { symbol: 'L', quantity: 'volume', scale: 1e-3, words: ['l', 'litre', 'litres', 'liter', 'liters'] },
  ft3: { symbol: 'ft³', quantity: 'volume', scale: (0.012 * inch) ** 3, words: ['ft3', 'ft^3', 'cu ft', 'cu. ft.'] },
  rad: { symbol: 'rad', quantity: 'angle', scale: 1 },
  mrad: { symbol: 'mrad', quantity: 'angle', scale: 1e-3 },
  deg: { symbol: '°', quantity: 'angle', scale: Math.PI / 180, words: ['deg', 'degree', 'degrees'] },
  'rad/s': { symbol: 'rad/s', quantity: 'angularSpeed', scale: 1 },
  'deg/s': { symbol: '°/s', quantity: 'angularSpeed', scale: Math.PI / 180, words: ['deg/s'] },
  'deg/min': { symbol: '°/min', quantity: 'angularSpeed', scale: Math.PI / 10800, words: ['deg/min'] },
  degC: { symbol: '°C', quantity: 'temperature', scale: 1, words: ['c', 'deg c', 'degc', '° c', 'ºc', 'celsius'] },
  degF: {
    symbol: '°F',
    quantity: 'temperature',
    scale: 5 / 9,
    offset: -160 / 9,
    words: ['f', 'deg f', 'degf', '° f', 'ºf', 'fahrenheit'],
  },
  K: { symbol: 'K', quantity: 'temperatureStep', scale: 1, words: ['°c', 'c'] },
  stepF: { symbol: '°F', quantity: 'temperatureStep', scale: 5 / 9, words: ['f'] },
  'K/W': { symbol: 'K/W', quantity: 'thermalResistance', scale: 1, words: ['°c/w', 'c/w'] },
  nm: { symbol: 'nm', quantity: 'wavelength', scale: 1, words: ['nanometre', 'nanometres'] },
  'W/m2': { symbol: 'W/m²', quantity: 'irradiance', scale: 1, words: ['w/m2', 'w/m^2'] },
  'W/mm2': { symbol: 'W/mm²', quantity: 'irradiance', scale: 1e6, words: ['w/mm2', 'w/mm^2'] },
  'kW/m2': { symbol: 'kW/m²', quantity: 'irradiance', scale: 1000, words: ['kw/m2', 'kw/m^2'] },
  'J/mm2': { symbol: 'J/mm²', quantity: 'radiantExposure', scale: 1, words: ['j/mm2', 'j/mm^2'] },
  'J/cm2': { symbol: 'J/cm²', quantity: 'radiantExposure', scale: 0.01, words: ['j/cm2', 'j/cm^2'] },
  'mJ/cm2': { symbol: 'mJ/cm²', quantity: 'radiantExposure', scale: 1e-5, words: ['mj/cm2', 'mj/cm^2'] },
  tone: { symbol: 'L*', quantity: 'lightness', scale: 1, words: ['l', 'l*'] },
  'W/A': { symbol: 'W/A', quantity: 'wattsPerAmp', scale: 1, words: ['mw/ma'] },
  eV: { symbol: 'eV', quantity: 'electronVolts', scale: 1 },
  J: { symbol: 'J', quantity: 'energy', scale: 1, words: ['joule', 'joules'] },
  kJ: { symbol: 'kJ', quantity: 'energy', scale: 1e3 },
  MJ: { symbol: 'MJ', quantity: 'energy', scale: 1e6 },
  Wh: { symbol: 'Wh', quantity: 'energy', scale: 3600 },
  kWh: { symbol: 'kWh', quantity: 'energy', scale: 3.6e6 },
  dB: { symbol: 'dB', quantity: 'level', scale: 1, words: ['db(a)', 'dba'] },
  'steps/mm': { symbol: 'steps/mm', quantity: 'stepsPerLength', scale: 1, words: ['/mm', 'step/mm'] },
  'steps/in': { symbol: 'steps/in', quantity: 'stepsPerLength', scale: 1 / inch, words: ['/in', 'step/in'] },
  OD: { symbol: '', quantity: 'opticalDensity', scale: 1, words: ['od'] },
  one: { symbol: '', quantity: 'ratio', scale: 1 },
  percent: { symbol: '%', quantity: 'ratio', scale: 0.01, words: ['percent'] },
  count: { symbol: '', quantity: 'count', scale: 1 },
  divisor: { symbol: '', quantity: 'divisor', scale: 1 },
  money: { symbol: '', quantity: 'money', scale: 1 },
  perS: { symbol: '/s', quantity: 'moneyRate', scale: 1 },
  perH: { symbol: '/h', quantity: 'moneyRate', scale: 1 / 3600, words: ['/h', 'per hour'] },
} as const satisfies Record<string, UnitDef>

export type UnitId = keyof typeof UNITS
export const UNIT_IDS = Object.keys(UNITS) as readonly UnitId[]

/** The unit's row, typed as the general shape. */
export function unitOf(id: UnitId): UnitDef {
  return UNITS[id]
}

/** Metric or inch: how one bench shows its figures. Facts keep what was typed. */
export type UnitSystem = 'metric' | 'inch'

/** The unit the core keeps for each quantity. */
export const CORE_UNIT: Readonly<Record<Quantity, UnitId>> = {
  length: 'mm',
  time: 's',
  speed: 'mm/s',
  acceleration: 'mm/s2',
  mass: 'kg',
  force: 'N',
  torque: 'Nm',
  inertia: 'kgm2',
  massPerLength: 'kg/m',
  frequency: 'Hz',
  power: 'W',
  voltage: 'V',
  current: 'A',
  resistance: 'ohm',
  inductance: 'H',
  capacitance: 'F',
  pressure: 'Pa',
  flow: 'm3/s',
  area: 'cm2',
  volume: 'm3',
  angle: 'rad',
  angularSpeed: 'rad/s',
  temperature: 'degC',
  temperatureStep: 'K',
  thermalResistance: 'K/W',
  wavelength: 'nm',
  irradiance: 'W/m2',
  radiantExposure: 'J/mm2',
  energy: 'J',
  lightness: 'tone',
  wattsPerAmp: 'W/A',
  electronVolts: 'eV',
  level: 'dB',
  stepsPerLength: 'steps/mm',
  opticalDensity: 'OD',
  ratio: 'one',
  count: 'count',
  divisor: 'divisor',
  money: 'money',
  moneyRate: 'perS',
}

/** Where the unit that people expect is not the one the core keeps. */
const SHOWN: Readonly<Record<UnitSystem, Partial<Record<Quantity, UnitId>>>> = {
  metric: {
    energy: 'MJ',
    volume: 'litre',
    angle: 'deg',
    angularSpeed: 'deg/min',
    flow: 'm3/h',
    inertia: 'gcm2',
    massPerLength: 'g/m',
    moneyRate: 'perH',
  },
  inch: {
    energy: 'MJ',
    angle: 'deg',
    angularSpeed: 'deg/min',
    inertia: 'gcm2',
    massPerLength: 'g/m',
    moneyRate: 'perH',
    length: 'in',
    speed: 'in/s',
    acceleration: 'in/s2',
    mass: 'lb',
    force: 'lbf',
    pressure: 'inH2O',
    flow: 'ft3/min',
    area: 'in2',
    volume: 'ft3',
    temperature: 'degF',
    temperatureStep: 'stepF',
    stepsPerLength: 'steps/in',
  },
}

/** The unit in which a system shows a quantity when nothing narrower is asked for. */
export function displayUnit(quantity: Quantity, system: UnitSystem): UnitId {
  return SHOWN[system][quantity] ?? CORE_UNIT[quantity]
}

/** The units a person may type for a quantity, in the table's order. */
export function unitsOf(quantity: Quantity): readonly UnitId[] {
  return UNIT_IDS.filter((id) => UNITS[id].quantity === quantity)
}
