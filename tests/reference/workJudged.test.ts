import { describe, expect, it } from 'vitest'
import { setAt, shownNumber } from '../../src/core/bench'
import { axisIds, engineFor, judgeAll, machineLimits, wordingOf, type Bench } from '../../src/core/document'
import { PLAIN_CARD, readProgram, writeProgram } from '../../src/core/gcode'
import { isLit, planMoves, surveyProgram } from '../../src/core/planner'
import {
  burningOf,
  burningSeconds,
  kerfNow,
  leavesTravel,
  pictureTones,
  planWork,
  sheetRoom,
  sheetsOf,
  summaryOfPicture,
  tasksOf,
  travelRoom,
  usualFor,
  waysBeyond,
  type Piece,
  type PieceToBurn,
} from '../../src/core/work'
import { between, seeded } from '../../src/core/workshop'
import { readArtwork } from '../../src/data/artworkFile'
import { heron } from '../../src/data/heron'
import { polygons } from '../../src/data/polygons'

const bundle = heron()
const file = bundle.files.find((it) => it.name === 'plant-label.svg')!
const read = readArtwork(file.bytes, file.name)
if (!read.ok || read.value.kind !== 'drawing') throw new Error('the label is not read')
const { drawing } = read.value

/** The demo with its label alone, changed. */
const withLabel = (change: Partial<Piece>, more: (bench: Bench) => Bench = (it) => it): Bench => {
  const { label } = bundle.bench.work.pieces
  return more(setAt(bundle.bench, 'work.pieces', { label: { ...label!, ...change } }))
}
const entered = (bench: Bench, path: string, value: number | null): Bench => {
  const fact = {
    ...bench.motion.frame.barWidth,
    value,
    typed: value === null ? '' : String(value),
    doubt: { kind: 'exact' } as const,
  }
  return setAt(bench, path, fact)
}
/** Head, reason and next of a verdict of the order, by its id. */
const said = (bench: Bench, id: string, ...args: readonly string[]) => {
  const engine = engineFor(bench)
  const verdict = judgeAll(engine, 'work').find((it) => it.def.id === id && args.every((arg, i) => it.args[i] === arg))
  if (verdict === undefined) return null
  return { mark: verdict.mark, ...wordingOf(engine, verdict, 'metric') }
}

describe('what is judged of an order', () => {
  it('the sheet: fits, does not, and is asked for while nobody measured it; each that is not good says where to go', () => {
    expect(said(withLabel({}), 'work.fitsSheet')).toMatchObject({ mark: 'good', head: 'It fits the sheet' })
    const beyond = said(withLabel({ x: 150 }), 'work.fitsSheet')
    expect(beyond).toMatchObject({ mark: 'stop', head: 'It does not fit the sheet' })
    expect(beyond?.next?.words).toMatch(/larger sheet/)
    const open = said(entered(withLabel({}), 'work.sheetWidth', null), 'work.fitsSheet')
    expect(open).toMatchObject({ mark: 'unknown', head: 'Does it fit the sheet?' })
    expect(open?.next).toMatchObject({ path: 'work.sheetWidth' })
  })
  it('the travel: run-outs count, so that a faster fill leaves it where a slower one does not', () => {
    const near = (speed: number) =>
      withLabel({ columns: 1, rows: 1, x: 0 }, (it) => {
        const left = entered(it, 'work.sheetX', -1)
        return setAt(left, 'work.pieces.label.ways.leaves.speed', speed)
      })
    expect(said(near(20), 'work.fitsTravel', 'X')?.mark).toBe('stop')
    const moved = (speed: number) => entered(near(speed), 'work.sheetX', 3)
    expect(said(moved(20), 'work.fitsTravel', 'X')?.mark).toBe('good')
    expect(said(moved(120), 'work.fitsTravel', 'X')).toMatchObject({ mark: 'stop', head: 'Leaves the travel of X' })
  })
  it('cuts: by what was tried of the material, and asked for where nothing was', () => {
    const at = (speed: number, more: (bench: Bench) => Bench = (it) => it) =>
      said(
        withLabel({}, (it) => more(setAt(it, 'work.pieces.label.ways.outline.speed', speed))),
        'work.cutsThrough',
        'label',
        'outline',
      )
    expect(at(4)).toMatchObject({ mark: 'good', head: 'Plant label is cut through' })
    expect(at(9)).toMatchObject({ mark: 'look', head: 'Plant label may not be cut through' })
    const untried = at(4, (it) => setAt(it, 'work.material', ''))
    expect(untried).toMatchObject({ mark: 'unknown', head: 'Is Plant label cut through?' })
    expect(untried?.next?.words).toBe('Try the material')
  })
  it('what it lies on: a closed table is looked at where something is cut, and not where nothing is', () => {
    const on = (under: string, does: string) =>
      said(
        withLabel({}, (it) => setAt(setAt(it, 'work.under', under), 'work.pieces.label.ways.outline.does', does)),
        'work.openBelow',
      )
    expect(on('honeycomb', 'cut')?.mark).toBe('good')
    expect(on('table', 'cut')).toMatchObject({ mark: 'look', head: 'A cut goes into something closed' })
    expect(on('plate', 'cut')?.why).toMatch(/throws the beam back/)
    expect(on('table', 'mark')?.mark).toBe('good')
  })
  it('light: power below the threshold of the curve is named', () => {
    // Read by a meter (invented): nothing at 4 %, then in proportion.
    const light = {
      ...bundle.bench.motion.frame.barWidth,
      typedUnit: 'W' as const,
      doubt: { kind: 'standard', u: 0.02 } as const,
    }
    const curve = Object.fromEntries(
      [4, 10, 20, 40, 60, 80, 100].map((percent, order) => {
        const watts = percent <= 4 ? 0 : (5.5 * (percent - 5)) / 95
        return [`p${order}`, { order, percent, light: { ...light, value: watts, typed: watts.toFixed(2) } }]
      }),
    )
    const at = (power: number) => {
      const read = setAt(withLabel({}), 'calibrate.curve', curve)
      return said(setAt(read, 'work.pieces.label.ways.lines.power', power), 'work.litEnough', 'label', 'lines')
    }
    expect(at(0.5)).toMatchObject({ mark: 'good', head: 'Plant label, lines blue: light enough' })
    expect(at(0.005)).toMatchObject({ mark: 'look', head: 'No light for Plant label, lines blue' })
  })
  it('nothing is judged of no order, nor of what is left out of this burn', () => {
    expect(judgeAll(engineFor(setAt(bundle.bench, 'work.pieces', {})), 'work')).toEqual([])
    const left = withLabel({ isIn: 'no' })
    expect(said(left, 'work.cutsThrough')).toBeNull()
    expect(said(left, 'work.fitsSheet')?.mark).toBe('unknown')
  })
})

/** The demo's label planned on its machine. */
function planned(bench: Bench) {
  const engine = engineFor(bench)
  const limits = machineLimits(engine)!
  const { work, burns } = bench
  const pieces = Object.entries(work.pieces).map(([id, piece]): PieceToBurn => ({
    id,
    piece,
    source: { kind: 'drawing', drawing },
    ways: Object.values(piece.ways).map((way) => ({ way, setting: burningOf(work, burns.materials, way), toning: null })),
  }))
  const tasks = tasksOf(pieces, sheetsOf(work))
  const kerf = shownNumber(engine.value(kerfNow).result)!
  const machine = { limits, onDelay: 0, offDelay: 0, bothWays: true, backShift: 0 }
  const { steps } = planWork({ tasks, machine, kerf, within: 0.01, start: { x: 0, y: 0 }, hasZ: false }, polygons)
  const written = writeProgram(steps, PLAIN_CARD)
  if (!written.ok) throw new Error('not written')
  return { engine, limits, text: written.value }
}

describe('figures of an order against its program, planned and read back', () => {
  it('never say more room than there is, on the sheet and within the travel, nor more time than is needed', () => {
    const random = seeded(77)
    for (let at = 0; at < 40; at++) {
      const change = {
        x: between(random, 3, 60),
        y: between(random, 3, 60),
        turn: Math.floor(random() * 360),
        scale: between(random, 0.4, 0.9),
        columns: 1 + Math.floor(random() * 2),
        rows: 1 + Math.floor(random() * 2),
        mirrored: random() < 0.5 ? ('yes' as const) : ('no' as const),
      }
      // Leads reach out of a part by their own length: they lie in what falls away.
      const bench = withLabel(change, (it) => setAt(it, 'work.pieces.label.ways.outline.lead', 0))
      const { engine, limits, text } = planned(bench)
      const { work } = bench
      const { bounds, burntBounds } = surveyProgram(text, limits)
      const number = (def: typeof sheetRoom): number => shownNumber(engine.value(def).result)!
      const [left, bottom] = [work.sheetX.value!, work.sheetY.value!]
      const onSheet = Math.min(
        burntBounds!.minX - left,
        burntBounds!.minY - bottom,
        left + work.sheetWidth.value! - burntBounds!.maxX,
        bottom + work.sheetHeight.value! - burntBounds!.maxY,
      )
      expect(number(sheetRoom), `order ${at}`).toBeLessThanOrEqual(onSheet - work.margin.value! + 0.01)
      // Away from zero and back to it the head goes anyway: what counts is the far end.
      for (const letter of ['X', 'Y'] as const) {
        const id = axisIds(bench).find((it) => bench.motion.axes[it]!.letter === letter)!
        const far = bench.motion.axes[id]!.travel.value! - (letter === 'X' ? bounds!.maxX : bounds!.maxY)
        expect(shownNumber(engine.value(travelRoom, letter).result), `order ${at}, ${letter}`).toBeLessThanOrEqual(far + 0.01)
      }
      const { moves } = readProgram(text)
      const plan = planMoves(moves, limits)
      let lit = 0
      for (let i = 0; i < moves.count; i++) if (isLit(moves, i)) lit += (plan.length[i] as number) / (moves.feed[i] as number)
      const least = number(burningSeconds)
      expect(least, `order ${at}`).toBeLessThanOrEqual(plan.totalSeconds)
      // Kerf and tabs move it a little; an area that is added up coarsely too.
      expect(least / lit).toBeGreaterThan(0.93)
      expect(least / lit).toBeLessThan(1.07)
    }
  })
})

describe('the least time of a picture', () => {
  it('is no more than its program takes, whatever it shows and however its greys become burns', () => {
    const random = seeded(5)
    const { picture: piece } = bundle.bench.work.pieces
    for (let at = 0; at < 24; at++) {
      // Blobs of all greys, from nearly white to black; powers above where the light begins.
      const [ground, blob] = [random(), random()]
      const luminance = Float32Array.from({ length: 90 * 80 }, (_, i) => {
        const inside = Math.hypot((i % 90) - 45, Math.floor(i / 90) - 40) < 25
        return Math.min(1, Math.max(0, (inside ? blob : ground) + 0.1 * (random() - 0.5)))
      })
      const picture = { width: 90, height: 80, luminance }
      const way = {
        ...piece!.ways['picture']!,
        ...summaryOfPicture(picture, 18, 16),
        toning: (['grey', 'four', 'twelve', 'twelveSharp', 'ordered'] as const)[at % 5]!,
        power: between(random, 0.25, 1),
      }
      const bench = setAt(bundle.bench, 'work.pieces', { picture: { ...piece!, columns: 1, rows: 1, ways: { picture: way } } })
      const engine = engineFor(bench)
      const limits = machineLimits(engine)!
      const toned = engine.value(pictureTones, 'picture', 'picture').result
      if (!toned.known) throw new Error('no tones')
      const setting = burningOf(bench.work, bench.burns.materials, way)
      const own: PieceToBurn = {
        id: 'picture',
        piece: bench.work.pieces['picture']!,
        source: { kind: 'picture', picture },
        ways: [{ way, setting, toning: toned.value.toning }],
      }
      const machine = { limits, onDelay: 0, offDelay: 0, bothWays: true, backShift: 0 }
      const tasks = tasksOf([own], sheetsOf(bench.work))
      const { steps } = planWork({ tasks, machine, kerf: 0, within: 0.01, start: { x: 0, y: 0 }, hasZ: false }, polygons)
      const written = writeProgram(steps, PLAIN_CARD)
      if (!written.ok) throw new Error('not written')
      const { totalSeconds } = planMoves(readProgram(written.value).moves, limits)
      expect(shownNumber(engine.value(burningSeconds).result), `picture ${at}, ${way.toning}`).toBeLessThanOrEqual(totalSeconds)
    }
  })
})

describe('a program beside the travel', () => {
  it('is drawn where it leaves it: the pieces that begin or end outside, no more than are asked for', () => {
    const way = { x: [0, 10, 101, 101, 50, 50], y: [0, 10, 10, 20, 20, -1] }
    expect(waysBeyond(way, { x: 100, y: 100 }, 9)).toEqual([[10, 10, 101, 10], [101, 10, 101, 20], [101, 20, 50, 20], [50, 20, 50, -1]]) // prettier-ignore
    expect(waysBeyond(way, { x: null, y: null }, 9)).toEqual([[50, 20, 50, -1]])
    expect(waysBeyond(way, { x: 100, y: 100 }, 2)).toHaveLength(2)
  })
  const bounds = { minX: 0, maxX: 200, minY: 0, maxY: 100, minZ: 0, maxZ: 0 }
  it('is named with how far it goes, on either side of either axis; a rounded place is not', () => {
    expect(leavesTravel(bounds, { x: 200, y: 100 })).toEqual([])
    expect(leavesTravel({ ...bounds, maxX: 200.0005 }, { x: 200, y: 100 })).toEqual([])
    expect(leavesTravel({ ...bounds, minX: -2.44 }, { x: 200, y: 100 })[0]?.message).toMatch(/2\.500?\smm beyond the travel of X/)
    expect(leavesTravel({ ...bounds, maxY: 131 }, { x: 300, y: 100 })[0]?.message).toMatch(/31\smm beyond the travel of Y/)
    expect(leavesTravel({ ...bounds, minY: -1 }, { x: null, y: null })).toHaveLength(1)
    expect(leavesTravel(null, { x: 1, y: 1 })).toEqual([])
  })
  it('usual numbers are such as a way may have', () => {
    for (const does of ['cut', 'part', 'mark', 'fill'] as const) {
      const { power = 0, speed = 0 } = usualFor(does, 'drawing')
      expect(power > 0 && power <= 1 && speed > 0).toBe(true)
    }
    // A cut is slower than a mark, a mark than a fill (common practice).
    expect(usualFor('cut', 'drawing').speed!).toBeLessThan(usualFor('mark', 'drawing').speed!)
    expect(usualFor('mark', 'drawing').speed!).toBeLessThan(usualFor('fill', 'drawing').speed!)
  })
})
