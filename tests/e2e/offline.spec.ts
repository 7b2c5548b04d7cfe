import { appendFileSync, cpSync, mkdtempSync } from 'node:fs'
import { once } from 'node:events'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createServer } from '../../server/server'
import { expect, test } from './driver'

test.use({
  serviceWorkers: 'allow',
  allowed: [/request failed|Failed to load resource|ERR_CONNECTION_REFUSED|sw\.js|ServiceWorker/],
})

test('works with the server gone after the first load; a new version is offered, never forced', async ({ bench, page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'fine-kerf-'))
  cpSync('dist', folder, { recursive: true })
  const server = createServer(folder).listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  await page.goto(`http://127.0.0.1:${port}/`)
  await page.getByRole('button', { name: 'Open the demo bench' }).click()
  await bench.standsOnMotion()
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state)
  await page.reload() // from here on the page is served from the browser

  appendFileSync(join(folder, 'sw.js'), '\n// another version')
  await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update())
  await expect(page.getByText('A new version of Fine Kerf is ready.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Use it now' })).toBeVisible()

  server.closeAllConnections()
  await new Promise((closed) => server.close(closed))
  await page.reload()
  await bench.standsOnMotion()
  await bench.openWorking('Nominal steps')
  await expect(page.locator('.katex').first()).toBeVisible()
  await bench.type('motion.wantedSpeed', '150')
  await bench.saved()
  await page.reload()
  await expect(bench.field('motion.wantedSpeed')).toContainText('150')
  await page.goto(`http://127.0.0.1:${port}/bench/heron/air`)
  await expect(page.locator('[data-air-part="fan"]')).toBeVisible()
})
