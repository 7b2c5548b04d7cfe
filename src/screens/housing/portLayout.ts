import { onWall, type LineOut, type Wall } from '../../core/housing'
import type { Bench } from '../../core/document'
import type { SeenBox } from './seen'

/** Which way the box is looked at: from above, or from its front. */
export type PortView = 'above' | 'front'
export type PortDrawn = Bench['housing']['ports'][string]

type Place = readonly [x: number, y: number, z: number]

/** Something of the box as a block between two corners, mm from the inner corner left, front, below. */
export interface PortBlock {
  readonly low: Place
  readonly high: Place
}

/** Where an opening breaks its wall, and the plates before it; null while it is not placed or the box not known. */
export interface PortLayout {
  readonly opening: PortBlock
  readonly baffles: readonly (readonly [id: string, block: PortBlock])[]
}

/** Baffles whose sizes nobody has typed yet are drawn so far from the wall and so far over the opening’s edge, mm. */
const USUAL = 40
/** Baffles are drawn as plates of so much, mm. */
const PLATE = 2
/** A line is drawn so far beyond the opening that it leaves by, mm. */
const BEYOND = 60

/** A place of the inside on a view, mm of the drawing. @param left Where the view’s inner corner stands. */
export function onView(view: PortView, left: number, [x, y, z]: Place): readonly [number, number] {
  return [left + x, view === 'above' ? y : z]
}

export function layOutPort(port: PortDrawn, seen: Pick<SeenBox, 'x' | 'y' | 'z' | 't' | 'box'>): PortLayout | null {
  const { wall, x, y, width, height } = port
  const { box, t } = seen
  if (box === null || x.value === null || y.value === null || width.value === null) return null
  const [at, up, wide] = [x.value, y.value, width.value]
  const tall = port.round.chosen === 'yes' ? wide : (height.value ?? wide)
  const place = (right: number, higher: number) => onWall(wall, at + right, up + higher, box, t)
  return {
    opening: blockOn(wall, seen, place(0, 0), [wide, tall], [0, t]),
    baffles: Object.entries(port.baffles).map(([id, it]) => {
      const [away, over] = [it.away.value ?? USUAL, it.over.value ?? USUAL]
      const depth = [-away - PLATE / 2, -away + PLATE / 2] as const
      return [id, within(seen, blockOn(wall, seen, place(it.right, it.up), [wide + 2 * over, tall + 2 * over], depth))]
    }),
  }
}

/** A block of a wall, or inside it. @param depth From and to, mm outwards from the wall’s inner face. */
function blockOn(
  wall: Wall,
  { x, y, z }: Pick<SeenBox, 'x' | 'y' | 'z'>,
  [p, q]: readonly [number, number],
  [wide, tall]: readonly [number, number],
  [from, to]: readonly [number, number],
): PortBlock {
  const [p0, p1, q0, q1] = [p - wide / 2, p + wide / 2, q - tall / 2, q + tall / 2]
  switch (wall) {
    case 'left':
      return { low: [-to, p0, q0], high: [-from, p1, q1] }
    case 'right':
      return { low: [x + from, p0, q0], high: [x + to, p1, q1] }
    case 'front':
      return { low: [p0, -to, q0], high: [p1, -from, q1] }
    case 'back':
      return { low: [p0, y + from, q0], high: [p1, y + to, q1] }
    case 'floor':
      return { low: [p0, q0, -to], high: [p1, q1, -from] }
    case 'roof':
      return { low: [p0, q0, z + from], high: [p1, q1, z + to] }
  }
}

/** What of a plate is inside: one that is said to reach further ends at the walls. */
function within({ x, y, z }: Pick<SeenBox, 'x' | 'y' | 'z'>, { low, high }: PortBlock): PortBlock {
  const [wide, deep, tall] = [x, y, z].map((most, k) => [Math.max(0, low[k] ?? 0), Math.min(most, high[k] ?? 0)] as const)
  if (wide === undefined || deep === undefined || tall === undefined) return { low, high }
  return { low: [wide[0], deep[0], tall[0]], high: [wide[1], deep[1], tall[1]] }
}

/** A line out on a view, from where it begins to a hand’s width beyond the opening. */
export function lineOnView(view: PortView, left: number, { from, to }: LineOut) {
  const [a, b] = [onView(view, left, from), onView(view, left, to)]
  const long = Math.hypot(b[0] - a[0], b[1] - a[1])
  const beyond = long === 0 ? 0 : BEYOND / long
  return { from: a, to: [b[0] + (b[0] - a[0]) * beyond, b[1] + (b[1] - a[1]) * beyond] as const }
}

/** Whether a wall, and a plate along it, is seen face on from there rather than along its edge. */
export function isFaceOn(view: PortView, wall: Wall): boolean {
  return view === 'above' ? wall === 'floor' || wall === 'roof' : wall === 'front' || wall === 'back'
}
