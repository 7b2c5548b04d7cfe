import { requireInRange } from '../units'

/** A box that is laid out, mm. */
export interface StripItem {
  readonly id: string
  readonly width: number
  readonly height: number
  /** Whether it may be turned by a quarter. */
  readonly turns: boolean
}

/** Where a box lies: its lower left corner, mm, and whether it is turned. */
export interface StripPlace {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly isTurned: boolean
}

/** Boxes laid out over a width, as low as they go. */
export interface StripPlan {
  readonly places: readonly StripPlace[]
  /** Top of the highest, mm. */
  readonly height: number
  /** No plan is lower than this, mm: by area, or by the highest box. */
  readonly bound: number
}

/** Rounds in which the order of boxes is changed: the more boxes, the fewer. */
const WORK = 60_000

/**
 * Lays boxes out over a width so that they take as little height as can be found. @param gap Between boxes, mm; 0 or more.
 * @param seed Of the search; the same gives the same plan.
 * @throws {RangeError} where the width is not more than 0, or a box is wider than it either way.
 * Valid: boxes along the axes. Source: skyline, lowest place first (Burke, Kendall and Whitwell 2004, from memory), over orders that are
 * changed by swaps and moves and kept when they are no worse.
 */
export function packStrip(items: readonly StripItem[], width: number, gap: number, seed = 1): StripPlan {
  requireInRange('width', width, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  requireInRange('gap', gap, 0, Number.MAX_VALUE, 'mm')
  const wide = items.find((it) => Math.min(it.width, it.turns ? it.height : it.width) > width + 1e-9)
  if (wide !== undefined) throw new RangeError(`“${wide.id}” is wider than the ${width} mm that there are`)
  // A gap is kept to the right of each and above it: the width has one more to spare.
  const packer = new Packer(items, width + gap, gap)
  return { ...packer.search(seed), bound: boundOf(items, width, gap) }
}

function boundOf(items: readonly StripItem[], width: number, gap: number): number {
  const area = items.reduce((sum, it) => sum + (it.width + gap) * (it.height + gap), 0)
  const highest = Math.max(0, ...items.map((it) => (it.turns && it.height <= width ? Math.min(it.width, it.height) : it.height)))
  return items.length === 0 ? 0 : Math.max(highest, area / (width + gap) - gap)
}

interface Laid {
  readonly places: readonly StripPlace[]
  readonly height: number
  /** Lower is better: height first, then how level the top is. */
  readonly cost: number
}

class Packer {
  constructor(
    private readonly items: readonly StripItem[],
    private readonly width: number,
    private readonly gap: number,
  ) {}

  search(seed: number): Pick<StripPlan, 'places' | 'height'> {
    const { items } = this
    if (items.length === 0) return { places: [], height: 0 }
    const by = (value: (it: StripItem) => number): readonly number[] =>
      items.map((_, i) => i).sort((p, q) => value(items[q] as StripItem) - value(items[p] as StripItem))
    const orders = [
      by((it) => it.height),
      by((it) => it.width),
      by((it) => it.width * it.height),
      by((it) => Math.max(it.width, it.height)),
      by((it) => it.width + it.height),
    ]
    let order = orders[0] as readonly number[]
    let best = this.lay(order)
    for (const other of orders.slice(1)) {
      const laid = this.lay(other)
      if (laid.cost < best.cost) [order, best] = [other, laid]
    }
    let state = seed >>> 0
    const draw = (below: number): number => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0
      return Math.floor((state / 2 ** 32) * below)
    }
    let [current, now] = [order, best]
    const rounds = items.length < 2 ? 0 : Math.ceil(WORK / items.length)
    for (let round = 0; round < rounds; round++) {
      const next = changed(current, draw)
      const laid = this.lay(next)
      // A little worse is taken now and then, less and less, so that it does not stay in a hollow.
      const leave = 0.006 * (1 - round / rounds) * now.cost
      if (laid.cost <= now.cost + (draw(100) < 10 ? leave : 0)) [current, now] = [next, laid]
      if (now.cost < best.cost) best = now
    }
    return { places: best.places, height: best.height }
  }

  /** Fills the lowest place first: with what fits it exactly, else with the first of the order that fits; else it is given up. */
  private lay(order: readonly number[]): Laid {
    let sky: readonly SkyPart[] = [{ x: 0, y: 0, width: this.width }]
    const places: StripPlace[] = []
    const left = [...order]
    let height = 0
    while (left.length > 0) {
      const low = lowest(sky)
      const found = this.fitting(left, low.width)
      if (found === null) {
        sky = withoutHollow(sky, low)
        continue
      }
      const item = this.items[left[found.at] as number] as StripItem
      left.splice(found.at, 1)
      const [w, h] = found.isTurned ? [item.height, item.width] : [item.width, item.height]
      // Against the higher neighbour, so that what is left over is one piece.
      const k = sky.indexOf(low)
      const isRight = (sky[k + 1]?.y ?? Infinity) > (sky[k - 1]?.y ?? Infinity) && k + 1 < sky.length
      const x = isRight ? low.x + low.width - w - this.gap : low.x
      places.push({ id: item.id, x, y: low.y, isTurned: found.isTurned })
      height = Math.max(height, low.y + h)
      sky = raised(sky, x, w + this.gap, low.y + h + this.gap)
    }
    const level = sky.reduce((sum, it) => sum + it.width * it.y, 0) / this.width
    return { places, height, cost: height + 0.01 * level }
  }

  private fitting(left: readonly number[], room: number): { readonly at: number; readonly isTurned: boolean } | null {
    let first: { at: number; isTurned: boolean } | null = null
    for (let at = 0; at < left.length; at++) {
      const { width, height, turns } = this.items[left[at] as number] as StripItem
      for (const isTurned of turns && width !== height ? [false, true] : [false]) {
        const over = room - (isTurned ? height : width) - this.gap
        if (Math.abs(over) < 1e-6) return { at, isTurned }
        if (over > 0) first ??= { at, isTurned }
      }
    }
    return first
  }
}

interface SkyPart {
  readonly x: number
  readonly y: number
  readonly width: number
}

function lowest(sky: readonly SkyPart[]): SkyPart {
  return sky.reduce((p, q) => (q.y < p.y - 1e-9 ? q : p))
}

/** The skyline with a place that nothing fits filled up to its lower neighbour. */
function withoutHollow(sky: readonly SkyPart[], low: SkyPart): readonly SkyPart[] {
  const k = sky.indexOf(low)
  const up = Math.min(sky[k - 1]?.y ?? Infinity, sky[k + 1]?.y ?? Infinity)
  return raised(sky, low.x, low.width, up)
}

/** The skyline with a piece of it raised; like heights side by side are one. */
function raised(
  sky: readonly { readonly x: number; readonly y: number; readonly width: number }[],
  x: number,
  width: number,
  y: number,
) {
  const end = x + width
  const parts: { x: number; y: number; width: number }[] = []
  const add = (from: number, to: number, at: number): void => {
    if (to - from < 1e-9) return
    const last = parts.at(-1)
    if (last !== undefined && Math.abs(last.y - at) < 1e-9) last.width += to - from
    else parts.push({ x: from, y: at, width: to - from })
  }
  let isDone = false
  for (const it of sky) {
    const stop = it.x + it.width
    add(it.x, Math.min(stop, x), it.y)
    if (!isDone && stop > x) {
      add(x, end, y)
      isDone = true
    }
    add(Math.max(it.x, end), stop, it.y)
  }
  return parts
}

/** An order with two swapped, or one moved. */
function changed(order: readonly number[], draw: (below: number) => number): readonly number[] {
  const next = [...order]
  const [i, j] = [draw(order.length), draw(order.length)]
  if (draw(2) === 0) [next[i], next[j]] = [next[j] as number, next[i] as number]
  else next.splice(j, 0, ...next.splice(i, 1))
  return next
}
