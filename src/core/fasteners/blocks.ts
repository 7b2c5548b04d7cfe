/** A carriage block of a miniature rail: its holes stand in a rectangle. */
export interface Block {
  readonly name: string
  /** Between holes across the rail and along it, mm. */
  readonly acrossMm: number
  readonly alongMm: number
  readonly screw: string
}

/** Blocks that look alike until both distances are read. Source: catalogues of miniature rails (from memory). */
export const BLOCKS: readonly Block[] = [
  { name: 'rail 7, short', acrossMm: 12, alongMm: 8, screw: 'M2' },
  { name: 'rail 7, long', acrossMm: 12, alongMm: 13, screw: 'M2' },
  { name: 'rail 9, short', acrossMm: 15, alongMm: 10, screw: 'M3' },
  { name: 'rail 9, long', acrossMm: 15, alongMm: 16, screw: 'M3' },
  { name: 'rail 12, short', acrossMm: 20, alongMm: 15, screw: 'M3' },
  { name: 'rail 12, long', acrossMm: 20, alongMm: 20, screw: 'M3' },
  { name: 'rail 15, short', acrossMm: 25, alongMm: 20, screw: 'M3' },
  { name: 'rail 15, long', acrossMm: 25, alongMm: 25, screw: 'M3' },
]

/** A block, and how far both readings are off it together. */
export interface BlockMatch {
  readonly block: Block
  /** Larger of both differences, mm. */
  readonly offMm: number
}

/** The blocks nearest to two readings, nearest first. @param acrossMm @param alongMm mm, as read. */
export function nearestBlocks(acrossMm: number, alongMm: number): readonly BlockMatch[] {
  return BLOCKS.map((block) => ({
    block,
    offMm: Math.max(Math.abs(acrossMm - block.acrossMm), Math.abs(alongMm - block.alongMm)),
  })).sort((p, q) => p.offMm - q.offMm)
}
