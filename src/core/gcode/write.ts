import { accepted, assertNever, type Outcome } from '../units'
import { readCard, type OutputCard } from './card'

/** What a program is made of. Lengths in mm, speeds in mm/s, power as a share of full power. */
export type Step =
  | { readonly kind: 'rapid'; readonly x: number; readonly y: number }
  | { readonly kind: 'line'; readonly x: number; readonly y: number; readonly feed: number; readonly power: number }
  | {
      readonly kind: 'arc'
      readonly x: number
      readonly y: number
      /** Centre, mm. */
      readonly centreX: number
      readonly centreY: number
      readonly clockwise: boolean
      readonly feed: number
      readonly power: number
    }
  | { readonly kind: 'wait'; readonly seconds: number }
  | { readonly kind: 'remark'; readonly text: string }

const MM_PER_INCH = 25.4

/**
 * Writes a program through an output card. The beam is turned off before every rapid move, before every wait and at
 * the end, each time on a line of its own: within a line the standard darkens before it moves.
 * @param steps In order, from the origin. @param card As the user edited it; checked again here.
 * @returns The text with one line feed a line, or why the card cannot be used.
 * Source: NISTIR 6556, table 8 (order of execution, from memory).
 */
export function writeProgram(steps: readonly Step[], card: OutputCard): Outcome<string> {
  const checked = readCard(card)
  if (!checked.ok) return checked
  const unit = card.units === 'mm' ? 1 : MM_PER_INCH
  const number = (value: number, decimals: number): string => trimmed(value.toFixed(decimals))
  const length = (mm: number): string => number(mm / unit, card.decimals)
  const lines: string[] = [
    card.units === 'mm' ? 'G21' : 'G20',
    'G90',
    'G17',
    'G94',
    ...templateLines(card.beamOff),
    ...templateLines(card.header),
  ]
  const state = { x: 0, y: 0, feed: '', power: 0 }

  const setPower = (power: number): void => {
    if (power === state.power) return
    state.power = power
    lines.push(
      ...templateLines(
        power === 0 ? card.beamOff : card.beamOn.replaceAll('{power}', number(power * card.fullPower, card.powerDecimals)),
      ),
    )
  }
  const feedWord = (feed: number): string => {
    const word = ` F${number((feed * 60) / unit, Math.max(0, card.decimals - 1))}`
    if (word === state.feed) return ''
    state.feed = word
    return word
  }
  for (const step of steps) {
    switch (step.kind) {
      case 'rapid':
        setPower(0)
        lines.push(`G0 X${length(step.x)} Y${length(step.y)}`)
        break
      case 'line':
        setPower(step.power)
        lines.push(`G1 X${length(step.x)} Y${length(step.y)}${feedWord(step.feed)}`)
        break
      case 'arc':
        setPower(step.power)
        lines.push(
          `${step.clockwise ? 'G2' : 'G3'} X${length(step.x)} Y${length(step.y)} I${length(step.centreX - state.x)} J${length(step.centreY - state.y)}${feedWord(step.feed)}`,
        )
        break
      case 'wait':
        setPower(0)
        lines.push(...templateLines(card.dwell.replaceAll('{seconds}', number(step.seconds, 3))))
        break
      case 'remark':
        lines.push(`(${step.text.replace(/[()\n\r]/g, ' ').slice(0, 250)})`)
        break
      default:
        assertNever(step)
    }
    if ('x' in step) {
      state.x = step.x
      state.y = step.y
    }
  }
  lines.push(...templateLines(card.beamOff), ...templateLines(card.footer))
  return accepted(`${lines.join('\n')}\n`, checked.findings)
}

function templateLines(template: string): string[] {
  return template
    .split('\n')
    .map((it) => it.trim())
    .filter((it) => it !== '')
}

/** Without zeros at the end, and never −0. */
function trimmed(text: string): string {
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text
  return short === '-0' ? '0' : short
}
