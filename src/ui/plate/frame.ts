/** A rectangle in the drawing's own millimetres, y upwards. */
export interface Extent {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

/** Space kept free around the drawing for its dimensions, px. */
export interface Margins {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** How a drawing in millimetres stands in its window in px. */
export interface PlateFrame {
  readonly width: number
  readonly height: number
  /** px for a millimetre. */
  readonly scale: number
  readonly x: (mm: number) => number
  readonly y: (mm: number) => number
  /** Back again: from px in the window to millimetres. */
  readonly mm: (px: number, py: number) => { readonly x: number; readonly y: number }
}

/** Fits an extent into a window, as large as the margins allow, centred. */
export function fitPlate(extent: Extent, width: number, height: number, margins: Margins): PlateFrame {
  const [w, h] = [extent.right - extent.left, extent.top - extent.bottom]
  const [freeW, freeH] = [Math.max(width - margins.left - margins.right, 40), Math.max(height - margins.top - margins.bottom, 40)]
  const scale = Math.min(freeW / w, freeH / h)
  const originX = margins.left + (freeW - w * scale) / 2 - extent.left * scale
  const originY = margins.top + (freeH - h * scale) / 2 + extent.top * scale
  return {
    width,
    height,
    scale,
    x: (mm) => originX + mm * scale,
    y: (mm) => originY - mm * scale,
    mm: (px, py) => ({ x: (px - originX) / scale, y: (originY - py) / scale }),
  }
}

/** A round length for a scale bar of about a wanted width: 1, 2 or 5 times a power of ten of a unit. */
export function scaleBarLength(wantedPx: number, scale: number, unitMm: number): number {
  const rough = wantedPx / scale / unitMm
  const power = 10 ** Math.floor(Math.log10(rough))
  const step = [5, 2, 1].find((it) => it * power <= rough) ?? 1
  return step * power * unitMm
}
