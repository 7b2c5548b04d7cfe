import type { Bench } from '../../core/document'
import type { SeenBox } from './seen'

/** A block of a view from the front or from the left, mm: across from the view’s inner corner, and above the floor. */
export interface BoxBlock {
  readonly x0: number
  readonly z0: number
  readonly x1: number
  readonly z1: number
  readonly words: string
}

/** Where the beam is or can be, as a view shows it: from and to across, at a height, mm. */
export interface WorkSpan {
  readonly low: number
  readonly high: number
  readonly at: number
}

/** What stands in the box as one view shows it. */
export interface BoxInside {
  readonly blocks: readonly BoxBlock[]
  readonly work: readonly WorkSpan[]
}

const EMPTY: BoxInside = { blocks: [], work: [] }
const feetOf = ({ rotary }: Bench): number => rotary.stack.feet.value ?? 0

/** From the front: the machine in the middle. */
export function insideFromFront(bench: Bench, { x, patches }: Pick<SeenBox, 'x' | 'patches'>): BoxInside {
  const { machineX, machineZ } = bench.housing.needs
  if (machineX.value === null || machineZ.value === null) return EMPTY
  const left = (x - machineX.value) / 2
  const [z0, z1] = [feetOf(bench), feetOf(bench) + machineZ.value]
  return {
    blocks: [{ x0: left, z0, x1: left + machineX.value, z1, words: 'machine' }],
    work: patches.map(({ low, high, at }) => ({ low: low[0], high: high[0], at })),
  }
}

/** From the left: the back at the left, the front at the right. The machine stands towards the back, its cables behind it. */
export function insideFromLeft(bench: Bench, { y, patches }: Pick<SeenBox, 'y' | 'patches'>): BoxInside {
  const { machineY, machineZ, loopBehind } = bench.housing.needs
  if (machineY.value === null || machineZ.value === null) return EMPTY
  const behind = loopBehind.value ?? 0
  const [z0, z1] = [feetOf(bench), feetOf(bench) + machineZ.value]
  return {
    blocks: [
      { x0: 0, z0, x1: behind, z1, words: behind > 0 ? 'cables' : '' },
      { x0: behind, z0, x1: behind + machineY.value, z1, words: 'machine' },
    ],
    work: patches.map(({ low, high, at }) => ({ low: y - high[1], high: y - low[1], at })),
  }
}

/** What the camera sees from under the roof, from the front: left on the bed, its lens, right on the bed, mm; null where there is none. */
export function cameraCone(
  bench: Bench,
  { x, z }: Pick<SeenBox, 'x' | 'z'>,
): readonly (readonly [x: number, z: number])[] | null {
  const { camera, cameraSees, bedOver, cameraBody } = bench.housing.needs
  if (camera.chosen !== 'yes' || cameraSees.value === null || bedOver.value === null) return null
  const bed = bedOver.value + feetOf(bench)
  const half = cameraSees.value / 2
  return [
    [x / 2 - half, bed],
    [x / 2, z - (cameraBody.value ?? 0)],
    [x / 2 + half, bed],
  ]
}
