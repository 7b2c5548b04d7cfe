import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setAt } from '../../src/core/bench'
import { emptyBench, engineFor, judgeAll } from '../../src/core/document'
import {
  cableLength,
  cornerWays,
  crossedPlay,
  deadMotor,
  headFor,
  layersMargin,
  slantOfUnlike,
  wheelAdvice,
  wiringFault,
  type Way,
} from '../../src/core/motion'
import { within } from '../facts'

// Kinematics of crossed belts after the handbook's table: a = x + y, b = x − y, and the inverse; worked here by itself.

/** Where a head goes whose motors have plugs swapped, are reversed, or stand still. */
function wentFor(asked: readonly [number, number], swap: boolean, [ra, rb]: readonly [number, number]): Way {
  const [a, b] = [asked[0] + asked[1], asked[0] - asked[1]]
  const [da, db] = swap ? [b * ra, a * rb] : [a * ra, b * rb]
  const [x, y] = [Math.sign(da + db), Math.sign(da - db)]
  if (x === 0 && y === 0) return 'none'
  const part = (it: number, letter: string): string => (it === 0 ? '' : `${it > 0 ? '+' : '-'}${letter}`)
  return `${part(x, 'x')}${part(y, 'y')}` as Way
}

describe('a head that goes wrong', () => {
  const cases = [false, true].flatMap((swap) => [1, -1].flatMap((ra) => [1, -1].map((rb) => ({ swap, ra, rb }))))

  it.each(cases)('with plugs swapped: $swap, turned $ra and $rb, is told by where it went', ({ swap, ra, rb }) => {
    const [x, y] = [wentFor([1, 0], swap, [ra, rb]), wentFor([0, 1], swap, [ra, rb])]
    expect(wiringFault(x, y)).toEqual({ swapped: swap, reversedA: ra < 0, reversedB: rb < 0 })
    expect(deadMotor(x, y)).toBeNull()
  })

  it.each(cases)(
    'with one motor dead, plugs swapped: $swap, turned $ra and $rb, names that motor by its belt',
    ({ swap, ra, rb }) => {
      expect(deadMotor(wentFor([1, 0], swap, [0, rb]), wentFor([0, 1], swap, [0, rb]))).toBe('a')
      expect(deadMotor(wentFor([1, 0], swap, [ra, 0]), wentFor([0, 1], swap, [ra, 0]))).toBe('b')
      expect(deadMotor('none', 'none')).toBe('both')
      expect(deadMotor('+x', '+x+y')).toBeNull()
    },
  )
})

it('a line leans where unlike motors are set alike: as the head of both belts goes (property)', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 10, noNaN: true }), (ratio) => {
      // The same count of steps goes to both; the right belt then moves r times as far as the left one.
      const { x, y } = headFor({ a: 1, b: ratio })
      expect(slantOfUnlike(ratio)).toBeCloseTo(Math.atan2(y, x), 12)
    }),
  )
  // 16 microsteps on one driver and 32 on the other: 18.43°.
  expect((slantOfUnlike(0.5) * 180) / Math.PI).toBeCloseTo(18.4349, 4)
})

it('a cable reaches every place of the head, along the bars (by trying all places)', () => {
  const place = fc.integer({ min: -500, max: 900 })
  fc.assert(
    fc.property(place, place, (controllerX, controllerY) => {
      let far = 0
      for (let x = 0; x <= 400; x += 50)
        for (let y = 0; y <= 300; y += 50) far = Math.max(far, Math.abs(x - controllerX) + Math.abs(y - controllerY))
      const run = { travelX: 400, travelY: 300, controllerX, controllerY, up: 250, spare: 0.1 }
      expect(cableLength(run)).toBeCloseTo((far + 250) * 1.1, 9)
      expect(cornerWays(run)[0]?.way).toBeCloseTo(far, 9)
    }),
  )
})

it('an eccentric is left, tightened or loosened by the rolling test (common practice)', () => {
  const table = [
    ['no', 'freely', 'holds', 'leave'],
    ['yes', 'freely', 'holds', 'tighten'],
    ['no', 'freely', 'free', 'tighten'],
    ['no', 'drags', 'holds', 'loosen'],
    ['no', 'freely', 'fast', 'loosen'],
    ['no', 'sticks', 'fast', 'loosen'],
    ['no', 'sticks', 'holds', 'not the eccentrics'],
    ['yes', 'drags', 'holds', 'not the eccentrics'],
    ['yes', 'freely', 'fast', 'not the eccentrics'],
  ] as const
  for (const [rock, roll, turn, advice] of table)
    expect(wheelAdvice({ rock, roll, turn }), `${rock} ${roll} ${turn}`).toBe(advice)
})

describe('a bench with crossed belts', () => {
  const empty = setAt(emptyBench('b', 'Wren', '2026-01-01T00:00:00.000Z'), 'motion.kinematics.chosen', 'crossed')
  const [left = '', right = ''] = Object.values(empty.motion.axes).length === 2 ? Object.keys(empty.motion.axes) : []
  const sure = (bench: typeof empty, id: string, micro: number) =>
    (['fullSteps', 'pulleyTeeth', 'microsteps'] as const).reduce(
      (it, key) =>
        setAt(it, `motion.axes.${id}.${key}`, {
          ...it.motion.axes[id]?.[key],
          ...(key === 'microsteps' ? { value: micro, typed: String(micro) } : {}),
          origin: 'measured',
          doubt: { kind: 'exact' },
        }),
      bench,
    )
  const markOf = (bench: typeof empty, id: string) => judgeAll(engineFor(bench)).find((it) => it.def.id === id)?.mark

  it('steps alike where switches and teeth are one number, whatever the pitch; unlike is a look', () => {
    expect(markOf(sure(sure(empty, left, 16), right, 16), 'motion.crossedStepAlike')).toBe('good')
    expect(markOf(sure(sure(empty, left, 16), right, 32), 'motion.crossedStepAlike')).toBe('look')
    expect(markOf(empty, 'motion.crossedStepAlike')).toBe('unknown')
  })

  it('has belts that clear each other by their heights, and gives by half of what both clamps give', () => {
    const set = Object.entries({ heightLeft: 42, heightRight: 33, clampPlayLeft: 0.1, clampPlayRight: 0.3 }).reduce(
      (it, [key, value]) => setAt(it, `motion.crossed.${key}`, within(value, 0.1)),
      empty,
    )
    const number = (def: typeof layersMargin): number => {
      const { result } = engineFor(set).value(def)
      return result.known ? result.value : Number.NaN
    }
    expect(number(layersMargin)).toBeCloseTo(42 - 33 - 6 - 1, 12)
    expect(number(crossedPlay)).toBeCloseTo(0.2, 12)
    expect(markOf(set, 'motion.layersClear')).toBe('good')
    expect(markOf(setAt(set, 'motion.crossed.heightRight', within(38, 0.1)), 'motion.layersClear')).toBe('look')
  })
})
