import { gasForce, lidWeight, springAt, type GasSpring, type Lid } from './lid'

/** Where springs can be fixed, mm from the hinge, and through what the lid goes. */
export interface MountRoom {
  /** Along the lid. */
  readonly onLid: readonly [low: number, high: number]
  /** On the side of the box: out from the hinge, and below it (less than 0). */
  readonly boxX: readonly [low: number, high: number]
  readonly boxY: readonly [low: number, high: number]
  /** Widest angle, rad, and the temperatures it must hold at, °C. */
  readonly to: number
  readonly coldest: number
  readonly warmest: number
}

/** A place for springs, and how well a lid hangs in them. */
export interface Mount {
  readonly onLid: number
  readonly boxX: number
  readonly boxY: number
  /** Moment that shuts it when cold and wide open, N·m; it stays up where this is less than 0. */
  readonly shutsOpen: number
  /** Largest moment that a hand must lift or hold back, through the travel, cold and warm, N·m. */
  readonly byHand: number
}

/** Places tried along each way. */
const TRIED = 13
/** Angles looked at. */
const ANGLES = 16
/** Rest of the stroke that a spring keeps at both its ends, mm. (common practice) */
const KEPT = 3

/**
 * Places for given springs so that a lid stays up wide open, cold too, and a hand has least to do on the way. @param lid Its mass, centre and count of springs; where they are fixed is looked for.
 * @returns The best first, at most so many; none where no place keeps the springs within their stroke and the lid up. @throws never.
 * Valid: springs that move in one plane, friction left aside. Source: moments about the hinge over a grid of places, by default 13 each way.
 */
export function mountsThatHold(lid: Lid, spring: GasSpring, room: MountRoom, most = 5): readonly Mount[] {
  const found: Mount[] = []
  for (const onLid of placesOf(room.onLid))
    for (const boxX of placesOf(room.boxX))
      for (const boxY of placesOf(room.boxY)) {
        const it = judged({ ...lid, onLid, boxX, boxY }, spring, room)
        if (it !== null) found.push(it)
      }
  return found.sort((p, q) => p.byHand - q.byHand).slice(0, most)
}

function placesOf([low, high]: readonly [number, number]): readonly number[] {
  return Array.from({ length: TRIED }, (_, k) => low + ((high - low) * k) / (TRIED - 1))
}

/** How a lid hangs in springs at a place; null where it does not. */
function judged(lid: Lid, spring: GasSpring, { to, coldest, warmest }: MountRoom): Mount | null {
  let byHand = 0
  let shutsOpen = 0
  for (let k = 0; k < ANGLES; k++) {
    const angle = (to * k) / (ANGLES - 1)
    const { length, arm } = springAt(lid, angle)
    if (length > spring.stretched - KEPT || length < spring.stretched - spring.stroke + KEPT) return null
    const weight = lidWeight(lid, angle)
    const opens = (celsius: number): number => (lid.count * gasForce(spring, length, celsius) * arm) / 1000
    byHand = Math.max(byHand, Math.abs(weight - opens(coldest)), Math.abs(weight - opens(warmest)))
    shutsOpen = weight - opens(coldest)
  }
  // The last angle is wide open: there it must not come down on a hand.
  if (shutsOpen >= 0) return null
  return { onLid: lid.onLid, boxX: lid.boxX, boxY: lid.boxY, shutsOpen, byHand }
}
