import { describe, expect, it } from 'vitest'
import { setAt, type Fact, type Path } from '../bench'
import { heron } from '../../data/heron'
import { trialShape } from '../../../tests/trialMachine'
import { engineFor, judgeAll, type Bench } from '.'

const { bench: demo } = heron()
const fact = (value: number, u = 0): Fact => ({
  value,
  typed: String(value),
  typedUnit: 'mm',
  origin: 'measured',
  doubt: u === 0 ? { kind: 'exact' } : { kind: 'standard', u },
})
const set = (bench: Bench, changes: Readonly<Record<Path, unknown>>): Bench =>
  Object.entries(changes).reduce((it, [path, value]) => setAt(it, path, value), bench)
const marks = (bench: Bench, id: string) =>
  Object.fromEntries(
    judgeAll(engineFor(bench), 'controller')
      .filter((it) => it.def.id === id)
      .map((it) => [it.args[0] ?? '', it.mark]),
  )
const tried = (axis: string, key: string): Path => `controller.axes.${axis}.tried.${key}`

describe('what stops the beam', () => {
  const at = (went: string | null, seconds: number, reach: number | null, u = 0) =>
    marks(
      set(demo, {
        'calibrate.stops.lid.went.chosen': went,
        'calibrate.stops.lid.seconds': fact(seconds, u),
        ...(reach === null ? {} : { 'calibrate.stops.lid.reach': fact(reach) }),
      }),
      'calibrate.stopsBeam',
    )['lid']

  it('is judged by whether a hand could be there first: 400 mm at 2 m/s are 200 ms (ISO 13855, from memory)', () => {
    expect([at('dark', 0.15, 400), at('dark', 0.25, 400)]).toEqual(['good', 'stop'])
    // Within its ± it is a stop, for it can hurt.
    expect(at('dark', 0.19, 400, 0.02)).toBe('stop')
  })

  it('is a stop where the beam stayed on, whatever was timed, and never good where the way of a hand is not known', () => {
    expect(at('lit', 0, 3000)).toBe('stop')
    expect(at('dark', 0.01, null)).not.toBe('good')
    expect(marks(demo, 'calibrate.stopsBeam')).toEqual({})
  })
})

describe('an axis that was tried', () => {
  it('goes the right way or is a stop; what was not tried is not judged', () => {
    const both = set(demo, { [`${tried('x', 'plus')}.chosen`]: 'plus', [`${tried('y', 'plus')}.chosen`]: 'minus' })
    expect(marks(both, 'calibrate.axisGoesRight')).toEqual({ x: 'good', y: 'stop' })
    expect(marks(demo, 'calibrate.axisGoesRight')).toEqual({})
  })

  it('finds its switch only if it reads free and pressed rightly and the search ends there', () => {
    const seen = (free: string, pressed: string, found: string) =>
      marks(
        set(demo, {
          [`${tried('x', 'free')}.chosen`]: free,
          [`${tried('x', 'pressed')}.chosen`]: pressed,
          [`${tried('x', 'found')}.chosen`]: found,
        }),
        'calibrate.axisSwitchRight',
      )['x']
    expect(seen('no', 'yes', 'found')).toBe('good')
    expect([seen('yes', 'no', 'found'), seen('no', 'no', 'found'), seen('no', 'yes', 'away')]).toEqual(['stop', 'stop', 'stop'])
  })

  it('must end its set travel before it ends itself, stand clear of its switch, and find the same origin again', () => {
    // Heron's machine is set to 430 mm of X.
    const reach = (mm: number, u: number) => marks(set(demo, { [tried('x', 'reach')]: fact(mm, u) }), 'calibrate.travelEnds')['x']
    expect([reach(432, 0.3), reach(429, 0.3), reach(430.1, 0.3)]).toEqual(['good', 'stop', 'unknown'])
    const off = (mm: number) => marks(set(demo, { [tried('x', 'pullOff')]: fact(mm) }), 'calibrate.pullOffEnough')['x']
    expect([off(2), off(0.2)]).toEqual(['good', 'look'])
    const again = (mm: number) => marks(set(demo, { [tried('x', 'repeats')]: fact(mm) }), 'calibrate.originRepeats')['x']
    expect([again(0.03), again(0.4)]).toEqual(['good', 'look'])
  })
})

describe('the sighting spot', () => {
  it('is to be seen and to leave no mark, with half of what marks as room', () => {
    const at = (seen: number, marksFrom: number) => {
      const bench = set(demo, {
        'calibrate.sightPower': fact(0.01),
        'calibrate.visibleFrom': fact(seen),
        'calibrate.marksFrom': fact(marksFrom),
      })
      return [marks(bench, 'calibrate.sightIsSeen')[''], marks(bench, 'calibrate.sightLeavesNoMark')['']]
    }
    expect(at(0.008, 0.05)).toEqual(['good', 'good'])
    expect(at(0.02, 0.015)).toEqual(['look', 'stop'])
  })
})

describe('how long a calibration stays good', () => {
  const day = 86_400_000
  const made = Date.parse(Object.values(demo.calibrate.runs)[0]!.at)

  it('is counted in days from the newest run: 180 by the template', () => {
    const at = (days: number) => {
      const engine = engineFor(demo)
      engine.setNow(made + days * day)
      return judgeAll(engine, 'controller').find((it) => it.def.id === 'calibrate.runInDate')?.mark
    }
    expect([at(0), at(179), at(181)]).toEqual(['good', 'good', 'look'])
  })

  it('and in hours of work from the last pattern, where somebody counts them', () => {
    const trial = {
      ...trialShape('bands'),
      order: 1,
      at: '2026-11-14T12:00:00.000Z',
      axes: { x: 'x', y: 'y' },
      instrument: '',
      hours: 100 * 3600,
      readings: {},
      picks: {},
    }
    const at = (hours: number) =>
      marks(
        set(demo, { 'calibrate.trials.bands': { t: trial }, 'calibrate.hours': fact(hours * 3600) }),
        'calibrate.trialsInHours',
      )['']
    expect([at(150), at(290), at(310)]).toEqual(['good', 'good', 'look'])
    expect(marks(set(demo, { 'calibrate.hours': fact(3600) }), 'calibrate.trialsInHours')).toEqual({})
  })
})

describe('the highest acceleration that lost nothing', () => {
  it('is the largest below the least that lost; one above a loss does not count', () => {
    const trial = (acceleration: number, x: number) => ({
      ...trialShape('moves', { acceleration }),
      order: acceleration,
      at: '2026-11-14T12:00:00.000Z',
      axes: { x: 'x', y: 'y' },
      instrument: '',
      hours: null,
      readings: { x: fact(x, 0.02), y: fact(0.01, 0.02) },
      picks: {},
    })
    const of = (...trials: readonly ReturnType<typeof trial>[]) =>
      engineFor(set(demo, { 'calibrate.trials.moves': Object.fromEntries(trials.map((it, i) => [`t${i}`, it])) })).byId(
        'calibrate.accelerationTried',
        [],
      ).result
    // A cycle of Heron's windings is 0.8 mm: half of it is lost, less is play.
    expect(of(trial(500, 0.05), trial(800, 0.1), trial(1200, 0.85))).toEqual({ known: true, value: 800 })
    expect(of(trial(500, 0.05), trial(800, 0.85), trial(1200, 0.02))).toEqual({ known: true, value: 500 })
    expect(of(trial(500, 0.85)).known).toBe(false)
  })
})
