import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { serveBuild } from '../scripts/serveBuild'

/**
 * Longest task of the page while a work order is planned, seen burnt, changed, laid out and given another file, ms; the median of several
 * visits. 0: none over 50 ms.
 */
export async function longestOrderTask(visits: number): Promise<number> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const buffer = readFileSync('tests/fixtures/artwork/handle-mark.dxf')
  const longest: number[] = []
  try {
    for (let visit = 0; visit < visits; visit++) {
      const page = await (await browser.newContext()).newPage()
      await page.goto(home)
      await page.getByRole('button', { name: 'Open the demo bench' }).click()
      await page.getByRole('link', { name: /Work/ }).click()
      await page.locator('[data-burnt="now"]').waitFor({ timeout: 90_000 })
      await page.waitForTimeout(2500)
      await page.evaluate(() => {
        const tasks: number[] = []
        Object.assign(window, { tasks })
        new PerformanceObserver((list) => tasks.push(...list.getEntries().map((it) => it.duration))).observe({ type: 'longtask' })
      })
      await page.getByLabel('Speed for filled green of Plant label, mm/s').fill('26')
      await page.keyboard.press('Enter')
      await page.waitForTimeout(4000)
      await page.getByRole('button', { name: 'Lay all copies out on the sheet' }).click()
      await page.getByText('laid out one by one').first().waitFor()
      await page.waitForTimeout(4000)
      await page.getByLabel('Artwork file').setInputFiles({ name: 'mark.dxf', mimeType: 'application/dxf', buffer })
      await page.getByRole('listitem', { name: 'mark', exact: true }).waitFor()
      await page.waitForTimeout(4000)
      const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
      if (process.env['SHOW'] !== undefined) console.log(tasks.map(Math.round).join(' '))
      longest.push(Math.max(0, ...tasks))
      await page.close()
    }
  } finally {
    await browser.close()
    close()
  }
  return longest.sort((p, q) => p - q)[Math.floor(longest.length / 2)] ?? 0
}
