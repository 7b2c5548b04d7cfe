import { accepted, refused, type Outcome } from '../units'
import { solveLinear } from './linear'

/** What hangs on a place of a rail. */
export interface RailLoad {
  readonly node: string
  readonly name: string
  /** W that it takes whatever the voltage, and A that it takes whatever the voltage; 0 where it does not. */
  readonly watts: number
  readonly amps: number
}

/** A pair of wires between two places: there and back together. */
export interface RailWire {
  readonly id: string
  readonly from: string
  readonly to: string
  /** Ω there and back; 0 or more. */
  readonly ohms: number
}

/** One rail: a source, the wires that lead on from it, and what they feed. */
export interface Rail {
  readonly source: string
  readonly volts: number
  readonly wires: readonly RailWire[]
  readonly loads: readonly RailLoad[]
}

/** A rail solved. */
export interface RailState {
  /** Between both wires at each place, V. */
  readonly volts: ReadonlyMap<string, number>
  /** Along each wire from its first place to its second, A. */
  readonly amps: ReadonlyMap<string, number>
  /** What the source gives, A. */
  readonly given: number
}

/** A wire without resistance is a joint: this keeps the sums finite, Ω. */
const JOINT = 1e-6
/** Steps of the load from nothing to all of it, and the least that is tried where one is too large. */
const STEP = 0.25
const LEAST_STEP = 1e-4
const MOST_ROUNDS = 40
const CLOSE = 1e-10

/**
 * Solves a direct-current rail: node voltages by Kirchhoff's laws, loads of constant power by Newton's method on the branch
 * of the higher voltage, reached from the voltages without load, or by raising the load from nothing to all of it.
 * @returns The state; refused where a load cannot be carried at all (its two solutions have met before full load), with the
 * share of it that can.
 * @throws {RangeError} for a resistance below 0 or a source that is not above 0 V.
 * Valid: direct current at rest. Source: nodal analysis; a constant power P behind a resistance R has V = (V₀ + √(V₀² − 4RP))/2
 * or none.
 */
export function solveRail(rail: Rail): Outcome<RailState> {
  const bad = rail.wires.find((it) => !(it.ohms >= 0))
  if (bad !== undefined) throw new RangeError(`ohms of ${bad.id} must be 0 or more, got ${bad.ohms}`)
  if (!(rail.volts > 0)) throw new RangeError(`volts must be more than 0, got ${rail.volts}`)
  const nodes = nodesOf(rail)
  const idle: readonly number[] = nodes.map(() => rail.volts)
  // From the voltages without load Newton's steps come down onto the higher branch, and never pass it, where there is one.
  const direct = newton(rail, nodes, idle, 1)
  return direct === null ? raised(rail, nodes, idle) : accepted(stateOf(rail, nodes, direct))
}

/** Raises the load from nothing to all of it, in steps that halve where one does not come to rest. */
function raised(rail: Rail, nodes: readonly string[], idle: readonly number[]): Outcome<RailState> {
  let volts = idle
  let share = 0
  let step = STEP
  while (share < 1) {
    const next = Math.min(1, share + step)
    const found = newton(rail, nodes, volts, next)
    if (found !== null) {
      volts = found
      share = next
      step = Math.min(STEP, step * 2)
    } else if (step > LEAST_STEP) step /= 2
    else return collapsed(rail, share)
  }
  return accepted(stateOf(rail, nodes, volts))
}

function collapsed({ loads }: Rail, share: number): Outcome<never> {
  const largest = [...loads].sort((p, q) => q.watts - p.watts)[0]
  return refused(
    'no-solution',
    `No voltage carries all of this load: at ${Math.round(share * 100)} % of it the rail falls together, ${largest?.name ?? 'a load'} first. Thicker or shorter wire, a higher voltage with a converter at the load, or less load.`,
  )
}

/** Places beyond the source that its wires reach. */
function nodesOf({ source, wires, loads }: Rail): readonly string[] {
  return [...new Set([...wires.flatMap((it) => [it.from, it.to]), ...loads.map((it) => it.node)])].filter((it) => it !== source)
}

/** Voltages for a share of the load, from those of a lower one; null where the rounds do not close. */
function newton(rail: Rail, nodes: readonly string[], start: readonly number[], share: number): readonly number[] | null {
  let volts = start
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { matrix, right } = equations(rail, nodes, volts, share)
    const next = solveLinear(matrix, right)
    if (next === null || next.some((it) => !(it > 0.02 * rail.volts))) return null
    const moved = Math.max(0, ...next.map((it, i) => Math.abs(it - (volts[i] ?? 0))))
    volts = next
    if (moved <= CLOSE * rail.volts) return volts
  }
  return null
}

/** Sum of currents at each place, the loads' own slope taken with it: G·V = I. */
function equations(rail: Rail, nodes: readonly string[], volts: readonly number[], share: number) {
  const index = new Map(nodes.map((it, i) => [it, i]))
  const matrix = nodes.map(() => nodes.map(() => 0))
  const right = nodes.map(() => 0)
  const add = (row: number, column: number, value: number): void => {
    const own = matrix[row]
    if (own !== undefined) own[column] = (own[column] ?? 0) + value
  }
  for (const { from, to, ohms } of rail.wires) {
    const g = 1 / Math.max(ohms, JOINT)
    const [i, j] = [index.get(from), index.get(to)]
    for (const [own, other] of [
      [i, j],
      [j, i],
    ] as const) {
      if (own === undefined) continue
      add(own, own, g)
      if (other === undefined) right[own] = (right[own] ?? 0) + g * rail.volts
      else add(own, other, -g)
    }
  }
  for (const { node, watts, amps } of rail.loads) {
    const i = index.get(node)
    if (i === undefined) continue
    const v = volts[i] ?? rail.volts
    // I = P/V about the present V: P/V − (P/V²)·(V' − V), so that its slope stands on the left.
    add(i, i, (-share * watts) / (v * v))
    right[i] = (right[i] ?? 0) - (2 * share * watts) / v - share * amps
  }
  return { matrix, right }
}

function stateOf(rail: Rail, nodes: readonly string[], solved: readonly number[]): RailState {
  const volts = new Map([[rail.source, rail.volts], ...nodes.map((it, i) => [it, solved[i] ?? Number.NaN] as const)])
  const at = (node: string): number => volts.get(node) ?? Number.NaN
  const amps = new Map(rail.wires.map(({ id, from, to, ohms }) => [id, (at(from) - at(to)) / Math.max(ohms, JOINT)]))
  const given = rail.wires.reduce((sum, { id, from, to }) => {
    const current = amps.get(id) ?? 0
    return sum + (from === rail.source ? current : 0) - (to === rail.source ? current : 0)
  }, ownLoad(rail))
  return { volts, amps, given }
}

/** What hangs on the source itself, A. */
function ownLoad({ source, volts, loads }: Rail): number {
  return loads.filter((it) => it.node === source).reduce((sum, it) => sum + it.watts / volts + it.amps, 0)
}
