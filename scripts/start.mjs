// npm start: installs what is missing, builds if needed, serves with the demo bench at http://localhost:4173.
import { buildIfNeeded } from './build.mjs'
import { preparePackages, run } from './prepare.mjs'

preparePackages()
if (!buildIfNeeded()) {
  console.error('The build failed; its message stands above.')
  process.exit(1)
}
process.exit(run('node', ['--import', 'tsx', 'server/main.ts']))
