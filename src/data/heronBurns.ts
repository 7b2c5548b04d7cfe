import { type Fact, templateOf } from '../core/bench'
import { materialShape, settingShape, type BookMaterial, type Burns } from '../core/burn'
import { heronCards } from './heronCards'

const AT = '2026-11-21T15:00:00.000Z'

function thick(typed: string): Fact {
  const doubt = { kind: 'standard', u: 0.02 } as const
  return { value: Number(typed), typed, typedUnit: 'mm', origin: 'measured', doubt, instrument: 'calipers', at: AT }
}

function stated(typed: string, a: number): Fact {
  return { value: Number(typed), typed, typedUnit: 'tone', origin: 'stated', doubt: { kind: 'halfWidth', a } }
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
  const kept = { order: 1, at: AT, power: 1, speed: 5.9, passes: 1, note: 'Nest-box plates.', record: 'heron-ply' }
  const setting = { ...templateOf(settingShape, kept), uses: { u1: { order: 1, at: AT, outcome: 'good' as const } } }
  return {
    ...blank,
    materials: {
      ply: {
        ...templateOf(materialShape, { order: 1, name: 'Birch plywood', kind: 'wood' }),
        thickness: thick('3.02'),
        bareTone: stated('72', 3),
        cards: heronCards(AT),
        tries: tries(-10, 6, -8, 7, 6.5, -9),
        settings: { s: setting },
      },
      card: {
        ...templateOf(materialShape, { order: 2, name: 'Seed card', kind: 'paper' }),
        thickness: thick('0.62'),
        tries: tries(-48, 30, -40, 34),
      },
      cork: {
        ...templateOf(materialShape, { order: 3, name: 'Cork mat', kind: 'cork' }),
        thickness: thick('2.10'),
        tries: tries(9, -14),
      },
    },
  }
}
