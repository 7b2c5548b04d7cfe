import { describe, expect, it } from 'vitest'
import { setAt, shownNumber } from '../../src/core/bench'
import { engineFor, judgeAll, wordingOf, type Bench } from '../../src/core/document'
import { PLAIN_CARD, writeProgram, type Step } from '../../src/core/gcode'
import { surveyProgram } from '../../src/core/planner'
import {
  burningSeconds,
  fenceSteps,
  placesOf,
  sequenceOf,
  sheetsOf,
  sizeOfPiece,
  templateSteps,
  travelRoom,
  type Stop,
  type Wanted,
} from '../../src/core/work'
import { between, seeded } from '../../src/core/workshop'
import { heron } from '../../src/data/heron'

const bundle = heron()
const demo = bundle.bench
const withWork = (change: Partial<Bench['work']>): Bench => ({ ...demo, work: { ...demo.work, ...change } })
const said = (bench: Bench, id: string, ...args: readonly string[]) => {
  const engine = engineFor(bench)
  const verdict = judgeAll(engine, 'work').find((it) => it.def.id === id && args.every((arg, i) => it.args[i] === arg))
  return verdict === undefined ? null : { mark: verdict.mark, ...wordingOf(engine, verdict, 'metric') }
}
const boundsOf = (steps: readonly Step[]) => {
  const written = writeProgram(steps, PLAIN_CARD)
  if (!written.ok) throw new Error('it is not written')
  return surveyProgram(written.value, null)
}

describe('an order of lines', () => {
  const square = (x: number, y: number, before = -1): { stop: Stop; box: Wanted['boxes'][number] } => ({
    stop: { from: { x, y }, to: { x, y }, turns: false, before },
    box: { left: x, bottom: y, right: x + 10, top: y + 10 },
  })
  it('holds every line once, what lies inside first, turn by turn as far as that allows, over 300 drawn ones', () => {
    const random = seeded(3)
    for (let n = 0; n < 300; n++) {
      const count = 1 + Math.floor(random() * 25)
      const all = Array.from({ length: count }, (_, i) =>
        square(between(random, 0, 200), between(random, 0, 200), i > 0 && random() < 0.4 ? Math.floor(random() * i) : -1),
      )
      const stops = all.map((it) => it.stop)
      const turns = random() < 0.3 ? null : stops.map(() => Math.floor(random() * 4))
      const apart = random() < 0.5 ? 0 : between(random, 5, 80)
      const { visits, near } = sequenceOf(stops, { x: 0, y: 0 }, { turns, apart, boxes: all.map((it) => it.box) })
      const at = visits.map((it) => it.stop)
      expect([...at].sort((p, q) => p - q)).toEqual([...stops.keys()])
      stops.forEach(({ before }, i) => before >= 0 && expect(at.indexOf(i)).toBeLessThan(at.indexOf(before)))
      expect(near).toBeLessThan(count)
      // Of two that nothing holds, and in which nothing lies, that of the lower turn comes first.
      const isFree = (i: number): boolean => stops[i]!.before < 0 && !stops.some((it) => it.before === i)
      const free = at.filter(isFree)
      if (turns !== null) expect(free.map((i) => turns[i])).toEqual(free.map((i) => turns[i]!).sort((p, q) => p - q))
    }
  })
  it('goes away from the heat where it can: of five in a row never to the next one, and says where it has to', () => {
    const row = [0, 12, 24, 36, 48].map((x) => square(x, 0))
    const find = (them: typeof row, apart: number) =>
      sequenceOf(
        them.map((it) => it.stop),
        { x: 0, y: 0 },
        { turns: null, apart, boxes: them.map((it) => it.box) },
      )
    const { visits, near } = find(row, 10)
    expect(near).toBe(0)
    visits.slice(1).forEach((it, k) => expect(Math.abs(it.stop - visits[k]!.stop)).toBeGreaterThan(1))
    // Of three no order keeps all apart: one pair of neighbours stays.
    expect(find(row.slice(0, 3), 10).near).toBe(1)
    expect(find(row, 0).visits.map((it) => it.stop)).toEqual([0, 1, 2, 3, 4])
  })
})

describe('a fence and places for blanks', () => {
  it('lines of a fence meet in its corner, outlines of places lie where their blanks do; read back from their programs', () => {
    const laying = { power: 0.3, speed: 20 }
    const { burntBounds, burntLength } = boundsOf(fenceSteps({ x: 20, y: 30 }, 120, 80, laying))
    expect(burntBounds).toMatchObject({ minX: 20, maxX: 140, minY: 30, maxY: 110 })
    expect(burntLength).toBeCloseTo(200, 6)
    const work = {
      ...demo.work,
      placeColumns: 3,
      placeRows: 2,
      placeStepX: 60,
      placeStepY: 45,
      placesOut: { c0r0: { order: 1 } },
    }
    const corners = sheetsOf(work)
    expect(corners.map(({ x, y }) => [x, y])).toEqual([[120, 45], [180, 45], [60, 90], [120, 90], [180, 90]]) // prettier-ignore
    const outlines = boundsOf(templateSteps(corners, { width: 50, height: 40 }, laying))
    expect(outlines.burntLength).toBeCloseTo(5 * 180, 6)
    expect(outlines.burntBounds).toMatchObject({ minX: 60, maxX: 230, minY: 45, maxY: 130 })
    expect(placesOf(work).filter((it) => !it.isIn).map((it) => it.id)).toEqual(['c0r0']) // prettier-ignore
  })
  it('each blank takes as long again, and room within the travel from the last of them', () => {
    const number = (bench: Bench, def: typeof burningSeconds | typeof travelRoom, ...args: string[]): number =>
      shownNumber(engineFor(bench).value(def as typeof burningSeconds, ...(args as [])).result)!
    const label = { label: { ...demo.work.pieces['label']!, columns: 1, rows: 1 } }
    const [one, six] = [
      withWork({ pieces: label }),
      withWork({ pieces: label, placeColumns: 3, placeRows: 2, placeStepX: 110, placeStepY: 90 }),
    ]
    expect(number(six, burningSeconds) / number(one, burningSeconds)).toBeCloseTo(6, 9)
    // The same places of the bed, as copies on one sheet.
    const { width, height } = sizeOfPiece(label.label)
    const copies = { label: { ...label.label, columns: 3, rows: 2, gapX: 110 - width, gapY: 90 - height } }
    for (const letter of ['X', 'Y']) {
      expect(number(six, travelRoom, letter)).toBeCloseTo(number(withWork({ pieces: copies }), travelRoom, letter), 6)
      expect(number(six, travelRoom, letter)).toBeLessThanOrEqual(number(one, travelRoom, letter))
    }
    // Blanks of 210 mm do not lie 110 mm from one another.
    expect(said(six, 'work.placesApart', 'X')).toMatchObject({ mark: 'stop' })
    expect(said(withWork({ placeColumns: 2, placeStepX: 215 }), 'work.placesApart', 'X')).toMatchObject({ mark: 'good' })
    expect(said(one, 'work.placesApart', 'X')).toBeNull()
  })
  it('a fence is asked for its lines until they are burnt, and again when it is said to lie elsewhere', () => {
    expect(said(demo, 'work.fenceLaid')).toBeNull()
    const fenced = withWork({ placedBy: 'fence' })
    expect(said(fenced, 'work.fenceLaid')).toMatchObject({ mark: 'unknown', next: { fact: 'work.fenceX' } })
    const burnt = withWork({ placedBy: 'fence', fenceBurnt: 'yes', fenceBurntX: 20, fenceBurntY: 20 })
    expect(said(burnt, 'work.fenceLaid')).toMatchObject({ mark: 'good' })
    expect(said(setAt(burnt, 'work.fenceBurntX', 23), 'work.fenceLaid')).toMatchObject({
      mark: 'look',
      head: 'The fence was laid elsewhere',
    })
    // Work is placed from its corner, and the ± is that of how it was laid.
    expect(sheetsOf(fenced.work)).toEqual([{ x: 20, y: 20 }])
  })
})
