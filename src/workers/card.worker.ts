import * as Comlink from 'comlink'
import jsqr from 'jsqr'
import type { CardShape } from '../core/burn'
import { readTestCard, straightCard, type CardRead, type Picture } from '../core/testcard'
import type { Finding, Outcome } from '../core/units'
import { decodePicture } from './decodePicture'

/** A card that was read, and how it looks straight on. */
export interface CardSeen extends CardRead {
  readonly straight: ImageBitmap
}

/** Reads test cards from pictures, away from the page. */
export interface CardWorker {
  /** @param source A picture file, or pixels. Refused in words where it is no picture, or no card can be read in it. */
  read(source: Blob | Picture, card: CardShape, bareTone: number): Promise<Outcome<CardSeen>>
}

/** No more pixels than this are taken from a file: more say nothing more of a card. */
const MOST = 12_000_000
/** Pixels to a millimetre of the card as seen straight on. */
const SHOWN = 8

const api: CardWorker = {
  async read(source, card, bareTone) {
    const picture: Outcome<Picture> =
      source instanceof Blob ? await decodePicture(source, MOST) : { ok: true, value: source, findings: [] as Finding[] }
    if (!picture.ok) return picture
    const read = readTestCard(picture.value, card, bareTone, (grey, side) => jsqr(grey, side, side)?.data ?? null)
    if (!read.ok) return read
    const { width, height, data } = straightCard(picture.value, read.value.pose, card, SHOWN)
    const straight = await createImageBitmap(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height))
    return Comlink.transfer({ ...read, value: { ...read.value, straight } }, [straight])
  },
}

Comlink.expose(api)
