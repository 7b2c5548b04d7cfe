/** Logic families as they are spoken of. */
export const LOGIC_NAMES = { lvttl: '3.3 V logic', ttl: '5 V, TTL levels', cmos5: '5 V, CMOS levels' } as const
export type LogicId = keyof typeof LOGIC_NAMES
