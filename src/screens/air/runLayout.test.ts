import { describe, expect, it } from 'vitest'
import { setAt } from '../../core/bench'
import { heron } from '../../data/heron'
import { layRun, profileOf } from './runLayout'

const way = heron().bench.air.ways['out']!

describe('a way as it runs', () => {
  it('fills the room, part behind part, ducts by their share of all', () => {
    const run = layRun(way, 900)
    run.parts.forEach((it, k) => {
      const next = run.parts[k + 1]
      if (next !== undefined) expect(next.x).toBeCloseTo(it.x + it.width, 9)
    })
    const [long, short] = [run.parts.find((it) => it.id === 'hose')!, run.parts.find((it) => it.id === 'behind')!]
    expect((long.width - short.width) * run.mmPerPx).toBeCloseTo(2400 - 600, 6)
  })
  it('is wider than a narrow room, and drawn where nothing is measured yet', () => {
    expect(layRun(way, 300).width).toBeGreaterThan(300)
    const bare = setAt(way, 'parts.hose.length', { ...way.parts['hose']!.length, value: null })
    expect(layRun(bare, 900).parts.every((it) => Number.isFinite(it.x + it.width))).toBe(true)
  })
  it('has its pressure between the highest and the lowest, and none where it is not known', () => {
    const run = layRun(way, 900)
    const joints = run.parts.map((it, k) => ({ part: it.id, velocity: 4, before: -10 * k, behind: -10 * (k + 1) }))
    const profile = profileOf(run, joints, 100, 200)!
    expect(profile.places[0]!.y).toBe(100)
    expect(profile.places.at(-1)!.y).toBe(200)
    expect(profile.zero).toBe(100)
    expect(profileOf(run, [], 100, 200)).toBeNull()
    expect(
      profileOf(
        run,
        joints.map((it) => ({ ...it, behind: Number.NaN })),
        100,
        200,
      ),
    ).toBeNull()
  })
})
