const DEGREE = Math.PI / 180

/** Where the hinge stands on the drawing, and how long the longest side of box and lid is drawn, px. */
export const HINGE = { x: 320, y: 250 } as const
const DRAWN = 225

/** What of a lid its drawing from the left needs, mm. */
export interface LidDrawn {
  readonly form: 'top' | 'front'
  /** From the hinge to the free edge. */
  readonly long: number
  /** Of the box behind and below the hinge. */
  readonly deep: number
  readonly high: number
}

export type Spot = readonly [x: number, y: number]

/** A lid from the left, px: a lid on top has its free edge at the left of the hinge when it is shut, one in front below it. */
export interface LidLayout {
  readonly scale: number
  /** A place of the box: so far out along the shut lid from the hinge, and so far above it, mm. */
  readonly place: (out: number, above: number) => Spot
  /** A place of the lid when it is opened by an angle. @param degrees 0 is shut. */
  readonly lidAt: (degrees: number, along: number, above: number) => Spot
  /** The angle at which the free edge points to a place of the drawing, degrees. */
  readonly angleTo: (x: number, y: number) => number
  /** The box as a path, open where the lid lies. */
  readonly box: string
  /** The way of the free edge, from shut to so far open, as a path. */
  readonly arc: (degrees: number) => string
}

export function layOutLid({ form, long, deep, high }: LidDrawn): LidLayout {
  const scale = DRAWN / Math.max(long, deep, 1.4 * high)
  const isFront = form === 'front'
  const place = (out: number, above: number): Spot =>
    isFront ? [HINGE.x - above * scale, HINGE.y + out * scale] : [HINGE.x - out * scale, HINGE.y - above * scale]
  const lidAt = (degrees: number, along: number, above: number): Spot => {
    const [c, s] = [Math.cos(degrees * DEGREE), Math.sin(degrees * DEGREE)]
    return place(along * c - above * s, along * s + above * c)
  }
  return {
    scale,
    place,
    lidAt,
    angleTo(x, y) {
      const [left, up] = [HINGE.x - x, HINGE.y - y]
      return (isFront ? Math.atan2(left, -up) : Math.atan2(up, left)) / DEGREE
    },
    box: isFront
      ? `M${HINGE.x} ${HINGE.y}h${deep * scale}v${high * scale}h${-deep * scale}`
      : `M${HINGE.x} ${HINGE.y}v${high * scale}h${-deep * scale}v${-high * scale}`,
    arc(degrees) {
      const [from, to] = [place(long, 0), lidAt(degrees, long, 0)]
      const r = long * scale
      return `M${from[0]} ${from[1]}A${r} ${r} 0 0 1 ${to[0]} ${to[1]}`
    },
  }
}
