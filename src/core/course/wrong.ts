import { CAUSE_WORDS, HOW_READ, READINGS, SYMPTOM_SEEN, SYMPTOMS, type Culprit, type Reading, type Symptom } from '../faults'
import { drawFaulty, HIDDEN_FAULTS, readFault, seeded, truthOf, type FaultyMachine, type Random } from '../workshop'
import type { CameOut, Lessoned, LessonWorked } from './score'

/** The machine with something wrong, or nothing. @param number The same number, the same machine. */
export function machineWrong(number: number): FaultyMachine {
  const fault = HIDDEN_FAULTS[Math.floor(seeded(number ^ 0x77_72_6f)() * HIDDEN_FAULTS.length)] ?? 'nothing'
  return drawFaulty(fault, number)
}

const truthFor = (number: number): Readonly<Record<string, number>> => truthOf(machineWrong(number), seeded(number * 17 + 3))

/** What somebody sees who looks at the burn of this machine. */
export function seenOfWrong(number: number): Readonly<Record<Symptom, boolean>> {
  const truth = truthFor(number)
  const seen = SYMPTOMS.map((it) => [it, (truth[SYMPTOM_SEEN[it].reading] ?? 0) > SYMPTOM_SEEN[it].from] as const)
  return Object.fromEntries(seen) as Record<Symptom, boolean>
}

/** Readings that are said as so much paler. */
const PALER: readonly Reading[] = ['dark', 'uneven']

/**
 * One reading of this machine's burn, as it is typed: mm, or a share, paler, wider or deeper. @param number Which machine. @param reading Which reading. @param random Draws the noise of calipers and eye.
 * Valid: any machine. Source: the stand-in's faults, written apart.
 * @example readWrong(12, 'dark', () => 0.5) // 0.52
 */
export function readWrong(number: number, reading: Reading, random: Random): number {
  const isLength = HOW_READ[reading].unit === 'mm'
  const value = readFault(truthFor(number)[reading] ?? 0, isLength, random)
  if (isLength) return Math.max(0, Math.round(value * 100) / 100)
  const share = PALER.includes(reading) ? 1 - Math.exp(-value) : Math.exp(value) - 1
  return Math.round(share * 100) / 100
}

/** What it is called when it is named. */
export function nameOf(culprit: Culprit): string {
  return culprit === 'none' ? 'Nothing out of the usual' : CAUSE_WORDS[culprit].name
}

/** Whether the right thing was named, after how many wrong ones, and after how long. */
export function workWrong({ number, bench, tries }: Lessoned): LessonWorked {
  const { fault } = machineWrong(number)
  const real: Culprit = fault === 'nothing' ? 'none' : fault
  const names = tries.flatMap((it) => (it.kind === 'named' ? [it.culprit] : []))
  const wrong = names.indexOf(real) === -1 ? names.length : names.indexOf(real)
  const read = READINGS.filter((it) => bench.faults.read[it].value !== null)
  const minutes = read.reduce((sum, it) => sum + HOW_READ[it].minutes, 0)
  const isNamed = names.includes(real)
  const named: CameOut = { off: names.length === 0 ? null : wrong, isDone: isNamed }
  return {
    aims: { named, minutes: { off: read.length === 0 ? null : minutes * 60, isDone: isNamed } },
    truth: [
      `It was: ${nameOf(real).toLowerCase()}.`,
      names.length === 0 ? 'Nothing was named.' : `Named: ${names.map(nameOf).join('; ').toLowerCase()}.`,
    ],
  }
}
