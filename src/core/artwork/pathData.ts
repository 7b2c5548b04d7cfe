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
/**
 * Reads path data. Where it makes no sense any more it ends, as the standard has it, and what stands before is kept.
 * Valid: every command of SVG 2, 9.3. Source: the grammar of SVG 2, 9.3.9, and its error handling, 9.5.4.
 */
export function readPathData(data: string): PathRead {
  const pen = new Pen()
  const text = new PathText(data)
  let command = ''
  let finding: Finding | null = null
  const place = (): string => `at character ${text.at + 1}`
  while (!text.isOver()) {
    const letter = text.letter()
    if (letter !== '') {
      command = letter
      if (!(command.toLowerCase() in TAKES)) finding = wrong(`“${command}” is no command of a path, ${place()}.`)
    } else if (command === '' || command.toLowerCase() === 'z') finding = wrong(`A command is missing, ${place()}.`)
    else if (command === 'm') command = 'l'
    else if (command === 'M') command = 'L'
    if (finding === null && !pen.hasBegun && command.toLowerCase() !== 'm') finding = wrong('A path has to begin with a move, M.')
    if (finding !== null) break
    const numbers = text.numbers(command.toLowerCase())
    if (numbers === null) {
      finding = wrong(`Numbers are missing behind “${command}”, ${place()}.`)
      break
    }
    pen.draw(command, numbers)
  }
  return { outlines: pen.end(), findings: finding === null ? [] : [finding] }
}

function wrong(message: string): Finding {
  return { code: 'path-data', severity: 'warning', message: `${message} What stands before it is kept.` }
}

const [PLUS, MINUS, POINT, ZERO, NINE, COMMA, UPPER_E, LOWER_E] = [0x2b, 0x2d, 0x2e, 0x30, 0x39, 0x2c, 0x45, 0x65] as const

/** Path data, gone through once, letter by letter: patterns would take ten times as long. */
class PathText {
  at = 0

  constructor(private readonly data: string) {}

  isOver(): boolean {
    this.skip(false)
    return this.at >= this.data.length
  }

  /** The command that stands here; empty where none does. */
  letter(): string {
    const code = this.code()
    const isLetter = (code >= 0x41 && code <= 0x5a) || (code >= 0x61 && code <= 0x7a)
    return isLetter ? this.data.charAt(this.at++) : ''
  }

  /** The numbers that a command takes, and what separates them from the next; null where one is missing: then nothing is taken. */
  numbers(command: string): readonly number[] | null {
    const from = this.at
    const numbers: number[] = []
    for (let k = 0; k < (TAKES[command] ?? 0); k++) {
      const number = command === 'a' && (k === 3 || k === 4) ? this.flag() : this.number()
      if (Number.isNaN(number)) {
        this.at = from
        return null
      }
      numbers.push(number)
    }
    const end = this.at
    this.skip(true)
    // A comma is taken only where a number follows it.
    const code = this.code()
    if (!(code === PLUS || code === MINUS || code === POINT || isDigit(code))) this.at = end
    return numbers
  }

  private code(): number {
    return this.at < this.data.length ? this.data.charCodeAt(this.at) : 0
  }

  private skip(commas: boolean): void {
    for (; this.at < this.data.length; this.at++) {
      const code = this.data.charCodeAt(this.at)
      if (!isSpace(code) && !(commas && code === COMMA)) return
    }
  }

  private flag(): number {
    this.skip(true)
    const value = this.code() - ZERO
    if (value !== 0 && value !== 1) return Number.NaN
    this.at++
    return value
  }

  private number(): number {
    this.skip(true)
    const { data } = this
    let end = this.at
    const first = data.charCodeAt(end)
    if (first === PLUS || first === MINUS) end++
    let [whole, count, behind] = [0, 0, 0]
    let code = data.charCodeAt(end)
    for (; isDigit(code); code = data.charCodeAt(++end), count++) whole = whole * 10 + code - ZERO
    if (code === POINT) {
      code = data.charCodeAt(++end)
      for (; isDigit(code); code = data.charCodeAt(++end), count++, behind++) whole = whole * 10 + code - ZERO
    }
    if (count === 0) return Number.NaN
    const isScaled = code === UPPER_E || code === LOWER_E
    if (isScaled) {
      const sign = data.charCodeAt(end + 1)
      const exponent = sign === PLUS || sign === MINUS ? end + 2 : end + 1
      let stop = exponent
      while (isDigit(data.charCodeAt(stop))) stop++
      if (stop > exponent) end = stop
    }
    const from = this.at
    this.at = end
    // Few digits and a power of ten are both exact, and so is what a division makes of them (Clinger 1990, from memory).
    if (!isScaled && count <= EXACT_DIGITS) return (first === MINUS ? -whole : whole) / (TENS[behind] as number)
    return Number(data.slice(from, end))
  }
}

const EXACT_DIGITS = 15
const TENS = Array.from({ length: EXACT_DIGITS + 1 }, (_, k) => 10 ** k)

function isDigit(code: number): boolean {
  return code >= ZERO && code <= NINE
}

function isSpace(code: number): boolean {
  return code === 0x20 || (code >= 0x09 && code <= 0x0d) || code === 0xa0 || code === 0xfeff || (code >= 0x2000 && code <= 0x2029)
}

const ZERO_PLACE: Point = { x: 0, y: 0 }

function placeIn(n: readonly number[], k: number, { x, y }: Point): Point {
  return { x: x + (n[k] as number), y: y + (n[k + 1] as number) }
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
    const kind = command.toLowerCase()
    const from = this.at
    const origin = kind === command ? from : ZERO_PLACE
    switch (kind) {
      case 'm':
        this.finish(false)
        this.move(placeIn(n, 0, origin))
        break
      case 'l':
        this.add({ kind: 'line', to: placeIn(n, 0, origin) })
        break
      case 'h':
        this.add({ kind: 'line', to: { x: origin.x + (n[0] as number), y: from.y } })
        break
      case 'v':
        this.add({ kind: 'line', to: { x: from.x, y: origin.y + (n[0] as number) } })
        break
      case 'c':
        this.cubic(placeIn(n, 0, origin), placeIn(n, 2, origin), placeIn(n, 4, origin))
        break
      case 's':
        this.cubic(this.smooth('cubic'), placeIn(n, 0, origin), placeIn(n, 2, origin))
        break
      case 'q':
        this.quadratic(placeIn(n, 0, origin), placeIn(n, 2, origin))
        break
      case 't':
        this.quadratic(this.smooth('quadratic'), placeIn(n, 0, origin))
        break
      case 'a':
        this.arc(n, placeIn(n, 5, origin))
        break
      default:
        this.finish(true)
    }
  }

  /** The control point that goes on smoothly from the last of its kind. */
  private smooth(of: 'cubic' | 'quadratic'): Point {
    const { at, control } = this
    return control?.of === of ? { x: 2 * at.x - control.at.x, y: 2 * at.y - control.at.y } : at
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
