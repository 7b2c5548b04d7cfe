/** What the two views show, mm: plan from above, side from the front. */
export interface RoomSeen {
  readonly width: number
  readonly depth: number
  readonly bed: number
  /** Middle of the machine on the plan. */
  readonly at: readonly [number, number]
  /** Machine or box, across and back. */
  readonly size: readonly [number, number]
  readonly places: readonly SeenPlace[]
}

export interface SeenPlace {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly eyes: number
}

/** Heights that a room is drawn to where nobody measured it, mm. */
const CEILING = 2400
/** Between the two views, as a share of the room's width. */
const BETWEEN = 0.16

export interface RoomLayout {
  /** Left edge of the side view. */
  readonly side: number
  readonly width: number
  readonly plan: { readonly width: number; readonly height: number }
  readonly ceiling: number
  readonly extent: { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number }
}

/** Both views beside each other: the plan at the left, the side view at the right on the same floor line. */
export function layRoom({ width, depth, places }: RoomSeen): RoomLayout {
  const ceiling = Math.max(CEILING, ...places.map((it) => it.eyes + 300))
  const side = width * (1 + BETWEEN)
  return {
    side,
    width,
    plan: { width, height: depth },
    ceiling,
    extent: { left: 0, right: side + width, bottom: 0, top: Math.max(depth, ceiling) },
  }
}

/** How far a reach goes in a room: whether it ends within, or beyond the walls. */
export function endsWithin(reach: number, { width, depth, at: [x, y] }: RoomSeen): boolean {
  return reach <= Math.hypot(Math.max(x, width - x), Math.max(y, depth - y))
}

/**
 * The glow of a dull surface seen from the side: √cos θ of its reach, as a closed line.
 * @param reach Straight above, mm. @returns Points round the work, mm from it, to the right and up; from the right side over the top to the left.
 */
export function glowOutline(reach: number, points = 48): readonly (readonly [number, number])[] {
  return Array.from({ length: points + 1 }, (_, k) => {
    const tilt = (k / points - 0.5) * Math.PI
    const r = reach * Math.sqrt(Math.max(0, Math.cos(tilt)))
    return [r * Math.sin(-tilt), r * Math.cos(tilt)] as const
  })
}
