import type { Fact } from '../core/bench'
import type { BookMaterial, Burns } from '../core/burn'

const AT = '2026-11-21T15:00:00.000Z'

function thick(typed: string): Fact {
  const doubt = { kind: 'standard', u: 0.02 } as const
  return { value: Number(typed), typed, typedUnit: 'mm', origin: 'measured', doubt, instrument: 'calipers', at: AT }
}

/** Tries as speeds in mm/s, in their order; a minus stands for a line that did not come through. */
function tries(...speeds: readonly number[]): BookMaterial['tries'] {
  return Object.fromEntries(
    speeds.map((it, i) => [
      `t${i + 1}`,
      { order: i + 1, at: AT, power: 1, speed: Math.abs(it), passes: 1, through: it > 0 ? ('yes' as const) : ('no' as const) },
    ]),
  )
}

/** Heron's material book: three sheets of the shed, each tried until it was known how fast it is cut. */
export function heronBurns(blank: Burns): Burns {
  const setting = { order: 1, at: AT, power: 1, speed: 5.9, passes: 1, note: 'Nest-box plates.' }
  return {
    ...blank,
    materials: {
      ply: {
        order: 1,
        name: 'Birch plywood',
        kind: 'wood',
        thickness: thick('3.02'),
        tries: tries(-10, 6, -8, 7, 6.5, -9),
        settings: { s: setting },
      },
      card: {
        order: 2,
        name: 'Seed card',
        kind: 'paper',
        thickness: thick('0.62'),
        tries: tries(-48, 30, -40, 34),
        settings: {},
      },
      cork: { order: 3, name: 'Cork mat', kind: 'cork', thickness: thick('2.10'), tries: tries(9, -14), settings: {} },
    },
  }
}
