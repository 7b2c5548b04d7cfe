import { CULPRITS, type Culprit } from './causes'
import { expectedOf, SEVERITIES, type Expected } from './forward'
import { HOW_READ, READINGS, SYMPTOM_SEEN, SYMPTOMS, type Proof, type Reading, type Symptom } from './observed'

/** What somebody has seen and read. Readings in the measure of `READINGS`; what stands in neither was not looked at. */
export interface Evidence {
  readonly seen: Readonly<Partial<Record<Symptom, boolean>>>
  readonly read: Readonly<Partial<Record<Reading, number>>>
}

/** How likely each culprit is; sums to 1. */
export type Chances = Readonly<Record<Culprit, number>>

/** Severities that are tried for each cause, evenly on a logarithmic scale. */
const GRID = 24
/** An eye is wrong now and then, whatever there is to see. */
const LAPSE = 0.03
/** Every machine has a little of everything: standard deviations of a burn that is in order. */
const USUAL: Readonly<Record<Reading, number>> = {
  gap: 0.04,
  shiftSlow: 0.04,
  shiftFast: 0.05,
  slant: 0.12,
  doubleSlow: 0.03,
  doubleFast: 0.04,
  missing: 0.05,
  swing: 0.02,
  cornerDark: 0.1,
  width: 0.05,
  wedge: 0.06,
  dark: 0.06,
  uneven: 0.05,
  rim: 0.1,
  seam: 0.08,
}
/** The model is no more than a model: what it expects is off by this share. */
const MODEL = 0.22

/** Severities of a culprit that are tried. */
export function severitiesOf(culprit: Culprit): readonly number[] {
  const [least, most] = SEVERITIES[culprit]
  if (least === most) return [least]
  return Array.from({ length: GRID }, (_, k) => least * (most / least) ** (k / (GRID - 1)))
}

const spreadOf = (reading: Reading, expected: number): number =>
  Math.hypot(HOW_READ[reading].noise, USUAL[reading], MODEL * expected)

/** Logarithm of the density of a reading. Heavy tails, so that one odd reading does not rule. */
function readLikelihood(reading: Reading, value: number, expected: number): number {
  const s = spreadOf(reading, expected)
  const z = (value - expected) / s
  // Student with eight degrees of freedom.
  return -4.5 * Math.log1p((z * z) / 8) - Math.log(s)
}

/**
 * Chance that a symptom is seen where so much of its reading is there.
 * @param symptom What it looks like. @param expected Its reading. Valid: any reading. Source: a blurred limit with lapses, as in tests of the eye (common practice).
 * @example chanceSeen('open', 2) // 0.97
 */
export function chanceSeen(symptom: Symptom, expected: number): number {
  const { reading, from, blur } = SYMPTOM_SEEN[symptom]
  const z = (expected - from) / Math.hypot(blur, USUAL[reading], MODEL * expected)
  const above = 1 / (1 + Math.exp(-1.702 * z))
  return LAPSE + (1 - 2 * LAPSE) * above
}

/** Logarithm of the likelihood of what is known, for each severity of each culprit: what a further reading is added to. */
export interface Grid {
  readonly culprits: readonly { readonly culprit: Culprit; readonly prior: number; readonly at: readonly GridPoint[] }[]
}

interface GridPoint {
  readonly expected: Expected
  readonly log: number
}

/** Works the grid once, for all readings that could come next. */
export function gridOf(priors: Chances, evidence: Evidence, proof: Proof): Grid {
  return {
    culprits: CULPRITS.map((culprit) => ({
      culprit,
      prior: priors[culprit],
      at: severitiesOf(culprit).map((bad) => {
        const expected = expectedOf(culprit, bad, proof)
        return { expected, log: likelihood(expected, evidence) }
      }),
    })),
  }
}

/** Chances by a grid, with one further reading if there is one. */
export function chancesIn(
  { culprits }: Grid,
  more: { readonly reading: Reading; readonly value: number } | null = null,
): Chances {
  const logs = culprits.map(({ prior, at }) => {
    const terms = at.map(({ expected, log }) =>
      more === null ? log : log + readLikelihood(more.reading, more.value, expected[more.reading]),
    )
    const highest = Math.max(...terms)
    const mean = terms.reduce((sum, it) => sum + Math.exp(it - highest), 0) / terms.length
    return Math.log(Math.max(prior, 1e-12)) + highest + Math.log(mean)
  })
  const highest = Math.max(...logs)
  const weights = logs.map((it) => Math.exp(it - highest))
  const total = weights.reduce((sum, it) => sum + it, 0)
  return Object.fromEntries(culprits.map(({ culprit }, k) => [culprit, (weights[k] ?? 0) / total])) as Record<Culprit, number>
}

/**
 * How likely each culprit is after what was seen and read.
 * @param priors How likely before; more than 0, any sum. @param evidence What was seen and read. @param proof The pattern on this machine.
 * Valid: any evidence; what was not looked at says nothing. Source: Bayes’ theorem, severities summed out over a grid.
 */
export function chancesOf(priors: Chances, evidence: Evidence, proof: Proof): Chances {
  return chancesIn(gridOf(priors, evidence, proof))
}

function likelihood(expected: Expected, { seen, read }: Evidence): number {
  let sum = 0
  for (const symptom of SYMPTOMS) {
    const answer = seen[symptom]
    if (answer === undefined) continue
    const chance = chanceSeen(symptom, expected[SYMPTOM_SEEN[symptom].reading])
    sum += Math.log(answer ? chance : 1 - chance)
  }
  for (const reading of READINGS) {
    const value = read[reading]
    if (value !== undefined) sum += readLikelihood(reading, value, expected[reading])
  }
  return sum
}

/** Culprits by how likely they are, the likeliest first. */
export function ranked(chances: Chances): readonly (readonly [culprit: Culprit, chance: number])[] {
  return CULPRITS.map((it) => [it, chances[it]] as const).sort(([, p], [, q]) => q - p)
}
