import { circleOutline, type Outline, type Point } from '../artwork'
import { LENGTHS } from '../fasteners'
import { accepted, refused, type Finding, type Outcome } from '../units'

/** What a plate for the duct is to measure, mm. */
export interface PlateSpec {
  readonly kind: 'flange' | 'bracket' | 'insert'
  readonly width: number
  readonly height: number
  /** What goes through it, measured outside, and the play round it, on the diameter. */
  readonly hole: number
  readonly play: number
  /** Bars of a grille and the room between them; 0 between: none. */
  readonly bars: number
  readonly between: number
  /** Screw holes: four stand in a square, others on a circle; the pitch is from middle to middle across. */
  readonly screws: number
  readonly pitch: number
  readonly screwHole: number
  /** Notch for a wire, from the hole to the edge below; 0: none. */
  readonly notch: number
}

/** A plate as it is cut: outlines from its lower left corner. */
export interface DuctPlate {
  readonly width: number
  readonly height: number
  readonly cut: readonly Outline[]
  /** Diameter that is cut, mm, and which share of it is open. */
  readonly bore: number
  readonly free: number
}

/** Material that is left between two cuts, mm. (common practice) */
const BRIDGE = 3

/**
 * A plate that a duct, a fan or a grille sits in. @returns Its outlines and how much of its hole is open; or all that contradicts: a hole wider than the plate, screws in the hole or off the edge, bars that close it.
 * Valid: sizes above 0. Source: by definition; 3 mm between cuts (common practice). @throws never.
 */
export function ductPlate(spec: PlateSpec): Outcome<DuctPlate> {
  const { width, height, hole, play } = spec
  const bore = hole + play
  const found = [...wrongHole(spec, bore), ...wrongScrews(spec, bore)]
  if (found.length > 0) return { ok: false, findings: found }
  const middle: Point = { x: width / 2, y: height / 2 }
  const slots = slotsOf(spec, bore, middle)
  if (slots !== null && slots.length === 0)
    return refused('closed', 'These bars leave nothing open: take narrower bars, or more room between them.')
  const opening = slots === null ? [spec.notch > 0 ? notched(spec, bore, middle) : circleOutline(middle, bore / 2)] : slots
  const face = Math.PI * (bore / 2) ** 2
  const free = slots === null ? 1 : openShare(spec, bore) / face
  const cut = [...opening, ...screwsOf(spec, middle).map((it) => circleOutline(it, spec.screwHole / 2)), frame(width, height)]
  return accepted({ width, height, cut, bore, free })
}

const error = (code: string, message: string): Finding => ({ code, severity: 'error', message })

function wrongHole({ width, height, notch, between, kind }: PlateSpec, bore: number): readonly Finding[] {
  return [
    ...(bore + 2 * BRIDGE > Math.min(width, height)
      ? [
          error(
            'hole-too-wide',
            `A hole of ${say(bore)} mm leaves less than ${BRIDGE} mm of a plate of ${say(width)} × ${say(height)} mm: make the plate larger.`,
          ),
        ]
      : []),
    ...(notch > bore / 2
      ? [error('notch-too-wide', 'The notch is wider than half the hole: make it as wide as the wire with its plug.')]
      : []),
    ...(notch > 0 && between > 0 && kind === 'flange'
      ? [error('notch-in-grille', 'A plate with a grille has no notch: take one of them away.')]
      : []),
  ]
}

function wrongScrews(spec: PlateSpec, bore: number): readonly Finding[] {
  const { screws, pitch, screwHole, width, height } = spec
  if (screws === 0) return []
  const middle = { x: width / 2, y: height / 2 }
  const places = screwsOf(spec, middle)
  const far = Math.min(...places.map((it) => Math.hypot(it.x - middle.x, it.y - middle.y)))
  const edge = Math.min(...places.map((it) => Math.min(it.x, it.y, width - it.x, height - it.y)))
  return [
    ...(far - screwHole / 2 - bore / 2 < BRIDGE
      ? [
          error(
            'screws-in-hole',
            `Screws ${say(pitch)} mm apart come within ${BRIDGE} mm of the hole of ${say(bore)} mm: measure from screw to screw again.`,
          ),
        ]
      : []),
    ...(edge - screwHole / 2 < BRIDGE
      ? [error('screws-off-edge', `Screws ${say(pitch)} mm apart come within ${BRIDGE} mm of the edge: make the plate larger.`)]
      : []),
  ]
}

const say = (mm: number): string => String(Math.round(mm * 10) / 10)

/** Middles of the screw holes: four in a square of the pitch, others round on half of it. */
function screwsOf({ screws, pitch }: PlateSpec, middle: Point): readonly Point[] {
  const [radius, first] = screws === 4 ? [pitch / Math.SQRT2, Math.PI / 4] : [pitch / 2, Math.PI / 2]
  return Array.from({ length: screws }, (_, k) => {
    const angle = first + (2 * Math.PI * k) / screws
    return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) }
  })
}

function closed(places: readonly Point[]): Outline {
  const [start = { x: 0, y: 0 }, ...rest] = places
  return { start, segments: [...rest, start].map((to) => ({ kind: 'line', to }) as const), isClosed: true }
}

const frame = (width: number, height: number): Outline =>
  closed([
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ])

/** Lower and upper edge of each slot of a grille, from the middle of its hole; null: there is no grille. */
function slotRows({ kind, bars, between }: PlateSpec, bore: number): readonly (readonly [low: number, high: number])[] | null {
  if (kind !== 'flange' || between <= 0) return null
  const count = Math.max(1, Math.floor((bore + bars) / (between + bars)))
  const all = count * between + (count - 1) * bars
  return Array.from({ length: count }, (_, k): [number, number] => {
    const low = -all / 2 + k * (between + bars)
    return [low, low + between]
  })
}

/** Sides of a slot's round ends: a grille's slots end on the circle of its hole. */
const SIDES = 24

function slotsOf(spec: PlateSpec, bore: number, middle: Point): readonly Outline[] | null {
  const rows = slotRows(spec, bore)
  if (rows === null) return null
  const r = bore / 2
  return rows.flatMap(([low, high]) => {
    const ys = Array.from({ length: SIDES + 1 }, (_, k) => low + ((high - low) * k) / SIDES).filter((y) => Math.abs(y) < r)
    if (ys.length < 2) return []
    const at =
      (way: 1 | -1) =>
      (y: number): Point => ({ x: middle.x + way * Math.sqrt(r * r - y * y), y: middle.y + y })
    return [closed([...ys.map(at(1)), ...ys.map(at(-1)).reverse()])]
  })
}

/** Open area of all slots, mm². Source: ∫ 2√(r² − y²) dy of each. */
function openShare(spec: PlateSpec, bore: number): number {
  const r = bore / 2
  const under = (y: number): number => {
    const t = Math.min(r, Math.max(-r, y))
    return t * Math.sqrt(r * r - t * t) + r * r * Math.asin(t / r)
  }
  return (slotRows(spec, bore) ?? []).reduce((sum, [low, high]) => sum + under(high) - under(low), 0)
}

/** A round hole with a notch downwards, so that a wire with its plug goes in. */
function notched({ notch }: PlateSpec, bore: number, { x, y }: Point): Outline {
  const r = bore / 2
  const half = notch / 2
  const from = -Math.PI / 2 + Math.asin(half / r)
  const turn = 2 * Math.PI - 2 * Math.asin(half / r)
  const round = Array.from({ length: 97 }, (_, k) => {
    const angle = from + (turn * k) / 96
    return { x: x + r * Math.cos(angle), y: y + r * Math.sin(angle) }
  })
  const deep = y - r - notch
  return closed([...round, { x: x - half, y: deep }, { x: x + half, y: deep }])
}

/** Nut and two threads that stand out, in diameters of the screw. (common practice) */
const BEYOND = 1.1

/**
 * Length of a machine screw through a plate and what is behind it, with a nut, mm: the next that is sold.
 * @param through All that it goes through, mm. @param hole The screw hole, mm; the screw is a tenth less. @returns It; null where none is so long. Valid: through above 0. Source: thickness + nut and two threads (common practice); lengths of ISO 4762 (from memory).
 * @example screwLength(10, 4.5) // 16
 */
export function screwLength(through: number, hole: number): number | null {
  const needs = through + BEYOND * hole * 0.9
  return LENGTHS.find((it) => it >= needs) ?? null
}
