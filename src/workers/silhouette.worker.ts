import * as Comlink from 'comlink'
import { traceSilhouette, type Silhouette } from '../core/rotary'
import { refused, type Outcome } from '../core/units'
import { decodePicture } from './decodePicture'

/** What of an object is known beside its picture. */
export interface KnownSize {
  readonly of: 'length' | 'widest'
  readonly mm: number
  /** Its standard uncertainty, mm. */
  readonly u: number
}

/** Traces round things in side pictures, away from the page. */
export interface SilhouetteWorker {
  trace(file: Blob, known: KnownSize): Promise<Outcome<Extract<Silhouette, { ok: true }>>>
}

/** No more pixels than this: an outline is no finer than its edge is sharp. */
const MOST = 3_000_000

const api: SilhouetteWorker = {
  async trace(file, known) {
    const picture = await decodePicture(file, MOST)
    if (!picture.ok) return picture
    const { width, height, data } = picture.value
    const grey = new Uint8ClampedArray(width * height)
    for (let k = 0; k < grey.length; k++)
      grey[k] = 0.299 * (data[4 * k] as number) + 0.587 * (data[4 * k + 1] as number) + 0.114 * (data[4 * k + 2] as number)
    const traced = traceSilhouette({ width, height, data: grey }, known)
    return traced.ok ? { ok: true, value: traced, findings: [] } : refused('not-traced', traced.why)
  },
}

Comlink.expose(api)
