import { describe, expect, it } from 'vitest'
import { setAt, type Mark } from '../../src/core/bench'
import { engineFor, judgeAll, type Bench } from '../../src/core/document'
import {
  gripOfRollers,
  handleTop,
  heightOnRollers,
  HOLDINGS,
  holdsIt,
  massSpread,
  REASONS,
  straightOf,
  topLineSpread,
  type Holding,
} from '../../src/core/rotary'
import { judge } from '../../src/core/bench'
import { between, seeded } from '../../src/core/workshop'
import { heron } from '../../src/data/heron'

describe('mass of a solid of revolution', () => {
  it('has the centre and the inertia of a frustum, by closed forms of the calculus', () => {
    const random = seeded(71)
    for (let n = 0; n < 50; n++) {
      const [a, b, h] = [between(random, 5, 60), between(random, 5, 60), between(random, 20, 300)]
      const spread = massSpread(
        [
          { at: 0, diameter: 2 * a },
          { at: h, diameter: 2 * b },
        ],
        h,
        null,
      )
      // x̄ = h/4 · (a² + 2ab + 3b²)/(a² + ab + b²); J/m = 3/10 · (a⁵ − b⁵)/(a³ − b³) (handbooks of mechanics, from memory).
      expect(spread.along / ((h / 4) * ((a * a + 2 * a * b + 3 * b * b) / (a * a + a * b + b * b)))).toBeCloseTo(1, 4)
      if (Math.abs(a - b) > 0.5) expect(spread.inertia / ((0.3 * (a ** 5 - b ** 5)) / (a ** 3 - b ** 3))).toBeCloseTo(1, 3)
    }
  })

  it('of a thin can with a bottom is that of its side and of a disc', () => {
    const [r, h] = [40, 90]
    const spread = massSpread(
      [
        { at: 0, diameter: 2 * r },
        { at: h, diameter: 2 * r },
      ],
      h,
      h,
    )
    const [side, bottom] = [2 * Math.PI * r * h, Math.PI * r * r]
    expect(spread.along).toBeCloseTo((side * (h / 2) + bottom * h) / (side + bottom), 6)
    expect(spread.inertia).toBeCloseTo((side * r * r + (bottom * r * r) / 2) / (side + bottom), 6)
  })
})

describe('lying on rollers', () => {
  it('is as high as circles that touch, and balances its weight on both', () => {
    const random = seeded(72)
    for (let n = 0; n < 200; n++) {
      const [object, roller] = [between(random, 10, 120), between(random, 8, 60)]
      const gap = between(random, roller, (object + roller) * 0.98)
      const high = heightOnRollers(object, roller, gap)
      expect(Math.hypot(gap / 2, high)).toBeCloseTo((object + roller) / 2, 9)
      // Two forces along the lines of centres hold the weight up.
      const force = gripOfRollers(10, object, roller, gap, 1, 1)
      expect((2 * force * high) / ((object + roller) / 2)).toBeCloseTo(10, 9)
    }
    expect(() => heightOnRollers(20, 10, 40)).toThrow('falls through')
  })
})

describe('a handle that comes round', () => {
  it('stands as high under the head as a fine sampling of all its places says', () => {
    const random = seeded(73)
    for (let n = 0; n < 200; n++) {
      const handle = {
        radius: between(random, 15, 60),
        out: between(random, 5, 60),
        at: between(random, 0, Math.PI),
        turn: between(random, 0, 3),
      }
      const reach = between(random, 0, 60)
      let top = handle.radius
      const [from, to] = [Math.max(0, handle.at - handle.turn), Math.min(Math.PI, handle.at + handle.turn)]
      for (let i = 0; i <= 1500; i++)
        for (let k = 0; k <= 200; k++) {
          const angle = from + ((to - from) * i) / 1500
          const away = handle.radius + (handle.out * k) / 200
          if (away * Math.sin(angle) <= reach) top = Math.max(top, away * Math.cos(angle))
        }
      const found = handleTop(handle, reach)
      expect(found).toBeGreaterThan(top - 0.5)
      expect(found).toBeLessThan(top + 0.5)
    }
  })
})

describe('the side of an object', () => {
  it('is straight where no section leaves the line, and rises as its corners do', () => {
    const bottle = [
      { at: 0, diameter: 60 },
      { at: 20, diameter: 62 },
      { at: 120, diameter: 72 },
      { at: 150, diameter: 40 },
    ]
    expect(straightOf(bottle, 0.2)).toEqual({ from: 0, to: 120, slope: Math.atan(0.05) })
    expect(straightOf([bottle[0]!, { at: 20, diameter: 66 }, bottle[2]!, bottle[3]!], 0.2)).toMatchObject({ from: 20, to: 120 })
    expect(topLineSpread(bottle, { from: 0, to: 120 }, 0)).toBeCloseTo(6, 9)
    // Tilted by its own half angle a straight taper is level.
    expect(topLineSpread(bottle, { from: 0, to: 120 }, -Math.atan(0.05))).toBeCloseTo(0, 9)
  })
})

/** The worst mark of one way of holding. */
function worst(bench: Bench, holding: Holding): Mark {
  const order: readonly Mark[] = ['good', 'unknown', 'look', 'stop']
  const marks = REASONS[holding].map((it) => judge(engineFor(bench), holdsIt, [bench.rotary.inHand, holding, it]).mark)
  return marks.reduce((p, q) => (order.indexOf(q) > order.indexOf(p) ? q : p))
}

const measured = (bench: Bench, values: Readonly<Record<string, number>>): Bench =>
  Object.entries(values).reduce(
    (it, [path, value]) =>
      setAt(it, path, { ...heron().bench.motion.frame.barWidth, value, typed: String(value), doubt: { kind: 'exact' } }),
    bench,
  )

/** A holder of everything: rollers, a chuck, centres. */
const equipped = (bench: Bench): Bench =>
  setAt(
    measured(bench, {
      'rotary.holder.heaviest': 5,
      'rotary.holder.rollerDiameter': 25,
      'rotary.holder.rollerGap': 50,
      'rotary.holder.rollerLength': 200,
      'rotary.holder.jawLeast': 3,
      'rotary.holder.jawMost': 90,
      'rotary.holder.jawLength': 25,
      'rotary.holder.centresMost': 300,
    }),
    'rotary.holder.againstDrift',
    { chosen: 'yes', origin: 'stated', doubt: { kind: 'exact' } },
  )

describe('how to hold it', () => {
  it('sends what is heavy, round and long to rollers, and what is light, tapered or handled to centres (common practice)', () => {
    const mug = equipped(heron().bench)
    expect(HOLDINGS.map((it) => worst(mug, it))).toEqual(['stop', 'look', 'good', 'stop'])
    const at = 'rotary.objects.mug'
    const straight = Object.fromEntries(
      Object.keys(mug.rotary.objects['mug']!.sections).map((id) => [`${at}.sections.${id}.diameter`, 80]),
    )
    const tin = measured(setAt(setAt(mug, `${at}.handle.chosen`, 'none'), `${at}.madeOf.chosen`, 'metal'), {
      ...straight,
      [`${at}.mass`]: 0.9,
    })
    expect(worst(tin, 'rollers')).toBe('good')
    expect(worst(measured(tin, { [`${at}.mass`]: 6 }), 'rollers')).toBe('stop')
    const cone = measured(tin, {
      [`${at}.sections.base.diameter`]: 60,
      [`${at}.sections.foot.diameter`]: 61.5,
      [`${at}.sections.lower.diameter`]: 65,
    })
    expect(['look', 'stop']).toContain(worst(cone, 'rollers'))
  })

  it('stops the head that would hit a disc, and says so where it stands', () => {
    const { bench } = heron()
    const wide = measured(bench, { 'rotary.holder.discDiameter': 150, 'rotary.objects.mug.workFrom': 8 })
    const stops = judgeAll(engineFor(wide), 'rotary').filter((it) => it.mark === 'stop')
    expect(stops.map((it) => [it.def.id, it.args[1]])).toEqual([['rotary.clears', 'drive']])
  })
})
