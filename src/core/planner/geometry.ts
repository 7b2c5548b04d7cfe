import { MOVE, PLANE_AXES, sweptAngle, type Moves } from '../gcode'

/** What the planner needs of each move: its length, and the ways it begins and ends in (unit vectors), as columns. */
export interface Paths {
  readonly length: Float64Array
  /** Three numbers a move. */
  readonly first: Float64Array
  readonly last: Float64Array
  /** Radius of an arc, mm; 0 for straight moves. */
  readonly radius: Float64Array
}

/**
 * Lengths and directions of all moves. A move that goes nowhere has length 0 and no direction.
 * An arc whose ends coincide is a whole turn (RS274/NGC).
 */
export function pathsOf(moves: Moves): Paths {
  const n = moves.count
  const paths: Paths = {
    length: new Float64Array(n),
    first: new Float64Array(3 * n),
    last: new Float64Array(3 * n),
    radius: new Float64Array(n),
  }
  let [px, py, pz] = [0, 0, 0]
  for (let i = 0; i < n; i++) {
    const [x, y, z] = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number]
    const kind = moves.kind[i] as number
    if (kind === MOVE.clockwise || kind === MOVE.counterClockwise) arc(moves, i, [px, py, pz], [x, y, z], paths)
    else if (kind !== MOVE.dwell) straight(i, x - px, y - py, z - pz, paths)
    px = x
    py = y
    pz = z
  }
  return paths
}

function straight(i: number, dx: number, dy: number, dz: number, { length, first, last }: Paths): void {
  const l = Math.sqrt(dx * dx + dy * dy + dz * dz)
  length[i] = l
  if (l === 0) return
  const at = 3 * i
  first[at] = last[at] = dx / l
  first[at + 1] = last[at + 1] = dy / l
  first[at + 2] = last[at + 2] = dz / l
}

function arc(moves: Moves, i: number, from: readonly number[], to: readonly number[], paths: Paths): void {
  const [a, b] = PLANE_AXES[moves.plane[i] as 17 | 18 | 19]
  const third = 3 - a - b
  const [ca, cb] = [moves.centreA[i] as number, moves.centreB[i] as number]
  const way = moves.kind[i] === MOVE.clockwise ? -1 : 1
  const [ra, rb] = [(from[a] as number) - ca, (from[b] as number) - cb]
  const [sa, sb] = [(to[a] as number) - ca, (to[b] as number) - cb]
  const radius = Math.hypot(ra, rb)
  const swept = sweptAngle([ra, rb], [sa, sb], [0, 0], way === -1)
  const flat = radius * swept
  const rise = (to[third] as number) - (from[third] as number)
  const length = Math.hypot(flat, rise)
  paths.length[i] = length
  paths.radius[i] = radius
  const set = (into: Float64Array, qa: number, qb: number): void => {
    const q = Math.hypot(qa, qb) || 1
    into[3 * i + a] = (-way * qb * flat) / q / length
    into[3 * i + b] = (way * qa * flat) / q / length
    into[3 * i + third] = rise / length
  }
  set(paths.first, ra, rb)
  set(paths.last, sa, sb)
}
