import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { putBench } from '../scripts/putBench'
import { serveBuild } from '../scripts/serveBuild'
import { heron } from '../src/data/heron'
import { median } from './engine'
import { largeBench } from './scale'

export interface EditInPage {
  /** Work of the page in answer to Enter: the edit and the sheet with its new figures, ms, median; 0: within a frame of 16 ms. */
  readonly answerMs: number
  /** From Enter until the page is free again, what it paints included, ms, median. */
  readonly freeMs: number
  /** Longest task after it: judging, counting, comparing, saving; ms, median; 0: none over 50 ms. */
  readonly afterMs: number
}

/** Edits of one fact of a bench five times the demo, with a thousand records, as a person makes them on the sheet. */
export async function timeEdits(edits: number): Promise<EditInPage> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    // What runs in the page was compiled for here, where functions carry their names.
    await page.addInitScript('globalThis.__name = (it) => it')
    await page.goto(home)
    const { records, files } = heron()
    const [one] = records
    if (one === undefined) throw new Error('the demo has no record')
    const bench = largeBench()
    await putBench(page, { bench, files, records: Array.from({ length: 1000 }, (_, i) => ({ ...one, id: `r${i}` })) })
    await page.goto(`${home}bench/${bench.id}/motion`)
    await page.locator('main h1').waitFor()
    await page.waitForTimeout(4000)
    const seen: EditInPage[] = []
    for (let i = 0; i < edits; i++) seen.push(await editTeeth(page, 16 + (i % 8)))
    const of = (key: keyof EditInPage): number => median(seen.map((it) => it[key]))
    return { answerMs: of('answerMs'), freeMs: of('freeMs'), afterMs: of('afterMs') }
  } finally {
    await browser.close()
    close()
  }
}

async function editTeeth(page: Page, teeth: number): Promise<EditInPage> {
  await page.locator('[data-fact="motion.axes.x.pulleyTeeth"][data-place="given"]').click()
  await page
    .locator('form', { has: page.getByRole('button', { name: 'Leave as it was' }) })
    .locator('input')
    .first()
    .fill(String(teeth))
  await page.waitForTimeout(400)
  await page.evaluate(watchKey)
  await page.keyboard.press('Enter')
  await page.waitForTimeout(1200)
  return page.evaluate(() => {
    const { answerMs, freeMs, after } = (window as unknown as { seen: Seen }).seen
    return { answerMs, freeMs, afterMs: Math.max(0, ...after) }
  })
}

interface Seen {
  answerMs: number
  freeMs: number
  after: number[]
}

/** Runs in the page: times the next key. */
function watchKey(): void {
  const seen: Seen = { answerMs: 0, freeMs: 0, after: [] }
  Object.assign(window, { seen })
  new PerformanceObserver((list) => {
    for (const it of list.getEntries() as PerformanceEventTiming[])
      if (it.name.startsWith('key')) seen.answerMs = Math.max(seen.answerMs, it.processingEnd - it.processingStart)
  }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit)
  const onKey = (): void => {
    const from = performance.now()
    const { port1, port2 } = new MessageChannel()
    // A message is handled when the task of the key is over, with all that is drawn in it.
    port1.onmessage = () => {
      seen.freeMs = performance.now() - from
      new PerformanceObserver((list) => seen.after.push(...list.getEntries().map((it) => it.duration))).observe({
        type: 'longtask',
      })
    }
    port2.postMessage(null)
  }
  addEventListener('keydown', onKey, { once: true, capture: true })
}
