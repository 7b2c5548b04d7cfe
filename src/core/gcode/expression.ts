/**
 * Values of the standard's expressions: numbers, parameters, functions and operators.
 * Source: NISTIR 6556, 3.3.2.2 to 3.3.2.4 and table 3 (from memory). Angles are in degrees.
 */

/** A value that was read, and where it ended; or what is wrong with it, and where. */
export type ValueRead = { readonly value: number; readonly end: number } | { readonly wrong: string; readonly at: number }

/** Numbers of parameters. Source: NISTIR 6556, 3.2.1 (from memory). */
export const LAST_PARAMETER = 5399

const FUNCTIONS: Readonly<Record<string, (x: number) => number>> = {
  ABS: Math.abs,
  ACOS: (x) => (Math.acos(x) * 180) / Math.PI,
  ASIN: (x) => (Math.asin(x) * 180) / Math.PI,
  COS: (x) => Math.cos((x * Math.PI) / 180),
  EXP: Math.exp,
  FIX: Math.floor,
  FUP: Math.ceil,
  LN: Math.log,
  ROUND: Math.round,
  SIN: (x) => Math.sin((x * Math.PI) / 180),
  SQRT: Math.sqrt,
  TAN: (x) => Math.tan((x * Math.PI) / 180),
}

/** Operators by how tightly they bind; of the same group from the left. */
const OPERATORS: readonly Readonly<Record<string, (p: number, q: number) => number>>[] = [
  { '**': (p, q) => p ** q },
  { '*': (p, q) => p * q, '/': (p, q) => p / q, MOD: modulo },
  {
    '+': (p, q) => p + q,
    '-': (p, q) => p - q,
    AND: (p, q) => (p !== 0 && q !== 0 ? 1 : 0),
    OR: (p, q) => (p !== 0 || q !== 0 ? 1 : 0),
    XOR: (p, q) => ((p !== 0) !== (q !== 0) ? 1 : 0),
  },
]

function modulo(p: number, q: number): number {
  const left = p % q
  return left < 0 ? left + Math.abs(q) : left
}

/** Deeper than this no bracket is followed: nobody writes it, and it would fill the memory. */
const DEEPEST = 60

class Wrong extends Error {
  constructor(
    message: string,
    readonly at: number,
  ) {
    super(message)
  }
}

/**
 * Reads one value of a line: a number, a parameter, an expression in brackets, a function of one. Blanks may stand anywhere.
 * @param text The program. @param from Where the value begins. @param end Where its line ends.
 * @param parameter The value of a parameter; 0 where none was set. @throws {RangeError} never. Valid: any text. Source: NISTIR 6556, 3.3.2 (from memory).
 */
export function readValue(text: string, from: number, end: number, parameter: (number: number) => number): ValueRead {
  const reader = new ValueReader(text, from, end, parameter)
  try {
    const value = reader.value()
    return { value, end: reader.at }
  } catch (error) {
    if (error instanceof Wrong) return { wrong: error.message, at: error.at }
    throw error
  }
}

class ValueReader {
  private depth = 0

  constructor(
    private readonly text: string,
    public at: number,
    private readonly end: number,
    private readonly parameter: (number: number) => number,
  ) {}

  value(): number {
    const code = this.peek()
    if (code === '[') return this.bracket()
    if (code === '#') return this.hash()
    if (/[A-Za-z]/.test(code)) return this.function()
    return this.number()
  }

  private peek(): string {
    while (this.at < this.end && /\s/.test(this.text[this.at] as string)) this.at++
    return this.at < this.end ? (this.text[this.at] as string) : ''
  }

  private fail(message: string, at = this.at): never {
    throw new Wrong(message, at)
  }

  private number(): number {
    const start = this.at
    let digits = ''
    let isSigned = false
    for (let it = this.peek(); ; it = this.peek()) {
      const isFirst = digits === '' && !isSigned
      if (/\d/.test(it) || (it === '.' && !digits.includes('.'))) digits += it
      else if ((it === '+' || it === '-') && isFirst) {
        isSigned = true
        digits = it === '-' ? '-' : ''
      } else break
      this.at++
    }
    if (!/\d/.test(digits))
      this.fail('A value is missing here: a number, a parameter such as #5, or an expression in [ ].', start)
    return Number(digits)
  }

  private hash(): number {
    const start = this.at++
    if (++this.depth > DEEPEST) this.fail('Parameters name one another too deep to be followed.', start)
    const number = this.value()
    this.depth--
    const whole = Math.round(number)
    if (Math.abs(number - whole) > 1e-4 || whole < 1 || whole > LAST_PARAMETER)
      this.fail(`Parameters have whole numbers from 1 to ${LAST_PARAMETER}, not ${number}.`, start)
    return this.parameter(whole)
  }

  private bracket(): number {
    const start = this.at
    if (this.peek() !== '[') this.fail('“[” is missing here.')
    this.at++
    if (++this.depth > DEEPEST) this.fail('Brackets stand in one another too deep to be followed.', start)
    const value = this.expression(OPERATORS.length - 1)
    if (this.peek() !== ']') this.fail('“]” or an operator is missing here.')
    this.at++
    this.depth--
    return value
  }

  /** Values and operators of a group and of those that bind more tightly. */
  private expression(group: number): number {
    if (group < 0) return this.value()
    let value = this.expression(group - 1)
    for (let it = this.operator(group); it !== null; it = this.operator(group)) {
      const at = this.at
      const right = this.expression(group - 1)
      if ((it === '/' || it === 'MOD') && right === 0) this.fail('Division by zero.', at)
      value = (OPERATORS[group]?.[it] as (p: number, q: number) => number)(value, right)
      if (!Number.isFinite(value)) this.fail('This comes to no number.', at)
    }
    return value
  }

  /** Passes over an operator of a group; null where another thing stands. */
  private operator(group: number): string | null {
    this.peek()
    const ahead = this.text.slice(this.at, Math.min(this.end, this.at + 12)).toUpperCase()
    const words = Object.keys(OPERATORS[group] ?? {})
    const found = words.find(
      (it) => ahead.replaceAll(/\s/g, '').startsWith(it) && !(it === '*' && ahead.replaceAll(/\s/g, '').startsWith('**')),
    )
    if (found === undefined) return null
    for (let left = found.length; left > 0; this.at++) if (/\S/.test(this.text[this.at] as string)) left--
    return found
  }

  private function(): number {
    const start = this.at
    let name = ''
    for (let it = this.peek(); /[A-Za-z]/.test(it); it = this.peek()) {
      name += it.toUpperCase()
      this.at++
      if (FUNCTIONS[name] !== undefined || name === 'ATAN') break
    }
    if (name === 'ATAN') {
      const y = this.bracket()
      if (this.peek() !== '/') this.fail('ATAN takes two values: ATAN[1]/[2].')
      this.at++
      return (Math.atan2(y, this.bracket()) * 180) / Math.PI
    }
    const worked = FUNCTIONS[name]
    if (worked === undefined) this.fail(`“${name}” is no function of the standard.`, start)
    const value = worked(this.bracket())
    if (!Number.isFinite(value)) this.fail(`${name} of this comes to no number.`, start)
    return value
  }
}
