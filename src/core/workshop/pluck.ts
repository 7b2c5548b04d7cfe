import { between, normal, type Random } from './random'

/** A belt that is plucked beside a microphone. */
export interface Pluck {
  /** Tone of its fundamental, Hz. */
  readonly toneHz: number
  readonly sampleRateHz: number
  readonly seconds: number
  /** Share of noise in the sound; 0…1. */
  readonly noise: number
}

/** Stiffness of a belt: by how much its partials lie above whole multiples. */
const INHARMONICITY = 4e-4
const PARTIALS = 9

/**
 * The sound of a plucked belt as a microphone hears it: partials that lie a little sharp and die away, the higher the
 * faster, and noise.
 * @returns Samples, −1…1.
 * Source: stiff string, f_n = n·f·√(1 + B·n²) (textbook acoustics, from memory).
 */
export function pluckedSound({ toneHz, sampleRateHz, seconds, noise }: Pluck, random: Random): Float32Array {
  const partials = Array.from({ length: PARTIALS }, (_, i) => {
    const n = i + 1
    return {
      turn: (2 * Math.PI * n * toneHz * Math.sqrt(1 + INHARMONICITY * (n * n - 1))) / sampleRateHz,
      loud: between(random, 0.6, 1) / n ** 1.1,
      dies: 1.2 + 0.9 * n,
      phase: between(random, 0, 2 * Math.PI),
    }
  })
  const total = partials.reduce((sum, it) => sum + it.loud, 0)
  return Float32Array.from({ length: Math.round(seconds * sampleRateHz) }, (_, i) => {
    const t = i / sampleRateHz
    const sound = partials.reduce(
      (sum, { turn, loud, dies, phase }) => sum + loud * Math.exp(-dies * t) * Math.sin(turn * i + phase),
      0,
    )
    return Math.max(-1, Math.min(1, (sound / total) * (1 - noise) + noise * 0.3 * normal(random)))
  })
}

/**
 * Tone of a belt of the stand-in: an ideal string under its hidden pull. Valid: free span. Source: f = √(T/m)/2L.
 * @example hiddenTone(30, 0.0084, 400) // 74.7
 */
export function hiddenTone(pullN: number, massPerMetreKg: number, spanMm: number): number {
  return Math.sqrt(pullN / massPerMetreKg) / (2 * (spanMm / 1000))
}
