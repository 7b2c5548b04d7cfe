import 'fake-indexeddb/auto'
import { zipSync, strToU8 } from 'fflate'
import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { dibberRack } from '../../tests/cutterProgram'
import { consequences } from '../core/bench'
import { cardOf, engineFor, judgeAll, machineLimits, readBench } from '../core/document'
import { readProgram, writeProgram } from '../core/gcode'
import { surveyProgram } from '../core/planner'
import { refitForBeam } from '../core/refit'
import { benchFileName, readBenchFile, writeBenchFile } from './benchFile'
import {
  addBundle,
  addRecord,
  copyBundle,
  Database,
  deleteBench,
  listBenches,
  loadBench,
  putBack,
  saveBench,
  type BenchBundle,
} from '.'
import { crc32 } from './zip'
import { heron } from './heron'
import { plover } from './plover'
import { RACK_WISH, rackPrograms } from './ploverCutter'

const NOW = '2026-03-01T09:00:00.000Z'
const AT = { revision: 1, birth: 'b1' }
const bundle = heron()
const fresh = (() => {
  let count = 0
  return () => new Database(`test-${count++}`)
})()

afterEach(() => vi.restoreAllMocks())

describe('the demo', () => {
  it('is valid, leaves open what it tells of, and has one setting that is stale', () => {
    expect(readBench(bundle.bench).ok).toBe(true)
    const engine = engineFor(bundle.bench)
    const marks = judgeAll(engine).map((it) => `${it.def.id} ${it.mark}`)
    const open = [
      'motion.squareEnough unknown', // both diagonals, read with the rule, decide it
      'motion.beltsAlike look',
      'optics.dotsAlike unknown',
      'calibrate.sizeTrue look', // Y is left for the evening
      'electrical.dropSmall look', // the thin lead to the head
      'calibrate.runSquare unknown',
      'plan.everythingOrdered look', // the hose
      'plan.bagEnough look', // two screws of the motors
      'air.carries look', // slower than 5 m/s in Ø100
      'housing.lidStaysShut look', // in the heat of summer
      'burn.cutKnown look', // card and cork were tried a few times only
      'burn.cutKnown look',
      'work.cutsThrough look', // the labels are cut as fast as the stale setting says
      'work.evenLines look', // the thin lines of the labels are marked faster than they begin evenly
      'plan.workFits look', // Y has a centimetre beyond the largest work
    ]
    expect(marks.filter((it) => !it.endsWith('good')).sort()).toEqual(open.sort())
    const stale = consequences(engine, bundle.records, []).filter((it) => it.freshness === 'stale')
    expect(stale.map((it) => it.record.id)).toEqual(['heron-ply'])
  })
})

it('the second demo is valid, a retrofit that can be worked, and all that stops it is a grille that looks out', () => {
  const { bench } = plover()
  expect(readBench(bench).ok).toBe(true)
  const marks = judgeAll(engineFor(bench)).map((it) => `${it.def.id} ${it.mark}`)
  expect(marks.filter((it) => it.endsWith('stop'))).toEqual(['housing.noLineOut stop'])
  expect(marks).toContain('motion.torqueEnough good')
})

describe('the store', () => {
  it('saves by revision, and does not save over another window', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW, 'b1')
    const renamed = { ...bundle.bench, name: 'Heron II' }
    expect(await saveBench(db, renamed, { motion: 'look' }, AT, NOW)).toMatchObject({ kind: 'saved', revision: 2 })
    expect(await saveBench(db, bundle.bench, {}, AT, NOW)).toEqual({ kind: 'changed-elsewhere' })
    expect(await loadBench(db, 'heron')).toMatchObject({
      ok: true,
      value: { bench: renamed, revision: 2, marks: { motion: 'look' }, records: bundle.records },
    })
  })

  it('keeps all of a bundle or nothing of it', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW, 'b1')
    const clash: BenchBundle = { ...bundle, bench: { ...bundle.bench, id: 'other' } } // its records are here already
    expect(await addBundle(db, clash, {}, NOW, 'b2')).toMatchObject({ kind: 'failed' })
    expect(await listBenches(db)).toHaveLength(1)
  })

  it('says when the disk is full', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW, 'b1')
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect(await saveBench(db, bundle.bench, {}, AT, NOW)).toEqual({ kind: 'full' })
  })

  it('keeps a document as text, and opens one that was kept as it is', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW, 'b1')
    const row = await db.benches.get('heron')
    expect(JSON.parse(row?.document as string)).toEqual(bundle.bench)
    await db.benches.put({ ...row!, document: bundle.bench })
    expect(await loadBench(db, 'heron')).toMatchObject({ ok: true, value: { bench: bundle.bench, revision: 1 } })
    expect((await saveBench(db, bundle.bench, {}, AT, NOW)).kind).toBe('saved')
    await db.benches.update('heron', { document: '{"cut off' })
    expect((await loadBench(db, 'heron')).ok).toBe(false)
  })

  it('refuses a bench of a newer version and leaves it untouched', async () => {
    const db = fresh()
    const document = { ...bundle.bench, version: 99 }
    await db.benches.put({ id: 'later', name: 'Later', about: '', revision: 1, savedAt: NOW, marks: {}, document })
    expect(await loadBench(db, 'later')).toMatchObject({ ok: false, findings: [{ code: 'newer' }] })
    expect((await db.benches.get('later'))?.document).toEqual(document)
  })

  it('does not write an older version over a bench that a newer application has migrated', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW, 'b1')
    await db.benches.update('heron', { document: { ...bundle.bench, version: 99 } })
    expect(await saveBench(db, bundle.bench, {}, AT, NOW)).toEqual({ kind: 'newer' })
  })

  it('deletes with records and pictures and gives back what was there', async () => {
    const db = fresh()
    await addBundle(db, bundle, {}, NOW, 'b1')
    const removed = await deleteBench(db, 'heron')
    expect([await db.benches.count(), await db.records.count()]).toEqual([0, 0])
    expect(await putBack(db, removed!, 'b2')).toMatchObject({ kind: 'saved' })
    expect(await loadBench(db, 'heron')).toMatchObject({ ok: true, value: { records: bundle.records, birth: 'b2' } })
    // A window that had it open before it was deleted does not save over it, though the revision is the same.
    expect(await saveBench(db, bundle.bench, {}, AT, NOW)).toEqual({ kind: 'changed-elsewhere' })
    expect(await addRecord(db, { ...bundle.records[0]!, id: 'late' }, [], AT)).toEqual({ kind: 'changed-elsewhere' })
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

  it('checks what it holds: CRC-32 of “123456789” is CBF43926 (ITU-T V.42, from memory)', () => {
    expect(crc32(new TextEncoder().encode('123456789'))).toBe(0xcbf43926)
  })

  const asFile = (more: object) =>
    strToU8(JSON.stringify({ kind: 'fine-kerf.file', version: 1, bench: bundle.bench, records: [], pictures: [], ...more }))
  const code = (bytes: Uint8Array): string => {
    const read = readBenchFile(bytes, 'x')
    return read.ok ? 'read' : (read.findings[0]?.code ?? '')
  }

  it('is bounded before it is inflated, in depth and in what it says of itself', () => {
    expect(code(zipSync({ 'bench.json': new Uint8Array(210 * 1024 * 1024) }, { level: 9 }))).toBe('too-large')
    expect(code(strToU8(`${'['.repeat(100_000)}${']'.repeat(100_000)}`))).toBe('too-deep')
    expect(code(strToU8('{"kind":"fine-kerf.bench","__proto__":{"x":1}}'))).toBe('too-deep')
    const wrong = readBenchFile(asFile({ records: Array.from({ length: 20_000 }, () => ({ nonsense: 1 })) }), 'x')
    expect(wrong.findings.length).toBeLessThanOrEqual(21)
    expect(wrong.findings[0]?.path).toMatch(/^records\.0/)
    const pictures = readBenchFile(asFile({ pictures: Array.from({ length: 200 }, () => ({})) }), 'x')
    expect(pictures.findings.at(-1)?.message).toMatch(/more of the kind/)
  })

  it.each(['pictures/__proto__/x', '__proto__', 'constructor', 'toString', '../pictures/a'])(
    'refuses a picture at %s',
    (path) => {
      const pictures = [{ id: 'p', recordId: 'r', name: 'a.png', type: 'image/png', path }]
      expect(code(asFile({ pictures }))).toBe('picture-path')
    },
  )

  it.each(['a/b', '..', 'x?y', 'ü', '#'])('gives a bench called %j an id that an address can hold', (id) => {
    const read = readBenchFile(asFile({ bench: { ...bundle.bench, id }, records: bundle.records }), 'x')
    if (!read.ok) throw new Error(read.findings[0]?.message)
    expect(read.value.bench.id).toMatch(/^[a-z0-9]{12}$/)
    expect(new Set(read.value.records.map((it) => it.benchId))).toEqual(new Set([read.value.bench.id]))
  })

  it('takes records and pictures to its own bench only, and reads pictures written as text', () => {
    const foreign = bundle.records.map((it) => ({ ...it, benchId: 'another' }))
    const pictures = [{ id: 'p', recordId: 'r', name: 'a.png', type: 'image/png', path: 'pictures/p', base64: btoa('abc') }]
    const read = readBenchFile(asFile({ records: foreign, pictures }), 'x')
    if (!read.ok) throw new Error(read.findings[0]?.message)
    expect(new Set(read.value.records.map((it) => it.benchId))).toEqual(new Set(['heron']))
    expect(read.value.files[0]).toMatchObject({ benchId: 'heron', bytes: strToU8('abc') })
  })

  it('is named after the bench, safely', () => {
    expect(benchFileName('Gate / shed №2 ', '2026-03-01')).toBe('Gate-shed-2-2026-03-01.bench.zip')
    expect(benchFileName('///', '2026-03-01')).toBe('bench-2026-03-01.bench.zip')
  })
})

describe('the rack of the second demo', () => {
  it('is the tests’ own program for a cutter, and what this product makes of it', () => {
    const { cut, burnt } = rackPrograms()
    expect(cut).toBe(dibberRack())
    const { bench, files } = plover()
    const card = cardOf(bench)
    const { moves, findings } = readProgram(cut)
    expect(findings).toEqual([])
    const made = card === null ? null : writeProgram(refitForBeam(moves, RACK_WISH).steps, card)
    expect(made?.ok === true ? made.value : made).toBe(burnt)
    expect(surveyProgram(burnt, machineLimits(engineFor(bench))).errorCount).toBe(0)
    expect(files.map((it) => it.name)).toContain('dibber-rack.nc')
  })
})
