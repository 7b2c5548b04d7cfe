import { HOW_READ, READINGS, SYMPTOMS, type Proof, type Reading, type Symptom } from './observed'
import type { Evidence } from './rank'
import type { Faults } from './slice'

/** Shares that are typed as so much paler; the rest as so much wider or deeper. */
const PALER: ReadonlySet<Reading> = new Set(['dark', 'uneven'])
/**
 * A typed reading as the model has it: a length as it is, a share as a logarithm.
 * @param reading Which. @param value mm, or a share: 0.2 is a fifth wider, deeper or paler. Valid: shares above −0.99; paler ones below 0.99. Source: by definition.
 * @example asRead('width', 1) // 0.6931
 */
export function asRead(reading: Reading, value: number): number {
  if (HOW_READ[reading].unit === 'mm') return value
  return PALER.has(reading) ? -Math.log(Math.max(0.01, 1 - value)) : Math.log(Math.max(0.01, 1 + value))
}

/** What stands on a bench of what was seen and read. */
export function evidenceOf({ seen, read }: Faults): Evidence {
  const answers: Partial<Record<Symptom, boolean>> = {}
  for (const symptom of SYMPTOMS) {
    const { chosen } = seen[symptom]
    if (chosen !== null) answers[symptom] = chosen === 'yes'
  }
  const readings: Partial<Record<Reading, number>> = {}
  for (const reading of READINGS) {
    const { value } = read[reading]
    if (value !== null) readings[reading] = asRead(reading, value)
  }
  return { seen: answers, read: readings }
}

/** The pattern as it is burnt on a machine. @param cycle Way of four full steps, mm. @param turns Whether anything is turned. */
export function proofOf({ slow, fast }: Faults, cycle: number, turns: boolean): Proof {
  return { side: 60, slow: slow.value ?? 20, fast: fast.value ?? 100, passes: 5, cycle, over: 8, turns }
}

/** Way of four full steps where nothing is known of the drive, mm: a belt of 2 mm on 20 teeth. */
const USUAL_CYCLE = 0.8
const FULL_STEPS = 4

/**
 * What a motor falls behind by at once: four full steps as a way.
 * @param microsteps Of the driver; null: not known. @param perMm Steps for a millimetre; null: not known.
 * @returns mm. Valid: any; what is not more than 0 counts as not known. Source: one cycle of a winding is four full steps (common practice).
 * @example cycleOf(16, 80) // 0.8
 */
export function cycleOf(microsteps: number | null, perMm: number | null): number {
  if (microsteps === null || perMm === null || !(perMm > 0) || !(microsteps > 0)) return USUAL_CYCLE
  return (FULL_STEPS * microsteps) / perMm
}
