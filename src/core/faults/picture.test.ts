import { expect, it } from 'vitest'
import { asRead, cycleOf, CAUSE_WORDS, CAUSES, priorsOf, SPEAKS, symptomStrokes, SYMPTOMS, type Proof } from '.'

const PROOF: Proof = { side: 60, slow: 20, fast: 100, passes: 5, cycle: 0.8, over: 8, turns: true }

it.each(SYMPTOMS)('%s is drawn within its picture, unlike any other', (symptom) => {
  const strokes = symptomStrokes(symptom, PROOF)
  for (const { points, width, dark } of strokes) {
    for (const place of points.flat()) expect(place).toBeGreaterThan(-4)
    for (const place of points.flat()) expect(place).toBeLessThan(28)
    expect(width).toBeGreaterThan(0)
    expect(dark).toBeGreaterThan(0)
    expect(dark).toBeLessThanOrEqual(1)
  }
  for (const other of SYMPTOMS) if (other !== symptom) expect(symptomStrokes(other, PROOF)).not.toEqual(strokes)
})

it('a share is a logarithm: half as pale and twice as wide are as far from nothing', () => {
  expect(asRead('dark', 0.5)).toBeCloseTo(Math.LN2, 9)
  expect(asRead('width', 1)).toBeCloseTo(Math.LN2, 9)
  expect(asRead('gap', 0.3)).toBe(0.3)
  expect(asRead('dark', 1)).toBeLessThan(5)
})

it('what the bench has measured good is less likely, what is bad more, and nothing turned slips', () => {
  const plain = priorsOf(() => null, true)
  const good = priorsOf((id) => (SPEAKS.belt.includes(id) ? 'good' : null), true)
  const bad = priorsOf((id) => (id === SPEAKS.belt[0] ? 'good' : id === SPEAKS.belt[1] ? 'stop' : null), true)
  expect(good.belt).toBeLessThan(plain.belt)
  expect(bad.belt).toBeGreaterThan(plain.belt)
  expect(good.play).toBe(plain.play)
  expect(priorsOf(() => null, false).holder).toBeLessThan(1e-6)
  expect(priorsOf(() => 'unknown', true)).toEqual(plain)
})

it('each cause says what mends it and what proves it', () => {
  for (const cause of CAUSES) for (const words of Object.values(CAUSE_WORDS[cause])) expect(words.length).toBeGreaterThan(3)
})

it('four full steps are a way by microsteps and steps for a millimetre; without them a usual belt', () => {
  // 2 mm on 20 teeth, 200 full steps: 40 mm a turn, 0.2 mm a full step (common practice).
  expect(cycleOf(16, 80)).toBeCloseTo(0.8, 12)
  expect(cycleOf(32, 160)).toBeCloseTo(0.8, 12)
  expect(cycleOf(null, 80)).toBe(0.8)
  expect(cycleOf(16, 0)).toBe(0.8)
})
