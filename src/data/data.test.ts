import 'fake-indexeddb/auto'
import { zipSync, strToU8 } from 'fflate'
import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { engineFor, judgeAll, readBench } from '../core/document'
import { consequences } from '../core/bench'
import { benchFileName, readBenchFile, writeBenchFile } from './benchFile'
import { addBundle, copyBundle, Database, deleteBench, listBenches, loadBench, saveBench, type BenchBundle } from '.'
import { heron } from './heron'
import { plover } from './plover'

const NOW = '2026-03-01T09:00:00.000Z'
const bundle = heron()
const fresh = (() => {
  let count = 0
  return () => new Database(`test-${count++}`)
})()

afterEach(() => vi.restoreAllMocks())

describe('the demo', () => {
  it('is valid, leaves open what it tells of, and has no record that is stale', () => {
    expect(readBench(bundle.bench).ok).toBe(true)
    const engine = engineFor(bundle.bench)
    const marks = judgeAll(engine).map((it) => `${it.def.id} ${it.mark}`)
    expect(marks.filter((it) => !it.endsWith('good'))).toEqual([
      'motion.squareEnough unknown', // both diagonals, read with the rule, decide it
      'motion.beltsAlike look',
      'optics.dotsAlike unknown',
      'calibrate.sizeTrue stop', // Y is left for the evening
      'calibrate.runSquare unknown',
      'plan.everythingOrdered look', // the hose
      'plan.bagEnough look', // two screws of the motors
      'plan.workFits look', // Y has a centimetre beyond the largest work
    ])
    expect(consequences(engine, bundle.records, [])).toEqual([])
  })
})

it('the second demo is valid, a retrofit that can be worked, and nothing of it is a stop', () => {
  const { bench } = plover()
  expect(readBench(bench).ok).toBe(true)
  const marks = judgeAll(engineFor(bench)).map((it) => `${it.def.id} ${it.mark}`)
  expect(marks.filter((it) => it.endsWith('stop'))).toEqual([])
  expect(marks).toContain('motion.torqueEnough good')
})

describe('the store', () => {
  it('saves by revision, and does not save over another window', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW)
    const renamed = { ...bundle.bench, name: 'Heron II' }
    expect(await saveBench(db, renamed, { motion: 'look' }, 1, NOW)).toMatchObject({ kind: 'saved', revision: 2 })
    expect(await saveBench(db, bundle.bench, {}, 1, NOW)).toEqual({ kind: 'changed-elsewhere' })
    expect(await loadBench(db, 'heron')).toMatchObject({
      ok: true,
      value: { bench: renamed, revision: 2, marks: { motion: 'look' }, records: bundle.records },
    })
  })

  it('keeps all of a bundle or nothing of it', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW)
    const clash: BenchBundle = { ...bundle, bench: { ...bundle.bench, id: 'other' } } // its records are here already
    expect(await addBundle(db, clash, {}, NOW)).toMatchObject({ kind: 'failed' })
    expect(await listBenches(db)).toHaveLength(1)
  })

  it('says when the disk is full', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW)
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect(await saveBench(db, bundle.bench, {}, 1, NOW)).toEqual({ kind: 'full' })
  })

  it('refuses a bench of a newer version and leaves it untouched', async () => {
    const db = fresh()
    const document = { ...bundle.bench, version: 99 }
    await db.benches.put({ id: 'later', name: 'Later', about: '', revision: 1, savedAt: NOW, marks: {}, document })
    expect(await loadBench(db, 'later')).toMatchObject({ ok: false, findings: [{ code: 'newer' }] })
    expect((await db.benches.get('later'))?.document).toEqual(document)
  })

  it('deletes with records and pictures and gives back what was there', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW)
    const removed = await deleteBench(db, 'heron')
    expect([await db.benches.count(), await db.records.count()]).toEqual([0, 0])
    if (removed.ok) await addBundle(db, removed.value, {}, NOW)
    expect(await loadBench(db, 'heron')).toMatchObject({ ok: true, value: { records: bundle.records } })
  })

  it('copies under new ids, records still standing on one another', () => {
    let next = 0
    const first = { ...bundle.records[0]!, id: 'a' }
    const copy = copyBundle({ ...bundle, records: [first, { ...first, id: 'b', beneath: ['a'] }] }, () => `n${next++}`, 'Copy')
    expect(copy.bench).toMatchObject({ id: 'n0', name: 'Copy' })
    expect(copy.records.map(({ id, benchId, beneath }) => [id, benchId, beneath])).toEqual([
      ['n1', 'n0', []],
      ['n2', 'n0', ['n1']],
    ])
  })
})

describe('the bench file', () => {
  const words = fc.string({ maxLength: 40, unit: 'binary' })

  it('comes back exactly, whatever is written and pictured (seed 11)', () => {
    const pictures = fc.array(fc.tuple(words, fc.uint8Array({ maxLength: 300 })), { maxLength: 4 })
    fc.assert(
      fc.property(words, fc.double({ min: 1, max: 5000, noNaN: true }), pictures, (about, travel, files) => {
        const bench = structuredClone(bundle.bench)
        Object.assign(bench, { about })
        Object.assign(bench.motion.axes['x']!.travel, { value: travel, typed: about })
        const written: BenchBundle = {
          bench,
          records: bundle.records,
          files: files.map(([name, bytes], i) => ({
            id: `f${i}`,
            benchId: bench.id,
            recordId: 'heron-corners',
            name,
            type: 'image/png',
            bytes: Uint8Array.from(bytes),
          })),
        }
        const read = readBenchFile(writeBenchFile(written), 'x.bench.zip')
        expect(read).toEqual({ ok: true, value: written, findings: [] })
      }),
      { seed: 11, numRuns: 60 },
    )
  })

  it('never throws on any bytes, and says what to do (seed 12)', () => {
    const good = writeBenchFile(bundle)
    const torn = fc
      .tuple(fc.nat(good.length - 1), fc.nat(255))
      .map(([at, byte]) => Uint8Array.from(good, (it, i) => (i === at ? byte : it)))
    const cut = fc.nat(good.length - 1).map((length) => good.slice(0, length))
    fc.assert(
      fc.property(fc.oneof(fc.uint8Array({ maxLength: 200 }), torn, cut), (bytes) => {
        const read = readBenchFile(bytes, 'x')
        if (!read.ok) expect(read.findings.every((it) => it.message.length > 20)).toBe(true)
      }),
      { seed: 12, numRuns: 300 },
    )
  })

  it('says which picture is missing', () => {
    const manifest = {
      kind: 'fine-kerf.file',
      version: 1,
      bench: bundle.bench,
      records: [],
      pictures: [{ id: 'p', recordId: 'r', name: 'square.png', type: 'image/png', path: 'pictures/p' }],
    }
    const read = readBenchFile(zipSync({ 'bench.json': strToU8(JSON.stringify(manifest)) }), 'x')
    expect(read).toMatchObject({
      ok: false,
      findings: [{ code: 'picture-missing', message: expect.stringContaining('square.png') as string }],
    })
  })

  it('is named after the bench, safely', () => {
    expect(benchFileName('Gate / shed №2 ', '2026-03-01')).toBe('Gate-shed-2-2026-03-01.bench.zip')
    expect(benchFileName('///', '2026-03-01')).toBe('bench-2026-03-01.bench.zip')
  })
})
