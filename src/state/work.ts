import { setAt, templateOf } from '../core/bench'
import type { Bench } from '../core/document'
import {
  pieceShape,
  sizeOfPiece,
  usualFor,
  wayShape,
  type Clamp,
  type Piece,
  type Saving,
  type Way,
  type Work,
} from '../core/work'
import { newId } from '../data/ids'
import type { Taken } from '../workers/work.worker'
import { editBench, useBenchStore } from './benchStore'
import { keepRecord } from './library'
import { DONE, isDone, NO_BENCH, told, type Told } from './told'
import { forgetFile, readFile, rememberRead, workWorker } from './workFiles'

/** The work order as it is on the open bench; null where none is open. */
function orderNow(): Work | null {
  return useBenchStore.getState().bench?.work ?? null
}

/** Takes a file of artwork in: it is read, kept with the bench, and laid on the sheet. @returns What stands in the way, and what was left out. */
export async function takeArtwork(file: File): Promise<Told> {
  if (orderNow() === null) return NO_BENCH
  const read = await readFile(file)
  if (!read.ok) return read.findings
  const record = newId()
  const kept = await keepFile(file, record, 'Artwork taken in')
  if (!isDone(kept)) return kept
  const { print, taken } = read.value
  rememberRead(print, taken)
  const id = newId()
  const order = 1 + Math.max(0, ...Object.values(orderNow()?.pieces ?? {}).map((it) => it.order))
  const name = file.name.replace(/\.[^.]+$/, '').slice(0, 80) || 'Artwork'
  const said = editBench('artwork taken in', (bench) => {
    const piece = templateOf(pieceShape, { ...pieceOf(taken), ways: waysOf(taken, {}), order, name, record, print })
    return setAt(bench, `work.pieces.${id}`, { ...piece, ...placeFor(bench, piece) })
  })
  return [...said, ...read.findings]
}

/** Takes another file for a piece: what is drawn as it was keeps what is done with it. */
export async function changeArtwork(id: string, file: File): Promise<Told> {
  const piece = orderNow()?.pieces[id]
  if (piece === undefined) return told('This piece was taken out of the work order.')
  const read = await readFile(file)
  if (!read.ok) return read.findings
  const record = newId()
  const kept = await keepFile(file, record, 'Artwork changed')
  if (!isDone(kept)) return kept
  const { print, taken } = read.value
  rememberRead(print, taken)
  const said = editBench('another file', (bench) => {
    const now = bench.work.pieces[id]
    if (now === undefined) return bench
    return setAt(bench, `work.pieces.${id}`, { ...now, ...pieceOf(taken), record, print, ways: waysOf(taken, now.ways) })
  })
  return [...said, ...read.findings]
}

function keepFile(file: File, record: string, what: string): Promise<Told> {
  const about = { stage: 'work', title: `${what}: ${file.name}`, note: '', redo: `Take it in again: ${file.name}.`, beneath: [] }
  return keepRecord(about, [], [file], record)
}

function pieceOf({ kind, width, height, hasUnits }: Taken): Pick<Piece, 'kind' | 'width' | 'height' | 'hasUnits'> {
  return { kind, width, height, hasUnits: hasUnits ? 'yes' : 'no' }
}

/** Ways of a file; those that are drawn as before keep their id and what is done with them. */
function waysOf({ ways, kind }: Taken, before: Piece['ways']): Piece['ways'] {
  const known = new Map(Object.entries(before).map(([id, it]) => [it.key, [id, it] as const]))
  return Object.fromEntries(
    ways.map((summary, order) => {
      const [id, was] = known.get(summary.key) ?? [newId(), null]
      const { does, ...drawn } = summary
      const fresh = templateOf(wayShape, { ...summary, ...usualFor(does, kind), order })
      return [id, was === null ? fresh : { ...was, ...drawn, order }] as const
    }),
  )
}

/** A piece is laid so far from the margin, mm. */
const CLEAR = 3

/** To the right of what lies there, else where the margin begins. */
function placeFor({ work }: Bench, piece: Piece): Pick<Piece, 'x' | 'y'> {
  const margin = work.margin.value ?? 0
  const rights = Object.values(work.pieces).map((it) => it.x + it.columns * (sizeOfPiece(it).width + it.gapX))
  // Not on the very margin: no sheet is known as well as that.
  const corner = margin + CLEAR
  const x = Math.max(corner, ...rights)
  const fits = work.sheetWidth.value === null || x + sizeOfPiece(piece).width <= work.sheetWidth.value - margin
  return { x: fits ? round(x) : corner, y: corner }
}

function round(mm: number): number {
  return Math.round(mm * 1000) / 1000
}

/** What a number is called, and its range: least, most, and how much one of what is shown is. */
type Range = readonly [name: string, least: number, most: number, shown?: string, of?: number]

const PIECE_RANGES: Readonly<Partial<Record<keyof Piece, Range>>> = {
  columns: ['The number of columns', 1, 200],
  rows: ['The number of rows', 1, 200],
  gapX: ['The gap across', 0, 5000, 'mm'],
  gapY: ['The gap up', 0, 5000, 'mm'],
  turn: ['The turn', -360, 360, '°'],
  scale: ['The size', 1e-6, 1000, 'times that of the file'],
}
const WAY_RANGES: Readonly<Partial<Record<keyof Way, Range>>> = {
  power: ['The power', 0.001, 1, '%', 100],
  speed: ['The speed', 0.01, 5000, 'mm/s'],
  pitch: ['The distance of scan lines', 0.005, 10, 'mm'],
  passes: ['The number of passes', 1, 100],
  tabs: ['The number of tabs', 0, 100],
  tabWidth: ['The width of a tab', 0.01, 50, 'mm'],
  lead: ['The lead-in', 0, 50, 'mm'],
  drop: ['The step of height', 0, 20, 'mm'],
  angle: ['The angle', -1, 180, '°'],
}

/** The first number that is out of its range, in words; null where all are within. */
function wrongIn<T extends object>(part: Partial<T>, ranges: Readonly<Partial<Record<keyof T, Range>>>): string | null {
  for (const key of Object.keys(part) as (keyof T)[]) {
    const [value, range] = [part[key], ranges[key]]
    if (range === undefined || typeof value !== 'number') continue
    const [name, least, most, shown = '', of = 1] = range
    if (!(value >= least && value <= most)) return `${name} is ${least * of} to ${most * of}${shown === '' ? '' : ` ${shown}`}.`
  }
  return null
}

/** Changes a piece of the order. @returns What stands in the way. */
export function setPiece(id: string, part: Partial<Piece>): Told {
  const piece = orderNow()?.pieces[id]
  if (piece === undefined) return told('This piece was taken out of the work order.')
  const wrong = wrongIn(part, PIECE_RANGES)
  if (wrong !== null) return told(wrong)
  return editBench('a piece', (bench) => setAt(bench, `work.pieces.${id}`, { ...piece, ...part }))
}

/** Moves a piece on the sheet, with all its copies, mm. @returns What stands in the way. */
export function movePiece(id: string, dx: number, dy: number): Told {
  const piece = orderNow()?.pieces[id]
  if (piece === undefined) return told('This piece was taken out of the work order.')
  const to = (at: number, by: number): number => Math.round((at + by) * 10) / 10
  const moved = Object.entries(piece.spots).map(([key, it]) => [key, { ...it, x: to(it.x, dx), y: to(it.y, dy) }] as const)
  return setPiece(id, { x: to(piece.x, dx), y: to(piece.y, dy), spots: Object.fromEntries(moved) })
}

/** Gives a piece a width or a height on the sheet, by its scale. @returns What stands in the way. */
export function sizePiece(id: string, side: 'width' | 'height', mm: number): Told {
  const piece = orderNow()?.pieces[id]
  if (piece === undefined) return told('This piece was taken out of the work order.')
  const now = sizeOfPiece(piece)[side]
  if (!(now > 0)) return told(`This piece has no ${side} to be made larger or smaller.`)
  return setPiece(id, { scale: piece.scale * (mm / now) })
}

/** Changes what is done with a way. @returns What stands in the way. */
export function setWay(pieceId: string, wayId: string, part: Partial<Way>): Told {
  const way = orderNow()?.pieces[pieceId]?.ways[wayId]
  if (way === undefined) return told('This was taken out of the work order.')
  const wrong = wrongIn(part, WAY_RANGES)
  if (wrong !== null) return told(wrong)
  return editBench('what is done with it', (bench) => setAt(bench, `work.pieces.${pieceId}.ways.${wayId}`, { ...way, ...part }))
}

/** Takes over a change that saves time. @returns What stands in the way. */
export function takeSaving(saving: Saving): Told {
  if (saving.kind === 'bothWays') return setScans('both')
  if (saving.kind === 'quickest') return setSequence({ sequence: 'quickest', apart: 0 })
  const { pieceId, drawn } = saving
  const [wayId] = Object.entries(orderNow()?.pieces[pieceId]?.ways ?? {}).find(([, it]) => it.drawn === drawn) ?? []
  if (wayId === undefined) return told('This was taken out of the work order.')
  if (saving.kind === 'turned') return setWay(pieceId, wayId, { angle: -1 })
  const { speed, power } = saving
  return setWay(pieceId, wayId, { speed: Number(speed.toPrecision(3)), power: Math.min(1, Number(power.toPrecision(3))) })
}

/** Lets a way be cut, marked, filled or left, with usual numbers for it. */
export function letWay(pieceId: string, wayId: string, does: Way['does']): Told {
  const piece = orderNow()?.pieces[pieceId]
  const way = piece?.ways[wayId]
  if (piece === undefined || way === undefined) return told('This was taken out of the work order.')
  return setWay(pieceId, wayId, does === way.does ? {} : { ...usualFor(does, piece.kind), does, setting: '' })
}

/** Takes a piece out of the order; undo brings it back. */
export function dropPiece(id: string): Told {
  return editBench('a piece taken out', (bench) => setAt(bench, `work.pieces.${id}`, undefined))
}

/** Says which material of the book the sheet is. */
export function setWorkMaterial(id: string): Told {
  return editBench('the material of the sheet', (bench) => setAt(bench, 'work.material', id))
}

/** Lets scans go both ways or one. */
export function setScans(scans: Work['scans']): Told {
  return editBench('how lines are scanned', (bench) => setAt(bench, 'work.scans', scans))
}

/** Says in which order lines are burnt, or how far the next is kept from the last one's heat, mm. @returns What stands in the way. */
export function setSequence(part: Partial<Pick<Work, 'sequence' | 'apart'>>): Told {
  if (part.apart !== undefined && !(part.apart >= 0 && part.apart <= 500)) return told('The distance from heat is 0 to 500 mm.')
  return editBench('the order of lines', (bench) => ({ ...bench, work: { ...bench.work, ...part } }))
}

/** Puts a piece one place earlier in the list, or what is done with one of its parts. */
export function putEarlier(pieceId: string, wayId: string | null = null): Told {
  return editBench('the order in the list', (bench) => {
    const path = wayId === null ? 'work.pieces' : `work.pieces.${pieceId}.ways`
    const all: Readonly<Record<string, { readonly order: number }>> =
      wayId === null ? bench.work.pieces : (bench.work.pieces[pieceId]?.ways ?? {})
    const ids = Object.keys(all).sort((p, q) => (all[p]?.order ?? 0) - (all[q]?.order ?? 0))
    const at = ids.indexOf(wayId ?? pieceId)
    const [own, before] = [ids[at], ids[at - 1]]
    if (own === undefined || before === undefined) return bench
    const [mine, other] = [all[own]?.order ?? 0, all[before]?.order ?? 0]
    return setAt(setAt(bench, `${path}.${own}.order`, other), `${path}.${before}.order`, mine)
  })
}

/** What of an order says where sheets lie and how many, but for facts. */
type Placing = Pick<
  Work,
  'placedBy' | 'fenceLong' | 'fenceHigh' | 'layPower' | 'laySpeed' | 'placeColumns' | 'placeRows' | 'placeStepX' | 'placeStepY'
>

const PLACING_RANGES: Readonly<Partial<Record<keyof Placing, Range>>> = {
  fenceLong: ['The line along X', 1, 5000, 'mm'],
  fenceHigh: ['The line along Y', 1, 5000, 'mm'],
  layPower: ['The power', 0.001, 1, '%', 100],
  laySpeed: ['The speed', 0.01, 5000, 'mm/s'],
  placeColumns: ['The number of places across', 1, 50],
  placeRows: ['The number of places up', 1, 50],
  placeStepX: ['The distance of places across', 1, 5000, 'mm'],
  placeStepY: ['The distance of places up', 1, 5000, 'mm'],
}

/** Says where sheets lie, or how many blanks there are. @returns What stands in the way. */
export function setPlacing(part: Partial<Placing>): Told {
  const wrong = wrongIn(part, PLACING_RANGES)
  if (wrong !== null) return told(wrong)
  return editBench('where sheets lie', ({ work, ...bench }) => ({
    ...bench,
    work: { ...work, ...clearSteps(work, part), ...part },
  }))
}

/** Blanks that are laid side by side for the first time do not lie over one another. */
function clearSteps(work: Work, { placeColumns, placeRows }: Partial<Placing>): Partial<Placing> {
  const [width, height] = [work.sheetWidth.value ?? 0, work.sheetHeight.value ?? 0]
  return {
    ...(work.placeColumns === 1 && (placeColumns ?? 1) > 1 && work.placeStepX < width ? { placeStepX: width + CLEAR } : {}),
    ...(work.placeRows === 1 && (placeRows ?? 1) > 1 && work.placeStepY < height ? { placeStepY: height + CLEAR } : {}),
  }
}

/** Leaves a place out this time, or takes it in again. */
export function setPlace(id: string, isIn: boolean): Told {
  return editBench('a place for a blank', (bench) =>
    setAt(bench, `work.placesOut.${id}`, isIn ? undefined : { order: 1 + Object.keys(bench.work.placesOut).length }),
  )
}

/** Writes down where the lines of the fence were burnt: as their program had it, whatever was entered meanwhile. */
export function keepFence(corner: { readonly x: number; readonly y: number }): Told {
  return editBench('the lines of the fence', ({ work, ...bench }) => ({
    ...bench,
    work: { ...work, fenceBurnt: 'yes' as const, fenceBurntX: corner.x, fenceBurntY: corner.y },
  }))
}

/** Says what the sheet lies on, or how its bars lie. @returns What stands in the way. */
export function setUnder(part: Partial<Pick<Work, 'under' | 'barsAlong' | 'barsFirst' | 'barsStep' | 'barsWidth'>>): Told {
  return editBench('what the sheet lies on', (bench) => ({ ...bench, work: { ...bench.work, ...part } }))
}

/** Says whether parts may be turned by a quarter where they are laid out. */
export function setTurns(turns: Work['turns']): Told {
  return editBench('whether parts are turned', (bench) => setAt(bench, 'work.turns', turns))
}

/** Lays all copies out on the sheet, one by one. @returns What stands in the way, and what does not fit. */
export async function layOutOrder(gap: number): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const laid = await workWorker().layOut(bench.work, gap)
  if (!laid.ok) return laid.findings
  const { spots, beyond } = laid.value
  const said = editBench('pieces laid out', (it) =>
    Object.entries(spots).reduce((next, [id, them]) => setAt(next, `work.pieces.${id}.spots`, them), it),
  )
  if (!isDone(said) || beyond === 0) return said
  const what = beyond === 1 ? 'One copy does' : `${beyond} copies do`
  return [
    {
      code: 'beyond',
      severity: 'warning',
      message: `${what} not fit the sheet, and lie above it: take fewer, or a larger sheet.`,
    },
  ]
}

/** Puts a piece back to its grid. */
export function gridAgain(id: string): Told {
  return setPiece(id, { spots: {} })
}

/** Keeps the order under a name, to be taken up again. @returns What stands in the way. */
export function keepOrder(name: string): Told {
  const work = orderNow()
  if (work === null) return NO_BENCH
  if (Object.keys(work.pieces).length === 0) return told('There is nothing to keep yet: take in artwork first.')
  const words = name.trim().slice(0, 80)
  if (words === '') return told('An order needs a name.')
  const order = 1 + Math.max(0, ...Object.values(work.kept).map((it) => it.order))
  const { material, pieces } = work
  const kept = { order, name: words, at: new Date().toISOString(), material, pieces }
  return editBench('an order kept', (bench) => setAt(bench, `work.kept.${newId()}`, kept))
}

/** Takes a kept order up again in place of the one on the sheet; undo brings that back. */
export function takeUpOrder(id: string): Told {
  const kept = orderNow()?.kept[id]
  if (kept === undefined) return told('This order is not kept any more.')
  return editBench('a kept order', (bench) => {
    const isThere = bench.burns.materials[kept.material] !== undefined
    return { ...bench, work: { ...bench.work, pieces: kept.pieces, material: isThere ? kept.material : bench.work.material } }
  })
}

/** Keeps an order no longer; undo brings it back. */
export function dropOrder(id: string): Told {
  return editBench('a kept order thrown away', (bench) => setAt(bench, `work.kept.${id}`, undefined))
}

/** Lays a clamp on the sheet, or moves it; null takes it away. */
export function setClamp(id: string, clamp: Clamp | null): Told {
  return editBench('a clamp', (bench) => setAt(bench, `work.clamps.${id}`, clamp ?? undefined))
}

/** Lays another clamp on the sheet's corner. */
export function addClamp(): Told {
  const clamps = orderNow()?.clamps ?? {}
  const order = 1 + Math.max(0, ...Object.values(clamps).map((it) => it.order))
  return setClamp(newId(), { order, x: 0, y: 0, width: 20, height: 20 })
}

/** Gives up what is known of files that no piece of the open bench uses. */
export function forgetUnused(): Told {
  const prints = new Set(Object.values(orderNow()?.pieces ?? {}).map((it) => it.print))
  forgetFile((print) => !prints.has(print))
  return DONE
}
