import * as Comlink from 'comlink'
import jsqr from 'jsqr'
import type { CardShape } from '../core/burn'
import { readTestCard, straightCard, type CardRead, type Picture } from '../core/testcard'
import { refused, type Finding, type Outcome } from '../core/units'

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

/** Decodes a picture, turned as its file says, made smaller where it is huge. */
async function decode(file: Blob): Promise<Outcome<Picture>> {
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const scale = Math.min(1, Math.sqrt(MOST / (bitmap.width * bitmap.height)))
    const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)]
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
    if (context === null)
      return refused('no-canvas', 'This browser cannot take pictures apart. Use a current one, or read the card by eye.')
    context.drawImage(bitmap, 0, 0, width, height)
    bitmap.close()
    return { ok: true, value: { width, height, data: context.getImageData(0, 0, width, height).data }, findings: [] }
  } catch {
    return refused('no-picture', 'The file is no picture that this browser can show. Take a PNG, JPEG or WebP.')
  }
}

const api: CardWorker = {
  async read(source, card, bareTone) {
    const picture: Outcome<Picture> =
      source instanceof Blob ? await decode(source) : { ok: true, value: source, findings: [] as Finding[] }
    if (!picture.ok) return picture
    const read = readTestCard(picture.value, card, bareTone, (grey, side) => jsqr(grey, side, side)?.data ?? null)
    if (!read.ok) return read
    const { width, height, data } = straightCard(picture.value, read.value.pose, card, SHOWN)
    const straight = await createImageBitmap(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height))
    return Comlink.transfer({ ...read, value: { ...read.value, straight } }, [straight])
  },
}

Comlink.expose(api)
