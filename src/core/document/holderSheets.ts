import { drawingToDxf, drawingToSvg, mappedOutline, type Layer, type Outline } from '../artwork'
import { shownNumber, type Engine } from '../bench'
import { holderPieces, kerfOfHolders, platePiece, type HolderPiece, type HolderSpec } from '../rotary'
import type { Finding } from '../units'
import type { Bench } from './bench'

/** One sheet with parts on it, from its lower left corner, mm. */
export interface HolderSheet {
  readonly width: number
  readonly height: number
  readonly cut: readonly Outline[]
  readonly mark: readonly Outline[]
  /** Middle and size of each part, with its label. */
  readonly parts: readonly {
    readonly label: string
    readonly x: number
    readonly y: number
    readonly size: number
    readonly room: number
  }[]
}

/** Room that is left between parts and along the edges of a sheet, mm. (common practice) */
const BETWEEN = 3

/** What is to be cut of the shelf's parts, and why some of it cannot be. */
export interface WantedPieces {
  readonly pieces: readonly HolderPiece[]
  readonly findings: readonly Finding[]
}

/** Every piece of the parts that are wanted, as often as it is; what was made is not cut again. @throws never for a valid bench. */
export function wantedPieces(engine: Engine<Bench>): WantedPieces {
  const { rotary } = engine.bench
  const kerf = shownNumber(engine.value(kerfOfHolders).result) ?? 0
  const wanted = Object.entries(rotary.holders)
    .filter(([, it]) => it.made === '' && it.count > 0)
    .sort(([, p], [, q]) => p.order - q.order)
  const made = wanted.map(([id, it]) => {
    const spec: HolderSpec = {
      ...it,
      outer: it.outer.value ?? 0,
      inner: it.inner.value ?? 0,
      least: it.least.value ?? 0,
      wall: rotary.make.wall.value ?? 5,
    }
    const { pieces, findings } = holderPieces(spec, kerf)
    const said = findings.map((finding) => ({
      ...finding,
      message: `${it.name}: ${finding.message}`,
      path: `rotary.holders.${id}.outer`,
    }))
    return { pieces: Array.from({ length: it.count }, () => pieces).flat(), findings: said }
  })
  return { pieces: made.flatMap((it) => it.pieces), findings: made.flatMap((it) => it.findings) }
}

/** The indexing plate as it is entered; none where something of it is missing. @throws never for a valid bench. */
export function wantedPlate(engine: Engine<Bench>): WantedPieces {
  const { plate } = engine.bench.rotary
  const of = (it: { readonly value: number | null }): number => it.value ?? Number.NaN
  const isSlot = plate.shape.chosen !== 'disc'
  const numbers = [plate.outer, plate.size, plate.from, plate.stations, ...(isSlot ? [plate.slotLength] : [])].map(of)
  if (numbers.some(Number.isNaN)) return { pieces: [], findings: [] }
  const { piece, findings } = platePiece(
    {
      outer: of(plate.outer),
      inner: plate.inner.value ?? 0,
      shape: isSlot ? 'slot' : 'disc',
      stations: of(plate.stations),
      size: of(plate.size),
      from: of(plate.from),
      slotLength: isSlot ? of(plate.slotLength) : 0,
      pin: plate.pin.value ?? 0,
      pinsOn: plate.pinsOn.value ?? 0,
    },
    shownNumber(engine.value(kerfOfHolders).result) ?? 0,
  )
  return { pieces: piece === null ? [] : [piece], findings }
}

/**
 * Lays pieces out on sheets in rows, one sheet after the other; small ones in the holes of rings. @param pieces Round ones, by their boxes. @param width Of a sheet, mm. @param height mm.
 * @returns The sheets; a finding for each piece that is larger than a sheet.
 */
export function layHolders(
  pieces: readonly HolderPiece[],
  width: number,
  height: number,
): { readonly sheets: readonly HolderSheet[]; readonly findings: readonly Finding[] } {
  const [wide, high] = [width - 2 * BETWEEN, height - 2 * BETWEEN]
  const fits = ({ size }: HolderPiece): boolean => size <= Math.min(wide, high) + 1e-9
  const findings = pieces
    .filter((it) => !fits(it))
    .map(({ label, size }): Finding => ({
      code: 'larger-than-sheet',
      severity: 'error',
      message: `${label} is ${Number(size.toFixed(1))} mm wide: it does not go on a sheet of ${width} × ${height} mm.`,
      path: 'rotary.make.sheetWidth',
    }))
  let left = pieces.filter(fits).sort((p, q) => q.size - p.size)
  const sheets: HolderSheet[] = []
  while (left.length > 0) {
    const { laid, rest } = oneSheet(left, wide, high)
    sheets.push(sheetOf(laid, width, height))
    left = rest
  }
  return { sheets, findings }
}

interface Laid {
  readonly piece: HolderPiece
  readonly x: number
  readonly y: number
}

/** A row of pieces on a sheet, as high as its first. */
interface Row {
  readonly y: number
  readonly high: number
  x: number
}

/** As many as go on one sheet, the largest first: in the hole of one that is there, else behind the last of a row, else in a new one. */
function oneSheet(pieces: readonly HolderPiece[], wide: number, high: number): { laid: readonly Laid[]; rest: HolderPiece[] } {
  const laid: Laid[] = []
  const rest: HolderPiece[] = []
  const rows: Row[] = []
  const filled = new Set<Laid>()
  for (const piece of pieces) {
    const around = laid.find((it) => !filled.has(it) && it.piece.room >= piece.size + 2 * BETWEEN)
    if (around !== undefined) {
      filled.add(around)
      const off = (around.piece.size - piece.size) / 2
      laid.push({ piece, x: around.x + off, y: around.y + off })
      continue
    }
    const row = rows.find((it) => it.high >= piece.size && it.x + piece.size <= wide) ?? newRow(rows, piece.size, high)
    if (row === null) {
      rest.push(piece)
      continue
    }
    laid.push({ piece, x: row.x + BETWEEN, y: row.y + BETWEEN })
    row.x += piece.size + BETWEEN
  }
  return { laid, rest }
}

/** A row above the others; null where the sheet is full. */
function newRow(rows: Row[], size: number, high: number): Row | null {
  const last = rows.at(-1)
  const y = last === undefined ? 0 : last.y + last.high + BETWEEN
  if (y + size > high + 1e-9) return null
  const row = { y, high: size, x: 0 }
  rows.push(row)
  return row
}

function sheetOf(laid: readonly Laid[], width: number, height: number): HolderSheet {
  const moved = (pick: (piece: HolderPiece) => readonly Outline[]): readonly Outline[] =>
    laid.flatMap(({ piece, x, y }) => pick(piece).map((it) => mappedOutline([1, 0, 0, 1, x, y], it)))
  return {
    width,
    height,
    cut: moved((it) => it.cut),
    mark: moved((it) => it.mark),
    parts: laid.map(({ piece, x, y }) => ({
      label: piece.label,
      size: piece.size,
      room: piece.room,
      x: x + piece.size / 2,
      y: y + piece.size / 2,
    })),
  }
}

/** What is cut and what is marked of a sheet, as layers of a file. */
function layersOf({ cut, mark }: HolderSheet): readonly Layer[] {
  return [
    { name: 'mark', colour: '#1d4e89', outlines: mark },
    { name: 'cut', colour: '#111111', outlines: cut },
  ]
}

/** A sheet as a drawing in millimetres. @throws never for a sheet that was laid. */
export function holderSvg(sheet: HolderSheet): string {
  return drawingToSvg(sheet.width, sheet.height, layersOf(sheet))
}

/** The same as an exchange file. @throws never for a sheet that was laid. */
export function holderDxf(sheet: HolderSheet): string {
  return drawingToDxf(layersOf(sheet))
}
