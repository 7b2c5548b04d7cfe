import { NotYet, type Plain, type View } from '../bench'
import { assertNever } from '../units'
import { ROUGHNESS, slackFactor } from './duct'
import { fanAtSpeed, fanCurve, fansBeside, type FanCurve } from './fan'
import { bendLoss, FITTINGS, grilleLoss, narrowingLoss, wideningLoss } from './fittings'
import type { AirBranch, AirNetwork } from './network'
import type { AirPart } from './parts'
import { AIR_PLACE_WORDS, type AirBench, type AirKind, type AirPartFacts, type AirPlace, type AirWay } from './slice'

type PartFacts = Plain<AirPartFacts>
type WayFacts = Plain<AirWay>

/** One part as it is laid, with what the air finds where the part before it was wider or narrower. */
export interface Laid {
  /** Id of the part. */
  readonly id: string
  readonly kind: AirKind
  /** Inside diameter where the air enters it, mm; null where it has none of its own. */
  readonly enters: number | null
  /** Inside diameter where the air leaves it, mm; null: that of the part before. */
  readonly leaves: number | null
  readonly parts: readonly AirPart[]
}

/** What stands in order. */
export function inOrder<T extends { readonly order: number }>(
  rows: Readonly<Record<string, T>>,
): readonly (readonly [string, T])[] {
  return Object.entries(rows).sort(([, p], [, q]) => p.order - q.order)
}

/** A way from place to place as its parts are laid, sudden steps between diameters counted. @throws {NotYet} for a fan whose curve is none. */
export function laidOf(way: WayFacts): readonly Laid[] {
  let before: number | null = null
  return inOrder(way.parts).map(([id, facts]) => {
    const enters: number | null = diameterOf(facts)
    const step: readonly AirPart[] = before === null || enters === null ? [] : stepBetween(before, enters)
    const leaves = facts.kind === 'reducer' ? facts.to : enters
    before = leaves ?? before
    return { id, kind: facts.kind, enters, leaves, parts: [...step, ...partsOf(facts)] }
  })
}

/** Inside diameter where the air enters a part, mm; null where it has none of its own. */
function diameterOf(facts: PartFacts): number | null {
  const { kind } = facts
  return kind === 'flap' || kind === 'filter' || kind === 'fan' || kind === 'opening' ? null : facts.diameter
}

/** A step that nobody has smoothed, mm; none where it is less than a wall. */
function stepBetween(before: number, enters: number): readonly AirPart[] {
  if (!(Math.abs(before - enters) > 2)) return []
  return [stepPart(before, enters, 1)]
}

/** A cone loses so much of what a step does: half cut off where it narrows, less where it widens gently. (from memory) */
const CONE = 0.35

function stepPart(before: number, behind: number, share: number): AirPart {
  const narrow = Math.min(before, behind)
  const k = behind > before ? wideningLoss(before, behind) : narrowingLoss(before, behind)
  return { kind: 'fitting', diameter: narrow, k: share * k }
}

/** Roughness of each wall, mm; a hose has its own. */
const WALLS = { metal: ROUGHNESS.metal, plastic: ROUGHNESS.smooth } as const
const BENDS = { smooth: FITTINGS.smoothBend.k, pleated: FITTINGS.pleatedBend.k, mitre: FITTINGS.mitre.k } as const
const ENDS = {
  plain: FITTINGS.plainEnd.k,
  flanged: FITTINGS.flangedEnd.k,
  bell: FITTINGS.bellmouth.k,
  out: FITTINGS.out.k,
} as const

/** What a gate lets through that is shut, as a share of its face. (common practice) */
const SHUT = 0.002

function partsOf(facts: PartFacts): readonly AirPart[] {
  const { kind } = facts
  switch (kind) {
    case 'duct': {
      const { wall, length, diameter } = facts
      if (wall === 'metal' || wall === 'plastic') return [{ kind, diameter, length, roughness: WALLS[wall], slack: 1 }]
      return [
        { kind, diameter, length, roughness: Math.min(facts.ribs, diameter / 10), slack: slackFactor(diameter, facts.slack) },
      ]
    }
    case 'bend':
      return [{ kind: 'fitting', diameter: facts.diameter, k: bendLoss(BENDS[facts.bend], facts.angle) }]
    case 'reducer':
      return facts.diameter === facts.to ? [] : [stepPart(facts.diameter, facts.to, facts.step === 'cone' ? CONE : 1)]
    case 'end':
      return [{ kind: 'fitting', diameter: facts.diameter, k: ENDS[facts.end] }]
    case 'grille':
    case 'gate':
      return [{ kind: 'fitting', diameter: facts.diameter, k: grilleLoss(Math.max(SHUT, facts.free)) }]
    case 'flap':
    case 'filter':
      return [{ kind: 'stated', flow: facts.takesAt, pressure: facts.takes, power: kind === 'filter' ? 1 : 2 }]
    case 'fan':
      return [{ kind: 'fan', curve: fanCurveOf(facts) }]
    case 'opening':
      return [{ kind: 'gap', area: facts.opening }]
    default:
      return assertNever(kind)
  }
}

/** Curve of a fan as it runs: its two ends and what lies between, at its speed, as many as stand side by side. @throws {NotYet} in words, where it is none. */
export function fanCurveOf(facts: Pick<PartFacts, 'freeFlow' | 'shutOff' | 'speed' | 'beside' | 'points'>): FanCurve {
  const { freeFlow, shutOff, speed, beside, points } = facts
  const between = Object.values(points).map(({ flow, pressure }) => ({ flow, pressure }))
  const ends = [
    { flow: 0, pressure: shutOff },
    { flow: freeFlow, pressure: 0 },
  ]
  // A number that is missing makes all of it unknown; the engine names it.
  if ([...between, ...ends].some((it) => Number.isNaN(it.flow + it.pressure))) return ends
  const made = fanCurve([...ends, ...between])
  if (!made.ok) throw new NotYet(made.findings[0]?.message ?? 'look at the points of the fan’s curve')
  let curve = fanAtSpeed(made.value, speed)
  const one = curve
  for (let more = 1; more < beside; more++) curve = fansBeside(curve, one)
  return curve
}

/** Openings by which the room's air comes to the smoke, cm². */
export interface Opening {
  readonly id: 'gaps' | 'inlet' | 'foot' | 'holes' | 'mouth'
  readonly area: number
}

/** What is open where the smoke is caught. @param gaps Of a box, cm². */
export function openingsOf(view: View<AirBench>, gaps: () => number): readonly Opening[] {
  const { box } = view.bench.air
  switch (box.caught) {
    case 'box':
      return [
        { id: 'gaps' as const, area: gaps() },
        { id: 'inlet' as const, area: box.inlet },
      ].filter((it) => it.area !== 0)
    case 'hood':
      return [{ id: 'foot', area: (2 * (box.hoodLength + box.hoodWidth) * box.hoodGap) / 100 }]
    case 'table':
      return [{ id: 'holes', area: box.holes * Math.PI * (box.holeDiameter / 20) ** 2 * (1 - box.covered) }]
    case 'mouth':
      return [{ id: 'mouth', area: box.mouth }]
  }
}

/** A turn of a baffle loses as a mitred bend does, in velocity pressures of the inlet. */
const A_TURN = FITTINGS.mitre.k

/** The way of the air through an opening. */
function throughOpening(
  { id, area }: Opening,
  { turns, rim }: { readonly turns: number; readonly rim: string | null },
): AirBranch {
  const diameter = 20 * Math.sqrt(area / Math.PI)
  const parts: readonly AirPart[] =
    id === 'mouth'
      ? [{ kind: 'fitting', diameter, k: rim === 'flanged' ? FITTINGS.flangedEnd.k : FITTINGS.plainEnd.k }]
      : id === 'inlet'
        ? [
            { kind: 'gap', area },
            { kind: 'fitting', diameter, k: turns * A_TURN },
          ]
        : [{ kind: 'gap', area }]
  return { id: `opening ${id}`, from: 'room', to: 'box', parts }
}

/** Way of the air through an opening, by its id. */
export const openingWay = (id: string): string => `opening ${id}`

/** A way as it is laid. */
export interface LaidWay {
  readonly name: string
  readonly from: AirPlace
  readonly to: AirPlace
  readonly parts: readonly Laid[]
}

/** A way as it is laid. @throws {NotYet} where it has no parts, or leads back to where it begins. */
export function laidWay(way: WayFacts): LaidWay {
  const { name, from, to } = way
  if (from === to) throw new NotYet(`“${name}” leads from ${AIR_PLACE_WORDS[from]} back to it: say where it leads`)
  const parts = laidOf(way)
  if (parts.every((it) => it.parts.length === 0)) throw new NotYet(`lay a part of “${name}”: a way without any has no resistance`)
  return { name, from, to, parts }
}

/** All ways of the air: what is laid, what is open, and what comes into the room. @param ways What is laid, by id. @param openings What is open where the smoke is caught. Valid: any. Source: by definition. */
export function networkOf(
  view: View<AirBench>,
  ways: Readonly<Record<string, LaidWay>>,
  openings: readonly Opening[],
): AirNetwork {
  const { air } = view.bench
  const laid = Object.entries(ways).map(([id, { from, to, parts }]): AirBranch => ({
    id,
    from,
    to,
    parts: parts.flatMap((it) => it.parts),
  }))
  const box = { turns: air.box.caught === 'box' ? air.box.turns : 0, rim: air.box.caught === 'mouth' ? air.box.rim : null }
  const open = openings.map((it) => throughOpening(it, box))
  const usesRoom = [...laid, ...open].some((it) => it.from === 'room' || it.to === 'room')
  const supply: readonly AirBranch[] = usesRoom
    ? [{ id: 'supply', from: 'outdoors', to: 'room', parts: [{ kind: 'gap', area: air.room.supply }] }]
    : []
  return { rooms: { outdoors: 0 }, branches: [...supply, ...open, ...laid] }
}
