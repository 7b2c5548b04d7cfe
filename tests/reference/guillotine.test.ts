import { randomLcg, randomUniform } from 'd3-random'
import { describe, expect, it } from 'vitest'
import {
  cutSheets,
  parted,
  type CutSheet,
  type OnSheet,
  type Sawing,
  type SheetPanel,
  type SheetStock,
} from '../../src/core/nesting'

const SAW: Sawing = { kerf: 3, trim: 10 }
const panel = (id: string, along: number, across: number, more: Partial<SheetPanel> = {}): SheetPanel => ({
  id,
  name: id,
  along,
  across,
  count: 1,
  mayTurn: true,
  ...more,
})

function planOf(panels: readonly SheetPanel[], stock: SheetStock, saw: Sawing, offcuts: readonly SheetStock[] = []) {
  const made = cutSheets(panels, stock, saw, offcuts)
  if (!made.ok) throw new Error(made.findings[0]?.message)
  return made.value
}

const key = ({ x, y, along, across }: OnSheet): string => [x, y, along, across].map((it) => it.toFixed(4)).join(' ')

/** Saws a sheet as the plan says, each cut through a whole piece that is there; what is left on the bench. */
function sawn({ sheet, isBought, cuts }: CutSheet, { kerf, trim }: Sawing): ReadonlySet<string> {
  const edge = isBought ? trim : 0
  const bench = new Map<string, OnSheet>()
  const lay = (it: OnSheet): void => {
    if (it.along > 0 && it.across > 0) bench.set(key(it), it)
  }
  lay({ x: edge, y: edge, along: sheet.along - 2 * edge, across: sheet.across - 2 * edge })
  for (const { piece, way, at } of cuts) {
    expect(bench.delete(key(piece)), 'a cut goes through a piece that is there').toBe(true)
    parted(piece, way, at, kerf).forEach(lay)
  }
  return new Set(bench.keys())
}

/** Parts a sheet by cuts from edge to edge into so many panels, nothing left over: the fewest sheets are then known. */
function dissected(
  draw: (low: number, high: number) => number,
  { along, across }: SheetStock,
  kerf: number,
  count: number,
): [number, number][] {
  const pieces: [number, number][] = [[along, across]]
  while (pieces.length < count) {
    pieces.sort((p, q) => q[0] * q[1] - p[0] * p[1])
    const [w, h] = pieces.shift()!
    const at = draw(0.3, 0.7)
    if (w > h) pieces.push([w * at - kerf / 2, h], [w * (1 - at) - kerf / 2, h])
    else pieces.push([w, h * at - kerf / 2], [w, h * (1 - at) - kerf / 2])
  }
  return pieces
}

describe('panels from sheets by cuts from edge to edge', () => {
  it('60 dissected sheets whose fewest is known by their area: found, proved, and sawn as the plan says', () => {
    const source = randomLcg(404)
    const draw = (low: number, high: number): number => randomUniform.source(source)(low, high)()
    for (let round = 0; round < 60; round++) {
      const stock = { along: draw(600, 2500), across: draw(400, 1250) }
      const inner = { along: stock.along - 20, across: stock.across - 20 }
      const known = round % 3 === 0 ? 1 : 2
      const sizes = Array.from({ length: known }, () => dissected(draw, inner, SAW.kerf, known === 1 ? 7 : 4)).flat()
      const panels = sizes.map(([w, h], k) =>
        // Turned at random: the plan has to turn it back.
        k % 2 === 0 ? panel(`p${k}`, w, h) : panel(`p${k}`, h, w),
      )
      const plan = planOf(panels, stock, SAW)
      expect(plan).toMatchObject({ toBuy: known, isProved: true })
      for (const sheet of plan.sheets) {
        const left = sawn(sheet, SAW)
        for (const it of [...sheet.panels.map((one) => one.place), ...sheet.rests]) expect(left.has(key(it))).toBe(true)
        expect(left.size).toBe(sheet.panels.length + sheet.rests.length)
      }
      const cut = plan.sheets.flatMap((it) => it.panels)
      expect(cut.map((it) => it.id).sort()).toEqual(panels.map((it) => it.id).sort())
      for (const { id, isTurned, place } of cut) {
        const asked = panels.find((it) => it.id === id)!
        const sides = isTurned ? [asked.across, asked.along] : [asked.along, asked.across]
        expect(place.along).toBeCloseTo(sides[0]!, 6)
        expect(place.across).toBeCloseTo(sides[1]!, 6)
      }
    }
  })

  it('grain is kept: what may not be turned lies as it was asked, and takes two sheets where turned it would take one', () => {
    const stock = { along: 1000, across: 600 }
    const saw = { kerf: 0, trim: 0 }
    const two = (mayTurn: boolean) => [panel('a', 600, 500, { mayTurn, count: 2 })]
    expect(planOf(two(true), stock, saw).toBuy).toBe(1)
    const kept = planOf(two(false), stock, saw)
    expect(kept.toBuy).toBe(2)
    expect(kept.sheets.flatMap((it) => it.panels).every((it) => !it.isTurned)).toBe(true)
  })

  it('what only the blade’s width leaves no room for is told: two halves of a metre are not a metre', () => {
    const halves = [panel('a', 500, 600, { count: 2, mayTurn: false })]
    expect(planOf(halves, { along: 1000, across: 600 }, { kerf: 3, trim: 0 }).toBuy).toBe(2)
    expect(planOf(halves, { along: 1003, across: 600 }, { kerf: 3, trim: 0 }).toBuy).toBe(1)
  })

  it('five pieces about a middle, which no cut from edge to edge parts, take two sheets', () => {
    // A pinwheel: four of 3 × 2 about one of 1 × 1 fill 5 × 5, and no cut goes through.
    const wheel = [panel('arm', 300, 200, { count: 4 }), panel('hub', 100, 100)]
    const plan = planOf(wheel, { along: 500, across: 500 }, { kerf: 0, trim: 0 })
    expect(plan).toMatchObject({ toBuy: 2, atLeast: 1, isProved: true })
  })

  it('offcuts are used first, each once, so that the fewest are bought', () => {
    const panels = [panel('a', 300, 200, { count: 3 }), panel('b', 900, 500)]
    const plan = planOf(panels, { along: 1000, across: 600 }, { kerf: 3, trim: 0 }, [
      { along: 320, across: 220 },
      { along: 650, across: 210 },
    ])
    expect(plan.toBuy).toBe(1)
    expect(plan.sheets.filter((it) => !it.isBought).map((it) => it.panels.length)).toEqual([1, 2])
  })

  it('many panels: all are cut, none twice, within a fifth of what their area asks for', () => {
    const panels = [
      panel('side', 420, 260, { count: 8 }),
      panel('shelf', 380, 300, { count: 8 }),
      panel('strip', 380, 60, { count: 14, mayTurn: false }),
    ]
    const plan = planOf(panels, { along: 1220, across: 610 }, SAW)
    const cut = plan.sheets.flatMap((it) => it.panels)
    expect(cut).toHaveLength(30)
    expect(plan.toBuy).toBeLessThanOrEqual(Math.ceil(plan.atLeast * 1.2))
    for (const sheet of plan.sheets) expect(sawn(sheet, SAW).size).toBe(sheet.panels.length + sheet.rests.length)
  })

  it('a panel larger than the sheet is named, and what is to be done', () => {
    const stock = { along: 1000, across: 600 }
    const refused = (it: SheetPanel) => cutSheets([it], stock, SAW)
    expect(refused(panel('roof', 700, 650))).toMatchObject({ ok: false, findings: [{ code: 'too-large' }] })
    expect(refused(panel('door', 500, 700, { mayTurn: false }))).toMatchObject({ ok: false, findings: [{ code: 'too-large' }] })
    expect(refused(panel('door', 500, 700)).ok).toBe(true)
    expect(
      cutSheets([panel('a', 590, 590), panel('b', 590, 590)], { along: 500, across: 500 }, SAW, [{ along: 600, across: 600 }]),
    ).toMatchObject({ ok: false, findings: [{ code: 'no-plan' }] })
  })
})
