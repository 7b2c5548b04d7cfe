import { requireInRange } from '../units'

/**
 * A channel of sRGB made linear, 0…1. @param encoded 0…1. @throws {RangeError} outside of them.
 * Valid: sRGB. Source: IEC 61966-2-1. @example linearOfSrgb(0.5) // 0.2140
 */
export function linearOfSrgb(encoded: number): number {
  requireInRange('encoded', encoded, 0, 1)
  return encoded <= 0.04045 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4
}

/**
 * A linear channel encoded for sRGB, 0…1; the other way round. @throws {RangeError} outside of 0…1.
 * Valid: sRGB. Source: IEC 61966-2-1. @example srgbOfLinear(0.214041) // 0.5
 */
export function srgbOfLinear(linear: number): number {
  requireInRange('linear', linear, 0, 1)
  return linear <= 0.0031308 ? linear * 12.92 : 1.055 * linear ** (1 / 2.4) - 0.055
}

/** Weights of red, green and blue in the luminance Y (IEC 61966-2-1). */
export const LUMINANCE = [0.2126, 0.7152, 0.0722] as const

/** Below this share of white the cube root gives way to a straight line (CIE 15). */
const LINEAR_BELOW = (6 / 29) ** 3

/**
 * Lightness L*, 0…100. @param y Luminance as a share of white, 0 or more. @throws {RangeError} where it is less.
 * Valid: any luminance. Source: CIE 15. @example lightness(0.1842) // 50.0
 */
export function lightness(y: number): number {
  requireInRange('y', y, 0, Number.MAX_VALUE)
  return y > LINEAR_BELOW ? 116 * Math.cbrt(y) - 16 : (y * 116 * 841) / 108
}

/**
 * Luminance of a lightness, as a share of white; the other way round. @param tone L*, 0 or more. @throws {RangeError} where it is less.
 * Valid: any lightness. Source: CIE 15. @example luminanceOf(50) // 0.1842
 */
export function luminanceOf(tone: number): number {
  requireInRange('tone', tone, 0, Number.MAX_VALUE)
  return tone > 8 ? ((tone + 16) / 116) ** 3 : (tone * 108) / (116 * 841)
}
