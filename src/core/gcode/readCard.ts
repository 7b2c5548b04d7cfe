import { schemaOf } from '../bench'
import { accepted, type Finding, type Outcome } from '../units'
import { outputCardShape, type OutputCard } from './card'
import { wrongWithSubroutines } from './subroutines'

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
  else if (
    card.manner === 'inMove' ? !card.inMove.includes('{power}') : card.manner !== 'switched' && !card.beamOn.includes('{power}')
  ) {
    yield {
      ...fault(
        card.manner === 'inMove' ? 'inMove' : 'beamOn',
        'no-power',
        card.manner === 'inMove'
          ? 'What a move gets behind it has no {power}: every power would burn alike. Put {power} where the power word belongs.'
          : 'Beam on has no {power}: every power would burn alike. Put {power} where the power word belongs.',
      ),
      severity: 'warning',
    }
  }
  if (card.manner === 'switched' && card.beamOn.includes('{power}')) {
    yield fault(
      'beamOn',
      'switched-power',
      'An output that is only switched takes no {power}. Write the word for full power, or choose another manner.',
    )
  }
  if (card.afterOn > 0 && !card.dwell.includes('{seconds}')) {
    yield fault(
      'dwell',
      'no-seconds',
      'It is to wait behind “beam on”, but the wait has no {seconds}. Put {seconds} where they belong.',
    )
  }
  if (card.timing === 'atOnce' && !card.dwell.includes('{seconds}')) {
    yield fault(
      'dwell',
      'no-wait',
      'Words that act as soon as they are read need a wait before them, and the wait has no {seconds}. Put {seconds} where they belong.',
    )
  }
  const subroutines = wrongWithSubroutines({ call: card.subCall, begins: card.subBegins, ends: card.subEnds })
  if (subroutines !== null) yield { ...fault('subCall', 'subroutines', subroutines), severity: 'warning' }
  yield* fieldFaults(card, fault)
  yield* lastWordFaults(card, fault)
  for (const path of TEMPLATES) {
    const long = card[path].split('\n').find((it) => it.length > 256)
    if (long !== undefined) yield fault(path, 'long-line', `${path} has a line of ${long.length} characters; 256 are allowed.`)
  }
}

type Fault = (path: keyof OutputCard, code: string, message: string) => Finding

const TEMPLATES = ['header', 'footer', 'beamOn', 'beamOff', 'dwell', 'inMove', 'airOn', 'airOff'] as const
/** What is filled in, and where. */
const FIELDS: Readonly<Partial<Record<(typeof TEMPLATES)[number], string>>> = {
  beamOn: '{power}',
  inMove: '{power}',
  dwell: '{seconds}',
}

/** Fields in braces that nothing fills in: they would go out as they stand. */
function* fieldFaults(card: OutputCard, fault: Fault): Generator<Finding> {
  for (const path of TEMPLATES) {
    const unknown = card[path].match(/\{[^}]*\}/g)?.find((it) => it !== FIELDS[path])
    if (unknown === undefined) continue
    const known = FIELDS[path] === undefined ? 'Nothing is filled in here.' : `Here ${FIELDS[path]} is filled in.`
    yield fault(path, 'unknown-field', `${path}: ${unknown} is no field. ${known} Take the braces away, or correct it.`)
  }
}

/** Lines behind the last “beam off” that turn it on again. */
function* lastWordFaults(card: OutputCard, fault: Fault): Generator<Finding> {
  const on = new Set(plainLines(card.beamOn).map(withoutPower))
  for (const path of ['footer', 'airOff'] as const) {
    const bad = plainLines(card[path]).find((it) => on.has(withoutPower(it)))
    if (bad === undefined) continue
    yield fault(path, 'beam-left-on', `${path} turns the beam on again behind the last “beam off”: “${bad}”. Take that line out.`)
  }
  if (plainLines(card.beamOff).some((it) => on.has(withoutPower(it)))) {
    yield fault(
      'beamOff',
      'off-is-on',
      'Beam off has a line of “beam on” in it: the beam would stay on. Write what turns it off.',
    )
  }
}

function plainLines(template: string): readonly string[] {
  return template
    .toUpperCase()
    .split('\n')
    .map((it) => it.replace(/\s+/g, ''))
    .filter((it) => it !== '')
}

/** The words of a line but its power: M3 S1000 and M3 S{power} turn on alike. S0 is dark and stays. */
function withoutPower(line: string): string {
  return /S0(?![.\d])/.test(line) ? line : line.replace(/S(\{POWER\}|[\d.]+)/, '')
}
