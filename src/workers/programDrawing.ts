import type { Drawing } from '../core/planner'

/** How a drawing stands in its window: px for a mm, and where the origin lies. */
export interface DrawingView {
  readonly width: number
  readonly height: number
  readonly scale: number
  readonly originX: number
  readonly originY: number
  /** Canvas px for a CSS px. */
  readonly density: number
  readonly dark: string
  readonly lit: string
}

/** A drawing, which of its ways are drawn (0 dark ones, 1 lit ones, in this order), and up to which point. */
export type Drawn = Drawing & { readonly on: readonly number[]; readonly until?: number }

/** Dark ways first and thin, then what is burnt. */
export function drawn(drawings: readonly Drawn[], view: DrawingView): ImageBitmap {
  const canvas = new OffscreenCanvas(Math.max(1, view.width * view.density), Math.max(1, view.height * view.density))
  const pen = canvas.getContext('2d')
  if (pen === null) throw new Error('this browser cannot draw away from the page')
  const scale = view.scale * view.density
  const [ox, oy] = [view.originX * view.density, view.originY * view.density]
  for (const { x, y, lit, on: ways, until = x.length - 1 } of drawings) {
    for (const on of ways) {
      pen.strokeStyle = on === 1 ? view.lit : view.dark
      pen.lineWidth = (on === 1 ? 1.2 : 0.4) * view.density
      pen.beginPath()
      for (let i = 1; i <= until; i++) {
        if (lit[i] !== on) continue
        if (i === 1 || lit[i - 1] !== on) pen.moveTo(ox + (x[i - 1] ?? 0) * scale, oy - (y[i - 1] ?? 0) * scale)
        pen.lineTo(ox + (x[i] ?? 0) * scale, oy - (y[i] ?? 0) * scale)
        // One path of a million points would be slower than many short ones.
        if (i % 2000 === 0) {
          pen.stroke()
          pen.beginPath()
          pen.moveTo(ox + (x[i] ?? 0) * scale, oy - (y[i] ?? 0) * scale)
        }
      }
      pen.stroke()
    }
  }
  return canvas.transferToImageBitmap()
}
