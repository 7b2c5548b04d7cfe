import { z } from 'zod'
import { accepted, type Finding, type Outcome } from '../units'

/**
 * How one controller wants its words: what goes beyond the standard, as templates the user edits. `{power}` stands for
 * the power word of the present power, `{seconds}` for a wait.
 */
export const outputCardSchema = z.strictObject({
  name: z.string().min(1).max(60),
  about: z.string().max(400),
  units: z.enum(['mm', 'inch']),
  /** Decimals of coordinates; feeds get one less. */
  decimals: z.number().int().min(0).max(6),
  /** The power word at full power. */
  fullPower: z.number().positive().max(1e9),
  /** Decimals of the power word. */
  powerDecimals: z.number().int().min(0).max(6),
  /** Lines before the work; coordinates and units are set by the writer itself. */
  header: z.string().max(4000),
  footer: z.string().max(4000),
  /** One or more lines that turn the beam on at `{power}`. */
  beamOn: z.string().max(400),
  /** One or more lines that turn it off. */
  beamOff: z.string().max(400),
  dwell: z.string().max(400),
})
export type OutputCard = z.infer<typeof outputCardSchema>

/** A card as a bench keeps it: the full power word is a fact of its own there. */
export const benchCardSchema = outputCardSchema.omit({ fullPower: true })
export type BenchCard = z.infer<typeof benchCardSchema>

/** A card that says things as the standard's words allow: power as S, the beam as the spindle (common practice). */
export const PLAIN_CARD: OutputCard = {
  name: 'Plain words',
  about: 'Power as the S word, the beam as the spindle clockwise. Edit it to what your controller wants.',
  units: 'mm',
  decimals: 3,
  fullPower: 1000,
  powerDecimals: 0,
  header: '',
  footer: 'M2',
  beamOn: 'M3 S{power}',
  beamOff: 'M5',
  dwell: 'G4 P{seconds}',
}

/**
 * Reads a card and checks that it can be worked with: above all, that it can turn the beam off.
 * @returns The card, or every finding with the field it is about.
 */
export function readCard(raw: unknown): Outcome<OutputCard> {
  const read = outputCardSchema.safeParse(raw)
  if (!read.success) {
    return {
      ok: false,
      findings: read.error.issues.map(({ path, message }) => ({
        code: 'card',
        severity: 'error',
        path: path.join('.'),
        message: `Output card, ${path.join('.')}: ${message}`,
      })),
    }
  }
  const findings = [...faultsOf(read.data)]
  return findings.some((it) => it.severity === 'error') ? { ok: false, findings } : accepted(read.data, findings)
}

function* faultsOf(card: OutputCard): Generator<Finding> {
  const fault = (path: keyof OutputCard, code: string, message: string): Finding => ({ code, severity: 'error', path, message })
  if (card.beamOff.trim() === '') {
    yield fault(
      'beamOff',
      'no-beam-off',
      'This output card does not say how to turn the beam off, so no program is written with it. Fill in “beam off”.',
    )
  }
  if (card.beamOn.trim() === '')
    yield fault('beamOn', 'no-beam-on', 'This output card does not say how to turn the beam on. Fill in “beam on”.')
  else if (!card.beamOn.includes('{power}')) {
    yield {
      ...fault(
        'beamOn',
        'no-power',
        'Beam on has no {power}: every power would burn alike. Put {power} where the power word belongs.',
      ),
      severity: 'warning',
    }
  }
  for (const path of ['header', 'footer', 'beamOn', 'beamOff', 'dwell'] as const) {
    const long = card[path].split('\n').find((it) => it.length > 256)
    if (long !== undefined) yield fault(path, 'long-line', `${path} has a line of ${long.length} characters; 256 are allowed.`)
  }
}
