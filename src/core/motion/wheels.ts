/** Whether the carriage tilts on its bar. */
export const ROCKS = { no: 'does not rock', yes: 'rocks' } as const
/** How it rolls with nothing that drives it. */
export const ROLLS = { freely: 'rolls freely', drags: 'drags', sticks: 'sticks in places' } as const
/** What a wheel does under a finger while the carriage is held. */
export const TURNS = {
  free: 'turns with no effort',
  holds: 'turns, with some effort',
  fast: 'cannot be turned',
} as const

/** What a rolling test found. */
export interface Rolling {
  readonly rock: keyof typeof ROCKS
  readonly roll: keyof typeof ROLLS
  readonly turn: keyof typeof TURNS
}

/** What to do with the eccentrics after it. */
export type WheelAdvice = 'leave' | 'tighten' | 'loosen' | 'not the eccentrics'

/**
 * Whether an eccentric is left or adjusted after a rolling test: play or a wheel that slips asks for more, a carriage that
 * drags or a wheel that cannot be turned for less; both at once, or one that sticks in places alone, is something else.
 * Valid: wheels with eccentrics on bars. Source: setting of wheeled carriages (common practice).
 * @example wheelAdvice({ rock: 'yes', roll: 'freely', turn: 'free' }) // 'tighten'
 */
export function wheelAdvice({ rock, roll, turn }: Rolling): WheelAdvice {
  const loose = rock === 'yes' || turn === 'free'
  const tight = roll === 'drags' || turn === 'fast'
  if (loose && tight) return 'not the eccentrics'
  if (roll === 'sticks') return tight ? 'loosen' : 'not the eccentrics'
  return loose ? 'tighten' : tight ? 'loosen' : 'leave'
}
