import { requireInRange } from '../units'

/**
 * Correction factors of the exposure limits at a wavelength.
 * C₃ grows from 450 nm on (photochemical), C₄ from 700 nm on (thermal), C₇ from 1150 nm on (pre-retinal absorption).
 * @param wavelengthNm 400…1400 nm.
 * @throws {RangeError} outside 400…1400 nm.
 * Valid: 400…1400 nm. Source: IEC 60825-1:2014, table 9 (from memory).
 * @example correctionFactors(808).c4 // 1.644
 */
export function correctionFactors(wavelengthNm: number): { readonly c3: number; readonly c4: number; readonly c7: number } {
  requireInRange('wavelengthNm', wavelengthNm, 400, 1400, 'nm')
  return {
    c3: wavelengthNm <= 450 ? 1 : 10 ** (0.02 * (wavelengthNm - 450)),
    c4: wavelengthNm <= 700 ? 1 : 10 ** (0.002 * (Math.min(wavelengthNm, 1050) - 700)),
    c7: c7At(wavelengthNm),
  }
}

function c7At(wavelengthNm: number): number {
  if (wavelengthNm <= 1150) return 1
  if (wavelengthNm <= 1200) return 10 ** (0.018 * (wavelengthNm - 1150))
  return 8 + 10 ** (0.04 * (wavelengthNm - 1250))
}

/**
 * Maximum permissible exposure of the eye to a continuous point source (C₆ = 1).
 * Under 10 s: 18·C₄·t^−0.25 (90·C₇·t^−0.25 above 1050 nm). From 10 s: the smaller of the thermal limit 10·C₄·C₇
 * (50·C₇ above 1050 nm) and, from 400 to 600 nm, the photochemical limit 100·C₃/t until 100 s, then C₃.
 * @param wavelengthNm 400…1400 nm. @param seconds Exposure, 0.25…30 000 s.
 * @returns W/m².
 * @throws {RangeError} outside those ranges: pulses under 0.25 s, ultraviolet and far infrared have other limits.
 * Valid: continuous, point source, 400…1400 nm, from 0.25 s. For a pulsed beam use the peak power as if continuous.
 * Source: IEC 60825-1:2014, tables A.1 and A.2 (from memory).
 * @example exposureLimit(455, 100) // 1.259
 */
export function exposureLimit(wavelengthNm: number, seconds: number): number {
  requireInRange('seconds', seconds, 0.25, 30_000, 's')
  const { c3, c4, c7 } = correctionFactors(wavelengthNm)
  const far = wavelengthNm > 1050
  if (seconds < 10) return (far ? 90 * c7 : 18 * c4) * seconds ** -0.25
  const thermal = far ? 50 * c7 : 10 * c4 * c7
  const photochemical = wavelengthNm <= 600 ? Math.max((100 * c3) / seconds, c3) : Infinity
  return Math.min(thermal, photochemical)
}

/** Radius of the limiting aperture for the eye, the wide pupil, m. Source: IEC 60825-1:2014, table 8 (from memory). */
const PUPIL_RADIUS_M = 3.5e-3

/**
 * Optical density that brings a whole beam through the pupil down to a limit: log₁₀(P / (π·(3.5 mm)²) / MPE).
 * @param powerW Optical power, W; more than 0. For a pulsed beam its peak. @param limit W/m²; more than 0.
 * @returns Optical density, not rounded; 0 or less where none is needed. What is bought must be this or more.
 * @throws {RangeError} where power or limit is not more than 0.
 * Valid: the whole beam enters a 7 mm pupil; the filter withstands the beam (EN 207 is another test).
 * Source: IEC 60825-1:2014, 3.55 (definition) with the aperture of table 8 (from memory).
 * @example requiredDensity(5.5, 1.259) // 5.055
 */
export function requiredDensity(powerW: number, limit: number): number {
  requireInRange('powerW', powerW, Number.MIN_VALUE, Number.MAX_VALUE, 'W')
  requireInRange('limit', limit, Number.MIN_VALUE, Number.MAX_VALUE, 'W/m²')
  return Math.log10(powerW / (Math.PI * PUPIL_RADIUS_M ** 2) / limit)
}

/**
 * An optical density as it is asked for in a shop: never below what is needed, in tenths.
 * @param density Needed. @param expanded Its expanded uncertainty, added first.
 * @throws {RangeError} where the expanded uncertainty is negative.
 * Valid: any density. Source: rounding on the protective side (common practice).
 * @example densityToAskFor(5.055, 0) // 5.1
 */
export function densityToAskFor(density: number, expanded: number): number {
  requireInRange('expanded', expanded, 0, Number.MAX_VALUE)
  return Math.max(0, Math.ceil((density + expanded) * 10 - 1e-9) / 10)
}

/**
 * What the scale number of EN 207 must reach so that the filter withstands a continuous beam for 5 s: log₁₀(4P/πd²) − 1.
 * @param powerW W; more than 0. @param diameterM Beam at the filter, m; more than 0.
 * @returns The n of LB n, not rounded; what is bought is a whole number, this or more.
 * @throws {RangeError} where one of them is not more than 0.
 * Valid: continuous (D). Source: EN 207:2017, table 1: LB n withstands 10^(n+1) W/m² in 315…1400 nm (from memory).
 * @example scaleReached(5.5, 0.002) // 5.243
 */
export function scaleReached(powerW: number, diameterM: number): number {
  requireInRange('powerW', powerW, Number.MIN_VALUE, Number.MAX_VALUE, 'W')
  requireInRange('diameterM', diameterM, Number.MIN_VALUE, Number.MAX_VALUE, 'm')
  return Math.log10((4 * powerW) / (Math.PI * diameterM ** 2)) - 1
}

/**
 * Lowest EN 207 scale number that withstands a continuous beam for 5 s: ⌈log₁₀(4P/πd²) − 1⌉.
 * @param powerW W; more than 0. @param diameterM Beam at the filter, m; more than 0.
 * @returns The n of LB n; 1 or more.
 * @throws {RangeError} where one of them is not more than 0.
 * Valid: continuous (D). It may let 10 W/m² through, ten times the long blue limit: the density is a test of its own.
 * Source: EN 207:2017, table 1: LB n withstands 10^(n+1) W/m² in 315…1400 nm (from memory).
 * @example scaleNumber(5.5, 0.002) // 6
 */
export function scaleNumber(powerW: number, diameterM: number): number {
  return Math.max(1, Math.ceil(scaleReached(powerW, diameterM) - 1e-9))
}
