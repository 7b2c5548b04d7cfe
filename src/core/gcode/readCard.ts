import { schemaOf } from '../bench'
import { accepted, type Finding, type Outcome } from '../units'
import { outputCardShape, type OutputCard } from './card'

/**
 * Reads a card and checks that it can be worked with: above all, that it can turn the beam off.
 * @returns The card, or every finding with the field it is about.
 */
export function readCard(raw: unknown): Outcome<OutputCard> {
  const read = schemaOf(outputCardShape).safeParse(raw)
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
