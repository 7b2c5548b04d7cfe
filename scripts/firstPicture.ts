import { gzipSync } from 'node:zlib'
import type { Browser } from '@playwright/test'

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
  const sizes: Promise<number>[] = []
  let counting = true
  second.on('response', (it) => {
    if (!counting || !it.url().endsWith('.js')) return
    sizes.push(it.body().then((body) => gzipSync(body).length))
  })
  await second.goto(url)
  await second.locator('[data-plate] svg').waitFor()
  counting = false
  const total = (await Promise.all(sizes)).reduce((sum, it) => sum + it, 0)
  await fresh.close()
  return total
}
