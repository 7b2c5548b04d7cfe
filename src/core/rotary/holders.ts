import { circleOutline, strokesOf, strokesWidth, type Outline } from '../artwork'
import type { Finding } from '../units'
import type { HolderKind } from './holderKinds'

/** What a holder is to measure. Lengths in mm. */
export interface HolderSpec {
  readonly kind: HolderKind
  /** Its outside; of a cup the hole that takes the object instead; of a drive ring its flanges. */
  readonly outer: number
  readonly inner: number
  /** Of stepped discs the smallest, and how many there are; of a drive ring the bottom of its groove. */
  readonly least: number
  readonly steps: number
  /** Screw holes on a circle; 0: none. */
  readonly screws: number
  readonly screwsOn: number
  readonly screwHole: number
  /** Wall of a cup. */
  readonly wall: number
}

/** One piece of sheet: outlines from the lower left corner of its box, as they are to be followed by the beam. */
export interface HolderPiece {
  readonly label: string
  /** Of its box, mm. */
  readonly size: number
  /** Of the hole in its middle, where nothing else stands; 0: none. */
  readonly room: number
  readonly cut: readonly Outline[]
  readonly mark: readonly Outline[]
}

/** Material that is left between two cuts, mm. (common practice) */
const BRIDGE = 1.5
const LABEL = { most: 6, least: 1.2 } as const

/**
 * A size as sheet is cut to it, to a tenth of a millimetre: a disc no larger than wanted, the hole of a cup no smaller, so that both still go on.
 * @param mm Wanted; more than 0. Valid: any. Source: by definition. @example asCut(82.97, 'centring') // 82.9
 */
export function asCut(mm: number, kind: HolderKind): number {
  return (kind === 'cup' ? Math.ceil(mm * 10 - 1e-6) : Math.floor(mm * 10 + 1e-6)) / 10
}

/** A size as it is written on a part. Valid: more than 0. Source: a tenth of a millimetre. */
const sized = (mm: number): string => `Ø${Number(mm.toFixed(1))}`

interface Disc {
  readonly outer: number
  readonly inner: number
  readonly isDrilled: boolean
  readonly label: string
}

/** The discs that a holder is made of. */
function discsOf(spec: HolderSpec): readonly Disc[] {
  const { outer, inner, least, steps, wall } = spec
  const one = (size: number, isDrilled = false, label = sized(size)): Disc => ({ outer: size, inner, isDrilled, label })
  switch (spec.kind) {
    case 'stepped':
      return Array.from({ length: steps }, (_, k) => one(least + ((outer - least) * k) / Math.max(1, steps - 1)))
    case 'cup': {
      const whole = outer + 2 * wall
      return [{ outer: whole, inner: outer, isDrilled: false, label: sized(outer) }, one(whole, true)]
    }
    case 'driveRing':
      return [one(least), one(outer), one(outer)]
    case 'backing':
    case 'hub':
      return [one(outer, true)]
    case 'centring':
    case 'friction':
    case 'rollerEnd':
      return [one(outer)]
  }
}

/**
 * The pieces of a holder as the beam must follow them, each with its size on it. @param kerf Width of the cut, mm: what is cut out is drawn as much larger, a hole as much smaller.
 * @returns The pieces; what cannot be cut so, in words. @throws never for sizes that are numbers. Valid: sizes above the kerf. Source: drawn disc = wanted + kerf, drawn hole = wanted − kerf (handbook of the trade).
 */
export function holderPieces(
  spec: HolderSpec,
  kerf: number,
): { readonly pieces: readonly HolderPiece[]; readonly findings: readonly Finding[] } {
  const findings: Finding[] = []
  const refuse = (code: string, message: string): void => void findings.push({ code, severity: 'error', message })
  const pieces = discsOf(spec).flatMap((disc): readonly HolderPiece[] => {
    if (!(disc.outer > kerf)) {
      refuse('no-size', `${disc.label} is no size to cut: enter its diameter.`)
      return []
    }
    if (disc.inner > 0 && (disc.outer - disc.inner) / 2 < BRIDGE) {
      refuse(
        'no-wall',
        `${disc.label} with a hole of ${disc.inner} mm has no wall left: make the hole smaller, or the part wider.`,
      )
      return []
    }
    const screws = disc.isDrilled && spec.screws > 0 ? screwPlaces(spec) : []
    const [near, far] = [
      spec.screwsOn / 2 - spec.screwHole / 2 - disc.inner / 2,
      disc.outer / 2 - spec.screwsOn / 2 - spec.screwHole / 2,
    ]
    if (screws.length > 0 && Math.min(near, far) < BRIDGE) {
      refuse(
        'screws-near',
        `${disc.label}: its screw holes come within ${BRIDGE} mm of ${near < far ? 'the hole in the middle' : 'its edge'}: put them on another circle.`,
      )
      return []
    }
    return [pieceOf(disc, screws, spec.screwHole, kerf)]
  })
  return { pieces, findings }
}

/** Screw holes around the middle; none stands where the label does. */
function screwPlaces({ screws, screwsOn }: HolderSpec): readonly { readonly x: number; readonly y: number }[] {
  // An odd number has one at the top and so none at the bottom; an even one stands half a step aside where one would.
  const first = screws % 4 === 2 ? 0 : Math.PI / 2 + (screws % 2 === 0 ? Math.PI / screws : 0)
  return Array.from({ length: screws }, (_, k) => {
    const angle = first + (2 * Math.PI * k) / screws
    return { x: (screwsOn / 2) * Math.cos(angle), y: (screwsOn / 2) * Math.sin(angle) }
  })
}

function pieceOf(
  disc: Disc,
  screws: readonly { readonly x: number; readonly y: number }[],
  screwHole: number,
  kerf: number,
): HolderPiece {
  const drawn = disc.outer + kerf
  const middle = { x: drawn / 2, y: drawn / 2 }
  const hole = (size: number, at: { readonly x: number; readonly y: number }): readonly Outline[] =>
    size - kerf > 0 ? [circleOutline({ x: middle.x + at.x, y: middle.y + at.y }, (size - kerf) / 2)] : []
  return {
    label: disc.label,
    size: drawn,
    room: Math.max(0, disc.inner - kerf),
    cut: [...hole(disc.inner, { x: 0, y: 0 }), ...screws.flatMap((it) => hole(screwHole, it)), circleOutline(middle, drawn / 2)],
    mark: labelOn(disc, middle),
  }
}

/** The size written below the hole, as large as it goes. */
function labelOn({ outer, inner, label }: Disc, middle: { readonly x: number; readonly y: number }): readonly Outline[] {
  const room = (outer - inner) / 2
  const down = inner / 2 + room / 2
  const wide = (height: number): number => strokesWidth(label, height)
  for (let height: number = LABEL.most; height >= LABEL.least; height *= 0.9) {
    // Its lower corners must lie on the part, its upper ones below the hole.
    const corner = Math.hypot(wide(height) / 2, down + height / 2)
    if (height <= room - 1 && corner <= outer / 2 - 0.5) {
      return strokesOf(label, { x: middle.x - wide(height) / 2, y: middle.y - down - height / 2 }, height)
    }
  }
  return []
}

/** Stations of an indexing plate, and what locates it. Lengths in mm. */
export interface PlateSpec {
  readonly outer: number
  readonly inner: number
  readonly shape: 'slot' | 'disc'
  readonly stations: number
  /** Across a slot, or of a disc. */
  readonly size: number
  /** Where a slot begins, or where the middle of a disc lies, from the middle of the plate. */
  readonly from: number
  readonly slotLength: number
  readonly pin: number
  readonly pinsOn: number
}

/**
 * An indexing plate as the beam must follow it: stations, the hole, three holes for pins, the line of station 1. @param kerf Width of the cut, mm.
 * @returns The piece; what cannot be cut so, in words. @throws never for sizes that are numbers. Valid: sizes above the kerf. Source: three pins locate a plate, a line marks station 1 (handbook of the trade).
 */
export function platePiece(
  spec: PlateSpec,
  kerf: number,
): { readonly piece: HolderPiece | null; readonly findings: readonly Finding[] } {
  const { outer, inner, stations, size, from, slotLength, shape, pin, pinsOn } = spec
  const reach = shape === 'slot' ? from + slotLength : from + size / 2
  const bad = (code: string, message: string) => ({ piece: null, findings: [{ code, severity: 'error', message } as const] })
  if (reach > outer / 2 - BRIDGE)
    return bad(
      'beyond-edge',
      `Its stations reach ${sayMm(reach)} mm from the middle: the plate must be wider than ${sayMm(2 * (reach + BRIDGE))} mm.`,
    )
  if ((shape === 'slot' ? from : from - size / 2) < inner / 2 + BRIDGE)
    return bad('into-hole', 'Its stations run into the hole in the middle: begin them further out.')
  if (apartOf(spec) < 0) return bad('overlap', `${stations} stations overlap: fewer of them fit, or further out.`)
  if (pin > 0 && pinsOn / 2 + pin / 2 > (shape === 'slot' ? from : from - size / 2) - BRIDGE)
    return bad('pins', 'The holes for the pins run into the stations: put them on a smaller circle.')
  const drawn = outer + kerf
  const middle = { x: drawn / 2, y: drawn / 2 }
  const hole = (x: number, y: number, wide: number): readonly Outline[] =>
    wide - kerf > 0 ? [circleOutline({ x: middle.x + x, y: middle.y + y }, (wide - kerf) / 2)] : []
  const around = Array.from({ length: stations }, (_, k) => Math.PI / 2 - (2 * Math.PI * k) / stations)
  const at = around.flatMap((angle) =>
    shape === 'disc'
      ? hole(from * Math.cos(angle), from * Math.sin(angle), size)
      : [slotAt(middle, angle, from, Math.min(slotLength, outer), (size - kerf) / 2, kerf)],
  )
  const pins =
    pin > 0
      ? [0, 1, 2].flatMap((k) => {
          const angle = (2 * Math.PI * k) / 3
          return hole((pinsOn / 2) * Math.cos(angle), (pinsOn / 2) * Math.sin(angle), pin)
        })
      : []
  const lineFrom = inner / 2 + BRIDGE
  const line: Outline = {
    start: { x: middle.x, y: middle.y + lineFrom },
    segments: [
      {
        kind: 'line',
        to: { x: middle.x, y: middle.y + Math.max(lineFrom + 1, from - BRIDGE - (shape === 'disc' ? size / 2 : 0)) },
      },
    ],
    isClosed: false,
  }
  const label = `${stations}/${shape === 'slot' ? sayMm(size) : sized(size)}`
  return {
    piece: {
      label,
      size: drawn,
      room: 0,
      cut: [...at, ...hole(0, 0, inner), ...pins, circleOutline(middle, drawn / 2)],
      mark: [
        line,
        ...labelOn({ outer: 2 * (shape === 'slot' ? from : from - size / 2), inner, label, isDrilled: false }, middle),
      ],
    },
    findings: [],
  }
}

const sayMm = (value: number): number => Number(value.toFixed(1))

/** What is left between two neighbours, mm; below 0 they overlap. */
function apartOf({ shape, stations, size, from }: PlateSpec): number {
  if (stations < 2) return Infinity
  const half = Math.PI / stations
  return shape === 'disc' ? 2 * from * Math.sin(half) - size : 2 * from * Math.sin(half) - size * Math.cos(half)
}

/** A slot from the middle outwards, as a closed outline. */
function slotAt(
  middle: { readonly x: number; readonly y: number },
  angle: number,
  from: number,
  long: number,
  half: number,
  kerf: number,
): Outline {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const place = (along: number, aside: number) => ({ x: middle.x + along * c - aside * s, y: middle.y + along * s + aside * c })
  const [near, far] = [from + kerf / 2, from + long - kerf / 2]
  const corners = [place(near, -half), place(far, -half), place(far, half), place(near, half)] as const
  return {
    start: corners[0],
    segments: [corners[1], corners[2], corners[3], corners[0]].map((to) => ({ kind: 'line', to }) as const),
    isClosed: true,
  }
}
