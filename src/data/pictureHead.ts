/** What the head of a picture file says, before it is decoded. */
export interface PictureHead {
  readonly type: 'png' | 'jpeg' | 'webp'
  readonly width: number
  readonly height: number
  /** Pixels to a millimetre, across; null where the file does not say. */
  readonly perMm: number | null
}

/**
 * Reads size and resolution of a picture from its head. @returns Null for what is no PNG, JPEG or WebP.
 * Source: PNG (ISO/IEC 15948) IHDR and pHYs; JPEG (ITU-T T.81) frame headers, JFIF density (ITU-T T.871); WebP container (RFC 9649).
 */
export function pictureHead(bytes: Uint8Array): PictureHead | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  try {
    return pngHead(view) ?? jpegHead(view) ?? webpHead(view)
  } catch {
    // Cut off within its head: there is nothing to decode.
    return null
  }
}

function wordAt(view: DataView, at: number): string {
  return String.fromCharCode(view.getUint8(at), view.getUint8(at + 1), view.getUint8(at + 2), view.getUint8(at + 3))
}

function pngHead(view: DataView): PictureHead | null {
  if (view.getUint32(0) !== 0x89504e47 || view.getUint32(4) !== 0x0d0a1a0a || wordAt(view, 12) !== 'IHDR') return null
  const size = { width: view.getUint32(16), height: view.getUint32(20) }
  let perMm: number | null = null
  for (let at = 33; at + 12 <= view.byteLength; at += view.getUint32(at) + 12) {
    const name = wordAt(view, at + 4)
    if (name === 'IDAT') break
    if (name === 'pHYs' && view.getUint8(at + 16) === 1) perMm = view.getUint32(at + 8) / 1000
  }
  return { type: 'png', ...size, perMm: known(perMm) }
}

/** Frame headers: all start-of-frame marks but those of tables and of arithmetic conditioning. */
const NO_FRAME = new Set([0xc4, 0xc8, 0xcc])

function jpegHead(view: DataView): PictureHead | null {
  if (view.getUint16(0) !== 0xffd8) return null
  let perMm: number | null = null
  for (let at = 2; ;) {
    if (view.getUint8(at) !== 0xff) return null
    const mark = view.getUint8(at + 1)
    if (mark >= 0xc0 && mark <= 0xcf && !NO_FRAME.has(mark)) {
      return { type: 'jpeg', width: view.getUint16(at + 7), height: view.getUint16(at + 5), perMm: known(perMm) }
    }
    if (mark === 0xe0 && wordAt(view, at + 4) === 'JFIF') {
      const [unit, across] = [view.getUint8(at + 11), view.getUint16(at + 12)]
      perMm = unit === 1 ? across / 25.4 : unit === 2 ? across / 10 : null
    }
    at += mark === 0xff ? 1 : 2 + view.getUint16(at + 2)
  }
}

function webpHead(view: DataView): PictureHead | null {
  if (wordAt(view, 0) !== 'RIFF' || wordAt(view, 8) !== 'WEBP') return null
  const three = (at: number): number => view.getUint8(at) | (view.getUint8(at + 1) << 8) | (view.getUint8(at + 2) << 16)
  const type = 'webp' as const
  switch (wordAt(view, 12)) {
    case 'VP8X':
      return { type, width: 1 + three(24), height: 1 + three(27), perMm: null }
    case 'VP8L': {
      const bits = view.getUint32(21, true)
      return { type, width: 1 + (bits & 0x3fff), height: 1 + ((bits >>> 14) & 0x3fff), perMm: null }
    }
    case 'VP8 ':
      return { type, width: view.getUint16(26, true) & 0x3fff, height: view.getUint16(28, true) & 0x3fff, perMm: null }
    default:
      return null
  }
}

/** 72 and 96 to the inch are what programs write who know of no size. */
function known(perMm: number | null): number | null {
  if (perMm === null || !(perMm > 0)) return null
  const perInch = perMm * 25.4
  return [72, 96].some((it) => Math.abs(perInch - it) < 0.1) ? null : perMm
}
