import type { StandInSpec } from './hidden'

/** Settings as the machine comes: right for its nominal drive train, with a maker's usual guesses for the rest. */
export function factorySettings({ nominalSteps, travel }: StandInSpec): Record<string, string> {
  return {
    'x/steps': nominalSteps.x.toFixed(3),
    'x/speed': '200.0',
    'x/acceleration': '500.0',
    'x/travel': travel.x.toFixed(1),
    'y/steps': nominalSteps.y.toFixed(3),
    'y/speed': '200.0',
    'y/acceleration': '500.0',
    'y/travel': travel.y.toFixed(1),
    'beam/full': '1000',
    'beam/frequency': '1000',
    'beam/follows': '0',
  }
}

const DECIMALS: Readonly<Record<string, number>> = { steps: 3, speed: 1, acceleration: 1, travel: 1 }

/** A value as the machine keeps it under a key; null where it does not take it. */
export function kept(key: string, text: string): string | null {
  const value = Number(text)
  const isTaken = text !== '' && Number.isFinite(value) && value >= 0 && (value > 0 || key === 'beam/follows')
  return isTaken ? value.toFixed(DECIMALS[key.split('/')[1] ?? ''] ?? 0) : null
}
