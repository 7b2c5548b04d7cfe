import { build } from 'vite'
import { CableMachine } from '../cableMachine'
import type { LinkReport } from '../faults/linkSuite'
import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

test('a controller on a cable is tried, read, sent a program, held, let go on and stopped', async ({ bench, page }) => {
  test.setTimeout(120_000)
  // The browser's port ends in a machine of the stand-in that speaks the plain words of a new link card.
  const machine = new CableMachine(
    (line) => void page.evaluate((it) => window.dispatchEvent(new CustomEvent('cable', { detail: it })), `${line}\n`),
  )
  await page.exposeFunction('intoCable', (text: string) => machine.receive(text))
  await page.addInitScript(() => {
    const port = {
      readable: null as ReadableStream<Uint8Array> | null,
      writable: null as WritableStream<Uint8Array> | null,
      open() {
        const encoder = new TextEncoder()
        const decoder = new TextDecoder()
        this.readable = new ReadableStream({
          start(controller) {
            window.addEventListener('cable', (event) => controller.enqueue(encoder.encode((event as CustomEvent<string>).detail)))
          },
        })
        this.writable = new WritableStream({
          write: (bytes) => (window as unknown as { intoCable(text: string): Promise<void> }).intoCable(decoder.decode(bytes)),
        })
        return Promise.resolve()
      },
      close: () => Promise.resolve(),
    }
    Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(port) } })
  })
  const clock = setInterval(() => machine.standIn.advance(0.1), 100)
  try {
    const driver = new MachineDriver(page, bench)
    await driver.startLikeHeron('Gate')
    await page.getByText('A controller on a cable').click()
    await page.getByRole('button', { name: 'Choose its port and connect' }).click()
    await expect(page.getByText(/Beam off, controller at rest/)).toBeVisible()
    await page.getByRole('button', { name: 'Try the link' }).click()
    for (const said of ['11 settings were listed.', 'It stopped and said that it rests.', 'They can be sent.']) {
      await expect(page.getByText(said)).toBeVisible()
    }
    await page
      .getByRole('button', { name: /Read .*settings|Read them/ })
      .first()
      .click()
    await expect(page.locator('[data-setting="axes.x.steps"], [data-setting]').first()).toBeVisible()
    await driver.part('Mark')
    await driver.burn('Burn the ramp')
    await driver.takeCautions()
    await expect(page.locator('[data-beam="on"]')).toContainText(/Beam on, \d/)
    await page.getByRole('button', { name: 'Hold it' }).click()
    await expect(page.getByText('held, beam off')).toBeVisible()
    await page.getByRole('button', { name: 'Let it go on' }).click()
    await expect(page.locator('[data-beam="on"]')).toContainText(/Beam on, \d/)
    await page.keyboard.press('Control+.')
    await expect(page.getByText(/Beam off, controller at rest/)).toBeVisible()
    expect(machine.standIn.resting).toBe(true)
    expect(machine.standIn.marks.length).toBeGreaterThan(0)
  } finally {
    clearInterval(clock)
  }
})

test('the suite of link faults, over the browser’s own port in Chromium', async ({ page }) => {
  test.setTimeout(180_000)
  const built = await build({
    configFile: false,
    logLevel: 'silent',
    define: { 'process.env.FAULTS': '""' },
    build: { write: false, lib: { entry: 'tests/faults/linkInPage.ts', formats: ['es'], fileName: 'suite' } },
  })
  const [bundle] = [built].flat()
  const code = bundle !== undefined && 'output' in bundle ? bundle.output[0].code : ''
  await page.route('**/suite.html', (route) =>
    route.fulfill({
      contentType: 'text/html',
      body: '<!doctype html><title>Link</title><script type="module" src="/suite.js"></script>',
    }),
  )
  await page.route('**/suite.js', (route) => route.fulfill({ contentType: 'text/javascript', body: code }))
  await page.goto('/suite.html')
  await page.waitForFunction('"tryLinkFaults" in globalThis')
  const report = await page.evaluate<LinkReport>('tryLinkFaults(120)')
  expect(report.clean).toMatchObject({ end: { kind: 'burnt' }, ranToItsEnd: true, untrueOff: 0, outAfterFault: [] })
  expect([report.tried, report.wrong]).toEqual([120, []])
})
