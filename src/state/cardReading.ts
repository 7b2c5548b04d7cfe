import * as Comlink from 'comlink'
import { create } from 'zustand'
import { bareToneOf, cardCells, type CardShape } from '../core/burn'
import type { Bench } from '../core/document'
import { EYE_U, layoutCard, MARK, middleOf, type Picture } from '../core/testcard'
import type { CardSeen, CardWorker } from '../workers/card.worker'
import { useBenchStore } from './benchStore'
import { sayCells, takeTones } from './cards'
import { lookAtStandIn, photographStandIn } from './machine'
import { told, type Told } from './told'

/** Pictures of cards as seen straight on, while this page lives; and the card that is being read. */
interface Seen {
  readonly pictures: Readonly<Record<string, ImageBitmap>>
  readonly reading: string | null
}

export const useCardPictures = create<Seen>()(() => ({ pictures: {}, reading: null }))

let at: { readonly worker: Worker; readonly remote: Comlink.Remote<CardWorker> } | null = null

function remote(): Comlink.Remote<CardWorker> {
  if (at === null) {
    const worker = new Worker(new URL('../workers/card.worker.ts', import.meta.url), { type: 'module' })
    at = { worker, remote: Comlink.wrap<CardWorker>(worker) }
  }
  return at.remote
}

/** Gives a reading up: what it was at is thrown away. */
export function stopReading(): void {
  at?.worker.terminate()
  at = null
  useCardPictures.setState({ reading: null })
}

/**
 * Reads a card of the open bench from a picture and takes the tones over. @returns What stands in the way, or what to beware of.
 */
export async function readCardPicture(materialId: string, cardId: string, source: Blob | Picture): Promise<Told> {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  const card = material?.cards[cardId]
  if (material === undefined || card === undefined) return told('This card is not in the book any more.')
  useCardPictures.setState({ reading: cardId })
  let seen: CardSeen
  try {
    const read = await Promise.race([remote().read(source, plainCard(card), bareToneOf(material)), givenUp(cardId)])
    if (read === null) return told('The reading was given up. The picture is where it was.')
    if (!read.ok) return read.findings
    seen = read.value
    const taken = takeTones(materialId, cardId, seen.cells)
    if (taken.length > 0) return taken
    useCardPictures.setState(({ pictures }) => ({ pictures: { ...pictures, [cardId]: seen.straight } }))
    return read.findings
  } catch {
    stopReading()
    return told('The picture could not be read: the memory of this browser may be full. Take a smaller one.')
  } finally {
    useCardPictures.setState({ reading: null })
  }
}

/** Settles when the reading of a card was given up. */
function givenUp(cardId: string): Promise<null> {
  return new Promise((resolve) => {
    const stop = useCardPictures.subscribe(({ reading }) => {
      if (reading === cardId) return
      stop()
      resolve(null)
    })
  })
}

/** The card without what was read of it: that is no business of a worker. */
function plainCard(card: CardShape): CardShape {
  return { ...card, cells: {} }
}

/** Takes a picture of the stand-in's sheet and reads it. @returns As reading a file. */
export async function readStandInCard(materialId: string, cardId: string): Promise<Told> {
  const picture = await photographStandIn()
  if (picture === null) return told('Nothing lies burnt on the stand-in’s bed. Burn the card on it first.')
  return readCardPicture(materialId, cardId, picture)
}

/** Looks at the stand-in's sheet as somebody would by eye. @returns What stands in the way. */
export async function lookAtStandInCard(bench: Bench, materialId: string, cardId: string): Promise<Told> {
  const card = bench.burns.materials[materialId]?.cards[cardId]
  if (card === undefined) return told('This card is not in the book any more.')
  const layout = layoutCard(card)
  const [first, , far] = layout.marks
  if (first === undefined || far === undefined) return []
  const [left, bottom] = [first.x - MARK.outer, first.y - MARK.outer]
  const [wide, high] = [far.x + MARK.outer - left, far.y + MARK.outer - bottom]
  const cells = cardCells(card)
  const tones = await lookAtStandIn(
    cells.map((it) => {
      const { x, y } = middleOf(layout, it.column, it.row)
      return { x: (x - left) / wide, y: (y - bottom) / high, side: (0.5 * layout.cell) / wide }
    }),
  )
  if (tones === null) return told('Nothing lies burnt on the stand-in’s bed. Burn the card on it first.')
  return sayCells(
    materialId,
    cardId,
    Object.fromEntries(
      cells.map((it, i) => [it.id, { tone: { value: Math.round(tones[i] as number), u: EYE_U, by: 'eye' as const } }]),
    ),
  )
}
