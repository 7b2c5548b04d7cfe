import { describe, expect, it } from 'vitest'
import { setAt, templateOf, type Choice } from '../../src/core/bench'
import { DOMAINS, emptyBench, engineFor, judgeAll, type Bench } from '../../src/core/document'
import { CAUSES, CAUSE_WORDS, SPEAKS } from '../../src/core/faults'
import { portShape, baffleShape } from '../../src/core/housing'
import { cautionsOf, roundSteps, tryShape, type Try } from '../../src/core/round'
import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'
import { STAGES } from '../../src/screens/stages'

const ASKED = { density: '5.2', scale: '6' }
const empty = emptyBench('r', 'Round', '2026-01-01T00:00:00.000Z')
const built = heron().bench
const said = <C extends string>(chosen: C): Choice<C> => ({ chosen, origin: 'stated', doubt: { kind: 'exact' } })
const ids = (bench: Bench, when = 'before'): readonly string[] =>
  roundSteps(bench, ASKED)
    .filter((it) => it.when === when)
    .map((it) => it.id)
const words = (bench: Bench, id: string): string => roundSteps(bench, ASKED).find((it) => it.id === id)?.words ?? ''

describe('the round', () => {
  it('names eyewear, path, switches, exhaust, material, fire and watch on any bench (IEC 60825-1, clause 6; hot-work practice)', () => {
    expect(ids(empty)).toEqual(['eyewear', 'others', 'path', 'stop', 'air', 'material', 'bounds', 'fire', 'watch'])
    expect(ids(empty, 'after')).toEqual(['dark', 'embers', 'tray', 'key'])
  })

  it('asks for what the bench has: cooling, its key, the places in the room, what turns, baffles', () => {
    expect(ids(built)).toContain('cooling')
    expect(words(built, 'stop')).toContain('the lid’s switch')
    expect(words(built, 'key')).toContain('key')
    // Whoever sits there wears eyewear; door and pane are named.
    expect(words(built, 'others')).toContain('Door, Garden pane')
    expect(words(built, 'others')).not.toContain('Stool')
    expect(words(built, 'path')).toContain('object is held')
    expect(words(empty, 'path')).not.toContain('object')
    const baffled = setAt(empty, 'housing.ports', {
      a: templateOf(portShape, { name: 'Grille', baffles: { b: templateOf(baffleShape, {}) } }),
    })
    expect(words(baffled, 'path')).toContain('Baffles')
  })

  // Hot-work practice (NFPA 51B, from memory): no burn without something at hand that puts it out, nor before bystanders.
  it.each([
    ['extinguisher', 'none', 'round.fireCanBeFought', 'stop'],
    ['extinguisher', 'blanket', 'round.fireCanBeFought', 'look'],
    ['extinguisher', 'co2', 'round.fireCanBeFought', 'good'],
    ['room', 'free', 'round.othersKept', 'stop'],
    ['room', 'worn', 'round.othersKept', 'good'],
  ])('%s: %s is judged, and its step rests on it', (key, chosen, verdict, mark) => {
    const judged = (bench: Bench) => judgeAll(engineFor(bench), 'safety').find((it) => it.def.id === verdict)
    expect(judged(setAt(empty, `round.${key}`, said(chosen)))?.mark).toBe(mark)
    expect(judged(empty)).toBeUndefined()
    expect(roundSteps(empty, ASKED).flatMap((it) => it.rests)).toContain(verdict)
  })

  it('never says that what is unknown is known, and says how long is watched', () => {
    const [eyewear] = roundSteps(empty, { density: null, scale: null })
    expect(eyewear?.words).toContain('not known')
    expect(eyewear?.at).toEqual({ path: 'optics.power' })
    const hour = setAt(empty, 'round.watch', { ...empty.round.watch, value: 3600, typed: '60' })
    expect(words(hour, 'watch')).toContain('60 min')
    expect(roundSteps(hour, ASKED).find((it) => it.id === 'embers')?.head).toContain('60 min')
    for (const bench of [empty, built, plover().bench])
      for (const step of roundSteps(bench, ASKED)) expect(`${step.head} ${step.words}`).not.toMatch(/\b(is|are) safe\b/i)
  })

  it('rests on verdicts that there are, and leads to parts that there are', () => {
    const verdicts = new Set(DOMAINS.flatMap((it) => it.verdicts).map((it) => it.id))
    const parts = new Set(STAGES.flatMap((stage) => stage.parts.map((part) => `${stage.id}/${part.id}`)))
    for (const bench of [empty, built, plover().bench]) {
      for (const { rests, at } of roundSteps(bench, ASKED)) {
        for (const id of rests) expect(verdicts, id).toContain(id)
        if ('part' in at) expect(parts, at.part).toContain(at.part)
      }
      for (const { part } of cautionsOf(bench)) expect(parts, part).toContain(part)
    }
  })
})

describe('cautions', () => {
  it('are those of what the machine has: fire, fumes and static always, springs only where a lid has them', () => {
    const of = (bench: Bench): readonly string[] => cautionsOf(bench).map((it) => it.id)
    expect(of(empty)).toEqual(['fire', 'fumes', 'static'])
    expect(of(built)).toEqual(expect.arrayContaining(['mains', 'springs', 'turning', 'fan']))
    expect(of(setAt(empty, 'housing.size.floor', said('no')))).toContain('hood')
  })
})

describe('switches that darken the beam', () => {
  const NOW = Date.parse('2026-03-01T12:00:00.000Z')
  const tried = (at: string, went: Try['went'] = 'dark'): Try => templateOf(tryShape, { order: 1, what: 'stop', at, went })
  const mark = (tries: Record<string, Try>): string | undefined => {
    const engine = engineFor(setAt(empty, 'round.tries', tries))
    engine.setNow(NOW)
    return judgeAll(engine).find((it) => it.def.id === 'round.switchTried')?.mark
  }

  it('are not judged where there are none; due after their days; the newest try decides', () => {
    expect(mark({})).toBeUndefined()
    // Thirty days from 30 January end on 1 March.
    expect(mark({ a: tried('2026-01-30T13:00:00.000Z') })).toBe('good')
    expect(mark({ a: tried('2026-01-30T11:00:00.000Z') })).toBe('look')
    expect(mark({ a: tried('2026-01-01T00:00:00.000Z'), b: tried('2026-02-28T00:00:00.000Z') })).toBe('good')
  })

  it('that stayed lit are not in order, however good they were before', () => {
    expect(mark({ a: tried('2026-02-20T00:00:00.000Z'), b: tried('2026-02-28T00:00:00.000Z', 'lit') })).toBe('look')
    expect(mark({ a: tried('2026-02-28T00:00:00.000Z', 'back') })).toBe('look')
  })

  it('ask on a machine that has one and was never tried', () => {
    const wired = { ...built, round: empty.round }
    expect(judgeAll(engineFor(wired)).find((it) => it.def.id === 'round.switchTried')?.mark).toBe('unknown')
  })
})

describe('what is wrong with a burn', () => {
  it('leads to parts that there are, and is weighed by verdicts that there are', () => {
    const verdicts = new Set(DOMAINS.flatMap((it) => it.verdicts).map((it) => it.id))
    const parts = new Set(STAGES.flatMap((stage) => stage.parts.map((part) => `${stage.id}/${part.id}`)))
    for (const cause of CAUSES) {
      for (const id of SPEAKS[cause]) expect(verdicts, id).toContain(id)
      const { at, proofAt } = CAUSE_WORDS[cause]
      for (const part of [at, proofAt]) expect(parts, `${cause} ${part}`).toContain(part)
    }
  })
})
