import { radiusAt, type Waist } from '../../core/optics'

/** How far the beam is drawn above and below focus, mm: past the material and well past the depth of focus. */
export function reachOf(rayleighs: readonly number[], out: number, thickness: number): number {
  const length = Math.max(...rayleighs, 0.2)
  return Math.max(1.6 * length, Math.abs(out) * 1.25, Math.max(0, out + thickness) * 1.15)
}

/** By how much widths are drawn larger than heights: 1, 2 or 5 times a power of ten, so that the widest just fits. */
export function widening(waists: readonly Waist[], reach: number, halfWidth: number): number {
  const widest = Math.max(...waists.map((it) => radiusAt(it, reach)))
  const most = halfWidth / widest
  const power = 10 ** Math.floor(Math.log10(most))
  return ([5, 2, 1].find((it) => it * power <= most) ?? 1) * power
}

/** One edge of a beam from above down to below, as radius at height, mm; heights rise upwards from focus. */
export function edgeOf(waist: Waist, reach: number): readonly (readonly [height: number, radius: number])[] {
  const steps = 48
  return Array.from({ length: steps + 1 }, (_, i) => {
    const height = reach * (1 - (2 * i) / steps)
    return [height, radiusAt(waist, height)] as const
  })
}
