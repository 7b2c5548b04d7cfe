import { describe, expect, it } from 'vitest'
import { exactly, missing } from '../../../tests/facts'
import { consequences, createEngine, figureOf, recordOf, type BenchRecord, type Fact } from '.'

interface Toy {
  readonly teeth: Fact
  readonly pitch: Fact
}

const steps = figureOf<Toy>()({
  id: 'steps',
  label: 's',
  quantity: 'stepsPerLength',
  formula: '',
  symbols: {},
  source: 'test',
  doubt: 'nudge',
  work: ({ bench }): number => 3200 / (bench.teeth * bench.pitch),
})
const first: Toy = { teeth: exactly(20), pitch: exactly(2) }
const engineOver = (bench: Toy) => createEngine(bench, { figures: [steps], specAt: () => undefined })
const record = (id: string, stage: string, over: Partial<BenchRecord> = {}): BenchRecord => ({
  ...recordOf(
    engineOver(first),
    { id, benchId: 'b', at: '2026-01-01T00:00:00.000Z', stage, title: id, note: '', redo: '', beneath: [] },
    [{ id: 'steps', args: [], same: 0.05 }],
  ),
  ...over,
})
const ROUTE = ['motion', 'controller', 'work']
const found = (bench: Toy, records: readonly BenchRecord[]) =>
  consequences(engineOver(bench), records, ROUTE).map((it) => `${it.record.id} ${it.freshness}`)

describe('records against the bench of now (T11)', () => {
  it('keeps what it read and gave', () => {
    expect(record('r', 'motion')).toMatchObject({
      read: [
        { path: 'teeth', value: 20 },
        { path: 'pitch', value: 2 },
      ],
      gave: [{ figure: 'steps', value: 80, same: 0.05 }],
    })
  })

  it('is stale where its figure moves by more than counts as the same, touched where only a read moved', () => {
    expect(found({ ...first, teeth: exactly(16) }, [record('r', 'motion')])).toEqual(['r stale'])
    expect(found({ ...first, pitch: exactly(2.0005) }, [record('r', 'motion')])).toEqual(['r touched'])
    expect(found({ ...first, pitch: missing() }, [record('r', 'motion')])).toEqual(['r stale'])
  })

  it('is fresh again after an undo, for nothing was flagged', () => {
    const engine = engineOver(first)
    const records = [record('r', 'motion')]
    engine.update({ ...first, teeth: exactly(16) })
    expect(consequences(engine, records, ROUTE)).toHaveLength(1)
    engine.update(first)
    expect(consequences(engine, records, ROUTE)).toEqual([])
  })

  it('of a figure that is not worked any more is stale and breaks nothing; one that was renamed is found', () => {
    const old = record('r', 'motion', { gave: [{ figure: 'old.steps', args: [], value: 80, same: 0.05 }] })
    expect(found(first, [old])).toEqual(['r stale'])
    const renamed = createEngine(first, { figures: [steps], specAt: () => undefined, renamed: { 'old.steps': 'steps' } })
    expect(consequences(renamed, [old], ROUTE)).toEqual([])
  })

  it('leaves out what was done again later: the same thing to redo, on the same stage', () => {
    const done = { redo: 'Type the steps again.' }
    const older = record('older', 'controller', done)
    const newer = record('newer', 'controller', { ...done, at: '2026-02-01T00:00:00.000Z' })
    expect(found({ ...first, teeth: exactly(16) }, [newer, older, record('other', 'motion', done)])).toEqual([
      'other stale',
      'newer stale',
    ])
  })

  it('names what to redo beneath first, then by the route; what rests on a stale one is stale', () => {
    const program = record('program', 'motion', { beneath: ['setting'], gave: [] })
    const setting = record('setting', 'controller', { beneath: ['run'] })
    const run = record('run', 'work')
    const other = record('other', 'motion')
    expect(found({ ...first, teeth: exactly(16) }, [program, setting, other, run])).toEqual([
      'other stale',
      'run stale',
      'setting stale',
      'program stale',
    ])
  })

  it('refuses to record what is not known', () => {
    const engine = engineOver({ ...first, teeth: missing() })
    const about = { id: 'r', benchId: 'b', at: '', stage: '', title: '', note: '', redo: '', beneath: [] }
    expect(() => recordOf(engine, about, [{ id: 'steps', args: [], same: 0 }])).toThrow(/not known/)
  })
})
