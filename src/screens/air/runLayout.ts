import { inOrder, type AirJoint, type AirKind, type AirPartFacts } from '../../core/air'
import type { Bench } from '../../core/document'

type Way = Bench['air']['ways'][string]

/** One part as it is drawn: px along the run, half its width on either side of its middle line. */
export interface Drawn {
  readonly id: string
  readonly kind: AirKind
  readonly facts: AirPartFacts
  readonly x: number
  readonly width: number
  /** Half widths where the air enters and leaves, px. */
  readonly enters: number
  readonly leaves: number
}

/** A run of parts, drawn. */
export interface Run {
  readonly width: number
  readonly parts: readonly Drawn[]
  /** What a pixel of a duct stands for, mm. */
  readonly mmPerPx: number
}

/** Widths of parts that have no length, px. */
const FIXED: Readonly<Record<Exclude<AirKind, 'duct'>, number>> = {
  bend: 46,
  reducer: 40,
  end: 30,
  grille: 30,
  gate: 34,
  flap: 40,
  filter: 40,
  fan: 58,
  opening: 30,
}
const SHORTEST = 56
const PAD = 62
const WIDEST = 21
const NARROWEST = 8

/**
 * Lays the parts of a way along a line: ducts as long as their share of all ducts, other parts each in its own width.
 * @param room Px there are. @returns What is drawn; wider than the room where the parts do not go in.
 */
export function layRun(way: Way, room: number): Run {
  const rows = inOrder(way.parts)
  const ducts = rows.filter(([, it]) => it.kind === 'duct')
  const fixed = rows.reduce((sum, [, it]) => sum + (it.kind === 'duct' ? 0 : FIXED[it.kind]), 0)
  const least = fixed + ducts.length * SHORTEST + 2 * PAD
  const width = Math.max(room, least)
  const total = ducts.reduce((sum, [, it]) => sum + (it.length.value ?? 0), 0)
  const spare = Math.max(width - least, 40)
  const mmPerPx = total > 0 ? total / spare : 10
  const most = Math.max(1, ...rows.map(([, it]) => it.diameter.value ?? 0))
  const half = (mm: number | null | undefined, before: number): number =>
    mm === null || mm === undefined ? before : Math.max(NARROWEST, (WIDEST * mm) / most)
  let x = PAD
  let before = WIDEST
  const parts = rows.map(([id, facts]): Drawn => {
    const isRound = !['flap', 'filter', 'fan', 'opening'].includes(facts.kind)
    const enters = isRound ? half(facts.diameter.value, before) : before
    const leaves = facts.kind === 'reducer' ? half(facts.to.value, enters) : enters
    const long =
      facts.kind === 'duct'
        ? SHORTEST + (total > 0 ? (facts.length.value ?? 0) / mmPerPx : spare / ducts.length)
        : FIXED[facts.kind]
    const drawn = { id, kind: facts.kind, facts, x, width: long, enters, leaves }
    x += long
    before = leaves
    return drawn
  })
  return { width, parts, mmPerPx }
}

/** Places of the pressure along a run: px along it, and px down. */
export interface Profile {
  readonly places: readonly { readonly x: number; readonly y: number; readonly pressure: number }[]
  /** Where outdoors lies, px. */
  readonly zero: number
}

/** The pressure along a run between two heights, px. @returns None where it is not known. */
export function profileOf(run: Run, joints: readonly AirJoint[], top: number, bottom: number): Profile | null {
  const first = joints[0]
  if (first === undefined || joints.length !== run.parts.length || joints.some((it) => !Number.isFinite(it.behind))) return null
  const all = [first.before, ...joints.map((it) => it.behind)]
  const [low, high] = [Math.min(0, ...all), Math.max(0, ...all)]
  const y = (pressure: number): number => top + ((high - pressure) / Math.max(high - low, 1e-6)) * (bottom - top)
  const xs = [run.parts[0]?.x ?? 0, ...run.parts.map((it) => it.x + it.width)]
  return { places: all.map((pressure, k) => ({ x: xs[k] ?? 0, y: y(pressure), pressure })), zero: y(0) }
}
