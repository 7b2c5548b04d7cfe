import * as Comlink from 'comlink'
import { accepted, refused, type Finding, type Outcome } from '../core/units'
import { decodeText } from '../data/decode'
import { ListedText, readProgram, writeProgram, type OutputCard, type Step } from '../core/gcode'
import {
  lineNear,
  surveyProgram,
  wayOfLine,
  type Bounds,
  type Drawing,
  type Limits,
  type Stretch,
  type Survey,
} from '../core/planner'
import {
  burntRuns,
  islandsOfRuns,
  joinedSteps,
  lookAtCutter,
  refitForBeam,
  type BeamWish,
  type Changed,
  type CutterProgram,
} from '../core/refit'

/** What the page needs to know of a program; its drawing stays here, for it may have a million points. */
export type ProgramSummary = Omit<Survey, 'drawing'> & {
  /** Lines of the text, those after its end too. */
  readonly listed: number
}

/** How the drawing stands in its window: px for a mm, and where the origin lies. */
export interface DrawingView {
  readonly width: number
  readonly height: number
  readonly scale: number
  readonly originX: number
  readonly originY: number
  /** Canvas px for a CSS px. */
  readonly density: number
  readonly dark: string
  readonly lit: string
}

/** How the program that is held is to become one for a beam, and through which card. */
export interface RefitAsk {
  readonly wish: BeamWish
  readonly card: OutputCard
  readonly limits: Limits | null
}

/** How the program that is held is parted and joined again. Lengths in mm. */
export interface PartAsk {
  /** What lies no further apart than this is one island. */
  readonly apart: number
  readonly order: 'own' | 'quickest'
  /** Longest run-up that is kept of dark ways. */
  readonly lead: number
  /** The program's own power word at full power. */
  readonly fullS: number
  readonly card: OutputCard
  readonly limits: Limits | null
}

/** A program that was parted and joined again. */
export interface PartSummary {
  readonly text: string
  readonly lines: number
  readonly seconds: number
  readonly burntLength: number
  readonly bounds: Bounds | null
  readonly islands: number
  readonly runs: number
  readonly findings: readonly Finding[]
}

/** A program for a beam, made of the one that is held. */
export interface RefitSummary {
  readonly text: string
  readonly lines: number
  readonly seconds: number
  readonly burntLength: number
  readonly bounds: Bounds | null
  readonly changes: readonly Changed[]
  /** Where the light stands, mm; the first of them. */
  readonly dots: readonly { readonly x: number; readonly y: number }[]
  readonly findings: readonly Finding[]
}

/** Reads a program, and draws it, away from the page. */
export interface ProgramWorker {
  /** Refused in words where the file is no text. */
  survey(file: File, limits: Limits | null, onProgress: (lines: number) => void): Promise<Outcome<ProgramSummary>>
  draw(view: DrawingView): ImageBitmap | null
  /** What the program is like as one for a cutter, held against a height of the surface, mm; null where none is held. */
  cutter(level: number): CutterProgram | null
  refit(ask: RefitAsk): Outcome<RefitSummary>
  /** The same burns, island by island. */
  part(ask: PartAsk): Outcome<PartSummary>
  /** What was held, thin, and what was made of it, with what it burns. */
  drawRefit(view: DrawingView): ImageBitmap | null
  /** Some lines of the text, from 1. */
  lines(first: number, count: number): readonly string[]
  /** What one line does; null where it does not move the head. */
  way(line: number): Stretch | null
  /** The line whose way passes nearest to a place, mm. */
  near(x: number, y: number, within: number): number | null
}

let drawing: Drawing | null = null
let listing: ListedText | null = null
let held: string | null = null
let made: Drawing | null = null

const api: ProgramWorker = {
  async survey(file, limits, onProgress) {
    const progress = (lines: number): boolean => {
      onProgress(lines)
      return true
    }
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    if (!text.ok) return text
    const { drawing: read, ...survey } = surveyProgram(text.value, limits, { onProgress: progress })
    drawing = read
    listing = new ListedText(text.value)
    held = text.value
    made = null
    const found = { findings: [...text.findings, ...survey.findings], findingCount: text.findings.length + survey.findingCount }
    return accepted({ ...survey, ...found, listed: listing.count })
  },
  lines: (first, count) => listing?.lines(first, count) ?? [],
  way: (line) => (drawing === null ? null : wayOfLine(drawing, line)),
  near: (x, y, within) => (drawing === null ? null : lineNear(drawing, x, y, within)),
  draw(view) {
    if (drawing === null) return null
    const bitmap = drawn([{ ...drawing, on: [0, 1] }], view)
    return Comlink.transfer(bitmap, [bitmap])
  },
  cutter: (level) => (held === null ? null : lookAtCutter(readProgram(held).moves, level)),
  refit({ wish, card, limits }) {
    if (held === null) return refused('no-program', 'No program is open. Choose one first.')
    const { steps, changes, burntLength, findings } = refitForBeam(readProgram(held).moves, wish)
    const dots = dotsOf(steps)
    if (burntLength === 0 && dots.length === 0)
      return refused('nothing-below', 'Nothing of this program lies below the surface. Say another height of it.')
    const written = writeProgram(steps, card)
    if (!written.ok) return written
    const { drawing: after, lines, seconds, bounds } = surveyProgram(written.value, limits)
    made = after
    return accepted({
      text: written.value,
      lines,
      seconds,
      burntLength,
      bounds,
      changes,
      dots,
      findings: [...findings, ...written.findings],
    })
  },
  part({ apart, order, lead, fullS, card, limits }) {
    if (held === null) return refused('no-program', 'No program is open. Choose one first.')
    const runs = burntRuns(readProgram(held).moves, fullS, lead)
    if (runs.length === 0) return refused('nothing-burnt', 'This program burns nothing: no move has the beam on.')
    const islands = islandsOfRuns(runs, apart)
    const written = writeProgram(joinedSteps(islands, order), card)
    if (!written.ok) return written
    const { lines, seconds, bounds, burntLength } = surveyProgram(written.value, limits)
    const numbers = { lines, seconds, burntLength, bounds, islands: islands.length, runs: runs.length }
    return accepted({ text: written.value, ...numbers, findings: written.findings })
  },
  drawRefit(view) {
    if (drawing === null) return null
    const bitmap = drawn(
      [{ ...drawing, lit: new Uint8Array(drawing.x.length), on: [0] }, ...(made === null ? [] : [{ ...made, on: [1] }])],
      view,
    )
    return Comlink.transfer(bitmap, [bitmap])
  },
}

/** Dots that are drawn, at most. */
const MOST_DOTS = 3000

function dotsOf(steps: Iterable<Step>): RefitSummary['dots'] {
  let at = { x: 0, y: 0 }
  const dots: { x: number; y: number }[] = []
  for (const step of steps) {
    if ('x' in step) at = { x: step.x, y: step.y }
    else if (step.kind === 'dot' && dots.length < MOST_DOTS) dots.push(at)
  }
  return dots
}

/** A drawing, and which of its ways are drawn: 0 dark ones, 1 lit ones, in this order. */
type Drawn = Drawing & { readonly on: readonly number[] }

/** Dark ways first and thin, then what is burnt. */
function drawn(drawings: readonly Drawn[], view: DrawingView): ImageBitmap {
  const canvas = new OffscreenCanvas(Math.max(1, view.width * view.density), Math.max(1, view.height * view.density))
  const pen = canvas.getContext('2d')
  if (pen === null) throw new Error('this browser cannot draw away from the page')
  const scale = view.scale * view.density
  const [ox, oy] = [view.originX * view.density, view.originY * view.density]
  for (const { x, y, lit, on: ways } of drawings) {
    for (const on of ways) {
      pen.strokeStyle = on === 1 ? view.lit : view.dark
      pen.lineWidth = (on === 1 ? 1.2 : 0.4) * view.density
      pen.beginPath()
      for (let i = 1; i < x.length; i++) {
        if (lit[i] !== on) continue
        if (i === 1 || lit[i - 1] !== on) pen.moveTo(ox + (x[i - 1] ?? 0) * scale, oy - (y[i - 1] ?? 0) * scale)
        pen.lineTo(ox + (x[i] ?? 0) * scale, oy - (y[i] ?? 0) * scale)
        // One path of a million points would be slower than many short ones.
        if (i % 2000 === 0) {
          pen.stroke()
          pen.beginPath()
          pen.moveTo(ox + (x[i] ?? 0) * scale, oy - (y[i] ?? 0) * scale)
        }
      }
      pen.stroke()
    }
  }
  return canvas.transferToImageBitmap()
}

Comlink.expose(api)
