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
    c4: c4At(wavelengthNm),
    c7: c7At(wavelengthNm),
  }
}

function c4At(wavelengthNm: number): number {
  if (wavelengthNm <= 700) return 1
  return wavelengthNm <= 1050 ? 10 ** (0.002 * (wavelengthNm - 700)) : 5
}

function c7At(wavelengthNm: number): number {
  if (wavelengthNm <= 1150) return 1
  if (wavelengthNm <= 1200) return 10 ** (0.018 * (wavelengthNm - 1150))
  return 8 + 10 ** (0.04 * (wavelengthNm - 1250))
}

/**
 * Maximum permissible exposure of the eye to a continuous point source (C₆ = 1).
 * Under 10 s: 18·C₄·t^−0.25 (90·C₇·t^−0.25 above 1050 nm). From 10 s: the smaller of the thermal limit 10·C₄·C₇
 * (50·C₇ above 1050 nm) and, from 400 to 600 nm, the photochemical limit 100·C₃/t until 100 s, then C₃. Never more than the
 * skin is allowed: from about 1307 nm on that is the lower one.
 * @param wavelengthNm 400…1400 nm. @param seconds Exposure, 0.25…30 000 s.
 * @returns W/m².
 * @throws {RangeError} outside those ranges: pulses under 0.25 s, ultraviolet and far infrared have other limits.
 * Valid: continuous, point source, 400…1400 nm, from 0.25 s. For a pulsed beam use the peak power as if continuous.
 * Source: IEC 60825-1:2014, tables A.1 and A.2 with their notes; ICNIRP 2013, the skin's limit above 1300 nm (from memory).
 * @example exposureLimit(455, 100) // 1.259
 */
export function exposureLimit(wavelengthNm: number, seconds: number): number {
  requireInRange('seconds', seconds, 0.25, 30_000, 's')
  return Math.min(eyeAlone(wavelengthNm, seconds), skinLimit(wavelengthNm, seconds))
}

function eyeAlone(wavelengthNm: number, seconds: number): number {
  const { c3, c4, c7 } = correctionFactors(wavelengthNm)
  const far = wavelengthNm > 1050
  if (seconds < 10) return (far ? 90 * c7 : 18 * c4) * seconds ** -0.25
  const thermal = far ? 50 * c7 : 10 * c4 * c7
  const photochemical = wavelengthNm <= 600 ? Math.max((100 * c3) / seconds, c3) : Infinity
  return Math.min(thermal, photochemical)
}

/**
 * Maximum permissible exposure of the skin: 1.1·10⁴·C₄·t^−0.75 under 10 s, 2000·C₄ from 10 s on.
 * @param wavelengthNm 400…1400 nm. @param seconds Exposure, 0.25…30 000 s.
 * @returns W/m². @throws {RangeError} outside those ranges.
 * Valid: continuous, spots under 0.01 m². Source: IEC 60825-1:2014, table A.5 (from memory).
 * @example skinLimit(455, 10) // 2000
 */
export function skinLimit(wavelengthNm: number, seconds: number): number {
  requireInRange('seconds', seconds, 0.25, 30_000, 's')
  const { c4 } = correctionFactors(wavelengthNm)
  return seconds < 10 ? 1.1e4 * c4 * seconds ** -0.75 : 2000 * c4
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

/** How what a beam does to a filter grows with its width beyond 1 mm. Source: EN 207:2009, annex B (from memory). */
const WIDE = { glass: 1.7, plastic: 1.17 } as const

/**
 * By how much a wide beam counts more than one of 1 mm with the same power density: d^1.7 on glass, d^1.17 on plastic, d in mm.
 * @param diameterM Beam at the filter, m; more than 0. @param filter What the filter is of.
 * @returns 1 or more. @throws {RangeError} where the diameter is not more than 0.
 * Valid: beams that the filter meets whole; up to 1 mm it is 1. Source: EN 207:2009, annex B (from memory).
 * @example wideBeamFactor(0.005, 'plastic') // 6.573
 */
export function wideBeamFactor(diameterM: number, filter: 'glass' | 'plastic'): number {
  requireInRange('diameterM', diameterM, Number.MIN_VALUE, Number.MAX_VALUE, 'm')
  return Math.max(1, diameterM * 1000) ** WIDE[filter]
}

/**
 * What the scale number of EN 207 must reach so that the filter withstands a continuous beam for 5 s: log₁₀(4P·F(d)/πd²) − 1.
 * @param powerW W; more than 0. @param diameterM Beam at the filter, m; more than 0. @param filter What it is of: glass asks for more.
 * @returns The n of LB n, not rounded; what is bought is a whole number, this or more.
 * @throws {RangeError} where one of them is not more than 0.
 * Valid: continuous (D). Source: EN 207:2017, table 1: LB n withstands 10^(n+1) W/m² in 315…1400 nm; annex B for F (from memory).
 * @example scaleReached(5.5, 0.002, 'glass') // 5.755
 */
export function scaleReached(powerW: number, diameterM: number, filter: 'glass' | 'plastic'): number {
  requireInRange('powerW', powerW, Number.MIN_VALUE, Number.MAX_VALUE, 'W')
  const wide = wideBeamFactor(diameterM, filter)
  return Math.log10((4 * powerW * wide) / (Math.PI * diameterM ** 2)) - 1
}

/**
 * Lowest EN 207 scale number that withstands a continuous beam for 5 s: ⌈log₁₀(4P·F(d)/πd²) − 1⌉.
 * @param powerW W; more than 0. @param diameterM Beam at the filter, m; more than 0. @param filter What it is of.
 * @returns The n of LB n; 1 or more.
 * @throws {RangeError} where one of them is not more than 0.
 * Valid: continuous (D). It may let 10 W/m² through, ten times the long blue limit: the density is a test of its own.
 * Source: EN 207:2017, table 1 and annex B (from memory).
 * @example scaleNumber(5.5, 0.002, 'glass') // 6
 */
export function scaleNumber(powerW: number, diameterM: number, filter: 'glass' | 'plastic'): number {
  return Math.max(1, Math.ceil(scaleReached(powerW, diameterM, filter) - 1e-9))
}
