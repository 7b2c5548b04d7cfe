import type { Hidden, HiddenSide } from './hidden'
import type { Place } from './mechanics'

/** How the sheet lies under the head: at its usual height, on a block at one end (in the middle at its usual height), or lower. */
export type SheetLie =
  | { readonly kind: 'flat' }
  | { readonly kind: 'tilted'; readonly from: number; readonly run: number; readonly lift: number }
  | { readonly kind: 'lower'; readonly by: number }

/** Words for a sheet: nothing, `tilted from run lift`, `lower by`. @returns Null where they make no sense. */
export function readLie(words: readonly string[]): SheetLie | null {
  const [kind, ...rest] = words
  const numbers = rest.map(Number)
  if (kind === undefined) return { kind: 'flat' }
  if (!numbers.every(Number.isFinite)) return null
  const [a = 0, b = 0, c = 0] = numbers
  if (kind === 'tilted' && numbers.length === 3 && b > 0) return { kind, from: a, run: b, lift: c }
  return kind === 'lower' && numbers.length === 1 && a >= 0 ? { kind, by: a } : null
}

/** Gap between head and sheet above focus, at a place, mm. */
function outOfFocus({ beam }: Hidden, lie: SheetLie, x: number, raised: number): number {
  const out = beam.head - beam.gap + raised
  if (lie.kind === 'flat') return out
  return lie.kind === 'lower' ? out + lie.by : out + lie.lift / 2 - (lie.lift * (x - lie.from)) / lie.run
}

/**
 * The spot's side across a line in its middle: its radius, mm, the order of its profile, and its peak dose against that of a
 * line along X on a flat sheet. @param raised The head above where it hangs, mm. Valid: any line. Source: hidden; integrals by summing, written apart from the optics of the bench.
 */
export function spotOver(hidden: Hidden, lie: SheetLie, from: Place, to: Place, raised = 0) {
  const { beam } = hidden
  const out = outOfFocus(hidden, lie, (from.x + to.x) / 2, raised)
  const along = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const upright = ((to.y - from.y) / along) ** 2
  const wide = ({ waist, rayleigh }: HiddenSide, at: number): number => waist * Math.hypot(1, at / rayleigh)
  const radius = Math.sqrt(upright * wide(beam.x, out) ** 2 + (1 - upright) * wide(beam.y, out) ** 2)
  const order = upright * beam.x.order + (1 - upright) * beam.y.order
  const flat = wide(beam.y, beam.head - beam.gap)
  return { radius, order, dose: (flat * area(beam.y.order)) / (radius * area(order)) }
}

/** Area under exp(−2|u|^order), by the trapezoidal rule. */
function area(order: number): number {
  const [steps, end] = [400, 3]
  let sum = 0
  for (let i = 0; i <= steps; i++) sum += Math.exp(-2 * ((end * i) / steps) ** order) * (i === 0 || i === steps ? 0.5 : 1)
  return (2 * sum * end) / steps
}
