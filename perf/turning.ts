import { chromium } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { putBench } from '../scripts/putBench'
import { serveBuild } from '../scripts/serveBuild'
import { heron } from '../src/data/heron'

/**
 * Longest task of the page while an object with as many burnt lines as are drawn is turned by dragging and by keys, ms; the median of several
 * visits. 0: none over 50 ms.
 */
export async function longestTurningTask(visits: number): Promise<number> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const demo = heron()
  const longest: number[] = []
  try {
    for (let visit = 0; visit < visits; visit++) {
      const page = await (await browser.newContext()).newPage()
      // What runs in the page was compiled for here, where functions carry their names.
      await page.addInitScript('globalThis.__name = (it) => it')
      await page.goto(home)
      // The demo's sheet of labels and pictures has more scan lines than are drawn.
      await putBench(page, { ...demo, bench: { ...demo.bench, rotary: { ...demo.bench.rotary, lays: 'round' } } })
      await page.goto(`${home}bench/heron/rotary/unrolled`)
      await page.locator('[data-turning]:not([data-turning="0"])').waitFor({ timeout: 60_000 })
      await page.waitForTimeout(2500)
      await page.evaluate(() => {
        const tasks: number[] = []
        Object.assign(window, { tasks })
        new PerformanceObserver((list) => tasks.push(...list.getEntries().map((it) => it.duration))).observe({ type: 'longtask' })
      })
      const object = page.locator('[data-turning]')
      const box = await object.boundingBox()
      if (box === null) throw new Error('nothing turns')
      await page.mouse.move(box.x + box.width / 2, box.y + 60)
      await page.mouse.down()
      for (let k = 0; k < 60; k++) await page.mouse.move(box.x + box.width / 2, box.y + 60 + 3 * k)
      await page.mouse.up()
      await object.focus()
      for (let k = 0; k < 30; k++) await page.keyboard.press('ArrowRight')
      await page.waitForTimeout(500)
      const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
      if (process.env['SHOW'] !== undefined)
        console.log(await object.getAttribute('data-turning'), tasks.map(Math.round).join(' '))
      longest.push(Math.max(0, ...tasks))
      await page.close()
    }
  } finally {
    await browser.close()
    close()
  }
  return longest.sort((p, q) => p - q)[Math.floor(longest.length / 2)] ?? 0
}
