import type { UpkeepKind } from './slice'

/** What is usually looked after, and how often; everything stays open to change. */
export interface UsualUpkeep {
  readonly kind: UpkeepKind
  readonly name: string
  readonly hours: number | null
  readonly days: number | null
}

/** Intervals of upkeep on a machine at home. (common practice) */
export const USUAL_UPKEEP: readonly UsualUpkeep[] = [
  { kind: 'lens', name: 'Clean the lens or its window', hours: 10, days: 60 },
  { kind: 'rails', name: 'Wipe rails and wheels', hours: 25, days: 120 },
  { kind: 'belts', name: 'Pluck the belts, try pulley screws', hours: 50, days: 180 },
  { kind: 'fan', name: 'Clean fans, fins and grille', hours: 30, days: 120 },
  { kind: 'filter', name: 'Change the filter', hours: 100, days: 365 },
  { kind: 'tray', name: 'Empty the crumb tray', hours: 2, days: null },
  { kind: 'wires', name: 'Look over cables where they bend', hours: 100, days: 365 },
  { kind: 'window', name: 'Look over window and eyewear for scratches', hours: null, days: 90 },
]

/** Verdicts whose turning bad calls for a piece of upkeep, whatever its days say. */
export const CALLED_BY: Readonly<Partial<Record<UpkeepKind, readonly string[]>>> = {
  lens: ['optics.lensClean', 'optics.lightAsLabelled'],
  belts: ['motion.beltTight', 'motion.beltsAlike', 'calibrate.playSmall'],
  rails: ['motion.runsParallel', 'motion.wheelsSet'],
  filter: ['air.carries', 'air.letsGo'],
  fan: ['electrical.staysCool', 'electrical.diodeCool', 'air.fanHolds'],
}
