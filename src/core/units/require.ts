/**
 * Requires a finite number within a closed range.
 * @param name What the caller calls it; appears in the message.
 * @param value Any number, in `unit`.
 * @throws {RangeError} naming the field, its value and the accepted range.
 */
export function requireInRange(name: string, value: number, min: number, max: number, unit = ''): void {
  if (value >= min && value <= max) return
  const suffix = unit === '' ? '' : ` ${unit}`
  throw new RangeError(`${name} must be ${min}…${max}${suffix}, got ${value}`)
}

/**
 * Requires a whole number within a closed range.
 * @throws {RangeError} naming the field, its value and the accepted range.
 */
export function requireInteger(name: string, value: number, min: number, max: number): void {
  if (Number.isInteger(value) && value >= min && value <= max) return
  throw new RangeError(`${name} must be a whole number ${min}…${max}, got ${value}`)
}

/** Closes a switch over a union at compile time. @throws {Error} if it is reached all the same. */
export function assertNever(value: never): never {
  throw new Error(`unexpected value ${JSON.stringify(value)}`)
}
