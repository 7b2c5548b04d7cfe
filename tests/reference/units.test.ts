import { createUnit, unit } from 'mathjs'
import { expect, it } from 'vitest'
import { CORE_UNIT, parseQuantity, toCore, unitOf, type UnitId } from '../../src/core/units'

// NIST SP 811 (2008), appendix B.8 (from memory): what the general library does not have.
createUnit('ozf', '0.2780139 N')
createUnit('inH2O', '25.4 mmH2O')
createUnit('inHg', '3386.389 Pa')

/** Our unit beside a general library's name for it, and the library's name of the unit that the core keeps. */
const NAMES: readonly (readonly [UnitId, string, string])[] = [
  ['in', 'inch', 'mm'],
  ['mil', 'mil', 'mm'],
  ['ft', 'foot', 'mm'],
  ['um', 'micrometer', 'mm'],
  ['in/min', 'inch / minute', 'mm / s'],
  ['mm/min', 'mm / minute', 'mm / s'],
  ['in/s2', 'inch / s^2', 'mm / s^2'],
  ['lb', 'lbm', 'kg'],
  ['oz', 'oz', 'kg'],
  ['lbf', 'lbf', 'N'],
  ['Ncm', 'N cm', 'N m'],
  ['kHz', 'kHz', 'Hz'],
  ['mW', 'mW', 'W'],
  ['ozin', 'ozf in', 'N m'],
  ['lbfin', 'lbf in', 'N m'],
  ['lbfft', 'lbf ft', 'N m'],
  ['kgcm', 'kgf cm', 'N m'],
  ['psi', 'psi', 'Pa'],
  ['hPa', 'mbar', 'Pa'],
  ['inH2O', 'inH2O', 'Pa'],
  ['mmH2O', 'mmH2O', 'Pa'],
  ['inHg', 'inHg', 'Pa'],
  ['l/min', 'L / minute', 'm^3 / s'],
  ['kgf', 'kgf', 'N'],
  ['ozf', 'ozf', 'N'],
  ['deg', 'deg', 'rad'],
  ['degF', 'degF', 'degC'],
  ['ft3/min', 'foot^3 / minute', 'm^3 / s'],
  ['m3/h', 'm^3 / hour', 'm^3 / s'],
]

it.each(NAMES)('%s converts as a general unit library does', (id, name, core) => {
  expect(toCore(7.25, id) / unit(7.25, name).toNumber(core)).toBeCloseTo(1, 5)
  expect(unitOf(CORE_UNIT[unitOf(id).quantity]).scale).toBe(1)
})

it.each([
  ['60 oz-in', 'torque', 0.423_693_1],
  ['1 oz·in', 'torque', 7.061_552e-3],
  ['1 lbf·in', 'torque', 0.112_984_8],
  ['5 kg·cm', 'torque', 0.490_332_5],
  ['1 psi', 'pressure', 6894.757],
  ['1 inHg', 'pressure', 3386.389],
  ['1 inH2O', 'pressure', 249.0889],
  ['195 CFM', 'flow', 0.092_029_7],
  ['212 °F', 'temperature', 100],
  ['68 F', 'temperature', 20],
  ['1 thou', 'length', 0.0254],
  ['1 mil', 'length', 0.0254],
] as const)('%s of %s (NIST SP 811, appendix B.8, from memory)', (typed, quantity, core) => {
  const read = parseQuantity(typed, quantity, CORE_UNIT[quantity])
  expect(read.ok && read.value.value).toBeCloseTo(core, core > 1 ? 2 : 6)
})
