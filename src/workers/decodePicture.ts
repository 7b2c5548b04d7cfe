import type { Picture } from '../core/testcard'
import { refused, type Outcome } from '../core/units'

/** Decodes a picture, turned as its file says. @param most Pixels; a larger one is made smaller. */
export async function decodePicture(file: Blob, most: number): Promise<Outcome<Picture>> {
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const scale = Math.min(1, Math.sqrt(most / (bitmap.width * bitmap.height)))
    const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)]
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
    if (context === null)
      return refused('no-canvas', 'This browser cannot take pictures apart. Use a current one, or read it by eye.')
    context.drawImage(bitmap, 0, 0, width, height)
    bitmap.close()
    return { ok: true, value: { width, height, data: context.getImageData(0, 0, width, height).data }, findings: [] }
  } catch {
    return refused('no-picture', 'The file is no picture that this browser can show. Take a PNG, JPEG or WebP.')
  }
}
