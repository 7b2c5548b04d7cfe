/** Where the head is and what the beam does. Lengths in mm, power as a share of full power. */
export interface StateReport {
  readonly running: boolean
  readonly x: number
  readonly y: number
  readonly power: number
  /** Share of the program that is done, 0…1. */
  readonly done: number
}

/** What a machine says. */
export type Said =
  | { readonly kind: 'yes'; readonly id: number }
  | { readonly kind: 'no'; readonly id: number; readonly line: number; readonly column: number; readonly words: string }
  | { readonly kind: 'item'; readonly id: number; readonly key: string; readonly text: string }
  | { readonly kind: 'at'; readonly state: StateReport }
  | { readonly kind: 'here'; readonly name: string }
  | { readonly kind: 'ended' | 'stopped' }
  | { readonly kind: 'garbled'; readonly text: string }

const YES = /^(\d+) yes$/
const NO = /^(\d+) no (\d+) (\d+) (.*)$/
const ITEM = /^(\d+) item (\S+) (\S+)$/
const NUMBER = String.raw`(-?\d+(?:\.\d+)?)`
const AT = new RegExp(`^at (run|rest) ${NUMBER} ${NUMBER} ${NUMBER} ${NUMBER}$`)
const HERE = /^here (.{1,60})$/

/** Reads one line of a machine; what is none of its words is garbled, never thrown away. */
export function readSaid(line: string): Said {
  const yes = YES.exec(line)
  if (yes !== null) return { kind: 'yes', id: Number(yes[1]) }
  const no = NO.exec(line)
  if (no !== null) {
    return { kind: 'no', id: Number(no[1]), line: Number(no[2]), column: Number(no[3]), words: no[4] ?? '' }
  }
  const item = ITEM.exec(line)
  if (item !== null) return { kind: 'item', id: Number(item[1]), key: item[2] ?? '', text: item[3] ?? '' }
  const at = AT.exec(line)
  if (at !== null) {
    const [x = 0, y = 0, power = 0, done = 0] = at.slice(2).map(Number)
    return { kind: 'at', state: { running: at[1] === 'run', x, y, power, done } }
  }
  const here = HERE.exec(line)
  if (here !== null) return { kind: 'here', name: here[1] ?? '' }
  if (line === 'ended' || line === 'stopped') return { kind: line }
  return { kind: 'garbled', text: line }
}

/** Writes one line of a machine; the inverse of `readSaid`. */
export function writeSaid(said: Said): string {
  switch (said.kind) {
    case 'yes':
      return `${said.id} yes`
    case 'no':
      return `${said.id} no ${said.line} ${said.column} ${said.words.replace(/\s+/g, ' ')}`
    case 'item':
      return `${said.id} item ${said.key} ${said.text}`
    case 'at': {
      const { running, x, y, power, done } = said.state
      return `at ${running ? 'run' : 'rest'} ${x.toFixed(3)} ${y.toFixed(3)} ${power.toFixed(4)} ${done.toFixed(4)}`
    }
    case 'here':
      return `here ${said.name}`
    case 'ended':
    case 'stopped':
      return said.kind
    case 'garbled':
      return said.text
  }
}
