import { between, seeded, type Random } from './random'

/** A pair of glasses as it lies on the table, and what a person with the certificates in hand would say of it. */
export interface LyingPair {
  readonly id: string
  readonly name: string
  /** What is printed on it. */
  readonly label: string
  /** Share of daylight that it lets through. */
  readonly light: number
  /** Whether it holds this beam back. */
  readonly holds: boolean
  readonly why: string
}

/** A head, and five pairs of glasses of which one at least holds its beam back. */
export interface GlassesTable {
  /** nm and W. */
  readonly wavelength: number
  readonly watts: number
  readonly pairs: readonly LyingPair[]
}

/** Puts things into an order by chance. */
export function shuffled<T>(things: readonly T[], random: Random): readonly T[] {
  const left = [...things]
  return things.map(() => left.splice(Math.floor(random() * left.length), 1)[0] as T)
}

/**
 * Lays five pairs of glasses on a table: two that hold the beam back, one of them dark, and three that do not: for another
 * light, for pulses only, or without a wavelength, or far too weak.
 * @param number The same number, the same table.
 */
export function drawGlasses(number: number): GlassesTable {
  const random = seeded(number ^ 0x67_6c_61)
  const wavelength = Math.round(between(random, 440, 465))
  const watts = Math.round(between(random, 20, 100)) / 10
  const [low, high] = [wavelength - Math.round(between(random, 8, 14)), wavelength + Math.round(between(random, 8, 14))]
  const clear = Math.round(between(random, 45, 60)) / 100
  const dark = Math.round(between(random, 8, 20)) / 100
  const light = (): number => Math.round(between(random, 25, 60)) / 100
  const bad = shuffled(
    [
      { label: 'D 900-1100 LB8 + OD 7', holds: false, why: 'It names another light: at this wavelength it is nothing.' },
      { label: `IR ${low}-${high} LB8`, holds: false, why: 'No D stands before its scale number: it is for pulses only.' },
      { label: 'OD 6+', holds: false, why: 'It names no wavelength: it is nothing.' },
      { label: `D ${low}-${high} LB2`, holds: false, why: 'It names the light and is far too weak.' },
      { label: `OD 2+ 190-${high + 30} nm`, holds: false, why: 'It names the light and is far too weak.' },
    ],
    random,
  ).slice(0, 3)
  const pairs = shuffled(
    [
      { label: `D ${low}-${high} LB8`, light: clear, holds: true, why: 'It names this light and holds it, and it is clear.' },
      { label: 'D 180-315 LB10 + 315-534 LB9', light: dark, holds: true, why: 'It holds this light; it is dark.' },
      ...bad.map((it) => ({ ...it, light: light() })),
    ],
    random,
  )
  const names = ['Pair A', 'Pair B', 'Pair C', 'Pair D', 'Pair E']
  return { wavelength, watts, pairs: pairs.map((it, k) => ({ id: `pair-${k + 1}`, name: names[k] ?? '', ...it })) }
}
