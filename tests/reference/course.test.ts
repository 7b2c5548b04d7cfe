import { describe, expect, it } from 'vitest'
import { setAt, shownNumber, templateOf, type Fact } from '../../src/core/bench'
import { inward } from '../../src/core/air'
import { glassesDense, glassesWithstand } from '../../src/core/safety'
import { objectShape, sectionShape, spare } from '../../src/core/rotary'
import {
  COURSE,
  LESSON_IDS,
  LESSONS,
  lessonBenchId,
  lessonOf,
  machineWrong,
  nameOf,
  readWrong,
  scoreLesson,
  seenOfWrong,
  switchOn,
  type LessonId,
  type LessonTry,
} from '../../src/core/course'
import { engineFor, isPracticeId, practiceOf, type Bench } from '../../src/core/document'
import { asRead, BASE_RATES, chancesOf, nextReadings, ranked, type Evidence, type Proof } from '../../src/core/faults'
import { drawFans, drawGlasses, drawMug, drawRotary, inwardSpeed, seeded } from '../../src/core/workshop'
import { lessonBench } from '../../src/data/lessonBench'
import { STAGES } from '../../src/screens/stages'
import { HERON_SPEC } from '../handMachine'

const AT = '2026-11-14T12:00:00.000Z'
const NUMBERS = Array.from({ length: 100 }, (_, k) => k + 1)

const exact = (value: number, typedUnit: Fact['typedUnit']): Fact => ({
  value,
  typed: String(value),
  typedUnit,
  origin: 'measured',
  doubt: { kind: 'exact' },
})
const put = (bench: Bench, facts: Readonly<Record<string, Fact | string>>): Bench =>
  Object.entries(facts).reduce((it, [path, value]) => setAt(it, path, value), bench)
const scored = (lesson: LessonId, number: number, bench: Bench, tries: readonly LessonTry[] = []) =>
  scoreLesson({ lesson, number, spec: HERON_SPEC, settings: {}, mends: [], tries, bench, engine: engineFor(bench) })

describe('the course', () => {
  it('has ten lessons in three grades, and every aim leads to a part that there is', () => {
    expect(COURSE.map((it) => it.lessons.length)).toEqual([4, 3, 3])
    const parts = new Set(STAGES.flatMap((stage) => stage.parts.map((part) => `${stage.id}/${part.id}`)))
    const at = LESSON_IDS.flatMap((it) => LESSONS[it].aims.map((aim) => aim.at))
    expect(at.filter((it) => !parts.has(it))).toEqual([])
  })

  it('keeps its benches apart from those of real machines and of practice', () => {
    for (const lesson of LESSON_IDS) {
      const id = lessonBenchId(lesson, 77)
      expect([isPracticeId(id), practiceOf(id), lessonOf(id)]).toEqual([true, null, { lesson, number: 77 }])
    }
    expect([lessonOf('heron'), lessonOf('practice-2-417'), lessonOf('practice-lesson-knots-3')]).toEqual([null, null, null])
  })

  it('gives nothing for what was not begun', () => {
    for (const lesson of ['focus', 'eyewear', 'card', 'mug', 'wrong'] as const)
      expect(scored(lesson, 5, lessonBench(lesson, 5, AT).bench).points, lesson).toBe(0)
  })
})

describe('eyewear: what the bench says of each label is what the table was laid with', () => {
  it.each(NUMBERS.slice(0, 40))('table %i', (number) => {
    const { pairs } = drawGlasses(number)
    const bench = pairs.reduce(
      (it, pair) => setAt(it, `safety.glasses.${pair.id}.label`, pair.label),
      lessonBench('eyewear', number, AT).bench,
    )
    const engine = engineFor(bench)
    for (const { id, holds, label } of pairs) {
      const tests = [glassesDense, glassesWithstand].map((def) => shownNumber(engine.value(def, id).result) ?? -1)
      expect(
        tests.every((it) => it >= 0),
        label,
      ).toBe(holds)
    }
    const wear = (which: (pair: (typeof pairs)[number]) => boolean): number =>
      scored('eyewear', number, setAt(bench, 'safety.worn', pairs.find(which)?.id ?? '')).points
    expect([wear((it) => it.holds && it.light > 0.4), wear(() => false)]).toEqual([100, expect.closeTo(100 / 3, 6)])
    // The dark one holds as well, and is darker than need be.
    const dark = wear((it) => it.holds && it.light < 0.3)
    expect(dark).toBeGreaterThan(66)
    expect(dark).toBeLessThan(95)
  })
})

describe('a mug', () => {
  it.each(NUMBERS.slice(0, 20))('number %i is held and turned by what was read', (number) => {
    const { read, discs, work } = drawMug(number)
    const sections = Object.fromEntries(
      read.sections.map(({ at, diameter }, k) => [
        `s${k}`,
        templateOf(sectionShape, { order: k + 1, at: exact(at, 'mm'), diameter: exact(diameter, 'mm') }),
      ]),
    )
    const mug = templateOf(objectShape, {
      order: 1,
      name: 'Mug',
      sections,
      length: exact(read.length, 'mm'),
      bore: exact(read.bore, 'mm'),
      hollow: { chosen: 'driven', origin: 'stated', doubt: { kind: 'exact' } },
      workFrom: exact(work.from, 'mm'),
      workTo: exact(work.to, 'mm'),
    })
    const bench = setAt(setAt(lessonBench('mug', number, AT).bench, 'rotary.objects.mug', mug), 'rotary.inHand', 'mug')
    const engine = engineFor(bench)
    // The disc that fits has a little to spare, and no other one has.
    const spares = discs.map(({ id, fits }) => ({
      fits,
      spare: shownNumber(engine.value(spare, 'mug', id).result) ?? Number.NaN,
    }))
    for (const it of spares) expect(it.spare > 0 && it.spare < 1, JSON.stringify(it)).toBe(it.fits)
    const fits = discs.find((it) => it.fits)
    const { aims } = scored('mug', number, setAt(bench, 'rotary.seat', fits?.id ?? ''))
    expect(aims.map((it) => [it.id, Math.round(it.points)])).toEqual([
      ['diameter', 100],
      ['seat', 100],
      ['turn', 0],
    ])
    expect(Math.abs(drawRotary(number).finer)).toBeLessThan(0.01)
  })
})

describe('fans: the bench comes to the speed that the shed really has', () => {
  it.each(NUMBERS.slice(0, 30))('box %i', (number) => {
    const table = drawFans(number)
    const known = put(lessonBench('fan', number, AT).bench, { 'air.box.gaps': exact(table.air.gaps * 1e4, 'cm2') })
    const points: number[] = []
    for (const fan of table.offers) {
      const bench = put(known, {
        'air.ways.out.parts.fan.freeFlow': exact(fan.freeFlow, 'm3/h'),
        'air.ways.out.parts.fan.shutOff': exact(fan.shutOff, 'Pa'),
      })
      const speed = (shownNumber(engineFor(bench).value(inward, 'inlet').result) ?? 0) / 1000
      expect(speed / inwardSpeed(table, fan)).toBeCloseTo(1, 2)
      points.push(
        scored('fan', number, setAt(bench, 'air.gapsBy', 'readings'))
          .aims.slice(1)
          .reduce((sum, it) => sum + it.points, 0),
      )
    }
    // One fan alone has all the points: the radial blower that is enough.
    expect(table.offers.filter((_, k) => points[k] === 200).map((it) => it.name.replace(/^Fan ., /, ''))).toEqual([
      'radial blower',
    ])
  })
})

describe('a head', () => {
  it.each(NUMBERS.slice(0, 30))(
    'wired by number %i dies when it is switched on at once, and lives once it is put right',
    (number) => {
      const bench = lessonBench('head', number, AT).bench
      const at = switchOn({ number, bench, engine: engineFor(bench) })
      expect(at).toMatchObject({ died: true })
      const right = put(bench, {
        'electrical.wires.w6.from': 'buck',
        'electrical.wires.w9.from': 'lid',
        'electrical.blocks.buck.volts': exact(12, 'V'),
        'electrical.blocks.buck.amps': exact(5, 'A'),
      })
      const mended = setAt(right, 'electrical.wires.w9.gauge', { chosen: 'awg16', origin: 'stated', doubt: { kind: 'exact' } })
      const on = switchOn({ number, bench: mended, engine: engineFor(mended) })
      expect(on).toMatchObject({ died: false })
      const tries = typeof on === 'string' ? [] : [{ kind: 'on', at: AT, ...on } as const]
      const { aims } = scored('head', number, mended, tries)
      expect(aims.filter((it) => it.id !== 'volts').map((it) => it.points)).toEqual([100, 100, 100])
      expect(aims.find((it) => it.id === 'volts')!.points).toBeGreaterThan(90)
      // The other fault is seen by the sums of the lesson while it is left in.
      const left = scored('head', number, setAt(mended, 'electrical.wires.w9', bench.electrical.wires['w9']), tries)
      const small = setAt(mended, 'electrical.blocks.buck.amps', bench.electrical.blocks['buck']!.amps)
      const both = [...left.aims, ...scored('head', number, small, tries).aims].filter((it) => it.id === 'hot' || it.id === 'lid')
      expect(both.some((it) => (it.off ?? 0) > 0)).toBe(true)
    },
  )
})

describe('what is wrong', () => {
  it('is found by following what is asked for, in 80 of 100 by the first name', () => {
    let first = 0
    for (const number of NUMBERS) {
      const machine = machineWrong(number)
      const proof: Proof = { ...machine, turns: true }
      let evidence: Evidence = { seen: seenOfWrong(number), read: {} }
      const random = seeded(number)
      for (let k = 0; k < 3; k++) {
        const [next] = nextReadings(BASE_RATES, evidence, proof)
        if (next === undefined) break
        const read = asRead(next.reading, readWrong(number, next.reading, random))
        evidence = { ...evidence, read: { ...evidence.read, [next.reading]: read } }
      }
      const [culprit] = ranked(chancesOf(BASE_RATES, evidence, proof))[0]!
      const bench = setAt(lessonBench('wrong', number, AT).bench, 'faults.read.gap', exact(0.1, 'mm'))
      const { aims } = scored('wrong', number, bench, [{ kind: 'named', at: AT, culprit }])
      if (aims[0]?.off === 0) first++
      else expect([aims[0]?.isDone, nameOf(culprit)]).toEqual([false, expect.any(String)])
    }
    expect(first).toBeGreaterThanOrEqual(80)
  })
})
