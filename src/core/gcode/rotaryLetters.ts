/** Letters of rotary axes. Source: NISTIR 6556, 2.1.1 (from memory). */
export const ROTARY_LETTERS = ['A', 'B', 'C'] as const
export type RotaryLetter = (typeof ROTARY_LETTERS)[number]
