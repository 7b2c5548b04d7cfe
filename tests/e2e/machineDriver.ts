import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import type { Driver } from './driver'

/** The parts of Controller and its machine, in the user's verbs. */
export class MachineDriver {
  constructor(
    readonly page: Page,
    readonly bench: Driver,
  ) {}

  /** An empty bench like Heron's machine, with what a program needs before it may leave. */
  async startLikeHeron(name: string): Promise<void> {
    const { bench } = this
    await bench.startEmpty(name)
    for (const [axis, travel] of [
      ['x', '430'],
      ['y', '310'],
    ] as const) {
      await bench.showAxis(axis.toUpperCase())
      await bench.type(`motion.axes.${axis}.travel`, travel, { origin: 'stated' })
    }
    await bench.inCell('beam', async () => {
      await bench.type('optics.power', '5.5', { origin: 'stated', plusMinus: '0.1' }, 'nameplate')
      await bench.type('optics.wavelength', '455', { origin: 'stated', plusMinus: '1' }, 'nameplate')
    })
    await this.go()
  }

  async go(): Promise<void> {
    await this.page.getByRole('link', { name: /Controller/ }).click()
    await expect(this.page.getByRole('heading', { name: /settings in the machine/ })).toBeVisible()
  }

  async part(name: 'Settings' | 'Mark' | 'Scale run'): Promise<void> {
    await this.bench.part(name)
  }

  async connect(number: number, more: { readonly rate?: string; readonly fault?: string } = {}): Promise<void> {
    await this.page.getByLabel('Stand-in number').fill(String(number))
    await this.page.getByLabel('Its clock runs').selectOption(more.rate ?? 'at once')
    if (more.fault !== undefined) await this.page.getByLabel('While it works').selectOption(more.fault)
    await this.page.getByRole('button', { name: 'Connect the stand-in' }).click()
    await expect(this.page.getByText('at rest').first()).toBeVisible()
  }

  async takeCautions(): Promise<void> {
    await expect(this.page.getByRole('dialog', { name: 'Before the beam is on' })).toBeVisible()
    for (const box of await this.page.getByRole('checkbox').all()) await box.check()
    // Where a stop of harm stands, no program leaves without a reason that is written down.
    const why = this.page.getByLabel('Why it is burnt against a stop')
    if ((await why.count()) > 0) {
      await expect(this.page.getByRole('button', { name: 'I have checked all of these' })).toBeDisabled()
      await why.fill('On the stand-in, where nothing burns.')
    }
    await this.page.getByRole('button', { name: 'I have checked all of these' }).click()
  }

  /** Burns over the link and waits until the machine rests. */
  async burn(words: string): Promise<void> {
    await this.page.getByRole('button', { name: words }).click()
  }

  /** Takes a program as a file. */
  async takeProgram(cautions: boolean): Promise<string> {
    const download = this.page.waitForEvent('download')
    await this.page.getByRole('button', { name: 'Get the program' }).click()
    if (cautions) await this.takeCautions()
    return readFileSync(await (await download).path(), 'utf8')
  }

  /** Takes a line of the ramp; without a number the second one that can be seen. */
  async takeLine(number?: number): Promise<void> {
    const plate = this.page.locator('[data-plate="The faint ramp"]')
    if (number === undefined)
      await plate
        .getByRole('button', { name: /, can be seen/ })
        .nth(1)
        .click()
    else await plate.getByRole('button', { name: new RegExp(`^Line ${number},`) }).click()
  }

  async readWithCalipers(): Promise<void> {
    await this.page.getByRole('button', { name: 'Read them with the stand-in’s calipers' }).click()
    await expect(this.page.getByText(/^(\d+) of \1 read$/)).toBeVisible()
  }

  /** Types the readings one after the other, with Enter between them. */
  async typeReadings(readings: readonly string[]): Promise<void> {
    await this.page.locator('[data-reading] input').first().focus()
    for (const text of readings) {
      await this.page.keyboard.insertText(text)
      await this.page.keyboard.press('Enter')
    }
    await expect(this.page.getByText(/^(\d+) of \1 read$/)).toBeVisible()
  }

  async apply(letter: string): Promise<void> {
    await this.page.getByRole('button', { name: `Apply to ${letter}` }).click()
    await expect(this.page.getByRole('button', { name: `Take it off ${letter}` })).toBeVisible()
  }

  async writeAll(): Promise<void> {
    await this.page.getByRole('button', { name: /^Write (all|the one)/ }).click()
    await this.page.getByRole('button', { name: /^Write (it|them)$/ }).click()
    await expect(this.page.getByRole('button', { name: /^Write (all|the one)/ })).toHaveCount(0)
  }

  /** Finds the faint mark, burns a scale run, applies it to both axes, writes the steps, and burns another run for proof. */
  async commission(): Promise<void> {
    await this.part('Mark')
    await this.burn('Burn the ramp')
    await this.takeCautions()
    await this.takeLine()
    await this.part('Scale run')
    await this.burn('Burn the run')
    await this.readWithCalipers()
    await this.apply('X')
    await this.apply('Y')
    await this.part('Settings')
    await this.writeAll()
    await this.part('Scale run')
    await this.page.getByRole('button', { name: 'The next run' }).click()
    await this.burn('Burn the run')
    await this.readWithCalipers()
  }

  row(setting: string) {
    return this.page.locator(`[data-setting="${setting}"]`)
  }

  /** What the page says is set in the machine. */
  async inMachine(setting: string): Promise<number> {
    return Number.parseFloat((await this.row(setting).locator('[data-fact]').textContent()) ?? '')
  }

  /** The ± that the page states for the size of an axis now, as a share. */
  async statedShare(letter: string): Promise<number> {
    await this.part('Settings')
    const text = (await this.bench.figure(`${letter} size now`).textContent()) ?? ''
    return Number(/±\s*([\d.]+)/.exec(text)?.[1]) / 100
  }
}
