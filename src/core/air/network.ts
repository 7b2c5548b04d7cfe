import { solveLinear } from '../electrical'
import { accepted, refused, type Finding, type Outcome } from '../units'
import { partGain, type AirPart } from './parts'

/** A way of the air from a place to a place, its parts in their order. */
export interface AirBranch {
  readonly id: string
  readonly from: string
  readonly to: string
  readonly parts: readonly AirPart[]
}

/** Ways of the air between places; a place that is no room takes the pressure that makes what comes in go out. */
export interface AirNetwork {
  /** Places whose pressure is known, Pa: the room and the outside, most often 0. */
  readonly rooms: Readonly<Record<string, number>>
  readonly branches: readonly AirBranch[]
}

/** How the air goes. */
export interface AirSolution {
  /** Pa, by place. */
  readonly pressures: Readonly<Record<string, number>>
  /** m³/s from `from` to `to`, by branch. */
  readonly flows: Readonly<Record<string, number>>
}

/** Pressure that a whole branch adds at a flow, Pa. @throws {RangeError} from `partGain`. Valid: air at 20 °C. Source: pressures of its parts add. @example branchGain({ parts: [{ kind: 'gap', area: 100 }, { kind: 'gap', area: 100 }] }, 0.01758) // -10 */
export function branchGain({ parts }: Pick<AirBranch, 'parts'>, flow: number): number {
  return parts.reduce((sum, it) => sum + partGain(it, flow), 0)
}

/** What flows are told apart by, m³/s: a thousandth of a litre an hour. */
const LEAST = 1e-10
/** A flat branch at rest would let the step of Newton go anywhere: it is taken to be so steep at least, Pa·s/m³. */
const STEEP = 0.01

/**
 * Solves a network of ducts, boxes, leaks and fans: what comes into a place goes out of it, and round every loop pressures add to 0.
 * @returns Pressures and flows; or why there are none: nothing that moves the air, a piece without any room, a branch without resistance, a name twice.
 * A fan that is blown backwards is a warning. Valid: any number of loops, branches and fans whose curves fall; air at 20 °C.
 * Source: Kirchhoff's laws; flows of each branch by its own root (false position), pressures by Newton with halved steps: the equations are monotone, so there is one solution.
 * @throws never: a network that does not settle in 300 steps is refused.
 */
export function solveAir(network: AirNetwork): Outcome<AirSolution> {
  const wrong = whyUnsolved(network)
  if (wrong !== null) return wrong
  try {
    return settle(network)
  } catch {
    return refused('unsettled', 'The flows do not settle: look at the sizes of its parts, one is out of all proportion.')
  }
}

/** Pressures that make what comes in go out. */
function settle(network: AirNetwork): Outcome<AirSolution> {
  const { rooms, branches } = network
  const places = [...new Set(branches.flatMap((it) => [it.from, it.to]))].filter((it) => rooms[it] === undefined)
  const at = new Map(places.map((it, k) => [it, k]))
  const pressuresOf = (x: readonly number[]) => (place: string) => rooms[place] ?? x[at.get(place) ?? -1] ?? 0
  const flowsAt = (x: readonly number[], before: readonly number[]): readonly number[] => {
    const p = pressuresOf(x)
    return branches.map((it, k) => flowOf(it, p(it.to) - p(it.from), before[k] ?? 0))
  }
  const surplus = (flows: readonly number[]): readonly number[] => {
    const sums = places.map(() => 0)
    branches.forEach((it, k) => {
      const [i, j] = [at.get(it.from), at.get(it.to)]
      if (i !== undefined) sums[i] = (sums[i] ?? 0) - (flows[k] ?? 0)
      if (j !== undefined) sums[j] = (sums[j] ?? 0) + (flows[k] ?? 0)
    })
    return sums
  }
  let x: readonly number[] = places.map(() => 0)
  let flows = flowsAt(x, [])
  let left = surplus(flows)
  for (let step = 0; step < 300; step++) {
    if (sizeOf(left) < LEAST) return solved(network, pressuresOf(x), flows)
    const move = solveLinear(conductances(network, at, flows), left)
    if (move === null) break
    let share = 1
    for (;;) {
      const next = x.map((it, k) => it + share * (move[k] ?? 0))
      const there = flowsAt(next, flows)
      const leftThere = surplus(there)
      if (sizeOf(leftThere) < (1 - share / 1e4) * sizeOf(left) || share < 1e-9) {
        ;[x, flows, left] = [next, there, leftThere]
        break
      }
      share /= 2
    }
  }
  return refused('unsettled', 'The flows do not settle: look at the sizes of its parts, one is out of all proportion.')
}

const sizeOf = (values: readonly number[]): number => Math.hypot(...values)

/** How the surplus at each place falls as the pressures rise. */
function conductances({ branches }: AirNetwork, at: ReadonlyMap<string, number>, flows: readonly number[]): number[][] {
  const matrix = [...at.keys()].map(() => [...at.keys()].map(() => 0))
  const add = (i: number | undefined, j: number | undefined, value: number): void => {
    const row = i === undefined ? undefined : matrix[i]
    if (row !== undefined && j !== undefined) row[j] = (row[j] ?? 0) + value
  }
  branches.forEach((it, k) => {
    const conductance = -1 / slopeOf(it, flows[k] ?? 0)
    const [i, j] = [at.get(it.from), at.get(it.to)]
    add(i, i, conductance)
    add(j, j, conductance)
    add(i, j, -conductance)
    add(j, i, -conductance)
  })
  return matrix
}

/** How a branch's pressure changes with its flow, Pa·s/m³; never quite flat. */
function slopeOf(branch: AirBranch, flow: number): number {
  const step = Math.max(1e-7, 1e-5 * Math.abs(flow))
  return Math.min(-STEEP, (branchGain(branch, flow + step) - branchGain(branch, flow - step)) / (2 * step))
}

/** Flow at which a branch adds a pressure, m³/s. Source: false position after Anderson and Björck (1973): one look at the branch a step. */
function flowOf(branch: AirBranch, gain: number, guess: number): number {
  const off = (flow: number): number => branchGain(branch, flow) - gain
  let near = { flow: 0, off: off(0) }
  if (near.off === 0) return 0
  // What it adds falls as the flow grows: the root lies between rest and where it has changed its sign.
  const way = Math.sign(near.off)
  const look = (flow: number) => ({ flow, off: off(flow) })
  // What flowed before is most often near.
  const isNear = guess * way > 1e-6
  let far = look(isNear ? guess : way * 0.01)
  while (far.off * way > 0) {
    near = far
    far = look((isNear ? 1.3 : 4) * far.flow)
  }
  for (let step = 0; step < 200 && far.off !== 0; step++) {
    const next = look(far.flow - (far.off * (far.flow - near.flow)) / (far.off - near.off))
    if (Math.abs(next.flow - far.flow) <= 1e-14 * Math.abs(far.flow) || next.off === 0) return next.flow
    if (next.off * far.off < 0) near = far
    else {
      const less = 1 - next.off / far.off
      near = { ...near, off: near.off * (less > 0 ? less : 0.5) }
    }
    far = next
  }
  return far.flow
}

function solved(
  { branches, rooms }: AirNetwork,
  pressure: (place: string) => number,
  flows: readonly number[],
): Outcome<AirSolution> {
  const places = [...new Set([...Object.keys(rooms), ...branches.flatMap((it) => [it.from, it.to])])]
  const findings = branches.flatMap((it, k): readonly Finding[] =>
    (flows[k] ?? 0) < -LEAST && it.parts.some((part) => part.kind === 'fan')
      ? [
          {
            code: 'blown-back',
            severity: 'warning',
            message: `The fan of “${it.id}” is blown through backwards by another: a flap beside it, or its gate shut, keeps the air from coming back.`,
          },
        ]
      : [],
  )
  return accepted(
    {
      pressures: Object.fromEntries(places.map((it) => [it, pressure(it)])),
      flows: Object.fromEntries(branches.map((it, k) => [it.id, flows[k] ?? 0])),
    },
    findings,
  )
}

function whyUnsolved({ rooms, branches }: AirNetwork): Outcome<never> | null {
  const twice = branches.find((it, k) => branches.findIndex((other) => other.id === it.id) !== k)
  if (twice !== undefined) return refused('twice', `Two ways are called “${twice.id}”: give each a name of its own.`)
  const bare = branches.find((it) => it.parts.length === 0 || it.from === it.to)
  if (bare !== undefined)
    return refused(
      'no-resistance',
      `“${bare.id}” has no part, or leads back to where it begins: nothing decides how much goes through it.`,
    )
  const isDriven = branches.some(({ parts }) => parts.some((it) => it.kind === 'fan')) || new Set(Object.values(rooms)).size > 1
  if (!isDriven) return refused('no-fan', 'Nothing moves the air: put a fan into one of its ways.')
  const lost = placesWithoutRoom({ rooms, branches })
  if (lost.length === 0) return null
  const names = lost.map((it) => `“${it}”`).join(', ')
  return refused(
    'in-pieces',
    `The network is in pieces: from ${names} no way leads to the room or outside. Say where its air comes from.`,
  )
}

/** Places from which no way leads to a room. */
function placesWithoutRoom({ rooms, branches }: AirNetwork): readonly string[] {
  const reached = new Set(Object.keys(rooms))
  for (let before = -1; before < reached.size;) {
    before = reached.size
    for (const { from, to } of branches) {
      if (reached.has(from)) reached.add(to)
      if (reached.has(to)) reached.add(from)
    }
  }
  return [...new Set(branches.flatMap((it) => [it.from, it.to]))].filter((it) => !reached.has(it))
}

/**
 * Pressure that a fan in a branch would have to give for a flow through it, Pa: one place of the duct's own curve. @param id The branch. @param flow m³/s.
 * @returns It, or why there is none. Valid: any flow; other fans go on. Source: the network with that flow drawn out of one end and let in at the other.
 * @throws never: what does not settle is refused.
 */
export function ductNeeds(network: AirNetwork, id: string, flow: number): Outcome<number> {
  const own = network.branches.find((it) => it.id === id)
  if (own === undefined) return refused('no-branch', `No way is called “${id}”.`)
  const forced: AirPart = {
    kind: 'fan',
    curve: [
      { flow: flow - FORCED, pressure: PUSH },
      { flow: flow + FORCED, pressure: -PUSH },
    ],
  }
  const parts = [...own.parts.filter((it) => it.kind !== 'fan'), forced]
  const asked = { ...network, branches: network.branches.map((it) => (it.id === id ? { ...it, parts } : it)) }
  const found = solveAir(asked)
  if (!found.ok) return found
  return accepted(partGain(forced, found.value.flows[id] ?? 0))
}

/** A fan so steep that it moves its flow whatever stands against it: m³/s either way, and Pa. */
const FORCED = 1e-5
const PUSH = 1e5
