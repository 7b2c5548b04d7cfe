import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { PNG } from 'pngjs'
import { describe, expect, it } from 'vitest'
import { mapped } from '../../src/core/artwork'
import { toneAfter, type ToneLaw } from '../../src/core/burn'
import { PLAIN_CARD, readProgram, writeProgram } from '../../src/core/gcode'
import { axisLimits, planMoves } from '../../src/core/planner'
import { lightness, luminanceOf } from '../../src/core/testcard'
import {
  boundsSteps,
  boxOfWay,
  boxUnder,
  changesToTry,
  clampFindings,
  clampsHit,
  copiesOf,
  countOf,
  cutsOnBars,
  hullOf,
  layOut,
  sizeOfPiece,
  summariesOf,
  summaryOfPicture,
  tasksOf,
  timeOfWork,
  tonedBy,
  withChange,
  type Placed,
  type Source,
} from '../../src/core/work'
import { readArtwork } from '../../src/data/artworkFile'
import { heron } from '../../src/data/heron'
import { pictureHead } from '../../src/data/pictureHead'
import { plover } from '../../src/data/plover'

const fixture = (name: string): Uint8Array => new Uint8Array(readFileSync(`tests/fixtures/artwork/${name}`))
function sourceOf(name: string): Source {
  const read = readArtwork(fixture(name), name)
  if (!read.ok) throw new Error(read.findings[0]?.message)
  if (read.value.kind === 'drawing') return { kind: 'drawing', drawing: read.value.drawing }
  const png = PNG.sync.read(Buffer.from(fixture(name)))
  const luminance = Float32Array.from({ length: png.width * png.height }, (_, i) => png.data[4 * i]! / 255)
  return { kind: 'picture', picture: { width: png.width, height: png.height, luminance } }
}

describe('files of a general drawing tool', () => {
  it('a label: its outline is a pentagon with a hole, 192 of 193 parts of ten centimetres long', () => {
    const source = sourceOf('plant-label.svg')
    if (source.kind !== 'drawing') throw new Error('no drawing')
    const [outline, lines, leaves] = summariesOf(source.drawing)
    expect([outline!.does, lines!.does, leaves!.does]).toEqual(['cut', 'mark', 'fill'])
    const unit = 100 / 193
    expect(outline!.right - outline!.left).toBeCloseTo(192 * unit, 9)
    // Two sides of 32 by 24, two of 160, one of 48; a circle of radius 5.
    expect(outline!.length).toBeCloseTo((2 * 40 + 2 * 160 + 48 + 10 * Math.PI) * unit, 1)
    expect(lines!.length).toBeCloseTo(2 * 88 * unit, 6)
  })
  it('a mark in centimetres without saying so: the unit is asked for, its 14 pieces are what was drawn', () => {
    const source = sourceOf('handle-mark.dxf')
    if (source.kind !== 'drawing') throw new Error('no drawing')
    expect(source.drawing.hasUnits).toBe(false)
    // From the ring of 8 mm about 9 to the end of the line at 58 mm.
    expect(source.drawing.width * 10).toBeCloseTo(57, 6)
    expect(source.drawing.height * 10).toBeCloseTo(16, 6)
  })
  it('the demos say of theirs what the reader says, under the print of the bytes', async () => {
    for (const bundle of [heron(), plover()]) {
      for (const piece of Object.values(bundle.bench.work.pieces)) {
        const file = bundle.files.find((it) => it.recordId === piece.record)!
        const digest = await crypto.subtle.digest('SHA-256', file.bytes as Uint8Array<ArrayBuffer>)
        expect(Buffer.from(digest).toString('hex')).toBe(piece.print)
        expect(Buffer.from(file.bytes).equals(Buffer.from(fixture(file.name)))).toBe(true)
        const source = sourceOf(file.name)
        if (source.kind === 'picture') {
          const linear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)
          const picture = { ...source.picture, luminance: Float32Array.from(source.picture.luminance, linear) }
          const [way] = Object.values(piece.ways)
          expect(way!.area).toBeCloseTo(summaryOfPicture(picture, piece.width, piece.height).area, 4)
          continue
        }
        const read = summariesOf(source.drawing)
        const ways = Object.values(piece.ways).sort((p, q) => p.order - q.order)
        expect(ways.map(({ key, drawn, outlines, closed }) => ({ key, drawn, outlines, closed }))).toEqual(
          read.map(({ key, drawn, outlines, closed }) => ({ key, drawn, outlines, closed })),
        )
        read.forEach((it, i) => expect(ways[i]!.length).toBeCloseTo(it.length, 6))
        expect(piece.width).toBeCloseTo(source.drawing.width, 9)
      }
    }
  })
})

describe('heads of pictures', () => {
  it('say size and resolution: a PNG as a general library writes it and one with its own resolution', () => {
    const plain = new Uint8Array(PNG.sync.write(new PNG({ width: 31, height: 17 })))
    expect(pictureHead(plain)).toEqual({ type: 'png', width: 31, height: 17, perMm: null })
    expect(pictureHead(fixture('seed-head.png'))).toEqual({ type: 'png', width: 72, height: 64, perMm: 4 })
  })
  it('of JPEG and WebP by their standards (T.81, T.871, RFC 9649)', () => {
    // SOI, APP0 with 300 dots to the inch, SOF0 of 640 by 480.
    const jpeg = [
      0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 1, 1, 44, 1, 44, 0, 0, 0xff, 0xc0, 0, 17, 8, 1, 224, 2, 128,
      3, 0, 0, 0,
    ]
    expect(pictureHead(Uint8Array.from(jpeg))).toEqual({ type: 'jpeg', width: 640, height: 480, perMm: 300 / 25.4 })
    const webp = [...Buffer.from('RIFF\0\0\0\0WEBPVP8X'), 10, 0, 0, 0, 0, 0, 0, 0, 0x7f, 2, 0, 0xdf, 1, 0]
    expect(pictureHead(Uint8Array.from(webp))).toEqual({ type: 'webp', width: 640, height: 480, perMm: null })
  })
  it('whatever the bytes, they are read or not, and nothing throws; one of 100 million pixels is refused before it is decoded', () => {
    const seeds = [
      fixture('seed-head.png'),
      Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0]),
      Uint8Array.from(Buffer.from('RIFF1234WEBPVP8 ')),
    ]
    fc.assert(
      fc.property(
        fc.constantFrom(...seeds),
        fc.array(fc.tuple(fc.nat(60), fc.nat(255)), { maxLength: 12 }),
        fc.nat(80),
        (seed, changes, cut) => {
          const bytes = seed.slice(0, Math.max(1, seed.length - cut))
          for (const [at, value] of changes) if (at < bytes.length) bytes[at] = value
          const read = readArtwork(bytes, 'picture')
          if (!read.ok) expect(read.findings[0]!.message.length).toBeGreaterThan(20)
        },
      ),
      { numRuns: 2000, seed: 14 },
    )
    const huge = fixture('seed-head.png').slice()
    new DataView(huge.buffer).setUint32(16, 10_000)
    new DataView(huge.buffer).setUint32(20, 10_000)
    expect(readArtwork(huge, 'map.png').findings[0]!.message).toMatch(/100 million pixels, and 64 are read/)
  })
  it('what is no artwork is named so: an empty file, a table, a program of another kind, an XML that is no drawing', () => {
    const text = (it: string): string => readArtwork(new TextEncoder().encode(it), 'x').findings[0]?.message ?? ''
    expect(readArtwork(new Uint8Array(), 'x').findings[0]?.message).toMatch(/empty/)
    expect(text('a;b;c\n1;2;3\n')).toMatch(/nothing in the drawing/)
    expect(text('<html><body/></html>')).toMatch(/first element is not “svg”/)
    expect(text('<svg><path d="M0 0')).toMatch(/line 1/)
  })
})

const piece = (more: Partial<Placed> = {}): Placed => ({
  width: 40,
  height: 10,
  unit: 1,
  scale: 1,
  turn: 0,
  mirrored: 'no',
  x: 5,
  y: 7,
  columns: 1,
  rows: 1,
  gapX: 2,
  gapY: 3,
  spots: {},
  ...more,
})

describe('placing', () => {
  it('a turned box is w·|cos| + h·|sin| across (elementary geometry), and begins where it is laid', () => {
    fc.assert(
      fc.property(fc.integer({ min: -360, max: 360 }), fc.constantFrom('no' as const, 'yes' as const), (turn, mirrored) => {
        const placed = piece({ turn, mirrored })
        const [c, s] = [Math.abs(Math.cos((turn * Math.PI) / 180)), Math.abs(Math.sin((turn * Math.PI) / 180))]
        expect(sizeOfPiece(placed).width).toBeCloseTo(40 * c + 10 * s, 9)
        expect(sizeOfPiece(placed).height).toBeCloseTo(40 * s + 10 * c, 9)
        const box = boxOfWay(placed, { left: 0, bottom: 0, right: 40, top: 10 })
        expect(box.left).toBeCloseTo(5, 9)
        expect(box.bottom).toBeCloseTo(7, 9)
      }),
      { seed: 14 },
    )
  })
  it('copies stand a size and a gap apart; inches and scale both count; a mirror turns the sense of areas', () => {
    const copies = copiesOf(piece({ columns: 3, rows: 2, unit: 25.4, scale: 0.5 }))
    const corners = copies.map((it) => mapped(it, { x: 0, y: 0 }))
    expect(corners[1]!.x - corners[0]!.x).toBeCloseTo(40 * 12.7 + 2, 9)
    expect(corners[3]!.y - corners[0]!.y).toBeCloseTo(10 * 12.7 + 3, 9)
    const [a, b, c, d] = copiesOf(piece({ mirrored: 'yes', turn: 30 }))[0]!
    expect(a * d - b * c).toBeCloseTo(-1, 9)
  })
  it('a picture turned by a quarter and mirrored burns where its frame is', () => {
    const bundle = heron()
    const { picture } = bundle.bench.work.pieces
    const toning = { kind: 'grey', powers: [1, 0] } as const
    const ways = Object.values(picture!.ways).map((way) => ({ way, setting: { ...way, focus: 0 }, toning }))
    for (const [turn, mirrored] of [
      [0, 'no'],
      [90, 'no'],
      [90, 'yes'],
      [-30, 'yes'],
    ] as const) {
      const placed = { ...picture!, turn, mirrored, columns: 1, rows: 1, spots: {} }
      const [task] = tasksOf([{ id: 'p', piece: placed, source: sourceOf('seed-head.png'), ways }], [{ x: 100, y: 50 }])
      if (task?.does !== 'picture') throw new Error('no picture')
      const corner = (u: number, v: number) => ({
        x: task.x + u * Math.cos(task.turnRad) - v * Math.sin(task.turnRad),
        y: task.y + u * Math.sin(task.turnRad) + v * Math.cos(task.turnRad),
      })
      const all = [corner(0, 0), corner(18, 0), corner(18, 16), corner(0, 16)]
      const { width, height } = sizeOfPiece(placed)
      expect(Math.min(...all.map((it) => it.x))).toBeCloseTo(100 + placed.x, 6)
      expect(Math.max(...all.map((it) => it.x))).toBeCloseTo(100 + placed.x + width, 6)
      expect(Math.min(...all.map((it) => it.y))).toBeCloseTo(50 + placed.y, 6)
      expect(Math.max(...all.map((it) => it.y))).toBeCloseTo(50 + placed.y + height, 6)
      // A copy that was laid out turned is the piece turned further.
      const spots = { a: { order: 0, x: placed.x, y: placed.y, turn: 90 } }
      const [further] = tasksOf(
        [{ id: 'p', piece: { ...placed, spots }, source: sourceOf('seed-head.png'), ways }],
        [{ x: 100, y: 50 }],
      )
      const [same] = tasksOf(
        [{ id: 'p', piece: { ...placed, turn: turn + 90 }, source: sourceOf('seed-head.png'), ways }],
        [{ x: 100, y: 50 }],
      )
      if (further?.does !== 'picture' || same?.does !== 'picture') throw new Error('no picture')
      expect(Math.cos(further.turnRad - same.turnRad)).toBeCloseTo(1, 9)
      expect(further.x).toBeCloseTo(same.x, 9)
    }
  })
})

describe('copies laid out one by one', () => {
  it('lie on the sheet beyond its margin, apart by the gap, turned ones too; a grain keeps them as they lie', () => {
    const { work } = heron().bench
    const tall = { ...work, sheetWidth: { ...work.sheetWidth, value: 130 }, sheetHeight: { ...work.sheetHeight, value: 400 } }
    for (const turns of ['free', 'kept'] as const) {
      const laid = layOut({ ...tall, turns }, 3)
      expect(laid.beyond).toBe(0)
      const boxesOf = (id: string) => {
        const one = { ...work.pieces[id]!, spots: laid.spots[id]! }
        expect(countOf(one)).toBe(8)
        return copiesOf(one).map((map) => boxUnder(map, { left: 0, bottom: 0, right: one.width, top: one.height }))
      }
      const [labels, pictures] = [boxesOf('label'), boxesOf('picture')]
      labels.forEach((p, i) => {
        expect(p.left >= 2 - 1e-3 && p.bottom >= 2 - 1e-3 && p.right <= 128 + 1e-3 && p.top <= 398 + 1e-3).toBe(true)
        for (const q of labels.slice(i + 1))
          expect(Math.max(q.left - p.right, p.left - q.right, q.bottom - p.top, p.bottom - q.top)).toBeGreaterThanOrEqual(
            3 - 2e-3,
          )
        // The picture that lay on a label lies on it still, as far from its ends: 66 of 96.5 mm along it, in the middle across.
        const own = pictures[i]!
        const isTurned = p.top - p.bottom > p.right - p.left
        expect(isTurned ? own.bottom - p.bottom : own.left - p.left).toBeCloseTo(66, 2)
        expect(isTurned ? p.right - own.right : own.bottom - p.bottom).toBeCloseTo(6.475, 2)
      })
      const isTurned = Object.values(laid.spots).some((them) => Object.values(them).some((it) => it.turn === 90))
      if (turns === 'kept') expect(isTurned).toBe(false)
    }
    expect(layOut({ ...work, sheetHeight: { ...work.sheetHeight, value: 60 } }, 3).beyond).toBeGreaterThan(0)
    expect(() => layOut({ ...work, sheetWidth: { ...work.sheetWidth, value: 20 } }, 3)).toThrow(/wider/)
  })
})

describe('greys', () => {
  const law: ToneLaw = { bare: 78, darkest: 22, from: 0.2, by: 0.9, bySpeed: 0.1 }
  const ask = {
    law,
    watts: 5,
    shareFor: (it: number) => it,
    lightAt: (it: number) => it,
    speed: 50,
    pitch: 0.1,
    passes: 1,
    power: 1,
  }
  it('by power: each grey comes out in its place between bare and darkest, even in L*, by the law itself', () => {
    const { toning, darkest } = tonedBy({ ...ask, kind: 'grey' })
    if (toning.kind !== 'grey') throw new Error('no greys')
    for (const i of [0, 40, 128, 200, 250]) {
      const wanted = darkest + ((78 - darkest) * lightness(i / 255)) / 100
      const dose = (5 * (toning.powers[i] as number)) / (50 * 0.1)
      expect(toneAfter(law, dose, 50)).toBeCloseTo(wanted, 6)
    }
    expect(toning.powers[255]).toBe(0)
  })
  it('in dots: bare and dot mix in light to the wanted tone (Murray and Davies)', () => {
    const { toning, darkest } = tonedBy({ ...ask, kind: 'four' })
    if (toning.kind === 'grey') throw new Error('no dots')
    const wanted = darkest + ((78 - darkest) * lightness(0.5)) / 100
    const share = toning.shares[Math.round(0.5 * 255)] as number
    expect(lightness(share * luminanceOf(darkest) + (1 - share) * luminanceOf(78))).toBeCloseTo(wanted, 0)
  })
  it('what the power curve does not reach is burnt at what is allowed, and counted', () => {
    const { clipped } = tonedBy({ ...ask, kind: 'grey', shareFor: (it) => (it < 0.3 ? null : it) })
    expect(clipped).toBeGreaterThan(0.1)
  })
})

describe('clamps, bounds and time', () => {
  const way = { x: [0, 100, 100], y: [0, 0, 50], lit: [0, 0, 1] }
  it('a clamp that is run over is named, lit or dark; one beside the way is not', () => {
    const clamp = (x: number, y: number) => [{ order: 1, x, y, width: 10, height: 10 }]
    expect(clampFindings(clampsHit(way, clamp(40, -5), { x: 0, y: 0 }))[0]?.message).toMatch(/in the dark/)
    expect(clampFindings(clampsHit(way, clamp(85, 20), { x: 10, y: 0 }))[0]?.message).toMatch(/burns on it/)
    expect(clampsHit(way, clamp(40, 5), { x: 0, y: 0 })).toEqual([])
  })
  it('the hull of places holds them all, and none of its corners can be done without', () => {
    const place = fc.record({ x: fc.integer({ min: 0, max: 50 }), y: fc.integer({ min: 0, max: 50 }) })
    fc.assert(
      fc.property(fc.array(place, { minLength: 3, maxLength: 40 }), (places) => {
        const hull = hullOf(places)
        fc.pre(hull.length > 2)
        hull.forEach((p, i) => {
          const q = hull[(i + 1) % hull.length]!
          for (const it of places) expect((q.x - p.x) * (it.y - p.y) - (q.y - p.y) * (it.x - p.x)).toBeGreaterThanOrEqual(0)
        })
        expect(boundsSteps(hull, 0.02, 20).filter((it) => it.kind === 'line')).toHaveLength(hull.length)
      }),
      { seed: 14 },
    )
  })
  it('the parts of the time add up to the planner’s whole; a white gap, run-ups and ways are told apart', () => {
    const line = (x: number, power: number) => ({ kind: 'line' as const, x, y: 0, feed: 100, power })
    const steps = [
      line(5, 0),
      line(25, 0.5),
      line(35, 0),
      line(55, 0.5),
      line(60, 0),
      { kind: 'rapid' as const, x: 0, y: 0 },
      { kind: 'wait' as const, seconds: 2 },
    ]
    const written = writeProgram(steps, PLAIN_CARD)
    if (!written.ok) throw new Error('not written')
    const { moves } = readProgram(written.value)
    const axis = { speed: 300, acceleration: 1000 }
    const plan = planMoves(moves, axisLimits({ x: axis, y: axis, z: axis }, 0.01))
    const time = timeOfWork(moves, plan)
    expect(Object.values<number>({ ...time }).reduce((sum, it) => sum + it, 0)).toBeCloseTo(plan.totalSeconds, 9)
    // At full speed: 40 mm lit, 10 mm white; v/a twice for run-up and run-out; 60 mm from rest to rest (handbook, trapezoid).
    expect(time.burning).toBeCloseTo(0.4, 6)
    expect(time.white).toBeCloseTo(0.1, 6)
    expect(time.turning).toBeCloseTo(0.2, 6)
    expect(time.travelling).toBeCloseTo(2 * Math.sqrt(60 / 1000), 6)
    expect(time.waiting).toBeCloseTo(2, 6)
  })
})

describe('bars beneath a sheet', () => {
  const cut = (y: number) => [
    { x: 0, y },
    { x: 60, y },
    { x: 60, y: y + 30 },
  ]
  const bars = { along: 'x', first: 10, step: 40, width: 4 } as const
  it('cuts along them are measured, those that cross are not; a better place for the first is found in the middle of its room', () => {
    const on = cutsOnBars([cut(11), cut(20)], bars)
    expect(on.length).toBe(60)
    expect(on.pieces).toHaveLength(1)
    expect(on.bestLength).toBe(0)
    // Neither 11 nor 20 lies within 2 mm of a bar there, and there is as much room on both sides.
    expect(on.bestFirst).toBeGreaterThan(24)
    expect(on.bestFirst).toBeLessThan(47)
    expect(cutsOnBars([cut(11), cut(20)], { ...bars, first: on.bestFirst }).length).toBe(0)
    expect(cutsOnBars([cut(11)], { ...bars, along: 'y', first: 60 }).length).toBe(30)
  })
})

describe('what would save time', () => {
  it('is what does not use all its power: faster by as much as it gets more of it, no settings of the book, no more than twice', () => {
    const { bench } = heron()
    const pieces = Object.entries(bench.work.pieces).map(([id, piece]) => ({
      id,
      piece,
      source: { kind: 'drawing', drawing: { width: 1, height: 1, hasUnits: true, shapes: [] } } as const,
      ways: Object.values(piece.ways).map((way) => ({ way, setting: { ...way, focus: 0 }, toning: null })),
    }))
    const order = { pieces, bothWays: true, sequence: 'quickest', apart: 0 } as const
    const changes = changesToTry(order, 200).flatMap((it) => (it.kind === 'faster' ? [it] : []))
    // The cut has all its power; leaves, picture and lines have not.
    expect(changes.map((it) => it.drawn).sort()).toEqual(['filled green', 'lines blue', 'picture'])
    for (const { speed, power, factor, drawn } of changes) {
      const way = pieces.flatMap((it) => it.ways).find((it) => it.way.drawn === drawn)!
      expect(power / speed).toBeCloseTo(way.setting.power / way.setting.speed, 9)
      expect(power).toBeLessThanOrEqual(1 + 1e-9)
      expect(factor).toBeLessThanOrEqual(2)
    }
    const [first] = changes
    const after = withChange(order, first!)
      .pieces.flatMap((it) => it.ways)
      .filter((it) => it.setting.speed !== it.way.speed)
    expect(after.map((it) => it.way.drawn)).toEqual([first!.drawn])
    // What is held in a direction, an order, or to one way, is asked for before; each is gone when it is taken over.
    const held = {
      pieces: pieces.map((it) => ({ ...it, ways: it.ways.map((one) => ({ ...one, way: { ...one.way, angle: 90 } })) })),
      bothWays: false,
      sequence: 'listed',
      apart: 20,
    } as const
    const kinds = changesToTry(held, 200).map((it) => it.kind)
    expect(kinds.slice(0, 4)).toEqual(['bothWays', 'quickest', 'turned', 'turned'])
    const free = changesToTry(held, 200).reduce(withChange, held)
    expect(changesToTry(free, 200).filter((it) => it.kind !== 'faster')).toEqual([])
  })
})
