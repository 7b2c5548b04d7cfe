import { describe, expect, it } from 'vitest'
import { setAt, type Path } from '../bench'
import { heron } from '../../data/heron'
import { compareSettings, emptyBench, engineFor, judgeAll, listingByBench, type Bench } from '.'

const { bench: demo } = heron()
const set = (bench: Bench, ...changes: readonly (readonly [Path, unknown])[]): Bench =>
  changes.reduce((it, [path, value]) => setAt(it, path, value), bench)
const read = (value: number, typed = String(value), typedUnit = 'steps/mm') =>
  ({ value, typed, typedUnit, origin: 'measured', doubt: { kind: 'exact' } }) as const
const row = (bench: Bench, id: string) => compareSettings(engineFor(bench)).find((it) => it.setting.id === id)
const verdict = (bench: Bench, id: string, axis: string) =>
  judgeAll(engineFor(bench)).find((it) => it.def.id === id && it.args[0] === axis)

describe('bench beside machine', () => {
  it('is compared in the unit that the machine counts in, whatever the value was typed in', () => {
    const typed = set(demo, ['controller.axes.x.topSpeed', read(15, '900', 'mm/min')])
    expect(row(typed, 'axes.x.topSpeed')).toMatchObject({ inMachine: '15.0', wanted: '200.0', standing: 'differs' })
    const perMinute = set(typed, ['controller.speedUnit', 'mm/min'])
    expect(row(perMinute, 'axes.x.topSpeed')).toMatchObject({ inMachine: '900', wanted: '12000.0' })
  })

  it('differs only where they are further apart than the bench may be off', () => {
    // By the run 80.416 ± 0.052 steps/mm.
    const at = (steps: number) =>
      row(set(demo, ['controller.axes.x.steps', read(steps, steps.toFixed(3))]), 'axes.x.steps')?.standing
    expect([at(80.416), at(80.4), at(80)]).toEqual(['same', 'within ±', 'differs'])
  })

  it('of a guess is neither the same nor a reason to write, and says what to check', () => {
    const bare = set(emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z'), ['controller.axes.x.steps', read(80.41)])
    const found = row(bare, 'axes.x.steps')
    expect(found?.standing).toBe('guess')
    expect(found?.unchecked).toMatch(/^motion\.axes\.x\.(microsteps|pulleyTeeth|fullSteps)$/)
    expect(row(set(bare, ['controller.axes.x.steps', read(80)]), 'axes.x.steps')?.standing).toBe('guess')
  })
})

it('an axis that no run marks follows the spans that it was moved by hand', () => {
  const span = (order: number, commanded: number, value: number, inForce = 400) => ({
    order,
    axis: 'x',
    inForce,
    commanded,
    measured: read(value, String(value), 'mm'),
  })
  const spans = { a: span(1, 20, 20.3), b: span(2, 40, 40.5), c: span(3, 60, 60.7), old: span(0, 50, 48, 100) }
  const steps = (bench: Bench) => engineFor(bench).byId('calibrate.steps', ['x']).result
  const moved = set(demo, ['calibrate.spans', spans], ['calibrate.applied.x', 'spans'])
  // 0.2 mm more for every 20 mm, whatever the 0.1 mm that all have: 400 / 1.01. The span with other steps does not count.
  expect(steps(moved)).toEqual({ known: true, value: expect.closeTo(400 / 1.01, 9) })
  expect(steps(set(demo, ['calibrate.spans', { a: span(1, 20, 20.2) }], ['calibrate.applied.x', 'spans'])).known).toBe(false)
})

describe('steps that agree', () => {
  it('are good where the run says the same, not known where the bench guesses, and stop where the run says another', () => {
    const mark = (bench: Bench) => verdict(bench, 'calibrate.stepsAgree', 'x')?.mark
    const bare = set(emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z'), ['controller.axes.x.steps', read(80)])
    expect(mark(set(demo, ['controller.axes.x.steps', read(80.416)]))).toBe('good')
    expect(mark(set(demo, ['controller.axes.x.steps', read(80)]))).toBe('stop')
    expect(mark(bare)).toBe('unknown')
    // A calibrated number in the machine of a bench that guesses its drive train: never told to be overwritten.
    expect(mark(set(bare, ['controller.axes.x.steps', read(80.41)]))).toBe('unknown')
  })

  it('steps that are fine enough but may not be are not called coarse', () => {
    // A step of 12.5 µm in a spot of 0.055 ± 0.02: 4.4 as entered, under 4 at worst.
    const spot = {
      value: 0.055,
      typed: '0.055',
      typedUnit: 'mm',
      origin: 'stated',
      doubt: { kind: 'halfWidth', a: 0.015 },
    } as const
    const it = verdict(set(demo, ['optics.spotX', spot], ['optics.spotY', spot]), 'optics.fineEnough', 'x')
    const words = it?.def.say({
      mark: it.mark,
      args: it.args,
      margin: 4.4,
      figure: () => '1 mm',
      fact: () => '1 mm',
      word: () => 'X',
      keys: () => [],
    })
    expect([it?.mark, words?.head]).toEqual(['look', 'X steps may be coarse'])
  })
})

describe('the machine’s own list, by the bench', () => {
  const keys = { 'axes.x.topSpeed': 'X rapid', 'beam.pwmFrequency': 'Signal frequency', 'beam.followsSpeed': 'Follow' }
  const bench = set(demo, ['controller.keys', keys], ['controller.axes.x.topSpeed', read(150, '9000', 'mm/min')])
  const list = '; shed\nX rapid:   9000 mm/min   ; as it came\nSignal frequency: 1.0 kHz\nFollow: No\nDoor: 3'

  it('keeps its shape and its units, and changes only what differs: 200 mm/s are 12000 mm/min, 5 kHz stay kHz', () => {
    const { text, changed } = listingByBench(engineFor(bench), list)
    expect(text).toBe('; shed\nX rapid:   12000 mm/min   ; as it came\nSignal frequency: 5.0 kHz\nFollow: No\nDoor: 3')
    expect(changed.map((it) => it.setting.label)).toEqual(['X top speed', 'Frequency of the power signal'])
    expect(listingByBench(engineFor(bench), text).changed).toEqual([])
  })

  it('leaves a guess as it stands', () => {
    const guessed = set(bench, ['electrical.pwmFrequency.origin', 'assumed'])
    expect(listingByBench(engineFor(guessed), list).text).toContain('Signal frequency: 1.0 kHz')
  })
})
