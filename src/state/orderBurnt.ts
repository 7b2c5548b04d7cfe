import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Bench } from '../core/document'
import type { PlannedProgram } from '../workers/work.worker'
import { burningOn, burnWorker, stopBurning } from './burnSeen'
import { delaysOf } from './workPlan'
import { DONE, told, type Told } from './told'

/** A work order that is seen burnt: its picture, and where that lies on the machine, mm. */
interface Burnt {
  readonly share: number | null
  readonly picture: ImageBitmap | null
  readonly box: Box | null
  /** The program that it shows. */
  readonly of: PlannedProgram | null
  readonly said: Told
}

interface Box {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

export const useOrderBurnt = create<Burnt>()(() => ({ share: null, picture: null, box: null, of: null, said: DONE }))

/** Cells that are burnt at most, and their side where there is room, mm: half of a usual spot. */
const MOST_CELLS = 12_000_000
const FINE = 0.06

/** Burns a planned order into a map of dose and shows it on the sheet. @param perMm Cells to a millimetre that are looked at. */
export async function seeOrderBurnt(bench: Bench, program: PlannedProgram, perMm: number): Promise<void> {
  const { work } = bench
  const [left, bottom] = [work.sheetX.value ?? 0, work.sheetY.value ?? 0]
  const [width, height] = [work.sheetWidth.value, work.sheetHeight.value]
  const bounds = program.burntBounds
  if (bounds === null) return
  const box =
    width === null || height === null
      ? { left: bounds.minX - 3, bottom: bounds.minY - 3, right: bounds.maxX + 3, top: bounds.maxY + 3 }
      : { left, bottom, right: left + width, top: bottom + height }
  const ask = burningOn(bench, work.material, delaysOf(bench))
  if (typeof ask === 'string') {
    useOrderBurnt.setState({ said: told(ask), share: null })
    return
  }
  const area = (box.right - box.left) * (box.top - box.bottom)
  const shown = 1 / perMm
  const every = Math.max(1, Math.round(shown / Math.max(FINE, Math.sqrt(area / MOST_CELLS))))
  const pitch = shown / every
  useOrderBurnt.setState({ share: 0, said: DONE })
  try {
    const speed = program.burntLength / Math.max(1e-6, program.time.burning)
    const onProgress = Comlink.proxy((share: number) => useOrderBurnt.setState({ share }))
    const seen = await burnWorker().burn({ ...ask, box, pitch, every, speed, text: program.text }, onProgress)
    if (seen === null) return
    if (!seen.ok) useOrderBurnt.setState({ said: seen.findings })
    else useOrderBurnt.setState({ picture: seen.value.picture, box, of: program })
  } catch {
    useOrderBurnt.setState({
      said: told('The burn could not be worked: the memory of this browser may be full. Make the order smaller.'),
    })
  } finally {
    useOrderBurnt.setState({ share: null })
  }
}

/** Gives up what is being burnt. */
export function stopOrderBurn(): void {
  stopBurning()
}
