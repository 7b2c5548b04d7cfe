import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { putBench } from '../scripts/putBench'
import { serveBuild } from '../scripts/serveBuild'
import type { BenchRecord } from '../src/core/bench'
import { heron } from '../src/data/heron'
import { median } from './engine'

const RECORDS = 10_000
const PICTURES = 500

/** A bench of many years. */
function longLog() {
  const { bench } = heron()
  const records = Array.from({ length: RECORDS }, (_, k): BenchRecord => {
    const at = new Date(Date.UTC(2018, 0, 1) + k * 6 * 3_600_000).toISOString()
    return {
      id: `r${k}`,
      benchId: bench.id,
      at,
      stage: 'plan',
      title: `Entry ${k}`,
      note: 'as usual',
      redo: '',
      read: [],
      gave: [],
      beneath: [],
    }
  })
  return { bench, records, files: [] }
}

/** Puts pictures of some 200 kB into the page's store, each with a record of its own. */
async function putPictures(page: Page): Promise<void> {
  await page.evaluate(
    async ([count, apart]) => {
      const canvas = new OffscreenCanvas(256, 256)
      const pen = canvas.getContext('2d')
      const noise = new ImageData(256, 256)
      for (let k = 0; k < noise.data.length; k++) noise.data[k] = k % 4 === 3 ? 255 : Math.random() * 256
      pen?.putImageData(noise, 0, 0)
      const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())
      const db = await new Promise<IDBDatabase>((resolve) => {
        const request = indexedDB.open('fine-kerf')
        request.onsuccess = () => resolve(request.result)
      })
      const store = db.transaction('files', 'readwrite').objectStore('files')
      for (let k = 0; k < count; k++)
        store.put({ id: `f${k}`, benchId: 'heron', recordId: `r${k * apart}`, name: `${k}.png`, type: 'image/png', bytes })
      await new Promise((resolve) => {
        store.transaction.oncomplete = resolve
      })
      db.close()
    },
    [PICTURES, RECORDS / PICTURES] as const,
  )
}

export interface LogTimes {
  /** How much later the newest row of a long log stands on the page than that of a short one, ms. */
  readonly laterMs: number
  /** Longest task while it is scrolled from end to end, ms; 0: none over 50 ms. */
  readonly scrollMs: number
}

/** When a text first stands on the log's page, ms after the page was asked for. */
async function standsAt(page: Page, address: string, text: string): Promise<number> {
  await page.addInitScript((wanted) => {
    const watch = new MutationObserver(() => {
      if (!document.body.textContent.includes(wanted)) return
      Object.assign(window, { standsAt: performance.now() })
      watch.disconnect()
    })
    watch.observe(document, { childList: true, subtree: true, characterData: true })
  }, text)
  await page.goto(address)
  await page.getByText(text).first().waitFor({ timeout: 60_000 })
  return page.evaluate(() => (window as unknown as { standsAt: number }).standsAt)
}

/** Longest task while the page is scrolled, ms. */
async function scrolled(page: Page): Promise<number> {
  await page.waitForTimeout(4000)
  await page.evaluate(() => {
    const tasks: number[] = []
    Object.assign(window, { tasks })
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map((it) => it.duration))).observe({ type: 'longtask' })
  })
  await page.mouse.move(500, 600)
  for (let k = 0; k < 60; k++) {
    await page.mouse.wheel(0, 900)
    await page.waitForTimeout(16)
  }
  await page.waitForTimeout(300)
  return Math.max(0, ...(await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)))
}

/** How a long log opens beside a short one, and how it scrolls; medians of several visits. */
export async function timeLog(visits: number): Promise<LogTimes> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const address = `${home}bench/heron/log/line`
  const open = async (fill: (page: Page) => Promise<void>): Promise<Page> => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
    // What runs in the page is named by the loader of this script, with a helper that the page does not have.
    await page.addInitScript('globalThis.__name ??= (it) => it')
    await page.goto(home)
    await fill(page)
    return page
  }
  try {
    const short = await open((page) => putBench(page, heron()))
    const long = await open(async (page) => {
      await putBench(page, longLog())
      await putPictures(page)
    })
    const later: number[] = []
    const scrolls: number[] = []
    for (let visit = 0; visit < visits; visit++) {
      const before = await standsAt(short, address, 'What happened on this machine')
      later.push((await standsAt(long, address, 'Entry 9999')) - before)
      scrolls.push(await scrolled(long))
    }
    return { laterMs: median(later), scrollMs: median(scrolls) }
  } finally {
    await browser.close()
    close()
  }
}
