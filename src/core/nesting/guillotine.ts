import { accepted, refused, requireInRange, type Outcome } from '../units'
import { layOutSlices, slicesOf, type LaidOut, type OnSheet, type SawCut, type Slice } from './slicing'

/** A panel that is needed some number of times, mm. */
export interface SheetPanel {
  readonly id: string
  readonly name: string
  /** Along the grain of the sheet, unless it may be turned. */
  readonly along: number
  readonly across: number
  readonly count: number
  readonly mayTurn: boolean
}

/** A sheet to cut from, mm; its grain runs along it. */
export interface SheetStock {
  readonly along: number
  readonly across: number
}

/** How sheets are sawn, mm. */
export interface Sawing {
  readonly kerf: number
  /** Taken off every edge of a bought sheet, for it is rarely square; an offcut's edges are sawn. */
  readonly trim: number
}

/** One sheet as it is cut. */
export interface CutSheet {
  readonly sheet: SheetStock
  readonly isBought: boolean
  readonly panels: readonly { readonly id: string; readonly name: string; readonly isTurned: boolean; readonly place: OnSheet }[]
  /** In their order: rough cuts through the sheet first, then those within its pieces. */
  readonly cuts: readonly SawCut[]
  /** What stays whole and may be kept, largest first. */
  readonly rests: readonly OnSheet[]
}

export interface SheetPlan {
  readonly sheets: readonly CutSheet[]
  readonly toBuy: number
  /** No plan takes fewer, by area. */
  readonly atLeast: number
  /** Whether no plan whatever with cuts from edge to edge takes fewer. */
  readonly isProved: boolean
}

/** Panels that are parted over the sheets in every way; more are taken largest first. */
const MOST_AT_ONCE = 9

interface Piece {
  readonly id: string
  readonly name: string
  readonly along: number
  readonly across: number
  readonly mayTurn: boolean
}

/**
 * Cuts panels from sheets with cuts from edge to edge, with as few bought sheets as can be found; offcuts that are there are used first.
 * @returns The plan; or which panel is larger than any sheet, or that they do not fit together on what is there. @throws {RangeError} for sheets that are not larger than their trim.
 * Valid: to nine panels it is the fewest, proved; more are filled in sheet by sheet. Source: all slicing trees (`slicing.ts`), then the least cover.
 */
export function cutSheets(
  panels: readonly SheetPanel[],
  stock: SheetStock,
  { kerf, trim }: Sawing,
  offcuts: readonly SheetStock[] = [],
): Outcome<SheetPlan> {
  requireInRange('kerf', kerf, 0, 50, 'mm')
  requireInRange('trim', trim, 0, Math.min(stock.along, stock.across) / 2 - 1e-6, 'mm')
  const inner = { along: stock.along - 2 * trim, across: stock.across - 2 * trim }
  const places: readonly Place[] = [
    ...offcuts.map((sheet): Place => ({ sheet, isBought: false, inner: { x: 0, y: 0, ...sheet } })),
    { sheet: stock, isBought: true, inner: { x: trim, y: trim, ...inner } },
  ]
  const pieces = panels
    .flatMap((it) => Array.from({ length: it.count }, (): Piece => it))
    .sort((p, q) => q.along * q.across - p.along * p.across)
  const large = pieces.find((it) => !places.some(({ inner: room }) => fitsIn(it, room)))
  if (large !== undefined)
    return refused(
      'too-large',
      `“${large.name}”, ${round(large.along)} × ${round(large.across)} mm, does not fit on a sheet of ${round(inner.along)} × ${round(inner.across)} mm${large.mayTurn ? '' : ' with its grain as asked'}: take a larger sheet, or part the panel.`,
    )
  const area = pieces.reduce((sum, it) => sum + it.along * it.across, 0)
  const spare = offcuts.reduce((sum, it) => sum + it.along * it.across, 0)
  const atLeast = Math.max(0, Math.ceil((area - spare) / (inner.along * inner.across) - 1e-9))
  const isWhole = pieces.length <= MOST_AT_ONCE
  const sheets = isWhole ? fewest(pieces, places, kerf) : inTurn(pieces, places, kerf)
  if (sheets === null)
    return refused(
      'no-plan',
      'What fits on the offcuts only does not fit on them together: take a larger sheet, or leave a panel out.',
    )
  const toBuy = sheets.filter((it) => it.isBought).length
  return accepted({ sheets, toBuy, atLeast, isProved: isWhole || toBuy === atLeast })
}

const round = (mm: number): number => Math.round(mm * 10) / 10

interface Place {
  readonly sheet: SheetStock
  readonly isBought: boolean
  readonly inner: OnSheet
}

function fitsIn({ along, across, mayTurn }: Piece, room: SheetStock): boolean {
  return (along <= room.along && across <= room.across) || (mayTurn && across <= room.along && along <= room.across)
}

/** The slice of a set that leaves the largest rest in a room; null where none fits. */
function bestIn(slices: readonly Slice[], room: SheetStock): Slice | null {
  const fitting = slices.filter((it) => it.along <= room.along + 1e-6 && it.across <= room.across + 1e-6)
  const rest = (it: Slice): number => Math.max((room.along - it.along) * room.across, (room.across - it.across) * room.along)
  return fitting.reduce<Slice | null>((best, it) => (best === null || rest(it) > rest(best) ? it : best), null)
}

/** More than any plan takes. */
const NEVER = 1e6

/** All pieces on the fewest bought sheets: every set of them that fits, then the least cover. @returns Null where there is none. */
function fewest(pieces: readonly Piece[], places: readonly Place[], kerf: number): readonly CutSheet[] | null {
  const slices = slicesOf(pieces, roomOf(places), kerf)
  const all = 2 ** pieces.length - 1
  const best = places.map(({ inner }) => slices.map((it) => bestIn(it, inner)))
  const bought = best.length - 1
  // From the last place on: what is bought for a set, and which part of it a place takes.
  const needed = places.map(() => new Int32Array(all + 1).fill(NEVER))
  const takes = places.map(() => new Int32Array(all + 1))
  for (let k = bought; k >= 0; k--) {
    const [own, mine] = [needed[k] as Int32Array, takes[k] as Int32Array]
    // A bought sheet may be taken again, an offcut once.
    const after = (k === bought ? own : needed[k + 1]) as Int32Array
    if (k === bought) own[0] = 0
    else own.set(after)
    for (let set = 1; set <= all; set++) {
      for (let part = set; part > 0; part = (part - 1) & set) {
        if ((best[k]?.[part] ?? null) === null) continue
        const count = (k === bought ? 1 : 0) + (after[set ^ part] as number)
        if (count < (own[set] as number)) [own[set], mine[set]] = [count, part]
      }
    }
  }
  if ((needed[0]?.[all] ?? NEVER) >= NEVER) return null
  const made: CutSheet[] = []
  let left = all
  for (const [k, place] of places.entries()) {
    do {
      const part = takes[k]?.[left] ?? 0
      const slice = best[k]?.[part] ?? null
      if (slice === null) break
      made.push(cutSheet(slice, place, pieces, kerf))
      left ^= part
    } while (k === bought && left > 0)
  }
  return made
}

function roomOf(places: readonly Place[]): SheetStock {
  return {
    along: Math.max(...places.map((it) => it.inner.along)),
    across: Math.max(...places.map((it) => it.inner.across)),
  }
}

/** Sheet after sheet: the largest pieces that fit together, then whatever else still does. */
function inTurn(pieces: readonly Piece[], places: readonly Place[], kerf: number): readonly CutSheet[] | null {
  const made: CutSheet[] = []
  let left = pieces
  const bought = places.at(-1) as Place
  for (const place of [...places.slice(0, -1), ...pieces.map(() => bought)]) {
    if (left.length === 0) break
    const taken = fullest(left, place.inner, kerf)
    if (taken.length === 0) continue
    const begun = cutSheet(wholeIn(taken, place.inner, kerf), place, taken, kerf)
    const filled = fillRests(begun, without(left, taken), kerf)
    made.push(filled.sheet)
    left = filled.left
  }
  return left.length === 0 ? made : null
}

/** The tree of all pieces in a room that they fit into. */
function wholeIn(taken: readonly Piece[], room: OnSheet, kerf: number): Slice {
  return bestIn(slicesOf(taken, room, kerf).at(-1) ?? [], room) as Slice
}

/** Fills what a sheet leaves with what still fits, the largest rest first, until nothing does. */
function fillRests(
  begun: CutSheet,
  pieces: readonly Piece[],
  kerf: number,
): { readonly sheet: CutSheet; readonly left: readonly Piece[] } {
  let [sheet, left] = [begun, pieces]
  const done: OnSheet[] = []
  for (;;) {
    const rest = sheet.rests.find((it) => !done.includes(it))
    if (rest === undefined || left.length === 0) return { sheet, left }
    done.push(rest)
    const taken = fullest(left, rest, kerf)
    if (taken.length === 0) continue
    const depth = 1 + Math.max(0, ...sheet.cuts.map((it) => it.depth))
    const more = cutSheet(wholeIn(taken, rest, kerf), { ...sheet, inner: rest }, taken, kerf, depth)
    sheet = {
      ...sheet,
      panels: [...sheet.panels, ...more.panels],
      cuts: [...sheet.cuts, ...more.cuts],
      rests: byArea([...sheet.rests.filter((it) => it !== rest), ...more.rests]),
    }
    left = without(left, taken)
  }
}

const byArea = (rests: readonly OnSheet[]): readonly OnSheet[] =>
  [...rests].sort((p, q) => q.along * q.across - p.along * p.across)

/** The rest of a list, each that was taken gone once. */
function without(left: readonly Piece[], taken: readonly Piece[]): readonly Piece[] {
  const gone = [...taken]
  return left.filter((it) => {
    const k = gone.indexOf(it)
    if (k >= 0) gone.splice(k, 1)
    return k < 0
  })
}

/** Pieces that fill a room best of the largest that are left. */
function fullest(left: readonly Piece[], room: OnSheet, kerf: number): readonly Piece[] {
  const near = left.filter((it) => fitsIn(it, room)).slice(0, MOST_AT_ONCE)
  const slices = slicesOf(near, room, kerf)
  const areaOf = (set: number): number => near.reduce((sum, it, k) => ((set >> k) & 1 ? sum + it.along * it.across : sum), 0)
  let best = 0
  slices.forEach((it, set) => {
    if (it.length > 0 && areaOf(set) > areaOf(best)) best = set
  })
  let taken = near.filter((_, k) => (best >> k) & 1)
  for (const it of without(left, near)) {
    if (taken.length >= MOST_AT_ONCE) break
    const more = [...taken, it]
    if ((slicesOf(more, room, kerf).at(-1) ?? []).length > 0) taken = more
  }
  return taken
}

function cutSheet(slice: Slice, { sheet, isBought, inner }: Place, pieces: readonly Piece[], kerf: number, depth = 0): CutSheet {
  const laid: LaidOut = layOutSlices(slice, inner, kerf, depth)
  return {
    sheet,
    isBought,
    panels: laid.panels.map(({ index, isTurned, place }) => {
      const { id, name } = pieces[index] as Piece
      return { id, name, isTurned, place }
    }),
    cuts: [...laid.cuts].sort((p, q) => p.depth - q.depth),
    rests: byArea(laid.rests),
  }
}
