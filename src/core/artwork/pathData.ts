import type { Finding } from '../units'
import { cubicOfQuadratic, type Outline, type Point, type Segment } from './geometry'
import { arcBetween } from './pathArc'

/** Outlines of path data, and what was wrong with it. */
export interface PathRead {
  readonly outlines: readonly Outline[]
  readonly findings: readonly Finding[]
}

/** Numbers that each command takes; an arc's fourth and fifth are flags, which may stand without a space. */
const TAKES: Readonly<Record<string, number>> = { m: 2, l: 2, h: 1, v: 1, c: 6, s: 4, q: 4, t: 2, a: 7, z: 0 }
const NUMBER = /^[\s,]*([-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?)/
const FLAG = /^[\s,]*([01])/

/**
 * Reads path data. Where it makes no sense any more it ends, as the standard has it, and what stands before is kept.
 * Valid: every command of SVG 2, 9.3. Source: the grammar of SVG 2, 9.3.9, and its error handling, 9.5.4.
 */
export function readPathData(data: string): PathRead {
  const pen = new Pen()
  let rest = data
  let command = ''
  let finding: Finding | null = null
  const place = (): string => `at character ${data.length - rest.length + 1}`
  while (rest.trim() !== '') {
    const letter = /^\s*([A-Za-z])/.exec(rest)
    if (letter !== null) {
      command = letter[1] as string
      rest = rest.slice(letter[0].length)
      if (!(command.toLowerCase() in TAKES)) finding = wrong(`“${command}” is no command of a path, ${place()}.`)
    } else if (command === '' || command.toLowerCase() === 'z') finding = wrong(`A command is missing, ${place()}.`)
    else if (command === 'm') command = 'l'
    else if (command === 'M') command = 'L'
    if (finding === null && !pen.hasBegun && command.toLowerCase() !== 'm') finding = wrong('A path has to begin with a move, M.')
    if (finding !== null) break
    const taken = numbersOf(rest, command.toLowerCase())
    if (taken === null) {
      finding = wrong(`Numbers are missing behind “${command}”, ${place()}.`)
      break
    }
    rest = taken.rest
    pen.draw(command, taken.numbers)
  }
  return { outlines: pen.end(), findings: finding === null ? [] : [finding] }
}

function wrong(message: string): Finding {
  return { code: 'path-data', severity: 'warning', message: `${message} What stands before it is kept.` }
}

function numbersOf(text: string, command: string): { readonly numbers: readonly number[]; readonly rest: string } | null {
  const numbers: number[] = []
  let rest = text
  for (let k = 0; k < (TAKES[command] ?? 0); k++) {
    const isFlag = command === 'a' && (k === 3 || k === 4)
    const found = (isFlag ? FLAG : NUMBER).exec(rest)
    if (found === null) return null
    numbers.push(Number(found[1]))
    rest = rest.slice(found[0].length)
  }
  return { numbers, rest: rest.replace(/^[\s,]*(?=[-+.\d])/, '') }
}

/** Draws commands one after the other. */
class Pen {
  private readonly outlines: Outline[] = []
  private segments: Segment[] = []
  private start: Point = { x: 0, y: 0 }
  private at: Point = { x: 0, y: 0 }
  /** The last control point, by the kind of curve that it belongs to: a smooth one goes on from its mirror image. */
  private control: { readonly of: 'cubic' | 'quadratic'; readonly at: Point } | null = null
  private isDrawing = false
  hasBegun = false

  draw(command: string, n: readonly number[]): void {
    const isRelative = command === command.toLowerCase()
    const from = this.at
    const [ox, oy] = isRelative ? [from.x, from.y] : [0, 0]
    const point = (k: number): Point => ({ x: ox + (n[k] as number), y: oy + (n[k + 1] as number) })
    const smooth = (of: 'cubic' | 'quadratic'): Point =>
      this.control?.of === of ? { x: 2 * from.x - this.control.at.x, y: 2 * from.y - this.control.at.y } : from
    switch (command.toLowerCase()) {
      case 'm':
        this.finish(false)
        this.move(point(0))
        break
      case 'l':
        this.add({ kind: 'line', to: point(0) })
        break
      case 'h':
        this.add({ kind: 'line', to: { x: ox + (n[0] as number), y: from.y } })
        break
      case 'v':
        this.add({ kind: 'line', to: { x: from.x, y: oy + (n[0] as number) } })
        break
      case 'c':
        this.cubic(point(0), point(2), point(4))
        break
      case 's':
        this.cubic(smooth('cubic'), point(0), point(2))
        break
      case 'q':
        this.quadratic(point(0), point(2))
        break
      case 't':
        this.quadratic(smooth('quadratic'), point(0))
        break
      case 'a':
        this.arc(n, point(5))
        break
      default:
        this.finish(true)
    }
  }

  end(): readonly Outline[] {
    this.finish(false)
    return this.outlines
  }

  private move(to: Point): void {
    this.start = to
    this.at = to
    this.hasBegun = true
    this.control = null
  }

  private add(segment: Segment): void {
    this.segments.push(segment)
    this.at = segment.to
    this.isDrawing = true
    this.control = null
  }

  private cubic(first: Point, second: Point, to: Point): void {
    this.add({ kind: 'cubic', first, second, to })
    this.control = { of: 'cubic', at: second }
  }

  private quadratic(control: Point, to: Point): void {
    this.add(cubicOfQuadratic(this.at, control, to))
    this.control = { of: 'quadratic', at: control }
  }

  private arc([rx = 0, ry = 0, degrees = 0, large = 0, sweep = 0]: readonly number[], to: Point): void {
    const arc = arcBetween(this.at, to, { rx, ry, degrees, isLarge: large === 1, isSweep: sweep === 1 })
    if (arc !== null) this.add({ kind: 'arc', to, ...arc })
    else if (to.x !== this.at.x || to.y !== this.at.y) this.add({ kind: 'line', to })
  }

  /** Ends the outline that is being drawn; a closed one goes on from where it began. */
  private finish(isClosed: boolean): void {
    if (this.isDrawing) this.outlines.push({ start: this.start, segments: this.segments, isClosed })
    this.segments = []
    this.isDrawing = false
    if (isClosed) this.move(this.start)
  }
}
