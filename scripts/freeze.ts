/**
 * Freezes what is shipped, before it is changed: a sample bench of the present version, and the ids of all figures, which
 * records name for ever. What is frozen is never written again; a figure that goes needs its line in `renames.ts`.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { BENCH_VERSION, FIGURES } from '../src/core/document'
import { heron } from '../src/data/heron'

const bench = `tests/fixtures/bench-v${BENCH_VERSION}.json`
const ids = 'tests/fixtures/figure-ids.json'

if (existsSync(bench)) console.log(`${bench} is frozen already`)
else {
  writeFileSync(bench, `${JSON.stringify(heron().bench, null, 2)}\n`)
  console.log(`${bench} frozen`)
}
const known = existsSync(ids) ? (JSON.parse(readFileSync(ids, 'utf8')) as string[]) : []
const all = [...new Set([...known, ...FIGURES.map((it) => it.id)])].sort()
writeFileSync(ids, `${JSON.stringify(all, null, 2)}\n`)
console.log(`${all.length - known.length} ids of figures added to ${ids}`)
