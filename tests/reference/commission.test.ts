import { describe, expect, it } from 'vitest'
import { setAt, type Fact } from '../../src/core/bench'
import {
  backlash,
  lineWidth,
  planScaleRun,
  readingDefs,
  runSquareness,
  scale,
  scaleRunSteps,
  type ReadingDef,
  type ScaleRun,
} from '../../src/core/calibrate'
import { engineFor, type Bench } from '../../src/core/document'
import { PLAIN_CARD, writeProgram } from '../../src/core/gcode'
import { heron } from '../../src/data/heron'
import { normal, seeded } from '../../src/core/workshop'
import { HandMachine } from '../handMachine'

const AT = '2026-11-14T12:00:00.000Z'
const NUMBERS = 1000
/** Standard uncertainty of the calipers' own scale, a share. */
const CALIPER_SCALE = 0.001

const planned = planScaleRun({
  origin: { x: 12, y: 12 },
  travel: { x: 430, y: 310 },
  step: { x: 0.0125, y: 0.0125 },
  wantedShare: 0.0022,
  instrument: { name: 'Calipers', min: 0, max: 150, u: 0.02, uScale: CALIPER_SCALE },
  system: 'metric',
})
if (!planned.ok) throw new Error('the run cannot be planned')
const { shape } = planned.value
const written = writeProgram(scaleRunSteps(shape, 0.5, 20), PLAIN_CARD)
const program = written.ok ? written.value : ''

function reading(value: number): Fact {
  const doubt = { kind: 'pooled', u: 0.02, figure: 'calibrate.scatter', args: ['run'] } as const
  return { value, typed: value.toFixed(2), typedUnit: 'mm', origin: 'measured', doubt, instrument: 'calipers', at: AT }
}

/** The demo bench with a run of this machine, read with its calipers. */
function commissioned(machine: HandMachine): Bench {
  machine.run(program)
  const read = (def: ReadingDef) => reading(machine.read({ from: def.from, to: def.to, over: def.edges === 'over' }))
  const run: ScaleRun = {
    order: 1,
    at: AT,
    axes: { x: 'x', y: 'y' },
    instrument: 'calipers',
    inForce: { x: 80, y: 80 },
    nominal: { x: 80, y: 80 },
    power: 0.5,
    speed: 20,
    ...shape,
    readings: Object.fromEntries(readingDefs(shape).map((def) => [def.id, read(def)])),
  }
  const good = { value: 0, typed: '0', typedUnit: 'percent', origin: 'stated', doubt: { kind: 'standard', u: CALIPER_SCALE } }
  return setAt(setAt(heron().bench, 'instruments.calipers.scale', good), 'calibrate.runs', { run })
}

const drawn = seeded(1)

describe('1,000 hidden machines, calipers good to 0.1 % and 0.02 mm, burnt and read through the whole product', () => {
  const found = Array.from({ length: NUMBERS }, (_, i) => {
    const machine = new HandMachine(i + 1, CALIPER_SCALE * normal(drawn))
    const engine = engineFor(commissioned(machine))
    const { hidden } = machine.machine
    const of = (figure: ReturnType<typeof engine.byId>) => ({
      value: figure.result.known ? Number(figure.result.value) : Number.NaN,
      ...figure.doubt!,
    })
    return {
      scale: of(engine.withDoubt(scale, 'run', 'x')),
      trueScale: 1 + machine.sizeError('x'),
      square: of(engine.withDoubt(runSquareness, 'run')),
      trueSquare: hidden.skewRad,
      play: of(engine.withDoubt(backlash, 'run', 'y')),
      truePlay: hidden.play.y,
      width: of(engine.withDoubt(lineWidth, 'run', 'x')),
      trueWidth: machine.machine.marks[0]!.width,
    }
  })
  const covered = (hits: readonly boolean[]): number => hits.filter(Boolean).length

  it('the 95 % intervals of scale cover the truth in 930 to 970', () => {
    const hits = covered(found.map((it) => Math.abs(it.scale.value - it.trueScale) <= it.scale.expanded))
    expect(hits).toBeGreaterThanOrEqual(930)
    expect(hits).toBeLessThanOrEqual(970)
  })

  it('their median width is that of theory within 15 %, and u is at most 0.03 % beside the calipers’ own scale', () => {
    const us = found.map((it) => it.scale.u).sort((p, q) => p - q)
    const like = [
      ...Array<number>(shape.repeats).fill(shape.ticks.x.short),
      shape.ticks.x.middle,
      ...Array<number>(shape.repeats).fill(shape.ticks.x.long),
    ]
    const spread = (values: readonly number[]): number => {
      const mean = values.reduce((sum, it) => sum + it, 0) / values.length
      return values.reduce((sum, it) => sum + (it - mean) ** 2, 0)
    }
    const byScatter = 0.02 / Math.sqrt(spread(like) + spread([shape.ticks.x.short, shape.ticks.x.long]))
    const theory = Math.hypot(byScatter, CALIPER_SCALE)
    expect(byScatter).toBeLessThanOrEqual(0.0003)
    expect(us[NUMBERS / 2]! / theory).toBeGreaterThan(0.85)
    expect(us[NUMBERS / 2]! / theory).toBeLessThan(1.15)
  })

  it('squareness, backlash and line width are covered as often', () => {
    for (const [value, truth] of [
      ['square', 'trueSquare'],
      ['play', 'truePlay'],
      ['width', 'trueWidth'],
    ] as const) {
      const hits = covered(found.map((it) => Math.abs(it[value].value - it[truth]) <= it[value].expanded))
      expect(hits, value).toBeGreaterThanOrEqual(930)
    }
  })
})
