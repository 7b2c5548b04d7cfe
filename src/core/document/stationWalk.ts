import type { Step } from '../gcode'
import { stationOutline, type StationShape } from '../rotary'
import { accepted, refused, type Outcome } from '../units'
import { boundsSteps } from '../work'
import type { Bench } from './bench'

/** Rounds that are walked: time enough to turn the plate until the slot lies under them. */
const ROUNDS = 5

/** How the outline of station 1 is walked. */
export interface StationWalk {
  readonly steps: readonly Step[]
  /** Corners of the outline, mm. */
  readonly outline: readonly { readonly x: number; readonly y: number }[]
}

/**
 * Walks the outline of station 1 around the middle of the order's sheet at sighting power, so that the plate is turned to it.
 * @returns The steps, or which size is missing and where it is entered. @throws never for a valid bench.
 */
export function stationWalk({ rotary, work, calibrate }: Bench): Outcome<StationWalk> {
  const { plate, stack } = rotary
  const isDisc = plate.shape.chosen === 'disc'
  const missing = (
    [
      ['rotary.plate.size', plate.size],
      ...(isDisc ? [] : ([['rotary.plate.slotLength', plate.slotLength]] as const)),
      ['work.sheetWidth', work.sheetWidth],
      ['work.sheetHeight', work.sheetHeight],
      ['work.sheetX', work.sheetX],
      ['work.sheetY', work.sheetY],
      ['calibrate.sightPower', calibrate.sightPower],
    ] as const
  ).find(([, it]) => it.value === null)
  if (missing !== undefined) {
    const what =
      missing[0] === 'calibrate.sightPower'
        ? 'Enter the power that is seen and does not mark: the outline is walked with it.'
        : missing[0].startsWith('work.')
          ? 'Enter the size of the order’s sheet and where it lies: its middle lies at station 1.'
          : 'Enter how large a station is.'
    return refused('no-outline', what, { path: missing[0] })
  }
  const of = (it: { readonly value: number | null }): number => it.value ?? 0
  const shape: StationShape = isDisc
    ? { kind: 'disc', across: of(plate.size) }
    : { kind: 'slot', across: of(plate.size), length: of(plate.slotLength) }
  const middle = { x: of(work.sheetX) + of(work.sheetWidth) / 2, y: of(work.sheetY) + of(work.sheetHeight) / 2 }
  const outline = stationOutline(shape, middle, stack.axisLies.chosen === 'y' ? 'y' : 'x')
  const round = boundsSteps(outline, of(calibrate.sightPower), calibrate.markSpeed.value ?? 20)
  const [remark, toStart, ...lines] = round
  if (remark === undefined || toStart === undefined) return accepted({ steps: [], outline })
  const laps = Array.from({ length: ROUNDS }, () => lines).flat()
  return accepted({ steps: [{ kind: 'remark', text: 'Outline of station 1' }, toStart, ...laps], outline })
}
