import { sayQuantity, sayShare } from '../units'

/**
 * The sentence with which a calibration ends, to be printed and pinned up.
 * @param steps Now in the machine, steps/mm, with its ± (95 %). @param error Of the size before, as a share.
 */
export function closingSentence(letter: string, steps: number, expanded: number, error: number): string {
  const was =
    Math.abs(error) < 5e-6 ? 'work was to size' : `work was ${sayShare(Math.abs(error))} ${error < 0 ? 'small' : 'large'}`
  return `${letter} is now ${sayQuantity(steps, expanded, 'steps/mm')}; ${was}; repeat after a change of belt, pulley or microsteps.`
}
