import { describe, expect, it } from 'vitest'
import { burnDose, type BurnJob } from '../../src/core/burn'
import { readProgram } from '../../src/core/gcode'
import { axisLimits, planMoves } from '../../src/core/planner'
import { darkPlaces, evenSpeed, freedBy, lightAtEnd, lightAtPlace, unsteadyOn, type Bars, type Freed } from '../../src/core/work'
import { between, seeded } from '../../src/core/workshop'

const limits = (acceleration: number) => {
  const axis = { speed: 500, acceleration }
  return axisLimits({ x: axis, y: axis, z: axis }, 0.02)
}
const planned = (text: string, acceleration = 1000) => {
  const { moves } = readProgram(text)
  return { moves, plan: planMoves(moves, limits(acceleration)) }
}

/** A program's first lit line burnt: the most of any cell, that of the line's middle, all of it, J/mm² and J. */
const burnt = ({ moves, plan }: ReturnType<typeof planned>, radius: number, followsSpeed: boolean, pitch: number) => {
  const side = { radius, rayleigh: 2, order: 2 }
  const light = { fullS: 1000, shares: [0, 1], watts: [0, 4], pulsesHz: null, followsSpeed, onDelay: 0, offDelay: 0 }
  const job: BurnJob = { moves, plan, light, beam: { x: side, y: side, turnRad: 0 }, surface: 0, passes: 1 }
  const [columns, rows] = [Math.ceil(24 / pitch), Math.ceil(20 / pitch)]
  const { dose } = burnDose(job, { left: 3, bottom: -2, pitch, columns, rows })!
  const along = Math.max(...Array.from({ length: columns }, (_, i) => dose[Math.round(10 / pitch) * columns + i]!))
  return { most: dose.reduce((p, q) => Math.max(p, q)), along, joules: dose.reduce((sum, it) => sum + it, 0) * pitch * pitch }
}

describe('light at the ends of lines at constant power', () => {
  it('is what the burn engine lays down there, against along the line: darkest place, whole spot', () => {
    const random = seeded(11)
    for (let k = 0; k < 8; k++) {
      const [speed, acceleration, radius] = [between(random, 15, 80), between(random, 400, 2000), between(random, 0.08, 0.2)]
      // The head turns back there, so that the line begins from rest.
      const told = lightAtEnd({ speed, acceleration, radius, waits: 0 })
      const { most, along } = burnt(
        planned(`G21 G90 G0 X5 Y4\nY0\nM3 S1000\nG1 F${speed * 60} Y16\nM5`, acceleration),
        radius,
        false,
        radius / 8,
      )
      expect(most / along / told).toBeGreaterThan(0.96)
      expect(most / along / told).toBeLessThan(1.08) // it stamps in steps of 0.4 radii
    }
  })
  it('is just twice at the speed that is said to begin evenly', () => {
    for (const [a, w] of [
      [1300, 0.07],
      [200, 0.2],
      [5000, 0.03],
    ] as const) {
      // prettier-ignore
      expect(lightAtEnd({ speed: evenSpeed(a, w), acceleration: a, radius: w, waits: 0 })).toBeCloseTo(2, 1)
    }
  })
  it('standing in the light adds what falls in that time, at the middle of the spot: √(2/π)·v·t₀/w', () => {
    const line = { through: 40, speed: 40, acceleration: 1000, length: 50 }
    const told = lightAtPlace(line, line, { radius: 0.1, speed: 40, waits: 0.05 })
    expect(told).toBeCloseTo(1 + (Math.sqrt(2 / Math.PI) * 40 * 0.05) / 0.1, 2)
  })
  it('rings the corners of a square that is gone fast, none of one that is gone slowly, and one place of a circle', () => {
    const square = (feed: number) => `G21 G90 G0 X10 Y10\nM3 S500\nG1 F${feed} X30\nY30\nX10\nY10\nM5\nG0 X0 Y0`
    const at = (text: string) => {
      const { moves, plan } = planned(text)
      return darkPlaces(moves, plan, 0.06, { onDelay: 0 })
    }
    expect(at(square(3000)).map(({ x, y }) => [x, y]).sort()).toEqual([[10, 10], [10, 30], [30, 10], [30, 30]]) // prettier-ignore
    expect(at(square(300))).toEqual([])
    const circle = 'G21 G90 G0 X30 Y20\nM3 S500\nG3 F2000 X30 Y20 I-10 J0\nM5\nG0 X0 Y0'
    expect(at(circle)).toHaveLength(1)
    // Standing in the light before the move is worse, unless the light is as late.
    const waits = square(300).replace('M3 S500', 'M3 S500\nG4 P0.1')
    expect(at(waits)[0]).toMatchObject({ x: 10, y: 10 })
    const { moves, plan } = planned(waits)
    expect(darkPlaces(moves, plan, 0.06, { onDelay: 0.1 })).toEqual([])
  })
  it('does not come about where the light follows the speed: then a line gets P/v all along, ends and all', () => {
    const { moves, plan } = planned('G21 G90 G0 X5 Y4\nY0\nM3 S1000\nG1 F3000 Y16\nM5')
    const [even, constant] = [burnt({ moves, plan }, 0.1, true, 0.05), burnt({ moves, plan }, 0.1, false, 0.05)]
    expect(even.joules).toBeCloseTo((4 / 50) * 16, 2)
    expect(even.most / even.along).toBeLessThan(1.02)
    expect(constant.most / constant.along).toBeGreaterThan(2.5)
  })
})

describe('freed pieces on bars', () => {
  const disc = (x: number, y: number, r: number) =>
    Array.from({ length: 73 }, (_, k) => ({ x: x + r * Math.cos((k * Math.PI) / 36), y: y + r * Math.sin((k * Math.PI) / 36) }))
  const bars = (first: number, step: number): Bars => ({ along: 'x', first, step, width: 3 })
  const part = (outline: Freed['outline'], holes: Freed['holes'] = [], isPart = true): Freed => ({ outline, holes, isPart })
  it('lie, tip up or fall by where their centre of gravity is over what holds them', () => {
    const how = (first: number, step: number, it: Freed) => unsteadyOn(bars(first, step), [it]).map((one) => one.how)
    const one = part(disc(50, 50, 10))
    expect(how(50, 100, one)).toEqual([]) // a bar under its middle
    expect(how(55, 100, one)).toEqual(['tilts']) // one to the side
    expect(how(45, 10, one)).toEqual([]) // one on each side
    expect(how(30, 100, one)).toEqual(['falls'])
    // A slug that falls out of its hole is no harm; one that tips up is.
    expect(how(30, 100, { ...one, isPart: false })).toEqual([])
    expect(how(55, 100, { ...one, isPart: false })).toEqual(['tilts'])
    // A hole above the middle moves the centre down: to 50 − 5·36/(100 − 36), so that the bar under the middle loses it.
    const holed = part(disc(50, 50, 10), [disc(50, 54, 5.9)])
    expect(how(50, 100, holed)).toEqual(['tilts'])
    expect(unsteadyOn(bars(30, 100), [holed])[0]!.y).toBeCloseTo(50 - (4 * 5.9 ** 2) / (100 - 5.9 ** 2), 1)
  })
  it('a horseshoe stands though its centre of gravity is in the open', () => {
    const shoe = [[0, 0], [60, 0], [60, 60], [50, 60], [50, 10], [10, 10], [10, 60], [0, 60], [0, 0]].map(([x, y]) => ({ x: x!, y: y! })) // prettier-ignore
    expect(unsteadyOn(bars(5, 50), [part(shoe)])).toEqual([])
    expect(unsteadyOn(bars(5, 100), [part(shoe)]).map((it) => it.how)).toEqual(['tilts'])
  })
  it('are those that are cut out whole: with tabs nothing comes free', () => {
    const task = { does: 'cut', tabs: 0 }
    const contour = (tabs: number, ring: Freed['outline']) =>
      ({ task: { ...task, tabs }, isClosed: true, places: ring, drawn: ring, scrap: 1 }) as never
    const outer = disc(50, 50, 10)
    const hole = disc(50, 54, 3)
    expect(freedBy([contour(0, outer), contour(0, hole)]).map((it) => [it.isPart, it.holes.length])).toEqual([[true, 1], [false, 0]]) // prettier-ignore
    expect(freedBy([contour(2, outer), contour(0, hole)]).map((it) => it.isPart)).toEqual([false])
  })
})
