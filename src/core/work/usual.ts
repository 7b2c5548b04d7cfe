import type { Piece, Way } from './slice'

/**
 * Numbers to begin with, until the material says better: a head of some 5 W on thin plywood.
 * Valid: any way. Source: common practice.
 */
export function usualFor(does: Way['does'], kind: Piece['kind']): Partial<Way> {
  if (does === 'cut') return { power: 1, speed: 5, passes: 1, lead: 1 }
  if (kind === 'picture') return { power: 1, speed: 50, toning: 'grey' }
  return does === 'fill' ? { power: 0.6, speed: 50 } : { power: 0.5, speed: 25 }
}
