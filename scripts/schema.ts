/** Publishes the bench's JSON Schema in docs; with --check, says whether the published one is true. */
import { readFileSync, writeFileSync } from 'node:fs'
import { benchJsonSchema } from '../src/core/document'

const PATH = 'docs/bench.schema.json'
const now = `${JSON.stringify(benchJsonSchema(), null, 2)}\n`
if (process.argv.includes('--check')) {
  const same = readFileSync(PATH, 'utf8') === now
  console.log(same ? 'the published schema is true' : `${PATH} is out of date: run npm run schema`)
  process.exit(same ? 0 : 1)
}
writeFileSync(PATH, now)
