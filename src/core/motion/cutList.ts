import type { See, When } from '../bench'
import type { Drive } from './axisSlice'
import type { Guides, Kinematics } from './kinematics'

/** Bars of a frame: name, how many. */
export const BARS = {
  front: { name: 'Front and back bar', count: 2 },
  side: { name: 'Side bar', count: 2 },
  gantry: { name: 'Gantry beam', count: 1 },
} as const
export type BarId = keyof typeof BARS

/** Rails or shafts, by the axis that runs on them. */
export const GUIDES_OF = { x: 'along X', y: 'along Y' } as const
export type GuideId = keyof typeof GUIDES_OF

/** Plates: name, how many, what their two sides lie along. */
export const PLATES = {
  carriage: { name: 'Carriage plate', count: 1, sides: ['along X', 'along Y'] },
  end: { name: 'Gantry end plate', count: 2, sides: ['along Y', 'height'] },
  bed: { name: 'Plate of the bed', count: 1, sides: ['along X', 'along Y'] },
  head: { name: 'Plate that holds the head', count: 1, sides: ['along X', 'along Y'] },
} as const
export type PlateId = keyof typeof PLATES

/** What a machine is made from, as far as its dimension chain tells the lengths. */
export interface CutList {
  readonly bars: readonly BarId[]
  /** Rails or shafts of each axis, how many; none where wheels run on the bars. */
  readonly guides: readonly { readonly id: GuideId; readonly count: number }[]
  readonly plates: readonly PlateId[]
}

const NOTHING: CutList = { bars: [], guides: [], plates: ['head'] }

/**
 * What is cut for a machine. On one that is there, and under two mirrors, only the plate that holds the head is.
 * A rail carries a carriage alone, shafts come in pairs; both sides of the gantry, or of a moving bed, are guided.
 */
export function cutListOf(kinematics: Kinematics | null, guides: Guides | null): CutList {
  if (kinematics === 'retrofit' || kinematics === 'mirrors') return NOTHING
  const alongX = guides === 'shafts' ? 2 : 1
  return {
    bars: ['front', 'side', 'gantry'],
    guides:
      guides === 'rails' || guides === 'shafts'
        ? [
            { id: 'x', count: alongX },
            { id: 'y', count: 2 },
          ]
        : [],
    plates: ['carriage', 'end', 'bed'],
  }
}

/** What of an axis says whether a belt moves it. */
interface BeltedAxis {
  readonly id: string
  readonly letter: 'X' | 'Y' | 'Z'
  readonly drive: Drive | null
  readonly motors: number | null
}

/** Belts of an axis, how many; crossed ones go by the axis of their own motor, left X, right Y. */
export interface Belts {
  readonly axis: string
  readonly letter: 'X' | 'Y'
  readonly count: number
}

/** The belts that are cut for a machine: of the axes that scan, where it is built from bars; each motor pulls one. */
export function beltsOf(kinematics: Kinematics | null, axes: readonly BeltedAxis[]): readonly Belts[] {
  if (cutListOf(kinematics, null).bars.length === 0) return []
  return axes.flatMap(({ id, letter, drive, motors }) =>
    letter === 'Z' || (drive !== 'belt' && drive !== 'reducedBelt')
      ? []
      : [{ axis: id, letter, count: kinematics === 'crossed' ? 1 : (motors ?? 1) }],
  )
}

function listFor(see: See): CutList {
  return cutListOf(see('motion.kinematics') as Kinematics | null, see('motion.frame.guides') as Guides | null)
}

export const cutsBars: When = (see) => listFor(see).bars.length > 0
export const cutsGuides: When = (see) => listFor(see).guides.length > 0
export const cutsEndPlates: When = (see) => listFor(see).plates.includes('end')
