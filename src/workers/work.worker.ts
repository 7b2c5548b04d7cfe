import * as Comlink from 'comlink'
import { type RoundAxis, programsApart, readProgram, writeProgram, type OutputCard, type ProgramsApart } from '../core/gcode'
import { planMoves, surveyProgram, type Bounds } from '../core/planner'
import { limitsAlong, type Picture, type ScanMachine } from '../core/scan'
import { refused, type Finding, type Outcome } from '../core/units'
import {
  changesToTry,
  clampFindings,
  clampsHit,
  cutsOnBars,
  darkPlaces,
  drawnAlike,
  hullOf,
  layOut,
  pathDataOf,
  planWork,
  summariesOf,
  summaryOfPicture,
  tasksOf,
  timeOfWork,
  unsteadyOn,
  waysBeyond,
  wayData,
  withChange,
  type Bars,
  type Clamp,
  type DarkPlace,
  type OnBars,
  type Order,
  type LaidOut,
  type Work,
  type Piece,
  type PieceToBurn,
  type PlannedWork,
  type Saving,
  type Source,
  type TimeOfWork,
  type Travel,
  type Unsteady,
  type Outside,
  type WaySummary,
  type WayToBurn,
  type WorkJob,
} from '../core/work'
import { wrapSteps, type WrappedZone } from '../core/rotary'
import { writeStations, type StationAsk } from '../core/document'
import { readArtwork } from '../data/artworkFile'
import { polygons } from '../data/polygons'

/** A file as it was taken in. Lengths in mm. */
export interface Taken {
  readonly kind: Piece['kind']
  readonly width: number
  readonly height: number
  readonly hasUnits: boolean
  readonly ways: readonly WaySummary[]
  readonly findings: readonly Finding[]
  /** What each way looks like: path data, by its key. */
  readonly paths: Readonly<Record<string, string>>
  /** Of a picture: itself, no larger than is shown. */
  readonly shown: ImageBitmap | null
}

/** What is to be planned: pieces in their order, their files by print. */
export interface PlanAsk {
  readonly pieces: readonly { readonly id: string; readonly piece: Piece; readonly ways: readonly WayToBurn[] }[]
  /** Lower left corner of the first sheet, from which clamps and bars are counted, and those of all that are burnt; mm. */
  readonly sheet: { readonly x: number; readonly y: number }
  readonly sheets: readonly { readonly x: number; readonly y: number }[]
  readonly sequence: Work['sequence']
  readonly apart: number
  readonly machine: ScanMachine
  readonly kerf: number
  readonly within: number
  readonly hasZ: boolean
  readonly clamps: readonly Clamp[]
  readonly travel: Travel
  /** Bars beneath the sheet; null where there are none. */
  readonly bars: Bars | null
  readonly card: OutputCard
  /** Radius of the spot, mm; null while it is not known, or where the light follows the speed. */
  readonly unevenBelow: number | null
  /** The round thing that the order lies on; null: it is flat. */
  readonly wrapped: { readonly zone: WrappedZone; readonly round: RoundAxis | null } | null
}

/** A work order as a program. */
export interface PlannedProgram {
  readonly text: string
  readonly lines: number
  readonly seconds: number
  readonly time: TimeOfWork
  readonly bounds: Bounds | null
  readonly burntBounds: Bounds | null
  readonly burntLength: number
  readonly ways: PlannedWork['ways']
  readonly fills: PlannedWork['fills']
  readonly findings: readonly Finding[]
  /** Outline around all that is burnt, mm on the machine. */
  readonly hull: readonly { readonly x: number; readonly y: number }[]
  /** Cuts along bars, mm on the machine; null without bars. */
  readonly onBars: OnBars | null
  /** Where more than twice the light of a line falls: the worst of them, mm on the machine, and how many there are. */
  readonly dark: { readonly places: readonly DarkPlace[]; readonly count: number }
  /** Ways beyond the travel, the first of them, and clamps that are run over, by their place in the list. */
  readonly beyond: readonly Outside[]
  readonly clampsHit: readonly number[]
  /** Freed pieces that the bars do not hold level, mm on the machine. */
  readonly unsteady: readonly Unsteady[]
  /** Where it is cut through: path data, mm on the machine. */
  readonly cuts: string
  /** The way of the head, for a look at any moment: where it is, mm, when, s, and whether it comes there in the light. */
  readonly track: { readonly x: Float32Array; readonly y: Float32Array; readonly t: Float32Array; readonly lit: Uint8Array }
}

/** Reads artwork and plans work orders, away from the page. */
export interface WorkWorker {
  /** Reads a file and keeps it under a print. */
  take(print: string, bytes: Uint8Array, name: string): Promise<Outcome<Taken>>
  /** The changes that would save most time, at most three. */
  savings(ask: PlanAsk, prints: Readonly<Record<string, string>>): Outcome<readonly Saving[]>
  /** How a program differs from an earlier one. */
  apart(earlier: Uint8Array, later: string): ProgramsApart
  /** Lays copies out on the sheet; refused in words where they cannot be. */
  layOut(work: Work, gap: number): Outcome<LaidOut>
  plan(ask: PlanAsk, prints: Readonly<Record<string, string>>): Outcome<PlannedProgram>
  /** The program of one piece at the stations of a plate. */
  stations(text: string, ask: StationAsk): Outcome<string>
}

/** How near every way on a round thing keeps to the true one, mm. */
const WRAPPED_WITHIN = 0.01
/** Ways beyond the travel that are shown, at most. */
const MOST_BEYOND = 2000
/** Places that are too dark and are shown, at most. */
const MOST_DARK = 400
/** Side of a picture that is shown, px. */
const SHOWN = 900

const sources = new Map<string, Source>()

const api: WorkWorker = {
  async take(print, bytes, name) {
    const read = readArtwork(bytes, name)
    if (!read.ok) return read
    if (read.value.kind === 'picture') return takePicture(print, bytes, name, read.value.head.perMm)
    const { drawing } = read.value
    sources.set(print, { kind: 'drawing', drawing })
    const within = Math.max(drawing.width, drawing.height) / 3000
    const paths = Object.fromEntries(drawnAlike(drawing).map((it) => [it.key, pathDataOf(it.outlines, Math.max(within, 1e-6))]))
    const { width, height, hasUnits } = drawing
    const ways = summariesOf(drawing)
    if (ways.length === 0) return refused('nothing-drawn', `“${name}” holds nothing that could be burnt.`)
    return {
      ok: true,
      value: { kind: 'drawing', width, height, hasUnits, ways, findings: read.findings, paths, shown: null },
      findings: read.findings,
    }
  },
  savings(ask, prints) {
    const pieces = ask.pieces.map((it) => ({ ...it, source: sources.get(prints[it.id] ?? '') }))
    if (pieces.some((it) => it.source === undefined))
      return refused('no-file', 'A file of this order is not here. Choose it again.')
    const { bothWays } = ask.machine
    const order: Order = { pieces: pieces as readonly PieceToBurn[], bothWays, sequence: ask.sequence, apart: ask.apart }
    const now = secondsOf(order, ask)
    const fastest = limitsAlong(ask.machine.limits, 0).speed
    const tried = changesToTry(order, fastest).map((it): Saving => ({
      ...it,
      saved: now - secondsOf(withChange(order, it), ask),
    }))
    const best = tried.filter((it) => it.saved > 1).sort((p, q) => q.saved - p.saved)
    return { ok: true, value: best.slice(0, 3), findings: [] }
  },
  stations: writeStations,
  apart: (earlier, later) => programsApart(new TextDecoder().decode(earlier), later),
  layOut(work, gap) {
    try {
      return { ok: true, value: layOut(work, gap), findings: [] }
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      return refused('no-layout', `It cannot be laid out: ${error.message}.`)
    }
  },
  plan(ask, prints) {
    const missing = ask.pieces.filter((it) => !sources.has(prints[it.id] ?? ''))
    if (missing.length > 0) {
      const names = missing.map((it) => `“${it.piece.name}”`).join(', ')
      return refused('no-file', `The file of ${names} is not here. Choose it again.`)
    }
    const pieces = ask.pieces.map((it) => ({ ...it, source: sources.get(prints[it.id] ?? '') as Source }))
    let planned: PlannedWork
    try {
      planned = planWork(jobOf(pieces, ask), polygons)
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      return refused('out-of-range', `The order cannot be planned: ${error.message}.`)
    }
    const steps = ask.wrapped === null ? planned.steps : wrapSteps(planned.steps, ask.wrapped.zone, WRAPPED_WITHIN)
    const written = writeProgram(steps, ask.card)
    if (!written.ok) return written
    const program = programOf(written.value, planned, ask, written.findings)
    const round = ask.wrapped?.round ?? null
    if (round === null || !program.ok) return program
    // Timed and drawn by what goes along the surface; what leaves has the degrees of its own axis.
    const turned = writeProgram(steps, ask.card, round)
    return turned.ok ? { ...program, value: { ...program.value, text: turned.value } } : turned
  },
}

function jobOf(pieces: readonly PieceToBurn[], ask: PlanAsk): WorkJob {
  const { sheets, machine, kerf, within, hasZ, sequence, apart } = ask
  return { tasks: tasksOf(pieces, sheets), machine, kerf, within, hasZ, sequence, apart, start: { x: 0, y: 0 } }
}

/** Seconds that an order takes. */
function secondsOf({ pieces, bothWays, sequence, apart }: Order, ask: PlanAsk): number {
  const job = jobOf(pieces, { ...ask, machine: { ...ask.machine, bothWays }, sequence, apart })
  const written = writeProgram(planWork(job, polygons).steps, ask.card)
  return written.ok ? planMoves(readProgram(written.value).moves, ask.machine.limits).totalSeconds : Infinity
}

function programOf(
  text: string,
  { ways, fills, findings, cuts, freed }: PlannedWork,
  { machine, clamps, travel, sheet, bars, unevenBelow }: PlanAsk,
  said: readonly Finding[],
): Outcome<PlannedProgram> {
  const { moves } = readProgram(text)
  const plan = planMoves(moves, machine.limits)
  const survey = surveyProgram(text, machine.limits)
  const error = survey.findings.find((it) => it.severity === 'error')
  if (error !== undefined) {
    const message = `Through this output card the program cannot be read back, line ${error.line ?? 0}: ${error.message} Mend the card.`
    return refused('card-reads-badly', message)
  }
  const { x, y, lit } = survey.drawing
  const track = {
    x: new Float32Array(x),
    y: new Float32Array(y),
    lit: new Uint8Array(lit),
    t: timesOf(survey.drawing.line, moves.line, plan.seconds),
  }
  const { bounds, burntBounds, burntLength, seconds, lines } = survey
  const time = timeOfWork(moves, plan)
  const hits = clampsHit(track, clamps, sheet)
  const dark = unevenBelow === null ? [] : darkPlaces(moves, plan, unevenBelow, { onDelay: machine.onDelay })
  const value = {
    text,
    lines,
    seconds,
    time,
    bounds,
    burntBounds,
    burntLength,
    ways,
    fills,
    beyond: waysBeyond(track, travel, MOST_BEYOND),
    clampsHit: hits.map((it) => it.index),
    findings: [...clampFindings(hits), ...findings, ...said],
    unsteady: bars === null ? [] : unsteadyOn({ ...bars, first: bars.first + (bars.along === 'x' ? sheet.y : sheet.x) }, freed),
    hull: hullAround(track),
    dark: { places: dark.slice(0, MOST_DARK), count: dark.length },
    onBars:
      bars === null
        ? null
        : cutsOnBars(
            cuts.map((it) => it.map(({ x, y }) => ({ x: x - sheet.x, y: y - sheet.y }))),
            bars,
          ),
    cuts: wayData(cuts, 0.1),
    track,
  }
  return Comlink.transfer({ ok: true as const, value, findings: [] }, [
    track.x.buffer,
    track.y.buffer,
    track.t.buffer,
    track.lit.buffer,
  ])
}

/** Outline around the places that are come to in the light, and where each such way began. */
function hullAround({ x, y, lit }: PlannedProgram['track']): PlannedProgram['hull'] {
  const places: { x: number; y: number }[] = []
  for (let i = 1; i < x.length; i++) {
    if (lit[i] !== 1) continue
    places.push({ x: x[i - 1] as number, y: y[i - 1] as number }, { x: x[i] as number, y: y[i] as number })
    // What is inside can be left out now and then: the list stays short.
    if (places.length > 50_000) places.splice(0, places.length, ...hullOf(places))
  }
  return hullOf(places)
}

/** When each place of a drawing is reached: a line's time is spread over its places. */
function timesOf(places: Uint32Array, lines: Uint32Array, seconds: Float64Array): Float32Array {
  const ends = new Map<number, number>()
  let sum = 0
  for (let i = 0; i < lines.length; i++) {
    sum += seconds[i] as number
    ends.set(lines[i] as number, sum)
  }
  const t = new Float32Array(places.length)
  let [from, at] = [0, 0]
  while (at < places.length) {
    let end = at
    while (end < places.length && places[end] === places[at]) end++
    const to = ends.get(places[at] as number) ?? from
    for (let k = at; k < end; k++) t[k] = from + ((to - from) * (k - at + 1)) / (end - at)
    from = to
    at = end
  }
  return t
}

async function takePicture(print: string, bytes: Uint8Array, name: string, perMm: number | null): Promise<Outcome<Taken>> {
  let decoded: { readonly picture: Picture; readonly shown: ImageBitmap }
  try {
    decoded = await decode(bytes)
  } catch {
    return refused('no-picture', `“${name}” is no picture that this browser can show: it may be damaged. Save it again as PNG.`)
  }
  const { picture, shown } = decoded
  sources.set(print, { kind: 'picture', picture })
  // Without a resolution ten pixels are taken to be a millimetre.
  const [width, height] = [picture.width / (perMm ?? 10), picture.height / (perMm ?? 10)]
  const way = summaryOfPicture(picture, width, height)
  const value: Taken = { kind: 'picture', width, height, hasUnits: perMm !== null, ways: [way], findings: [], paths: {}, shown }
  return Comlink.transfer({ ok: true as const, value, findings: [] }, [shown])
}

/** Luminance of every pixel over white paper, turned as the file says (IEC 61966-2-1). */
async function decode(bytes: Uint8Array) {
  const bitmap = await createImageBitmap(new Blob([bytes as Uint8Array<ArrayBuffer>]), { imageOrientation: 'from-image' })
  const { width, height } = bitmap
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
  if (context === null) throw new Error('no canvas')
  context.drawImage(bitmap, 0, 0)
  const { data } = context.getImageData(0, 0, width, height)
  const light = Float32Array.from({ length: 256 }, (_, i) => {
    const v = i / 255
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
  })
  const luminance = new Float32Array(width * height)
  for (let i = 0; i < luminance.length; i++) {
    const [r, g, b] = [0, 1, 2].map((c) => light[data[4 * i + c] as number] as number) as [number, number, number]
    const alpha = (data[4 * i + 3] as number) / 255
    luminance[i] = alpha * (0.2126 * r + 0.7152 * g + 0.0722 * b) + 1 - alpha
  }
  const scale = Math.min(1, SHOWN / Math.max(width, height))
  const shown = await createImageBitmap(bitmap, {
    resizeWidth: Math.max(1, Math.round(width * scale)),
    resizeHeight: Math.max(1, Math.round(height * scale)),
  })
  bitmap.close()
  return { picture: { width, height, luminance }, shown }
}

Comlink.expose(api)
