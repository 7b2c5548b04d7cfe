import { PitchDetector } from 'pitchy'

/** A tone found in a sound. */
export interface FoundTone {
  readonly hz: number
  /** Standard uncertainty, Hz: how far the windows of the sound differ, and never less than what counting allows. */
  readonly u: number
}

/** Sound is thinned to about this rate first, Hz: what lies above is not a belt's tone but the room. */
const THINNED = 6000
/** Length of the windows that are looked at, samples: a third of a second, enough for the lowest tone of a belt. */
const WINDOW = 2048
const STEP = WINDOW / 4
/** Below this the window holds no tone, 0…1. */
const CLEAR = 0.8
/** Belts are not plucked below or above, Hz. */
const LOWEST = 12
const HIGHEST = 1200
/** Windows that must agree. */
const LEAST = 3

/**
 * Finds the tone of a plucked belt in a recorded sound.
 * @returns The median over all windows that hold a clear tone; null where fewer than three do, or where they do not
 * agree within 3 %: too quiet, too noisy, or not one belt alone.
 */
export function toneOf(samples: Float32Array, sampleRateHz: number): FoundTone | null {
  const every = Math.max(1, Math.round(sampleRateHz / THINNED))
  const thin = thinned(samples, every)
  const detector = PitchDetector.forFloat32Array(WINDOW)
  detector.minVolumeDecibels = -55
  const found: number[] = []
  for (let at = 0; at + WINDOW <= thin.length; at += STEP) {
    const [hz, clarity] = detector.findPitch(thin.subarray(at, at + WINDOW), sampleRateHz / every)
    if (clarity >= CLEAR && hz >= LOWEST && hz <= HIGHEST) found.push(hz)
  }
  if (found.length < LEAST) return null
  const sorted = [...found].sort((p, q) => p - q)
  const median = sorted[Math.floor(sorted.length / 2)] as number
  const near = found.filter((hz) => Math.abs(hz / median - 1) < 0.03)
  if (near.length < LEAST || near.length < found.length / 2) return null
  const mean = near.reduce((sum, hz) => sum + hz, 0) / near.length
  const spread = Math.sqrt(near.reduce((sum, hz) => sum + (hz - mean) ** 2, 0) / Math.max(1, near.length - 1))
  // A third of a second counts a tone to a few tenths of a per cent at best.
  return { hz: median, u: Math.max(spread, median * 0.002) }
}

/** Means of so many samples each: a plain low-pass, enough to take most of the room's noise away. */
function thinned(samples: Float32Array, every: number): Float32Array {
  return Float32Array.from({ length: Math.floor(samples.length / every) }, (_, i) => {
    let sum = 0
    for (let k = 0; k < every; k++) sum += samples[i * every + k] ?? 0
    return sum / every
  })
}
