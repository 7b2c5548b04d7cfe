// npm run e2e [-- stage …]: end to end in Chromium; of stages that are named, their own tests and their screens alone.
import { existsSync } from 'node:fs'
import { buildIfNeeded } from './build.mjs'
import { ROOT, run } from './prepare.mjs'

const stages = process.argv.slice(2).filter((it) => !it.startsWith('-'))
const options = process.argv.slice(2).filter((it) => it.startsWith('-'))
if (!buildIfNeeded()) process.exit(1)
const own = stages.filter((it) => existsSync(`${ROOT}/tests/e2e/${it}.spec.ts`))
const specs = stages.length === 0 ? [] : [...own, 'screens'].map((it) => `tests/e2e/${it}.spec.ts`)
const env = { ...process.env, ...(stages.length === 0 ? {} : { FINE_KERF_STAGES: stages.join(',') }) }
process.exit(run('node', ['node_modules/@playwright/test/cli.js', 'test', ...specs, ...options], { env }))
