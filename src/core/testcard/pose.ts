import { solveLinear } from '../calibrate'
import type { FoundMark } from './findMarks'
import { fitHomography, project, type Homography } from './homography'
import { MARK, type Spot } from './layout'

/** How a card lies in a picture: its perspective, and the lens's own bending. */
export interface Pose {
  /** From mm on the card to the picture, in half diagonals from its middle, before the lens bends it. */
  readonly plane: Homography
  /** r_d = r(1 + bend·r²), r in half diagonals. */
  readonly bend: number
  /** Whether the picture shows the card mirrored. */
  readonly isMirrored: boolean
  /** Root of the mean square distance of the marks from where they were found, mm on the card. */
  readonly scatter: number
}

/** Why no pose is given. */
export type NoPose = 'none' | 'few' | 'unlike'

/** Size of the picture that places are in, pixels. */
export interface Frame {
  readonly width: number
  readonly height: number
}

/** More things that look like marks than this are not marks. */
const MOST = 16
/** A mark may lie so far from where four others say, as shares of its own diameter, before the lens is taken into account. */
const NEAR = 0.9
/** Marks may lie so far from the fitted pose, mm on the card. */
const FITS = 0.2

/**
 * Finds how a card lies by its marks. @param marks Of the layout, mm: four corners, then those that tell its ways of lying apart.
 * @param found In pixels. @returns The pose, or what stands in the way: no marks, too few of them, or none that are this card's.
 * Valid: all marks in the picture. Source: every four of them as the corners, the best by the others; then least squares over all,
 * the lens with them (handbook of computer vision: Hartley and Zisserman, 2nd ed., from memory).
 */
export function findPose(marks: readonly Spot[], found: readonly FoundMark[], frame: Frame): Pose | NoPose {
  if (found.length < 4) return found.length === 0 ? 'none' : 'few'
  const unit = halfDiagonal(frame)
  const places = largestAlike(found).map((it) => ({
    x: (it.x - frame.width / 2) / unit,
    y: (it.y - frame.height / 2) / unit,
    radius: it.radius / unit,
  }))
  const matches = likelyCorners(marks, places)
  if (matches.length === 0) return places.length < marks.length ? 'few' : 'unlike'
  const poses = matches.flatMap((it) => refine(marks, it.taken, it.plane) ?? [])
  const best = poses.sort((p, q) => p.scatter - q.scatter)[0]
  return best !== undefined && best.scatter < FITS ? best : 'unlike'
}

/** At most so many as can be looked through: those nearest in size to the middle one. */
function largestAlike(found: readonly FoundMark[]): readonly FoundMark[] {
  const sorted = [...found].sort((p, q) => p.radius - q.radius)
  const middle = sorted[Math.floor(sorted.length / 2)]?.radius ?? 1
  return [...found].sort((p, q) => Math.abs(Math.log(p.radius / middle)) - Math.abs(Math.log(q.radius / middle))).slice(0, MOST)
}

interface Match {
  readonly plane: Homography
  readonly taken: readonly Spot[]
  readonly off: number
}

/** So many ways of taking the marks are fitted with the lens before one is chosen. */
const LIKELY = 12

/** Tries every four places as the corners, going round one way or the other. @returns The likeliest first. */
function likelyCorners(marks: readonly Spot[], places: readonly (Spot & { readonly radius: number })[]): readonly Match[] {
  const corners = marks.slice(0, 4)
  const n = places.length
  const matches: Match[] = []
  for (let a = 0; a < n; a++) {
    for (let b = 0; b < n; b++) {
      if (b === a) continue
      for (let c = 0; c < n; c++) {
        if (c === a || c === b) continue
        const way = turn(places[a] as Spot, places[b] as Spot, places[c] as Spot)
        for (let d = 0; d < n; d++) {
          if (d === a || d === b || d === c) continue
          const four = [a, b, c, d].map((k) => places[k] as Spot)
          if (!isConvex(four, way)) continue
          const plane = fitHomography(corners, four)
          const match = plane === null ? null : matchOthers(marks, places, plane, four)
          if (match !== null) matches.push(match)
        }
      }
    }
  }
  return matches.sort((p, q) => p.off - q.off).slice(0, LIKELY)
}

/** Whether going round four places always turns one way. */
function isConvex([p, q, r, s]: readonly Spot[], way: number): boolean {
  if (p === undefined || q === undefined || r === undefined || s === undefined) return false
  return [turn(q, r, s), turn(r, s, p), turn(s, p, q)].every((it) => it * way > 0)
}

function turn(p: Spot, q: Spot, r: Spot): number {
  return (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x)
}

/** Places for the marks beside the corners, each the nearest to where the plane says; null where one has none. */
function matchOthers(
  marks: readonly Spot[],
  places: readonly (Spot & { readonly radius: number })[],
  plane: Homography,
  four: readonly Spot[],
): Match | null {
  const taken = [...four]
  let off = 0
  for (const mark of marks.slice(4)) {
    const at = project(plane, mark)
    let nearest: (Spot & { readonly radius: number }) | null = null
    let distance = Infinity
    for (const it of places) {
      const away = Math.hypot(it.x - at.x, it.y - at.y)
      if (away < distance) [nearest, distance] = [it, away]
    }
    if (nearest === null || taken.includes(nearest)) return null
    const reach = (NEAR * 2 * nearest.radius * MARK.outer) / MARK.dot
    if (distance > reach) return null
    off += (distance / reach) ** 2
    taken.push(nearest)
  }
  return { plane, taken, off }
}

/** Least squares over all marks for the plane and the lens, by damped steps from the plane of the corners. */
function refine(marks: readonly Spot[], places: readonly Spot[], first: Homography): Pose | null {
  let p: number[] = [...first.slice(0, 8), 0]
  let damping = 1e-3
  let now = misses(p, marks, places)
  for (let step = 0; step < 60 && damping < 1e9; step++) {
    const slopes = p.map((value, k) => {
      const nudge = 1e-6 * Math.max(1e-3, Math.abs(value))
      const moved = misses(
        p.map((it, j) => (j === k ? it + nudge : it)),
        marks,
        places,
      )
      return moved.map((it, i) => (it - (now[i] as number)) / nudge)
    })
    const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, it, i) => sum + it * (b[i] as number), 0)
    const matrix = slopes.map((a, i) => slopes.map((b, j) => dot(a, b) * (i === j ? 1 + damping : 1)))
    const turnBy = solveScaled(
      matrix,
      slopes.map((it) => -dot(it, now)),
    )
    if (turnBy === null) return null
    const next = p.map((it, i) => it + (turnBy[i] as number))
    const there = misses(next, marks, places)
    const [before, after] = [dot(now, now), dot(there, there)]
    if (after < before) {
      ;[p, now] = [next, there]
      damping *= 0.2
      if (before - after < 1e-12 * before) break
    } else damping *= 6
  }
  const plane = [...p.slice(0, 8), 1] as unknown as Homography
  const scale = scaleOf(plane, marks)
  return {
    plane,
    bend: p[8] as number,
    isMirrored: isMirror(plane, marks),
    scatter: Math.sqrt(now.reduce((sum, it) => sum + it * it, 0) / marks.length) / scale,
  }
}

/** The lens's unknown is of another size than the plane's: rows and columns are brought to one before solving. */
function solveScaled(matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] | null {
  const sizes = matrix.map((row, i) => Math.sqrt(row[i] as number) || 1)
  const solved = solveLinear(
    matrix.map((row, i) => row.map((it, j) => it / (sizes[i] as number) / (sizes[j] as number))),
    right.map((it, i) => it / (sizes[i] as number)),
  )
  return solved === null ? null : solved.map((it, i) => it / (sizes[i] as number))
}

function misses(p: readonly number[], marks: readonly Spot[], places: readonly Spot[]): number[] {
  const plane = [...p.slice(0, 8), 1] as unknown as Homography
  return marks.flatMap((mark, i) => {
    const at = bent(project(plane, mark), p[8] as number)
    const seen = places[i] as Spot
    return [at.x - seen.x, at.y - seen.y]
  })
}

/**
 * A place as the lens bends it. Valid: within the picture. Source: r_d = r(1 + k₁r²), the first term of radial distortion.
 * @example bent({ x: 0.5, y: 0 }, -0.04).x // 0.495
 */
export function bent({ x, y }: Spot, bend: number): Spot {
  const by = 1 + bend * (x * x + y * y)
  return { x: x * by, y: y * by }
}

/** How much of a half diagonal a mm is, in the middle of the marks. */
function scaleOf(plane: Homography, marks: readonly Spot[]): number {
  const [a, b] = [marks[0] as Spot, marks[2] as Spot]
  const [p, q] = [project(plane, a), project(plane, b)]
  return Math.hypot(q.x - p.x, q.y - p.y) / Math.hypot(b.x - a.x, b.y - a.y)
}

/** A picture has its y downwards: a card that is not mirrored goes round the other way in it. */
function isMirror(plane: Homography, marks: readonly Spot[]): boolean {
  const [a, b, c] = marks.slice(0, 3).map((it) => project(plane, it)) as [Spot, Spot, Spot]
  return turn(a, b, c) > 0
}

/**
 * Half the diagonal of a picture, pixels. Valid: any. Source: by definition. @example halfDiagonal({ width: 6, height: 8 }) // 5
 */
export function halfDiagonal({ width, height }: Frame): number {
  return Math.hypot(width, height) / 2
}

/** Where a place of the card lies in the picture, pixels. Valid: a pose of that picture. Source: perspective, then the lens. */
export function placeInPicture(pose: Pose, frame: Frame, place: Spot): Spot {
  const unit = halfDiagonal(frame)
  const { x, y } = bent(project(pose.plane, place), pose.bend)
  return { x: frame.width / 2 + x * unit, y: frame.height / 2 + y * unit }
}
