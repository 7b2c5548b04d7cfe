import type { Finding } from '../units'

/** Findings that are kept word for word; what comes after is counted. */
const KEPT = 5000

/** Gathers all findings of a program, each with line and column. */
export interface Gathered {
  readonly findings: Finding[]
  /** How many there were, kept or not. */
  count: number
  errors: number
  report(severity: Finding['severity'], code: string, message: string, line: number, column: number): void
}

/** A collector that keeps the first thousands and counts the rest, so that a wrong file does not fill the memory. */
export function gather(): Gathered {
  const findings: Finding[] = []
  return {
    findings,
    count: 0,
    errors: 0,
    report(severity, code, message, line, column) {
      this.count++
      if (severity === 'error') this.errors++
      if (findings.length < KEPT) findings.push({ severity, code, message, line, column })
    },
  }
}
