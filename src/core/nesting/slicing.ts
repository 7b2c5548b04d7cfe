/** A rectangle that is cut out, by its sides along and across the sheet, mm. */
export interface Slice {
  readonly along: number
  readonly across: number
  readonly of: Sliced
}

/** A panel as it lies, or two pieces that one cut parts: one after the other along the sheet, or across it. */
export type Sliced =
  | { readonly kind: 'panel'; readonly index: number; readonly isTurned: boolean }
  | { readonly kind: 'cut'; readonly way: 'along' | 'across'; readonly first: Slice; readonly second: Slice }

/** A panel's sides; one that may not be turned keeps its grain along the sheet. */
export interface SliceItem {
  readonly along: number
  readonly across: number
  readonly mayTurn: boolean
}

/**
 * The smallest rectangles that hold each set of panels when every cut goes from edge to edge: those of which none is smaller both ways. @param items At most a dozen. @param most Sides that nothing may exceed, mm. @param kerf mm.
 * @returns By set, bit k for item k. Valid: any order and depth of cuts. Source: slicing trees: what a set can be is what two parts of it can be, side by side or one above the other.
 */
export function slicesOf(
  items: readonly SliceItem[],
  most: { readonly along: number; readonly across: number },
  kerf: number,
): readonly (readonly Slice[])[] {
  const sets = 2 ** items.length
  const found: (readonly Slice[])[] = Array.from({ length: sets }, () => [])
  for (let set = 1; set < sets; set++) {
    const least: Slice[] = []
    const lowest = set & -set
    if (set === lowest) for (const it of layings(items, Math.log2(set))) keepLeast(least, it, most)
    // Each parting once: the part with the lowest item first.
    for (let part = (set - 1) & set; part > 0; part = (part - 1) & set) {
      if ((part & lowest) === 0) continue
      for (const first of found[part] ?? [])
        for (const second of found[set ^ part] ?? []) {
          const [p, q] = [first.along + kerf + second.along, Math.max(first.across, second.across)]
          keepLeast(least, { along: p, across: q, of: { kind: 'cut', way: 'along', first, second } }, most)
          const [r, s] = [Math.max(first.along, second.along), first.across + kerf + second.across]
          keepLeast(least, { along: r, across: s, of: { kind: 'cut', way: 'across', first, second } }, most)
        }
    }
    found[set] = least
  }
  return found
}

function layings(items: readonly SliceItem[], index: number): readonly Slice[] {
  const item = items[index]
  if (item === undefined) return []
  const { along, across, mayTurn } = item
  const lies: Slice = { along, across, of: { kind: 'panel', index, isTurned: false } }
  return mayTurn && along !== across
    ? [lies, { along: across, across: along, of: { kind: 'panel', index, isTurned: true } }]
    : [lies]
}

/** Room for what a sum of lengths rounds to, mm. */
const ROUNDS = 1e-6

/** Keeps a rectangle unless one that is kept is no larger either way; drops those that it makes needless. */
function keepLeast(least: Slice[], it: Slice, most: { readonly along: number; readonly across: number }): void {
  if (it.along > most.along + ROUNDS || it.across > most.across + ROUNDS) return
  if (least.some((other) => other.along <= it.along && other.across <= it.across)) return
  for (let k = least.length - 1; k >= 0; k--) {
    const other = least[k] as Slice
    if (it.along <= other.along && it.across <= other.across) least.splice(k, 1)
  }
  least.push(it)
}

/** A rectangle on a sheet, from its low corner, mm. */
export interface OnSheet {
  readonly x: number
  readonly y: number
  readonly along: number
  readonly across: number
}

/** A saw cut through a whole piece, from edge to edge: `along` parts it into one after the other along the sheet. */
export interface SawCut {
  readonly piece: OnSheet
  readonly way: 'along' | 'across'
  /** Where the blade begins, from the low edge of the piece, mm. */
  readonly at: number
  /** 0 for cuts through the sheet, one more for each that a piece was cut out by before. */
  readonly depth: number
}

/** A tree of cuts laid into a piece of sheet. */
export interface LaidOut {
  readonly panels: readonly { readonly index: number; readonly isTurned: boolean; readonly place: OnSheet }[]
  readonly cuts: readonly SawCut[]
  readonly rests: readonly OnSheet[]
}

/** Lays a tree into a piece of sheet, what is left cut off so that its largest rest stays in one piece. @param kerf mm. Valid: a piece no smaller than the tree. Source: by definition. */
export function layOutSlices(slice: Slice, piece: OnSheet, kerf: number, depth = 0): LaidOut {
  const freed = cutFree(slice, piece, kerf, depth)
  const own = freed.piece
  const { of } = slice
  if (of.kind === 'panel')
    return { panels: [{ index: of.index, isTurned: of.isTurned, place: own }], cuts: freed.cuts, rests: freed.rests }
  const below = freed.cuts.reduce((most, it) => Math.max(most, it.depth + 1), depth)
  const at = of.way === 'along' ? of.first.along : of.first.across
  const [low, high] = parted(own, of.way, at, kerf)
  const [p, q] = [layOutSlices(of.first, low, kerf, below + 1), layOutSlices(of.second, high, kerf, below + 1)]
  return {
    panels: [...p.panels, ...q.panels],
    cuts: [...freed.cuts, { piece: own, way: of.way, at, depth: below }, ...p.cuts, ...q.cuts],
    rests: [...freed.rests, ...p.rests, ...q.rests],
  }
}

/** The two pieces that a cut leaves. @param at Where the blade begins, mm. @param kerf mm. Valid: a cut within the piece. Source: by definition. */
export function parted(piece: OnSheet, way: 'along' | 'across', at: number, kerf: number): readonly [OnSheet, OnSheet] {
  return way === 'along'
    ? [
        { ...piece, along: at },
        { ...piece, x: piece.x + at + kerf, along: piece.along - at - kerf },
      ]
    : [
        { ...piece, across: at },
        { ...piece, y: piece.y + at + kerf, across: piece.across - at - kerf },
      ]
}

/** Cuts what is larger than a tree off its piece: across first or along first, whichever leaves the larger rest. */
function cutFree(
  slice: Slice,
  piece: OnSheet,
  kerf: number,
  depth: number,
): { readonly piece: OnSheet; readonly cuts: readonly SawCut[]; readonly rests: readonly OnSheet[] } {
  const orders = (
    [
      ['along', 'across'],
      ['across', 'along'],
    ] as const
  ).map((ways) => {
    let own = piece
    const cuts: SawCut[] = []
    const rests: OnSheet[] = []
    for (const way of ways) {
      if (own[way] - slice[way] <= ROUNDS) continue
      cuts.push({ piece: own, way, at: slice[way], depth: depth + cuts.length })
      const [kept, rest] = parted(own, way, slice[way], kerf)
      own = kept
      // What the blade takes whole leaves nothing.
      if (rest.along > 0 && rest.across > 0) rests.push(rest)
    }
    return { piece: own, cuts, rests }
  })
  const largest = (it: { readonly rests: readonly OnSheet[] }): number =>
    Math.max(0, ...it.rests.map((one) => one.along * one.across))
  const [p, q] = orders as [(typeof orders)[0], (typeof orders)[0]]
  return largest(q) > largest(p) ? q : p
}
