import type { Page } from '@playwright/test'

/** Lets the page's calendar stand at one local moment, `YYYY-MM-DDTHH:MM:SS`; timers and drawing go on as they are. */
export async function fixDate(page: Page, moment: string): Promise<void> {
  await page.addInitScript((at) => {
    const now = new Date(at).getTime()
    window.Date = new Proxy(Date, {
      construct: (real, given: unknown[], made) => Reflect.construct(real, given.length === 0 ? [now] : given, made) as Date,
      get: (real, key) => (key === 'now' ? () => now : (Reflect.get(real, key) as unknown)),
    })
  }, moment)
}
