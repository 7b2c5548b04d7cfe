import type { Finding } from '../units'
import type { LinkCard } from './linkSlice'

const STATE_FIELDS = ['{state}', '{x}', '{y}', '{power}', '{any}']

/** What of a link card would not work; without a finding it can be tried. */
export function linkCardFindings(card: LinkCard): readonly Finding[] {
  const say = (path: keyof LinkCard, code: string, message: string, severity: Finding['severity'] = 'error'): Finding => ({
    path,
    code,
    severity,
    message,
  })
  const found: Finding[] = []
  if (characters(card.stop) === '')
    found.push(
      say(
        'stop',
        'no-stop',
        'This link card does not say what stops the machine at once. Fill it in: nothing is connected without it.',
      ),
    )
  if (card.taken.trim() === card.refused.trim()) {
    found.push(
      say(
        'refused',
        'alike',
        'What it answers for a line it has taken and for one it refuses is the same: no refusal would be noticed.',
      ),
    )
  }
  const unknown = card.stateIs.match(/\{[^}]*\}/g)?.find((it) => !STATE_FIELDS.includes(it))
  if (unknown !== undefined)
    found.push(say('stateIs', 'unknown-field', `${unknown} is no field of a state. There are ${STATE_FIELDS.join(', ')}.`))
  if (card.state.trim() === '' || !card.stateIs.includes('{state}')) {
    found.push(
      say(
        'stateIs',
        'no-state',
        'Without an answer for its state nobody knows whether the beam is on: settings can be read and written, programs go as a file.',
        'warning',
      ),
    )
  }
  return found
}

/** Whether programs may be sent over the link: its state can be asked for. */
export function canRunOver(card: LinkCard): boolean {
  return (
    card.state.trim() !== '' && card.stateIs.includes('{state}') && linkCardFindings(card).every((it) => it.severity !== 'error')
  )
}

/**
 * What a template of a link card sends: `\\x18` becomes that character, `\\n` a line feed.
 * @example characters('\\x18') // '\u0018'
 */
export function characters(template: string): string {
  return template
    .replace(/\\x([0-9a-fA-F]{2})/g, (_, code: string) => String.fromCharCode(Number.parseInt(code, 16)))
    .replaceAll('\\n', '\n')
}

/** A state as a controller said it; what it did not say is null. */
export interface SaidState {
  readonly state: string
  readonly x: number | null
  readonly y: number | null
  readonly power: number | null
}

const NUMBER = String.raw`(?<NAME>[-+]?\d*\.?\d+)`
const PATTERNS: Readonly<Record<string, string>> = {
  '{state}': String.raw`(?<state>[A-Za-z][\w-]*)`,
  '{x}': NUMBER.replace('NAME', 'x'),
  '{y}': NUMBER.replace('NAME', 'y'),
  '{power}': NUMBER.replace('NAME', 'power'),
  '{any}': '.*?',
}

/** A reader of states by the card's template. @returns Null for a line that is none. */
export function stateReader({ stateIs, fullPower }: LinkCard): (line: string) => SaidState | null {
  const used = new Set<string>()
  const source = stateIs
    .split(/(\{[a-z]+\})/)
    .map((part) => {
      const pattern = PATTERNS[part]
      if (pattern === undefined) return part.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`).replace(/ +/g, String.raw`\s+`)
      // A field that stands twice is read where it stands first.
      if (used.has(part) && part !== '{any}') return pattern.replace(/\?<\w+>/, '?:')
      used.add(part)
      return pattern
    })
    .join('')
  const shape = new RegExp(`^${source}$`)
  return (line) => {
    const groups = stateIs === '' ? undefined : shape.exec(line)?.groups
    if (groups === undefined) return null
    const at = (name: string): number | null => (groups[name] === undefined ? null : Number(groups[name]))
    const power = at('power')
    return { state: groups['state'] ?? '', x: at('x'), y: at('y'), power: power === null ? null : power / fullPower }
  }
}
