import { radiusAt, type Section } from '../../core/rotary'
import type { Bench } from '../../core/document'

/** An object as far as it was measured: what can be drawn of it. Lengths in mm, angles in rad. */
export interface Seen {
  readonly id: string
  readonly name: string
  readonly length: number
  readonly sections: readonly Section[]
  readonly widest: number
  readonly bore: { readonly diameter: number; readonly depth: number; readonly mouth: 'driven' | 'far' } | null
  readonly handle: { readonly out: number; readonly from: number; readonly to: number; readonly at: number } | null
  readonly work: { readonly from: number; readonly to: number; readonly around: number | null } | null
  readonly keepOff: readonly { readonly id: string; readonly kind: string; readonly from: number; readonly to: number }[]
}

/** What can be drawn of an object; null before its diameter is known somewhere. */
export function seenOf({ rotary }: Bench, id: string): Seen | null {
  const object = rotary.objects[id]
  if (object === undefined) return null
  const measured = Object.values(object.sections)
    .flatMap((it) =>
      it.at.value === null || it.diameter.value === null ? [] : [{ at: it.at.value, diameter: it.diameter.value }],
    )
    .sort((p, q) => p.at - q.at)
    .filter((it, k, all) => it.at !== all[k - 1]?.at)
  const first = measured[0]
  if (first === undefined) return null
  const length = object.length.value ?? Math.max(first.diameter, ...measured.map((it) => it.at))
  const { handleOut, handleFrom, handleTo, handleAt, bore, boreDepth, workFrom, workTo, hollow } = object
  const hasHandle =
    object.handle.chosen === 'one' && handleOut.value !== null && handleFrom.value !== null && handleTo.value !== null
  const mouth = hollow.chosen === 'driven' || hollow.chosen === 'far' ? hollow.chosen : null
  return {
    id,
    name: object.name,
    length,
    sections: measured,
    widest: Math.max(...measured.map((it) => it.diameter)),
    bore:
      mouth === null || bore.value === null
        ? null
        : { diameter: bore.value, depth: Math.min(length, boreDepth.value ?? length), mouth },
    handle: hasHandle
      ? { out: handleOut.value, from: handleFrom.value, to: handleTo.value, at: handleAt.value ?? Math.PI }
      : null,
    work:
      workFrom.value === null || workTo.value === null || workTo.value <= workFrom.value
        ? null
        : { from: workFrom.value, to: workTo.value, around: object.workAround.value },
    keepOff: Object.entries(object.keepOff).flatMap(([key, it]) =>
      it.from.value === null || it.to.value === null
        ? []
        : [{ id: key, kind: it.kind, from: Math.min(it.from.value, it.to.value), to: Math.max(it.from.value, it.to.value) }],
    ),
  }
}

/** Upper outline over a stretch, as places and radii, mm. */
export function outlineOf({ sections }: Seen, from: number, to: number): readonly (readonly [at: number, radius: number])[] {
  const within = sections.filter((it) => it.at > from && it.at < to).map((it) => it.at)
  return [from, ...within, to].map((at) => [at, radiusAt(sections, at)] as const)
}

/** Radius at a place, mm. */
export function radiusOf({ sections }: Seen, at: number): number {
  return radiusAt(sections, at)
}

/** How far an object with its handle reaches to either side as it is seen from its end and turned for its work, mm. */
export function halfOfEnd(seen: Seen): number {
  const { handle, widest } = seen
  if (handle === null) return widest / 2
  const half = halfWork(seen)
  const [low, high] = [handle.at - half, handle.at + half]
  const isAcross = [0.5, 1.5].some((it) => it * Math.PI >= low && it * Math.PI <= high)
  const aside = isAcross ? 1 : Math.max(Math.abs(Math.sin(low)), Math.abs(Math.sin(high)))
  return Math.max(widest / 2, (radiusOf(seen, (handle.from + handle.to) / 2) + handle.out) * aside)
}

/** Half the angle that the work takes about the axis, rad; 0 while nobody has said. */
export function halfWork(seen: Seen): number {
  const { work } = seen
  if (work?.around == null) return 0
  return Math.min(Math.PI, work.around / (2 * radiusOf(seen, (work.from + work.to) / 2)))
}
