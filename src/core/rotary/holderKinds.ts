/** Parts that hold or drive a round thing, cut from sheet. */
export const HOLDER_KINDS = ['centring', 'stepped', 'cup', 'backing', 'friction', 'hub', 'rollerEnd', 'driveRing'] as const
export type HolderKind = (typeof HOLDER_KINDS)[number]
