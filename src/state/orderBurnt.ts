import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Bench } from '../core/document'
import { burnLikeness, sheetsOf } from '../core/work'
import type { BurnSeen } from '../workers/burn.worker'
import type { PlannedProgram } from '../workers/work.worker'
import { bedFromAbove } from './machine'
import { burningOn, burnWorker, stopBurning } from './burnSeen'
import { delaysOf } from './cards'
import { DONE, told, type Told } from './told'

/** A work order that is seen burnt: its picture, and where that lies on the machine, mm. */
interface Burnt {
  readonly share: number | null
  readonly picture: ImageBitmap | null
  readonly box: Box | null
  /** The program that it shows. */
  readonly of: PlannedProgram | null
  readonly said: Told
  /** The sheet as the stand-in's camera sees it from above, and how alike the two are, 0…1; null while nobody has looked. */
  readonly came: { readonly picture: ImageBitmap; readonly likeness: number } | null
}

interface Box {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

export const useOrderBurnt = create<Burnt>()(() => ({ share: null, picture: null, box: null, of: null, said: DONE, came: null }))

/** Cells that are burnt at most, and their side where there is room, mm: half of a usual spot. */
const MOST_CELLS = 12_000_000
const FINE = 0.06

/** Burns a planned order into a map of dose and shows it on the sheet. @param perMm Cells to a millimetre that are looked at. */
export async function seeOrderBurnt(bench: Bench, program: PlannedProgram, perMm: number): Promise<void> {
  const { work } = bench
  const [width, height] = [work.sheetWidth.value, work.sheetHeight.value]
  const bounds = program.burntBounds
  if (bounds === null) return
  const box =
    width === null || height === null
      ? { left: bounds.minX - 3, bottom: bounds.minY - 3, right: bounds.maxX + 3, top: bounds.maxY + 3 }
      : boxOfSheets(sheetsOf(work), width, height)
  const ask = burningOn(bench, work.material, delaysOf(bench))
  if (!ask.ok) {
    useOrderBurnt.setState({ said: ask.findings, share: null })
    return
  }
  const area = (box.right - box.left) * (box.top - box.bottom)
  const shown = 1 / perMm
  const every = Math.max(1, Math.round(shown / Math.max(FINE, Math.sqrt(area / MOST_CELLS))))
  const pitch = shown / every
  const mine = ++burns
  useOrderBurnt.setState({ share: 0, said: DONE })
  try {
    const speed = program.burntLength / Math.max(1e-6, program.time.burning)
    const onProgress = Comlink.proxy((share: number) => {
      if (mine === burns) useOrderBurnt.setState({ share })
    })
    const seen = await burnWorker().burn({ ...ask.value, box, pitch, every, speed, text: program.text }, onProgress)
    if (seen === null) return
    if (!seen.ok) useOrderBurnt.setState({ said: seen.findings })
    else {
      foretold = seen.value.light
      useOrderBurnt.setState({ picture: seen.value.picture, box, of: program, came: null })
    }
  } catch {
    useOrderBurnt.setState({
      said: told('The burn could not be worked: the memory of this browser may be full. Make the order smaller.'),
    })
  } finally {
    // One that was overtaken says nothing of the one that is burnt now.
    if (mine === burns) useOrderBurnt.setState({ share: null })
  }
}

/** The box around sheets by their lower left corners, mm. */
function boxOfSheets(corners: readonly { readonly x: number; readonly y: number }[], width: number, height: number): Box {
  const [xs, ys] = [corners.map((it) => it.x), corners.map((it) => it.y)]
  return { left: Math.min(...xs), bottom: Math.min(...ys), right: Math.max(...xs) + width, top: Math.max(...ys) + height }
}

/** Counts burns: only the last is shown. */
let burns = 0

/** The burn that was foretold, as luminances. */
let foretold: BurnSeen['light'] | null = null

/** Pixels of about this side are compared, mm: finer things move with the play of the machine. */
const COMPARED = 1

/** Looks at the stand-in's bed from above and holds it against what was foretold. @returns What stands in the way. */
export async function lookAtOutcome(): Promise<Told> {
  const { box } = useOrderBurnt.getState()
  if (box === null || foretold === null)
    return told('The burn has not been worked on the screen yet: wait until it stands on the sheet.')
  const pitch = (box.right - box.left) / foretold.width
  const seen = await bedFromAbove(box, pitch)
  if (seen === null) return told('No stand-in is connected: its camera sees nothing.')
  const light = { width: seen.columns, height: seen.rows, values: seen.luminance }
  const every = Math.max(1, Math.round(COMPARED / pitch))
  const alike = burnLikeness(foretold, light, every)
  if (alike === null) return told('Neither the order nor the sheet shows a burn.')
  const picture = await burnWorker().paint(light)
  useOrderBurnt.setState({ came: { picture, likeness: alike } })
  return DONE
}

/** Shows what was foretold again. */
export function lookAtForetold(): void {
  useOrderBurnt.setState({ came: null })
}

/** Gives up what is being burnt. */
export function stopOrderBurn(): void {
  stopBurning()
}
