import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { createServer, lacksBuild } from './server'

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

it.each([
  ['/assets/gone.js', 404],
  ['/pictures/gone.png', 404],
  ['/sw.js', 404],
  ['/assets/%E0%A4%A', 400],
  ['/bench/%E0%A4%A/motion', 400],
])('says what is wrong with %s in a word, under all headers, and nothing of this machine', async (path, status) => {
  const answer = await fetch(`${home}${path}`)
  const text = await answer.text()
  expect(answer.status).toBe(status)
  expect(text).not.toContain(folder)
  expect(text).not.toMatch(/node_modules|at .*\(|Error:|<html/i)
  expect(answer.headers.get('content-security-policy')).toContain("default-src 'none'")
  expect(answer.headers.get('permissions-policy')).toContain('camera=()')
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff')
})

it('says what to do where nothing is built', () => {
  expect(lacksBuild(join(folder, 'no such folder'))).toMatch(/npm start/)
  expect(lacksBuild(folder)).toBeNull()
})
