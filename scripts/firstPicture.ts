import { gzipSync } from 'node:zlib'
import type { Browser, Response } from '@playwright/test'

/** Script that may come before the first picture of the demo bench, kB gzipped. */
export const FIRST_PICTURE_KB = 170

/** Bytes of script, gzipped, that come before the first picture of the demo bench stands. */
export async function scriptBeforeFirstPicture(browser: Browser, home: string): Promise<number> {
  const first = await browser.newContext()
  const page = await first.newPage()
  await page.goto(home)
  await page.getByRole('button', { name: 'Open the demo bench' }).click()
  await page.locator('[data-plate] svg').waitFor()
  const url = page.url()
  // A second visit, as every one after the first: straight to the bench.
  const fresh = await browser.newContext({ storageState: await first.storageState({ indexedDB: true }) })
  await first.close()
  const second = await fresh.newPage()
  await second.addInitScript(watchPlate)
  const scripts: Response[] = []
  second.on('response', (it) => {
    if (it.url().endsWith('.js')) scripts.push(it)
  })
  await second.goto(url)
  await second.locator('[data-plate] svg').waitFor()
  // The page's own clock says what came before: a slow machine tells of the plate long after it stood.
  const before = new Set(await second.evaluate(scriptsBeforePlate))
  const counted = scripts.filter((it) => before.has(it.url()))
  const sizes = await Promise.all(counted.map(async (it) => gzipSync(await it.body()).length))
  await fresh.close()
  return sizes.reduce((sum, size) => sum + size, 0)
}

/** In the page: marks when the plate stands. */
function watchPlate(): void {
  const watch = new MutationObserver(() => {
    if (document.querySelector('[data-plate] svg') === null) return
    performance.mark('plate')
    watch.disconnect()
  })
  watch.observe(document, { childList: true, subtree: true })
}

/** In the page: addresses of the scripts that were asked for before the plate stood. */
function scriptsBeforePlate(): string[] {
  const plate = performance.getEntriesByName('plate')[0]?.startTime ?? Infinity
  return performance
    .getEntriesByType('resource')
    .filter((it) => it.startTime <= plate && it.name.endsWith('.js'))
    .map((it) => it.name)
}
