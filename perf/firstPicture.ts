import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { serveBuild } from '../scripts/serveBuild'

/** Bytes of script, gzipped, that come before the first picture of the demo bench stands, in Chromium. */
export async function scriptBeforeFirstPicture(): Promise<number> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage()
    await page.goto(home)
    await page.getByRole('button', { name: 'Open the demo bench' }).click()
    await page.locator('[data-plate] svg').waitFor()
    const url = page.url()
    // A second visit, as every one after the first: straight to the bench.
    const fresh = await browser.newContext({ storageState: await page.context().storageState({ indexedDB: true }) })
    const second = await fresh.newPage()
    const sizes: Promise<number>[] = []
    let counting = true
    second.on('response', (it) => {
      if (counting && it.url().endsWith('.js'))
        sizes.push(
          it.body().then((body) => {
            const size = gzipSync(body).length
            if (process.env['SHOW'] !== undefined) console.log(size, it.url().split('/').pop())
            return size
          }),
        )
    })
    await second.goto(url)
    await second.locator('[data-plate] svg').waitFor()
    counting = false
    return (await Promise.all(sizes)).reduce((sum, it) => sum + it, 0)
  } finally {
    await browser.close()
    close()
  }
}
