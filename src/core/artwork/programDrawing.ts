import { MOVE, readProgram, sweptAngle, type Moves } from '../gcode'
import { isLit } from '../planner'
import { refused, type Finding, type Outcome } from '../units'
import { mappedOutline } from './affine'
import { boxOfShapes, isNumbers, type Drawing, type Shape } from './drawing'
import type { Outline, Point, Segment } from './geometry'

/** More powers and speeds than this are a picture, and not told apart. */
const MOST_LAYERS = 24
/** Ends that lie no further apart than this meet, mm. */
const MEETS = 1e-4

/**
 * Reads the lines that a program burns as a drawing: everything with the beam on, told apart by power and speed.
 * @returns Shapes in mm from the lower left corner of all that is burnt; what was left out is said. Refused where it burns nothing.
 * Valid: programs of the standard's words; moves in the plane. Source: NISTIR 6556; the beam as the spindle (common practice).
 */
export function readProgramDrawing(text: string): Outcome<Drawing> {
  const { moves, findings } = readProgram(text)
  const errors = findings.filter((it) => it.severity === 'error')
  const burnt = new BurntLines(moves)
  const shapes = burnt.shapes()
  const box = boxOfShapes(shapes)
  if (box === null) {
    const [first] = errors
    const more = first === undefined ? '' : ` Line ${first.line ?? 0}: ${first.message}`
    return refused('nothing-burnt', `This program burns nothing: no move has the beam on.${more}`)
  }
  return {
    ok: true,
    value: {
      width: box.right - box.left,
      height: box.top - box.bottom,
      hasUnits: true,
      shapes: shapes.map((it) => ({
        ...it,
        outlines: it.outlines.map((one) => mappedOutline([1, 0, 0, 1, -box.left, -box.bottom], one)),
      })),
    },
    findings: [...burnt.said, ...leftOut(errors)],
  }
}

function leftOut(errors: readonly Finding[]): readonly Finding[] {
  const [first] = errors
  if (first === undefined) return []
  const many = errors.length === 1 ? 'One line is' : `${errors.length.toLocaleString('en')} lines are`
  const message = `${many} not read and left out, the first of them line ${first.line ?? 0}: ${first.message}`
  return [{ code: 'program-lines', severity: 'warning', message }]
}

/** Lit moves that follow one another, as outlines. */
class BurntLines {
  readonly said: Finding[] = []
  private readonly outlines = new Map<string, Outline[]>()
  private at: Point & { readonly z: number } = { x: 0, y: 0, z: 0 }
  private start: Point = this.at
  private segments: Segment[] = []
  private key = ''
  private readonly heights = new Set<number>()
  private beyond = 0

  constructor(private readonly moves: Moves) {}

  shapes(): readonly Shape[] {
    const { moves } = this
    for (let i = 0; i < moves.count; i++) {
      if (moves.kind[i] === MOVE.dwell) continue
      const to = { x: moves.x[i] as number, y: moves.y[i] as number, z: moves.z[i] as number }
      if (!isLit(moves, i)) this.end()
      else this.add(i, to)
      this.at = to
    }
    this.end()
    if (this.heights.size > 1) {
      this.said.push({
        code: 'program-heights',
        severity: 'warning',
        message:
          'The program burns at several heights: only the lines are taken over; say how high the head is with what is done with them.',
      })
    }
    if (this.beyond > 0) {
      const message = `${this.beyond.toLocaleString('en')} lines go to places that no machine has, and are left out.`
      this.said.push({ code: 'program-places', severity: 'warning', message })
    }
    return this.layers().map(([layer, outlines]) => ({
      element: 'program',
      id: '',
      layer,
      outlines,
      fill: null,
      stroke: 'as its layer',
      strokeWidth: 0,
      fillRule: 'nonzero',
    }))
  }

  private layers(): readonly (readonly [string, readonly Outline[]])[] {
    const all = [...this.outlines]
    if (all.length <= MOST_LAYERS) return all
    this.said.push({
      code: 'program-powers',
      severity: 'warning',
      message: `The program burns with ${all.length.toLocaleString('en')} powers and speeds: they are not told apart. Of a picture take the picture itself.`,
    })
    return [['beam on', all.flatMap(([, outlines]) => outlines)]]
  }

  private add(i: number, to: Point & { readonly z: number }): void {
    const { moves } = this
    const key = `S${moves.s[i]} F${Math.round((moves.feed[i] as number) * 60)}`
    if (key !== this.key) this.end()
    if (this.segments.length === 0) [this.start, this.key] = [this.at, key]
    this.heights.add(to.z)
    const isArc = moves.kind[i] !== MOVE.feed && moves.plane[i] === 17
    if (isArc) this.segments.push(arcOf(moves, i, this.at))
    else if (to.x !== this.at.x || to.y !== this.at.y) this.segments.push({ kind: 'line', to: { x: to.x, y: to.y } })
  }

  private end(): void {
    const { segments, start, key } = this
    this.segments = []
    if (segments.length === 0) return
    const { to } = segments.at(-1) as Segment
    const isClosed = segments.length > 1 && Math.hypot(to.x - start.x, to.y - start.y) <= MEETS
    const isWhole = segments.length === 1 && segments[0]?.kind === 'arc' && Math.hypot(to.x - start.x, to.y - start.y) <= MEETS
    const outline = { start: { x: start.x, y: start.y }, segments, isClosed: isClosed || isWhole }
    if (!isNumbers(outline)) {
      this.beyond++
      return
    }
    const there = this.outlines.get(key)
    if (there === undefined) this.outlines.set(key, [outline])
    else there.push(outline)
  }
}

function arcOf(moves: Moves, i: number, from: Point): Segment {
  const [to, centre] = [
    { x: moves.x[i] as number, y: moves.y[i] as number },
    { x: moves.centreA[i] as number, y: moves.centreB[i] as number },
  ]
  const isClockwise = moves.kind[i] === MOVE.clockwise
  const swept = sweptAngle([from.x, from.y], [to.x, to.y], [centre.x, centre.y], isClockwise)
  const radius = Math.hypot(from.x - centre.x, from.y - centre.y)
  const start = Math.atan2(from.y - centre.y, from.x - centre.x)
  return { kind: 'arc', to, centre, u: { x: radius, y: 0 }, v: { x: 0, y: radius }, start, sweep: isClockwise ? -swept : swept }
}

/** Words by which a program of the standard is told from other texts. */
const WORDS = /^\s*(?:\/)?\s*(?:N\s*\d+\s*)?(?:[GMTFSXYZIJKRPO]\s*[-+]?\.?\d|\(|;|%\s*$)/i

/** Whether a text is likely a program: its first lines are words of the standard, and one of them moves. Valid: any. Source: NISTIR 6556. */
export function looksLikeProgram(text: string): boolean {
  const lines = text
    .slice(0, 20_000)
    .split(/\r\n|\r|\n/)
    .filter((it) => it.trim() !== '')
    .slice(0, 60)
  return lines.length > 0 && lines.slice(0, 10).every((it) => WORDS.test(it)) && /G\s*0*[0-3](?!\d)/i.test(text.slice(0, 20_000))
}
