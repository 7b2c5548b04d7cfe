// What both commands need first: the packages of the lock file, and for the tests Debian's Chromium.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('..', import.meta.url))
export const CHROMIUM = process.env.FINE_KERF_CHROMIUM ?? '/usr/bin/chromium'

export function run(command, args, options = {}) {
  return spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options }).status ?? 1
}

/** Runs beside others: what it says is kept until it ends. */
export function runTold(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] })
    let told = ''
    for (const stream of [child.stdout, child.stderr]) stream.setEncoding('utf8').on('data', (text) => (told += text))
    child.on('error', ({ message }) => resolve({ status: 1, told: `${message}\n` }))
    child.on('close', (status) => resolve({ status: status ?? 1, told }))
  })
}

/** Installs the packages where they are missing or the lock file has changed since. */
export function preparePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(`${ROOT}/package-lock.json`))
    .digest('hex')
  const stamp = `${ROOT}/node_modules/.fine-kerf-lock`
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  console.log('Installing packages …')
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) {
    console.error('The packages could not be installed. Check the network, then run the same command again.')
    process.exit(1)
  }
  mkdirSync(`${ROOT}/node_modules`, { recursive: true })
  writeFileSync(stamp, lock)
}

/** Installs Chromium from Debian's packages; where that is not allowed, says what to run. */
export function prepareChromium() {
  if (existsSync(CHROMIUM)) return
  const byHand = 'sudo apt-get update && sudo apt-get install -y --no-install-recommends chromium'
  if (process.getuid?.() !== 0) {
    console.error(
      `The end-to-end tests need Chromium. Run:\n  ${byHand}\nor set FINE_KERF_CHROMIUM to one, then run npm test again.`,
    )
    process.exit(1)
  }
  console.log('Installing Chromium from Debian …')
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  run('apt-get', ['update', '-qq'], { env })
  if (run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env }) !== 0) {
    console.error(`Chromium could not be installed. Run:\n  ${byHand}\nthen run npm test again.`)
    process.exit(1)
  }
}
