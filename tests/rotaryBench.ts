import { setAt, shownNumber, templateOf, type Fact } from '../src/core/bench'
import { emptyBench, engineFor, type Bench } from '../src/core/document'
import { objectShape, sectionShape, type Holding } from '../src/core/rotary'
import type { UnitId } from '../src/core/units'

/** A number that is what it is. */
export function exactly(value: number, typedUnit: UnitId = 'mm'): Fact {
  return { value, typed: String(value), typedUnit, origin: 'stated', doubt: { kind: 'exact' } }
}

/** A bench with some numbers put in, each exactly so, and some choices. */
export function withNumbers(
  bench: Bench,
  numbers: Readonly<Record<string, number>>,
  choices: Readonly<Record<string, string>> = {},
): Bench {
  const filled = Object.entries(numbers).reduce((it, [path, value]) => setAt(it, path, exactly(value)), bench)
  return Object.entries(choices).reduce(
    (it, [path, chosen]) => setAt(it, path, { chosen, origin: 'stated', doubt: { kind: 'exact' } }),
    filled,
  )
}

/** An empty bench with one round object in hand, by its diameters at places, and what holds it. */
export function benchWith(
  sections: readonly (readonly [at: number, diameter: number])[],
  holding: Holding,
  numbers: Readonly<Record<string, number>> = {},
  choices: Readonly<Record<string, string>> = {},
): Bench {
  const bench = emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z')
  const length = sections.at(-1)?.[0] ?? 0
  const object = templateOf(objectShape, {
    order: 1,
    name: 'Thing',
    length: exactly(length),
    sections: Object.fromEntries(
      sections.map(([at, diameter], k) => [
        `s${k}`,
        templateOf(sectionShape, { order: k + 1, at: exactly(at), diameter: exactly(diameter) }),
      ]),
    ),
  })
  const held = setAt(setAt(bench, 'rotary.objects', { o: object }), 'rotary.inHand', 'o')
  return withNumbers(
    held,
    { 'optics.spotX': 0.1, 'optics.spotY': 0.1, 'optics.wavelength': 450, 'optics.focusGap': 10, ...numbers },
    {
      'rotary.holding': holding,
      'rotary.turn.drive': 'direct',
      'rotary.stack.axisLies': 'x',
      'rotary.objects.o.hollow': 'no',
      ...choices,
    },
  )
}

/** A figure of a bench as a number; NaN while it is not known. */
export function figureOn(bench: Bench, id: string, ...args: readonly string[]): number {
  return shownNumber(engineFor(bench).byId(id, args).result) ?? Number.NaN
}
