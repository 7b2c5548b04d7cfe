import type { Choice, Fact, Origin } from '../core/bench'
import type { Electrical } from '../core/electrical'
import type { UnitId } from '../core/units'

function given(value: number, typed: string, typedUnit: UnitId, a: number, origin: Origin = 'stated'): Fact {
  return { value, typed, typedUnit, origin, doubt: a === 0 ? { kind: 'exact' } : { kind: 'halfWidth', a } }
}

function read(value: number, typed: string, typedUnit: UnitId, u: number): Fact {
  return { value, typed, typedUnit, origin: 'measured', doubt: { kind: 'standard', u } }
}

function said<C extends string>(chosen: C): Choice<C> {
  return { chosen, origin: 'stated', doubt: { kind: 'exact' } }
}

/** Heron's head with its own driver, as its data sheet has it. Every number is invented. */
export const HERON_DRIVER: Partial<Electrical['driver']> = {
  kind: said('ready'),
  gives: said('lvttl'),
  wants: said('ttl'),
  pullDown: said('fitted'),
  pullOhms: given(10_000, '10', 'kohm', 500),
  starting: said('floats'),
  forward: given(4.3, '4.3', 'V', 0.2),
  fullAmps: given(3.4, '3.4', 'A', 0.05),
  mostAmps: given(3.8, '3.8', 'A', 0),
  threshold: given(0.3, '0.3', 'A', 0.05),
  slope: given(1.8, '1.8', 'W/A', 0.1),
  restAmps: given(0.02, '20', 'mA', 0.01),
  rise: given(4e-6, '4', 'us', 2e-6),
}

export const HERON_COOLING: Partial<Electrical['cooling']> = {
  kind: said('fan'),
  air: read(21, '21', 'degC', 0.5),
  humidity: read(0.55, '55', 'percent', 0.03),
  hottest: given(50, '50', 'degC', 0),
  body: given(0.5, '0.5', 'K/W', 0.1),
  sink: given(1.3, '1.3', 'K/W', 0.2),
  life: given(3.6e7, '10000', 'h', 0),
  fanSize: given(40, '40', 'mm', 0),
  fanSpeed: given(100, '6000', 'rpm', 8),
  fanFlow: given(13 / 3600, '13', 'm3/h', 1 / 3600),
  fanAmps: given(0.12, '0.12', 'A', 0.02),
  fanNoise: given(34, '34', 'dB', 2),
}

/** Plover's head: a ready-made one as well; only what its wiring needs has been looked up. */
export const PLOVER_DRIVER: Partial<Electrical['driver']> = {
  kind: said('ready'),
  gives: said('cmos5'),
  wants: said('ttl'),
  pullDown: said('fitted'),
  pullOhms: given(10_000, '10', 'kohm', 500),
}
