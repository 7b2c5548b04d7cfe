import 'fake-indexeddb/auto'
import { expect, it } from 'vitest'
import { emptyBench, type Bench } from '../../src/core/document'
import { seeded } from '../../src/core/workshop'
import {
  addBundle,
  addRecord,
  Database,
  deleteBench,
  documentOf,
  loadBench,
  putBack,
  saveBench,
  standOf,
  type RawBench,
  type Stand,
} from '../../src/data'
import { ALL } from './size'

/**
 * Two windows at one store, their steps in any order: opening, editing, saving, writing records, deleting, putting back.
 * Every document says which one it was made from. What is stored must always have been made from what was stored before
 * it: then nothing was overwritten in silence. A record must rest on a document that was stored.
 */
const SEED = 12
const rounds = ALL ? 1000 : 100
const NOW = '2026-01-01T00:00:00.000Z'

interface Window {
  bench: Bench | null
  stand: Stand
  /** Whether what is open differs from what was last stored by it. */
  edited: boolean
}

interface Round {
  readonly overwritten: number
  readonly untrue: number
  readonly saved: number
  readonly refused: number
}

async function play(round: number): Promise<Round> {
  const random = seeded(SEED + 31 * round)
  const db = new Database(`windows-${round}`)
  const first = { ...emptyBench('b', 'Bench', NOW), about: '0' }
  await addBundle(db, { bench: first, records: [], files: [] }, {}, NOW, 'n0')
  const windows: Window[] = [1, 2].map(() => ({ bench: null, stand: { revision: 0, birth: '' }, edited: false }))
  let [count, births] = [0, 0]
  const told = { overwritten: 0, untrue: 0, saved: 0, refused: 0 }
  let deleted: RawBench | null = null

  const storedAbout = async (): Promise<string | null> => {
    const row = await db.benches.get('b')
    return row === undefined ? null : (documentOf(row) as Bench).about
  }
  const steps: Readonly<Record<string, (it: Window) => Promise<void>>> = {
    async open(it) {
      const read = await loadBench(db, 'b')
      if (read.ok) Object.assign(it, { bench: read.value.bench, stand: read.value, edited: false })
    },
    edit(it) {
      // “own number, made from”: the mark of descent.
      if (it.bench !== null) {
        it.bench = {
          ...it.bench,
          about: `${++count}<${it.edited ? (it.bench.about.split('<')[1] ?? '') : (it.bench.about.split('<')[0] ?? '')}`,
        }
        it.edited = true
      }
      return Promise.resolve()
    },
    async save(it) {
      if (it.bench === null || !it.edited) return
      const before = await storedAbout()
      const result = await saveBench(db, it.bench, {}, it.stand, NOW)
      if (result.kind !== 'saved') {
        told.refused++
        return
      }
      told.saved++
      it.stand = { revision: result.revision, birth: it.stand.birth }
      it.edited = false
      if (before === null || it.bench.about.split('<')[1] !== before.split('<')[0]) told.overwritten++
    },
    async record(it) {
      if (it.bench === null) return
      const id = `r${++count}`
      const record = {
        id,
        benchId: 'b',
        at: NOW,
        stage: 'plan',
        title: it.bench.about,
        note: '',
        redo: '',
        read: [],
        gave: [],
        beneath: [],
      }
      if (it.edited) return // a window saves before it writes down what rests on the document
      const result = await addRecord(db, record, [], it.stand)
      if (result.kind === 'saved' && (await storedAbout()) !== it.bench.about) told.untrue++
    },
    async remove() {
      const gone = await deleteBench(db, 'b')
      if (gone !== null) deleted = gone
    },
    async back() {
      if (deleted !== null && (await standOf(db, 'b')) === null) await putBack(db, deleted, `n${++births}`)
    },
    async fromFile() {
      if ((await standOf(db, 'b')) === null) {
        await addBundle(db, { bench: { ...first, about: String(++count) }, records: [], files: [] }, {}, NOW, `n${++births}`)
      }
    },
  }
  const names = ['open', 'edit', 'edit', 'edit', 'save', 'save', 'save', 'record', 'remove', 'back', 'fromFile'] as const
  for (let i = 0; i < 40; i++) {
    const window = windows[random() < 0.5 ? 0 : 1] as Window
    await steps[names[Math.floor(random() * names.length)] ?? 'open']?.(window)
  }
  await db.delete()
  return told
}

it(`${rounds} interleavings of two windows (seed ${SEED}): nothing overwritten in silence, no record of what was never saved`, async () => {
  const sum = { overwritten: 0, untrue: 0, saved: 0, refused: 0 }
  for (let round = 0; round < rounds; round++) {
    const told = await play(round)
    for (const key of Object.keys(sum) as (keyof Round)[]) sum[key] += told[key]
  }
  expect(sum).toMatchObject({ overwritten: 0, untrue: 0 })
  expect(Math.min(sum.saved, sum.refused)).toBeGreaterThan(rounds / 3)
  if (ALL) console.log(`windows: ${rounds} interleavings, ${JSON.stringify(sum)}`)
}, 300_000)
