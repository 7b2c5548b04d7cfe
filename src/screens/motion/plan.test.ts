import { expect, it } from 'vitest'
import { planOf, type PlanInput } from './plan'

const input: PlanInput = {
  travelX: 430,
  travelY: 310,
  barWidth: 20,
  carriageWidth: 62,
  carriageDepth: 74,
  head: { x: 0, y: 0 },
  x: { kind: 'belt', radius: 6.4, motors: 1 },
  y: { kind: 'belt', radius: 6.4, motors: 2 },
  movingBed: false,
}

it('keeps the carriage between the side bars at both ends of travel', () => {
  const at = (x: number, y: number) => planOf({ ...input, head: { x, y } })
  const [, , left, right] = at(0, 0).bars
  expect(at(0, 0).carriage.x).toBe((left?.x ?? 0) + 20)
  expect(at(430, 310).carriage.x + 62).toBe(right?.x)
  expect(at(430, 310).carriage.y + 74).toBe(at(0, 0).bars[1]?.y ?? 0)
})

it('draws a chain that adds up: travel, carriage, two bars', () => {
  const { outer, bars } = planOf(input)
  expect([outer.w, outer.h]).toEqual([430 + 62 + 40, 310 + 74 + 40])
  expect(bars.reduce((sum, { w, h }) => sum + w * h, 0)).toBe(outer.w * outer.h - 492 * 384)
})

it('moves the bed the other way under a gantry that stands still, in a frame a travel deeper', () => {
  const at = (y: number) => planOf({ ...input, movingBed: true, head: { x: 0, y } })
  expect([at(0).gantry.y, at(310).gantry.y]).toEqual([at(100).gantry.y, at(100).gantry.y])
  expect([at(0).work.y, at(310).work.y]).toEqual([155, -155])
  expect(at(0).outer.h).toBe(planOf(input).outer.h + 310)
})

it('clamps each run to what it moves: the carriage, the gantry, and a bed that comes forward as Y grows', () => {
  const at = (movingBed: boolean, y: number) => planOf({ ...input, movingBed, head: { x: 100, y } })
  expect([at(false, 40).xRun.at, at(false, 40).yRuns[1]?.at]).toEqual([100, 40])
  const [near, far] = [at(true, 0).yRuns[0], at(true, 310).yRuns[0]]
  // Its middle goes by the whole travel towards the motor at the front, and stays between the pulleys.
  expect([(near?.at ?? 0) - (far?.at ?? 0), far?.forward]).toEqual([310, -1])
  for (const run of [near, far]) {
    expect(run?.at).toBeGreaterThan(run?.from[1] ?? Infinity)
    expect(run?.at).toBeLessThan(run?.to[1] ?? -Infinity)
  }
})

it('joins both sides by a shaft where one motor drives the gantry', () => {
  const single = planOf({ ...input, y: { ...input.y, motors: 1 } })
  expect(single.shaft).not.toBeNull()
  expect(single.yRuns.map((it) => it.motor)).toEqual([true, false])
  expect(planOf(input).shaft).toBeNull()
})
