import { expect, it } from 'vitest'
import { readBenchFile, writeBenchFile } from '../../src/data/benchFile'
import { heron } from '../../src/data/heron'
import { seeded } from '../../src/core/workshop'
import { ALL } from './size'

/** Single flipped bits of a bench file with pictures: it opens as it was written, or it is refused in words. */
const SEED = 15
const count = ALL ? 4000 : 400

it(`${count} single flipped bits (seed ${SEED}): none is taken in with other content`, () => {
  const demo = heron()
  const random = seeded(SEED)
  const bytes = Uint8Array.from({ length: 3000 }, () => Math.floor(random() * 256))
  const picture = {
    id: 'p1',
    benchId: 'heron',
    recordId: demo.records[0]?.id ?? '',
    name: 'corner.png',
    type: 'image/png',
    bytes,
  }
  const bundle = { ...demo, files: [picture] }
  const good = writeBenchFile(bundle)
  const asRead = JSON.stringify(readBenchFile(good, 'x'))
  const wrong: string[] = []
  let refused = 0
  for (let i = 0; i < count; i++) {
    const bit = Math.floor(random() * good.length * 8)
    const flipped = good.slice()
    flipped[bit >> 3] = (flipped[bit >> 3] ?? 0) ^ (1 << (bit & 7))
    const read = readBenchFile(flipped, 'x')
    if (!read.ok) refused++
    else if (JSON.stringify(read) !== asRead) wrong.push(`bit ${bit}`)
  }
  expect(wrong).toEqual([])
  expect(refused).toBeGreaterThan(count / 2)
  if (ALL) console.log(`files: ${count} bits flipped, ${refused} refused, ${wrong.length} taken in with other content`)
})
