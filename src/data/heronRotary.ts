import { guessedChoice, templateOf, type Choice, type Fact } from '../core/bench'
import {
  holderShape,
  keepOffShape,
  objectShape,
  rotaryShape,
  sectionShape,
  type DialRun,
  type HolderFacts,
  type Rotary,
  type RoundObject,
  type TurnRun,
} from '../core/rotary'
import type { UnitId } from '../core/units'

const MADE = '2026-11-22T14:10:00.000Z'

function read(typed: string, u: number, instrument: string, typedUnit: UnitId = 'mm', scale = 1): Fact {
  return {
    value: Number(typed) * scale,
    typed,
    typedUnit,
    origin: 'measured',
    doubt: { kind: 'standard', u: u * scale },
    instrument,
    at: MADE,
  }
}
const byCalipers = (typed: string): Fact => read(typed, 0.03, 'calipers')
const byRule = (typed: string): Fact => read(typed, 0.15, 'rule')
const weighed = (typed: string, u: number): Fact => {
  const { instrument: _, ...fact } = read(typed, u, '', 'g', 1e-3)
  return fact
}
const said = <C extends string>(chosen: C): Choice<C> => ({ ...guessedChoice(chosen), origin: 'stated' })
const wished = (typed: string): Fact => ({
  value: Number(typed),
  typed,
  typedUnit: 'mm',
  origin: 'stated',
  doubt: { kind: 'exact' },
})

/** Places from the mouth, which sits on the driving disc: a rolled rim, a slight taper, a rounded foot. */
const SECTIONS = {
  rim: ['0', '87.80'],
  below: ['4', '84.30'],
  upper: ['22', '83.86'],
  lower: ['60', '82.94'],
  foot: ['74', '82.60'],
  base: ['80', '75.40'],
}

function mug(order: number, name: string): RoundObject {
  return templateOf(objectShape, {
    order,
    name,
    madeOf: said('enamel'),
    hollow: said('driven'),
    length: byRule('80.0'),
    mass: weighed('162', 1),
    bore: byCalipers('83.10'),
    boreDepth: byRule('78.5'),
    handle: said('one'),
    handleOut: byRule('31.5'),
    handleFrom: byRule('14.0'),
    handleTo: byRule('62.0'),
    handleMass: weighed('26', 4),
    sections: Object.fromEntries(
      Object.entries(SECTIONS).map(([id, [at, diameter]], i) => [
        id,
        templateOf(sectionShape, { order: i + 1, at: byRule(at as string), diameter: byCalipers(diameter as string) }),
      ]),
    ),
    keepOff: {
      rim: templateOf(keepOffShape, { order: 1, kind: 'bulge', from: byRule('0'), to: byRule('6.0') }),
      foot: templateOf(keepOffShape, { order: 2, kind: 'foot', from: byRule('73.0'), to: byRule('80.0') }),
    },
    workFrom: wished('26'),
    workTo: wished('56'),
    workAround: wished('70'),
  })
}

const blank = templateOf(rotaryShape)

function disc(order: number, name: string, outer: Fact, made: string): HolderFacts {
  return templateOf(holderShape, { order, kind: 'centring', name, outer, inner: wished('8'), made })
}

/** What the mark overran, mm, four times after one turn and four times after five. */
const OVERRUNS = { 1: '0.79 0.82 0.76 0.80', 5: '3.92 3.97 3.90 3.95' }
/** The dial at every thirty degrees, mm. */
const DIAL = '0.14 0.21 0.22 0.15 0.04 -0.07 -0.13 -0.14 -0.12 -0.10 -0.06 0.03'

const turnRun: TurnRun = {
  order: 1,
  at: MADE,
  instrument: 'loupe',
  steps: 9600,
  nominal: 9600,
  diameter: byCalipers('83.40'),
  readings: Object.fromEntries(
    Object.entries(OVERRUNS).flatMap(([turns, row]) =>
      row.split(' ').map((typed, k) => {
        const doubt = { kind: 'pooled', u: 0.02, figure: 'rotary.turnScatter', args: ['turns-1'] } as const
        return [`${turns}x${k + 1}`, { ...read(typed, 0.02, 'loupe'), doubt }] as const
      }),
    ),
  ),
}

const dialRun: DialRun = {
  order: 1,
  at: MADE,
  instrument: '',
  place: 41,
  readings: Object.fromEntries(
    DIAL.split(' ').map((typed, k) => {
      const { instrument: _, ...fact } = read(typed, 0.01, '')
      return [String(30 * k), fact] as const
    }),
  ),
}

/** The society's enamel mugs, each with a plot's number, between two centres in the place of Y. Invented. */
export const heronRotary: Rotary = {
  ...blank,
  objects: { mug: mug(1, 'Enamel mug') },
  inHand: 'mug',
  holding: said('centres'),
  holder: {
    ...blank.holder,
    centresMost: byRule('160.0'),
    discDiameter: byCalipers('96.00'),
    tailDiameter: byCalipers('40.00'),
  },
  stack: {
    ...blank.stack,
    axisHeight: byRule('80.0'),
    headHigh: byRule('146.0'),
    headLow: byRule('58.0'),
    feet: wished('12'),
    headAlong: byRule('22.0'),
    headAcross: byRule('24.0'),
    axisLies: said('x'),
  },
  turn: {
    ...blank.turn,
    drive: said('belt'),
    fullSteps: { value: 200, typed: '200', typedUnit: 'count', origin: 'stated', doubt: { kind: 'exact' } },
    microsteps: { value: 16, typed: '1/16', typedUnit: 'divisor', origin: 'stated', doubt: { kind: 'exact' } },
    motorTeeth: { value: 20, typed: '20', typedUnit: 'count', origin: 'measured', doubt: { kind: 'exact' }, at: MADE },
    drivenTeeth: { value: 60, typed: '60', typedUnit: 'count', origin: 'measured', doubt: { kind: 'exact' }, at: MADE },
    holdTorque: { value: 0.26, typed: '0.26', typedUnit: 'Nm', origin: 'stated', doubt: { kind: 'halfWidth', a: 0.02 } },
    standsFor: said('y'),
  },
  holders: {
    fits: disc(1, 'Disc for the mugs', byCalipers('82.80'), '2026-11-08'),
    narrow: disc(2, 'Disc for the tins', byCalipers('71.90'), '2026-10-25'),
    tail: templateOf(holderShape, {
      order: 3,
      kind: 'friction',
      name: 'Friction disc for the foot',
      outer: wished('40'),
      inner: wished('8'),
    }),
  },
  seat: 'fits',
  turnRuns: { 'turns-1': turnRun },
  dialRuns: { 'dial-1': dialRun },
  turnBy: 'turns-1',
}
