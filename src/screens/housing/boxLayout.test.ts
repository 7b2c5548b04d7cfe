import { describe, expect, it } from 'vitest'
import { setAt } from '../../core/bench'
import type { Bench } from '../../core/document'
import { heron } from '../../data/heron'
import { cameraCone, insideFromFront, insideFromLeft } from './boxLayout'
import { seenBox } from './seen'

const fact = (value: number | null) => ({ ...heron().bench.motion.frame.barWidth, value, typed: String(value) })
const put = (bench: Bench, facts: Readonly<Record<string, number | null>>): Bench =>
  Object.entries(facts).reduce((it, [key, value]) => setAt(it, `housing.needs.${key}`, fact(value)), bench)
const bench = heron().bench
const seen = seenBox(bench)
if (seen === null) throw new Error('the demo has a box')

describe('the box with the machine in it', () => {
  // Sizes follow from what must go in: what is drawn of it is then within them.
  it('holds the machine on its feet, in the middle across and behind its cables, within its walls', () => {
    const [front, left] = [insideFromFront(bench, seen), insideFromLeft(bench, seen)]
    const [machine] = front.blocks
    const [cables, side] = left.blocks
    if (machine === undefined || cables === undefined || side === undefined) throw new Error('the demo has a machine')
    expect(machine.x0 + machine.x1).toBeCloseTo(seen.x, 9)
    expect(machine.x0).toBeGreaterThanOrEqual(0)
    expect(machine.z1).toBeLessThanOrEqual(seen.z)
    expect([machine.z0, side.z0]).toEqual([bench.rotary.stack.feet.value ?? 0, bench.rotary.stack.feet.value ?? 0])
    expect(cables.x1).toBe(side.x0)
    expect(side.x1).toBeLessThanOrEqual(seen.y)
  })

  it('shows the work within the machine in both views, the front of it at the right when looked at from the left', () => {
    const [front, left] = [insideFromFront(bench, seen), insideFromLeft(bench, seen)]
    expect(front.work.length).toBe(seen.patches.length)
    for (const [inside, block] of [
      [front, front.blocks[0]],
      [left, left.blocks[1]],
    ] as const)
      for (const { low, high, at } of inside.work) {
        expect(high).toBeGreaterThan(low)
        expect([low >= (block?.x0 ?? Infinity), high <= (block?.x1 ?? 0), at <= (block?.z1 ?? 0)]).toEqual([true, true, true])
      }
    const patch = { axis: 2, at: 40, low: [10, 20], high: [200, 100] } as const
    expect(insideFromLeft(bench, { y: 500, patches: [patch] }).work).toEqual([{ low: 400, high: 480, at: 40 }])
  })

  it('is empty before the machine is measured', () => {
    const bare = put(bench, { machineZ: null })
    expect([insideFromFront(bare, seen), insideFromLeft(bare, seen)]).toEqual([
      { blocks: [], work: [] },
      { blocks: [], work: [] },
    ])
  })

  it('has what the camera sees on the bed, from a lens under the roof; none without a camera', () => {
    const camera = setAt(put(bench, { cameraSees: 400, bedOver: 30, cameraBody: 25 }), 'housing.needs.camera.chosen', 'yes')
    const bed = 30 + (bench.rotary.stack.feet.value ?? 0)
    expect(cameraCone(camera, { x: 600, z: 450 })).toEqual([
      [100, bed],
      [300, 425],
      [500, bed],
    ])
    expect(cameraCone(setAt(camera, 'housing.needs.camera.chosen', 'no'), { x: 600, z: 450 })).toBeNull()
  })
})
