import type { Page } from '@playwright/test'

/** Lets the page's calendar stand at one local moment, `YYYY-MM-DDTHH:MM:SS`; timers and drawing go on as they are. */
export async function fixDate(page: Page, moment: string): Promise<void> {
  await page.addInitScript((at) => {
    const Real = Date
    const now = new Real(at).getTime()
    class Fixed extends Real {
      constructor(...given: ConstructorParameters<typeof Date> | []) {
        // The parts of a date are given one by one, as to Date itself.
        super(...(given.length === 0 ? [now] : given))
      }
      static override now(): number {
        return now
      }
    }
    window.Date = Fixed as DateConstructor
  }, moment)
}
