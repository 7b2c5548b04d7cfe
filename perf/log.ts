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
  /** From the first picture of the page to the first row of the log, ms. */
  readonly opensMs: number
  /** Longest task while it is scrolled from end to end, ms; 0: none over 50 ms. */
  readonly scrollMs: number
}

/** How a long log opens and scrolls; medians of several visits. */
export async function timeLog(visits: number): Promise<LogTimes> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const opens: number[] = []
  const scrolls: number[] = []
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
    await page.goto(home)
    await putBench(page, longLog())
    await putPictures(page)
    for (let visit = 0; visit < visits; visit++) {
      await page.addInitScript(() => {
        addEventListener('DOMContentLoaded', () => {
          const seen: Record<string, number> = {}
          Object.assign(window, { seen })
          new MutationObserver(() => {
            if (seen['first'] === undefined && document.querySelector('main h1') !== null) seen['first'] = performance.now()
            if (seen['rows'] === undefined && document.body.textContent.includes('Entry 9999')) seen['rows'] = performance.now()
          }).observe(document, { childList: true, subtree: true, characterData: true })
        })
      })
      await page.goto(`${home}bench/heron/log/line`)
      await page.getByText('Entry 9999').waitFor({ timeout: 60_000 })
      opens.push(
        await page.evaluate(() => {
          const { seen } = window as unknown as { seen: Record<string, number> }
          return (seen['rows'] ?? 0) - (seen['first'] ?? 0)
        }),
      )
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
      scrolls.push(Math.max(0, ...(await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks))))
    }
  } finally {
    await browser.close()
    close()
  }
  return { opensMs: median(opens), scrollMs: median(scrolls) }
}
