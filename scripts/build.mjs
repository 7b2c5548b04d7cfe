// Builds the application where the last build is older than its sources.
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT, run } from './prepare.mjs'

const STAMP = join(ROOT, 'dist', '.built-from')

function filesBelow(path) {
  if (!statSync(path).isDirectory()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesBelow(join(path, name)))
}

function fingerprint() {
  const hash = createHash('sha256')
  for (const name of ['src', 'public', 'index.html', 'vite.config.ts', 'package-lock.json', 'tsconfig.base.json']) {
    const path = join(ROOT, name)
    if (!existsSync(path)) continue
    for (const file of filesBelow(path)) hash.update(file.slice(ROOT.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** Returns whether a build stands that belongs to the present sources. */
export function buildIfNeeded() {
  const now = fingerprint()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === now) return true
  console.log('Building …')
  if (run('node', ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'warn']) !== 0) return false
  writeFileSync(STAMP, now)
  return true
}
