import { drawHidden, type Hidden, type HiddenFaults, type StandInSpec } from './hidden'
import { between, normal, seeded, type Random } from './random'

/** How hard a practice machine is to commission. */
export const GRADES = [1, 2, 3] as const
export type Grade = (typeof GRADES)[number]

/** What may be wrong with a practice machine beyond what every machine has. */
export const PRACTICE_FAULTS = ['play', 'slip', 'loose', 'misses', 'late', 'skew'] as const
export type PracticeFault = (typeof PRACTICE_FAULTS)[number]

/** A practice machine: what is hidden in it, and which faults it was given. */
export interface PracticeMachine {
  readonly hidden: Hidden
  readonly faults: readonly { readonly fault: PracticeFault; readonly axis: 'x' | 'y' | '' }[]
}

/** What a person can do to a practice machine with a spanner. */
export const MENDS = ['snug', 'belt', 'pulley', 'square'] as const
export type Mend =
  { readonly act: 'snug' | 'belt' | 'pulley'; readonly axis: 'x' | 'y' } | { readonly act: 'square'; readonly byRad: number }

/** Standard uncertainty of the scale of the practice calipers, as their certificate says, and of one reading, mm. */
export const PRACTICE_CALIPERS = { uScale: 0.0003, noise: 0.02 } as const

const COUNT: Readonly<Record<Grade, number>> = { 1: 0, 2: 1, 3: 2 }

/**
 * Draws a practice machine: the same number and grade hide the same. The first grade has what every machine has; the second
 * one fault besides, the third two.
 * @param number Whole. @param spec What it is built as. @param given These faults and no others, as a lesson gives them.
 */
export function drawPractice(
  number: number,
  grade: Grade,
  spec: StandInSpec,
  given: readonly PracticeFault[] | null = null,
): PracticeMachine {
  const random = seeded(number * 3 + grade)
  const plain = drawHidden(number, spec)
  const quiet: Hidden = {
    ...plain,
    play: { x: between(random, 0, 0.05), y: between(random, 0, 0.05) },
    skewRad: between(random, -0.0012, 0.0012),
    delay: { on: between(random, 0.001, 0.006), off: between(random, 0, 0.003) },
    holds: { x: between(random, 1200, 4000), y: between(random, 1200, 4000) },
    calipers: { scale: PRACTICE_CALIPERS.uScale * normal(random), noise: PRACTICE_CALIPERS.noise },
  }
  const names = given ?? drawFaults(random, COUNT[grade])
  return names.reduce<PracticeMachine>((machine, fault) => withFault(machine, fault, random), { hidden: quiet, faults: [] })
}

function drawFaults(random: Random, count: number): readonly PracticeFault[] {
  const left = [...PRACTICE_FAULTS]
  return Array.from({ length: count }, () => left.splice(Math.floor(random() * left.length), 1)[0] as PracticeFault)
}

function withFault({ hidden, faults }: PracticeMachine, fault: PracticeFault, random: Random): PracticeMachine {
  const taken = new Set(faults.map((it) => it.axis))
  const drawn = random() < 0.5 ? 'x' : 'y'
  // Two faults of belts and pulleys sit on two axes: on one they would hide behind each other.
  const axis = taken.has(drawn) ? (drawn === 'x' ? 'y' : 'x') : drawn
  const add = (more: Partial<Hidden>, where: 'x' | 'y' | '' = axis): PracticeMachine => ({
    hidden: { ...hidden, ...more },
    faults: [...faults, { fault, axis: where }],
  })
  const wrong = (more: HiddenFaults): PracticeMachine => add({ faults: { ...hidden.faults, ...more } })
  switch (fault) {
    case 'play':
      return add({ play: { ...hidden.play, [axis]: between(random, 0.18, 0.5) } })
    case 'slip':
      return wrong({ slip: { axis, share: between(random, 0.002, 0.008) } })
    case 'loose':
      return wrong({ loose: { axis, mm: between(random, 0.3, 0.8) } })
    case 'misses':
      return add({ holds: { ...hidden.holds, [axis]: between(random, 250, 450) } })
    case 'late':
      return add({ delay: { ...hidden.delay, on: between(random, 0.05, 0.12) } }, '')
    case 'skew':
      return add({ skewRad: between(random, 0.004, 0.008) * (random() < 0.5 ? -1 : 1) }, '')
  }
}

/** Play that stays when everything is snug, mm. */
const SNUG = 0.02

/** What is hidden in a machine after something was done to it with a spanner. */
export function mended(hidden: Hidden, mend: Mend): Hidden {
  if (mend.act === 'square') return { ...hidden, skewRad: hidden.skewRad - mend.byRad }
  const { axis, act } = mend
  const { slip, loose, ...others } = hidden.faults
  switch (act) {
    case 'snug':
      return { ...hidden, play: { ...hidden.play, [axis]: Math.min(hidden.play[axis], SNUG) } }
    case 'belt':
      return {
        ...hidden,
        faults: {
          ...others,
          ...(slip === undefined ? {} : { slip }),
          ...(loose === undefined || loose.axis === axis ? {} : { loose }),
        },
      }
    case 'pulley':
      return {
        ...hidden,
        faults: {
          ...others,
          ...(loose === undefined ? {} : { loose }),
          ...(slip === undefined || slip.axis === axis ? {} : { slip }),
        },
      }
  }
}

/** Whether something that was done changed anything that was wrong. @returns False: it was done in vain. */
export function mendsAnything(before: Hidden, mend: Mend): boolean {
  if (mend.act === 'square') return Math.abs(before.skewRad - mend.byRad) < Math.abs(before.skewRad) - 1e-4
  const { axis, act } = mend
  if (act === 'snug') return before.play[axis] > 0.06
  return (act === 'belt' ? before.faults.loose : before.faults.slip)?.axis === axis
}
