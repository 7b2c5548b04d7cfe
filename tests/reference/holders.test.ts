import { describe, expect, it } from 'vitest'
import { boxOfOutline, flattened, readDxf, strokesOf, strokesWidth, type Outline } from '../../src/core/artwork'
import { setAt, templateOf } from '../../src/core/bench'
import { engineFor, holderDxf, holderSvg, layHolders, wantedPieces, type Bench } from '../../src/core/document'
import {
  HOLDER_KINDS,
  holderPieces,
  holderShape,
  platePiece,
  stationStep,
  type HolderSpec,
  type PlateSpec,
} from '../../src/core/rotary'
import { between, seeded } from '../../src/core/workshop'
import { readSvg } from '../../src/core/artwork'
import { xmlNode } from '../../src/data/xml'
import { heron } from '../../src/data/heron'

const SPEC: HolderSpec = {
  kind: 'centring',
  outer: 82.9,
  inner: 8,
  least: 60,
  steps: 4,
  screws: 0,
  screwsOn: 30,
  screwHole: 3.4,
  wall: 5,
}

/** Diameter of an outline that is round, by its box. */
function diameterOf(outline: Outline): number {
  const box = boxOfOutline(outline)
  if (box === null) throw new Error('an empty outline')
  expect(box.right - box.left).toBeCloseTo(box.top - box.bottom, 3)
  return box.right - box.left
}

/** Outlines that a file has, by its layers. */
function read(text: string, kind: 'svg' | 'dxf'): ReadonlyMap<string, readonly Outline[]> {
  const drawing = kind === 'dxf' ? readDxf(text) : svgOf(text)
  if (!drawing.ok) throw new Error(drawing.findings.map((it) => it.message).join())
  expect(drawing.value.hasUnits || kind === 'dxf').toBe(true)
  const byLayer = new Map<string, Outline[]>()
  for (const shape of drawing.value.shapes) {
    const layer = kind === 'dxf' ? shape.layer : shape.stroke === '#111111' ? 'cut' : 'mark'
    byLayer.set(layer, [...(byLayer.get(layer) ?? []), ...shape.outlines])
  }
  return byLayer
}

function svgOf(text: string) {
  const tree = xmlNode(text)
  if (!tree.ok) throw new Error('no tree')
  return readSvg(tree.value)
}

describe('parts out, read back by the readers of artwork', () => {
  const random = seeded(81)
  const cases = Array.from({ length: 40 }, (_, n) => {
    const kind = HOLDER_KINDS[n % HOLDER_KINDS.length]!
    const outer = between(random, 40, 120)
    return {
      ...SPEC,
      kind,
      outer,
      inner: between(random, 5, 12),
      least: between(random, 26, 38),
      screws: [0, 3, 4, 6][n % 4]!,
      screwsOn: 26,
    } as const
  })

  it.each(['svg', 'dxf'] as const)(
    'have their diameters with the kerf, their holes without it, and their labels (%s)',
    (format) => {
      for (const spec of cases) {
        const kerf = 0.18
        const { pieces, findings } = holderPieces(spec, kerf)
        expect(findings).toEqual([])
        const { sheets } = layHolders(pieces, 400, 300)
        expect(sheets).toHaveLength(1)
        const layers = read(format === 'svg' ? holderSvg(sheets[0]!) : holderDxf(sheets[0]!), format)
        const found = layers
          .get('cut')!
          .map(diameterOf)
          .sort((p, q) => p - q)
        const isDrilled = ['backing', 'hub', 'cup'].includes(spec.kind)
        const discs =
          spec.kind === 'stepped'
            ? [0, 1, 2, 3].map((k) => [spec.least + ((spec.outer - spec.least) * k) / 3, spec.inner])
            : spec.kind === 'cup'
              ? [
                  [spec.outer + 10, spec.outer],
                  [spec.outer + 10, spec.inner],
                ]
              : spec.kind === 'driveRing'
                ? [
                    [spec.least, spec.inner],
                    [spec.outer, spec.inner],
                    [spec.outer, spec.inner],
                  ]
                : [[spec.outer, spec.inner]]
        const holes = isDrilled ? Array.from({ length: spec.screws }, () => spec.screwHole - kerf) : []
        const wanted = [...discs.flatMap(([o, i]) => [o! + kerf, i! - kerf]), ...holes].sort((p, q) => p - q)
        expect(found.length).toBe(wanted.length)
        found.forEach((it, k) => expect(it).toBeCloseTo(wanted[k]!, 2))
        expect(layers.get('mark')!.length).toBeGreaterThan(0)
      }
    },
  )

  it('do not lie over one another, whatever the sheet, and none is left out', () => {
    for (let n = 0; n < 60; n++) {
      const pieces = Array.from(
        { length: 2 + (n % 9) },
        () =>
          holderPieces({ ...SPEC, kind: n % 3 === 0 ? 'cup' : 'centring', outer: between(random, 15, 80), inner: 5 }, 0.15)
            .pieces,
      ).flat()
      const { sheets, findings } = layHolders(pieces, between(random, 100, 300), between(random, 100, 300))
      expect(findings).toEqual([])
      expect(sheets.flatMap((it) => it.parts)).toHaveLength(pieces.length)
      for (const { parts, width, height } of sheets)
        parts.forEach((p, i) => {
          expect(Math.min(p.x, p.y, width - p.x, height - p.y)).toBeGreaterThanOrEqual(p.size / 2)
          for (const q of parts.slice(i + 1)) {
            const apart = Math.hypot(p.x - q.x, p.y - q.y)
            expect(apart > (p.size + q.size) / 2 || apart + q.size / 2 < p.room / 2).toBe(true)
          }
        })
    }
  })

  it('say in words what cannot be cut', () => {
    const said = (spec: Partial<HolderSpec>) => holderPieces({ ...SPEC, ...spec }, 0.15).findings.map((it) => it.code)
    expect(said({ outer: 0 })).toEqual(['no-size'])
    expect(said({ outer: 9, inner: 8 })).toEqual(['no-wall'])
    expect(said({ kind: 'hub', screws: 4, screwsOn: 10 })).toEqual(['screws-near'])
    expect(layHolders(holderPieces({ ...SPEC, outer: 250 }, 0).pieces, 300, 200).findings).toMatchObject([
      { code: 'larger-than-sheet', path: 'rotary.make.sheetWidth' },
    ])
  })

  it('are those that are wanted on the bench, as often as they are, with the kerf that was found', () => {
    const { bench } = heron()
    const made = {
      order: 1,
      name: 'A',
      kind: 'centring',
      made: '2026-11-01',
      outer: bench.motion.frame.barWidth,
      inner: bench.motion.frame.barWidth,
    } as const
    const wanted = { ...made, name: 'B', order: 2, made: '', count: 3, inner: { ...made.inner, value: 6 } }
    const holders = { a: templateOf(holderShape, made), b: templateOf(holderShape, wanted) }
    const engine = engineFor(setAt<Bench>(bench, 'rotary.holders', holders))
    const { pieces } = wantedPieces(engine)
    const kerf = engine.byId('rotary.kerf', []).result
    expect(pieces.map((it) => it.label)).toEqual(['Ø20', 'Ø20', 'Ø20'])
    expect(pieces[0]!.size).toBeCloseTo(20 + (kerf.known ? (kerf.value as number) : NaN), 9)
  })
})

describe('an indexing plate', () => {
  const PLATE: PlateSpec = {
    outer: 160,
    inner: 8,
    shape: 'slot',
    stations: 20,
    size: 6,
    from: 26,
    slotLength: 40,
    pin: 4,
    pinsOn: 30,
  }

  it('has its slots every 360°/n from station 1, three pins, and a line at station 1', () => {
    const kerf = 0.2
    const { piece } = platePiece(PLATE, kerf)
    const middle = (PLATE.outer + kerf) / 2
    const slots = piece!.cut.filter((it) => it.segments.length === 4 && it.segments[0]!.kind === 'line')
    expect(slots).toHaveLength(20)
    slots.forEach((slot, k) => {
      const places = flattened(slot, 0.01).slice(0, 4)
      const [x, y] = [places.reduce((sum, p) => sum + p.x, 0) / 4 - middle, places.reduce((sum, p) => sum + p.y, 0) / 4 - middle]
      // Clockwise from the top; steps of a turn of 7,200,000 are fine enough to compare angles by.
      expect(((Math.PI / 2 - Math.atan2(y, x) + 2 * Math.PI) % (2 * Math.PI)) * (3_600_000 / Math.PI)).toBeCloseTo(
        stationStep(k, 20, 7_200_000),
        3,
      )
      expect(Math.hypot(x, y)).toBeCloseTo(26 + 20, 6)
      const across = Math.hypot(places[0]!.x - places[3]!.x, places[0]!.y - places[3]!.y)
      expect(across).toBeCloseTo(6 - kerf, 6)
    })
    const round = piece!.cut
      .filter((it) => it.segments[0]!.kind === 'arc')
      .map(diameterOf)
      .sort((p, q) => p - q)
    expect(round.map((it) => Number(it.toFixed(3)))).toEqual([3.8, 3.8, 3.8, 7.8, 160.2])
    const line = piece!.mark[0]!
    expect([line.start.x - middle, line.segments[0]!.to.x - middle]).toEqual([0, 0])
  })

  it('refuses stations that overlap, that leave it, that run into its hole or its pins', () => {
    const said = (spec: Partial<PlateSpec>) => platePiece({ ...PLATE, ...spec }, 0.2).findings.map((it) => it.code)
    expect(said({ size: 9 })).toEqual(['overlap'])
    expect(said({ slotLength: 90 })).toEqual(['beyond-edge'])
    expect(said({ inner: 50 })).toEqual(['into-hole'])
    expect(said({ pinsOn: 46 })).toEqual(['pins'])
  })
})

describe('letters of single strokes', () => {
  it('stand within their width and height, each told from every other', () => {
    const letters = Array.from('0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZØ.-/')
    const drawn = letters.map((it) => JSON.stringify(strokesOf(it, { x: 0, y: 0 }, 6)))
    expect(new Set(drawn).size).toBe(letters.length - 1) // 0 and O are one
    const boxes = strokesOf('80.5', { x: 3, y: 2 }, 6).map((it) => boxOfOutline(it)!)
    expect(Math.max(...boxes.map((it) => it.right)) - 3).toBeLessThanOrEqual(strokesWidth('80.5', 6))
    expect([Math.min(...boxes.map((it) => it.bottom)), Math.max(...boxes.map((it) => it.top))]).toEqual([2, 8])
  })
})
