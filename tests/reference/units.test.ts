import { unit } from 'mathjs'
import { expect, it } from 'vitest'
import { CORE_UNIT, toCore, unitOf, type UnitId } from '../../src/core/units'

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
  ['deg', 'deg', 'rad'],
  ['degF', 'degF', 'degC'],
  ['ft3/min', 'foot^3 / minute', 'm^3 / s'],
  ['m3/h', 'm^3 / hour', 'm^3 / s'],
]

it.each(NAMES)('%s converts as a general unit library does', (id, name, core) => {
  expect(toCore(7.25, id)).toBeCloseTo(unit(7.25, name).toNumber(core), 9)
  expect(unitOf(CORE_UNIT[unitOf(id).quantity]).scale).toBe(1)
})
