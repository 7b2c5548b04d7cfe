import { describe, expect, it } from 'vitest'
import {
  BASE_RATES,
  CAUSES,
  chancesOf,
  CULPRITS,
  HOW_READ,
  nextReadings,
  ranked,
  SYMPTOM_SEEN,
  SYMPTOMS,
  type Chances,
  type Culprit,
  type Evidence,
  type Proof,
  type Symptom,
} from '../../src/core/faults'
import { between, drawFaulty, HIDDEN_FAULTS, readFault, seeded, truthOf, type HiddenFault } from '../../src/core/workshop'

const EVEN = Object.fromEntries(CULPRITS.map((it) => [it, 1])) as Chances

/** A person looks at the burn, ticks what can be seen, and takes the readings that are asked for first. */
function found(fault: HiddenFault, number: number, readings = 3): readonly Culprit[] {
  const machine = drawFaulty(fault, number)
  const random = seeded(number * 17 + 3)
  const truth = truthOf(machine, random)
  const proof: Proof = { ...machine, turns: true }
  const seen: Partial<Record<Symptom, boolean>> = {}
  for (const symptom of SYMPTOMS) {
    const { reading, from } = SYMPTOM_SEEN[symptom]
    // An eye's own limit lies a fifth off, and it is wrong now and then.
    const isThere = (truth[reading] ?? 0) > from * between(random, 0.8, 1.2)
    seen[symptom] = random() < 0.02 ? !isThere : isThere
  }
  let evidence: Evidence = { seen, read: {} }
  for (let k = 0; k < readings; k++) {
    const [next] = nextReadings(BASE_RATES, evidence, proof)
    if (next === undefined) break
    const value = readFault(truth[next.reading] ?? 0, HOW_READ[next.reading].unit === 'mm', random)
    evidence = { ...evidence, read: { ...evidence.read, [next.reading]: value } }
  }
  return ranked(chancesOf(BASE_RATES, evidence, proof)).map(([it]) => it)
}

const MACHINES = 30
const named = (fault: HiddenFault): Culprit => (fault === 'nothing' ? 'none' : fault)

describe('the stand-in’s faults, written apart', () => {
  const runs = HIDDEN_FAULTS.map((fault) => ({
    fault,
    found: Array.from({ length: MACHINES }, (_, number) => found(fault, number)),
  }))

  it.each(runs.filter((it) => it.fault !== 'nothing'))('$fault is named', ({ fault, found: all }) => {
    const first = all.filter((it) => it[0] === named(fault)).length
    const third = all.filter((it) => it.slice(0, 3).includes(named(fault))).length
    expect([first, third], all.map((it) => it.slice(0, 2).join(' ')).join(', ')).toEqual([
      expect.toSatisfy((n: number) => n >= 0.8 * MACHINES),
      expect.toSatisfy((n: number) => n >= 0.95 * MACHINES),
    ])
  })

  it('nothing is called nothing in 95 %', () => {
    const all = runs.find((it) => it.fault === 'nothing')?.found ?? []
    expect(all.filter((it) => it[0] === 'none').length).toBeGreaterThanOrEqual(0.95 * MACHINES)
  })
})

describe('chances', () => {
  const proof: Proof = { side: 60, slow: 20, fast: 100, passes: 5, cycle: 0.8, over: 8, turns: false }

  it('sum to one and stay with the priors where nothing was looked at', () => {
    const priors = { ...EVEN, belt: 3 }
    const chances = chancesOf(priors, { seen: {}, read: {} }, proof)
    expect(CULPRITS.reduce((sum, it) => sum + chances[it], 0)).toBeCloseTo(1, 9)
    expect(chances.belt / chances.play).toBeCloseTo(3, 9)
  })

  it('a belt that was measured yesterday is less likely than play, by as much as the bench says', () => {
    const evidence: Evidence = { seen: { open: true }, read: { doubleFast: 0.4 } }
    const even = chancesOf(EVEN, evidence, proof)
    const known = chancesOf({ ...EVEN, belt: 0.1 }, evidence, proof)
    expect(known.belt / known.play).toBeCloseTo((even.belt / even.play) * 0.1, 9)
  })

  it('answers that contradict each other leave several, and none with certainty', () => {
    const all = Object.fromEntries(SYMPTOMS.map((it) => [it, true])) as Record<Symptom, boolean>
    const [first] = ranked(chancesOf(EVEN, { seen: all, read: {} }, proof))
    expect(first?.[1]).toBeLessThan(0.9)
  })

  it('late light shows in proportion to speed, play at any speed alike: two readings tell them apart (common practice)', () => {
    const by = (doubleSlow: number, doubleFast: number): Culprit | undefined =>
      ranked(chancesOf(EVEN, { seen: {}, read: { doubleSlow, doubleFast, swing: 0 } }, proof))[0]?.[0]
    expect(by(0.1, 0.5)).toBe('delay')
    expect(by(0.5, 0.5)).toBe('play')
  })

  it('asks for no reading round an object where nothing is turned, and for each only once', () => {
    const asked = nextReadings(EVEN, { seen: {}, read: { gap: 0.3 } }, proof).map((it) => it.reading)
    expect(asked).not.toContain('seam')
    expect(asked).not.toContain('gap')
    expect(new Set(asked).size).toBe(asked.length)
  })

  it('every cause can be mended and proved somewhere', () => {
    expect(CAUSES).toHaveLength(14)
  })
})
