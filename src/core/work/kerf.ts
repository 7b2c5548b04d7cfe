import { areaOf } from '../artwork'
import type { Forest, Ring } from './rings'

/** Moves closed outlines outwards or inwards: a general library does it. */
export interface Polygons {
  /**
   * @param by Outwards, mm; less than 0 inwards. @param within How near the result keeps to the true one, mm.
   * @returns What becomes of it, each ending where it began; none where it closes up.
   */
  readonly offset: (ring: Ring, by: number, within: number) => readonly Ring[]
}

/** On which side of an outline the beam goes. */
export const SIDES = ['part', 'line', 'outside', 'inside'] as const
export type Side = (typeof SIDES)[number]

/** What the beam follows in place of an outline. */
export interface Followed {
  /** Which ring it stands for. */
  readonly of: number
  readonly ring: Ring
}

/**
 * The way of the beam along outlines that shall have their drawn size: half a kerf to the side of what falls away.
 * @param side `part`: what is drawn shall fit, holes and all, by how the outlines lie in one another; `line`: on the outline itself.
 * @returns One or more rings for each, and those that are narrower than the kerf. Valid: closed outlines.
 * Source: a diameter or a slot changes by the whole kerf (handbook of the trade).
 */
export function beamWay(
  rings: readonly Ring[],
  forest: Forest,
  kerf: number,
  side: Side,
  polygons: Polygons,
  within: number,
): { readonly ways: readonly Followed[]; readonly lost: readonly number[] } {
  const ways: Followed[] = []
  const lost: number[] = []
  rings.forEach((ring, of) => {
    const isHole = (forest.depths[of] as number) % 2 === 1
    const sense = side === 'line' ? 0 : side === 'outside' ? 1 : side === 'inside' ? -1 : isHole ? -1 : 1
    const moved = sense === 0 || kerf === 0 ? [ring] : polygons.offset(ring, (sense * kerf) / 2, within)
    // What comes off as dust of rounding is no way to follow.
    const kept = moved.filter((it) => it.length > 3 && Math.abs(areaOf(it)) > 1e-6)
    if (kept.length === 0) lost.push(of)
    ways.push(...kept.map((it) => ({ of, ring: it })))
  })
  return { ways, lost }
}
