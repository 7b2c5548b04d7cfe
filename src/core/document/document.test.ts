import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { eachFact, getAt, isFact, setAt, shownNumber } from '../bench'
import { readProgram } from '../gcode'
import { planMoves } from '../planner'
import { heron } from '../../data/heron'
import {
  assumedFacts,
  axisTemplate,
  BENCH_VERSION,
  benchFactSpec,
  benchSchema,
  emptyBench,
  engineFor,
  FIGURES,
  judgeAll,
  labelAt,
  machineLimits,
  readBench,
  RENAMED_FIGURES,
  SLICE_MIGRATIONS,
  STAGE_IDS,
  type Bench,
} from '.'

const empty = emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z')
const frozen = JSON.parse(readFileSync('tests/fixtures/bench-v0.json', 'utf8')) as Record<string, unknown>

describe('an empty bench', () => {
  it('is valid, and no guess of it reads good', () => {
    expect(benchSchema.parse(empty)).toEqual(empty)
    // Written alike, whether it was read by its schema or not.
    expect(JSON.stringify(benchSchema.parse(empty))).toBe(JSON.stringify(empty))
    expect(judgeAll(engineFor(empty)).map((it) => it.mark)).not.toContain('good')
  })

  it('reads good nowhere when one fact of it is stated, whichever', () => {
    const good: string[] = []
    eachFact(empty, (path, node) => {
      if (!isFact(node) || node.value === null || path.startsWith('plan.')) return
      const stated = setAt(empty, path, { ...node, origin: 'stated', doubt: { kind: 'exact' } })
      for (const { def, args, mark } of judgeAll(engineFor(stated))) {
        if (mark === 'good') good.push(`${path}: ${def.id} ${args.join(' ')}`)
      }
    })
    expect(good).toEqual([])
  })

  it('knows nothing that rests on what nobody entered, and says what', () => {
    const { result } = engineFor(empty).byId('motion.outOfSquare', [])
    expect(result).toMatchObject({
      known: false,
      why: {
        kind: 'missing',
        facts: ['motion.corners.width', 'motion.corners.depth', 'motion.corners.fromOrigin', 'motion.corners.across'],
      },
    })
  })

  it('counts as assumed what its drives use, and nothing else', () => {
    const paths = assumedFacts(empty, 'motion')
    expect(paths).toContain('motion.axes.x.beltPitch')
    expect(paths).not.toContain('motion.axes.x.screwPitch')
    expect(labelAt(empty, 'motion.axes.y.beltPitch')).toBe('Belt pitch, Y')
    expect(benchFactSpec('motion.axes.anything.travel')?.label).toBe('Travel')
    expect(benchFactSpec('motion.axes.x.no.such')).toBeUndefined()
  })
})

/** What of an older bench is still there as it was: eyewear is worked from labels since version 17. */
function asIsStill(old: object): object {
  const { eyewearDensity: _, eyewearScale: __, ...safety } = (old as { safety: Record<string, unknown> }).safety
  return { ...old, safety, version: BENCH_VERSION }
}

describe('reading a bench of another version', () => {
  it('migrates the frozen version 16: what was typed of eyewear and window stands as labels of that wavelength', () => {
    const old = JSON.parse(readFileSync('tests/fixtures/bench-v16.json', 'utf8')) as unknown
    const { safety, housing, reach } = (readBench(old) as { value: Bench }).value
    expect(Object.values(safety.glasses).map((it) => it.label)).toEqual([
      'D 440-470 LB6',
      'D 180-315 LB9 + 315-534 LB7',
      'OD 4+ 190-490 nm',
      'OD 6 + D LB6 455 nm',
      'OD 6 455 nm',
    ])
    expect([safety.worn, safety.window]).toEqual(['wornBefore', 'windowBefore'])
    expect(['density' in housing.window, 'glasses' in reach]).toEqual([false, false])
    // Both claims of the label that was made are read back at that wavelength; neither is a certificate of another light.
    const kept = engineFor((readBench(old) as { value: Bench }).value).byId('safety.glassesLabel', ['wornBefore']).result
    expect(kept.known && kept.value).toMatchObject({ scale: 6, toldDensity: 6 })
    const unlit = setAt(old as object, 'optics.wavelength.value', null)
    expect((readBench(unlit) as { value: Bench }).value.safety.glasses['wornBefore']?.label).toBe('OD 6 + D LB6')
    const engine = engineFor(setAt((readBench(old) as { value: Bench }).value, 'optics.wavelength.value', 1064))
    expect(shownNumber(engine.byId('safety.eyewearMargin', []).result)).toBeLessThan(0)
  })

  it('migrates the frozen version 0: axes get ids, ± becomes a standard uncertainty', () => {
    const read = readBench(frozen)
    expect(read.ok).toBe(true)
    const bench = (read as { value: Bench }).value
    expect(Object.values(bench.motion.axes).map((it) => [it.letter, it.order])).toEqual([
      ['X', 1],
      ['Y', 2],
    ])
    const [x] = Object.values(bench.motion.axes)
    expect(x?.travel).toMatchObject({ value: 430, doubt: { kind: 'standard', u: 0.25 } })
    expect(x?.beltPitch.doubt).toEqual({ kind: 'halfWidth', a: 0.01 })
    expect(shownNumber(engineFor(bench).byId('motion.frameWidth', []).result)).toBe(430 + 60 + 40)
  })

  it('migrates the frozen version 1: later slices begin unread, one set of settings for each axis', () => {
    const old = JSON.parse(readFileSync('tests/fixtures/bench-v1.json', 'utf8')) as Record<string, unknown>
    const read = readBench(old)
    const bench = (read as { value: Bench }).value
    expect(bench).toMatchObject(asIsStill(old))
    expect(Object.keys(bench.controller.axes)).toEqual(Object.keys(bench.motion.axes))
    expect(Object.values(bench.controller.axes).map((it) => it.steps.value)).toEqual([null, null])
    expect(engineFor(bench).byId('calibrate.steps', ['x']).result).toEqual({ known: true, value: 80 })
  })

  it('migrates the frozen version 2: Motion gets its later facts as the template has them, a gantry where Y has two motors', () => {
    const old = JSON.parse(readFileSync('tests/fixtures/bench-v2.json', 'utf8')) as Bench
    const { motion, ...rest } = (readBench(old) as { value: Bench }).value
    expect({ ...rest, motion }).toMatchObject(asIsStill(old))
    expect(motion.kinematics.chosen).toBe('gantry')
    const typed = (facts: object) => Object.values(facts as Record<string, { typed?: string }>).map((it) => it.typed)
    const later = (axis: object) => Object.fromEntries(Object.entries(axis).filter(([key]) => !(key in old.motion.axes['x']!)))
    expect(typed(later(motion.axes['x']!))).toEqual(typed(later(empty.motion.axes['x']!)))
    expect([typed(motion.belts), typed(motion.mirrors)]).toEqual([typed(empty.motion.belts), typed(empty.motion.mirrors)])
  })

  it('migrates the frozen version 3: a plan with nothing in it, as the template has it', () => {
    const old = JSON.parse(readFileSync('tests/fixtures/bench-v3.json', 'utf8')) as Bench
    const { plan, ...rest } = (readBench(old) as { value: Bench }).value
    expect(rest).toMatchObject(asIsStill(old))
    expect(plan).toEqual(empty.plan)
  })

  it('migrates the frozen version 4: goals unsaid, wheels on the bars, two motors that may share a driver', () => {
    const old = JSON.parse(readFileSync('tests/fixtures/bench-v4.json', 'utf8')) as Bench
    const { motion, plan, ...rest } = (readBench(old) as { value: Bench }).value
    expect({ ...rest, motion, plan }).toMatchObject(asIsStill(old))
    const { barWidth: _, carriageWidth: __, carriageDepth: ___, ...later } = empty.motion.frame
    expect(motion.frame).toMatchObject(later)
    expect([plan.goals, plan.guideStock]).toEqual([empty.plan.goals, empty.plan.guideStock])
    const { drivers, driverCurrent } = empty.motion.axes['y']!
    expect(motion.axes['y']).toMatchObject({ drivers, driverCurrent })
    expect(Object.values(plan.parts).map((it) => it.covers)).toEqual(Object.values(old.plan.parts).map(() => ''))
  })

  it('migrates the frozen version 5: what a driver is set to is either, until somebody says', () => {
    const old = JSON.parse(readFileSync('tests/fixtures/bench-v5.json', 'utf8')) as Bench
    const read = (readBench(old) as { value: Bench }).value
    expect(read).toMatchObject(asIsStill(old))
    expect(read.motion.axes['x']?.currentIs).toEqual(empty.motion.axes['x']?.currentIs)
  })

  it('has a frozen sample of every version, the present one too: a changed shape without a step is refused', () => {
    for (let version = 0; version <= BENCH_VERSION; version++) {
      const raw = JSON.parse(readFileSync(`tests/fixtures/bench-v${version}.json`, 'utf8')) as { version?: number }
      const read = readBench(raw)
      expect(read.ok ? [] : read.findings.map((it) => it.message), `version ${version}`).toEqual([])
      if (version === BENCH_VERSION) expect((read as { value: unknown }).value).toEqual(raw)
    }
  })

  it('steps without gaps up to the present version', () => {
    const led = new Set(Object.values(SLICE_MIGRATIONS).flatMap((steps) => steps.map(({ to }) => to)))
    expect([...led].sort((p, q) => p - q)).toEqual(Array.from({ length: BENCH_VERSION }, (_, i) => i + 1))
  })

  it('does not alter what it was given', () => {
    const copy = structuredClone(frozen)
    readBench(frozen)
    expect(frozen).toEqual(copy)
  })

  it.each([
    ['nothing', null, 'foreign'],
    ['another thing', { kind: 'seed-list' }, 'foreign'],
    ['no version', { kind: 'fine-kerf.bench' }, 'no-version'],
    ['a newer one', { ...empty, version: BENCH_VERSION + 1 }, 'newer'],
    ['a key too many', { ...empty, colour: 'red' }, 'damaged'],
    [
      'a value out of range',
      { ...empty, motion: { ...empty.motion, wantedSpeed: { ...empty.motion.wantedSpeed, value: -1 } } },
      'damaged',
    ],
  ])('refuses %s', (_, raw, code) => {
    const read = readBench(raw)
    expect(read.ok ? '' : read.findings[0]?.code).toBe(code)
  })
})

describe('the limits that a program is timed with', () => {
  it('are those of the bench, and not known while one is missing', () => {
    const limits = machineLimits(engineFor(empty))
    const [x, y] = [
      { name: 'x', per: [1, 0, 0], speed: 312.5, acceleration: 500 },
      { name: 'y', per: [0, 1, 0], speed: 312.5, acceleration: 500 },
    ]
    expect(limits).toEqual({ motors: [x, y], deviation: 0.02 })
    const unknown = setAt(empty, 'motion.maxStepRate.value', null)
    expect(machineLimits(engineFor(unknown))).toBeNull()
  })

  it('are of the motors where belts cross: X alone at the belt’s own speed, a diagonal at 1/√2 of it', () => {
    const limits = machineLimits(engineFor(setAt(empty, 'motion.kinematics.chosen', 'crossed')))!
    const peak = (line: string): number => planMoves(readProgram(`G0 ${line}`).moves, limits).peak[0]!
    expect(peak('X2000')).toBeCloseTo(312.5, 6)
    expect(peak('X1500 Y1500')).toBeCloseTo(312.5 / Math.SQRT2, 6)
  })

  it('take a Z axis where there is one', () => {
    const withZ = setAt(empty, 'motion.axes.z', axisTemplate('Z', 3))
    expect(machineLimits(engineFor(withZ))?.motors[2]?.speed).toBeCloseTo(25_000 / 1600, 9) // 200 × 16 / 2 mm of lead
  })
})

it('every figure names its source, and its symbols lead to facts or figures that there are', () => {
  const ids = new Set(FIGURES.map((it) => it.id))
  for (const { id, source, symbols, formula } of FIGURES) {
    expect(source, id).not.toBe('')
    for (const [symbol, target] of Object.entries(symbols)) {
      const there = target.startsWith('=')
        ? ids.has(target.slice(1).split('|')[0] ?? '')
        : benchFactSpec(target.replace('{0}', 'x').replace('{1}', 'A')) !== undefined ||
          typeof getAt(heron().bench, target.replace('{0}', 'corner')) === 'number'
      expect(there, `${id}: ${symbol} → ${target}`).toBe(true)
      expect(formula, id).toContain(`\\v{${symbol}}`)
    }
  }
})

it('every verdict belongs to a stage of the route', () => {
  for (const { def } of judgeAll(engineFor(empty))) expect(STAGE_IDS).toContain(def.stage)
})

it('figures keep the ids that records name: one that goes has its new name in renames.ts; npm run freeze adds new ones', () => {
  const frozen = JSON.parse(readFileSync('tests/fixtures/figure-ids.json', 'utf8')) as string[]
  const ids = FIGURES.map((it) => it.id)
  expect(frozen.filter((id) => !ids.includes(id) && !ids.includes(RENAMED_FIGURES[id] ?? ''))).toEqual([])
  expect(ids.filter((id) => !frozen.includes(id))).toEqual([])
})
