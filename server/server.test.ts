import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { createServer } from './server'

const folder = mkdtempSync(join(tmpdir(), 'fine-kerf-'))
let home = ''
let close: () => void = () => undefined

beforeAll(async () => {
  mkdirSync(join(folder, 'assets'))
  writeFileSync(join(folder, 'index.html'), '<title>Fine Kerf</title>')
  writeFileSync(join(folder, 'assets', 'a.js'), '1')
  await new Promise<void>((ready) => {
    const server = createServer(folder).listen(0, '127.0.0.1', () => {
      home = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
      ready()
    })
    close = () => server.close()
  })
})
afterAll(() => close())

it('answers every path that is no file with the application, under a policy that allows its own files only', async () => {
  const answer = await fetch(`${home}/bench/heron/motion`)
  expect(await answer.text()).toContain('Fine Kerf')
  const policy = answer.headers.get('content-security-policy') ?? ''
  expect(policy).toContain("default-src 'none'")
  expect(policy).toContain("script-src 'self';")
  expect(policy).not.toContain('http')
  expect(answer.headers.get('strict-transport-security')).toBeNull()
  expect(answer.headers.get('x-powered-by')).toBeNull()
})

it('keeps named assets for good, and does not answer a missing one with the application', async () => {
  expect((await fetch(`${home}/assets/a.js`)).headers.get('cache-control')).toContain('immutable')
  expect((await fetch(`${home}/assets/gone.js`)).status).toBe(404)
  expect((await fetch(`${home}/..%2f..%2fetc/passwd`)).status).not.toBe(500)
})
