import { guessedChoice, templateOf, type Choice, type Fact } from '../core/bench'
import { objectShape, rotaryShape, sectionShape, type Rotary } from '../core/rotary'
import type { UnitId } from '../core/units'

const MADE = '2026-11-20T09:30:00.000Z'

function read(typed: string, u: number, typedUnit: UnitId = 'mm', scale = 1): Fact {
  return {
    value: Number(typed) * scale,
    typed,
    typedUnit,
    origin: 'measured',
    doubt: { kind: 'standard', u: u * scale },
    at: MADE,
  }
}
const said = <C extends string>(chosen: C): Choice<C> => ({ ...guessedChoice(chosen), origin: 'stated' })
const wished = (typed: string, typedUnit: UnitId = 'mm'): Fact => ({
  value: Number(typed),
  typed,
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})

const blank = templateOf(rotaryShape)

/** Twenty turned handles of the society's small tools, flat in the slots of an indexing plate that is turned by hand. Invented. */
export const ploverRotary: Rotary = {
  ...blank,
  objects: {
    handle: templateOf(objectShape, {
      order: 1,
      name: 'Tool handle',
      madeOf: said('wood'),
      hollow: said('no'),
      length: read('96.0', 0.3),
      mass: read('11', 1, 'g', 1e-3),
      handle: said('none'),
      sections: {
        inner: templateOf(sectionShape, { order: 1, at: read('0', 0.1), diameter: read('12.10', 0.05) }),
        outer: templateOf(sectionShape, { order: 2, at: read('96.0', 0.3), diameter: read('12.05', 0.05) }),
      },
      workFrom: wished('30'),
      workTo: wished('62'),
      workAround: wished('4'),
    }),
  },
  inHand: 'handle',
  holding: said('plate'),
  stack: {
    ...blank.stack,
    plateTop: read('12.0', 0.2),
    slotDepth: read('3.0', 0.1),
    headHigh: read('70.0', 0.3),
    headLow: read('60.0', 0.3),
    headAlong: read('20.0', 0.3),
    headAcross: read('20.0', 0.3),
  },
  turn: { ...blank.turn, standsFor: said('own') },
  make: { ...blank.make, sheetHeight: wished('250') },
  plate: {
    ...blank.plate,
    shape: said('slot'),
    size: wished('12.4'),
    slotLength: wished('60'),
    from: wished('54'),
    outer: wished('240'),
    stations: wished('20', 'count'),
    turned: said('hand'),
    burn: read('26', 1, 's'),
    load: read('7', 1, 's'),
    settle: read('2', 0.5, 's'),
  },
}
