/**
 * Pages that are killed in the middle of saves, in a real browser: after an edit, or an edit and its undo, the page is
 * crashed at a moment between 0 and 500 ms; a new one must show what was there. Part of `npm run faults`; needs a build.
 */
import { once } from 'node:events'
import type { AddressInfo } from 'node:net'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { CHROMIUM } from '../../scripts/chromium'
import { createServer } from '../../server/server'
import { seeded } from '../../src/core/workshop'

const KILLS = Number(process.argv[2] ?? 200)
const SEED = 13
const FIELD = '[data-fact="motion.wantedSpeed"]'

const server = createServer('dist').listen(0, '127.0.0.1')
await once(server, 'listening')
const home = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
const browser = await chromium.launch(CHROMIUM)
const context = await browser.newContext({ serviceWorkers: 'block' })
const random = seeded(SEED)
let lost = 0

async function opened(of: BrowserContext): Promise<Page> {
  const page = await of.newPage()
  await page.goto(`${home}/bench/heron/motion`)
  await page.locator(FIELD).first().waitFor()
  return page
}

async function enter(page: Page, value: number): Promise<void> {
  await page.locator(FIELD).first().click()
  const input = page.getByRole('dialog').getByRole('textbox').first()
  await input.fill(String(value))
  await input.press('Enter')
  await page
    .locator(FIELD)
    .first()
    .filter({ hasText: String(value) })
    .waitFor()
}

const start = await context.newPage()
await start.goto(home)
await start.getByRole('button', { name: 'Open the demo bench' }).click()
await start.locator(FIELD).first().waitFor()
await start.waitForTimeout(1500)
await start.close()

let stands = 200
for (let i = 0; i < KILLS; i++) {
  const page = await opened(context)
  const value = 100 + (i % 97) + 1
  await enter(page, value)
  const undone = i % 3 === 2
  if (undone) {
    await page.waitForTimeout(Math.floor(random() * 450))
    await page.keyboard.press('Control+z')
    await page
      .locator(FIELD)
      .first()
      .filter({ hasText: String(stands) })
      .waitFor()
  } else stands = value
  await page.waitForTimeout(Math.floor(random() * 500))
  const session = await context.newCDPSession(page)
  const crashed = page.waitForEvent('crash')
  void session.send('Page.crash').catch(() => undefined)
  await crashed
  await page.close()
  const next = await opened(context)
  const text = (await next.locator(FIELD).first().textContent()) ?? ''
  if (!text.includes(String(stands))) {
    lost++
    console.log(`kill ${i}: ${undone ? 'undo' : 'edit'} lost, shows ${text}, should be ${stands}`)
    stands = Number.parseFloat(text)
  }
  await next.close()
}
console.log(`kills: ${KILLS} pages killed, ${lost} edits lost (seed ${SEED})`)
await browser.close()
server.close()
process.exit(lost > 0 ? 1 : 0)
