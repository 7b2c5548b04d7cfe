import * as Comlink from 'comlink'
import { accepted, type Outcome } from '../core/units'
import { decodeText } from '../data/decode'
import { ListedText } from '../core/gcode'
import { lineNear, surveyProgram, wayOfLine, type Drawing, type Limits, type Stretch, type Survey } from '../core/planner'

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

/** Reads a program, and draws it, away from the page. */
export interface ProgramWorker {
  /** Refused in words where the file is no text. */
  survey(file: File, limits: Limits | null, onProgress: (lines: number) => void): Promise<Outcome<ProgramSummary>>
  draw(view: DrawingView): ImageBitmap | null
  /** Some lines of the text, from 1. */
  lines(first: number, count: number): readonly string[]
  /** What one line does; null where it does not move the head. */
  way(line: number): Stretch | null
  /** The line whose way passes nearest to a place, mm. */
  near(x: number, y: number, within: number): number | null
}

let drawing: Drawing | null = null
let listing: ListedText | null = null

const api: ProgramWorker = {
  async survey(file, limits, onProgress) {
    const progress = (lines: number): boolean => {
      onProgress(lines)
      return true
    }
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
    if (!text.ok) return text
    const { drawing: made, ...survey } = surveyProgram(text.value, limits, { onProgress: progress })
    drawing = made
    listing = new ListedText(text.value)
    const found = { findings: [...text.findings, ...survey.findings], findingCount: text.findings.length + survey.findingCount }
    return accepted({ ...survey, ...found, listed: listing.count })
  },
  lines: (first, count) => listing?.lines(first, count) ?? [],
  way: (line) => (drawing === null ? null : wayOfLine(drawing, line)),
  near: (x, y, within) => (drawing === null ? null : lineNear(drawing, x, y, within)),
  draw(view) {
    if (drawing === null) return null
    const bitmap = drawn(drawing, view)
    return Comlink.transfer(bitmap, [bitmap])
  },
}

/** Dark ways first and thin, then what is burnt. */
function drawn({ x, y, lit }: Drawing, view: DrawingView): ImageBitmap {
  const canvas = new OffscreenCanvas(Math.max(1, view.width * view.density), Math.max(1, view.height * view.density))
  const pen = canvas.getContext('2d')
  if (pen === null) throw new Error('this browser cannot draw away from the page')
  const scale = view.scale * view.density
  const [ox, oy] = [view.originX * view.density, view.originY * view.density]
  for (const on of [0, 1]) {
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
  return canvas.transferToImageBitmap()
}

Comlink.expose(api)
