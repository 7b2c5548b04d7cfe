/**
 * What a bench of version 1 gets when it becomes one of version 2, as it was then: later changes of the template do not
 * reach it.
 */
export function laterSlicesOfVersion2(axisIds: readonly string[]): Record<string, unknown> {
  return {
    controller: {
      axes: Object.fromEntries(
        axisIds.map((id) => [
          id,
          { steps: blank('steps/mm'), topSpeed: blank('mm/s'), acceleration: blank('mm/s2'), travel: blank('mm') },
        ]),
      ),
      beam: {
        fullPower: blank('count'),
        pwmFrequency: blank('Hz'),
        followsSpeed: { chosen: null, origin: 'assumed', doubt: EXACT },
      },
      keys: {},
      line: '{key} = {value}',
      speedUnit: 'mm/s',
    },
    electrical: {
      timerClock: blank('MHz'),
      pwmFrequency: guess(1000, '1', 'kHz', { kind: 'halfWidth', a: 100 }),
      fullPower: guess(1000, '1000', 'count', { kind: 'alternatives', others: [255, 100] }),
      followsSpeed: { chosen: 'no', origin: 'assumed', doubt: EXACT },
    },
    calibrate: {
      wantedShare: guess(0.001, '0.1', 'percent', EXACT),
      sightPower: guess(0.01, '1', 'percent', EXACT),
      rampTo: guess(0.3, '30', 'percent', EXACT),
      markPower: blank('percent'),
      markSpeed: guess(20, '20', 'mm/s', EXACT),
      startX: guess(12, '12', 'mm', EXACT),
      startY: guess(12, '12', 'mm', EXACT),
      runs: {},
      applied: {},
    },
    output: {
      card: {
        name: 'Plain words',
        about: 'Power as the S word, the beam as the spindle clockwise. Edit it to what your controller wants.',
        units: 'mm',
        decimals: 3,
        powerDecimals: 0,
        header: '',
        footer: 'M2',
        beamOn: 'M3 S{power}',
        beamOff: 'M5',
        dwell: 'G4 P{seconds}',
      },
    },
  }
}

const EXACT = { kind: 'exact' }

function guess(value: number, typed: string, typedUnit: string, doubt: object): object {
  return { value, typed, typedUnit, origin: 'assumed', doubt }
}

function blank(typedUnit: string): object {
  return { value: null, typed: '', typedUnit, origin: 'assumed', doubt: EXACT }
}
