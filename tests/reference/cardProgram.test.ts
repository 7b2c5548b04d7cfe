import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cardCells, type CardShape } from '../../src/core/burn'
import { PLAIN_CARD, readProgram, writeProgram, type Step } from '../../src/core/gcode'
import { axisLimits, planMoves } from '../../src/core/planner'
import {
  cardRoom,
  cardSeconds,
  cardSteps,
  findPose,
  layoutCard,
  letters,
  markSetting,
  middleOf,
  placeInPicture,
  widthOfLetters,
  type CardMachine,
  type FoundMark,
  type Pose,
} from '../../src/core/testcard'
import { between, seeded } from '../../src/core/workshop'
import { modulesOf, sampleCard } from '../cardPicture'

const SURE: CardMachine = { acceleration: 1000, onDelay: 0, offDelay: 0 }

/** Lit pieces of a program, mm. */
function litOf(steps: readonly Step[]) {
  let at = { x: 0, y: 0 }
  let remark = ''
  return steps.flatMap((step) => {
    if (step.kind === 'remark') remark = step.text
    if (!('x' in step)) return []
    const from = at
    at = { x: step.x, y: step.y }
    return step.kind === 'line' && step.power > 0 ? [{ from, to: at, power: step.power, feed: step.feed, of: remark }] : []
  })
}
const lengthOf = (pieces: ReturnType<typeof litOf>): number =>
  pieces.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.y - from.y), 0)
const programOf = (card: CardShape, machine = SURE) => litOf(cardSteps(card, modulesOf(card.code), machine))

describe('the program of a card', () => {
  it('has no light outside of the card, and in each cell its lines from edge to edge, with its own power and speed', () => {
    const card = sampleCard({ originX: 30, originY: 40 })
    const layout = layoutCard(card)
    const lit = programOf(card)
    for (const { from, to } of lit) {
      for (const { x, y } of [from, to]) {
        expect(x >= 30 && x <= 30 + layout.width && y >= 40 && y <= 40 + layout.height, `${x} ${y}`).toBe(true)
      }
    }
    for (const cell of cardCells(card)) {
      const mine = lit.filter((it) => it.of === `Cell ${cell.id}`)
      const middle = middleOf(layout, cell.column, cell.row)
      // 5 mm at 0.1 mm are fifty lines of 5 mm.
      expect(mine).toHaveLength(50)
      expect(lengthOf(mine)).toBeCloseTo(250, 6)
      expect(new Set(mine.map((it) => `${it.power} ${it.feed}`))).toEqual(new Set([`${cell.power} ${cell.speed}`]))
      const mean = mine.reduce((sum, it) => sum + (it.from.x + it.to.x) / 2, 0) / mine.length
      expect(mean - 30).toBeCloseTo(middle.x, 6)
    }
  })
  it('begins lines earlier by the delay on, ends them earlier by the delay off: light falls where it should', () => {
    const late = programOf(sampleCard({ columns: 2, rows: 2 }), { ...SURE, onDelay: 0.01, offDelay: 0.004 })
    const plain = programOf(sampleCard({ columns: 2, rows: 2 }))
    late.forEach((it, i) => {
      const other = plain[i]!
      if (!it.of.startsWith('Cell')) return
      expect(it.from.x).toBeCloseTo(other.from.x - 0.01 * it.feed, 9)
      expect(it.to.x).toBeCloseTo(other.to.x - 0.004 * it.feed, 9)
    })
  })
  it('goes over a cell as often as it has passes; a cut one four sides each time', () => {
    const three = programOf(sampleCard({ columns: 1, rows: 1, passes: 3 })).filter((it) => it.of === 'Cell 1-1')
    expect(lengthOf(three)).toBeCloseTo(750, 6)
    const grid = { across: 'passes', acrossFrom: 2, acrossTo: 2, columns: 1, up: 'speed', upFrom: 5, upTo: 5, rows: 1 } as const
    const cut = programOf(sampleCard({ ...grid, does: 'cut' })).filter((it) => it.of === 'Cell 1-1')
    expect(cut).toHaveLength(8)
    expect(lengthOf(cut)).toBeCloseTo(40, 6)
  })
  it('burns marks as the card says; slowly, with less power, where nobody measured the delay, and never darker than half', () => {
    const card = sampleCard()
    expect(markSetting(card, SURE)).toMatchObject({ power: 1, speed: 20 })
    const unknown = { ...SURE, onDelay: null, offDelay: null }
    expect(markSetting(card, unknown)).toMatchObject({ power: 0.5, speed: 10 })
    expect(markSetting({ ...card, markPower: 0.6, markSpeed: 80 }, unknown)).toMatchObject({ power: 0.5, speed: 10 })
    expect(markSetting({ ...card, markPower: 0.3, markSpeed: 80 }, unknown)).toMatchObject({ power: 0.3, speed: 10 })
  })
  it('takes about the time that is said, and keeps its run-up in the room that is said, by the planner’s own sums', () => {
    for (const more of [{}, { columns: 3, rows: 3 }, { columns: 2, rows: 2, upFrom: 5, upTo: 10 }]) {
      const flat = sampleCard(more)
      const card = { ...flat, originX: cardRoom(flat, SURE).left }
      const steps = cardSteps(card, modulesOf(card.code), SURE)
      for (const step of steps) if ('x' in step) expect(step.x).toBeGreaterThanOrEqual(-1e-9)
      const text = writeProgram(steps, { ...PLAIN_CARD, afterOn: 0 })
      if (!text.ok) throw new Error(text.findings[0]?.message)
      const { moves } = readProgram(text.value)
      const axis = { speed: 300, acceleration: 1000 }
      const planned = planMoves(moves, axisLimits({ x: axis, y: axis, z: axis }, 0.02)).totalSeconds
      const said = cardSeconds(cardCells(card), markSetting(card, SURE), card.cell, SURE)
      expect(said / planned, JSON.stringify(more)).toBeGreaterThan(0.7)
      expect(said / planned, JSON.stringify(more)).toBeLessThan(1.4)
    }
  })
})

describe('the lettering', () => {
  const ALL = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ%./-+'
  it('has a letter for each, within its box, and no two alike', () => {
    const drawn = Array.from(ALL, (it) => letters(it, 0, 0, 6))
    drawn.forEach((lines, i) => {
      expect(lines.length, ALL[i]).toBeGreaterThan(0)
      for (const [x, y] of lines.flat()) expect(x >= 0 && x <= 4 && y >= 0 && y <= 6, ALL[i]).toBe(true)
    })
    const shapes = drawn.map((it) => JSON.stringify(it))
    // A zero is drawn as an O, as many hands do.
    expect(new Set(shapes).size).toBe(ALL.length - 1)
  })
  it('stands side by side without touching, small letters as capitals, what it has no letter for left out', () => {
    const [first, second] = [letters('A', 0, 0, 6), letters('AB', 0, 0, 6).slice(2)]
    expect(Math.max(...first.flat().map(([x]) => x))).toBeLessThan(Math.min(...second.flat().map(([x]) => x)))
    expect(letters('mm/s', 0, 0, 2)).toEqual(letters('MM/S', 0, 0, 2))
    expect(letters('µ', 0, 0, 2)).toEqual([])
    expect(widthOfLetters('', 2)).toBe(0)
  })
})

describe('marks of a card in any pose', () => {
  const layout = layoutCard(sampleCard())
  const frame = { width: 1600, height: 1200 }
  /** A card anywhere in the picture, tilted, through a lens. */
  const poseOf = (random: () => number, isMirrored: boolean): Pose => {
    const [turn, size] = [between(random, 0, 2 * Math.PI), between(random, 0.006, 0.009)]
    const [c, s] = [Math.cos(turn) * size, Math.sin(turn) * size]
    const flip = isMirrored ? 1 : -1
    const tilt = [between(random, -0.003, 0.003), between(random, -0.003, 0.003)] as const
    const [w, h] = [layout.width / 2, layout.height / 2]
    const [e, f] = [-(c * w - s * flip * h), -(s * w + c * flip * h)]
    return {
      plane: [c, -s * flip, e, s, c * flip, f, tilt[0], tilt[1], 1],
      bend: between(random, -0.03, 0.03),
      isMirrored,
      scatter: 0,
    }
  }
  const seenOf = (pose: Pose, random: () => number): FoundMark[] =>
    layout.marks.map((it) => {
      const { x, y } = placeInPicture(pose, frame, it)
      return { x: x + 0.2 * (random() - 0.5), y: y + 0.2 * (random() - 0.5), radius: 6 * between(random, 0.9, 1.1) }
    })

  it('are known by their places, among others that look like them, in any order, and mirrored ones as such', () => {
    for (let number = 1; number <= 60; number++) {
      const random = seeded(number)
      const pose = poseOf(random, number % 4 === 0)
      const others = Array.from({ length: number % 4 }, () => ({
        x: between(random, 0, frame.width),
        y: between(random, 0, frame.height),
        radius: 6 * between(random, 0.8, 1.3),
      }))
      const found = [...seenOf(pose, random), ...others].sort((p, q) => p.radius - q.radius)
      const said = findPose(layout.marks, found, frame)
      if (typeof said === 'string') throw new Error(`${number}: ${said}`)
      expect(said.isMirrored, String(number)).toBe(number % 4 === 0)
      for (const place of [...layout.marks, middleOf(layout, 0, 0), middleOf(layout, 5, 5)]) {
        const [p, q] = [placeInPicture(said, frame, place), placeInPicture(pose, frame, place)]
        expect(Math.hypot(p.x - q.x, p.y - q.y), String(number)).toBeLessThan(2)
      }
    }
  })
  it('of which one is missing, or of another card, are not taken for these', () => {
    for (let number = 1; number <= 30; number++) {
      const random = seeded(number)
      const seen = seenOf(poseOf(random, false), random)
      expect(findPose(layout.marks, seen.slice(1), frame), String(number)).toBe('few')
      const other = layoutCard(sampleCard({ code: ['WRONG7', 'H7KQ3M', 'ACDEFG'][number % 3]! }))
      expect(findPose(other.marks, seen, frame), String(number)).toBe('unlike')
    }
    expect(findPose(layout.marks, [], frame)).toBe('none')
  })
  it('that lie anyhow are no card, and nothing is thrown', () => {
    const coordinate = fc.double({ min: 0, max: 1600, noNaN: true })
    const mark = fc.record({ x: coordinate, y: coordinate, radius: fc.double({ min: 2, max: 30, noNaN: true }) })
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 9 }), (found) => {
        expect(typeof findPose(layout.marks, found, frame)).toBe('string')
      }),
      { numRuns: 150, seed: 13 },
    )
  })
})
